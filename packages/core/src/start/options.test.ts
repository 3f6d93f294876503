import { describe, expect, it } from 'vitest';
import { made, stanceMade } from '../../../../testing/made.js';
import { told, type Layout, type LayoutOption } from '../frame/layouts/layout.js';
import { DIAMOND } from '../frame/layouts/diamond.js';
import { frameFromLayout } from './create.js';
import { readDocument } from './read.js';

describe('an option of a layout', () => {
  const RISE: LayoutOption = { id: 'deckRise', name: 'Deck above the axle, mm', limits: [0, 400], start: 60 };
  const toy: Layout = {
    ...DIAMOND,
    id: 'toy',
    options: [RISE],
    make: (stance, options = {}) => DIAMOND.make(stance, { topTubeBelowSeat: told(options, RISE) }),
  };
  const below = ({ nodes }: ReturnType<Layout['make']>) => {
    const { anchor } = nodes.find(({ id }) => id === 'topAtSeat')!;
    return anchor.on === 'member' ? anchor.distance : undefined;
  };
  it('is one line, and starts where it says', () => {
    const stance = stanceMade(made());
    expect(below(toy.make(stance))).toBe(60);
    expect(below(toy.make(stance, { deckRise: 75 }))).toBe(75);
    expect(below(toy.make(stance, { sections: {} }))).toBe(60);
  });
  it('stands in the document by its id, and is refused beyond its limits', () => {
    const frame = frameFromLayout(made(), 'diamond', { topTubeBelowSeat: 100, unknown: 5 });
    if (!frame.ok) throw new Error(frame.message);
    expect(frame.value.frame.origin!.options).toEqual({ topTubeBelowSeat: 100 });
    const faultsAt = (value: number) => {
      const document = structuredClone(frame.value);
      Object.assign(document.frame.origin!.options, { topTubeBelowSeat: value });
      const read = readDocument(document);
      return read.ok ? [] : read.faults.map(({ path }) => path);
    };
    for (const good of [0, 1000]) expect(faultsAt(good)).toEqual([]);
    for (const bad of [-0.1, 1000.1])
      expect(faultsAt(bad)).toEqual(['/frame/origin/options/topTubeBelowSeat']);
  });
});
