import { describe, expect, it } from 'vitest';
import { ordersOf } from '@larchwood/core';
import { readFormat, type BuildDocument, type CutOrder } from '@larchwood/format';
import { made } from '../../../../testing/made.js';
import { dropOrder, putOrder, setArrived } from './orders';

const build = made('kart', 'ladder');
const sound = (document: BuildDocument): BuildDocument => {
  const read = readFormat(JSON.parse(JSON.stringify(document)));
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.document;
};
const order = (id: string, price = 120): CutOrder => ({
  ...{ id, service: 'Cutter', on: '2026-03-02', due: '2026-03-09', price, tolerance: 0.2, edges: 'sharp' },
  pieces: [{ piece: build.frame.members[0]!.id, mark: '1', length: 500, of: 'tube', figures: [25, 2] }],
});

describe('orders at a cutting service', () => {
  it('are put in once each, the same number in place of itself, and taken out again without a trace', () => {
    const one = sound(putOrder(order('A'))(build));
    const two = sound(putOrder(order('B'))(one));
    expect(ordersOf(two).map(({ id }) => id)).toEqual(['A', 'B']);
    expect(ordersOf(sound(putOrder(order('A', 99))(two))).map(({ id, price }) => [id, price])).toEqual([
      ['B', 120],
      ['A', 99],
    ]);
    expect(ordersOf(sound(dropOrder('A')(two))).map(({ id }) => id)).toEqual(['B']);
    const none = sound(dropOrder('B')(dropOrder('A')(two)));
    expect(none.cuts).not.toHaveProperty('orders');
    expect(dropOrder('never')(two)).toEqual(two);
  });
  it('that have come are a step that is done, and one that is not any more', () => {
    const now = new Date('2026-03-09T10:00:00Z');
    const here = sound(setArrived(order('A'), true, now)(putOrder(order('A'))(build)));
    expect(here.done).toHaveLength(1);
    expect(here.done![0]).toMatchObject({ done: true });
    const away = sound(setArrived(order('A'), false, now)(here));
    expect((away.done ?? []).some(({ done }) => done)).toBe(false);
  });
});
