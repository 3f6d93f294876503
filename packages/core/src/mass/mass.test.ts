import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade, stanceMade } from '../../../../testing/made.js';
import { readDocumentText } from '../start/read.js';
import type { BuildDocument, Scales } from '@larchwood/format';
import { figureOf } from '../rider/figure.js';
import { subtract, type Vector } from '../vector/vector.js';
import { contactsOf, frontShare, wheelLoads } from './loads.js';
import { riderWeights, together } from './rider.js';
import { scaleReadings, weighed } from './scales.js';

const demo = new URL('../../../../demo/', import.meta.url);
const DEMOS = readdirSync(demo)
  .filter((file) => file.endsWith('.larchwood.json'))
  .map((file) => {
    const read = readDocumentText(readFileSync(new URL(file, demo), 'utf8'));
    if (!read.ok) throw new Error(file);
    return [file.replace('.larchwood.json', ''), read.document] as const;
  });
const LIFT = 9.80665;

describe.each(DEMOS)('%s', (_, document) => {
  const plan = planMade(document);
  const { laden, bare, parts } = plan.mass;

  it('its riders, loads and limits agree with a calculation of their own', () => {
    // Moments about the rear axle's ground point, summed here part by part.
    let [mass, x, y, z] = [0, 0, 0, 0];
    for (const part of parts) {
      mass += part.mass;
      x += part.mass * part.at[0];
      y += part.mass * part.at[1];
      z += part.mass * part.at[2];
    }
    expect(laden.mass).toBeCloseTo(mass, 9);
    expect(laden.at[0]).toBeCloseTo(x / mass, 6);
    expect(laden.at[1]).toBeCloseTo(y / mass, 6);
    expect(laden.at[2]).toBeCloseTo(z / mass, 6);
    const { wheelbase, frontTrack, rearTrack } = plan.stance.values as Record<string, number>;
    const [h, share] = [laden.at[2], laden.at[0] / wheelbase!];
    expect(frontShare(laden.loads)).toBeCloseTo(share, 3);
    const { braking, driving, sideways, turns, slopes } = plan.tipping!;
    expect(braking).toBeCloseTo((wheelbase! - laden.at[0]) / h, 2);
    expect(driving).toBeCloseTo(laden.at[0] / h, 2);
    expect(Math.tan((slopes.up * Math.PI) / 180)).toBeCloseTo(driving, 9);
    if (sideways === undefined) return;
    // Half of what is between the outer wheels where the weight is; a single wheel has no width of its own.
    const width = (rearTrack ?? 0) * (1 - share) + (frontTrack ?? 0) * share;
    expect(sideways).toBeCloseTo((width / 2 - Math.abs(laden.at[1])) / h, 2);
    for (const { radius, limit } of turns) expect(limit).toBeCloseTo(Math.sqrt(sideways * LIFT * radius), 6);
  });
  it('every rider weighs what the brief says, with and without is their difference, and loads carry it all', () => {
    const riders = parts.filter(({ sort }) => sort === 'rider');
    riders.forEach(({ mass }, index) => {
      const known = document.brief.riders[index];
      if (known) expect(mass).toBeCloseTo(known.mass, 9);
    });
    expect(laden.mass - bare.mass).toBeCloseTo(
      riders.reduce((sum, { mass }) => sum + mass, 0),
      9,
    );
    for (const { loads, mass } of [laden, bare]) {
      expect(loads.reduce((sum, { load }) => sum + load, 0)).toBeCloseTo(mass, 9);
      expect(Math.min(...loads.map(({ load }) => load))).toBeGreaterThan(0);
    }
  });
});

describe('a rider’s weight', () => {
  it('lies where the segments are: at 0.55 of the stature, standing straight', () => {
    // Independent: a person standing has the centre of mass at some 0.54 to 0.58 of the stature [textbooks, from memory].
    const stance = stanceMade(made('scooter', 'scooter-small'));
    const [place] = stance.places;
    const weight = together(riderWeights(figureOf(place!), 80));
    expect(weight.mass).toBeCloseTo(80, 9);
    const aboveSole = (weight.at[2] - stance.values.deckHeight!) / 1750;
    expect(aboveSole).toBeGreaterThan(0.52);
    expect(aboveSole).toBeLessThan(0.6);
  });
});

const withLump = (document: BuildDocument, offset: Vector): BuildDocument => ({
  ...document,
  mass: {
    lumps: [
      ...document.mass.lumps,
      { id: 'x', name: 'X', sort: 'cargo', mass: 20, point: 'rearAxle', offset: [...offset] },
    ],
  },
});

describe.each(EVERY_SET)('%s, %s', (kind, set) => {
  const build = made(kind, set);
  const place = fc.integer({ min: -400, max: 1500 });
  it('moving a lump moves the centre of gravity by its share', () => {
    fc.assert(
      fc.property(fc.tuple(place, place, place), fc.tuple(place, place, place), (a, b) => {
        const [one, two] = [planMade(withLump(build, a)).mass.laden, planMade(withLump(build, b)).mass.laden];
        const share = 20 / one.mass;
        subtract(two.at, one.at).forEach((moved, axis) =>
          expect(moved).toBeCloseTo((b[axis]! - a[axis]!) * share, 6),
        );
      }),
      { numRuns: 6 },
    );
  });
  it('scales below the wheels, level and with an end raised, find a made vehicle’s centre of gravity', () => {
    const stance = stanceMade(build);
    const contacts = contactsOf(stance.standing);
    const { wheelbase } = stance.values as Record<string, number> & { wheelbase: number };
    const single = contacts.length === 2;
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        fc.integer({ min: -40, max: 40 }),
        fc.integer({ min: 150, max: 1200 }),
        fc.constantFrom('front' as const, 'rear' as const),
        fc.integer({ min: 80, max: Math.floor(wheelbase * 0.45) }),
        (share, y, z, end, by) => {
          const at: Vector = [share * wheelbase, single ? 0 : y, z];
          const loadsOf = (where: Vector) =>
            Object.fromEntries(wheelLoads({ mass: 180, at: where }, contacts).map((l) => [l.wheel, l.load]));
          const read = (raised?: { end: 'front' | 'rear'; by: number }) => ({
            ...scaleReadings(at, stance, loadsOf, raised),
          });
          const scales: Scales = {
            aboard: true,
            level: read(),
            raised: { end, by, loads: read({ end, by }) },
          };
          // An end raised so far that a wheel would lift is refused as a reading below nothing.
          if (Object.values(scales.raised!.loads).some((load) => load < 0)) return;
          const result = weighed(scales, stance);
          if (!result.ok) throw new Error(JSON.stringify(result.faults));
          result.measured.at.forEach((value, axis) => expect(value).toBeCloseTo(at[axis]!, 4));
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('scales', () => {
  const stance = stanceMade(made('kart', 'kart'));
  const level = { frontLeft: 30, frontRight: 30, rearLeft: 50, rearRight: 50 };
  const faults = (scales: Scales): string => {
    const result = weighed(scales, stance);
    return result.ok ? '' : result.faults.map(({ where, message }) => `${where}: ${message}`).join('\n');
  };
  it('the height by statics: h = dF L / (W tan tilt) above the axles, with wheels of one size', () => {
    const scooter = stanceMade(made('scooter', 'scooter-small'));
    const [L, R, W, F0, F1, by] = [980, scooter.values.rearRadius!, 70, 32, 27, 250];
    const result = weighed(
      {
        aboard: true,
        level: { front: F0, rear: W - F0 },
        raised: { end: 'front', by, loads: { front: F1, rear: W - F1 } },
      },
      scooter,
    );
    const tilt = Math.asin(by / L);
    expect(result.ok && result.measured.at[2]).toBeCloseTo(R + ((F0 - F1) * L) / (W * Math.tan(tilt)), 6);
  });
  it('say what cannot be: nothing on them, two vehicles, below the ground, a wheel that was not read', () => {
    expect(
      faults({ aboard: true, level: { frontLeft: 0, frontRight: 0, rearLeft: 0, rearRight: 0 } }),
    ).toContain('no weight at all');
    expect(faults({ aboard: true, level: { frontLeft: 30 } })).toContain('level.rearRight: No reading yet');
    const raised = (loads: Record<string, number>, by = 300) =>
      faults({ aboard: true, level, raised: { end: 'front', by, loads } });
    expect(raised({ frontLeft: 20, frontRight: 20, rearLeft: 50, rearRight: 50 })).toContain(
      'cannot be one vehicle',
    );
    expect(raised({ frontLeft: 45, frontRight: 45, rearLeft: 35, rearRight: 35 })).toContain(
      'below the ground',
    );
    expect(raised({ frontLeft: 1, frontRight: 1, rearLeft: 79, rearRight: 79 }, 100)).toMatch(
      /high: too much weight/,
    );
    expect(raised(level, 900)).toContain('too steep');
  });
  it('readings that cannot be leave the estimate as it is, and are told', () => {
    const build = made('kart', 'kart');
    const broken = planMade({ ...build, mass: { ...build.mass, scales: { aboard: true, level: {} } } });
    expect(broken.mass.laden).toEqual(planMade(build).mass.laden);
    // What is only not read yet is no finding.
    expect(broken.mass.faults).toHaveLength(4);
    expect(broken.findings.filter(({ code }) => code === 'scales-impossible')).toEqual([]);
    const none = { frontLeft: 0, frontRight: 0, rearLeft: 0, rearRight: 0 };
    const zero = planMade({ ...build, mass: { ...build.mass, scales: { aboard: true, level: none } } });
    expect(zero.findings.filter(({ code }) => code === 'scales-impossible')).toHaveLength(1);
    // 75 kg of rider do not stand on scales that show 40.
    const light = { frontLeft: 10, frontRight: 10, rearLeft: 10, rearRight: 10 };
    const less = planMade({ ...build, mass: { ...build.mass, scales: { aboard: true, level: light } } });
    expect(less.mass.faults[0]?.message).toContain('the riders alone weigh 75 kg');
    expect(less.mass.laden).toEqual(planMade(build).mass.laden);
    const read = planMade({ ...build, mass: { ...build.mass, scales: { aboard: true, level } } });
    expect(read.mass.laden.mass).toBe(160);
    expect(read.mass.bare.mass).toBeCloseTo(160 - 75, 9);
    expect(frontShare(read.mass.laden.loads)).toBeCloseTo(60 / 160, 9);
  });
});
