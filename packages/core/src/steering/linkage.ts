import type { LinkageId, Limits } from '@larchwood/format';
import type { Quantity } from '../units/quantity.js';
import type { Stance } from '../stance/stance.js';
import type { Vector } from '../vector/vector.js';
import type { Chain } from './chain.js';

/** A size of a linkage: what its builder measures and chooses. Lengths in mm, angles in degrees. */
export interface LinkageSize {
  readonly id: string;
  readonly name: string;
  readonly symbol: string;
  readonly quantity?: Quantity;
  readonly meaning: string;
  readonly feel?: string;
  readonly limits: Limits;
  /** It may be none: a rod or an arm of no length is refused. */
  readonly mayBeNone?: true;
  /** The search for less error may move it, unless the builder holds it. */
  readonly searched?: true;
  /** It moves how much bumps steer: where there is travel, a search leaves it unless it is told to. */
  readonly bumps?: true;
}
export type Sizes = Readonly<Record<string, number>>;

/** A rod, an arm, a plate or a shaft, as it is drawn and made: between named points. */
export interface LinkagePart {
  readonly id: string;
  readonly name: string;
  readonly as: 'rod' | 'arm' | 'shaft';
  readonly from: string;
  readonly to: string;
}

/** A linkage sized and placed: how it moves, and what it is made of. */
export interface Built {
  readonly chain: Chain;
  /** Points that move with the bodies, by name; straight ahead, mm. */
  readonly points: Readonly<Record<string, { readonly body: string | undefined; readonly at: Vector }>>;
  readonly parts: readonly LinkagePart[];
}

/** A way of turning the wheels; one file each. */
export interface Linkage {
  readonly id: LinkageId;
  readonly name: string;
  readonly about: string;
  /** How well it suits: undefined where it cannot be built, else the highest is what its builders use. */
  readonly suits: (stance: Stance) => number | undefined;
  readonly sizes: readonly LinkageSize[];
  /** Sized from the stance, as its builders begin. */
  readonly start: (stance: Stance) => Sizes;
  readonly build: (stance: Stance, sizes: Sizes) => Built;
  /** Furthest that the driver is moved to either side: degrees, or mm where it slides. */
  readonly reach: number;
  /** What the hands move, in words, and how it is counted. */
  readonly driver: { readonly name: string; readonly unit: '°' | 'mm' };
}

/** Names of all points of all linkages, as nodes of a frame may be tied to them. */
export const STEERING_POINTS: ReadonlySet<string> = new Set(
  [
    ...['armRootLeft', 'armRootRight', 'armLeft', 'armRight', 'sideArmLeft', 'sideArmRight'],
    ...['columnTop', 'joint', 'plate', 'plateLeft', 'plateRight', 'drop', 'drag', 'pivot', 'pivotTop'],
    ...[
      'pinion',
      'rackLeft',
      'rackRight',
      'columnArm',
      'forkArmRoot',
      'forkArm',
      'forkArmLeft',
      'forkArmRight',
    ],
    ...['stickLeft', 'stickRight', 'stickPivotLeft', 'stickPivotRight', 'stickRodLeft', 'stickRodRight'],
  ].map((name) => `steering.${name}`),
);
