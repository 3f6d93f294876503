import { shopItemFaults } from '@larchwood/core';
import { isShopList } from '@larchwood/format';
import { openWindows, WINDOW } from '../parts/windows';
import type { Unsent } from './shopBook';

const PREFIX = 'larchwood:lists:';
const OWN = PREFIX + WINDOW;

/** Keeps in this browser what has not reached the server; each window its own. */
export function keepUnsent(unsent: readonly Unsent[]): void {
  try {
    if (unsent.length === 0) localStorage.removeItem(OWN);
    else localStorage.setItem(OWN, JSON.stringify(unsent));
  } catch {
    // A full or blocked store keeps nothing: it is in memory only, and sending goes on.
  }
}

/** What windows that are closed now have left. It is out of their places then: whoever takes it keeps it. */
export async function takeLeft(): Promise<readonly Unsent[]> {
  const keys = keysOf();
  if (keys.length === 0) return [];
  const open = await openWindows();
  return keys.filter((key) => !open.has(key.slice(PREFIX.length))).flatMap(takenFrom);
}

function keysOf(): readonly string[] {
  try {
    return Object.keys(localStorage).filter((key) => key.startsWith(PREFIX) && key !== OWN);
  } catch {
    return [];
  }
}

function takenFrom(key: string): readonly Unsent[] {
  try {
    const value = JSON.parse(localStorage.getItem(key) ?? '[]') as unknown;
    localStorage.removeItem(key);
    return Array.isArray(value) ? value.filter(isUnsent) : [];
  } catch {
    return [];
  }
}

function isUnsent(value: unknown): value is Unsent {
  const { list, id, item, base, saveIds } = (value ?? {}) as Partial<Unsent>;
  return (
    typeof list === 'string' &&
    isShopList(list) &&
    typeof id === 'string' &&
    (item === undefined || shopItemFaults(list, id, item).length === 0) &&
    Number.isInteger(base?.revision) &&
    Array.isArray(saveIds)
  );
}
