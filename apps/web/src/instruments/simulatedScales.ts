import { scaleReadings, wheelLoads, type Plan, type Vector } from '@larchwood/core';
import type { WheelScales } from './instrument';

/** A vehicle that only the simulated scales know, kg and mm: what is to be found out. */
export interface HiddenVehicle {
  readonly mass: number;
  readonly at: Vector;
}

/** Real scales show tenths of a kilogram. */
const GRAIN = 0.1;

/** Scales that weigh a made-up vehicle on the build's own wheels, level or with one end raised. */
export function simulatedScales(
  { stance, mass }: Plan,
  hidden: HiddenVehicle,
  raised?: { readonly end: 'front' | 'rear'; readonly by: number },
): WheelScales {
  const contacts = mass.laden.loads;
  const loadsOf = (at: Vector) =>
    Object.fromEntries(
      wheelLoads({ mass: hidden.mass, at }, contacts).map(({ wheel, load }) => [wheel, load]),
    );
  return {
    name: 'Simulated wheel scales',
    simulated: true,
    read: () =>
      Promise.resolve(
        Object.fromEntries(
          Object.entries(scaleReadings(hidden.at, stance, loadsOf, raised)).map(([wheel, load]) => [
            wheel,
            Math.round(load / GRAIN) * GRAIN,
          ]),
        ),
      ),
  };
}
