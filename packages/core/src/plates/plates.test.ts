import fc from 'fast-check';
import { polygonArea } from 'd3-polygon';
import { describe, expect, it } from 'vitest';
import type { BuildDocument, Plate } from '@larchwood/format';
import { made, planMade } from '../../../../testing/made.js';
import { onPlate, plateFault } from '../frame/plates.js';
import { plateMesh } from '../solid/plateMesh.js';
import { meshVolume } from '../solid/builder.js';
import type { Piece } from '../frame/frame.js';
import { nearestOn, pathOf } from '../frame/path.js';
import { lying } from '../steering/parts.js';
import {
  add,
  cross,
  dot,
  length,
  scale,
  squareTo,
  subtract,
  turn,
  unit,
  type Vector,
} from '../vector/vector.js';
import { outlineFrom, type Corner } from './corners.js';
import { HOLES } from '../holes/holes.js';
import { holeOver, madeAlike, plateWeb, sameTurnedOver } from './findings.js';
import { foldOf, K_FACTOR } from './folds.js';
import { gussetBetween, gussetPlate, nodeBeside } from './gusset.js';
import { FLAT_SHAPES } from './shapes.js';

const square = (size: number, cut: Corner['cut'], by: number): Corner[] =>
  [
    [0, 0],
    [size, 0],
    [size, size],
    [0, size],
  ].map(([x, y]) => ({ at: [x!, y!], cut, size: by }));
const area = (corners: readonly Corner[]) => Math.abs(polygonArea(outlineFrom(corners)));

describe('corners', () => {
  it('a square of 100: sharp, chamfered by 10, rounded by 10, and a circle where the radius is half of it', () => {
    expect(area(square(100, 'sharp', 0))).toBeCloseTo(10000, 6);
    expect(area(square(100, 'chamfer', 10))).toBeCloseTo(10000 - 4 * 50, 6);
    // Chords lie inside of their arc, by no more than 0.05 mm.
    expect(area(square(100, 'round', 10))).toBeLessThan(10000 - (4 - Math.PI) * 100);
    expect(area(square(100, 'round', 10))).toBeGreaterThan(10000 - (4 - Math.PI) * 100 - 4 * 16 * 0.05);
    expect(Math.abs(area(square(100, 'round', 50)) - Math.PI * 2500)).toBeLessThan(Math.PI * 100 * 0.06);
  });
  it('one that has no room is made as large as it fits, and nothing crosses', () => {
    const corner = fc.tuple(
      fc.integer({ min: 10, max: 90 }),
      fc.constantFrom('sharp' as const, 'round' as const, 'chamfer' as const),
      fc.integer({ min: 0, max: 500 }),
    );
    fc.assert(
      fc.property(fc.array(corner, { minLength: 3, maxLength: 10 }), (list) => {
        const corners = list.map(([reach, cut, size], index): Corner => {
          const angle = (2 * Math.PI * index) / list.length;
          return { at: [reach * Math.cos(angle), reach * Math.sin(angle)], cut, size };
        });
        expect(plateFault(outlineFrom(corners))).toBeUndefined();
      }),
    );
  });
});

it('a fold of 90 degrees in 3 mm sheet on a radius of 3: allowance 6.786, deduction 5.214 mm (formula, K 0.44, by hand)', () => {
  const { allowance, deduction } = foldOf(3, 90, 3, K_FACTOR);
  expect(allowance).toBeCloseTo((Math.PI / 2) * (3 + 0.44 * 3), 9);
  expect(allowance).toBeCloseTo(6.786, 3);
  expect(deduction).toBeCloseTo(12 - 6.786, 3);
});

describe('shapes that are drawn from sizes', () => {
  it.each(FLAT_SHAPES.map((shape) => [shape.id, shape] as const))(
    '%s has an outline, its holes lie within, and it says a fault',
    (_, shape) => {
      const sizes = Object.fromEntries(shape.sizes.map(({ id, start }) => [id, start]));
      const { corners, holes } = shape.draw(sizes);
      const outline = outlineFrom(corners);
      expect(plateFault(outline)).toBeUndefined();
      for (const hole of holes) expect(holeOver({ outline }, hole)).toBeLessThan(-1);
    },
  );
  it('a mounting plate and a flange are the same turned over, a bracket too; one hole out of its place and they are not', () => {
    for (const id of ['mount', 'flange', 'bracket']) {
      const shape = FLAT_SHAPES.find((each) => each.id === id)!;
      const { corners, holes } = shape.draw(
        Object.fromEntries(shape.sizes.map((size) => [size.id, size.start])),
      );
      const plate = { outline: outlineFrom(corners), holes, bendLines: [] };
      expect(sameTurnedOver(plate), id).toBe(true);
      const [first, ...rest] = holes;
      const moved = { ...first!, at: [first!.at[0] + 3, first!.at[1] + 2] as [number, number] };
      expect(sameTurnedOver({ ...plate, holes: [moved, ...rest] }), id).toBe(false);
    }
  });
});

describe('holes of plates, just inside and just outside', () => {
  const base = made('kart', 'kart');
  const [plate] = base.frame.plates;
  const told = (holes: Plate['holes'], more: Partial<Plate> = {}) => {
    const outline: [number, number][] = [
      [0, 0],
      [100, 0],
      [100, 60],
      [0, 60],
    ];
    const document: BuildDocument = {
      ...base,
      frame: { ...base.frame, plates: [{ ...plate!, outline, holes, bendLines: [], ...more }] },
    };
    const plan = planMade(document);
    return {
      plan,
      codes: plan.findings.filter(({ where }) => where.station === 'cuts').map(({ code }) => code),
    };
  };
  it('over the edge, round and as a slot', () => {
    expect(told([{ at: [20, 30], diameter: 39.9 }]).codes).toEqual([]);
    expect(told([{ at: [20, 30], diameter: 40.1 }]).codes).toEqual(['plate-hole-over-edge']);
    const slot = (length: number) => told([{ at: [50, 30], diameter: 10, slot: { length, turn: 0 } }]).codes;
    expect(slot(99.9)).toEqual([]);
    expect(slot(100.1)).toEqual(['plate-hole-over-edge']);
    expect(told([{ at: [50, 30], diameter: 10, slot: { length: 70, turn: 90 } }]).codes).toEqual([
      'plate-hole-over-edge',
    ]);
  });
  it('across a fold', () => {
    const fold = [{ from: [50, 0], to: [50, 60], angle: 90, radius: 3 }] as Plate['bendLines'];
    const near = (x: number) =>
      told([{ at: [x, 30], diameter: 10 }], { bendLines: fold, thickness: 2 }).codes;
    expect(near(50 - 5 - 3 - 2 - 0.1)).toEqual([]);
    expect(near(50 - 5 - 3 - 2 + 0.1)).toEqual(['fold-crosses-hole']);
    // A slot that reaches far to both sides of it crosses it, too; one that runs along it does not.
    const slot = (x: number, turn: number) =>
      told([{ at: [x, 30], diameter: 10, slot: { length: 70, turn } }], { bendLines: fold, thickness: 2 })
        .codes;
    expect(slot(50, 0)).toEqual(['fold-crosses-hole']);
    expect(slot(50 - 5 - 30 - 5 - 0.1, 0)).toContain('plate-hole-over-edge');
    const along = { at: [30, 30] as [number, number], diameter: 10, slot: { length: 40, turn: 90 } };
    expect(told([along], { bendLines: fold, thickness: 2 }).codes).toEqual([]);
  });
  it('what is left between a hole and an edge, or another hole, wherever along a slot it is least', () => {
    // A notch from above, down to 20, between two prongs.
    const outline: [number, number][] = [
      [0, 0],
      [100, 0],
      [100, 60],
      [60, 60],
      [60, 20],
      [40, 20],
      [40, 60],
      [0, 60],
    ];
    const across = (y: number) => ({
      at: [50, y] as [number, number],
      diameter: 8,
      slot: { length: 80, turn: 0 },
    });
    expect(holeOver({ outline }, across(10))).toBeCloseTo(-6, 9);
    expect(holeOver({ outline }, across(17))).toBeCloseTo(1, 9);
    expect(holeOver({ outline }, across(40))).toBeCloseTo(4, 9);
    expect(holeOver({ outline }, { at: [104, 30], diameter: 8 })).toBeCloseTo(8, 9);
    const square: [number, number][] = [
      [0, 0],
      [100, 0],
      [100, 100],
      [0, 100],
    ];
    const web = (...holes: Plate['holes']) => holes.map((hole) => plateWeb({ outline: square, holes }, hole));
    const slot = (turn: number, at: [number, number] = [50, 50]) => ({
      at,
      diameter: 8,
      slot: { length: 48, turn },
    });
    // A hole beside the middle of a slot: told alike of both.
    for (const each of web(slot(0), { at: [50, 62], diameter: 6 })) expect(each).toBeCloseTo(12 - 7, 9);
    for (const each of web(slot(0), slot(90))) expect(each).toBeCloseTo(-8, 9);
    for (const each of web(slot(0), slot(0, [50, 70]))) expect(each).toBeCloseTo(12, 9);
    expect(web({ at: [10, 50], diameter: 6 })[0]).toBeCloseTo(7, 9);
  });
  it('into another hole, slots along all of their length', () => {
    const two = (x: number, more: Partial<Plate['holes'][number]> = {}) =>
      told([
        { at: [30, 30], diameter: 10 },
        { at: [x, 30], diameter: 8, ...more },
      ]);
    expect(two(30 + 9 + HOLES.between + 0.01).codes).toEqual([]);
    expect(two(30 + 9 + HOLES.between - 0.01).codes).toEqual(['plate-holes-meet']);
    const [found] = two(36).plan.findings.filter(({ code }) => code === 'plate-holes-meet');
    expect(found!.values).toMatchObject({ hole: 1, other: 2, left: expect.closeTo(-3, 9) as number });
    expect(two(60, { slot: { length: 50, turn: 0 } }).codes).toEqual(['plate-holes-meet']);
    expect(two(60, { slot: { length: 50, turn: 90 } }).codes).toEqual([]);
  });
  it('a slot that lies askew makes a left and a right of a plate; two that lean to each other do not', () => {
    const outline: [number, number][] = [
      [0, 0],
      [100, 0],
      [100, 60],
      [0, 60],
    ];
    const same = (...holes: Plate['holes']) => sameTurnedOver({ outline, holes, bendLines: [] });
    const slot = (turn: number, x = 50) => ({
      ...{ at: [x, 30] as [number, number], diameter: 8 },
      slot: { length: 30, turn },
    });
    expect([0, 90, 180].map((turn) => same(slot(turn)))).toEqual([true, true, true]);
    expect([30, 45, -10].map((turn) => same(slot(turn)))).toEqual([false, false, false]);
    expect(same(slot(30, 25), slot(-30, 75))).toBe(true);
    expect(same(slot(30, 25), slot(30, 75))).toBe(false);
    expect(same({ at: [50, 30], diameter: 30 }, slot(0))).toBe(true);
  });
  it('a slot weighs less by its area, and the solid has it', () => {
    const [without, withSlot] = [
      [],
      [{ at: [50, 30] as [number, number], diameter: 10, slot: { length: 40, turn: 30 } }],
    ].map((holes) => told(holes).plan.frame.plates.find(({ side }) => side !== 'right')!);
    const area = (Math.PI * 100) / 4 + 10 * 30;
    const gone = area * plate!.thickness;
    expect((without!.mass - withSlot!.mass) / without!.mass).toBeCloseTo(area / 6000, 9);
    const solid = meshVolume(plateMesh(without!)) - meshVolume(plateMesh(withSlot!));
    expect(Math.abs(solid / gone - 1)).toBeLessThan(0.005);
  });
  it('those made alike are found, by everything that is cut', () => {
    const { plan } = told([]);
    const all = plan.frame.plates;
    expect(madeAlike(all).flat().length).toBe(all.length);
    const [first] = all;
    const other = { ...first!, plate: { ...first!.plate, thickness: 99 } };
    expect(madeAlike([first!, first!, other]).map((group) => group.length)).toEqual([2, 1]);
  });
});

describe('a gusset', () => {
  const base = made('buggy', 'buggy');
  const plan = planMade(base);
  const pairs = plan.frame.pieces.flatMap((a, index) =>
    plan.frame.pieces.slice(index + 1).flatMap((b) => {
      const shared = a.member.nodes.some((node) => b.member.nodes.includes(node)) && a.side === b.side;
      const found = shared ? gussetBetween(plan.frame, a, b, 60) : undefined;
      return found && !('why' in found) ? [{ a, b, found }] : [];
    }),
  );
  it('lies in the plane of its two tubes, its edges on their outsides', () => {
    expect(pairs.length).toBeGreaterThan(3);
    for (const { a, b, found } of pairs.filter(({ a: one }) => one.side !== 'right')) {
      const node = nodeBeside('corner', found.node, found.offset);
      const plate = gussetPlate(found, 'gusset', 999, false);
      const placed = planMade({
        ...base,
        frame: { ...base.frame, nodes: [...base.frame.nodes, node], plates: [{ ...plate, node: 'corner' }] },
      }).frame.plates[0]!;
      // Square to the centre line as it runs there.
      const off = (piece: typeof a, index: number) =>
        nearestOn(piece.path, onPlate(placed, placed.plate.outline[index]!)).away;
      const half = (piece: typeof a) => (piece.section.shape === 'round' ? piece.section.diameter / 2 : 0);
      expect(off(a, 0)).toBeCloseTo(half(a), 1);
      expect(off(a, 1)).toBeCloseTo(half(a), 1);
      expect(off(b, 4)).toBeCloseTo(half(b), 1);
    }
  });
  it.each([
    ['rectangular', { id: 's', name: 's', shape: 'rectangular', height: 40, width: 25, corner: 3, wall: 2 }],
    ['square', { id: 's', name: 's', shape: 'rectangular', height: 30, width: 30, corner: 3, wall: 2 }],
    ['oval', { id: 's', name: 's', shape: 'oval', height: 45, width: 25, wall: 2 }],
  ] as const)('lies on the wall of a %s tube, turned as it may be, and not in it', (_, section) => {
    const roll = fc.integer({ min: 0, max: 90 });
    fc.assert(
      fc.property(roll, fc.integer({ min: 40, max: 140 }), (turned, between) => {
        const rad = (between * Math.PI) / 180;
        const piece = (end: Vector): Piece => {
          const path = pathOf([[0, 0, 0], end], []);
          const way = path.legs[0]!.direction;
          const upright = unit(squareTo([0, 0, 1], way));
          const top = turn(upright, way, turned);
          return {
            ...plan.frame.pieces[0]!,
            ...{ mark: 'x', start: [0, 0, 0], end, direction: way, length: path.length, path, top, section },
            member: { ...plan.frame.pieces[0]!.member, nodes: ['o', 'p'] },
          } as Piece;
        };
        const [a, b] = [piece([0, 400, 0]), piece([400 * Math.sin(rad), 400 * Math.cos(rad), 0])];
        const found = gussetBetween({ nodes: { o: [0, 0, 0], p: [9, 9, 9] } }, a, b, 60);
        if ('why' in found) throw new Error(found.why);
        const { first, second } = lying(unit(cross(a.direction, b.direction)));
        const at = found.outline.map(([x, y]) => add(scale(first, x), scale(second, y)));
        // Inside the section just before the wall, and outside just behind it, by the section's own formula.
        const within = ({ direction, top }: Piece, point: Vector): number => {
          const [u, v] = [dot(point, top), dot(point, cross(direction, top))].map(Math.abs) as [
            number,
            number,
          ];
          const { height, width } = section;
          if (section.shape === 'oval') return (Math.hypot(u / (height / 2), v / (width / 2)) - 1) * 12;
          const c = section.corner;
          const [du, dv] = [u - height / 2 + c, v - width / 2 + c];
          return Math.hypot(Math.max(0, du), Math.max(0, dv)) + Math.min(0, Math.max(du, dv)) - c;
        };
        return (
          Math.abs(within(a, at[0]!)) < 0.1 &&
          Math.abs(within(a, at[1]!)) < 0.1 &&
          Math.abs(within(b, at[4]!)) < 0.1
        );
      }),
      { numRuns: 60 },
    );
  });
  it('a leg that runs into a bend, or off the tube, is refused with the most that fits, just inside and outside', () => {
    for (const { a, b } of pairs) {
      const long = gussetBetween(plan.frame, a, b, 5000);
      if (!('most' in long)) throw new Error('A leg of five metres was taken.');
      expect(gussetBetween(plan.frame, a, b, long.most - 0.01)).toSatisfy(
        (found: { why?: string; piece?: string }) => found.why === undefined || found.piece !== long.piece,
      );
      expect(gussetBetween(plan.frame, a, b, long.most + 0.01)).toHaveProperty('why');
    }
    const { pieces } = plan.frame;
    const said = pieces.flatMap((a) =>
      pieces.filter((b) => b !== a).map((b) => gussetBetween(plan.frame, a, b, 200)),
    );
    const whys = said.map((found) => ('why' in found ? found.why : 'made'));
    for (const why of ['no-corner', 'in-bend', 'into-bend', 'off-tube', 'beside', 'made'])
      expect(whys).toContain(why);
  });
  it('tubes that do not meet have none', () => {
    const [first] = plan.frame.pieces;
    const far = plan.frame.pieces.find(
      (each) =>
        Math.min(
          ...[each.start, each.end].flatMap((p) =>
            [first!.start, first!.end].map((q) => length(subtract(p, q))),
          ),
        ) > 800,
    )!;
    expect(gussetBetween(plan.frame, first!, far, 60)).toEqual({ why: 'no-corner' });
  });
});
