const KEY = 'larchwood:at work';

/** Who works at this browser, as they call themselves; nothing where they said nothing. */
export function whoIsAtWork(): { readonly by?: string } {
  try {
    const by = localStorage.getItem(KEY)?.trim();
    return by ? { by } : {};
  } catch {
    return {};
  }
}

/** @returns false where the browser keeps nothing */
export function sayWhoIsAtWork(name: string): boolean {
  try {
    localStorage.setItem(KEY, name.trim());
    return true;
  } catch {
    return false;
  }
}
