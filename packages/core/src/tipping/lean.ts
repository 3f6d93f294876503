import type { RiderPlace } from '../rider/place.js';
import type { Stance } from '../stance/stance.js';
import { toDegrees } from '../units/angle.js';
import type { Vector } from '../vector/vector.js';

/** A hard part that may touch the ground when a single-track vehicle leans. */
export interface Part {
  readonly name: string;
  readonly at: Vector;
}
export interface Touch extends Part {
  /** Degrees from upright at which it touches. */
  readonly lean: number;
}

/** Half widths and heights of parts about the points that are known, mm. Common practice, no source. */
const PEDAL = { halfWidth: 45, below: 12 };
const FLOOR_HALF = 110;
const DECK_HALF = 75;

/**
 * Lean at which a part touches the ground: the vehicle rolls on a tyre of round crown, the part at y to the side and z up.
 * Source: plane geometry.
 * @param crown half of the tyre's width, mm
 */
export function leanToTouch(y: number, z: number, crown: number): number {
  const reach = Math.hypot(y, z - crown);
  if (reach <= crown) return 90;
  return toDegrees(Math.asin(Math.min(1, crown / reach)) + Math.atan2(z - crown, y));
}

/** Lean of the line from the contact patch to the centre of gravity, when the frame leans by so much on tyres of that crown. */
export function effectiveLean(lean: number, height: number, crown: number): number {
  const angle = (lean * Math.PI) / 180;
  return toDegrees(
    Math.atan2((height - crown) * Math.sin(angle), crown + (height - crown) * Math.cos(angle)),
  );
}

/** Half of the tyres' width so far ahead of the rear axle: the roll is between that of the two tyres, mm. */
export function crownAt({ standing }: Pick<Stance, 'standing'>, x: number): number {
  const [front, rear] = [
    standing.find(({ end }) => end === 'front')!,
    standing.find(({ end }) => end === 'rear')!,
  ];
  const share = Math.max(0, Math.min(1, x / front.centre[0]));
  return (rear.width + (front.width - rear.width) * share) / 2;
}

/** Hard parts of a single-track vehicle, the first to touch first. */
export function touches(stance: Stance): Touch[] {
  const { places, values, points } = stance;
  const floor = points.floorMiddle;
  const deck = points.deckMiddle;
  const parts: Part[] = [
    ...places.flatMap(partsOf),
    ...(floor ? [{ name: 'floor', at: [floor[0], FLOOR_HALF, floor[2]] as const }] : []),
    ...(deck && values.deckThickness !== undefined
      ? [{ name: 'deck edge', at: [deck[0], DECK_HALF, deck[2] - values.deckThickness] as const }]
      : []),
  ];
  return parts
    .map((part) => ({ ...part, lean: leanToTouch(part.at[1], part.at[2], crownAt(stance, part.at[0])) }))
    .sort((a, b) => a.lean - b.lean);
}

function partsOf({ feet, name }: RiderPlace): Part[] {
  if (feet.on === 'cranks')
    return [
      {
        name: `pedal${name === 'Rider' ? '' : `, ${name.toLowerCase()}`}`,
        at: [feet.bracket[0], feet.tread + PEDAL.halfWidth, feet.bracket[2] - feet.crank - PEDAL.below],
      },
    ];
  if (feet.level) return [];
  return [{ name: 'peg', at: [feet.at[0], feet.tread + PEDAL.halfWidth, feet.at[2]] }];
}
