import { describe, expect, it } from 'vitest';
import type { Finding } from '@larchwood/core';
import { DEMO } from '../../../../testing/demo.js';
import { made, planMade } from '../../../../testing/made.js';
import { STATIONS } from '../stations/stations';
import type { Seen } from '../stations/station';
import { lookAt } from './look';
import { waitingAt } from './waiting';

const build = made('bicycle', 'road');
const told = planMade(DEMO.find(({ kind }) => kind === 'buggy')!).findings;
const quiet: Seen = { findings: [] };
const at = (station: Finding['where']['station'], severity: Finding['severity']): Finding => ({
  ...told[0]!,
  severity,
  where: { station, ref: 'x' },
});

describe('what waits at a build', () => {
  it('names the first station with something to look at, in the order of the work; notes do not count', () => {
    const waiting = waitingAt(build, {
      ...quiet,
      findings: [at('fixture', 'look'), at('tubes', 'stop'), at('stance', 'note')],
    });
    expect(waiting.next.station).toBe('tubes');
    expect(waiting.next.words).toMatch(/^Tubes: ./);
    expect(waiting.stations.find(({ id }) => id === 'tubes')).toMatchObject({ is: 'findings', count: 1 });
    expect(waiting.stations.find(({ id }) => id === 'stance')).toMatchObject({ is: 'none', count: 0 });
  });
  it('without anything to look at it is the first that is not begun, then the bench, then the fixture', () => {
    const begun = waitingAt(build, quiet);
    const none = begun.stations.find(({ is }) => is === 'none');
    expect(begun.next).toEqual(
      none
        ? { station: none.id, words: `${none.name}: not started` }
        : { station: 'fixture', words: 'All settled: set the fixture' },
    );
    const step = { step: 'get', of: 'tubes', done: true };
    const one = waitingAt({ ...build, done: [step] }, quiet);
    expect(one.next).toEqual({ station: 'bench', words: '1 step done: go on' });
    const two = waitingAt(
      { ...build, done: [step, { ...step, step: 'out' }, { ...step, step: 'coat', done: false }] },
      quiet,
    );
    expect(two.next.words).toBe('2 steps done: go on');
    // What is to be looked at comes before going on.
    const found = waitingAt({ ...build, done: [step] }, { ...quiet, findings: [at('cuts', 'look')] });
    expect(found.next.station).toBe('cuts');
  });
  it('a stance that makes no vehicle waits at the stance', () => {
    const held = { ...build.stance.held, chainstayLength: 160, bottomBracketDrop: 200 };
    const look = lookAt({ ...build, stance: { held } }, true);
    expect(look).toEqual({ silhouette: undefined, seen: undefined, tubes: 0, mass: 0 });
    expect(waitingAt(build, look.seen).next).toEqual({
      station: 'stance',
      words: 'Stance: has no shape yet',
    });
  });
  it('records are never settled, and are not among the stations of the shelf', () => {
    const shown = waitingAt(build, quiet).stations.map(({ id }) => id);
    const records = STATIONS.filter(({ isRecord }) => isRecord).map(({ id }) => id);
    expect(records.length).toBeGreaterThan(0);
    expect(shown.filter((id) => records.includes(id))).toEqual([]);
  });
  it.each(
    DEMO.filter(({ kind }) => kind === 'bicycle' || kind === 'kart').map(
      (document) => [document.name, document] as const,
    ),
  )('%s: looked over, it has its tubes, its mass and its outline', (_, document) => {
    const whole = planMade(document);
    const look = lookAt(document, false);
    expect(look.tubes).toBe(whole.frame.pieces.length);
    expect(look.mass).toBeCloseTo(
      whole.weights.reduce((sum, { mass }) => sum + mass, 0),
      9,
    );
    expect(look.seen!.findings).toEqual(whole.findings);
    expect(look.silhouette).toBeDefined();
  });
});
