import { describe, expect, it } from 'vitest';
import { findKind } from '@larchwood/core';
import { SHELF_SORTS } from '@larchwood/format';
import { EVERY_SET, made, planMade } from '../../../../../testing/made.js';
import { dimensionChoices, movedDrafts, newPart } from './brief';

describe('rows of the brief', () => {
  it('what was typed in a row goes with it, and the rows below keep theirs', () => {
    const drafts = { 'list.0.name': 'a', 'list.1.name': 'b', 'list.2.size.x': 'c', 'other.2.name': 'd' };
    expect(Object.fromEntries(movedDrafts(drafts, 'list.', 1))).toEqual({
      'list.1.name': undefined,
      'list.1.size.x': 'c',
      'list.2.size.x': undefined,
    });
    expect(movedDrafts(drafts, 'list.', 2)).toEqual([['list.2.size.x', undefined]]);
  });
  it.each(EVERY_SET)('%s, %s: a part as it comes on to the shelf changes nothing yet', (kind, set) => {
    const build = made(kind, set);
    const plan = planMade(build);
    for (const sort of SHELF_SORTS) {
      const { gives } = newPart(sort, findKind(kind)!, build, plan);
      for (const [id, value] of Object.entries(gives))
        expect(Math.abs(value - plan.stance.values[id]!), id).toBeLessThanOrEqual(0.05 + 1e-9);
    }
    const offered = dimensionChoices(findKind(kind)!, ['wheelbase']).flatMap(({ options }) => options);
    expect(offered.map(({ value }) => value)).not.toContain('wheelbase');
    expect(offered.length).toBeGreaterThan(10);
  });
});
