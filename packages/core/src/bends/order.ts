import type { Bending } from '@larchwood/format';
import { planesOf, signedTurn, type Bend, type BendSchedule } from './schedule.js';

/** Another way to go through the bends of a piece. */
export interface BendOrder {
  /** End from which the marks are measured, and that goes through the bender first. */
  readonly from: Bending['from'];
  /** Numbers of the bends from that end, in the order in which they are made. */
  readonly order: readonly number[];
  /** What still stands in the way, how often; and how often the tube is turned about itself. */
  readonly troubles: number;
  readonly turns: number;
}

/** What stands in the way of a bend, how often, where some are made before it. */
type Troubles = (index: number, done: ReadonlySet<number>) => number;

/** More bends than so many are made along the tube: their orders are too many to look through. */
const MOST = 8;
/** A turn of less is none: half of what an angle gauge shows; degrees. */
const NO_TURN = 0.05;

/** What an order costs: what counts first stands first. */
type Cost = readonly [troubles: number, turns: number, degrees: number];
const less = (a: Cost, b: Cost): boolean => {
  const at = a.findIndex((each, index) => Math.abs(each - b[index]!) > 1e-6);
  return at >= 0 && a[at]! < b[at]!;
};
const sum = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];

/**
 * The order of bends with the least in the way, and then the fewest turns of the tube about itself, either end first; undefined
 * where the schedule's own is as good.
 * @param troublesOf what stands in the way of a schedule's bends
 * Source: shortest path over the sets of bends that are made (Held and Karp 1962).
 */
export function betterOrder(
  schedule: BendSchedule,
  troublesOf: (schedule: BendSchedule) => Troubles,
): BendOrder | undefined {
  const { bends, order, from } = schedule;
  if (bends.length > MOST) return undefined;
  const here = costsOf(schedule, troublesOf(schedule));
  const own = here.of(order);
  // Nothing is in the way, and each plane is come to once: no order is better.
  const planes = planesOf(bends).map((plane) => Math.round(signedTurn(plane) / NO_TURN));
  if (own[0] === 0 && own[1] === new Set(planes).size - 1) return undefined;
  let [best, cost]: [BendOrder | undefined, Cost] = [undefined, own];
  const turned = turnedOver(schedule);
  for (const [costs, end] of [
    [here, from],
    [costsOf(turned, troublesOf(turned)), turned.from],
  ] as const) {
    const found = costs.least();
    const [troubles, turns] = found.cost;
    // Fewer degrees alone are not worth another order.
    if (less([troubles, turns, 0], [cost[0], cost[1], 0])) {
      best = { from: end, order: found.order, troubles, turns };
      cost = found.cost;
    }
  }
  return best;
}

function costsOf({ bends }: BendSchedule, troubles: Troubles) {
  const planes = planesOf(bends);
  const known = new Map<string, number>();
  const step = (done: readonly number[], last: number | undefined, next: number): Cost => {
    const sorted = [...done].sort((a, b) => a - b);
    const key = `${sorted.join()} ${next}`;
    let inTheWay = known.get(key);
    if (inTheWay === undefined) known.set(key, (inTheWay = troubles(next, new Set(sorted))));
    const turn = last === undefined ? 0 : Math.abs(signedTurn(planes[next]! - planes[last]!));
    return turn < NO_TURN ? [inTheWay, 0, 0] : [inTheWay, 1, turn];
  };
  return {
    of: (order: readonly number[]): Cost =>
      order.reduce<Cost>(
        (cost, number, place) => {
          const done = order.slice(0, place).map((each) => each - 1);
          return sum(cost, step(done, done.at(-1), number - 1));
        },
        [0, 0, 0],
      ),
    least: (): { readonly cost: Cost; readonly order: readonly number[] } => {
      // The best way to have made a set of bends, by which of them was the last.
      let open = new Map<string, { readonly cost: Cost; readonly done: readonly number[] }>([
        ['', { cost: [0, 0, 0], done: [] }],
      ]);
      while (open.size > 0 && [...open.values()][0]!.done.length < bends.length) {
        const next: typeof open = new Map();
        for (const { cost, done } of open.values())
          for (const index of bends.keys()) {
            if (done.includes(index)) continue;
            const made = [...done, index];
            const all = sum(cost, step(done, done.at(-1), index));
            const key = `${[...made].sort((a, b) => a - b).join()} ${index}`;
            const before = next.get(key);
            if (!before || less(all, before.cost)) next.set(key, { cost: all, done: made });
          }
        open = next;
      }
      const [first, ...rest] = [...open.values()];
      const found = rest.reduce((best, each) => (less(each.cost, best.cost) ? each : best), first!);
      return { cost: found.cost, order: found.done.map((index) => index + 1) };
    },
  };
}

/**
 * The same bends told from the other end of the tube: what was the last is the first. What half a degree moves is still told
 * of the end that was the other one.
 */
export function turnedOver(schedule: BendSchedule): BendSchedule {
  const { bends, from, order } = schedule;
  const count = bends.length;
  const back = [...bends].reverse();
  return {
    ...schedule,
    from: from === 'start' ? 'end' : 'start',
    order: order.map((number) => count + 1 - number),
    bends: back.map((bend, index): Bend => ({
      ...bend,
      number: index + 1,
      mark: bend.markFromOther,
      markFromOther: bend.mark,
      straightBefore: bend.straightAfter,
      straightAfter: bend.straightBefore,
      // Seen from the other side, and the other way along: it stays as it is.
      rotation: index === 0 ? 0 : back[index - 1]!.rotation,
    })),
  };
}
