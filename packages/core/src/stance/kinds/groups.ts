import type { Kind } from '../dimension.js';

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
export const TRAVEL_GROUP: Group = {
  title: 'Travel and sag',
  ids: ['frontTravel', 'frontSag', 'rearTravel', 'rearSag'],
};

/** No spring at either end. */
export const RIGID = { frontTravel: 0, frontSag: 0, rearTravel: 0, rearSag: 0 };
