import { isRecord } from './fields.js';

/** Version 3 knew straight tubes without groups, and plates in the side view's plane only. */
export function fromVersion3(value: Record<string, unknown>): Record<string, unknown> {
  const { frame } = value;
  if (!isRecord(frame)) return { ...value, version: 4 };
  const each = (items: unknown, more: Record<string, unknown>) =>
    Array.isArray(items)
      ? items.map((item: unknown) => (isRecord(item) ? { ...more, ...item } : item))
      : items;
  return {
    ...value,
    version: 4,
    frame: {
      groups: [],
      ...frame,
      members: each(frame.members, { bends: [], turn: 0 }),
      plates: each(frame.plates, { plane: 'side', tilt: 0, turn: 0, bendLines: [] }),
    },
  };
}
