import type { WayId } from '@larchwood/format';
import type { Frame, Piece } from '../../frame/frame.js';
import type { Vector } from '../../vector/vector.js';

/** What a way of building looks at. */
export interface ToBuild {
  /** Without what is made apart from the frame. */
  readonly frame: Frame;
  /** In an order in which each new tube has two known points. */
  readonly inOrder: readonly Piece[];
  /** Ids of the pieces that each is cut to fit. */
  readonly hosts: ReadonlyMap<string, readonly string[]>;
  readonly rearAxle: Vector | undefined;
  readonly groups: readonly { readonly id: string; readonly name: string; readonly donor: boolean }[];
}

/** Pieces that are held, tacked and measured together before the next ones come. */
export interface SubAssembly {
  readonly id: string;
  readonly name: string;
  readonly pieces: readonly string[];
}

/** One of the schools in which builders differ: what is built first. */
export interface Way {
  readonly id: WayId;
  readonly name: string;
  readonly about: string;
  /** In order; fewer than two where the frame has no such parts. Pieces that it names nowhere come last. */
  readonly parts: (build: ToBuild) => readonly SubAssembly[];
}
