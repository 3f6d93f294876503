import equal from 'fast-deep-equal';
import type { ShopItems, ShopList } from './shopSchema.js';

type Item = ShopItems[ShopList];
type Fields = Readonly<Record<string, unknown>>;

/** What comes of two changes of one item: both together, or the fields that both changed, and differently. */
export type MergedItem<T extends Item = Item> =
  | { readonly ok: true; readonly item: T | undefined }
  | {
      readonly ok: false;
      readonly clashes: readonly string[];
      /** With mine where both changed, and theirs where only they did. */
      readonly mine: T | undefined;
    };

/**
 * Puts two changes of one item of a workshop's list together, field by field; undefined stands for an item that is not on
 * the list. One who takes it off and one who changes it are asked: every field clashes then.
 * @param base the item before either changed it
 */
export function mergedItem<T extends Item>(
  base: T | undefined,
  mine: T | undefined,
  theirs: T | undefined,
): MergedItem<T> {
  if (equal(mine, theirs) || equal(base, theirs)) return { ok: true, item: mine };
  if (equal(base, mine)) return { ok: true, item: theirs };
  const [was, here, there] = [fieldsOf(base), fieldsOf(mine), fieldsOf(theirs)];
  if (here === undefined || there === undefined)
    return { ok: false, clashes: Object.keys(here ?? there ?? {}), mine };
  const fields = [...new Set([...Object.keys(here), ...Object.keys(there)])];
  const isMine = (field: string) => !equal(here[field], was?.[field]);
  const clashes = fields.filter(
    (field) => isMine(field) && !equal(there[field], was?.[field]) && !equal(here[field], there[field]),
  );
  const entries = fields.flatMap((field) => {
    const value = isMine(field) ? here[field] : there[field];
    return value === undefined ? [] : [[field, value] as const];
  });
  const item = Object.fromEntries(entries) as T;
  return clashes.length > 0 ? { ok: false, clashes, mine: item } : { ok: true, item };
}

/** Whether two items say the same. */
export const sameItem = (one: unknown, other: unknown): boolean => equal(one, other);

const fieldsOf = (item: Item | undefined): Fields | undefined => item as Fields | undefined;
