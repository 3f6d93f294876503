import { MikroORM } from '@mikro-orm/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Problem, StoredItem, StoredShop } from '@larchwood/contract';
import { findSchool, standardProfile } from '@larchwood/core';
import { SHOP_LISTS, USUAL_SAWING } from '@larchwood/format';
import { Serving } from '../testing/serving.js';

const serving = new Serving();
const { call } = serving;
beforeAll(serving.start);
afterAll(serving.end);

const offcut = { section: 'round-25.4x1.6', material: 'mild-steel', length: 812, note: 'from the cruiser' };
const keep = (place: string, item: unknown, over = 0, saveId?: string) =>
  call<StoredItem & Problem>('PUT', `shop/${place}`, { item, over, ...(saveId ? { saveId } : {}) });
const all = async () => (await call<StoredShop>('GET', 'shop')).body;
const faultsOf = ({ status, body }: { status: number; body: Problem }) => [
  status,
  body.faults?.map(({ path }) => path),
];

describe('the workshop’s lists', () => {
  it('are kept an item an id, in the order in which they came; a wrong item is told by its path', async () => {
    expect(await all()).toEqual(Object.fromEntries(Object.keys(SHOP_LISTS).map((list) => [list, {}])));
    expect((await keep('rack/b', offcut)).body).toEqual({ revision: 1, item: offcut });
    await keep('rack/a', { ...offcut, length: 300 });
    expect((await keep('rack/b', { ...offcut, length: 700 }, 1)).body.revision).toBe(2);
    const { rack } = await all();
    expect(Object.entries(rack).map(([id, { item, revision }]) => [id, item.length, revision])).toEqual([
      ['b', 700, 2],
      ['a', 300, 1],
    ]);
    expect(faultsOf(await keep('rack/c', { ...offcut, length: 0 }))).toEqual([422, ['/length']]);
    expect((await keep('rack/no%20id', offcut)).status).toBe(422);
    expect((await keep('moon/a', offcut)).status).toBe(404);
    for (const [item, over] of [
      [7, 0],
      [offcut, -1],
      [offcut, undefined],
      [offcut, 'x'],
    ] as const)
      expect((await call('PUT', 'shop/rack/a', { item, over })).status, String(over)).toBe(400);
    expect((await call('DELETE', 'shop/rack/a')).status).toBe(400);
    expect((await call('DELETE', 'shop/rack/a?over=1')).status).toBe(204);
    expect((await call('DELETE', 'shop/rack/a?over=1')).status).toBe(404);
  });

  it('riders and fixtures are lists as all others; a scale that runs backwards is told', async () => {
    const rider = { name: 'Wilma', stature: 1910, mass: 82, inseam: 905 };
    expect((await keep('riders/wilma', rider)).body.item).toEqual(rider);
    expect(faultsOf(await keep('riders/nobody', { ...rider, stature: 30 }))).toEqual([422, ['/stature']]);
    const profile = standardProfile(findSchool('table')!);
    expect((await keep('fixtures/table', profile)).body.item).toEqual(profile);
    const scale = { zero: 0, direction: 1, step: 0.5, low: 9, high: 2 };
    expect(faultsOf(await keep('fixtures/other', { ...profile, scales: { tape: scale } }))).toEqual([
      422,
      ['/scales/tape/low'],
    ]);
  });

  it('nothing is overwritten: over an older revision the item as it stands is answered', async () => {
    await keep('sawing/usual', USUAL_SAWING);
    const { body: other } = await keep('sawing/usual', { ...USUAL_SAWING, kerf: 1 }, 1, 'other');
    const refused = await keep('sawing/usual', { ...USUAL_SAWING, trim: 9 }, 1);
    expect([refused.status, refused.body.currentItem]).toEqual([409, other]);
    expect(refused.body.message).toContain('Nothing was overwritten');
    expect((await call<Problem>('DELETE', 'shop/sawing/usual?over=1')).body.currentItem).toEqual(other);
    // The same again, because its answer was lost; and the same by somebody else.
    expect((await keep('sawing/usual', { ...USUAL_SAWING, kerf: 1 }, 1, 'other')).body).toEqual(other);
    expect((await keep('sawing/usual', { ...USUAL_SAWING, kerf: 1 }, 0, 'third')).body).toEqual(other);
    expect((await all()).sawing).toEqual({ usual: other });
    await call('DELETE', 'shop/sawing/usual?over=2');
    const gone = await keep('sawing/usual', { ...USUAL_SAWING, trim: 9 }, 2);
    expect([gone.status, gone.body.currentItem]).toEqual([409, null]);
  });

  it('of several who keep one new item at once one is first, the others are told', async () => {
    const many = await Promise.all(
      Array.from({ length: 8 }, (_, index) => keep('rack/new', { ...offcut, length: 100 + index })),
    );
    const statuses = many.map(({ status }) => status).sort();
    expect(statuses).toEqual([200, ...Array<number>(7).fill(409)]);
    const first = many.find(({ status }) => status === 200)!;
    expect((await all()).rack.new).toEqual(first.body);
  });
});

describe('a workshop of an earlier version', () => {
  it('keeps its riders and fixtures when they become lists, and can go back', async () => {
    const rider = { name: 'Hedda', stature: 1720, mass: 68, inseam: 800 };
    const profile = { ...standardProfile(findSchool('table')!), name: 'The yard’s' };
    const old = new Serving();
    await old.start();
    const put = (place: string, item: unknown) => old.call('PUT', `shop/${place}`, { item, over: 0 });
    await put('riders/a', rider);
    await put('fixtures/b', profile);
    await put('sawing/usual', USUAL_SAWING);
    // As it was before: a table for each.
    const orm = old.app.get(MikroORM);
    await orm.getMigrator().down();
    const rows = async (table: string) =>
      (await orm.em.getConnection().execute(`select * from ${table}`)).length;
    expect([await rows('rider'), await rows('profile'), await rows('shop_item')]).toEqual([1, 1, 1]);
    await orm.getMigrator().up();
    const { riders, fixtures, sawing } = (await old.call<StoredShop>('GET', 'shop')).body;
    const items = (list: Readonly<Record<string, StoredItem<unknown>>>) =>
      Object.values(list).map(({ item, revision }) => [item, revision]);
    expect([items(riders), items(fixtures), items(sawing)]).toEqual([
      [[rider, 1]],
      [[profile, 1]],
      [[USUAL_SAWING, 1]],
    ]);
    await old.end();
  });
});
