import { band, PRACTICE } from './bands.js';
import type { Bands } from '../dimension.js';

/** Usual bands by use and dimension id; mm and degrees. */
export const BICYCLE_BANDS: Bands = {
  road: {
    headAngle: band('road bicycle', 71, 74, PRACTICE),
    trail: band('road bicycle', 50, 65, PRACTICE),
    wheelFlop: band('road bicycle', 13, 20),
    wheelbase: band('road bicycle', 970, 1030),
    chainstayLength: band('road bicycle', 405, 435),
    bottomBracketHeight: band('road bicycle', 262, 280),
    seatTubeAngle: band('road bicycle', 72, 74.5),
    toeClearance: band('any bicycle', 0, 160),
  },
  touring: {
    headAngle: band('loaded touring bicycle', 70.5, 73),
    trail: band('loaded touring bicycle', 55, 70, PRACTICE),
    wheelFlop: band('loaded touring bicycle', 14, 22),
    wheelbase: band('loaded touring bicycle', 1030, 1100),
    chainstayLength: band('loaded touring bicycle', 435, 465),
    bottomBracketHeight: band('loaded touring bicycle', 262, 285),
    seatTubeAngle: band('loaded touring bicycle', 71.5, 73.5),
    toeClearance: band('any bicycle', 0, 160),
  },
  trail: {
    headAngle: band('trail bicycle', 63, 69, PRACTICE),
    trail: band('trail bicycle', 85, 130, PRACTICE),
    wheelFlop: band('trail bicycle', 30, 50),
    wheelbase: band('trail bicycle', 1120, 1240),
    chainstayLength: band('trail bicycle', 425, 445),
    bottomBracketHeight: band('trail bicycle', 300, 345),
    seatTubeAngle: band('trail bicycle', 73, 77),
    toeClearance: band('any bicycle', 0, 160),
  },
  smallWheel: {
    headAngle: band('small-wheel bicycle', 69, 73),
    trail: band('small-wheel bicycle', 40, 65),
    wheelFlop: band('small-wheel bicycle', 12, 20),
    wheelbase: band('small-wheel bicycle', 960, 1060),
    chainstayLength: band('small-wheel bicycle', 400, 440),
    bottomBracketHeight: band('small-wheel bicycle', 265, 300),
    seatTubeAngle: band('small-wheel bicycle', 70, 73.5),
    toeClearance: band('any bicycle', 0, 160),
  },
  cruiser: {
    headAngle: band('stretched cruiser', 55, 68, PRACTICE),
    trail: band('stretched cruiser', 80, 160),
    wheelbase: band('stretched cruiser', 1200, 1500),
    bottomBracketHeight: band('stretched cruiser', 230, 310),
    // Low and laid back: feet on the ground at a stop.
    kneeAngle: band('stretched cruiser', 115, 150),
    elbowAngle: band('stretched cruiser', 120, 165),
    toeClearance: band('any bicycle', 0, 600),
  },
  longTail: {
    headAngle: band('long-tail bicycle', 69, 72),
    trail: band('long-tail bicycle', 50, 75),
    wheelbase: band('long-tail bicycle', 1220, 1380),
    bottomBracketHeight: band('long-tail bicycle', 262, 310),
    toeClearance: band('any bicycle', 0, 160),
  },
  frontBox: {
    headAngle: band('front-box bicycle', 66, 74),
    trail: band('front-box bicycle', 30, 75),
    wheelbase: band('front-box bicycle', 1800, 2150),
    bottomBracketHeight: band('front-box bicycle', 262, 310),
    toeClearance: band('any bicycle', 0, 1200),
  },
};
