/** Version 11 knew no solid bars: a round section whose wall is half of it. */
export const fromVersion11 = (value: Record<string, unknown>): Record<string, unknown> => ({
  ...value,
  version: 12,
});
