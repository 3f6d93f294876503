import type { Scales } from '@larchwood/format';
import type { Stance } from '../stance/stance.js';
import { toDegrees } from '../units/angle.js';
import { massBothWays } from '../units/mass.js';
import { lengthBothWays } from '../units/length.js';
import type { Vector } from '../vector/vector.js';
import { contactsOf, type Contact } from './loads.js';

/** Why readings cannot be true, at the reading. */
export interface ScaleFault {
  /** `level.front`, `raised.by`, `raised.rearLeft` … */
  readonly where: string;
  readonly message: string;
  /** Only not read yet. */
  readonly waiting?: true;
}
export interface Measured {
  readonly mass: number;
  /** z is left out as long as no end was raised. */
  readonly at: readonly [x: number, y: number, z: number | undefined];
  /** Degrees that the vehicle stood nose up, in the second weighing. */
  readonly tilt: number | undefined;
}
export type ScalesResult =
  | { readonly ok: true; readonly measured: Measured }
  | { readonly ok: false; readonly faults: readonly ScaleFault[] };

/** Two weighings of one vehicle may differ by so much of it: the scales' own error. Common practice, no source. */
const SAME = 0.03;
/** No vehicle of these kinds has its centre of gravity higher than this, mm. */
const HIGHEST = 2500;

/**
 * Mass and centre of gravity from what the scales below the wheels showed: across and along from the split, the height
 * from a second weighing with one end raised. Wheels free to roll, springs locked, tyres rigid.
 * Source: statics of a rigid body turned about the rear axle, exact for wheels of two sizes.
 * @param scales readings in kg, lifts in mm
 * @param stance solved, mm
 * @returns mass in kg and centre of gravity in mm, or why the readings give none
 */
export function weighed(scales: Scales, stance: Stance): ScalesResult {
  const contacts = contactsOf(stance.standing);
  const faults = readingFaults('level', scales.level, contacts);
  const raisedFaults = scales.raised ? readingFaults('raised', scales.raised.loads, contacts) : [];
  if (faults.length > 0 || raisedFaults.some(({ waiting }) => !waiting))
    return { ok: false, faults: [...faults, ...raisedFaults] };
  const mass = sum(scales.level);
  if (!(mass > 0))
    return refused(
      'level',
      'The scales show no weight at all: zero them with nothing on, then put the vehicle on.',
    );
  const moment = (axis: 0 | 1) =>
    contacts.reduce((total, { wheel, at }) => total + at[axis] * scales.level[wheel]!, 0) / mass;
  const [x, y] = [moment(0), moment(1)];
  if (!scales.raised || raisedFaults.length > 0)
    return { ok: true, measured: { mass, at: [x, y, undefined], tilt: undefined } };

  const { loads } = scales.raised;
  const again = sum(loads);
  if (Math.abs(again - mass) > SAME * mass)
    return refused(
      'raised',
      `Level it weighs ${massBothWays(mass)}, raised ${massBothWays(again)}: that cannot be one vehicle. Read the scales again.`,
    );
  const tilted = tiltOf(stance, scales.raised);
  if (!tilted)
    return refused(
      'raised.by',
      'That is too steep to weigh on: raise it less than two thirds of the wheelbase.',
    );
  const { tilt, level, rearRadius } = tilted;
  const front = contacts.filter((contact) => contact.end === 'front');
  const onFront = (front.reduce((total, { wheel }) => total + loads[wheel]!, 0) / again) * level;
  const above = (x * Math.cos(tilt) - onFront) / Math.sin(tilt);
  const z = rearRadius + above;
  if (!(z > 0 && z < HIGHEST))
    return refused(
      'raised',
      `These readings put the centre of gravity ${z < 0 ? `${lengthBothWays(-z)} below the ground` : `${lengthBothWays(z)} high`}: ${
        z < 0 ? 'too little' : 'too much'
      } weight has gone to the lower end. Check which end was raised and by how much; let the wheels roll free.`,
    );
  return { ok: true, measured: { mass, at: [x, y, z], tilt: toDegrees(tilt) } };
}

/** How a vehicle stands with one end raised: its tilt nose up in radians, and the level distance of its axles, mm. */
function tiltOf(
  { state }: Stance,
  { end, by }: Raised,
): { readonly tilt: number; readonly level: number; readonly rearRadius: number } | undefined {
  const [wheelbase, rearRadius, frontRadius] = [state.wheelbase!, state.rearRadius!, state.frontRadius!];
  const rise = frontRadius - rearRadius;
  const span = Math.hypot(wheelbase, rise);
  const lift = end === 'front' ? by : -by;
  if (Math.abs(rise + lift) >= span * STEEPEST) return undefined;
  const tilt = Math.asin((rise + lift) / span) - Math.asin(rise / span);
  return { tilt, level: wheelbase * Math.cos(tilt) - rise * Math.sin(tilt), rearRadius };
}
type Raised = Pick<NonNullable<Scales['raised']>, 'end' | 'by'>;
/** Rise of one axle over the other, as a share of their distance, on which nobody weighs. */
const STEEPEST = 0.7;

/**
 * What the scales below each wheel show for a known centre of gravity: the other way round, for simulated scales.
 * @param loadsOf the loads on level ground for a centre of gravity
 */
export function scaleReadings(
  at: Vector,
  stance: Stance,
  loadsOf: (at: Vector) => Readonly<Record<string, number>>,
  raised?: Raised,
): Readonly<Record<string, number>> {
  const tilted = raised && tiltOf(stance, raised);
  if (!tilted) return loadsOf(at);
  const { tilt, level, rearRadius } = tilted;
  const x = at[0] * Math.cos(tilt) - (at[2] - rearRadius) * Math.sin(tilt);
  return loadsOf([(x / level) * stance.state.wheelbase!, at[1], at[2]]);
}

const sum = (loads: Readonly<Record<string, number>>): number =>
  Object.values(loads).reduce((total, load) => total + load, 0);

const refused = (where: string, message: string): ScalesResult => ({
  ok: false,
  faults: [{ where, message }],
});

function readingFaults(
  when: 'level' | 'raised',
  loads: Readonly<Record<string, number>>,
  contacts: readonly Contact[],
): ScaleFault[] {
  return contacts.flatMap(({ wheel }): ScaleFault[] => {
    const load = loads[wheel];
    const where = `${when}.${wheel}`;
    if (load === undefined) return [{ where, message: 'No reading yet for this wheel.', waiting: true }];
    return load < 0
      ? [{ where, message: 'A scale below a standing wheel shows no less than 0: zero it, then read again.' }]
      : [];
  });
}
