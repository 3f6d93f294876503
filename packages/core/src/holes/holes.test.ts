import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BuildDocument, Hole, Section } from '@larchwood/format';
import { made, planMade } from '../../../../testing/made.js';
import { carried, pointOn } from '../frame/path.js';
import type { Piece } from '../frame/frame.js';
import { sizeAt } from '../frame/sections.js';
import type { PieceCut } from '../joints/cut.js';
import {
  along,
  cross,
  distance,
  dot,
  length,
  mirror,
  scale,
  subtract,
  turn,
  unit,
  type Vector,
} from '../vector/vector.js';
import { without } from '../without.js';
import { AXLE, boresOf, faceWords, flatFaces, HOLES, roomBetween, usualHole, type Bore } from './holes.js';

const ladder = made('kart', 'ladder');
/** Half of a rail that is wide upright: as its faces look to the sides. */
const halfOf = ({ section, length: long }: Piece): number => {
  const { width, height } = sizeAt(section, long, 0);
  return Math.min(width, height) / 2;
};
const rail = ladder.frame.members.find(({ name, mirrored }) => mirrored && /rail/i.test(name))!;
const drilled = (holes: readonly Hole[], document: BuildDocument = ladder, member = rail.id) =>
  planMade({
    ...document,
    frame: {
      ...document.frame,
      members: document.frame.members.map((each) =>
        each.id === member ? { ...each, holes: [...holes] } : each,
      ),
    },
  });
const bolt = (part: Partial<Hole> = {}): Hole => ({
  ...usualHole('bolt', 'a', 1000),
  distance: 400,
  ...part,
});
const both = (holes: readonly Hole[]) => {
  const plan = drilled(holes);
  return (['left', 'right'] as const).map((side) => {
    const piece = plan.frame.pieces.find(({ id }) => id === `${rail.id}:${side}`)!;
    const cut = plan.cuts.find((each) => each.piece === piece.id)!;
    return { piece, cut, bores: boresOf(piece, cut) };
  });
};
const codes = (holes: readonly Hole[]) =>
  drilled(holes)
    .findings.filter(({ where }) => where.station === 'cuts')
    .map(({ code }) => code);

/** Middle of a hole on the outside of its wall, and the way that it is drilled: from the mark alone, as one finds it. */
function boreIn(piece: Piece, cut: PieceCut, { fromStart, face, off }: Bore): { at: Vector; into: Vector } {
  const [start] = cut.ends;
  const station = start.station - start.edge.longest.at + fromStart;
  const { at, direction } = pointOn(piece.path, station);
  const outward = turn(carried(piece.path, piece.top, station), direction, face);
  const { section } = piece;
  // Off the middle of a round tube the wall falls away.
  const out =
    section.shape === 'round'
      ? Math.sqrt((section.diameter / 2) ** 2 - off ** 2)
      : (face % 180 === 0 ? section.height : section.width) / 2;
  return { at: along(along(at, outward, out), cross(direction, outward), off), into: scale(outward, -1) };
}

describe('a hole', () => {
  it('goes square through: both walls on one line across the tube, as far from the start', () => {
    for (const face of [0, 90, 180, 270])
      for (const { piece, cut, bores } of both([bolt({ face, off: 4 })])) {
        const [near, far] = bores as [Bore, Bore];
        const [a, b] = [boreIn(piece, cut, near), boreIn(piece, cut, far)];
        const way = subtract(b.at, a.at);
        expect(length(cross(unit(way), a.into))).toBeLessThan(1e-9);
        expect(dot(a.into, b.into)).toBeCloseTo(-1, 9);
        expect(near.fromStart).toBeCloseTo(far.fromStart, 9);
        // 25 x 75 stock: through its height from the top, through its width from the side.
        const { section } = piece;
        if (section.shape !== 'rectangular') throw new Error('square stock');
        expect(length(way)).toBeCloseTo(face % 180 === 0 ? section.height : section.width, 6);
      }
  });
  it('of a pair is in line with the same hole in the twin: one drill goes through both', () => {
    const [left, right] = both([bolt({ face: 90, off: 5 })]) as [
      ReturnType<typeof both>[0],
      ReturnType<typeof both>[0],
    ];
    left.bores.forEach((bore, index) => {
      const [a, b] = [
        boreIn(left.piece, left.cut, bore),
        boreIn(right.piece, right.cut, right.bores[index]!),
      ];
      expect(distance(mirror(a.at), b.at)).toBeLessThan(1e-6);
      expect(distance(mirror(a.into), b.into)).toBeLessThan(1e-9);
    });
  });
  it('is measured from either end of what is cut, or from its middle', () => {
    const at = (part: Partial<Hole>) => both([bolt(part)])[0]!;
    const { cut, bores } = at({ from: 'end', distance: 120 });
    expect(bores[0]!.fromEnd).toBeCloseTo(120, 9);
    expect(bores[0]!.fromStart).toBeCloseTo(cut.overall - 120, 9);
    expect(at({ from: 'middle', distance: -30 }).bores[0]!.fromStart).toBeCloseTo(cut.overall / 2 - 30, 9);
    const { piece } = at({});
    const start = boreIn(piece, cut, at({ from: 'start', distance: 0 }).bores[0]!);
    const end = boreIn(piece, cut, at({ from: 'end', distance: 0 }).bores[0]!);
    expect(distance(start.at, end.at)).toBeCloseTo(cut.overall, 6);
  });
  it('has bolts about it on a circle: a bearing of a one-inch axle, 2 3/8 in outside and 1 1/2 in inside (practice)', () => {
    const [{ bores }] = both([{ ...usualHole('bearing', 'b', 1000), distance: 500, face: 90 }]) as [
      ReturnType<typeof both>[0],
    ];
    expect(bores.slice(0, 2).map(({ diameter }) => diameter)).toEqual([60.3, 38.1]);
    const bolts = bores.filter(({ name, wall }) => /bolt/.test(name) && wall === 'near');
    expect(bolts).toHaveLength(2);
    for (const each of bolts)
      expect(Math.hypot(each.fromStart - 500, each.round - bores[0]!.round)).toBeCloseTo(99 / 2, 9);
  });
  it('on a round tube is found by a strip round it: a quarter round is a quarter of its girth', () => {
    const road = made('bicycle', 'road');
    const top = road.frame.members.find(({ name }) => name === 'Top tube')!;
    const plan = drilled([bolt({ face: 90, distance: 200 })], road, top.id);
    const piece = plan.holes.find(({ piece: id }) => id === top.id)!;
    expect(piece.bores[0]!.round).toBeCloseTo(piece.girth / 4, 9);
    expect(piece.bores[1]!.round).toBeCloseTo((piece.girth * 3) / 4, 9);
    const section = plan.frame.pieces.find(({ id }) => id === top.id)!;
    for (const bore of piece.bores) {
      const { at } = boreIn(
        section,
        plan.cuts.find((cut) => cut.piece === top.id)!,
        bore,
      );
      const radius = length(cross(subtract(at, section.start), section.direction));
      expect(radius).toBeCloseTo(section.section.shape === 'round' ? section.section.diameter / 2 : 0, 6);
    }
  });
  it('wherever it is put nothing throws and every number is one', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('bearing', 'bolt', 'cable', 'axle', 'vent', 'other'),
        fc.double({ min: -10000, max: 20000, noNaN: true }),
        fc.double({ min: -360, max: 360, noNaN: true }),
        fc.double({ min: -150, max: 150, noNaN: true }),
        (use, along, face, off) => {
          for (const { bores } of both([{ ...usualHole(use, 'x', 1000), distance: along, face, off }]))
            for (const bore of bores)
              for (const value of [bore.fromStart, bore.fromEnd, bore.face, bore.round, bore.long])
                expect(Number.isFinite(value)).toBe(true);
        },
      ),
      { numRuns: 25 },
    );
  });
});

it('on an oval tube the way round is that of its ellipse; on a tapered one that of its size where the hole is', () => {
  const road = made('bicycle', 'road');
  const top = road.frame.members.find(({ name }) => name === 'Top tube')!;
  const [hole] = [bolt({ face: 90, distance: 200 })];
  const onTube = (section: Section) => {
    const frame = { ...road.frame, sections: [...road.frame.sections, section] };
    const members = frame.members.map((each) =>
      each.id === top.id ? { ...each, section: section.id, holes: [hole] } : each,
    );
    const plan = planMade({ ...road, frame: { ...frame, members } });
    return plan.holes.find(({ piece }) => piece === top.id)!;
  };
  const oval = onTube({ id: 'oval', name: 'oval', shape: 'oval', width: 20, height: 40, wall: 1 });
  // A quarter of the ellipse by adding up its arc, in steps of a thousandth of a degree.
  let quarter = 0;
  for (let step = 0; step < 90_000; step += 1) {
    const t = ((step + 0.5) / 90_000) * (Math.PI / 2);
    quarter += Math.hypot(10 * Math.cos(t), 20 * Math.sin(t)) * (Math.PI / 2 / 90_000);
  }
  expect(oval.bores[0]!.round).toBeCloseTo(quarter, 2);
  expect(oval.bores[0]!.girth).toBeCloseTo(4 * quarter, 2);
  const taper = { diameter: 20, length: 5000 };
  const tapered = onTube({ id: 'taper', name: 'taper', shape: 'round', diameter: 30, wall: 1, taper });
  const [near] = tapered.bores;
  expect(near!.girth).toBeLessThan(Math.PI * 30);
  expect(near!.round).toBeCloseTo(near!.girth / 4, 6);
});

it('laid flat, faces follow each other round the tube, as wide as they are', () => {
  const [{ piece }] = both([bolt()]) as [ReturnType<typeof both>[0]];
  const faces = flatFaces(piece);
  faces.forEach(({ from, to }, index) => {
    const next = faces[index + 1];
    if (next) expect(next.from).toBeCloseTo(to, 9);
    // 25 x 75, less what the corners cut off its girth.
    expect(to - from).toBeGreaterThan((index % 2 === 0 ? 25 : 75) * 0.95);
    expect(to - from).toBeLessThan(index % 2 === 0 ? 25 : 75);
  });
});

describe('what is told of holes, just inside and just outside', () => {
  // The face of 75 is flat for 75 less two corners of 3.2; its middle is the rail’s own.
  const wide = (diameter: number, off = 0) => codes([without(bolt({ face: 90, diameter, off }), 'far')]);
  it('over the end', () => {
    const { cut } = both([])[0]!;
    const [start] = cut.ends;
    const deep = start.edge.longest.at - start.edge.shortest.at;
    expect(codes([bolt({ face: 90, distance: deep + 4.1 })])).toEqual([]);
    expect(codes([bolt({ face: 90, distance: deep + 3.9 })])).toContain('hole-over-end');
    expect(codes([bolt({ face: 90, from: 'end', distance: -3 })])).toContain('hole-over-end');
  });
  it('over the edge of its face, and wide for it', () => {
    const flat = 75 / 2 - 3.2;
    expect(wide(10, flat - 5.1)).toEqual([]);
    expect(wide(10, flat - 4.9)).toEqual(['hole-over-edge']);
    expect(wide(HOLES.share * 2 * flat - 0.1)).toEqual([]);
    expect(wide(HOLES.share * 2 * flat + 0.1)).toEqual(['hole-weakens']);
  });
  it('into each other', () => {
    const two = (apart: number) =>
      codes([bolt({ face: 90 }), bolt({ id: 'b', face: 90, distance: 400 + apart })]);
    expect(two(8 + HOLES.between + 0.1)).toEqual([]);
    expect(two(8 + HOLES.between - 0.1)).toContain('holes-meet');
  });
  it('a slot narrower than its axle, a sleeve thicker than its hole', () => {
    const slot = (axle: number) => codes([bolt({ face: 90, slot: 20, axle })]);
    expect(slot(8)).toEqual([]);
    expect(slot(8.1)).toEqual(['slot-narrow']);
    const sleeve = (outer: number) => codes([bolt({ face: 90, far: 12, sleeve: outer })]);
    expect(sleeve(12)).toEqual([]);
    expect(sleeve(12.1)).toEqual(['sleeve-tight']);
  });
  it('takes its metal off the mass of its tube, and moves the middle away from it', () => {
    const bare = ladder;
    const plan = planMade(bare);
    const weigh = (holes: readonly Hole[]) => {
      const { weights } = planMade({
        ...bare,
        frame: {
          ...bare.frame,
          members: bare.frame.members.map((each) =>
            each.id === rail.id ? { ...each, holes: [...holes] } : each,
          ),
        },
      });
      return weights.find(({ member }) => member === rail.id)!;
    };
    const piece = plan.frame.pieces.find(({ member }) => member.id === rail.id)!;
    const [before, after] = [weigh([]), weigh([bolt({ face: 90, distance: 200, diameter: 40, far: 20 })])];
    // Two discs and a slot of the wall, by hand; mild steel or what the rail is of.
    const disc = (diameter: number) => (Math.PI / 4) * diameter ** 2;
    const { wall } = piece.section;
    const kg = (area: number) => area * wall * piece.density * 1e-9;
    expect(before.mass - after.mass).toBeCloseTo(kg(disc(40) + disc(20)), 9);
    const slot = weigh([without(bolt({ face: 90, distance: 200, diameter: 10, slot: 30 }), 'far')]);
    expect(before.mass - slot.mass).toBeCloseTo(kg(disc(10) + 20 * 10), 9);
    // By moments: what is left balances with what was taken, where it was.
    const { cut } = both([])[0]!;
    const at = pointOn(piece.path, cut.ends[0].station - cut.ends[0].edge.longest.at + 200).at;
    const out = halfOf(piece) - wall / 2;
    const sideways = (kg(disc(40)) - kg(disc(20))) * out;
    expect(before.mass * before.at[0]).toBeCloseTo(
      after.mass * after.at[0] + (before.mass - after.mass) * at[0],
      6,
    );
    expect(
      Math.abs(before.mass * before.at[1] - after.mass * after.at[1] - (before.mass - after.mass) * at[1]),
    ).toBeCloseTo(sideways, 6);
  });
  it('an axle between the two: too long to go in, or short of filling the room', () => {
    const { piece, cut } = both([])[0]!;
    const hole = (between: number) => bolt({ id: 'a', use: 'axle', face: 90, between });
    // Twice the way out to the middle of the rail's inner face, by hand.
    const room = roomBetween(piece, cut, hole(1).distance);
    const rail = piece.start[1];
    expect(room).toBeCloseTo(2 * (rail - halfOf(piece)), 6);
    const told = (short: number) => codes([hole(room - short)]).filter((code) => code.startsWith('axle'));
    expect(told(AXLE.slides - 0.01)).toEqual(['axle-long']);
    expect([told(AXLE.slides + 0.01), told(AXLE.loose - 0.01)]).toEqual([[], []]);
    expect(told(AXLE.loose + 0.01)).toEqual(['axle-loose']);
  });
  it('faces are told by where they look: the outside of the left rail is the outside of the right one', () => {
    const [left, right] = both([bolt()]) as [ReturnType<typeof both>[0], ReturnType<typeof both>[0]];
    const looks = (face: number) => [faceWords(left.piece, face), faceWords(right.piece, -face)];
    for (const face of [0, 90, 180, 270]) expect(looks(face)[0]).toBe(looks(face)[1]);
    expect(new Set([0, 90, 180, 270].map((face) => looks(face)[0]))).toEqual(
      new Set(['up', 'down', 'outside', 'inside']),
    );
  });
});
