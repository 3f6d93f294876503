import fc from 'fast-check';
import { median } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { made } from '../../../../../testing/made.js';
import { Planner } from '../../plan/planner.js';
import { work } from '../../plan/stages/work.js';
import { needs, step } from '../steps/make.js';
import { ENOUGH, paceOf, timedOf } from './learned.js';
import { schedule, USUAL_WAITS, USUAL_WEEK } from './schedule.js';

const steps = new Planner().ask(work, made('bicycle', 'road')).steps;
const usual = (of: { readonly hours: number }) => of.hours;
const open = () => false;
const MONDAY = '2026-12-07';

describe('when there is time for it', () => {
  it('every step gets its hours, within the working time of its days, one after the other', () =>
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 10, noNaN: true }), { minLength: 7, maxLength: 7 }),
        fc.integer({ min: 0, max: 6 }),
        (week, first) => {
          const from = `2026-12-${String(7 + first).padStart(2, '0')}`;
          const { slots, days, left } = schedule(steps, { waits: {} }, week, usual, open, from);
          if (!week.some((each) => each > 0)) return void expect(days).toBeUndefined();
          // With less than a minute a day there is no end in three years.
          if (Math.max(...week) < 0.2) return;
          expect(left).toBeCloseTo(
            steps.reduce((sum, { hours }) => sum + hours, 0),
            6,
          );
          for (const { id, hours } of steps) {
            const own = slots.filter((slot) => slot.step === id);
            expect(own.reduce((sum, { from, to }) => sum + to - from, 0)).toBeCloseTo(hours, 6);
          }
          slots.forEach(({ day, from, to }, index) => {
            expect(to).toBeLessThanOrEqual(week[(first + day) % 7]! + 1e-9);
            const before = slots[index - 1];
            if (before) expect(day > before.day || from >= before.to - 1e-9).toBe(true);
          });
        },
      ),
      { numRuns: 40 },
    ));
  it('paint dries its days before bearings go in, and the builder does what else there is', () => {
    const { slots } = schedule(steps, { waits: {} }, [8, 8, 8, 8, 8, 8, 8], usual, open, MONDAY);
    const end = slots.filter((slot) => slot.step === 'coat').at(-1)!.day;
    const start = slots.find((slot) => slot.step === 'bearings')!.day;
    expect(start).toBeGreaterThanOrEqual(end + USUAL_WAITS.coat!);
    const some = ['a', 'b', 'c'].map((id) =>
      step({
        ...{ id, phase: 'pieces', sort: 'cut', name: id, about: '', hours: 1 },
        needs: id === 'b' ? needs('piece', 'a') : [],
      }),
    );
    const waited = schedule(some, { waits: { a: 3 } }, [8, 8, 8, 8, 8, 8, 8], usual, open, MONDAY);
    expect(waited.slots.map(({ step: id, day }) => `${id}${day}`)).toEqual(['a0', 'c0', 'b3']);
    expect(waited.chain).toEqual(['a', 'b']);
  });
  it('what waits for a delivery begins on its day, what needs it later, and all else goes on', () => {
    const some = ['a', 'b', 'c', 'late'].map((id) =>
      step({
        ...{ id, phase: 'pieces', sort: 'cut', name: id, about: '', hours: 1 },
        ...(id === 'a' ? { due: '2026-12-10' } : id === 'late' ? { due: '2026-12-01' } : {}),
        needs: id === 'b' ? needs('piece', 'a') : [],
      }),
    );
    const { slots, chain } = schedule(some, { waits: {} }, [8, 8, 8, 8, 8, 8, 8], usual, open, MONDAY);
    expect(slots.map(({ step: id, day }) => `${id}${day}`)).toEqual(['c0', 'late0', 'a3', 'b3']);
    expect(chain).toEqual(['a', 'b']);
  });
  it('several people do side by side what does not wait for each other’s, and never begin what is not ready', () => {
    const some = (needed: Readonly<Record<string, string>>, long: Readonly<Record<string, number>>) =>
      Object.entries(long).map(([id, hours]) =>
        step({
          ...{ id, phase: 'pieces', sort: 'cut', name: id, about: '', hours },
          needs: needed[id] === undefined ? [] : needs('piece', needed[id]),
        }),
      );
    const week = [8, 8, 8, 8, 8, 8, 8];
    const told = (all: ReturnType<typeof some>, people: number) =>
      schedule(all, { waits: {} }, week, usual, open, MONDAY, people);
    const two = told(some({ c: 'a', d: 'b' }, { a: 2, b: 3, c: 4, d: 1 }), 2);
    expect(two.slots.map(({ step: id, from, to, who }) => `${id} ${from}-${to} by ${who}`)).toEqual([
      ...['a 0-2 by 0', 'b 0-3 by 1', 'c 2-6 by 0', 'd 3-4 by 1'],
    ]);
    expect(two.chain).toEqual(['a', 'c']);
    // Who has nothing that can be begun waits for another's, and that decides the end.
    const waits = told(some({ b: 'a', c: 'a' }, { a: 2, b: 1, c: 5 }), 2);
    expect(waits.slots.map(({ step: id, from, who }) => `${id} ${from} by ${who}`)).toEqual([
      ...['a 0 by 0', 'b 2 by 0', 'c 2 by 1'],
    ]);
    expect(waits.chain).toEqual(['a', 'c']);
    // A bicycle: nobody at two things at once, nothing before what it needs, and never later than alone.
    const all = (people: number) => schedule(steps, { waits: {} }, week, usual, open, MONDAY, people);
    const [alone, three] = [all(1), all(3)];
    const whole = ({ day, from }: { readonly day: number; readonly from: number }) => day * 8 + from;
    for (const each of steps) {
      const begun = three.slots.find((slot) => slot.step === each.id);
      for (const { step: id, why } of each.needs) {
        const before = three.slots.filter((slot) => slot.step === id).at(-1);
        if (!begun || !before || why === 'usual' || why === 'own') continue;
        expect(whole(begun)).toBeGreaterThanOrEqual(before.day * 8 + before.to - 1e-9);
      }
    }
    for (const who of [0, 1, 2]) {
      const mine = three.slots.filter((slot) => slot.who === who).sort((a, b) => whole(a) - whole(b));
      mine
        .slice(1)
        .forEach((slot, index) => expect(whole(slot)).toBeGreaterThanOrEqual(whole(mine[index]!) - 1e-9));
      mine
        .slice(1)
        .forEach((slot, index) =>
          expect(slot.day > mine[index]!.day || slot.from >= mine[index]!.to - 1e-9).toBe(true),
        );
    }
    expect(three.days!).toBeLessThanOrEqual(alone.days!);
    expect(three.left).toBeCloseTo(alone.left, 9);
  });
  it('what is done takes no time, and without time there is no end', () => {
    const done = schedule(steps, { waits: {} }, USUAL_WEEK, usual, () => true, MONDAY);
    expect([done.left, done.slots.length]).toEqual([0, 0]);
    expect(schedule(steps, { waits: {} }, [0, 0, 0, 0, 0, 0, 0], usual, open, MONDAY).days).toBeUndefined();
  });
});

describe('what the log teaches', () => {
  it('the middle of what was timed corrects the usual time, as simple-statistics has it; from three on', () =>
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.1, max: 5, noNaN: true }), { maxLength: 30 }), (ratios) => {
        const timed = ratios.map((ratio) => ({ sort: 'cut' as const, usual: 2, took: 2 * ratio }));
        const { factor, count } = paceOf([...timed, { sort: 'bend', usual: 1, took: 90 }], 'cut');
        expect(count).toBe(ratios.length);
        expect(factor).toBeCloseTo(ratios.length < ENOUGH ? 1 : median(ratios), 9);
      }),
    ));
  it('takes what was timed of the steps that are there', () => {
    const cut = steps.find(({ sort }) => sort === 'cut')!;
    const done = { step: cut.id, of: '', done: true, hours: 3 };
    expect(timedOf(steps, [done, { ...done, step: 'gone' }])).toEqual([
      { sort: 'cut', usual: cut.hours, took: 3 },
    ]);
  });
});
