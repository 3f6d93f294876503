/** Version 6 knew no holes, no bending and no bars: without them nothing of a build is different. */
export const fromVersion6 = (value: Record<string, unknown>): Record<string, unknown> => ({
  ...value,
  version: 7,
});
