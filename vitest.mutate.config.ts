import { resolve } from 'node:path';
import { configDefaults, defineConfig } from 'vitest/config';
import type { Reporter, Vitest } from 'vitest/node';
import { test } from './vitest.config.js';

/** The tests of one folder of the core, for a mutation run of it: `npm run mutate -- FOLDER`. */
const folder = process.env.LARCHWOOD_MUTATE ?? '';

let vitest: Vitest;
/** A file whose tests cannot even be collected has noticed the fault: the runner takes it for one without tests. */
const uncollected: Reporter = {
  onInit: (of) => {
    vitest = of;
  },
  onTestRunStart: () => vitest.state.clearErrors(),
  onTestModuleEnd: (module) =>
    module.errors().forEach((error) => vitest.state.catchError(error, 'Collection')),
};

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
    reporters: [uncollected],
    include: [`packages/core/src/${folder}/**/*.test.ts`],
    exclude: [...configDefaults.exclude, '**/*.wide.test.ts'],
  },
});
