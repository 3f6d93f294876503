import type { Seam } from './seams.js';

/** Tacks of a joint: four opposed ones, three where the seam is short. Common practice, no source. */
const SHORT = 90;
export const tacksOf = ({ length }: Pick<Seam, 'length'>): 3 | 4 => (length < SHORT ? 3 : 4);

/** Walls from this up want a root and a cap; common practice, no source. mm */
export const TWO_PASS = 3;
/** A plug is filled in one go, whatever the wall. */
export const passesOf = ({ wall, plug }: Pick<Seam, 'wall' | 'plug'>): 1 | 2 =>
  wall >= TWO_PASS && !plug ? 2 : 1;

/**
 * Usual figures of a process until the workshop's own log corrects them: speed along the seam, mm/min; share of the time
 * that the arc burns; gas, l/min; leg of the fillet per wall. Common practice, no source.
 */
export const PROCESSES = {
  tig: { name: 'TIG', speed: 60, burning: 0.25, gas: 8 },
  mig: { name: 'MIG', speed: 250, burning: 0.25, gas: 12 },
  stick: { name: 'Stick', speed: 120, burning: 0.2, gas: 0 },
  braze: { name: 'Brazing', speed: 50, burning: 0.5, gas: 0 },
} as const;
export type ProcessId = keyof typeof PROCESSES;
/** Where the workshop says nothing: thin walls by TIG, thick ones by MIG. mm */
const THIN = 1.6;
export const processFor = ({ wall }: Pick<Seam, 'wall'>): ProcessId => (wall <= THIN ? 'tig' : 'mig');

export interface Estimate {
  readonly process: ProcessId;
  readonly passes: 1 | 2;
  /** Minutes that the arc burns. */
  readonly arc: number;
  /** Minutes in all: fetched, turned, set up. */
  readonly minutes: number;
  /** Filler, g. */
  readonly filler: number;
  /** Litres. */
  readonly gas: number;
}
/** Density of steel filler, g/mm3. */
const STEEL = 7.85e-3;

/**
 * What a seam takes: a fillet with a leg of the thinner wall, once round the real cut.
 * @param corrected workshop's own minutes over these, from its log
 */
export function estimate(
  seam: Pick<Seam, 'length' | 'wall' | 'plug'>,
  process = processFor(seam),
  corrected = 1,
): Estimate {
  const { speed, burning, gas } = PROCESSES[process];
  const passes = passesOf(seam);
  const arc = (corrected * passes * seam.length) / speed;
  const leg = Math.max(2, seam.wall * 1.2);
  return {
    process,
    passes,
    arc,
    minutes: arc / burning,
    filler: ((leg * leg) / 2) * seam.length * STEEL,
    gas: gas * arc,
  };
}
export const weldHours = (seams: readonly Seam[]): number =>
  seams.reduce((sum, seam) => sum + estimate(seam).minutes, 0) / 60;
