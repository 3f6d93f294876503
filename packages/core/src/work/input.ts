import type { BuildDocument, CutOrder, WorkData } from '@larchwood/format';
import type { BendSchedule } from '../bends/schedule.js';
import type { Frame, Piece, PlacedPlate } from '../frame/frame.js';
import type { DrilledPiece } from '../holes/holes.js';
import type { PieceCut } from '../joints/cut.js';
import type { Quantity } from '../units/quantity.js';
import type { Vector } from '../vector/vector.js';
import type { SubAssembly, ToBuild, Way } from './ways/way.js';
import type { Seam } from './weld/seams.js';

/** A setting of the fixture, as far as the order of work knows it: whether it is set already is no part of that. */
export interface SettingSeed {
  readonly id: string;
  readonly group: string;
  readonly name: string;
  readonly check: string;
  readonly piece: string | undefined;
  readonly value: number;
  readonly quantity: Quantity;
}

/** Something to measure, when what it spans is there. */
export interface CheckSeed {
  /** In the measuring list. */
  readonly id: string;
  readonly name: string;
  readonly value: number;
  /** What it reads in the fixture, before it is welded. */
  readonly held: number;
  readonly quantity: Quantity;
  /** Between these points, where it is between points. */
  readonly ends: readonly Vector[];
}

/** What the order of work is made from. */
export interface WorkInput {
  readonly document: Pick<BuildDocument, 'kind' | 'frame' | 'work'>;
  /** With what is made apart. */
  readonly frame: Frame;
  readonly cuts: readonly PieceCut[];
  readonly bends: readonly BendSchedule[];
  readonly holes: readonly DrilledPiece[];
  /** What a cutting service cuts of it. */
  readonly orders: readonly CutOrder[];
  readonly settings: readonly SettingSeed[];
  readonly checks: readonly CheckSeed[];
  /** The school's name; none where nothing holds the frame. */
  readonly fixture: string | undefined;
  readonly rearAxle: Vector | undefined;
  readonly seams: readonly Seam[];
  readonly linkage: boolean;
}

/** The same, looked through once for all that makes steps of it. */
export interface Making extends WorkInput {
  readonly work: WorkData;
  readonly build: ToBuild;
  readonly way: Way;
  readonly parts: readonly SubAssembly[];
  readonly cutOf: ReadonlyMap<string, PieceCut>;
  readonly pieceOf: ReadonlyMap<string, Piece>;
  /** The order that a piece comes with, by piece mark; none where it is made here. */
  readonly orderOf: ReadonlyMap<string, CutOrder>;
  /** Pieces of a member: one, or left and right. */
  readonly twins: (member: string) => readonly Piece[];
  /** The step in which a piece is put in: a pair is put in together, unless its two belong to different parts. */
  readonly loadOf: (piece: string) => string;
  /** Measures that lie within a sub-assembly, and those that only the whole frame has. */
  readonly checksOf: (part: SubAssembly | undefined) => readonly CheckSeed[];
  /** Plates that belong to a sub-assembly: those of its pieces' ends. */
  readonly platesOf: (part: SubAssembly) => readonly PlacedPlate[];
}

/** What a build has that says nothing of its work. */
export const USUAL_WORK: WorkData = {
  welding: 'off',
  vents: 'drained',
  moves: [],
  own: [],
  needs: [],
  hours: {},
  waits: {},
  seams: [],
};
