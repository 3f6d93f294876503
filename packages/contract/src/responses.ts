import type { Role } from './requests.js';
import type { BuildDocument, Fault, ShopItems, ShopList } from '@larchwood/format';

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
  /** First save of the sitting, and the last; ISO 8601. */
  readonly beganAt: string;
  readonly savedAt: string;
  readonly reason: string;
  /** What the builder calls it. */
  readonly name?: string;
  /** What was made of it: printed, cut, compared with. */
  readonly usedFor?: readonly string[];
  /** Who saved it, as they call themselves. */
  readonly by?: string;
}
/** Told to open windows, by server-sent event: what the newest revision of a build is, or that it was deleted. */
export type BuildNotice =
  | { readonly id: string; readonly revision: number; readonly saveId?: string; readonly by?: string }
  | { readonly id: string; readonly deleted: true };
/** Told to open windows: an item of the workshop's lists was kept or taken off, or several were. */
export interface ShopNotice {
  readonly shop: ShopList | 'several';
  readonly saveId?: string;
}
export type ChangeNotice = BuildNotice | ShopNotice;
export interface StoredRevision extends RevisionSummary {
  readonly document: BuildDocument;
}
/** An item of one of the workshop's lists. */
export interface StoredItem<T = ShopItems[ShopList]> {
  /** Counts up with every change of it; also the token for optimistic locking. */
  readonly revision: number;
  /** The save that made it, where it named itself. */
  readonly saveId?: string;
  readonly item: T;
}
/** The workshop's lists, item by item. */
export type StoredShop = { readonly [L in ShopList]: Readonly<Record<string, StoredItem<ShopItems[L]>>> };
/**
 * Every refusal: what is wrong in words, faults by path, and on a conflict (409) the build or the item of a list as it stands
 * on the server; `null` is an item that was taken off.
 */
export interface Problem {
  readonly status: number;
  readonly message: string;
  readonly faults?: readonly Fault[];
  readonly current?: StoredBuild;
  readonly currentItem?: StoredItem | null;
}
/** Whether who asks is let in, and as what. */
export interface DoorState {
  /** Open to the shop's network: then everybody needs a passcode. */
  readonly open: boolean;
  /** Left out while not let in. */
  readonly role?: Role;
}
export interface BackupSummary {
  readonly name: string;
  /** ISO 8601. */
  readonly madeAt: string;
  readonly reason: 'daily' | 'by-hand' | 'before-update' | 'before-restore';
  /** Bytes. */
  readonly size: number;
}
/** How the workshop's file is kept, and who may come in. */
export interface Keeping {
  readonly backups: readonly BackupSummary[];
  readonly thinning: boolean;
  /** Roles that have a passcode. */
  readonly passcodes: readonly Role[];
  /** Where other machines find this server; empty while it serves this machine alone. */
  readonly addresses: readonly string[];
  /** Over an encrypted connection. */
  readonly encrypted: boolean;
}
/** What a workshop's zip brought in, and what it left because it was there. */
export interface TakenIn {
  readonly builds: number;
  readonly riders: number;
  readonly profiles: number;
  /** Dies, logged bends, tools, stock lengths and off-cuts. */
  readonly items: number;
  readonly left: readonly string[];
}

/** What a cutting service does, and on which terms. Lengths mm, angles degrees. */
export interface CuttingTerms {
  readonly name: string;
  /** It cuts nothing and takes no money: so many seconds are a day to it. Left out by a real one. */
  readonly standIn?: { readonly day: number };
  /** Largest and smallest outer size of a tube. */
  readonly across: readonly [number, number];
  readonly length: readonly [number, number];
  readonly sheet: readonly [number, number];
  readonly smallestHole: number;
  readonly smallestWeb: number;
  /** Sharpest angle between an end and its tube. */
  readonly sharpest: number;
  /** Thinnest and thickest wall of tubes, and plate, by material. */
  readonly materials: Readonly<
    Record<string, { readonly tube?: readonly [number, number]; readonly plate?: readonly [number, number] }>
  >;
  /** Of a length, to either side. */
  readonly tolerance: number;
  readonly edges: string;
}
/** What a refusal is about, so that it can be cured where it comes from. */
export type RefusalAbout = 'section' | 'length' | 'holes' | 'ends' | 'material' | 'shape' | 'outline';
export interface Refusal {
  readonly about: RefusalAbout;
  readonly text: string;
}
export interface QuotedPiece {
  readonly piece: string;
  readonly mark: string;
  /** None where it is refused. */
  readonly price?: number;
  readonly refusals: readonly Refusal[];
}
export interface Quote {
  readonly pieces: readonly QuotedPiece[];
  /** Of all that is not refused. */
  readonly price: number;
  /** Days until it is sent. */
  readonly days: number;
}
/** How far an order is. */
export type OrderState = 'ordered' | 'cutting' | 'sent';
export interface PlacedOrder {
  readonly id: string;
  readonly build: string;
  readonly state: OrderState;
  /** `2026-11-29`; when it was ordered, and when it is promised to be sent. */
  readonly on: string;
  readonly due: string;
  readonly price: number;
  readonly pieces: readonly { readonly piece: string; readonly mark: string; readonly price: number }[];
}
