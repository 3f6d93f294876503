import {
  addHolesInFace,
  assembleWire,
  basicFaceExtrusion,
  makeCircle,
  makeFace,
  makeLine,
  makePolygon,
  makeSolid,
  makeThreePointArc,
  Vector as Arrow,
  weldShellsAndFaces,
  type Shape3D,
  type Wire,
} from 'replicad';
import {
  along,
  carried,
  castEdge,
  cross,
  middlesOf,
  realCorners,
  onPlate,
  pieceMesh,
  plateMesh,
  pointOn,
  scale,
  surfacesCutting,
  turn,
  type Bore,
  type EndCut,
  type Mesh,
  type Piece,
  type PieceCut,
  type PlacedPlate,
  type Surroundings,
  type Vector,
} from '@larchwood/core';
import { cylinder, joined, largestOf, straight, triple, volumeOf, without } from './shapes.js';
import { NotExact, toolsOf } from './tools.js';
import { acrossAt, tubeBetween } from './tube.js';

export interface PieceSolid {
  readonly shape: Shape3D;
  /** Why it comes in flat facets, where it does. */
  readonly facets?: string;
}

/** The uncut tube reaches so far past a cut in a plane, mm; and past a cope hardly at all, or what lies behind its host would stay. */
const PAST = { plane: 3, cope: 0.02 } as const;
/** A solid whose volume is farther off that of its edges is not trusted. */
const ALIKE = 0.003;
/** Wall lines between two that facets are made of: they take 0.08 % off a round tube. */
const FACET_LINES = 4;

/**
 * A piece as it is cut, coped, mitred, bent and drilled, in the vehicle's axes; mm. Its surfaces are exact where they can
 * be; else it is made of flat facets.
 */
export function pieceSolid(
  piece: Piece,
  cut: PieceCut,
  bores: readonly Bore[],
  around: Surroundings,
): PieceSolid {
  for (const way of WAYS) {
    try {
      const whole = exactPiece(piece, cut, around, way);
      if (!whole || !isCutAsMeant(piece, cut, whole, around)) continue;
      const drills = bores.flatMap((bore) => drillsOf(piece, cut, bore));
      return { shape: without(whole, drills) };
    } catch (error) {
      if (error instanceof NotExact) return { shape: facetted(piece, cut, bores), facets: error.message };
      // The modeller gave up on it this way.
    }
  }
  return { shape: facetted(piece, cut, bores), facets: 'its surfaces do not meet as they should' };
}

/** Ways to cut a tube: where a host touches it without crossing, one fails and another does it. `wider` is far less than can be measured, mm. */
const WAYS = [
  { wider: 0, atOnce: false },
  { wider: 0.003, atOnce: false },
  { wider: -0.003, atOnce: false },
  { wider: 0.003, atOnce: true },
] as const;

/** A piece without its holes; undefined where nothing is left. @throws NotExact */
function exactPiece(
  piece: Piece,
  cut: PieceCut,
  around: Surroundings,
  way: (typeof WAYS)[number],
): Shape3D | undefined {
  const [start, end] = cut.ends;
  const [from, to] = [start.station - start.edge.longest.at, end.station + end.edge.longest.at];
  const past = (each: EndCut) => (each.cut === 'coped' ? PAST.cope : PAST.plane);
  const tools = cut.ends.flatMap((each) => toolsOf(piece, each, around, way.wider));
  const { outside, inside } = tubeBetween(piece, cut, from - past(start), to + past(end));
  const tube = largestOf(without(outside, inside ? [inside, ...tools] : tools, way.atOnce));
  const caps = cut.ends.flatMap((each): Shape3D[] => {
    const made = piece.member.ends[each.end];
    if (made.cut !== 'capped') return [];
    const rim = acrossAt(piece, cut, each.end === 'start' ? from : to);
    return [straight(rim, scale(each.outward, made.thickness))];
  });
  return tube && joined([tube, ...caps]);
}

/** Whether a solid has as much metal as its edges say. */
function isCutAsMeant(piece: Piece, cut: PieceCut, whole: Shape3D, around: Surroundings): boolean {
  const metal = metalBetween(piece, cut, around);
  return Math.abs(volumeOf(whole) / metal - 1) < ALIKE;
}

/**
 * Metal of a cut piece, mm3. The core takes each wall line's edge as straight from the outside to the inside; where a host is
 * hardly wider than the tube it is not, and the middle of the wall is looked at, too. Source: Simpson's rule.
 */
function metalBetween(piece: Piece, cut: PieceCut, around: Surroundings): number {
  const more = cut.ends
    .filter((end) => end.cut === 'coped')
    .reduce((sum, end) => {
      const { outline, edge, wall } = end;
      const half = (a: Float64Array, b: Float64Array) => a.map((value, line) => (value + b[line]!) / 2);
      const middle = castEdge({
        ...end,
        outline: { ...outline, u: half(outline.u, outline.innerU), v: half(outline.v, outline.innerV) },
        surfaces: surfacesCutting(piece, end.end, around),
        body: end.straight + 2 * outline.reach,
      }).outer;
      const widths = half(outline.wide, outline.narrow);
      return widths.reduce((all, width, line) => {
        const bulge = (4 * middle[line]! - 2 * edge.outer[line]! - 2 * edge.inner[line]!) / 6;
        return Number.isNaN(bulge) ? all : all + width * wall * bulge;
      }, sum);
    }, 0);
  return cut.mass / (piece.density * 1e-9) + more;
}

/** The other of a pair. */
export const mirroredSolid = ({ shape, ...rest }: PieceSolid): PieceSolid => ({
  ...rest,
  shape: shape.clone().mirror('XZ'),
});

const facetted = (piece: Piece, cut: PieceCut, bores: readonly Bore[]): Shape3D =>
  without(
    facetsOf(pieceMesh(piece, cut, FACET_LINES)).simplify(),
    bores.flatMap((bore) => drillsOf(piece, cut, bore)),
  );

/** What drills or saws one hole: from the middle of the tube out through one wall. */
function drillsOf(piece: Piece, { ends: [start] }: PieceCut, bore: Bore): readonly Shape3D[] {
  const station = start.station - start.edge.longest.at + bore.fromStart;
  const { at, direction } = pointOn(piece.path, station);
  const outward = turn(carried(piece.path, piece.top, station), direction, bore.face);
  const middle = along(at, cross(direction, outward), bore.off);
  const deep = 2 * start.outline.reach;
  const half = (bore.long - bore.diameter) / 2;
  if (half <= 0) return [cylinder(middle, outward, deep, bore.diameter / 2)];
  const sides = {
    at: middle,
    direction: outward,
    top: direction,
    height: 2 * half,
    width: bore.diameter,
    corner: 0,
  };
  return [
    straight(sides, scale(outward, deep)),
    ...[-half, half].map((by) => cylinder(along(middle, direction, by), outward, deep, bore.diameter / 2)),
  ];
}

/** A closed mesh as a body of flat faces. */
function facetsOf({ positions, indices }: Mesh): Shape3D {
  const at = (index: number): Vector => [
    positions[3 * index]!,
    positions[3 * index + 1]!,
    positions[3 * index + 2]!,
  ];
  const faces = [];
  for (let index = 0; index < indices.length; index += 3) {
    const corners = [0, 1, 2].map((corner) => at(indices[index + corner]!)) as [Vector, Vector, Vector];
    const [a, b, c] = corners;
    const across = cross([b[0] - a[0], b[1] - a[1], b[2] - a[2]], [c[0] - a[0], c[1] - a[1], c[2] - a[2]]);
    // A triangle of no area holds nothing together.
    if (Math.hypot(...across) > 1e-6) faces.push(makePolygon(corners.map(triple)));
  }
  return makeSolid([weldShellsAndFaces(faces)]);
}

/** A plate with its holes, true round; a folded one as it is folded, sharp at its fold lines. */
export function plateSolid(placed: PlacedPlate): Shape3D {
  const { plate, normal } = placed;
  if (plate.bendLines.some(({ angle }) => angle !== 0)) return facetsOf(plateMesh(placed)).simplify();
  const low = (point: readonly [number, number]): Vector =>
    along(onPlate(placed, point), normal, -plate.thickness / 2);
  const corners = realCorners(plate.outline).map(([x, y]) => triple(low([x, y])));
  const outline = assembleWire(
    corners.map((corner, index) => makeLine(corner, corners[(index + 1) % corners.length]!)),
  );
  const holes = plate.holes.map((hole): Wire => {
    const radius = hole.diameter / 2;
    const [a, b] = middlesOf(hole);
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const long = Math.hypot(dx, dy);
    if (long < 1e-6) return assembleWire([makeCircle(radius, triple(low(a)), triple(normal))]);
    const [ux, uy] = [(dx / long) * radius, (dy / long) * radius];
    const round = (middle: readonly [number, number], sign: 1 | -1) =>
      [
        [middle[0] + sign * uy, middle[1] - sign * ux],
        [middle[0] + sign * ux, middle[1] + sign * uy],
        [middle[0] - sign * uy, middle[1] + sign * ux],
      ].map(([x, y]) => triple(low([x!, y!])));
    const [far, near] = [round(b, 1), round(a, -1)];
    return assembleWire([
      makeThreePointArc(far[0]!, far[1]!, far[2]!),
      makeLine(far[2]!, near[0]!),
      makeThreePointArc(near[0]!, near[1]!, near[2]!),
      makeLine(near[2]!, far[0]!),
    ]);
  });
  return basicFaceExtrusion(
    addHolesInFace(makeFace(outline), holes),
    new Arrow(triple(scale(normal, plate.thickness))),
  );
}
