import { mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { randomBytes } from 'node:crypto';
import { request } from 'node:http';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { standardProfile, findSchool } from '@larchwood/core';
import { USUAL_SAWING } from '@larchwood/format';
import type { BuildSummary, Problem, StoredShop, TakenIn } from '@larchwood/contract';
import { Changes } from '../changes/changes.js';
import { Serving } from '../testing/serving.js';

let serving: Serving;
beforeEach(async () => {
  serving = new Serving();
  await serving.start();
});
afterEach(() => serving.end().catch(() => undefined));

const call: Serving['call'] = (...asked) => serving.call(...asked);
const list = async () => (await call<BuildSummary[]>('GET', 'builds')).body.map(({ name }) => name).sort();

describe('the whole workshop as one zip', () => {
  const rider = { name: 'Wilma', stature: 1700, mass: 70 };
  const REST = { section: 'round-25.4x1.6', material: 'mild-steel', length: 812, note: '' };
  it('goes out and comes in again elsewhere, and is not doubled where it is', async () => {
    await serving.make('One');
    const two = await serving.make('Two');
    const keep = (place: string, item: unknown) => call('PUT', `shop/${place}`, { item, over: 0 });
    await keep('riders/wilma', rider);
    await keep('fixtures/table', standardProfile(findSchool('table')!));
    await keep('sawing/usual', USUAL_SAWING);
    const on = { build: two.id, on: '2026-12-01' };
    await keep('entries/words', { ...on, sort: 'note', text: 'Of the second.' });
    await keep('rack/rest', { ...REST, cameFrom: { build: two.id, bar: 'b1' } });
    const jpeg = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), randomBytes(300_000)]);
    const picture = await call<{ id: string }>('POST', 'pictures', jpeg, { 'Content-Type': 'image/jpeg' });
    const { body: zip, headers } = await call<Buffer>('GET', 'workshop/zip');
    expect(headers['content-disposition']).toContain('.zip');
    expect(Object.keys(unzipSync(zip))).toEqual([
      expect.stringMatching(/^builds\/one-[0-9a-f]{8}\.larchwood\.json$/),
      expect.stringMatching(/^builds\/two-/),
      'builds.json',
      'riders.json',
      'fixtures.json',
      'shop.json',
      `pictures/${picture.body.id}.jpg`,
    ]);
    // A picture is packed already, and not packed again.
    expect(zip.includes(jpeg)).toBe(true);
    expect((await call<Buffer>('GET', 'workshop/zip')).body.equals(zip)).toBe(true);
    const here = await call<TakenIn>('POST', 'workshop/zip', zip, { 'Content-Type': 'application/zip' });
    expect(here.body).toEqual({
      builds: 2,
      riders: 0,
      profiles: 0,
      items: 0,
      left: ['Wilma', expect.any(String)],
    });
    expect(await list()).toEqual(['One', 'One', 'Two', 'Two']);
    const elsewhere = new Serving();
    await elsewhere.start();
    const there = await elsewhere.call<TakenIn>('POST', 'workshop/zip', zip, {
      'Content-Type': 'application/zip',
    });
    expect([there.status, there.body]).toEqual([
      201,
      { builds: 2, riders: 1, profiles: 1, items: 3, left: [] },
    ]);
    // What the lists say of a build they say of the one that it has become.
    const builds = (await elsewhere.call<BuildSummary[]>('GET', 'builds')).body;
    const become = builds.find(({ name }) => name === 'Two')!.id;
    const { entries, rack } = (await elsewhere.call<StoredShop>('GET', 'shop')).body;
    expect([entries.words!.item.build, rack.rest!.item.cameFrom]).toEqual([
      become,
      { build: become, bar: 'b1' },
    ]);
    expect(become).not.toBe(two.id);
    const shown = await elsewhere.call<Buffer>('GET', `pictures/${picture.body.id}`);
    expect(shown.body.equals(jpeg)).toBe(true);
    const again = (await elsewhere.call<Buffer>('GET', 'workshop/zip')).body;
    expect(Object.keys(unzipSync(again))).toHaveLength(7);
    await elsewhere.end();
  });

  it('one that is left in the middle leaves the server as it was; several that ask at once each get the whole', async () => {
    await serving.make('One');
    const type = { 'Content-Type': 'image/jpeg' };
    for (let count = 0; count < 6; count += 1)
      await call(
        'POST',
        'pictures',
        Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), randomBytes(3e6)]),
        type,
      );
    await new Promise<void>((left) => {
      const asked = request({ host: '127.0.0.1', port: serving.port, path: '/api/workshop/zip' }, (answer) =>
        answer.once('data', () => asked.destroy()),
      );
      asked.on('close', left);
      asked.on('error', () => undefined);
      asked.end();
    });
    const both = await Promise.all([1, 2].map(() => call<Buffer>('GET', 'workshop/zip')));
    for (const { status, body } of both)
      expect([status, Object.keys(unzipSync(body)).length]).toEqual([200, 5 + 6]);
  });
  it('leaves nothing beside the workshop’s file, and what a killed server left there goes at the next start', async () => {
    const beside = () => readdirSync(serving.folder).filter((name) => name.includes('taken-in'));
    await call('POST', 'workshop/zip', Buffer.from('no zip'), { 'Content-Type': 'application/zip' });
    expect(beside()).toEqual([]);
    await serving.stop();
    const other = join(serving.folder, 'other.sqlite.taken-in-b');
    mkdirSync(`${serving.databaseFile}.taken-in-a`);
    mkdirSync(other);
    writeFileSync(join(`${serving.databaseFile}.taken-in-a`, 'workshop.zip'), 'half of it');
    await serving.start();
    // Another workshop’s in the same folder is its own.
    expect(beside()).toEqual(['other.sqlite.taken-in-b']);
  });
  it('open windows are told once of all that came in, and when it is there', async () => {
    const rack = Object.fromEntries(Array.from({ length: 40 }, (_, index) => [`r${index}`, REST]));
    const zip = Buffer.from(zipSync({ 'shop.json': strToU8(JSON.stringify({ rack })) }));
    const told: number[] = [];
    const line = serving.app
      .get(Changes)
      .line('none')
      .subscribe(async (notice) => {
        if (typeof notice !== 'string' && 'shop' in notice)
          told.push(Object.keys((await call<StoredShop>('GET', 'shop')).body.rack).length);
      });
    await call('POST', 'workshop/zip', zip, { 'Content-Type': 'application/zip' });
    await expect.poll(() => told).toEqual([40]);
    line.unsubscribe();
  });

  it('anything wrong in it is named by file and path, and nothing is taken in', async () => {
    const build = await serving.make('Good');
    const file = (value: unknown) => strToU8(JSON.stringify(value));
    const wrong = zipSync({
      'builds/a.larchwood.json': file(build.document),
      'builds/b.larchwood.json': file({ ...build.document, notes: 7 }),
      'riders.json': file([rider, { ...rider, stature: 3 }, null]),
      'fixtures.json': file([{ school: 'moon' }]),
      'shop.json': file({ sawing: { usual: { ...USUAL_SAWING, kerf: -1 } } }),
    });
    const type = { 'Content-Type': 'application/zip' };
    const answer = await call<Problem>('POST', 'workshop/zip', Buffer.from(wrong), type);
    expect(answer.status).toBe(422);
    const paths = answer.body.faults!.map(({ path }) => path);
    for (const path of [
      'builds/b.larchwood.json/notes',
      'riders.json/1/stature',
      'riders.json/2',
      'fixtures.json/0/school',
      'shop.json/sawing/usual/kerf',
    ])
      expect(paths).toContain(path);
    // A file that does not read is not passed over as if it were not there.
    for (const name of ['riders.json', 'fixtures.json', 'shop.json'])
      for (const broken of ['[{"name":', '"7"'])
        expect(
          (
            await call<Problem>(
              'POST',
              'workshop/zip',
              Buffer.from(zipSync({ [name]: strToU8(broken) })),
              type,
            )
          ).body.faults?.[0]?.path,
        ).toMatch(new RegExp(`^${name}/?$`));
    expect(await list()).toEqual(['Good']);
    for (const bad of [
      Buffer.from('no zip'),
      Buffer.from(zipSync({ 'readme.txt': strToU8('x') })),
      Buffer.alloc(0),
    ])
      expect((await call('POST', 'workshop/zip', bad, type)).status).toBe(400);
    const bomb = zipSync({ 'builds/a.larchwood.json': new Uint8Array(20e6) });
    const refused = await call<Problem>('POST', 'workshop/zip', Buffer.from(bomb), type);
    expect([refused.status, refused.body.message]).toEqual([
      400,
      expect.stringContaining('more than a workshop'),
    ]);
  });
});
