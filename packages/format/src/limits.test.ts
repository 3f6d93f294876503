import { Value } from '@sinclair/typebox/value';
import { expect, it } from 'vitest';
import { RiderSchema, WheelSchema } from './buildSchema.js';
import { LIMITS, LONGEST } from './limits.js';

const leaves = (value: unknown, path = ''): [string, unknown][] =>
  Array.isArray(value) || typeof value !== 'object' || value === null
    ? [[path, value]]
    : Object.entries(value).flatMap(([key, part]) => leaves(part, `${path}/${key}`));

it('every limit is two numbers, the first less', () => {
  for (const [path, range] of leaves(LIMITS)) {
    const [low, high] = range as [number, number];
    expect(low, path).toBeLessThan(high);
  }
  for (const [path, most] of leaves(LONGEST)) expect(most, path).toBeGreaterThan(0);
});

it('the limits are those that the schema holds to, just inside and just outside', () => {
  const rider = (stature: number) => Value.Check(RiderSchema, { name: 'A', stature, mass: 70 });
  const wheel = (diameter: number) =>
    Value.Check(WheelSchema, { by: 'diameter', diameter, width: 40, sag: 0 });
  for (const [accepts, [low, high]] of [
    [rider, LIMITS.rider.stature],
    [wheel, LIMITS.wheel.diameter],
  ] as const)
    expect([low, high, low - 0.001, high + 0.001].map(accepts)).toEqual([true, true, false, false]);
});
