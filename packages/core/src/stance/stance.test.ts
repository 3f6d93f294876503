import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { made, holding, planMade, stanceMade } from '../../../../testing/made.js';
import type { BuildDocument } from '@larchwood/format';
import { turn } from '../vector/vector.js';
import { toeClearance } from './assemblies/toeClearance.js';
import { BICYCLE } from './kinds/bicycle.js';
import { mechanicalTrail, offsetForTrail, rearwardAngle, trail, wheelFlop } from './singleTrack.js';
import { solveStance } from './solve.js';
import { without } from '../without.js';
import { stanceOf } from './stance.js';
import { parseTyreMarking } from './tyres.js';
import { TYRE_TABLE } from './tyreTable.js';

const road = () => made('bicycle', 'road');
const withHeld = (held: Record<string, number>) => holding(road(), { ...road().stance.held, ...held });

describe('front end of a single-track vehicle', () => {
  it('trail, Rf 336, head 73, offset 45', () => {
    // Source: formula, worked by hand.
    expect(trail(336, 73, 45)).toBeCloseTo(55.669, 3);
    expect(mechanicalTrail(336, 73, 45)).toBeCloseTo(53.237, 3);
    expect(wheelFlop(336, 73, 45)).toBeCloseTo(15.565, 3);
  });
  it('benchmark two-wheeler: tilt pi/10, Rf 0.35 m, trail 0.08 m gives offset 0.03207 m', () => {
    // Source: Meijaard et al. 2007, Table 1 (offset follows from it).
    expect(offsetForTrail(350, 72, 80) / 1000).toBeCloseTo(0.03207, 5);
    // The same by holding: trail and wheelbase (1.02 m) of the benchmark held, the offset follows.
    const held = {
      ...without(stanceMade(road()).held, 'forkOffset', 'reach'),
      headAngle: 72,
      trail: 80,
      frontRadius: 350,
      rearRadius: 300,
      frontWidth: 20,
      rearWidth: 20,
    };
    const found = solveStance(BICYCLE, { ...held, wheelbase: 1020 });
    expect(found.ok && found.values.forkOffset! / 1000).toBeCloseTo(0.03207, 5);
  });
  it('sport motorcycle: rake 26, trail 4 in, wheelbase 54 in, on a 110/70-17 the offset is 37.1 mm', () => {
    // Source: practice; formula. Through the whole kind: clamps parallel, no axle lead, so the clamp offset is the offset.
    const sport = made('motorcycle', 'standard');
    const { values } = stanceMade(
      holding(sport, { ...sport.stance.held, rake: 26, trail: 101.6, wheelbase: 1371.6 }),
    );
    expect(values.clampOffset).toBeCloseTo(37.1, 1);
  });
  it('raked clamps: offset is clamp offset + F sin d + lead, and the drop along the axis F cos d', () => {
    // Source: plane trigonometry from the definitions of the trade; measured here on the drawn points.
    const build = made('motorcycle', 'cruiser');
    const { values: v, points: p } = stanceMade(
      holding(build, { ...build.stance.held, clampTilt: 5, axleLead: 12 }),
    );
    const tilt = (5 * Math.PI) / 180;
    expect(v.forkOffset).toBeCloseTo(50 + 650 * Math.sin(tilt) + 12, 9);
    expect(Math.hypot(p.crown![0] - p.axleFoot![0], p.crown![2] - p.axleFoot![2])).toBeCloseTo(
      650 * Math.cos(tilt),
      9,
    );
    expect(Math.hypot(p.frontAxle![0] - p.axleFoot![0], p.frontAxle![2] - p.axleFoot![2])).toBeCloseTo(
      v.forkOffset!,
      9,
    );
  });
});

describe('tyre markings', () => {
  it.each([
    // Source: ISO 5775 / ETRTO, section height taken as the width; motor and off-road as the trade reads them.
    [' 37 x 622 ', 37, 348],
    ['110/70-17', 110, (17 * 25.4 + 2 * 0.7 * 110) / 2],
    ['110/70 ZR 17', 110, (17 * 25.4 + 2 * 0.7 * 110) / 2],
    ['22x7-10', 177.8, 279.4],
    ['10x4.5-5', 114.3, 127],
  ])('%s', (text, width, radius) => {
    const read = parseTyreMarking(text);
    expect(read.ok && read.value.width).toBeCloseTo(width, 9);
    expect(read.ok && read.value.radius).toBeCloseTo(radius, 9);
  });
  it.each(['700x28c', '622-37', '37-', '', '37-999', 'ABC', '110/7-17', '110/70-99', '22x7-30', '4x2-1'])(
    'refuses “%s”',
    (text) => expect(parseTyreMarking(text).ok).toBe(false),
  );
  it('every tyre of the table can be read', () => {
    for (const { markings } of TYRE_TABLE)
      for (const marking of markings) expect(parseTyreMarking(marking).ok, marking).toBe(true);
  });
  it('takes a measured diameter or roll-out, less the sag', () => {
    const wheels = (front: BuildDocument['wheels']['front']) =>
      stanceMade({ ...road(), wheels: { ...road().wheels, front } }).wheels.front.radius;
    expect(wheels({ by: 'diameter', diameter: 690, width: 32, sag: 3 })).toBe(342);
    expect(wheels({ by: 'rollOut', circumference: 2 * Math.PI * 340, width: 32, sag: 0 })).toBeCloseTo(
      340,
      9,
    );
  });
});

describe('bicycle stance', () => {
  it('agrees with the points worked out one by one', () => {
    // Independent of the solver: the usual construction, head tube top down to the ground.
    const { values: v, points: p } = stanceMade(road());
    const H = (72.5 * Math.PI) / 180;
    const bbX = Math.sqrt(435 ** 2 - 70 ** 2);
    const crownUp = Math.sqrt(383 ** 2 - 47 ** 2);
    const axleUp = trail(339, 72.5, 47) * Math.cos(H) + 339 * Math.sin(H);
    const up = axleUp + crownUp + 12 + 150;
    const groundX = bbX + 390 + up * Math.cos(H);
    expect(v.wheelbase).toBeCloseTo(groundX - trail(339, 72.5, 47), 6);
    expect(v.stack).toBeCloseTo(up * Math.sin(H) - (339 - 70), 6);
    expect(v.effectiveTopTube).toBeCloseTo(390 + v.stack! / Math.tan((73 * Math.PI) / 180), 6);
    expect(v.frontCentre).toBeCloseTo(Math.hypot(v.wheelbase! - bbX, 339 - 269), 6);
    // The drawn points lie where the dimensions say.
    const at = (name: string) => ({ x: p[name]![0], z: p[name]![2] });
    expect(rearwardAngle(at('headTubeLower'), at('headTubeUpper'))).toBeCloseTo(72.5, 9);
    expect(rearwardAngle(at('bottomBracket'), at('seatTubeTop'))).toBeCloseTo(73, 9);
    expect(Math.hypot(at('crown').x - at('frontAxle').x, at('crown').z - at('frontAxle').z)).toBeCloseTo(
      383,
      9,
    );
  });

  it('gives the same stance whichever of reach, wheelbase and front centre is held', () => {
    const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const held = fc.record({
      headAngle: double(62, 78),
      forkOffset: double(0, 80),
      axleToCrown: double(280, 560),
      lowerStack: double(0, 30),
      headTubeLength: double(80, 300),
      chainstayLength: double(380, 500),
      bottomBracketDrop: double(-60, 90),
      seatTubeAngle: double(66, 80),
      reach: double(320, 520),
    });
    fc.assert(
      fc.property(held, fc.constantFrom('wheelbase', 'frontCentre'), (start, other) => {
        const first = stanceMade(withHeld(start)).values;
        const { reach, ...rest } = { ...road().stance.held, ...start };
        const again = stanceMade(holding(road(), { ...rest, [other]: first[other]! })).values;
        // Nothing held may move by more than 1e-6 mm.
        return (
          Math.abs(first.reach! - reach) < 1e-6 &&
          BICYCLE.dimensions.every(({ id }) => Math.abs(first[id]! - again[id]!) < 1e-5)
        );
      }),
      { numRuns: 200 },
    );
  });

  it('a solution a whole turn away is passed over for the one within the limits', () => {
    // The first Newton step from 71.5° goes far past the rider's reach; 153° − 360° meets the same elbow and reach.
    const longTail = made('bicycle', 'long-tail');
    const held = without(longTail.stance.held, 'seatTubeAngle');
    const asked = { forkOffset: 62.99999971787064, axleToCrown: 402.0758634442654 };
    const given = {
      headTubeLength: 178.11804185076485,
      reach: 290.94097748959086,
      elbowAngle: 135.112860766251,
    };
    const { values } = stanceMade(holding(longTail, { ...held, ...asked, ...given }));
    expect(values.seatTubeAngle).toBeCloseTo(75.5, 6);
  });

  it('toe clearance agrees with a wheel turned step by step', () => {
    // Independent: points round the tyre circle, turned about the axis by Rodrigues' formula in fine steps.
    const { values: v, points: p, steered, steeringAxis } = stanceMade(road());
    let rearmost = Infinity;
    for (let steer = 0; steer < 60; steer += 0.04) {
      for (let round = 150; round < 250; round += 0.1) {
        const a = (round * Math.PI) / 180;
        const rim = [
          v.wheelbase! + 339 * Math.cos(a) - p.axisGround![0],
          0,
          339 + 339 * Math.sin(a),
        ] as const;
        const q = turn(rim, steeringAxis, steer);
        if (Math.abs(Math.abs(q[1]) - 120) < 0.12 && Math.abs(q[2] - v.bottomBracketHeight!) < 0.6)
          rearmost = Math.min(rearmost, q[0] + p.axisGround![0]);
      }
    }
    const toe = { x: p.bottomBracket![0] + 165 + 100, z: v.bottomBracketHeight! };
    expect(toeClearance(steered[0]!, toe)).toBeCloseTo(rearmost - toe.x, 0);
    expect(v.toeClearance).toBeCloseTo(toeClearance(steered[0]!, toe), 9);
  });

  it('a tandem’s and a triplet’s front rider sits as many cockpits ahead', () => {
    const tandem = stanceMade(made('tandem', 'tandem'));
    expect(tandem.points.bottomBracket![0] - tandem.points.bottomBracket2![0]).toBeCloseTo(710, 9);
    const triplet = stanceMade(made('triplet', 'triplet'));
    expect(triplet.points.bottomBracket![0] - triplet.points.bottomBracket2![0]).toBeCloseTo(1380, 9);
    expect(
      Math.hypot(
        triplet.points.bottomBracket2![0],
        triplet.points.rearAxle![2] - triplet.points.bottomBracket2![2],
      ),
    ).toBeCloseTo(440, 9);
  });
});

describe('what cannot be', () => {
  const refusal = (held: Record<string, number>) => {
    const result = stanceOf(withHeld(held));
    return result.ok ? undefined : result.refusals;
  };
  it('names the chainstay and its limit when it is shorter than the drop', () => {
    expect(refusal({ chainstayLength: 160, bottomBracketDrop: 170 })).toContainEqual({
      where: 'chainstayLength',
      message: expect.stringContaining('170 mm'),
    });
  });
  it.each([
    ['headAngle', 20],
    ['headAngle', 90],
    ['reach', -4],
    ['chainstayLength', 1e9],
    ['seatTubeLength', Number.NaN],
    ['rearSag', -1],
  ])('refuses %s %d with the limits', (id, value) => {
    expect(refusal({ [id]: value })).toEqual([
      { where: id, message: expect.stringContaining('must lie between') },
    ]);
  });
  it('refuses one too many, one too few, repeats and unknown ones, each in words', () => {
    expect(refusal({ wheelbase: 1000 })?.[0]?.message).toContain('too many');
    expect(refusal({ trailer: 60 })?.[0]?.message).toContain('no dimension');
    expect(stanceOf(holding(road(), without(road().stance.held, 'headAngle')))).toMatchObject({
      ok: false,
      refusals: [{ message: expect.stringContaining('1 more must be held') }, {}, {}],
    });
    // Trail and mechanical trail are one thing twice when the head angle is held: something else is left loose.
    const repeated = stanceOf(
      holding(road(), { ...without(road().stance.held, 'seatTubeLength'), trail: 57 }),
    );
    expect(repeated.ok ? [] : repeated.refusals.map(({ message }) => message).join(' ')).toMatch(
      /let it go|let one of them go/,
    );
    expect(refusal({ rearSag: 20 })?.[0]?.message).toContain('cannot sag further');
  });
  it('says when no vehicle meets a held dimension, and the nearest that does', () => {
    // The front axle stands 70 mm over the BB: no front centre is shorter than that, and at 400 mm wheelbase none is possible.
    const rest = without(road().stance.held, 'reach');
    const found = stanceOf(holding(road(), { ...rest, frontCentre: 155 }));
    expect(found.ok).toBe(true);
    const wheelless = {
      ...BICYCLE,
      dimensions: BICYCLE.dimensions.map((d) => ({ ...d, limits: [-1e4, 1e4] as const })),
    };
    const given = without(stanceMade(road()).held, 'reach');
    const none = solveStance(wheelless, { ...given, frontCentre: 60 });
    expect(none).toMatchObject({
      ok: false,
      refusals: [
        {
          where: 'frontCentre',
          message: expect.stringMatching(/No such vehicle.*nearest that can be met is 70(\.0)? mm/),
        },
      ],
    });
  });
  it('names the following entry that would leave its limits, and the nearest that does not', () => {
    const rest = without(road().stance.held, 'forkOffset');
    const none = stanceOf(holding(road(), { ...rest, trail: 400 }));
    // By the formula: offset -150 at Rf 339 and 72.5 degrees gives (339 cos H + 150) / sin H.
    expect(trail(339, 72.5, -150)).toBeCloseTo(264.17, 2);
    expect(none).toMatchObject({
      ok: false,
      refusals: [
        {
          where: 'trail',
          message: expect.stringMatching(
            /needs a fork offset of [-−]279\.\d mm.*nearest that can be met is 264\.2 mm/,
          ),
        },
      ],
    });
  });
  it('tells of bad shapes that can be drawn as findings', () => {
    const codes = (held: Record<string, number>) =>
      planMade(withHeld(held)).findings.map((finding) => finding.code);
    expect(codes({})).not.toContain('toe-overlap');
    expect(codes({ reach: 330 })).toContain('toe-overlap');
    expect(codes({ forkOffset: 130 })).toContain('trail-negative');
    expect(codes({ forkOffset: -10 })).toContain('offset-behind');
    expect(codes({ bottomBracketDrop: 125 })).toContain('pedal-low');
    expect(codes({ chainstayLength: 350 })).toContain('wheel-meets-shell');
    expect(codes({ headAngle: 66 })).toContain('outside-band');
    expect(codes({ frontTravel: 160, frontSag: 30, headAngle: 80, forkOffset: 48 })).toContain(
      'trail-negative-full',
    );
  });
});
