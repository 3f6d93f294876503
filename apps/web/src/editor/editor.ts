import { createContext, useContext } from 'react';
import { useStore, type StoreApi } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Kind, Plan, Refusal, Result } from '@larchwood/core';
import type { BuildDocument, Changes } from '@larchwood/format';
import type { StoredBuild } from '@larchwood/contract';
import type { SaveState } from './autosave';

/** What was typed and cannot be taken yet: kept until it can, or until it is let go. */
export interface Draft {
  readonly text: string;
  /** Shown once the field is left. */
  readonly message?: string;
}

export interface Compared {
  readonly label: string;
  /** Of another build; none of a state of this one. */
  readonly build?: string;
  readonly document: BuildDocument;
  readonly plan: Plan;
}

/** The open build: its document, the last good plan, and how to change it. */
export interface Editor {
  readonly build: StoredBuild;
  readonly document: BuildDocument;
  /** The document at the moment of asking, for what is done on a press and need not be drawn. */
  readonly present: () => BuildDocument;
  readonly plan: Plan | undefined;
  /** Why the document as it stands has no plan; empty when it has one. */
  readonly refusals: readonly Refusal[];
  /** Takes the change if a vehicle comes of it; else says why not, at the place that `at` names when it can. */
  readonly edit: (
    key: string,
    change: (document: BuildDocument) => BuildDocument,
    at?: string,
  ) => Result<true>;
  /** Ends a run of joined edits. */
  readonly settle: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly drafts: Readonly<Record<string, Draft>>;
  readonly setDraft: (key: string, draft: Draft | undefined) => void;
  readonly save: SaveState;
  readonly compared: Compared | undefined;
  readonly compareWith: (compared: Compared | undefined) => void;
  /** The dimension under the pointer or in hand, lit on the drawing and in the ledger. */
  readonly active: string | undefined;
  readonly setActive: (id: string | undefined) => void;
  /** The piece in hand, with its end where one is meant: `downTube`, `seatstays:left/end`. */
  readonly piece: string | undefined;
  readonly setPiece: (id: string | undefined) => void;
  /** True while a point of the drawing is held by the pointer. */
  readonly dragging: boolean;
  readonly setDragging: (dragging: boolean) => void;
  /** Takes in what somebody else changed since `base`; undefined where both changed the same. */
  readonly adopt: (theirs: StoredBuild, base: BuildDocument) => Changes | undefined;
  /** Goes on with a build as the server has it now. */
  readonly replace: (build: StoredBuild) => void;
}

export type EditorStore = StoreApi<Editor>;
/** The store of the open build, or one that follows it more calmly. */
export const EditorContext = createContext<EditorStore | undefined>(undefined);

export function useEditorStore(): EditorStore {
  const store = useContext(EditorContext);
  if (!store) throw new Error('useEditor works inside an open build only.');
  return store;
}

/** What is named of the open build: whoever asks is drawn again when one of these changes, and at nothing else. */
export function useEditor<K extends keyof Editor>(...keys: readonly K[]): Pick<Editor, K> {
  return useStore(
    useEditorStore(),
    useShallow((editor) => Object.fromEntries(keys.map((key) => [key, editor[key]])) as Pick<Editor, K>),
  );
}

/** The open build's kind of vehicle, which never changes. */
export const KindContext = createContext<Kind | undefined>(undefined);
export const useKind = (): Kind | undefined => useContext(KindContext);

/** Units that fields show and read their lengths in, where they are not the build's. */
export const UnitsContext = createContext<BuildDocument['units'] | undefined>(undefined);

export function useUnits(): BuildDocument['units'] {
  const own = useContext(UnitsContext);
  const units = useStore(useEditorStore(), ({ document }) => document.units);
  return own ?? units;
}

/** What was typed in a field and cannot be taken yet; and how to put it down. */
export function useDraft(
  field: string,
): Pick<Editor, 'setDraft' | 'settle'> & { readonly draft: Draft | undefined } {
  const draft = useStore(useEditorStore(), ({ drafts }) => drafts[field]);
  return { draft, ...useEditor('setDraft', 'settle') };
}

/** The member that a reference to a piece, or to one of its ends, belongs to. */
export const memberOf = (reference: string | undefined): string | undefined => reference?.split(/[:/]/)[0];
