import type { CheckStage } from '@larchwood/format';
import type { Quantity } from '../units/quantity.js';

/** What each finding carries: lengths mm, angles degrees, masses kg, unless the name says otherwise. Its words are in the catalogue. */
type Nothing = Readonly<Record<never, never>>;

export interface StanceFindings {
  'outside-band': {
    dimension: string;
    value: number;
    use: string;
    low: number;
    high: number;
    quantity: Quantity;
  };
  'wheels-overlap': { overlap: number };
  'trail-negative': { value: number };
  'caster-trail-negative': { value: number };
  'offset-behind': { value: number };
  'trail-negative-full': { value: number };
  'deck-near-tyre': { gap: number; wanted: number };
  'floor-low': { gap: number; wanted: number };
  'second-solution': { dimension: string; value: number; other: number; quantity: Quantity };
  'rule-limit': {
    dimension: string;
    value: number;
    bound: string;
    limit: number;
    rule: string;
    quantity: Quantity;
  };
  'shelf-differs': { dimension: string; part: string; wanted: number; value: number; quantity: Quantity };
  'shelf-wheel-differs': { end: string; part: string; wanted: number; radius: number };
  'engine-long': { engine: string; long: number; room: number };
  'toe-overlap': { overlap: number };
  'pedal-low': { gap: number; wanted: number };
  'wheel-meets-shell': { gap: number; wanted: number };
}

/** A rider who does not reach, or has no room, by so much; and the dimension that mends it, where there is one. */
export interface Reach {
  rider: string;
  short: number;
  id: string;
  dimension?: string;
  value?: number;
  quantity?: Quantity;
}
/** Two parts and their least gap, mm; whether one of them is of the linkage. */
interface GapValues {
  a: string;
  b: string;
  gap: number;
  overlap: number;
  wanted: number;
  ofLinkage: boolean;
}
export interface SeatFindings {
  'legs-do-not-reach': Reach;
  'legs-too-near': Reach;
  'arms-do-not-reach': Reach;
  'arms-too-near': Reach;
  'saddle-rule': { value: number; rider: string; inseam: number; wanted: number };
  'arms-held-up': { rider: string; angle: number; wanted: number };
  'parts-meet': GapValues;
  'gap-small': GapValues;
  'grip-lost': { rider: string; short: number; steer: number };
  'scales-impossible': { message: string };
  'no-mass': Nothing;
  'lump-weighs-nothing': { name: string };
  'weighed-twice': { id: string; name: string; mass: number; pieces: number };
  'falls-over': { direction: string };
  'tips-first': { limit: number; friction: number; change: string };
  'front-share': { share: number; low: number; high: number };
}

export interface FrameFindings {
  'member-not-placed': { member: string };
  'no-members': Nothing;
  'plate-no-area': { mark: string; plate: string };
  'plate-crosses-itself': { mark: string; plate: string };
  'butt-short': { mark: string; piece: string; left: number; wanted: number };
  'cope-through-butt': { mark: string; piece: string; left: number; wanted: number };
  'tube-too-short': { mark: string; piece: string; short: number };
  'copes-meet': { mark: string; piece: string; left: number; wanted: number };
  'node-host-gone': { node: string };
  'bend-no-room': { mark: string; member: string; bend: number; radius: number; fits: number };
  'hosts-in-circle': { pieces: string; first: string };
  'tubes-overlap': { a: string; b: string; overlap: number; along: number };
}

/** Of one end of a piece; each says which piece, and what it fits. */
export interface EndFindings {
  'joint-parallel': Nothing;
  'end-lost-host': { end: string; lost: string };
  'joint-misses': Nothing;
  'tube-wider-than-host': { tube: number; hostDiameter: number };
  'tube-runs-past-side': { past: number; offset: number };
  'tube-runs-past-bend': { part: number };
  'past-host-end': { lines: number };
  'joint-sharp': { angle: number; wanted: number };
  'joint-off-axis': { offset: number; wanted: number };
  'knife-edge': Nothing;
  'member-too-short': Nothing;
  'cope-in-bend': { past: number };
  'cope-past-bend': { past: number };
  'end-has-no-plane': Nothing;
}
export interface EndPlace {
  mark: string;
  piece: string;
  host: string;
}

export interface FixtureFindings {
  'scale-out-of-range': { scale: string; reading: number; by: number; limit: number; quantity: Quantity };
  'found-off-scale': { scale: string; found: number; low: number; high: number; quantity: Quantity };
  'found-remains': { outcome: string; off: number; setting: string; quantity: Quantity; helped: boolean };
  'points-in-one': { a: string; b: string };
  'adapter-missing': { what: string; wanted: number; count: number; nearest: number };
  'board-too-small': { width: number; height: number; needWidth: number; needHeight: number };
  'stand-off-small': { mark: string; by: number };
  'shim-not-made': {
    mark: string;
    wanted: number;
    most: number;
    nearest: number;
    block: number;
    rest: string;
  };
  'stack-not-made': { count: number; mark: string; wanted: number; nearest: number };
  'table-too-small': { length: number; width: number; needLength: number; needWidth: number };
  'no-blocks-beside': { pieces: string };
  'blocks-short': { needs: number; length: number; onHand: number };
  'spine-low': { reach: number; height: number };
  'shaft-short': { needs: number; length: number };
  'stay-gap-small': { mark: string; what: string; gap: number; wanted: number };
  'fixture-in-tube': { part: string; mark: string; by: number };
  'arm-crosses-tube': { part: string; mark: string; others: string };
  'fixture-in-torch': { part: string; gap: number; mark: string; wanted: number; others: string };
}

export interface CutsFindings {
  'bend-radius-small': { mark: string; bend: number; radius: number; wanted: number; sizes: number };
  'die-missing': { mark: string; size: number; radius: number };
  'die-gone': { mark: string };
  'die-radius-differs': { mark: string; radius: number; die: number; name: string };
  'straight-short': { mark: string; bend: number; has: number; wants: number; what: 'clamp' | 'follower' };
  'bend-too-far': { mark: string; bend: number; set: number; most: number };
  'bend-hits': { mark: string; bend: number; what: 'bender' | 'floor' };
  'piece-over-bar': { mark: string; length: number; bar: number };
  'no-stock': { section: string; pieces: string };
  'cut-differs': { mark: string; length: number; wanted: number };
  'cut-not-wanted': { mark: string; length: number };
  'order-differs': { mark: string; length: number; wanted: number; order: string; there: boolean };
  'order-not-wanted': { mark: string; length: number; order: string; there: boolean };
  'hole-place-gone': { mark: string; hole: string; from: 'start' | 'end' | 'middle' };
  'hole-over-end': { mark: string; hole: string; by: number };
  'hole-over-edge': { mark: string; hole: string; by: number };
  'holes-meet': { mark: string; hole: string; other: string; left: number };
  'hole-weakens': { mark: string; hole: string; share: number };
  'slot-narrow': { mark: string; hole: string; slot: number; axle: number };
  'axle-long': { mark: string; hole: string; between: number; room: number };
  'axle-loose': { mark: string; hole: string; between: number; room: number };
  'sleeve-tight': { mark: string; hole: string; sleeve: number; hole2: number };
  'fold-crosses-hole': { mark: string; plate: string; hole: number };
  'plate-hole-over-edge': { mark: string; plate: string; hole: number; by: number };
  'plate-holes-meet': { mark: string; plate: string; hole: number; other: number; left: number };
}

export interface WorkFindings {
  'seam-shut': {
    seam: string;
    mark: string;
    to: string;
    share: number;
    by: string;
    moves: readonly { step: string; after: string }[];
  };
  'way-barred': { mark: string; by: string; moves: readonly { step: string; after: string }[] };
  'way-springs': { mark: string; spring: number };
  'step-before-need': { step: string; needs: string; why: string };
  'steps-in-circle': { steps: readonly string[]; ids: readonly string[] };
  'moves-lost': { count: number };
  'tubes-unvented': {
    marks: string;
    count: number;
    vents: readonly { member: string; mark: string; distance: number }[];
  };
  'fits-both-ways': { marks: string; count: number };
}

/** What was measured of the frame. */
export interface CheckFindings {
  'reading-out': { stage: string; measure: string; off: number; tolerance: number; quantity: Quantity };
  'pair-out': { stage: string; name: string; off: number; tolerance: number; quantity: Quantity };
  'reading-disagrees': {
    stage: CheckStage;
    /** Of the readings: one, or all that a comparison is made of. */
    ids: readonly string[];
    measure: string;
    by: number;
    quantity: Quantity;
    or: readonly string[];
  };
  'reading-doubted': {
    stage: CheckStage;
    id: string;
    measure: string;
    value: number;
    /** What it may have been meant as; none where it is only far off. */
    meant?: number;
    as: 'inches' | 'centimetres' | 'other-side' | 'from-plumb' | 'far' | 'negative';
    nominal: number;
    quantity: Quantity;
  };
  'triangle-open': { stage: string; longest: string; others: readonly [string, string] };
  /** The fixture is set off against what welding moves. */
  'fixture-set-off': { points: readonly string[] };
  'measures-lost': { names: readonly string[]; ids: readonly string[] };
}

export interface SteeringFindings {
  /** Why a held dimension of the linkage cannot be. */
  'linkage-refused': { why: string };
  'steers-wrong-way': { linkage: string };
  'lock-not-reached': { side: 'left' | 'right'; reaches: number; lock: number; why: string };
  'rod-near-lock-over': { rod: string; angle: number; wanted: number };
  'wheels-disagree': { rms: number; worst: number; wanted: number };
  'linkage-usual': { linkage: string };
  'steering-part-stale': { parts: string };
  'steering-part-missing': { made: string; parts: string };
  'hub-too-wide': { hub: number; fork: number };
  'fork-gap-small': { gap: number; wanted: number; where: string };
  'joint-steep': { bend: number; most: number };
  'joints-out-of-phase': { least: number; most: number };
  'support-missing': { length: number; most: number; count: number };
  'brace-single': { hands: 'wheel' | 'bars' };
  'rest-wanted': { angle: number; wanted: number };
  'rest-no-range': { low: number; high: number };
  'rest-beside': { angle: number; low: number; high: number };
  'shaft-too-thick': { outer: number; bore: number };
  'boss-thin': { wall: number; wanted: number };
  'collar-thin': { wall: number; wanted: number };
  'collar-short': { length: number; needs: number };
}

type OfEnds = { [C in keyof EndFindings]: EndPlace & EndFindings[C] };

/** Every finding there is, by its code. One without words does not compile. */
export interface FindingValues
  extends
    StanceFindings,
    SeatFindings,
    SteeringFindings,
    FrameFindings,
    CutsFindings,
    FixtureFindings,
    WorkFindings,
    CheckFindings,
    OfEnds {}
export type FindingCode = keyof FindingValues;
