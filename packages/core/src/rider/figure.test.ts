import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, stanceMade } from '../../../../testing/made.js';
import { distance, type Vector } from '../vector/vector.js';
import { bodyOf, inseamOf, OF_STATURE, SEGMENT_MASS } from './body.js';
import { farthestCrank, figureOf, reachOfForearm, type Figure } from './figure.js';
import type { RiderPlace } from './place.js';
import { jointAngle, twoLink } from './twoLink.js';

const turn = 180 / Math.PI;
/** Angle at b between a and c, from coordinates alone. */
function angleAt(a: Vector, b: Vector, c: Vector): number {
  const [u, v] = [
    [a[0] - b[0], a[1] - b[1], a[2] - b[2]],
    [c[0] - b[0], c[1] - b[1], c[2] - b[2]],
  ] as [number[], number[]];
  const dot = u[0]! * v[0]! + u[1]! * v[1]! + u[2]! * v[2]!;
  return Math.acos(dot / (Math.hypot(...u) * Math.hypot(...v))) * turn;
}

describe('a body', () => {
  it('has the segments that Winter tables after Drillis and Contini, and Dempster’s masses', () => {
    // Source: Winter, Biomechanics and Motor Control of Human Movement: heights of joints 0.039, 0.285, 0.530, 0.818.
    const { ankleHeight, shank, thigh, trunk } = OF_STATURE;
    expect(ankleHeight + shank).toBeCloseTo(0.285, 9);
    expect(ankleHeight + shank + thigh).toBeCloseTo(0.53, 9);
    expect(ankleHeight + shank + thigh + trunk).toBeCloseTo(0.818, 9);
    expect(OF_STATURE.shoulderToTop + 0.818).toBeCloseTo(1, 9);
    expect(OF_STATURE.shoulderToEye + 0.818).toBeCloseTo(0.936, 9);
    const { headAndNeck, trunk: body, ...limbs } = SEGMENT_MASS;
    const each = Object.values(limbs).reduce((sum, share) => sum + share, 0);
    expect(headAndNeck + body + 2 * each).toBeCloseTo(1, 9);
  });
  it('is stretched in the leg by its inseam alone, in proportion; a measured segment stands for itself', () => {
    const [usual, long] = [bodyOf({ stature: 1800 }), bodyOf({ stature: 1800, inseam: 1.1 * 0.47 * 1800 })];
    for (const segment of ['thigh', 'shank', 'ankleHeight'] as const)
      expect(long[segment]).toBeCloseTo(1.1 * usual[segment], 9);
    expect(long.trunk).toBe(usual.trunk);
    expect(bodyOf({ stature: 1800, thigh: 470, inseam: 900 }).thigh).toBe(470);
    expect(inseamOf({ stature: 1800 })).toBeCloseTo(846, 9);
  });
});

describe('two links', () => {
  const coordinate = fc.double({ min: -900, max: 900, noNaN: true });
  const point = fc.tuple(coordinate, coordinate, coordinate) as fc.Arbitrary<Vector>;
  const link = fc.double({ min: 80, max: 500, noNaN: true });
  it('keep their lengths wherever they reach, bend to the side they are told, and tell what is short', () => {
    fc.assert(
      fc.property(point, point, link, link, (from, to, upper, lower) => {
        const bend: Vector = [-(to[2] - from[2]), 0, to[0] - from[0]];
        const { joint, end, beyond } = twoLink(from, to, upper, lower, bend);
        const span = distance(from, to);
        if (span < 1 || Math.hypot(bend[0], bend[2]) < 1) return;
        expect(distance(from, joint)).toBeCloseTo(upper, 6);
        expect(distance(joint, end)).toBeCloseTo(lower, 6);
        const reach = Math.min(upper + lower, Math.max(Math.abs(upper - lower), span));
        expect(beyond).toBeCloseTo(span - reach, 6);
        const towards = (joint[0] - from[0]) * bend[0] + (joint[2] - from[2]) * bend[2];
        expect(towards).toBeGreaterThan(-1e-3);
        // Independent: the angle from the three places, against the law of cosines.
        if (beyond === 0 && upper + lower - span > 1 && span - Math.abs(upper - lower) > 1)
          expect(angleAt(from, joint, end)).toBeCloseTo(jointAngle(upper, lower, span), 4);
      }),
    );
  });
  it('an angle goes on past straight, so that a solver finds its way back', () => {
    expect(jointAngle(400, 400, 800)).toBeCloseTo(180, 4);
    expect(jointAngle(400, 400, 820)).toBeCloseTo(185, 6);
    expect(jointAngle(400, 300, 60)).toBeLessThan(0);
  });
});

/** Which side of the line from a to c the joint is on, seen from the right: positive to its left. */
const side = (a: Vector, joint: Vector, c: Vector): number =>
  (c[0] - a[0]) * (joint[2] - a[2]) - (c[2] - a[2]) * (joint[0] - a[0]);

describe.each(EVERY_SET)('%s, %s', (kind, set) => {
  const stance = stanceMade(made(kind, set));
  const each = (work: (place: RiderPlace, figure: Figure) => void) => {
    for (const place of stance.places)
      for (let crank = 0; crank < 360; crank += 15) work(place, figureOf(place, { crank, steer: 0 }));
  };
  it('nobody’s knee or elbow is broken, out of joint or out of reach, through a whole turn of the pedals', () => {
    each((place, { legs, arms, hip, shoulder }) => {
      for (const leg of [legs.left, legs.right]) {
        expect(leg.beyond, place.name).toBe(0);
        expect(distance(leg.hip, leg.knee)).toBeCloseTo(place.body.thigh, 6);
        expect(distance(leg.knee, leg.ankle)).toBeCloseTo(place.body.shank, 6);
        // Forward of a leg that hangs, above one that lies: to the left of the line from hip to ankle.
        expect(side(leg.hip, leg.knee, leg.ankle)).toBeGreaterThan(0);
        // A foot bends between some 60 and 140 degrees against the shank.
        const foot = angleAt(leg.knee, leg.ankle, leg.toe);
        expect(foot).toBeGreaterThan(55);
        expect(foot).toBeLessThan(150);
      }
      for (const arm of [arms.left, arms.right]) {
        expect(arm.beyond, place.name).toBe(0);
        expect(distance(arm.elbow, arm.grip)).toBeCloseTo(reachOfForearm(place), 6);
        expect(side(arm.shoulder, arm.elbow, arm.grip)).toBeLessThan(1e-6);
      }
      expect(distance(hip, shoulder)).toBeCloseTo(place.body.trunk, 6);
    });
  });
  it('its angles are those of the figure as it is drawn', () => {
    const [place] = stance.places;
    const straight = figureOf(place!, { crank: farthestCrank(place!), steer: 0 });
    const { hip, knee, ankle } = straight.legs.right;
    expect(angleAt(hip, knee, ankle)).toBeCloseTo(stance.values.kneeAngle!, 5);
    if (stance.values.kneeAngleTop !== undefined) {
      const folded = figureOf(place!, { crank: farthestCrank(place!) + 180, steer: 0 }).legs.right;
      expect(angleAt(folded.hip, folded.knee, folded.ankle)).toBeCloseTo(stance.values.kneeAngleTop, 5);
      // Farthest and nearest of the whole turn.
      each((other, figure) => {
        if (other.id !== '') return;
        const angle = angleAt(figure.legs.right.hip, figure.legs.right.knee, figure.legs.right.ankle);
        expect(angle).toBeLessThan(stance.values.kneeAngle! + 1e-6);
        expect(angle).toBeGreaterThan(stance.values.kneeAngleTop! - 1e-6);
      });
    }
  });
});

describe('the saddle rule', () => {
  it('0.883 of the inseam leaves the knee 25 to 35 degrees short of straight at the bottom', () => {
    // Source: common practice gives both.
    for (let stature = 1550; stature <= 1950; stature += 50) {
      const build = made('bicycle', 'road', {
        held: { saddleHeight: 0.883 * 0.47 * stature, crankLength: 0.097 * stature },
        brief: {
          ...made().brief,
          riders: [{ name: 'Somebody', stature, mass: 75 }],
        },
      });
      const short = 180 - stanceMade(build).values.kneeAngle!;
      expect(short, `${stature}`).toBeGreaterThan(25);
      expect(short, `${stature}`).toBeLessThan(35);
    }
  });
});
