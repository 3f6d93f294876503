import { describe, expect, it, vi } from 'vitest';
import type { StoredBuild } from '@larchwood/contract';
import { changesBetween } from '@larchwood/format';
import { made } from '../../../../testing/made.js';
import { doorStore } from '../api/doorStore';
import { holdDimension } from '../edits/stance';
import type { Editor } from './editor';
import { editorStore } from './editorStore';
import { changedInWords } from './partNames';

const stored = (): StoredBuild => ({
  id: 'a',
  name: 'Test',
  kind: 'bicycle',
  revision: 3,
  savedAt: '2026-01-02T03:04:05.000Z',
  document: made(),
});
/** The keys whose values change while `act` is done. */
function changedBy(store: ReturnType<typeof editorStore>, act: () => void): string[] {
  const before = store.getState();
  act();
  const now = store.getState();
  return (Object.keys(now) as (keyof Editor)[]).filter((key) => now[key] !== before[key]);
}

describe('the store of an open build', () => {
  it('opens with its plan, compared with itself, and nothing in hand', () => {
    const { plan, compared, piece, drafts, canUndo, refusals } = editorStore(stored()).getState();
    expect(compared?.label).toBe('revision 3');
    expect(compared?.plan.stance.values).toEqual(plan?.stance.values);
    expect([piece, drafts, canUndo, refusals]).toEqual([undefined, {}, false, []]);
  });
  it('what is lit, in hand or dragged changes that alone: nobody else is drawn again', () => {
    const store = editorStore(stored());
    const { setActive, setPiece, setDragging, setDraft } = store.getState();
    expect(changedBy(store, () => setActive('reach'))).toEqual(['active']);
    expect(changedBy(store, () => setPiece('downTube'))).toEqual(['piece']);
    expect(changedBy(store, () => setDragging(true))).toEqual(['dragging']);
    expect(changedBy(store, () => setDraft('held.reach', { text: 'lo' }))).toEqual(['drafts']);
    expect(changedBy(store, () => setDraft('held.stack', undefined))).toEqual([]);
  });
  it('an edit changes document and plan, says so once, and comes back with undo', () => {
    const store = editorStore(stored());
    const heard = vi.fn();
    store.subscribe(heard);
    const { edit, undo, redo } = store.getState();
    expect(changedBy(store, () => edit('reach', holdDimension('reach', 400)))).toEqual([
      'document',
      'plan',
      'canUndo',
    ]);
    expect(heard).toHaveBeenCalledTimes(1);
    undo();
    expect(store.getState().document.stance.held.reach).toBe(390);
    redo();
    expect(store.getState().document.stance.held.reach).toBe(400);
  });
  it('a step back keeps what was refused as it was typed, and drops what was only begun', () => {
    const store = editorStore(stored());
    const { edit, setDraft, undo } = store.getState();
    edit('reach', holdDimension('reach', 400));
    setDraft('held.reach', { text: '40' });
    setDraft('held.stack', { text: 'lots', message: '“lots” is not a length' });
    undo();
    expect(Object.keys(store.getState().drafts)).toEqual(['held.stack']);
  });
  it('goes on with a build as the server has it: nothing typed before stands in its way', () => {
    const store = editorStore(stored());
    const { edit, setDraft, replace } = store.getState();
    edit('reach', holdDimension('reach', 400));
    setDraft('held.stack', { text: 'lots', message: 'no' });
    replace({ ...stored(), revision: 9 });
    const { build, document, drafts, canUndo } = store.getState();
    expect([build.revision, document.stance.held.reach, drafts, canUndo]).toEqual([9, 390, {}, false]);
  });
  it('edits of an earlier visit are there, and can be undone', () => {
    const unsaved = holdDimension('reach', 401)(made());
    const store = editorStore(stored(), unsaved);
    expect([store.getState().document.stance.held.reach, store.getState().canUndo]).toEqual([401, true]);
    store.getState().undo();
    expect(store.getState().document.stance.held.reach).toBe(390);
  });

  it('at the bench settings are ticked and read; anything else is refused in words and changes nothing', () => {
    const store = editorStore(stored());
    doorStore.setState({ role: 'bench' });
    const { edit } = store.getState();
    const before = store.getState().document;
    expect(edit('head', holdDimension('headAngle', 71))).toMatchObject({
      ok: false,
      message: expect.stringContaining('At the bench'),
    });
    expect(store.getState().document).toBe(before);
    const reading = { school: 'table' as const, setting: 'a', set: true };
    edit('tick', (document) => ({ ...document, fixture: { ...document.fixture, readings: [reading] } }));
    expect(store.getState().document.fixture.readings).toEqual([reading]);
    doorStore.setState({ role: 'builder' });
    expect(edit('head', holdDimension('headAngle', 71)).ok).toBe(true);
  });
  it('what is adopted is what the server has from then on', () => {
    const store = editorStore(stored());
    const theirs = { ...stored(), revision: 4, document: { ...made(), notes: 'Theirs' } };
    store.getState().adopt(theirs, made());
    expect([store.getState().build.revision, store.getState().document]).toEqual([4, theirs.document]);
    const changes = changesBetween(made(), theirs.document);
    expect(changedInWords(changes)).toBe('the notes');
    expect(changedInWords(changesBetween(made(), { ...theirs.document, name: 'X' }))).toBe(
      'the name and the notes',
    );
    expect(changedInWords(changesBetween(made(), made()))).toBe('nothing that shows');
  });
});
