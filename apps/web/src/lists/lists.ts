import { nanoid } from 'nanoid';
import { toast } from 'sonner';
import { createStore } from 'zustand/vanilla';
import type { ShopNotice } from '@larchwood/contract';
import { mergedItem, NO_SHOP, sameItem, type Shop, type ShopList } from '@larchwood/format';
import { shopApi } from '../api/shop';
import { doorStore } from '../api/doorStore';
import { nextStep } from '../parts/steps';
import { keepUnsent, takeLeft } from './leftUnsent';
import { LIST_NAMES } from './names';
import { ShopBook, type Clash, type ShopItem, type Waiting } from './shopBook';

/** The workshop's lists as they are shown in this window. */
export interface Lists {
  readonly shop: Shop;
  /** Not fetched yet. */
  readonly pending: boolean;
  /** Why they could not be fetched. */
  readonly missing: string | undefined;
  /** Items that somebody else changed, too, and differently. */
  readonly clashes: readonly Clash[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}
export const listsStore = createStore<Lists>(() => ({
  ...{ shop: NO_SHOP, pending: true, missing: undefined, clashes: [] },
  ...{ canUndo: false, canRedo: false },
}));

/** The one notice that something is not sent yet. */
const UNSENT = 'lists-unsent';
const KEPT = 'what was changed in the workshop’s lists is kept in this browser, and sent';
const WHY: Readonly<Record<Waiting, string>> = {
  'no answer': `The server does not answer: ${KEPT} as soon as it does.`,
  'shut out': `You are logged out: ${KEPT} when you are let in again.`,
  'not at the bench': `A builder’s passcode is needed: ${KEPT} when a builder is let in here.`,
};

const book = new ShopBook({
  save: ({ list, id, item, base }, saveId) =>
    shopApi.save(list, id, { item: item!, over: base.revision, saveId }),
  remove: ({ list, id, base }, saveId) => shopApi.remove(list, id, base.revision, saveId),
  fetch: shopApi.all,
  newId: nanoid,
  role: () => doorStore.getState().role,
  keep: keepUnsent,
  later: (ms, run) => {
    const timer = setTimeout(run, ms);
    return () => clearTimeout(timer);
  },
  onChange: () => show(),
  onTaken: (list) =>
    toast(
      `Changed elsewhere, and taken in here: ${list === 'several' ? 'the workshop’s lists' : LIST_NAMES[list]}.`,
      { id: 'lists-taken-in' },
    ),
  onRefused: ({ list }, message) => toast(`${LIST_NAMES[list]}: not kept. ${message}`),
});

let said: Waiting | undefined;
function show(): void {
  const shop = Object.fromEntries(Object.keys(NO_SHOP).map((list) => [list, {} as Record<string, ShopItem>]));
  for (const [list, id, item] of book.shown()) if (shop[list]) shop[list][id] = item;
  listsStore.setState({ shop: sharing(listsStore.getState().shop, shop), clashes: book.clashes });
  if (said === book.waiting) return;
  said = book.waiting;
  if (said === undefined) toast.dismiss(UNSENT);
  else toast(WHY[said], { id: UNSENT, duration: Infinity });
}

/** Lists of which nothing changed stay the same objects: what follows from them is not computed again. */
function sharing(before: Shop, now: Readonly<Record<string, Readonly<Record<string, ShopItem>>>>): Shop {
  const same = (was: Readonly<Record<string, unknown>>, is: Readonly<Record<string, unknown>>) => {
    const ids = Object.keys(is);
    return Object.keys(was).length === ids.length && ids.every((id) => was[id] === is[id]);
  };
  const lists = Object.entries(now).map(([list, items]) => {
    const was = before[list as ShopList];
    return [list, same(was, items) ? was : items] as const;
  });
  return lists.every(([list, items]) => items === before[list as ShopList])
    ? before
    : (Object.fromEntries(lists) as unknown as Shop);
}

let started = false;
/** Fetches the lists once, and from then on sends what was left and what is changed. */
export function startLists(): void {
  if (started) return;
  started = true;
  void fetched();
  void takeLeft().then((left) => book.adopt(left));
  // A page that is left sends what it has.
  window.addEventListener('pagehide', () => book.sendAll());
  doorStore.subscribe((now, before) => {
    if (now.locked || (!before.locked && now.role === before.role)) return;
    void fetched();
    book.sendAll();
  });
}

async function fetched(): Promise<void> {
  try {
    book.take(await shopApi.all());
    listsStore.setState({ pending: false, missing: undefined });
  } catch (error) {
    listsStore.setState({
      pending: false,
      missing: error instanceof Error ? error.message : 'unknown reason',
    });
  }
}

/** Somebody changed the workshop's lists; it may have been this window. */
export const heardOfLists = (notice: ShopNotice): void => void book.heard(notice);
/** Something may have been missed. */
export const lookAtListsAgain = (): void => {
  if (started) void fetched();
};
export const settleClash = (clash: Clash, take: 'mine' | 'theirs'): void => book.settle(clash, take);

/** A change of the lists that can be taken back. */
interface Step {
  readonly no: number;
  readonly list: ShopList;
  readonly id: string;
  readonly before: ShopItem | undefined;
  readonly after: ShopItem | undefined;
}
let past: readonly Step[] = [];
let future: readonly Step[] = [];
const MOST_STEPS = 100;
const setSteps = (nextPast: readonly Step[], nextFuture: readonly Step[]) => {
  [past, future] = [nextPast.slice(-MOST_STEPS), nextFuture];
  listsStore.setState({ canUndo: past.length > 0, canRedo: future.length > 0 });
};

/**
 * Changes an item, or takes it off.
 * @param quiet it follows from something else, and is no step that can be taken back by itself
 */
export function changeItem(list: ShopList, id: string, item: ShopItem | undefined, quiet = false): void {
  const before = book.item(list, id);
  if (sameItem(before, item)) return;
  book.change(list, id, item, item === undefined ? 0 : undefined);
  if (!quiet) setSteps([...past, { no: nextStep(), list, id, before, after: item }], []);
}

/** Number of the newest step that can be taken back, and of the next that can be done again. */
export const listSteps = (): { readonly undo: number | undefined; readonly redo: number | undefined } => ({
  undo: past.at(-1)?.no,
  redo: future[0]?.no,
});
export function undoInLists(): void {
  const step = past.at(-1);
  if (!step) return;
  setSteps(past.slice(0, -1), [step, ...future]);
  turn(step, step.after, step.before, 'Taken back');
}
export function redoInLists(): void {
  const [step, ...others] = future;
  if (!step) return;
  setSteps([...past, step], others);
  turn(step, step.before, step.after, 'Done again');
}
/** What was done before is no longer to be taken back: another build was opened. */
export const forgetListSteps = (): void => setSteps([], []);

/** What was changed elsewhere since then stays; where that cannot be, it is said. */
function turn({ list, id }: Step, from: ShopItem | undefined, to: ShopItem | undefined, what: string): void {
  const merged = mergedItem(from, to, book.item(list, id));
  if (merged.ok) book.change(list, id, merged.item, merged.item === undefined ? 0 : undefined);
  toast(
    merged.ok
      ? `${what}: a change in ${LIST_NAMES[list]}.`
      : `${LIST_NAMES[list]}: this was changed elsewhere since then, and stays as it is.`,
    { id: 'lists-turned' },
  );
}
