import { polygonContains } from 'd3-polygon';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isFinding } from '../findings/finding.js';
import { made, planMade } from '../../../../testing/made.js';
import type { Contact, WheelLoad } from '../mass/loads.js';
import type { Vector } from '../vector/vector.js';
import { effectiveLean, leanToTouch } from './lean.js';
import { falls, roomTo, supportOf, tipLimit } from './support.js';
import { CHANGE, tippingOf } from './tipping.js';

const wheel = (x: number, y: number, end: 'front' | 'rear'): Contact => ({
  wheel: `${x} ${y}`,
  end,
  at: [x, y, 0],
});
const four = (L: number, front: number, rear: number): Contact[] => [
  wheel(L, front / 2, 'front'),
  wheel(L, -front / 2, 'front'),
  wheel(0, rear / 2, 'rear'),
  wheel(0, -rear / 2, 'rear'),
];

describe('the support', () => {
  it('static stability factor: T / 2h', () => {
    // Source: NHTSA definition.
    expect(tipLimit(90, [500, 0, 400], supportOf(four(1000, 900, 900)))).toBeCloseTo(900 / (2 * 400), 12);
  });
  it('three wheels: L 1000, T 750, h 450, CG 650 from the single wheel tip at 0.5417 g', () => {
    // Source: statics.
    const delta = supportOf([wheel(1000, 0, 'front'), wheel(0, 375, 'rear'), wheel(0, -375, 'rear')]);
    expect(tipLimit(90, [350, 0, 450], delta)).toBeCloseTo(0.5417, 4);
    const tadpole = supportOf([wheel(0, 0, 'rear'), wheel(1000, 375, 'front'), wheel(1000, -375, 'front')]);
    expect(tipLimit(-90, [650, 0, 450], tadpole)).toBeCloseTo(((650 / 1000) * 375) / 450, 9);
  });
  it('in any direction: the ground point of the force leaves the polygon just there', () => {
    // Independent: d3-polygon's own test of a point in a polygon.
    const size = fc.integer({ min: 300, max: 1600 });
    fc.assert(
      fc.property(
        size,
        size,
        size,
        fc.double({ min: 0.15, max: 0.85, noNaN: true }),
        fc.integer({ min: 0, max: 359 }),
        (L, front, rear, share, direction) => {
          const support = supportOf(four(L, front, rear));
          const foot = [share * L, 0] as const;
          const room = roomTo(direction, foot, support)!;
          const at = (by: number): [number, number] => [
            foot[0] + by * Math.cos((direction * Math.PI) / 180),
            foot[1] + by * Math.sin((direction * Math.PI) / 180),
          ];
          const polygon = support.map(([x, y]): [number, number] => [x, y]);
          expect(polygonContains(polygon, at(room - 0.01))).toBe(true);
          expect(polygonContains(polygon, at(room + 0.01))).toBe(false);
        },
      ),
    );
  });
  it('says which way it falls when the weight stands outside the wheels', () => {
    const support = supportOf(four(1000, 900, 900));
    expect(falls([500, 0, 400], support)).toBeUndefined();
    expect(Math.abs(falls([-20, 0, 400], support)!)).toBeCloseTo(180, 6);
    expect(falls([500, 500, 400], support)).toBeCloseTo(90, 6);
    expect(falls([1100, 0, 400], supportOf([wheel(1000, 0, 'front'), wheel(0, 0, 'rear')]))).toBe(0);
  });
});

describe('what would raise the limit', () => {
  it('agrees with small differences of the closed formula, for a delta', () => {
    const contacts = [wheel(1150, 0, 'front'), wheel(0, 380, 'rear'), wheel(0, -380, 'rear')];
    const loads = contacts.map((each): WheelLoad => ({ ...each, load: 30 }));
    const { stance } = planMade(made('delta-trike', 'delta'));
    const [x, h] = [380, 560];
    const { gains } = tippingOf({ at: [x, 0, h], loads }, stance);
    const limit = (L: number, T: number, x_: number, h_: number) => (((L - x_) / L) * (T / 2)) / h_;
    const now = limit(1150, 760, x, h);
    const gain = (change: string) => gains.find((each) => each.change === change)?.gain;
    expect(gain('track')).toBeCloseTo(limit(1150, 760 + CHANGE, x, h) - now, 9);
    expect(gain('lower')).toBeCloseTo(limit(1150, 760, x, h - CHANGE) - now, 9);
    expect(gain('back')).toBeCloseTo(limit(1150, 760, x - CHANGE, h) - now, 9);
    expect(gain('forward')).toBeUndefined();
    expect(gains.map(({ gain: by }) => by)).toEqual(
      [...gains.map(({ gain: by }) => by)].sort((a, b) => b - a),
    );
  });
});

describe('a single track', () => {
  /** Independent: the part rolled step by step about the tyre's crown, until it is on the ground. */
  const rolled = (y: number, z: number, crown: number): number => {
    for (let lean = 0; lean <= 90; lean += 0.005) {
      const angle = (lean * Math.PI) / 180;
      if (crown - y * Math.sin(angle) + (z - crown) * Math.cos(angle) <= 0) return lean;
    }
    return 90;
  };
  it('touches with its first hard part at the lean that rolling it step by step gives', () => {
    for (const [y, z, crown] of [
      [310, 310, 60],
      [160, 90, 19],
      [110, 250, 55],
    ] as const)
      expect(leanToTouch(y, z, crown)).toBeCloseTo(rolled(y, z, crown), 1);
    // A knife-edge tyre: the lean of the part itself.
    expect(leanToTouch(300, 300, 0)).toBeCloseTo(45, 9);
  });
  it('wide tyres spend part of the lean: the weight leans less than the frame', () => {
    expect(effectiveLean(40, 700, 0)).toBeCloseTo(40, 9);
    expect(effectiveLean(40, 700, 80)).toBeLessThan(40);
  });
  it('has no sideways limit, and turns no tighter than its lean lets it', () => {
    const { tipping } = planMade(made('motorcycle', 'standard'));
    expect(tipping!.sideways).toBeUndefined();
    expect(tipping!.polar).toEqual([]);
    const g = Math.tan((tipping!.leanLimit! * Math.PI) / 180);
    for (const { radius, limit, slidesDry } of tipping!.turns) {
      expect(limit).toBeCloseTo(Math.sqrt(g * 9.80665 * radius), 6);
      expect(slidesDry).toBeCloseTo(Math.sqrt(0.7 * 9.80665 * radius), 6);
    }
  });
});

describe('findings of the weight', () => {
  const kart = made('kart', 'kart');
  const carrying = (mass: number, offset: Vector) =>
    planMade({
      ...kart,
      mass: { lumps: [{ id: 'x', name: 'X', sort: 'cargo', mass, point: 'rearAxle', offset: [...offset] }] },
    }).findings;
  it('a weight outside the wheels, one that weighs nothing, and a high one that tips first', () => {
    const behind = carrying(400, [-900, 0, 200]).find(isFinding('falls-over'));
    expect(behind).toMatchObject({ severity: 'stop', values: { direction: 'backwards' } });
    const left = carrying(900, [500, 1200, 200]).find(isFinding('falls-over'));
    expect(left?.values.direction).toBe('to the left');
    expect(carrying(0, [0, 0, 0]).map(({ code }) => code)).toContain('lump-weighs-nothing');
    const high = carrying(400, [500, 0, 1500]).find(isFinding('tips-first'));
    expect(high?.values.limit).toBeLessThan(0.7);
  });
});
