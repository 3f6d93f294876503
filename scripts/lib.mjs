import { execFileSync, spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const npm = process.platform === 'win32' ? 'npm.cmd' : 'npm';

/** Runs a command with its output shown; ends this process with its code when it fails. */
export function run(command, args, options = {}) {
  const started = Date.now();
  console.log(`\n> ${[command, ...args].join(' ')}`);
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (error) console.error(error.message);
  console.log(`(${((Date.now() - started) / 1000).toFixed(1)} s)`);
  if (status !== 0) process.exit(status ?? 1);
}

/** Runs npm scripts side by side, the output of each shown when it ends; ends this process when one fails. */
export async function runTogether(...scripts) {
  const started = Date.now();
  const outcomes = await Promise.all(
    scripts.map(
      (script) =>
        new Promise((ended) => {
          const child = spawn(npm, ['run', script], { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
          let told = '';
          for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (told += part));
          child.on('error', (error) => (told += error.message));
          child.on('close', (status) => {
            const seconds = ((Date.now() - started) / 1000).toFixed(1);
            console.log(`\n> npm run ${script}\n${told}(${seconds} s)`);
            ended(status ?? 1);
          });
        }),
    ),
  );
  const failed = outcomes.find((status) => status !== 0);
  if (failed !== undefined) process.exit(failed);
}

export const runNpm = (...args) => run(npm, args);

/** Installs what the lock file says, unless that is what is there already. */
export function install() {
  const lock = createHash('sha256')
    .update(readFileSync(resolve(root, 'package-lock.json')))
    .digest('hex');
  const mark = resolve(root, 'node_modules/.larchwood-lock');
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return;
  runNpm('ci', '--no-audit', '--no-fund');
  mkdirSync(dirname(mark), { recursive: true });
  writeFileSync(mark, lock);
}

/** Debian's Chromium, poppler and a reader of DXF, for the tests; installed where they are missing. */
export function installTestTools() {
  const missing = [
    ['chromium', 'chromium'],
    ['pdftocairo', 'poppler-utils'],
    ['ezdxf', 'python3-ezdxf'],
  ]
    .filter(([command]) => !found(command))
    .map(([, name]) => name);
  if (missing.length === 0) return;
  const [command, ...before] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', 'apt-get'];
  const apt = (...args) =>
    run(command, [...before, ...args], { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', ...missing);
}

function found(command) {
  try {
    execFileSync('sh', ['-c', `command -v ${command}`], { stdio: 'ignore' });
    return true;
  } catch {
    return false;
  }
}
