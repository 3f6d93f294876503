import { describe, expect, it } from 'vitest';
import { NO_SHOP, type Shop } from '@larchwood/format';
import { made, planMade } from '../../../../testing/made.js';
import { measuringList } from '../checks/measures.js';
import { logOf, searchLog, type LogSources } from './log.js';

const document = made('bicycle', 'touring');
const { stance, frame } = planMade(document);
const list = measuringList({ document, stance, frame });
const spacing = list.measures.find(({ id }) => id === 'spacing')!;
const day = (hour: number) => `2026-10-05T${String(hour).padStart(2, '0')}:00:00Z`;

const shop: Shop = {
  ...NO_SHOP,
  dies: { d1: { name: '28.6 on 110' } as Shop['dies'][string] },
  trials: {
    t1: {
      die: 'd1',
      section: 's',
      material: 'dom-1020',
      asked: 45,
      set: 48,
      got: 44.7,
      on: '2026-09-01',
      leftOut: true,
    },
  },
  moved: { m1: { build: 'b1', kind: 'bicycle', point: 'headUpper', by: [0, -1.5, 0.5], on: '2026-10-06' } },
  pulls: { p1: { build: 'b1', lever: 'headSide', pulled: 9, stayed: 3, on: '2026-10-06' } },
  hours: { h1: { build: 'b2', step: 'Bend 3', sort: 'bend', usual: 0.4, took: 0.5, on: '2026-09-12' } },
  entries: {
    e1: { build: 'b1', on: '2026-10-07', sort: 'cost', text: 'Dropouts', cost: 31.5, stage: 'dry' },
    e2: { build: 'b2', on: '2026-10-07', sort: 'note', text: 'Elsewhere' },
  },
};
const sources = (part: Partial<LogSources['document']> = {}): LogSources => ({
  ...{ build: 'b1', shop, list, steps: [{ id: 'get', name: 'Get everything together' }] },
  document: { units: document.units, ...part },
});

describe('the log', () => {
  it('tells a stage’s readings of a day in one line: how many, what is out, and what was read again', () => {
    const value = spacing.nominal + 3;
    const measured = [
      { stage: 'cap' as const, measure: 'spacing', value, on: day(9) },
      { stage: 'cap' as const, measure: 'level.head', value: 72, on: day(11), note: 'gauge was cold' },
    ];
    const [line] = logOf(sources({ measured })).filter(({ sort }) => sort === 'reading');
    expect(line).toMatchObject({ on: day(11), stage: 'cap', here: true });
    expect(line!.text).toMatch(
      /^2 readings; outside tolerance: “Rear axle.*” off by 3 mm\. .*gauge was cold$/,
    );
    const again = [{ ...measured[0]!, value: spacing.nominal, before: [{ value, on: day(8) }] }];
    const [better] = logOf(sources({ measured: again })).filter(({ sort }) => sort === 'reading');
    expect(better!.text).toMatch(/^1 reading, all within tolerance\. Read again: “Rear axle.*” was 1\d\d/);
  });
  it('tells what was done on a day in one line, what was timed and what went wrong in lines of their own', () => {
    const done = [
      { step: 'get', of: '', done: true, on: day(8) },
      { step: 'gone', of: '', done: true, on: day(9) },
      { step: 'weld:x', of: '', done: true, on: day(10), hours: 1.5, wrong: 'burnt through' },
    ];
    const texts = logOf(sources({ done }))
      .filter(({ on }) => on.startsWith('2026-10-05'))
      .map(({ text }) => text);
    expect(texts).toEqual([
      ...['Done: weld:x, in 1.5 h', 'weld:x: burnt through', 'Done: Get everything together; gone'],
    ]);
  });
  it('tells hours once that stand at the step and in the workshop’s list', () => {
    const hours = { h2: { ...shop.hours.h1!, build: 'b1', step: 'Get everything together' } };
    const lines = (done: LogSources['document']['done']) =>
      logOf({ ...sources(done ? { done } : {}), shop: { ...shop, hours } }).map(({ id }) => id);
    expect(lines(undefined)).toContain('hours h2');
    expect(lines([{ step: 'get', of: '', done: true, hours: 0.5 }])).not.toContain('hours h2');
  });
  it('has the workshop’s entries by their own words, newest first, and tells whose build they are of', () => {
    const lines = logOf(sources());
    expect(lines.map(({ on }) => on)).toEqual([...lines.map(({ on }) => on)].sort().reverse());
    const byId = new Map(lines.map((line) => [line.id, line]));
    expect(byId.get('pull p1')).toMatchObject({
      here: true,
      text: 'Pulled the head tube’s top, its foot held to 9 mm: 3 mm stayed, 6 mm sprang back',
    });
    expect(byId.get('movement m1')!.text).toBe(
      'Welding moved the head tube’s upper face by 0 mm forwards, −1.5 mm to the left, 0.5 mm up',
    );
    expect(byId.get('hours h1')!.here).toBe(false);
    expect(byId.get('bend t1')!.text).toBe('28.6 on 110: 45° wanted, set to 48°, got 44.7° (left out)');
    expect(byId.get('entry e1')).toMatchObject({ here: true, cost: 31.5, stage: 'dry', entry: 'e1' });
  });
  it('is searched by every word, in any order, also of stage and kind', () => {
    const found = (text: string, sort?: Parameters<typeof searchLog>[2]) =>
      searchLog(logOf(sources()), text, sort).map(({ id }) => id);
    expect(found('stayed TOP head')).toEqual(['pull p1']);
    expect(found('dry fit dropouts')).toEqual(['entry e1']);
    expect(found('head moon')).toEqual([]);
    expect(found('', 'bend')).toEqual(['bend t1']);
    expect(found('')).toHaveLength(6);
  });
});
