import type { BuildDocument } from '../document/schema.js';
import type { PieceCut } from '../joints/cut.js';
import { add, scale, type Vector } from '../vector/vector.js';
import type { Frame, Piece } from './frame.js';
import { pointOn, type Path } from './path.js';

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

/** Mass and centre of every tube and plate. The centre of a tube is that of its centre line: its cut ends hardly move it. */
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
      at: middleOf(piece),
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

function middleOf({ path, start, end }: Piece): Vector {
  return path.legs.length === 1 ? scale(add(start, end), 0.5) : middleOfPath(path);
}

function middleOfPath(path: Path): Vector {
  const parts = [
    ...path.legs.map((leg) => ({ length: leg.length, at: pointOn(path, leg.station + leg.length / 2).at })),
    // An arc's centroid lies sin(a) / a of its radius out from the centre, a being half its angle.
    ...path.arcs.map((arc) => {
      const half = (arc.angle * Math.PI) / 360;
      const { at } = pointOn(path, arc.station + arc.length / 2);
      const share = Math.sin(half) / half;
      return { length: arc.length, at: add(scale(at, share), scale(arc.centre, 1 - share)) };
    }),
  ];
  return parts.reduce<Vector>((sum, { length, at }) => add(sum, scale(at, length / path.length)), [0, 0, 0]);
}

export interface GroupWeight {
  readonly id: string;
  readonly name: string;
  readonly mass: number;
}

/** Mass by group, in the document's order; what is in no group comes last. */
export function groupWeights(
  { frame }: BuildDocument,
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
