/**
 * How many deliberate faults in a folder of the core its own tests notice: `npm run mutate -- FOLDER`, as `units`.
 * The score goes into docs/testing.md by hand.
 */
import { existsSync, readdirSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { Stryker } from '@stryker-mutator/core';
import { root } from './lib.mjs';

const [folder, files = '**/*.ts'] = process.argv.slice(2);
const core = resolve(root, 'packages/core/src');
if (folder === undefined || !existsSync(resolve(core, folder))) {
  const folders = readdirSync(core, { withFileTypes: true }).filter((entry) => entry.isDirectory());
  console.error(
    `Usage: npm run mutate -- FOLDER [FILES]. Folders: ${folders.map(({ name }) => name).join(', ')}`,
  );
  process.exit(2);
}
process.env.LARCHWOOD_MUTATE = folder;
const results = await new Stryker({
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutate.config.ts' },
  coverageAnalysis: 'perTest',
  mutate: [`packages/core/src/${folder}/${files}`, '!**/*.test.ts'],
  // Words that the builder reads are no arithmetic: their tests are others.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['dist', 'test-results', 'bench', 'e2e', '.git', 'apps/web/dist', 'docs/screenshots'],
  concurrency: 2,
  reporters: ['clear-text', 'progress-append-only', 'json'],
  clearTextReporter: { allowColor: false, logTests: false, reportScoreTable: true },
  jsonReporter: { fileName: `test-results/mutants-${folder.replaceAll('/', '-')}.json` },
  tempDirName: '.mutants',
  cleanTempDir: 'always',
  timeoutMS: 20_000,
}).runMutationTest();
rmSync(resolve(root, '.mutants'), { recursive: true, force: true });
const noticed = results.filter(({ status }) => status === 'Killed' || status === 'Timeout').length;
const counted = results.filter(
  ({ status }) => !['Ignored', 'CompileError', 'RuntimeError'].includes(status),
).length;
console.log(
  `${folder}: ${noticed} of ${counted} faults noticed, ${((100 * noticed) / counted).toFixed(1)} %`,
);
