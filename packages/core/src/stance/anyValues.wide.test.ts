import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EVERY_SET, holding, made } from '../../../../testing/made.js';
import { findingText } from '../findings/catalogue.js';
import { planBuild } from '../plan/plan.js';
import { findKind } from './kinds/registry.js';

describe.each(EVERY_SET)('%s, %s', (kindId, set) => {
  const kind = findKind(kindId)!;
  const build = made(kindId, set);
  const heldIds = Object.keys(build.stance.held);

  it('any values within the limits give a vehicle or a refusal about one of its dimensions, in words', () => {
    const held = fc.record(
      Object.fromEntries(
        heldIds.map((id) => {
          const [low, high] = kind.dimensions.find((dimension) => dimension.id === id)!.limits;
          return [id, fc.double({ min: low, max: high, noNaN: true })];
        }),
      ),
    );
    const known = [...kind.dimensions.map(({ id }) => id), 'wheels.front', 'wheels.rear'];
    fc.assert(
      fc.property(held, (values) => {
        const planned = planBuild(holding(build, values));
        if (!planned.ok)
          return planned.refusals.every(({ where, message }) => known.includes(where) && message.length > 20);
        // What can be drawn is finite throughout, and each finding has its words.
        const { stance: drawn, findings } = planned.plan;
        for (const finding of findings)
          expect(findingText(finding, build.units).title).not.toMatch(/undefined|NaN/);
        return (
          Object.values(drawn.values).every(Number.isFinite) &&
          Object.values(drawn.points).every((point) => point.every(Number.isFinite))
        );
      }),
      { numRuns: 15 },
    );
  });
});
