import { useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import { nanoid } from 'nanoid';
import { useMemo } from 'react';
import { toast } from 'sonner';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { failure, success, without, type Result } from '@larchwood/core';
import { NO_SHOP, shopFaults, type Shop, type ShopItems, type ShopList } from '@larchwood/format';
import { ApiProblem } from '../api/client';
import { shopApi } from '../api/shop';

const KEY = ['shop'];
/** What is typed is sent when the typing rests so long; what had no answer is sent again after so long; ms. */
const REST = 400;
const AGAIN = 4000;

/** An item as it was changed here, until the server has it; none where it was taken off. */
interface Changed {
  readonly list: ShopList;
  readonly id: string;
  readonly item: ShopItems[ShopList] | undefined;
}
/** Shown at once, before the list is fetched again; kept until the server has it. */
const changed = createStore<ReadonlyMap<string, Changed>>(() => new Map());

interface Waiting {
  readonly send: () => Promise<void>;
  readonly timer: number;
}
/** Items that are not sent yet, with the time at which they are. */
const waiting = new Map<string, Waiting>();
/** What is under way of each item: the next of it goes after, so that the last that was typed is the last that arrives. */
const underWay = new Map<string, Promise<void>>();
const sendAll = () => {
  for (const [key, { send, timer }] of waiting) {
    clearTimeout(timer);
    waiting.delete(key);
    void send();
  }
};
// A page that is left sends what it has.
globalThis.addEventListener?.('pagehide', sendAll);

/** The one notice that something is not sent yet. */
const UNSENT = 'shop-unsent';
const isNoAnswer = (error: unknown): boolean =>
  error instanceof ApiProblem && (error.problem.status === 0 || error.problem.status >= 500);

const withChange = (shop: Shop, { list, id, item }: Changed): Shop => ({
  ...shop,
  [list]: item ? { ...shop[list], [id]: item } : without(shop[list] as Record<string, unknown>, id),
});

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
  const mine = useStore(changed);
  const hand = useMemo(() => handOn(queries), [queries]);
  const shop = useMemo(() => [...mine.values()].reduce(withChange, data ?? NO_SHOP), [mine, data]);
  return { shop, missing: error?.message, pending: isPending, ...hand };
}

function handOn(queries: QueryClient): Pick<ShopHand, 'keep' | 'add' | 'drop' | 'remove'> {
  /** Shows a change, and sends it after a while; what the server has then is shown as its own. */
  const change = (next: Changed, after: number, request: () => Promise<unknown>) => {
    const key = `${next.list}/${next.id}`;
    changed.setState((before) => new Map(before).set(key, next), true);
    clearTimeout(waiting.get(key)?.timer);
    const settled = () =>
      changed.setState(
        (before) =>
          before.get(key) === next ? new Map([...before].filter(([each]) => each !== key)) : before,
        true,
      );
    const tried = async () => {
      try {
        await request();
        await queries.cancelQueries({ queryKey: KEY });
        queries.setQueryData<Shop>(KEY, (before) => before && withChange(before, next));
        settled();
        toast.dismiss(UNSENT);
      } catch (error) {
        if (isNoAnswer(error)) {
          // Kept here, shown as it was typed, and sent again.
          toast(
            'The server does not answer: what was changed in the workshop’s lists is sent as soon as it does.',
            {
              ...{ id: UNSENT, duration: Infinity },
            },
          );
          if (changed.getState().get(key) === next && !waiting.has(key)) plan(AGAIN);
          return;
        }
        toast(
          `The workshop’s list was not changed: ${error instanceof Error ? error.message : 'unknown reason'}`,
        );
        settled();
        void queries.invalidateQueries({ queryKey: KEY });
      }
    };
    const send = () => {
      const sent = (underWay.get(key) ?? Promise.resolve()).then(tried);
      underWay.set(key, sent);
      return sent;
    };
    const plan = (wait: number) => {
      const timer = window.setTimeout(() => {
        waiting.delete(key);
        void send();
      }, wait);
      waiting.set(key, { send, timer });
    };
    plan(after);
  };
  const keep = <L extends ShopList>(list: L, id: string, item: ShopItems[L]): Result<true> => {
    const [wrong] = shopFaults(list, id, item);
    if (wrong) return failure(wrong.message);
    change({ list, id, item }, REST, () => shopApi.save(list, id, item));
    return success(true);
  };
  const drop = (list: ShopList, id: string): void =>
    change({ list, id, item: undefined }, 0, () => shopApi.remove(list, id));
  return {
    keep,
    add: (list, item) => keep(list, nanoid(10), item),
    drop,
    remove: (list, id, name) => {
      const before =
        changed.getState().get(`${list}/${id}`)?.item ?? queries.getQueryData<Shop>(KEY)?.[list][id];
      drop(list, id);
      toast(`${name} is off the list.`, {
        duration: 12_000,
        ...(before ? { action: { label: 'Undo', onClick: () => void keep(list, id, before) } } : {}),
      });
    },
  };
}
