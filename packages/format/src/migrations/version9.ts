/** Version 9 knew no orders at a cutting service: without one nothing of a build is different. */
export const fromVersion9 = (value: Record<string, unknown>): Record<string, unknown> => ({
  ...value,
  version: 10,
});
