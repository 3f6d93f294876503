import type { Calendar, WorkData } from '@larchwood/format';
import type { Step } from '../step.js';

/** Evenings and a Saturday: what a builder at home has; common practice, no source. */
export const USUAL_WEEK: Calendar['week'] = [0, 2, 0, 2, 0, 6, 0];
/** Days that pass where the builder says nothing: paint dries. Common practice, no source. */
export const USUAL_WAITS: Readonly<Record<string, number>> = { coat: 2 };

/** A stretch of a step on one day. */
export interface Slot {
  readonly step: string;
  /** Days after the first. */
  readonly day: number;
  /** Hours from the beginning of that day's working time. */
  readonly from: number;
  readonly to: number;
}
export interface Schedule {
  readonly slots: readonly Slot[];
  /** Hours by step, as they count. */
  readonly hours: Readonly<Record<string, number>>;
  /** In all, still to do. */
  readonly left: number;
  /** Day on which the last step ends, after the first; none where there is never time. */
  readonly days: number | undefined;
  /** What decides when it is done: steps, and waits and deliveries that nothing else fills. */
  readonly chain: readonly string[];
}

const DAY = 86_400_000;
const dateOf = (day: string): number => Date.parse(`${day}T00:00:00Z`);
/** 0 for Monday. */
const weekdayOf = (day: string): number => (new Date(dateOf(day)).getUTCDay() + 6) % 7;
const daysBetween = (from: string, to: string): number => Math.round((dateOf(to) - dateOf(from)) / DAY);

/** Longest that is looked ahead, days. */
const FARTHEST = 3 * 366;
const LEAST = 1 / 60;

/**
 * One builder, one step after the other in their order, in the working times of a week. After some steps days must pass
 * before what needs them, and some wait for a day on which something comes; the builder goes on with what does not. What is
 * done takes no time any more.
 * @param hours of a step, by the builder's own word, the workshop's log, or as usual
 * @param first day, as `2026-12-04`
 */
export function schedule(
  steps: readonly Step[],
  work: Pick<WorkData, 'waits'>,
  week: Calendar['week'],
  hours: (step: Step) => number,
  isDone: (step: string) => boolean,
  first: string,
): Schedule {
  const firstDay = weekdayOf(first);
  const own = Object.fromEntries(steps.map((step) => [step.id, hours(step)]));
  const open = steps.filter(({ id }) => !isDone(id));
  const left = open.reduce((sum, { id }) => sum + own[id]!, 0);
  if (!week.some((each) => each > 0)) return { slots: [], hours: own, left, days: undefined, chain: [] };
  const waits = (id: string) => work.waits[id] ?? USUAL_WAITS[id] ?? 0;
  const byId = new Map(steps.map((step) => [step.id, step]));
  const ready = new Map<string, number>(steps.filter(({ id }) => isDone(id)).map(({ id }) => [id, 0]));
  const slots: Slot[] = [];
  const cause = new Map<string, string | undefined>();
  const waiting = [...open];
  let [day, at] = [0, 0];
  let last: string | undefined;
  const room = () => week[(firstDay + day) % 7]!;
  /** First day on which what a step needs is there; none where it waits for one that is not planned yet. */
  const startOf = (step: Step): number | undefined => {
    let from = step.due === undefined ? 0 : Math.max(0, daysBetween(first, step.due));
    for (const { step: id, why } of step.needs) {
      if (!byId.has(id)) continue;
      const there = ready.get(id);
      if (there === undefined) {
        if (why === 'usual' || why === 'own') continue;
        return undefined;
      }
      from = Math.max(from, there);
    }
    return from;
  };
  while (waiting.length > 0 && day < FARTHEST) {
    const index = waiting.findIndex((step) => (startOf(step) ?? Infinity) <= day);
    if (index < 0 || room() - at < LEAST) {
      [day, at] = [day + 1, 0];
      continue;
    }
    const [step] = waiting.splice(index, 1);
    // What had to pass days first decided its beginning, if the builder had nothing else to do that day.
    const late =
      at === 0 ? step!.needs.find(({ step: id }) => waits(id) > 0 && ready.get(id) === day) : undefined;
    const came = at === 0 && step!.due !== undefined && daysBetween(first, step!.due) === day;
    cause.set(step!.id, came ? undefined : (late?.step ?? last));
    let todo = own[step!.id]!;
    while (todo > 1e-9 && day < FARTHEST) {
      const takes = Math.min(todo, room() - at);
      if (takes > 0) slots.push({ step: step!.id, day, from: at, to: at + takes });
      todo -= takes;
      at += takes;
      if (todo > 1e-9) [day, at] = [day + 1, 0];
    }
    const wait = waits(step!.id);
    ready.set(step!.id, wait > 0 ? day + Math.ceil(wait) : day);
    last = step!.id;
  }
  const chain: string[] = [];
  for (let id = last; id !== undefined && !chain.includes(id); id = cause.get(id)) chain.unshift(id);
  return { slots, hours: own, left, days: waiting.length > 0 ? undefined : (slots.at(-1)?.day ?? 0), chain };
}
