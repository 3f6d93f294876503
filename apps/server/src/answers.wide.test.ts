import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BuildSummary, ChangeNotice, Problem, StoredBuild } from '@larchwood/contract';
import { request } from 'node:http';
import { Serving } from './testing/serving.js';
import { readSettings } from './settings.js';

const serving = new Serving();
const { call, make } = serving;
let build: StoredBuild;
beforeAll(async () => {
  await serving.start();
  build = await make('Sound');
});
afterAll(serving.end);

const deep = (levels: number) => `${'['.repeat(levels)}${']'.repeat(levels)}`;

describe('bad calls are answered with what is wrong', () => {
  it.each([
    ['NUL in a name', 'POST', 'builds', { name: 'a\u0000b', kind: 'bicycle', startingSet: 'road' }],
    ['NUL in a name of a document', 'PUT', 'builds/:id', { revision: 1, document: { name: 'a\u0000b' } }],
    [
      'NUL in a rider',
      'PUT',
      'shop/riders/a',
      { item: { name: 'a\u0000b', stature: 1700, mass: 70 }, over: 0 },
    ],
    ['3,000 levels', 'POST', 'builds/import', deep(3000)],
    ['3,000 levels in a save', 'PUT', 'builds/:id', `{"revision":1,"document":${deep(3000)}}`],
    ['an id of NUL', 'GET', 'builds/%00'],
    ['a broken escape', 'GET', 'builds/%E0%A4%A'],
    ['a lone percent', 'GET', 'builds/%'],
    ['an id of another folder', 'GET', 'builds/..%2f..%2fetc%2fpasswd'],
    ['a revision that is no number', 'GET', 'builds/:id/revisions/one'],
    ['a revision beyond all numbers', 'GET', 'builds/:id/revisions/99999999999999999999999'],
    ['a negative revision', 'GET', 'builds/:id/revisions/-1'],
    ['from nowhere', 'GET', 'builds?from=x'],
    ['from twice', 'GET', 'builds?from=1&from=2'],
    ['no body', 'POST', 'builds'],
    ['null', 'POST', 'builds', 'null'],
    ['a save of null', 'PUT', 'builds/:id', { revision: 1, document: null }],
    ['a save over a revision of 1e300', 'PUT', 'builds/:id', { revision: 1e300, document: {} }],
    ['__proto__ over a save', 'PUT', 'builds/:id', '{"__proto__":{"revision":1,"document":{}}}'],
    ['a list for a save', 'PUT', 'builds/:id', '[1]'],
    ['an unknown field in a save', 'PUT', 'builds/:id', { revision: 1, document: {}, force: true }],
    ['61 levels', 'POST', 'builds/import', deep(61)],
    ['a page beyond all lists', 'GET', 'builds?from=1000000001'],
    ['__proto__', 'POST', 'builds', '{"__proto__":{"name":"x"},"kind":"bicycle"}'],
  ])('%s', async (_, method, path, body?: unknown) => {
    const { status, body: problem } = await call<Problem>(method, path.replace(':id', build.id), body);
    expect([400, 404, 422]).toContain(status);
    expect(problem).toMatchObject({ status, message: expect.stringMatching(/\S/) });
    expect(JSON.stringify(problem)).not.toMatch(/node_modules|\/home|\/work|\/tmp|\.ts\b/);
  });

  it('60 levels are read, and looked into', async () => {
    const { status, body } = await call<Problem>('POST', 'builds/import', deep(60));
    expect([status, body.faults?.[0]?.path]).toEqual([422, '/']);
    const quoted = { ...build.document, notes: '[{'.repeat(200) };
    expect((await call('POST', 'builds/import', quoted)).status).toBe(201);
  });

  /** Anything at all at any place of a sound document. */
  const damaged = fc
    .tuple(
      fc.array(fc.nat(), { maxLength: 6 }),
      fc.oneof(
        fc.jsonValue({ maxDepth: 3 }),
        fc.constantFrom(NaN, 1e308, -1, '', '\u0000', [], {}, null, 'x'.repeat(5000)),
      ),
    )
    .map(([way, value]) => {
      const document = structuredClone(build.document) as unknown;
      let at = document as Record<string, unknown>;
      for (const step of way) {
        const keys = Object.keys(at);
        const next = at[keys[step % keys.length]!];
        if (typeof next !== 'object' || next === null || Object.keys(next).length === 0) break;
        at = next as Record<string, unknown>;
      }
      const keys = Object.keys(at);
      at[keys[(way[0] ?? 0) % keys.length]!] = value;
      return document;
    });
  const runs = Number(process.env.LARCHWOOD_DOCUMENTS ?? 300);
  it(
    'a document damaged anywhere is stored or refused, never a failure of the server',
    () =>
      fc.assert(
        fc.asyncProperty(damaged, async (document) => {
          const { status, body } = await call<Problem>('POST', 'builds/import', document);
          expect([201, 422]).toContain(status);
          if (status === 422) expect(body.faults!.every(({ path }) => path.startsWith('/'))).toBe(true);
        }),
        { numRuns: runs },
      ),
    600_000,
  );
  it(
    'nor is any call with any body',
    () =>
      fc.assert(
        fc.asyncProperty(
          fc.constantFrom('GET', 'POST', 'PUT', 'PATCH', 'DELETE'),
          fc.constantFrom(
            ...[
              'builds',
              'builds/x',
              'builds/x/revisions/1',
              'builds/x/restore',
              'builds/x/duplicate',
              'shop/riders/a',
            ],
            ...[
              'shop/fixtures/a',
              'shop/dies/a',
              'shop/dies/a?over=1',
              'shop/moon/a',
              'workshop',
              'door/passcode',
              'builds/import',
              'workshop/zip',
            ],
          ),
          fc.oneof(fc.json({ maxDepth: 3 }), fc.string(), fc.constant('{"passcode":"","role":"bench"}')),
          fc.webQueryParameters(),
          async (method, path, body, query) => {
            const { status } = await call(method, `${path}?${query}`, method === 'GET' ? undefined : body);
            expect(status).toBeLessThan(500);
          },
        ),
        { numRuns: runs },
      ),
    600_000,
  );
  it('the server is whole after all that', async () => {
    expect((await call<StoredBuild>('GET', `builds/${build.id}`)).body).toEqual(build);
  });
});

it('long lists come in pages', async () => {
  const before = (await call<BuildSummary[]>('GET', 'builds')).body.length;
  const wanted = 205 - before;
  for (let count = 0; count < wanted; count += 1) await call('POST', `builds/${build.id}/duplicate`);
  const first = (await call<BuildSummary[]>('GET', 'builds')).body;
  const second = (await call<BuildSummary[]>('GET', 'builds?from=200')).body;
  expect(first).toHaveLength(200);
  expect(new Set([...first, ...second].map(({ id }) => id)).size).toBe(200 + second.length);
  expect(second.length).toBeGreaterThanOrEqual(5);
}, 60_000);

it('open windows are told of every save, and of a deletion', async () => {
  const watched = await make('Watched');
  const other = await make('Other');
  const notices: ChangeNotice[] = [];
  const line = request({
    host: '127.0.0.1',
    port: serving.port,
    path: `/api/builds/${watched.id}/events`,
    agent: false,
  });
  line.on('error', () => undefined);
  line.on('response', (response) => {
    response.setEncoding('utf8');
    response.on('data', (text: string) => {
      for (const [, data] of text.matchAll(/^data: (\{.*\})$/gm))
        notices.push(JSON.parse(data!) as ChangeNotice);
    });
  });
  line.end();
  await new Promise((resolve) => setTimeout(resolve, 200));
  const save = (of: StoredBuild, saveId: string) =>
    call('PUT', `builds/${of.id}`, { revision: of.revision, document: of.document, saveId, by: 'Ulla' });
  await save(other, 'save-x');
  await save(watched, 'save-y');
  await call('DELETE', `builds/${watched.id}`);
  await expect
    .poll(() => notices)
    .toEqual([
      { id: watched.id, revision: 2, saveId: 'save-y', by: 'Ulla' },
      { id: watched.id, deleted: true },
    ]);
  line.destroy();
});

describe('how it is told to run', () => {
  it('by default for this machine alone', () =>
    expect(readSettings({})).toEqual({
      port: 4173,
      host: '127.0.0.1',
      open: false,
      names: [],
      cuttingDay: 10,
      tls: undefined,
    }));
  it.each([
    [{ LARCHWOOD_PORT: '' }, 'LARCHWOOD_PORT'],
    [{ LARCHWOOD_PORT: '0' }, 'LARCHWOOD_PORT'],
    [{ LARCHWOOD_PORT: '65536' }, 'LARCHWOOD_PORT'],
    [{ LARCHWOOD_PORT: '80a' }, 'LARCHWOOD_PORT'],
    [{ LARCHWOOD_HOST: 'the shop' }, 'LARCHWOOD_HOST'],
    [{ LARCHWOOD_CUTTING_DAY: '0' }, 'LARCHWOOD_CUTTING_DAY'],
    [{ LARCHWOOD_CUTTING_DAY: '86401' }, 'LARCHWOOD_CUTTING_DAY'],
    [{ LARCHWOOD_CUTTING_DAY: 'soon' }, 'LARCHWOOD_CUTTING_DAY'],
    [{ LARCHWOOD_TLS: 'yes' }, 'self'],
    [{ LARCHWOOD_TLS_CERT: 'a.pem' }, 'both'],
    [{ LARCHWOOD_TLS_CERT: '/none/a.pem', LARCHWOOD_TLS_KEY: '/none/b.pem' }, 'a.pem'],
  ])('%o is refused in words', (env, word) => expect(() => readSettings(env)).toThrow(word));
  it('open when another address is given', () => {
    expect(
      readSettings({
        LARCHWOOD_PORT: '65535',
        LARCHWOOD_HOST: '127.0.0.2',
        LARCHWOOD_NAMES: 'Shop, bench.local',
        LARCHWOOD_CUTTING_DAY: '0.5',
      }),
    ).toEqual({
      port: 65535,
      host: '127.0.0.2',
      open: true,
      names: ['shop', 'bench.local'],
      cuttingDay: 0.5,
      tls: undefined,
    });
  });
});
