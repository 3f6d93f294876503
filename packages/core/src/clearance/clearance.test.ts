import fc from 'fast-check';
import type { BuildDocument, LinkageId } from '@larchwood/format';
import { describe, expect, it } from 'vitest';
import { findingText } from '../findings/catalogue.js';
import { isFinding } from '../findings/finding.js';
import { EVERY_SET, holding, made, planMade, stanceMade } from '../../../../testing/made.js';
import { figureOf } from '../rider/figure.js';
import { planBuild } from '../plan/plan.js';
import { findKind } from '../stance/kinds/registry.js';
import { findLinkage } from '../steering/linkages/registry.js';
import { steeringOf } from '../steering/steering.js';
import { withSteeringParts } from '../start/steeringParts.js';
import { restTravel } from '../stance/springs.js';
import { along, distance, subtract, unit, type Vector } from '../vector/vector.js';
import { wheelsIn } from './parts.js';
import { distanceTo } from '../proximity/distance.js';
import { gap, gapPlace, leastPossible } from '../proximity/gap.js';
import { ballAt, rodFrom, type Disc } from '../proximity/shapes.js';
import { tyre } from '../stance/tyreShape.js';
import { clearanceFindings, clearancesOf, STEPS } from './sweep.js';

const coordinate = fc.double({ min: -600, max: 600, noNaN: true });
const point = fc.tuple(coordinate, coordinate, coordinate) as fc.Arbitrary<Vector>;
const rod = fc
  .tuple(point, point, fc.double({ min: 1, max: 80, noNaN: true }))
  .map(([a, b, radius]) => rodFrom(a, b, radius));
const disc: fc.Arbitrary<Disc> = fc
  .tuple(point, point, fc.integer({ min: 100, max: 350 }), fc.integer({ min: 20, max: 220 }))
  .filter(([, axis]) => distance(axis, [0, 0, 0]) > 1)
  .map(([centre, axis, radius, width]) =>
    tyre({ id: 'x', end: 'rear', centre, spindle: unit(axis), radius, width }),
  );

/** Independent: the least over points closely set along the rod. */
function sampled(a: Vector, b: Vector, to: (p: Vector) => number): number {
  let least = Infinity;
  for (let step = 0; step <= 2000; step += 1)
    least = Math.min(least, to(along(a, subtract(b, a), step / 2000)));
  return least;
}

describe('findings of gaps', () => {
  it('of a rod or an arm name the search for a better linkage, of others not', () => {
    const document = made('tadpole-trike', 'tadpole');
    const stance = stanceMade(document);
    const usual = steeringOf(document, stance);
    if (!usual?.ok) throw new Error(JSON.stringify(usual));
    const { linkage, held } = usual.steering;
    const own = { ...document, steering: { linkage, held, made: [] } } as BuildDocument;
    const found = clearanceFindings(clearancesOf(own, planMade(own))).filter(isFinding('parts-meet'));
    const remedies = (a: string) =>
      found.filter((each) => each.values.a === a).map((each) => findingText(each, own.units).remedies.join());
    expect(remedies('track rod').length).toBeGreaterThan(0);
    for (const text of remedies('track rod')) expect(text).toContain('a better linkage');
    const long = holding(document, { ...document.stance.held, baseLength: 450, baseAngle: 16 });
    const others = clearanceFindings(clearancesOf(long, planMade(long))).filter(isFinding('parts-meet'));
    expect(others.length).toBeGreaterThan(0);
    for (const each of others) expect(findingText(each, own.units).remedies.join()).not.toContain('linkage');
  });
});

describe('a shaft that stands still', () => {
  const meets = (kind: string, set: string, id: LinkageId, part: string) => {
    const document = made(kind, set);
    const stance = stanceMade(document);
    const held = { ...findLinkage(id)!.start(stance), lock: document.seat.lock };
    const own = { ...document, steering: { linkage: id, held, made: [] } };
    return clearancesOf(own, planMade(own)).gaps.filter(({ a, verdict }) => a === part && verdict === 'meet');
  };
  it('may stand in the tube that it is fastened to, as a pivot in the spine, and meets one that it passes', () => {
    expect(meets('tadpole-trike', 'tadpole', 'under-seat-bar', 'pivot')).toEqual([]);
    expect(meets('buggy', 'buggy', 'drag-link', 'column').map(({ b }) => b)).toEqual(['dash tube (20)']);
  });
});

describe('gaps', () => {
  it('between rods, and between a rod and a tyre, are those of points closely set along them', () => {
    fc.assert(
      fc.property(rod, rod, disc, (one, two, wheel) => {
        const apart =
          sampled(one.from, one.to, (p) => sampledTo(p, two.from, two.to)) - one.radius - two.radius;
        expect(Math.abs(gap(one, two) - apart)).toBeLessThan(1.5);
        const toWheel = sampled(one.from, one.to, (p) => distanceTo(wheel, p)) - one.radius;
        expect(Math.abs(gap(one, wheel) - toWheel)).toBeLessThan(0.8);
        // The quick bound never claims more than there is.
        expect(leastPossible(one, two)).toBeLessThanOrEqual(gap(one, two) + 1e-6);
        expect(leastPossible(one, wheel)).toBeLessThanOrEqual(gap(one, wheel) + 1e-6);
      }),
      { numRuns: 60 },
    );
  });
  it('to a tyre: worked by hand', () => {
    // A 37-622 wheel at the origin: round all over, 348 mm.
    const wheel = tyre({
      id: 'x',
      end: 'rear',
      centre: [0, 0, 0],
      spindle: [0, 1, 0],
      radius: 348,
      width: 37,
    });
    expect(distanceTo(wheel, [400, 0, 0])).toBeCloseTo(52, 9);
    expect(distanceTo(wheel, [0, 60, 100])).toBeCloseTo(60 - 18.5, 9);
    expect(gap(ballAt([400, 0, 0], 12), wheel)).toBeCloseTo(40, 9);
    expect(gapPlace(ballAt([400, 0, 0], 12), wheel)[0]).toBeCloseTo(368, 3);
  });
});
/** Distance from a point to a segment, by projection. */
function sampledTo(p: Vector, a: Vector, b: Vector): number {
  const d = subtract(b, a);
  const share = Math.max(
    0,
    Math.min(
      1,
      (d[0] * (p[0] - a[0]) + d[1] * (p[1] - a[1]) + d[2] * (p[2] - a[2])) /
        Math.max(1e-9, d[0] ** 2 + d[1] ** 2 + d[2] ** 2),
    ),
  );
  return distance(p, along(a, d, share));
}

describe.each(EVERY_SET)('%s, %s', (kindId, set) => {
  const build = made(kindId, set);
  const plan = planMade(build);
  it('nothing meets that always meets, no hand is lost, and each gap is found again at its pose', () => {
    const swept = clearancesOf(build, plan);
    expect(clearanceFindings(swept).filter(({ severity }) => severity === 'stop')).toEqual([]);
    expect(swept.lostGrips).toEqual([]);
    expect(swept.poses).toBe(STEPS.crank * STEPS.steer * STEPS.travel);
    // The toe and the front tyre once more, by a plain loop over what the sweep says it went through.
    const toe = swept.gaps.find(({ a, b }) => /^((Driver|Front rider): )?toe$/.test(a) && /^front/.test(b));
    if (!toe) return;
    const kind = findKind(kindId)!;
    const tyres = wheelsIn(plan, kind, toe.pose).filter(({ end }) => end === 'front');
    const { legs } = figureOf(plan.stance.places[0]!, toe.pose);
    const stature = plan.stance.places[0]!.body.stature;
    const gaps = [legs.left, legs.right].flatMap(({ tread, toe: tip }) =>
      tyres.map((each) => sampled(tread, tip, (p) => distanceTo(tyre(each), p)) - 0.016 * stature),
    );
    expect(Math.min(...gaps)).toBeCloseTo(toe.gap, 0);
  });
});

describe('the poses of springs', () => {
  it('unladen, at ride height and pressed home the wheels are where the stance has them', () => {
    for (const [id, set] of [
      ['buggy', 'buggy'],
      ['motorcycle', 'standard'],
      ['motorcycle', 'cruiser'],
    ] as const) {
      const plan = planMade(made(id, set));
      const kind = findKind(id)!;
      const { state, standing } = plan.stance;
      const at = (travel: number) => wheelsIn(plan, kind, { steer: 0, travel }).map(({ centre }) => centre);
      const rest = restTravel(state);
      at(rest).forEach((centre, index) =>
        expect(distance(centre, standing[index]!.centre)).toBeLessThan(1e-6),
      );
      // Up along the fork or the arm by the whole of its travel, from end to end.
      const [low, high] = [at(0), at(1)];
      standing.forEach(({ end }, index) => {
        const travelled = distance(low[index]!, high[index]!);
        const wanted = end === 'front' ? state.frontTravel! : state.rearTravel!;
        expect(Math.abs(travelled - wanted)).toBeLessThan(0.05 * wanted + 1e-6);
      });
    }
  });
});

describe('clashes that builders know', () => {
  const gapsOf = (build: ReturnType<typeof made>) => clearancesOf(build, planMade(build)).gaps;
  it('a longer seat base meets the thighs, a shorter one clears them', () => {
    const build = made('tadpole-trike', 'tadpole');
    const at = (baseLength: number) =>
      gapsOf(holding(build, { ...build.stance.held, baseLength, baseAngle: 16 })).find(({ b }) =>
        b.includes('front edge'),
      )!;
    expect(at(450).gap).toBeLessThan(0);
    expect(at(240).gap).toBeGreaterThan(at(300).gap);
  });
  it('a longer crank brings the heel to the ground, and pressed springs the toe to the tyre', () => {
    const trike = made('tadpole-trike', 'tadpole');
    const heel = (crankLength: number) =>
      gapsOf(holding(trike, { ...trike.stance.held, crankLength })).find(({ b }) => b === 'ground')!;
    expect(heel(190).gap).toBeLessThan(heel(150).gap);
    const low = made('low-motorcycle', 'low');
    expect(gapsOf(low).find(({ a }) => a === 'toe')!.pose.travel).toBe(1);
  });
  it('an engine’s room is kept off the seat', () => {
    const low = made('low-motorcycle', 'low');
    const raised = (by: number) => ({
      ...low,
      mass: {
        lumps: low.mass.lumps.map((lump) =>
          lump.sort === 'motor'
            ? {
                ...lump,
                offset: [lump.offset[0], lump.offset[1], lump.offset[2] + by] as [number, number, number],
              }
            : lump,
        ),
      },
    });
    const gapAt = (by: number) => gapsOf(raised(by)).find(({ b }) => b === 'engine')!.gap;
    expect(gapAt(0)).toBeGreaterThan(5);
    // Lifted straight up, the gap shrinks by as much.
    expect(gapAt(0) - gapAt(10)).toBeCloseTo(10, 1);
    expect(gapAt(60)).toBeLessThan(0);
  });
  it('wanted gaps are the builder’s own, and less lock clears the foot', () => {
    const build = made('delta-trike', 'delta');
    const toe = (lock: number) =>
      gapsOf({ ...build, seat: { ...build.seat, lock } }).find(
        ({ a, b }) => a === 'toe' && b === 'front tyre',
      )!;
    expect(toe(5).gap).toBeGreaterThan(toe(20).gap);
    const asked = clearancesOf(
      { ...build, seat: { ...build.seat, gaps: { tyre: 6, rider: 0, metal: 5 } } },
      planMade(build),
    );
    expect(asked.gaps.find(({ a }) => a === 'toe')!.wanted).toBe(0);
  });
});

describe('who cannot sit there', () => {
  it('is told by how much the foot is short, and the nearest place that reaches', () => {
    const build = made('kart', 'kart', { held: { legRoom: 1300 } });
    const finding = planMade(build).findings.find(isFinding('legs-do-not-reach'))!;
    const { legs } = figureOf(stanceMade(build).places[0]!);
    expect(finding.values.short).toBeCloseTo(legs.left.beyond, 6);
    expect(finding.where.ref).toBe('legRoom');
    const near = planMade(made('kart', 'kart', { held: { legRoom: Number(finding.values.value) } }));
    expect(near.findings.some(({ code }) => code === 'legs-do-not-reach')).toBe(false);
    expect(near.stance.values.kneeAngle).toBeCloseTo(178, 4);
  });
});

describe('the lock that is left', () => {
  const document = made('kart', 'kart');
  const stance = stanceMade(document);
  const held = findLinkage('track-rod')!.start(stance);
  const swept = (lock: number) => {
    const steering = { linkage: 'track-rod' as const, held: { ...held, lock }, made: [] };
    const build = { ...document, steering };
    const planned = planBuild(build);
    if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
    return clearancesOf(build, planned.plan);
  };
  it('is where the first parts touch: a little less lock is free of them, a little more is not', () => {
    const first = swept(35).lockLeft!;
    expect([first.a, first.b]).toEqual(['track rod', 'stub brace (8)']);
    // Told from other steps of the sweep it is the same.
    expect(swept(60).lockLeft!.steer).toBeCloseTo(first.steer, 1);
    expect(first.steer).toBeGreaterThan(10);
    const meets = (lock: number) =>
      swept(lock).gaps.some(
        ({ a, b, verdict }) => verdict === 'meet' && `${a} ${b}` === `${first.a} ${first.b}`,
      );
    expect(meets(first.steer - 0.3)).toBe(false);
    expect(meets(first.steer + 0.3)).toBe(true);
  });
  it('of a linkage that nobody has begun with is not looked for', () => {
    const planned = planBuild(document);
    if (!planned.ok) throw new Error('no plan');
    const { gaps } = clearancesOf(document, planned.plan);
    expect(gaps.filter(({ a, b }) => /rod/.test(a + b))).toEqual([]);
  });
});

it('a made fork swings with its plates: one with much metal round its holes meets the down tube', () => {
  const document = made('bicycle', 'road');
  const stance = stanceMade(document);
  const withFork = (metal: number) => {
    const build: BuildDocument = {
      ...document,
      steering: {
        ...{ linkage: 'bars', held: { lock: document.seat.lock } },
        made: [{ what: 'fork', sizes: { metal }, choices: {}, found: {} }],
      },
    };
    const solved = steeringOf(build, stance);
    if (!solved?.ok) throw new Error('no steering');
    const parts = withSteeringParts(build, stance, solved.steering);
    const planned = planBuild(parts);
    if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
    const { gaps } = clearancesOf(parts, planned.plan);
    return gaps.find(({ a, b }) => a === 'fork plate, lower' && b.startsWith('down tube'))!;
  };
  const [usual, wide] = [withFork(12), withFork(40)];
  expect(usual.verdict).not.toBe('meet');
  expect(wide.verdict).toBe('meet');
  // 28 mm more metal towards the tube, which runs back and down: nearer by that at the most.
  expect(usual.gap - wide.gap).toBeGreaterThan(0);
  expect(usual.gap - wide.gap).toBeLessThan(28.5);
});
