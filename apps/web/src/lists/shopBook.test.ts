import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Problem, Role, StoredItem, StoredShop } from '@larchwood/contract';
import { USUAL_SAWING, type Sawing } from '@larchwood/format';
import { ApiProblem } from '../api/client';
import { Clock, settled } from '../testing/clock';
import { AGAIN, REST, ShopBook, type Unsent } from './shopBook';

type Way = 'answered' | 'answer lost' | 'never arrives';

/** A server with one list, a browser's store and a clock, and a window that writes in the lists. */
class Shop {
  items = new Map<string, StoredItem>();
  way: Way = 'answered';
  refuse: Problem | undefined;
  role: Role = 'builder';
  /** A change arrived whose answer never came: what others change over it cannot be told from it. */
  lost = false;
  kept: readonly Unsent[] = [];
  taken: string[] = [];
  refused: string[] = [];
  looks = 0;
  private visit = 0;
  private readonly clock = new Clock();
  book = this.open();

  open(): ShopBook {
    this.clock.stop();
    this.visit += 1;
    const left = this.kept;
    this.book = new ShopBook({
      save: ({ id, item, base }, saveId) =>
        this.arrives(id, base.revision, saveId, (revision) => {
          const stored = { revision, saveId, item: structuredClone(item!) };
          this.items.set(id, stored);
          return stored;
        }),
      remove: ({ id, base }, saveId) => this.arrives(id, base.revision, saveId, () => this.items.delete(id)),
      fetch: async () => {
        this.looks += 1;
        return this.stored();
      },
      newId: () => `save ${++ids}`,
      role: () => this.role,
      keep: (unsent) => (this.kept = structuredClone(unsent)),
      later: this.clock.later,
      onChange: () => undefined,
      onTaken: (list) => this.taken.push(list),
      onRefused: (_, message) => this.refused.push(message),
    });
    this.book.take(this.stored());
    this.book.adopt(left);
    return this.book;
  }
  stored(): StoredShop {
    return { sawing: Object.fromEntries(this.items) } as unknown as StoredShop;
  }
  /** A window that is closed hears of no answer any more. */
  private async arrives<T>(...sent: Parameters<typeof this.answer<T>>): Promise<T> {
    const { visit } = this;
    const dead = () => visit !== this.visit;
    return this.answer(...sent).then(
      (answer) => (dead() ? new Promise<T>(() => undefined) : answer),
      (error: unknown) => (dead() ? new Promise<T>(() => undefined) : Promise.reject(error as Error)),
    );
  }
  private async answer<T>(
    id: string,
    over: number,
    saveId: string,
    done: (revision: number) => T,
  ): Promise<T> {
    const refuse = (problem: Problem): never => {
      throw new ApiProblem(problem);
    };
    if (this.refuse) refuse(this.refuse);
    const { way } = this;
    if (way === 'never arrives') refuse({ status: 0, message: 'No answer.' });
    const there = this.items.get(id);
    let answer: T;
    if (there?.saveId === saveId) answer = there as T;
    else {
      if ((there?.revision ?? 0) !== over)
        refuse({ status: 409, message: 'Changed.', currentItem: there ?? null });
      answer = done(over + 1);
      this.lost = way === 'answer lost';
    }
    if (way === 'answer lost') refuse({ status: 0, message: 'No answer.' });
    return answer;
  }
  othersKeep(id: string, change: Partial<Sawing>): void {
    const there = this.items.get(id);
    const item = { ...((there?.item as Sawing | undefined) ?? USUAL_SAWING), ...change };
    this.items.set(id, { revision: (there?.revision ?? 0) + 1, saveId: `theirs ${++ids}`, item });
  }
  change(change: Partial<Sawing>, id = 'usual'): void {
    const item = (this.book.item('sawing', id) as Sawing | undefined) ?? USUAL_SAWING;
    this.book.change('sawing', id, { ...item, ...change });
  }
  get shown(): unknown {
    return this.book.item('sawing', 'usual');
  }
  get there(): unknown {
    return this.items.get('usual')?.item;
  }
  readonly pass = (ms: number): Promise<void> => this.clock.pass(ms);
}
let ids = 0;

describe('what is written in the workshop’s lists', () => {
  let shop: Shop;
  beforeEach(() => {
    shop = new Shop();
  });

  it('is shown at once, written down in the browser, and sent when the typing rests', async () => {
    shop.change({ kerf: 1 });
    expect([shop.shown, shop.kept.length, shop.there]).toEqual([{ ...USUAL_SAWING, kerf: 1 }, 1, undefined]);
    await shop.pass(REST);
    expect([shop.there, shop.kept]).toEqual([{ ...USUAL_SAWING, kerf: 1 }, []]);
  });
  it.each<Way>(['never arrives', 'answer lost'])(
    'without a server (%s) it is kept over a reload, and sent when there is one',
    async (way) => {
      shop.way = way;
      shop.change({ kerf: 1 });
      await shop.pass(REST);
      expect([shop.book.waiting, shop.kept.length]).toEqual(['no answer', 1]);
      shop.open();
      await settled();
      expect(shop.shown).toEqual({ ...USUAL_SAWING, kerf: 1 });
      shop.way = 'answered';
      await shop.pass(AGAIN);
      expect([shop.there, shop.kept, shop.book.waiting]).toEqual([
        { ...USUAL_SAWING, kerf: 1 },
        [],
        undefined,
      ]);
    },
  );
  it('after a log-out it is kept until somebody is let in; a builder’s is not sent by the bench', async () => {
    for (const [status, why] of [
      [401, 'shut out'],
      [403, 'not at the bench'],
    ] as const) {
      shop.refuse = { status, message: 'Not now.' };
      shop.change({ kerf: status });
      await shop.pass(10 * AGAIN);
      expect([shop.book.waiting, shop.kept.length, shop.refused]).toEqual([why, 1, []]);
      shop.refuse = undefined;
      shop.book.sendAll();
      await settled();
      expect([(shop.there as Sawing).kerf, shop.kept]).toEqual([status, []]);
    }
    shop.role = 'bench';
    shop.refuse = { status: 403, message: 'A builder’s.' };
    shop.change({ kerf: 9 });
    await shop.pass(REST);
    expect([shop.refused, shop.kept, (shop.shown as Sawing).kerf]).toEqual([['A builder’s.'], [], 403]);
  });
  it('a stale window’s change is put together with the newer one, field by field', async () => {
    shop.othersKeep('usual', {});
    shop.open();
    shop.othersKeep('usual', { kerf: 1.2 });
    shop.change({ trim: 9 });
    await shop.pass(REST);
    expect([shop.there, shop.shown]).toEqual(Array(2).fill({ ...USUAL_SAWING, kerf: 1.2, trim: 9 }));
    expect(shop.book.clashes).toEqual([]);
  });
  it.each(['mine', 'theirs'] as const)(
    'where both changed the same it is asked, and %s goes on',
    async (answer) => {
      shop.othersKeep('usual', {});
      shop.open();
      shop.othersKeep('usual', { kerf: 1.2, keep: 90 });
      shop.change({ kerf: 3 });
      await shop.pass(10 * AGAIN);
      const [clash] = shop.book.clashes;
      expect([clash?.fields, (shop.there as Sawing).kerf, shop.kept.length]).toEqual([['kerf'], 1.2, 1]);
      shop.book.settle(clash!, answer);
      await shop.pass(AGAIN);
      expect([shop.book.clashes, shop.kept]).toEqual([[], []]);
      expect(shop.shown).toEqual(shop.there);
      // Only what clashed is mine: the other field that they changed stays theirs.
      expect(shop.there).toEqual({ ...USUAL_SAWING, keep: 90, kerf: answer === 'mine' ? 3 : 1.2 });
    },
  );
  it('one who takes an item off that another changed is asked, and so is the other', async () => {
    shop.othersKeep('usual', {});
    shop.open();
    shop.othersKeep('usual', { kerf: 1.2 });
    shop.book.change('sawing', 'usual', undefined, 0);
    await settled();
    expect(shop.book.clashes).toHaveLength(1);
    shop.book.settle(shop.book.clashes[0]!, 'mine');
    await settled();
    expect([shop.there, shop.shown]).toEqual([undefined, undefined]);
    shop.othersKeep('usual', {});
    shop.open();
    shop.items.clear();
    shop.change({ kerf: 5 });
    await shop.pass(REST);
    shop.book.settle(shop.book.clashes[0]!, 'mine');
    await settled();
    expect((shop.there as Sawing).kerf).toBe(5);
  });
  it('what others changed is told and shown; the own is no news', async () => {
    shop.change({ kerf: 1 });
    await shop.pass(REST);
    await shop.book.heard({ shop: 'sawing', saveId: shop.items.get('usual')!.saveId! });
    expect(shop.taken).toEqual([]);
    shop.othersKeep('usual', { kerf: 4 });
    await shop.book.heard({ shop: 'sawing', saveId: 'theirs' });
    expect([shop.taken, (shop.shown as Sawing).kerf]).toEqual([['sawing'], 4]);
  });

  it('many notices in a row are one look, and one more for what came meanwhile', async () => {
    shop.othersKeep('usual', { kerf: 4 });
    const notices = Array.from({ length: 30 }, () => shop.book.heard({ shop: 'sawing', saveId: 'theirs' }));
    shop.othersKeep('usual', { kerf: 5 });
    await Promise.all(notices);
    expect([shop.looks, (shop.shown as Sawing).kerf]).toEqual([2, 5]);
  });
  it('put on and taken off before it was sent, it is never sent', async () => {
    shop.change({ kerf: 1 });
    shop.book.change('sawing', 'usual', undefined, 0);
    await shop.pass(AGAIN);
    expect([shop.shown, shop.there, shop.kept]).toEqual([undefined, undefined, []]);
  });
  it('what a window that is closed left does not go over what is written here now', async () => {
    shop.change({ kerf: 1 });
    const left = shop.kept.map((each) => ({ ...each, item: { ...USUAL_SAWING, kerf: 9 } }));
    shop.book.adopt(left);
    await shop.pass(REST);
    expect((shop.there as Sawing).kerf).toBe(1);
  });
  it('in whatever order things happen nothing typed is lost, and nothing of others overwritten', async () => {
    const step = fc.oneof(
      { weight: 4, arbitrary: fc.constant('change') },
      { weight: 3, arbitrary: fc.constantFrom(50, REST, AGAIN) },
      { weight: 2, arbitrary: fc.constantFrom<Way>('answered', 'answer lost', 'never arrives') },
      { weight: 1, arbitrary: fc.constantFrom('reopen', 'others', 'hear') },
    );
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
        const here = new Shop();
        here.othersKeep('usual', {});
        here.open();
        let [kerf, trim]: (number | undefined)[] = [undefined, undefined];
        for (const [count, each] of steps.entries()) {
          if (typeof each === 'number') await here.pass(each);
          else if (each === 'change') here.change({ kerf: (kerf = count) });
          else if (each === 'reopen') here.open();
          else if (each === 'others') {
            // Not over a change of this window that arrived unanswered: that one must ask.
            if (!here.lost) here.othersKeep('usual', { trim: (trim = count) });
          } else if (each === 'hear') await here.book.lookAgain();
          else here.way = each as Way;
        }
        here.way = 'answered';
        await here.pass(4 * AGAIN);
        await here.book.lookAgain();
        await here.pass(4 * AGAIN);
        expect([here.book.clashes, here.kept]).toEqual([[], []]);
        if (kerf !== undefined)
          expect(here.there).toEqual({ ...USUAL_SAWING, kerf, trim: trim ?? USUAL_SAWING.trim });
        expect(here.shown).toEqual(here.there);
      }),
      { numRuns: 300 },
    );
  });
});
