import { beforeEach, describe, expect, it, vi } from 'vitest';
import { USUAL_SAWING, type Sawing } from '@larchwood/format';
import { made } from '../../../../testing/made.js';
import { editorStore } from '../editor/editorStore';
import { changeItem, forgetListSteps, listsStore, listSteps, redoInLists, undoInLists } from './lists';

vi.mock('../api/shop', () => ({
  shopApi: {
    all: async () => ({}),
    save: async () => ({ revision: 1 }),
    remove: async () => undefined,
  },
}));
vi.mock('sonner', () => ({ toast: Object.assign(vi.fn(), { dismiss: vi.fn() }) }));

const kerf = () => (listsStore.getState().shop.sawing.usual as Sawing | undefined)?.kerf;
const put = (value: number, quiet = false) =>
  changeItem('sawing', 'usual', { ...USUAL_SAWING, kerf: value }, quiet);
const document = made('kart', 'kart');
const open = () =>
  editorStore({
    ...{ id: 'b', name: 'Test', kind: 'kart', revision: 1, savedAt: '2026-12-02T08:00:00Z' },
    document,
  });

describe('steps in the workshop’s lists', () => {
  beforeEach(() => {
    changeItem('sawing', 'usual', undefined, true);
    forgetListSteps();
  });

  it('are taken back one by one, and done again', () => {
    put(1);
    put(2);
    undoInLists();
    expect(kerf()).toBe(1);
    undoInLists();
    expect([kerf(), listsStore.getState().canUndo]).toEqual([undefined, false]);
    redoInLists();
    redoInLists();
    expect([kerf(), listsStore.getState().canRedo]).toEqual([2, false]);
  });
  it('the same once more, and what follows from something else, are no steps', () => {
    put(1);
    put(1);
    put(5, true);
    undoInLists();
    // The quiet change of the same field stays: it is not this step's to take back.
    expect([kerf(), listSteps().undo]).toEqual([5, undefined]);
  });
  it('a new change after one that was taken back leaves nothing to do again', () => {
    put(1);
    undoInLists();
    put(3);
    expect([kerf(), listSteps().redo]).toEqual([3, undefined]);
  });

  it('build and lists take turns: the newest step goes first, whichever it was, and comes back last', () => {
    const store = open();
    const held = (value: number) => {
      store.getState().edit(`held ${value}`, (before) => ({
        ...before,
        stance: { held: { ...before.stance.held, frontTrack: value } },
      }));
      store.getState().settle();
    };
    const now = () => [store.getState().document.stance.held.frontTrack, kerf()];
    held(1000);
    put(1);
    held(1010);
    put(2);
    put(3);
    const seen = [now()];
    while (store.getState().canUndo) {
      store.getState().undo();
      seen.push(now());
    }
    const before = document.stance.held.frontTrack;
    expect(seen).toEqual([
      [1010, 3],
      [1010, 2],
      [1010, 1],
      [1000, 1],
      [1000, undefined],
      [before, undefined],
    ]);
    const again = [now()];
    while (store.getState().canRedo) {
      store.getState().redo();
      again.push(now());
    }
    expect(again).toEqual([...seen].reverse());
  });
  it('another build that is opened begins without those of the last one', () => {
    put(1);
    const store = open();
    expect(store.getState().canUndo).toBe(false);
    store.getState().undo();
    expect(kerf()).toBe(1);
  });
});
