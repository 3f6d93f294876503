/** Either a value, or a message in words for the person who typed. Nothing here throws at bad input. */
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly message: string };

export const success = <T>(value: T): Result<T> => ({ ok: true, value });
export const failure = (message: string): Result<never> => ({ ok: false, message });
