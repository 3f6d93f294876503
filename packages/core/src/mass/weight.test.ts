import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import { framed, round } from '../../../../testing/rods.js';
import { distance, type Vector } from '../vector/vector.js';
import { findMaterial } from '../frame/materials.js';
import { pointOn } from '../frame/path.js';
import { groupWeights } from './weight.js';

describe('what a frame weighs', () => {
  it('the centre of a bent tube is that of many points set evenly along it', () => {
    const coordinate = fc.integer({ min: -400, max: 400 });
    const corner = fc.tuple(coordinate, coordinate, coordinate);
    fc.assert(
      fc.property(fc.array(corner, { minLength: 3, maxLength: 4 }), (corners) => {
        fc.pre(corners.every((each, index) => index === 0 || distance(each, corners[index - 1]!) > 50));
        const { frame, weights, findings } = planMade(
          framed([{ id: 'bar', corners, section: round(4, 0.5), radius: 20 }]),
        );
        // A bend without room is a stop, and has no centre line.
        fc.pre(findings.every(({ code }) => code !== 'bend-no-room'));
        const { path } = frame.pieces[0]!;
        const n = 4000;
        let middle: Vector = [0, 0, 0];
        for (let index = 0; index < n; index += 1) {
          const { at } = pointOn(path, (path.length * (index + 0.5)) / n);
          middle = [middle[0] + at[0] / n, middle[1] + at[1] / n, middle[2] + at[2] / n];
        }
        expect(distance(weights[0]!.at, middle)).toBeLessThan(0.05);
      }),
      { numRuns: 30 },
    );
  });
  it('a plain tube is its length times its ring, a cap is a disc on its end', () => {
    // Source: areas of a ring and of a disc.
    const cap = { cut: 'capped' as const, thickness: 2, setback: 0, allowance: 0 };
    const plain = { cut: 'plain' as const, setback: 0, allowance: 0 };
    const rod = {
      id: 'bar',
      corners: [
        [0, 0, 500],
        [400, 0, 500],
      ] as Vector[],
      section: round(30, 1.5),
    };
    const mass = (more = {}) => planMade(framed([{ ...rod, more }])).weights[0]!.mass;
    const { density } = findMaterial('chromoly-4130')!;
    expect(mass()).toBeCloseTo((Math.PI * 28.5 * 1.5 * 400 * density) / 1e9, 6);
    // The cap's outside stands at the node: the tube itself ends so much earlier.
    const disc = (Math.PI * (15 ** 2 - 28.5 * 1.5) * 2 * density) / 1e9;
    expect(mass({ ends: { start: plain, end: cap } }) - mass()).toBeCloseTo(disc, 5);
    expect(mass({ ends: { start: cap, end: cap } }) - mass()).toBeCloseTo(2 * disc, 5);
  });
  it.each(EVERY_SET)('%s, %s: groups add up to the whole, twins weigh alike', (kind, set) => {
    const document = made(kind, set);
    const { weights } = planMade(document);
    const sum = (of: readonly { readonly mass: number }[]) => of.reduce((all, { mass }) => all + mass, 0);
    expect(sum(groupWeights(document, weights))).toBeCloseTo(sum(weights), 9);
    for (const left of weights.filter(({ id }) => id.endsWith(':left'))) {
      const right = weights.find(({ id }) => id === left.id.replace(':left', ':right'))!;
      expect(right.mass / left.mass, left.name).toBeCloseTo(1, 6);
      expect(distance(right.at, [left.at[0], -left.at[1], left.at[2]])).toBeLessThan(1e-6);
    }
  });
});
