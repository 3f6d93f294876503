import { expect, it } from 'vitest';
import { mayType } from './useMayType';

it('at the bench readings are typed, and nothing of the build’s or the workshop’s own', () => {
  for (const field of ['bench.found.table.a', 'fixture.found.b', 'checks.tacked.shell'])
    expect([mayType(field, 'bench'), mayType(field, 'builder')], field).toEqual([true, true]);
  for (const field of [
    'stance.held.reach',
    'checks.tolerance.shell',
    'checks.own.a',
    'work.hours.get',
    'shop.dies.a',
  ])
    expect([mayType(field, 'bench'), mayType(field, 'builder')], field).toEqual([false, true]);
});
