import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NO_SHOP, type Die, type Shop } from '@larchwood/format';
import { scheduleOf } from '../../../../testing/bentTube.js';
import { DIE } from '../../../../testing/die.js';
import { add, type Vector } from '../vector/vector.js';
import { inBender, onBender } from './bender.js';
import { turnedOver } from './order.js';
import { inTurn } from './schedule.js';

const NONE = { start: 0, end: 0 };
const permutations = (of: readonly number[]): number[][] =>
  of.length < 2
    ? [[...of]]
    : of.flatMap((each) => permutations(of.filter((other) => other !== each)).map((rest) => [each, ...rest]));

describe('on the bender', () => {
  const shop = (change: Partial<Die> = {}): Shop => ({ ...NO_SHOP, dies: { d: { ...DIE, ...change } } });
  const corners: Vector[] = [
    [0, 0, 0],
    [300, 0, 0],
    [300, 300, 0],
    [300, 300, 300],
  ];
  const schedule = scheduleOf(corners, [76.2, 76.2], { from: 'start', extra: NONE });
  const codes = (change: Partial<Die>, bending = {}) =>
    onBender(schedule, shop(change), bending).findings.map(({ code }) => code);
  it('finds the die of its size and radius, or says that there is none, or that the chosen one is gone', () => {
    expect(codes({})).toEqual([]);
    expect(codes({ size: 25.4 + 0.39 })).toEqual([]);
    expect(codes({ size: 25.4 + 0.41 })).toEqual(['die-missing']);
    expect(codes({ radius: 76.2 + 0.6 })).toEqual(['die-missing']);
    expect(codes({ radius: 76.2 + 0.6 }, { die: 'd' })).toEqual(['die-radius-differs']);
    expect(codes({}, { die: 'sold' })).toEqual(['die-gone']);
    expect(codes({ shape: 'square' })).toEqual(['die-missing']);
  });
  it('square stock is sawn in wedges and a wide arc is rolled, unless the workshop has a die for it', () => {
    const square = { ...schedule, shape: 'square', way: 'wedge' } as const;
    const wide = { ...schedule, way: 'rolled' } as const;
    for (const each of [square, wide])
      expect(onBender(each, NO_SHOP)).toEqual({ settings: [], findings: [] });
    expect(onBender(square, shop())).toEqual({ settings: [], findings: [] });
    expect(onBender(square, shop({ shape: 'square' })).settings.map(({ die }) => die?.id)).toEqual([
      'd',
      'd',
    ]);
    expect(onBender(wide, shop()).settings.map(({ die }) => die?.id)).toEqual(['d', 'd']);
    expect(onBender(wide, NO_SHOP, { die: 'sold' }).findings.map(({ code }) => code)).toEqual(['die-gone']);
  });
  it('clamp and follower want their straight, to a tenth; a die turns so far', () => {
    // 300 less two tangents of 76.2 between the bends; less one before the first.
    expect(codes({ clamp: 147.5 })).toEqual([]);
    expect(codes({ clamp: 147.7 })).toEqual(['straight-short']);
    // What is not bent yet is straight to the tube's end: the follower wants it behind the last one only.
    expect(codes({ follow: 223.7 })).toEqual([]);
    expect(codes({ follow: 223.9 })).toEqual(['straight-short']);
    expect(codes({ most: 92 })).toEqual([]);
    expect(codes({ most: 91.9 })).toEqual(['bend-too-far', 'bend-too-far']);
  });
  it('what is bent already hangs down from the second bend: the floor is met or not, as its height says', () => {
    // The first leg hangs 300 less nothing below the middle when the second bend begins: 223.8 of straight and the radius.
    const low = -Math.min(...inBender(schedule, 1, 45).swung.map(([, , z]) => z));
    expect(low).toBeGreaterThan(250);
    expect(low).toBeLessThan(300.1);
    expect(codes({ floor: low + 12.7 + 5 })).toEqual([]);
    expect(codes({ floor: low + 12.7 - 5 })).toEqual(['bend-hits']);
    expect(codes({ reach: 500, below: low + 12.7 - 5 })).toEqual(['bend-hits']);
    expect(codes({ reach: 20, below: low + 12.7 - 5 })).toEqual([]);
  });
  it('while a bend is made each point of what swings keeps its height and its distance from the die', () => {
    const way = ({ swung }: ReturnType<typeof inBender>) =>
      swung.slice(0, 8).map(([x, y, z]) => [Math.hypot(x, y), z] as const);
    const whole = way(inBender(schedule, 1, 90));
    for (const made of [1, 30, 60])
      way(inBender(schedule, 1, made)).forEach(([away, height], index) => {
        // The same points of the tube: they are told from its reference end on.
        expect(height).toBeCloseTo(whole[index]![1], 0);
        expect(Math.abs(away - whole[index]![0])).toBeLessThan(8);
      });
  });
  it('turned over end for end the same leg stands up', () => {
    const back = scheduleOf(corners, [76.2, 76.2], { from: 'end', extra: NONE });
    const heights = inBender(back, 1, 45).swung.map(([, , z]) => z);
    expect(Math.max(...heights.map(Math.abs))).toBeGreaterThan(250);
  });
  it('told from the other end it is the same tube, in any order of its bends', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -2, max: 2 }), fc.integer({ min: -2, max: 2 })), {
          minLength: 2,
          maxLength: 5,
        }),
        (steps) => {
          let at: Vector = [0, 0, 0];
          const points = [
            at,
            ...steps.map(([y, z], index) => (at = add(at, [250, 100 * y + 10 * index, 100 * z]))),
          ];
          const bending = { extra: { start: 30, end: 70 } };
          const there = scheduleOf(
            points,
            points.slice(2).map(() => 60),
            { from: 'start', ...bending },
          );
          const back = scheduleOf(
            points,
            points.slice(2).map(() => 60),
            { from: 'end', ...bending },
          );
          const turned = turnedOver(there);
          expect(turned.order).toEqual([...back.order].reverse());
          back.bends.forEach((bend, index) => {
            const { mark, straightBefore, angle, rotation } = turned.bends[index]!;
            expect(mark).toBeCloseTo(bend.mark, 6);
            expect(straightBefore).toBeCloseTo(bend.straightBefore, 6);
            expect(angle).toBeCloseTo(bend.angle, 6);
            expect(Math.cos(((rotation - bend.rotation) * Math.PI) / 180)).toBeCloseTo(1, 9);
          });
        },
      ),
      { numRuns: 60 },
    ));
  it('an order is found that clears the floor, or turns the tube less; none where the own one is as good', () => {
    const low = 250 + 12.7;
    expect(codes({ floor: low })).toEqual(['bend-hits']);
    const { better } = onBender(schedule, shop({ floor: low }));
    expect(better).toMatchObject({ troubles: 0 });
    // Bent as proposed there is nothing to be said of it.
    const taken = scheduleOf(corners, [76.2, 76.2], {
      from: better!.from,
      order: [...better!.order],
      extra: NONE,
    });
    const so = onBender(taken, shop({ floor: low }));
    expect(so.findings).toEqual([]);
    expect(so.better).toBeUndefined();
    expect(onBender(schedule, shop()).better).toBeUndefined();
    // Planes 0, 90, 0 again: the two of one plane after each other save a turn.
    const zigzag: Vector[] = [
      [0, 0, 0],
      [300, 0, 0],
      [500, 200, 0],
      [700, 200, 200],
      [900, 400, 200],
    ].map(([x, y, z]) => [x!, y!, z!]);
    const long = scheduleOf(zigzag, [76.2, 76.2, 76.2], { from: 'start', extra: NONE });
    const found = onBender(long, shop());
    const brute = permutations(long.bends.map(({ number }) => number)).map(
      (order) => inTurn({ ...long, order }).filter(({ turn }) => Math.abs(turn) >= 0.05).length,
    );
    const own = inTurn(long).filter(({ turn }) => Math.abs(turn) >= 0.05).length;
    expect(found.better?.turns ?? own).toBe(Math.min(...brute));
  });
  it('whatever the order, the tube is turned as it is in the end, and each bend stands in its own plane', () => {
    for (const order of permutations([1, 2])) {
      const turns = inTurn({ ...schedule, order });
      expect(turns.map(({ bend }) => bend.number)).toEqual(order);
      expect(turns.reduce((sum, { turn }) => sum + Math.abs(turn), 0)).toBeCloseTo(90, 6);
    }
    // Of a bend behind that is made already, what lies behind the die is not straight.
    const second = { ...schedule, order: [2, 1] };
    const off = inBender(second, 0, 45).rest.map(([, y, z]) => Math.hypot(y - 76.2, z));
    expect(Math.max(...off)).toBeGreaterThan(200);
    expect(inBender(second, 1, 45).swung.every(([, , z]) => Math.abs(z) < 1e-9)).toBe(true);
  });
  it('the rest lies still and straight behind the die while a bend is made', () => {
    for (const made of [1, 30, 90])
      for (const [x, y, z] of inBender(schedule, 1, made).rest) {
        expect(x).toBeLessThan(1e-9);
        expect(y).toBeCloseTo(76.2, 6);
        expect(z).toBeCloseTo(0, 6);
      }
  });
});
