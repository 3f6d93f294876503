import { configDefaults, defineConfig } from 'vitest/config';

/** What both sets of tests share: the quick one here, the wide one in vitest.wide.config.ts. */
export const shared = {
  resolve: { conditions: ['development'] },
  ssr: { resolve: { conditions: ['development'] } },
};

const INCLUDE = ['packages/*/src/**/*.test.ts', 'apps/*/src/**/*.test.ts'];
export const WIDE = INCLUDE.map((glob) => glob.replace('.test.ts', '.wide.test.ts'));

export const test = {
  setupFiles: ['testing/seed.ts'],
  // Tests change nothing that another could see, so that files share what one worker has loaded.
  pool: 'threads' as const,
  isolate: false,
  maxWorkers: '100%',
  testTimeout: 30_000,
  hookTimeout: 60_000,
};

export default defineConfig({
  ...shared,
  test: { ...test, include: INCLUDE, exclude: [...configDefaults.exclude, '**/*.wide.test.ts'] },
});
