import type { Frame } from '../frame/frame.js';
import type { Rod, Shape } from '../proximity/shapes.js';
import type { Stance } from '../stance/stance.js';
import type { MadeOne } from '../steering/made/registry.js';
import type { SteeringResult } from '../steering/steering.js';

/** How the moving parts stand: crank in degrees, steering in degrees to the left, travel from 0 unladen to 1 pressed home. */
export interface Pose {
  readonly crank: number;
  readonly steer: number;
  readonly travel: number;
}
export type Moves = Readonly<Partial<Record<keyof Pose, true>>>;

/** What a part is, for the gap that is wanted of it. */
export type Sort = 'tyre' | 'rider' | 'metal';

/** A part as rods; what it moves with says over what a sweep must go. */
export interface Rods {
  /** Gap that is wanted of it where it is not the usual one of its sort, mm. */
  readonly wanted?: number;
  /** It is a rod, an arm or a shaft of the linkage. */
  readonly ofLinkage?: true;
  readonly name: string;
  readonly sort: Sort;
  readonly moves: Moves;
  readonly at: (pose: Pose) => readonly Rod[];
}
/** A part that rods may meet. */
export interface Body {
  readonly name: string;
  readonly sort: Sort;
  readonly moves: Moves;
  readonly at: (pose: Pose) => readonly Shape[];
}
export interface Pair {
  readonly a: Rods;
  readonly b: Body;
}

/** A vehicle as it stands: its stance, and the frame in it. */
export interface Standing {
  readonly stance: Stance;
  readonly frame: Frame;
  /** How the wheels are turned; each by the same where nothing is known. */
  readonly steering?: SteeringResult | undefined;
  /** What of its steering the builder makes. */
  readonly made?: readonly MadeOne[] | undefined;
}
