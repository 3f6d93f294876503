import { polygonArea, polygonCentroid } from 'd3-polygon';
import type { Plate } from '../document/schema.js';
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
  const [x, y] = polygonCentroid(plate.outline);
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

/** Outline less its holes, times thickness and density; kg. */
function plateMass(plate: Plate): number {
  const density = findMaterial(plate.material)?.density ?? 0;
  const area = Math.abs(polygonArea(plate.outline));
  const holes = plate.holes.reduce((total, { diameter }) => total + (Math.PI * diameter ** 2) / 4, 0);
  return Math.max(0, area - holes) * plate.thickness * density * 1e-9;
}
