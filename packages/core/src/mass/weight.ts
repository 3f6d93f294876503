import type { BuildDocument } from '@larchwood/format';
import type { PieceCut } from '../joints/cut.js';
import { add, scale, type Vector } from '../vector/vector.js';
import type { Frame } from '../frame/frame.js';

export interface PieceWeight {
  readonly id: string;
  readonly mark: string;
  readonly name: string;
  readonly member: string;
  readonly group: string | undefined;
  readonly sort: 'tube' | 'plate';
  /** kg; of a tube as it ends, with its caps. */
  readonly mass: number;
  readonly at: Vector;
}

/** Mass and centre of gravity of every tube as cut, and of every plate. */
export function frameWeight({ pieces, plates }: Frame, cuts: readonly PieceCut[]): readonly PieceWeight[] {
  const cutOf = new Map(cuts.map((cut) => [cut.piece, cut]));
  return [
    ...pieces.map((piece): PieceWeight => ({
      id: piece.id,
      mark: piece.mark,
      name: piece.name,
      member: piece.member.id,
      group: piece.member.group,
      sort: 'tube',
      mass: cutOf.get(piece.id)?.mass ?? piece.mass,
      at: cutOf.get(piece.id)?.centre ?? scale(add(piece.start, piece.end), 0.5),
    })),
    ...plates.map((plate): PieceWeight => ({
      id: plate.id,
      mark: plate.mark,
      name: plate.name,
      member: plate.plate.id,
      group: plate.plate.group,
      sort: 'plate',
      mass: plate.mass,
      at: plate.centre,
    })),
  ];
}

export interface GroupWeight {
  readonly id: string;
  readonly name: string;
  readonly mass: number;
}

/** Mass by group, in the document's order; what is in no group comes last. */
export function groupWeights(
  { frame }: Pick<BuildDocument, 'frame'>,
  weights: readonly PieceWeight[],
): readonly GroupWeight[] {
  const total = (id: string | undefined) =>
    weights.filter((weight) => weight.group === id).reduce((sum, weight) => sum + weight.mass, 0);
  const rest = total(undefined);
  return [
    ...frame.groups.map(({ id, name }) => ({ id, name, mass: total(id) })),
    ...(rest > 0 ? [{ id: '', name: 'Others', mass: rest }] : []),
  ];
}
