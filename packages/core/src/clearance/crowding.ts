import type { BuildDocument } from '@larchwood/format';
import { fixedPart } from '../frame/apart.js';
import { rodsAlong } from '../frame/rods.js';
import { apart, boundsOf, type Bounds } from '../proximity/bounds.js';
import { gap, leastPossible } from '../proximity/gap.js';
import { rodFrom, type Rod, type Shape } from '../proximity/shapes.js';
import { turnedWheel } from '../stance/steering.js';
import { tyre } from '../stance/tyreShape.js';
import type { Built } from '../steering/linkage.js';
import { STEERING_GROUP } from '../steering/parts.js';
import type { SteeringSweep } from '../steering/sweep.js';
import { along, distance, subtract } from '../vector/vector.js';
import { linkageBodies } from './linkage.js';
import type { Standing } from './part.js';

/** What lies so near to the linkage is looked at, mm: as far as a search moves a size, and an arm then swings. */
const ROUND = 250;
/** A tube is looked at in parts no longer than this, mm: most of them are told to be far off at a glance. */
const PART = 100;
/** Of a sweep's places one in so many is looked at: of a coarse one every other, 30 or so of the whole one. Least gaps change by less than 0.5 mm in between. */
const everyOf = (steps: number): number => (steps < 30 ? 2 : 4);

/**
 * How near a linkage comes to the tubes of its frame and to the tyres that it turns, wherever it goes: for a search that
 * tries many of them.
 * @param document gaps that are wanted, mm; and what of the frame is made apart
 * @returns for a linkage and its sweep, mm that the nearest is too near; 0 where all stand clear
 */
export function crowding(
  document: Pick<BuildDocument, 'seat' | 'frame'>,
  { stance, frame }: Pick<Standing, 'stance' | 'frame'>,
  { points }: Built,
): (built: Built, sweep: SteeringSweep) => number {
  const { metal, tyre: ofTyre } = document.seat.gaps;
  const around = boundsOf(
    Object.values(points).map(({ at }) => at),
    ROUND,
  );
  const near = fixedPart(document, frame)
    .pieces.map((piece) => ({
      piece,
      rods: rodsAlong(piece)
        .flatMap(inParts)
        .map((rod) => ({ rod, bounds: boundsOf([rod.from, rod.to], rod.radius) }))
        .filter(({ bounds }) => !apart(around, bounds)),
    }))
    .filter(({ rods }) => rods.length > 0);
  const pieces = frame.pieces.filter(
    (piece) => piece.member.group === STEERING_GROUP || near.some((each) => each.piece === piece),
  );
  return (built, sweep) => {
    const stride = everyOf(sweep.steps.length);
    const steps = sweep.steps.filter((_, step) => step % stride === 0);
    const tyres = steps.map(({ positions }) =>
      stance.steered.map((wheel) => tyre(turnedWheel(wheel, positions[built.chain.wheels[wheel.id]!]!))),
    );
    let short = 0;
    for (const body of linkageBodies({ built, sweep }, pieces)) {
      if (!body.moves.steer) continue;
      const places = steps.map(({ positions }) => body.when(positions));
      const swept = sweptBy(places, metal);
      for (const { piece, rods } of near)
        if (!body.touches(piece))
          for (const { rod: other, bounds } of rods)
            if (!apart(swept, bounds)) for (const rod of places) short = shorter(short, metal, rod, other);
      // An arm turns with its tyre: that gap stays what it is.
      if (body.as === 'rod')
        for (const [step, rod] of places.entries())
          for (const wheel of tyres[step]!) short = shorter(short, ofTyre, rod, wheel);
    }
    return short;
  };
}

/** The larger of what is short already, and of what this gap is short of what is wanted; mm. */
function shorter(short: number, wanted: number, rod: Rod, other: Shape): number {
  return wanted - leastPossible(rod, other) > short ? Math.max(short, wanted - gap(rod, other)) : short;
}

const sweptBy = (places: readonly Rod[], wanted: number): Bounds =>
  boundsOf(
    places.flatMap(({ from, to }) => [from, to]),
    (places[0]?.radius ?? 0) + wanted,
  );

function inParts({ from, to, radius }: Pick<Rod, 'from' | 'to' | 'radius'>): Rod[] {
  const parts = Math.max(1, Math.ceil(distance(from, to) / PART));
  const at = (part: number) => along(from, subtract(to, from), part / parts);
  return Array.from({ length: parts }, (_, part) => rodFrom(at(part), at(part + 1), radius));
}
