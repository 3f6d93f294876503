import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade, stanceMade } from '../../../../testing/made.js';
import { changeBrief, followsBrief, startFromBrief } from './brief.js';
import type { Brief, BuildDocument, ShelfItem } from '@larchwood/format';

const started = (build: BuildDocument) => {
  const start = startFromBrief(build);
  if (!start.ok) throw new Error(start.message);
  return start.value;
};
const briefed = (kind: string, set: string, brief: Partial<Brief>) => {
  const build = made(kind, set);
  return started({ ...build, brief: { ...build.brief, ...brief } });
};
const part = (gives: ShelfItem['gives'], more: Partial<ShelfItem> = {}): ShelfItem => ({
  sort: 'donor part',
  name: 'Part',
  gives,
  ...more,
});
const rider = (stature: number, name = 'R') => ({ name, stature, mass: 75 });
const codes = (build: BuildDocument) => planMade(build).findings.map(({ code }) => code);

describe('a stance started from its brief', () => {
  it.each(EVERY_SET)(
    '%s, %s: an empty brief starts the set as it is, every number explained',
    (kind, set) => {
      const build = made(kind, set);
      expect(followsBrief(build)).toBe(true);
      const { document, reasons } = started(build);
      expect(document).toEqual(build);
      expect(reasons.map(({ where }) => where).sort()).toEqual(
        ['wheels.front', 'wheels.rear', ...Object.keys(build.stance.held)].sort(),
      );
      expect(reasons.every(({ from }) => from === 'set')).toBe(true);
    },
  );

  it('fits the tallest rider of a kart by half of what he is taller, and the wheelbase follows', () => {
    const { document, reasons } = briefed('kart', 'kart', { riders: [rider(1690), rider(1903, 'Tall')] });
    // 930 + (1903 - 1750) / 2 = 1006.5, to the next 5 mm.
    expect(document.stance.held.legRoom).toBe(1005);
    expect(stanceMade(document).values.wheelbase).toBeCloseTo(80 + 1045 + 20, 9);
    expect(reasons).toContainEqual({ where: 'legRoom', from: 'rider', name: 'Tall' });
  });
  it('fits by the legs where they were measured, not by the stature', () => {
    const long = { ...rider(1750), inseam: 0.47 * 1850 };
    expect(briefed('kart', 'kart', { riders: [long] }).document.stance.held.legRoom).toBe(930 + 50);
    // Of two, the one with the longer legs counts.
    expect(briefed('kart', 'kart', { riders: [rider(1800), long] }).document.stance.held.legRoom).toBe(980);
    const thigh = { ...rider(1750), thigh: 0.245 * 1750 + 53 };
    expect(briefed('kart', 'kart', { riders: [thigh] }).document.stance.held.legRoom).toBe(930 + 50);
  });
  it('fits a tandem’s riders from the front to the rear', () => {
    const { held } = briefed('tandem', 'tandem', { riders: [rider(1850), rider(1600)] }).document.stance;
    // 0.31 of the difference from 1750: +31 and -46.5 on 560 and 480, to 5 mm.
    expect([held.seatTubeLength, held.rearSeatTubeLength]).toEqual([590, 435]);
  });

  it('holds what a part settles, letting go what the set held in its place', () => {
    const { document, reasons } = briefed('motorcycle', 'standard', {
      shelf: [part({ forkLength: 610, clampOffset: 32 }, { sort: 'fork', name: 'Old fork' })],
    });
    const { held } = document.stance;
    expect([held.forkLength, held.clampOffset, 'trail' in held]).toEqual([610, 32, false]);
    expect(stanceMade(document).values.forkOffset).toBeCloseTo(32, 9);
    expect(reasons.find(({ where }) => where === 'clampOffset')).toEqual({
      where: 'clampOffset',
      from: 'shelf',
      name: 'Old fork',
      note: 'Trail was let go and follows.',
    });
    expect(reasons.some(({ where }) => where === 'trail')).toBe(false);
  });
  it('takes wheels by their marking, and says why one is not taken', () => {
    const shelf = [
      part({}, { sort: 'front wheel', name: 'Good', marking: '47-559' }),
      part({}, { sort: 'rear wheel', name: 'Bad', marking: '26 inch' }),
    ];
    const { document, reasons } = briefed('bicycle', 'touring', { shelf });
    expect(document.wheels).toEqual({
      front: { by: 'marking', marking: '47-559', sag: 0 },
      rear: { by: 'marking', marking: '37-622', sag: 0 },
    });
    expect(reasons.find(({ where }) => where === 'wheels.rear')).toMatchObject({
      from: 'given up',
      note: expect.stringContaining('not a tyre marking'),
    });
  });
  it('gives up what contradicts the parts before it', () => {
    const { document, reasons } = briefed('bicycle', 'road', {
      shelf: [part({ headAngle: 72 }), part({ forkOffset: 50 }), part({ trail: 90 }, { name: 'Wish' })],
    });
    expect(document.stance.held).toMatchObject({ headAngle: 72, forkOffset: 50 });
    expect(reasons.find(({ where }) => where === 'trail')).toMatchObject({ from: 'given up', name: 'Wish' });
  });
});

describe('a brief that changes', () => {
  it('starts a stance again that nobody has worked on, and leaves one that somebody has', () => {
    const fresh = changeBrief(made('kart', 'kart'), { riders: [rider(1850)] });
    expect(fresh.stance.held.legRoom).toBe(980);
    const worked = { ...fresh, stance: { held: { ...fresh.stance.held, caster: 13 } } };
    expect(followsBrief(worked)).toBe(false);
    expect(changeBrief(worked, { riders: [] }).stance).toBe(worked.stance);
    expect(changeBrief(made('kart', 'kart'), { startingSet: 'ladder' }).stance.held.wheelbase).toBe(1680);
  });
});

describe('what the brief asked for and the stance does not keep', () => {
  it('is found: limits either way, parts, wheels, an engine too long', () => {
    const build = made('motorcycle', 'standard');
    const with_ = (brief: Partial<Brief>) => codes({ ...build, brief: { ...build.brief, ...brief } });
    const limit = (bound: 'most' | 'least', value: number) => [
      { dimension: 'wheelbase', bound, value, rule: '' },
    ];
    expect(with_({ limits: limit('most', 1370) })).not.toContain('rule-limit');
    expect(with_({ limits: limit('most', 1369) })).toContain('rule-limit');
    expect(with_({ limits: limit('least', 1371) })).toContain('rule-limit');
    expect(with_({ shelf: [part({ forkLength: 560 })] })).not.toContain('shelf-differs');
    expect(with_({ shelf: [part({ forkLength: 561 })] })).toContain('shelf-differs');
    const wheel = (marking: string) => [part({}, { sort: 'front wheel', marking })];
    expect(with_({ shelf: wheel('110/70-17') })).not.toContain('shelf-wheel-differs');
    expect(with_({ shelf: wheel('110/80-17') })).toContain('shelf-wheel-differs');
    const engine = (long: number) => [part({}, { sort: 'engine', box: [long, 300, 300] })];
    // Room: wheelbase less the pivot's place less the front radius, 1370 - sqrt(540^2 - 26.1^2) - 292.9.
    expect(with_({ shelf: engine(537) })).not.toContain('engine-long');
    expect(with_({ shelf: engine(539) })).toContain('engine-long');
  });
});
