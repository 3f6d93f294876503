/** Version 10 knew neither how long an axle is, nor plug welds, nor plates that are welded in, nor several people at work, nor seams ground flush. */
export const fromVersion10 = (value: Record<string, unknown>): Record<string, unknown> => ({
  ...value,
  version: 11,
});
