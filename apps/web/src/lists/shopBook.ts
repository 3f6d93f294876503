import type { Role, ShopNotice, StoredItem, StoredShop } from '@larchwood/contract';
import { mergedItem, sameItem, type ShopItems, type ShopList } from '@larchwood/format';
import { ApiProblem } from '../api/client';

export type ShopItem = ShopItems[ShopList];

/** An item of the workshop's lists as the server is known to have it; none where it has none. */
export interface Known {
  /** 0 where there is none. */
  readonly revision: number;
  readonly item: ShopItem | undefined;
}

/** A change of an item that the server does not have yet. */
export interface Unsent {
  readonly list: ShopList;
  readonly id: string;
  /** As it is to be; none where it is to be taken off. */
  readonly item: ShopItem | undefined;
  /** What it was changed from. */
  readonly base: Known;
  /** Of the sends that had no answer: any of them may have arrived. */
  readonly saveIds: readonly string[];
  /** As what one was let in who changed it. */
  readonly by: Role;
}

/** Both changed one item, and differently. */
export interface Clash extends Unsent {
  readonly theirs: Known;
  /** Fields that both changed. */
  readonly fields: readonly string[];
}

/** Why something is not sent yet. */
export type Waiting = 'no answer' | 'shut out' | 'not at the bench';

/** What the book needs of the world; a test gives its own. */
export interface ShopWires {
  /** @throws ApiProblem */
  readonly save: (change: Unsent, saveId: string) => Promise<StoredItem>;
  /** @throws ApiProblem */
  readonly remove: (change: Unsent, saveId: string) => Promise<unknown>;
  /** @throws ApiProblem */
  readonly fetch: () => Promise<StoredShop>;
  readonly newId: () => string;
  /** As what one is let in now. */
  readonly role: () => Role;
  /** Writes down in this browser what has not reached the server. */
  readonly keep: (unsent: readonly Unsent[]) => void;
  /** Runs something after so many ms; what is returned calls it off. */
  readonly later: (ms: number, run: () => void) => () => void;
  readonly onChange: () => void;
  /** Something else than what was asked about was taken in from elsewhere. */
  readonly onTaken: (list: ShopNotice['shop']) => void;
  /** The server will not have it, whoever asks. */
  readonly onRefused: (change: Unsent, message: string) => void;
}

/** What is typed is sent when the typing rests so long; what had no answer is sent again after so long; ms. */
export const REST = 400;
export const AGAIN = 4000;

const keyOf = ({ list, id }: { readonly list: ShopList; readonly id: string }): string => `${list}/${id}`;

/**
 * The workshop's lists as this window has them: what the server has, and over it what was changed here, sent item by item
 * over the revision that was last seen. What did not reach the server stays in the browser until it has; what somebody
 * else changed in between is put together field by field, and asked about where both changed the same.
 */
export class ShopBook {
  private known = new Map<string, Known>();
  private readonly unsent = new Map<string, Unsent>();
  private readonly clashing = new Map<string, Clash>();
  private readonly planned = new Map<string, () => void>();
  private readonly underWay = new Set<string>();
  /** Ids of this window's own sends, so that its own notice is no news. */
  private readonly own = new Set<string>();
  private why: Waiting | undefined;

  constructor(private readonly wires: ShopWires) {}

  /** What is shown: the server's, with what was changed here over it. */
  item(list: ShopList, id: string): ShopItem | undefined {
    const mine = this.unsent.get(keyOf({ list, id }));
    return mine ? mine.item : this.known.get(keyOf({ list, id }))?.item;
  }
  get changes(): readonly Unsent[] {
    return [...this.unsent.values()];
  }
  get clashes(): readonly Clash[] {
    return [...this.clashing.values()];
  }
  get waiting(): Waiting | undefined {
    return this.why;
  }

  /** Shows a change at once, and sends it when the typing rests. */
  change(list: ShopList, id: string, item: ShopItem | undefined, after = REST): void {
    const key = keyOf({ list, id });
    const before = this.unsent.get(key);
    const base = before?.base ?? this.known.get(key) ?? NONE;
    this.put({ list, id, item, base, saveIds: before?.saveIds ?? [], by: this.wires.role() });
    if (!this.clashing.has(key)) this.plan(key, after);
  }

  /** What windows that are closed now have left: sent from here. */
  adopt(left: readonly Unsent[]): void {
    for (const change of left) {
      const key = keyOf(change);
      if (this.unsent.has(key)) continue;
      this.put(change);
      this.plan(key, 0);
    }
  }

  /** Takes in what the server has; what others changed under a change of this window is put together with it. */
  take(shop: StoredShop): void {
    const known = new Map<string, Known>();
    for (const [list, items] of Object.entries(shop) as [ShopList, Record<string, StoredItem>][])
      for (const [id, { revision, item }] of Object.entries(items))
        known.set(keyOf({ list, id }), { revision, item });
    const others = [...known].filter(([key, { item }]) => !sameItem(item, this.known.get(key)?.item));
    const gone = [...this.known].filter(([key, { item }]) => item !== undefined && !known.has(key));
    this.known = known;
    for (const change of this.changes) {
      const key = keyOf(change);
      const theirs = known.get(key) ?? NONE;
      if (!this.underWay.has(key) && theirs.revision !== change.base.revision && change.saveIds.length === 0)
        this.meet(change, theirs);
    }
    const lists = new Set([...others, ...gone].map(([key]) => key.split('/')[0] as ShopList));
    this.wires.onChange();
    if (this.looked && lists.size > 0) this.wires.onTaken(lists.size === 1 ? [...lists][0]! : 'several');
    this.looked = true;
  }
  private looked = false;

  /** Somebody changed the lists; it may have been this window. */
  async heard({ saveId }: ShopNotice): Promise<void> {
    if (saveId !== undefined && this.own.has(saveId)) return;
    await this.lookAgain();
  }

  /** Asks what the server has: something may have been missed. */
  lookAgain(): Promise<void> {
    // Many notices in a row are one look, and one more for what came while it was under way.
    this.wanted = true;
    this.looking ??= this.look().finally(() => (this.looking = undefined));
    return this.looking;
  }
  private wanted = false;
  private looking: Promise<void> | undefined;
  private async look(): Promise<void> {
    while (this.wanted) {
      this.wanted = false;
      try {
        this.take(await this.wires.fetch());
      } catch {
        // It is asked again with the next notice, and with the next send.
      }
    }
  }

  /** A clash was answered: with what is here, or with what is there. */
  settle(clash: Clash, take: 'mine' | 'theirs'): void {
    const key = keyOf(clash);
    const mine = this.unsent.get(key) ?? clash;
    this.clashing.delete(key);
    this.know(key, clash.theirs);
    if (take === 'theirs') this.drop(key);
    else {
      const merged = mergedItem(mine.base.item, mine.item, clash.theirs.item);
      const item = merged.ok ? merged.item : merged.mine;
      this.put({ ...mine, item, base: clash.theirs, saveIds: [] });
      this.plan(key, 0);
    }
    this.wires.onChange();
  }

  /** The page is left, or somebody was let in: what waits is sent now. */
  sendAll(): void {
    for (const key of this.unsent.keys()) if (!this.clashing.has(key)) this.plan(key, 0);
  }

  private plan(key: string, after: number): void {
    this.planned.get(key)?.();
    if (after === 0) {
      this.planned.delete(key);
      void this.send(key);
      return;
    }
    this.planned.set(
      key,
      this.wires.later(after, () => {
        this.planned.delete(key);
        void this.send(key);
      }),
    );
  }

  private async send(key: string): Promise<void> {
    const change = this.unsent.get(key);
    // One at a time of an item: the answer to the one under way sends what came after it.
    if (!change || this.underWay.has(key) || this.clashing.has(key)) return;
    if (change.item === undefined && change.base.item === undefined && change.saveIds.length === 0) {
      // Put on and taken off again before it was sent.
      this.drop(key);
      this.wires.onChange();
      return;
    }
    const saveId = this.wires.newId();
    this.own.add(saveId);
    this.underWay.add(key);
    // Before it goes: a visit to come must know that it may have arrived.
    this.put({ ...change, saveIds: [...change.saveIds, saveId] });
    try {
      const known: Known =
        change.item === undefined
          ? (await this.wires.remove(change, saveId), NONE)
          : { revision: (await this.wires.save(change, saveId)).revision, item: change.item };
      this.underWay.delete(key);
      this.answered(key, change, known);
    } catch (error) {
      this.underWay.delete(key);
      this.failed(key, change, error);
    }
    this.wires.onChange();
  }

  private answered(key: string, sent: Unsent, known: Known): void {
    this.why = undefined;
    this.know(key, known);
    const now = this.unsent.get(key);
    if (!now || sameItem(now.item, sent.item)) this.drop(key);
    else {
      this.put({ ...now, base: known, saveIds: [] });
      if (!this.planned.has(key)) this.plan(key, 0);
    }
  }

  private failed(key: string, sent: Unsent, error: unknown): void {
    const problem = error instanceof ApiProblem ? error.problem : undefined;
    const status = problem?.status ?? 0;
    const now = this.unsent.get(key) ?? sent;
    if (status === 409 && problem?.currentItem !== undefined) {
      const theirs = problem.currentItem ?? NONE;
      const { saveId } = problem.currentItem ?? {};
      // One of this window's own had arrived, and only its answer was lost.
      if (saveId !== undefined && now.saveIds.includes(saveId))
        this.answered(key, { ...sent, item: theirs.item }, theirs);
      else this.meet({ ...now, saveIds: [] }, theirs);
    } else if (status === 404 && sent.item === undefined) this.answered(key, sent, NONE);
    else if (status === 401 || (status === 403 && now.by === 'builder')) {
      // It did not arrive, and goes when somebody is let in who may send it.
      this.why = status === 401 ? 'shut out' : 'not at the bench';
      this.put({ ...now, saveIds: sent.saveIds });
    } else if (status === 0 || status >= 500) {
      this.why = 'no answer';
      if (!this.planned.has(key)) this.plan(key, AGAIN);
    } else {
      this.drop(key);
      this.wires.onRefused(now, problem?.message ?? 'unknown reason');
    }
  }

  /** Somebody else changed an item that was changed here, too. */
  private meet(mine: Unsent, theirs: Known): void {
    const key = keyOf(mine);
    this.know(key, theirs);
    const merged = mergedItem(mine.base.item, mine.item, theirs.item);
    if (!merged.ok) {
      this.put(mine);
      this.planned.get(key)?.();
      this.planned.delete(key);
      this.clashing.set(key, { ...mine, theirs, fields: merged.clashes });
    } else if (sameItem(merged.item, theirs.item)) this.drop(key);
    else {
      this.put({ ...mine, item: merged.item, base: theirs, saveIds: [] });
      this.plan(key, 0);
    }
  }

  private know(key: string, known: Known): void {
    if (known.item === undefined) this.known.delete(key);
    else this.known.set(key, known);
  }
  private put(change: Unsent): void {
    this.unsent.set(keyOf(change), change);
    this.wires.keep(this.changes);
    this.wires.onChange();
  }
  private drop(key: string): void {
    this.planned.get(key)?.();
    this.planned.delete(key);
    this.unsent.delete(key);
    this.wires.keep(this.changes);
  }

  /** Every item as it is shown, by list. */
  *shown(): Iterable<readonly [list: ShopList, id: string, item: ShopItem]> {
    for (const [key, known] of this.known) {
      const item = this.unsent.has(key) ? this.unsent.get(key)!.item : known.item;
      if (item !== undefined) yield [...placeOf(key), item];
    }
    for (const [key, { item }] of this.unsent)
      if (item !== undefined && !this.known.has(key)) yield [...placeOf(key), item];
  }
}

const NONE: Known = { revision: 0, item: undefined };
function placeOf(key: string): readonly [ShopList, string] {
  const cut = key.indexOf('/');
  return [key.slice(0, cut) as ShopList, key.slice(cut + 1)];
}
