import { kindOf } from '../assembly.js';
import type { Kind } from '../dimension.js';
import { pedalled } from '../assemblies/pedalled.js';
import { forkFront } from '../assemblies/singleFront.js';
import { travel } from '../assemblies/travel.js';
import { singleRear, wheelbase } from '../assemblies/wheelbase.js';
import { FORK_GROUP, TRAVEL_GROUP } from './groups.js';
import { BICYCLE_BANDS } from './bicycleBands.js';
import { BICYCLE_SETS } from './bicycleSets.js';
import { TANDEM_BANDS, TANDEM_SETS, TRIPLET_BANDS, TRIPLET_SETS } from './tandemSets.js';

function pedalledKind(
  riders: 1 | 2 | 3,
  start: Record<string, number>,
  identity: Pick<Kind, 'id' | 'name' | 'about' | 'bands' | 'startingSets' | 'schools'> & {
    cockpits: readonly string[];
  },
): Kind {
  const { cockpits, ...named } = identity;
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
      travel(forkFront, rear),
    ],
  );
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
  about: 'One rider, pedals between the wheels: road, touring, trail, small wheels, long low cruisers.',
  bands: BICYCLE_BANDS,
  startingSets: BICYCLE_SETS,
  schools: ['slide-and-post'],
  cockpits: [],
});

const SECOND = { cockpit: 700, rearSeatTubeLength: 480 };
export const TANDEM: Kind = pedalledKind(
  2,
  { ...REAR, ...SECOND },
  {
    id: 'tandem',
    name: 'Tandem',
    about: 'Two riders one behind the other.',
    bands: TANDEM_BANDS,
    startingSets: TANDEM_SETS,
    schools: [],
    cockpits: ['cockpit', 'rearSeatTubeLength'],
  },
);

export const TRIPLET: Kind = pedalledKind(
  3,
  { ...REAR, ...SECOND, secondCockpit: 690, middleSeatTubeLength: 500 },
  {
    id: 'triplet',
    name: 'Triplet',
    about: 'Three riders one behind the other.',
    bands: TRIPLET_BANDS,
    startingSets: TRIPLET_SETS,
    schools: [],
    cockpits: ['cockpit', 'rearSeatTubeLength', 'secondCockpit', 'middleSeatTubeLength'],
  },
);
