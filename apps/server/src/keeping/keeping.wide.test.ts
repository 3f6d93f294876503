import {
  copyFileSync,
  mkdirSync,
  openSync,
  readdirSync,
  readFileSync,
  writeFileSync,
  writeSync,
  closeSync,
} from 'node:fs';
import { randomBytes } from 'node:crypto';
import { request } from 'node:http';
import { join } from 'node:path';
import Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { MikroORM } from '@mikro-orm/core';
import { strToU8, unzipSync, zipSync } from 'fflate';
import { standardProfile, findSchool } from '@larchwood/core';
import { USUAL_SAWING } from '@larchwood/format';
import type {
  BackupSummary,
  BuildSummary,
  Keeping,
  Problem,
  RevisionSummary,
  StoredShop,
  TakenIn,
} from '@larchwood/contract';
import { backUp, backUpDaily, backupFolder, backupsOf, DAY, KEPT, restore } from '../database/backups.js';
import { check } from '../database/check.js';
import { EXIT, type DatabaseTrouble } from '../database/trouble.js';
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
const saying = (run: () => unknown): [number, string] => {
  try {
    run();
  } catch (error) {
    return [(error as DatabaseTrouble).exitCode, (error as Error).message];
  }
  return [0, ''];
};
const troubled = async (): Promise<[number, string]> =>
  serving.start().then(
    () => [0, ''],
    (error: DatabaseTrouble) => [error.exitCode, error.message],
  );

describe('backups', () => {
  it('a copy is whole, made while the server works, and put back with what was there kept', async () => {
    await serving.make('Kept');
    const made = await call<BackupSummary>('POST', 'workshop/backups');
    expect([made.status, made.body.reason]).toEqual([201, 'by-hand']);
    await serving.make('Later');
    const file = join(backupFolder(serving.databaseFile), made.body.name);
    expect(saying(() => restore(serving.databaseFile, file))).toEqual([
      EXIT.inUse,
      expect.stringContaining('Stop that one'),
    ]);
    await serving.stop();
    const { builds, keptAs } = restore(serving.databaseFile, file);
    expect(builds).toBe(1);
    await serving.start();
    expect(await list()).toEqual(['Kept']);
    await serving.stop();
    restore(serving.databaseFile, keptAs!);
    await serving.start();
    expect(await list()).toEqual(['Kept', 'Later']);
    const reasons = (await call<Keeping>('GET', 'workshop')).body.backups.map(({ reason }) => reason);
    expect(reasons.sort()).toEqual(['before-restore', 'before-restore', 'by-hand']);
  });

  it('a clean stop leaves one whole file: it alone, copied, holds everything', async () => {
    await serving.make('Whole');
    await serving.stop();
    const copy = join(serving.folder, 'copy.sqlite');
    copyFileSync(serving.databaseFile, copy);
    expect(check(copy)).toEqual({ pending: [], builds: 1, revisions: 1 });
    await serving.start();
  });

  it('nobody waits for a backup: who asks after it was begun is answered before it is made', async () => {
    await serving.make('Answered');
    const answered: string[] = [];
    const said = (what: string) => (): void => void answered.push(what);
    const backup = call('POST', 'workshop/backups').then(said('backup'));
    await Promise.all([backup, call('GET', 'builds').then(said('builds'))]);
    expect(answered).toEqual(['builds', 'backup']);
  });

  it('what hinders a backup is told by the thread in words', async () => {
    await serving.make('Hindered');
    writeFileSync(backupFolder(serving.databaseFile), 'in the way');
    const refused = await call<{ message: string }>('POST', 'workshop/backups');
    expect(refused.status).toBeGreaterThanOrEqual(500);
    expect(refused.body.message).toContain('cannot be written');
  });

  it(`one a day by itself, the last ${KEPT} kept, those by hand too`, () => {
    const day = (count: number) => new Date(Date.UTC(2030, 0, 1) + count * DAY);
    const byHand = backUp(serving.databaseFile, 'by-hand', day(0));
    expect(backUpDaily(serving.databaseFile, day(0))?.reason).toBe('daily');
    expect(backUpDaily(serving.databaseFile, new Date(day(1).getTime() - 1000))).toBeUndefined();
    for (let count = 1; count <= KEPT; count += 1) backUpDaily(serving.databaseFile, day(count));
    const found = backupsOf(serving.databaseFile);
    expect(found).toHaveLength(KEPT + 1);
    expect(found.map(({ name }) => name)).toContain(byHand.name);
    expect(found[0]!.madeAt).toBe(day(KEPT).toISOString());
    expect(readdirSync(backupFolder(serving.databaseFile)).some((name) => name.endsWith('.part'))).toBe(
      false,
    );
  });

  it.each([
    ['text', 'This is a shopping list. '.repeat(200), EXIT.damaged],
    ['nothing there', undefined, EXIT.usage],
  ])('restoring from %s changes nothing and says so', async (_, text, exitCode) => {
    await serving.make('Safe');
    await serving.stop();
    const before = readFileSync(serving.databaseFile);
    const file = join(serving.folder, 'other.sqlite');
    if (text !== undefined) writeFileSync(file, text);
    expect(saying(() => restore(serving.databaseFile, file))[0]).toBe(exitCode);
    expect(readFileSync(serving.databaseFile).equals(before)).toBe(true);
    await serving.start();
  });
});

describe('a file that cannot be used', () => {
  const overwritten = (at: number, bytes: Buffer) => {
    const handle = openSync(serving.databaseFile, 'r+');
    writeSync(handle, bytes, 0, bytes.length, at);
    closeSync(handle);
  };

  it('every page zeroed in turn is met by words and the newest good backup, or does no harm; nothing is overwritten', async () => {
    for (let count = 0; count < 6; count += 1) await serving.make(`Build ${count}`);
    await serving.stop();
    const good = backUp(serving.databaseFile, 'by-hand');
    const whole = readFileSync(serving.databaseFile);
    let met = 0;
    for (let at = 0; at < whole.length; at += 4096) {
      writeFileSync(serving.databaseFile, whole);
      overwritten(at, Buffer.alloc(4096));
      const before = readFileSync(serving.databaseFile);
      const [exitCode, message] = await troubled();
      if (exitCode === 0) {
        // Text of a document: the file is sound, and that build says that it does not read.
        for (const { id } of (await call<BuildSummary[]>('GET', 'builds')).body)
          expect([200, 422]).toContain((await call('GET', `builds/${id}`)).status);
        await serving.stop();
        continue;
      }
      met += 1;
      expect([EXIT.damaged, EXIT.notOurs]).toContain(exitCode);
      expect(message).not.toMatch(/\n\s+at /);
      if (exitCode === EXIT.damaged) expect(message).toContain(good.file);
      expect(readFileSync(serving.databaseFile).equals(before)).toBe(true);
    }
    expect(met).toBeGreaterThan(5);
    restore(serving.databaseFile, good.file);
    await serving.start();
    expect(await list()).toHaveLength(6);
  }, 60_000);

  it('a second server on it is refused, and the first goes on', async () => {
    const second = new Serving();
    Object.assign(second, { databaseFile: serving.databaseFile });
    await expect(second.start()).rejects.toMatchObject({ exitCode: EXIT.inUse });
    await serving.make('Still here');
    expect(await list()).toEqual(['Still here']);
  });

  it('one of a newer version is left as it is; an older one is backed up before it is brought up to date', async () => {
    await serving.make('Old');
    await serving.stop();
    const alter = (statement: string) => {
      const database = new Database(serving.databaseFile);
      database.exec(statement);
      database.exec('pragma wal_checkpoint(truncate)');
      database.close();
    };
    alter(`insert into mikro_orm_migrations (name) values ('2099-01-01-flying-frames')`);
    expect(await troubled()).toEqual([EXIT.newer, expect.stringContaining('2099-01-01-flying-frames')]);
    alter(`delete from mikro_orm_migrations where name like '2099%' or name like '%add-keeping'`);
    for (const table of ['session', 'setting', 'part']) alter(`drop table ${table}`);
    for (const column of ['sitting', 'name', 'used_for', '"by"', 'began_at'])
      alter(`alter table revision drop column ${column}`);
    await serving.start();
    expect(backupsOf(serving.databaseFile).map(({ reason }) => reason)).toContain('before-update');
    const [build] = (await call<BuildSummary[]>('GET', 'builds')).body;
    const [revision] = (await call<RevisionSummary[]>('GET', `builds/${build!.id}/revisions`)).body;
    expect(revision!.beganAt).toBe(revision!.savedAt);
  });

  it('another program’s database, and a place where none can be, are refused in words', async () => {
    await serving.stop();
    const theirs = new Serving();
    const database = new Database(theirs.databaseFile);
    database.exec('create table recipe (name text)');
    database.close();
    await expect(theirs.start()).rejects.toMatchObject({ exitCode: EXIT.notOurs });
    const nowhere = new Serving();
    Object.assign(nowhere, { databaseFile: join(theirs.databaseFile, 'shop.sqlite') });
    await expect(nowhere.start()).rejects.toMatchObject({ exitCode: EXIT.readOnly });
    await serving.start();
  });

  it('a disk that fills up is told, and what was saved before is safe', async () => {
    const build = await serving.make('Full');
    const connection = serving.app.get(MikroORM).em.getConnection();
    await connection.execute('pragma max_page_count = 1');
    const big = { ...build.document, notes: 'x'.repeat(19_000) };
    const answers = [];
    for (let revision = 1; revision < 40; revision += 1)
      answers.push(
        await call<Problem>('PUT', `builds/${build.id}`, {
          revision,
          document: { ...big, name: `N${revision}` },
        }),
      );
    const refused = answers.find(({ status }) => status !== 200)!;
    expect([refused.status, refused.body.message]).toEqual([507, expect.stringContaining('disk is full')]);
    expect(refused.body.message).not.toContain('/');
    await connection.execute('pragma max_page_count = 1000000');
    expect((await call('GET', `builds/${build.id}`)).status).toBe(200);
  });
});

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
