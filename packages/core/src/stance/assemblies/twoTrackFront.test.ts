import { mat4, vec3 } from 'gl-matrix';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { made, stanceMade } from '../../../../../testing/made.js';
import { length, subtract, type Vector } from '../../vector/vector.js';
import type { TwoTrackState } from '../states.js';
import { steered } from '../steering.js';
import { leftFront } from './twoTrackFront.js';

describe('two-track front ends, in three dimensions', () => {
  const state = fc.record({
    rearRadius: fc.constant(250),
    frontRadius: fc.double({ min: 120, max: 320, noNaN: true }),
    rearWidth: fc.constant(40),
    frontWidth: fc.constant(40),
    wheelbase: fc.constant(1100),
    frontTrack: fc.double({ min: 600, max: 1500, noNaN: true }),
    caster: fc.double({ min: -5, max: 30, noNaN: true }),
    kingpinInclination: fc.double({ min: -5, max: 25, noNaN: true }),
    spindleOffset: fc.double({ min: -60, max: 60, noNaN: true }),
    spindleLength: fc.double({ min: 0, max: 200, noNaN: true }),
    camber: fc.double({ min: -6, max: 6, noNaN: true }),
    toe: fc.double({ min: -2, max: 2, noNaN: true }),
  });
  const glide = (m: mat4, v: Vector): Vector =>
    [...vec3.transformMat4(vec3.create(), [...v], m)] as unknown as Vector;

  it('camber, patch drop and trail through the sweep agree with an independent rotation', () => {
    // Source: gl-matrix, a general library: rotation about an axis through a point, and the lowest of many tyre points.
    mat4.create();
    fc.assert(
      fc.property(state, fc.double({ min: -45, max: 45, noNaN: true }), (s: TwoTrackState, steer) => {
        const wheel = leftFront(s);
        const m = mat4.create();
        mat4.translate(m, m, [...wheel.axisPoint]);
        mat4.rotate(m, m, (steer * Math.PI) / 180, [...wheel.axis]);
        mat4.translate(m, m, [...wheel.axisPoint].map((x) => -x) as [number, number, number]);
        const centre = glide(m, wheel.centre);
        const tip = glide(
          m,
          [0, 1, 2].map((i) => wheel.centre[i]! + 1000 * wheel.spindle[i]!) as unknown as Vector,
        );
        const spindle = subtract(tip, centre).map((x) => x / 1000) as unknown as Vector;
        // The lowest point of the disc lies straight down its plane: the height of the rim there.
        const low = centre[2] - s.frontRadius * Math.sqrt(1 - spindle[2] ** 2);
        const told = steered(wheel, steer);
        const camber = -(Math.asin(spindle[2] / length(spindle)) * 180) / Math.PI;
        return Math.abs(told.camber - camber) < 2e-3 && Math.abs(-told.drop - low) < 2e-3;
      }),
      { numRuns: 200 },
    );
  });

  it('caster trail and scrub are the plane formulas for an upright wheel', () => {
    // Source: Rf tan c - e / cos c, and the front view's b - Rf tan k.
    const { values: v } = stanceMade(made('tadpole-trike', 'tadpole', { held: { spindleOffset: 8 } }));
    const rad = Math.PI / 180;
    expect(v.casterTrail).toBeCloseTo(243 * Math.tan(12 * rad) - 8 / Math.cos(12 * rad), 9);
    expect(v.scrubRadius).toBeCloseTo(68 - 243 * Math.tan(14 * rad), 9);
    expect(v.pinTrack).toBeCloseTo(780 - 2 * v.scrubRadius!, 9);
  });

  it('the patches stand at the track whatever camber and toe, and toe reads as on a tape', () => {
    fc.assert(
      fc.property(state, (s: TwoTrackState) => {
        const { centre, spindle, radius } = leftFront(s);
        const upright = Math.sqrt(1 - spindle[2] ** 2);
        return Math.abs(centre[2] - radius * upright) < 1e-9 && Math.abs(length(spindle) - 1) < 1e-12;
      }),
    );
    const { values } = stanceMade(made('kart', 'kart', { held: { toe: 0.5 } }));
    // Per wheel 2 R sin(toe) across its diameter, two wheels.
    expect(values.toeDifference).toBeCloseTo(2 * 2 * 127 * Math.sin((0.5 * Math.PI) / 180), 9);
  });

  it('a kart’s inside patch comes down and its outside one goes up, which lifts the inside rear', () => {
    // Source: practice.
    const [left] = stanceMade(made('kart', 'kart')).steered;
    expect(steered(left!, 20).drop).toBeGreaterThan(3);
    expect(steered(left!, -20).drop).toBeLessThan(0);
  });
});
