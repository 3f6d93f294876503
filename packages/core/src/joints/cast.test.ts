import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Arc } from '../frame/path.js';
import { add, along, cross, dot, scale, subtract, unit, type Vector } from '../vector/vector.js';
import { caster } from './cast.js';
import { FLUSH, GRAZE } from './lines.js';
import type { Bend, Cylinder, OvalCylinder, Prism, Surface, Torus } from './surfaces.js';

/** What one wall line meets: it starts at `from` and runs along `outward`. */
function castOne(surface: Surface, from: Vector, outward: Vector, behind = -1000) {
  const side = unit(cross(outward, Math.abs(outward[0]) < 0.9 ? [1, 0, 0] : [0, 1, 0]));
  const lines = {
    u: new Float64Array(1),
    v: new Float64Array(1),
    count: 1,
    behind,
    real: new Float64Array(1).fill(Infinity),
    flush: new Float64Array(1).fill(Infinity),
    beyond: new Float64Array(1).fill(Infinity),
  };
  caster(surface, { centre: from, outward, side, across: cross(outward, side) })(lines);
  return { real: lines.real[0]!, flush: lines.flush[0]!, beyond: lines.beyond[0]! };
}

const straight = { point: [0, 0, 0] as Vector, length: 200, openStart: true, openEnd: true };
const upright = { ...straight, axis: [0, 0, 1] as Vector, top: [1, 0, 0] as Vector };
const box = (halfHeight: number, halfWidth: number, corner: number): Prism => ({
  ...upright,
  shape: 'prism',
  halfHeight,
  halfWidth,
  corner,
});
const oval = (halfHeight: number, halfWidth: number): OvalCylinder => ({
  ...upright,
  shape: 'oval',
  halfHeight,
  halfWidth,
});
const tube = (radius: number): Cylinder => ({ ...upright, shape: 'cylinder', radius });

/** How far a host reaches from its axis in a direction across it. Source: support functions of convex figures. */
function supportOf(host: Prism | OvalCylinder | Cylinder, x: number, y: number): number {
  if (host.shape === 'cylinder') return host.radius;
  const { halfHeight: a, halfWidth: b } = host;
  if (host.shape === 'oval') return Math.hypot(a * x, b * y);
  return (a - host.corner) * Math.abs(x) + (b - host.corner) * Math.abs(y) + host.corner;
}
/** Negative inside a host, zero on it: by its own equation. */
function beyondOf(host: Prism | OvalCylinder | Cylinder, [x, y]: Vector): number {
  if (host.shape === 'cylinder') return Math.hypot(x, y) - host.radius;
  const { halfHeight: a, halfWidth: b } = host;
  if (host.shape === 'oval') return Math.hypot(x / a, y / b) - 1;
  const [over, beside] = [Math.abs(x) - a + host.corner, Math.abs(y) - b + host.corner];
  return (
    Math.hypot(Math.max(0, over), Math.max(0, beside)) + Math.min(0, Math.max(over, beside)) - host.corner
  );
}

describe('a wall line and one straight host', () => {
  const host = fc.oneof(
    fc.constantFrom(0, 2, 7, 20).map((corner) => box(20, 35, corner)),
    fc.constantFrom(oval(12, 30), oval(30, 12)),
    fc.constantFrom(tube(6), tube(25)),
  );
  it('meets it where it enters, lies flush within a tenth of a millimetre, and misses beyond: by support functions', () => {
    fc.assert(
      fc.property(
        host,
        fc.integer({ min: 0, max: 3599 }),
        fc.integer({ min: -80, max: 80 }),
        fc.integer({ min: -400, max: 160 }),
        (one, tenths, rise, gapIn1000) => {
          // The line passes the host's axis at this bearing, and the host by this gap; it rises along the axis as it goes.
          const bearing = (tenths * Math.PI) / 1800;
          const normal: Vector = [Math.cos(bearing), Math.sin(bearing), 0];
          const gap = gapIn1000 / 1000;
          fc.pre(Math.abs(gap - FLUSH) > 1e-6 && Math.abs(gap) > 1e-4);
          const outward = unit([-normal[1], normal[0], rise / 100]);
          const from = along(
            add(scale(normal, supportOf(one, normal[0], normal[1]) + gap), [0, 0, 100]),
            outward,
            -60,
          );
          const met = castOne(one, from, outward);
          if (gap > FLUSH) {
            expect(met).toEqual({ real: Infinity, flush: Infinity, beyond: Infinity });
          } else if (gap > 0) {
            expect(met.real).toBe(Infinity);
            // Nearest to it: as far off as the gap.
            const nearest = subtract(along(from, outward, met.flush), scale(normal, gap));
            expect(beyondOf(one, nearest)).toBeCloseTo(0, one.shape === 'oval' ? 4 : 6);
          } else {
            expect(met.flush).toBe(Infinity);
            expect(beyondOf(one, along(from, outward, met.real))).toBeCloseTo(0, 6);
            expect(beyondOf(one, along(from, outward, met.real - 0.01))).toBeGreaterThan(0);
          }
        },
      ),
      { numRuns: 600 },
    );
  });
  it('of a box that it nears while it passes, the corner that it comes nearest to counts', () => {
    const slope = 0.0005;
    const outward = unit([-slope, 1, 0]);
    // 0.08 mm off at the first corner and 0.02 mm less at the second, 40 mm on.
    const { flush } = castOne(box(20, 20, 3), [20.08 + 0.0115, -40, 100], outward);
    expect(along([0, -40, 0], outward, flush)[1]).toBeCloseTo(17, 1);
    const leaving = castOne(box(20, 20, 3), [20.05 - 0.0115, -40, 100], unit([slope, 1, 0]));
    expect(along([0, -40, 0], outward, leaving.flush)[1]).toBeCloseTo(-17, 1);
  });
  it('beside the corner of a box it is met within a billionth of its radius squared, and flush from there on', () => {
    const half = Math.SQRT1_2;
    // At 45 degrees past the rounded corner, by less and by more: square = 2 r e.
    for (const corner of [2, 8]) {
      const reach = (20 - corner) * 2 * half + corner;
      const past = (gap: number) => {
        const from = along([(reach + gap) * half, (reach + gap) * half, 100], [half, -half, 0], -30);
        return castOne(box(20, 20, corner), from, [half, -half, 0]);
      };
      const limit = (GRAZE * corner) / 2;
      expect(past(limit * 0.5).real).toBeCloseTo(30, 3);
      expect(past(limit * 0.5).flush).toBe(Infinity);
      expect(past(limit * 2).real).toBe(Infinity);
      expect(past(limit * 2).flush).toBeCloseTo(30, 3);
    }
  });
  it('a host that has ended is met as carried on, where it is open there, and not at all behind the tube’s body', () => {
    const near = (at: number) => expect.closeTo(at, 9) as number;
    const into = (z: number, host: Surface, behind?: number) => castOne(host, [-60, 0, z], [1, 0, 0], behind);
    for (const one of [box(20, 35, 4), oval(20, 35), tube(20)]) {
      expect(into(0, one)).toEqual({ real: near(40), flush: Infinity, beyond: Infinity });
      expect(into(200, one).real).toBeCloseTo(40, 9);
      expect(into(-0.001, one)).toEqual({ real: Infinity, flush: Infinity, beyond: near(40) });
      expect(into(200.001, one)).toEqual({ real: Infinity, flush: Infinity, beyond: near(40) });
      expect(into(-0.001, { ...one, openStart: false }).beyond).toBe(Infinity);
      expect(into(200.001, { ...one, openEnd: false }).beyond).toBe(Infinity);
      expect(into(100, one, 40.001).real).toBe(Infinity);
      expect(into(100, one, 39.999).real).toBeCloseTo(40, 9);
    }
  });
  it('one that runs along it meets nothing', () => {
    for (const one of [box(20, 35, 4), oval(20, 35), tube(20)])
      expect(castOne(one, [5, 5, -20], [0, 0, 1])).toEqual({
        real: Infinity,
        flush: Infinity,
        beyond: Infinity,
      });
  });
});

describe('a wall line and one bend', () => {
  /** A quarter, or another part, of a turn about z, from the x axis on. */
  const arc = (angle: number): Arc => {
    const turn = (angle * Math.PI) / 180;
    return {
      from: [100, 0, 0],
      to: [100 * Math.cos(turn), 100 * Math.sin(turn), 0],
      direction: [0, 1, 0],
      centre: [0, 0, 0],
      axis: [0, 0, 1],
      radius: 100,
      angle,
      length: 100 * turn,
      station: 0,
    };
  };
  const torus = (angle: number): Torus => ({ shape: 'torus', arc: arc(angle), radius: 15 });
  const bend = (angle: number, half: number, corner: number | undefined): Bend => ({
    shape: 'bend',
    arc: arc(angle),
    top: [0, 0, 1],
    start: { halfHeight: half, halfWidth: 15 },
    end: { halfHeight: half, halfWidth: 15 },
    even: 0,
    corner,
    reach: Math.hypot(half, 15),
  });
  const both: readonly [string, (angle: number) => Surface][] = [
    ['round', torus],
    ['of a square tube', (angle) => bend(angle, 15, 0)],
    ['oval', (angle) => bend(angle, 10, undefined)],
  ];
  it.each(both)(
    '%s: it belongs to the bend from its first plane to its last, both of them too',
    (_, make) => {
      const surface = make(60);
      /** From outside towards the centre, at an angle round it. */
      const at = (degrees: number) => {
        const turn = (degrees * Math.PI) / 180;
        const radial: Vector = [Math.cos(turn), Math.sin(turn), 0];
        return castOne(surface, scale(radial, 200), scale(radial, -1)).real;
      };
      for (const inside of [0, 1e-7, 30, 60 - 1e-7, 60]) expect(at(inside)).toBeCloseTo(85, 6);
      for (const outside of [-0.01, 60.01, 180, -90]) expect(at(outside)).toBeGreaterThan(200);
    },
  );
  it.each(both)('%s: lines that lie in its first or its last plane meet it there', (_, make) => {
    const surface = make(60);
    const last: Vector = [0.5, Math.sqrt(0.75), 0];
    for (const radial of [[1, 0, 0] as Vector, last])
      expect(castOne(surface, add(scale(radial, 100), [0, 0, 80]), [0, 0, -1]).real).toBeCloseTo(
        surface.shape === 'bend' ? 80 - surface.start.halfHeight : 65,
        6,
      );
    // A hair before the first plane, and behind the last.
    expect(castOne(surface, [100, -1e-6, 80], [0, 0, -1]).real).toBe(Infinity);
    expect(castOne(surface, add(scale(last, 100), [-1e-6, 1e-6, 80]), [0, 0, -1]).real).toBe(Infinity);
  });
  it('a round bend is met where its torus is: rho and height from the equation', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 550 }),
        fc.integer({ min: -140, max: 140 }),
        fc.integer({ min: -60, max: 60 }),
        (tenths, height, slant) => {
          const turn = (tenths * Math.PI) / 1800;
          const radial: Vector = [Math.cos(turn), Math.sin(turn), 0];
          const outward = unit(add(scale(radial, -1), [0, 0, slant / 1000]));
          const from: Vector = [200 * radial[0], 200 * radial[1], height / 10];
          const { real } = castOne(torus(60), from, outward);
          const [x, y, z] = along(from, outward, real);
          // Source: (rho - R)^2 + h^2 = r^2; out of the bend before it.
          if (real < Infinity) {
            expect(Math.hypot(Math.hypot(x, y) - 100, z)).toBeCloseTo(15, 6);
            expect(dot(outward, [x, y, 0])).toBeLessThan(0);
          } else expect(Math.abs(height / 10 + (85 * slant) / 1000)).toBeGreaterThan(14);
        },
      ),
      { numRuns: 200 },
    );
  });
});
