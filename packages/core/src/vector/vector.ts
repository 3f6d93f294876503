/**
 * Points and directions in the vehicle's axes (ISO 8855: x forward, y to the left, z up), as plain readonly triples in
 * millimetres, so that they travel in a plan as they are.
 */
export type Vector = readonly [x: number, y: number, z: number];

export const add = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const subtract = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const scale = (a: Vector, factor: number): Vector => [a[0] * factor, a[1] * factor, a[2] * factor];
export const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const length = (a: Vector): number => Math.sqrt(a[0] * a[0] + a[1] * a[1] + a[2] * a[2]);
export const distance = (a: Vector, b: Vector): number => length(subtract(a, b));
/** `a + along * direction` */
export const along = (a: Vector, direction: Vector, amount: number): Vector =>
  add(a, scale(direction, amount));
/** Part of `a` square to the unit vector `axis`. */
export const squareTo = (a: Vector, axis: Vector): Vector => along(a, axis, -dot(a, axis));
/** The mirror twin across the middle plane, y = 0. */
export const mirror = (a: Vector): Vector => [a[0], -a[1], a[2]];

/** Unit vector along `a`. @throws RangeError when `a` has no length. */
export function unit(a: Vector): Vector {
  const size = length(a);
  if (!(size > 1e-12)) throw new RangeError('A direction needs two different points.');
  return scale(a, 1 / size);
}

/** The vector turned right-handed about a unit axis by `degrees` (Rodrigues' formula). */
export function turn(a: Vector, axis: Vector, degrees: number): Vector {
  const angle = (degrees * Math.PI) / 180;
  const cosine = Math.cos(angle);
  return add(
    add(scale(a, cosine), scale(cross(axis, a), Math.sin(angle))),
    scale(axis, dot(axis, a) * (1 - cosine)),
  );
}

/** How far a point lies over the plane through three others, square to it; below it less than nought. */
export function overPlane(point: Vector, [a, b, c]: readonly [Vector, Vector, Vector]): number {
  const normal = unit(cross(subtract(b, a), subtract(c, a)));
  return dot(subtract(point, a), normal) * (normal[2] < 0 ? -1 : 1);
}
