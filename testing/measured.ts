import type { CheckStage, Measured } from '@larchwood/format';
import type { MeasuringList } from '../packages/core/src/checks/list.js';
import { measuringList, type Measurable } from '../packages/core/src/checks/measures.js';
import { readOff } from './bent.js';
import { made, planMade } from './made.js';

/** A build with what a measuring list is made of. */
export const measurable = (kind: string, set: string) => {
  const document = made(kind, set);
  const { stance, frame } = planMade(document);
  return { document, stance, frame };
};
export const tourer = measurable('bicycle', 'touring');
export const kart = measurable('kart', 'ladder');
const lists = new Map<Measurable, MeasuringList>([tourer, kart].map((from) => [from, measuringList(from)]));
export const listOf = (from: Measurable): MeasuringList => lists.get(from)!;

export type Shifts = Readonly<Record<string, readonly [number, number, number]>>;
/** Where points lie that have come to lie elsewhere. */
export const drawn =
  (list: MeasuringList, shifts: Shifts = {}) =>
  (id: string) => {
    const { at } = list.points[id]!;
    const [x, y, z] = shifts[id] ?? [0, 0, 0];
    return [at[0] + x, at[1] + y, at[2] + z] as const;
  };
/** What would be read of it, to the last figure. */
export const measuredWith = (from: Measurable, shifts: Shifts, stage: CheckStage = 'off'): Measured[] => {
  const list = listOf(from);
  return readOff(from, list, drawn(list, shifts), stage, false);
};
export const named = (list: MeasuringList, id: string) => list.measures.find((measure) => measure.id === id)!;
