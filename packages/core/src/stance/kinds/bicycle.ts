import { kindOf } from '../assembly.js';
import type { Kind } from '../dimension.js';
import { pedalled, type Riders } from '../assemblies/pedalled.js';
import { onSaddles } from '../assemblies/riders/onSaddles.js';
import { forkFront } from '../assemblies/singleFront.js';
import { travel } from '../assemblies/travel.js';
import { singleRear, wheelbase } from '../assemblies/wheelbase.js';
import { BARS_GROUP, figureGroup, FORK_GROUP, TRAVEL_GROUP } from './groups.js';
import { withRider } from './bands.js';
import { BICYCLE_BANDS } from './bicycleBands.js';
import { BICYCLE_SETS } from './bicycleSets.js';
import { TANDEM_BANDS, TANDEM_SETS, TRIPLET_BANDS, TRIPLET_SETS } from './tandemSets.js';

function pedalledKind(
  riders: Riders,
  start: Record<string, number>,
  identity: Pick<Kind, 'id' | 'name' | 'about' | 'bands' | 'startingSets'> & {
    cockpits: readonly string[];
    /** Slots of the riders behind the first, from the front. */
    behind: readonly ('middle' | 'rear')[];
  },
): Kind {
  const { cockpits, behind, ...named } = identity;
  const rear = pedalled(riders, start);
  return kindOf(
    {
      ...named,
      groups: [
        {
          title: 'Length',
          ids: ['reach', 'wheelbase', 'frontCentre', 'effectiveTopTube', 'stack', 'overallLength'],
        },
        FORK_GROUP,
        {
          title: 'Rear and seat tube',
          ids: [
            'chainstayLength',
            'bottomBracketDrop',
            'bottomBracketHeight',
            'dropBelowAxles',
            'seatTubeAngle',
            'seatTubeLength',
          ],
        },
        ...(cockpits.length > 0 ? [{ title: 'Riders behind', ids: cockpits }] : []),
        { title: 'For the toe', ids: ['toeClearance', 'crankLength', 'toeAllowance'] },
        TRAVEL_GROUP,
      ],
      seatGroups: [
        {
          title: 'Saddle',
          ids: ['saddleHeight', 'saddleBack', 'setback', 'saddleAboveGround', 'trunkLean', 'crankLength'],
        },
        BARS_GROUP,
        figureGroup(behind.length > 0 ? 'Front rider' : 'Rider', '', true),
        ...behind.flatMap((slot) => behindGroups(slot)),
      ],
      readings: [
        'trail',
        'wheelbase',
        'wheelFlop',
        'stack',
        'effectiveTopTube',
        'bottomBracketHeight',
        'toeClearance',
        'mechanicalTrail',
      ],
      views: ['side'],
    },
    [
      wheelbase({
        wheelbase: riders === 1 ? 1000 : 1000 + 700 * (riders - 1),
        letGo: ['reach', 'frontCentre', 'cockpit'],
      }),
      singleRear,
      forkFront,
      rear,
      ...onSaddles(riders),
      travel(forkFront, rear),
    ],
  );
}

function behindGroups(slot: 'middle' | 'rear'): Kind['groups'] {
  const [title, id] = [
    slot === 'rear' ? 'Rear' : 'Middle',
    (name: string) => slot + name[0]!.toUpperCase() + name.slice(1),
  ];
  return [
    {
      title: `${title} saddle and bars`,
      ids: [
        'saddleHeight',
        'saddleBack',
        'setback',
        'saddleAboveGround',
        'trunkLean',
        'gripsAhead',
        'gripsAbove',
        'barWidth',
      ].map(id),
    },
    figureGroup(`${title} rider`, slot, true),
  ];
}

const REAR = {
  chainstayLength: 435,
  bottomBracketDrop: 70,
  seatTubeAngle: 73,
  seatTubeLength: 540,
  crankLength: 170,
  toeAllowance: 100,
};

export const BICYCLE: Kind = pedalledKind(1, REAR, {
  id: 'bicycle',
  name: 'Bicycle',
  about: 'One rider, pedals between the wheels: road, touring, trail, small wheels, cruisers, cargo.',
  bands: withRider(BICYCLE_BANDS, 'pedalling'),
  startingSets: BICYCLE_SETS,
  cockpits: [],
  behind: [],
});

const SECOND = { cockpit: 700, rearSeatTubeLength: 480 };
export const TANDEM: Kind = pedalledKind(
  2,
  { ...REAR, ...SECOND },
  {
    id: 'tandem',
    name: 'Tandem',
    about: 'Two riders one behind the other.',
    bands: withRider(TANDEM_BANDS, 'pedalling'),
    startingSets: TANDEM_SETS,
    cockpits: ['cockpit', 'rearSeatTubeLength'],
    behind: ['rear'],
  },
);

export const TRIPLET: Kind = pedalledKind(
  3,
  { ...REAR, ...SECOND, secondCockpit: 690, middleSeatTubeLength: 500 },
  {
    id: 'triplet',
    name: 'Triplet',
    about: 'Three riders one behind the other.',
    bands: withRider(TRIPLET_BANDS, 'pedalling'),
    startingSets: TRIPLET_SETS,
    cockpits: ['cockpit', 'rearSeatTubeLength', 'secondCockpit', 'middleSeatTubeLength'],
    behind: ['middle', 'rear'],
  },
);
