import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES, made, planMade } from '../../../../testing/made.js';
import { add, scale } from '../vector/vector.js';
import { cutPiece, surroundingsOf } from './endCut.js';
import { sawOf, sawSettingOf } from './planar.js';

describe.each(FAMILIES)('%s, %s', (kind, set) => {
  const document = made(kind, set);
  it('a right twin mirrored from its left one is what casting it finds', () => {
    const { frame, cuts, given } = planMade(document);
    const around = surroundingsOf(frame);
    for (const piece of frame.pieces.filter(({ side }) => side === 'right')) {
      const cut = [...cuts, ...given].find((each) => each.piece === piece.id)!;
      cutPiece(piece, around).forEach((end, index) => {
        const mirrored = cut.ends[index]!;
        expect(mirrored.hosts).toEqual(end.hosts);
        expect(mirrored.station).toBeCloseTo(end.station, 6);
        end.edge.outer.forEach((value, line) =>
          expect(
            Math.abs(value - mirrored.edge.outer[line]!),
            `${piece.name} ${end.end} ${line}`,
          ).toBeLessThan(1e-5),
        );
      });
    }
  });
});

describe('saw angles', () => {
  it('miter and bevel turn a square blade into the plane of the cut', () => {
    const part = fc.double({ min: -0.8, max: 0.8, noNaN: true });
    fc.assert(
      fc.property(part, part, (u, v) => {
        const saw = sawOf([1, u, v])!;
        const [m, b] = [(saw.miter * Math.PI) / 180, (saw.bevel * Math.PI) / 180];
        // The blade, square to the tube, turned about the upright by the miter and tilted by the bevel.
        const blade = [Math.cos(b) * Math.cos(m), Math.sin(b), Math.cos(b) * Math.sin(m)] as const;
        const normal = scale([1, u, v], 1 / Math.hypot(1, u, v));
        expect(Math.hypot(...add(blade, scale(normal, -1)))).toBeLessThan(1e-9);
        // Lines on the faces, off square: plane trigonometry.
        expect(Math.tan((saw.onMatchFace * Math.PI) / 180)).toBeCloseTo(v, 9);
        expect(Math.tan((saw.onNextFace * Math.PI) / 180)).toBeCloseTo(u, 9);
      }),
    );
  });
  it('a setting makes the plane of the cut, on whichever face the tube is laid', () => {
    const part = fc.oneof(fc.constant(0), fc.double({ min: -0.8, max: 0.8, noNaN: true }));
    fc.assert(
      fc.property(part, part, fc.boolean(), (u, v, round) => {
        const { miter, bevel, up } = sawSettingOf({ saw: sawOf([1, u, v])!, outline: { round } })!;
        const [m, b] = [(miter * Math.PI) / 180, (bevel * Math.PI) / 180];
        const [along, tilted, turned] = [Math.cos(b) * Math.cos(m), Math.sin(b), Math.cos(b) * Math.sin(m)];
        const size = Math.hypot(1, u, v);
        expect(along).toBeCloseTo(1 / size, 5);
        if (round) return void expect(bevel).toBe(0);
        // Up and across change places on the next face; which side leans is seen on the pattern.
        const [own, other] = up === 'match' ? [u, v] : [v, u];
        expect(Math.abs(tilted - Math.abs(own) / size)).toBeLessThan(1e-3);
        expect(Math.abs(turned - Math.abs(other) / size)).toBeLessThan(1e-3);
        if (u === 0 || v === 0) expect(bevel).toBe(0);
      }),
    );
    expect(sawSettingOf({ outline: { round: false } })).toBeUndefined();
  });
  it('a rail tapered by an inch over a foot is cut at half of 4.76 degrees on each side of its corner', () => {
    // Source: practice; arithmetic: atan(1/12) = 4.76 degrees, halved by the mitre.
    const ladder = made('kart', 'ladder');
    const frame = {
      ...ladder.frame,
      nodes: ladder.frame.nodes.map((node) =>
        node.id === 'noseTip'
          ? {
              ...node,
              anchor: {
                on: 'node' as const,
                node: 'railCorner',
                offset: [304.8, -25.4, 0] as [number, number, number],
              },
            }
          : node,
      ),
    };
    const rail = planMade({ ...ladder, frame }).cuts.find(({ piece }) => piece === 'rails:left')!;
    expect(rail.ends[1].offSquare).toBeCloseTo(4.76 / 2, 2);
  });
});
