import { describe, expect, it } from 'vitest';
import { SHOP_LISTS, type ShopList } from '@larchwood/format';
import { fieldLabel, type ShopField } from './fields';
import { LIST_NAMES } from './names';

const LISTS = Object.keys(SHOP_LISTS) as ShopList[];
const fieldsOf = (list: ShopList) => Object.keys(SHOP_LISTS[list].properties ?? {}) as ShopField[];

describe('names of what the workshop’s lists hold', () => {
  it('every list and every field has one, and no list has the same twice', () => {
    let looked = 0;
    for (const list of LISTS) {
      expect(LIST_NAMES[list]).not.toBe('');
      const names = fieldsOf(list).map((field) => fieldLabel(list, field).name);
      looked += names.length;
      expect(names.every(Boolean), list).toBe(true);
      expect(new Set(names).size, list).toBe(names.length);
    }
    expect(looked).toBeGreaterThan(60);
  });
  // By the units that the format's own descriptions end in.
  it.each([
    ['sawing', 'kerf', 'mm'],
    ['dies', 'zero', 'degrees'],
    ['dies', 'below', 'mm'],
    ['dies', 'name', undefined],
    ['hours', 'took', 'hours'],
    ['hours', 'step', undefined],
    ['riders', 'mass', 'kg'],
    ['stock', 'most', undefined],
    ['tools', 'most', 'degrees'],
    ['welds', 'minutes', undefined],
  ] as const)('%s, %s: its unit is %s', (list, field, unit) => {
    expect(fieldLabel(list, field).unit).toBe(unit);
  });
});
