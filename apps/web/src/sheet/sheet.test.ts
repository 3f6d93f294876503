import { describe, expect, it } from 'vitest';
import { createBuild, findKind, INCH, planBuild, type Plan } from '@larchwood/core';
import { bicycleDimensions } from '../stations/stance/bicycleDrawing';
import { aligned, angle, level, upright } from './dimensions';
import { isEndOn, pieceOutline } from './outline';
import { barLength, fitView, vehicleExtent } from './view';

const plan = (startingSet: string, held: Record<string, number> = {}): Plan => {
  const made = createBuild({ name: 'Test', kind: 'bicycle', startingSet, held });
  const planned = made.ok && planBuild(made.value);
  if (!planned || !planned.ok) throw new Error('no plan');
  return planned.plan;
};
const SETS = findKind('bicycle')!.startingSets.map((set) => set.id);
const view = (of: Plan, width = 782, height = 684) => fitView(vehicleExtent(of), width, height);

describe('the sheet', () => {
  it.each(SETS)('%s: the whole vehicle is on it, true to scale and upright', (set) => {
    const of = plan(set);
    for (const [width, height] of [
      [782, 684],
      [526, 652],
      [300, 300],
    ] as const) {
      const fitted = view(of, width, height);
      const { frontAxle, rearAxle, headTubeUpper } = of.stance.points;
      const { front, rear } = of.stance.wheels;
      expect(fitted.x(rearAxle![0] - rear.radius)).toBeGreaterThan(0);
      expect(fitted.x(frontAxle![0] + front.radius)).toBeLessThan(width);
      expect(fitted.y(headTubeUpper![2])).toBeGreaterThan(0);
      expect(fitted.y(0)).toBeLessThan(height);
      expect(fitted.x(100) - fitted.x(0)).toBeCloseTo(fitted.y(0) - fitted.y(100), 9);
    }
  });

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

  it.each(SETS)('%s: no two figures lie on each other, and all are on the sheet', (set) => {
    const of = plan(set);
    const drawn = bicycleDimensions(of, view(of));
    const ids = findKind('bicycle')!.dimensions.map((dimension) => dimension.id);
    // A held figure of five characters with its peg, at 14 px.
    const [width, height] = [58, 20];
    drawn.forEach((a, index) => {
      expect(ids).toContain(a.id);
      expect(
        a.label[0] > width / 2 &&
          a.label[0] < 782 - width / 2 &&
          a.label[1] > height / 2 &&
          a.label[1] < 684 - height / 2,
        a.id,
      ).toBe(true);
      for (const b of drawn.slice(index + 1)) {
        const apart =
          Math.abs(a.label[0] - b.label[0]) >= width || Math.abs(a.label[1] - b.label[1]) >= height;
        expect(apart, `${a.id} and ${b.id}`).toBe(true);
      }
    });
  });
});

describe('a cut tube’s outline', () => {
  it('keeps within the tube’s own width, and ends where the cope does', () => {
    const of = plan('touring');
    const fitted = view(of);
    for (const cut of of.cuts) {
      const piece = of.frame.pieces.find((each) => each.id === cut.piece)!;
      if (isEndOn(piece)) continue;
      const [ax, ay] = fitted.at(piece.start);
      const [bx, by] = fitted.at(piece.end);
      const size = Math.hypot(bx - ax, by - ay);
      const along = pieceOutline(cut, fitted).map(([x, y]) => {
        const off = Math.abs((x - ax) * (by - ay) - (y - ay) * (bx - ax)) / size;
        expect(off).toBeLessThanOrEqual((piece.section.diameter / 2) * fitted.scale + 1e-6);
        return ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / size;
      });
      // Seen square on, the outline is as long as the piece at most, and nearly so.
      const share = (Math.max(...along) - Math.min(...along)) / fitted.scale / cut.overall;
      expect(share).toBeGreaterThan(0.94);
      expect(share).toBeLessThan(1.01);
    }
  });
});
