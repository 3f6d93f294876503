import type { BuildDocument } from '@larchwood/format';
import { mean } from 'd3-array';
import { contactsOf } from '../mass/loads.js';
import { failure, success, type Result } from '../result.js';
import { stanceOf } from '../stance/stance.js';
import { massUnitOf, parseMass } from '../units/mass.js';
import type { NotUnderstood } from './brought.js';
import { plainName, tableRows, withUnit } from './table.js';

export interface BroughtLoad {
  readonly wheel: string;
  readonly name: string;
  /** kg: the mean of all rows of that wheel. */
  readonly value: number;
  readonly rows: number;
}
export interface BroughtScales {
  readonly understood: readonly BroughtLoad[];
  readonly not: readonly NotUnderstood[];
  readonly document: BuildDocument;
}

/** `frontLeft` as people write it: front left, left front, FL, LF. */
function namesOf(wheel: string): readonly string[] {
  const words = wheel.split(/(?=[A-Z])/).map((word) => word.toLowerCase());
  const orders = words.length > 1 ? [words, [...words].reverse()] : [words];
  return orders.flatMap((order) => [order.join(''), order.map((word) => word[0]).join('')]);
}
const spoken = (wheel: string): string => wheel.replace(/(?=[A-Z])/g, ' ').toLowerCase();

/**
 * Reads a log of wheel scales, level: wheel, weight, and a unit where the weight has none. Several rows of one wheel are
 * averaged.
 */
export function readScales(text: string, document: BuildDocument): Result<BroughtScales> {
  const rows = tableRows(text);
  if (!rows.ok) return rows;
  const stance = stanceOf(document);
  if (!stance.ok) return failure('The vehicle has no shape yet: see the Stance station.');
  const wheels = contactsOf(stance.stance.standing).map(({ wheel }) => wheel);
  const not: NotUnderstood[] = [];
  const read = new Map<string, number[]>();
  for (const { name, value, unit, where } of rows.value) {
    const wheel = wheels.find((each) => namesOf(each).includes(plainName(name).replace(/wheel$/, '')));
    if (!wheel) {
      not.push({ where, why: `This vehicle stands on ${wheels.map(spoken).join(', ')}.` });
      continue;
    }
    const mass = parseMass(withUnit(value, unit), massUnitOf(document.units));
    if (!mass.ok) not.push({ where, why: mass.message });
    else if (!(mass.value >= 0 && mass.value <= MOST))
      not.push({ where, why: 'No wheel of these vehicles carries that.' });
    else read.set(wheel, [...(read.get(wheel) ?? []), mass.value]);
  }
  const understood = [...read].map(([wheel, values]): BroughtLoad => ({
    ...{ wheel, name: spoken(wheel), rows: values.length },
    value: Math.round(mean(values)! * 1000) / 1000,
  }));
  const level = Object.fromEntries(understood.map(({ wheel, value }) => [wheel, value]));
  const before = document.mass.scales ?? { aboard: true, level: {} };
  const scales = { ...before, level: { ...before.level, ...level } };
  return success({ understood, not, document: { ...document, mass: { ...document.mass, scales } } });
}
/** kg */
const MOST = 3000;
