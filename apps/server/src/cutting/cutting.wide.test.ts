import { strToU8, zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { CutItem } from '@larchwood/core';
import type { CuttingTerms, PlacedOrder, Problem, Quote } from '@larchwood/contract';
import { Serving } from '../testing/serving.js';

/** Its day is a second. */
const serving = new Serving({ cuttingDay: 1 });
const { call } = serving;
beforeAll(serving.start);
afterAll(serving.end);

const tube: CutItem = {
  ...{ piece: 'seat', mark: '3', name: 'Seat tube', form: 'round', size: [32, 32], wall: 2 },
  ...{ material: 'mild-steel', length: 600, sharpest: 60, holes: [], bent: false, even: true },
};
const plate: CutItem = {
  ...tube,
  ...{
    piece: 'tab',
    mark: 'P4',
    name: 'Tab',
    form: 'plate',
    size: [80, 40],
    wall: 3,
    length: 80,
    sharpest: 90,
  },
};
const MM = { length: 'mm', denominator: 32 };
const quoted = async (items: readonly object[], display: object = MM) =>
  (await call<Quote & Problem>('POST', 'cutting/quotes', { items, ...display })).body;
const refusals = async (item: CutItem, display: object = MM) =>
  (await quoted([item], display)).pieces[0]!.refusals.map(({ text }) => text);

const STEP = (mark: string) =>
  `ISO-10303-21;\nDATA;\n#1=PRODUCT('${mark} Seat tube','',$,());\nEND-ISO-10303-21;\n`;
const square = (width: number, height: number) => {
  const corners = [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ];
  const line = ([x, y]: readonly number[], [u, v]: readonly number[]) =>
    `0\nLINE\n8\nCUT\n10\n${x}\n20\n${y}\n11\n${u}\n21\n${v}\n`;
  const lines = corners.map((corner, index) => line(corner, corners[(index + 1) % 4]!));
  return `0\nSECTION\n2\nENTITIES\n${lines.join('')}0\nENDSEC\n0\nEOF\n`;
};
let count = 0;
const order = (
  items: readonly CutItem[],
  price: number,
  files: Readonly<Record<string, string>>,
  key = `order-${(count += 1)}-test`,
) => {
  const named = items.map((item) => ({
    ...item,
    file: `${item.mark}.${item.form === 'plate' ? 'dxf' : 'step'}`,
  }));
  const page = JSON.stringify({ key, build: 'b-1', price, items: named });
  const zip = zipSync({
    'order.json': strToU8(page),
    ...Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])),
  });
  return call<PlacedOrder & Problem>('POST', 'cutting/orders', Buffer.from(zip), {
    'Content-Type': 'application/zip',
  });
};
const FILES = { '3.step': STEP('3'), 'P4.dxf': square(80, 40) };

describe('the stand-in for a cutting service', () => {
  it('says that it is one, and what it takes', async () => {
    const { body } = await call<CuttingTerms>('GET', 'cutting');
    expect(body).toMatchObject({ standIn: { day: 1 }, smallestWeb: 3, tolerance: 0.3 });
  });
  it('quotes what it can cut, more for more', async () => {
    const { pieces, price, days } = await quoted([tube, { ...tube, length: 1200 }, plate]);
    const [short, long, flat] = pieces.map((piece) => piece.price!);
    expect(long).toBeGreaterThan(short!);
    expect(price).toBeCloseTo(short! + long! + flat!, 6);
    expect(days).toBe(5);
    expect(await quoted([])).toMatchObject({ price: 0, days: 0 });
  });
  const hole = (diameter: number, web: number) => [{ name: 'bolt', diameter, web }];
  it.each<[string, Partial<CutItem>, Partial<CutItem>]>([
    ['largest tube', { size: [130, 130] }, { size: [130.1, 130.1] }],
    ['thinnest tube', { size: [12, 12] }, { size: [11.9, 11.9] }],
    ['longest', { length: 3000 }, { length: 3000.1 }],
    ['shortest', { length: 60 }, { length: 59.9 }],
    ['thinnest wall', { wall: 1 }, { wall: 0.9 }],
    ['thickest wall', { wall: 6 }, { wall: 6.1 }],
    ['metal', { material: 'stainless-304' }, { material: 'titanium-3-2.5' }],
    ['sharpest end', { sharpest: 30 }, { sharpest: 29.9 }],
    ['smallest hole', { holes: hole(2.5, 9) }, { holes: hole(2.4, 9) }],
    ['hole for its wall', { wall: 4, holes: hole(4, 9) }, { wall: 4, holes: hole(3.9, 9) }],
    ['web', { holes: hole(8, 3) }, { holes: hole(8, 2.9) }],
    ['bends', { bent: false }, { bent: true }],
    ['butts', { even: true }, { even: false }],
    [
      'sheet',
      { form: 'plate', size: [1250, 1000], length: 1250 },
      { form: 'plate', size: [1250, 1000.1], length: 1250 },
    ],
    ['plate', { form: 'plate', wall: 12 }, { form: 'plate', wall: 12.1 }],
    ['metal of plates', { form: 'plate' }, { form: 'plate', material: 'dom-1020' }],
  ])('keeps its limit of the %s: just inside and just outside', async (_, inside, outside) => {
    expect(await refusals({ ...tube, ...inside })).toEqual([]);
    const [said, ...more] = await refusals({ ...tube, ...outside });
    expect(said).toMatch(/^[A-Z0-9].*\.$/);
    expect(more).toEqual([]);
  });
  it('says all that is wrong, in the unit that it was asked in', async () => {
    const wrong = { ...tube, length: 50.8, holes: [{ name: 'vent', diameter: 1.5875, web: 1 }] };
    const said = await refusals(wrong, { length: 'fraction', denominator: 16 });
    expect(said).toHaveLength(3);
    // A limit is no fraction: as one it could read the same on both sides.
    expect(said[0]).toContain('2 in is too short to hold: 2.362 in at least');
    expect(said[1]).toContain('Vent: 0.063 in');
  });
  it('takes an order with a file of each piece, lets its days pass, and answers the same order the same', async () => {
    const { price } = await quoted([tube, plate]);
    const placed = await order([tube, plate], price, FILES, 'the-same-order');
    expect(placed.status).toBe(201);
    const { id } = placed.body;
    expect(placed.body).toMatchObject({ state: 'ordered', build: 'b-1', price });
    expect(id).toMatch(/^C-\d{4}$/);
    expect((await order([tube, plate], price, FILES, 'the-same-order')).body.id).toBe(id);
    const mine = async () => (await call<PlacedOrder[]>('GET', 'cutting/orders/of/b-1')).body;
    expect((await mine()).map((each) => each.id)).toEqual([id]);
    await expect.poll(async () => (await mine())[0]!.state, { timeout: 4000 }).toBe('cutting');
    const late = await call<Problem>('DELETE', `cutting/orders/${id}`);
    expect([late.status, late.body.message]).toEqual([409, expect.stringContaining('cut already')]);
    await expect.poll(async () => (await mine())[0]!.state, { timeout: 8000 }).toBe('sent');
    expect((await call<PlacedOrder[]>('GET', 'cutting/orders/of/b-2')).body).toEqual([]);
  }, 15_000);
  it('can be called off while it is not cut', async () => {
    const { price } = await quoted([tube]);
    const { id } = (await order([tube], price, FILES)).body;
    expect((await call('DELETE', `cutting/orders/${id}`)).status).toBe(204);
    expect((await call('DELETE', `cutting/orders/${id}`)).status).toBe(404);
    expect((await call('DELETE', 'cutting/orders/none')).status).toBe(404);
  });
  it.each<[string, () => ReturnType<typeof order>, number, string]>([
    ['a refused piece', () => order([{ ...tube, bent: true }], 1, FILES), 422, '3: It is bent'],
    ['another price', () => order([tube], 0.5, FILES), 409, 'it costs'],
    ['no file', () => order([tube], 1, {}), 422, '3.step is missing'],
    ['a file of another piece', () => order([tube], 1, { '3.step': STEP('4') }), 422, 'not piece 3'],
    ['half a file', () => order([tube], 1, { '3.step': STEP('3').slice(0, 60) }), 422, 'not all of one'],
    ['a drawing of another size', () => order([plate], 1, { 'P4.dxf': square(80, 41) }), 422, 'not as large'],
    ['a drawing that does not read', () => order([plate], 1, { 'P4.dxf': 'no drawing' }), 422, 'P4.dxf'],
    ['nothing', () => order([], 0, {}), 400, 'no piece in this order'],
    ['a piece with a path', () => order([{ ...tube, mark: '../3' }], 1, {}), 400, 'STEP or a DXF'],
    [
      'a piece without a length',
      () => order([{ ...tube, length: NaN }], 1, FILES),
      400,
      'length lies between',
    ],
  ])('orders nothing of %s, and says so', async (_, ask, status, words) => {
    const answer = await ask();
    expect([answer.status, answer.body.message]).toEqual([status, expect.stringContaining(words)]);
  });
  it('a body that is no zip, has no order, or asks for no piece at all is answered in words', async () => {
    const send = (body: Uint8Array) =>
      call<Problem>('POST', 'cutting/orders', Buffer.from(body), { 'Content-Type': 'application/zip' });
    expect((await send(strToU8('no zip'))).body.message).toContain('no zip');
    expect((await send(zipSync({ 'a.txt': strToU8('a') }))).body.message).toContain('order.json');
    expect((await send(zipSync({ 'order.json': strToU8('[]') }))).body.message).toContain('no order');
    expect((await call('POST', 'cutting/quotes', { items: [{ mark: '1' }], ...MM })).status).toBe(400);
    expect((await call('POST', 'cutting/quotes', { items: [tube] })).status).toBe(400);
  });
});
