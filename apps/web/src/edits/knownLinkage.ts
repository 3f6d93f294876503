import type { Linkage, Steering } from '@larchwood/core';

/** The linkage of the open build: what it is, how it stands, and how its dimensions are held. */
export interface KnownLinkage {
  readonly linkage: Linkage;
  readonly held: Readonly<Record<string, number>>;
  /** None where what is held makes no linkage. */
  readonly steering: Steering | undefined;
}
