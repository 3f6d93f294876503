import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import type { BuildDocument } from '@larchwood/format';
import { describe, expect, it } from 'vitest';
import { EVERY_SET, FAMILIES, made, planMade, stanceMade } from '../../../../testing/made.js';
import { findingText } from '../findings/catalogue.js';
import { placePlate, onPlate } from '../frame/plates.js';
import { planBuild } from '../plan/plan.js';
import { readDocument } from '../start/read.js';
import { withSteeringParts, withoutSteeringParts } from '../start/steeringParts.js';
import { contactOf, turnedWheel } from '../stance/steering.js';
import { distance } from '../vector/vector.js';
import { STEERING_POINTS } from './linkage.js';
import { steeringFindings } from './findings.js';
import { LINKAGES, findLinkage, linkagesFor } from './linkages/registry.js';
import { positionsAt } from './pose.js';
import { movedPoints, sideSpeedsOf, steeringReadings } from './readings.js';
import { ackermannOf, leastRodAngle, LEAST_ROD_ANGLE, reportOf } from './report.js';
import { searchable, searchLinkage } from './search.js';
import { heldOf, solvableOf, solveLinkage, steeringOf, type Steering } from './steering.js';
import { moveChain } from './chain.js';
import { sideOf } from './sweep.js';
import { turnOf } from './turn.js';

const steeringOfMade = (document: BuildDocument): Steering => {
  const result = steeringOf(document, stanceMade(document));
  if (!result?.ok) throw new Error(JSON.stringify(result));
  return result.steering;
};
/** A linkage on a made stance, with sizes in place of its usual ones. */
function solved(kind: string, set: string, id: string, sizes: Readonly<Record<string, number>> = {}) {
  const document = made(kind, set);
  const stance = stanceMade(document);
  const linkage = findLinkage(id)!;
  const held: Readonly<Record<string, number>> = {
    ...linkage.start(stance),
    lock: document.seat.lock,
    ...sizes,
  };
  return { stance, linkage, held, result: solveLinkage(linkage, stance, held) };
}
const steeringWith = (...of: Parameters<typeof solved>): Steering => {
  const { result } = solved(...of);
  if (!result.ok) throw new Error(JSON.stringify(result.refusals));
  return result.steering;
};
const codes = (steering: Steering, kind: string, set: string) =>
  steeringFindings({ ok: true, steering: { ...steering, own: true } }, stanceMade(made(kind, set))).map(
    ({ code }) => code,
  );

describe('every starting set steers', () => {
  it.each(EVERY_SET)(
    '%s, %s: full lock to both sides, every alternative too, the same to left and right',
    (kind, set) => {
      const document = made(kind, set);
      const stance = stanceMade(document);
      expect(linkagesFor(stance).length).toBeGreaterThan(0);
      for (const linkage of linkagesFor(stance)) {
        const result = solveLinkage(linkage, stance, heldOf(document, linkage, stance));
        if (!result.ok) throw new Error(`${linkage.id}: ${JSON.stringify(result.refusals)}`);
        const { built, sweep } = result.steering;
        for (const name of Object.keys(built.points)) expect(STEERING_POINTS).toContain(name);
        for (const { from, to } of built.parts)
          for (const end of [from, to]) expect(built.points).toHaveProperty([end]);
        expect([linkage.id, sweep.left.stop.by, sweep.right.stop.by]).not.toContain('wrong way');
        // A linkage that is the same on both sides turns mirrored.
        if (linkage.id !== 'two-rods' && linkage.id !== 'rack' && linkage.id !== 'under-seat-bar') continue;
        expect(sweep.right.drive).toBeCloseTo(-sweep.left.drive, 6);
        const [first, last] = [sweep.steps[0]!, sweep.steps.at(-1)!];
        expect(first.wheels.frontLeft!.heading).toBeCloseTo(-last.wheels.frontRight!.heading, 6);
      }
      const usual = steeringOfMade(document);
      expect([usual.sweep.left.stop.by, usual.sweep.right.stop.by]).toEqual(['lock', 'lock']);
      expect(usual.sweep.steps).toHaveLength(121);
      const { mass } = planMade(document);
      const { wall, kerb, effort, liveAxle } = steeringReadings(stance, usual, mass.laden.loads, []);
      expect([wall, kerb, effort?.straight, effort?.lock].every((each) => each! > 0)).toBe(true);
      const rear = stance.standing.filter(({ end }) => end === 'rear');
      expect(liveAxle === undefined).toBe(rear.length < 2);
    },
  );
  it('sizes of a linkage have letters of their own, and limits that its usual sizes lie in', () => {
    for (const [kind, set] of EVERY_SET) {
      const stance = stanceMade(made(kind, set));
      for (const linkage of linkagesFor(stance)) {
        const { dimensions, start, refuse } = solvableOf(linkage, stance);
        const symbols = dimensions.map(({ symbol }) => symbol);
        expect([linkage.id, new Set(symbols).size]).toEqual([linkage.id, symbols.length]);
        for (const { id, limits } of linkage.sizes) {
          expect([id, start[id]! >= limits[0] && start[id]! <= limits[1]]).toEqual([id, true]);
        }
        expect(refuse(start)).toEqual([]);
      }
    }
    expect(new Set(LINKAGES.map(({ id }) => id)).size).toBe(LINKAGES.length);
  });
});

describe('the turn', () => {
  it('of one wheel: R = L / tan(ground), with tan(ground) = sin(head) tan(bars) for an upright frame (steering, formula)', () => {
    const document = made('bicycle', 'road');
    const stance = stanceMade(document);
    const { sweep } = steeringWith('bicycle', 'road', 'bars', { lock: 30 });
    const last = sweep.steps.at(-1)!;
    const ground = Math.sin((stance.values.headAngle! * Math.PI) / 180) * Math.tan((30 * Math.PI) / 180);
    // The contact moves on the ground: the wheelbase that counts is to where it is then.
    const turn = turnOf(stance.steered, last);
    const [wheel] = turn.wheels;
    expect(Math.tan((wheel!.heading * Math.PI) / 180)).toBeCloseTo(ground, 2);
    expect(turn.centre! - wheel!.contact[1]).toBeCloseTo(
      wheel!.contact[0] / Math.tan((wheel!.heading * Math.PI) / 180),
      6,
    );
    expect(wheel!.scrub).toBeCloseTo(0, 9);
  });
  it('of two wheels that agree has no scrub; of two that do not, each is dragged by half of it', () => {
    const steering = steeringWith('kart', 'ladder', 'two-rods');
    const stance = stanceMade(made('kart', 'ladder'));
    for (const step of reportOf(stance.steered, steering)) {
      const [left, right] = step.turn.wheels;
      if (step.turn.centre === undefined) continue;
      expect(Math.sign(left!.scrub)).not.toBe(Math.sign(right!.scrub));
      if (Math.abs(step.error) < 1e-6) expect(left!.scrub).toBeCloseTo(0, 4);
    }
  });
  it('driven sides: v side / v = (R -+ T/2) / R, one as much more as the other less', () => {
    const steering = steeringWith('kart', 'ladder', 'two-rods');
    const stance = stanceMade(made('kart', 'ladder'));
    const report = reportOf(stance.steered, steering);
    const speeds = sideSpeedsOf(report, 900);
    const [step, last] = [report.at(-1)!, speeds.at(-1)!];
    expect(last.left).toBeCloseTo((step.turn.centre! - 450) / step.turn.centre!, 9);
    for (const { left, right } of speeds) expect(left + right).toBeCloseTo(2, 9);
    expect(speeds[60]).toMatchObject({ left: 1, right: 1 });
  });
  it('readings: a wall is no nearer than the kerb; a live axle slips by half its track over the radius, and is lifted by caster', () => {
    const document = made('kart', 'kart');
    const plan = planMade(document);
    const steering = steeringOfMade(document);
    const far = { ...steeringReadings(plan.stance, steering, plan.mass.laden.loads, [[3000, -2000, 0]]) };
    const near = steeringReadings(plan.stance, steering, plan.mass.laden.loads, []);
    expect(near.wall).toBeCloseTo(near.kerb!, 9);
    expect(far.wall!).toBeGreaterThan(near.wall!);
    const centre = turnOf(plan.stance.steered, steering.sweep.steps.at(-1)!).centre!;
    expect(near.liveAxle!.slip).toBeCloseTo(plan.stance.values.rearTrack! / 2 / centre, 9);
    expect(near.liveAxle!.lift).toBeGreaterThan(5);
    // The frame tilted, by small turns about both axes, until three wheels stand level: the fourth hangs by the lift.
    const full = steering.sweep.steps.at(-1)!;
    const fronts = plan.stance.steered.map((wheel) =>
      contactOf(turnedWheel(wheel, full.wheels[wheel.id]!.steer)),
    );
    const rears = plan.stance.standing.filter(({ end }) => end === 'rear').map(contactOf);
    const [inside, outside] = rears[0]![1] > rears[1]![1] ? rears : [...rears].reverse();
    const level = new Matrix([outside!, ...fronts].map(([x, y]) => [x, y, 1]));
    const [p, q, r] = solve(
      level,
      Matrix.columnVector([outside!, ...fronts].map(([, , z]) => z)),
    ).to1DArray();
    const hangs = (inside![2] - p! * inside![0] - q! * inside![1] - r!) / Math.hypot(p!, q!, 1);
    expect(near.liveAxle!.lift).toBeCloseTo(hangs, 9);
    expect(near.liveAxle!.relief!).toBeGreaterThan(0);
    // Twice the load on the front asks twice of the hands.
    const doubled = plan.mass.laden.loads.map((each) => ({ ...each, load: 2 * each.load }));
    const heavy = steeringReadings(plan.stance, steering, doubled, []);
    expect(heavy.effort!.straight).toBeCloseTo(2 * near.effort!.straight, 6);
    expect(near.effort!.straight).toBeGreaterThan(5);
  });
});

describe('held dimensions', () => {
  it('a rod, a ratio and a turning circle can be held: each is met, and what was let go follows', () => {
    const { stance, linkage, held } = solved('kart', 'ladder', 'two-rods');
    const before = steeringWith('kart', 'ladder', 'two-rods').values;
    for (const [pin, letGo, by] of [
      ['rodLength', 'plateSpread', -10],
      ['steeringRatio', 'plateReach', 0.1],
      ['turningCircle', 'lock', 600],
    ] as const) {
      const wanted = before[pin]! + by;
      const next = Object.fromEntries(
        Object.entries({ ...held, [pin]: wanted }).filter(([id]) => id !== letGo),
      );
      const result = solveLinkage(linkage, stance, next);
      if (!result.ok) throw new Error(JSON.stringify(result.refusals));
      expect(result.steering.values[pin]).toBeCloseTo(wanted, 6);
      expect(result.steering.values[letGo]).not.toBeCloseTo(before[letGo]!, 2);
    }
  });
  it('an arm of no length is refused at its place, and just long enough it is taken', () => {
    for (const armLength of [0, 4.9, -4.9]) {
      const { result } = solved('kart', 'ladder', 'two-rods', { armLength });
      expect(result.ok ? [] : result.refusals.map(({ where }) => where)).toContain('armLength');
    }
    expect(solved('kart', 'ladder', 'two-rods', { armLength: 5 }).result.ok).toBe(true);
    const { result } = solved('kart', 'ladder', 'two-rods', { armAngle: 81 });
    expect(result.ok ? '' : result.refusals[0]!.message).toMatch(/must lie between/);
  });
  it('holes on the wrong side of the column steer the wrong way, and say so', () => {
    const steering = steeringWith('kart', 'ladder', 'two-rods', { plateReach: 60 });
    expect(codes(steering, 'kart', 'ladder')).toEqual(['steers-wrong-way']);
  });
  it('a lock that a rod does not reach is told with how far it goes, and why', () => {
    const steering = steeringWith('kart', 'ladder', 'two-rods', { lock: 70 });
    expect(steering.sweep.left.stop.by).toBe('rod');
    const stance = stanceMade(made('kart', 'ladder'));
    const [first] = steeringFindings({ ok: true, steering: { ...steering, own: true } }, stance);
    expect(first).toMatchObject({ code: 'lock-not-reached', severity: 'stop' });
    expect(findingText(first!, { length: 'mm', denominator: 32 }).text).toMatch(/in line with its arm/);
  });
  it('a rod is near lock-over just under 30 degrees, and not just over', () => {
    const angleAt = (lock: number) =>
      leastRodAngle(steeringWith('kart', 'ladder', 'rack', { lock }).sweep)!.angle;
    let lock = 36;
    while (angleAt(lock) > LEAST_ROD_ANGLE) lock += 0.25;
    expect(codes(steeringWith('kart', 'ladder', 'rack', { lock }), 'kart', 'ladder')).toContain(
      'rod-near-lock-over',
    );
    expect(
      codes(steeringWith('kart', 'ladder', 'rack', { lock: lock - 0.25 }), 'kart', 'ladder'),
    ).not.toContain('rod-near-lock-over');
  });
});

describe('the lock', () => {
  it('is never passed, whatever it is and wherever a rod ends: every set, every linkage', () => {
    for (const [kind, set] of EVERY_SET) {
      const stance = stanceMade(made(kind, set));
      for (const linkage of linkagesFor(stance)) {
        const { chain } = linkage.build(stance, linkage.start(stance));
        for (let lock = 10; lock <= 60; lock += 4)
          for (const side of [1, -1] as const) {
            const end = sideOf(chain, lock, linkage.reach, side);
            expect(end.steer, `${kind} ${set} ${linkage.id} ${lock}`).toBeLessThanOrEqual(lock + 1e-9);
            const wheels = Object.values(chain.wheels).map((body) => {
              const at = moveChain(chain, end.drive);
              return 'stuck' in at ? 0 : side * ((at as Record<string, number>)[body] ?? 0);
            });
            expect(Math.max(...wheels), `${kind} ${set} ${linkage.id} ${lock}`).toBeLessThan(lock + 0.01);
          }
      }
    }
  });
});

describe('between the steps of the sweep', () => {
  it('the wheel that turns further stands where it is asked, rods keep their lengths to a hundredth, straight is straight', () => {
    const steering = steeringWith('kart', 'ladder', 'two-rods');
    const wheels = Object.values(steering.built.chain.wheels);
    const rods = steering.built.parts.filter(({ as }) => as === 'rod');
    const long = rods.map(({ from, to }) =>
      distance(steering.built.points[from]!.at, steering.built.points[to]!.at),
    );
    fc.assert(
      fc.property(fc.double({ min: -35, max: 35, noNaN: true }), (steer) => {
        const positions = positionsAt(steering.sweep, wheels, steer);
        const furthest = Math.max(...wheels.map((body) => Math.sign(steer || 1) * positions[body]!));
        expect(furthest).toBeCloseTo(Math.abs(steer), 6);
        const points = movedPoints(steering, positions);
        rods.forEach(({ from, to }, index) =>
          expect(Math.abs(distance(points[from]!, points[to]!) - long[index]!)).toBeLessThan(0.01),
        );
      }),
    );
    expect(positionsAt(steering.sweep, wheels, 90)).toEqual(steering.sweep.steps.at(-1)!.positions);
  });
});

describe('a proposal', () => {
  const run = (kind: string, set: string, id: string, free: readonly string[] | undefined, step = 1) => {
    const { stance, linkage, held } = solved(kind, set, id);
    const search = searchLinkage(linkage, stance, held, {
      free: free ?? searchable(linkage, held),
      step,
      angleStep: 0.5,
      tyreGap: 6,
    });
    let next = search.next();
    while (!next.done) next = search.next();
    return { stance, linkage, held, proposal: next.value };
  };
  it.each([
    ['kart', 'kart', 'two-rods'],
    ['kart', 'ladder', 'two-rods'],
    ['buggy', 'buggy', 'rack'],
    ['tadpole-trike', 'tadpole', 'side-sticks'],
    ['tadpole-trike', 'tadpole', 'track-rod'],
  ])(
    '%s %s, %s: lowers the error, within limits, in steps that can be made; the same each time',
    (kind, set, id) => {
      const { stance, linkage, held, proposal } = run(kind, set, id, undefined);
      expect(proposal!.after.rms).toBeLessThan(proposal!.before.rms);
      const result = solveLinkage(linkage, stance, proposal!.held);
      if (!result.ok) throw new Error(JSON.stringify(result.refusals));
      expect(ackermannOf(stance.steered, result.steering.sweep).rms).toBeCloseTo(proposal!.after.rms, 9);
      expect([result.steering.sweep.left.stop.by, result.steering.sweep.right.stop.by]).toEqual([
        'lock',
        'lock',
      ]);
      for (const { id: size, from, to } of proposal!.changes) {
        const { quantity, limits } = linkage.sizes.find((each) => each.id === size)!;
        const grain = quantity === 'angle' ? 0.5 : 1;
        expect(Math.abs(to / grain - Math.round(to / grain))).toBeLessThan(1e-6);
        expect(to >= limits[0] && to <= limits[1]).toBe(true);
        expect(from).toBe(held[size]);
      }
      expect(run(kind, set, id, undefined).proposal).toEqual(proposal);
    },
  );
  it('of two sizes nothing on a dense grid is better by more than a hundredth of a degree', () => {
    const { stance, linkage, held, proposal } = run(
      'kart',
      'ladder',
      'track-rod',
      ['armLength', 'armAngle'],
      2,
    );
    let best = Infinity;
    for (let armLength = 44; armLength <= 172; armLength += 8)
      for (let armAngle = -10; armAngle <= 42; armAngle += 1) {
        const result = solveLinkage(linkage, stance, { ...held, armLength, armAngle });
        if (
          !result.ok ||
          result.steering.sweep.left.stop.by !== 'lock' ||
          result.steering.sweep.right.stop.by !== 'lock'
        )
          continue;
        if (leastRodAngle(result.steering.sweep)!.angle < LEAST_ROD_ANGLE) continue;
        best = Math.min(best, ackermannOf(stance.steered, result.steering.sweep).rms);
      }
    expect(proposal!.after.rms).toBeLessThan(best + 0.01);
  });
  it('lengths come to sixteenths of an inch, or to a row of holes', () => {
    for (const step of [25.4 / 16, 10]) {
      const { proposal } = run('kart', 'ladder', 'track-rod', ['armLength', 'armAngle'], step);
      const length = proposal!.changes.find(({ id }) => id === 'armLength');
      if (length) expect(Math.abs(length.to / step - Math.round(length.to / step))).toBeLessThan(1e-5);
    }
  });
  it('with nothing left free there is none; what is best already is left alone', () => {
    expect(run('kart', 'ladder', 'track-rod', []).proposal).toBeUndefined();
    const { stance, linkage, proposal } = run('kart', 'ladder', 'track-rod', ['armAngle']);
    const again = searchLinkage(linkage, stance, proposal!.held, {
      free: ['armAngle'],
      step: 1,
      angleStep: 0.5,
      tyreGap: 6,
    });
    let next = again.next();
    while (!next.done) next = again.next();
    expect(next.value).toBeUndefined();
  });
});

describe('a linkage as pieces', () => {
  it.each(FAMILIES)(
    '%s %s: rods, shafts and arms stand in the frame, follow the stance, and are no concern of the fixture',
    (kind, set) => {
      const document = made(kind, set);
      const steering = steeringOfMade(document);
      const parted = withSteeringParts(document, stanceMade(document), steering);
      expect(readDocument(JSON.parse(JSON.stringify(parted)))).toMatchObject({ ok: true });
      const planned = planBuild(parted);
      if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
      const { plan } = planned;
      const rods = steering.built.parts.filter(({ as }) => as === 'rod');
      for (const { id, from, to } of rods) {
        const piece =
          plan.frame.pieces.find(({ id: of }) => of === `steering-${id}`) ??
          plan.frame.pieces.find(
            ({ id: of }) =>
              of === `steering-${id.replace(/Right$/, 'Left')}:${id.endsWith('Right') ? 'right' : 'left'}`,
          )!;
        const long = distance(steering.built.points[from]!.at, steering.built.points[to]!.at);
        expect(piece.length).toBeCloseTo(long, 6);
        // Each end is short of its ball by the rod end.
        const cut = plan.cuts.find(({ piece: of }) => of === piece.id)!;
        expect(cut.overall).toBeCloseTo(long - 60, 3);
      }
      // An arm’s plate lies square to its axis, its hole in the rod’s ball.
      for (const plate of parted.frame.plates.filter(({ group }) => group === 'steering')) {
        const part = steering.built.parts.find(({ id }) => `steering-${id}` === plate.id)!;
        const placed = placePlate(plate, steering.built.points[part.from]!.at, plate.id, '', 'left');
        expect(
          distance(onPlate(placed, plate.holes[0]!.at), steering.built.points[part.to]!.at),
        ).toBeLessThan(0.2);
      }
      expect(plan.fixture.settings).toEqual(planMade(document).fixture.settings);
      expect(plan.findings.filter(({ where }) => where.station === 'tubes')).toEqual(
        planMade(document).findings.filter(({ where }) => where.station === 'tubes'),
      );
      expect(withSteeringParts(parted, stanceMade(document), steering)).toEqual(parted);
      expect(withoutSteeringParts(parted.frame).members).toEqual(document.frame.members);
    },
  );
});
