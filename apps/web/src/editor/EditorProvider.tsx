import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useLayoutEffect, useState, type ReactNode } from 'react';
import { nanoid } from 'nanoid';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import type { StoredBuild } from '@larchwood/contract';
import { findKind } from '@larchwood/core';
import { mineOver } from '@larchwood/format';
import { builds } from '../api/builds';
import { Autosave } from './autosave';
import { ConflictDialog } from './ConflictDialog';
import { EditorContext, KindContext, useEditor, useEditorStore } from './editor';
import { editorStore } from './editorStore';
import { heardOfLists, lookAtListsAgain } from '../lists/lists';
import { GoneDialog, keepAsNew } from './gone';
import { listen } from './listen';
import { changedInWords } from './partNames';
import { forgetUnsaved, keepUnsaved, type Left } from './unsaved';
import { WINDOW } from '../parts/windows';
import { whoIsAtWork } from '../parts/whoIsAtWork';

interface Props {
  readonly build: StoredBuild;
  /** Edits of earlier visits that had not reached the server, newest first: the newest goes on. */
  readonly left: readonly Left[];
  readonly children: ReactNode;
}

/** Keeps the open build in a store of its own, and saves it. */
export function EditorProvider({ build, left, children }: Props) {
  // A label's code opens its piece.
  const [search] = useSearchParams();
  const [store] = useState(() => editorStore(build, left[0]?.document, search.get('piece') ?? undefined));
  const { undo, redo } = store.getState();
  useHotkeys('mod+z', undo, { preventDefault: true, enableOnFormTags: true });
  useHotkeys(['mod+shift+z', 'mod+y'], redo, { preventDefault: true, enableOnFormTags: true });
  return (
    <EditorContext value={store}>
      <KindContext value={findKind(build.document.kind)}>
        {children}
        <Saving opened={build} left={left} />
      </KindContext>
    </EditorContext>
  );
}

/** Saves the open build by itself, and asks where somebody else has saved or deleted it in between. */
function Saving({ opened, left }: Pick<Props, 'left'> & { readonly opened: StoredBuild }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const store = useEditorStore();
  const { save } = useEditor('save');
  const tellQueries = useCallback(
    (build: StoredBuild) => {
      queries.setQueryData(['build', build.id], build);
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void queries.invalidateQueries({ queryKey: ['revisions', build.id] });
    },
    [queries],
  );
  const [autosave] = useState(() => {
    const onSaved = (build: StoredBuild) => {
      store.setState({ build });
      tellQueries(build);
    };
    return new Autosave(
      opened,
      {
        send: (revision, document, saveId) =>
          builds.save(opened.id, { revision, document, saveId, sitting: WINDOW, ...whoIsAtWork() }),
        fetch: () => builds.get(opened.id),
        adopt: (theirs, base) => {
          const changes = store.getState().adopt(theirs, base);
          if (changes === undefined) return undefined;
          tellQueries(theirs);
          toast(`Saved elsewhere, and taken in here: ${changedInWords(changes)}.`, { id: 'taken in' });
          return store.getState().document;
        },
        newId: () => nanoid(),
        keep: (kept) => {
          const is = keepUnsaved(opened.id, kept);
          // It is in this window's place now.
          if (is) left[0]?.forget();
          return is;
        },
        forget: () => {
          forgetUnsaved(opened.id);
          left[0]?.forget();
        },
        later: (ms, run) => {
          const timer = setTimeout(run, ms);
          return () => clearTimeout(timer);
        },
        onState: (state) => store.setState({ save: state }),
        onSaved,
      },
      left[0],
    );
  });
  useEffect(() => {
    autosave.start();
    const off = store.subscribe(({ document }) => autosave.edit(document));
    const keep = () => autosave.writeDown();
    window.addEventListener('pagehide', keep);
    const hangUp = listen(opened.id, {
      heard: (notice) => autosave.heard(notice),
      heardOfLists,
      again: () => {
        void autosave.lookAgain();
        lookAtListsAgain();
      },
    });
    return () => {
      off();
      hangUp();
      window.removeEventListener('pagehide', keep);
      autosave.leave();
    };
  }, [autosave, store, opened.id]);
  useEffect(() => {
    const drop = () => void store.getState().edit('drop what was brought back', () => opened.document);
    tellOfLeft(left, drop);
  }, [left, opened, store]);
  // What goes on with a build as the server has it must be told to the saving, too.
  const [goOn] = useState(() => store.getState().replace);
  const replace = useCallback(
    (next: StoredBuild) => {
      autosave.goOn(next);
      goOn(next);
      tellQueries(next);
    },
    [autosave, goOn, tellQueries],
  );
  useLayoutEffect(() => {
    store.setState({ replace });
  }, [store, replace]);
  const mine = () => store.getState().document;
  if (save.is === 'conflict') {
    const { theirs, base } = save;
    const takeTheirs = async () => {
      const copy = await keepAsNew(mine());
      toast(`Yours is kept as “${copy.name}” in the workshop.`);
      replace(theirs);
    };
    const keepMine = () => {
      store.setState({ build: theirs });
      // What only they changed is taken in; where both changed the same, mine stays.
      if (base) store.getState().edit('mine goes on', (here) => mineOver(base, here, theirs.document));
      autosave.goOn(theirs);
      toast(
        base
          ? `Yours goes on where both changed the same, theirs elsewhere; revision ${theirs.revision} stays in the Log.`
          : `Yours goes on; revision ${theirs.revision} stays in the Log.`,
      );
    };
    return <ConflictDialog mine={mine()} theirs={theirs} onMine={keepMine} onTheirs={takeTheirs} />;
  }
  if (save.is === 'gone') {
    const bringBack = async () => {
      await builds.bringBack(opened.id);
      autosave.resume();
      toast(save.edited ? 'The build is back, with your changes.' : 'The build is back.');
    };
    const keepNew = async () => {
      const copy = await keepAsNew(mine());
      autosave.abandon();
      void queries.invalidateQueries({ queryKey: ['builds'] });
      await navigate(`/builds/${copy.id}/stance`);
    };
    return <GoneDialog edited={save.edited} onBringBack={bringBack} onKeepNew={keepNew} />;
  }
  return null;
}

/** Says what was brought back, and what else closed windows left. */
function tellOfLeft([newest, ...others]: readonly Left[], drop: () => void): void {
  if (newest)
    toast('Changes that had not reached the server were brought back.', {
      id: 'brought back',
      action: { label: 'Drop them', onClick: drop },
    });
  for (const [place, { document, forget }] of others.entries())
    toast('Another window left other changes of this build.', {
      ...{ id: `left ${place}`, duration: Infinity },
      action: {
        label: 'Keep them as a new build',
        onClick: () =>
          void keepAsNew(document).then(
            (copy) => (forget(), toast(`They are kept as “${copy.name}” in the workshop.`)),
            () => toast('The server does not answer; they are still kept in this browser.'),
          ),
      },
    });
}
