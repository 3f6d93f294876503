import { along, type Vector } from '../vector/vector.js';
import { dotOf, growing, settledBy, varianceOf, type Doubt } from './doubt.js';
import { readingOf, type At, type Measurand } from './measure.js';
import type { MeasuringPoints } from './points.js';

/** A reading that was taken. */
export interface Reading {
  readonly measure: Measurand;
  readonly value: number;
  /** Standard deviation of it, where several were taken; else the tool's. */
  readonly spread?: number;
}
/** Everything that readings are compared with. */
export interface Network {
  readonly points: MeasuringPoints;
  /** Readings of outcomes, with the points there. */
  readonly outcome: (id: string, at: At) => number;
}

/** What is known before anything is measured; mm. Common practice, no source. */
export const BEFORE = {
  /** How far a point of a frame that was pulled about comes to lie from where it is drawn: one standard deviation, along each axis. */
  bent: 6,
  /**
   * As far as that is counted on: a third more, since it is a guess itself, and angles between places that are hardly known do
   * not go straight with them. Where little was read, 95 in 100 intervals then hold the truth; where much was, it is no matter.
   */
  point: 8,
  /** How well a short straight tube keeps its length: head tube, kingpin. */
  rigid: 0.3,
} as const;
/** Points that one stiff part carries: its length stays. */
const STIFF: readonly (readonly [string, string])[] = [
  ['headLower', 'headUpper'],
  ['kingpinLowLeft', 'kingpinTopLeft'],
  ['kingpinLowRight', 'kingpinTopRight'],
];
/**
 * A reading that is off by more than so many of its standard deviations is wrong: by chance one in 5,000 is. Source: the
 * test is W. Baarda's, 1968; its level is chosen so that of some thirty readings hardly ever a good one is blamed.
 */
export const CRITICAL = 3.72;
/** So near to the worst, two readings cannot be told apart. */
const ALIKE = 0.98;
const ROUNDS = 6;
/** Step of the differences, mm. */
const STEP = 0.01;

/** A reading that does not fit the others. */
export interface Wrong {
  readonly measure: string;
  /** It reads so much more than the others say. */
  readonly by: number;
  /** One of these may be the wrong one instead: the readings do not tell. */
  readonly or: readonly string[];
}
/** Where the points have come to lie, as well as the readings tell. */
export interface Adjusted {
  /** Ids of points, three unknowns each, in this order. */
  readonly unknown: readonly string[];
  readonly displaced: Readonly<Record<string, Vector>>;
  readonly doubt: Doubt;
  readonly wrong: readonly Wrong[];
  /** Of each reading that was used: read less adjusted, and how far the others bear it out, 0 to 1. */
  readonly residuals: ReadonlyMap<string, { readonly off: number; readonly borneOut: number }>;
}

/**
 * Least squares on what was read: points lie where they are drawn to some 8 mm, stiff parts keep their length, and readings
 * hold to what their tool can. A reading that the others contradict is taken out and named, the worst first.
 * Source: adjustment of a network with prior covariances; data snooping by standardised residuals.
 * @param readings mm and degrees
 * @param keys points that are wanted whether they were measured or not
 */
export function adjust(network: Network, readings: readonly Reading[], keys: readonly string[]): Adjusted {
  const unknown = unknownOf(network, readings, keys);
  const out: { readonly reading: Reading; readonly or: readonly string[] }[] = [];
  let used = [...readings];
  let solved = solveFor(network, unknown, used);
  let tested = used.map((reading, row) => testOf(reading, solved, row));
  for (;;) {
    const worst = tested.reduce((most, each, row) => (each.w > (tested[most]?.w ?? -1) ? row : most), -1);
    if (worst < 0 || tested[worst]!.w <= CRITICAL) break;
    const { w } = tested[worst]!;
    out.push({
      reading: used[worst]!,
      or: used.flatMap(({ measure }, row) =>
        row !== worst && tested[row]!.w > w * ALIKE ? [measure.id] : [],
      ),
    });
    used = used.filter((_, row) => row !== worst);
    solved = solveFor(network, unknown, used, solved);
    tested = used.map((reading, row) => testOf(reading, solved, row));
  }
  // One that was blamed for what another had wrong fits, once that is out: it is put back.
  const against = out.map((each) => ({ ...each, ...foretold(network, unknown, solved, each.reading) }));
  const back = against.filter(({ w }) => w <= CRITICAL).map(({ reading }) => reading);
  if (back.length > 0 && back.length < out.length) {
    used = [...used, ...back];
    solved = solveFor(network, unknown, used, solved);
    tested = used.map((reading, row) => testOf(reading, solved, row));
  }
  const wrong = against
    .filter(({ reading }) => !used.includes(reading))
    .map(({ reading, or }) => ({
      ...{ measure: reading.measure.id, or },
      by: foretold(network, unknown, solved, reading).by,
    }));
  return result(unknown, solved, used, tested, wrong);
}

/** A reading that was left out against what the others say of it. */
function foretold(
  network: Network,
  unknown: readonly string[],
  { x, doubt }: Solved,
  reading: Reading,
): { readonly by: number; readonly w: number } {
  const row = slopes(network, unknown, x, reading.measure);
  const by = reading.value - readOf(network, reading.measure, atOf(network, unknown, x));
  return { by, w: Math.abs(by) / Math.sqrt(sigmaOf(reading) ** 2 + varianceOf(doubt, row)) };
}

export const sigmaOf = ({ measure, spread }: Reading): number => Math.max(measure.reads, spread ?? 0);

export function unknownOf(
  { points }: Network,
  readings: readonly Pick<Reading, 'measure'>[],
  keys: readonly string[],
): string[] {
  return [...new Set([...keys, ...readings.flatMap(({ measure }) => measure.points)])].filter((id) =>
    Object.hasOwn(points, id),
  );
}

interface Solved {
  readonly x: Float64Array;
  readonly doubt: Doubt;
  /** Of each reading: what it should read there, and how that goes with the unknowns. */
  readonly reads: readonly number[];
  readonly rows: readonly Float64Array[];
  /** Variance of how far a reading is off what it should read there. */
  readonly leftOf: (reading: number) => number;
}

function solveFor(
  network: Network,
  unknown: readonly string[],
  readings: readonly Reading[],
  from?: Solved,
): Solved {
  const stiff = stiffOf(network, unknown);
  const wanted = [...readings.map(({ value }) => value), ...stiff.map(({ length }) => length)];
  const measures: readonly Readable[] = [...readings, ...stiff].map(({ measure }) => measure);
  const sigmas = [...readings.map(sigmaOf), ...stiff.map(() => BEFORE.rigid)];
  let x = from?.x ?? new Float64Array(unknown.length * 3);
  for (let round = 0; ; round += 1) {
    const at = atOf(network, unknown, x);
    const rows = measures.map((measure) => slopes(network, unknown, x, measure));
    const settled = settledBy(
      rows.map((row, index) => ({ row, sigma: sigmas[index]! })),
      BEFORE.point,
    );
    // About where the points lie by now, as if they had been there from the first.
    const off = measures.map(
      (measure, index) => wanted[index]! - readOf(network, measure, at) + dotOf(rows[index]!, x),
    );
    const next = measures.length > 0 ? settled.offBy(off) : x;
    const step = next.reduce((most, value, index) => Math.max(most, Math.abs(value - x[index]!)), 0);
    x = next;
    if (round + 1 < ROUNDS && step > SETTLED) continue;
    const there = atOf(network, unknown, x);
    return {
      ...{ x, doubt: settled, leftOf: settled.leftOf, rows: rows.slice(0, readings.length) },
      reads: readings.map(({ measure }) => readOf(network, measure, there)),
    };
  }
}
/** Steps smaller than this change nothing that is measured, mm. */
const SETTLED = 1e-4;

function stiffOf({ points }: Network, unknown: readonly string[]) {
  return STIFF.filter((pair) => pair.every((id) => unknown.includes(id))).map((pair) => {
    const measure = { as: 'distance', points: pair } as const;
    return { measure, length: readingOf(measure, (id) => points[id]!.at) };
  });
}

/** Where points lie with their displacements. */
export function atOf({ points }: Network, unknown: readonly string[], x: ArrayLike<number>): At {
  return (id) => {
    const { at } = points[id]!;
    const place = unknown.indexOf(id) * 3;
    return place < 0 ? at : [at[0] + x[place]!, at[1] + x[place + 1]!, at[2] + x[place + 2]!];
  };
}
type Readable = Pick<Measurand, 'as' | 'points' | 'outcome'>;
const readOf = ({ outcome }: Network, measure: Readable, at: At): number =>
  measure.as === 'outcome' ? outcome(measure.outcome!, at) : readingOf(measure, at);

/** How a reading changes as each unknown grows. */
export const slopes = (
  network: Network,
  unknown: readonly string[],
  x: ArrayLike<number>,
  measure: Readable,
): Float64Array => slopesOf(network, unknown, x, measure.points, (at) => [readOf(network, measure, at)])[0]!;

/** How several values change as each unknown grows, by differences to both sides. */
export function slopesOf(
  network: Network,
  unknown: readonly string[],
  x: ArrayLike<number>,
  points: readonly string[],
  values: (at: At) => readonly number[],
): readonly Float64Array[] {
  const at = atOf(network, unknown, x);
  const rows = values(at).map(() => new Float64Array(unknown.length * 3));
  for (const point of points) {
    const place = unknown.indexOf(point);
    if (place < 0) continue;
    const home = at(point);
    AXES.forEach((axis, index) => {
      const to = (by: number) => values((id) => (id === point ? along(home, axis, by) : at(id)));
      const [more, less] = [to(STEP), to(-STEP)];
      rows.forEach((row, of) => (row[place * 3 + index] = (more[of]! - less[of]!) / (2 * STEP)));
    });
  }
  return rows;
}
const AXES: readonly Vector[] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/** What is known before anything is read: points loose along each axis, stiff parts stiff. */
export const knownBefore = (network: Network, unknown: readonly string[]) => {
  const size = unknown.length * 3;
  const doubt = growing(size, BEFORE.point);
  for (const { measure } of stiffOf(network, unknown))
    doubt.takeIn({ row: slopes(network, unknown, new Float64Array(size), measure), sigma: BEFORE.rigid });
  return doubt;
};

interface Tested {
  readonly w: number;
  readonly off: number;
  readonly borneOut: number;
}
/** Of a reading of which the others bear out less than this, nothing can be told. */
const BORNE = 1e-4;
function testOf(reading: Reading, { leftOf, reads }: Solved, row: number): Tested {
  const sigma2 = sigmaOf(reading) ** 2;
  const off = reading.value - reads[row]!;
  const left = Math.max(0, leftOf(row));
  const borneOut = left / sigma2;
  if (borneOut < BORNE) return { w: 0, off, borneOut };
  return { w: Math.abs(off) / Math.sqrt(left), off, borneOut };
}

function result(
  unknown: readonly string[],
  { x, doubt }: Solved,
  used: readonly Reading[],
  tested: readonly Tested[],
  wrong: readonly Wrong[],
): Adjusted {
  return {
    ...{ unknown, doubt, wrong },
    displaced: Object.fromEntries(
      unknown.map((id, place) => [id, [x[place * 3]!, x[place * 3 + 1]!, x[place * 3 + 2]!] as const]),
    ),
    residuals: new Map(
      used.map(({ measure }, row) => [
        measure.id,
        { off: tested[row]!.off, borneOut: tested[row]!.borneOut },
      ]),
    ),
  };
}
