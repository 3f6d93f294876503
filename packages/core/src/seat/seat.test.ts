import { describe, expect, it } from 'vitest';
import { isFinding } from '../findings/finding.js';
import { findKind } from '../stance/kinds/registry.js';
import { solveStance } from '../stance/solve.js';
import { without } from '../without.js';
import { EVERY_SET, holding, made, planMade, stanceMade } from '../../../../testing/made.js';
import { seatAtEase } from '../start/brief.js';
import { directionWord } from './findings.js';
import { fitRange } from './range.js';

describe.each(EVERY_SET)('%s, %s', (kind, set) => {
  const build = made(kind, set);
  const angles = stanceMade(build).values;
  it('who fits: slid as told, knee and elbow stand as they do now', () => {
    const fitted = fitRange({ ...build, seat: { ...build.seat, statures: [1650, 1850] } });
    expect(fitted.map(({ stature }) => stature)).toEqual([1650, 1700, 1750, 1800, 1850]);
    // The one that the set is made for stays where it is.
    expect(Math.abs(fitted[2]!.legs.by!)).toBeLessThan(0.01);
    for (const { stature, legs, arms } of fitted) {
      if (legs.by === undefined || arms.by === undefined) continue;
      const slid = holding(
        { ...build, brief: { ...build.brief, riders: [{ name: 'x', stature, mass: 75 }] } },
        {
          ...build.stance.held,
          [legs.dimension]: build.stance.held[legs.dimension]! + legs.by,
          [arms.dimension]: build.stance.held[arms.dimension]! + arms.by,
        },
      );
      const { values } = stanceMade(slid);
      expect(values.kneeAngle).toBeCloseTo(angles.kneeAngle!, 3);
      expect(values.elbowAngle).toBeCloseTo(angles.elbowAngle!, 3);
    }
    const moves = fitted.map(({ legs }) => legs.by!);
    expect([...moves].sort((a, b) => a - b)).toEqual(moves);
  });
  it('a knee angle can be held, and what is slid for the legs follows', () => {
    const kindData = findKind(kind)!;
    const { legs } = kindData.seat.slots[0]!.adjusters!;
    const stance = stanceMade(build);
    const wanted = angles.kneeAngle! - 5;
    const held = { ...without(stance.held, legs.dimension), kneeAngle: wanted };
    const solved = solveStance(kindData, held, stance.state);
    if (!solved.ok) throw new Error(solved.refusals[0]!.message);
    expect(solved.values.kneeAngle).toBeCloseTo(wanted, 7);
    expect(solved.values[legs.dimension]).not.toBeCloseTo(stance.values[legs.dimension]!, 1);
  });
});

describe('a kart’s seat', () => {
  it('slides to a held knee angle while the pedals and the wheelbase stay; or the wheelbase follows', () => {
    const build = made('kart', 'kart');
    const stance = stanceMade(build);
    const held = without(build.stance.held, 'legRoom', 'seatAhead');
    const slid = stanceMade(holding(build, { ...held, kneeAngle: 125, wheelbase: stance.values.wheelbase! }));
    expect(slid.values.kneeAngle).toBeCloseTo(125, 6);
    expect(slid.points.pedals![0]).toBeCloseTo(stance.points.pedals![0], 6);
    expect(slid.values.seatAhead).toBeLessThan(stance.values.seatAhead!);
    const longer = stanceMade(holding(build, { ...without(build.stance.held, 'legRoom'), kneeAngle: 125 }));
    expect(longer.values.seatAhead).toBe(stance.values.seatAhead);
    expect(longer.values.wheelbase! - stance.values.wheelbase!).toBeCloseTo(
      longer.values.legRoom! - stance.values.legRoom!,
      6,
    );
  });
});

describe('riders of a brief', () => {
  it('are seated by the saddle rule and with bent elbows, and nothing else of the stance changes', () => {
    const build = made('bicycle', 'touring', {
      brief: { ...made().brief, riders: [{ name: 'Tall', stature: 1930, mass: 85 }] },
    });
    const { document: seated, changed: told, left } = seatAtEase(build);
    expect([told.map(({ id }) => id).sort(), left]).toEqual([['saddleHeight', 'trunkLean'], []]);
    // Done once, nothing is left to do; what follows is left, and said.
    expect(seatAtEase(seated).changed).toEqual([]);
    const held = { ...without(seated.stance.held, 'saddleHeight'), kneeAngle: 150 };
    const follows = { ...seated, stance: { held } };
    expect(seatAtEase(follows).left.map(({ id }) => id)).toEqual(['saddleHeight']);
    const { values } = stanceMade(seated);
    expect(values.saddleHeight).toBe(725 + Math.round((0.415 * 180) / 5) * 5);
    expect(values.elbowAngle).toBeGreaterThan(155);
    expect(values.elbowAngle).toBeLessThan(161);
    const changed = Object.keys(seated.stance.held).filter(
      (id) => seated.stance.held[id] !== build.stance.held[id],
    );
    expect(changed.sort()).toEqual(['saddleHeight', 'trunkLean']);
  });
  it('a saddle far from the rule is told with what the rule gives', () => {
    const build = made('bicycle', 'road', {
      held: { saddleHeight: 640 },
      brief: { ...made().brief, riders: [{ name: 'Mara', stature: 1750, mass: 70, inseam: 830 }] },
    });
    const finding = planMade(build).findings.find(isFinding('saddle-rule'));
    expect(finding?.values).toMatchObject({ rider: 'Mara', inseam: 830, value: 640 });
    expect(finding?.values.wanted).toBeCloseTo(0.883 * 830, 9);
  });
  it('directions are told from the seat', () => {
    expect([0, 90, -90, 180, 45, -135].map(directionWord)).toEqual([
      'forwards',
      'to the left',
      'to the right',
      'backwards',
      'forwards to the left',
      'backwards to the right',
    ]);
  });
});
