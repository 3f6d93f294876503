/** Installs, builds and starts the application with the demo workshop. Edits are kept in data/ from one start to the next. */
import { spawn } from 'node:child_process';
import { resolve } from 'node:path';
import { install, root, runNpm } from './lib.mjs';

install();
runNpm('run', 'build');
const server = spawn(process.execPath, ['apps/server/dist/main.js', '--demo'], {
  cwd: root,
  stdio: 'inherit',
  env: {
    ...process.env,
    LARCHWOOD_DATABASE: process.env.LARCHWOOD_DATABASE ?? resolve(root, 'data/demo.sqlite'),
  },
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
