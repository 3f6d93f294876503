import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { made } from '../../../../testing/made.js';
import { findLeft, forgetUnsaved, keepUnsaved } from './unsaved';
import { WINDOW } from '../parts/windows';

/** As much of the browser's store as is used; it can be full, or blocked. */
class Store {
  [key: string]: unknown;
  getItem(key: string): string | null {
    return Object.hasOwn(this, key) ? (this[key] as string) : null;
  }
  setItem(key: string, value: string): void {
    this[key] = value;
  }
  removeItem(key: string): void {
    Reflect.deleteProperty(this, key);
  }
}
const build = made('bicycle', 'road');
const later = { ...build, notes: 'Later' };
const unsaved = { revision: 3, document: build, saveIds: ['a', 'b'] };
const PREFIX = 'larchwood:unsaved:';

describe('edits that have not reached the server', () => {
  let store: Store;
  beforeEach(() => {
    store = new Store();
    vi.stubGlobal('localStorage', store);
  });
  afterEach(() => void vi.unstubAllGlobals());
  /** As a window that is closed now has left it. */
  const leave = (name: string, value: unknown, id = 'b1') =>
    store.setItem(`${PREFIX}${id}:${name}`, typeof value === 'string' ? value : JSON.stringify(value));

  it('are kept by this window under a name of its own, and forgotten by it alone', async () => {
    leave('gone', { ...unsaved, at: 1 });
    expect(keepUnsaved('b1', { ...unsaved, document: later })).toBe(true);
    expect(Object.keys(store).sort()).toEqual([`${PREFIX}b1:${WINDOW}`, `${PREFIX}b1:gone`].sort());
    // Its own edits are no leavings while it is open.
    expect((await findLeft('b1')).map(({ document }) => document.notes)).toEqual([build.notes]);
    forgetUnsaved('b1');
    expect(Object.keys(store)).toEqual([`${PREFIX}b1:gone`]);
  });
  it('lie beside what they were changed from, which goes with them', async () => {
    keepUnsaved('b1', { ...unsaved, document: later, base: build });
    const [own, base] = [`${PREFIX}b1:${WINDOW}`, `larchwood:base:${PREFIX}b1:${WINDOW}`];
    expect(Object.keys(store).sort()).toEqual([base, own].sort());
    // As another window finds it when this one is gone.
    store.setItem(`${PREFIX}b1:gone`, store.getItem(own)!);
    store.setItem(`larchwood:base:${PREFIX}b1:gone`, store.getItem(base)!);
    const [left] = await findLeft('b1');
    expect([left?.document.notes, left?.base]).toEqual(['Later', build]);
    left?.forget();
    forgetUnsaved('b1');
    expect(Object.keys(store)).toEqual([]);
  });
  it('are kept and found all the same where their base does not fit in, does not read, or is an older one', async () => {
    const base = `larchwood:base:${PREFIX}b1:${WINDOW}`;
    store.setItem(base, JSON.stringify({ revision: 2, document: build }));
    const room = store.setItem.bind(store);
    store.setItem = (key, value) => {
      if (key === base) throw new Error('The store is full.');
      room(key, value);
    };
    expect(keepUnsaved('b1', { ...unsaved, document: later, base: build })).toBe(true);
    // The older one would be taken for its own.
    expect([store.getItem(base), store.getItem(`${PREFIX}b1:${WINDOW}`) !== null]).toEqual([null, true]);
    for (const broken of [
      '{"revision":3,',
      JSON.stringify({ revision: 2, document: build }),
      '{"revision":3}',
    ]) {
      leave('gone', { ...unsaved, document: later, at: 1 });
      room(`larchwood:base:${PREFIX}b1:gone`, broken);
      const [left] = await findLeft('b1');
      expect([left?.document.notes, left?.base], broken).toEqual(['Later', undefined]);
    }
    forgetUnsaved('b1');
  });
  it('of windows that are closed are found newest first, of this build only, whole, and each can be forgotten', async () => {
    leave('first', { ...unsaved, at: 10 });
    leave('second', { ...unsaved, document: later, revision: 4, saveIds: ['c', 7, null], at: 20 });
    leave('other', { ...unsaved, at: 30 }, 'b2');
    // A name that only begins alike is another build's.
    leave('third', { ...unsaved, at: 40 }, 'b11');
    // As earlier versions kept it, without a window.
    store.setItem(`${PREFIX}b1`, JSON.stringify({ ...unsaved, at: 5 }));
    const left = await findLeft('b1');
    expect(left.map(({ revision, saveIds, document }) => [revision, saveIds, document.notes])).toEqual([
      [4, ['c'], 'Later'],
      [3, ['a', 'b'], build.notes],
      [3, ['a', 'b'], build.notes],
    ]);
    expect(left[0]!.document).toEqual(later);
    left[0]!.forget();
    expect((await findLeft('b1')).map(({ revision }) => revision)).toEqual([3, 3]);
  });
  it('that are damaged, or no build, are passed over and left where they are', async () => {
    const damaged = [
      '{"revision": 3, "docu',
      'null',
      '7',
      { ...unsaved, document: { ...build, kind: 'boat' } },
    ];
    damaged.forEach((value, index) => leave(`w${index}`, value));
    leave('noRevision', { ...unsaved, revision: '3' });
    expect(await findLeft('b1')).toEqual([]);
    expect(Object.keys(store)).toHaveLength(damaged.length + 1);
    leave('whole', unsaved);
    // Without a time it is as old as can be.
    expect(await findLeft('b1')).toHaveLength(1);
  });
  it('a store that is full or blocked says so and stops nothing', async () => {
    const refuse = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
    store.setItem = refuse;
    expect(keepUnsaved('b1', unsaved)).toBe(false);
    vi.stubGlobal('localStorage', new Proxy(store, { get: refuse, ownKeys: refuse }));
    expect(keepUnsaved('b1', unsaved)).toBe(false);
    expect(() => forgetUnsaved('b1')).not.toThrow();
    expect(await findLeft('b1')).toEqual([]);
  });
});
