import { pieceMesh, plateMesh, type Mesh, type Plan } from '@larchwood/core';

export interface NamedMesh {
  readonly mark: string;
  readonly name: string;
  readonly sort: 'tube' | 'plate';
  readonly mesh: Mesh;
}

/** Every piece as a solid, by its mark; `every` says how many wall lines lie between two that are taken. */
export function meshesOf(plan: Plan, every: number): readonly NamedMesh[] {
  const pieces = new Map(plan.frame.pieces.map((piece) => [piece.id, piece]));
  return [
    ...[...plan.given, ...plan.cuts].map((cut): NamedMesh => ({
      mark: cut.mark,
      name: cut.name,
      sort: 'tube',
      mesh: pieceMesh(pieces.get(cut.piece)!, cut, every),
    })),
    ...plan.frame.plates.map((plate): NamedMesh => ({
      mark: plate.mark,
      name: plate.name,
      sort: 'plate',
      mesh: plateMesh(plate),
    })),
  ];
}
