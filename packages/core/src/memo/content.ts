/**
 * Whether two values hold the same: plain data is compared part by part, anything else (functions, instances) by identity.
 * What is the same object is not looked into.
 */
export function sameContent(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a))
    return Array.isArray(b) && sameLists(a as readonly unknown[], b as readonly unknown[]);
  if (ArrayBuffer.isView(a))
    return ArrayBuffer.isView(b) && sameNumbers(a as Float64Array, b as Float64Array);
  if (!isPlain(a) || !isPlain(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => Object.hasOwn(b, key) && sameContent(a[key], b[key]))
  );
}

function sameLists(a: readonly unknown[], b: readonly unknown[]): boolean {
  if (a.length !== b.length) return false;
  for (let at = 0; at < a.length; at += 1) if (!sameContent(a[at], b[at])) return false;
  return true;
}

/**
 * `now`, with each part that holds what it held `before` taken from there, so that what has not changed is the same object.
 * Nothing is altered: what takes a part from before is copied.
 *
 * @param settled what has come through here already, and need not be looked into again
 */
export function shared<T>(before: unknown, now: T, settled: WeakSet<object> = new WeakSet()): T {
  if (typeof now !== 'object' || now === null) return now;
  if (Object.is(before, now) || settled.has(now)) return now;
  const found = sharedParts(before, now, settled);
  settled.add(found);
  return found as T;
}

function sharedParts(before: unknown, now: object, settled: WeakSet<object>): object {
  if (Array.isArray(now))
    return Array.isArray(before)
      ? sharedList(before as readonly unknown[], now as readonly unknown[], settled)
      : now;
  if (isPlain(now)) return isPlain(before) ? sharedRecord(before, now, settled) : now;
  return sameContent(before, now) ? (before as object) : now;
}

function sharedList(
  before: readonly unknown[],
  now: readonly unknown[],
  settled: WeakSet<object>,
): readonly unknown[] {
  // Of numbers there is nothing to take but the whole.
  if (typeof now[0] === 'number') return sameContent(before, now) ? before : now;
  let whole = now.length === before.length;
  let parts: unknown[] | undefined;
  for (let at = 0; at < now.length; at += 1) {
    const part = shared(before[at], now[at], settled);
    if (!Object.is(part, now[at])) (parts ??= now.slice())[at] = part;
    if (!Object.is(part, before[at])) whole = false;
  }
  return whole ? before : (parts ?? now);
}

function sharedRecord(
  before: Record<string, unknown>,
  now: Record<string, unknown>,
  settled: WeakSet<object>,
): Record<string, unknown> {
  const keys = Object.keys(now);
  let whole = keys.length === Object.keys(before).length;
  let parts: Map<string, unknown> | undefined;
  for (const key of keys) {
    const had = Object.hasOwn(before, key) ? before[key] : undefined;
    const part = shared(had, now[key], settled);
    if (!Object.is(part, now[key])) (parts ??= new Map(Object.entries(now))).set(key, part);
    if (!Object.is(part, had) || !Object.hasOwn(before, key)) whole = false;
  }
  // By entries: a key such as `__proto__` is a key like any other.
  return whole ? before : parts ? (Object.fromEntries(parts) as Record<string, unknown>) : now;
}

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
