/** Version 5 knew no steering: without one a build begins with what builders of its kind use. */
export const fromVersion5 = (value: Record<string, unknown>): Record<string, unknown> => ({
  ...value,
  version: 6,
});
