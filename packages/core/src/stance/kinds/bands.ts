import type { Band, Bands } from '../dimension.js';

export const PRACTICE = 'common practice';
const MEMORY = 'common practice, from memory';

/** A usual range for a use; without a source it is from memory and says so. */
export const band = (use: string, low: number, high: number, source = MEMORY): Band => ({
  low,
  high,
  use,
  source,
});

/** Usual angles of riders by posture, common practice: merged into every use of a kind. */
const ELBOW = band('rider', 150, 165, PRACTICE);
export const RIDER_BANDS = {
  pedalling: { kneeAngle: band('pedalling rider', 145, 155, PRACTICE), elbowAngle: ELBOW },
  reclined: { kneeAngle: band('reclined rider', 148, 168), backAngle: band('recumbent trike', 30, 65) },
  astride: { kneeAngle: band('motorcyclist', 65, 120), elbowAngle: band('motorcyclist', 120, 165) },
  standing: {
    kneeAngle: band('standing rider', 145, 175),
    elbowAngle: band('standing rider', 120, 165),
  },
  feetForward: {
    kneeAngle: band('feet-forward rider', 110, 155),
    backAngle: band('feet-forward rider', 50, 80),
  },
  bucket: {
    kneeAngle: band('bucket seat', 110, 150, PRACTICE),
    backAngle: band('bucket seat', 55, 75, PRACTICE),
  },
} as const;

export const withRider = (bands: Bands, rider: keyof typeof RIDER_BANDS): Bands =>
  Object.fromEntries(Object.entries(bands).map(([use, own]) => [use, { ...RIDER_BANDS[rider], ...own }]));
