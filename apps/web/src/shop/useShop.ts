import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { nanoid } from 'nanoid';
import { useMemo } from 'react';
import { toast } from 'sonner';
import { failure, success, without, type Result } from '@larchwood/core';
import { NO_SHOP, shopFaults, type Shop, type ShopItems, type ShopList } from '@larchwood/format';
import { shopApi } from '../api/shop';

const KEY = ['shop'];
/** What is typed is sent when the typing rests so long, ms. */
const REST = 400;

/** Items that were changed here and are not sent yet, with the time at which they are. */
const waiting = new Map<string, { readonly send: () => Promise<void>; readonly timer: number }>();
const sendAll = () => {
  for (const [key, { send, timer }] of waiting) {
    clearTimeout(timer);
    waiting.delete(key);
    void send();
  }
};
// A page that is left sends what it has.
globalThis.addEventListener?.('pagehide', sendAll);

export interface ShopHand {
  /** The workshop’s lists; empty ones until they are fetched. */
  readonly shop: Shop;
  /** Why they could not be fetched. */
  readonly missing: string | undefined;
  readonly pending: boolean;
  /** Keeps an item if it can be one; else says what is wrong. */
  readonly keep: <L extends ShopList>(list: L, id: string, item: ShopItems[L]) => Result<true>;
  /** Keeps a new item under an id of its own. */
  readonly add: <L extends ShopList>(list: L, item: ShopItems[L]) => Result<true>;
  /** Takes an item off its list without a word: it follows from something else. */
  readonly drop: (list: ShopList, id: string) => void;
  /** Takes an item off its list; it can be brought back for a while. */
  readonly remove: (list: ShopList, id: string, name: string) => void;
}

/** What the workshop owns and has learned, and how to change it: shown at once, sent when the typing rests. */
export function useShop(): ShopHand {
  const queries = useQueryClient();
  const { data, error, isPending } = useQuery({ queryKey: KEY, queryFn: shopApi.all, staleTime: 30_000 });
  const hand = useMemo(() => handOn(queries), [queries]);
  return { shop: data ?? NO_SHOP, missing: error?.message, pending: isPending, ...hand };
}

function handOn(queries: QueryClient): Pick<ShopHand, 'keep' | 'add' | 'drop' | 'remove'> {
  const show = (change: (shop: Shop) => Shop) =>
    queries.setQueryData<Shop>(KEY, (before) => change(before ?? NO_SHOP));
  const tell = (error: Error) => {
    toast(`The workshop’s list was not changed: ${error.message}`);
    void queries.invalidateQueries({ queryKey: KEY });
  };
  const keep = <L extends ShopList>(list: L, id: string, item: ShopItems[L]): Result<true> => {
    const [wrong] = shopFaults(list, item);
    if (wrong) return failure(wrong.message);
    void queries.cancelQueries({ queryKey: KEY });
    show((shop) => ({ ...shop, [list]: { ...shop[list], [id]: item } }));
    const key = `${list}/${id}`;
    clearTimeout(waiting.get(key)?.timer);
    const send = () => shopApi.save(list, id, item).then(() => undefined, tell);
    const timer = window.setTimeout(() => {
      waiting.delete(key);
      void send();
    }, REST);
    waiting.set(key, { send, timer });
    return success(true);
  };
  const drop = (list: ShopList, id: string): void => {
    const key = `${list}/${id}`;
    clearTimeout(waiting.get(key)?.timer);
    waiting.delete(key);
    show((shop) => ({ ...shop, [list]: without(shop[list] as Record<string, unknown>, id) }));
    shopApi.remove(list, id).catch(tell);
  };
  return {
    keep,
    add: (list, item) => keep(list, nanoid(10), item),
    drop,
    remove: (list, id, name) => {
      const before = queries.getQueryData<Shop>(KEY)?.[list][id];
      drop(list, id);
      toast(`${name} is off the list.`, {
        duration: 12_000,
        ...(before ? { action: { label: 'Undo', onClick: () => void keep(list, id, before) } } : {}),
      });
    },
  };
}
