import { describe, expect, it } from 'vitest';
import type { RoundSection } from '@larchwood/format';
import { made, planMade } from '../../../../testing/made.js';
import { halfSlot, slotDepths } from './slot.js';
import { wallThickness, zonesOf } from './wall.js';

const plan = planMade(made('bicycle', 'road'));
const butted = plan.cuts
  .map((cut) => ({ cut, piece: plan.frame.pieces.find(({ id }) => id === cut.piece)! }))
  .find(({ piece }) => piece.section.shape === 'round' && piece.section.butts)!;

describe('the wall of a butted tube, as it is trimmed', () => {
  const { piece, cut } = butted;
  const { wall, butts } = piece.section as RoundSection & { butts: NonNullable<RoundSection['butts']> };
  const [a, b, c, d] = zonesOf(piece, cut) as [number, number, number, number];
  it('is thick to its zones, thin between them, and halfway in the middle of a taper', () => {
    expect(b - a).toBeCloseTo(butts.start.taper, 9);
    expect(d - c).toBeCloseTo(butts.end.taper, 9);
    expect(a < b && b < c && c < d).toBe(true);
    const at = (station: number) => wallThickness(piece, cut, station);
    expect(at(a - 5)).toBeCloseTo(butts.start.wall, 9);
    expect(at((a + b) / 2)).toBeCloseTo((butts.start.wall + wall) / 2, 9);
    expect(at(a + (b - a) / 4)).toBeCloseTo(butts.start.wall + (wall - butts.start.wall) / 4, 9);
    expect(at(b)).toBeCloseTo(wall, 9);
    expect(at((b + c) / 2)).toBe(wall);
    expect(at((c + d) / 2)).toBeCloseTo((butts.end.wall + wall) / 2, 9);
    expect(at(c + (d - c) / 4)).toBeCloseTo(wall + (butts.end.wall - wall) / 4, 9);
    expect(at(d + 5)).toBeCloseTo(butts.end.wall, 9);
  });
  it('of the sold length all is cut off or used: both thick ends reach as far as they were sold', () => {
    const trim = cut.butts!;
    const [start, end] = cut.ends;
    const sold = trim.start + cut.overall + trim.end;
    expect(sold).toBeLessThanOrEqual(butts.soldLength + 1e-6);
    expect(a - (start.station - start.edge.longest.at)).toBeCloseTo(butts.start.length - trim.start, 9);
    expect(end.station + end.edge.longest.at - d).toBeCloseTo(butts.end.length - trim.end, 9);
  });
  it('of a tube that is not butted is the same all along, and has no zones', () => {
    const own = plan.cuts.find(({ piece: id }) => {
      const { section } = plan.frame.pieces.find((each) => each.id === id)!;
      return section.shape === 'round' && !section.butts && !section.taper;
    })!;
    const plain = plan.frame.pieces.find(({ id }) => id === own.piece)!;
    expect(zonesOf(plain, own)).toEqual([]);
    expect(wallThickness(plain, own, 50)).toBe(plain.section.wall);
    expect(wallThickness(piece, { ends: cut.ends }, a - 5)).toBe(wall);
  });
});

describe('a slot through both walls', () => {
  const end = { slot: { width: 10, depth: 18 }, slotAngle: 90, outerDiameter: 20 } as never;
  it('takes twice asin(width / diameter) of the round, as wall lines of a degree', () => {
    expect(halfSlot(end)).toBeCloseTo(30, 9);
    expect(halfSlot({ slot: { width: 40, depth: 5 }, slotAngle: 0, outerDiameter: 20 } as never)).toBeCloseTo(
      90,
      9,
    );
    expect(halfSlot({ outerDiameter: 20 } as never)).toBeUndefined();
    expect(halfSlot({ slot: { width: 10, depth: 5 }, outerDiameter: 20 } as never)).toBeUndefined();
  });
  it('on both sides of the tube, and nowhere else', () => {
    for (const line of [90, 61, 119, 270, 241, 299]) expect(slotDepths(end)!(line)).toBe(18);
    for (const line of [59, 121, 239, 301, 0, 180]) expect(slotDepths(end)!(line)).toBe(0);
    expect(slotDepths({ outerDiameter: 20 } as never)).toBeUndefined();
  });
});
