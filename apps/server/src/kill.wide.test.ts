import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, expect, it } from 'vitest';
import type { RevisionSummary, StoredBuild } from '@larchwood/contract';
import { check } from './database/check.js';

/** The built server, as it is started: `npm test` builds it before. `LARCHWOOD_KILLS=200` for a long run. */
const MAIN = fileURLToPath(new URL('../dist/main.js', import.meta.url));
const KILLS = Number(process.env.LARCHWOOD_KILLS ?? 3);
const folder = mkdtempSync(join(tmpdir(), 'larchwood-kill-'));
const databaseFile = join(folder, 'shop.sqlite');
let port: number;
let server: ChildProcess;

beforeAll(async () => {
  port = await new Promise<number>((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port: free } = probe.address() as { port: number };
      probe.close(() => done(free));
    });
  });
});
afterAll(() => {
  server.kill('SIGKILL');
  rmSync(folder, { recursive: true });
});

async function start(): Promise<void> {
  server = spawn(process.execPath, [MAIN], {
    env: { ...process.env, LARCHWOOD_PORT: String(port), LARCHWOOD_DATABASE: databaseFile },
    stdio: 'ignore',
  });
  await expect
    .poll(
      () =>
        call('GET', 'door').then(
          () => true,
          () => false,
        ),
      { timeout: 20_000 },
    )
    .toBe(true);
}
const ended = () => new Promise<number | null>((done) => server.once('exit', done));

async function call<T>(method: string, path: string, body?: object): Promise<T> {
  const response = await fetch(`http://127.0.0.1:${port}/api/${path}`, {
    method,
    signal: AbortSignal.timeout(10_000),
    headers: { 'Content-Type': 'application/json', Connection: 'close' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`${response.status}`);
  return (await response.json()) as T;
}

it(
  `no acknowledged save is lost over ${KILLS} kills at any moment, and the file is whole each time`,
  async () => {
    expect(existsSync(MAIN)).toBe(true);
    await start();
    let build = await call<StoredBuild>('POST', 'builds', {
      name: 'Killed',
      kind: 'bicycle',
      startingSet: 'road',
    });
    let count = 0;
    for (let kill = 0; kill < KILLS; kill += 1) {
      let acknowledged = build.document.notes;
      const gone = ended();
      // Anywhere in the course of some saves; the same moments every time the test runs.
      setTimeout(() => server.kill('SIGKILL'), 40 + ((kill * 97) % 400));
      for (;;) {
        const notes = `save ${++count}`;
        try {
          build = await call<StoredBuild>('PUT', `builds/${build.id}`, {
            ...{ revision: build.revision, document: { ...build.document, notes } },
          });
          acknowledged = notes;
        } catch {
          break;
        }
      }
      await gone;
      await start();
      const found = await call<StoredBuild>('GET', `builds/${build.id}`);
      // The last one may have arrived without an answer.
      expect([acknowledged, `save ${count}`]).toContain(found.document.notes);
      const revisions = await call<RevisionSummary[]>('GET', `builds/${build.id}/revisions`);
      expect(revisions[0]!.revision).toBe(found.revision);
      build = found;
    }
    const gone = ended();
    server.kill('SIGTERM');
    expect(await gone).toBe(0);
    expect(check(databaseFile).builds).toBe(1);
  },
  60_000 + KILLS * 10_000,
);

it('a server that freezes and goes on has lost nothing; the same save sent again is one', async () => {
  await start();
  const build = await call<StoredBuild>('POST', 'builds', {
    name: 'Frozen',
    kind: 'bicycle',
    startingSet: 'road',
  });
  const save = () =>
    call<StoredBuild>('PUT', `builds/${build.id}`, {
      ...{ revision: build.revision, saveId: 'once', document: { ...build.document, notes: 'frozen' } },
    });
  server.kill('SIGSTOP');
  const first = save();
  await new Promise((go) => setTimeout(go, 1000));
  server.kill('SIGCONT');
  expect((await first).revision).toBe(2);
  expect(await save()).toEqual(await first);
  server.kill('SIGSTOP');
  server.kill('SIGKILL');
  await ended();
  await start();
  expect((await call<StoredBuild>('GET', `builds/${build.id}`)).document.notes).toBe('frozen');
});

it.each([
  [{ LARCHWOOD_PORT: 'front door' }, 2, 'LARCHWOOD_PORT'],
  [{ LARCHWOOD_HOST: '127.0.0.2', LARCHWOOD_DATABASE: join(folder, 'new.sqlite') }, 2, 'passcode'],
  [{}, 7, 'Another Larchwood server'],
  [{ LARCHWOOD_DATABASE: MAIN }, 3, 'damaged'],
  [{ LARCHWOOD_DATABASE: join(MAIN, 'x.sqlite') }, 4, 'cannot be written'],
])('a start with %o ends with %i, in words and without a trace', (env, code, words) => {
  const { status, stderr } = spawnSync(process.execPath, [MAIN], {
    env: { ...process.env, LARCHWOOD_PORT: '4197', LARCHWOOD_DATABASE: databaseFile, ...env },
    encoding: 'utf8',
  });
  expect([status, stderr]).toEqual([code, expect.stringContaining(words)]);
  expect(stderr).not.toMatch(/\n\s+at /);
});
