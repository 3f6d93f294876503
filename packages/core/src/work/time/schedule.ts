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
  /** Of so many people, 0 for the first. */
  readonly who: number;
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

/** A moment: a day after the first, and hours from the beginning of its working time. */
interface Moment {
  readonly day: number;
  readonly at: number;
}
const EPSILON = 1e-9;
const isBefore = (a: Moment, b: Moment): boolean =>
  a.day < b.day || (a.day === b.day && a.at < b.at - EPSILON);
const START: Moment = { day: 0, at: 0 };

/**
 * Steps in their order, in the working times of a week: one person does one after the other, several each take the first
 * that can be begun. After some steps days must pass before what needs them, and some wait for a day on which something
 * comes; who has time goes on with what does not. What is done takes no time any more.
 * @param hours of a step, by the builder's own word, the workshop's log, or as usual
 * @param first day, as `2026-12-04`
 * @param people who work at the same time, at steps of their own
 */
export function schedule(
  steps: readonly Step[],
  work: Pick<WorkData, 'waits'>,
  week: Calendar['week'],
  hours: (step: Step) => number,
  isDone: (step: string) => boolean,
  first: string,
  people = 1,
): Schedule {
  const firstDay = weekdayOf(first);
  const own = Object.fromEntries(steps.map((step) => [step.id, hours(step)]));
  const open = steps.filter(({ id }) => !isDone(id));
  const left = open.reduce((sum, { id }) => sum + own[id]!, 0);
  if (!week.some((each) => each > 0)) return { slots: [], hours: own, left, days: undefined, chain: [] };
  const waits = (id: string) => work.waits[id] ?? USUAL_WAITS[id] ?? 0;
  const byId = new Map(steps.map((step) => [step.id, step]));
  const ready = new Map<string, Moment>(steps.filter(({ id }) => isDone(id)).map(({ id }) => [id, START]));
  const slots: Slot[] = [];
  const cause = new Map<string, string | undefined>();
  const waiting = [...open];
  const hands = Array.from({ length: people }, (_, who) => ({
    who,
    ...START,
    last: undefined as string | undefined,
  }));
  const roomOn = (day: number) => week[(firstDay + day) % 7]!;
  /** From when on a step can be begun; none where it waits for one that is not planned yet. */
  const startOf = (step: Step): Moment | undefined => {
    let from: Moment = { day: step.due === undefined ? 0 : Math.max(0, daysBetween(first, step.due)), at: 0 };
    for (const { step: id, why } of step.needs) {
      if (!byId.has(id)) continue;
      const there = ready.get(id);
      if (there === undefined) {
        if (why === 'usual' || why === 'own') continue;
        return undefined;
      }
      if (isBefore(from, there)) from = there;
    }
    return from;
  };
  let end: { readonly moment: Moment; readonly step: string } | undefined;
  while (waiting.length > 0) {
    const hand = hands.reduce((early, each) => (isBefore(each, early) ? each : early));
    if (hand.day >= FARTHEST) break;
    const index = waiting.findIndex((step) => {
      const start = startOf(step);
      return start !== undefined && !isBefore(hand, start);
    });
    if (index < 0 || roomOn(hand.day) - hand.at < LEAST) {
      // Idle until something can be begun today, or till the next day.
      const later =
        index < 0 ? waiting.map(startOf).flatMap((start) => (start?.day === hand.day ? [start.at] : [])) : [];
      if (later.length > 0) hand.at = Math.min(...later);
      else [hand.day, hand.at] = [hand.day + 1, 0];
      continue;
    }
    const [step] = waiting.splice(index, 1) as [Step];
    cause.set(step.id, causeOf(step, hand));
    let todo = own[step.id]!;
    while (todo > EPSILON && hand.day < FARTHEST) {
      const takes = Math.min(todo, roomOn(hand.day) - hand.at);
      if (takes > 0)
        slots.push({ step: step.id, day: hand.day, from: hand.at, to: hand.at + takes, who: hand.who });
      todo -= takes;
      hand.at += takes;
      if (todo > EPSILON) [hand.day, hand.at] = [hand.day + 1, 0];
    }
    const wait = waits(step.id);
    const moment = { day: hand.day, at: hand.at };
    ready.set(step.id, wait > 0 ? { day: hand.day + Math.ceil(wait), at: 0 } : moment);
    hand.last = step.id;
    if (!end || !isBefore(moment, end.moment)) end = { moment, step: step.id };
  }
  const chain: string[] = [];
  for (let id = end?.step; id !== undefined && !chain.includes(id); id = cause.get(id)) chain.unshift(id);
  const days = waiting.length > 0 ? undefined : Math.max(0, ...slots.map(({ day }) => day));
  return { slots, hours: own, left, days, chain };

  /** What decided when a step is begun: a need that was ready just then, or what the same person did before. */
  function causeOf(step: Step, { day, at, last }: Moment & { readonly last: string | undefined }) {
    // What had to pass days first decided it, if there was nothing else to do that day.
    if (at === 0 && step.due !== undefined && daysBetween(first, step.due) === day) return undefined;
    const just = step.needs.filter(({ step: id }) => {
      const there = ready.get(id);
      return there !== undefined && there.day === day && Math.abs(there.at - at) < EPSILON && id !== last;
    });
    const late = just.find(({ step: id }) => slots.some((slot) => slot.step === id));
    return late?.step ?? last;
  }
}
