import type { BuildDocument } from '@larchwood/format';
import type { PieceCut } from '../joints/cut.js';
import { metalTaken, type Bore, type DrilledPiece } from '../holes/holes.js';
import type { Recesses } from '../steering/made/madePart.js';
import { add, scale, subtract, type Vector } from '../vector/vector.js';
import type { Frame, Piece } from '../frame/frame.js';

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

/** Mass and centre of gravity of every tube as cut and drilled, and of every plate. */
export function frameWeight(
  { pieces, plates }: Frame,
  cuts: readonly PieceCut[],
  drilled: readonly DrilledPiece[] = [],
  recesses: readonly Recesses[] = [],
): readonly PieceWeight[] {
  const cutOf = new Map(cuts.map((cut) => [cut.piece, cut]));
  const boresOf = new Map(drilled.map(({ piece, bores }) => [piece, bores]));
  return [
    ...pieces.map((piece): PieceWeight => ({
      id: piece.id,
      mark: piece.mark,
      name: piece.name,
      member: piece.member.id,
      group: piece.member.group,
      sort: 'tube',
      ...lessRecesses(
        drilledWeight(piece, cutOf.get(piece.id), boresOf.get(piece.id) ?? []),
        piece,
        recesses,
      ),
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

/** What is bored out alike at both ends leaves the centre of gravity where it was. */
function lessRecesses<W extends Pick<PieceWeight, 'mass'>>(
  weight: W,
  { member, density }: Piece,
  recesses: readonly Recesses[],
): W {
  const volume = recesses
    .filter(({ member: of, section }) => of === member.id && section === member.section)
    .reduce((sum, each) => sum + each.volume, 0);
  return volume === 0 ? weight : { ...weight, mass: Math.max(0, weight.mass - volume * 1e-9 * density) };
}

/** A tube less what its holes took, by moments; kg, mm. */
function drilledWeight(
  piece: Piece,
  cut: PieceCut | undefined,
  bores: readonly Bore[],
): Pick<PieceWeight, 'mass' | 'at'> {
  if (!cut) return { mass: piece.mass, at: scale(add(piece.start, piece.end), 0.5) };
  const taken = bores.map((bore) => metalTaken(piece, cut, bore));
  const kg = (volume: number) => volume * 1e-9 * piece.density;
  const mass = taken.reduce((left, { volume }) => left - kg(volume), cut.mass);
  // Holes that meet are counted twice: more than there is cannot be taken.
  if (taken.length === 0 || mass <= 0) return { mass: cut.mass, at: cut.centre };
  const moment = taken.reduce(
    (sum, { volume, at }) => subtract(sum, scale(at, kg(volume))),
    scale(cut.centre, cut.mass),
  );
  return { mass, at: scale(moment, 1 / mass) };
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
