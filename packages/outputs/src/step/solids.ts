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
  findMaterial,
  MESH_BEND_STEP,
  metalTaken,
  middlesOf,
  realCorners,
  onPlate,
  pieceMesh,
  plateMesh,
  pointOn,
  scale,
  sizeAt,
  surfacesCutting,
  toRadians,
  turn,
  wallThickness,
  type Bore,
  type EndCut,
  type Mesh,
  type Piece,
  type PieceCut,
  type PlacedPlate,
  type Surroundings,
  type Vector,
} from '@larchwood/core';
import { boxAround, isSound, type Meant } from './sound.js';
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
  const drills = bores.flatMap((bore) => drillsOf(piece, cut, bore));
  const drilled = bores.reduce((sum, bore) => sum + boredMetal(piece, cut, bore), 0);
  const box = boxAround(pieceMesh(piece, cut, 1).positions);
  const boxOff = ALIKE_BOX + Math.max(0, ...piece.path.arcs.map(({ radius }) => meshOff(piece, radius)));
  for (const way of WAYS) {
    try {
      const made = exactPiece(piece, cut, around, way);
      if (!made || !isCutAsMeant(piece, cut, made.whole, around)) continue;
      const metal = volumeOf(made.whole);
      const meant: Meant = {
        // Holes that run into each other or over an end take less.
        volume: [
          metal * (1 - ALIKE_DRILLED) - drilled,
          metal * (1 + ALIKE_DRILLED) - drilled * LEAST_DRILLED,
        ],
        ...{ box, boxOff },
      };
      for (const order of made.caps.length > 0 ? ORDERS : ORDERS.slice(0, 1)) {
        const shape = order(made, drills);
        if (isSound(shape, meant)) return { shape };
      }
    } catch (error) {
      if (error instanceof NotExact)
        return { shape: facetted(piece, cut, drills, drilled), facets: error.message };
      // The modeller gave up on it this way.
    }
  }
  return { shape: facetted(piece, cut, drills, drilled), facets: 'its surfaces do not meet as they should' };
}

/** Ways to cut a tube: where a host touches it without crossing, one fails and another does it. `wider` is far less than can be measured, mm. */
const WAYS = [
  { wider: 0, atOnce: false },
  { wider: 0.0002, atOnce: false },
  { wider: -0.0002, atOnce: false },
  { wider: 0.0002, atOnce: true },
  { wider: 0.003, atOnce: false },
  { wider: -0.003, atOnce: false },
  { wider: 0.003, atOnce: true },
] as const;

/** A piece without its holes, and what it was joined from. */
interface Uncapped {
  readonly whole: Shape3D;
  readonly tube: Shape3D;
  readonly caps: readonly Shape3D[];
}

/** Orders in which holes are taken off: after a cap is joined the seam of its round can spoil the cut, before it does not. */
const ORDERS: readonly ((made: Uncapped, drills: readonly Shape3D[]) => Shape3D)[] = [
  ({ whole }, drills) => without(whole, drills),
  ({ tube, caps }, drills) => joined([without(tube, drills), ...caps]),
  ({ tube, caps }, drills) => without(joined([tube, ...caps], false), drills, true),
];

/** A piece without its holes; undefined where nothing is left. @throws NotExact */
function exactPiece(
  piece: Piece,
  cut: PieceCut,
  around: Surroundings,
  way: (typeof WAYS)[number],
): Uncapped | undefined {
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
  return tube && { whole: joined([tube, ...caps]), tube, caps };
}

/** What a finished solid's box may be off the plan's, and its volume beside its holes' metal. */
const ALIKE_BOX = 0.1;
const ALIKE_DRILLED = 0.002;
const LEAST_DRILLED = 0.5;

/** How far the outside of a mesh stands inside of a true bend: half of a step's sagitta, mm. */
const meshOff = (piece: Piece, radius: number): number => {
  const { width, height } = sizeAt(piece.section, piece.length, 0);
  return (radius + Math.hypot(width, height) / 2) * (1 - Math.cos(toRadians(MESH_BEND_STEP / 2)));
};

/** Metal of a hole, mm3: a round wall is cut by the drill's own round. */
function boredMetal(piece: Piece, cut: PieceCut, bore: Bore): number {
  const flat = metalTaken(piece, cut, bore).volume;
  if (piece.section.shape !== 'round') return flat;
  const { outline, station, edge } = cut.ends[0];
  const radius = outline.reach;
  const wall = wallThickness(piece, cut, station - edge.longest.at + bore.fromStart);
  const half = bore.diameter / 2;
  let [deep, width] = [0, 0];
  for (let step = 0; step < BORE_STEPS; step += 1) {
    const across = half * (-1 + (2 * step + 1) / BORE_STEPS);
    const chord = Math.sqrt(half * half - across * across) + (bore.long - bore.diameter) / 2;
    const off = bore.off + across;
    const outer = Math.sqrt(Math.max(0, radius * radius - off * off));
    const inner = Math.sqrt(Math.max(0, (radius - wall) ** 2 - off * off));
    deep += chord * (outer - inner);
    width += chord * wall;
  }
  return width > 0 ? flat * (deep / width) : flat;
}
const BORE_STEPS = 64;

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

/** A piece as a body of flat faces. @throws RangeError where it is not the plan's metal either */
function facetted(piece: Piece, cut: PieceCut, drills: readonly Shape3D[], drilled: number): Shape3D {
  const metal = cut.mass / (piece.density * 1e-9);
  const whole = facetsOf(pieceMesh(piece, cut, FACET_LINES));
  const volume: Meant['volume'] = [metal * (1 - ALIKE_FACETS) - drilled, metal * (1 + ALIKE_FACETS)];
  for (const simplified of [true, false]) {
    const shape = without(simplified ? whole.simplify() : whole, drills);
    // What is cut as it cannot be has no volume to be held to.
    if (cut.ends.some(({ impossible }) => impossible)) return shape;
    const own = volumeOf(shape);
    if (own >= volume[0] && own <= volume[1]) return shape;
  }
  throw new RangeError(`No solid can be made of piece ${piece.mark}.`);
}
/** A body of flat faces may have so much more or less metal than the plan, as a share. */
const ALIKE_FACETS = 0.01;

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

/**
 * A plate with its holes, true round; a folded one as it is folded, sharp at its fold lines.
 * @throws RangeError where no sound solid can be made of it
 */
export function plateSolid(placed: PlacedPlate): Shape3D {
  const { plate, normal } = placed;
  if (plate.bendLines.some(({ angle }) => angle !== 0)) return facetsOf(plateMesh(placed)).simplify();
  const low = (point: readonly [number, number]): Vector =>
    along(onPlate(placed, point), normal, -plate.thickness / 2);
  const corners = realCorners(plate.outline).map(([x, y]) => triple(low([x, y])));
  const outline = makeFace(
    assembleWire(corners.map((corner, index) => makeLine(corner, corners[(index + 1) % corners.length]!))),
  );
  const rims = plate.holes.map((hole) => rimOfHole(hole, low, normal));
  const up = new Arrow(triple(scale(normal, plate.thickness)));
  const metal = placed.mass / ((findMaterial(plate.material)?.density ?? NaN) * 1e-9);
  const blank = basicFaceExtrusion(outline.clone(), up);
  // Holes that run into each other, or over the edge, take less than each by itself.
  const meant: Meant = { volume: [metal * (1 - ALIKE_DRILLED), volumeOf(blank) * (1 + ALIKE_DRILLED)] };
  const ways: readonly (() => Shape3D)[] = [
    () => basicFaceExtrusion(addHolesInFace(outline, rims), up),
    () =>
      without(
        blank,
        plate.holes.map((hole) => basicFaceExtrusion(makeFace(rimOfHole(hole, low, normal)), up)),
      ),
  ];
  for (const way of ways) {
    try {
      const shape = way();
      if (isSound(shape, meant)) return shape;
    } catch {
      // The modeller gave up on it this way.
    }
  }
  throw new RangeError(`No solid can be made of plate ${placed.mark}.`);
}

/** Rim of a round hole or a slot, on the lower face of its plate. */
function rimOfHole(
  hole: PlacedPlate['plate']['holes'][number],
  low: (point: readonly [number, number]) => Vector,
  normal: Vector,
): Wire {
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
}
