import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { crossingAt, outlineOf } from './outline.js';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const way = (degrees: number) => {
  const turned = (degrees * Math.PI) / 180;
  return {
    into: [Math.cos(turned), Math.sin(turned)] as const,
    beside: [-Math.sin(turned), Math.cos(turned)] as const,
  };
};

describe('where a line through a section leaves it', () => {
  it('an ellipse: by its equation, in any direction and beside its middle', () =>
    fc.assert(
      fc.property(
        number(0, 360),
        number(-0.9, 0.9),
        number(15, 60),
        number(15, 60),
        (turned, part, height, width) => {
          const section = { id: 'o', name: 'o', shape: 'oval', width, height, wall: 1 } as const;
          const outline = outlineOf(section, { width, height }, 1, false);
          const { into, beside } = way(turned);
          const off = (part * Math.min(width, height)) / 2;
          const { out, line } = crossingAt(outline, into, beside, off)!;
          const [u, v] = [0, 1].map((axis) => into[axis]! * out + beside[axis]! * off) as [number, number];
          expect((2 * u) / height).toBeLessThanOrEqual(1.001);
          expect(((2 * u) / height) ** 2 + ((2 * v) / width) ** 2).toBeCloseTo(1, 3);
          // And on the wall line that it tells.
          const low = Math.floor(line) % 360;
          expect(Math.hypot(outline.u[low]! - u, outline.v[low]! - v)).toBeLessThan(
            Math.max(width, height) / 50,
          );
        },
      ),
    ));
  it('a box with sharp corners: the nearer of two sides; past its side there is none', () =>
    fc.assert(
      fc.property(number(1, 89), (turned) => {
        const section = {
          id: 'b',
          name: 'b',
          shape: 'rectangular',
          width: 20,
          height: 50,
          corner: 0,
          wall: 1,
        } as const;
        const outline = outlineOf(section, { width: 20, height: 50 }, 1, false);
        const { into, beside } = way(turned);
        const out = Math.min(25 / into[0], 10 / into[1]);
        expect(crossingAt(outline, into, beside, 0)!.out).toBeCloseTo(out, 6);
        expect(crossingAt(outline, into, beside, 60)).toBeUndefined();
      }),
    ));
});
