import type { Ease, Fit, Kind } from '../dimension.js';

type Group = Kind['groups'][number];

/** Groups of the ledger that several kinds share. */
export const FORK_GROUP: Group = {
  title: 'Front end',
  ids: [
    'headAngle',
    'forkOffset',
    'axleToCrown',
    'crownAboveFoot',
    'lowerStack',
    'headTubeLength',
    'trail',
    'wheelFlop',
    'mechanicalTrail',
  ],
};
export const TWO_TRACK_GROUPS: readonly Group[] = [
  {
    title: 'Kingpins',
    ids: [
      'caster',
      'kingpinInclination',
      'spindleOffset',
      'spindleLength',
      'casterTrail',
      'scrubRadius',
      'insideDrop',
      'outsideCamber',
    ],
  },
  { title: 'Camber and toe', ids: ['camber', 'toe', 'toeDifference'] },
];
export const SEAT_GROUP: Group = {
  title: 'Seat and feet',
  ids: ['seatAhead', 'seatHeight', 'legRoom', 'pedalHeight', 'pedalsAhead'],
};
/** Groups of the seat station's ledger. */
export const shellGroup = (more: readonly string[] = []): Group => ({
  title: 'Seat and feet',
  ids: [
    'seatAhead',
    'seatHeight',
    'backAngle',
    'baseAngle',
    'baseLength',
    'seatThickness',
    'legRoom',
    'pedalHeight',
    ...more,
    'pedalsAhead',
    'hipOffBack',
    'hipAboveBase',
  ],
});
/** The figure's angles; of the rider of that slot. */
export function figureGroup(title: string, slot = '', cranks = false): Group {
  const id = (name: string) => (slot === '' ? name : slot + name[0]!.toUpperCase() + name.slice(1));
  return {
    title,
    ids: [
      'kneeAngle',
      ...(cranks ? ['kneeAngleTop'] : []),
      'hipAngle',
      'elbowAngle',
      'armRaise',
      'eyeHeight',
      'helmetHeight',
      'legSpan',
      ...(cranks ? ['legSpanTop'] : []),
      'armSpan',
    ].map(id),
  };
}
export const BARS_GROUP: Group = { title: 'Bars', ids: ['barReach', 'barRise', 'barWidth'] };

export const TRAVEL_GROUP: Group = {
  title: 'Travel and sag',
  ids: ['frontTravel', 'frontSag', 'rearTravel', 'rearSag'],
};

/**
 * How lengths grow with the rider. Seat tube: 0.65 of the inseam, which is 0.47 of the stature [common practice, from
 * memory]. Leg room: hip to sole is 0.53 of the stature (Drillis and Contini), a little less with the knee bent.
 */
const SEAT_TUBE = 0.31;
const LEG_ROOM = 0.5;
/** Saddle over the bottom bracket: 0.883 of the inseam [common practice], which is 0.47 of the stature. */
const SADDLE = 0.415;
export const PEDALLED_FIT: readonly Fit[] = [
  { dimension: 'saddleHeight', rider: 0, perStature: SADDLE, legs: true },
  { dimension: 'seatTubeLength', rider: 0, perStature: SEAT_TUBE, legs: true },
  { dimension: 'reach', rider: 0, perStature: 0.1 },
  { dimension: 'headTubeLength', rider: 0, perStature: 0.15 },
];
/** Riders in the brief's list sit from the front to the rear. */
export const seatTubeOf = (dimension: string, rider: number): Fit => ({
  dimension,
  rider,
  perStature: SEAT_TUBE,
  legs: true,
});
export const saddleOf = (dimension: string, rider: number): Fit => ({
  dimension,
  rider,
  perStature: SADDLE,
  legs: true,
});
/** Elbows 15 to 30 degrees bent [common practice]: the trunk's lean comes out so. */
export const saddleEase = (slot: 'middle' | 'rear'): Ease => ({
  dimension: `${slot}TrunkLean`,
  angle: `${slot}ElbowAngle`,
  value: 158,
});
export const PEDALLED_EASE: readonly Ease[] = [{ dimension: 'trunkLean', angle: 'elbowAngle', value: 158 }];
/** Least gap of a rider on a bicycle, mm: heels pass the stays closely. Common practice, no source. */
export const PEDALLED_GAP = 10;
export const SEATED_FIT: readonly Fit[] = [
  { dimension: 'legRoom', rider: 'tallest', perStature: LEG_ROOM, legs: true },
];

/** No spring at either end. */
export const RIGID = { frontTravel: 0, frontSag: 0, rearTravel: 0, rearSag: 0 };
