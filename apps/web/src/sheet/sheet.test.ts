import { describe, expect, it } from 'vitest';
import { acrossOf, findKind, INCH, type Plan, type ViewName, isEndOn, pieceOutline } from '@larchwood/core';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import { aligned, angle, level, upright } from './dimensions';
import { FIGURE, GRIP, placeDimensions, placeGrips } from './place';
import { barLength, fitView, vehicleExtent } from './view';

const plan = (set: string, held: Record<string, number> = {}): Plan =>
  planMade(made('bicycle', set, { held }));
const SIZES = [
  [782, 644],
  [526, 612],
] as const;
const view = (of: Plan, width = 782, height = 644, name: ViewName = 'side') =>
  fitView(vehicleExtent(of, name), width, height, name);

describe('the sheet', () => {
  it.each(EVERY_SET)(
    '%s, %s: the whole vehicle is on it in every view, true to scale and upright',
    (id, set) => {
      const of = planMade(made(id, set));
      for (const name of findKind(id)!.views)
        for (const [width, height] of [...SIZES, [300, 300] as const]) {
          const fitted = view(of, width, height, name);
          for (const point of Object.values(of.stance.points)) {
            const [x, y] = fitted.at(point);
            expect(x > 0 && x < width && y > 0 && y < height).toBe(true);
          }
          expect(fitted.x(100) - fitted.x(0)).toBeCloseTo(fitted.y(0) - fitted.y(100), 9);
          const [across, up] = fitted.back(fitted.at([700, 700, 700]));
          expect([across, up].map(Math.round)).toEqual([700, 700]);
        }
    },
  );

  it('holds still while a dimension is nudged', () => {
    const scales = [72.5, 72.4, 72.3, 72.2, 72.1].map((headAngle) => view(plan('road', { headAngle })).scale);
    expect(new Set(scales).size).toBe(1);
  });

  it('the scale bar is a round figure in the build’s unit', () => {
    const fitted = view(plan('road'));
    expect([100, 200, 300, 500]).toContain(barLength(fitted, 1));
    expect([3, 5, 10, 20]).toContain(Math.round(barLength(fitted, INCH) / INCH));
  });
});

describe('dimensions on the sheet', () => {
  it('stand square to what they measure, at their distance', () => {
    const drawn = aligned('a', [0, 0], [30, 40], 10);
    if (drawn.line.as !== 'straight') throw new Error('straight');
    const [dx, dy] = [drawn.line.to[0] - drawn.line.from[0], drawn.line.to[1] - drawn.line.from[1]];
    expect([dx, dy]).toEqual([30, 40]);
    expect(drawn.line.from[0] * 30 + drawn.line.from[1] * 40).toBeCloseTo(0, 9);
    expect(Math.hypot(...drawn.line.from)).toBeCloseTo(10, 9);
    expect(level('b', [0, 0], [50, 80], 100).label).toEqual([25, 100]);
    expect(upright('c', [0, 0], [50, 80], 100, 0.25).label).toEqual([100, 20]);
    expect(angle('d', [0, 0], 10, 180, 90, 10, 90).label[1]).toBeCloseTo(-10, 9);
  });

  it.each(EVERY_SET)('%s, %s: no two figures lie on each other, and all are on the sheet', (id, set) => {
    const of = planMade(made(id, set));
    const kind = findKind(id)!;
    const { width, height } = FIGURE;
    for (const name of kind.views) {
      const fitted = view(of, 782, 644, name);
      const drawn = placeDimensions(kind, of, fitted);
      expect(drawn.length).toBeGreaterThan(0);
      const grips = placeGrips(kind.handles, of, fitted);
      grips.forEach(({ handle, grip }, index) => {
        const apart = (other: readonly [number, number], x: number, y: number) =>
          Math.abs(other[0] - grip[0]) >= x || Math.abs(other[1] - grip[1]) >= y;
        for (const { id, label } of drawn)
          expect(
            apart(label, (width + GRIP) / 2, (height + GRIP) / 2),
            `${name}: ${id}, ${handle.name}`,
          ).toBe(true);
        for (const other of grips.slice(index + 1))
          expect(apart(other.grip, GRIP, GRIP), `${name}: ${handle.name}, ${other.handle.name}`).toBe(true);
      });
      drawn.forEach((a, index) => {
        const [x, y] = a.label;
        expect(x > width / 2 && x < 782 - width / 2 && y > height / 2 && y < 644 - height / 2, a.id).toBe(
          true,
        );
        for (const b of drawn.slice(index + 1)) {
          const apart = Math.abs(x - b.label[0]) >= width || Math.abs(y - b.label[1]) >= height;
          expect(apart, `${name}: ${a.id} and ${b.id}`).toBe(true);
        }
      });
    }
  });
});

describe('a cut tube’s outline', () => {
  it('keeps within the tube’s own width, and ends where the cope does', () => {
    const of = plan('touring');
    const fitted = view(of);
    for (const cut of of.cuts) {
      const piece = of.frame.pieces.find((each) => each.id === cut.piece)!;
      if (isEndOn(piece, fitted) || piece.path.arcs.length > 0) continue;
      const [ax, ay] = fitted.at(piece.start);
      const [bx, by] = fitted.at(piece.end);
      const size = Math.hypot(bx - ax, by - ay);
      const along = pieceOutline(piece, cut, fitted).map(([x, y]) => {
        const off = Math.abs((x - ax) * (by - ay) - (y - ay) * (bx - ax)) / size;
        expect(off).toBeLessThanOrEqual((acrossOf(piece.section) / 2) * fitted.scale + 1e-6);
        return ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / size;
      });
      // Seen square on, the outline is as long as the piece at most, and nearly so.
      const share = (Math.max(...along) - Math.min(...along)) / fitted.scale / cut.overall;
      expect(share).toBeGreaterThan(0.94);
      expect(share).toBeLessThan(1.01);
    }
  });
});
