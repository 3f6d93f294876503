import { shopItemFaults } from '@larchwood/core';
import { readShopText, type Fault, type Shop, type ShopList } from '@larchwood/format';

/** Files of a workshop's zip that hold lists. */
export const LIST_FILES = ['riders.json', 'fixtures.json', 'shop.json'] as const;

/** An item of a list, with the file that it stands in. */
export interface ListItem {
  readonly file: (typeof LIST_FILES)[number];
  readonly list: ShopList;
  readonly id: string;
  readonly value: unknown;
}

/** What the lists of a zip hold that is not here yet. */
export interface Lists {
  readonly faults: readonly Fault[];
  /** So many items were found, here already or not. */
  readonly found: number;
  /** By the ids that they had. */
  readonly items: readonly ListItem[];
  /** Riders and fixtures: by their names. */
  readonly named: readonly ListItem[];
  /** Names of riders and fixtures that are here already. */
  readonly left: readonly string[];
}

/**
 * Reads the lists of a workshop's zip. Never throws: every fault names its file and place.
 * @param here the lists of this workshop
 */
export function readLists(texts: Readonly<Record<string, string | undefined>>, here: Shop): Lists {
  const faults: Fault[] = [];
  const named = (['riders', 'fixtures'] as const).flatMap((list) => {
    const file = `${list}.json` as const;
    const read = arrayIn(texts[file]);
    if (typeof read === 'string') faults.push({ path: file, message: read });
    else
      read.forEach((value, place) =>
        shopItemFaults(list, 'item', value).forEach(({ path, message }) =>
          faults.push({ path: `${file}/${place}${path === '/' ? '' : path}`, message }),
        ),
      );
    return typeof read === 'string' ? [] : read.map((value): ListItem => ({ file, list, id: '', value }));
  });
  const read = readShopText(texts['shop.json'] ?? '{}');
  if (!read.ok)
    faults.push(...read.faults.map(({ path, message }) => ({ path: `shop.json${path}`, message })));
  const items = (read.ok ? Object.entries(read.shop) : []).flatMap(([list, values]) =>
    Object.entries(values).map(([id, value]): ListItem => ({
      file: 'shop.json',
      list: list as ShopList,
      id,
      value,
    })),
  );
  const found = named.length + items.length;
  if (faults.length > 0) return { faults, found, items: [], named: [], left: [] };
  const known = new Set(
    (['riders', 'fixtures'] as const).flatMap((list) =>
      Object.values(here[list]).map((value) => keyOf({ list, value })),
    ),
  );
  return {
    ...{ faults, found },
    items: items.filter(({ list, id }) => !Object.hasOwn(here[list], id)),
    named: named.filter((item) => !known.has(keyOf(item))),
    left: named.filter((item) => known.has(keyOf(item))).map(({ value }) => (value as Named).name),
  };
}

interface Named {
  readonly name: string;
  readonly school?: string;
}
/** One rider a name, and one fixture a school and name. */
function keyOf({ list, value }: Pick<ListItem, 'list' | 'value'>): string {
  const { school = '', name } = value as Named;
  return JSON.stringify([list, school, name.trim()]);
}

/** The entries of a file that holds an array, none where there is no such file; else what is wrong with it. */
function arrayIn(text: string | undefined): readonly unknown[] | string {
  if (text === undefined) return [];
  try {
    const value: unknown = JSON.parse(text);
    return Array.isArray(value) ? value : 'This file holds a list, in square brackets.';
  } catch {
    return 'This is not JSON.';
  }
}

/** An item with the builds that it names replaced by what they have become; others stay as they are. */
export function withBuilds(value: unknown, becomes: ReadonlyMap<string, string>): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, of]) => [
      key,
      key === 'build' && typeof of === 'string' ? (becomes.get(of) ?? of) : withBuilds(of, becomes),
    ]),
  );
}
