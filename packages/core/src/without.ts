/** A copy of a record without some of its keys. */
export const without = <T extends object, K extends PropertyKey>(
  record: T,
  ...keys: readonly K[]
): Omit<T, K> =>
  Object.fromEntries(
    Object.entries(record).filter(([key]) => !(keys as readonly PropertyKey[]).includes(key)),
  ) as Omit<T, K>;
