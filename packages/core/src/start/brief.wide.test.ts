import fc from 'fast-check';
import { describe, it } from 'vitest';
import { EVERY_SET, made, stanceMade } from '../../../../testing/made.js';
import { findKind } from '../stance/kinds/registry.js';
import { followsBrief, startFromBrief } from './brief.js';

describe('a stance started from its brief', () => {
  it('always comes to a vehicle, whatever lies on the shelf', () => {
    const anything = fc.constantFrom(...EVERY_SET).chain(([kind, set]) => {
      const { dimensions } = findKind(kind)!;
      const gives = fc.array(
        fc
          .constantFrom(...dimensions)
          .chain(({ id, limits: [low, high] }) =>
            fc.double({ min: low, max: high, noNaN: true }).map((value) => [id, value] as const),
          ),
        { maxLength: 3 },
      );
      return fc.record({
        kind: fc.constant(kind),
        set: fc.constant(set),
        shelf: fc.array(
          gives.map((pairs) => ({
            sort: 'donor part' as const,
            name: 'Part',
            gives: Object.fromEntries(pairs),
          })),
          { maxLength: 3 },
        ),
        riders: fc.array(
          fc.integer({ min: 500, max: 2500 }).map((stature) => ({ name: 'R', stature, mass: 75 })),
          { maxLength: 3 },
        ),
      });
    });
    fc.assert(
      fc.property(anything, ({ kind, set, shelf, riders }) => {
        const build = made(kind, set);
        const start = startFromBrief({ ...build, brief: { ...build.brief, shelf, riders } });
        if (!start.ok) throw new Error(start.message);
        stanceMade(start.value.document);
        return followsBrief(start.value.document);
      }),
      { numRuns: 25 },
    );
  });
});
