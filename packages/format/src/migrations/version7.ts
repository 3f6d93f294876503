/** Version 7 knew no order of work: without one nothing of a build is different. */
export const fromVersion7 = (value: Record<string, unknown>): Record<string, unknown> => ({
  ...value,
  version: 8,
});
