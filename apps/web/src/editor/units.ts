import type { BuildDocument } from '@larchwood/format';

type Units = BuildDocument['units'];

/** Display units to choose from; a fraction with its finest part. */
export const UNITS = [
  { value: 'mm', label: 'mm' },
  { value: 'inch', label: 'inch, decimal' },
  { value: 'fraction-16', label: 'inch, 1/16' },
  { value: 'fraction-32', label: 'inch, 1/32' },
  { value: 'fraction-64', label: 'inch, 1/64' },
];

export const unitsValue = ({ length, denominator }: Units): string =>
  length === 'fraction' ? `fraction-${denominator}` : length;

export function unitsOf(value: string, before: Units): Units {
  const [length, finest] = value.split('-') as [Units['length'], string | undefined];
  return { length, denominator: finest ? (Number(finest) as Units['denominator']) : before.denominator };
}
