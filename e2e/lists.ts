import type { Page } from '@playwright/test';
import type { StoredShop } from '@larchwood/contract';
import type { ShopItems, ShopList } from '@larchwood/format';

/** The items of one of the workshop’s lists as the server has them. */
export async function itemsOf<L extends ShopList>(
  page: Page,
  list: L,
): Promise<Readonly<Record<string, ShopItems[L]>>> {
  const shop = (await (await page.request.get('/api/shop')).json()) as StoredShop;
  const items: StoredShop[L] = shop[list];
  return Object.fromEntries(Object.entries(items).map(([id, { item }]) => [id, item as ShopItems[L]]));
}

/** Keeps a new item. */
export const keepItem = async (page: Page, list: ShopList, id: string, item: unknown): Promise<boolean> =>
  (await page.request.put(`/api/shop/${list}/${id}`, { data: { item, over: 0 } })).ok();

/** Takes an item off its list, whatever became of it. */
export async function removeItem(page: Page, list: ShopList, id: string): Promise<boolean> {
  const shop = (await (await page.request.get('/api/shop')).json()) as StoredShop;
  const over = shop[list][id]?.revision ?? 0;
  return (await page.request.delete(`/api/shop/${list}/${id}?over=${over}`)).ok();
}
