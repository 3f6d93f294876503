import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Planner, progressOf, standingSettings, work, type Late, type Setting } from '@larchwood/core';
import { readFormat, type BuildDocument } from '@larchwood/format';
import { made } from '../../../../testing/made.js';
import { today } from '../parts/today';
import { changeReading, clearReadings, tickedAs } from './fixture';
import {
  addNeed,
  addOwn,
  allBack,
  changeOwn,
  keepAsMade,
  makeAgain,
  chooseWay,
  moveSeam,
  moveStep,
  removeNeed,
  removeOwn,
  setDue,
  setCalendar,
  setDone,
  setHours,
  setWait,
  stepBack,
  withoutWaits,
} from './work';
import { hoursText, parseHours } from '../stations/work/hoursText';

const bicycle = made('bicycle', 'road');
/** Every change leaves a build that the format takes. */
const sound = (document: BuildDocument): BuildDocument => {
  const read = readFormat(JSON.parse(JSON.stringify(document)));
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.document;
};
const did = (...changes: readonly ((document: BuildDocument) => BuildDocument)[]): BuildDocument =>
  changes.reduce((document, change) => sound(change(document)), bicycle);
const OWN = { id: 'own:1', name: 'Fetch the fork', hours: 1 };

describe('changes of the work', () => {
  it('move steps, and put them back, one or all', () => {
    const moved = did(moveStep('coat', 'get'), moveStep('out', 'start'), moveSeam('a.root.0', 'start'));
    expect(moved.work!.moves).toEqual([
      { step: 'coat', after: 'get' },
      { step: 'out', after: 'start' },
    ]);
    expect(sound(stepBack('coat')(moved)).work!.moves).toEqual([{ step: 'out', after: 'start' }]);
    const back = sound(allBack(moved)).work!;
    expect([back.moves, back.seams]).toEqual([[], []]);
  });
  it('an own step that is taken out takes its waits and moves with it', () => {
    const own = did(addOwn(OWN), addNeed('coat', 'own:1'), addNeed('own:1', 'get'), moveStep('own:1', 'get'));
    expect(own.work!.needs).toHaveLength(2);
    expect(sound(changeOwn('own:1', { hours: 2 })(own)).work!.own).toEqual([{ ...OWN, hours: 2 }]);
    const due = sound(setDue('own:1', '2026-12-04')(own));
    expect(due.work!.own).toEqual([{ ...OWN, due: '2026-12-04' }]);
    expect(sound(setDue('own:1', undefined)(due)).work!.own).toEqual([OWN]);
    const out = sound(removeOwn('own:1')(own)).work!;
    expect([out.own, out.needs, out.moves]).toEqual([[], [], []]);
  });
  it('waits come once, go one by one, and go all of a circle', () => {
    const waits = did(addNeed('a', 'b'), addNeed('a', 'b'), addNeed('a', 'c'), addNeed('b', 'a'));
    expect(waits.work!.needs).toHaveLength(3);
    expect(removeNeed('a', 'b')(waits).work!.needs).toHaveLength(2);
    const cured = withoutWaits('b', ['a', 'b'])(withoutWaits('a', ['a', 'b'])(waits));
    expect(cured.work!.needs).toEqual([{ step: 'a', needs: 'c' }]);
  });
  it('own hours, waits, way and calendar are kept, and hours go again', () => {
    const week = [1, 2, 3, 4, 5, 6, 7];
    const kept = did(
      setHours('get', 3),
      setWait('get', 9),
      chooseWay('rear-first'),
      setCalendar({ from: '2026-12-01', week }),
    );
    expect(kept.work).toMatchObject({
      ...{ hours: { get: 3 }, waits: { get: 9 }, way: 'rear-first', calendar: { week } },
    });
    expect(setHours('get', undefined)(kept).work!.hours).toEqual({});
  });
  it('a tick keeps what was made, when, and what it took; nothing known of a step leaves no entry', () => {
    const [step] = new Planner().ask(work, bicycle).steps;
    const at = new Date('2026-11-29T08:00:00.000Z');
    const ticked = did(setDone(step!, { done: true }, at), setDone(step!, { hours: 1.5 }, at));
    expect(ticked.done).toEqual([
      { step: step!.id, of: step!.of, done: true, hours: 1.5, on: '2026-11-29T08:00:00.000Z' },
    ]);
    const wrong = sound(setDone(step!, { done: false, wrong: 'Too short', hours: undefined }, at)(ticked));
    expect(wrong.done).toMatchObject([{ done: false, wrong: 'Too short' }]);
    const right = sound(setDone(step!, { wrong: undefined }, at)(wrong));
    expect('done' in right).toBe(false);
  });
});

describe('hours as builders say them', () => {
  it.each([
    ['1.5', 1.5],
    ['1,5 h', 1.5],
    ['90 min', 1.5],
    ['1 h 30', 1.5],
    ['1:30', 1.5],
    ['45m', 0.75],
    ['0', 0],
    ['2000', 2000],
  ])('%s', (text, hours) => expect(parseHours(text)).toEqual({ ok: true, value: hours }));
  it.each(['', 'soon', '-1', '1 h 30 h', '2000.1', '1e5'])('“%s” is none', (text) =>
    expect(parseHours(text).ok).toBe(false),
  );
  it('what is shown reads back to within its step of five minutes', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 500, noNaN: true }), (hours) => {
        const read = parseHours(hoursText(hours));
        if (!read.ok) throw new Error(hoursText(hours));
        expect(Math.abs(read.value - hours)).toBeLessThanOrEqual(2.5 / 60 + 1e-9);
      }),
    ));
  it('today is the day of the workshop’s own clock', () => {
    expect(today(new Date(2026, 0, 5, 23, 59))).toBe('2026-01-05');
    expect(today(new Date(2026, 11, 31, 0, 1))).toBe('2026-12-31');
  });
});

describe('a step that was done by other numbers', () => {
  const cut = (length: number) => ({
    ...{ id: 'cut:a', of: String(length), sort: 'cut' as const },
    lines: [{ id: 'length', text: 'Length', value: length, quantity: 'length' as const }],
  });
  const at = new Date('2026-12-02T08:00:00Z');
  const done = setDone(cut(600), { done: true }, at)(made('bicycle', 'road'));

  it('keeps its numbers with the tick, until it is done anew', () => {
    expect(done.done).toMatchObject([{ of: '600', was: { length: 600 }, done: true }]);
    // What it took is no word on whether it still fits.
    const timed = setDone(cut(601), { hours: 2 }, at)(done);
    expect(timed.done).toMatchObject([{ of: '600', was: { length: 600 }, hours: 2 }]);
    const anew = setDone(cut(601), { done: true }, at)(setDone(cut(601), { done: false }, at)(timed));
    expect(anew.done).toMatchObject([{ of: '601', was: { length: 601 }, hours: 2 }]);
  });
  it('kept, it says for which drawing; made again it is open, without numbers', () => {
    const late = { step: cut(601), lines: [], costs: [], standOnIt: [] } as unknown as Late;
    const kept = sound(keepAsMade(late, at)(done));
    expect(kept.done).toMatchObject([{ of: '600', was: { length: 600 }, kept: '601', done: true }]);
    expect(sound(makeAgain(late, at)(kept)).done).toBeUndefined();
  });
});

describe('a step that sets the fixture', () => {
  const step = {
    ...{ id: 'set:Post', of: '', sort: 'set' as const },
    lines: [
      { id: 'a', text: 'A', setting: 'a' },
      { id: 'b', text: 'B', setting: 'b' },
    ],
  };
  const now = new Date('2026-12-02T08:00:00Z');
  const readingsOf = (document: BuildDocument) =>
    document.fixture.readings.map(({ setting, set, found }) => [setting, set, found]);

  it('ticks its settings at the fixture, keeps what was found there, and takes the ticks off again', () => {
    const found = changeReading('b', { found: 12.5 })(made('bicycle', 'road'));
    const done = setDone(step, { done: true }, now)(found);
    expect(readingsOf(done)).toEqual([
      ['a', true, undefined],
      ['b', true, 12.5],
    ]);
    const open = setDone(step, { done: false }, now)(done);
    expect(readingsOf(open)).toEqual([['b', false, 12.5]]);
    // What it took or what is wrong with it ticks nothing.
    expect(readingsOf(setDone(step, { wrong: 'Bent' }, now)(found))).toEqual([['b', false, 12.5]]);
  });
  it('keeps where each was set: one ticked by itself there, the others where the fixture asks now', () => {
    const own = changeReading('a', tickedAs({ reading: 40, adapted: 2 }))(made('bicycle', 'road'));
    const settings = [
      { id: 'a', reading: 50, adapted: 0 },
      { id: 'b', reading: 12, adapted: -1 },
    ] as Setting[];
    const done = setDone(step, { done: true }, now, settings)(own);
    expect(done.fixture.readings.map(({ setting, at, drawn }) => [setting, at, drawn])).toEqual([
      ['a', 40, 38],
      ['b', 12, 13],
    ]);
    const off = setDone(step, { done: false }, now)(done);
    expect(off.fixture.readings).toEqual([]);
  });
  it('kept as it was made stays done, whatever of it was ticked; set again it is open', () => {
    const line = { id: 'a', text: 'A', was: 40, now: 42, quantity: 'length' as const };
    const late = { step, lines: [line], costs: [], standOnIt: [] } as unknown as Late;
    const ticked = { ...made('bicycle', 'road'), done: [{ step: step.id, of: 'then', done: true }] };
    const kept = keepAsMade(late, now)(ticked);
    expect(readingsOf(kept)).toEqual([
      ['a', true, 40],
      ['b', true, undefined],
    ]);
    const stateOf = (document: BuildDocument) =>
      progressOf(
        [{ ...step, phase: 'fixture', name: '', about: '', hours: 1, pieces: [], needs: [], cautions: [] }],
        document.done,
        standingSettings(document.fixture.readings, document.brief.school),
      ).states.get(step.id);
    expect([stateOf(ticked), stateOf(kept), stateOf(makeAgain(late, now)(kept))]).toEqual([
      'changed',
      'done',
      'ready',
    ]);
  });
  it('is open again when a setting is taken off at the fixture, and keeps the hours that it took', () => {
    const done = setDone(step, { done: true, hours: 0.5 }, now)(made('bicycle', 'road'));
    const off = changeReading('a', { set: false }, 'Post')(done);
    expect(off.done).toMatchObject([{ step: 'set:Post', done: false, hours: 0.5 }]);
    expect(clearReadings(done).fixture.readings).toEqual([]);
    expect(clearReadings(setDone(step, { done: true }, now)(made('bicycle', 'road'))).done).toBeUndefined();
  });
});
