import fc from 'fast-check';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { describe, expect, it } from 'vitest';
import { distance, mirror, unit, type Vector } from '../vector/vector.js';
import { armAimedAtRearAxle, idealOuter, jointRatio, throughJoint } from './ackermann.js';
import { isStuck, moveChain, moved, pushAngle, type Chain, type OnBody, type Positions } from './chain.js';

const UP: Vector = [0, 0, 1];
const real = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** A trapezoid on upright kingpins: arms behind the axle, so far inward of straight back. */
function trapezoid(pinTrack: number, arm: number, inward: number, axis: Vector = UP): Chain {
  const angle = (inward * Math.PI) / 180;
  const pin: Vector = [0, pinTrack / 2, 0];
  const end: Vector = [-arm * Math.cos(angle), pinTrack / 2 - arm * Math.sin(angle), 0];
  return {
    driver: 'left',
    bodies: {
      left: { as: 'turns', point: pin, axis },
      right: { as: 'turns', point: mirror(pin), axis: mirror(axis) },
    },
    links: [
      {
        as: 'rod',
        id: 'trackRod',
        name: 'Track rod',
        from: { body: 'left', at: end },
        to: { body: 'right', at: mirror(end) },
      },
    ],
    wheels: { frontLeft: 'left', frontRight: 'right' },
  };
}
const positions = (chain: Chain, drive: number): Positions => {
  const result = moveChain(chain, drive);
  if (isStuck(result)) throw new Error(`${result.rod} cannot reach`);
  return result;
};

describe('Ackermann', () => {
  it('pin track 760, wheelbase 1060, inner 30: outer 22.211 (Gillespie, Fundamentals of Vehicle Dynamics; formula)', () => {
    expect(idealOuter(760, 1060, 30)).toBeCloseTo(22.211, 3);
  });
  it('the starting rule points an arm at the middle of the rear axle: atan((T/2)/L) (common practice)', () => {
    expect(armAimedAtRearAxle(760, 1060)).toBeCloseTo(19.722, 3);
  });
  it('trapezoid, pin track 760, arm 90 at 20 degrees inward, inner 30: outer 24.238 (four-bar closure, solved numerically)', () => {
    expect(positions(trapezoid(760, 90, 20), 30).right).toBeCloseTo(24.238, 3);
  });
});

describe('a chain of rods', () => {
  it('agrees with Freudenstein’s equation of the planar four-bar (1954), over any trapezoid', () => {
    fc.assert(
      fc.property(
        real(400, 1400),
        real(40, 200),
        real(-15, 35),
        real(-28, 28),
        (track, arm, inward, drive) => {
          const chain = trapezoid(track, arm, inward);
          const result = moveChain(chain, drive);
          fc.pre(!isStuck(result));
          // Crank and follower from straight ahead: cos(c - f) = k1 (sin c - sin f) + k3.
          const rod = track - 2 * arm * Math.sin((inward * Math.PI) / 180);
          const [k1, k3] = [track / arm, (2 * arm * arm - rod * rod + track * track) / (2 * arm * arm)];
          const crank = ((180 + inward + drive) * Math.PI) / 180;
          const follower = ((180 - inward + result.right!) * Math.PI) / 180;
          const right = k1 * (Math.sin(crank) - Math.sin(follower)) + k3;
          expect(Math.cos(crank - follower)).toBeCloseTo(right, 7);
        },
      ),
    );
  });
  it('keeps every rod’s length in space, with axes that lean any way', () => {
    fc.assert(
      fc.property(
        real(-0.3, 0.3),
        real(-0.3, 0.3),
        real(-25, 25),
        real(0, 30),
        (lean, caster, drive, inward) => {
          const chain = trapezoid(760, 90, inward, unit([caster, lean, 1]));
          const result = moveChain(chain, drive);
          fc.pre(!isStuck(result));
          const [link] = chain.links as [Extract<Chain['links'][number], { as: 'rod' }>];
          const long = distance(moved(chain, link.from, result), moved(chain, link.to, result));
          expect(long).toBeCloseTo(distance(link.from.at, link.to.at), 8);
        },
      ),
    );
  });
  it('lands where a general least-squares package does (ml-levenberg-marquardt), from the same side', () => {
    const chain = trapezoid(760, 90, 18, unit([-0.21, -0.19, 1]));
    const [link] = chain.links as [Extract<Chain['links'][number], { as: 'rod' }>];
    const long = distance(link.from.at, link.to.at);
    for (let drive = -30; drive <= 30; drive += 5) {
      const found = levenbergMarquardt(
        { x: [0, 1], y: [long, long] },
        (angles: readonly number[]) => () =>
          distance(moved(chain, link.from, { left: drive }), moved(chain, link.to, { right: angles[0]! })),
        { initialValues: [drive * 0.9], maxIterations: 200, errorTolerance: 1e-14, gradientDifference: 1e-5 },
      );
      expect(positions(chain, drive).right).toBeCloseTo(found.parameterValues[0]!, 4);
    }
  });
  it('mirrored it does mirrored things', () => {
    fc.assert(
      fc.property(real(-25, 25), (drive) => {
        const chain = trapezoid(760, 90, 18, unit([-0.2, -0.15, 1]));
        const there = positions(chain, drive).right!;
        // Driven from the other side by what came out, it comes back.
        const other: Chain = {
          ...chain,
          driver: 'right',
          links: chain.links.map((link) =>
            link.as === 'rod' ? { ...link, from: link.to, to: link.from } : link,
          ),
        };
        expect(positions(other, there).left).toBeCloseTo(drive, 7);
        const twin = positions(other, -drive).left!;
        expect(twin).toBeCloseTo(-there, 7);
      }),
    );
  });
  it('a rod that cannot reach is told by name; just before, it stands in line with its arm', () => {
    const chain = trapezoid(300, 90, 60);
    let last = 0;
    while (!isStuck(moveChain(chain, last + 0.01))) last += 0.01;
    expect(moveChain(chain, last + 0.01)).toEqual({ rod: 'trackRod' });
    const [link] = chain.links as [Extract<Chain['links'][number], { as: 'rod' }>];
    expect(pushAngle(chain, link.to, link.from, positions(chain, last))).toBeLessThan(2);
  });
  it('a rod square to its arm pushes it best; a rack slides as far as its pinion turns it', () => {
    const arm: OnBody = { body: 'arm', at: [0, 100, 0] };
    const ball: OnBody = { body: 'rack', at: [-400, 100, 0] };
    const chain: Chain = {
      driver: 'pinion',
      bodies: {
        pinion: { as: 'turns', point: [-400, 0, 0], axis: UP },
        rack: { as: 'slides', axis: [1, 0, 0] },
        arm: { as: 'turns', point: [0, 0, 0], axis: UP },
      },
      links: [
        { as: 'pinion', from: 'pinion', to: 'rack', perTurn: 90 },
        { as: 'rod', id: 'rod', name: 'Rod', from: ball, to: arm },
      ],
      wheels: { front: 'arm' },
    };
    expect(pushAngle(chain, arm, ball, {})).toBeCloseTo(90, 9);
    expect(pushAngle(chain, ball, arm, {})).toBeCloseTo(90, 9);
    const there = positions(chain, 180);
    expect(there.rack).toBeCloseTo(45, 9);
    expect(distance(moved(chain, arm, there), moved(chain, ball, there))).toBeCloseTo(400, 9);
    // Slid on by a rod from the arm, it comes back to where the pinion had it.
    const back: Chain = {
      ...chain,
      driver: 'arm',
      links: [{ as: 'rod', id: 'rod', name: 'Rod', from: arm, to: ball }],
    };
    expect(positions(back, there.arm!).rack).toBeCloseTo(45, 7);
  });
});

describe('a universal joint (Hooke; any machine-theory text)', () => {
  it('at 30 degrees the ratio lies between cos 30 = 0.866 and 1 / cos 30 = 1.155', () => {
    const ratios = Array.from({ length: 361 }, (_, angle) => jointRatio(angle, 30));
    expect(Math.min(...ratios)).toBeCloseTo(0.866, 3);
    expect(Math.max(...ratios)).toBeCloseTo(1.155, 3);
  });
  it('the ratio is how fast the angle changes; two in phase and one plane cancel', () => {
    fc.assert(
      fc.property(real(-400, 400), real(0, 60), (angle, bend) => {
        const h = 1e-4;
        const rate = (throughJoint(angle + h, bend) - throughJoint(angle - h, bend)) / (2 * h);
        expect(rate).toBeCloseTo(jointRatio(angle, bend), 4);
        const out = throughJoint(angle, bend);
        // The second joint’s driving yoke lies across: it undoes what the first did.
        expect(throughJoint(out + 90, bend) - throughJoint(90, bend)).toBeCloseTo(angle, 6);
      }),
    );
  });
});
