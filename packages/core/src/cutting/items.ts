import type { BuildDocument, CutOrder } from '@larchwood/format';
import type { Frame, Piece, PlacedPlate } from '../frame/frame.js';
import { acrossOf } from '../frame/sections.js';
import { webOf, type DrilledPiece } from '../holes/holes.js';
import type { PieceCut } from '../joints/cut.js';
import { plateWeb } from '../plates/findings.js';
import { marksMade } from '../stock/orders.js';

/** A hole as who cuts it looks at it; mm. */
export interface CutHole {
  readonly name: string;
  /** Of a slot, its width. */
  readonly diameter: number;
  /** Metal left to the next hole, end or edge. */
  readonly web: number;
}
/** A piece as a cutting service takes it; what it looks like stands in the piece's file. Lengths mm, angles degrees. */
export interface CutItem {
  /** Piece or plate id. */
  readonly piece: string;
  readonly mark: string;
  readonly name: string;
  readonly form: 'round' | 'rectangular' | 'oval' | 'plate';
  /** Of a tube across and up; of a plate what it takes of the sheet. */
  readonly size: readonly [number, number];
  /** Of a plate, its thickness. */
  readonly wall: number;
  readonly material: string;
  /** Longest point to longest point; of a plate its longer side. */
  readonly length: number;
  /** Sharpest angle between a cut end and the tube; 90 where all is square. */
  readonly sharpest: number;
  readonly holes: readonly CutHole[];
  readonly bent: boolean;
  /** One section and wall from end to end. */
  readonly even: boolean;
}

/** All that a piece is cut as: words, and figures in mm and degrees. */
export interface Print {
  readonly words: string;
  readonly figures: readonly number[];
}

/** A piece that somebody else could cut, and all that it would be ordered as. */
export interface ToCut {
  readonly item: CutItem;
  /** Member or plate. */
  readonly of: string;
  readonly print: Print;
}

type Made = {
  readonly frame: Frame;
  readonly cuts: readonly PieceCut[];
  readonly holes: readonly DrilledPiece[];
};

/** Every tube and plate of a frame that is made for it, as a cutting service takes it. */
export function cutItems({ frame, cuts, holes }: Made): readonly ToCut[] {
  const pieces = new Map(frame.pieces.map((piece) => [piece.id, piece]));
  const drilled = new Map(holes.map((each) => [each.piece, each]));
  return [
    ...cuts.flatMap((cut) => {
      const piece = pieces.get(cut.piece);
      return piece && !piece.supplied ? [tubeToCut(piece, cut, drilled.get(piece.id))] : [];
    }),
    ...frame.plates.map(plateToCut),
  ];
}

function tubeToCut(piece: Piece, cut: PieceCut, drilled: DrilledPiece | undefined): ToCut {
  const { section, member } = piece;
  const bores = drilled?.bores ?? [];
  const plain = section.shape !== 'round' || !(section.butts ?? section.taper ?? section.ovalEnd);
  const item: CutItem = {
    ...{ piece: piece.id, mark: cut.mark, name: piece.name },
    ...{ form: section.shape, wall: section.wall, material: member.material, length: cut.overall },
    size:
      section.shape === 'round' ? [acrossOf(section), acrossOf(section)] : [section.width, section.height],
    sharpest: 90 - Math.max(...cut.ends.map(({ offSquare }) => Math.abs(offSquare))),
    holes: bores.map((bore) => ({ name: bore.name, diameter: bore.diameter, web: webOf(cut, bores, bore) })),
    bent: piece.path.arcs.length > 0,
    even: plain,
  };
  const ends = cut.ends.flatMap((end) => [
    ...[end.offSquare, end.matchAngle, end.depth, end.cutterDiameter, end.offset],
    ...(end.slot ? [end.slot.width, end.slot.depth] : []),
  ]);
  const marks = bores.flatMap(({ fromStart, face, off, diameter, long }) => [
    ...[fromStart, face, off, diameter, long],
  ]);
  const words = [...cut.ends.map((end) => end.cut), ...bores.map(({ wall }) => wall)];
  return { item, of: member.id, print: printOf(item, words, [...ends, ...marks]) };
}

function plateToCut({ id, mark, plate, side }: PlacedPlate): ToCut {
  const xs = plate.outline.map(([x]) => x);
  const ys = plate.outline.map(([, y]) => y);
  const [width, height] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  const item: CutItem = {
    ...{ piece: id, mark, name: plate.name, form: 'plate', size: [width, height] as const },
    ...{ wall: plate.thickness, material: plate.material, length: Math.max(width, height), sharpest: 90 },
    holes: plate.holes.map((hole) => ({
      ...{ name: hole.name ?? 'hole', diameter: hole.diameter, web: plateWeb(plate, hole) },
    })),
    ...{ bent: false, even: true },
  };
  const holes = plate.holes.flatMap(({ at, diameter, slot }) => [
    ...[...at, diameter],
    ...(slot ? [slot.length, slot.turn] : []),
  ]);
  const folds = plate.bendLines.flatMap(({ from, to, angle, radius }) => [...from, ...to, angle, radius]);
  return {
    ...{ item, of: plate.id },
    print: printOf(item, [side], [...plate.outline.flat(), ...holes, ...folds]),
  };
}

function printOf(item: CutItem, words: readonly string[], figures: readonly number[]): Print {
  const { form, size, wall, material, length } = item;
  return {
    words: [form, material, ...words].join(' ').slice(0, 300),
    figures: [...size, wall * WALL, length, ...figures].map((each) => Math.round(each * 100) / 100),
  };
}
/** A wall counts ten times: a tenth of it is another tube. */
const WALL = 10;
/** What differs by less is the same cut, mm or degrees. */
const SAME = 0.11;

/** Whether two are cut alike; an angle is the same after a full turn. */
export const cutAlike = (a: Print, b: Print): boolean =>
  a.words === b.words &&
  a.figures.length === b.figures.length &&
  a.figures.every((each, index) => {
    const differs = Math.abs(each - b.figures[index]!);
    return differs <= SAME || Math.abs(differs - 360) <= SAME;
  });

/** Those that nobody has cut or ordered yet. */
export function openItems(made: Made, document: Pick<BuildDocument, 'cuts'>): readonly ToCut[] {
  const done = marksMade(document);
  return cutItems(made).filter(({ item }) => !done.has(item.mark));
}

/** An order as the build keeps it. */
export const orderOf = (facts: Omit<CutOrder, 'pieces'>, ordered: readonly ToCut[]): CutOrder => ({
  ...facts,
  pieces: ordered.map(({ item: { mark, length }, of, print: { words, figures } }) => ({
    ...{ piece: of, mark, length: Math.round(length * 100) / 100, of: words, figures: [...figures] },
  })),
});
