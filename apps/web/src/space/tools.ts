import { createContext, useContext } from 'react';
import type { Spot } from '@larchwood/core';

export type ToolId = 'pick' | 'tube';
export type Shown = 'side' | 'plan' | 'front' | 'space';

/** What is in hand at the Tubes station, shared by sheet, space and ledger. */
export interface Tools {
  readonly tool: ToolId;
  readonly setTool: (tool: ToolId) => void;
  /** Pieces or members in hand, the first one last picked. */
  readonly picked: readonly string[];
  readonly pick: (piece: string | undefined, more?: boolean) => void;
  /** Where the tube being drawn begins. */
  readonly begun: Spot | undefined;
  /** A place was pressed while a tube is drawn. */
  readonly place: (spot: Spot) => void;
  readonly section: string;
  readonly setSection: (section: string) => void;
  readonly message: string;
}

export const ToolsContext = createContext<Tools | undefined>(undefined);

export function useTools(): Tools {
  const tools = useContext(ToolsContext);
  if (!tools) throw new Error('useTools works at the Tubes station only.');
  return tools;
}
