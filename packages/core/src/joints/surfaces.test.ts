import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planMade } from '../../../../testing/made.js';
import { framed, round } from '../../../../testing/rods.js';
import { pointOn } from '../frame/path.js';
import { diameterAt } from '../frame/sections.js';
import { awayFrom, cutterFor, isBent, surfacesOf } from './surfaces.js';

const taper = { diameter: 16, length: 220 };
const tapered = (corners: readonly (readonly [number, number, number])[]) =>
  planMade(framed([{ id: 'stay', corners, section: { ...round(28), taper }, radius: 80 }])).frame.pieces[0]!;

describe('the outside of a host', () => {
  it('a cutter for a tapered host is as large as the host is at the joint', () => {
    const piece = tapered([
      [0, 0, 500],
      [400, 0, 500],
    ]);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 400, noNaN: true }), (station) => {
        const { at } = pointOn(piece.path, station);
        const surface = [...surfacesOf(piece)].sort((a, b) => awayFrom(a, at) - awayFrom(b, at))[0]!;
        expect(cutterFor(surface, at)).toBeCloseTo(diameterAt(piece.section as never, 400, station), 9);
      }),
    );
  });
  it('straights and bends follow each other without a gap, and each point of the axis lies on one of them', () => {
    const piece = tapered([
      [0, 0, 500],
      [300, 0, 500],
      [500, 200, 600],
      [700, 200, 700],
    ]);
    const surfaces = surfacesOf(piece);
    expect(surfaces.filter(isBent).length).toBe(2);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (share) => {
        const { at } = pointOn(piece.path, share * piece.length);
        expect(Math.min(...surfaces.map((surface) => awayFrom(surface, at)))).toBeLessThan(1e-6);
      }),
    );
    // Only the very ends count as going on past what is there.
    const open = surfaces.flatMap((surface) => (isBent(surface) ? [] : [surface.openStart, surface.openEnd]));
    expect([open[0], open.at(-1), ...new Set(open.slice(1, -1))]).toEqual([true, true, false]);
  });
});
