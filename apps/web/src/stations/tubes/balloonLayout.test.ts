import { describe, expect, it } from 'vitest';
import { DEMO } from '../../../../../testing/demo.js';
import { EVERY_SET, made, planMade } from '../../../../../testing/made.js';
import { fitView, frameExtent, NARROW } from '../../sheet/view';
import { APART, balloonsOf } from './balloonLayout';

const SHEETS = [
  [784, 600],
  [1100, 800],
] as const;

describe('piece numbers on the sheet', () => {
  it.each(['side', 'plan', 'front'] as const)(
    '%s: every number is there once, on the sheet, and none over another',
    (name) => {
      for (const document of [...DEMO, ...EVERY_SET.map(([kind, set]) => made(kind, set))])
        for (const [width, height] of SHEETS) {
          const plan = planMade(document);
          const view = fitView(frameExtent(plan, name), width, height, name, NARROW);
          const { single, heaps } = balloonsOf(plan, view);
          const all = [...single, ...heaps.flatMap(({ balloons }) => balloons)];
          const where = `${document.name} ${document.startingSet}, ${width}`;
          const numbers = new Set([
            ...plan.frame.pieces.map(({ member }) => member.id),
            ...plan.frame.plates.map(({ plate }) => plate.id),
          ]);
          expect(new Set(all.map(({ id }) => id)), where).toEqual(numbers);
          expect(all, where).toHaveLength(numbers.size);
          for (const [index, { tag }] of all.entries()) {
            expect(tag[0] > 0 && tag[0] < width && tag[1] > 0 && tag[1] < height, where).toBe(true);
            for (const other of all.slice(index + 1))
              expect(Math.hypot(tag[0] - other.tag[0], tag[1] - other.tag[1]), where).toBeGreaterThan(
                APART - 1,
              );
          }
          // One leader for a lot, from the middle of what it names.
          for (const { balloons, leader } of heaps)
            expect(
              balloons.some(({ tag }) => tag === leader[1]),
              where,
            ).toBe(true);
        }
    },
  );
});
