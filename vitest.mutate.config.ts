import { resolve } from 'node:path';
import { configDefaults, defineConfig } from 'vitest/config';
import { test } from './vitest.config.js';

/** The tests of one folder of the core, for a mutation run of it: `npm run mutate -- FOLDER`. */
const folder = process.env.LARCHWOOD_MUTATE ?? '';

export default defineConfig({
  // Mutated copies stand beside this file: packages are taken from there, not from where they are installed.
  resolve: {
    alias: Object.fromEntries(
      ['core', 'format'].map((name) => [
        `@larchwood/${name}`,
        resolve(import.meta.dirname, `packages/${name}/src/index.ts`),
      ]),
    ),
  },
  test: {
    ...test,
    include: [`packages/core/src/${folder}/**/*.test.ts`],
    exclude: [...configDefaults.exclude, '**/*.wide.test.ts'],
  },
});
