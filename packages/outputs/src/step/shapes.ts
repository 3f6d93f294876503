import {
  assembleWire,
  basicFaceExtrusion,
  cast,
  getOC,
  loft,
  makeCircle,
  makeCylinder,
  makeEllipse,
  makeFace,
  makeLine,
  makePolygon,
  makeThreePointArc,
  revolution,
  Vector as Arrow,
  type Edge,
  type Face,
  type Shape3D,
  type Wire,
} from 'replicad';
import type { TopoDS_Shape } from 'replicad-opencascadejs';
import { add, along, cross, scale, type Vector } from '@larchwood/core';

export type Triple = [number, number, number];
export const triple = ([x, y, z]: Vector): Triple => [x, y, z];

/** A section across a tube: where it lies, and its size along `top` and square to it; mm. */
export interface Across {
  readonly at: Vector;
  readonly direction: Vector;
  readonly top: Vector;
  readonly height: number;
  readonly width: number;
  /** Radius of its corners; none of a circle or an ellipse. */
  readonly corner?: number;
  /** Its two ends are half circles: a round tube that is pressed. */
  readonly pressed?: true;
}

/** Sizes that differ by less are one, mm. */
const SAME = 1e-9;

export function rimOf(section: Across): Wire {
  const { at, direction, top, height, width, corner, pressed } = section;
  if (pressed) return pressedRim(section);
  if (corner !== undefined) return boxRim(section, corner);
  if (Math.abs(width - height) < SAME)
    return assembleWire([makeCircle(width / 2, triple(at), triple(direction))]);
  const long = height > width ? top : cross(direction, top);
  return assembleWire([
    makeEllipse(
      Math.max(width, height) / 2,
      Math.min(width, height) / 2,
      triple(at),
      triple(direction),
      triple(long),
    ),
  ]);
}

/** Signs of the corners along the top and the side, anticlockwise. */
const CORNERS = [
  [1, 1],
  [-1, 1],
  [-1, -1],
  [1, -1],
] as const;

/** Round each corner, and straight to the next. */
function boxRim({ at, direction, top, height, width }: Across, corner: number): Wire {
  const side = cross(direction, top);
  const [a, b] = [height / 2, width / 2];
  const radius = Math.min(corner, a, b);
  const put = (up: number, over: number) => triple(add(at, add(scale(top, up), scale(side, over))));
  /** Where the round of a corner begins and ends, and its middle. */
  const round = CORNERS.map(([up, over], index) => {
    const ends = [put(up * a, over * (b - radius)), put(up * (a - radius), over * b)];
    const inward = radius * (1 - Math.SQRT1_2);
    return {
      ends: index % 2 === 0 ? ends : ends.reverse(),
      middle: put(up * (a - inward), over * (b - inward)),
    };
  });
  const edges = round.flatMap(({ ends: [from, to], middle }, index): Edge[] => {
    const next = round[(index + 1) % round.length]!.ends[0]!;
    return [...(radius > 1e-6 ? [makeThreePointArc(from!, middle, to!)] : []), makeLine(to!, next)];
  });
  return assembleWire(edges);
}

/** Least straight of a pressed rim: a round one has as many edges as a flat one, to be drawn through both; mm. */
const LEAST_STRAIGHT = 0.01;

/** Two straights across, a half circle at each end. */
function pressedRim({ at, direction, top, height, width }: Across): Wire {
  const side = cross(direction, top);
  const radius = height / 2;
  const half = Math.max(LEAST_STRAIGHT, width - height) / 2;
  const put = (up: number, over: number) => triple(add(at, add(scale(top, up), scale(side, over))));
  return assembleWire([
    makeLine(put(radius, -half), put(radius, half)),
    makeThreePointArc(put(radius, half), put(0, half + radius), put(-radius, half)),
    makeLine(put(-radius, half), put(-radius, -half)),
    makeThreePointArc(put(-radius, -half), put(0, -half - radius), put(radius, -half)),
  ]);
}

const faceOf = (section: Across): Face => makeFace(rimOf(section));

/** A section moved straight along. */
export const straight = (section: Across, by: Vector): Shape3D =>
  basicFaceExtrusion(faceOf(section), new Arrow(triple(by)));
/** From one section straight to another: a cone, or what lies between two ellipses. */
export const between = (first: Across, second: Across): Shape3D =>
  loft([rimOf(first), rimOf(second)], { ruled: true });
/** Smoothly through sections. */
export const through = (sections: readonly Across[]): Shape3D => loft(sections.map(rimOf), { ruled: false });
/** A section turned about an axis; degrees. */
export const turned = (section: Across, centre: Vector, axis: Vector, degrees: number): Shape3D =>
  revolution(faceOf(section), triple(centre), triple(axis), degrees);
export const cylinder = (from: Vector, axis: Vector, length: number, radius: number): Shape3D =>
  makeCylinder(radius, length, triple(from), triple(axis));

/**
 * A profile of ways along an axis and radii, turned all the way round it.
 * @param side unit vector square to the axis
 */
export function lathe(
  from: Vector,
  axis: Vector,
  side: Vector,
  profile: readonly (readonly [way: number, radius: number])[],
): Shape3D {
  const face = makePolygon(
    profile.map(([way, radius]) => triple(add(along(from, axis, way), scale(side, radius)))),
  );
  return revolution(face, triple(from), triple(axis), 360);
}

/** A part of a centre line: straight, or round through its middle. */
export interface Stretch {
  readonly from: Vector;
  readonly middle?: Vector;
  readonly to: Vector;
}

/** A section that keeps its size, along a centre line that begins in it. */
export function alongLine(section: Across, line: readonly Stretch[]): Shape3D {
  const spine = assembleWire(
    line.map(({ from, middle, to }) =>
      middle
        ? makeThreePointArc(triple(from), triple(middle), triple(to))
        : makeLine(triple(from), triple(to)),
    ),
  );
  const pipe = new (getOC().BRepOffsetAPI_MakePipe)(spine.wrapped, faceOf(section).wrapped);
  return cast(pipe.Shape()) as Shape3D;
}

/**
 * What is left of a body when tools are taken off it.
 * @param atOnce all of them together; one after the other costs less where they cross each other
 */
export function without(body: Shape3D, tools: readonly Shape3D[], atOnce = false): Shape3D {
  if (tools.length === 0) return body;
  const groups = atOnce ? [tools] : tools.map((tool) => [tool]);
  const left = groups.reduce<TopoDS_Shape>((rest, group, index) => {
    const oc = getOC();
    const cut = new oc.BRepAlgoAPI_Cut();
    cut.SetArguments(listOf([rest]));
    cut.SetTools(listOf(group.map(({ wrapped }) => wrapped)));
    cut.SetToFillHistory(false);
    cut.Build(new oc.Message_ProgressRange());
    if (index === groups.length - 1) cut.SimplifyResult(true, true, SAME_ANGLE);
    return cut.Shape();
  }, body.wrapped);
  return cast(left) as Shape3D;
}

/** Bodies that meet face on face as one. @param simplified faces that go on in each other become one */
export function joined(shapes: readonly Shape3D[], simplified = true): Shape3D {
  if (shapes.length === 1) return shapes[0]!;
  const oc = getOC();
  const join = new oc.BRepAlgoAPI_Fuse();
  join.SetArguments(listOf([shapes[0]!.wrapped]));
  join.SetTools(listOf(shapes.slice(1).map(({ wrapped }) => wrapped)));
  join.SetGlue(oc.BOPAlgo_GlueEnum.BOPAlgo_GlueShift);
  join.SetToFillHistory(false);
  join.Build(new oc.Message_ProgressRange());
  if (simplified) join.SimplifyResult(true, true, SAME_ANGLE);
  return cast(join.Shape()) as Shape3D;
}

/** Faces and edges that turn less into each other are one, radians. */
const SAME_ANGLE = 1e-3;

function listOf(shapes: readonly TopoDS_Shape[]) {
  const all = new (getOC().NCollection_List_TopoDS_Shape)();
  shapes.forEach((shape) => all.Append(shape));
  return all;
}

/** How exactly a volume is integrated, as a share of it. */
const EXACTLY = 1e-5;

/** mm3 */
export function volumeOf(shape: Shape3D): number {
  const oc = getOC();
  const found = new oc.GProp_GProps();
  oc.BRepGProp.VolumeProperties(shape.wrapped, found, EXACTLY, false, false);
  const volume = found.Mass();
  found.delete();
  return volume;
}

/** The largest of what a cut has left; small crumbs beyond a cope are none of the piece. */
export function largestOf(shape: Shape3D): Shape3D | undefined {
  const solids = solidsIn(shape);
  if (solids.length < 2) return solids[0];
  const sized = solids.map((solid) => ({ solid, volume: volumeOf(solid) }));
  return sized.reduce((most, each) => (each.volume > most.volume ? each : most)).solid;
}

/** The bodies that a shape is made of. */
export function solidsIn(shape: Shape3D): readonly Shape3D[] {
  const oc = getOC();
  const solids: Shape3D[] = [];
  const explorer = new oc.TopExp_Explorer(
    shape.wrapped,
    oc.TopAbs_ShapeEnum.TopAbs_SOLID,
    oc.TopAbs_ShapeEnum.TopAbs_SHAPE,
  );
  for (; explorer.More(); explorer.Next()) solids.push(cast(explorer.Current()) as Shape3D);
  explorer.delete();
  return solids;
}
