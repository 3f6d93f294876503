import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { troubleOf } from './database/trouble.js';

/** The workshop's file that the environment names, or the usual one. */
export const databaseFileOf = (env: Readonly<Record<string, string | undefined>>): string =>
  resolve(
    env.LARCHWOOD_DATABASE || fileURLToPath(new URL('../../../data/larchwood.sqlite', import.meta.url)),
  );

/** Ends a command that could not go on: in words and with an exit code; only what nobody foresaw shows its trace. */
export function failed(error: unknown): never {
  const trouble = troubleOf(error);
  console.error(trouble === undefined ? error : trouble.message);
  process.exit(trouble?.exitCode ?? 1);
}
