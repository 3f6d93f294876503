import { createContext, useContext } from 'react';
import type { Kind, Plan, Refusal, Result } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import type { StoredBuild } from '@larchwood/contract';
import type { SaveState } from './useAutosave';

/** What was typed and cannot be taken yet: kept until it can, or until it is let go. */
export interface Draft {
  readonly text: string;
  /** Shown once the field is left. */
  readonly message?: string;
}

export interface Compared {
  readonly label: string;
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
  /** Goes on with a build as the server has it now. */
  readonly replace: (build: StoredBuild) => void;
}

export const EditorContext = createContext<Editor | undefined>(undefined);

/** What fields need of the editor. Apart from it, so that an edit elsewhere does not draw every field again. */
export type Fields = Pick<Editor, 'drafts' | 'setDraft' | 'settle'> & {
  readonly units: BuildDocument['units'];
};
export const FieldsContext = createContext<Fields | undefined>(undefined);

/** The open build's kind of vehicle, which never changes. */
export const KindContext = createContext<Kind | undefined>(undefined);
export const useKind = (): Kind | undefined => useContext(KindContext);

export function useFields(): Fields {
  const fields = useContext(FieldsContext);
  if (!fields) throw new Error('useFields works inside an open build only.');
  return fields;
}

export function useEditor(): Editor {
  const editor = useContext(EditorContext);
  if (!editor) throw new Error('useEditor works inside an open build only.');
  return editor;
}

/** The member that a reference to a piece, or to one of its ends, belongs to. */
export const memberOf = (reference: string | undefined): string | undefined => reference?.split(/[:/]/)[0];
