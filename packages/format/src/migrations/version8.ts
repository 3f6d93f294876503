/** Version 8 knew no measuring list: without one nothing of a build is different. */
export const fromVersion8 = (value: Record<string, unknown>): Record<string, unknown> => ({
  ...value,
  version: 9,
});
