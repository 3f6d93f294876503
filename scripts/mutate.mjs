/**
 * How many deliberate faults in a folder of the core its own tests notice: `npm run mutate -- FOLDER`, as `units`;
 * with a third argument, as 10, faults only go into every tenth stretch of ten lines, for folders that would
 * take hours. The score goes into docs/testing.md by hand.
 */
import { existsSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { Stryker } from '@stryker-mutator/core';
import { root } from './lib.mjs';

const [folder, files = '**/*.ts', every = '1'] = process.argv.slice(2);
const STRETCH = 10;
const core = resolve(root, 'packages/core/src');
if (folder === undefined || !existsSync(resolve(core, folder))) {
  const folders = readdirSync(core, { withFileTypes: true }).filter((entry) => entry.isDirectory());
  console.error(
    `Usage: npm run mutate -- FOLDER [FILES]. Folders: ${folders.map(({ name }) => name).join(', ')}`,
  );
  process.exit(2);
}
process.env.LARCHWOOD_MUTATE = folder;

/** Of this run alone: another may go on beside it. */
const sandbox = `.mutants/${folder.replaceAll('/', '-')}-${process.pid}`;

/** Every so manieth stretch of lines, counted through all files in the order of their names. */
function stretches() {
  const paths = readdirSync(resolve(core, folder), { recursive: true })
    .filter((path) => path.endsWith('.ts') && !path.endsWith('.test.ts'))
    .map((path) => `packages/core/src/${folder}/${path}`);
  let counted = 0;
  return paths.sort().flatMap((path) => {
    const lines = readFileSync(resolve(root, path), 'utf8').split('\n').length;
    const starts = Array.from({ length: Math.ceil(lines / STRETCH) }, (_, index) => index * STRETCH + 1);
    return starts
      .filter(() => counted++ % Number(every) === 0)
      .map((start) => `${path}:${start}-${start + STRETCH}`);
  });
}

const results = await new Stryker({
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutate.config.ts' },
  coverageAnalysis: 'perTest',
  mutate: Number(every) > 1 ? stretches() : [`packages/core/src/${folder}/${files}`, '!**/*.test.ts'],
  // Words that the builder reads are no arithmetic: their tests are others.
  mutator: { excludedMutations: ['StringLiteral'] },
  ignorePatterns: ['dist', 'test-results', 'bench', 'e2e', '.git', 'apps/web/dist', 'docs/screenshots'],
  concurrency: 2,
  reporters: ['clear-text', 'progress-append-only', 'json'],
  clearTextReporter: { allowColor: false, logTests: false, reportScoreTable: true },
  jsonReporter: { fileName: `test-results/mutants-${folder.replaceAll('/', '-')}.json` },
  tempDirName: sandbox,
  cleanTempDir: 'always',
  timeoutMS: 20_000,
}).runMutationTest();
rmSync(resolve(root, sandbox), { recursive: true, force: true });
// A file of tests that fails while it is read has noticed the fault, too.
const NOTICED = ['Killed', 'Timeout', 'RuntimeError'];
const noticed = results.filter(({ status }) => NOTICED.includes(status)).length;
const counted = results.filter(({ status }) => !['Ignored', 'CompileError'].includes(status)).length;
console.log(
  `${folder}: ${noticed} of ${counted} faults noticed, ${((100 * noticed) / counted).toFixed(1)} %`,
);
