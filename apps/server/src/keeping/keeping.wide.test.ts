import {
  copyFileSync,
  openSync,
  readdirSync,
  readFileSync,
  writeFileSync,
  writeSync,
  closeSync,
} from 'node:fs';
import { join } from 'node:path';
import Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { MikroORM } from '@mikro-orm/core';
import type { BackupSummary, BuildSummary, Keeping, Problem, RevisionSummary } from '@larchwood/contract';
import { backUp, backUpDaily, backupFolder, backupsOf, DAY, KEPT, restore } from '../database/backups.js';
import { check } from '../database/check.js';
import { EXIT, type DatabaseTrouble } from '../database/trouble.js';
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
