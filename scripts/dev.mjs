/** For daily work: packages and server compiled as they change, the server restarted, the web application served by Vite. */
import { spawn } from 'node:child_process';
import { install, root, runNpm } from './lib.mjs';

install();
runNpm('run', 'build:packages');
const start = (command, args) => spawn(command, args, { cwd: root, stdio: 'inherit' });
const running = [
  start('npx', ['tsc', '--build', '--watch', '--preserveWatchOutput']),
  start(process.execPath, ['--watch', 'apps/server/dist/main.js', '--demo']),
  start('npm', ['run', 'dev', '--workspace', 'apps/web']),
];
for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    running.forEach((child) => child.kill(signal));
    process.exit(0);
  });
}
