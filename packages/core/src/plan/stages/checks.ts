import { CHECK_STAGE_IDS, type CheckStage, type Measured } from '@larchwood/format';
import { asBuiltOf, lastStage, networkOf, type AsBuilt } from '../../checks/asBuilt.js';
import { checkFindings, lostFindings, setOffFindings } from '../../checks/findings.js';
import { judge, type Judgement } from '../../checks/judge.js';
import type { MeasuringList } from '../../checks/list.js';
import { measuringList, type Measurable } from '../../checks/measures.js';
import { movementOf, type Movement } from '../../checks/movement.js';
import { fewestFirst, type Worth } from '../../checks/order.js';
import { adviceFor, type Advice } from '../../checks/pull.js';
import { rodTurns, type RodTurn } from '../../checks/toe.js';
import type { Finding } from '../../findings/finding.js';
import { parts, stage } from '../stage.js';
import { frame } from './frame.js';
import { stance } from './stance.js';
import { steering } from './steering.js';
import type { SteeringResult } from '../../steering/steering.js';

const from = { document: parts('frame', 'checks', 'units'), stance, frame };

/** Everything that there is to measure, and what is known of it. */
export const list = stage('measuring list', from, (of): MeasuringList => measuringList(of));

/** The order in which few readings tell most, of a bare frame and of one on its wheels. */
const order = stage(
  'measuring order',
  { ...from, list },
  ({ list: all, ...of }): { readonly frame: readonly Worth[]; readonly whole: readonly Worth[] } => ({
    frame: fewestFirst(of, all, 'off'),
    whole: fewestFirst(of, all, 'assembled'),
  }),
);
/** What there is to measure: asked for where it is looked at. */
export const checkList = stage('checkList', { list, order }, ({ list: all, order: worth }) => ({
  ...all,
  order: worth,
}));
export type CheckList = MeasuringList & {
  readonly order: { readonly frame: readonly Worth[]; readonly whole: readonly Worth[] };
};

/** A stage with what its readings tell. */
export interface StageResult {
  readonly stage: CheckStage;
  readonly judgement: Judgement;
  readonly built: AsBuilt;
  readonly advice: Advice;
  /** Rods to be screwed longer or shorter, for the toe to come back. */
  readonly rods: readonly RodTurn[];
  /** Since the stage measured before it. */
  readonly since?: { readonly stage: CheckStage; readonly movements: readonly Movement[] };
}

type Alone = Omit<StageResult, 'since'>;

/** One stage by itself: what was read at another changes nothing of it. */
function resultOf(
  of: Measurable,
  all: MeasuringList,
  read: readonly Measured[],
  id: CheckStage,
  steers: SteeringResult | undefined,
): Alone | undefined {
  const built = asBuiltOf(of, all, read, id);
  return (
    built && {
      ...{ stage: id, built, judgement: judge(all, read, id) },
      advice: adviceFor(networkOf(of, all), built),
      rods: steers?.ok ? rodTurns(steers.steering, of.stance, built.figures) : [],
    }
  );
}

/** What was measured, stage by stage, and what came out of it. */
export const checkResults = stage(
  'checkResults',
  { ...from, list, steering, measured: parts('measured') },
  ({ list: all, steering: steers, measured: { measured = [] }, ...of }, keep): readonly StageResult[] =>
    CHECK_STAGE_IDS.reduce<StageResult[]>((done, id) => {
      const read = measured.filter((each) => each.stage === id);
      if (read.length === 0) return done;
      const result = keep(id, [of.document, of.stance, of.frame, all, read, steers], () =>
        resultOf(of, all, read, id, steers),
      );
      if (!result) return done;
      const before = done.at(-1);
      const since = before && {
        ...{ stage: before.stage, movements: movementOf(before.built, result.built) },
      };
      return [...done, { ...result, ...(since ? { since } : {}) }];
    }, []),
);

/** What the last readings have to tell. */
export const checked = stage(
  'checkFindings',
  { list, checkResults, measured: parts('measured') },
  ({ list: all, checkResults: results, measured: { measured = [] } }): readonly Finding[] => {
    const last = lastStage(measured);
    const built = results.find(({ stage: of }) => of === last)?.built;
    return [
      ...lostFindings(all),
      ...setOffFindings(all),
      ...(last ? checkFindings(all, measured, last, built) : []),
    ];
  },
);
