import fc from 'fast-check';
import type { BuildDocument, Made, MadeId } from '@larchwood/format';
import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade, stanceMade } from '../../../../../testing/made.js';
import { FINDING_CODES } from '../../findings/catalogue.js';
import { onPlate, placePlate, plateFault, type PlacedPlate } from '../../frame/plates.js';
import { planBuild } from '../../plan/plan.js';
import { withSteeringParts } from '../../start/steeringParts.js';
import { ARMS_TIRE } from '../../rider/figure.js';
import { add, dot, length, squareTo, subtract } from '../../vector/vector.js';
import { bumpSteerOf } from '../bump.js';
import { findLinkage } from '../linkages/registry.js';
import { solveLinkage, steeringOf } from '../steering.js';
import { LEAST_WALL } from './collar.js';
import { STEEP, unevenness } from '../columnJoints.js';
import { HELD_EVERY } from './column.js';
import type { MadeFrom } from './madePart.js';
import { findMadePart, MADE_PARTS, madeOf, sizesOf } from './registry.js';

const fromOf = (kind: string, set: string): MadeFrom => {
  const document = made(kind, set);
  const stance = stanceMade(document);
  const result = steeringOf(document, stance);
  if (!result?.ok) throw new Error(JSON.stringify(result));
  return { stance, steering: result.steering, tyreGap: document.seat.gaps.tyre };
};
const one = (
  from: MadeFrom,
  what: MadeId,
  sizes: Made['sizes'] = {},
  choices: Made['choices'] = {},
  found: Made['found'] = {},
) => {
  const part = findMadePart(what);
  const worked = sizesOf(part, from, { sizes, found });
  return { part, sizes: worked, result: part.make(from, worked, choices) };
};
const codes = (...of: Parameters<typeof one>) => one(...of).result.findings.map(({ code }) => code);
const row = ({ result }: ReturnType<typeof one>, name: string) =>
  result.rows.find((each) => each.name.startsWith(name))!.value!;

describe('parts made at home', () => {
  it.each(EVERY_SET)(
    '%s, %s: each that suits begins within its limits, without a finding but of its own, its outlines whole',
    (kind, set) => {
      const from = fromOf(kind, set);
      for (const part of MADE_PARTS.filter((each) => each.suits(from))) {
        const { sizes, result } = one(from, part.id);
        for (const { id, limits } of part.sizes)
          expect([part.id, id, sizes[id]! >= limits[0] && sizes[id]! <= limits[1]]).toEqual([
            part.id,
            id,
            true,
          ]);
        for (const { outline } of result.outlines) expect(plateFault(outline)).toBeUndefined();
        for (const { value, text } of result.rows)
          expect(text !== undefined || Number.isFinite(value)).toBe(true);
        for (const { code } of result.findings) expect(FINDING_CODES).toContain(code);
        expect(result.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
      }
    },
  );
  it('whatever is typed within the limits: figures stay figures', () => {
    const from = fromOf('bicycle', 'road');
    fc.assert(
      fc.property(
        fc.constantFrom(...MADE_PARTS.filter((each) => each.suits(from))),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 12, maxLength: 12 }),
        (part, shares) => {
          const typed = Object.fromEntries(
            part.sizes.map(({ id, limits: [low, high], quantity }, index) => {
              const value = low + (high - low) * shares[index]!;
              return [id, quantity === 'count' ? Math.round(value) : value];
            }),
          );
          for (const { value, text } of one(from, part.id, typed).result.rows)
            expect(text !== undefined || Number.isFinite(value)).toBe(true);
        },
      ),
    );
  });
  it('what the trial in card found mends the size, and never beyond its limits', () => {
    const from = fromOf('bicycle', 'road');
    const drawn = one(from, 'fork').sizes.legSpread!;
    expect(one(from, 'fork', {}, {}, { legSpread: 7 }).sizes.legSpread).toBe(drawn + 7);
    expect(one(from, 'fork', { legSpread: 399 }, {}, { legSpread: 7 }).sizes.legSpread).toBe(400);
  });
});

describe('a fork of two legs and two plates', () => {
  const from = fromOf('bicycle', 'road');
  it('axle to crown and offset are the stance’s: legs along the axis, so far ahead of it (plane trigonometry)', () => {
    const fork = one(from, 'fork');
    const { forkOffset, axleToCrown } = from.stance.values as Record<string, number>;
    expect(row(fork, 'Legs ahead of the steering axis')).toBeCloseTo(forkOffset!, 6);
    const crown = Math.sqrt(axleToCrown! ** 2 - forkOffset! ** 2);
    expect(row(fork, 'Axle to the lower plate')).toBeCloseTo(crown - fork.sizes.plateThickness!, 6);
    expect(row(fork, 'Gap over the tyre')).toBeCloseTo(
      crown - fork.sizes.plateThickness! - from.stance.wheels.front.radius,
      6,
    );
  });
  it('the hub fits between what the legs hold, just inside and just outside', () => {
    const { sizes } = one(from, 'fork');
    // Dropouts stand within the legs’ bores, 2 mm from their walls.
    const widest = sizes.legSpread! - sizes.dropout! + 28.6 - 4 - 4;
    const legs = { legs: 'round-28.6x2' };
    expect(codes(from, 'fork', { ...sizes, hubWidth: widest - 0.1 }, legs)).not.toContain('hub-too-wide');
    expect(codes(from, 'fork', { ...sizes, hubWidth: widest + 0.1 }, legs)).toContain('hub-too-wide');
    const narrowest = sizes.legSpread! - sizes.dropout! - 28.6 + 4 + 4;
    expect(codes(from, 'fork', { ...sizes, hubWidth: narrowest + 0.1 }, legs)).not.toContain('hub-too-wide');
    expect(codes(from, 'fork', { ...sizes, hubWidth: narrowest - 0.1 }, legs)).toContain('hub-too-wide');
  });
  it('the tyre has its gap over and beside it, just inside and just outside', () => {
    const { sizes } = one(from, 'fork');
    const gap = row(one(from, 'fork'), 'Gap over the tyre');
    const thick = (extra: number) => ({
      ...sizes,
      plateThickness: sizes.plateThickness! + gap - from.tyreGap + extra,
    });
    expect(codes(from, 'fork', thick(-0.1))).toEqual([]);
    expect(codes(from, 'fork', thick(0.1))).toEqual(['fork-gap-small']);
    const spread = from.stance.steered[0]!.width + 2 * from.tyreGap + 28.6;
    const beside = (extra: number) => ({ ...sizes, hubWidth: spread - 10, legSpread: spread + extra });
    expect(codes(from, 'fork', beside(0.1), { legs: 'round-28.6x2' })).not.toContain('fork-gap-small');
    expect(codes(from, 'fork', beside(-0.1), { legs: 'round-28.6x2' })).toContain('fork-gap-small');
  });
  it.each([
    ['bicycle', 'road'],
    ['motorcycle', 'standard'],
    ['scooter', 'scooter-large'],
  ])('%s %s: stands in the frame as pieces whose cuts are what its table says', (kind, set) => {
    const document: BuildDocument = {
      ...made(kind, set),
      steering: {
        linkage: 'bars',
        held: { lock: made(kind, set).seat.lock },
        made: [{ what: 'fork', sizes: {}, choices: {}, found: {} }],
      },
    };
    const stance = stanceMade(document);
    const steering = steeringOf(document, stance);
    if (!steering?.ok) throw new Error('no steering');
    const planned = planBuild(withSteeringParts(document, stance, steering.steering));
    if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
    const { plan } = planned;
    const value = (name: string) => plan.made[0]!.result.rows.find((each) => each.name === name)!.value!;
    expect(plan.cuts.find(({ piece }) => piece === 'steering-fork-legs:left')!.overall).toBeCloseTo(
      value('Leg, cut'),
      2,
    );
    expect(plan.cuts.find(({ piece }) => piece === 'steering-fork-steerer')!.overall).toBeCloseTo(
      value('Steerer, cut'),
      2,
    );
    // Both plates lie square to the steering axis, legs’ holes as far apart as the legs are.
    for (const plate of plan.frame.plates.filter(({ id }) => /fork-(lower|upper)/.test(id))) {
      const square = plate.normal.reduce((sum, part, axis) => sum + part * stance.steeringAxis[axis]!, 0);
      expect(Math.abs(square)).toBeCloseTo(1, 4);
      const [left, right] = plate.plate.holes;
      expect(Math.hypot(left!.at[0] - right!.at[0], left!.at[1] - right!.at[1])).toBeCloseTo(
        plan.made[0]!.sizes.legSpread!,
        1,
      );
    }
    expect(plan.fixture.settings).toEqual(planMade(made(kind, set)).fixture.settings);
  });
});

describe('what was chosen', () => {
  const from = fromOf('bicycle', 'road');
  const kart = fromOf('kart', 'ladder');
  it('the first of a list is what a part has where nothing was chosen', () => {
    for (const on of [from, kart])
      for (const part of MADE_PARTS.filter((each) => each.suits(on))) {
        const first = Object.fromEntries(part.choices.map(({ id, options }) => [id, options[0]!.id]));
        expect(one(on, part.id, {}, first).result).toEqual(one(on, part.id).result);
      }
  });
  it('of a fork that stands in the frame goes into its pieces; a new length of it is told until they are made again', () => {
    const document = made('bicycle', 'road');
    const stance = stanceMade(document);
    const withFork = (sizes: Made['sizes'], choices: Made['choices'], on = document): BuildDocument => ({
      ...on,
      steering: {
        ...{ linkage: 'bars', held: { lock: document.seat.lock } },
        made: [{ what: 'fork', sizes, choices, found: {} }],
      },
    });
    const pieces = (build: BuildDocument, on = stance) => withSteeringParts(build, on, from.steering);
    const first = pieces(withFork({}, {}));
    const second = pieces(withFork({ plateThickness: 15 }, { legs: 'round-35x2' }, first));
    expect(second.frame.members.find(({ id }) => id === 'steering-fork-legs')!.section).toBe('round-35x2');
    expect(second.frame.plates.find(({ id }) => id === 'steering-fork-lower')!.thickness).toBe(15);
    const told = (build: BuildDocument) => {
      const planned = planBuild(build);
      if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
      return planned.plan.findings.filter(({ code }) => code === 'steering-part-stale');
    };
    expect(told(second)).toEqual([]);
    const { held } = second.stance;
    const longer = {
      ...second,
      stance: { ...second.stance, held: { ...held, axleToCrown: held.axleToCrown! + 5 } },
    };
    expect(told(longer)).toHaveLength(1);
    expect(told(pieces(longer, stanceMade(longer)))).toEqual([]);
  });
});

describe('a column', () => {
  const from = fromOf('kart', 'ladder');
  it('one joint of 30 degrees turns at 0.866 to 1.155 (Hooke); two in one plane turn evenly, out of phase worse than one', () => {
    const of = (joints: number, phase = 0) => unevenness({ joints, bend: 30, phase });
    expect(of(1).least).toBeCloseTo(0.866, 3);
    expect(of(1).most).toBeCloseTo(1.155, 3);
    expect(of(2).most - of(2).least).toBeLessThan(1e-9);
    expect(of(2).error).toBeLessThan(1e-6);
    expect(of(2, 90).most).toBeCloseTo(1 / Math.cos(Math.PI / 6) ** 2, 2);
    expect(of(0)).toEqual({ least: 1, most: 1, error: 0 });
  });
  it('a joint is steep just over 30 degrees, and not built for more than 45', () => {
    const bend = (at: number) => one(from, 'column', { joints: 1, bend: at, supports: 8 }).result.findings;
    expect(bend(STEEP.look)).toEqual([]);
    expect(bend(STEEP.look + 0.1)).toMatchObject([{ code: 'joint-steep', severity: 'look' }]);
    expect(bend(STEEP.stop)).toMatchObject([{ severity: 'look' }]);
    expect(bend(STEEP.stop + 0.1)).toMatchObject([{ severity: 'stop' }]);
  });
  it('is held every 300 mm and beside each joint; one bar alone is told, two are not', () => {
    const long = row(one(from, 'column'), 'Hands to the lower end');
    const needed = Math.max(2, Math.ceil(long / HELD_EVERY));
    expect(codes(from, 'column', { supports: needed })).toEqual([]);
    expect(codes(from, 'column', { supports: needed - 1 })).toEqual(['support-missing']);
    expect(codes(from, 'column', { supports: needed, joints: 1, bend: 5 })).toEqual(['support-missing']);
    expect(codes(from, 'column', { braces: 1 })).toEqual(['brace-single']);
    expect(codes(from, 'column', { braces: 2 })).toEqual([]);
  });
  it('a rest’s slot is radius times angle, and lifts the hands by the column’s length times the sines', () => {
    const rested = one(from, 'column', { restRadius: 200, restLow: 30, restHigh: 45 });
    const long = row(rested, 'Hands to the lower end');
    expect(row(rested, 'Slot, along its arc')).toBeCloseTo(200 * (Math.PI / 12), 6);
    expect(row(rested, 'Hands from lowest')).toBeCloseTo(long * (Math.SQRT1_2 - 0.5), 6);
    expect(codes(from, 'column', { restRadius: 200, restLow: 45, restHigh: 45 })).toEqual(['rest-no-range']);
  });
  it('arms that are held up ask for a rest, just over what tires, and one cures it', () => {
    const raised = (armRaise: number): MadeFrom => ({
      ...from,
      stance: { ...from.stance, values: { ...from.stance.values, armRaise } },
    });
    expect(codes(raised(ARMS_TIRE), 'column')).toEqual([]);
    expect(codes(raised(ARMS_TIRE + 0.1), 'column')).toEqual(['rest-wanted']);
    expect(codes(raised(ARMS_TIRE + 0.1), 'column', { restRadius: 150 })).toEqual([]);
  });
  it('a shaft thicker than its bore is stopped; a thinner one gets a sleeve of half the difference', () => {
    expect(codes(from, 'column', { outer: 22, clampBore: 20 })).toEqual(['shaft-too-thick']);
    expect(row(one(from, 'column', { outer: 20, clampBore: 25.4 }), 'Adapter sleeve')).toBeCloseTo(2.7, 9);
  });
});

describe('a collar with bearings', () => {
  const from = fromOf('bicycle', 'road');
  it('recess depth is race height for flush (common practice), less what stands proud', () => {
    expect(row(one(from, 'collar', { race: 12, proud: 0 }), 'Recess, deep')).toBe(12);
    expect(row(one(from, 'collar', { race: 12, proud: 3 }), 'Recess, deep')).toBe(9);
  });
  it('is thin just under its least wall, and too short for its recesses', () => {
    const wall = (at: number) => codes(from, 'collar', { bearingOuter: 40, outer: 40 + 2 * at });
    expect(wall(LEAST_WALL)).toEqual([]);
    expect(wall(LEAST_WALL - 0.05)).toEqual(['collar-thin']);
    expect(codes(from, 'collar', { race: 20, length: 44 })).toEqual([]);
    expect(codes(from, 'collar', { race: 20, length: 43.9 })).toEqual(['collar-short']);
  });
});

describe('a donor’s rear end', () => {
  const from = fromOf('bicycle', 'small-wheel');
  it('is sprung by 6 mm at most, and says what to cut off or what is short', () => {
    expect(codes(from, 'donor-fork', { donorHub: 130, hubWidth: 136 })).toEqual([]);
    expect(codes(from, 'donor-fork', { donorHub: 130, hubWidth: 136.1 })).toEqual(['hub-too-wide']);
    expect(codes(from, 'donor-fork', { donorHub: 130, hubWidth: 123.9 })).toEqual(['hub-too-wide']);
    const { sizes } = one(from, 'donor-fork');
    const wanted = row(one(from, 'donor-fork'), 'Axle to the plate');
    expect(row(one(from, 'donor-fork', { ...sizes, donorLength: wanted + 12 }), 'To cut off')).toBeCloseTo(
      12,
      6,
    );
    expect(
      row(one(from, 'donor-fork', { ...sizes, donorLength: wanted - 5 }), 'The stays are short'),
    ).toBeCloseTo(5, 6);
  });
});

describe('bump steer', () => {
  it('is none without travel; a rack moved to the height that is offered has no more of it than is said', () => {
    const rigid = fromOf('kart', 'ladder');
    expect(bumpSteerOf(findLinkage('two-rods')!, rigid.stance, rigid.steering)).toBeUndefined();
    const { stance, steering } = fromOf('buggy', 'buggy');
    const rack = findLinkage('rack')!;
    const high = solveLinkage(rack, stance, { ...steering.held, rackHeight: steering.held.rackHeight! + 90 });
    if (!high.ok) throw new Error('no linkage');
    const bump = bumpSteerOf(rack, stance, high.steering)!;
    const still = bump.steps.reduce((a, b) => (Math.abs(b.up) < Math.abs(a.up) ? b : a));
    expect(Math.abs(still.toeIn)).toBeLessThan(bump.worst / 10);
    const mended = solveLinkage(rack, stance, { ...high.steering.held, rackHeight: bump.better!.value });
    if (!mended.ok) throw new Error('no linkage');
    const after = bumpSteerOf(rack, stance, mended.steering)!;
    expect(after.worst).toBeCloseTo(bump.better!.worst, 9);
    expect(after.worst).toBeLessThan(bump.worst / 2);
    expect(after.better).toBeUndefined();
  });
  it('offers no height from which a rod reaches less of the travel than all', () => {
    const { stance, steering } = fromOf('buggy', 'buggy');
    const rack = findLinkage('rack')!;
    let short = 0;
    for (const rackWidth of [700, 800, 950, 1000, 1050, 1100, 1300]) {
      const solved = solveLinkage(rack, stance, { ...steering.held, rackWidth });
      if (!solved.ok) continue;
      const { whole, better } = bumpSteerOf(rack, stance, solved.steering)!;
      if (!whole) short += 1;
      if (!better) continue;
      const there = solveLinkage(rack, stance, { ...solved.steering.held, rackHeight: better.value });
      if (!there.ok) throw new Error('no linkage');
      expect(bumpSteerOf(rack, stance, there.steering)).toMatchObject({ whole: true, worst: better.worst });
    }
    expect(short).toBeGreaterThan(2);
  });
  it('a level rod’s end rises by z: with z small against the rod the toe of each wheel is about z² / 2 L a', () => {
    const { stance, steering } = fromOf('buggy', 'buggy');
    const rack = findLinkage('rack')!;
    const arms = steering.built.points['steering.armLeft']!.at;
    const level = solveLinkage(rack, stance, {
      ...steering.held,
      armAngle: 0,
      rackAhead: arms[0] - stance.values.wheelbase!,
      rackHeight: arms[2],
    });
    if (!level.ok) throw new Error('no linkage');
    const end = level.steering.built.points['steering.armLeft']!.at;
    const again = solveLinkage(rack, stance, {
      ...level.steering.held,
      rackAhead: end[0] - stance.values.wheelbase!,
      rackHeight: end[2],
    });
    if (!again.ok) throw new Error('no linkage');
    const bump = bumpSteerOf(rack, stance, again.steering)!;
    const { up, toeIn } = bump.steps.find((step) => step.up > 25)!;
    const each =
      (up ** 2 / (2 * again.steering.values.rodLength!) / again.steering.state.armLength!) * (180 / Math.PI);
    expect(Math.abs(toeIn)).toBeGreaterThan(1.6 * each);
    expect(Math.abs(toeIn)).toBeLessThan(2.4 * each);
  });
});

it.each([
  ['kart', 'ladder'],
  ['tadpole-trike', 'tadpole'],
  ['buggy', 'buggy'],
])(
  '%s %s: yokes stand round the kingpins, as far apart as they are open, their backs on the frame’s side',
  (kind, set) => {
    const from = fromOf(kind, set);
    const { sizes, result } = one(from, 'knuckles');
    const { nodes, plates } = result.parts!;
    const wheel = from.stance.steered.find(({ centre }) => centre[1] > 0)!;
    const placed = plates.map((plate) => {
      const { anchor } = nodes.find(({ id }) => id === plate.node)!;
      if (anchor.on !== 'stance') throw new Error('not on the stance');
      const at = add(from.stance.points[anchor.point]!, anchor.offset);
      return placePlate({ ...plate, piece: 1 }, at, plate.id, '1', 'left');
    });
    const [upper, lower, back] = placed as [PlacedPlate, PlacedPlate, PlacedPlate];
    for (const ear of [upper, lower]) {
      const pin = subtract(onPlate(ear, ear.plate.holes[0]!.at), wheel.axisPoint);
      // An outline is kept to a tenth of a millimetre.
      expect(length(squareTo(pin, wheel.axis))).toBeLessThan(0.1);
      expect(Math.abs(dot(ear.normal, wheel.axis))).toBeCloseTo(1, 4);
    }
    const apart = dot(subtract(upper.at, lower.at), wheel.axis);
    expect(apart).toBeCloseTo(sizes.opening! + sizes.ears!, 2);
    expect(back.at[1]).toBeLessThan(wheel.axisPoint[1]);
    expect(Math.abs(dot(back.normal, wheel.axis))).toBeLessThan(1e-4);
  },
);

it('parts that do not suit a vehicle are left out', () => {
  const from = fromOf('kart', 'ladder');
  expect(madeOf([{ what: 'fork', sizes: {}, choices: {}, found: {} }], from)).toEqual([]);
  expect(madeOf([{ what: 'knuckles', sizes: {}, choices: {}, found: {} }], from)).toHaveLength(1);
});
