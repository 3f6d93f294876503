import { describe, expect, it } from 'vitest';
import type { BuildDocument, MadeId, Section } from '@larchwood/format';
import { made, planMade, stanceMade } from '../../../../../testing/made.js';
import { framed, round } from '../../../../../testing/rods.js';
import { isBar, propertiesOf } from '../../frame/sections.js';
import { meshVolume } from '../../solid/builder.js';
import { pieceMesh } from '../../solid/pieceMesh.js';
import { readDocument } from '../../start/read.js';
import { collarFollowing, withCollar, withSteeringParts } from '../../start/steeringParts.js';
import { distance, dot, length, subtract, unit } from '../../vector/vector.js';
import { columnEnds } from '../columnJoints.js';
import { HEAD_TUBE } from '../parts.js';
import { steeringOf } from '../steering.js';
import { plateFault } from '../../frame/plates.js';
import { REST } from './column.js';
import { LEAST_WALL } from './knuckles.js';

/** A vehicle that makes one part, with its pieces in the frame. */
function making(
  kind: string,
  set: string,
  what: MadeId,
  sizes: Record<string, number> = {},
  choices: Record<string, string> = {},
) {
  const document = made(kind, set);
  const stance = stanceMade(document);
  const usual = steeringOf(document, stance);
  if (!usual?.ok) throw new Error(JSON.stringify(usual));
  const { linkage, held, built } = usual.steering;
  const begun = {
    ...document,
    steering: { linkage, held, made: [{ what, sizes, choices, found: {} }] },
  } as BuildDocument;
  const parted = withSteeringParts(begun, stance, usual.steering);
  const plan = planMade(parted);
  const piece = (id: string) => plan.frame.pieces.find((each) => each.id === id)!;
  const cut = (id: string) => plan.cuts.find((each) => each.piece === id)!;
  return { begun, parted, plan, stance, built, piece, cut, result: plan.made[0]!.result };
}
/** Sets of two steered wheels. */
const TWO = [
  ['kart', 'kart'],
  ['kart', 'ladder'],
  ['tadpole-trike', 'tadpole'],
  ['buggy', 'buggy'],
] as const;
const STEEL = 7850e-9;

describe('kingpins, bosses and stub axles', () => {
  it.each(TWO)('%s %s: stand where the wheel turns and runs, both sides, and can be kept', (kind, set) => {
    const { parted, plan, stance, piece } = making(kind, set, 'knuckles');
    expect(readDocument(JSON.parse(JSON.stringify(parted)))).toMatchObject({ ok: true });
    expect(plan.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    for (const wheel of stance.steered) {
      const side = wheel.centre[1] > 0 ? 'left' : 'right';
      const [pin, boss, stub] = ['kingpin', 'boss', 'stub'].map((id) => piece(`steering-${id}:${side}`));
      for (const along of [pin!, boss!]) {
        expect(Math.abs(dot(along.direction, wheel.axis))).toBeCloseTo(1, 6);
        const off = subtract(along.start, wheel.axisPoint);
        expect(length(off) - Math.abs(dot(off, wheel.axis))).toBeLessThan(0.01);
      }
      expect(distance(stub!.start, wheel.axisPoint)).toBeLessThan(0.01);
      const spindle = unit(subtract(wheel.centre, wheel.axisPoint));
      expect(dot(stub!.direction, spindle)).toBeCloseTo(1, 6);
    }
  });
  it('are as long as their table says: opening, ears, washers, hub and nuts', () => {
    const sizes = { kingpin: 14, opening: 70, ears: 6, washers: 4, hub: 80, stub: 20, boss: 32 };
    const { piece, cut, stance } = making('kart', 'ladder', 'knuckles', sizes);
    expect(piece('steering-kingpin:left').length).toBeCloseTo(70 + 2 * 6 + 1.4 * 14, 2);
    expect(cut('steering-boss:left').overall).toBeCloseTo(70 - 4, 2);
    expect(piece('steering-stub:left').length).toBeCloseTo(stance.values.spindleLength! + 40 + 1.2 * 20, 2);
    // The kingpin is bought: it is not sawn.
    expect(cut('steering-kingpin:left')).toBeUndefined();
    // A bush of 2 mm all round stands between pin and boss.
    expect(piece('steering-boss:left').section).toMatchObject({ diameter: 32, wall: (32 - 14 - 4) / 2 });
  });
  it('a stub axle is coped to its boss: its heel and throat by hand, and its metal', () => {
    const { cut, piece, plan } = making('kart', 'ladder', 'knuckles', { stub: 16, boss: 30 });
    const { ends, mass } = cut('steering-stub:left');
    const [root] = ends;
    const { section } = piece('steering-stub:left');
    expect(isBar(section)).toBe(true);
    // Square to the kingpin but for its lean: a line at the bar's side ends at sqrt(15² - 8²), one at its middle at 15.
    const sine = Math.sin((root.includedAngle * Math.PI) / 180);
    expect(root.edge.outer[90]).toBeCloseTo(-Math.sqrt(15 ** 2 - 8 ** 2) / sine, 3);
    expect(root.edge.inner[0]).toBeCloseTo(-15 / sine, 3);
    const weight = plan.weights.find(({ id }) => id === 'steering-stub:left')!;
    expect(weight.mass).toBeCloseTo(mass, 9);
    const solid = pieceMesh(piece('steering-stub:left'), cut('steering-stub:left'), 2);
    expect((meshVolume(solid) * STEEL) / mass).toBeCloseTo(1, 2);
  });
  it('a boss is thin just under 3 mm round its bore, and no boss without any', () => {
    const told = (boss: number) =>
      making('kart', 'ladder', 'knuckles', { kingpin: 12, boss }).result.findings.map(
        ({ code, severity }) => `${code} ${severity}`,
      );
    const limit = 12 + 4 + 2 * LEAST_WALL;
    expect(told(limit)).toEqual([]);
    expect(told(limit - 0.1)).toEqual(['boss-thin look']);
    expect(told(15.9)).toEqual(['boss-thin stop']);
  });
  it('a wheel that turns about its own middle has a kingpin and no stub axle beside it', () => {
    const { begun, stance } = making('kart', 'ladder', 'knuckles', { boss: 90 });
    expect(stance.values.spindleLength).toBe(90);
    const result = steeringOf(begun, stance)!;
    if (!result.ok) throw new Error('refused');
    const ids = withSteeringParts(begun, stance, result.steering).frame.members.map(({ id }) => id);
    expect(ids).toContain('steering-kingpin');
    expect(ids).not.toContain('steering-stub');
  });
});

describe('a collar', () => {
  it.each([
    ['kart', 'ladder'],
    ['buggy', 'buggy'],
  ])('%s %s: stands on the column, as high and as long as it is said to be', (kind, set) => {
    const { piece, parted, built } = making(kind, set, 'collar', { along: 60, length: 90, outer: 50 });
    expect(readDocument(JSON.parse(JSON.stringify(parted)))).toMatchObject({ ok: true });
    const [top, foot] = columnEnds(built)!;
    const collar = piece('steering-collar');
    expect(distance(collar.start, foot)).toBeCloseTo(60, 2);
    expect(collar.length).toBeCloseTo(90, 2);
    expect(dot(collar.direction, unit(subtract(top, foot)))).toBeCloseTo(1, 6);
    // The bearing's bore and what the steerer needs round it.
    expect(collar.section).toMatchObject({ diameter: 50, wall: (50 - 25 - 4) / 2 });
    // A tube 90 long, less a ring at either end, 12 deep, from the bore out to the bearing of 42: steel of 7.85 g/cm3.
    const rings = (Math.PI / 4) * (90 * (50 ** 2 - 29 ** 2) - 2 * 12 * (42 ** 2 - 29 ** 2));
    const weighed = planMade(parted).weights.find(({ id }) => id === 'steering-collar')!;
    expect(weighed.mass).toBeCloseTo(rings * 7.85e-6, 4);
  });
  it.each([
    ['bicycle', 'road'],
    ['motorcycle', 'sport'],
  ])(
    '%s %s: in place of the head tube the tubes are cut to fit it, and it follows its sizes',
    (kind, set) => {
      const { begun, plan, result } = making(kind, set, 'collar', { outer: 60 });
      const headTube = result.headTube!;
      const own = withCollar(begun, headTube);
      expect(readDocument(JSON.parse(JSON.stringify(own)))).toMatchObject({ ok: true });
      const hosted = (of: typeof plan) =>
        of.cuts.flatMap(({ ends }) =>
          ends.filter(({ hosts }) =>
            hosts.includes(plan.frame.pieces.find(({ id }) => id === HEAD_TUBE)!.mark),
          ),
        );
      const now = planMade(own);
      expect(hosted(now).length).toBeGreaterThan(0);
      for (const end of hosted(now)) expect(end.cutterDiameter).toBe(60);
      // Its recesses are off its weight; those of a collar that stands beside a bought head tube are not.
      const recess = result.recesses!.volume * 7.85e-6;
      expect(recess).toBeGreaterThan(0.05);
      const massOf = (of: typeof plan) => of.weights.find(({ id }) => id === HEAD_TUBE)!.mass;
      const bare = now.cuts.concat(now.given).find(({ piece }) => piece === HEAD_TUBE)!.mass;
      expect(massOf(now)).toBeCloseTo(bare - recess, 6);
      expect(massOf(plan)).toBeCloseTo(
        plan.cuts.concat(plan.given).find(({ piece }) => piece === HEAD_TUBE)!.mass,
        6,
      );
      const wider = making(kind, set, 'collar', { outer: 64 }).plan.made;
      const followed = collarFollowing(own, wider);
      const section = followed.frame.members.find(({ id }) => id === HEAD_TUBE)!.section;
      expect(followed.frame.sections.find(({ id }) => id === section)).toMatchObject({ diameter: 64 });
      // A bought one is left alone.
      expect(collarFollowing(begun, wider)).toBe(begun);
    },
  );
});

describe('a column’s rest', () => {
  const plates = (sizes: Record<string, number>) => making('kart', 'ladder', 'column', sizes).result.outlines;
  it('its plate has the slot on that arc, a bolt wide, its hinge, and metal round both', () => {
    const [plate] = plates({ restRadius: 200, restLow: 30, restHigh: 45 });
    const [slot] = plate!.cutouts!;
    for (const [x, y] of slot!) {
      const [at, angle] = [Math.hypot(x, y), (Math.atan2(y, x) * 180) / Math.PI];
      expect(at).toBeGreaterThan(200 - REST.slot / 2 - 0.1);
      expect(at).toBeLessThan(200 + REST.slot / 2 + 0.1);
      // Its round ends go on past both angles by half a bolt.
      const past = (Math.asin(REST.slot / 2 / 200) * 180) / Math.PI + 0.05;
      expect(angle).toBeGreaterThan(30 - past);
      expect(angle).toBeLessThan(45 + past);
    }
    // Area of a band with two round ends: width times arc, and a circle.
    const area = Math.abs(
      slot!.reduce((sum, [x, y], index) => {
        const [nx, ny] = slot![(index + 1) % slot!.length]!;
        return sum + (x * ny - nx * y) / 2;
      }, 0),
    );
    const expected = REST.slot * 200 * (Math.PI / 12) + (Math.PI * REST.slot ** 2) / 4;
    expect(Math.abs(area / expected - 1)).toBeLessThan(0.01);
    expect(plateFault(plate!.outline)).toBeUndefined();
    expect(plate!.holes).toEqual([{ at: [0, 0], diameter: REST.hinge, name: 'hinge' }]);
    // A slot that leaves less metal to the hinge than outside of it is none.
    const least = REST.hinge / 2 + REST.metal + REST.slot / 2;
    expect(plates({ restRadius: least, restLow: 30, restHigh: 45 })).toHaveLength(1);
    expect(plates({ restRadius: least - 0.1, restLow: 30, restHigh: 45 })).toEqual([]);
    for (const none of [{ restRadius: 0 }, { restLow: 45, restHigh: 45 }])
      expect(plates({ restRadius: 200, restLow: 30, restHigh: 45, ...none })).toEqual([]);
  });
});

describe('a solid bar', () => {
  const bar: Section = { ...round(20), wall: 10 };
  it('has the area and the second moment of a circle', () => {
    expect(propertiesOf(bar).area).toBeCloseTo((Math.PI / 4) * 400, 9);
    expect(propertiesOf(bar).upright).toBeCloseTo((Math.PI / 64) * 160000, 6);
  });
  const kept = (section: Section) =>
    readDocument(
      JSON.parse(
        JSON.stringify(
          framed([
            {
              id: 'bar',
              corners: [
                [0, 0, 500],
                [200, 0, 500],
              ],
              section,
            },
          ]),
        ),
      ),
    );
  it('may be kept; a wall of more than half may not, nor a solid one that tapers or is butted', () => {
    expect(kept(bar)).toMatchObject({ ok: true });
    const refused = (section: Section) => {
      const read = kept(section);
      return read.ok ? [] : read.faults.map(({ message }) => message);
    };
    expect(refused({ ...bar, wall: 10.1 } as Section)).toEqual(['Twice the wall leaves no bore.']);
    expect(refused({ ...bar, taper: { diameter: 18, length: 50 } } as Section)).toEqual([
      'Twice the wall leaves no bore.',
    ]);
  });
  it('as a mesh it has no inside, and the metal of a cylinder', () => {
    const plan = planMade(
      framed([
        {
          id: 'bar',
          corners: [
            [0, 0, 500],
            [200, 0, 500],
          ],
          section: bar,
        },
      ]),
    );
    const [piece, cut] = [plan.frame.pieces[0]!, plan.cuts[0]!];
    const volume = meshVolume(pieceMesh(piece, cut, 1));
    expect(volume / (Math.PI * 100 * 200)).toBeCloseTo(1, 3);
    expect(volume).toBeCloseTo(meshVolume(pieceMesh(piece, cut, 1)), 9);
  });
});
