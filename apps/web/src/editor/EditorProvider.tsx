import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useLayoutEffect, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { toast } from 'sonner';
import type { StoredBuild } from '@larchwood/contract';
import { findKind } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { builds } from '../api/builds';
import { ConflictDialog } from './ConflictDialog';
import { EditorContext, KindContext, useEditor, useEditorStore } from './editor';
import { editorStore } from './editorStore';
import { useAutosave } from './useAutosave';

interface Props {
  readonly build: StoredBuild;
  /** Edits of an earlier visit that had not reached the server. */
  readonly unsaved: BuildDocument | undefined;
  readonly children: ReactNode;
}

/** Keeps the open build in a store of its own, and saves it. */
export function EditorProvider({ build, unsaved, children }: Props) {
  const [store] = useState(() => editorStore(build, unsaved));
  const { undo, redo } = store.getState();
  useHotkeys('mod+z', undo, { preventDefault: true, enableOnFormTags: true });
  useHotkeys(['mod+shift+z', 'mod+y'], redo, { preventDefault: true, enableOnFormTags: true });
  return (
    <EditorContext value={store}>
      <KindContext value={findKind(build.document.kind)}>
        {children}
        <Saving opened={build} />
      </KindContext>
    </EditorContext>
  );
}

/** Saves the open build by itself, and asks where somebody else has saved in between. */
function Saving({ opened }: { readonly opened: StoredBuild }) {
  const queries = useQueryClient();
  const store = useEditorStore();
  const { document } = useEditor('document');
  const onSaved = useCallback(
    (next: StoredBuild) => {
      store.setState({ build: next });
      queries.setQueryData(['build', next.id], next);
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void queries.invalidateQueries({ queryKey: ['revisions', next.id] });
    },
    [queries, store],
  );
  const { state: save, resolve } = useAutosave(opened, document, onSaved);
  useLayoutEffect(() => store.setState({ save }), [store, save]);
  // What goes on with a build as the server has it must be told to the saving, too.
  const [goOn] = useState(() => store.getState().replace);
  useLayoutEffect(
    () =>
      store.setState({
        replace: (next) => {
          resolve(next);
          onSaved(next);
          goOn(next);
        },
      }),
    [store, resolve, onSaved, goOn],
  );
  if (save.is !== 'conflict') return null;
  const { theirs } = save;
  const takeTheirs = async () => {
    const copy = await builds.importText(
      JSON.stringify({ ...document, name: `${document.name.slice(0, 100)} (my changes)` }),
    );
    toast(`Yours is kept as “${copy.name}” in the workshop.`);
    store.getState().replace(theirs);
  };
  const keepMine = () => {
    resolve(theirs);
    store.setState({ build: theirs });
    toast(`Yours goes on; revision ${theirs.revision} stays in History.`);
  };
  return <ConflictDialog mine={document} theirs={theirs} onMine={keepMine} onTheirs={takeTheirs} />;
}
