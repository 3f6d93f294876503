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
  for (let at = 0; at < a.length; at += 1)
    if (!Object.is(a[at], b[at]) && !sameContent(a[at], b[at])) return false;
  return true;
}

/**
 * `now`, with each part that holds what it held `before` taken from there, so that what has not changed is the same object.
 * Nothing is altered: what takes a part from before is copied.
 *
 * @param settled what has come through here already, and need not be looked into again
 */
export function shared<T>(before: unknown, now: T, settled: WeakSet<object> = new WeakSet()): T {
  return (isObject(now) && now !== before ? sharedObject(before, now, settled) : now) as T;
}

function sharedObject(before: unknown, now: object, settled: WeakSet<object>): object {
  // Of numbers there is nothing to take but the whole: sooner compared than looked up.
  if (Array.isArray(now) && typeof now[0] === 'number')
    return Array.isArray(before) && sameLists(before, now) ? before : now;
  if (settled.has(now)) return now;
  const found = sharedParts(before, now, settled);
  settled.add(found);
  return found;
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
  let whole = now.length === before.length;
  let parts: unknown[] | undefined;
  for (let at = 0; at < now.length; at += 1) {
    const [had, value] = [before[at], now[at]];
    if (Object.is(had, value)) continue;
    const part = isObject(value) ? sharedObject(had, value, settled) : value;
    if (part !== value) (parts ??= now.slice())[at] = part;
    if (part !== had) whole = false;
  }
  return whole ? before : (parts ?? now);
}

function sharedRecord(
  before: Record<string, unknown>,
  now: Record<string, unknown>,
  settled: WeakSet<object>,
): Record<string, unknown> {
  let whole = true;
  let count = 0;
  let parts: Map<string, unknown> | undefined;
  // Plain data: every key is its own.
  for (const key in now) {
    count += 1;
    const value = now[key];
    const had = ownPart(before, key);
    if (Object.is(had, value)) {
      if (value === undefined && !Object.hasOwn(before, key)) whole = false;
      continue;
    }
    const part = isObject(value) ? sharedObject(had, value, settled) : value;
    if (part !== value) (parts ??= new Map(Object.entries(now))).set(key, part);
    if (part !== had) whole = false;
  }
  if (whole && count === Object.keys(before).length) return before;
  // By entries: a key such as `__proto__` is a key like any other.
  return parts ? (Object.fromEntries(parts) as Record<string, unknown>) : now;
}

/** What a record itself has by a key: looking that up takes a while, and most keys are no record's but its own. */
const ownPart = (record: Record<string, unknown>, key: string): unknown =>
  key in EVERY_RECORD && !Object.hasOwn(record, key) ? undefined : record[key];
const EVERY_RECORD: object = Object.prototype;

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

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
