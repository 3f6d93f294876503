import type { CheckStage, Measured } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import type { AsBuilt } from './asBuilt.js';
import { judge, type Verdict } from './judge.js';
import type { MeasuringList } from './list.js';
import { CHECK_STAGES } from './stages.js';

const tell = teller('checks');
const SEVERITY = { look: 'look', stop: 'stop' } as const;

/** What a stage's readings have to tell; of earlier stages nothing is told once a later one was measured. */
export function checkFindings(
  list: MeasuringList,
  measured: readonly Measured[],
  stage: CheckStage,
  built: Pick<AsBuilt, 'wrong'> | undefined,
): Finding[] {
  const { measures, comparisons, open } = judge(list, measured, stage);
  const told = (id: string) => [...list.measures, ...list.comparisons].find((each) => each.id === id);
  const nameOf = (id: string) => told(id)?.name ?? id;
  const wrong = new Set((built?.wrong ?? []).map(({ measure }) => measure));
  const doubted = new Set(measures.flatMap(({ measure, doubt }) => (doubt ? [measure.id] : [])));
  const out = (verdict: Verdict | undefined): verdict is 'look' | 'stop' =>
    verdict === 'look' || verdict === 'stop';
  const named = CHECK_STAGES[stage].name;
  return [
    ...measures.flatMap(({ measure: { id, name, nominal, quantity }, reading, doubt }) =>
      doubt && reading
        ? [
            tell('reading-doubted', 'stop', id, {
              ...{ stage, id, measure: name, value: reading.value, as: doubt.as, nominal, quantity },
              ...('value' in doubt ? { meant: doubt.value } : {}),
            }),
          ]
        : [],
    ),
    ...open.map(([longest, a, b]) =>
      tell('triangle-open', 'stop', longest, {
        ...{ stage: named, longest: nameOf(longest), others: [nameOf(a), nameOf(b)] },
      }),
    ),
    ...(built?.wrong ?? []).flatMap(({ measure: id, by, or }) => {
      const measure = told(id);
      // A comparison stands for the readings that it is made of.
      const ids = measure && 'of' in measure ? measure.of : [id];
      return measure && !doubted.has(id)
        ? [
            tell('reading-disagrees', 'stop', ids[0]!, {
              ...{ stage, ids, measure: measure.name, by, quantity: measure.quantity, or: or.map(nameOf) },
            }),
          ]
        : [];
    }),
    ...measures.flatMap(({ measure: { id, name, tolerance, quantity }, outcome }) =>
      outcome && out(outcome.verdict) && !wrong.has(id) && !doubted.has(id)
        ? [
            tell('reading-out', SEVERITY[outcome.verdict], id, {
              ...{ stage: named, measure: name, off: outcome.off, tolerance: tolerance.value, quantity },
            }),
          ]
        : [],
    ),
    ...comparisons.flatMap(({ comparison: { id, name, of, tolerance, quantity }, outcome }) =>
      outcome && out(outcome.verdict) && !of.some((each) => wrong.has(each) || doubted.has(each))
        ? [
            tell('pair-out', SEVERITY[outcome.verdict], id, {
              ...{ stage: named, name, off: outcome.off, tolerance: tolerance.value, quantity },
            }),
          ]
        : [],
    ),
  ];
}

/** That the fixture is set off, where it is. */
export function setOffFindings({ points, setOff }: MeasuringList): Finding[] {
  const names = Object.keys(setOff?.by ?? {}).map((id) => points[id]!.name);
  return names.length === 0
    ? []
    : [teller('fixture')('fixture-set-off', 'note', 'preset', { points: names })];
}

/** Own measures that have lost a point. */
export const lostFindings = ({ lost }: MeasuringList): Finding[] =>
  lost.length === 0
    ? []
    : [
        tell('measures-lost', 'look', lost[0]!.id, {
          ...{ names: lost.map(({ name }) => name), ids: lost.map(({ id }) => id) },
        }),
      ];
