/**
 * Whether two values hold the same: plain data is compared part by part, anything else (functions, instances) by identity.
 * What is the same object is not looked into.
 */
export function sameContent(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a))
    return Array.isArray(b) && a.length === b.length && a.every((each, at) => sameContent(each, b[at]));
  if (ArrayBuffer.isView(a))
    return ArrayBuffer.isView(b) && sameNumbers(a as Float64Array, b as Float64Array);
  if (!isPlain(a) || !isPlain(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && sameContent(a[key], b[key]))
  );
}

/**
 * `now`, with each part that holds what it held `before` taken from there, so that what has not changed is the same object.
 */
export function shared<T>(before: unknown, now: T): T {
  if (Object.is(before, now)) return now;
  if (Array.isArray(now) && Array.isArray(before)) {
    const parts = now.map((each, at) => shared(before[at], each) as unknown);
    return same(parts, before) ? (before as T) : (parts as T);
  }
  if (isPlain(now) && isPlain(before)) {
    // By entries: a key such as `__proto__` is a key like any other.
    const had = (key: string): unknown => (Object.hasOwn(before, key) ? before[key] : undefined);
    const parts = Object.entries(now).map(([key, part]) => [key, shared(had(key), part) as unknown] as const);
    return parts.length === Object.keys(before).length &&
      parts.every(([key, part]) => Object.hasOwn(before, key) && Object.is(part, before[key]))
      ? (before as T)
      : (Object.fromEntries(parts) as T);
  }
  return sameContent(before, now) ? (before as T) : now;
}

const same = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((each, at) => Object.is(each, b[at]));

const sameNumbers = (a: Float64Array, b: Float64Array): boolean => {
  if (a.length !== b.length) return false;
  for (let at = 0; at < a.length; at += 1) if (!Object.is(a[at], b[at])) return false;
  return true;
};

const isPlain = (value: unknown): value is Record<string, unknown> => {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const prototype: unknown = Object.getPrototypeOf(value);
  return prototype === Object.prototype || prototype === null;
};
