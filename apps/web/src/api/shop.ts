import type { SaveShopItemRequest, StoredItem, StoredShop } from '@larchwood/contract';
import type { ShopList } from '@larchwood/format';
import { request } from './client';

// What is typed just before a page is left still arrives.
const LAST = { keepalive: true } as const;

/** What the workshop owns and has learned. */
export const shopApi = {
  all: () => request<StoredShop>('GET', 'shop'),
  save: (list: ShopList, id: string, change: SaveShopItemRequest) =>
    request<StoredItem>('PUT', `shop/${list}/${id}`, change, LAST),
  remove: (list: ShopList, id: string, over: number, saveId: string) =>
    request<undefined>('DELETE', `shop/${list}/${id}?over=${over}&saveId=${saveId}`, undefined, LAST),
};
