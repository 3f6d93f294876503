import { describe, expect, it } from 'vitest';
import { USUAL_WORK, type Finding } from '@larchwood/core';
import { FAMILIES, made, planMade } from '../../../../testing/made.js';
import { waitingAt } from '../workshop/waiting';
import { stateOf } from './state';
import { GROUPS, type StationEntry } from './station';
import { STATIONS } from './stations';

const build = made();
const plan = planMade(build);
const finding = (station: string, severity: Finding['severity'] = 'look'): Finding =>
  ({ code: 'no-mass', severity, where: { station, ref: '' }, values: {} }) as unknown as Finding;

describe('stations', () => {
  it('have a route each, stand in the order of their groups, and each finding leads to one', () => {
    const ids = STATIONS.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const order = STATIONS.map(({ group }) => GROUPS.indexOf(group));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    for (const station of [
      'stance',
      'seat',
      'steering',
      'tubes',
      'joints',
      'cuts',
      'patterns',
      'fixture',
      'work',
      'checks',
    ])
      expect(ids).toContain(station);
  });
  it('a new one is an entry: its state, its findings and its route come with it', async () => {
    const toy: StationEntry = {
      id: 'paint',
      name: 'Paint',
      group: 'Shop',
      load: async () => ({ Component: () => null }),
      empty: ({ notes }) => notes === '',
    };
    const state = (document = build, swept: readonly Finding[] = []) => stateOf(toy, document, plan, swept);
    expect(state()).toEqual({ is: 'none', count: 0 });
    expect(state({ ...build, notes: 'red' })).toEqual({ is: 'settled', count: 0 });
    expect(state(build, [finding('paint'), finding('paint', 'note'), finding('fixture')])).toEqual({
      is: 'findings',
      count: 1,
    });
    expect((await toy.load()).Component).toBeTypeOf('function');
  });
  it('without a vehicle the stance is where to look, and nothing else is begun but the brief', () => {
    const { stations, next } = waitingAt(
      { ...build, brief: { ...build.brief, purpose: 'Racing' } },
      undefined,
    );
    expect(stations.map(({ id, is }) => [id, is])).toEqual([
      ['brief', 'settled'],
      ['stance', 'findings'],
      ...['seat', 'steering', 'tubes', 'joints', 'cuts', 'patterns', 'fixture', 'work'].map((id) => [
        id,
        'none',
      ]),
    ]);
    expect(next).toEqual({ station: 'stance', words: 'Stance: has no shape yet' });
  });
  it.each(FAMILIES)('of a %s, %s, that was just made nothing is settled', (kind, set) => {
    for (const station of STATIONS)
      expect(stateOf(station, made(kind, set), undefined).is, station.id).not.toBe('settled');
  });
  it('what waits is the first finding, then what is not begun, then the fixture', () => {
    const begun = { ...build, brief: { ...build.brief, purpose: 'Racing' } };
    expect(waitingAt(begun, plan).next).toEqual({ station: 'stance', words: 'Stance: not started' });
    // What was good as it began is not asked for once something after it was settled.
    const work = { ...USUAL_WORK, welding: 'on' as const };
    expect(waitingAt({ ...begun, work }, plan).next).toEqual({
      station: 'fixture',
      words: 'All settled: set the fixture',
    });
    const done = [{ step: 'get', of: '', done: true }];
    expect(waitingAt({ ...begun, done }, plan).next).toEqual({
      station: 'bench',
      words: '1 step done: go on',
    });
    expect(waitingAt(build, plan).next).toEqual({ station: 'brief', words: 'Brief: not started' });
    const told = { ...plan, findings: [finding('joints'), finding('seat')] };
    expect(waitingAt(begun, told).next).toEqual({ station: 'seat', words: 'Seat: Nothing is weighed yet' });
  });
});
