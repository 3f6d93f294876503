import type { BuildDocument, Fault, Profile, Rider } from '@larchwood/format';

export interface BuildSummary {
  readonly id: string;
  readonly name: string;
  readonly kind: string;
  /** Number of the newest revision; also the token for optimistic locking. */
  readonly revision: number;
  /** ISO 8601. */
  readonly savedAt: string;
}
export interface StoredBuild extends BuildSummary {
  /** The save that made it, where it named itself. */
  readonly saveId?: string;
  readonly document: BuildDocument;
}
export interface RevisionSummary {
  readonly revision: number;
  readonly savedAt: string;
  readonly reason: string;
}
export interface StoredRevision extends RevisionSummary {
  readonly document: BuildDocument;
}
/** A rider of the workshop's list, for any build. */
export interface StoredRider {
  readonly id: number;
  readonly rider: Rider;
}
/** A fixture of the workshop's list, for any build. */
export interface StoredProfile {
  readonly id: number;
  readonly profile: Profile;
}
/** Every refusal: what is wrong in words, faults by path, and on a conflict (409) the build as it stands on the server. */
export interface Problem {
  readonly status: number;
  readonly message: string;
  readonly faults?: readonly Fault[];
  readonly current?: StoredBuild;
}
