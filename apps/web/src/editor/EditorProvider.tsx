import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useLayoutEffect, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { StoredBuild } from '@larchwood/contract';
import { findKind } from '@larchwood/core';
import { builds } from '../api/builds';
import { Autosave } from './autosave';
import { ConflictDialog } from './ConflictDialog';
import { EditorContext, KindContext, useEditor, useEditorStore } from './editor';
import { editorStore } from './editorStore';
import { GoneDialog, keepAsNew } from './gone';
import { forgetUnsaved, keepUnsaved, randomId, type Unsaved } from './unsaved';

interface Props {
  readonly build: StoredBuild;
  /** Edits of an earlier visit that had not reached the server. */
  readonly unsaved: Unsaved | undefined;
  readonly children: ReactNode;
}

/** Keeps the open build in a store of its own, and saves it. */
export function EditorProvider({ build, unsaved, children }: Props) {
  const [store] = useState(() => editorStore(build, unsaved?.document));
  const { undo, redo } = store.getState();
  useHotkeys('mod+z', undo, { preventDefault: true, enableOnFormTags: true });
  useHotkeys(['mod+shift+z', 'mod+y'], redo, { preventDefault: true, enableOnFormTags: true });
  return (
    <EditorContext value={store}>
      <KindContext value={findKind(build.document.kind)}>
        {children}
        <Saving opened={build} unsaved={unsaved} />
      </KindContext>
    </EditorContext>
  );
}

/** Saves the open build by itself, and asks where somebody else has saved or deleted it in between. */
function Saving({ opened, unsaved }: Pick<Props, 'unsaved'> & { readonly opened: StoredBuild }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const store = useEditorStore();
  const { save } = useEditor('save');
  const [autosave] = useState(() => {
    const onSaved = (build: StoredBuild) => {
      store.setState({ build });
      queries.setQueryData(['build', build.id], build);
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void queries.invalidateQueries({ queryKey: ['revisions', build.id] });
    };
    return new Autosave(
      opened,
      {
        send: (...sent) => builds.save(opened.id, ...sent),
        newId: randomId,
        keep: (kept) => keepUnsaved(opened.id, kept),
        forget: () => forgetUnsaved(opened.id),
        later: (ms, run) => {
          const timer = setTimeout(run, ms);
          return () => clearTimeout(timer);
        },
        onState: (state) => store.setState({ save: state }),
        onSaved,
      },
      unsaved,
    );
  });
  useEffect(() => {
    autosave.start();
    const off = store.subscribe(({ document }) => autosave.edit(document));
    const keep = () => autosave.writeDown();
    window.addEventListener('pagehide', keep);
    return () => {
      off();
      window.removeEventListener('pagehide', keep);
      autosave.leave();
    };
  }, [autosave, store]);
  // What goes on with a build as the server has it must be told to the saving, too.
  const [goOn] = useState(() => store.getState().replace);
  const replace = useCallback(
    (next: StoredBuild) => {
      autosave.goOn(next);
      goOn(next);
      queries.setQueryData(['build', next.id], next);
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void queries.invalidateQueries({ queryKey: ['revisions', next.id] });
    },
    [autosave, goOn, queries],
  );
  useLayoutEffect(() => store.setState({ replace }), [store, replace]);
  const mine = () => store.getState().document;
  if (save.is === 'conflict') {
    const { theirs } = save;
    const takeTheirs = async () => {
      const copy = await keepAsNew(mine());
      toast(`Yours is kept as “${copy.name}” in the workshop.`);
      replace(theirs);
    };
    const keepMine = () => {
      store.setState({ build: theirs });
      autosave.goOn(theirs);
      toast(`Yours goes on; revision ${theirs.revision} stays in History.`);
    };
    return <ConflictDialog mine={mine()} theirs={theirs} onMine={keepMine} onTheirs={takeTheirs} />;
  }
  if (save.is === 'gone') {
    const bringBack = async () => {
      const back = await builds.bringBack(opened.id);
      store.setState({ build: back });
      autosave.goOn(back);
      toast('The build is back, with your changes.');
    };
    const keepNew = async () => {
      const copy = await keepAsNew(mine());
      autosave.abandon();
      void queries.invalidateQueries({ queryKey: ['builds'] });
      await navigate(`/builds/${copy.id}/stance`);
    };
    return <GoneDialog onBringBack={bringBack} onKeepNew={keepNew} />;
  }
  return null;
}
