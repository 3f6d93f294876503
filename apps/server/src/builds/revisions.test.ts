import fc from 'fast-check';
import Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { RevisionSummary, StoredBuild, StoredRevision } from '@larchwood/contract';
import { DAY } from '../database/backups.js';
import { ThinningService } from '../keeping/thinning.service.js';
import { Serving } from '../testing/serving.js';
import { SITTING } from './builds.service.js';
import { ALL_FOR, DAILY_FOR, thinned, type Entry } from './thinning.js';

let serving: Serving;
beforeEach(async () => {
  serving = new Serving();
  await serving.start();
});
afterEach(() => serving.end());
const call: Serving['call'] = (...asked) => serving.call(...asked);

describe('revisions', () => {
  const save = (build: StoredBuild, notes: string, more: object = {}) =>
    call<StoredBuild>('PUT', `builds/${build.id}`, {
      ...{ revision: build.revision, document: { ...build.document, notes }, ...more },
    }).then(({ body }) => body);
  const revisions = async (id: string) =>
    (await call<RevisionSummary[]>('GET', `builds/${id}/revisions`)).body.map(({ revision }) => revision);

  it('saves of one window by itself are one; of another window, named or used ones stay', async () => {
    const first = await serving.make('Folded');
    const mine = { sitting: 'a', by: 'Ulla' };
    let build = await save(first, '1', mine);
    build = await save(build, '2', mine);
    build = await save(build, '3', mine);
    expect(await revisions(first.id)).toEqual([4, 1]);
    const marked = await call<RevisionSummary>('PATCH', `builds/${first.id}/revisions/4`, {
      usedFor: 'Patterns printed',
    });
    expect(marked.body).toMatchObject({ usedFor: ['Patterns printed'], by: 'Ulla' });
    build = await save(build, '4', mine);
    build = await save(build, '5', { sitting: 'b' });
    build = await save(build, '6', mine);
    expect(await revisions(first.id)).toEqual([7, 6, 5, 4, 1]);
    await call('PATCH', `builds/${first.id}/revisions/7`, { name: ' Before paint ' });
    await save(build, '7', mine);
    const all = (await call<RevisionSummary[]>('GET', `builds/${first.id}/revisions`)).body;
    expect(all.map(({ name }) => name)).toEqual([
      undefined,
      'Before paint',
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
    const kept = (await call<StoredRevision>('GET', `builds/${first.id}/revisions/4`)).body;
    expect(kept).toMatchObject({ document: { notes: '3' } });
    expect((await call('PATCH', `builds/${first.id}/revisions/4`, { name: 'two\nlines' })).status).toBe(400);
    expect((await call('PATCH', `builds/${first.id}/revisions/99`, { name: 'x' })).status).toBe(404);
  });

  it.each([
    ['a pause a moment too short', SITTING.pause - 5000, 1],
    ['a pause just long enough', SITTING.pause + 1, 2],
  ])('%s ends no sitting or ends it', async (_, pause, count) => {
    const mine = { sitting: 'a' };
    const build = await save(await serving.make('Pausing'), '1', mine);
    const database = new Database(serving.databaseFile);
    database.exec(`update revision set saved_at = saved_at - ${pause}, began_at = began_at - ${pause}`);
    database.close();
    await save(build, '2', mine);
    expect(await revisions(build.id)).toHaveLength(1 + count);
  });
  it.each([
    ['within the longest', SITTING.longest - 5000, 1],
    ['beyond it', SITTING.longest + 1, 2],
  ])('a sitting without a pause goes on %s', async (_, since, count) => {
    const mine = { sitting: 'a' };
    const build = await save(await serving.make('Sitting long'), '1', mine);
    const database = new Database(serving.databaseFile);
    database.exec(`update revision set began_at = began_at - ${since}`);
    database.close();
    await save(build, '2', mine);
    expect(await revisions(build.id)).toHaveLength(1 + count);
    // Another who is at work in the same window is another revision.
    const { body } = await call<StoredBuild>('GET', `builds/${build.id}`);
    await save(body, '3', { ...mine, by: 'Ulla' });
    expect(await revisions(build.id)).toHaveLength(2 + count);
  });

  it('the frame’s origin is stored once for all revisions, and comes back whole', async () => {
    const first = await serving.make('Origin');
    expect(first.document.frame.origin).toBeDefined();
    await save(first, 'more');
    await call('POST', `builds/${first.id}/duplicate`);
    const database = new Database(serving.databaseFile);
    const count = (table: string) =>
      database.prepare(`select count(*) as n from ${table}`).get() as { n: number };
    expect([count('part').n, count('revision').n]).toEqual([1, 3]);
    const stored = database.prepare('select document from revision limit 1').get() as { document: string };
    expect(stored.document.length).toBeLessThan(0.7 * JSON.stringify(first.document).length);
    database.close();
    expect((await call<StoredBuild>('GET', `builds/${first.id}`)).body.document).toEqual({
      ...first.document,
      notes: 'more',
    });
  });

  const now = new Date(Date.UTC(2030, 5, 15, 12));
  const entry = fc.record({ age: fc.double({ min: 0, max: 900, noNaN: true }), kept: fc.boolean() });
  it('thinning never takes what is young, kept, first or newest, and leaves one a day, then one a month', () =>
    fc.assert(
      fc.property(fc.array(entry, { minLength: 1, maxLength: 60 }), (list) => {
        const entries: Entry[] = [...list]
          .sort((a, b) => b.age - a.age)
          .map(({ age, kept }, place) => ({
            number: place + 1,
            kept,
            savedAt: new Date(now.getTime() - age * DAY),
          }));
        const gone = new Set(thinned(entries, now));
        const left = entries.filter(({ number }) => !gone.has(number));
        const mustStay = entries.filter(
          ({ number, kept, savedAt }) =>
            kept ||
            number === 1 ||
            number === entries.length ||
            now.getTime() - savedAt.getTime() <= ALL_FOR * DAY,
        );
        expect(mustStay.every(({ number }) => !gone.has(number))).toBe(true);
        // Every day that had one has one, up to a year; every month beyond.
        const age = ({ savedAt }: Entry) => (now.getTime() - savedAt.getTime()) / DAY;
        const spans = (of: readonly Entry[]) =>
          new Set(of.map((each) => each.savedAt.toISOString().slice(0, age(each) > DAILY_FOR ? 7 : 10)));
        expect(spans(left)).toEqual(spans(entries));
        const others = left.filter((each) => !mustStay.includes(each));
        expect(spans(others).size).toBe(others.length);
        expect(thinned(left, now)).toEqual([]);
      }),
    ));

  it('the hourly thinning does so in the file, with the parts nobody needs any more, unless it is turned off', async () => {
    const first = await serving.make('Thin');
    let build = first;
    for (const notes of ['1', '2', '3']) build = await save(build, notes);
    const database = new Database(serving.databaseFile);
    database.exec(`update revision set saved_at = saved_at - ${40 * DAY}`);
    database.exec(`insert into part (hash, json) values ('unused', '{}')`);
    database.close();
    const thinning = serving.app.get(ThinningService);
    await call('PUT', 'workshop', { thinning: false });
    expect(await thinning.run()).toBe(0);
    await call('PUT', 'workshop', { thinning: true });
    expect(await thinning.run()).toBe(2);
    expect(await revisions(first.id)).toEqual([4, 1]);
    const after = new Database(serving.databaseFile);
    expect(after.prepare('select hash from part').all()).toHaveLength(1);
    after.close();
    expect((await call('PUT', 'workshop', { thinning: 'maybe' })).status).toBe(400);
  });
});
