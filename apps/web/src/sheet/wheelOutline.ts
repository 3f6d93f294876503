import { polygonHull } from 'd3-polygon';
import type { StandingWheel, Vector } from '@larchwood/core';
import type { Pixel, View } from './view';

const ROUND = 72;

/** Outline of a wheel taken as a plain cylinder, seen in the view: the hull of its two rims. */
export function wheelOutline({ centre, spindle, radius, width }: StandingWheel, view: View): Pixel[] {
  // Two directions square to the spindle: level, and up the wheel.
  const flat = Math.hypot(spindle[0], spindle[1]);
  const forward: Vector = [spindle[1] / flat, -spindle[0] / flat, 0];
  const upward: Vector = [spindle[2] * forward[1], -spindle[2] * forward[0], flat];
  const rim: [number, number][] = [];
  for (const side of [-width / 2, width / 2])
    for (let step = 0; step < ROUND; step += 1) {
      const a = (step / ROUND) * 2 * Math.PI;
      const [c, s] = [radius * Math.cos(a), radius * Math.sin(a)];
      const [px, py] = view.at([
        centre[0] + side * spindle[0] + c * forward[0] + s * upward[0],
        centre[1] + side * spindle[1] + c * forward[1] + s * upward[1],
        centre[2] + side * spindle[2] + c * forward[2] + s * upward[2],
      ]);
      rim.push([px, py]);
    }
  return polygonHull(rim) ?? rim;
}
