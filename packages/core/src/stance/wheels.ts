import { parseTyreMarking, radiusFromRollOut } from './tyres.js';
import { failure, success, type Result } from '../result.js';
import type { Wheel } from '@larchwood/format';

export interface RollingWheel {
  /** Axle to ground with the rider aboard, mm. */
  readonly radius: number;
  readonly width: number;
  /** What the radius was worked out from, for people. */
  readonly from: string;
}

/**
 * Rolling radius of a wheel from its marking or its measurement, less the sag of the loaded tyre.
 * @param wheel by marking, diameter or roll-out; mm
 * @returns radius and width in mm, or what is wrong with it
 */
export function rollingWheel(wheel: Wheel): Result<RollingWheel> {
  const unloaded = unloadedWheel(wheel);
  if (!unloaded.ok) return unloaded;
  const radius = unloaded.value.radius - wheel.sag;
  if (radius < 50 || radius > 600)
    return failure(`A rolling radius of ${radius.toFixed(1)} mm is outside 50 to 600 mm.`);
  return success({ ...unloaded.value, radius });
}

function unloadedWheel(wheel: Wheel): Result<RollingWheel> {
  if (wheel.by === 'marking') {
    const tyre = parseTyreMarking(wheel.marking);
    return tyre.ok
      ? success({ radius: tyre.value.radius, width: tyre.value.width, from: `marking ${wheel.marking}` })
      : tyre;
  }
  if (wheel.by === 'diameter')
    return success({ radius: wheel.diameter / 2, width: wheel.width, from: 'measured diameter' });
  return success({
    radius: radiusFromRollOut(wheel.circumference),
    width: wheel.width,
    from: 'measured roll-out',
  });
}
