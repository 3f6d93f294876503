import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';

const PORT = 4196;
const BASE = `http://127.0.0.1:${PORT}/api`;
const WINDOWS = 20;
const SECONDS = Number(process.env.LARCHWOOD_SECONDS ?? 30);
/** Saves one after the other, as fast as they are answered, to see the memory; 20000 for a long run. */
const SAVES = Number(process.env.LARCHWOOD_SAVES ?? 1000);

interface Stored {
  readonly id: string;
  readonly revision: number;
  readonly document: { notes: string };
}

const call = async <T>(method: string, path: string, body?: object): Promise<T> => {
  const response = await fetch(`${BASE}/${path}`, {
    method,
    headers: { 'Content-Type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${response.status}`);
  return (await response.json()) as T;
};
const rest = (ms: number) => new Promise((go) => setTimeout(go, ms));

/** Twenty open windows of the largest demo, each saving every second and listening; then many saves in a row. */
export async function windowsAtOnce(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'larchwood-load-'));
  const server = spawn(process.execPath, ['apps/server/dist/main.js'], {
    env: { ...process.env, LARCHWOOD_PORT: String(PORT), LARCHWOOD_DATABASE: join(folder, 'shop.sqlite') },
    stdio: 'inherit',
  });
  try {
    for (let tries = 0; tries < 200; tries += 1) {
      if (
        await call('GET', 'door').then(
          () => true,
          () => false,
        )
      )
        break;
      await rest(100);
    }
    const document = JSON.parse(readFileSync('demo/alder-wood-buggy.larchwood.json', 'utf8')) as object;
    const builds = await Promise.all(
      Array.from({ length: WINDOWS }, () => call<Stored>('POST', 'builds/import', document)),
    );
    let heard = 0;
    const lines = builds.map(({ id }) => listen(`${BASE}/builds/${id}/events`, () => (heard += 1)));
    await rest(500);
    const times: number[] = [];
    await Promise.all(builds.map((build, place) => saveEverySecond(build, place, times)));
    console.log(
      `${WINDOWS} windows, ${times.length} saves of the buggy in ${SECONDS} s: half under ${at(times, 0.5)} ms, 99 % under ${at(times, 0.99)} ms, longest ${at(times, 1)} ms; ${heard} notices heard`,
    );
    lines.forEach((line) => line.abort());
    let build = await call<Stored>('GET', `builds/${builds[0]!.id}`);
    console.log(`memory: ${memory(server.pid!)} MB`);
    for (let save = 1; save <= SAVES; save += 1) {
      const next = { ...build.document, notes: `save ${save}` };
      build = await call<Stored>('PUT', `builds/${build.id}`, { revision: build.revision, document: next });
      if (save % Math.ceil(SAVES / 5) === 0)
        console.log(`memory after ${save} saves: ${memory(server.pid!)} MB`);
    }
  } finally {
    server.kill('SIGTERM');
    await new Promise((done) => server.once('exit', done));
    rmSync(folder, { recursive: true });
  }
}

async function saveEverySecond(build: Stored, place: number, times: number[]): Promise<void> {
  await rest((place * 1000) / WINDOWS);
  let { revision } = build;
  for (let second = 0; second < SECONDS; second += 1) {
    const began = performance.now();
    const document = { ...build.document, notes: `second ${second}` };
    ({ revision } = await call<Stored>('PUT', `builds/${build.id}`, {
      revision,
      document,
      sitting: `w${place}`,
    }));
    const took = performance.now() - began;
    times.push(took);
    await rest(Math.max(0, 1000 - took));
  }
}

function listen(url: string, hear: () => void): AbortController {
  const line = new AbortController();
  void fetch(url, { signal: line.signal })
    .then(async ({ body }) => {
      const reader = body!.pipeThrough(new TextDecoderStream()).getReader();
      for (let part = await reader.read(); !part.done; part = await reader.read())
        if (part.value.includes('"revision"')) hear();
    })
    .catch(() => undefined);
  return line;
}

const at = (times: readonly number[], share: number): number =>
  Math.round([...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(share * times.length))]!);
const memory = (pid: number): number =>
  Math.round(Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1000);
