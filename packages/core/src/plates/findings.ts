import { polygonContains } from 'd3-polygon';
import type { Plate } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import { middlesOf, straightsCross, type PlacedPlate } from '../frame/plates.js';

const tell = teller('cuts');
type Point = readonly [number, number];

/** Least distance of a point from a straight between two others. */
function toSide([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [wx, wy] = [bx - ax, by - ay];
  const share = Math.min(
    1,
    Math.max(0, ((x - ax) * wx + (y - ay) * wy) / Math.max(1e-12, wx * wx + wy * wy)),
  );
  return Math.hypot(x - ax - share * wx, y - ay - share * wy);
}

type Straight = readonly [Point, Point];
/** Least distance between two straights; none where they cross. */
const between = (a: Straight, b: Straight): number =>
  straightsCross(a, b)
    ? 0
    : Math.min(...a.map((point) => toSide(point, ...b)), ...b.map((point) => toSide(point, ...a)));

/** How far a hole reaches past the outline; negative: so much metal is left. */
export function holeOver({ outline }: Pick<Plate, 'outline'>, hole: Plate['holes'][number]): number {
  const sides = outline.map((corner, index): Straight => [corner, outline[(index + 1) % outline.length]!]);
  const line = middlesOf(hole);
  const outside = line.filter((middle) => !polygonContains(outline, middle as [number, number]));
  const past = outside.map((middle) => Math.min(...sides.map((side) => toSide(middle, ...side))));
  // Of a slot that ends inside on both sides its whole line counts: an edge may come in between.
  const near = past.length > 0 ? -Math.max(...past) : Math.min(...sides.map((side) => between(line, side)));
  return hole.diameter / 2 - near;
}

/** Metal that is left between two holes at least, mm. Common practice, no source. */
export const LEFT_BETWEEN = 2;

type PlateHole = Plate['holes'][number];
/** Metal between two holes, mm; less than none where they run into each other. */
const apart = (a: PlateHole, b: PlateHole): number =>
  between(middlesOf(a), middlesOf(b)) - (a.diameter + b.diameter) / 2;

/** Least metal between a hole and the outline or another hole, mm. */
export const plateWeb = (plate: Pick<Plate, 'outline' | 'holes'>, hole: Plate['holes'][number]): number =>
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
            between(middlesOf(hole), [from, to]) < hole.diameter / 2 + radius + plate.thickness,
        );
        const other = plate.holes.findIndex((each, at) => at > index && apart(hole, each) < LEFT_BETWEEN);
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
