// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- an ambient module has no name to import
/// <reference path="./theilSen.d.ts" />
import { median } from 'd3-array';
import { TheilSenRegression } from 'ml-regression-theil-sen';
import type { Die, Trial } from '@larchwood/format';

/** How a die, a section and a material spring back, from what was logged. Angles in degrees. */
export interface Springback {
  /** Set = base + factor x wanted. */
  readonly base: number;
  readonly factor: number;
  /** Bends that the line is drawn through. */
  readonly from: number;
  /** Usual distance of a logged bend from the line, as a standard deviation; none from fewer than three. */
  readonly scatter?: number;
  /** Logged bends that lie far from the line, by id: for the builder to leave out or to keep. */
  readonly far: readonly string[];
  /** How sure it is. */
  readonly known: 'start value' | 'one bend' | 'offset' | 'line';
}

/** A line needs bends that lie so far apart, degrees, and so many of them. Common practice, no source. */
export const LINE = { apart: 15, bends: 3 } as const;
/** So many scatters, and at least so much, off the line is far. Common practice, no source. */
const FAR = { scatters: 3, least: 1 } as const;
/** Median absolute deviation to standard deviation of a normal distribution: 1 / Φ⁻¹(3/4). */
const MAD_TO_SD = 1.4826;

/** Logged bends of one die, section and material; those that the builder left out do not count. */
export const trialsOf = (
  trials: Readonly<Record<string, Trial>>,
  { die, section, material }: Pick<Trial, 'die' | 'section' | 'material'>,
): readonly (readonly [id: string, trial: Trial])[] =>
  Object.entries(trials).filter(
    ([, trial]) => trial.die === die && trial.section === section && trial.material === material,
  );

/**
 * A robust line through logged bends: what must be set to get what is wanted. From one bend, or from bends of nearly one
 * angle, the same springback at every angle; from none, the die's own start value.
 * Source: Theil (1950) and Sen (1968), median of the slopes between all pairs; median of what is left as its height.
 */
export function springbackOf(
  die: Pick<Die, 'spring'>,
  trials: readonly (readonly [id: string, trial: Trial])[],
): Springback {
  const used = trials.filter(([, { leftOut }]) => !leftOut);
  const points = used.map(([, { set, got }]) => ({ x: got, y: set }));
  if (points.length === 0) return { base: die.spring, factor: 1, from: 0, far: [], known: 'start value' };
  const angles = points.map(({ x }) => x);
  const apart = Math.max(...angles) - Math.min(...angles);
  const isLine = points.length >= LINE.bends && apart >= LINE.apart;
  const factor = isLine
    ? new TheilSenRegression(
        angles,
        points.map(({ y }) => y),
      ).slope
    : 1;
  const base = median(points, ({ x, y }) => y - factor * x)!;
  const off = points.map(({ x, y }) => Math.abs(y - base - factor * x));
  const scatter = points.length >= LINE.bends ? MAD_TO_SD * median(off)! : undefined;
  const limit = scatter === undefined ? Infinity : Math.max(FAR.least, FAR.scatters * scatter);
  return {
    ...{ base, factor, from: points.length },
    ...(scatter === undefined ? {} : { scatter }),
    far: used.filter((_, index) => off[index]! > limit).map(([id]) => id),
    known: isLine ? 'line' : points.length === 1 ? 'one bend' : 'offset',
  };
}

/** What to set for a bend, beyond straight; and what the die's own scale reads there, at the mark that is nearest. */
export function settingFor(
  die: Pick<Die, 'zero' | 'step'>,
  { base, factor }: Pick<Springback, 'base' | 'factor'>,
  wanted: number,
): { readonly set: number; readonly reads: number } {
  const set = base + factor * wanted;
  return { set, reads: Math.round((die.zero + set) / die.step) * die.step };
}

/** A bend to be logged, from what the die's scale read: what it reads at a straight tube is no part of the bend. Degrees. */
export const setBeyondStraight = ({ zero }: Pick<Die, 'zero'>, read: number): number => read - zero;
/** What the scale read when a bend was logged, degrees. */
export const scaleRead = ({ set, zero = 0 }: Pick<Trial, 'set' | 'zero'>): number => set + zero;
