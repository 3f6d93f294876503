import { rodFrom, type Rod, type Shape } from '../proximity/shapes.js';
import { gripsAt } from '../rider/figure.js';
import type { RiderPlace } from '../rider/place.js';
import { add, along, scale, subtract, turn, type Vector } from '../vector/vector.js';
import type { Body, Moves, Pose, Rods } from './part.js';

/** Half thicknesses of metal parts that no tubes stand for yet, mm. Common practice, no source. */
const METAL = { bar: 12, stem: 16, column: 13, rim: 14 } as const;

/** Bars, wheel, column or sticks, as rods. */
export function handParts(place: RiderPlace, whose: string): Body[] {
  const { hands } = place;
  const part = (name: string, moves: Moves, at: (pose: Pose) => Rod[]): Rods & Body => ({
    name: whose + name,
    sort: 'metal',
    moves,
    at,
  });
  if (hands.on === 'bars') {
    const moves: Moves = hands.axis ? { steer: true } : {};
    return [
      barOf(place, whose),
      part('stem', moves, ({ steer }) => {
        const [left, right] = gripsAt(hands, place, steer);
        return [rodFrom(turnedAbout(hands, hands.stem, steer), scale(add(left, right), 0.5), METAL.stem)];
      }),
    ];
  }
  if (hands.on === 'wheel') return onColumn(place, whose, AS_DRAWN);
  if (hands.on === 'sticks')
    return [
      part('side-sticks', { steer: true }, ({ steer }) => {
        const [left, right] = gripsAt(hands, place, steer);
        const rod = (grip: Vector) => rodFrom(grip, add(grip, [0, 0, -hands.pivot * 0.6]), METAL.bar);
        return [rod(left), rod(right)];
      }),
    ];
  return [];
}

const turnedAbout = (hands: RiderPlace['hands'] & { on: 'bars' }, at: Vector, steer: number): Vector =>
  hands.axis ? add(hands.axis.point, turn(subtract(at, hands.axis.point), hands.axis.up, steer)) : at;

/** The bar itself, from grip to grip. */
export function barOf(place: RiderPlace, whose: string): Rods & Body {
  const { hands } = place;
  return {
    name: `${whose}bars`,
    sort: 'metal',
    moves: hands.on === 'bars' && hands.axis ? { steer: true } : {},
    at: ({ steer }) => [rodFrom(...gripsAt(hands, place, steer), METAL.bar)],
  };
}

/** A column that is swung about its hinge: where a point of it goes, where a direction, and how that is called. */
export interface Swung {
  readonly words: string;
  readonly point: (at: Vector) => Vector;
  readonly direction: (axis: Vector) => Vector;
}
const AS_DRAWN: Swung = { words: '', point: (at) => at, direction: (axis) => axis };

/** A column and its wheel, or its bars straight ahead, where the column is swung to. */
export function onColumn({ hands }: RiderPlace, whose: string, { words, point, direction }: Swung): Body[] {
  const still = (name: string, shapes: readonly Shape[]): Body => ({
    name: `${whose}${name}${words}`,
    sort: 'metal',
    moves: {},
    at: () => shapes,
  });
  if (hands.on === 'bars')
    return [still('bars', [rodFrom(point(hands.left), point(hands.right), METAL.bar)])];
  if (hands.on !== 'wheel') return [];
  const [centre, spindle] = [point(hands.centre), direction(hands.axis)];
  return [
    still('steering wheel', [
      { as: 'disc', centre, spindle, radius: hands.radius, half: 0, round: METAL.rim },
    ]),
    still('column', [rodFrom(point(hands.columnFoot), along(centre, spindle, -METAL.rim), METAL.column)]),
  ];
}
