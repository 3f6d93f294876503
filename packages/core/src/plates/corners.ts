import type { Plate } from '@larchwood/format';

type Point = readonly [number, number];
export type Corner = NonNullable<Plate['corners']>[number];

/** A round corner is told by points that lie off it by no more than this, mm. */
const CLOSE = 0.05;
const tenth = (value: number): number => Math.round(value * 100) / 100;

/**
 * The outline that corners draw: sharp, rounded or chamfered. One that has no room is made as large as it fits.
 * Source: tangent length = radius / tan(half the angle inside).
 */
export function outlineFrom(corners: readonly Corner[]): [number, number][] {
  const count = corners.length;
  return corners.flatMap(({ at, cut, size }, index): [number, number][] => {
    const before = corners[(index + count - 1) % count]!.at;
    const after = corners[(index + 1) % count]!.at;
    const [a, b] = [wayTo(at, before), wayTo(at, after)];
    if (cut === 'sharp' || size <= 0 || a.long === 0 || b.long === 0) return [[tenth(at[0]), tenth(at[1])]];
    const inside = Math.acos(Math.max(-1, Math.min(1, a.way[0] * b.way[0] + a.way[1] * b.way[1])));
    if (inside > Math.PI - 1e-4 || inside < 1e-4) return [[tenth(at[0]), tenth(at[1])]];
    // Half of each side is this corner’s.
    const room = Math.min(a.long, b.long) / 2;
    const back = Math.min(room, cut === 'chamfer' ? size : size / Math.tan(inside / 2));
    const [from, to] = [alongFrom(at, a.way, back), alongFrom(at, b.way, back)];
    if (cut === 'chamfer') return [round(from), round(to)];
    const radius = back * Math.tan(inside / 2);
    const toward = alongFrom(at, half(a.way, b.way), radius / Math.sin(inside / 2));
    return arc(toward, from, to, radius);
  });
}

const round = ([x, y]: Point): [number, number] => [tenth(x), tenth(y)];
const alongFrom = ([x, y]: Point, [dx, dy]: Point, by: number): Point => [x + dx * by, y + dy * by];

function wayTo([x, y]: Point, [toX, toY]: Point): { readonly way: Point; readonly long: number } {
  const long = Math.hypot(toX - x, toY - y);
  return { long, way: long === 0 ? [0, 0] : [(toX - x) / long, (toY - y) / long] };
}
function half(a: Point, b: Point): Point {
  const [x, y] = [a[0] + b[0], a[1] + b[1]];
  const long = Math.hypot(x, y);
  return [x / long, y / long];
}

function arc([x, y]: Point, from: Point, to: Point, radius: number): [number, number][] {
  const [start, end] = [from, to].map(([px, py]) => Math.atan2(py - y, px - x)) as [number, number];
  const swing = Math.atan2(Math.sin(end - start), Math.cos(end - start));
  // Chords so short that the arc bulges over them by no more than is told.
  const step = 2 * Math.acos(Math.max(0.5, 1 - CLOSE / Math.max(radius, CLOSE)));
  const parts = Math.max(2, Math.min(24, Math.ceil(Math.abs(swing) / step)));
  return Array.from({ length: parts + 1 }, (_, index) => {
    const angle = start + (swing * index) / parts;
    return round([x + radius * Math.cos(angle), y + radius * Math.sin(angle)]);
  });
}

/** Corners of an outline that was not drawn from corners, all sharp; none where it has too many, as a round one has. */
export function cornersOfPlate({
  corners,
  outline,
}: Pick<Plate, 'corners' | 'outline'>): readonly Corner[] | undefined {
  if (corners) return corners;
  return outline.length <= 24
    ? outline.map(([x, y]): Corner => ({ at: [x, y], cut: 'sharp', size: 0 }))
    : undefined;
}
