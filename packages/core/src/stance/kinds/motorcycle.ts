import { kindOf } from '../assembly.js';
import type { Bands, Ease, Kind, StartingSet } from '../dimension.js';
import { floor } from '../assemblies/floor.js';
import { astrideRider, feetForwardRider } from '../assemblies/riders/kinds.js';
import { seated } from '../assemblies/seated.js';
import { clampFront } from '../assemblies/singleFront.js';
import { swingArm } from '../assemblies/swingArm.js';
import { travel } from '../assemblies/travel.js';
import { singleRear, wheelbase } from '../assemblies/wheelbase.js';
import { band, PRACTICE, withRider } from './bands.js';
import { BARS_GROUP, figureGroup, SEAT_GROUP, SEATED_FIT, shellGroup, TRAVEL_GROUP } from './groups.js';
import { LOW_MOTORCYCLE_LUMPS, MOTORCYCLE_LUMPS } from './lumps.js';

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

const ASTRIDE_EASE: readonly Ease[] = [{ dimension: 'trunkLean', angle: 'elbowAngle', value: 155 }];
const astride = (more: Record<string, number> = {}) => ({
  seatAhead: 260,
  seatHeight: 800,
  pegsAhead: 500,
  pegHeight: 310,
  pegSpread: 620,
  trunkLean: 76,
  barReach: -40,
  barRise: 130,
  barWidth: 640,
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
    ease: ASTRIDE_EASE,
    lock: 30,
    lumps: MOTORCYCLE_LUMPS,
    held: held({
      ...astride(),
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
    ease: ASTRIDE_EASE,
    lock: 30,
    lumps: MOTORCYCLE_LUMPS,
    held: held({
      ...astride({
        trunkLean: 56,
        barReach: 10,
        barRise: -50,
        barWidth: 560,
        pegsAhead: 400,
        pegHeight: 370,
        seatHeight: 820,
        seatAhead: 250,
      }),
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
    ease: ASTRIDE_EASE,
    lock: 30,
    lumps: MOTORCYCLE_LUMPS,
    held: held({
      ...astride({
        seatAhead: 340,
        seatHeight: 690,
        pegsAhead: 930,
        pegHeight: 300,
        trunkLean: 95,
        barReach: -230,
        barRise: 150,
        barWidth: 700,
      }),
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
    lock: 25,
    lumps: LOW_MOTORCYCLE_LUMPS,
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
      seatAhead: 470,
      seatHeight: 400,
      legRoom: 890,
      pedalHeight: 360,
      backAngle: 62,
      baseAngle: 10,
      baseLength: 330,
      seatThickness: 60,
      barReach: -540,
      barRise: -30,
      barWidth: 640,
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
    seatGroups: [
      {
        title: 'Seat and pegs',
        ids: ['seatAhead', 'seatHeight', 'pegsAhead', 'pegHeight', 'pegSpread', 'seatToPegs', 'trunkLean'],
      },
      BARS_GROUP,
      figureGroup('Rider'),
    ],
    readings: READINGS,
    views: ['side'],
    bands: withRider(BANDS, 'astride'),
    startingSets: SETS,
  },
  [...base, astrideRider],
);

export const LOW_MOTORCYCLE: Kind = kindOf(
  {
    id: 'low-motorcycle',
    name: 'Low feet-forward motorcycle',
    about: 'The rider sits low between the wheels with the feet ahead.',
    groups: [...GROUPS, SEAT_GROUP, TRAVEL_GROUP],
    seatGroups: [shellGroup(), BARS_GROUP, figureGroup('Rider')],
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
    bands: withRider(LOW_BANDS, 'feetForward'),
    startingSets: LOW_SETS,
  },
  [
    ...base,
    seated({
      seatAhead: 470,
      seatHeight: 400,
      legRoom: 890,
      pedalHeight: 360,
      backAngle: 62,
      feetOn: 'Pegs',
    }),
    feetForwardRider,
  ],
);
