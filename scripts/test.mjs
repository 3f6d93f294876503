/** Every test, from a fresh clone on: install, test tools, build, lint, types, unit tests, the whole application. */
import { readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { install, installTestTools, root, run, runNpm } from './lib.mjs';

install();
installTestTools();
runNpm('run', 'build');
runNpm('run', 'lint');
runNpm('run', 'typecheck');
const reports = {
  unit: resolve(root, 'test-results/unit.json'),
  whole: resolve(root, 'test-results/whole.json'),
};
Object.values(reports).forEach((file) => rmSync(file, { force: true }));
run('npx', ['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile.json=${reports.unit}`]);
run('npx', ['playwright', 'test', '--reporter=list,json'], {
  env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_FILE: reports.whole },
});

const unit = JSON.parse(readFileSync(reports.unit, 'utf8'));
const whole = JSON.parse(readFileSync(reports.whole, 'utf8')).stats;
console.log(
  `${unit.numPassedTests + whole.expected} passed, ${unit.numFailedTests + whole.unexpected} failed`,
);
