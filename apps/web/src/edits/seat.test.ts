import { describe, expect, it } from 'vitest';
import type { BuildDocument } from '@larchwood/format';
import { made, planMade } from '../../../../testing/made.js';
import { simulatedScales } from '../instruments/simulatedScales';
import { remedyOf } from '../ledger/remedies';
import { freeId, setAboard, setLump } from './seat';

const tandem = (): BuildDocument => ({
  ...made('tandem', 'tandem'),
  brief: {
    ...made().brief,
    riders: ['Ada', 'Bo', 'Cy'].map((name, index) => ({ name, stature: 1700 + 50 * index, mass: 70 })),
  },
});

describe('who sits where', () => {
  it('one who is put into a place changes places with whoever sat there', () => {
    expect(setAboard(0, 1, 2)(tandem()).seat.aboard).toEqual([1, 0]);
    expect(setAboard(0, 2, 2)(tandem()).seat.aboard).toEqual([2, 1]);
    const back = setAboard(1, 0, 2)(setAboard(0, 2, 2)(tandem()));
    expect(back.seat.aboard).toEqual([2, 0]);
    expect(planMade(back).stance.places.map(({ body }) => body.stature)).toEqual([1800, 1700]);
  });
});

describe('lumps', () => {
  it('only the one that is meant changes, and a new one has an id of its own', () => {
    const build = made('kart', 'kart');
    const { lumps } = setLump('lump2', { mass: 7 })(build).mass;
    expect(lumps.map(({ mass }, index) => mass - build.mass.lumps[index]!.mass).filter(Boolean)).toEqual([
      -12,
    ]);
    const gap = { ...build, mass: { lumps: build.mass.lumps.filter(({ id }) => id !== 'lump2') } };
    expect(gap.mass.lumps.map(({ id }) => id)).not.toContain(freeId(gap));
  });
});

describe('simulated scales', () => {
  it('show tenths of a kilogram of what stands on them, and less in front as the front is raised', async () => {
    const plan = planMade(made('scooter', 'scooter-small'));
    const hidden = { mass: 71.23, at: [430, 0, 900] as const };
    const level = await simulatedScales(plan, hidden).read();
    // Each is rounded by itself.
    expect(Math.abs(level.front! + level.rear! - hidden.mass)).toBeLessThan(0.11);
    expect(level.front! * 10).toBeCloseTo(Math.round(level.front! * 10), 9);
    const raised = await simulatedScales(plan, hidden, { end: 'front', by: 200 }).read();
    expect(raised.front).toBeLessThan(level.front!);
  });
});

describe('remedies at the seat', () => {
  it('a rider who is too far or too near is brought to where he just reaches, a saddle to the rule', () => {
    const mend = (build: BuildDocument, code: string) => {
      const finding = planMade(build).findings.find((each) => each.code === code);
      const remedy = finding && remedyOf(finding);
      if (!remedy) throw new Error(code);
      expect(planMade(remedy.change(build)).findings.map((each) => each.code)).not.toContain(code);
    };
    mend(made('kart', 'kart', { held: { legRoom: 1400 } }), 'legs-do-not-reach');
    mend(made('motorcycle', 'standard', { held: { barReach: 400 } }), 'arms-do-not-reach');
    const named = { ...made().brief, riders: [{ name: 'Ada', stature: 1750, mass: 70 }] };
    mend(made('bicycle', 'road', { held: { saddleHeight: 600 }, brief: named }), 'saddle-rule');
  });
});
