import type { BuildDocument } from '@larchwood/format';
import { describe, expect, it } from 'vitest';
import { made, stanceMade } from '../../../../testing/made.js';
import { briefFindings, keepsLimit } from './briefFindings.js';

const document = made('motorcycle', 'standard');
const stance = stanceMade(document);
const told = (brief: Partial<BuildDocument['brief']>, wheels = document.wheels) =>
  briefFindings({ brief: { ...document.brief, ...brief }, wheels }, stance);
const limit = (bound: 'most' | 'least', value: number, dimension = 'wheelbase') => ({
  ...{ dimension, bound, value, rule: '' },
});

describe('limits of the brief', () => {
  it('are kept up to and on them, to less than anyone measures', () => {
    expect(keepsLimit(limit('most', 100), 100 + 0.9e-6)).toBe(true);
    expect(keepsLimit(limit('most', 100), 100 + 1.1e-6)).toBe(false);
    expect(keepsLimit(limit('most', 100), 50)).toBe(true);
    expect(keepsLimit(limit('least', 100), 100 - 0.9e-6)).toBe(true);
    expect(keepsLimit(limit('least', 100), 100 - 1.1e-6)).toBe(false);
    expect(keepsLimit(limit('least', 100), 150)).toBe(true);
  });
  it('are told when broken, with what and by which rule; not when kept, nor of what the vehicle does not have', () => {
    const { wheelbase } = stance.values as Record<string, number>;
    expect(told({ limits: [limit('most', wheelbase! + 1), limit('least', wheelbase! - 1)] })).toEqual([]);
    expect(told({ limits: [limit('most', wheelbase! - 1)] })).toMatchObject([
      {
        code: 'rule-limit',
        severity: 'stop',
        where: { station: 'stance', ref: 'wheelbase' },
        values: {
          ...{ dimension: 'Wheelbase', quantity: 'length', value: wheelbase, limit: wheelbase! - 1 },
          ...{ bound: 'at most', rule: 'limit set in the brief' },
        },
      },
    ]);
    const ruled = { ...limit('least', wheelbase! + 1), rule: 'club rules' };
    expect(told({ limits: [ruled] })).toMatchObject([{ values: { bound: 'at least', rule: 'club rules' } }]);
    expect(told({ limits: [limit('most', 1, 'pinTrack')] })).toEqual([]);
  });
});

describe('parts on the shelf', () => {
  const shelf = (part: Partial<BuildDocument['brief']['shelf'][number]>) =>
    told({ shelf: [{ sort: 'other', name: 'Part', gives: {}, ...part }] });
  it('differ from over a tenth of a millimetre, to either side', () => {
    const { wheelbase } = stance.values as Record<string, number>;
    for (const side of [1, -1]) {
      expect(shelf({ gives: { wheelbase: wheelbase! + side * 0.099 } })).toEqual([]);
      expect(shelf({ gives: { wheelbase: wheelbase! + side * 0.101 } })).toMatchObject([
        { code: 'shelf-differs', severity: 'look', values: { part: 'Part', value: wheelbase } },
      ]);
    }
    expect(shelf({ gives: { pinTrack: 1 } })).toEqual([]);
  });
  it('a wheel differs from over 5 mm of radius, of its own end, with the sag of the tyre that is meant', () => {
    const { radius } = stance.wheels.front;
    const by = (more: number, sag = 0) => ({
      front: { by: 'diameter' as const, diameter: 2 * (radius + more), width: 80, sag },
      rear: document.wheels.rear,
    });
    const marking = document.wheels.front.by === 'marking' ? document.wheels.front.marking : '';
    const wheel = (sort: 'front wheel' | 'rear wheel' | 'other', more: number, sag = 0) =>
      told({ shelf: [{ sort, name: 'Wheel', gives: {}, marking }] }, by(more, sag));
    expect(wheel('front wheel', 4.9)).toEqual([]);
    expect(wheel('front wheel', 5.1)).toMatchObject([
      { code: 'shelf-wheel-differs', where: { ref: 'wheels.front' }, values: { end: 'front' } },
    ]);
    expect(wheel('front wheel', -5.1)).toHaveLength(1);
    expect(wheel('other', 50)).toEqual([]);
    // What the loaded tyre gives is no difference.
    expect(wheel('front wheel', 0, 20)).toEqual([]);
  });
  it('an engine is too long just over its room', () => {
    const room = stance.values.engineRoom!;
    const engine = (long: number) => shelf({ sort: 'engine', box: [long, 300, 300] });
    expect(engine(room - 0.1)).toEqual([]);
    expect(engine(room + 0.1)).toMatchObject([{ code: 'engine-long', values: { long: room + 0.1, room } }]);
    expect(shelf({ sort: 'other', box: [room + 99, 300, 300] })).toEqual([]);
  });
});
