import type { MadeId, Limits, Plate, RoundSection } from '@larchwood/format';
import type { Finding } from '../../findings/finding.js';
import type { Stance } from '../../stance/stance.js';
import type { Quantity } from '../../units/quantity.js';
import type { Sizes } from '../linkage.js';
import type { GraphParts } from '../parts.js';
import type { Steering } from '../steering.js';

/** A size of a part that the builder makes; mm, degrees, or a count. */
export interface MadeSize {
  readonly id: string;
  readonly name: string;
  readonly quantity?: Quantity | 'count';
  readonly meaning: string;
  readonly limits: Limits;
  /** A trial in card or board may find it wrong. */
  readonly tried?: true;
  /** Where it is asked for; everywhere if left out. */
  readonly suits?: (from: MadeFrom) => boolean;
}
export interface MadeChoice {
  readonly id: string;
  readonly name: string;
  readonly options: readonly { readonly id: string; readonly name: string }[];
}
/** What it comes to: a figure, or words. */
export interface MadeRow {
  readonly name: string;
  readonly value?: number;
  readonly quantity?: Quantity | 'count';
  readonly text?: string;
}
/** A flat part, or a face of a turned one, true to size; mm. */
export interface MadeOutline {
  readonly id: string;
  readonly name: string;
  readonly thickness: number;
  readonly count: number;
  readonly outline: Plate['outline'];
  readonly holes: readonly {
    readonly at: readonly [number, number];
    readonly diameter: number;
    readonly name: string;
    readonly slot?: { readonly length: number; readonly turn: number };
  }[];
  /** Rings that are cut out of it. */
  readonly cutouts?: readonly Plate['outline'][];
  readonly folds?: readonly {
    readonly from: readonly [number, number];
    readonly to: readonly [number, number];
  }[];
}
/** Metal that seats and recesses take off a piece. */
export interface Recesses {
  readonly member: string;
  /** Only while that is its section: a bought head tube in its place has none. */
  readonly section: string;
  /** mm3. */
  readonly volume: number;
}
export interface MadeResult {
  readonly rows: readonly MadeRow[];
  readonly outlines: readonly MadeOutline[];
  /** What goes on or in after what, in words. */
  readonly order: readonly string[];
  /** Pieces that stand in the frame graph. */
  readonly parts?: GraphParts;
  /** What the frame's head tube becomes, where this is made in place of a bought one. */
  readonly headTube?: RoundSection;
  /** What is bored out of a piece of the frame besides its bore, alike at both ends. */
  readonly recesses?: Recesses;
  readonly findings: readonly Finding[];
}
export interface MadeFrom {
  readonly stance: Stance;
  readonly steering: Steering;
  /** Least gap wanted of a tyre, mm. */
  readonly tyreGap: number;
}

/** A part of the front end that the builder makes; one file each. */
export interface MadePart {
  readonly id: MadeId;
  readonly name: string;
  readonly about: string;
  readonly suits: (from: MadeFrom) => boolean;
  readonly sizes: readonly MadeSize[];
  readonly choices: readonly MadeChoice[];
  /** Sized from the stance and the wheel. */
  readonly start: (from: MadeFrom) => Sizes;
  readonly make: (from: MadeFrom, sizes: Sizes, choices: Readonly<Record<string, string>>) => MadeResult;
}
