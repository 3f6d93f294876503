import type { SteeredWheel } from '../stance/dimension.js';
import type { Steering } from './steering.js';
import type { SteeringStep, SteeringSweep } from './sweep.js';
import { ackermannError, turnOf, type Turn } from './turn.js';

/** Under this between rod and arm the linkage is near lock-over, degrees. Common practice, no source. */
export const LEAST_ROD_ANGLE = 30;

/** How far the two wheels are from rolling about one centre, over the whole sweep; degrees. */
export interface AckermannSummary {
  /** Root of the mean square of the outer wheel's error. */
  readonly rms: number;
  /** The largest, with its sign: turned too far is positive. */
  readonly worst: number;
}

export function ackermannOf(wheels: readonly SteeredWheel[], { steps }: SteeringSweep): AckermannSummary {
  const straight = steps[Math.floor(steps.length / 2)];
  if (!straight || wheels.length < 2) return { rms: 0, worst: 0 };
  const errors = steps.map((step) => ackermannError(wheels, step, straight));
  return {
    rms: Math.sqrt(errors.reduce((sum, error) => sum + error * error, 0) / errors.length),
    worst: errors.reduce((worst, error) => (Math.abs(error) > Math.abs(worst) ? error : worst), 0),
  };
}

/** A step with its turn and the outer wheel's error, degrees. */
export interface ReportStep extends SteeringStep {
  readonly turn: Turn;
  readonly error: number;
  /** Driver for one degree of the wheels here, against straight ahead: 1 is even. */
  readonly fallOff: number;
}

/** Everything that is charted, step by step. */
export function reportOf(wheels: readonly SteeredWheel[], { sweep }: Steering): readonly ReportStep[] {
  const { steps } = sweep;
  const middle = Math.floor(steps.length / 2);
  const straight = steps[middle];
  if (!straight) return [];
  const ratio = (index: number) => {
    const [a, b] = [steps[Math.max(0, index - 1)]!, steps[Math.min(steps.length - 1, index + 1)]!];
    return (b.drive - a.drive) / (meanHeading(b) - meanHeading(a));
  };
  const even = ratio(middle);
  return steps.map((step, index) => ({
    ...step,
    turn: turnOf(wheels, step),
    error: ackermannError(wheels, step, straight),
    // Where nothing turns, nothing falls off.
    fallOff: Number.isFinite(ratio(index) / even) ? ratio(index) / even : 1,
  }));
}

export const meanHeading = ({ wheels }: SteeringStep): number => {
  const all = Object.values(wheels);
  return all.reduce((sum, wheel) => sum + wheel.heading, 0) / all.length;
};

/** The smallest angle between a rod and what it moves, over the sweep, and which rod; none where there are no rods. */
export function leastRodAngle({
  steps,
}: SteeringSweep): { readonly rod: string; readonly angle: number } | undefined {
  let least: { rod: string; angle: number } | undefined;
  for (const { rods } of steps)
    for (const [rod, angle] of Object.entries(rods))
      if (!least || angle < least.angle) least = { rod, angle };
  return least;
}
