import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import { distance, type Vector } from '../vector/vector.js';
import { measuringList } from './measures.js';
import { pictureOf } from './picture.js';

const AXES = { side: [0, 2], plan: [0, 1], front: [1, 2] } as const;

describe('pictures of measures', () => {
  it.each(EVERY_SET)('%s, %s: each measure has its line, long enough to be seen in its view', (kind, set) => {
    const document = made(kind, set);
    const plan = planMade(document);
    const list = measuringList({ document, ...plan });
    for (const measurand of list.measures) {
      const { view, measured, against, marks } = pictureOf(measurand, list.points, plan.stance);
      const where = `${measurand.id} (${measurand.name})`;
      expect(measured.length, where).toBeGreaterThan(0);
      expect(marks.length, where).toBeGreaterThan(0);
      for (const point of [...measured, ...against].flat().concat(marks))
        expect(point.every(Number.isFinite), where).toBe(true);
      const seen = ([from, to]: readonly [Vector, Vector]) =>
        Math.hypot(...AXES[view].map((axis) => to[axis] - from[axis]));
      const whole = measured.reduce((sum, [from, to]) => sum + distance(from, to), 0);
      // What is as good as nothing, such as a point that shall lie in the middle plane, has its mark.
      if (whole > 1)
        expect(measured.reduce((sum, line) => sum + seen(line), 0) / whole, where).toBeGreaterThan(0.5);
    }
  });
  it('a line that is measured is as long as what shall be read', () => {
    for (const [kind, set] of [
      ['bicycle', 'road'],
      ['motorcycle', 'sport'],
      ['tadpole-trike', 'tadpole'],
      ['kart', 'kart'],
    ] as const) {
      const document = made(kind, set);
      const plan = planMade(document);
      const list = measuringList({ document, ...plan });
      const long = ['distance', 'height', 'beside'];
      const read = new Set([
        'trail',
        'casterTrail',
        'wheelbase',
        'bottomBracketHeight',
        'chainstayLength',
        'reach',
        'stack',
        'frontTrack',
      ]);
      const tried = list.measures.filter(({ as, outcome }) => long.includes(as) || read.has(outcome ?? ''));
      expect(tried.length).toBeGreaterThan(8);
      for (const measurand of tried) {
        const [line] = pictureOf(measurand, list.points, plan.stance).measured;
        expect(distance(line![0], line![1]), `${kind}: ${measurand.id}`).toBeCloseTo(
          Math.abs(measurand.nominal),
          0,
        );
      }
    }
  });
});
