import { polygonContains } from 'd3-polygon';
import type { Plate } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import { middlesOf, type PlacedPlate } from '../frame/plates.js';
import { HOLES } from '../holes/holes.js';
import { nearestOfSegments, type Segment } from '../proximity/segments.js';

const tell = teller('cuts');
type PlateHole = Plate['holes'][number];
type Point = readonly [number, number];
const straight = ([ax, ay]: Point, [bx, by]: Point): Segment => ({ from: [ax, ay, 0], to: [bx, by, 0] });
/** The middle line of a hole: a point, of one that is round. */
const lineOf = (hole: PlateHole): Segment => straight(...middlesOf(hole));
/** Least distance between two straights, mm; none where they cross. */
const between = (a: Segment, b: Segment): number => nearestOfSegments(a, b).distance;

/** How far a hole reaches past the outline; negative: so much metal is left. */
export function holeOver({ outline }: Pick<Plate, 'outline'>, hole: PlateHole): number {
  const sides = outline.map((corner, index) => straight(corner, outline[(index + 1) % outline.length]!));
  const toEdge = (line: Segment): number => Math.min(...sides.map((side) => between(line, side)));
  const past = middlesOf(hole)
    .filter((end) => !polygonContains(outline, end as [number, number]))
    .map((end) => toEdge(straight(end, end)));
  // Of a slot that ends inside on both sides its whole line counts: an edge may come in between.
  return hole.diameter / 2 + (past.length > 0 ? Math.max(...past) : -toEdge(lineOf(hole)));
}

/** Metal between two holes, mm; less than none where they run into each other. */
const apart = (a: PlateHole, b: PlateHole): number =>
  between(lineOf(a), lineOf(b)) - (a.diameter + b.diameter) / 2;

/** Least metal between a hole and the outline or another hole, mm. */
export const plateWeb = (plate: Pick<Plate, 'outline' | 'holes'>, hole: PlateHole): number =>
  Math.min(
    -holeOver(plate, hole),
    ...plate.holes.filter((each) => each !== hole).map((each) => apart(hole, each)),
  );

/** What is wrong with flat parts. */
export const flatFindings = (plates: readonly PlacedPlate[]): Finding[] =>
  plates
    .filter(({ side }) => side !== 'right')
    .flatMap(({ plate, mark }) => [
      ...plate.holes.flatMap((hole, index): Finding[] => {
        const by = holeOver(plate, hole);
        const values = { mark, plate: plate.name, hole: index + 1 };
        const crossed = plate.bendLines.some(
          ({ from, to, radius }) =>
            between(lineOf(hole), straight(from, to)) < hole.diameter / 2 + radius + plate.thickness,
        );
        const other = plate.holes.findIndex((each, at) => at > index && apart(hole, each) < HOLES.between);
        return [
          ...(other > 0
            ? [
                tell('plate-holes-meet', 'look', plate.id, {
                  ...values,
                  ...{ other: other + 1, left: apart(hole, plate.holes[other]!) },
                }),
              ]
            : []),
          ...(by > 1e-6 ? [tell('plate-hole-over-edge', 'look', plate.id, { ...values, by })] : []),
          ...(crossed ? [tell('fold-crosses-hole', 'look', plate.id, values)] : []),
        ];
      }),
    ]);

/** Plates that are made alike: same outline, holes, thickness and metal. */
export function madeAlike(plates: readonly PlacedPlate[]): readonly (readonly PlacedPlate[])[] {
  const groups = new Map<string, PlacedPlate[]>();
  for (const each of plates) {
    const { outline, holes, thickness, material, bendLines } = each.plate;
    const key = JSON.stringify([outline, holes, thickness, material, bendLines]);
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

/** Whether a plate is the same turned over, about one of its own axes: it has no left and no right. */
export function sameTurnedOver({
  outline,
  holes,
  bendLines,
}: Pick<Plate, 'outline' | 'holes' | 'bendLines'>): boolean {
  if (bendLines.length > 0) return false;
  const xs = outline.map(([x]) => x);
  const ys = outline.map(([, y]) => y);
  const middle = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2] as const;
  return ([0, 1] as const).some((axis) => {
    const over = (point: Point): Point => {
      const moved: [number, number] = [point[0], point[1]];
      moved[axis] = 2 * middle[axis] - point[axis];
      return moved;
    };
    const there = (point: Point, among: readonly Point[]) =>
      among.some(([x, y]) => Math.hypot(x - point[0], y - point[1]) < 0.1);
    return (
      outline.every((corner) => there(over(corner), outline)) &&
      // A slot by both of its ends: one that lies askew leans the other way, turned over.
      holes.every((hole) =>
        holes.some(
          (other) =>
            Math.abs(other.diameter - hole.diameter) < 0.05 &&
            middlesOf(hole).every((end) => there(over(end), middlesOf(other))) &&
            middlesOf(other).every((end) => there(over(end), middlesOf(hole))),
        ),
      )
    );
  });
}
