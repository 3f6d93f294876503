import { clearanceFindings, clearancesOf } from '../clearance/sweep.js';
import type { BuildDocument } from '@larchwood/format';
import { findingText } from '../findings/catalogue.js';
import { fixtureDetails } from '../fixture/fixture.js';
import type { Steering } from '../steering/steering.js';
import type { Plan } from './plan.js';

/**
 * A plan as the text of a file: everything that follows from a build, with its format and version. See docs/plan.md.
 * @throws RangeError naming the place of a number that is not finite, which JSON would turn into nothing
 */
export function planText(document: BuildDocument, plan: Plan): string {
  const details = fixtureDetails({ document, ...plan });
  const clearances = clearancesOf(document, plan);
  const findings = [...plan.findings, ...clearanceFindings(clearances), ...details.inTheWay].map(
    (finding) => ({
      ...finding,
      words: findingText(finding, plan.units),
    }),
  );
  const steering = plan.steering?.ok ? shortly(plan.steering.steering) : undefined;
  const file = { format: 'larchwood-plan', version: 1, ...plan, steering, details, clearances, findings };
  return `${JSON.stringify(file, plainly, 1)}\n`;
}

/** A linkage without the steps of its sweep: they follow from it. */
const shortly = ({ linkage, held, values, built, sweep: { left, right } }: Steering) => ({
  linkage,
  held,
  values,
  points: Object.fromEntries(Object.entries(built.points).map(([name, { at }]) => [name, at])),
  left,
  right,
});

/** The section of an end as wall lines is left out: it is the same for every end of a tube, and the section says it. */
function plainly(this: unknown, key: string, value: unknown): unknown {
  if (key === 'outline' && typeof this === 'object' && this !== null && 'edge' in this) return undefined;
  if (typeof value === 'number' && !Number.isFinite(value))
    throw new RangeError(`The plan holds ${value} at “${key}”: it cannot be written as JSON.`);
  return value;
}
