import fc from 'fast-check';
import { glMatrix, mat4, vec3 } from 'gl-matrix';
import { describe, expect, it } from 'vitest';
import type { BuildDocument } from '@larchwood/format';
import { bentTube, scheduleOf } from '../../../../testing/bentTube.js';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import type { Piece } from '../frame/frame.js';
import type { Leg } from '../frame/path.js';
import { add, along, distance, length, subtract, type Vector } from '../vector/vector.js';
import { compoundFrom } from './bender.js';
import { bendFindings, TIGHT } from './findings.js';
import { bendSchedule, bentSoFar, type BendSchedule } from './schedule.js';
import { SPREADER_CLEARANCE, taperOf } from './taper.js';

// In doubles: by itself the library reckons in single precision.
glMatrix.setMatrixArrayType(Array as unknown as ArrayConstructor & Float32ArrayConstructor);
const NONE = { start: 0, end: 0 };

/**
 * A straight tube bent by the numbers of a table alone, with an independent matrix library: the bender stands still, the
 * tube is fed, turned about itself and bent; what is bent already moves.
 */
function rebent({ tube, bends }: BendSchedule): Vector[] {
  // Points on the tube's middle where straights begin and end, in the bender’s axes; the rest lies along −x.
  let points: { way: number; at: vec3 }[] = [];
  const ways = [0, ...bends.flatMap(({ mark, arc }) => [mark, mark + arc]), tube];
  let fed = 0;
  for (const { mark, arc, radius, angle, rotation } of bends) {
    const feed = mark - fed;
    for (const point of points) point.at[0]! += feed;
    // Clockwise seen from the rest, that is looking along +x: right-handed about +x.
    const turn = mat4.fromRotation(mat4.create(), (rotation * Math.PI) / 180, [1, 0, 0])!;
    points.forEach(({ at }) => vec3.transformMat4(at, at, turn));
    points.push(
      ...ways
        .filter((way) => way <= mark + 1e-9 && !points.some((each) => each.way === way))
        .map((way) => ({ way, at: vec3.fromValues(mark - way, 0, 0) })),
    );
    // The die stands at y = −radius and draws the tube round it: clockwise seen from above.
    const swing = mat4.create();
    mat4.translate(swing, swing, [0, -radius, 0]);
    mat4.rotateZ(swing, swing, (-angle * Math.PI) / 180);
    mat4.translate(swing, swing, [0, radius, 0]);
    points.forEach(({ at }) => vec3.transformMat4(at, at, swing));
    points.push({ way: mark + arc, at: vec3.fromValues(0, 0, 0) });
    fed = mark + arc;
  }
  points.push({ way: tube, at: vec3.fromValues(fed - tube, 0, 0) });
  points = points.sort((a, b) => a.way - b.way);
  return points.map(({ at }) => [at[0]!, at[1]!, at[2]!]);
}
/** The same points where the piece is drawn. */
const drawn = (
  { legs, length }: Pick<Piece['path'], 'legs' | 'length'>,
  extra: { start: number; end: number },
): Vector[] =>
  legs.flatMap(({ from, direction, length: long }, index) => {
    const back = index === 0 ? extra.start : 0;
    const on = index === legs.length - 1 ? extra.end + 0 * length : 0;
    const at = (way: number): Vector =>
      add(from, [direction[0] * way, direction[1] * way, direction[2] * way]);
    return [at(-back), at(long + on)];
  });
/** All distances between points, and the hand of every four in a row: what no motion changes. */
function congruent(a: readonly Vector[], b: readonly Vector[]): number {
  const hand = (p: readonly Vector[], i: number) => {
    const [u, v, w] = [1, 2, 3].map((k) => p[i + k]!.map((x, axis) => x - p[i]![axis]!)) as [
      number[],
      number[],
      number[],
    ];
    const volume =
      u[0]! * (v[1]! * w[2]! - v[2]! * w[1]!) -
      u[1]! * (v[0]! * w[2]! - v[2]! * w[0]!) +
      u[2]! * (v[0]! * w[1]! - v[1]! * w[0]!);
    return Math.sign(volume) * Math.cbrt(Math.abs(volume));
  };
  let worst = a.length === b.length ? 0 : Infinity;
  a.forEach((from, i) =>
    a.forEach((to, j) => (worst = Math.max(worst, Math.abs(distance(from, to) - distance(b[i]!, b[j]!))))),
  );
  for (let i = 0; i + 3 < a.length; i += 1)
    worst = Math.max(
      worst,
      Math.sign(hand(a, i)) === Math.sign(hand(b, i)) || Math.abs(hand(a, i)) < 5 ? 0 : 1e3,
    );
  return worst;
}

describe('a bend table', () => {
  // Vector algebra worked by hand: corners (0,0,0) (300,0,0) (500,200,0) (500,500,150) on a radius of 76.2.
  const corners: Vector[] = [
    [0, 0, 0],
    [300, 0, 0],
    [500, 200, 0],
    [500, 500, 150],
  ];
  it('has the angles, straights, rotation and length that are worked by hand', () => {
    const { bends, tube } = scheduleOf(corners, [76.2, 76.2], { from: 'start', extra: NONE });
    expect(bends.map(({ angle }) => angle.toFixed(3))).toEqual(['45.000', '50.768']);
    expect(bends[0]!.straightBefore).toBeCloseTo(268.437, 3);
    expect(bends[1]!.straightBefore).toBeCloseTo(215.123, 3);
    expect(bends[1]!.straightAfter).toBeCloseTo(299.253, 3);
    expect(Math.abs(bends[1]!.rotation)).toBeCloseTo(35.264, 3);
    expect(tube).toBeCloseTo(910.18, 3);
  });
  it('marks from either end meet in the same places, and from the other end the tube turns the same way', () => {
    const ahead = scheduleOf(corners, [76.2, 76.2], { from: 'start', extra: { start: 40, end: 90 } });
    const back = scheduleOf(corners, [76.2, 76.2], { from: 'end', extra: { start: 40, end: 90 } });
    expect(ahead.bends[0]!.mark).toBeCloseTo(40 + 268.437, 3);
    ahead.bends.forEach((bend, index) => {
      const same = back.bends.at(-1 - index)!;
      expect(same.mark).toBeCloseTo(bend.markFromOther, 9);
      expect(same.markFromOther).toBeCloseTo(bend.mark, 9);
    });
    expect(back.bends[1]!.rotation).toBeCloseTo(ahead.bends[1]!.rotation, 9);
  });
  it('half a degree too much 900 mm before the end moves it 7.85 mm (arithmetic)', () => {
    const { bends } = scheduleOf(
      [
        [0, 0, 0],
        [300, 0, 0],
        [300, 900, 0],
      ],
      [0.001],
      { from: 'start', extra: NONE },
    );
    expect(bends[0]!.perHalfDegree).toBeCloseTo(7.85, 2);
  });
  it.each(['start', 'end'] as const)(
    'half a degree more with the mark held, bent anew: marks from the %s',
    (from) => {
      const corners: Vector[] = [
        [0, 0, 0],
        [300, 0, 0],
        [300, 500, 0],
        [300, 500, 400],
      ];
      const radii = [90, 60];
      const schedule = scheduleOf(corners, radii, { from, extra: NONE });
      const end = (leg: Leg, long: number) => along(leg.from, leg.direction, long);
      schedule.bends.forEach((bend, index) => {
        // Every mark stays where it is on the tube: the next straight is shorter by what the arc takes.
        const more = (bend.radius * Math.PI) / 360;
        const bends = schedule.bends.map((each, place) =>
          place === index ? { ...each, angle: each.angle + 0.5, arc: each.arc + more } : each,
        );
        const before = bentSoFar({ ...schedule, bends: schedule.bends }, index + 1);
        const after = bentSoFar({ ...schedule, bends }, index + 1);
        const [a, b] = [before, after].map((path) => path.legs.at(-1)!) as [Leg, Leg];
        // The end of a straight piece behind this bend, as long as the way to the far end is far off.
        const arm = 400;
        const moved = length(subtract(end(a, arm), end(b, arm - more)));
        expect(moved).toBeCloseTo(arm * 2 * Math.sin((0.25 * Math.PI) / 180), 1);
      });
      const last = schedule.bends.at(-1)!;
      expect(last.perHalfDegree).toBeCloseTo(last.straightAfter * 2 * Math.sin((0.25 * Math.PI) / 180), 6);
    },
  );
  it('bends a straight tube to the points of its piece, whichever end comes first: any path, an independent library', () => {
    const span = fc.double({ min: 150, max: 500, noNaN: true });
    const tilt = fc.double({ min: -1, max: 1, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(span, tilt, tilt), { minLength: 2, maxLength: 6 }),
        fc.constantFrom('start' as const, 'end' as const),
        fc.tuple(fc.integer({ min: 0, max: 120 }), fc.integer({ min: 0, max: 120 })),
        (spans, from, [start, end]) => {
          const way: Vector[] = [[0, 0, 0]];
          for (const [long, up, side] of spans) {
            const norm = Math.hypot(1, up, side);
            way.push(add(way.at(-1)!, [long / norm, (long * up) / norm, (long * side) / norm]));
          }
          const { piece, cut } = bentTube(
            way,
            spans.slice(1).map(() => 60),
          );
          const schedule = bendSchedule(piece, cut, { from, extra: { start, end } });
          if (!schedule || schedule.bends.length !== spans.length - 1) return;
          const points = drawn(piece.path, { start, end });
          expect(congruent(rebent(schedule), from === 'start' ? points : points.reverse())).toBeLessThan(
            0.01,
          );
        },
      ),
      { numRuns: 1000 },
    );
  });
  it.each(EVERY_SET)('%s %s: each bent piece of the starting set comes back to its points', (kind, set) => {
    const plan = planMade(made(kind, set));
    for (const schedule of plan.bends) {
      const piece = plan.frame.pieces.find(({ id }) => id === schedule.piece)!;
      const cut = plan.cuts.find((each) => each.piece === schedule.piece)!;
      const first = cut.ends[0].station - cut.ends[0].edge.longest.at;
      const last = cut.ends[1].station + cut.ends[1].edge.longest.at;
      const more = {
        start: schedule.extra.start - first,
        end: schedule.extra.end + last - piece.path.length,
      };
      expect(congruent(rebent(schedule), drawn(piece.path, more))).toBeLessThan(0.01);
      const whole = bentSoFar(schedule, schedule.bends.length);
      expect(congruent(drawn(whole, NONE), drawn(piece.path, more))).toBeLessThan(0.01);
    }
  });
  it('of a pair the right one turns the other way, and is marked alike', () => {
    const plan = planMade(made('motorcycle', 'standard'));
    const pairs = plan.bends.filter(({ mark }) => mark.endsWith('L'));
    expect(pairs.length).toBeGreaterThan(0);
    for (const left of pairs) {
      const right = plan.bends.find(({ mark }) => mark === left.mark.replace('L', 'R'))!;
      left.bends.forEach((bend, index) => {
        const twin = right.bends[index]!;
        expect(twin.mark).toBeCloseTo(bend.mark, 6);
        expect(Math.abs(Math.abs(bend.rotation + twin.rotation) % 360)).toBeLessThan(1e-6);
      });
    }
  });
});

describe('what can be said without a bender', () => {
  const tight = (radius: number) =>
    bendFindings([
      scheduleOf(
        [
          [0, 0, 0],
          [300, 0, 0],
          [300, 300, 0],
        ],
        [radius],
      ),
    ]).map(({ severity }) => severity);
  it('a radius under twice and under three times the tube', () => {
    expect(tight(TIGHT.flattens * 25.4 + 0.1)).toEqual([]);
    expect(tight(TIGHT.flattens * 25.4 - 0.1)).toEqual(['note']);
    expect(tight(TIGHT.kinks * 25.4 - 0.1)).toEqual(['look']);
  });
  it('a taper of one inch over twelve is 4.76 degrees; a spreader comes out again', () => {
    expect(taperOf(25.4, 304.8, 6).angle).toBeCloseTo(4.764, 3);
    expect(taperOf(25.4, 304.8, 6).edge).toBeCloseTo(305.857, 3);
    expect(taperOf(25.4, 304.8, 6).spreader).toBeCloseTo(6 - SPREADER_CLEARANCE, 9);
  });
  it('two gauge readings on faces square to each other make one bend', () => {
    expect(compoundFrom(30, 0)).toEqual({ turn: expect.closeTo(30, 9) as number, plane: 0 });
    // A way with slopes 1 and 1 lies 54.7356 degrees off: atan of the square root of two.
    expect(compoundFrom(45, 45).turn).toBeCloseTo(54.7356, 4);
    expect(compoundFrom(45, 45).plane).toBeCloseTo(45, 9);
  });
  it('choices of a piece are the document’s: from the other end, and bent to length', () => {
    const document: BuildDocument = made('motorcycle', 'standard');
    const [usual] = planMade(document).bends;
    const member = usual!.piece.split(':')[0]!;
    const { bends } = planMade({
      ...document,
      cuts: { bends: { [member]: { from: 'end', extra: NONE } }, bars: [] },
    });
    expect(bends[0]!.from).toBe('end');
    expect(bends[0]!.tube).toBeCloseTo(usual!.tube - 150, 6);
    expect(bends[0]!.tube).toBeCloseTo(bends[0]!.finished, 9);
  });
});
