/**
 * Takes a part of some work from before where all that it is made of holds the same, else makes it.
 * @param key names the part within the work
 * @param inputs all that `make` reads
 */
export type Keep = <T>(key: string, inputs: readonly unknown[], make: () => T) => T;

/** Nothing is kept: every part is made. */
export const keepNothing: Keep = (_key, _inputs, make) => make();
