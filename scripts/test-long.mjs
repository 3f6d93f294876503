/** What takes twenty minutes and more: ten thousand damaged documents and calls, and two hundred kills of a saving server. */
import { run, runNpm } from './lib.mjs';

runNpm('run', 'build:packages');
const env = { ...process.env, LARCHWOOD_DOCUMENTS: '10000', LARCHWOOD_KILLS: '200' };
run('npx', ['vitest', 'run', 'apps/server'], { env });
run('npx', ['vitest', 'run', '--config', 'vitest.wide.config.ts', 'apps/server'], { env });
