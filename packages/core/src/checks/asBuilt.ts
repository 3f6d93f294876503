import { CHECK_STAGE_IDS, type CheckStage, type Measured } from '@larchwood/format';
import type { Preset } from '../fixture/context.js';
import type { KeyId, Keys, Places } from '../fixture/keys.js';
import type { Measurer } from '../fixture/outcomes.js';
import { add, type Vector } from '../vector/vector.js';
import {
  adjust,
  atOf,
  knownBefore,
  slopes,
  slopesOf,
  type Adjusted,
  type Network,
  type Reading,
  type Wrong,
} from './adjust.js';
import { unconfirmedOf, type Unconfirmed } from './confirm.js';
import type { AsBuiltFigure } from './figure.js';
import { gainsOf, varianceOf, type Doubt } from './doubt.js';
import { comparedOf, type At, type Measurand } from './measure.js';
import type { MeasuringList } from './list.js';
import { figureTolerance, measurerFor, type Measurable } from './measures.js';
import { setOffAt } from './setOff.js';
import { CHECK_STAGES } from './stages.js';
import { toeFigures } from './toe.js';

export interface AsBuilt {
  readonly stage: CheckStage;
  readonly readings: number;
  readonly figures: readonly AsBuiltFigure[];
  readonly wrong: readonly Wrong[];
  /** Readings that nothing else bears out. */
  readonly unconfirmed: readonly Unconfirmed[];
  readonly displaced: Readonly<Record<string, Vector>>;
  /** How well each displacement is known along each axis: one standard deviation, mm. */
  readonly known: Readonly<Record<string, Vector>>;
}

/** What was learned is more than half of what there was to learn, or it is known to within its tolerance. */
const LEARNED = 0.5;

export interface WithOutcomes extends Network {
  readonly keys: Keys;
  readonly measurer: Measurer;
}
/** The network of a list: its points, and the outcomes that hang on the key points. */
export function networkOf(from: Measurable, { points }: MeasuringList): WithOutcomes {
  const { keys, measurer } = measurerFor(from);
  const index = new Map(measurer.definitions.map(({ id }, place) => [id, place]));
  return {
    ...{ points, keys, measurer },
    outcome: (id, at) => measurer.at(placesOf(keys, at))[index.get(id)!]!,
  };
}
export const placesOf = (keys: Keys, at: At): Places =>
  Object.fromEntries((Object.keys(keys) as KeyId[]).map((id) => [id, at(id)]));

/**
 * Readings of a stage whose measures are still in the list. Gaps hang on no point of the frame: where all four are read, they
 * stand for how far the front lies beside the rear's line, unless that was read by itself.
 */
export const readingsOf = (
  { measures, comparisons }: Pick<MeasuringList, 'measures' | 'comparisons'>,
  measured: readonly Measured[],
  stage: CheckStage,
): readonly Reading[] => {
  const byId = new Map(measures.map((measure) => [measure.id, measure]));
  const mine = measured.filter(({ stage: of }) => of === stage);
  const read = mine.flatMap(({ measure: id, value, spread }) => {
    const measure = byId.get(id);
    return measure && measure.as !== 'gap'
      ? [{ measure, value, ...(spread === undefined ? {} : { spread }) }]
      : [];
  });
  const offset = measures.find(({ outcome }) => outcome === 'offset');
  const strung = comparisons.find(({ as }) => as === 'beside');
  if (!offset || !strung || read.some(({ measure }) => measure === offset)) return read;
  const gaps = strung.of.flatMap((id) => mine.find(({ measure }) => measure === id)?.value ?? []);
  if (gaps.length < strung.of.length) return read;
  const { id, name } = strung;
  return [...read, { measure: { ...offset, id, name }, value: comparedOf(strung, gaps) }];
};

/** The last stage at which anything was measured. */
export function lastStage(measured: readonly Measured[]): CheckStage | undefined {
  const there = new Set(measured.map(({ stage }) => stage));
  return [...CHECK_STAGE_IDS].reverse().find((stage) => there.has(stage));
}

/**
 * Trail, angles, wheelbase and symmetry as they came out at a stage, from whatever was read there.
 * @returns undefined where nothing was read
 */
export function asBuiltOf(
  from: Measurable,
  list: MeasuringList,
  measured: readonly Measured[],
  stage: CheckStage,
): AsBuilt | undefined {
  const count = measured.filter(
    ({ stage: of, measure }) => of === stage && list.measures.some(({ id }) => id === measure),
  ).length;
  if (count === 0) return undefined;
  const readings = readingsOf(list, measured, stage);
  const network = networkOf(from, list);
  const keys = Object.keys(network.keys);
  const adjusted = adjust(network, readings, keys);
  const taken = new Set(readings.map(({ measure }) => measure.id));
  const { whole: onWheels } = CHECK_STAGES[stage];
  const open = list.measures.filter(
    ({ id, whole, as, points }) =>
      !taken.has(id) &&
      (whole === onWheels || as !== 'outcome') &&
      points.every((point) => keys.includes(point)),
  );
  const openHere = list.measures.filter(
    ({ id, whole, points }) =>
      !taken.has(id) && whole === onWheels && points.every((point) => adjusted.unknown.includes(point)),
  );
  return {
    stage,
    readings: count,
    figures: [
      ...figuresOf(network, adjusted, open, list, setOffAt(list, measured, stage)?.by ?? {}),
      ...toeFigures(list, measured, stage, from.stance),
    ],
    wrong: adjusted.wrong,
    unconfirmed: unconfirmedOf(network, adjusted, readings, openHere),
    displaced: adjusted.displaced,
    known: Object.fromEntries(
      adjusted.unknown.map((id, place) => [
        id,
        [0, 1, 2].map((axis) => {
          const row = new Float64Array(adjusted.unknown.length * 3);
          row[place * 3 + axis] = 1;
          return Math.sqrt(varianceOf(adjusted.doubt, row));
        }),
      ]),
    ) as unknown as Record<string, Vector>,
  };
}

/** How each outcome goes with the unknowns, about a place. */
export const outcomeSlopes = (
  network: WithOutcomes,
  unknown: readonly string[],
  x: ArrayLike<number>,
): readonly Float64Array[] =>
  slopesOf(network, unknown, x, Object.keys(network.keys), (at) =>
    network.measurer.at(placesOf(network.keys, at)),
  );

function figuresOf(
  network: WithOutcomes,
  { unknown, displaced, doubt }: Adjusted,
  open: readonly Measurand[],
  list: MeasuringList,
  by: Preset,
): AsBuiltFigure[] {
  const { keys, measurer } = network;
  const x = unknown.flatMap((id) => [...displaced[id]!]);
  const values = measurer.at(placesOf(keys, atOf(network, unknown, x)));
  const drawn = measurer.at(placesOf(keys, (id) => add(network.points[id]!.at, by[id] ?? [0, 0, 0])));
  const rows = outcomeSlopes(network, unknown, x);
  const candidates = open.map((measure) => ({ measure, row: slopes(network, unknown, x, measure) }));
  const before = knownBefore(network, unknown);
  return measurer.definitions.map(({ id, name, quantity }, index) => {
    const row = rows[index]!;
    const sigma = Math.sqrt(varianceOf(doubt, row));
    const tolerance = figureTolerance(list, { id, quantity });
    const told = sigma <= LEARNED * Math.sqrt(varianceOf(before, row)) || 2 * sigma <= tolerance.value;
    const best = told ? undefined : bestNext(doubt, row, candidates);
    return {
      ...{ id, name, quantity, drawn: drawn[index]!, value: values[index]!, sigma, tolerance, told },
      ...(best ? { next: best } : {}),
    };
  });
}

/** The one reading more that leaves least doubt. */
function bestNext(
  doubt: Doubt,
  row: Float64Array,
  candidates: readonly { readonly measure: Measurand; readonly row: Float64Array }[],
): AsBuiltFigure['next'] {
  const variance = varianceOf(doubt, row);
  const [best] = candidates
    .map(({ measure, row: taken }) => ({
      measure: measure.id,
      left: variance - gainsOf(doubt, [row], { row: taken, sigma: measure.reads })[0]!,
    }))
    .sort((a, b) => a.left - b.left);
  return best && best.left < variance * 0.9
    ? { measure: best.measure, sigma: Math.sqrt(Math.max(0, best.left)) }
    : undefined;
}
