import type { Plate } from '@larchwood/format';
import { polygonHull } from 'd3-polygon';

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
  return (polygonHull(points) ?? points).map(([x, y]): [number, number] => [tenth(x), tenth(y)]);
}

/** A rectangle about a point. */
export const rectangle = ([x, y]: Point, width: number, height: number): Plate['outline'] => [
  [tenth(x - width / 2), tenth(y - height / 2)],
  [tenth(x + width / 2), tenth(y - height / 2)],
  [tenth(x + width / 2), tenth(y + height / 2)],
  [tenth(x - width / 2), tenth(y + height / 2)],
];
