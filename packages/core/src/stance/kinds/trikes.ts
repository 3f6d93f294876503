import { kindOf } from '../assembly.js';
import type { Kind, StartingSet } from '../dimension.js';
import { floor } from '../assemblies/floor.js';
import { reclinedRider } from '../assemblies/riders/kinds.js';
import { seated } from '../assemblies/seated.js';
import { forkFront } from '../assemblies/singleFront.js';
import { travel } from '../assemblies/travel.js';
import { twoTrackFront } from '../assemblies/twoTrackFront.js';
import { rearPair, singleRear, straightUpRear, wheelbase } from '../assemblies/wheelbase.js';
import { band, PRACTICE, withRider } from './bands.js';
import {
  figureGroup,
  FORK_GROUP,
  RIGID,
  SEAT_GROUP,
  SEATED_FIT,
  shellGroup,
  TRAVEL_GROUP,
  TWO_TRACK_GROUPS,
} from './groups.js';
import { pairLumps, singleLump, trikeLumps } from './lumps.js';

const RECLINED_GROUPS: Kind['seat']['groups'] = [
  shellGroup(['crankLength']),
  { title: 'Side-sticks', ids: ['gripsAhead', 'gripsHeight', 'barWidth'] },
  figureGroup('Rider', '', true),
];
const reclined = (more: Record<string, number>) => ({
  baseAngle: 8,
  baseLength: 280,
  seatThickness: 30,
  crankLength: 165,
  ...more,
});

/** Starting stances: plausible, not rules [common practice, from memory]. Lengths mm, angles degrees. */
const DELTA_SETS: readonly StartingSet[] = [
  {
    id: 'delta',
    name: 'Recumbent delta',
    about: '47-406 in front, 40-406 behind; trail is held and the fork offset follows.',
    wheels: { front: '47-406', rear: '40-406' },
    bands: 'delta',
    lock: 20,
    fit: SEATED_FIT,
    lumps: [...trikeLumps(9), singleLump('front', 1.8), ...pairLumps('rear', 1.7)],
    held: {
      headAngle: 68,
      trail: 60,
      axleToCrown: 310,
      lowerStack: 12,
      headTubeLength: 130,
      wheelbase: 1280,
      rearTrack: 760,
      groundClearance: 190,
      seatAhead: 220,
      seatHeight: 330,
      legRoom: 870,
      pedalHeight: 590,
      ...reclined({ backAngle: 58, gripsAhead: 130, gripsHeight: 400, barWidth: 580 }),
      ...RIGID,
    },
  },
  {
    id: 'delta-front-driven',
    name: 'Front-driven delta',
    about: 'The single front wheel is driven by its hub: a short wheelbase keeps load on it.',
    wheels: { front: '47-406', rear: '40-406' },
    bands: 'delta',
    lock: 20,
    fit: SEATED_FIT,
    lumps: [...trikeLumps(9), singleLump('front', 1.8), ...pairLumps('rear', 1.7)],
    held: {
      headAngle: 70,
      trail: 50,
      axleToCrown: 310,
      lowerStack: 12,
      headTubeLength: 130,
      wheelbase: 1250,
      rearTrack: 820,
      groundClearance: 200,
      seatAhead: 250,
      seatHeight: 330,
      legRoom: 870,
      pedalHeight: 600,
      ...reclined({ backAngle: 58, gripsAhead: 130, gripsHeight: 410, barWidth: 580 }),
      ...RIGID,
    },
  },
];

export const DELTA_TRIKE: Kind = kindOf(
  {
    id: 'delta-trike',
    name: 'Delta trike',
    about: 'One steered wheel in front, two behind.',
    groups: [
      { title: 'Length and width', ids: ['wheelbase', 'rearTrack', 'rearOverWheels', 'overallLength'] },
      FORK_GROUP,
      { title: 'Clearance', ids: ['groundClearance', 'breakOver'] },
      SEAT_GROUP,
      TRAVEL_GROUP,
    ],
    seatGroups: RECLINED_GROUPS,
    readings: [
      'wheelbase',
      'rearTrack',
      'trail',
      'wheelFlop',
      'forkOffset',
      'seatHeight',
      'legRoom',
      'groundClearance',
    ],
    views: ['side', 'plan', 'front'],
    bands: withRider(
      {
        delta: {
          headAngle: band('delta trike', 65, 75),
          trail: band('delta trike', 30, 75),
          wheelbase: band('delta trike', 1000, 1400),
          rearTrack: band('delta trike', 650, 850),
          seatHeight: band('delta trike', 250, 450),
          groundClearance: band('delta trike', 90, 260),
        },
      },
      'reclined',
    ),
    startingSets: DELTA_SETS,
  },
  [
    wheelbase({ wheelbase: 1150, letGo: ['pedalsAhead', 'seatAhead'] }),
    straightUpRear,
    forkFront,
    rearPair(760),
    floor(190),
    seated({ seatAhead: 545, seatHeight: 330, legRoom: 885, pedalHeight: 590, backAngle: 58, feetOn: 'BB' }),
    reclinedRider,
    travel(forkFront, straightUpRear),
  ],
);

const FRONT = {
  frontTrack: 780,
  caster: 12,
  kingpinInclination: 14,
  spindleOffset: 0,
  spindleLength: 68,
  camber: 0,
  toe: 0,
};
const tadpoleFront = twoTrackFront(FRONT);
const tadpole = (more: Record<string, number>) => ({
  ...FRONT,
  groundClearance: 110,
  seatAhead: 640,
  seatHeight: 260,
  legRoom: 860,
  pedalHeight: 370,
  ...reclined({ backAngle: 42, gripsAhead: 130, gripsHeight: 330, barWidth: 560 }),
  ...RIGID,
  ...more,
});

const TADPOLE_SETS: readonly StartingSet[] = [
  {
    id: 'tadpole',
    name: 'Touring tadpole',
    about: '40-406 in front, 42-559 behind; kingpins aimed near the contact patches.',
    wheels: { front: '40-406', rear: '42-559' },
    bands: 'tadpole',
    fit: SEATED_FIT,
    lumps: [...trikeLumps(8), singleLump('rear', 2.6), ...pairLumps('front', 1.6, 2)],
    held: tadpole({ wheelbase: 1080 }),
  },
  {
    id: 'tadpole-small',
    name: 'Three small wheels',
    about: '40-406 all round, lower and a little shorter.',
    wheels: { front: '40-406', rear: '40-406' },
    bands: 'tadpole',
    fit: SEATED_FIT,
    lumps: [...trikeLumps(8), singleLump('rear', 2.6), ...pairLumps('front', 1.6, 2)],
    held: tadpole({ wheelbase: 1020, frontTrack: 740, seatAhead: 540, seatHeight: 230, groundClearance: 95 }),
  },
];

export const TADPOLE_TRIKE: Kind = kindOf(
  {
    id: 'tadpole-trike',
    name: 'Tadpole trike',
    about: 'Two steered wheels in front, one behind.',
    groups: [
      {
        title: 'Length and width',
        ids: ['wheelbase', 'frontTrack', 'frontOverWheels', 'pinTrack', 'overallLength'],
      },
      ...TWO_TRACK_GROUPS,
      { title: 'Clearance', ids: ['groundClearance', 'breakOver'] },
      SEAT_GROUP,
      TRAVEL_GROUP,
    ],
    seatGroups: RECLINED_GROUPS,
    readings: [
      'wheelbase',
      'frontTrack',
      'caster',
      'casterTrail',
      'scrubRadius',
      'outsideCamber',
      'seatHeight',
      'legRoom',
    ],
    views: ['side', 'plan', 'front'],
    bands: withRider(
      {
        tadpole: {
          caster: band('tadpole trike', 8, 16, PRACTICE),
          scrubRadius: band('tadpole trike', 0, 20, PRACTICE),
          casterTrail: band('tadpole trike', 30, 70),
          wheelbase: band('tadpole trike', 950, 1200),
          frontTrack: band('tadpole trike', 680, 850),
          seatHeight: band('tadpole trike', 180, 350),
          groundClearance: band('tadpole trike', 70, 180),
        },
      },
      'reclined',
    ),
    startingSets: TADPOLE_SETS,
  },
  [
    wheelbase({ wheelbase: 1080, letGo: ['pedalsAhead', 'seatAhead'] }),
    singleRear,
    straightUpRear,
    tadpoleFront,
    floor(110),
    seated({ seatAhead: 630, seatHeight: 260, legRoom: 860, pedalHeight: 370, backAngle: 42, feetOn: 'BB' }),
    reclinedRider,
    travel(tadpoleFront, straightUpRear),
  ],
);
