import { ConeGeometry, Quaternion, Vector3 } from 'three';
import { along, subtract, unit, type Vector } from '@larchwood/core';
import { meshOf, shaded, solidPart, STILL, type Part } from './geometry';

/** Of the head: long and wide, as shares of the shaft's radius. */
const HEAD = { long: 6, wide: 2.6 } as const;

/** An arrow as a round shaft and its head; one that is shorter than its head has no shaft. */
export function arrowParts(from: Vector, to: Vector, radius: number, tint: string): readonly Part[] {
  const way = subtract(to, from);
  const long = Math.hypot(...way);
  if (long < 1e-6) return [];
  const direction = unit(way);
  const head = Math.min(long, HEAD.long * radius);
  const neck = along(from, direction, long - head);
  const cone = new ConeGeometry(HEAD.wide * radius, head, 20)
    .applyQuaternion(new Quaternion().setFromUnitVectors(new Vector3(0, 1, 0), new Vector3(...direction)))
    .translate(...along(neck, direction, head / 2));
  return [
    ...(long > head
      ? [solidPart({ as: 'rod', id: '', name: '', touches: [], from, to: neck, radius }, tint)]
      : []),
    { solid: shaded(meshOf(cone)), tint, offset: STILL },
  ];
}
