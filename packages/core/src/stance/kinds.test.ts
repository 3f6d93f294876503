import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EVERY_SET, holding, made, planMade, stanceMade } from '../../../../testing/made.js';
import type { Kind, State } from './dimension.js';
import { pullTo, takeHold } from './drag.js';
import { releases, weightsOf } from './exchange.js';
import { formulaWithNumbers } from './explain.js';
import { findKind, KINDS } from './kinds/registry.js';
import { breakOver, slopeUnder } from './clearance.js';
import { otherSolutions, solveStance } from './solve.js';
import { whatIf } from './whatIf.js';
import { without } from '../without.js';

const kindOf = (id: string): Kind => findKind(id)!;

describe.each(EVERY_SET)('%s, %s', (kindId, set) => {
  const kind = kindOf(kindId);
  const build = made(kindId, set);
  const stance = stanceMade(build);

  it('its data hangs together', () => {
    const ids = kind.dimensions.map(({ id }) => id);
    const unique = (values: readonly string[]) =>
      expect(new Set(values).size, values.join()).toBe(values.length);
    unique(ids);
    unique(kind.dimensions.map(({ symbol }) => symbol));
    expect(kind.state.every((entry) => ids.includes(entry))).toBe(true);
    const named = [
      ...kind.readings,
      ...kind.groups.flatMap((group) => group.ids),
      ...[...kind.drawn, ...kind.seat.drawn].map(({ id }) => id),
      ...kind.seat.groups.flatMap((group) => group.ids),
      ...kind.seat.slots.flatMap(({ adjusters: a }) => (a ? [a.legs.dimension, a.arms.dimension] : [])),
    ];
    expect(named.filter((id) => !ids.includes(id))).toEqual([]);
    for (const bands of Object.values(kind.bands))
      expect(Object.keys(bands).filter((id) => !ids.includes(id))).toEqual([]);
    const points = [...Object.keys(stance.points), ...Object.keys(stance.seatPoints)];
    const used = [
      ...kind.outline.flatMap(({ from, to }) => [from, to]),
      ...[...kind.handles, ...kind.seat.handles].map(({ point }) => point),
      ...kind.startingSets.flatMap(({ lumps }) => lumps.map(({ point }) => point)),
      ...[...kind.drawn, ...kind.seat.drawn].flatMap((each) =>
        each.as === 'angle' ? [each.at] : [each.from, each.to],
      ),
    ];
    expect(used.filter((name) => !points.includes(name))).toEqual([]);
  });

  it('every formula, worked out with the symbols’ values, gives the dimension', () => {
    const upright =
      'camber' in stance.values ? holding(build, { ...build.stance.held, camber: 0, toe: 0 }) : build;
    const { values } = stanceMade(upright);
    let checked = 0;
    for (const dimension of kind.dimensions) {
      if (!dimension.formula.includes('=')) continue;
      expect(workedOut(dimension.formula, kind, values), `${dimension.formula}`).toBeCloseTo(
        values[dimension.id]!,
        6,
      );
      // What is shown carries no symbol any more.
      expect(
        formulaWithNumbers(kind, dimension, values, { length: 'mm', denominator: 32 })!.replace(
          /a?(sin|cos|tan)/g,
          '',
        ),
      ).not.toMatch(/[A-Za-z]/);
      checked += 1;
    }
    expect(checked).toBeGreaterThanOrEqual(5);
  });

  it('has no finding that stops, and rides level at sag, unladen and fully pressed', () => {
    expect(planMade(build).findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    for (const posture of Object.values(stance.postures ?? {}))
      for (const { centre, radius } of posture.wheels) expect(centre[2] - radius).toBeCloseTo(0, 6);
  });
});

/** Works a formula out as text, with degrees: nothing of the dimension's own computation. */
function workedOut(formula: string, kind: Kind, values: Readonly<Record<string, number>>): number {
  const right = formula.split('=')[1]!;
  const script = right
    .replace(/(a?(?:sin|cos|tan)) ([A-Za-z][A-Za-z0-9]*)/g, '$1($2)')
    .replace(/[A-Za-z][A-Za-z0-9]*/g, (word) => (/^a?(sin|cos|tan)$/.test(word) ? `F.${word}` : `V.${word}`))
    .replaceAll('√', 'Math.sqrt')
    .replaceAll('²', '**2')
    .replaceAll('·', '*')
    .replaceAll('−', '-')
    .replaceAll('°', '');
  const turn = Math.PI / 180;
  const F = {
    sin: (a: number) => Math.sin(a * turn),
    cos: (a: number) => Math.cos(a * turn),
    tan: (a: number) => Math.tan(a * turn),
    asin: (a: number) => Math.asin(a) / turn,
    acos: (a: number) => Math.acos(a) / turn,
  };
  const V = Object.fromEntries(kind.dimensions.map(({ symbol, id }) => [symbol, values[id]!]));
  return new Function('F', 'V', `return ${script}`)(F, V) as number;
}

describe('travel and slopes', () => {
  it('a fork pressed by c leans the vehicle forward by asin over its wheelbase, both tyres on the ground', () => {
    // Independent: only the front end moves, wheels of one size, so the frame turns until both axles are level again.
    const build = made('bicycle', 'trail', { held: { frontTravel: 120, frontSag: 30 } });
    const { values: v, state } = stanceMade(build);
    const H = (67.5 * Math.PI) / 180;
    const c = 90;
    const [x, z] = [v.wheelbase! - c * Math.cos(H), c * Math.sin(H)];
    expect(v.headAngleFull).toBeCloseTo(67.5 + (Math.atan2(z, x) * 180) / Math.PI, 6);
    expect(v.headAngleUnladen).toBeLessThan(67.5);
    expect(state.frontTravel).toBe(120);
  });
  it('with raked clamps, trail at the ends of the travel is what the shortened fork gives on the pitched frame', () => {
    // Independent: head angle as pitched, and the offset worked out anew from the fork's length there.
    const build = made('motorcycle', 'cruiser', { held: { clampTilt: 6, frontTravel: 110, frontSag: 25 } });
    const { values: v } = stanceMade(build);
    const at = (rake: number, compression: number) => {
      const offset = 50 + (650 - compression) * Math.sin((6 * Math.PI) / 180);
      const H = ((90 - rake) * Math.PI) / 180;
      return (v.frontRadius! * Math.cos(H) - offset) / Math.sin(H);
    };
    expect(v.trailFull).toBeCloseTo(at(v.rakeFull!, 85), 9);
    expect(v.trailUnladen).toBeCloseTo(at(v.rakeUnladen!, -25), 9);
  });
  it('slopes touch the tyre: a point on the ground clears none, one level with the axle asin(R / distance)', () => {
    expect(slopeUnder({ x: 0, z: 300 }, 300, { x: 900, z: 0 })).toBeCloseTo(0, 9);
    expect(slopeUnder({ x: 0, z: 300 }, 300, { x: 600, z: 300 })).toBeCloseTo(30, 9);
    expect(slopeUnder({ x: 0, z: 300 }, 300, { x: 200, z: 400 })).toBe(90);
  });
  it('break-over is told at the worst place of a floor, which a fine search along it finds too', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 350, noNaN: true }),
        fc.double({ min: 100, max: 350, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (rearRadius, frontRadius, share) => {
          const [rear, front] = [
            { x: 0, z: rearRadius },
            { x: 1500, z: frontRadius },
          ];
          const height = share * Math.min(rearRadius, frontRadius);
          let least = Infinity;
          for (let x = 0; x <= 1500; x += 0.5)
            least = Math.min(
              least,
              slopeUnder(rear, rearRadius, { x, z: height }) +
                slopeUnder(front, frontRadius, { x, z: height }),
            );
          return Math.abs(breakOver(rear, rearRadius, front, frontRadius, height) - least) < 1e-3;
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('hold and follow', () => {
  it('leg room can decide a kart’s wheelbase, and the wheelbase the leg room', () => {
    const build = made('kart', 'kart');
    const longer = stanceMade(holding(build, { ...build.stance.held, legRoom: 1000 }));
    expect(longer.values.wheelbase).toBeCloseTo(1140, 9);
    expect(releases(kindOf('kart'), longer.state, longer.held, 'wheelbase').map(({ id }) => id)).toEqual([
      'pedalsAhead',
      'seatAhead',
      'legRoom',
    ]);
  });
  it('offers the best first, and nothing where nothing can be let go', () => {
    const { state, held } = stanceMade(made());
    const offered = (pin: string) => releases(kindOf('bicycle'), state, held, pin).map(({ id }) => id);
    expect(offered('trail')).toEqual(['forkOffset', 'headAngle']);
    expect(offered('bottomBracketHeight')).toEqual(['bottomBracketDrop']);
    expect(offered('wheelbase')[0]).toBe('reach');
    expect(offered('reach')).toEqual([]);
    expect(offered('frontRadius')).toEqual([]);
  });
  it('weights are what finite differences of whole solves say', () => {
    const kind = kindOf('motorcycle');
    const { state, held, values } = stanceMade(made('motorcycle', 'standard'));
    for (const [id, weight] of weightsOf(kind, state, held, 'headToPivot')) {
      const nudged = solveStance(kind, { ...held, [id]: held[id]! + 1e-3 }, state);
      if (nudged.ok)
        expect((nudged.values.headToPivot! - values.headToPivot!) / 1e-3, id).toBeCloseTo(weight, 2);
    }
  });
  it('two vehicles that meet the same dimensions are both found, and the near one is kept', () => {
    // With wheels of one size a bottom bracket 70 mm over the axles has the same front centre as one 70 mm under them.
    const kind = kindOf('bicycle');
    const { state, held, values } = stanceMade(made());
    const two = { ...without(held, 'bottomBracketDrop'), frontCentre: values.frontCentre! };
    const drop = (near: State) => {
      const solved = solveStance(kind, two, near);
      if (!solved.ok) throw new Error('both can be');
      return solved.state.bottomBracketDrop!;
    };
    expect(drop(state)).toBeCloseTo(70, 6);
    const others = otherSolutions(kind, two, state);
    expect(others.map((other) => Math.round(other.bottomBracketDrop! * 1e6) / 1e6)).toEqual([-70]);
    expect(drop(others[0]!)).toBeCloseTo(-70, 6);
    expect(otherSolutions(kind, held, state)).toEqual([]);
  });
  it('a pulled point goes where it is pulled, by what is held; what cannot give says what to hold', () => {
    const kind = kindOf('bicycle');
    const { state, held, points } = stanceMade(made());
    const at = points.bottomBracket!;
    const pull = (point: string, moves: readonly string[], target: readonly [number, number]) =>
      pullTo(takeHold(kind, held, state, { point, moves, view: 'side' })!, target);
    const pulled = pull('bottomBracket', ['chainstayLength', 'bottomBracketDrop'], [at[0] + 20, at[2] + 10]);
    if (!pulled.gives) throw new Error('it should give');
    const moved = solveStance(kind, pulled.held, state);
    const now = moved.ok ? kind.points(moved.state).bottomBracket! : at;
    expect(now[0] - at[0]).toBeCloseTo(20, -0.5);
    expect(now[2] - at[2]).toBeCloseTo(10, 0);
    // Reach is held, so the axle has nowhere to go.
    expect(pull('frontAxle', ['wheelbase', 'frontCentre'], [1200, 339])).toEqual({
      gives: false,
      pin: 'wheelbase',
    });
    // Pulled beyond what can be: as far as the limit, never out of it.
    const far = pull('bottomBracket', ['bottomBracketDrop'], [at[0], -9000]);
    expect(far.gives && far.held.bottomBracketDrop).toBeLessThanOrEqual(300);
  });
  it('what-if agrees with a stance held there, and has gaps where no vehicle is', () => {
    const { state, held } = stanceMade(made());
    const swept = whatIf(kindOf('bicycle'), held, state, {
      across: 'headAngle',
      from: 20,
      to: 80,
      count: 60,
    });
    expect(swept[0]!.values).toBeUndefined();
    expect(swept[52]!.values!.trail).toBeCloseTo(
      stanceMade(made('bicycle', 'road', { held: { headAngle: 72 } })).values.trail!,
      9,
    );
  });
});

it('every kind can be found and named', () => {
  expect(KINDS.map(({ id }) => id)).toEqual([
    'bicycle',
    'tandem',
    'triplet',
    'scooter',
    'motorcycle',
    'low-motorcycle',
    'delta-trike',
    'tadpole-trike',
    'kart',
    'buggy',
  ]);
});
