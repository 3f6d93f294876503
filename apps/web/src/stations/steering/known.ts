import type { KnownLinkage } from '../../edits/knownLinkage';
import type { DimensionSource } from '../../ledger/source';

/** The linkage of the open build, with the source that its ledger shows and changes. */
export interface Known extends KnownLinkage {
  readonly source: DimensionSource;
}
