import { mat4, vec3 } from 'gl-matrix';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EVERY_SET, holding, made, planMade, stanceMade } from '../../../../testing/made.js';
import { readDocumentText } from '../start/read.js';
import { findLayout } from '../frame/layouts/registry.js';
import { without } from '../without.js';
import { releases } from './exchange.js';
import { formulaWithNumbers } from './explain.js';
import { findKind } from './kinds/registry.js';
import { levelled } from './pitch.js';
import { rootBetween } from '../numeric/root.js';
import { stanceOf } from './stance.js';
import { steered, steeringSweep, turnedWheel } from './steering.js';
import { whatIf } from './whatIf.js';

const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe.each(EVERY_SET)('%s, %s', (kindId, set) => {
  const kind = findKind(kindId)!;
  const build = made(kindId, set);
  const stance = stanceMade(build);
  const heldIds = Object.keys(build.stance.held);

  it('every held dimension beyond its limits is refused at its place, with both limits and never a throw', () => {
    for (const id of heldIds) {
      const { limits, name } = kind.dimensions.find((dimension) => dimension.id === id)!;
      for (const value of [limits[0] - 1, limits[1] + 1, Number.NaN, Infinity, -1e300]) {
        const result = stanceOf(holding(build, { ...build.stance.held, [id]: value }));
        expect(result.ok ? [] : result.refusals, `${id} ${value}`).toContainEqual({
          where: id,
          message: expect.stringContaining(`${name} must lie between`),
        });
      }
    }
  });

  it('a document in which dimensions were exchanged is read back as the same vehicle', () => {
    let { held } = stance;
    for (const id of kind.readings) {
      const [best] = releases(kind, stance.state, held, id).filter(({ perUnit }) => Math.abs(perUnit) < 20);
      if (best) held = { ...without(held, best.id), [id]: stance.values[id]! };
    }
    const exchanged = {
      ...build,
      stance: { held: without(held, ...kind.given) as Record<string, number>, near: stance.state },
    };
    const read = readDocumentText(JSON.stringify(exchanged));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const again = stanceMade(read.document);
    for (const { id } of kind.dimensions) expect(again.values[id], id).toBeCloseTo(stance.values[id]!, 6);
    for (const [name, point] of Object.entries(stance.points))
      point.forEach((coordinate, axis) => expect(again.points[name]![axis], name).toBeCloseTo(coordinate, 6));
  });

  it('held dimensions keep their values through a what-if, and the present point lies on its line', () => {
    const across = kind.dimensions.find(({ id }) => id in build.stance.held)!;
    const now = stance.values[across.id]!;
    const line = whatIf(kind, stance.held, stance.state, {
      across: across.id,
      from: now - 3,
      to: now + 3,
      count: 6,
    });
    expect(line.map((point) => point.across)).toEqual([-3, -2, -1, 0, 1, 2, 3].map((step) => now + step));
    for (const { id } of kind.dimensions) expect(line[3]!.values![id]).toBeCloseTo(stance.values[id]!, 9);
    for (const { values } of line)
      for (const id of heldIds)
        if (id !== across.id && values) expect(values[id]).toBeCloseTo(stance.values[id]!, 6);
  });

  it('explains with numbers that hold no symbol of another dimension any more', () => {
    for (const dimension of kind.dimensions) {
      const numbers = formulaWithNumbers(kind, dimension, stance.values, build.units);
      if (numbers !== undefined) expect(numbers.replace(/a?(sin|cos|tan)/g, '')).not.toMatch(/[A-Za-z]/);
    }
  });
});

describe('a frame stood on its tyres', () => {
  it('agrees with an independent rotation, and rests with both tyres on the ground', () => {
    // Source: gl-matrix, a general library, for the rotation; the ground by the lowest points of both circles.
    fc.assert(
      fc.property(
        double(150, 350),
        double(150, 350),
        double(-80, 80),
        double(-80, 80),
        (Rr, Rf, rise, fall) => {
          const rear = { x: 0, z: Rr + rise };
          const front = { x: 1200, z: Rf + fall };
          const { pitch, place } = levelled(rear, Rr, front, Rf);
          const [back, ahead] = [place(rear), place(front)];
          // Nose up is a turn about y (left) by minus the pitch, right-handed.
          const m = mat4.fromYRotation(mat4.create(), (-pitch * Math.PI) / 180);
          const span = vec3.transformMat4(vec3.create(), [front.x, 0, front.z - rear.z], m);
          return (
            Math.abs(back.z - Rr) < 1e-9 &&
            Math.abs(ahead.z - Rf) < 1e-9 &&
            Math.abs(ahead.x - back.x - span[0]!) < 1e-3 &&
            Math.abs(ahead.z - back.z - span[2]!) < 1e-3
          );
        },
      ),
    );
  });
});

describe('the steering sweep', () => {
  const wheel = stanceMade(made('buggy', 'buggy', { held: { camber: -1.5, spindleOffset: 12 } })).steered;
  it('runs through straight ahead, where it is the stance itself', () => {
    const swept = steeringSweep(wheel[0]!, -45, 45, 1);
    expect(swept).toHaveLength(91);
    expect(swept[45]!.camber).toBeCloseTo(-1.5, 9);
    expect(swept[45]!.drop).toBeCloseTo(0, 9);
  });
  it('the right wheel turned one way is the left one turned the other', () => {
    fc.assert(
      fc.property(double(-50, 50), (steer) => {
        const [left, right] = [steered(wheel[0]!, steer), steered(wheel[1]!, -steer)];
        return (['camber', 'drop', 'trail'] as const).every(
          (what) => Math.abs(left[what] - right[what]) < 1e-9,
        );
      }),
    );
  });
  it('turned there and back, a wheel is where it was; its spindle keeps its length', () => {
    fc.assert(
      fc.property(double(-60, 60), (steer) => {
        const there = turnedWheel(wheel[0]!, steer);
        const back = turnedWheel(there, -steer);
        return (
          back.centre.every((x, axis) => Math.abs(x - wheel[0]!.centre[axis]!) < 1e-9) &&
          Math.abs(Math.hypot(...there.spindle) - 1) < 1e-12
        );
      }),
    );
  });
});

describe('a root between two places', () => {
  it('is met to a rounding error, and without a crossing the nearer end is told', () => {
    fc.assert(
      fc.property(double(-0.95, 0.95), double(0.2, 6), (root, steep) => {
        const f = (x: number) => Math.sinh(steep * (x - root));
        return Math.abs(rootBetween(f, -1, 1) - root) < 1e-9;
      }),
    );
    expect(rootBetween((x) => x + 3, -1, 1)).toBe(-1);
    expect(rootBetween((x) => 3 - x, -1, 1)).toBe(1);
  });
});

it('every starting set has tubes, and a fixture that holds them', () => {
  for (const [kind, set] of EVERY_SET) {
    const plan = planMade(made(kind, set));
    expect(plan.cuts.length > 0 || plan.findings.some(({ code }) => code === 'no-members')).toBe(true);
    expect(plan.fixture.school).toBe(findLayout(made(kind, set).frame.origin!.pattern)!.schools[0]);
    expect(plan.fixture.refused).toBeUndefined();
  }
});
