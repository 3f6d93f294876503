import type { CheckStage, Measured } from '@larchwood/format';
import { INCH } from '../units/length.js';
import { comparedOf, type Comparison, type Measurand } from './measure.js';
import type { MeasuringList } from './list.js';
import { listAt } from './setOff.js';
import { CHECK_STAGES } from './stages.js';
import type { Tolerance } from './tolerances.js';

export type Verdict = 'pass' | 'look' | 'stop';
/** Beyond so many tolerances one does not go on before it is set right. Common practice, no source. */
export const STOPS = 2;

/** Within its tolerance, a little outside, or so far that one does not go on. */
export function verdictOf(off: number, { value }: Pick<Tolerance, 'value'>): Verdict {
  if (Math.abs(off) <= value) return 'pass';
  return Math.abs(off) <= STOPS * value ? 'look' : 'stop';
}

interface Outcome {
  /** Read less nominal. */
  readonly off: number;
  readonly verdict: Verdict;
}
/** A measure with what it reads at a stage. */
export interface Judged {
  readonly measure: Measurand;
  readonly reading?: Measured;
  readonly outcome?: Outcome;
  readonly doubt?: Doubt;
}
/** Readings against each other, where all of them are there. */
export interface JudgedComparison {
  readonly comparison: Comparison;
  readonly value?: number;
  readonly outcome?: Outcome;
}
export interface Judgement {
  readonly measures: readonly Judged[];
  readonly comparisons: readonly JudgedComparison[];
  /** Three lengths that make no triangle, by measure: the longest first. */
  readonly open: readonly (readonly [string, string, string])[];
}

/** What was read at a stage against what it should read there. */
export function judge(list: MeasuringList, measured: readonly Measured[], stage: CheckStage): Judgement {
  const { measures, comparisons } = listAt(list, measured, stage);
  const read = new Map(measured.filter(({ stage: of }) => of === stage).map((each) => [each.measure, each]));
  const mine = measures.filter(({ whole }) => whole === CHECK_STAGES[stage].whole);
  const told = (off: number, tolerance: Tolerance): Outcome => ({ off, verdict: verdictOf(off, tolerance) });
  return {
    measures: mine.map((measure) => {
      const reading = read.get(measure.id);
      if (!reading) return { measure };
      const doubt = doubtOf(measure, reading.value);
      return {
        ...{ measure, reading, outcome: told(reading.value - measure.nominal, measure.tolerance) },
        ...(doubt ? { doubt } : {}),
      };
    }),
    comparisons: comparisons
      .filter(({ of }) => of.every((id) => mine.some((measure) => measure.id === id)))
      .map((comparison) => {
        const values = comparison.of.map((id) => read.get(id)?.value);
        if (values.some((value) => value === undefined)) return { comparison };
        const value = comparedOf(comparison, values as number[]);
        return { comparison, value, outcome: told(value - comparison.nominal, comparison.tolerance) };
      }),
    open: openTriangles(mine, read),
  };
}

/** What a reading may have been meant as. */
export type Doubt =
  | { readonly as: 'inches' | 'centimetres' | 'other-side' | 'from-plumb'; readonly value: number }
  | { readonly as: 'far' | 'negative' };
/** A reading so much nearer when it is meant otherwise was meant so, of how far it is off. */
const NEARER = 0.1;
/** Off by more than this it is asked about: mm or share of the nominal, and degrees. Common practice, no source. */
export const FAR = { length: 40, share: 0.1, angle: 8 } as const;

/**
 * Asks about a reading that is far off: inches or centimetres for millimetres, the other side, or an angle from plumb.
 * @param value mm or degrees, as it was typed
 */
export function doubtOf(
  { as, nominal, quantity }: Pick<Measurand, 'as' | 'nominal' | 'quantity'>,
  value: number,
): Doubt | undefined {
  const off = Math.abs(value - nominal);
  const far = quantity === 'angle' ? FAR.angle : Math.max(FAR.length, FAR.share * Math.abs(nominal));
  const cannot = value < 0 && (as === 'distance' || (as === 'gap' && nominal > 0));
  if (off <= far && !cannot) return undefined;
  const meant: readonly (Doubt & { readonly value: number })[] =
    quantity === 'angle'
      ? [
          { as: 'from-plumb', value: 90 - value },
          { as: 'other-side', value: -value },
        ]
      : [
          { as: 'inches', value: value * INCH },
          { as: 'centimetres', value: value * 10 },
          { as: 'other-side', value: -value },
        ];
  const [best] = [...meant].sort((a, b) => Math.abs(a.value - nominal) - Math.abs(b.value - nominal));
  if (best && Math.abs(best.value - nominal) <= Math.max(NEARER * off, far / 10)) return best;
  return { as: cannot ? 'negative' : 'far' };
}

/** Three distances between three points, of which one is longer than both others together. */
function openTriangles(
  measures: readonly Measurand[],
  read: ReadonlyMap<string, Measured>,
): [string, string, string][] {
  const lengths = measures.filter(({ as, id }) => as === 'distance' && read.has(id));
  const between = new Map(lengths.map((measure) => [[...measure.points].sort().join(' '), measure]));
  const found = (a: string, b: string) => between.get([a, b].sort().join(' '));
  return lengths.flatMap((longest) => {
    const [a, b] = longest.points as [string, string];
    const thirds = new Set(lengths.flatMap(({ points }) => points).filter((id) => id !== a && id !== b));
    return [...thirds].flatMap((third) => {
      const [one, other] = [found(a, third), found(b, third)];
      if (!one || !other) return [];
      const [long, first, second] = [longest, one, other].map(({ id }) => read.get(id)!.value) as [
        number,
        number,
        number,
      ];
      return long > first + second + longest.tolerance.value
        ? [[longest.id, one.id, other.id] as [string, string, string]]
        : [];
    });
  });
}
