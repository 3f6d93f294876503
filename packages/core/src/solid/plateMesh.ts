import earcut from 'earcut';
import { holeRing, onPlate, type PlacedPlate } from '../frame/plates.js';
import { add, along, cross, dot, scale, subtract, turn, unit, type Vector } from '../vector/vector.js';
import { Builder, type Mesh } from './builder.js';

type Flat = readonly [x: number, y: number];
type Fold = PlacedPlate['plate']['bendLines'][number];

/** Takes 0.3 % less than the round hole. */
const HOLE_CORNERS = 48;
/** Nearer to a fold than this a corner lies on it, mm. */
const ON_FOLD = 1e-6;

/**
 * A plate as a solid with its holes, folded along its fold lines: two flat parts that meet in a mitre, by their middle
 * planes; the radius of a fold is not drawn.
 * @param placed a plate in its plane, mm
 * @returns a closed mesh, mm
 */
export function plateMesh(placed: PlacedPlate): Mesh {
  const builder = new Builder();
  const { plate } = placed;
  const folds = inOrder(
    plate.bendLines.filter(({ angle, from, to }) => angle !== 0 && apart(from as Flat, to as Flat) > 1),
  );
  const holes = plate.holes.map((hole) => holeRing(hole, HOLE_CORNERS));
  const rings = [plate.outline as readonly Flat[], ...holes].map((ring) => split(ring, folds));
  const flat = rings.flat();
  const starts = rings
    .slice(0, -1)
    .reduce<number[]>((all, ring) => [...all, (all.at(-1) ?? 0) + ring.length], []);
  const corners = earcut(flat.flat(), starts, 2);
  const triangles: (readonly [Flat, Flat, Flat])[] = [];
  for (let index = 0; index < corners.length; index += 3)
    triangles.push([flat[corners[index]!]!, flat[corners[index + 1]!]!, flat[corners[index + 2]!]!]);
  const parts = folds.reduce<readonly (readonly Flat[])[]>(
    (all, fold) => all.flatMap((part) => halves(part, fold)),
    triangles,
  );
  const half = plate.thickness / 2;
  for (const side of [1, -1] as const)
    for (const part of parts) {
      const anticlockwise = area(part) > 0 === (side === 1);
      const points = part.map((point) => foldedPoint(placed, folds, point, side * half));
      const normal = facing(points, anticlockwise);
      const ids = points.map((at) => builder.point(at, normal));
      // A part of a triangle is convex: a fan fills it.
      for (let index = 1; index < ids.length - 1; index += 1) {
        const [a, b, c] = [ids[0]!, ids[index]!, ids[index + 1]!];
        if (anticlockwise) builder.triangle(a, b, c);
        else builder.triangle(a, c, b);
      }
    }
  rings.forEach((ring, index) => {
    const reversed = area(ring) > 0 === index > 0;
    ring.forEach((point, place) => {
      const next = ring[(place + 1) % ring.length]!;
      const [a, b] = reversed ? [next, point] : [point, next];
      const [p, q, r, t] = [
        foldedPoint(placed, folds, a, -half),
        foldedPoint(placed, folds, b, -half),
        foldedPoint(placed, folds, b, half),
        foldedPoint(placed, folds, a, half),
      ];
      const normal = facing([p, q, r], true);
      const ids = [p, q, r, t].map((at) => builder.point(at, normal)) as [number, number, number, number];
      builder.triangle(ids[0], ids[1], ids[2]);
      builder.triangle(ids[0], ids[2], ids[3]);
    });
  });
  return builder.mesh();
}

const apart = (a: Flat, b: Flat): number => Math.hypot(b[0] - a[0], b[1] - a[1]);

/** Folds from the outermost inward: what lies past two of them is folded about the outer one first. */
const inOrder = (folds: readonly Fold[]): readonly Fold[] =>
  [...folds].sort((a, b) => {
    const middle = ({ from, to }: Fold) => between(from as Flat, to as Flat, 0.5);
    return beside(b, middle(a)) > ON_FOLD ? -1 : beside(a, middle(b)) > ON_FOLD ? 1 : 0;
  });

/** How far past a fold line a point lies, mm: on the side away from the plate's node, which is the one that is folded. */
function beside({ from, to }: Fold, [x, y]: Flat): number {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const size = Math.hypot(dx, dy);
  const left = (dx * (y - from[1]) - dy * (x - from[0])) / size;
  const node = (dy * from[0] - dx * from[1]) / size;
  return node > 0 ? -left : left;
}

const between = (a: Flat, b: Flat, share: number): Flat => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
];

/** A ring with a corner wherever a fold line crosses it. */
function split(ring: readonly Flat[], folds: readonly Fold[]): readonly Flat[] {
  return folds.reduce<readonly Flat[]>(
    (corners, fold) =>
      corners.flatMap((corner, index) => {
        const next = corners[(index + 1) % corners.length]!;
        const [a, b] = [beside(fold, corner), beside(fold, next)];
        return a * b < 0 && Math.min(Math.abs(a), Math.abs(b)) > ON_FOLD
          ? [corner, between(corner, next, a / (a - b))]
          : [corner];
      }),
    ring,
  );
}

/** A convex part on both sides of a fold line. */
function halves(part: readonly Flat[], fold: Fold): (readonly Flat[])[] {
  const side = (sign: 1 | -1): Flat[] =>
    part.flatMap((corner, index) => {
      const next = part[(index + 1) % part.length]!;
      const [a, b] = [sign * beside(fold, corner), sign * beside(fold, next)];
      const own = a > -ON_FOLD ? [corner] : [];
      return a * b < 0 && Math.min(Math.abs(a), Math.abs(b)) > ON_FOLD
        ? [...own, between(corner, next, a / (a - b))]
        : own;
    });
  return ([1, -1] as const).map(side).filter((each) => each.length > 2 && Math.abs(area(each)) > 1e-9);
}

/** Where a point of the flat plate, off its middle plane by so much, comes to lie: folded right-handed about each line that it is past. */
function foldedPoint(placed: PlacedPlate, folds: readonly Fold[], point: Flat, off: number): Vector {
  let at = onPlate(placed, point);
  let normal = placed.normal;
  for (const fold of folds) {
    const away = beside(fold, point);
    if (away < -ON_FOLD) continue;
    const foot = onPlate(placed, fold.from as Flat);
    const axis = unit(subtract(onPlate(placed, fold.to as Flat), foot));
    if (away <= ON_FOLD) {
      // On the fold both parts share a mitre: half way between their normals, and as much longer.
      const bisector = turn(normal, axis, fold.angle / 2);
      const longer = 1 / Math.max(0.2, Math.cos((fold.angle * Math.PI) / 360));
      return along(at, bisector, off * longer);
    }
    at = add(foot, turn(subtract(at, foot), axis, fold.angle));
    normal = turn(normal, axis, fold.angle);
  }
  return along(at, normal, off);
}

function facing(points: readonly Vector[], anticlockwise: boolean): Vector {
  const [a, b, c] = points as readonly [Vector, Vector, Vector];
  const out = cross(subtract(b, a), subtract(c, a));
  const size = Math.sqrt(dot(out, out)) || 1;
  return scale(out, (anticlockwise ? 1 : -1) / size);
}

const area = (ring: readonly Flat[]): number =>
  ring.reduce((sum, [x, y], index) => {
    const [nx, ny] = ring[(index + 1) % ring.length]!;
    return sum + x * ny - nx * y;
  }, 0);
