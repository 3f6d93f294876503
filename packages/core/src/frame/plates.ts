import { polygonArea, polygonCentroid } from 'd3-polygon';
import type { Plate } from '@larchwood/format';
import { add, cross, mirror, scale, turn, type Vector } from '../vector/vector.js';
import { findMaterial } from './materials.js';
import type { Side } from './side.js';

/** A plate where it lies: its node, and the axes of its outline. Points mm. */
export interface PlacedPlate {
  readonly id: string;
  readonly mark: string;
  readonly side: Side;
  readonly name: string;
  readonly plate: Plate;
  readonly at: Vector;
  readonly axes: readonly [first: Vector, second: Vector];
  /** Unit vector square to it. */
  readonly normal: Vector;
  /** kg */
  readonly mass: number;
  readonly centre: Vector;
}

const PLANES: Readonly<Record<Plate['plane'], readonly [Vector, Vector]>> = {
  side: [
    [1, 0, 0],
    [0, 0, 1],
  ],
  plan: [
    [1, 0, 0],
    [0, 1, 0],
  ],
  front: [
    [0, 1, 0],
    [0, 0, 1],
  ],
};

/** Places one plate, or one twin of it. */
export function placePlate(plate: Plate, node: Vector, id: string, mark: string, side: Side): PlacedPlate {
  const [first, second] = PLANES[plate.plane];
  const normal = cross(first, second);
  const turned = [turn(first, normal, plate.turn), turn(second, normal, plate.turn)] as const;
  const tilted = turn(turned[1], turned[0], plate.tilt);
  const across = (v: Vector): Vector => (side === 'right' ? mirror(v) : v);
  const axes = [across(turned[0]), across(tilted)] as const;
  const at = across(node);
  const [x, y] = centreOf(plate.outline);
  return {
    id,
    mark,
    side,
    name: side === 'middle' ? plate.name : `${plate.name}, ${side}`,
    plate,
    at,
    axes,
    normal: cross(axes[0], axes[1]),
    mass: plateMass(plate),
    centre: onPlate({ at, axes }, [x, y]),
  };
}

/** A point of the outline in space. */
export const onPlate = (
  { at, axes }: Pick<PlacedPlate, 'at' | 'axes'>,
  [x, y]: readonly [number, number],
): Vector => add(at, add(scale(axes[0], x), scale(axes[1], y)));

/** Less than this is no plate, mm2. */
const LEAST_AREA = 1;

export type PlateFault = 'no-area' | 'crosses-itself';

/** Asked of every plate, of its twin and of its findings, again and again of the same outline. */
const known = new WeakMap<Plate['outline'], PlateFault | 'none'>();

/** What makes an outline no plate: it encloses nothing, or two of its sides cross. */
export function plateFault(outline: Plate['outline']): PlateFault | undefined {
  let fault = known.get(outline);
  if (fault === undefined) known.set(outline, (fault = faultOf(outline) ?? 'none'));
  return fault === 'none' ? undefined : fault;
}

function faultOf(outline: Plate['outline']): PlateFault | undefined {
  if (!(Math.abs(polygonArea(outline)) >= LEAST_AREA)) return 'no-area';
  const sides = outline.map((from, index) => {
    const to = outline[(index + 1) % outline.length]!;
    const [left, right] = from[0] < to[0] ? [from[0], to[0]] : [to[0], from[0]];
    const [low, high] = from[1] < to[1] ? [from[1], to[1]] : [to[1], from[1]];
    return { ends: [from, to] as const, left, right, low, high };
  });
  for (let first = 0; first < sides.length; first += 1) {
    const one = sides[first]!;
    // The last is the neighbour of the first.
    const last = first === 0 ? sides.length - 1 : sides.length;
    for (let second = first + 2; second < last; second += 1) {
      const other = sides[second]!;
      const beside = other.left > one.right || other.right < one.left;
      if (beside || other.low > one.high || other.high < one.low) continue;
      if (cross2(one.ends, other.ends)) return 'crosses-itself';
    }
  }
  return undefined;
}

type Point2 = readonly [number, number];

/** Ends of a slot’s middle line; twice the middle of a round hole. */
export function middlesOf({ at: [x, y], diameter, slot }: Plate['holes'][number]): readonly [Point2, Point2] {
  if (!slot)
    return [
      [x, y],
      [x, y],
    ];
  const half = Math.max(0, slot.length - diameter) / 2;
  const angle = (slot.turn * Math.PI) / 180;
  const [dx, dy] = [half * Math.cos(angle), half * Math.sin(angle)];
  return [
    [x - dx, y - dy],
    [x + dx, y + dy],
  ];
}

/** A hole or slot as a ring of corners, anticlockwise; mm. */
export function holeRing(hole: Plate['holes'][number], corners: number): readonly Point2[] {
  const [start, end] = middlesOf(hole);
  const turn = hole.slot ? (hole.slot.turn * Math.PI) / 180 : 0;
  const radius = hole.diameter / 2;
  const half = (middle: Point2, from: number): Point2[] =>
    Array.from({ length: corners / 2 + (hole.slot ? 1 : 0) }, (_, index): Point2 => {
      const angle = from + (2 * Math.PI * index) / corners;
      return [middle[0] + radius * Math.cos(angle), middle[1] + radius * Math.sin(angle)];
    });
  return [...half(end, turn - Math.PI / 2), ...half(start, turn + Math.PI / 2)];
}

/** Whether two straights cross within both. Source: signs of the areas of four triangles. */
function cross2([a, b]: readonly [Point2, Point2], [c, d]: readonly [Point2, Point2]): boolean {
  const turns = ([px, py]: Point2, [qx, qy]: Point2, [rx, ry]: Point2) =>
    (qx - px) * (ry - py) - (qy - py) * (rx - px);
  return turns(a, b, c) * turns(a, b, d) < 0 && turns(c, d, a) * turns(c, d, b) < 0;
}

/** Centre of an outline's area; of one that is none, the middle of its corners. */
function centreOf(outline: Plate['outline']): Point2 {
  if (plateFault(outline) === undefined) return polygonCentroid(outline);
  const mean = (axis: 0 | 1) =>
    outline.reduce((sum, corner) => sum + corner[axis], 0) / Math.max(1, outline.length);
  return [mean(0), mean(1)];
}

/** Outline less its holes, times thickness and density; kg. */
function plateMass(plate: Plate): number {
  const density = findMaterial(plate.material)?.density ?? 0;
  const area = Math.abs(polygonArea(plate.outline));
  const holes = plate.holes.reduce(
    (total, { diameter, slot }) =>
      total + (Math.PI * diameter ** 2) / 4 + diameter * Math.max(0, (slot?.length ?? 0) - diameter),
    0,
  );
  return Math.max(0, area - holes) * plate.thickness * density * 1e-9;
}
