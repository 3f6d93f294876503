import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { NO_SHOP, USUAL_SAWING, type CutBar, type Shop } from '@larchwood/format';
import { made, planMade } from '../../../../testing/made.js';
import { firstNest, longestOf, type BarSource, type Cutting, type Nest, type Wanted } from './nest.js';
import {
  CUT_TO,
  cutBar,
  cutFindings,
  goneFromRack,
  leftId,
  oneEachNest,
  rackChanges,
  shoppingOf,
  stockFindings,
  stockGroups,
} from './plan.js';
import { foundNest, nestedBy, nestPlace, restOf } from './lookedFor.js';
import { marksMade } from './orders.js';
import { proveNest, solverFrom, type LinearSolver, type Proven } from './prove.js';

const solve: LinearSolver = solverFrom(await loadHighs());
const NO_LOSS: Cutting = { kerf: 0, trim: 0 };
const pieces = (lengths: readonly number[]): Wanted[] =>
  lengths.map((length, index) => ({ piece: `p${index}`, mark: String(index + 1), length }));
const sold = (length: number, cost = length, most?: number): BarSource => ({
  ...{ id: `s${length}`, length, cost, offcut: false },
  ...(most === undefined ? {} : { most }),
});
const rack = (id: string, length: number): BarSource => ({ id, length, cost: 0, most: 1, offcut: true });
function proven(wanted: readonly Wanted[], sources: readonly BarSource[], cutting = NO_LOSS): Proven {
  const steps = proveNest(wanted, sources, cutting, solve);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}
/** Whether a nest can be sawn: each piece once, no bar fuller than it is, none used oftener than it is there. */
function sound({ bars, over }: Nest, wanted: readonly Wanted[], { kerf, trim }: Cutting): void {
  const marks = [...bars.flatMap((bar) => bar.pieces), ...over].map(({ mark }) => mark);
  expect(marks.sort()).toEqual(wanted.map(({ mark }) => mark).sort());
  const used = new Map<string, number>();
  for (const { source, pieces: held, left } of bars) {
    const lengths = held.reduce((sum, { length }) => sum + length, 0);
    const ends = source.offcut ? 0 : 2 * trim;
    // A cut between two pieces each, and one behind the last where anything is left.
    expect(lengths + kerf * (held.length - 1) + ends).toBeLessThanOrEqual(source.length + 1e-6);
    const rest = source.length - ends - lengths - kerf * held.length;
    expect(left).toBeCloseTo(Math.max(0, rest), 6);
    used.set(source.id, (used.get(source.id) ?? 0) + 1);
    expect(used.get(source.id)!).toBeLessThanOrEqual(source.most ?? Infinity);
  }
}

describe('a nest', () => {
  it('two pieces of 3000 and the saw’s cut do not come out of 6000, but do without a cut', () => {
    const wanted = pieces([3000, 3000]);
    expect(firstNest(wanted, [sold(6000)], NO_LOSS).bars).toHaveLength(1);
    expect(firstNest(wanted, [sold(6002)], { kerf: 2, trim: 0 }).bars).toHaveLength(1);
    expect(firstNest(wanted, [sold(6001.9)], { kerf: 2, trim: 0 }).bars).toHaveLength(2);
    expect(firstNest(wanted, [sold(6012)], { kerf: 2, trim: 5 }).bars).toHaveLength(1);
    expect(firstNest(wanted, [sold(6011.9)], { kerf: 2, trim: 5 }).bars).toHaveLength(2);
  });
  it('an off-cut is clean at its ends, a donor’s tube is sawn clean first, also where the best is looked for', () => {
    const wanted = pieces([500]);
    const cutting = { kerf: 2, trim: 5 };
    const donor = (length: number) => ({ ...rack('d', length), donor: true });
    const over = (source: BarSource) => firstNest(wanted, [source], cutting).over.length;
    expect([over(rack('r', 500)), over(donor(510)), over(donor(509.9))]).toEqual([0, 0, 1]);
    // Of two that are as long, only the one that is clean holds it.
    const { nest } = proven(pieces([502, 502]), [donor(505), rack('r', 505), sold(515, 9)], cutting);
    expect(nest.bars.map(({ source }) => source.id).sort()).toEqual(['r', 's515']);
  });
  it('takes the rack first, and the shorter bar where it does', () => {
    const nest = firstNest(pieces([700, 2500]), [sold(6000, 50), sold(3000, 30), rack('r', 720)], {
      kerf: 2,
      trim: 5,
    });
    expect(nest.bars.map(({ source }) => source.id).sort()).toEqual(['r', 's3000']);
    expect(nest.cost).toBe(30);
  });
  it('a piece longer than any bar is left over, with the longest that can be had', () => {
    const cutting = { kerf: 2, trim: 5 };
    const nest = firstNest(pieces([5990, 5990.1, 100]), [sold(6000)], cutting);
    expect(nest.over.map(({ length }) => length)).toEqual([5990.1]);
    expect(longestOf([sold(6000)], cutting)).toBe(5990);
    sound(nest, pieces([5990, 5990.1, 100]), cutting);
  });
  it('of a stock of which so many are to be had no more are used', () => {
    const nest = firstNest(pieces([900, 900, 900]), [sold(1000, 5, 2)], NO_LOSS);
    expect([nest.bars.length, nest.over.length]).toEqual([2, 1]);
  });
  it('first-fit misses what the integer program finds: 6 pieces of two sizes out of three bars', () => {
    const wanted = pieces([51, 51, 51, 27, 27, 27, 26, 26, 26, 23, 23, 23, 25, 25, 25]);
    const { nest, proven: sure } = proven(wanted, [sold(101, 1)]);
    sound(nest, wanted, NO_LOSS);
    expect([nest.bars.length, sure]).toEqual([5, true]);
  });
  it('the textbook instance of a roll of 5600 is cut from 73, which no nest betters (Gilmore–Gomory bound 72.7)', () => {
    const demand = [
      ...[
        [1380, 22],
        [1520, 25],
        [1560, 12],
        [1710, 14],
        [1820, 18],
        [1880, 18],
        [1930, 20],
      ],
      ...[
        [2000, 10],
        [2050, 12],
        [2100, 14],
        [2140, 16],
        [2150, 18],
        [2200, 20],
      ],
    ] as [number, number][];
    const wanted = pieces(demand.flatMap(([length, count]) => Array.from({ length: count }, () => length)));
    const { nest, bound, proven: sure } = proven(wanted, [sold(5600, 1)]);
    sound(nest, wanted, NO_LOSS);
    expect(nest.bars).toHaveLength(73);
    expect(Math.ceil(bound! - 1e-6)).toBe(73);
    expect(sure).toBe(true);
  });
  it('whole bars are part of the bound: four of 58 where three and a half would be long enough is proven', () => {
    const wanted = pieces([
      3396, 1626, 1626, 1391, 1391, 1140, 1140, 1140, 1140, 1109, 980, 980, 935, 935, 809, 670, 670, 638, 638,
      295, 295,
    ]);
    const sources = [sold(6000, 58), sold(3000, 33), rack('r', 1480)];
    const { nest, bound, proven: sure } = proven(wanted, sources, { kerf: 2, trim: 5 });
    expect([nest.cost, bound, sure]).toEqual([232, 232, true]);
  });
  it('before the last pattern is found nothing is said of a bound but what whole bars say', () => {
    const lengths = Array.from({ length: 30 }, (_, index) => 400 + ((index * 397) % 1900));
    const steps = [...proveNest(pieces(lengths), [sold(6000, 1)], NO_LOSS, solve)];
    const last = proven(pieces(lengths), [sold(6000, 1)]);
    expect(steps[0]!.bound).toBeUndefined();
    for (const { bound } of steps)
      if (bound !== undefined) expect(bound).toBeLessThanOrEqual(last.nest.cost + 1e-6);
    // A solver that never comes to the end of its linear programs: the bound of whole bars is all that is known.
    const short: LinearSolver = (program, seconds) => ({
      ...solve(program, seconds),
      proven: /General/.test(program),
    });
    const unsure = proveNest(pieces(lengths), [sold(6000, 1)], NO_LOSS, short);
    let end = unsure.next();
    while (!end.done) end = unsure.next();
    const together = lengths.reduce((sum, length) => sum + length, 0);
    expect(end.value.bound).toBe(Math.ceil(together / 6000));
  });
  it('a bar on the rack that is shorter than every piece changes nothing', () => {
    const wanted = pieces([900, 800, 700, 650]);
    const sources = [rack('short', 300), sold(1000, 7, 9)];
    const [without, withIt] = [proven(wanted, sources.slice(1)), proven(wanted, sources)];
    expect([withIt.nest.cost, withIt.bound, withIt.proven]).toEqual([
      without.nest.cost,
      without.bound,
      without.proven,
    ]);
  });
  it('whatever is wanted: it can be sawn, costs no less than the bound, and the program is never dearer than first-fit', () => {
    const length = fc.integer({ min: 50, max: 2900 });
    fc.assert(
      fc.property(
        fc.array(length, { minLength: 1, maxLength: 25 }),
        fc.array(fc.integer({ min: 200, max: 2500 }), { maxLength: 3 }),
        fc.constantFrom(NO_LOSS, { kerf: 2, trim: 5 }),
        (lengths, offcuts, cutting) => {
          const wanted = pieces(lengths);
          const sources = [
            sold(3000, 33),
            sold(6000, 60),
            ...offcuts.map((each, index) => rack(`r${index}`, each)),
          ];
          const first = firstNest(wanted, sources, cutting);
          sound(first, wanted, cutting);
          const { nest, bound } = proven(wanted, sources, cutting);
          sound(nest, wanted, cutting);
          expect(nest.cost).toBeLessThanOrEqual(first.cost + 1e-6);
          expect(nest.cost).toBeGreaterThanOrEqual(bound! - 1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('tubes that give one piece each', () => {
  const tourer = planMade(made('bicycle', 'road'));
  const groups = stockGroups(tourer, NO_SHOP);
  const butted = groups.filter(({ oneEach }) => oneEach);
  it('are those with thick or narrow ends; a butted one is known by what it is sold as', () => {
    const odd = tourer.frame.pieces.filter(
      ({ section }) => section.shape === 'round' && (section.butts ?? section.taper ?? section.ovalEnd),
    );
    expect(new Set(butted.map(({ section }) => section))).toEqual(
      new Set(odd.map(({ section }) => section.id)),
    );
    for (const group of butted.filter(({ section }) => /^butted/.test(section)))
      expect(group.sources).toMatchObject([{ id: 'as-sold', offcut: false }]);
  });
  it('each piece has a tube of its own, the cheapest that is long enough; none is trimmed first, nothing is left', () => {
    const sources = [sold(650, 30), sold(560, 22), rack('r', 500)];
    const { bars, over, cost } = oneEachNest(pieces([560, 300, 640, 651]), sources, { kerf: 2, trim: 5 });
    expect(bars.map(({ source, pieces: held, left }) => [source.id, held[0]!.length, left])).toEqual([
      ['s650', 640, 0],
      ['s560', 560, 0],
      ['r', 300, 0],
    ]);
    expect([over.map(({ length }) => length), cost]).toEqual([[651], 52]);
  });
});

describe('the stock of a build', () => {
  const plan = planMade(made('buggy', 'buggy'));
  const shop: Shop = {
    ...NO_SHOP,
    stock: { a: { section: 'round-38x2', material: 'dom-1020', length: 4500, price: 58 } },
    rack: { r: { section: 'round-38x2', material: 'dom-1020', length: 1480, note: '' } },
  };
  const groupOf = (done: readonly CutBar[] = [], of = shop) =>
    stockGroups(plan, of, marksMade({ cuts: { bends: {}, bars: [...done] } })).find(
      ({ section }) => section === 'round-38x2',
    )!;
  const cutting = { kerf: USUAL_SAWING.kerf, trim: USUAL_SAWING.trim };
  it('wants every piece once, bent ones as long as they are bent', () => {
    const groups = stockGroups(plan, shop);
    expect(
      groups
        .flatMap(({ wanted }) => wanted)
        .map(({ mark }) => mark)
        .sort(),
    ).toEqual(plan.cuts.map(({ mark }) => mark).sort());
    const [bent] = plan.bends;
    const wanted = groups.flatMap((group) => group.wanted).find(({ mark }) => mark === bent!.mark)!;
    expect(wanted.length).toBeCloseTo(bent!.tube, 6);
  });
  it('buys by price and weighs what it buys', () => {
    const group = groupOf();
    const nest = firstNest(group.wanted, group.sources, cutting);
    const [bought] = shoppingOf(group, nest);
    expect(bought!.cost).toBe(58 * bought!.count);
    // 38 x 2 steel: pi x 36 x 2 mm2 x 7850 kg/m3 = 1.776 kg/m.
    expect(bought!.mass / bought!.count / 4.5).toBeCloseTo(1.776, 2);
    expect(stockFindings(group, nest, cutting, '38 × 2')).toEqual([]);
    const none = stockGroups(plan, NO_SHOP)[0]!;
    const nothing = firstNest(none.wanted, none.sources, cutting);
    expect(stockFindings(none, nothing, cutting, 'x').map(({ code }) => code)).toEqual(['no-stock']);
  });
  it('a bar that is marked cut puts its rest on the rack and its pieces off the list; undone, all is as it was', () => {
    const group = groupOf();
    const nest = firstNest(group.wanted, group.sources, cutting);
    const onRack = nest.bars.find(({ source }) => source.offcut)!;
    const fresh = nest.bars.find(({ source, left }) => !source.offcut && left > USUAL_SAWING.keep)!;
    const bars = [cutBar('b1', group, fresh), cutBar('b2', group, onRack)];
    const apply = (on: Shop, done: readonly CutBar[]): Shop => {
      const changes = new Map(rackChanges('build', done, on, 'kart').map(({ id, offcut }) => [id, offcut]));
      const after = Object.entries({ ...on.rack, ...Object.fromEntries(changes) });
      return { ...on, rack: Object.fromEntries(after.filter(([, offcut]) => offcut)) as Shop['rack'] };
    };
    const cut = apply(shop, bars);
    expect(cut.rack[leftId('b1')]).toMatchObject({ length: Math.floor(fresh.left * 10) / 10, note: 'kart' });
    expect(cut.rack.r!.usedFor).toEqual({ build: 'build', bar: 'b2' });
    expect(rackChanges('build', bars, cut, 'kart')).toEqual([]);
    const later = groupOf(bars, cut);
    expect(later.wanted.length).toBe(group.wanted.length - fresh.pieces.length - onRack.pieces.length);
    expect(later.sources.some(({ id }) => id === 'r')).toBe(false);
    expect(later.sources.some(({ id }) => id === leftId('b1'))).toBe(true);
    expect(apply(cut, [])).toEqual(shop);
    // Thrown away it stays away, as long as its bar is cut.
    const thrown = { ...cut, rack: { ...cut.rack, [leftId('b1')]: goneFromRack(cut.rack[leftId('b1')]!)! } };
    expect(rackChanges('build', bars, thrown, 'kart')).toEqual([]);
    expect(groupOf(bars, thrown).sources.some(({ id }) => id === leftId('b1'))).toBe(false);
    expect(apply(thrown, [])).toEqual(shop);
    expect(goneFromRack(shop.rack.r!)).toBeUndefined();
    // What another build left or used is none of this one’s.
    expect(rackChanges('other', [], cut, '')).toEqual([]);
  });
  it('a piece that was cut and is wanted longer, shorter or not at all is told, just inside and just outside', () => {
    const bar = (mark: string, length: number): CutBar => ({
      ...{ id: 'b', section: 's', material: 'm', length: 6000, left: 0 },
      pieces: [{ piece: 'p', mark, length }],
    });
    const [cut] = plan.cuts.filter(({ piece }) => !plan.bends.some((bend) => bend.piece === piece));
    const told = (mark: string, length: number) =>
      cutFindings(plan, [bar(mark, length)]).map(({ code, severity }) => `${code} ${severity}`);
    expect(told(cut!.mark, cut!.blank - CUT_TO + 0.01)).toEqual([]);
    expect(told(cut!.mark, cut!.blank - CUT_TO - 0.01)).toEqual(['cut-differs look']);
    expect(told(cut!.mark, cut!.blank + CUT_TO + 0.01)).toEqual(['cut-differs note']);
    expect(told('999', 100)).toEqual(['cut-not-wanted note']);
    const [bent] = plan.bends;
    expect(told(bent!.mark, bent!.tube)).toEqual([]);
    expect(told(bent!.mark, bent!.finished)).toEqual(['cut-differs look']);
  });
  it('only what is worth keeping goes on the rack', () => {
    const bar = (left: number): CutBar => ({
      id: 'b',
      section: 's',
      material: 'm',
      length: 6000,
      pieces: [],
      left,
    });
    const kept = (left: number) => rackChanges('build', [bar(left)], NO_SHOP, '').length;
    expect([kept(USUAL_SAWING.keep), kept(USUAL_SAWING.keep - 0.1)]).toEqual([1, 0]);
  });
});

describe('a nest that was looked for', () => {
  const wanted = pieces([51, 51, 51, 27, 27, 27, 26, 26, 26, 23, 23, 23, 25, 25, 25]);
  const group = {
    ...{ section: 's', material: 'm', priced: true, perMm: 1, oneEach: false },
    ...{ wanted, sources: [sold(101, 1)] },
  };
  const place = nestPlace(group, NO_LOSS);
  const nests = { [place]: foundNest(group, proven(wanted, group.sources)) };
  const bars = (of: typeof group, known: Parameters<typeof nestedBy>[0] = nests, cutting = NO_LOSS) => {
    const { nest, proven: sure, lookedFor } = nestedBy(known, of, cutting);
    return [nest.bars.length, sure, lookedFor];
  };
  it('stands as long as it cuts what is wanted, from what is to be had, sawn as it was', () => {
    expect(bars(group)).toEqual([5, true, true]);
    expect(bars(group, {})).toEqual([5, false, false]);
    expect(bars(group, nests, { kerf: 0.1, trim: 0 })[2]).toBe(false);
    const longer = wanted.map((each, index) => (index === 14 ? { ...each, length: 25.1 } : each));
    expect(bars({ ...group, wanted: longer })[2]).toBe(false);
    expect(bars({ ...group, wanted: wanted.slice(1) })[2]).toBe(false);
    expect(bars({ ...group, sources: [sold(101, 2)] })[2]).toBe(false);
  });
  it('claims nothing where more is to be had than it was looked for in, or where one of its bars was cut', () => {
    expect(bars({ ...group, sources: [sold(101, 1), sold(5000, 900)] })).toEqual([5, false, false]);
    const { nest } = nests[place]!;
    const [gone] = nest.bars;
    const left = wanted.filter((piece) => !gone!.pieces.some(({ mark }) => mark === piece.mark));
    const rest = restOf(nest, gone!);
    expect([rest.nest.cost, rest.proven]).toEqual([nest.cost - 1, false]);
    expect(bars({ ...group, wanted: left }, { [place]: rest })).toEqual([4, false, false]);
  });
});
