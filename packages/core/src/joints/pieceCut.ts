import type { Piece } from '../frame/frame.js';
import { WALL_LINES } from './edge.js';
import { cutPiece, type EndCut } from './endCut.js';

/** Trimming of a butted tube: how much to cut off each sold end so that the thick ends are shared out best; mm. */
export interface ButtTrim {
  readonly start: number;
  readonly end: number;
  /** Least thick length left behind the throat of a cope. */
  readonly thickLeft: { readonly start: number; readonly end: number };
  /** Sold length less what is needed: negative when the tube is too short. */
  readonly spare: number;
}
export interface PieceCut {
  readonly piece: string;
  readonly mark: string;
  readonly name: string;
  readonly ends: readonly [EndCut, EndCut];
  /** Between the two cutter centres. */
  readonly betweenCentres: number;
  /** Longest point to longest point, along the tube. */
  readonly overall: number;
  /** Deepest point to deepest point. */
  readonly saddleToSaddle: number;
  /** Overall, and the allowances to trim. */
  readonly blank: number;
  /** Least length of wall between the two cuts, over all wall lines. */
  readonly leastWallLine: number;
  readonly butts?: ButtTrim;
}

export function cutPieces(pieces: readonly Piece[]): readonly PieceCut[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  return pieces.filter((piece) => !piece.member.supplied).map((piece) => cutOne(piece, byId));
}

function cutOne(piece: Piece, byId: ReadonlyMap<string, Piece>): PieceCut {
  const ends = cutPiece(piece, byId);
  const [start, end] = ends;
  const betweenCentres = end.station - start.station;
  const overall = betweenCentres + start.edge.longest.at + end.edge.longest.at;
  const saddleToSaddle = betweenCentres + start.edge.shortest.at + end.edge.shortest.at;
  const { start: atStart, end: atEnd } = piece.member.ends;
  return {
    piece: piece.id,
    mark: piece.mark,
    name: piece.name,
    ends,
    betweenCentres,
    overall,
    saddleToSaddle,
    blank: overall + atStart.allowance + atEnd.allowance,
    leastWallLine: leastWallLine(start, end, betweenCentres),
    ...(piece.section.butts ? { butts: trimButts(piece, start, end, overall) } : {}),
  };
}

/** The two ends number their wall lines opposite ways round from the same match line. */
function leastWallLine(start: EndCut, end: EndCut, betweenCentres: number): number {
  let least = Infinity;
  for (let degrees = 0; degrees < WALL_LINES; degrees += 1) {
    const a = end.edge.outer[degrees];
    const b = start.edge.outer[(WALL_LINES - degrees) % WALL_LINES];
    if (a != null && b != null) least = Math.min(least, betweenCentres + a + b);
  }
  return Number.isFinite(least) ? least : betweenCentres;
}

/** Shares the spare length between the ends so that the smaller of the two thick lengths left is as large as it can be. */
function trimButts(piece: Piece, start: EndCut, end: EndCut, overall: number): ButtTrim {
  const butts = piece.section.butts!;
  const spare = butts.soldLength - overall;
  const freeStart = butts.start.length - start.depth;
  const freeEnd = butts.end.length - end.depth;
  const cut = Math.max(0, spare);
  const atStart = Math.min(cut, Math.max(0, (cut + freeStart - freeEnd) / 2));
  return {
    start: atStart,
    end: cut - atStart,
    thickLeft: { start: freeStart - atStart, end: freeEnd - (cut - atStart) },
    spare,
  };
}
