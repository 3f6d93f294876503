import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Hole } from '@larchwood/format';
import { made, FAMILIES } from '../../../../../testing/made.js';
import { Planner } from '../../plan/planner.js';
import { work } from '../../plan/stages/work.js';
import { distance, length, mirror } from '../../vector/vector.js';
import { estimate, passesOf, processFor, PROCESSES, tacksOf, TWO_PASS } from './estimate.js';
import {
  balanced,
  COOL_FROM,
  COOLS,
  HEAT,
  heatOf,
  neighbours,
  pauseOf,
  warmthOf,
  withMoves,
} from './order.js';
import { USUAL_WORK } from '../input.js';
import { FLUSH_WELD, flushEdge } from './flush.js';
import type { Seam } from './seams.js';
import { segmentsOf, stretchName, type Segment } from './segments.js';

const seamsIn = (kind: string, set: string): readonly Seam[] =>
  new Planner().ask(work, made(kind, set)).seams;
const ids = (order: readonly Segment[]): string[] => order.map(({ id }) => id);

describe('seams', () => {
  it('are as long as the real cut: a cope at right angles on a tube of its own size is two half ellipses', () => {
    const [seam] = seamsIn('kart', 'kart').filter(({ points }) => points.length > 0);
    expect(seam!.length).toBeGreaterThan(0);
    // Ramanujan's second approximation of an ellipse with half axes r and r times the root of two, each half twice.
    const r = 15;
    const [a, b] = [r * Math.SQRT2, r];
    const h = ((a - b) / (a + b)) ** 2;
    const ellipse = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
    const equal = seamsIn('kart', 'kart').find(
      ({ piece, id }) => piece === 'seatCross' || id.startsWith('seatCross'),
    );
    const cross = equal ?? seamsIn('kart', 'kart').find(({ mark, to }) => mark === '4' && to[0] === '1L');
    expect(cross!.length).toBeCloseTo(ellipse, 0);
  });
  it.each(FAMILIES)(
    '%s %s: each place lies on its seam, its direction is a unit vector, and twins mirror',
    (kind, set) => {
      const all = seamsIn(kind, set);
      const byId = new Map(all.map((seam) => [seam.id, seam]));
      expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
      for (const seam of all) {
        expect(seam.length).toBeGreaterThan(5);
        for (const { at, open } of seam.points) {
          expect(length(open)).toBeCloseTo(1, 9);
          expect(distance(at, seam.centre)).toBeLessThan(260);
        }
        const twin = seam.twin === undefined ? undefined : byId.get(seam.twin);
        if (!twin || twin.mark === seam.mark) continue;
        expect(twin.length).toBeCloseTo(seam.length, 1);
        expect(distance(twin.centre, mirror(seam.centre))).toBeLessThan(0.01);
      }
    },
  );
});

/** Stretches anywhere within a metre, some of them pairs. */
const segments = (most: number) =>
  fc
    .array(fc.tuple(fc.integer({ min: -500, max: 500 }), fc.integer({ min: 10, max: 500 }), fc.boolean()), {
      minLength: 2,
      maxLength: most,
    })
    .map((places) =>
      places.flatMap(([x, y, pair], index): Segment[] => {
        const one = (id: string, twin: string | undefined, side: number): Segment => ({
          ...{ id, seam: id, name: id, pass: 'root', quarter: 0, length: 20, twin },
          at: [x, side * y, 0],
        });
        return pair
          ? [one(`s${index}L`, `s${index}R`, 1), one(`s${index}R`, `s${index}L`, -1)]
          : [one(`s${index}`, undefined, 1)];
      }),
    );

function permutations<T>(all: readonly T[]): T[][] {
  return all.length < 2
    ? [[...all]]
    : all.flatMap((each, index) =>
        permutations([...all.slice(0, index), ...all.slice(index + 1)]).map((rest) => [each, ...rest]),
      );
}

describe('plug welds', () => {
  const ladder = made('kart', 'ladder');
  const rail = ladder.frame.members.find(({ name, mirrored }) => mirrored && /rail/i.test(name))!;
  const hole: Hole = {
    ...{
      id: 'p',
      name: 'plug weld',
      use: 'plug',
      from: 'start',
      distance: 400,
      face: 90,
      off: 0,
      diameter: 8,
    },
  };
  const plugged = (more: Partial<Hole> = {}) =>
    new Planner()
      .ask(work, {
        ...ladder,
        frame: {
          ...ladder.frame,
          members: ladder.frame.members.map((each) =>
            each.id === rail.id ? { ...each, holes: [{ ...hole, ...more }] } : each,
          ),
        },
      })
      .seams.filter(({ plug }) => plug);
  it('are once round their hole, one in either of a pair, each on the outside of its wall', () => {
    const [left, right] = plugged() as [Seam, Seam];
    expect(left.length).toBeCloseTo(8 * Math.PI, 9);
    expect(plugged({ slot: 20 })[0]!.length).toBeCloseTo(8 * Math.PI + 2 * 12, 9);
    expect([left.twin, right.twin]).toEqual([right.id, left.id]);
    expect(distance(mirror(left.centre), right.centre)).toBeLessThan(1e-6);
    for (const { at, open } of left.points) {
      expect(distance(at, left.centre)).toBeCloseTo(4, 6);
      expect(Math.abs(open[1])).toBeCloseTo(1, 6);
    }
    // Through both walls it is two; a bolt is none.
    expect(plugged({ far: 8 })).toHaveLength(4);
    expect(plugged({ use: 'bolt' })).toEqual([]);
  });
  it('are filled in one go, whatever the wall, and right after one another', () => {
    const seams = plugged();
    const segments = segmentsOf(seams);
    expect(segments.map(({ pass, length: long, plug }) => [pass, Math.round(long), plug])).toEqual([
      ['root', 25, true],
      ['root', 25, true],
    ]);
    expect(segments[0]!.twin).toBe(segments[1]!.id);
    expect([passesOf({ wall: TWO_PASS, plug: true }), passesOf({ wall: TWO_PASS })]).toEqual([1, 2]);
    expect(stretchName(segments[0]!)).toBe('all of it');
  });
});

describe('seams that are ground flush', () => {
  it('get a bevel from 2 mm of wall up, by its angle and land, and else half the wall as gap', () => {
    const { thin, land, angle } = FLUSH_WELD;
    expect(flushEdge({ wall: thin - 0.01 })).toEqual({ land: thin - 0.01, bevel: 0, gap: (thin - 0.01) / 2 });
    expect(flushEdge({ wall: thin }).bevel).toBeCloseTo(Math.tan((angle * Math.PI) / 180) * (thin - land), 9);
    // 4 mm with 1 mm left, at 35 degrees: 2.10 wide.
    expect(flushEdge({ wall: 4 })).toEqual({ land: 1, bevel: expect.closeTo(2.1006, 4), gap: 1 });
  });
  it('are told before they are tacked, and where they are welded', () => {
    const buggy = made('buggy', 'buggy');
    const planner = new Planner();
    const told = (flush?: string[]) =>
      planner
        .ask(work, { ...buggy, work: { ...USUAL_WORK, ...(flush ? { flush } : {}) } })
        .steps.flatMap(({ sort, lines }) => (lines ?? []).map(({ id, text }) => `${sort} ${id} ${text}`));
    const seam = planner
      .ask(work, buggy)
      .seams.find(({ wall, to }) => wall >= FLUSH_WELD.thin && to[0] !== 'cap')!;
    const added = told([seam.id]).filter((line) => !told().includes(line));
    expect(added.map((line) => line.split(' ')[0])).toEqual(['tack', 'tack', 'weld']);
    expect(added[0]).toContain('bevel the outside of its edge');
    expect(added[2]).toContain('ground flush when it is cold');
    expect(told(['never.was'])).toEqual(told());
  });
});

describe('the order of welding', () => {
  it('is as cool as the best of all orders most often, and never a quarter warmer: brute force on small frames', () => {
    let [best, near] = [0, 0];
    fc.assert(
      fc.property(segments(6), (all) => {
        const alone = all.filter(({ twin }) => twin === undefined).slice(0, 6);
        if (alone.length < 3) return;
        const least = Math.min(...permutations(alone).map(heatOf));
        const { order, heat } = balanced(alone);
        expect(heatOf(order)).toBeCloseTo(heat, 9);
        expect(heat).toBeLessThan(least * 1.25 + 1e-9);
        if (heat < least + 1e-9) best += 1;
        near += 1;
      }),
      { numRuns: 60 },
    );
    expect(near).toBeGreaterThan(10);
    expect(best / near).toBeGreaterThan(0.7);
  });
  it('has every stretch once, twins right after one another, and is never warmer than from its farthest-first start', () =>
    fc.assert(
      fc.property(segments(14), (all) => {
        const { order, heat } = balanced(all);
        expect(ids(order).sort()).toEqual(ids(all).sort());
        order.forEach((segment, index) => {
          if (segment.twin === undefined) return;
          const beside = [order[index - 1]?.id, order[index + 1]?.id];
          expect(beside).toContain(segment.twin);
        });
        expect(heat).toBeLessThanOrEqual(balanced(all, { rounds: 0 }).heat + 1e-9);
        expect(heat).toBeLessThanOrEqual(heatOf(all) * 1.3 + 1e-9);
      }),
      { numRuns: 60 },
    ));
  it.each(FAMILIES)(
    '%s %s: roots before caps, no two neighbours in a row, and far cooler than seam after seam',
    (kind, set) => {
      const all = segmentsOf(seamsIn(kind, set).filter(({ to }) => to[0] !== 'cap'));
      const { order, heat } = balanced(all);
      const passes = order.map(({ pass }) => pass);
      expect(passes.indexOf('cap') === -1 || passes.lastIndexOf('root') < passes.indexOf('cap')).toBe(true);
      expect(order.filter((each, index) => index > 0 && neighbours(order[index - 1]!, each))).toEqual([]);
      expect(heat).toBeLessThan(0.5 * heatOf(all));
      const [first, second] = order;
      expect(ids(withMoves(order, [{ seam: second!.id, after: 'start' }])).slice(0, 2)).toEqual([
        second!.id,
        first!.id,
      ]);
      expect(withMoves(order, [{ seam: 'gone', after: 'start' }])).toEqual(order);
      expect(ids(withMoves(order, [{ seam: first!.id, after: order.at(-1)!.id }])).at(-1)).toBe(first!.id);
    },
  );
  it('tells how far it is, and stops with the best so far', () => {
    const all = segmentsOf(seamsIn('kart', 'kart'));
    const shares: number[] = [];
    const { order } = balanced(all, { progress: (share) => shares.push(share) < 2 });
    expect(shares).toHaveLength(2);
    expect(ids(order).sort()).toEqual(ids(all).sort());
  });
  it('heat fades over the window and with distance', () => {
    const at = (x: number): Segment => ({
      ...{
        id: String(x),
        seam: String(x),
        name: '',
        pass: 'root',
        quarter: 0,
        length: 1,
        twin: undefined,
      },
      at: [x, 0, 0],
    });
    expect(heatOf([at(0), at(HEAT.reach)])).toBeCloseTo(Math.exp(-1), 12);
    const filler = Array.from({ length: HEAT.window - 1 }, (_, index) => at(1e6 * (index + 1)));
    expect(heatOf([at(0), ...filler, at(0)])).toBeCloseTo(HEAT.fades ** (HEAT.window - 1), 12);
    expect(heatOf([at(0), ...filler, at(1e7), at(0)])).toBe(0);
    // What each takes adds up to what all give; a neighbour at once is let cool, one two thirds of its reach away as well.
    const line = [at(0), at(30), at(400), at(10)];
    expect(warmthOf(line).reduce((sum, each) => sum + each, 0)).toBeCloseTo(heatOf(line), 12);
    const near = -Math.log(COOL_FROM) * HEAT.reach;
    expect(warmthOf([at(0), at(near - 0.1)])[1]!).toBeGreaterThan(COOL_FROM);
    expect(warmthOf([at(0), at(near + 0.1)])[1]!).toBeLessThan(COOL_FROM);
    // Let cool until what is left of it is just what may be welded on.
    expect([pauseOf(COOL_FROM), pauseOf(COOL_FROM * Math.E)]).toEqual([0, COOLS]);
    expect(1.4 * Math.exp(-pauseOf(1.4) / COOLS)).toBeCloseTo(COOL_FROM, 12);
  });
});

describe('what a weld takes', () => {
  it('is two passes from 3 mm up, three tacks below 90 mm, and more the longer it is', () => {
    expect([passesOf({ wall: TWO_PASS - 0.01 }), passesOf({ wall: TWO_PASS })]).toEqual([1, 2]);
    expect([tacksOf({ length: 89.9 }), tacksOf({ length: 90 })]).toEqual([3, 4]);
    expect([processFor({ wall: 1.6 }), processFor({ wall: 1.61 })]).toEqual(['tig', 'mig']);
    const one = estimate({ length: 100, wall: 2 }, 'mig');
    expect(one.arc).toBeCloseTo(100 / PROCESSES.mig.speed, 9);
    expect(estimate({ length: 200, wall: 2 }, 'mig').minutes).toBeCloseTo(2 * one.minutes, 9);
    // A fillet of 2.4 mm leg, 100 mm long, of steel: half of its square, times length and 7.85 g/cm3.
    expect(one.filler).toBeCloseTo((2.4 ** 2 / 2) * 100 * 7.85e-3, 9);
    expect(estimate({ length: 100, wall: 2 }, 'mig', 1.5).arc).toBeCloseTo(1.5 * one.arc, 9);
  });
});
