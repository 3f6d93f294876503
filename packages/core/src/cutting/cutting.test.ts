import fc from 'fast-check';
import { NO_SHOP, type BuildDocument, type Hole, type Member, type Plate } from '@larchwood/format';
import { beforeAll, describe, expect, it } from 'vitest';
import { FAMILIES, made, planMade } from '../../../../testing/made.js';
import { chooseSection } from '../frame/edit/graph.js';
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
      const round = section.shape === 'round';
      expect(item.size).toEqual(
        round ? [section.diameter, section.diameter] : [section.width, section.height],
      );
      expect(item.even).toBe(!round || !(section.butts || section.taper || section.ovalEnd));
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

describe('what tells one cut from another', () => {
  const printOf = (document: BuildDocument, of: string) =>
    cutItems(planMade(document)).find((each) => each.of === of)!.print;
  const withMembers = (document: BuildDocument, id: string, part: Partial<Member>): BuildDocument => ({
    ...document,
    frame: {
      ...document.frame,
      members: document.frame.members.map((member) => (member.id === id ? { ...member, ...part } : member)),
    },
  });
  const bolt: Hole = { ...cable, use: 'bolt', slot: undefined } as unknown as Hole;
  const plain = { cut: 'plain', setback: 0, allowance: 0 } as const;
  const slotted = { cut: 'slotted', setback: 0, slotWidth: 5, slotDepth: 30, allowance: 0 } as const;
  const ended = (end: Member['ends']['end']) => withMembers(kart, cross.id, { ends: { start: plain, end } });
  it.each<[string, () => BuildDocument, () => BuildDocument]>([
    ['its section', () => kart, () => chooseSection([cross.id], 'round-38x2')(kart)],
    ['its metal', () => kart, () => withMembers(kart, cross.id, { material: 'stainless-304' })],
    ['how an end is cut', () => ended(plain), () => ended({ ...plain, cut: 'capped', thickness: 2 })],
    ['an end’s setback', () => ended(plain), () => ended({ ...plain, setback: 3 })],
    ['a slot’s width', () => ended(slotted), () => ended({ ...slotted, slotWidth: 6 })],
    ['a slot’s depth', () => ended(slotted), () => ended({ ...slotted, slotDepth: 31 })],
    ['a hole', () => kart, () => drilled([bolt])],
    ['a hole’s place', () => drilled([bolt]), () => drilled([{ ...bolt, distance: 151 }])],
    ['its face', () => drilled([bolt]), () => drilled([{ ...bolt, face: 180 }])],
    ['its size', () => drilled([bolt]), () => drilled([{ ...bolt, diameter: 8.5 }])],
    ['its length', () => drilled([cable]), () => drilled([{ ...cable, slot: 15 }])],
    ['off the middle', () => drilled([bolt]), () => drilled([{ ...bolt, off: 2 }])],
    ['the far wall', () => drilled([bolt]), () => drilled([{ ...bolt, far: 8 }])],
  ])('is %s', (_, one, other) => {
    const [a, b] = [printOf(one(), cross.id), printOf(other(), cross.id)];
    expect(cutAlike(a, printOf(one(), cross.id))).toBe(true);
    expect(cutAlike(a, b)).toBe(false);
  });
  it('is of a plate its outline, its thickness, each hole and slot, and each fold', () => {
    const plate: Plate = {
      ...{ id: 'tab', piece: 90, name: 'Tab', node: kart.frame.nodes[0]!.id, thickness: 4 },
      ...{ material: 'mild-steel', mirrored: false, plane: 'side', tilt: 0, turn: 0 },
      outline: [
        [10, 5],
        [90, 5],
        [90, 55],
        [10, 55],
      ],
      holes: [
        { at: [30, 30], diameter: 10, slot: { length: 20, turn: 0 } },
        { at: [70, 30], diameter: 8 },
      ],
      bendLines: [{ from: [50, 5], to: [50, 55], angle: 90, radius: 4 }],
    };
    const tabbed = (part: Partial<Plate> = {}) => ({
      ...kart,
      frame: { ...kart.frame, plates: [...kart.frame.plates, { ...plate, ...part }] },
    });
    const whole = cutItems(planMade(tabbed())).find(({ of }) => of === 'tab')!;
    expect(whole.item).toMatchObject({
      ...{ form: 'plate', size: [80, 50], length: 80, wall: 4, sharpest: 90, bent: false, even: true },
      // From its slot's end to the edge 10 mm, and to the other hole 26; the round one to the edge 16.
      holes: [
        { name: 'hole', diameter: 10, web: 10 },
        { name: 'hole', diameter: 8, web: 16 },
      ],
    });
    const [slot, round] = plate.holes;
    const [fold] = plate.bendLines;
    for (const part of [
      { thickness: 4.2 },
      { material: 'stainless-304' },
      { outline: plate.outline.map(([x, y]): [number, number] => [x, y === 55 ? 56 : y]) },
      { holes: [slot!] },
      { holes: [slot!, { ...round!, at: [70, 31] }] },
      { holes: [slot!, { ...round!, diameter: 9 }] },
      { holes: [{ ...slot!, slot: { length: 21, turn: 0 } }, round!] },
      { holes: [{ ...slot!, slot: { length: 20, turn: 5 } }, round!] },
      { bendLines: [] },
      { bendLines: [{ ...fold!, angle: 80 }] },
      { bendLines: [{ ...fold!, from: [51, 5] }] },
      { bendLines: [{ ...fold!, radius: 5 }] },
    ] satisfies Partial<Plate>[])
      expect(cutAlike(whole.print, printOf(tabbed(part), 'tab')), JSON.stringify(part)).toBe(false);
  });
});

describe('an order', () => {
  // Made when it is asked for: what fails while tests are collected fails none of them.
  let bought: BuildDocument;
  let mark: string;
  beforeAll(() => {
    bought = ordering(drilled([cable]), ({ of }) => of === cross.id);
    mark = bought.cuts!.orders![0]!.pieces[0]!.mark;
  });

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
