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
  if (hands.on === 'wheel') {
    const { hands: held, columns } = onColumn(place, whose, AS_DRAWN);
    return [...held, ...columns];
  }
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

/** Wheel or bars, straight ahead, and their column, where that is swung to. */
export function onColumn(
  { hands }: RiderPlace,
  whose: string,
  { words, point, direction }: Swung,
): { readonly hands: readonly Body[]; readonly columns: readonly Body[] } {
  const still = (name: string, shape: Shape): readonly Body[] => [
    { name: `${whose}${name}${words}`, sort: 'metal', moves: {}, at: () => [shape] },
  ];
  if (hands.on === 'bars')
    return {
      hands: still('bars', rodFrom(point(hands.left), point(hands.right), METAL.bar)),
      columns: [],
    };
  if (hands.on !== 'wheel') return { hands: [], columns: [] };
  const [centre, spindle] = [point(hands.centre), direction(hands.axis)];
  return {
    hands: still('steering wheel', {
      ...{ as: 'disc', centre, spindle, radius: hands.radius, half: 0, round: METAL.rim },
    }),
    columns: still(
      'column',
      rodFrom(point(hands.columnFoot), along(centre, spindle, -METAL.rim), METAL.column),
    ),
  };
}
