import { modellerHeaders } from './headers.js';
import { request as httpsRequest } from 'node:https';
import { connect } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { PASSCODE } from '@larchwood/contract';
import type { BuildSummary, DoorState, Keeping, Problem, StoredBuild } from '@larchwood/contract';
import Database from 'libsql';
import { EXIT } from '../database/trouble.js';
import { Serving } from '../testing/serving.js';
import { ownCertificate } from './certificate.js';
import { STAY } from './door.service.js';

const SHOP = '127.0.0.2';
const WORK = { welding: 'on', vents: 'drained', own: [], needs: [], hours: {}, waits: {}, seams: [] };
const PASS = { builder: 'four larch boards', bench: 'one spruce plank' };

/** Whether a change changes nothing of a document. */
const sameAs = (document: object, change: object): boolean =>
  JSON.stringify({ ...document, ...change }) === JSON.stringify(document);

describe('a server for this machine alone', () => {
  const serving = new Serving();
  const { call } = serving;
  beforeAll(serving.start);
  afterAll(serving.end);

  it('needs no passcode, and answers under its own names only', async () => {
    expect((await call<DoorState>('GET', 'door')).body).toEqual({ open: false, role: 'builder' });
    for (const host of ['127.0.0.1', 'localhost', 'LOCALHOST:80', '[::1]:4173'])
      expect((await call('GET', 'builds', undefined, { Host: host })).status).toBe(200);
    for (const host of ['shop.example', '127.0.0.2', '192.168.1.9', 'localhost.example', 'a b'])
      expect((await call('GET', 'builds', undefined, { Host: host })).status, host).toBeGreaterThanOrEqual(
        400,
      );
  });

  it('refuses calls from pages of other sites, whatever they ask', async () => {
    const body = { name: 'Theirs', kind: 'bicycle', startingSet: 'road' };
    const own = `http://127.0.0.1:${serving.port}`;
    for (const headers of [
      { Origin: 'https://elsewhere.example' },
      { Origin: 'null' },
      { Origin: `http://127.0.0.1:${serving.port + 1}` },
      { 'Sec-Fetch-Site': 'cross-site', 'Sec-Fetch-Mode': 'no-cors' },
    ] as Record<string, string>[]) {
      expect((await call('POST', 'builds', body, headers)).status).toBe(403);
      expect((await call('GET', 'builds', undefined, headers)).status).toBe(403);
    }
    expect((await call<BuildSummary[]>('GET', 'builds')).body).toEqual([]);
    const headers = { Origin: own, 'Sec-Fetch-Site': 'same-origin', 'Sec-Fetch-Mode': 'cors' };
    expect((await call('POST', 'builds', body, headers)).status).toBe(201);
  });

  it('the worker that drives the modeller may make code from text, and no other script, page or file', () => {
    const policyOf = (file: string) => {
      const set = new Map<string, unknown>();
      modellerHeaders({ setHeader: (name: string, value: unknown) => set.set(name, value) } as never, file);
      return set.get('Content-Security-Policy');
    };
    expect(policyOf('/app/assets/solids.worker-DccO_-f1.js')).toBe(
      `default-src 'none';script-src 'self' 'unsafe-eval';connect-src 'self'`,
    );
    for (const file of [
      '/app/assets/files.worker-DccOifef.js',
      '/app/assets/index-DccOifef.js',
      '/app/assets/not-solids.worker-a.js',
      '/app/assets/solids.worker-a.js.map',
      '/app/index.html',
    ])
      expect(policyOf(file), file).toBeUndefined();
  });

  it('every answer has the headers that keep a page safe, a refused one too, and tells nothing of what serves it', async () => {
    for (const [method, path, extra] of [
      ['GET', 'builds', {}],
      ['GET', 'nothing', {}],
      ['POST', 'builds', {}],
      ['GET', 'builds', { Host: 'elsewhere.example' }],
    ] as const) {
      const { headers } = await call(method, path, undefined, extra);
      const policy = String(headers['content-security-policy']);
      expect(policy).toMatch(/default-src 'self'.*script-src 'self' 'wasm-unsafe-eval'(;|$)/);
      expect(policy).toMatch(/frame-ancestors 'none'/);
      expect(policy.replace(/style-src[^;]*/, '')).not.toMatch(/'unsafe|eval'(?<!wasm-unsafe-eval')|\*/);
      expect(headers).toMatchObject({
        'x-content-type-options': 'nosniff',
        'referrer-policy': 'no-referrer',
        'x-frame-options': 'DENY',
      });
      expect(headers).not.toHaveProperty('x-powered-by');
      expect(headers).not.toHaveProperty('access-control-allow-origin');
    }
  });

  it('a passcode too short, or of nobody, is refused at its place', async () => {
    for (const body of [
      { role: 'builder', passcode: 'x'.repeat(PASSCODE.least - 1) },
      { role: 'builder', passcode: 'x'.repeat(PASSCODE.most + 1) },
      { role: 'owner', passcode: PASS.builder },
      { role: 'builder' },
    ])
      expect((await call('PUT', 'door/passcode', body)).status).toBe(400);
    const kept = async () => (await call<Keeping>('GET', 'workshop')).body.passcodes;
    expect(await kept()).toEqual([]);
    for (const length of [PASSCODE.least, PASSCODE.most]) {
      const body = { role: 'builder', passcode: 'x'.repeat(length) };
      expect((await call('PUT', 'door/passcode', body)).status).toBe(204);
    }
    expect(await kept()).toEqual(['builder']);
    // While nobody else can come in, it can be taken away again.
    expect((await call('PUT', 'door/passcode', { role: 'builder', passcode: '' })).status).toBe(204);
    expect(await kept()).toEqual([]);
  });
});

describe('a server opened to the shop', () => {
  const serving = new Serving({ place: { host: SHOP, open: true, names: ['shop.example'] } });
  const { call } = serving;
  const cookieOf = (headers: Record<string, unknown>) => (headers['set-cookie'] as string[])[0]!;
  const enter = async (passcode: string) => {
    const { headers } = await call<DoorState>('POST', 'door', { passcode });
    return { Cookie: cookieOf(headers).split(';')[0]! };
  };
  let builder: Record<string, string>;
  let bench: Record<string, string>;

  beforeAll(async () => {
    const alone = new Serving();
    Object.assign(alone, { folder: serving.folder, databaseFile: serving.databaseFile });
    await expect(serving.start()).rejects.toMatchObject({
      exitCode: EXIT.usage,
      message: expect.stringContaining('passcode'),
    });
    await alone.start();
    for (const role of ['builder', 'bench'] as const)
      expect((await alone.call('PUT', 'door/passcode', { role, passcode: PASS[role] })).status).toBe(204);
    await alone.make('In the shop');
    await alone.stop();
    await serving.start();
    builder = await enter(PASS.builder);
    bench = await enter(PASS.bench);
  });
  afterAll(serving.end);

  it('answers nothing to who has no passcode, but that one is needed', async () => {
    expect((await call<DoorState>('GET', 'door')).body).toEqual({ open: true });
    for (const [method, path] of [
      ['GET', 'builds'],
      ['GET', 'workshop'],
      ['GET', 'workshop/zip'],
      ['POST', 'workshop/zip'],
      ['POST', 'workshop/backups'],
      ['PUT', 'door/passcode'],
      ['DELETE', 'door/all'],
      ['GET', 'shop'],
      ['DELETE', 'shop/dies/a?over=1'],
      ['GET', 'builds/x/events'],
    ] as const)
      expect((await call(method, path)).status, `${method} ${path}`).toBe(401);
    const forged = { Cookie: `larchwood=${'x'.repeat(43)}` };
    expect((await call('GET', 'builds', undefined, forged)).status).toBe(401);
    expect(
      (await call('GET', 'builds', undefined, { Cookie: 'larchwood=j%3A%7B%22a%22%3A1%7D' })).status,
    ).toBe(401);
    expect((await call('GET', 'builds', undefined, { ...builder, Host: 'shop.example' })).status).toBe(200);
    expect((await call('GET', 'builds', undefined, { ...builder, Host: 'other.example' })).status).toBe(403);
  });

  it('lets a builder do all; who is at the bench looks and ticks', async () => {
    const [summary] = (await call<BuildSummary[]>('GET', 'builds', undefined, bench)).body;
    const build = (await call<StoredBuild>('GET', `builds/${summary!.id}`, undefined, bench)).body;
    const save = (document: object, revision: number, headers: Record<string, string>) =>
      call<StoredBuild & Problem>('PUT', `builds/${build.id}`, { revision, document }, headers);
    const refused = await save({ ...build.document, notes: 'x' }, build.revision, bench);
    expect([refused.status, refused.body.message]).toEqual([403, expect.stringContaining('bench')]);
    const ticked = {
      ...build.document,
      fixture: { ...build.document.fixture, readings: [{ school: 'table', setting: 'a', set: true }] },
    };
    const taken = await save(ticked, build.revision, bench);
    expect([taken.status, taken.body.document.fixture.readings]).toEqual([200, ticked.fixture.readings]);
    // A step of the work is ticked off there, too; moving one is a builder's.
    const stepped = { ...ticked, done: [{ step: 'get', of: '', done: true, on: '2026-11-29T08:00:00Z' }] };
    const done = await save(stepped, taken.body.revision, bench);
    expect([done.status, done.body.document.done]).toEqual([200, stepped.done]);
    const moves = [{ step: 'get', after: 'start' }];
    const moved = { ...stepped, work: { ...WORK, moves } };
    expect((await save(moved, done.body.revision, bench)).status).toBe(403);
    expect((await save({ ...stepped, done: [{ step: 'get' }] }, done.body.revision, bench)).status).toBe(422);
    expect((await save({ ...stepped, notes: 'x' }, done.body.revision, builder)).status).toBe(200);
    for (const [method, path] of [
      ['DELETE', `builds/${build.id}`],
      ['PATCH', `builds/${build.id}`],
      ['POST', 'builds'],
      ['POST', 'workshop/backups'],
      ['PUT', 'workshop'],
      ['PUT', 'door/passcode'],
      ['DELETE', 'door/all'],
      ['POST', 'cutting/orders'],
    ] as const)
      expect((await call(method, path, {}, bench)).status, `${method} ${path}`).toBe(403);
    // What is done at the bench is logged there; what the workshop owns is not changed.
    const entry = { build: build.id, on: '2026-11-29', sort: 'note', text: 'Gap of a millimetre at 3.' };
    const write = async (id: string, text: string, over: number, who: Record<string, string>) =>
      (await call('PUT', `shop/entries/${id}`, { item: { ...entry, text }, over }, who)).status;
    const takeOff = async (id: string, over: number) =>
      (await call('DELETE', `shop/entries/${id}?over=${over}`, undefined, bench)).status;
    // Its own entries may be written anew and taken out there; a builder's may not.
    expect([await write('mine', 'One.', 0, bench), await write('mine', 'Two.', 1, bench)]).toEqual([
      200, 200,
    ]);
    expect([await write('theirs', 'One.', 0, builder), await write('theirs', 'x', 1, bench)]).toEqual([
      200, 403,
    ]);
    expect([await takeOff('theirs', 1), await write('mine', 'Three.', 2, builder)]).toEqual([403, 200]);
    expect(await takeOff('mine', 3)).toBe(204);
    // Nothing of the build but its three lists: neither its kind nor the set that it began with.
    const now = (await call<StoredBuild>('GET', `builds/${build.id}`, undefined, bench)).body;
    const other = (await call<BuildSummary[]>('GET', 'builds', undefined, bench)).body;
    expect(other.length).toBeGreaterThan(0);
    for (const change of [
      { kind: 'bicycle', startingSet: 'road' },
      { startingSet: 'other-set' },
      { name: 'x' },
      { paper: { ...now.document.paper, size: now.document.paper.size === 'A4' ? 'A3' : 'A4' } },
      { fixture: { ...now.document.fixture, profiles: [] } },
    ].filter((each) => !sameAs(now.document, each)))
      expect(
        (await save({ ...now.document, ...change }, now.revision, bench)).status,
        JSON.stringify(Object.keys(change)),
      ).toBe(403);
    const sawing = { kerf: 2, trim: 5, keep: 150 };
    expect((await call('PUT', 'shop/sawing/usual', { item: sawing, over: 0 }, bench)).status).toBe(403);
    expect((await call('PUT', 'shop/sawing/usual', { item: sawing, over: 0 }, builder)).status).toBe(200);
  });

  it('its cookie is for this server’s pages alone, and the file holds neither passcode nor token', async () => {
    const { headers } = await call('POST', 'door', { passcode: PASS.bench });
    expect(cookieOf(headers)).toMatch(/; HttpOnly; SameSite=Strict/);
    const token = cookieOf(headers).split(/[=;]/)[1]!;
    await serving.stop();
    const { readFileSync } = await import('node:fs');
    const file = readFileSync(serving.databaseFile).toString('latin1');
    for (const secret of [PASS.builder, PASS.bench, token]) expect(file).not.toContain(secret);
    await serving.start();
    expect((await call('GET', 'builds', undefined, builder)).status).toBe(200);
  });

  it('who was let in is let in for thirty days, and no longer', async () => {
    const shifted = async (by: number) => {
      const database = new Database(serving.databaseFile);
      database.exec(`update session set until = until - ${by}`);
      database.close();
      return (await call('GET', 'builds', undefined, bench)).status;
    };
    expect(await shifted(STAY - 60_000)).toBe(200);
    expect(await shifted(60_000)).toBe(401);
    await shifted(-STAY);
    expect((await call('GET', 'builds', undefined, bench)).status).toBe(200);
  });

  it('a line that listens is cut when everybody is logged out, and is not had again', async () => {
    const [build] = (await call<BuildSummary[]>('GET', 'builds', undefined, builder)).body;
    const listening = call('GET', `builds/${build!.id}/events`, undefined, bench);
    await new Promise((resolve) => setTimeout(resolve, 200));
    const database = new Database(serving.databaseFile);
    const sessions = database.prepare('select hash, role, until from session').all() as {
      hash: string;
      role: string;
      until: number;
    }[];
    expect((await call('DELETE', 'door/all', undefined, builder)).status).toBe(204);
    expect((await listening).status).toBe(200);
    expect((await call('GET', `builds/${build!.id}/events`, undefined, bench)).status).toBe(401);
    const insert = database.prepare('insert into session (hash, role, until) values (?, ?, ?)');
    for (const { hash, role, until } of sessions) insert.run(hash, role, until);
    database.close();
  });

  it('five wrong tries a minute, and the right one waits too; who is in stays in', async () => {
    const tries = [];
    for (let count = 0; count < 7; count += 1)
      tries.push((await call('POST', 'door', { passcode: `guess ${count}` })).status);
    expect(tries.filter((status) => status === 401).length).toBeLessThanOrEqual(5);
    expect(tries.at(-1)).toBe(429);
    expect((await call('POST', 'door', { passcode: PASS.builder })).status).toBe(429);
    expect((await call('GET', 'builds', undefined, builder)).status).toBe(200);
  });

  it('one press logs everybody out; the builder’s passcode cannot be taken from an open door', async () => {
    const taken = await call('PUT', 'door/passcode', { role: 'builder', passcode: '' }, builder);
    expect(taken.status).toBe(403);
    expect((await call('DELETE', 'door/all', undefined, builder)).status).toBe(204);
    for (const headers of [builder, bench])
      expect((await call('GET', 'builds', undefined, headers)).status).toBe(401);
  });
});

describe('over an encrypted connection', () => {
  it('with a certificate of its own, made once, the cookie goes nowhere else', async () => {
    const serving = new Serving();
    const certificate = await ownCertificate(serving.databaseFile);
    expect(await ownCertificate(serving.databaseFile)).toEqual(certificate);
    const later = new Date(Date.now() + 3 * 365 * 24 * 3600 * 1000);
    expect((await ownCertificate(serving.databaseFile, later)).cert).not.toBe(certificate.cert);
    const alone = new Serving();
    Object.assign(alone, { folder: serving.folder, databaseFile: serving.databaseFile });
    await alone.start();
    await alone.call('PUT', 'door/passcode', { role: 'builder', passcode: PASS.builder });
    await alone.stop();
    const secure = new Serving({ place: { host: SHOP, open: true, names: [] }, certificate });
    Object.assign(secure, { folder: serving.folder, databaseFile: serving.databaseFile });
    await secure.start();
    const cookie = await new Promise<string>((resolve, reject) => {
      const sent = httpsRequest(
        {
          host: SHOP,
          port: secure.port,
          path: '/api/door',
          method: 'POST',
          rejectUnauthorized: false,
          headers: { 'Content-Type': 'application/json' },
        },
        (response) => resolve(String(response.headers['set-cookie'])),
      );
      sent.on('error', reject);
      sent.end(JSON.stringify({ passcode: PASS.builder }));
    });
    expect(cookie).toMatch(/; Secure/);
    await secure.end();
  });
});

describe('half-sent requests', () => {
  it('do not hold up a stop', async () => {
    const serving = new Serving();
    await serving.start();
    const sockets = [
      'GET /api/builds HTTP/1.1\r\nHost: 127.0.0.1\r\n',
      'POST /api/builds HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{"na',
      'GET /api/builds/x/events HTTP/1.1\r\nHost: 127.0.0.1\r\nAccept: text/event-stream\r\n\r\n',
    ].map((text) => {
      const socket = connect(serving.port, '127.0.0.1');
      socket.on('error', () => undefined);
      socket.write(text);
      return socket;
    });
    await new Promise((resolve) => setTimeout(resolve, 100));
    const before = Date.now();
    await serving.end();
    expect(Date.now() - before).toBeLessThan(5000);
    sockets.forEach((socket) => socket.destroy());
  });
});
