import type { Shop, ShopItems, ShopList } from '@larchwood/format';
import { request } from './client';

/** What the workshop owns and has learned. */
export const shopApi = {
  all: () => request<Shop>('GET', 'shop'),
  // What is typed just before a page is left still arrives.
  save: <L extends ShopList>(list: L, id: string, item: ShopItems[L]) =>
    request<ShopItems[L]>('PUT', `shop/${list}/${id}`, { item }, { keepalive: true }),
  remove: (list: ShopList, id: string) =>
    request<undefined>('DELETE', `shop/${list}/${id}`, undefined, { keepalive: true }),
};
