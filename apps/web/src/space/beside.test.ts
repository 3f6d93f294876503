import { describe, expect, it } from 'vitest';
import { add, steeringOf, withSteeringParts, type Vector } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { FAMILIES, made, planMade, stanceMade } from '../../../../testing/made.js';
import { besideOf, groundLines } from './beside';

const distance = (a: Vector, b: Vector) => Math.hypot(...a.map((each, axis) => each - b[axis]!));
const rodsOf = (document: BuildDocument) =>
  besideOf(planMade(document)).running.flatMap((solid) => (solid.as === 'rod' ? [solid] : []));
/** A kart whose linkage is begun, and its pieces made. */
function begun() {
  const document = made('kart', 'ladder');
  const stance = stanceMade(document);
  const result = steeringOf(document, stance)!;
  if (!result.ok) throw new Error('refused');
  const { linkage, held, built } = result.steering;
  const own = { ...document, steering: { linkage, held, made: [] } } as BuildDocument;
  return { document, own, pieces: withSteeringParts(own, stance, result.steering), built, stance };
}

describe('what stands beside the tubes in space', () => {
  it.each(FAMILIES)('%s, %s: an axle through every wheel, and nothing of no length', (kind, set) => {
    const document = made(kind, set);
    const plan = planMade(document);
    const { running, seats } = besideOf(plan);
    for (const solid of [...running, ...seats])
      if (solid.as === 'rod') expect(distance(solid.from, solid.to)).toBeGreaterThan(1e-6);
    for (const { centre } of plan.stance.standing)
      expect(
        running.some(
          (solid) =>
            solid.as === 'rod' &&
            distance(add(solid.from, solid.to).map((each) => each / 2) as unknown as Vector, centre) < 1e-6,
        ),
      ).toBe(true);
  });
  it('a column goes from the wheel to its foot, as far as the linkage takes it, and stands for itself as a piece', () => {
    const { document, own, pieces, built, stance } = begun();
    const { hands } = stance.places[0]!;
    if (hands.on !== 'wheel') throw new Error('no wheel');
    const columns = (of: BuildDocument) => rodsOf(of).filter(({ to }) => distance(to, hands.centre) < 1e-6);
    const [drawn] = columns(document);
    expect(drawn!.from).toEqual(hands.columnFoot);
    const [longer] = columns(own);
    expect(longer!.from).toEqual(built.points['steering.plate']!.at);
    expect(columns(pieces)).toEqual([]);
  });
});

describe('the ground', () => {
  it('is a grid of quarter metres round all that stands on it', () => {
    const positions = groundLines([
      [10, -20, 0],
      [900, 260, 5],
    ]).getAttribute('position');
    const [xs, ys] = [0, 1].map((axis) =>
      Array.from({ length: positions.count }, (_, index) => positions.array[index * 3 + axis]!),
    ) as [number[], number[]];
    expect([Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]).toEqual([
      0, 1000, -250, 500,
    ]);
    expect(positions.count).toBe(2 * (5 + 4));
  });
});
