import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findSchool, standardProfile } from '@larchwood/core';
import { NO_SHOP, USUAL_SAWING, type Shop } from '@larchwood/format';
import { readLists, withBuilds } from './lists.js';

const rider = { name: 'Wilma', stature: 1910, mass: 82 };
const table = standardProfile(findSchool('table')!);
const text = (value: unknown) => JSON.stringify(value);

describe('the lists of a workshop’s zip', () => {
  it('what is here already is left: riders by name, fixtures by school and name, items by id', () => {
    const here: Shop = {
      ...NO_SHOP,
      riders: { other: { ...rider, mass: 70 } },
      fixtures: { mine: { ...table, name: 'The yard’s' } },
      sawing: { usual: USUAL_SAWING },
    };
    const { named, items, left, faults, found } = readLists(
      {
        'riders.json': text([rider, { ...rider, name: 'Hedda' }]),
        'fixtures.json': text([
          { ...table, name: 'The yard’s' },
          table,
          { ...standardProfile(findSchool('plan')!), name: 'The yard’s' },
        ]),
        'shop.json': text({ sawing: { usual: { ...USUAL_SAWING, kerf: 1 }, fine: USUAL_SAWING } }),
      },
      here,
    );
    expect([faults, found, left]).toEqual([[], 7, ['Wilma', 'The yard’s']]);
    expect(named.map(({ list, value }) => [list, (value as { name: string }).name])).toEqual([
      ['riders', 'Hedda'],
      ['fixtures', table.name],
      ['fixtures', 'The yard’s'],
    ]);
    expect(items.map(({ list, id }) => [list, id])).toEqual([['sawing', 'fine']]);
  });
  it('files that are not there are empty; whatever they hold, nothing is thrown, and each fault names its file', () => {
    expect(readLists({}, NO_SHOP)).toMatchObject({ faults: [], found: 0 });
    fc.assert(
      fc.property(
        fc.oneof(fc.json(), fc.string()),
        fc.constantFrom('riders', 'fixtures', 'shop'),
        (held, file) => {
          const { faults, items, named } = readLists({ [`${file}.json`]: held }, NO_SHOP);
          for (const { path, message } of faults) {
            expect(path.startsWith(`${file}.json`)).toBe(true);
            expect(message).not.toBe('');
          }
          if (faults.length > 0) expect([items, named]).toEqual([[], []]);
        },
      ),
    );
  });
  it('builds that an item names become those that they are here, at whatever depth; others stay', () => {
    const becomes = new Map([['old', 'new']]);
    const offcut = {
      ...{ section: 'old', length: 300, note: 'old' },
      ...{ cameFrom: { build: 'old', bar: 'b1' }, usedFor: { build: 'earlier', bar: 'old' } },
    };
    expect(withBuilds(offcut, becomes)).toEqual({ ...offcut, cameFrom: { build: 'new', bar: 'b1' } });
    const moved = { build: 'old', by: [1, 2, 3] };
    expect(withBuilds(moved, becomes)).toEqual({ build: 'new', by: [1, 2, 3] });
  });
});
