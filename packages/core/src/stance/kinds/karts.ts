import { kindOf } from '../assembly.js';
import type { Bands, Ease, Kind, StartingSet } from '../dimension.js';
import { ends, floor } from '../assemblies/floor.js';
import { bucketRider } from '../assemblies/riders/kinds.js';
import { seated } from '../assemblies/seated.js';
import { travel } from '../assemblies/travel.js';
import { twoTrackFront } from '../assemblies/twoTrackFront.js';
import { rearPair, straightUpRear, wheelbase } from '../assemblies/wheelbase.js';
import { band, PRACTICE, withRider } from './bands.js';
import {
  figureGroup,
  RIGID,
  SEAT_GROUP,
  SEATED_FIT,
  shellGroup,
  TRAVEL_GROUP,
  TWO_TRACK_GROUPS,
} from './groups.js';
import { BUGGY_LUMPS, KART_LUMPS, LADDER_LUMPS, OFF_ROAD_KART_LUMPS } from './lumps.js';

const BANDS: Bands = {
  kart: {
    caster: band('kart', 8, 15, PRACTICE),
    kingpinInclination: band('kart', 10, 12, PRACTICE),
    wheelbase: band('kart', 1000, 1070),
    rearTrack: band('kart', 1050, 1220),
    groundClearance: band('kart', 25, 60),
    legRoom: band('kart', 850, 1050),
  },
  ladder: {
    caster: band('kart', 8, 15, PRACTICE),
    kingpinInclination: band('kart', 8, 14),
    wheelbase: band('ladder kart', 1400, 1800),
    rearTrack: band('ladder kart', 800, 1050),
    groundClearance: band('ladder kart', 90, 180),
    legRoom: band('ladder kart', 850, 1100),
  },
  buggy: {
    caster: band('buggy', 4, 10, PRACTICE),
    kingpinInclination: band('buggy', 6, 14),
    wheelbase: band('buggy', 1900, 2050),
    frontTrack: band('buggy', 1350, 1500),
    rearTrack: band('buggy', 1350, 1500),
    groundClearance: band('buggy', 200, 320),
    approach: band('buggy', 40, 90),
    breakOver: band('buggy', 25, 50),
    legRoom: band('buggy', 900, 1150),
  },
  offRoadKart: {
    caster: band('off-road kart', 4, 12),
    kingpinInclination: band('off-road kart', 6, 14),
    wheelbase: band('off-road kart', 1350, 1700),
    frontTrack: band('off-road kart', 950, 1200),
    rearTrack: band('off-road kart', 950, 1200),
    groundClearance: band('off-road kart', 130, 220),
    legRoom: band('off-road kart', 850, 1100),
  },
};

/** Elbows well bent at the wheel [common practice]: it comes as near as that. */
const WHEEL_EASE: readonly Ease[] = [{ dimension: 'wheelAhead', angle: 'elbowAngle', value: 130 }];

const bucket = (more: Record<string, number>) => ({
  baseAngle: 8,
  baseLength: 300,
  seatThickness: 20,
  steeringWheelDiameter: 300,
  seatSpread: 0,
  ...more,
});

/** Starting stances: plausible, not rules [common practice, from memory]. Lengths mm, angles degrees. */
const KART_SETS: readonly StartingSet[] = [
  {
    id: 'kart',
    name: 'Perimeter kart',
    about: 'Leg room is held and the wheelbase follows. 10x4.5-5 in front, 11x7.1-5 behind on a live axle.',
    wheels: { front: '10x4.5-5', rear: '11x7.1-5' },
    bands: 'kart',
    fit: SEATED_FIT,
    ease: WHEEL_EASE,
    lumps: KART_LUMPS,
    held: {
      pedalsAhead: 170,
      frontTrack: 1100,
      rearTrack: 1150,
      caster: 12,
      kingpinInclination: 11,
      spindleOffset: 0,
      spindleLength: 95,
      camber: 0,
      toe: -0.2,
      groundClearance: 40,
      frontOverhang: 300,
      noseHeight: 45,
      rearOverhang: 90,
      tailHeight: 45,
      seatAhead: 310,
      seatHeight: 55,
      legRoom: 930,
      pedalHeight: 225,
      ...bucket({ backAngle: 62, wheelAhead: 460, wheelHeight: 490, columnAngle: 38 }),
      ...RIGID,
    },
  },
  {
    id: 'ladder',
    name: 'Ladder kart',
    about: 'Long rails with cross members, 16 in wheels, room to sit upright.',
    wheels: { front: '16x6.5-8', rear: '16x6.5-8' },
    bands: 'ladder',
    fit: SEATED_FIT,
    ease: WHEEL_EASE,
    lumps: LADDER_LUMPS,
    held: {
      wheelbase: 1680,
      frontTrack: 900,
      rearTrack: 900,
      caster: 10,
      kingpinInclination: 10,
      spindleOffset: 0,
      spindleLength: 90,
      camber: 0,
      toe: 0.2,
      groundClearance: 130,
      frontOverhang: 250,
      noseHeight: 180,
      rearOverhang: 120,
      tailHeight: 160,
      seatAhead: 510,
      seatHeight: 190,
      legRoom: 950,
      pedalHeight: 320,
      ...bucket({ backAngle: 68, wheelAhead: 470, wheelHeight: 620, columnAngle: 38 }),
      ...RIGID,
    },
  },
];
const BUGGY_SETS: readonly StartingSet[] = [
  {
    id: 'buggy',
    name: 'Caged buggy',
    about: '22x7-10 in front, 25x10-12 behind, sprung all round.',
    wheels: { front: '22x7-10', rear: '25x10-12' },
    bands: 'buggy',
    fit: SEATED_FIT,
    ease: WHEEL_EASE,
    lumps: BUGGY_LUMPS,
    held: {
      wheelbase: 1980,
      frontTrack: 1420,
      rearTrack: 1400,
      caster: 7,
      kingpinInclination: 10,
      spindleOffset: 0,
      spindleLength: 110,
      camber: 0,
      toe: 0.2,
      groundClearance: 260,
      frontOverhang: 260,
      noseHeight: 400,
      rearOverhang: 200,
      tailHeight: 380,
      seatAhead: 790,
      seatHeight: 330,
      legRoom: 990,
      pedalHeight: 450,
      ...bucket({ backAngle: 68, wheelAhead: 480, wheelHeight: 800, columnAngle: 28, seatSpread: 560 }),
      frontTravel: 200,
      frontSag: 65,
      rearTravel: 220,
      rearSag: 75,
    },
  },
  {
    id: 'off-road-kart',
    name: 'Off-road kart',
    about: 'One seat, 18 in tyres in front and 19 in behind, rigid rear, short arms in front.',
    wheels: { front: '18x7-8', rear: '19x9.5-8' },
    bands: 'offRoadKart',
    fit: SEATED_FIT,
    ease: WHEEL_EASE,
    lumps: OFF_ROAD_KART_LUMPS,
    held: {
      wheelbase: 1500,
      frontTrack: 1080,
      rearTrack: 1050,
      caster: 8,
      kingpinInclination: 10,
      spindleOffset: 0,
      spindleLength: 95,
      camber: 0,
      toe: 0.2,
      groundClearance: 170,
      frontOverhang: 180,
      noseHeight: 260,
      rearOverhang: 130,
      tailHeight: 260,
      seatAhead: 465,
      seatHeight: 230,
      legRoom: 925,
      pedalHeight: 360,
      ...bucket({ backAngle: 66, wheelAhead: 470, wheelHeight: 650, columnAngle: 32 }),
      frontTravel: 120,
      frontSag: 40,
      rearTravel: 0,
      rearSag: 0,
    },
  },
];

const GROUPS: Kind['groups'] = [
  {
    title: 'Length and width',
    ids: [
      'wheelbase',
      'frontTrack',
      'rearTrack',
      'frontOverWheels',
      'rearOverWheels',
      'pinTrack',
      'overallLength',
    ],
  },
  ...TWO_TRACK_GROUPS,
  SEAT_GROUP,
  {
    title: 'Clearance',
    ids: [
      'groundClearance',
      'breakOver',
      'approach',
      'departure',
      'frontOverhang',
      'noseHeight',
      'rearOverhang',
      'tailHeight',
    ],
  },
  TRAVEL_GROUP,
];

function kart(
  named: Pick<Kind, 'id' | 'name' | 'about' | 'startingSets' | 'readings'>,
  sizes: { wheelbase: number; track: number; clearance: number; spindle: number },
): Kind {
  const front = twoTrackFront({
    frontTrack: sizes.track,
    caster: 11,
    kingpinInclination: 11,
    spindleOffset: 0,
    spindleLength: sizes.spindle,
    camber: 0,
    toe: 0,
  });
  const seatGroups: Kind['groups'] = [
    shellGroup(['seatSpread']),
    {
      title: 'Steering wheel',
      ids: ['wheelAhead', 'wheelHeight', 'steeringWheelDiameter', 'columnAngle'],
    },
    figureGroup('Driver'),
  ];
  return kindOf(
    {
      ...named,
      seatGroups,
      groups: GROUPS,
      views: ['side', 'plan', 'front'],
      bands: withRider(BANDS, 'bucket'),
    },
    [
      wheelbase({ wheelbase: sizes.wheelbase, letGo: ['pedalsAhead', 'seatAhead', 'legRoom'] }),
      straightUpRear,
      front,
      rearPair(sizes.track),
      floor(sizes.clearance),
      ends({
        frontOverhang: 250,
        noseHeight: sizes.clearance + 10,
        rearOverhang: 100,
        tailHeight: sizes.clearance + 10,
      }),
      seated({
        seatAhead: sizes.wheelbase * 0.3,
        seatHeight: sizes.clearance + 20,
        legRoom: 925,
        pedalHeight: sizes.clearance + 185,
        backAngle: 65,
        feetOn: 'Pedals',
      }),
      bucketRider(sizes.clearance),
      travel(front, straightUpRear),
    ],
  );
}

export const KART: Kind = kart(
  {
    id: 'kart',
    name: 'Kart',
    about: 'Four wheels, rigid, close to the ground: perimeter or ladder frame.',
    startingSets: KART_SETS,
    readings: [
      'wheelbase',
      'rearTrack',
      'caster',
      'kingpinInclination',
      'casterTrail',
      'insideDrop',
      'legRoom',
      'groundClearance',
    ],
  },
  { wheelbase: 1050, track: 1100, clearance: 40, spindle: 95 },
);

export const BUGGY: Kind = kart(
  {
    id: 'buggy',
    name: 'Off-road kart or buggy',
    about: 'Four wheels, sprung, high off the ground, in a cage.',
    startingSets: BUGGY_SETS,
    readings: [
      'wheelbase',
      'frontTrack',
      'caster',
      'casterTrail',
      'groundClearance',
      'breakOver',
      'approach',
      'legRoom',
    ],
  },
  { wheelbase: 1950, track: 1400, clearance: 260, spindle: 110 },
);
