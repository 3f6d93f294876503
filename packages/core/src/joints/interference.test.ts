import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wallPoint } from './edge.js';
import { planMade } from '../../../../testing/made.js';
import { framed, round, type Rod } from '../../../../testing/rods.js';
import type { Section } from '@larchwood/format';

const rod = (
  id: string,
  from: Rod['corners'][0],
  to: Rod['corners'][0],
  section: Section,
  more = {},
): Rod => ({
  id,
  corners: [from!, to!],
  section,
  ...more,
});
const interferences = (...rods: Rod[]) => planMade(framed(rods)).interferences;
const real = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('tubes that stand in each other', () => {
  it('two round ones that pass by overlap by what their radii exceed the distance of their axes', () => {
    // Source: distance of two lines square to each other's common normal.
    fc.assert(
      fc.property(real(10, 50), real(10, 50), real(0, 60), real(0.3, 2.8), (one, other, gap, angle) => {
        const [x, y] = [300 * Math.cos(angle), 300 * Math.sin(angle)];
        const found = interferences(
          rod('a', [0, -300, 500], [0, 300, 500], round(one)),
          rod('b', [-y, -x, 500 + gap], [y, x, 500 + gap], round(other)),
        );
        const overlap = (one + other) / 2 - gap;
        fc.pre(Math.abs(overlap - 1) > 1e-6);
        expect(found.length).toBe(overlap > 1 ? 1 : 0);
        if (found[0]) {
          expect(found[0].overlap).toBeCloseTo(overlap, 3);
          expect(found[0].alongA).toBeCloseTo(300, 3);
        }
      }),
      { numRuns: 60 },
    );
  });
  it('an upright box counts by the side that it turns to the other', () => {
    const box: Section = {
      id: 'b',
      name: 'b',
      shape: 'rectangular',
      width: 20,
      height: 60,
      wall: 2,
      corner: 4,
    };
    const over = (gap: number) =>
      interferences(
        rod('a', [-300, 0, 500], [300, 0, 500], box),
        rod('b', [0, -300, 500 + gap], [0, 300, 500 + gap], round(20)),
      )[0]?.overlap;
    const beside = (gap: number) =>
      interferences(
        rod('a', [-300, 0, 500], [300, 0, 500], box),
        rod('b', [0, gap, 200], [0, gap, 800], round(20)),
      )[0]?.overlap;
    expect([over(35), beside(15)]).toEqual([expect.closeTo(5, 6), expect.closeTo(5, 6)]);
    expect([over(41), beside(21)]).toEqual([undefined, undefined]);
  });
  it('pairs are told once, for the left one; a pair may also meet itself', () => {
    const middle = rod('bar', [0, -200, 500], [0, 200, 500], round(30));
    const pair = rod('rails', [-300, 120, 510], [300, 120, 510], round(30), { mirrored: true });
    expect(interferences(middle, pair).map(({ a, b }) => [a, b])).toEqual([['bar', 'rails:left']]);
    expect(interferences(pair, middle).map(({ a, b }) => [a, b])).toEqual([['rails:left', 'bar']]);
    const close = rod('rails', [-300, 10, 500], [300, 10, 500], round(30), { mirrored: true });
    expect(interferences(close)).toEqual([
      expect.objectContaining({
        a: 'rails:left',
        b: 'rails:right',
        overlap: expect.closeTo(10, 6) as number,
      }),
    ]);
  });
  it('tubes that are cut to fit each other, or pass through by intent, are none of its business', () => {
    const bar = rod('bar', [0, -200, 500], [0, 200, 500], round(40));
    const leg = [
      [0, 0, 500],
      [300, 0, 500],
    ] as const;
    const cut = {
      start: { cut: 'coped', hosts: [{ member: 'bar', side: 'same' }], besideAxis: false, allowance: 0 },
      end: { cut: 'plain', setback: 0, allowance: 0 },
    } as const;
    expect(interferences(bar, rod('leg', ...leg, round(30))).length).toBe(1);
    expect(interferences(bar, rod('leg', ...leg, round(30), { more: { ends: cut } }))).toEqual([]);
    expect(interferences(bar, rod('leg', ...leg, round(30), { more: { through: ['bar'] } }))).toEqual([]);
  });
});

describe('what a cut end reaches into', () => {
  // A leg is cut to a bar at a slant: its long side runs on past the straight body of the leg, and into a third tube there.
  const bar = rod('bar', [-400, 0, 500], [400, 0, 500], round(30));
  const slant = (30 * Math.PI) / 180;
  const leg = rod('leg', [0, 0, 500], [400 * Math.cos(slant), 0, 500 + 400 * Math.sin(slant)], round(30), {
    more: {
      ends: {
        start: { cut: 'coped', hosts: [{ member: 'bar', side: 'same' }], besideAxis: false, allowance: 0 },
        end: { cut: 'plain', setback: 0, allowance: 0 },
      },
    },
  });
  const third = (x: number, z: number, diameter = 16) =>
    rod('third', [x, -200, z], [x, 200, z], round(diameter));
  /** By hand: how deep the deepest of every tenth point of the edge stands in a tube square to the picture. */
  const deepest = (plan: ReturnType<typeof planMade>, x: number, z: number, radius: number) => {
    const [end] = plan.cuts.find(({ piece }) => piece === 'leg')!.ends;
    const points = end.edge.outer.flatMap((at, line) => (line % 10 === 0 ? [wallPoint(end, line, at)] : []));
    return Math.max(...points.map(([px, , pz]) => radius - Math.hypot(px - x, pz - z)));
  };
  const plan = () => planMade(framed([bar, leg]));
  /** The farthest point of the leg's edge, before the end of its straight body. */
  const tip = () => {
    const [end] = plan().cuts.find(({ piece }) => piece === 'leg')!.ends;
    return wallPoint(end, end.edge.longest.angle, end.edge.longest.at);
  };

  it('is told, as deep as the deepest point of its edge, at the end, whichever of the two comes first', () => {
    const [x, , z] = tip();
    const other = third(x - 6, z + 2);
    const depth = deepest(plan(), x - 6, z + 2, 8);
    expect(depth).toBeGreaterThan(1.5);
    const touching = (...rods: Rod[]) =>
      interferences(...rods).filter(({ a, b }) => [a, b].includes('third') && [a, b].includes('leg'));
    const [first] = touching(bar, leg, other);
    expect(first).toMatchObject({ a: 'leg', b: 'third', alongA: expect.closeTo(0, 9) as number });
    expect(first!.overlap).toBeCloseTo(depth, 6);
    expect(8 - Math.hypot(first!.at[0] - (x - 6), first!.at[2] - (z + 2))).toBeCloseTo(depth, 6);
    const [second] = touching(bar, other, leg);
    expect(second).toMatchObject({ a: 'third', b: 'leg', overlap: first!.overlap });
  });
  it('is none of it where the edge stays outside, or stands in by less than two welds share', () => {
    const [x, , z] = tip();
    const at = (way: number) => {
      const found = interferences(bar, leg, third(x - 8 - way, z));
      const depth = deepest(plan(), x - 8 - way, z, 8);
      return { told: found.some(({ a, b }) => `${a} ${b}` === 'leg third'), depth };
    };
    for (const way of [2, 0.5, 0, -0.2, -0.4, -0.6, -0.8, -1, -1.2]) {
      const { told, depth } = at(way);
      expect(told, `${way} past the tip: ${depth}`).toBe(depth > 1);
    }
    expect([at(0.5).told, at(-1.2).told]).toEqual([false, true]);
  });
});
