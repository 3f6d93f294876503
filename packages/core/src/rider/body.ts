import { SEGMENT_IDS, type Segment } from '@larchwood/format';

/** Lengths of a person's stature and segments, mm. */
export type Body = Readonly<Record<Segment | 'stature', number>>;

/** Fractions of the stature. Source: Drillis and Contini (1966), as tabled in Winter, Biomechanics and Motor Control of Human Movement. */
export const OF_STATURE = {
  ankleHeight: 0.039,
  shank: 0.246,
  thigh: 0.245,
  trunk: 0.288,
  upperArm: 0.186,
  forearm: 0.146,
  hand: 0.108,
  footLength: 0.152,
  shoulderToTop: 0.182,
  /** Shoulder to eye: eye height 0.936, shoulder 0.818. */
  shoulderToEye: 0.118,
} as const satisfies Readonly<Record<Segment, number>> & Readonly<Record<string, number>>;

/** Segments that a measured inseam stretches in their proportion. */
const LEG: readonly Segment[] = ['thigh', 'shank', 'ankleHeight'];

/** Floor to crotch as a fraction of the stature. Common practice, from memory. */
export const INSEAM_OF_STATURE = 0.47;

/** Stature that the starting sets are made for, and of the figure where the brief names nobody, mm. Common practice, no source. */
export const SET_STATURE = 1750;

/** Half widths as fractions of the stature, joint centre to the middle. From memory. */
export const HALF_WIDTH = { hips: 0.049, shoulders: 0.11 } as const;

/** Half thicknesses of limbs as fractions of the stature, as skin and clothes stand off the bones' line. From memory. */
export const THICKNESS = {
  thighAtHip: 0.05,
  thighAtKnee: 0.036,
  knee: 0.036,
  calf: 0.032,
  ankle: 0.021,
  foot: 0.02,
  upperArm: 0.027,
  forearm: 0.022,
  trunk: 0.065,
  head: 0.055,
} as const;

export interface Measured extends Partial<Readonly<Record<Segment, number>>> {
  readonly stature: number;
  readonly inseam?: number;
}

/**
 * A person's segments, mm: from the stature; a measured inseam stretches thigh, shank and foot height in their
 * proportion; a measured segment stands for itself. The inseam is floor to crotch, so it is set against the usual inseam
 * of that stature, not against the leg from the hip joint.
 */
export function bodyOf({ stature, inseam, ...measured }: Measured): Body {
  const leg = inseam === undefined ? 1 : inseam / (INSEAM_OF_STATURE * stature);
  const usual = (segment: Segment): number =>
    OF_STATURE[segment] * stature * (LEG.includes(segment) ? leg : 1);
  const lengths = SEGMENT_IDS.map((segment) => [segment, measured[segment] ?? usual(segment)]);
  return { stature, ...(Object.fromEntries(lengths) as Record<Segment, number>) };
}

/** The stature that usually has a person's legs, mm: as measured, or their own stature. */
export function statureOfLegs(person: Measured): number {
  const { thigh, shank, ankleHeight } = bodyOf(person);
  return (thigh + shank + ankleHeight) / (OF_STATURE.thigh + OF_STATURE.shank + OF_STATURE.ankleHeight);
}

/** Floor to crotch, mm: measured, or usual for the stature. */
export const inseamOf = ({ stature, inseam }: Measured): number => inseam ?? INSEAM_OF_STATURE * stature;

/** Segment masses as fractions of body mass (limbs: each), and centres of mass from the proximal end. Source: Winter, after Dempster. */
export const SEGMENT_MASS = {
  headAndNeck: 0.081,
  trunk: 0.497,
  upperArm: 0.028,
  forearm: 0.016,
  hand: 0.006,
  thigh: 0.1,
  shank: 0.0465,
  foot: 0.0145,
} as const;
export const CENTRE_OF_MASS = {
  upperArm: 0.436,
  forearm: 0.43,
  hand: 0.506,
  thigh: 0.433,
  shank: 0.433,
  foot: 0.5,
  trunk: 0.5,
} as const;
