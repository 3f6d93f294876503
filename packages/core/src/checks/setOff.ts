import type { BuildDocument, CheckStage, Measured } from '@larchwood/format';
import type { Keys } from '../fixture/keys.js';
import { add } from '../vector/vector.js';
import { comparedOf, readingOf, type Measurand } from './measure.js';
import type { MeasuringList, SetOff } from './list.js';
import type { MeasuringPoints } from './points.js';

/** Stages before the heat: only then a frame lies as the fixture holds it. */
const UNWELDED: ReadonlySet<CheckStage> = new Set(['dry', 'tacked']);

/** What measures should read with the fixture set off; undefined where it holds all as drawn. */
export function setOffOf(
  checks: BuildDocument['checks'],
  measures: readonly Measurand[],
  points: MeasuringPoints,
  keys: Keys,
): SetOff | undefined {
  const by = Object.fromEntries(
    Object.entries(checks?.preset ?? {}).filter(([id]) => Object.hasOwn(keys, id)),
  );
  if (Object.keys(by).length === 0) return undefined;
  const at = (id: string) => add(points[id]!.at, by[id] ?? [0, 0, 0]);
  const reads = measures
    .filter(({ as, points: of }) => as !== 'outcome' && of.some((id) => by[id] !== undefined))
    .map((measure) => [measure.id, readingOf(measure, at)] as const);
  return {
    ...{ by, reads: Object.fromEntries(reads) },
    ...(checks?.presetOn === undefined ? {} : { since: checks.presetOn }),
  };
}

/** How far key points are set off at a stage: not once it is welded, and not where it was measured before that was decided. */
export function setOffAt(
  { setOff }: Pick<MeasuringList, 'setOff'>,
  measured: readonly Measured[],
  stage: CheckStage,
): SetOff | undefined {
  if (!setOff || !UNWELDED.has(stage)) return undefined;
  const read = measured.flatMap((each) => (each.stage === stage && each.on !== undefined ? [each.on] : []));
  const earlier = setOff.since !== undefined && read.length > 0 && read.every((on) => on < setOff.since!);
  return earlier ? undefined : setOff;
}

/** The list with what each measure and comparison should read at a stage. */
export function listAt<L extends MeasuringList>(
  list: L,
  measured: readonly Measured[],
  stage: CheckStage,
): L {
  const setOff = setOffAt(list, measured, stage);
  if (!setOff) return list;
  const measures = list.measures.map((measure) => {
    const nominal = setOff.reads[measure.id];
    return nominal === undefined ? measure : { ...measure, nominal };
  });
  const nominals = new Map(measures.map(({ id, nominal }) => [id, nominal]));
  return {
    ...list,
    measures,
    comparisons: list.comparisons.map((comparison) => ({
      ...comparison,
      nominal: comparedOf(
        comparison,
        comparison.of.map((id) => nominals.get(id)!),
      ),
    })),
  };
}
