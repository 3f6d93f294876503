import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { NO_SHOP, readShopText, shopFaults, SHOP_LISTS, USUAL_SAWING, type ShopList } from './index.js';

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
