import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import Database from 'libsql';
import { KINDS, without } from '@larchwood/core';
import { BuildSchema } from '@larchwood/format';
import type { BuildSummary, Problem, RevisionSummary, StoredBuild } from '@larchwood/contract';
import { Serving } from './testing/serving.js';

const serving = new Serving();
const { call, make, databaseFile } = serving;
beforeAll(serving.start);
afterAll(serving.end);

describe('builds over HTTP, on a real SQLite file', () => {
  it('makes, lists, renames, duplicates, deletes and brings back', async () => {
    const build = await make('  First  ');
    expect(build).toMatchObject({
      name: 'First',
      revision: 1,
      document: { stance: { held: { headAngle: 72.5 } } },
    });
    expect((await call<StoredBuild>('PATCH', `builds/${build.id}`, { name: 'Renamed' })).body).toMatchObject({
      name: 'Renamed',
      revision: 2,
      document: { name: 'Renamed' },
    });
    const twin = (await call<StoredBuild>('POST', `builds/${build.id}/duplicate`)).body;
    expect(twin.name).toBe('Renamed (copy)');
    expect((await call('DELETE', `builds/${build.id}`)).status).toBe(204);
    const names = async () => (await call<BuildSummary[]>('GET', 'builds')).body.map((each) => each.name);
    expect(await names()).toEqual(['Renamed (copy)']);
    expect((await call('GET', `builds/${build.id}`)).status).toBe(404);
    await call('POST', `builds/${build.id}/bring-back`);
    expect((await names()).sort()).toEqual(['Renamed', 'Renamed (copy)']);
  });

  it('makes a first build of every kind, and refuses a set of another kind', async () => {
    for (const { id: kind, startingSets } of KINDS) {
      const body = { name: `A ${kind}`, kind, startingSet: startingSets[0]!.id };
      const { status, body: build } = await call<StoredBuild>('POST', 'builds', body);
      expect([status, build.kind, build.document.kind]).toEqual([201, kind, kind]);
    }
    const wrong = await call<Problem>('POST', 'builds', { name: 'Wrong', kind: 'kart', startingSet: 'road' });
    expect([wrong.status, wrong.body.message]).toEqual([422, expect.stringContaining('starting set “road”')]);
  });

  it('serves what an earlier version stored as this one writes it, its revisions too', async () => {
    const build = await make('Old');
    const held = without(
      build.document.stance.held,
      ...['frontTravel', 'frontSag', 'rearTravel', 'rearSag'],
      ...['saddleHeight', 'saddleBack', 'trunkLean', 'barReach', 'barRise', 'barWidth'],
    );
    const old = JSON.stringify({
      ...without(build.document, 'brief', 'seat', 'mass'),
      version: 1,
      stance: { held, forkMeasured: 'straight' },
    });
    const database = new Database(databaseFile);
    database.prepare('update build set document = ? where id = ?').run(old, build.id);
    database.prepare('update revision set document = ? where build_id = ?').run(old, build.id);
    database.close();
    expect((await call<StoredBuild>('GET', `builds/${build.id}`)).body.document).toMatchObject({
      version: 12,
      stance: { held: { axleToCrown: 383, frontTravel: 0, saddleHeight: 725 } },
      mass: { lumps: expect.arrayContaining([expect.objectContaining({ name: 'Front wheel' })]) },
    });
    const back = await call<StoredBuild>('POST', `builds/${build.id}/restore`, { revision: 1 });
    expect([back.status, back.body.document.version]).toEqual([201, 12]);
  });

  it('a stored document that no longer reads is answered with its faults, never served, and exported as it is', async () => {
    const build = await make('Broken');
    const broken = { ...build.document, paper: { ...build.document.paper, thickness: -1 } };
    const database = new Database(databaseFile);
    database.prepare('update build set document = ? where id = ?').run(JSON.stringify(broken), build.id);
    database.close();
    for (const [method, path] of [
      ['GET', ''],
      ['POST', '/duplicate'],
    ] as const) {
      const { status, body } = await call<Problem>(method, `builds/${build.id}${path}`);
      expect([status, body.faults?.map((fault) => fault.path)]).toEqual([422, ['/paper/thickness']]);
    }
    expect((await call<object>('GET', `builds/${build.id}/export`)).body).toEqual(broken);
    // Its revisions read still, and one brought back mends it.
    const back = await call<StoredBuild>('POST', `builds/${build.id}/restore`, { revision: 1 });
    expect([back.status, back.body.document]).toEqual([201, build.document]);
  });

  it('keeps every save as a revision and brings one back as a new one', async () => {
    const build = await make('Revised');
    const held = { ...build.document.stance.held, headAngle: 71 };
    await call('PUT', `builds/${build.id}`, {
      revision: 1,
      document: { ...build.document, stance: { ...build.document.stance, held } },
    });
    const back = (await call<StoredBuild>('POST', `builds/${build.id}/restore`, { revision: 1 })).body;
    expect(back).toMatchObject({ revision: 3, document: { stance: { held: { headAngle: 72.5 } } } });
    const list = (await call<RevisionSummary[]>('GET', `builds/${build.id}/revisions`)).body;
    expect(list.map(({ revision, reason }) => [revision, reason])).toEqual([
      [3, 'brought back revision 1'],
      [2, 'edited'],
      [1, 'new build'],
    ]);
    expect((await call('GET', `builds/${build.id}/revisions/9`)).status).toBe(404);
  });

  it('answers a save over an older revision with both sides, and overwrites nothing', async () => {
    const build = await make('Contested');
    const save = (notes: string, revision: number) =>
      call<StoredBuild & Problem>('PUT', `builds/${build.id}`, {
        revision,
        document: { ...build.document, notes },
      });
    // Two savers at once: one wins, one is told.
    const answers = await Promise.all([save('mine', 1), save('theirs', 1)]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409]);
    const lost = answers.find((answer) => answer.status === 409)!.body;
    const won = answers.find((answer) => answer.status === 200)!.body;
    expect(lost.current).toMatchObject({ revision: 2, document: { notes: won.document.notes } });
    expect((await call<StoredBuild>('GET', `builds/${build.id}`)).body.document.notes).toBe(
      won.document.notes,
    );
  });

  it('answers the same save twice, when the first answer was lost, and names it to who asks', async () => {
    const build = await make('Lost answer');
    const save = (notes: string, revision: number, saveId: unknown) =>
      call<StoredBuild & Problem>('PUT', `builds/${build.id}`, {
        revision,
        document: { ...build.document, notes },
        saveId,
      });
    const first = await save('once', 1, 'save-a');
    expect(first.body).toMatchObject({ revision: 2, saveId: 'save-a' });
    const again = await save('once', 1, 'save-a');
    expect([again.status, again.body]).toEqual([200, first.body]);
    // Something else over the old revision is told whose save stands there.
    const other = await save('more', 1, 'save-b');
    expect(other.status).toBe(409);
    expect(other.body.current).toMatchObject({ revision: 2, saveId: 'save-a' });
    const list = (await call<RevisionSummary[]>('GET', `builds/${build.id}/revisions`)).body;
    expect(list).toHaveLength(2);
    // What the server changes by itself is nobody's save.
    const renamed = await call<StoredBuild>('PATCH', `builds/${build.id}`, { name: 'Found' });
    expect(renamed.body).not.toHaveProperty('saveId');
    for (const bad of ['', 'x'.repeat(61), 7]) expect((await save('bad', 3, bad)).status).toBe(400);
  });

  it('exports what it imports, and publishes its schema', async () => {
    const build = await make('Åland / "bike"');
    const response = await call<object>('GET', `builds/${build.id}/export`);
    expect(response.headers['content-disposition']).toContain('.larchwood.json');
    const again = await call<StoredBuild>('POST', 'builds/import', response.body);
    expect(again.status).toBe(201);
    expect(again.body.document).toEqual(build.document);
    expect((await call('GET', 'schema')).body).toEqual(JSON.parse(JSON.stringify(BuildSchema)));
  });

  it('is all there after the server was stopped and started again', async () => {
    const before = (await call<BuildSummary[]>('GET', 'builds')).body;
    await serving.stop();
    await serving.start();
    expect((await call<BuildSummary[]>('GET', 'builds')).body).toEqual(before);
  });
});

describe('bad requests', () => {
  it.each([
    ['no name', 'POST', 'builds', { kind: 'bicycle', startingSet: 'road' }, 400, 'name'],
    ['a blank name', 'POST', 'builds', { name: '   ', kind: 'bicycle', startingSet: 'road' }, 400, 'name'],
    [
      'a name of two lines',
      'POST',
      'builds',
      { name: 'one\ntwo', kind: 'bicycle', startingSet: 'road' },
      400,
      'line ends',
    ],
    [
      'an unknown field',
      'POST',
      'builds',
      { name: 'x', kind: 'bicycle', startingSet: 'road', colour: 'red' },
      400,
      'colour',
    ],
    [
      'an unknown kind',
      'POST',
      'builds',
      { name: 'x', kind: 'hovercraft', startingSet: 'road' },
      400,
      'kind',
    ],
    ['an unknown set', 'POST', 'builds', { name: 'x', kind: 'bicycle', startingSet: 'lunar' }, 422, 'lunar'],
    ['no JSON', 'POST', 'builds', '{"name": ', 400, 'cannot be read'],
    [
      'a document that is none',
      'POST',
      'builds/import',
      { format: 'larchwood-build', version: 1 },
      422,
      'not a build',
    ],
    ['a list', 'POST', 'builds/import', [1, 2], 422, 'not a build'],
    ['a save without a revision', 'PUT', 'builds/none', { document: {} }, 400, 'revision'],
    ['a build that is not there', 'GET', 'builds/none', undefined, 404, 'none'],
    ['a path that is not there', 'GET', 'nothing', undefined, 404, 'nothing'],
    [
      '20 MB of rubbish',
      'POST',
      'builds/import',
      JSON.stringify({ rubbish: 'x'.repeat(20 * 1024 * 1024) }),
      413,
      '4 MB',
    ],
  ])('%s', async (_, method, path, body, status, word) => {
    const answer = await call<Problem>(method, path, body);
    expect(answer.status).toBe(status);
    expect(answer.body.message).toContain(word);
  });
  it('names the path of each fault', async () => {
    const { document } = await make('Faulty');
    const wrong = {
      ...document,
      units: { length: 'cubits', denominator: 32 },
      paper: without(document.paper, 'thickness'),
    };
    const answer = await call<Problem>('POST', 'builds/import', wrong);
    expect(answer.body.faults?.map((fault) => fault.path).sort()).toEqual([
      '/paper/thickness',
      '/units/length',
    ]);
  });
  it('the server stays up after all that', async () => {
    expect((await call('GET', 'builds')).status).toBe(200);
  });
});
