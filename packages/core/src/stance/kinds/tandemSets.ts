import type { Bands, StartingSet } from '../dimension.js';
import { band } from './bands.js';
import {
  PEDALLED_EASE,
  PEDALLED_FIT,
  PEDALLED_GAP,
  RIGID,
  saddleOf,
  saddleEase,
  seatTubeOf,
} from './groups.js';
import { bicycleLumps, frameLump } from './lumps.js';

export const TANDEM_BANDS: Bands = {
  tandem: {
    headAngle: band('tandem', 71.5, 74),
    trail: band('tandem', 45, 65),
    wheelbase: band('tandem', 1700, 1760),
    cockpit: band('tandem', 680, 740),
    chainstayLength: band('tandem', 425, 465),
    bottomBracketHeight: band('tandem', 262, 290),
    toeClearance: band('any bicycle', 0, 160),
  },
};
export const TRIPLET_BANDS: Bands = {
  triplet: {
    headAngle: band('triplet', 71.5, 74),
    trail: band('triplet', 45, 65),
    wheelbase: band('triplet', 2350, 2450),
    cockpit: band('triplet', 660, 740),
    secondCockpit: band('triplet', 660, 740),
    bottomBracketHeight: band('triplet', 262, 290),
    toeClearance: band('any bicycle', 0, 160),
  },
};

const COMMON = {
  headAngle: 73,
  forkOffset: 50,
  axleToCrown: 395,
  lowerStack: 12,
  headTubeLength: 160,
  chainstayLength: 440,
  bottomBracketDrop: 70,
  seatTubeAngle: 73,
  seatTubeLength: 560,
  cockpit: 710,
  rearSeatTubeLength: 480,
  crankLength: 170,
  toeAllowance: 100,
  saddleHeight: 725,
  saddleBack: 10,
  trunkLean: 52,
  barReach: 82,
  barRise: 50,
  barWidth: 440,
  ...RIGID,
};
/** The saddle and bars of a rider behind. */
const behind = (slot: 'middle' | 'rear', gripsAhead: number) => ({
  [`${slot}SaddleHeight`]: 722,
  [`${slot}SaddleBack`]: 10,
  [`${slot}TrunkLean`]: 62,
  [`${slot}GripsAhead`]: gripsAhead,
  [`${slot}GripsAbove`]: 40,
  [`${slot}BarWidth`]: 440,
});
const WHEELS = { front: '37-622', rear: '37-622' };

/** Starting stances: plausible, not rules [common practice, from memory]. Lengths mm, angles degrees. */
export const TANDEM_SETS: readonly StartingSet[] = [
  {
    id: 'tandem',
    name: 'Touring tandem',
    about: '37-622 wheels; the wheelbase is held, the front rider’s reach follows.',
    wheels: WHEELS,
    bands: 'tandem',
    fit: [...PEDALLED_FIT, seatTubeOf('rearSeatTubeLength', 1), saddleOf('rearSaddleHeight', 1)],
    riderGap: PEDALLED_GAP,
    ease: [...PEDALLED_EASE, saddleEase('rear')],
    lumps: [...bicycleLumps(1.9, 2.6), frameLump(5.5, 'bottomBracket', [-300, 0, 250])],
    held: { ...COMMON, ...behind('rear', 670), wheelbase: 1758 },
  },
];
export const TRIPLET_SETS: readonly StartingSet[] = [
  {
    id: 'triplet',
    name: 'Touring triplet',
    about: '37-622 wheels; the wheelbase is held, the front rider’s reach follows.',
    wheels: WHEELS,
    bands: 'triplet',
    fit: [
      ...PEDALLED_FIT,
      seatTubeOf('middleSeatTubeLength', 1),
      saddleOf('middleSaddleHeight', 1),
      seatTubeOf('rearSeatTubeLength', 2),
      saddleOf('rearSaddleHeight', 2),
    ],
    riderGap: PEDALLED_GAP,
    ease: [...PEDALLED_EASE, saddleEase('middle'), saddleEase('rear')],
    lumps: [...bicycleLumps(2.1, 2.9), frameLump(8.5, 'bottomBracket', [-650, 0, 250])],
    held: {
      ...COMMON,
      ...behind('middle', 670),
      ...behind('rear', 670),
      cockpit: 690,
      secondCockpit: 690,
      middleSeatTubeLength: 500,
      wheelbase: 2428,
    },
  },
];
