import type { Vector } from '../vector/vector.js';
import type { Body } from './body.js';

export const POSTURES = ['upright', 'crouched', 'standing', 'feet-forward', 'reclined', 'bucket'] as const;
export type PostureName = (typeof POSTURES)[number];

/** What the feet are on. */
export type Feet =
  | {
      readonly on: 'cranks';
      readonly bracket: Vector;
      readonly crank: number;
      /** Middle of the vehicle to the middle of a pedal. */
      readonly tread: number;
    }
  | {
      /** Pegs, a footboard, a deck, or pedals that are only pressed. */
      readonly on: 'rests';
      readonly at: Vector;
      readonly tread: number;
      /** The sole lies level; else it leans with the leg. */
      readonly level?: boolean;
      /** The arch of the foot is on it, not the ball. */
      readonly arch?: boolean;
    };

/** What the hands are on. */
export type Hands =
  | {
      readonly on: 'bars';
      readonly left: Vector;
      readonly right: Vector;
      /** Where the stem begins. */
      readonly stem: Vector;
      /** They turn with the steering, unless they are fixed to the frame. */
      readonly axis?: { readonly point: Vector; readonly up: Vector };
    }
  | {
      readonly on: 'wheel';
      readonly centre: Vector;
      /** Unit vector up the column, towards the rider. */
      readonly axis: Vector;
      readonly radius: number;
      readonly columnFoot: Vector;
    }
  | {
      /** One stick each side, moving fore and aft as the wheels turn. */
      readonly on: 'sticks';
      readonly left: Vector;
      readonly right: Vector;
      readonly pivot: number;
    }
  | { readonly on: 'lap' };

/** The seat as it is drawn and as it can be in the way; side view, mm. */
export type Seat =
  | { readonly as: 'saddle'; readonly at: Vector }
  | { readonly as: 'bench'; readonly at: Vector; readonly length: number; readonly thickness: number }
  | {
      readonly as: 'shell';
      /** Where base and back rest meet. */
      readonly corner: Vector;
      readonly base: Vector;
      readonly top: Vector;
      readonly thickness: number;
      readonly half: number;
    }
  | { readonly as: 'none' };

/** A place in a vehicle and the body that is in it. */
export interface RiderPlace {
  /** Empty for the first rider, else `rear`, `middle`, `passenger`. */
  readonly id: string;
  readonly name: string;
  readonly posture: PostureName;
  readonly body: Body;
  /** Middle between the hip joints. */
  readonly hip: Vector;
  /** Direction from hip to shoulder in the side view, degrees up from level forward: under 90 leans forward. */
  readonly trunkAngle: number;
  readonly seat: Seat;
  readonly feet: Feet;
  readonly hands: Hands;
}
