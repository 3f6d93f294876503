import { BufferAttribute, BufferGeometry } from 'three';
import {
  edgePoint,
  pieceMesh,
  plateMesh,
  type Mesh,
  type Piece,
  type PieceCut,
  type PlacedPlate,
} from '@larchwood/core';

/** Wall lines left out between two that are drawn: of the whole frame, and in a close-up. */
export const COARSE = 15;
export const FINE = 3;

function geometryOf({ positions, normals, indices }: Mesh): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(normals, 3));
  geometry.setIndex(new BufferAttribute(indices, 1));
  return geometry;
}

const solids = new WeakMap<PieceCut, Map<number, BufferGeometry>>();
const edges = new WeakMap<PieceCut, Map<number, BufferGeometry>>();
const plates = new WeakMap<PlacedPlate, BufferGeometry>();

function remembered<K extends object>(
  known: WeakMap<K, Map<number, BufferGeometry>>,
  key: K,
  every: number,
  make: () => BufferGeometry,
): BufferGeometry {
  let ofKey = known.get(key);
  if (!ofKey) known.set(key, (ofKey = new Map()));
  let geometry = ofKey.get(every);
  if (!geometry) ofKey.set(every, (geometry = make()));
  return geometry;
}

/** A cut tube's solid. Cuts that an edit leaves alone keep theirs. */
export const solidOf = (piece: Piece, cut: PieceCut, every: number): BufferGeometry =>
  remembered(solids, cut, every, () => geometryOf(pieceMesh(piece, cut, every)));

/** The cut edges of a tube as lines, outside and inside. */
export const edgesOf = (cut: PieceCut, every: number): BufferGeometry =>
  remembered(edges, cut, every, () => {
    const points: number[] = [];
    for (const end of cut.ends) {
      for (const wall of ['outer', 'inner'] as const) {
        const lines = end.edge[wall];
        const [us, vs] =
          wall === 'outer' ? [end.outline.u, end.outline.v] : [end.outline.innerU, end.outline.innerV];
        const at = (line: number) => {
          const value = lines[line % lines.length]!;
          const along = Number.isNaN(value) ? end.edge.longest.at : value;
          return edgePoint(end, us[line % lines.length]!, vs[line % lines.length]!, along);
        };
        for (let line = 0; line < lines.length; line += every) points.push(...at(line), ...at(line + every));
      }
    }
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(Float32Array.from(points), 3));
    return geometry;
  });

export function plateGeometry(plate: PlacedPlate): BufferGeometry {
  let geometry = plates.get(plate);
  if (!geometry) plates.set(plate, (geometry = geometryOf(plateMesh(plate))));
  return geometry;
}
