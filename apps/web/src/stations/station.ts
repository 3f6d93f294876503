import type { ComponentType } from 'react';
import type { Finding, Plan } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

/** The parts of the work, in their order. */
export const GROUPS = ['Plan', 'Frame', 'Shop', 'Record'] as const;

/** What the state of a station is seen from: a plan, or as much of one. */
export interface Seen {
  readonly findings: readonly Finding[];
  readonly cuts: Pick<Plan['cuts'], 'length'>;
  readonly fixture: Pick<Plan['fixture'], 'refused'>;
}

/** A station: where it stands in the work, its view, and when there is nothing in it yet. */
export interface StationEntry {
  /** Its route, and what findings say where they belong. */
  readonly id: string;
  readonly name: string;
  readonly group: (typeof GROUPS)[number];
  /** Its view, fetched when it is first gone to. */
  readonly load: () => Promise<{ readonly Component: ComponentType }>;
  /** Whether nothing has been begun in it. No plan: the stance makes no vehicle. */
  readonly empty: (document: BuildDocument, plan: Seen | undefined) => boolean;
  /** A record is never settled: the shelf does not show it. */
  readonly isRecord?: true;
}
