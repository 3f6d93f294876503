import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo, useState, useSyncExternalStore, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { toast } from 'sonner';
import type { StoredBuild } from '@larchwood/contract';
import { findKind, planBuild } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { builds } from '../api/builds';
import { ConflictDialog } from './ConflictDialog';
import { EditorContext, FieldsContext, KindContext, type Compared, type Draft, type Editor } from './editor';
import { Session } from './session';
import { useAutosave } from './useAutosave';

interface Props {
  readonly build: StoredBuild;
  /** Edits of an earlier visit that had not reached the server. */
  readonly unsaved: BuildDocument | undefined;
  readonly children: ReactNode;
}

/** Keeps the open build: its session, what is saved, what is typed and not yet taken, and what is in hand. */
export function EditorProvider({ build, unsaved, children }: Props) {
  const queries = useQueryClient();
  const [session] = useState(() => new Session(build.document, unsaved));
  const { history, plan, refusals } = useSyncExternalStore(session.subscribe, session.now);
  const [saved, setSaved] = useState(build);
  const [drafts, setDrafts] = useState<Readonly<Record<string, Draft>>>({});
  const [compared, compareWith] = useState<Compared | undefined>(() => opening(build));
  const [active, setActive] = useState<string>();
  const [piece, setPiece] = useState<string>();
  const [dragging, setDragging] = useState(false);
  const document = history.present;

  const onSaved = useCallback(
    (next: StoredBuild) => {
      setSaved(next);
      queries.setQueryData(['build', next.id], next);
      void queries.invalidateQueries({ queryKey: ['builds'] });
      void queries.invalidateQueries({ queryKey: ['revisions', next.id] });
    },
    [queries],
  );
  const { state: save, resolve } = useAutosave(build, document, onSaved);
  const setDraft = useCallback((key: string, draft: Draft | undefined) => {
    setDrafts((before) => {
      if (!draft && !(key in before)) return before;
      const others = Object.fromEntries(Object.entries(before).filter(([other]) => other !== key));
      return draft ? { ...others, [key]: draft } : others;
    });
  }, []);
  const undo = useCallback(() => {
    setDrafts(refusedOnly);
    session.undo();
  }, [session]);
  const redo = useCallback(() => {
    setDrafts(refusedOnly);
    session.redo();
  }, [session]);
  useHotkeys('mod+z', undo, { preventDefault: true, enableOnFormTags: true });
  useHotkeys(['mod+shift+z', 'mod+y'], redo, { preventDefault: true, enableOnFormTags: true });

  const { settle } = session;
  const { units } = document;
  const fields = useMemo(() => ({ drafts, setDraft, settle, units }), [drafts, setDraft, settle, units]);
  const editor: Editor = {
    build: saved,
    document,
    present: session.present,
    plan,
    refusals,
    edit: session.edit,
    settle,
    undo,
    redo,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    drafts,
    setDraft,
    save,
    compared,
    compareWith,
    active,
    setActive,
    piece,
    setPiece,
    dragging,
    setDragging,
    replace: (next) => {
      resolve(next);
      onSaved(next);
      setDrafts({});
      session.replace(next.document);
    },
  };

  const takeTheirs = async (theirs: StoredBuild) => {
    const copy = await builds.importText(
      JSON.stringify({ ...document, name: `${document.name.slice(0, 100)} (my changes)` }),
    );
    toast(`Yours is kept as “${copy.name}” in the workshop.`);
    editor.replace(theirs);
  };
  const keepMine = (theirs: StoredBuild) => {
    resolve(theirs);
    setSaved(theirs);
    toast(`Yours goes on; revision ${theirs.revision} stays in History.`);
  };

  return (
    <EditorContext value={editor}>
      <KindContext value={findKind(document.kind)}>
        <FieldsContext value={fields}>{children}</FieldsContext>
      </KindContext>
      {save.is === 'conflict' && (
        <ConflictDialog
          mine={document}
          theirs={save.theirs}
          onMine={() => keepMine(save.theirs)}
          onTheirs={() => takeTheirs(save.theirs)}
        />
      )}
    </EditorContext>
  );
}

/** A step back or forward puts its own value into the field in hand; what was refused elsewhere stays as typed. */
function refusedOnly(drafts: Readonly<Record<string, Draft>>): Readonly<Record<string, Draft>> {
  return Object.fromEntries(Object.entries(drafts).filter(([, draft]) => draft.message !== undefined));
}

function opening(build: StoredBuild): Compared | undefined {
  const planned = planBuild(build.document);
  return planned.ok ? { label: `revision ${build.revision}`, plan: planned.plan } : undefined;
}
