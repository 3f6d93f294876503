import fc from 'fast-check';
import { NO_SHOP, type BuildDocument, type Hole } from '@larchwood/format';
import { describe, expect, it } from 'vitest';
import { FAMILIES, made, planMade } from '../../../../testing/made.js';
import { Planner } from '../plan/planner.js';
import { work } from '../plan/stages/work.js';
import { stockGroups } from '../stock/plan.js';
import { hasArrived, marksMade, orderStep } from '../stock/orders.js';
import { jobsOf } from '../tools/settings.js';
import { boughtFindings } from './findings.js';
import { cutAlike, cutItems, openItems, orderOf, type ToCut } from './items.js';

const TERMS = {
  ...{ id: 'C-0007', service: 'Somebody', on: '2026-11-02', due: '2026-11-09', price: 12 },
  ...{ tolerance: 0.3, edges: 'Sharp.' },
};
const kart = made('kart', 'ladder');
const cross = planMade(kart).frame.pieces.find(
  ({ member, path }) => !member.mirrored && path.arcs.length === 0,
)!.member;
const cable: Hole = {
  ...{ id: 'c', name: 'cable', use: 'cable', from: 'start', distance: 150, face: 90, off: 0 },
  ...{ diameter: 8, slot: 14 },
};
const drilled = (holes: Hole[]): BuildDocument => ({
  ...kart,
  frame: {
    ...kart.frame,
    members: kart.frame.members.map((member) => (member.id === cross.id ? { ...member, holes } : member)),
  },
});
const ordering = (document: BuildDocument, which: (each: ToCut) => boolean): BuildDocument => {
  const pieces = openItems(planMade(document), document).filter(which);
  return { ...document, cuts: { bends: {}, bars: [], orders: [orderOf(TERMS, pieces)] } };
};
const itemOf = (document: BuildDocument, member = cross.id) =>
  cutItems(planMade(document)).find(({ of }) => of === member)!;

describe('what a cutting service is asked for', () => {
  it.each(FAMILIES)('is every tube and plate that is made for a %s from %s, as it is cut', (kind, set) => {
    const plan = planMade(made(kind, set));
    const items = cutItems(plan);
    const pieces = plan.frame.pieces.filter(({ supplied }) => !supplied);
    expect(items.map(({ item }) => item.mark)).toEqual([
      ...pieces.map(({ mark }) => mark),
      ...plan.frame.plates.map(({ mark }) => mark),
    ]);
    for (const { item } of items) {
      const cut = plan.cuts.find(({ piece }) => piece === item.piece);
      if (!cut) continue;
      expect(item.length).toBe(cut.overall);
      expect(item.sharpest).toBeCloseTo(90 - Math.max(...cut.ends.map(({ offSquare }) => offSquare)), 9);
      const { section, path } = pieces.find(({ id }) => id === item.piece)!;
      expect(item.bent).toBe(path.arcs.length > 0);
      if (section.shape === 'round') expect(item.size).toEqual([section.diameter, section.diameter]);
      if (section.shape === 'round' && (section.butts || section.taper)) expect(item.even).toBe(false);
    }
  });
  it('metal beside a hole is measured to the next hole of its wall, and to the end', () => {
    const bolt = (id: string, distance: number): Hole => ({
      ...{ id, name: id, use: 'bolt', from: 'start', distance, face: 0, off: 0, diameter: 8, far: 6 },
    });
    const { item } = itemOf(drilled([bolt('a', 100), bolt('b', 112)]));
    // 12 mm from middle to middle, less half of each: 8 mm in the near wall, 6 mm in the far one.
    expect(item.holes.map(({ diameter, web }) => [diameter, Number(web.toFixed(6))])).toEqual([
      [8, 4],
      [6, 6],
      [8, 4],
      [6, 6],
    ]);
    const square = planMade(kart).cuts.find(({ piece }) => piece === itemOf(kart).item.piece)!;
    const low = square.ends[0].edge.longest.at - square.ends[0].edge.shortest.at;
    expect(itemOf(drilled([bolt('a', low + 9)])).item.holes[0]!.web).toBeCloseTo(5, 6);
  });
});

describe('an order', () => {
  const bought = ordering(drilled([cable]), ({ of }) => of === cross.id);
  const mark = bought.cuts!.orders![0]!.pieces[0]!.mark;

  it('is planned again without a word, also where the frame has moved by less than is cut', () => {
    expect(boughtFindings(cutItems(planMade(bought)), bought)).toEqual([]);
    const { print } = itemOf(bought);
    fc.assert(
      fc.property(
        fc.nat(print.figures.length - 1),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.boolean(),
        (at, by, turned) => {
          const other = print.figures.map((each, index) =>
            index === at ? each + by + (turned ? 360 : 0) : each,
          );
          if (Math.abs(Math.abs(by) - 0.11) < 1e-6) return;
          expect(cutAlike(print, { ...print, figures: other })).toBe(Math.abs(by) < 0.11);
        },
      ),
    );
    expect(cutAlike(print, { ...print, words: `${print.words} ` })).toBe(false);
    expect(cutAlike(print, { ...print, figures: print.figures.slice(1) })).toBe(false);
  });
  it('tells what is drawn otherwise since, and what is gone', () => {
    const told = (document: BuildDocument) =>
      boughtFindings(cutItems(planMade(document)), document).map(({ code, values }) => [
        code,
        'mark' in values && values.mark,
        'there' in values && values.there,
      ]);
    const { cuts } = bought;
    const moved = { ...drilled([{ ...cable, distance: 151 }]), cuts };
    expect(told(moved)).toEqual([['order-differs', mark, false]]);
    expect(told({ ...moved, done: [{ step: 'order:C-0007', of: 'C-0007', done: true }] })).toEqual([
      ['order-differs', mark, true],
    ]);
    const [order] = cuts!.orders!;
    const gone = [{ ...order!, pieces: [{ ...order!.pieces[0]!, mark: '99' }] }];
    expect(told({ ...bought, cuts: { ...cuts!, orders: gone } })).toEqual([
      ['order-not-wanted', '99', false],
    ]);
  });
  it('is in the plan’s findings, and its pieces are wanted from no bar and offered no more', () => {
    const { cuts } = bought;
    const moved = { ...drilled([{ ...cable, distance: 151 }]), cuts };
    expect(planMade(moved).findings.map(({ code }) => code)).toContain('order-differs');
    const marks = (document: BuildDocument) =>
      stockGroups(planMade(document), NO_SHOP, marksMade(document)).flatMap(({ wanted }) =>
        wanted.map((each) => each.mark),
      );
    expect(marks(drilled([cable]))).toContain(mark);
    expect(marks(bought)).not.toContain(mark);
    expect(openItems(planMade(bought), bought).map(({ item }) => item.mark)).not.toContain(mark);
  });
  it('leaves its pieces no work for any tool', () => {
    const marks = (document: BuildDocument) => {
      const { frame, cuts, holes } = planMade(document);
      return new Set(jobsOf(frame, cuts, holes, document).map((job) => job.mark));
    };
    const all = marks(drilled([cable]));
    expect(all).toContain(mark);
    expect(marks(bought)).toEqual(new Set([...all].filter((each) => each !== mark)));
  });
  it('takes the place of cutting and drilling in the order of work, and cable holes are rounded', () => {
    const steps = new Planner().ask(work, bought).steps;
    const of = (id: string) => steps.find((step) => step.id === id)!;
    expect(of('order:C-0007').due).toBe('2026-11-09');
    expect(of(`cut:${cross.id}`).name).toMatch(/^Look over .*: comes cut$/);
    expect(of(`cut:${cross.id}`).needs.map(({ step }) => step)).toEqual(['order:C-0007']);
    expect(of(`drill:${cross.id}`).name).toMatch(/^Round the cable holes of /);
    const bare = ordering(drilled([{ ...cable, use: 'bolt' }]), ({ of: id }) => id === cross.id);
    const tried = new Planner().ask(work, bare).steps.find(({ id }) => id === `drill:${cross.id}`)!;
    expect(tried.name).toMatch(/^Try the holes of /);
    // Tubes of which one of a pair is bought are made by halves.
    const half = ordering(kart, ({ item }) => item.mark === '1L');
    const rail = new Planner().ask(work, half).steps.find(({ name }) => name.startsWith('Mark and cut 1R'))!;
    expect(rail.pieces).toHaveLength(1);
  });
  it('is here once its step is done', () => {
    const step = orderStep({ id: 'C-0007' });
    const tick = { step: step.id, of: step.of, done: true };
    expect(hasArrived({ id: 'C-0007' }, { ...bought, done: [tick] })).toBe(true);
    expect(hasArrived({ id: 'C-0007' }, { ...bought, done: [{ ...tick, done: false }] })).toBe(false);
    expect(hasArrived({ id: 'C-0008' }, { ...bought, done: [tick] })).toBe(false);
  });
});
