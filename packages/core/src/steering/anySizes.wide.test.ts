import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES, made, stanceMade } from '../../../../testing/made.js';
import { clearanceFindings, clearancesOf } from '../clearance/sweep.js';
import { findingText } from '../findings/catalogue.js';
import { planText } from '../plan/planFile.js';
import { planBuild } from '../plan/plan.js';
import { linkagesFor } from './linkages/registry.js';
import { reportOf } from './report.js';

/** Whatever sizes are typed: told in words or built, never a throw, never a figure that is none. */
describe('any sizes of any linkage', () => {
  const cases = FAMILIES.flatMap(([kind, set]) =>
    linkagesFor(stanceMade(made(kind, set))).map((linkage) => [kind, set, linkage.id] as const),
  );
  it.each(cases)('%s %s, %s', (kind, set, id) => {
    const document = made(kind, set);
    const stance = stanceMade(document);
    const linkage = linkagesFor(stance).find((each) => each.id === id)!;
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(fc.array(share, { minLength: 9, maxLength: 9 }), share, (shares, lock) => {
        const held: Record<string, number> = { lock: 5 + 65 * lock };
        linkage.sizes.forEach(({ id: size, limits: [low, high] }, index) => {
          held[size] = low + (high - low) * shares[index]!;
        });
        const build = { ...document, steering: { linkage: linkage.id, held, made: [] } };
        const planned = planBuild(build);
        if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
        const { plan } = planned;
        const told = [...plan.findings, ...clearanceFindings(clearancesOf(build, plan))];
        for (const finding of told) {
          const { title, text } = findingText(finding, build.units);
          expect(`${title} ${text}`).not.toMatch(/NaN|Infinity|undefined/);
        }
        expect(() => planText(build, plan)).not.toThrow();
        if (!plan.steering?.ok) return;
        for (const { error, fallOff, turn } of reportOf(stance.steered, plan.steering.steering)) {
          expect(Number.isFinite(error)).toBe(true);
          expect(Number.isNaN(fallOff)).toBe(false);
          for (const { scrub } of turn.wheels) expect(Number.isFinite(scrub)).toBe(true);
        }
      }),
      { numRuns: 8 },
    );
  });
});
