import { Matrix, solve } from 'ml-matrix';
import type { StandingWheel } from '../stance/dimension.js';
import { contactOf } from '../stance/steering.js';
import type { Vector } from '../vector/vector.js';
import type { Weight } from './rider.js';

export interface Contact {
  /** The wheel's id. */
  readonly wheel: string;
  readonly end: 'front' | 'rear';
  readonly at: Vector;
}
export interface WheelLoad extends Contact {
  /** Load on the ground as a mass, kg; negative where the wheel would have to be held down. */
  readonly load: number;
}

export const contactsOf = (wheels: readonly StandingWheel[]): Contact[] =>
  wheels.map((wheel) => ({ wheel: wheel.id, end: wheel.end, at: contactOf(wheel) }));

/**
 * Load of each wheel on level ground. Two wheels in line and three wheels: statics. Four: a rigid frame on tyres that
 * give alike, so that the loads lie in a plane over the ground.
 */
export function wheelLoads({ mass, at }: Weight, contacts: readonly Contact[]): WheelLoad[] {
  if (contacts.length === 2) {
    const [rear, front] = [
      contacts.find(({ end }) => end === 'rear')!,
      contacts.find(({ end }) => end === 'front')!,
    ];
    const share = (at[0] - rear.at[0]) / (front.at[0] - rear.at[0]);
    return contacts.map((contact) => ({
      ...contact,
      load: mass * (contact.end === 'front' ? share : 1 - share),
    }));
  }
  // Load = a + b x + c y; their sum is the mass, their moments are its moments. Measured from the middle, in metres.
  const middle = [0, 1].map(
    (axis) => contacts.reduce((sum, { at: p }) => sum + p[axis]!, 0) / contacts.length,
  );
  const rows = contacts.map(({ at: p }) => [1, (p[0] - middle[0]!) / 1000, (p[1] - middle[1]!) / 1000]);
  const plan = new Matrix(rows);
  const wanted = Matrix.columnVector([
    mass,
    (mass * (at[0] - middle[0]!)) / 1000,
    (mass * (at[1] - middle[1]!)) / 1000,
  ]);
  const [a, b, c] = solve(plan.transpose().mmul(plan), wanted).to1DArray() as [number, number, number];
  return contacts.map((contact, index) => ({
    ...contact,
    load: a + b * rows[index]![1]! + c * rows[index]![2]!,
  }));
}

/** Share of the front wheels, 0 to 1. */
export function frontShare(loads: readonly WheelLoad[]): number {
  const total = loads.reduce((sum, { load }) => sum + load, 0);
  const front = loads.filter(({ end }) => end === 'front').reduce((sum, { load }) => sum + load, 0);
  return total > 0 ? front / total : 0;
}
