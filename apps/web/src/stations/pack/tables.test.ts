import { describe, expect, it } from 'vitest';
import { checkList, Planner, stanceOf } from '@larchwood/core';
import { NO_SHOP, readFormat, type BuildDocument, type Section } from '@larchwood/format';
import { made } from '../../../../../testing/made.js';
import { likelySort, tableAs, type Sort, type TableTaken } from './tables';

const bicycle = made('bicycle', 'touring');
const kart = made('kart', 'ladder');
const list = new Planner().ask(checkList, bicycle);
const taken = (sort: Sort, text: string, document = bicycle, shop = NO_SHOP): TableTaken => {
  const read = tableAs(sort, text, document, list, 'tacked', shop);
  if (!read.ok) throw new Error(read.message);
  return read.value;
};
const sound = (document: BuildDocument): BuildDocument => {
  const read = readFormat(JSON.parse(JSON.stringify(document)));
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.document;
};
const TEXTS: Readonly<Record<Sort, string>> = {
  dimensions: 'Name,Value\nHead angle,71.5\nTrail,62 mm',
  readings: 'No,Value\n1,12 mm\n2,13 mm\n2,13.4 mm',
  scales: 'wheel,weight\nfront left,31\nFL,33\nfront right,32\nrear left,44\nrear right,43',
  sections: 'name,shape,diameter,wall\nrail,round,25,1.5\npin,round,16,8',
};

describe('a table', () => {
  it('is taken for the sort of which most rows are understood', () => {
    for (const sort of ['dimensions', 'sections', 'readings'] as const)
      expect(likelySort(TEXTS[sort], bicycle, list, 'tacked', NO_SHOP), sort).toBe(sort);
    expect(likelySort(TEXTS.scales, kart, list, 'tacked', NO_SHOP)).toBe('scales');
    // Of nothing that is understood it is the first.
    expect(likelySort('hello', bicycle, list, 'tacked', NO_SHOP)).toBe('dimensions');
  });
  it('of dimensions: each with what it was and what is let go for it; the change is made on what stands then', () => {
    const { rows, not, change } = taken('dimensions', TEXTS.dimensions);
    expect(not).toEqual([]);
    const before = stanceOf(bicycle);
    if (!before.ok) throw new Error('no stance');
    expect(rows.map(({ id, value }) => [id, value])).toEqual([
      ['headAngle', 71.5],
      ['trail', 62],
    ]);
    expect(rows[0]!.was).toBeCloseTo(before.stance.values.headAngle!, 9);
    // Trail was found from the others: one of them gives way.
    expect(rows[1]!.note).toMatch(/^\S.* is let go$/);
    const after = stanceOf(sound(change({ ...bicycle, notes: 'Since then' })));
    if (!after.ok) throw new Error('no stance');
    expect(after.stance.values).toMatchObject({
      headAngle: expect.closeTo(71.5, 6) as number,
      trail: expect.closeTo(62, 6) as number,
    });
    expect(change({ ...bicycle, notes: 'Since then' }).notes).toBe('Since then');
  });
  it('of readings: several rows are one mean with its spread, and what stood before is shown', () => {
    const first = taken('readings', TEXTS.readings);
    expect(first.rows.map(({ was, note }) => [was, note])).toEqual([
      [undefined, ''],
      [undefined, 'mean of 2 rows'],
    ]);
    const measured = sound(first.change(bicycle));
    expect(measured.measured).toHaveLength(2);
    expect(measured.measured!.every(({ stage }) => stage === 'tacked')).toBe(true);
    const again = taken('readings', TEXTS.readings, measured);
    expect(again.rows.map(({ was }) => was)).toEqual(first.rows.map(({ value }) => value));
    expect(again.rows[1]!.value).toBeCloseTo(13.2, 9);
    // No list yet: it is read as dimensions, and says that nothing is understood.
    const none = tableAs('readings', TEXTS.readings, bicycle, undefined, 'tacked', NO_SHOP);
    expect(none.ok ? none.value.rows : []).toEqual([]);
  });
  it('of wheel scales: kilograms below each wheel', () => {
    const { rows, change } = taken('scales', TEXTS.scales, kart);
    expect(rows.map(({ name, value }) => [name, value])).toContainEqual([
      'Scale below the front left wheel',
      32,
    ]);
    const { level } = sound(change(kart)).mass.scales!;
    expect(level).toEqual({ frontLeft: 32, frontRight: 32, rearLeft: 44, rearRight: 43 });
    expect(taken('scales', TEXTS.scales, sound(change(kart))).rows.map(({ was }) => was)).toEqual(
      rows.map(({ value }) => value),
    );
  });
  it('of sections: in the build’s units, for the workshop’s own list and not for the build', () => {
    const { rows, sections, change } = taken('sections', TEXTS.sections);
    expect(rows.map(({ name, value }) => [name, value])).toEqual([
      ['rail', 'round, 25 × 1.5 mm'],
      ['pin', 'round bar, 16 mm'],
    ]);
    expect(change(bicycle)).toBe(bicycle);
    const known = Object.fromEntries(sections!.map((section) => [section.id, section])) as Record<
      string,
      Section
    >;
    const inches = { ...bicycle, units: { ...bicycle.units, length: 'fraction' as const } };
    const second = taken('sections', 'shape,width,height,wall\nrectangular,2,1,1/8\nround,1,,1/2', inches, {
      ...NO_SHOP,
      sections: known,
    });
    expect(second.rows.map(({ value }) => value)).toEqual([
      'rectangular, 2 × 1 × 0.125 in',
      'round bar, 1 in',
    ]);
    expect(second.rows.every(({ was }) => was === undefined)).toBe(true);
    expect(taken('sections', TEXTS.sections, bicycle, { ...NO_SHOP, sections: known }).rows[0]!.was).toBe(
      'round, 25 × 1.5 mm',
    );
  });
  it.each(['dimensions', 'readings', 'scales', 'sections'] as const)(
    'of %s that is empty or far too long is refused in words',
    (sort) => {
      for (const text of ['', 'a,1\n'.repeat(200_000)]) {
        const read = tableAs(sort, text, bicycle, list, 'tacked', NO_SHOP);
        expect(read.ok ? '' : read.message, sort).toMatch(/\w+ \w+.*\.$/);
      }
    },
  );
});
