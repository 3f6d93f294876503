import type { BuildDocument, LumpSort } from '@larchwood/format';
import type { Quantity } from '../units/quantity.js';
import type { RiderPlace } from '../rider/place.js';
import type { Vector } from '../vector/vector.js';

/** Minimal numbers that fix a stance, by name; lengths in mm, angles in degrees. */
export type State = Readonly<Record<string, number>>;

/** A usual range, never a verdict. */
export interface Band {
  readonly low: number;
  readonly high: number;
  /** What it is usual for, e.g. 'road bicycle'. */
  readonly use: string;
  /** Where the figures come from; 'common practice' where nothing better is known. */
  readonly source: string;
}

/** One dimension of a kind of vehicle, as builders name it, and how it follows from the state. Written once. */
export interface Dimension {
  readonly id: string;
  readonly name: string;
  /** Letters that stand for it in formulas; no two dimensions of a kind share one. */
  readonly symbol: string;
  readonly quantity: Quantity;
  /** What is measured, in one sentence. */
  readonly meaning: string;
  /** `symbol = expression` in the symbols of the kind; the symbol alone for what is measured or chosen. */
  readonly formula: string;
  readonly source: string;
  /** Which way the feel goes, where builders agree. */
  readonly feel?: string;
  /** What the other trades call it, or how they read it. */
  readonly otherWord?: string;
  /** Smallest and largest value that can be held; beyond it the value is refused. */
  readonly limits: readonly [low: number, high: number];
  /** What a builder would first let go when he pins this one, best first. */
  readonly letGo?: readonly string[];
  readonly evaluate: (state: State) => number;
}

export interface Refusal {
  /** Dimension (or document path) at which to say it. */
  readonly where: string;
  readonly message: string;
}

export type Points = Readonly<Record<string, Vector>>;

/** A wheel as it stands: a disc of the rolling radius about its centre. */
export interface StandingWheel {
  readonly id: string;
  readonly end: 'front' | 'rear';
  readonly centre: Vector;
  /** Unit vector along the axle, to the left. */
  readonly spindle: Vector;
  readonly radius: number;
  readonly width: number;
}
/** A wheel that turns about a steering axis. */
export interface SteeredWheel extends StandingWheel {
  readonly axisPoint: Vector;
  /** Unit vector up the steering axis. */
  readonly axis: Vector;
}

/** Places in the side view: x forward, z up. */
export interface Place {
  readonly x: number;
  readonly z: number;
}

/** How far each end's wheels have moved up towards the frame from ride height, mm; negative hangs lower. */
export interface Compression {
  readonly front: number;
  readonly rear: number;
}

/** A line between two named points, drawn where no tubes stand yet. */
export interface OutlineLine {
  readonly from: string;
  readonly to: string;
  readonly as: 'fork' | 'part' | 'axis' | 'floor' | 'seat' | 'axle';
  /** No part of the frame: drawn beside its tubes too. */
  readonly stays?: true;
}

export type ViewName = 'side' | 'plan' | 'front';

/** How a dimension stands on the drawing, between named points; distances from what it measures in pixels of the sheet. */
export type Drawn = {
  readonly id: string;
  readonly view: ViewName;
} & (
  | {
      /** Level; row 1, 2 … under the vehicle, −1, −2 … over it, or `near` its second point at so many px. */
      readonly as: 'level';
      readonly from: string;
      readonly to: string;
      readonly row?: number;
      readonly near?: number;
      readonly share?: number;
    }
  | {
      /** Upright; column 1, 2 … ahead of the vehicle, −1, −2 … behind it, or `near` its second point at so many px. */
      readonly as: 'upright';
      readonly from: string;
      readonly to: string;
      readonly column?: number;
      readonly near?: number;
      readonly share?: number;
    }
  | {
      /** Along its own line, `off` to its left. */
      readonly as: 'aligned';
      readonly from: string;
      readonly to: string;
      readonly off: number;
      readonly share?: number;
    }
  | {
      /** About a point, from one direction to another, degrees anticlockwise from level right on the sheet. */
      readonly as: 'angle';
      readonly at: string;
      readonly from: number | ((state: State) => number);
      readonly turn: (value: number, state: State) => number;
      readonly radius: number;
    }
);

/** How a dimension that is not drawn on the sheet is pictured where it explains itself. */
export type Picture =
  | Drawn
  | ({ readonly id: string; readonly view: ViewName } & (
      | {
          /** The vehicle standing at one end of its travel. */
          readonly as: 'posture';
          readonly posture: 'unladen' | 'full';
        }
      | {
          /** The steered wheels turned by so many degrees. */
          readonly as: 'steered';
          readonly steer: number;
        }
    ));

/** A point that can be taken hold of on the drawing, and the held dimensions that may give way to it, best first. */
export interface Handle {
  readonly point: string;
  readonly name: string;
  readonly views: readonly ViewName[];
  readonly moves: readonly string[];
}

/** A dimension of a starting set that grows with a rider. */
export interface Fit {
  readonly dimension: string;
  /** The tallest, or the rider of that place in the brief's list. */
  readonly rider: 'tallest' | number;
  /** Millimetres more for each millimetre of stature. */
  readonly perStature: number;
  /** It goes by the legs: measured ones count as the stature that usually has them. */
  readonly legs?: true;
}
/** A dimension that comes out so that a rider sits at ease, once all else is settled. */
export interface Ease {
  readonly dimension: string;
  /** The rider's angle that it gives, and what is wanted of it. */
  readonly angle: string;
  readonly value: number;
}

/** A mass at a named point of the stance. */
export interface SetLump {
  readonly name: string;
  readonly sort: LumpSort;
  /** kg. */
  readonly mass: number;
  readonly point: string;
  readonly offset?: Vector;
  /** Room it takes about its middle: length, width, height; mm. */
  readonly box?: Vector;
}
export interface StartingSet {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly wheels: { readonly front: string; readonly rear: string };
  readonly held: Readonly<Record<string, number>>;
  readonly bands: string;
  readonly fit?: readonly Fit[];
  readonly ease?: readonly Ease[];
  /** Steering lock to each side, degrees, where it is not the usual one. */
  readonly lock?: number;
  /** Least gap wanted of a rider, mm, where it is not the usual one. */
  readonly riderGap?: number;
  /** What the vehicle carries besides its tubes and riders, until it is weighed. */
  readonly lumps: readonly SetLump[];
  /** Options for the layout that makes the first frame. */
  readonly frame?: {
    readonly sections?: Readonly<Record<string, string>>;
    readonly [option: string]: number | Readonly<Record<string, string>> | undefined;
  };
}

/** Usual bands by use, then by dimension id. */
export type Bands = Readonly<Record<string, Readonly<Record<string, Band>>>>;

/** What fits one place to riders of other sizes: the dimensions that are slid. */
export interface Adjusters {
  /** For the legs: seat slide, pedal boom, seat post. */
  readonly legs: { readonly dimension: string; readonly name: string };
  /** For the arms: bar stem, wheel or stick position. */
  readonly arms: { readonly dimension: string; readonly name: string };
}
/** A place for a rider: whose body the state's given entries hold, and what fits it. */
export interface RiderSlot {
  /** Prefix of its entries: empty for the first rider. */
  readonly id: string;
  readonly name: string;
  readonly adjusters?: Adjusters;
}
/** The riders' side of a kind: drawn and set at the seat station. */
export interface KindSeat {
  readonly slots: readonly RiderSlot[];
  /** Every place that is there, with the body that the state gives it. */
  readonly places: (state: State) => readonly RiderPlace[];
  readonly groups: Kind['groups'];
  readonly points: (state: State) => Points;
  readonly drawn: readonly Drawn[];
  readonly handles: readonly Handle[];
}

/** A kind of vehicle is data: its state, its dimensions, its named points and its usual bands. */
export interface Kind {
  readonly id: BuildDocument['kind'];
  readonly name: string;
  readonly about: string;
  readonly state: readonly string[];
  /** Entries that the wheels and the riders give: always held, never let go. */
  readonly given: readonly string[];
  /** A whole state from which the solver sets out where a document keeps none. */
  readonly start: State;
  readonly dimensions: readonly Dimension[];
  /** The ledger's groups; what is in none stands at its end. */
  readonly groups: readonly { readonly title: string; readonly ids: readonly string[] }[];
  /** Ids shown on the reading strip, most wanted first. */
  readonly readings: readonly string[];
  readonly views: readonly ViewName[];
  readonly points: (state: State) => Points;
  readonly wheels: (state: State) => readonly StandingWheel[];
  readonly steered: (state: State) => readonly SteeredWheel[];
  /** Front and rear axle in the frame's own axes, when the wheels have moved. */
  readonly axles: (state: State, compression: Compression) => { readonly front: Place; readonly rear: Place };
  /** Points that move with a wheel when the springs work. */
  readonly unsprung: Readonly<Record<string, 'front' | 'rear'>>;
  readonly outline: readonly OutlineLine[];
  readonly drawn: readonly Drawn[];
  readonly pictures: readonly Picture[];
  /** Points that only pictures need. */
  readonly marks: (state: State) => Points;
  readonly handles: readonly Handle[];
  /** Impossible shapes, each with the limit in words; also asked with only what is held known. */
  readonly refuse: (known: Partial<State>) => readonly Refusal[];
  readonly seat: KindSeat;
  readonly bands: Bands;
  readonly startingSets: readonly StartingSet[];
}

/** What the solver needs to know: entries, and dimensions that follow from them. */
export type Solvable = Pick<Kind, 'name' | 'state' | 'given' | 'start' | 'dimensions' | 'groups' | 'refuse'>;
