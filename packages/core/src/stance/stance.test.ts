import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createBuild } from '../document/create.js';
import type { BuildDocument } from '../document/schema.js';
import { planBuild } from '../plan.js';
import { turn } from '../vector/vector.js';
import { BICYCLE } from './kinds/bicycle.js';
import { asBicycle } from './kinds/bicycleShape.js';
import { toeClearance } from './kinds/toeClearance.js';
import { mechanicalTrail, offsetForTrail, rearwardAngle, trail, wheelFlop } from './singleTrack.js';
import { solveStance } from './solve.js';
import { stanceOf } from './stance.js';
import { parseTyreMarking } from './tyres.js';

const road = (): BuildDocument => {
  const made = createBuild({ name: 'Road', kind: 'bicycle', startingSet: 'road' });
  if (!made.ok) throw new Error(made.message);
  return made.value;
};
const withHeld = (held: Record<string, number>): BuildDocument => ({
  ...road(),
  stance: { ...road().stance, held },
});
const without = (id: string) =>
  Object.fromEntries(Object.entries(road().stance.held).filter(([held]) => held !== id));
const solved = (document: BuildDocument) => {
  const result = stanceOf(document);
  if (!result.ok) throw new Error(JSON.stringify(result.refusals));
  return result.stance;
};

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
  });
  it('sport motorcycle: rake 26, trail 4 in, on a 110/70-17 the offset is 37.1 mm', () => {
    // Source: practice; formula.
    expect(offsetForTrail((17 * 25.4 + 2 * 0.7 * 110) / 2, 90 - 26, 101.6)).toBeCloseTo(37.1, 1);
  });
});

describe('tyre markings', () => {
  it('37-622: radius is (bead seat + 2 x width) / 2', () => {
    // Source: ISO 5775 / ETRTO; section height taken as the width.
    expect(parseTyreMarking(' 37 x 622 ')).toEqual({
      ok: true,
      value: { width: 37, beadSeat: 622, radius: 348 },
    });
  });
  it.each(['700x28c', '622-37', '37-', '', '37-999', 'ABC'])('refuses “%s”', (text) =>
    expect(parseTyreMarking(text).ok).toBe(false),
  );
  it('takes a measured diameter or roll-out, less the sag', () => {
    const wheels = (front: BuildDocument['wheels']['front']) =>
      solved({ ...road(), wheels: { ...road().wheels, front } }).wheels.front.radius;
    expect(wheels({ by: 'diameter', diameter: 690, width: 32, sag: 3 })).toBe(342);
    expect(wheels({ by: 'rollOut', circumference: 2 * Math.PI * 340, width: 32, sag: 0 })).toBeCloseTo(
      340,
      9,
    );
  });
});

describe('bicycle stance', () => {
  it('agrees with the points worked out one by one', () => {
    // Independent of the solver: from the handbook's construction, head tube top down to the ground.
    const { values: v, points: p } = solved(road());
    const H = (72.5 * Math.PI) / 180;
    const bbX = Math.sqrt(435 ** 2 - 70 ** 2);
    const crownUp = Math.sqrt(383 ** 2 - 47 ** 2);
    const axleUp = trail(339, 72.5, 47) * Math.cos(H) + 339 * Math.sin(H);
    const up = axleUp + crownUp + 12 + 150;
    const groundX = bbX + 380 + up * Math.cos(H);
    expect(v.wheelbase).toBeCloseTo(groundX - trail(339, 72.5, 47), 6);
    expect(v.stack).toBeCloseTo(up * Math.sin(H) - (339 - 70), 6);
    expect(v.effectiveTopTube).toBeCloseTo(380 + v.stack! / Math.tan((73 * Math.PI) / 180), 6);
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
    const held = fc.record({
      headAngle: fc.double({ min: 62, max: 78, noNaN: true }),
      forkOffset: fc.double({ min: 0, max: 80, noNaN: true }),
      axleToCrown: fc.double({ min: 280, max: 560, noNaN: true }),
      lowerStack: fc.double({ min: 0, max: 30, noNaN: true }),
      headTubeLength: fc.double({ min: 80, max: 300, noNaN: true }),
      chainstayLength: fc.double({ min: 380, max: 500, noNaN: true }),
      bottomBracketDrop: fc.double({ min: -60, max: 90, noNaN: true }),
      seatTubeAngle: fc.double({ min: 66, max: 80, noNaN: true }),
      seatTubeLength: fc.double({ min: 300, max: 620, noNaN: true }),
      reach: fc.double({ min: 320, max: 520, noNaN: true }),
      crankLength: fc.double({ min: 150, max: 180, noNaN: true }),
      toeAllowance: fc.double({ min: 60, max: 120, noNaN: true }),
    });
    fc.assert(
      fc.property(held, fc.constantFrom('wheelbase', 'frontCentre'), (start, other) => {
        const first = solved(withHeld(start)).values;
        const { reach, ...rest } = start;
        const again = solved(withHeld({ ...rest, [other]: first[other]! })).values;
        // Nothing held may move by more than 1e-6 mm.
        return (
          Math.abs(first.reach! - reach) < 1e-6 &&
          BICYCLE.dimensions.every(({ id }) => Math.abs(first[id]! - again[id]!) < 1e-5)
        );
      }),
      { numRuns: 200 },
    );
  });

  it('an axle-to-crown length along the axis is the straight one by Pythagoras', () => {
    const along = solved({
      ...withHeld({ ...road().stance.held, axleToCrown: Math.sqrt(383 ** 2 - 47 ** 2) }),
      stance: {
        held: { ...road().stance.held, axleToCrown: Math.sqrt(383 ** 2 - 47 ** 2) },
        forkMeasured: 'alongAxis',
      },
    });
    expect(along.values.stack).toBeCloseTo(solved(road()).values.stack!, 9);
  });

  it('toe clearance agrees with a wheel turned step by step', () => {
    // Independent: points round the tyre circle, turned about the axis by Rodrigues' formula in fine steps.
    const stance = solved(road());
    const { values: v, points: p } = stance;
    let rearmost = Infinity;
    for (let steer = 0; steer < 60; steer += 0.02) {
      for (let round = 150; round < 250; round += 0.05) {
        const a = (round * Math.PI) / 180;
        const rim = [
          1017.1697636098054 + 339 * Math.cos(a) - p.axisGround![0],
          0,
          339 + 339 * Math.sin(a),
        ] as const;
        const q = turn(rim, stance.steeringAxis, steer);
        if (Math.abs(Math.abs(q[1]) - 120) < 0.06 && Math.abs(q[2] - v.bottomBracketHeight!) < 0.3)
          rearmost = Math.min(rearmost, q[0] + p.axisGround![0]);
      }
    }
    const toe = p.bottomBracket![0] + 170 + 100;
    expect(toeClearance(asBicycle({ ...v }))).toBeCloseTo(rearmost - toe, 0);
  });
});

describe('what cannot be', () => {
  const refusal = (held: Record<string, number>) => {
    const result = stanceOf(withHeld({ ...road().stance.held, ...held }));
    return result.ok ? undefined : result.refusals;
  };
  it('names the chainstay and its limit when it is shorter than the drop', () => {
    expect(refusal({ chainstayLength: 160, bottomBracketDrop: 170 })).toEqual([
      { where: 'chainstayLength', message: expect.stringContaining('170 mm') },
    ]);
  });
  it.each([
    ['headAngle', 20],
    ['headAngle', 90],
    ['reach', -4],
    ['chainstayLength', 1e9],
    ['seatTubeLength', Number.NaN],
  ])('refuses %s %d with the limits', (id, value) => {
    expect(refusal({ [id]: value })).toEqual([
      { where: id, message: expect.stringContaining('must lie between') },
    ]);
  });
  it('refuses two held of one group, a missing one, one that follows and one that is unknown', () => {
    expect(refusal({ wheelbase: 1000 })?.[0]?.message).toContain('exactly one');
    expect(refusal({ trail: 60 })?.[0]?.message).toContain('follows');
    expect(refusal({ trailer: 60 })?.[0]?.message).toContain('no dimension');
    expect(stanceOf(withHeld(without('headAngle')))).toMatchObject({
      ok: false,
      refusals: [{ where: 'headAngle' }],
    });
  });
  it('says when no vehicle meets a held dimension', () => {
    // The front axle stands 70 mm over the BB: a front centre of 60 mm is no triangle. The limit stops it before.
    expect(
      solveStance(
        { ...BICYCLE, dimensions: BICYCLE.dimensions.map((d) => ({ ...d, limits: [-1e4, 1e4] as const })) },
        { ...without('reach'), frontCentre: 60, rearRadius: 339, frontRadius: 339 },
      ),
    ).toMatchObject({
      ok: false,
      refusals: [{ where: 'frontCentre', message: expect.stringContaining('No such vehicle') }],
    });
  });
  it('tells of bad shapes that can be drawn as findings', () => {
    const codes = (held: Record<string, number>) => {
      const planned = planBuild(withHeld({ ...road().stance.held, ...held }));
      return planned.ok ? planned.plan.findings.map((finding) => finding.code) : [];
    };
    expect(codes({})).not.toContain('toe-overlap');
    expect(codes({ reach: 330 })).toContain('toe-overlap');
    expect(codes({ forkOffset: 130 })).toContain('trail-negative');
    expect(codes({ forkOffset: -10 })).toContain('offset-behind');
    expect(codes({ bottomBracketDrop: 125 })).toContain('pedal-low');
    expect(codes({ chainstayLength: 350 })).toContain('wheel-meets-shell');
    expect(codes({ headAngle: 66 })).toContain('outside-band');
  });
});
