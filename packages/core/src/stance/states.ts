/** What each assembly reads and brings: the entries of the state, by name. Lengths in mm, angles in degrees. */
export interface WheelbaseState {
  readonly rearRadius: number;
  readonly frontRadius: number;
  readonly rearWidth: number;
  readonly frontWidth: number;
  readonly wheelbase: number;
}

export interface PairState extends WheelbaseState {
  readonly rearTrack: number;
}

/** What every front end with one steered wheel in the middle plane is known by. */
export interface SteeredState extends WheelbaseState {
  readonly headAngle: number;
  readonly lowerStack: number;
  readonly headTubeLength: number;
}

export interface ForkState extends SteeredState {
  readonly forkOffset: number;
  readonly crownAboveFoot: number;
}

export interface ClampState extends SteeredState {
  readonly clampOffset: number;
  readonly clampTilt: number;
  readonly axleLead: number;
  readonly forkLength: number;
}

export interface ArmState extends ClampState {
  readonly pivotHeight: number;
  readonly armLength: number;
  readonly sprocketAhead: number;
  readonly sprocketAbove: number;
}

export interface PedalledState extends ForkState {
  readonly chainstayLength: number;
  readonly bottomBracketDrop: number;
  readonly seatTubeAngle: number;
  readonly seatTubeLength: number;
  readonly crankLength: number;
  readonly toeAllowance: number;
}

export interface FloorState extends WheelbaseState {
  readonly groundClearance: number;
}

export interface EndsState extends WheelbaseState {
  readonly frontOverhang: number;
  readonly noseHeight: number;
  readonly rearOverhang: number;
  readonly tailHeight: number;
}

export interface DeckState extends WheelbaseState {
  readonly deckHeight: number;
  readonly deckThickness: number;
  readonly deckLength: number;
  readonly deckAhead: number;
}

export interface SeatedState extends WheelbaseState {
  readonly seatAhead: number;
  readonly seatHeight: number;
  readonly legRoom: number;
  readonly pedalHeight: number;
  readonly backAngle: number;
  readonly baseAngle: number;
  readonly baseLength: number;
  readonly seatThickness: number;
}

export interface TwoTrackState extends WheelbaseState {
  readonly frontTrack: number;
  readonly caster: number;
  readonly kingpinInclination: number;
  readonly spindleOffset: number;
  readonly spindleLength: number;
  readonly camber: number;
  readonly toe: number;
}

export interface Springs {
  readonly frontTravel: number;
  readonly frontSag: number;
  readonly rearTravel: number;
  readonly rearSag: number;
}

export type TravelState = WheelbaseState & Springs;
