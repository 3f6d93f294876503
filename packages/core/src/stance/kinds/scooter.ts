import { kindOf } from '../assembly.js';
import type { Ease, Fit, Kind, StartingSet } from '../dimension.js';
import { deck } from '../assemblies/floor.js';
import { standingRider } from '../assemblies/riders/kinds.js';
import { forkFront } from '../assemblies/singleFront.js';
import { travel } from '../assemblies/travel.js';
import { singleRear, straightUpRear, wheelbase } from '../assemblies/wheelbase.js';
import { band, withRider } from './bands.js';
import { BARS_GROUP, figureGroup, FORK_GROUP, RIGID, TRAVEL_GROUP } from './groups.js';
import { SCOOTER_LUMPS } from './lumps.js';

/** Hip to sole is 0.53 of the stature (Drillis and Contini); elbows bent [common practice]: the bars' height comes out so. */
const STANDING_FIT: readonly Fit[] = [{ dimension: 'hipHeight', rider: 0, perStature: 0.53, legs: true }];
const STANDING_EASE: readonly Ease[] = [{ dimension: 'barRise', angle: 'elbowAngle', value: 150 }];

/** Starting stances: plausible, not rules [common practice, from memory]. Lengths mm, angles degrees. */
const SETS: readonly StartingSet[] = [
  {
    id: 'scooter-small',
    name: 'Small wheels',
    about: '47-203 wheels, a low deck between them.',
    wheels: { front: '47-203', rear: '47-203' },
    bands: 'scooter',
    fit: STANDING_FIT,
    ease: STANDING_EASE,
    lumps: SCOOTER_LUMPS,
    held: {
      headAngle: 74,
      forkOffset: 15,
      axleToCrown: 190,
      lowerStack: 10,
      headTubeLength: 120,
      wheelbase: 980,
      deckHeight: 125,
      deckThickness: 35,
      deckLength: 500,
      deckAhead: 185,
      feetAhead: 560,
      hipAhead: -110,
      hipHeight: 945,
      trunkLean: 86,
      barReach: -20,
      barRise: 585,
      barWidth: 480,
      ...RIGID,
    },
  },
  {
    id: 'scooter-large',
    name: 'Large front wheel',
    about: '47-406 in front, 47-305 behind: rolls over kerbs and setts.',
    wheels: { front: '47-406', rear: '47-305' },
    bands: 'scooter',
    fit: STANDING_FIT,
    ease: STANDING_EASE,
    lumps: SCOOTER_LUMPS,
    held: {
      headAngle: 73,
      forkOffset: 32,
      axleToCrown: 300,
      lowerStack: 10,
      headTubeLength: 130,
      wheelbase: 1180,
      deckHeight: 125,
      deckThickness: 35,
      deckLength: 480,
      deckAhead: 230,
      feetAhead: 600,
      hipAhead: -110,
      hipHeight: 945,
      trunkLean: 86,
      barReach: -30,
      barRise: 460,
      barWidth: 520,
      ...RIGID,
    },
  },
];

export const SCOOTER: Kind = kindOf(
  {
    id: 'scooter',
    name: 'Scooter',
    about: 'A deck to stand on between two wheels, pushed or driven.',
    groups: [
      {
        title: 'Length and deck',
        ids: [
          'wheelbase',
          'deckHeight',
          'deckThickness',
          'groundClearance',
          'deckLength',
          'deckAhead',
          'deckToTyre',
          'breakOver',
          'overallLength',
        ],
      },
      FORK_GROUP,
      TRAVEL_GROUP,
    ],
    seatGroups: [
      { title: 'Standing', ids: ['feetAhead', 'hipAhead', 'hipHeight', 'trunkLean'] },
      BARS_GROUP,
      figureGroup('Rider'),
    ],
    readings: ['trail', 'wheelbase', 'wheelFlop', 'deckHeight', 'groundClearance', 'breakOver', 'deckToTyre'],
    views: ['side'],
    bands: withRider(
      {
        scooter: {
          headAngle: band('scooter', 70, 78),
          trail: band('scooter', 20, 60),
          wheelbase: band('scooter', 850, 1250),
          deckHeight: band('scooter', 60, 140),
          groundClearance: band('scooter', 35, 110),
          deckToTyre: band('scooter', 60, 260),
        },
      },
      'standing',
    ),
    startingSets: SETS,
  },
  [
    wheelbase({ wheelbase: 1000, letGo: ['deckToTyre'] }),
    singleRear,
    straightUpRear,
    forkFront,
    deck,
    standingRider,
    travel(forkFront, straightUpRear),
  ],
);
