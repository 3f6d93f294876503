import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  changesBetween,
  clashes,
  LISTS,
  mineOver,
  ticksOnly,
  withChanges,
  type BuildDocument,
  type List,
  type Part,
} from './index.js';

const base = JSON.parse(
  readFileSync(new URL('../../../demo/ferry-road-tourer.larchwood.json', import.meta.url), 'utf8'),
) as BuildDocument;
// Readings of its own would be taken for those that are put in here.
delete base.measured;
const copy = (): BuildDocument => structuredClone(base);
const reading = (setting: string, set: boolean) => ({ school: 'spine' as const, setting, set });

const step = (name: string, done: boolean, on = '2026-11-29T08:00:00Z') => ({ step: name, of: '', done, on });
const found = (stage: 'tacked' | 'cap', value: number, on = '2026-11-29T08:00:00Z') => ({
  ...{ stage, measure: 'spacing', value, on },
});
const WORK: NonNullable<BuildDocument['work']> = {
  ...{ welding: 'on', vents: 'drained', moves: [], own: [], needs: [], hours: {}, waits: {}, seams: [] },
};

const isList = (part: Part | List): part is List => (LISTS as readonly string[]).includes(part);

/** One edit of each part, told apart by a number. */
const EDITS: Record<Part | List, (document: BuildDocument, n: number) => void> = {
  name: (document, n) => void (document.name = `Name ${n}`),
  kind: (document, n) => void (document.kind = n % 2 ? 'scooter' : 'kart'),
  startingSet: (document, n) => void (document.startingSet = `set-${n}`),
  notes: (document, n) => void (document.notes = `Notes ${n}`),
  brief: (document, n) => void (document.brief.purpose = `For ${n}`),
  units: (document, n) => void (document.units.denominator = n % 2 ? 16 : 64),
  wheels: (document, n) => void (document.wheels.front = { ...document.wheels.rear, sag: n / 10 }),
  stance: (document, n) => void (document.stance.held.headAngle = 70 + n / 10),
  seat: (document, n) => void (document.seat.lock = 20 + n),
  steering: (document, n) =>
    void (n % 3 === 0
      ? delete document.steering
      : (document.steering = { linkage: 'bars', held: { lock: 20 + n }, made: [] })),
  mass: (document, n) => void (document.mass.lumps = document.mass.lumps.slice(n % 2)),
  frame: (document, n) => void (document.frame.nodes[0]!.id = `node${n}`),
  cuts: (document, n) =>
    void (n % 3 === 0
      ? delete document.cuts
      : (document.cuts = { bends: { a: { from: 'end', extra: { start: n, end: 0 } } }, bars: [] })),
  work: (document, n) =>
    void (n % 3 === 0 ? delete document.work : (document.work = { ...WORK, hours: { 'cut:a': n } })),
  profiles: (document, n) =>
    void document.fixture.profiles.push({
      ...{
        school: 'table',
        name: `Table ${n}`,
        units: 'build',
        sizes: {},
        choices: {},
        scales: {},
        stock: {},
      },
    }),
  paper: (document, n) => void (document.paper.thickness = n / 100),
  readings: (document, n) => void document.fixture.readings.push(reading(`setting${n}`, true)),
  done: (document, n) => void (document.done = [...(document.done ?? []), step(`cut:${n}`, true)]),
  checks: (document, n) =>
    void (n % 3 === 0
      ? delete document.checks
      : (document.checks = { own: [], tolerances: { spacing: n }, preset: {} })),
  measured: (document, n) => void (document.measured = [...(document.measured ?? []), found('tacked', n)]),
};
type Edit = [keyof typeof EDITS, number];
const edit = fc.tuple(fc.constantFrom(...(Object.keys(EDITS) as Edit[0][])), fc.integer({ min: 1, max: 9 }));
const after = (edits: readonly Edit[]): BuildDocument => {
  const document = copy();
  for (const [part, n] of edits) EDITS[part](document, n);
  return document;
};

describe('changes of two at once', () => {
  it('whatever was changed, done again to the first document, gives the second', () =>
    fc.assert(
      fc.property(fc.uniqueArray(edit, { selector: ([part]) => part, maxLength: 6 }), (edits) => {
        const next = after(edits);
        const changes = changesBetween(base, next);
        expect(withChanges(base, changes)).toEqual(next);
        const parts = edits.map(([part]) => part).filter((part) => !isList(part));
        expect([...changes.parts.keys()].every((part) => (parts as string[]).includes(part))).toBe(true);
        // A new order of keys is no change.
        const turned = Object.fromEntries(Object.entries(next).reverse()) as BuildDocument;
        expect(changesBetween(next, turned)).toEqual({
          parts: new Map(),
          readings: new Map(),
          done: new Map(),
          measured: new Map(),
        });
      }),
    ));
  it('two that change different parts come out the same in either order; the same part clashes by name', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(edit, { selector: ([part]) => part, minLength: 2, maxLength: 8 }),
        (edits) => {
          const [mine, theirs] = [edits.slice(0, 1), edits.slice(1)];
          const [a, b] = [changesBetween(base, after(mine)), changesBetween(base, after(theirs))];
          expect(clashes(a, b)).toEqual([]);
          expect(withChanges(withChanges(base, a), b)).toEqual(withChanges(withChanges(base, b), a));
          const [part, n] = mine[0]!;
          const other = changesBetween(base, after([[part, (n % 9) + 1]]));
          const differ =
            a.parts.size > 0 &&
            JSON.stringify(a.parts.get(part as never)) !== JSON.stringify(other.parts.get(part as never));
          if (!isList(part)) expect(clashes(a, other)).toEqual(differ && other.parts.size > 0 ? [part] : []);
        },
      ),
    ));
  it('ticks of two settings go together, one setting ticked and read differently clashes, one taken away stays away', () => {
    const ticked = (...readings: BuildDocument['fixture']['readings']) => {
      const document = copy();
      return { ...document, fixture: { ...document.fixture, readings } };
    };
    const from = ticked(reading('a', false));
    const mine = changesBetween(from, ticked(reading('a', true)));
    const theirs = changesBetween(from, ticked(reading('a', false), reading('b', true)));
    expect(clashes(mine, theirs)).toEqual([]);
    expect(withChanges(withChanges(from, theirs), mine).fixture.readings).toEqual([
      reading('a', true),
      reading('b', true),
    ]);
    expect(ticksOnly(mine)).toBe(true);
    expect(ticksOnly(changesBetween(from, { ...from, notes: 'x' }))).toBe(false);
    const away = changesBetween(from, ticked());
    expect(clashes(mine, away)).toEqual(['readings']);
    expect(withChanges(from, away).fixture.readings).toEqual([]);
  });

  it('two who tick one step, each at another minute, do not clash; one who says that something is wrong does', () => {
    const from = copy();
    delete from.done;
    const ticked = (...done: ReturnType<typeof step>[]) => changesBetween(from, { ...from, done });
    const mine = ticked(step('cut:a', true));
    const theirs = ticked(step('cut:a', true, '2026-11-29T08:01:00Z'), step('cut:b', true));
    expect(clashes(mine, theirs)).toEqual([]);
    expect(ticksOnly(mine)).toBe(true);
    const both = withChanges(withChanges(from, theirs), mine);
    expect(both.done?.map(({ step: name }) => name)).toEqual(['cut:a', 'cut:b']);
    expect(clashes(mine, ticked({ ...step('cut:a', false), wrong: 'Too short' } as never))).toEqual(['done']);
    // The last one taken away leaves no empty list.
    expect('done' in withChanges(both, changesBetween(both, from))).toBe(false);
  });
  it('mine over theirs: mine where both changed the same, theirs where only they did', () => {
    const ticks = (...done: ReturnType<typeof step>[]) => ({ ...copy(), done });
    const mine = { ...ticks(step('a', true), step('b', true)), notes: 'mine' };
    const theirs = { ...ticks(step('a', false), step('c', true)), notes: 'theirs', name: 'Theirs' };
    const both = mineOver(base, mine, theirs);
    expect([both.notes, both.name]).toEqual(['mine', 'Theirs']);
    const done = (id: string) => both.done?.find((each) => each.step === id)?.done;
    expect([done('a'), done('b'), done('c')]).toEqual([true, true, true]);
  });
  it('however long each says that it took, the same tick is the same', () => {
    const ticked = (hours: number) => ({ ...copy(), done: [{ ...step('cut:a', true), hours }] });
    expect(clashes(changesBetween(base, ticked(1)), changesBetween(base, ticked(2.5)))).toEqual([]);
  });
  it('readings of two stages go together, one read at another minute is the same, and one read otherwise clashes', () => {
    const from = { ...copy(), measured: [found('tacked', 130)] };
    const with_ = (...measured: ReturnType<typeof found>[]) => changesBetween(from, { ...from, measured });
    const mine = with_(found('tacked', 131));
    const theirs = with_(found('tacked', 130), found('cap', 129));
    expect(clashes(mine, theirs)).toEqual([]);
    expect(ticksOnly(mine)).toBe(true);
    expect(withChanges(withChanges(from, theirs), mine).measured?.map(({ value }) => value)).toEqual([
      131, 129,
    ]);
    expect(clashes(mine, with_(found('tacked', 131, '2026-11-29T09:00:00Z')))).toEqual([]);
    expect(clashes(mine, with_(found('tacked', 132)))).toEqual(['measured']);
    const none = { ...from };
    delete (none as Partial<typeof from>).measured;
    expect('measured' in withChanges(from, changesBetween(from, none))).toBe(false);
  });
});
