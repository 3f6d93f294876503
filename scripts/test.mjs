/** Every test, from a fresh clone on: install, test tools, build, lint, types, unit tests, the whole application. */
import { readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { install, installTestTools, root, run, runNpm, runTogether } from './lib.mjs';

install();
installTestTools();
runNpm('run', 'build:packages');
await runTogether('build:web', 'lint:code', 'lint:form', 'typecheck');
const reports = {
  unit: resolve(root, 'test-results/unit.json'),
  wide: resolve(root, 'test-results/wide.json'),
  whole: resolve(root, 'test-results/whole.json'),
};
Object.values(reports).forEach((file) => rmSync(file, { force: true }));
const vitest = (report, ...more) =>
  run('npx', [
    'vitest',
    'run',
    ...more,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${report}`,
  ]);
vitest(reports.unit);
vitest(reports.wide, '--config', 'vitest.wide.config.ts');
run('npx', ['playwright', 'test', '--reporter=list,json'], {
  env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_FILE: reports.whole },
});

const [unit, wide] = [reports.unit, reports.wide].map((file) => JSON.parse(readFileSync(file, 'utf8')));
const whole = JSON.parse(readFileSync(reports.whole, 'utf8')).stats;
console.log(
  `${unit.numPassedTests + wide.numPassedTests + whole.expected} passed, ${unit.numFailedTests + wide.numFailedTests + whole.unexpected} failed`,
);
