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
