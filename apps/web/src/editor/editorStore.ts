import { createStore } from 'zustand';
import type { StoredBuild } from '@larchwood/contract';
import { failure, idOfMark, planBuild } from '@larchwood/core';
import { changesBetween, ticksOnly, type BuildDocument } from '@larchwood/format';
import { doorStore } from '../api/doorStore';
import type { Compared, Draft, Editor, EditorStore } from './editor';
import { forgetListSteps, listSteps, listsStore, redoInLists, undoInLists } from '../lists/lists';
import { Session, type Moment } from './session';

type Drafts = Readonly<Record<string, Draft>>;

/**
 * The open build: its document and plan, what is typed and not yet taken, and what is in hand.
 * @param mark of the piece that is in hand at first
 */
export function editorStore(build: StoredBuild, unsaved?: BuildDocument, mark?: string): EditorStore {
  const session = new Session(build.document, unsaved);
  forgetListSteps();
  const store = createStore<Editor>((set) => {
    const turn = (step: () => void) => () => {
      set(({ drafts }) => ({ drafts: refusedOnly(drafts) }));
      step();
    };
    return {
      build,
      ...shownOf(session.now()),
      present: session.present,
      edit: (key, change, at) => {
        if (doorStore.getState().role === 'bench' && !ticksOnly(changed(session.present(), change)))
          return failure(
            'At the bench settings are ticked and read, and steps ticked off; a builder’s passcode changes the rest.',
          );
        return session.edit(key, change, at);
      },
      settle: session.settle,
      undo: turn(() => {
        const { undo = 0 } = listSteps();
        if (undo > (session.now().history.past.at(-1)?.no ?? 0)) undoInLists();
        else session.undo();
      }),
      redo: turn(() => {
        const { redo = Infinity } = listSteps();
        if (redo < (session.now().history.future[0]?.no ?? Infinity)) redoInLists();
        else session.redo();
      }),
      drafts: {},
      setDraft: (key, draft) => set(({ drafts }) => ({ drafts: withDraft(drafts, key, draft) })),
      save: { is: 'saved', at: build.savedAt },
      compared: opening(build),
      compareWith: (compared) => set({ compared }),
      active: undefined,
      setActive: (active) => set({ active }),
      piece: mark === undefined ? undefined : idOfMark(session.present().frame, mark),
      setPiece: (piece) => set({ piece }),
      dragging: false,
      setDragging: (dragging) => {
        session.drag(dragging);
        set({ dragging });
      },
      adopt: (theirs, base) => {
        const changes = session.adopt(base, theirs.document);
        if (changes !== undefined) set({ build: theirs });
        return changes;
      },
      replace: (next) => {
        set({ build: next, drafts: {} });
        session.replace(next.document);
      },
    };
  });
  session.subscribe(() => store.setState(shownOf(session.now())));
  // What was changed in the workshop's lists is taken back in its turn.
  listsStore.subscribe((now, before) => {
    if (now.canUndo !== before.canUndo || now.canRedo !== before.canRedo)
      store.setState(shownOf(session.now()));
  });
  return store;
}

const changed = (present: BuildDocument, change: (document: BuildDocument) => BuildDocument) =>
  changesBetween(present, change(present));

const shownOf = ({ history, plan, refusals }: Moment) => ({
  document: history.present,
  plan,
  refusals,
  canUndo: history.past.length > 0 || listSteps().undo !== undefined,
  canRedo: history.future.length > 0 || listSteps().redo !== undefined,
});

function withDraft(drafts: Drafts, key: string, draft: Draft | undefined): Drafts {
  if (!draft && !(key in drafts)) return drafts;
  const others = Object.fromEntries(Object.entries(drafts).filter(([other]) => other !== key));
  return draft ? { ...others, [key]: draft } : others;
}

/** A step back or forward puts its own value into the field in hand; what was refused elsewhere stays as typed. */
const refusedOnly = (drafts: Drafts): Drafts =>
  Object.fromEntries(Object.entries(drafts).filter(([, draft]) => draft.message !== undefined));

function opening(build: StoredBuild): Compared | undefined {
  const planned = planBuild(build.document);
  const { document } = build;
  return planned.ok ? { label: `revision ${build.revision}`, document, plan: planned.plan } : undefined;
}
