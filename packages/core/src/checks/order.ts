import type { CheckStage } from '@larchwood/format';
import { knownBefore, slopes, unknownOf } from './adjust.js';
import { networkOf, outcomeSlopes } from './asBuilt.js';
import { gainsOf, varianceOf } from './doubt.js';
import type { MeasuringList } from './list.js';
import { figureTolerance, type Measurable } from './measures.js';
import { CHECK_STAGES } from './stages.js';

/** What a reading adds, in the order that finds most with the fewest. */
export interface Worth {
  readonly measure: string;
  /** Share of what there was to learn that is learned after it, 0 to 1. */
  readonly learned: number;
}

/**
 * The order in which few readings tell most: each time the one that leaves least doubt about trail, angles, wheelbase and
 * symmetry, each counted in its own tolerance; then all that tell no more of those.
 * Source: greedy choice by the trace of the covariance.
 */
export function fewestFirst(from: Measurable, list: MeasuringList, stage: CheckStage): readonly Worth[] {
  const network = networkOf(from, list);
  const { whole } = CHECK_STAGES[stage];
  const open = list.measures.filter((measure) => measure.whole === whole);
  const unknown = unknownOf(
    network,
    open.map((measure) => ({ measure })),
    Object.keys(network.keys),
  );
  const still = new Float64Array(unknown.length * 3);
  const wanted = outcomeSlopes(network, unknown, still).map((row, index) => {
    const tolerance = figureTolerance(list, network.measurer.definitions[index]!);
    return row.map((value) => value / tolerance.value);
  });
  const doubt = knownBefore(network, unknown);
  const left = () => wanted.reduce((sum, row) => sum + varianceOf(doubt, row), 0);
  const first = left();
  let rest = open.map((measure) => ({ measure, row: slopes(network, unknown, still, measure) }));
  const order: Worth[] = [];
  while (rest.length > 0) {
    const gains = rest.map(({ measure, row }) =>
      gainsOf(doubt, wanted, { row, sigma: measure.reads }).reduce((sum, gain) => sum + gain, 0),
    );
    const best = gains.indexOf(Math.max(...gains));
    const { measure, row } = rest[best]!;
    doubt.takeIn({ row, sigma: measure.reads });
    order.push({ measure: measure.id, learned: first > 0 ? 1 - left() / first : 1 });
    rest = rest.filter((_, index) => index !== best);
  }
  return order;
}
