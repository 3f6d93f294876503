import { nanoid } from 'nanoid';
import { useEffect } from 'react';
import { toast } from 'sonner';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { failure, shopItemFaults, success, type Result } from '@larchwood/core';
import type { Shop, ShopItems, ShopList } from '@larchwood/format';
import { changeItem, listsStore, startLists } from './lists';

export interface ShopHand {
  /** The workshop’s lists; empty ones until they are fetched. */
  readonly shop: Shop;
  /** Why they could not be fetched. */
  readonly missing: string | undefined;
  readonly pending: boolean;
  /** Keeps an item if it can be one; else says what is wrong. Quiet: it follows from something else, and is no step. */
  readonly keep: <L extends ShopList>(
    list: L,
    id: string,
    item: ShopItems[L],
    quiet?: boolean,
  ) => Result<true>;
  /** Keeps a new item under an id of its own. */
  readonly add: <L extends ShopList>(list: L, item: ShopItems[L]) => Result<true>;
  /** Keeps a rider or a fixture: in the place of the one of its name, and school, that is there. */
  readonly keepNamed: <L extends 'riders' | 'fixtures'>(list: L, item: ShopItems[L]) => Result<true>;
  /** Takes an item off its list without a word: it follows from something else. */
  readonly drop: (list: ShopList, id: string) => void;
  /** Takes an item off its list; it can be brought back for a while. */
  readonly remove: (list: ShopList, id: string, name: string) => void;
}

const keep: ShopHand['keep'] = (list, id, item, quiet = false) => {
  const [wrong] = shopItemFaults(list, id, item);
  if (wrong) return failure(wrong.message);
  changeItem(list, id, item, quiet);
  return success(true);
};
const HAND: Omit<ShopHand, 'shop' | 'missing' | 'pending'> = {
  keep,
  add: (list, item) => keep(list, nanoid(10), item),
  keepNamed: (list, item) => {
    const wanted = keyOf(item);
    const known = Object.entries(listsStore.getState().shop[list]).find(([, each]) => keyOf(each) === wanted);
    return keep(list, known?.[0] ?? nanoid(10), item);
  },
  drop: (list, id) => changeItem(list, id, undefined, true),
  remove: (list, id, name) => {
    const before = listsStore.getState().shop[list][id];
    changeItem(list, id, undefined);
    toast(`${name} is off the list.`, {
      duration: 12_000,
      ...(before ? { action: { label: 'Undo', onClick: () => void keep(list, id, before) } } : {}),
    });
  },
};

const keyOf = (item: ShopItems['riders' | 'fixtures']): string =>
  `${'school' in item ? item.school : ''} ${item.name.trim()}`;

/** What the workshop owns and has learned, and how to change it: shown at once, sent when the typing rests. */
export function useShop(): ShopHand {
  useEffect(startLists, []);
  const lists = useStore(
    listsStore,
    useShallow(({ shop, missing, pending }) => ({ shop, missing, pending })),
  );
  return { ...lists, ...HAND };
}
