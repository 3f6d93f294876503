import { apart, boundsOf } from '../proximity/bounds.js';
import { gap, leastPossible } from '../proximity/gap.js';
import { rodFrom, type Rod } from '../proximity/shapes.js';
import { along, cross, scale, turn, type Vector } from '../vector/vector.js';
import type { Obstacle } from './obstacle.js';
import type { Seam, SeamPoint } from './weld/seams.js';

/**
 * The torch: a nozzle that ends so far off the seam, so long to the hand and so thick; it may lean as far as its cone has
 * half an angle. Common practice, no source.
 */
export const TORCH = { standOff: 12, reach: 130, radius: 9, lean: 30 } as const;
/** Directions within the cone: its axis, and two rings about it. */
const RINGS = [TORCH.lean / 2, TORCH.lean] as const;
const ROUND = 8;

function* leans({ open }: SeamPoint): Generator<Vector> {
  yield open;
  const beside = Math.abs(open[2]) < 0.9 ? cross(open, [0, 0, 1]) : cross(open, [1, 0, 0]);
  const axis = scale(beside, 1 / Math.hypot(...beside));
  for (const angle of RINGS) {
    const tilted = turn(open, axis, angle);
    for (let index = 0; index < ROUND; index += 1) yield turn(tilted, open, (360 * index) / ROUND);
  }
}
const torchAt = ({ at }: SeamPoint, lean: Vector): Rod =>
  rodFrom(along(at, lean, TORCH.standOff + TORCH.radius), along(at, lean, TORCH.reach), TORCH.radius);

/** What is so far off a seam at least is in no torch's way. */
const FAR = TORCH.reach + TORCH.radius;

/**
 * Which places round a seam no torch reaches, and what of those that stand shuts them in.
 * @param standing all that is there when it is welded; what it joins does not count, a torch leans away from it
 * @returns share of the seam that is shut, and the obstacles that a place would be open without, the worst first
 */
export function shutIn(
  seam: Seam,
  standing: readonly Obstacle[],
): { readonly share: number; readonly by: readonly string[] } {
  const bounds = boundsOf(seam.points.map(({ at }) => at));
  const joined = new Set([seam.piece, ...seam.hosts]);
  const near = standing.filter(({ id, bounds: of }) => !joined.has(id) && !apart(bounds, of, FAR));
  if (near.length === 0) return { share: 0, by: [] };
  let shut = 0;
  const blame = new Map<string, number>();
  for (const point of seam.points) {
    // Who alone keeps it shut; where several do, all of the least blocked way.
    let fewest: readonly string[] | undefined;
    for (const lean of leans(point)) {
      const hit = blockers(torchAt(point, lean), near);
      if (!fewest || hit.length < fewest.length) fewest = hit;
      if (hit.length === 0) break;
    }
    if (!fewest || fewest.length === 0) continue;
    shut += 1;
    for (const id of fewest) blame.set(id, (blame.get(id) ?? 0) + 1);
  }
  return {
    share: shut / seam.points.length,
    by: [...blame].sort(([, a], [, b]) => b - a).map(([id]) => id),
  };
}

function blockers(torch: Rod, near: readonly Obstacle[]): string[] {
  const reach = boundsOf([torch.from, torch.to], torch.radius);
  return near
    .filter(
      ({ bounds, shapes }) =>
        !apart(reach, bounds) &&
        shapes.some((shape) => leastPossible(torch, shape) < 0 && gap(torch, shape) < 0),
    )
    .map(({ id }) => id);
}
