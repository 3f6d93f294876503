import type { Plate } from '@larchwood/format';
import { polygonHull } from 'd3-polygon';
import { realCorners } from '../../vector/ring.js';

type Point = readonly [number, number];
const tenth = (value: number): number => Math.round(value * 10) / 10;
const ROUND = 72;

/** The outline round several holes: what a string round their bosses would draw. */
export function roundBosses(
  bosses: readonly { readonly at: Point; readonly radius: number }[],
): Plate['outline'] {
  const points = bosses.flatMap(({ at: [x, y], radius }) =>
    Array.from({ length: ROUND }, (_, index): [number, number] => {
      const angle = (2 * Math.PI * index) / ROUND;
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    }),
  );
  return realCorners((polygonHull(points) ?? points).map(([x, y]): [number, number] => [tenth(x), tenth(y)]));
}

/** A rectangle about a point. */
export const rectangle = ([x, y]: Point, width: number, height: number): Plate['outline'] => [
  [tenth(x - width / 2), tenth(y - height / 2)],
  [tenth(x + width / 2), tenth(y - height / 2)],
  [tenth(x + width / 2), tenth(y + height / 2)],
  [tenth(x - width / 2), tenth(y + height / 2)],
];

const STEP = Math.PI / 90;

/** A slot round the origin: as wide as said along an arc, with round ends; mm and degrees from the first axis. */
export function arcSlot(radius: number, from: number, to: number, width: number): Plate['outline'] {
  const [low, high] = [(from * Math.PI) / 180, (to * Math.PI) / 180];
  const half = width / 2;
  const along = (at: number, start: number, end: number, [x, y]: Point = [0, 0]): [number, number][] => {
    const steps = Math.max(2, Math.ceil(Math.abs(end - start) / (at > half ? STEP : STEP * 5)));
    return Array.from({ length: steps + 1 }, (_, step): [number, number] => {
      const angle = start + ((end - start) * step) / steps;
      return [tenth(x + at * Math.cos(angle)), tenth(y + at * Math.sin(angle))];
    });
  };
  const end = (angle: number): Point => [radius * Math.cos(angle), radius * Math.sin(angle)];
  return [
    ...along(radius + half, low, high),
    ...along(half, high, high + Math.PI, end(high)).slice(1, -1),
    ...along(radius - half, high, low),
    ...along(half, low + Math.PI, low + 2 * Math.PI, end(low)).slice(1, -1),
  ];
}
