import { kindOf } from '../assembly.js';
import type { Bands, Kind, StartingSet } from '../dimension.js';
import { floor } from '../assemblies/floor.js';
import { seated } from '../assemblies/seated.js';
import { clampFront } from '../assemblies/singleFront.js';
import { swingArm } from '../assemblies/swingArm.js';
import { travel } from '../assemblies/travel.js';
import { singleRear, wheelbase } from '../assemblies/wheelbase.js';
import { band, PRACTICE } from './bands.js';
import { SEAT_GROUP, SEATED_FIT, TRAVEL_GROUP } from './groups.js';

const use = (
  name: string,
  rake: [number, number],
  trailBand: [number, number],
  base: [number, number],
  extra: Bands[string] = {},
) => ({
  rake: band(name, ...rake, PRACTICE),
  trail: band(name, ...trailBand, PRACTICE),
  wheelbase: band(name, ...base),
  armAngle: band('motorcycle', -2, 14),
  groundClearance: band('motorcycle', 110, 260),
  ...extra,
});
const BANDS: Bands = {
  sport: use('sport motorcycle', [22, 26], [85, 105], [1340, 1440]),
  standard: use('standard motorcycle', [25, 29], [95, 120], [1340, 1480]),
  cruiser: use('cruiser', [29, 36], [110, 160], [1500, 1750]),
};
const LOW_BANDS: Bands = {
  low: use('low feet-forward motorcycle', [26, 34], [95, 140], [1600, 1950], {
    seatHeight: band('low feet-forward motorcycle', 330, 500),
    groundClearance: band('low feet-forward motorcycle', 90, 180),
  }),
};

const held = (more: Record<string, number>) => ({
  clampTilt: 0,
  axleLead: 0,
  lowerStack: 22,
  headTubeLength: 190,
  pivotHeight: 340,
  armLength: 540,
  sprocketAhead: 78,
  sprocketAbove: 12,
  groundClearance: 150,
  ...more,
});

/** Starting stances: plausible, not rules [common practice, from memory]. Lengths mm, angles degrees. */
const SETS: readonly StartingSet[] = [
  {
    id: 'standard',
    name: 'Standard, cradle frame',
    about: 'Rake and trail are held and the clamp offset follows: ask a clamp maker for that.',
    wheels: { front: '110/70-17', rear: '140/70-17' },
    bands: 'standard',
    held: held({
      rake: 26,
      trail: 95,
      wheelbase: 1370,
      forkLength: 560,
      frontTravel: 120,
      frontSag: 30,
      rearTravel: 120,
      rearSag: 30,
    }),
  },
  {
    id: 'sport',
    name: 'Sport, trellis frame',
    about: 'Steep rake, short wheelbase, longer arm.',
    wheels: { front: '120/70-17', rear: '160/60-17' },
    bands: 'sport',
    held: held({
      rake: 25,
      trail: 98,
      wheelbase: 1385,
      forkLength: 555,
      pivotHeight: 355,
      armLength: 560,
      frontTravel: 120,
      frontSag: 35,
      rearTravel: 125,
      rearSag: 30,
    }),
  },
  {
    id: 'cruiser',
    name: 'Cruiser, rigid rear',
    about:
      'Long and low; no spring behind, so the rear travel is 0. The clamps on the shelf are held and the trail follows.',
    wheels: { front: '100/90-19', rear: '150/80-16' },
    bands: 'cruiser',
    held: held({
      rake: 32,
      clampOffset: 50,
      wheelbase: 1620,
      forkLength: 650,
      pivotHeight: 330,
      armLength: 520,
      groundClearance: 130,
      frontTravel: 110,
      frontSag: 25,
      rearTravel: 0,
      rearSag: 0,
    }),
  },
];

const LOW_SETS: readonly StartingSet[] = [
  {
    id: 'low',
    name: 'Low, feet forward',
    about: 'Sitting in it rather than on it: seat 400 mm high, feet ahead, long wheelbase.',
    wheels: { front: '110/80-16', rear: '140/70-17' },
    bands: 'low',
    fit: SEATED_FIT,
    held: held({
      rake: 30,
      trail: 110,
      wheelbase: 1780,
      forkLength: 500,
      pivotHeight: 330,
      armLength: 520,
      groundClearance: 120,
      frontTravel: 100,
      frontSag: 25,
      rearTravel: 100,
      rearSag: 25,
      seatAhead: 430,
      seatHeight: 400,
      legRoom: 960,
      pedalHeight: 330,
    }),
  },
];

const REAR = { pivotHeight: 340, armLength: 540 };
const rear = swingArm(REAR);
const base = [
  wheelbase({ wheelbase: 1400, letGo: ['headToPivot', 'pivotToAxle', 'pedalsAhead'] }),
  singleRear,
  clampFront,
  rear,
  floor(150),
  travel(clampFront, rear),
];
const GROUPS = [
  { title: 'Length', ids: ['wheelbase', 'headToPivot', 'pivotToAxle', 'engineRoom', 'overallLength'] },
  {
    title: 'Front end',
    ids: [
      'rake',
      'headAngle',
      'trail',
      'wheelFlop',
      'mechanicalTrail',
      'forkOffset',
      'clampOffset',
      'clampTilt',
      'axleLead',
      'forkLength',
      'lowerStack',
      'headTubeLength',
    ],
  },
  { title: 'Rear end', ids: ['armLength', 'pivotHeight', 'armAngle', 'sprocketAhead', 'sprocketAbove'] },
  { title: 'Clearance', ids: ['groundClearance', 'breakOver'] },
];
const READINGS = [
  'rake',
  'trail',
  'wheelbase',
  'wheelFlop',
  'forkOffset',
  'armAngle',
  'engineRoom',
  'groundClearance',
];

export const MOTORCYCLE: Kind = kindOf(
  {
    id: 'motorcycle',
    name: 'Motorcycle',
    about: 'Telescopic fork in clamps, swing-arm or rigid rear.',
    groups: [...GROUPS, TRAVEL_GROUP],
    readings: READINGS,
    views: ['side'],
    bands: BANDS,
    startingSets: SETS,
    schools: [],
  },
  base,
);

export const LOW_MOTORCYCLE: Kind = kindOf(
  {
    id: 'low-motorcycle',
    name: 'Low feet-forward motorcycle',
    about: 'The rider sits low between the wheels with the feet ahead.',
    groups: [...GROUPS, SEAT_GROUP, TRAVEL_GROUP],
    readings: [
      'rake',
      'trail',
      'wheelbase',
      'seatHeight',
      'legRoom',
      'forkOffset',
      'engineRoom',
      'groundClearance',
    ],
    views: ['side'],
    bands: LOW_BANDS,
    startingSets: LOW_SETS,
    schools: [],
  },
  [...base, seated({ seatAhead: 430, seatHeight: 400, legRoom: 960, pedalHeight: 330, feetOn: 'Pegs' })],
);
