import { Vector3 } from 'three';

export interface Eye {
  readonly eye: Vector3;
  /** What it looks at. */
  readonly target: Vector3;
}

/**
 * Where an eye has to be, looking along a direction, so that it sees all points and these fill its field: each edge of
 * the field is a plane through the eye, pushed up to the outermost point.
 *
 * @param toEye Unit vector from what is looked at to the eye, not straight along the upright.
 * @param across Tangent of half the field's width; `up`: of half its height.
 */
export function eyeThatSees(points: readonly Vector3[], toEye: Vector3, across: number, up: number): Eye {
  const right = new Vector3(0, 0, 1).cross(toEye).normalize();
  const over = toEye.clone().cross(right);
  const [x, fromSides] = between(points, right, toEye, across);
  const [y, fromEnds] = between(points, over, toEye, up);
  const away = Math.max(fromSides, fromEnds);
  const depths = points.map((point) => point.dot(toEye));
  const depth = (Math.min(...depths) + Math.max(...depths)) / 2;
  const at = (along: number) =>
    right.clone().multiplyScalar(x).addScaledVector(over, y).addScaledVector(toEye, along);
  return { eye: at(away), target: at(depth) };
}

/** Where the eye stands between two edges of its field, and how far out. */
function between(
  points: readonly Vector3[],
  side: Vector3,
  toEye: Vector3,
  tangent: number,
): readonly [at: number, away: number] {
  // A point lies within both edges while |s - x| <= tangent * (away - d).
  const highs = points.map((point) => point.dot(side) + tangent * point.dot(toEye));
  const lows = points.map((point) => -point.dot(side) + tangent * point.dot(toEye));
  const [high, low] = [Math.max(...highs), Math.max(...lows)];
  return [(high - low) / 2, (high + low) / 2 / tangent];
}
