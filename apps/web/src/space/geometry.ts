import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  Color,
  CylinderGeometry,
  EdgesGeometry,
  LinearSRGBColorSpace,
  Matrix4,
  Quaternion,
  TorusGeometry,
  Vector3,
} from 'three';
import { mergeGeometries } from 'three/addons/utils/BufferGeometryUtils.js';
import {
  closedByJoints,
  wallPoint,
  pieceMesh,
  plateMesh,
  type Mesh,
  type Piece,
  type PieceCut,
  type PlacedPlate,
  type Solid,
  type StandingWheel,
  type Vector,
} from '@larchwood/core';

/** How much of a tube is drawn. */
export interface Detail {
  /** Wall lines from one that is drawn to the next. */
  readonly every: number;
  /** Whether every tube stands in its place, whole, so that what it is welded to hides its inside. */
  readonly joined: boolean;
}
export const WHOLE_FRAME: Detail = { every: 15, joined: true };
export const TAKEN_APART: Detail = { every: 15, joined: false };
export const CLOSE_UP: Detail = { every: 3, joined: false };

/**
 * Half from the sky, half from the ground where a wall stands upright; and one lamp, high ahead on the
 * right. Shares of full light, chosen by eye so that no face is lost in either theme. */
const SKY = 0.67;
const GROUND = 0.11;
const LAMP = { from: [0.329, -0.548, 0.769], share: 0.48 } as const;

/** How light each corner of a mesh is, as a grey: worked out once, since neither frame nor lamp moves. */
function shades({ normals }: Mesh): Float32Array {
  const out = new Float32Array(normals.length);
  for (let at = 0; at < normals.length; at += 3) {
    const [x, y, z] = [normals[at]!, normals[at + 1]!, normals[at + 2]!];
    const facing = Math.max(0, x * LAMP.from[0] + y * LAMP.from[1] + z * LAMP.from[2]);
    out.fill(SKY * ((1 + z) / 2) + GROUND * ((1 - z) / 2) + LAMP.share * facing, at, at + 3);
  }
  return out;
}

export function shaded(mesh: Mesh): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  geometry.setAttribute('color', new BufferAttribute(shades(mesh), 3));
  geometry.setIndex(new BufferAttribute(mesh.indices, 1));
  return geometry;
}

type Kept = WeakMap<PieceCut, Map<string, BufferGeometry>>;
const solids: Kept = new WeakMap();
const edges: Kept = new WeakMap();
const plates = new WeakMap<PlacedPlate, BufferGeometry>();

/** Cuts that an edit leaves alone keep their geometry. */
function remembered(known: Kept, cut: PieceCut, key: string, make: () => BufferGeometry): BufferGeometry {
  let ofCut = known.get(cut);
  if (!ofCut) known.set(cut, (ofCut = new Map()));
  let geometry = ofCut.get(key);
  if (!geometry) ofCut.set(key, (geometry = make()));
  return geometry;
}

/** A cut tube's solid, or of one whose inside is not seen no more than its outside. */
function solidOf(piece: Piece, cut: PieceCut, { every, joined }: Detail): BufferGeometry {
  const inside = !joined || !closedByJoints(cut);
  return remembered(solids, cut, `${every} ${inside}`, () => shaded(pieceMesh(piece, cut, every, inside)));
}

/** The cut edges of a tube as lines; inside of its wall too where that is seen. */
const edgesOf = (cut: PieceCut, { every, joined }: Detail): BufferGeometry =>
  remembered(edges, cut, `${every} ${joined}`, () => {
    const points: number[] = [];
    for (const end of cut.ends) {
      for (const inside of joined ? [false] : [false, true]) {
        const lines = inside ? end.edge.inner : end.edge.outer;
        const at = (line: number) => {
          const index = line % lines.length;
          return wallPoint(end, index, lines[index]!, inside);
        };
        for (let line = 0; line < lines.length; line += every) points.push(...at(line), ...at(line + every));
      }
    }
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(Float32Array.from(points), 3));
    return geometry;
  });

const wheels = new WeakMap<StandingWheel, BufferGeometry>();

/** A wheel as a tyre without spokes. */
export function wheelGeometry(wheel: StandingWheel): BufferGeometry {
  let geometry = wheels.get(wheel);
  if (!geometry) {
    const thick = Math.min(wheel.width / 2, wheel.radius * 0.3);
    const upright = new Vector3(0, 0, 1);
    const tyre = new TorusGeometry(wheel.radius - thick, thick, 10, 64)
      .scale(1, 1, wheel.width / 2 / thick)
      .applyQuaternion(new Quaternion().setFromUnitVectors(upright, new Vector3(...wheel.spindle)))
      .translate(...wheel.centre);
    geometry = shaded(meshOf(tyre));
    wheels.set(wheel, geometry);
  }
  return geometry;
}

export const meshOf = (geometry: BufferGeometry): Mesh => ({
  positions: Float32Array.from(geometry.getAttribute('position').array),
  normals: Float32Array.from(geometry.getAttribute('normal').array),
  indices: Uint32Array.from(geometry.index!.array),
});

const forms = new WeakMap<Solid, BufferGeometry>();

/** A box or a rod, as of a fixture, in a colour. */
export function solidPart(solid: Solid, tint: string): Part {
  let geometry = forms.get(solid);
  if (!geometry) forms.set(solid, (geometry = shaded(meshOf(formOf(solid)))));
  return { solid: geometry, tint, offset: STILL };
}

function formOf(solid: Solid): BufferGeometry {
  if (solid.as === 'box') {
    const { axes, centre, half } = solid;
    const [x, y, z] = axes.map((axis) => new Vector3(...axis)) as [Vector3, Vector3, Vector3];
    // A box turned inside out by left-handed axes would show its inside.
    if (new Vector3().crossVectors(x, y).dot(z) < 0) z.negate();
    return new BoxGeometry(2 * half[0], 2 * half[1], 2 * half[2]).applyMatrix4(
      new Matrix4().makeBasis(x, y, z).setPosition(...centre),
    );
  }
  const [from, to] = [new Vector3(...solid.from), new Vector3(...solid.to)];
  const way = to.clone().sub(from);
  const turn = new Quaternion().setFromUnitVectors(new Vector3(0, 1, 0), way.clone().normalize());
  return new CylinderGeometry(solid.radius, solid.radius, way.length(), 20)
    .applyQuaternion(turn)
    .translate(...from.add(to).multiplyScalar(0.5).toArray());
}

function plateGeometry(plate: PlacedPlate): BufferGeometry {
  let geometry = plates.get(plate);
  if (!geometry) plates.set(plate, (geometry = shaded(plateMesh(plate))));
  return geometry;
}

/** A tube or a plate to be drawn: in which colour, and how far from its place. */
export interface Part {
  /** None for a plate. */
  readonly piece?: Piece;
  readonly solid: BufferGeometry;
  readonly edges?: BufferGeometry;
  readonly tint: string;
  readonly offset: Vector;
}
export const STILL: Vector = [0, 0, 0];

export const tubePart = (
  piece: Piece,
  cut: PieceCut,
  detail: Detail,
  tint: string,
  offset: Vector = STILL,
): Part => ({ piece, solid: solidOf(piece, cut, detail), edges: edgesOf(cut, detail), tint, offset });

export const platePart = (plate: PlacedPlate, tint: string, offset: Vector = STILL): Part => ({
  solid: plateGeometry(plate),
  edges: plateEdges(plate),
  tint,
  offset,
});

export interface Assembly {
  readonly solid: BufferGeometry;
  readonly edges: BufferGeometry;
  /** The part that a triangle of the solid belongs to. */
  readonly partAt: (face: number) => Part | undefined;
}

/** Many parts as one solid and one set of lines: what a picture costs is mostly the number of things in it. */
export function assembled(parts: readonly Part[]): Assembly {
  const solid = merged(parts.map(({ solid, tint, offset }) => moved(tinted(solid, tint), offset)));
  const edges = merged(parts.flatMap(({ edges, offset }) => (edges ? [moved(edges, offset)] : [])));
  const partAt = (face: number) => {
    const index = solid.groups.findIndex(({ start, count }) => face * 3 < start + count);
    return parts[index];
  };
  return { solid, edges, partAt };
}

/** The sharp edges of a plate, as lines. */
const plateEdges = (plate: PlacedPlate): BufferGeometry => {
  let lines = plateLines.get(plate);
  if (!lines) plateLines.set(plate, (lines = new EdgesGeometry(plateGeometry(plate), SHARP)));
  return lines;
};
const plateLines = new WeakMap<PlacedPlate, BufferGeometry>();
/** Faces that meet at more than this, degrees, meet at an edge. */
const SHARP = 30;

const merged = (geometries: BufferGeometry[]): BufferGeometry =>
  geometries.length > 0 ? mergeGeometries(geometries, true) : new BufferGeometry();

/** A shaded solid in a colour; its own form is shared. Light counts in linear shares, and the screen's curve is put on here. */
export function tinted(solid: BufferGeometry, tint: string): BufferGeometry {
  const full = new Color().setStyle(tint, LinearSRGBColorSpace).convertSRGBToLinear();
  const mixed = new Color();
  const grey = solid.getAttribute('color').array;
  const colours = new Float32Array(grey.length);
  for (let at = 0; at < grey.length; at += 3)
    mixed.copy(full).multiplyScalar(grey[at]!).convertLinearToSRGB().toArray(colours, at);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', solid.getAttribute('position'));
  geometry.setAttribute('color', new BufferAttribute(colours, 3));
  geometry.setIndex(solid.index);
  return geometry;
}

function moved(geometry: BufferGeometry, offset: Vector): BufferGeometry {
  return offset === STILL ? geometry : geometry.clone().translate(...offset);
}
