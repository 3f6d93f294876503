import type { ComponentType } from 'react';
import { begunParts, type Finding } from '@larchwood/core';
import type { BuildDocument, Part } from '@larchwood/format';

/** The parts of the work, in their order. */
export const GROUPS = ['Plan', 'Frame', 'Shop', 'Record'] as const;

/** What the state of a station is seen from: a plan, or as much of one. */
export interface Seen {
  readonly findings: readonly Finding[];
}

/** Whether something was settled in one of these parts: a build just made is as its starting set has it. */
export const isBegun = (document: BuildDocument, ...parts: readonly Part[]): boolean =>
  parts.some((part) => begunParts(document).has(part));

/** Whether a step of these kinds is ticked, by how their ids begin. */
export const isDoneIn = ({ done = [] }: BuildDocument, ...kinds: readonly string[]): boolean =>
  done.some(({ step, done: ticked }) => ticked && kinds.some((kind) => step.startsWith(kind)));

/** A station: where it stands in the work, its view, and when there is nothing in it yet. */
export interface StationEntry {
  /** Its route, and what findings say where they belong. */
  readonly id: string;
  readonly name: string;
  readonly group: (typeof GROUPS)[number];
  /** Its view, fetched when it is first gone to. */
  readonly load: () => Promise<{ readonly Component: ComponentType }>;
  /** Whether nothing has been settled in it. */
  readonly empty: (document: BuildDocument) => boolean;
  /** A record is never settled: the shelf does not show it. */
  readonly isRecord?: true;
}
