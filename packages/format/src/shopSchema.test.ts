import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  mergedItem,
  NO_SHOP,
  readShopText,
  shopFaults,
  SHOP_LISTS,
  USUAL_SAWING,
  type ShopList,
} from './index.js';

type Limited = Record<string, { minimum?: number; maximum?: number; const?: unknown }>;
/** Of a list that holds several sorts of things, those of the item's own sort. */
function limitsFor(list: ShopList, item: Record<string, unknown>): Limited {
  const schema = SHOP_LISTS[list];
  if (!('anyOf' in schema)) return schema.properties as unknown as Limited;
  const sorts = schema.anyOf as unknown as readonly { readonly properties: Limited }[];
  return sorts.find(({ properties }) => properties.shape?.const === item.shape)!.properties;
}

describe('a workshop’s lists', () => {
  it('of the demo read back as they are written; a workshop with none is one', () => {
    const text = readFileSync(new URL('../../../demo/shop.json', import.meta.url), 'utf8');
    expect(readShopText(text)).toEqual({ ok: true, shop: JSON.parse(text) as unknown });
    expect(readShopText('{}')).toEqual({ ok: true, shop: NO_SHOP });
  });
  it('say at which path they are wrong: text, list, id and item', () => {
    const paths = (value: unknown) => {
      const read = readShopText(typeof value === 'string' ? value : JSON.stringify(value));
      return read.ok ? [] : read.faults.map(({ path }) => path);
    };
    expect(paths('{')).toEqual(['/']);
    expect(paths('7')).toEqual(['/']);
    expect(paths({ moon: {} })).toEqual(['/moon']);
    expect(paths({ sawing: { 'no id': USUAL_SAWING } })).toEqual(['/sawing/no id/']);
    expect(paths({ sawing: { usual: { ...USUAL_SAWING, kerf: -1 } } })).toEqual(['/sawing/usual/kerf']);
  });
  it('each limit holds, just inside and just outside', () => {
    const text = readFileSync(new URL('../../../demo/shop.json', import.meta.url), 'utf8');
    const demo = JSON.parse(text) as Record<ShopList, Record<string, Record<string, unknown>>>;
    let looked = 0;
    for (const list of Object.keys(SHOP_LISTS) as ShopList[]) {
      const [item] = Object.values(demo[list]);
      for (const [key, { minimum, maximum }] of Object.entries(limitsFor(list, item!))) {
        if (minimum === undefined || maximum === undefined || typeof item![key] !== 'number') continue;
        looked += 1;
        const faults = (value: number) => shopFaults(list, 'a', { ...item, [key]: value }).length;
        expect([faults(minimum), faults(maximum)], `${list} ${key}`).toEqual([0, 0]);
        expect([faults(minimum - 1) > 0, faults(maximum + 1) > 0], `${list} ${key}`).toEqual([true, true]);
      }
    }
    expect(looked).toBeGreaterThan(20);
  });
});

describe('two changes of one item', () => {
  const was = { ...USUAL_SAWING };
  it('of different fields are put together; of the same one, differently, they clash', () => {
    expect(mergedItem(was, { ...was, kerf: 1 }, { ...was, trim: 9 })).toEqual({
      ok: true,
      item: { ...was, kerf: 1, trim: 9 },
    });
    expect(mergedItem(was, { ...was, kerf: 1, keep: 7 }, { ...was, kerf: 3, trim: 9 })).toEqual({
      ...{ ok: false, clashes: ['kerf'] },
      mine: { kerf: 1, trim: 9, keep: 7 },
    });
    expect(mergedItem(was, { ...was, kerf: 1 }, { ...was, kerf: 1 })).toMatchObject({ ok: true });
  });
  it('one takes it off: agreed where the other left it alone, else asked', () => {
    expect(mergedItem(was, undefined, was)).toEqual({ ok: true, item: undefined });
    expect(mergedItem(was, was, undefined)).toEqual({ ok: true, item: undefined });
    expect(mergedItem(was, { ...was, kerf: 1 }, undefined)).toMatchObject({
      ...{ ok: false, mine: { ...was, kerf: 1 } },
    });
    expect(mergedItem(was, undefined, { ...was, kerf: 1 })).toMatchObject({ ok: false, mine: undefined });
  });
  it('changing nothing takes the other’s; the order of the two says who is who, and nothing else', () => {
    const sawing = fc.record(
      {
        kerf: fc.constantFrom(1, 2),
        trim: fc.constantFrom(5, 6),
        keep: fc.constantFrom(100, 150),
      },
      { noNullPrototype: true },
    );
    fc.assert(
      fc.property(sawing, sawing, sawing, (base, one, other) => {
        expect(mergedItem(base, base, other)).toEqual({ ok: true, item: other });
        const [mine, theirs] = [mergedItem(base, one, other), mergedItem(base, other, one)];
        expect(mine.ok).toBe(theirs.ok);
        if (mine.ok && theirs.ok) expect(mine.item).toEqual(theirs.item);
      }),
    );
  });
});
