import { createContext, useContext, useMemo } from 'react';
import {
  findKind,
  releases,
  stanceOf,
  type Band,
  type Release,
  type Result,
  type Solvable,
} from '@larchwood/core';
import { exchangeHeld, holdDimension } from '../edits/stance';
import { useEditor } from '../editor/editor';

/** Values by dimension id, or nothing where none can be. */
export type Preview = Readonly<Record<string, number>> | undefined;

/** Whose dimensions a ledger shows: how they stand, and how one is held or let go. */
export interface DimensionSource {
  /** Begins the names of its fields. */
  readonly id: string;
  readonly solvable: Solvable;
  readonly values: Readonly<Record<string, number>>;
  readonly held: Readonly<Record<string, number>>;
  readonly bands: Readonly<Record<string, Band>>;
  /** Told beside when one is exchanged for another. */
  readonly readings: readonly string[];
  readonly hold: (id: string, value: number) => Result<true>;
  readonly exchange: (id: string, value: number, letGo: string) => Result<true>;
  readonly offers: (id: string) => readonly Release[];
  readonly preview: (id: string, value: number, letGo: string) => Preview;
}

/** Dimensions of another subject than the stance. */
export const SourceContext = createContext<DimensionSource | undefined>(undefined);

/** The dimensions that are shown here: the stance's, unless another subject's stand around. */
export function useSource(): DimensionSource | undefined {
  const other = useContext(SourceContext);
  const { document, plan, edit } = useEditor('document', 'plan', 'edit');
  const own = useMemo((): DimensionSource | undefined => {
    const kind = findKind(document.kind);
    if (other || !kind) return undefined;
    return {
      id: 'stance',
      solvable: kind,
      values: plan?.stance.values ?? NONE,
      held: document.stance.held,
      bands: plan?.stance.bands ?? NO_BANDS,
      readings: kind.readings,
      hold: (id, value) => edit(`stance.held.${id}`, holdDimension(id, value), id),
      exchange: (id, value, letGo) => edit(`exchange.${id}`, exchangeHeld(id, value, letGo), id),
      offers: (id) => (plan ? releases(kind, plan.stance.state, plan.stance.held, id) : []),
      preview: (id, value, letGo) => {
        const after = stanceOf(exchangeHeld(id, value, letGo)(document));
        return after.ok ? after.stance.values : undefined;
      },
    };
  }, [document, plan, edit, other]);
  return other ?? own;
}
const NONE: Readonly<Record<string, number>> = {};
const NO_BANDS: Readonly<Record<string, Band>> = {};
