import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Hole, Section } from '@larchwood/format';
import { made, planMade } from '../../../../testing/made.js';
import { framed, round } from '../../../../testing/rods.js';
import type { Finding } from '../findings/finding.js';
import { boresOf, faceWords, flatFaces, HOLES, usualHole, webOf, type Bore } from './holes.js';

/** 60 wide lying, 40 high, its corners 6 outside. */
const BOX: Section = {
  ...{ id: 'box', name: 'box', shape: 'rectangular' },
  ...{ width: 60, height: 40, wall: 3, corner: 6 },
};
const PLAIN: Hole = {
  id: 'a',
  name: 'A',
  use: 'other',
  from: 'start',
  distance: 300,
  face: 0,
  off: 0,
  diameter: 8,
};
const hole = (part: Partial<Hole> = {}): Hole => ({ ...PLAIN, ...part });

/** A tube of a metre with these holes, lying along the vehicle; with a twin where it stands off the middle. */
function tube(holes: readonly Hole[], section: Section = BOX, y = 0) {
  const corners = [
    [0, y, 500],
    [1000, y, 500],
  ] as const;
  const plan = planMade(
    framed([{ id: 'tube', corners, section, mirrored: y !== 0, more: { holes: [...holes] } }]),
  );
  const piece = plan.frame.pieces[0]!;
  const cut = plan.cuts[0]!;
  const told = plan.holes.flatMap(({ findings }) => findings);
  return { plan, piece, cut, bores: boresOf(piece, cut), told };
}
const codes = (told: readonly Finding[]) => told.map(({ code }) => code);
const only = (told: readonly Finding[]) => {
  expect(told).toHaveLength(1);
  return told[0]!.values as Readonly<Record<string, number | string>>;
};
const BOLTS = { count: 4, diameter: 50, hole: 6, first: 30 };

describe('where a hole is marked', () => {
  it('on square stock: along the outside, flat by flat and round its corners', () => {
    // By hand: half the top, a quarter circle, half the side.
    const [flatTop, flatSide, arc] = [60 / 2 - 6, 40 / 2 - 6, (Math.PI / 2) * 6];
    const girth = 2 * (60 + 40) - 8 * 6 + 2 * Math.PI * 6;
    const at = (face: number, off = 0) => tube([hole({ face, off })]).bores[0]!;
    const quarter = flatTop + arc + flatSide;
    for (const [face, middle] of [
      [0, 0],
      [90, quarter],
      [180, girth / 2],
      [270, girth - quarter],
    ] as const) {
      expect(at(face).round).toBeCloseTo(middle, 3);
      expect(at(face, 4).round).toBeCloseTo(middle + 4, 3);
      // Square stock has four faces: what is a little askew is on the nearest.
      expect(at(face === 0 ? 10 : face - 10).round).toBeCloseTo(middle, 3);
    }
    expect(at(0).girth).toBeCloseTo(girth, 3);
    const faces = flatFaces(tube([]).piece);
    expect(faces.map(({ face, middle }) => [face, middle])).toEqual([
      [0, expect.closeTo(0, 3)],
      [90, expect.closeTo(quarter, 3)],
      [180, expect.closeTo(girth / 2, 3)],
      [270, expect.closeTo(girth - quarter, 3)],
    ]);
    faces.forEach(({ to }, index) => {
      const next = faces[(index + 1) % 4]!;
      expect(to).toBeCloseTo(index === 3 ? next.from + girth : next.from, 6);
    });
    expect(faces[0]!.to - faces[0]!.from).toBeGreaterThan(faces[1]!.to - faces[1]!.from);
  });
  it('on a round tube: its share of the girth, at any degree', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 35_999 }), (hundredths) => {
        const [bore] = tube([hole({ face: hundredths / 100 })], round(40, 2)).bores;
        expect(bore!.girth).toBeCloseTo(Math.PI * 40, 6);
        expect(bore!.round / bore!.girth).toBeCloseTo(hundredths / 36_000, 5);
      }),
      { numRuns: 40 },
    ));
  it('off the middle of a round tube: R asin(off / R) round from the top, and the gap between two follows from it', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: -17, max: 17, noNaN: true }),
        (face, off) => {
          const { bores } = tube([hole({ face, off }), hole({ id: 'other', face })], round(40, 2));
          const [bore, other] = bores;
          const way = (Math.PI * 40 * face) / 360 + 20 * Math.asin(off / 20);
          expect(bore!.round).toBeCloseTo(way, 2);
          expect(bore!.round - other!.round).toBeCloseTo(20 * Math.asin(off / 20), 2);
        },
      ),
      { numRuns: 60 },
    ));
  it('off the middle of an oval: the way along its ellipse to where the drill meets it, by adding up', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(0, 30, 90, 200, 270),
        fc.double({ min: -7, max: 7, noNaN: true }),
        (face, off) => {
          const [height, width] = [40, 24];
          const section = { id: 'o', name: 'o', shape: 'oval', width, height, wall: 1 } as const;
          const [bore] = tube([hole({ face, off })], section).bores;
          // Walk round from the top in steps of a hundredth of a degree, to the place nearest to the drill's line.
          const turned = (face * Math.PI) / 180;
          let [way, best, found] = [0, Infinity, 0];
          for (let step = 0; step < 36_000; step += 1) {
            const t = (step / 36_000) * 2 * Math.PI;
            const [u, v] = [(height / 2) * Math.cos(t), (width / 2) * Math.sin(t)];
            const beside = Math.abs(-u * Math.sin(turned) + v * Math.cos(turned) - off);
            const out = u * Math.cos(turned) + v * Math.sin(turned);
            if (out > 0 && beside < best) [best, found] = [beside, way];
            way +=
              Math.hypot((height / 2) * Math.sin(t), (width / 2) * Math.cos(t)) * ((2 * Math.PI) / 36_000);
          }
          const apart = Math.abs(bore!.round - found) % way;
          expect(Math.min(apart, way - apart)).toBeLessThan(0.03);
        },
      ),
      { numRuns: 30 },
    ));
  it('in the far wall it lies across, to the same side of the tube, as large as it is told to be', () => {
    const { bores } = tube([hole({ face: 90, off: 5, diameter: 10, slot: 26, far: 14 })]);
    expect(bores).toMatchObject([
      { wall: 'near', face: 90, off: 5, diameter: 10, long: 26 },
      { wall: 'far', face: 270, off: -5, diameter: 14, long: 30 },
    ]);
    // A slot that is shorter than the other wall's hole is wide is a round hole there.
    expect(tube([hole({ diameter: 10, slot: 12, far: 30 })]).bores[1]).toMatchObject({ long: 32 });
    expect(tube([hole({ diameter: 30, slot: 31, far: 10 })]).bores[1]).toMatchObject({
      diameter: 10,
      long: 11,
    });
    expect(tube([hole({ diameter: 10, slot: 12 })]).bores).toHaveLength(1);
  });
  it('bolts stand about it on their circle, the first where it is told, on from the end to the off side', () => {
    const { bores } = tube([hole({ face: 90, off: 1, diameter: 30, circle: BOLTS })]);
    const [middle, ...bolts] = bores;
    expect(bolts.map(({ name }) => name)).toEqual([1, 2, 3, 4].map((at) => `A, bolt ${at}`));
    bolts.forEach((each, index) => {
      const turn = ((30 + 90 * index) * Math.PI) / 180;
      expect(each.fromStart - middle!.fromStart).toBeCloseTo(25 * Math.cos(turn), 9);
      expect(each.off - middle!.off).toBeCloseTo(25 * Math.sin(turn), 9);
      expect(each).toMatchObject({ diameter: 6, long: 6, wall: 'near' });
      expect(each.fromStart + each.fromEnd).toBeCloseTo(1000, 6);
    });
    // Through both walls each bolt has its own hole in the far one, as wide.
    const through = tube([hole({ face: 90, diameter: 30, far: 20, circle: BOLTS })]).bores;
    expect(through.map(({ wall, diameter }) => [wall, diameter])).toEqual([
      ['near', 30],
      ['far', 20],
      ...BOLTS_BOTH,
    ]);
    for (const near of through.filter(({ wall }) => wall === 'near')) {
      const far = through.find((each) => each.wall === 'far' && each.name === near.name)!;
      expect([far.fromStart, far.off]).toEqual([near.fromStart, near.off === 0 ? -0 : -near.off]);
    }
  });
  it('a right twin is the mirror: its faces and offsets the other way round', () => {
    const { plan } = tube([hole({ face: 90, off: 5, circle: BOLTS })], BOX, 200);
    const [left, right] = plan.holes.map(({ bores }) => bores);
    left!.forEach((bore, index) => {
      const twin = right![index]!;
      expect(twin.face).toBeCloseTo(360 - bore.face, 9);
      expect(twin.off).toBeCloseTo(-bore.off, 9);
      expect(twin.fromStart).toBeCloseTo(bore.fromStart, 9);
      expect(twin.round + bore.round).toBeCloseTo(bore.girth, 6);
    });
  });
});
const BOLTS_BOTH = Array.from({ length: BOLTS.count }, () => [
  ['near', BOLTS.hole],
  ['far', BOLTS.hole],
]).flat();

describe('what is told of a hole', () => {
  it('over an end by how much, slots by their length; what is left is what the web is', () => {
    const web = (part: Partial<Hole>) => {
      const { cut, bores } = tube([hole(part)]);
      return webOf(cut, bores, bores[0]!);
    };
    expect(web({ distance: 30, diameter: 10 })).toBeCloseTo(25, 6);
    expect(web({ distance: 960, diameter: 10, slot: 40 })).toBeCloseTo(20, 6);
    expect(tube([hole({ distance: 5, diameter: 10 })]).told).toEqual([]);
    expect(only(tube([hole({ distance: 4.9, diameter: 10 })]).told)).toEqual({
      ...{ mark: '1', hole: 'A' },
      by: expect.closeTo(0.1, 6) as number,
    });
    expect(only(tube([hole({ distance: 999, diameter: 6, slot: 30 })]).told).by).toBeCloseTo(14, 6);
  });
  it('over its face by how much; what of the face is gone', () => {
    // The upper face is flat for 60 less two corners, the side for 40 less two.
    expect(only(tube([hole({ off: 21, diameter: 8 })]).told)).toMatchObject({
      by: expect.closeTo(1, 6) as number,
    });
    expect(codes(tube([hole({ face: 90, off: 10.1, diameter: 8 })]).told)).toEqual(['hole-over-edge']);
    expect(tube([hole({ face: 90, off: 10, diameter: 8 })]).told).toEqual([]);
    expect(only(tube([hole({ face: 90, diameter: 18.2 })]).told)).toMatchObject({
      share: expect.closeTo(18.2 / 28, 6) as number,
    });
    // On a round tube half the diameter to either side; wider than that it is over the edge and no more.
    expect(codes(tube([hole({ diameter: 25 })], round(40, 2)).told)).toEqual(['hole-weakens']);
    expect(codes(tube([hole({ diameter: 41 })], round(40, 2)).told)).toEqual(['hole-over-edge']);
  });
  it('into another: by what is left between, along and across, slots by their ends', () => {
    const left = (part: Partial<Hole>, first: Partial<Hole> = {}) => {
      const { cut, bores } = tube([hole(first), hole({ id: 'b', name: 'B', ...part })]);
      return webOf(cut, bores, bores[0]!);
    };
    expect(left({ distance: 320 })).toBeCloseTo(12, 6);
    expect(left({ distance: 312, off: 5 })).toBeCloseTo(13 - 8, 6);
    expect(left({ distance: 340, slot: 28 })).toBeCloseTo(40 - 10 - 8, 6);
    expect(left({ distance: 340, slot: 28 }, { slot: 18 })).toBeCloseTo(40 - 10 - 5 - 8, 6);
    // Side by side within a slot's length, what is across counts alone.
    expect(left({ distance: 305, off: 12, slot: 40 })).toBeCloseTo(12 - 8, 6);
    const near = 8 + HOLES.between;
    expect(tube([hole(), hole({ id: 'b', name: 'B', distance: 300 + near + 0.01 })]).told).toEqual([]);
    expect(only(tube([hole(), hole({ id: 'b', name: 'B', distance: 300 + near - 0.01 })]).told)).toEqual({
      ...{ mark: '1', hole: 'A', other: 'B' },
      left: expect.closeTo(HOLES.between - 0.01, 6) as number,
    });
  });
  it('into one that comes from the other side, or from just past the top of a round tube', () => {
    // Drilled through from above, and from below at the same place.
    const below = hole({ id: 'b', name: 'B', face: 180, distance: 305 });
    expect(tube([hole(), below]).told).toEqual([]);
    expect(codes(tube([hole({ far: 8 }), below]).told)).toEqual(['holes-meet']);
    const either = [hole({ face: 350 }), hole({ id: 'b', name: 'B', face: 10 })];
    expect(only(tube(either, round(40, 2)).told)).toMatchObject({
      left: expect.closeTo((Math.PI * 40 * 20) / 360 - 8, 6) as number,
    });
    expect(only(tube([...either].reverse(), round(40, 2)).told)).toMatchObject({ hole: 'B', other: 'A' });
    // A hole and its own other wall are one hole, however small the tube; a bolt and its middle are two.
    expect(codes(tube([hole({ diameter: 24, far: 24 })], round(16, 1)).told)).toEqual(['hole-over-edge']);
    const flange = { count: 2, diameter: 30, hole: 8, first: 0 };
    expect(codes(tube([hole({ diameter: 20, circle: flange })]).told)).toEqual(['holes-meet']);
    expect(tube([hole({ diameter: 17, circle: flange })]).told).toEqual([]);
  });
  it('over an end that is coped: from its deepest point, at either end', () => {
    const road = made('bicycle', 'road');
    const member = road.frame.members.find(({ name }) => name === 'Top tube')!;
    const { ends, overall } = planMade(road).cuts.find(({ piece }) => piece === member.id)!;
    const told = (part: Partial<Hole>) => {
      const members = road.frame.members.map((each) =>
        each.id === member.id ? { ...each, holes: [hole({ diameter: 4, ...part })] } : each,
      );
      return planMade({ ...road, frame: { ...road.frame, members } }).findings.flatMap(({ code, values }) =>
        code === 'hole-over-end' ? [(values as { readonly by: number }).by] : [],
      );
    };
    (['start', 'end'] as const).forEach((from, index) => {
      const { longest, shortest } = ends[index]!.edge;
      const depth = longest.at - shortest.at;
      expect(depth).toBeGreaterThan(3);
      expect(told({ from, distance: depth + 2.01 })).toEqual([]);
      expect(told({ from, distance: depth + 1.9 })).toEqual([expect.closeTo(0.1, 6)]);
      expect(told({ from, distance: overall / 2 })).toEqual([]);
    });
  });
  it('of both walls and both twins once', () => {
    const through = hole({ distance: 2, diameter: 10, far: 10 });
    expect(codes(tube([through], BOX, 200).told)).toEqual(['hole-over-end']);
    expect(codes(tube([through, { ...through, id: 'b', name: 'B', distance: 998 }], BOX, 200).told)).toEqual([
      'hole-over-end',
      'hole-over-end',
    ]);
  });
  it('slots and sleeves with the sizes that do not go together', () => {
    expect(only(tube([hole({ diameter: 10, slot: 30, axle: 10.2 })]).told)).toEqual({
      ...{ mark: '1', hole: 'A', slot: 10, axle: 10.2 },
    });
    expect(only(tube([hole({ diameter: 8, far: 12, sleeve: 12.5 })]).told)).toEqual({
      ...{ mark: '1', hole: 'A', sleeve: 12.5, hole2: 12 },
    });
    expect(only(tube([hole({ diameter: 8, sleeve: 8.5 })]).told)).toMatchObject({ hole2: 8 });
    expect(tube([hole({ diameter: 8, far: 8, axle: 8, sleeve: 8 })]).told).toEqual([]);
  });
});

describe('words and usual sizes', () => {
  it('a face is told by the way it looks, on the middle by left and right', () => {
    const looks = (y: number, side: 0 | 1 = 0) => {
      const { plan } = tube([], BOX, y);
      return [0, 90, 180, 270].map((face) => faceWords(plan.frame.pieces[side]!, face)).sort();
    };
    expect(looks(0)).toEqual(['down', 'left', 'right', 'up']);
    expect(looks(200)).toEqual(['down', 'inside', 'outside', 'up']);
    const upright = planMade(
      framed([
        {
          id: 'post',
          corners: [
            [0, 0, 0],
            [0, 0, 600],
          ],
          section: BOX,
        },
      ]),
    ).frame.pieces[0]!;
    expect([0, 90, 180, 270].map((face) => faceWords(upright, face)).sort()).toEqual([
      ...['back', 'forward', 'left', 'right'],
    ]);
  });
  it.each(['bearing', 'bolt', 'cable', 'axle', 'vent', 'plug', 'other'] as const)(
    'a %s begins in the middle, whole, and with nothing to tell on stock that takes it',
    (use) => {
      const usual = usualHole(use, 'x', 1000.4);
      expect(usual).toMatchObject({ id: 'x', use, from: 'start', distance: 500, face: 0, off: 0 });
      const wide: Section = { ...BOX, width: 160, height: 160 } as Section;
      const { told, bores } = tube([usual], wide);
      expect(told).toEqual([]);
      expect(bores.every(({ diameter, long }: Bore) => diameter > 0 && long >= diameter)).toBe(true);
      expect(usual.name).not.toBe('');
    },
  );
});
