import { medianAbsoluteDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import type { Trial } from '@larchwood/format';
import { DIE } from '../../../../testing/die.js';
import { LINE, scaleRead, setBeyondStraight, settingFor, springbackOf } from './springback.js';
import { settingSum } from './words.js';

const trial = (got: number, set: number, leftOut = false): Trial => ({
  ...{ die: 'd', section: 'round', material: 'mild-steel', asked: got, set, got, on: '2026-11-28', leftOut },
});
const named = (trials: readonly Trial[]) => trials.map((each, index) => [`t${index}`, each] as const);

describe('springback', () => {
  it('a one-inch tube on a three-inch radius: 62 is set to get 60, until bends are logged (practice)', () => {
    expect(settingFor(DIE, springbackOf(DIE, []), 60)).toEqual({ set: 62, reads: 62 });
    expect(springbackOf(DIE, [])).toMatchObject({ known: 'start value', from: 0 });
  });
  it.each([0, 2, -1.5, 90])(
    'a scale that reads %f at a straight tube teaches no springback of its own',
    (zero) => {
      const die = { ...DIE, zero, step: 0.5 };
      // Set by its own setting, a bend that springs back by 3 is read off the scale and logged.
      const { reads } = settingFor(die, { base: 3, factor: 1 }, 60);
      expect(reads).toBeCloseTo(zero + 63, 9);
      const logged = { ...trial(60, setBeyondStraight(die, reads)), zero };
      expect(scaleRead(logged)).toBeCloseTo(reads, 9);
      const learned = springbackOf(die, named([logged]));
      expect(learned.base).toBeCloseTo(3, 9);
      expect(settingFor(die, learned, 45).reads).toBeCloseTo(zero + 48, 9);
    },
  );
  it('a setting is a mark of the scale, also where a straight tube reads between two', () => {
    expect(settingFor({ zero: 0.4, step: 1 }, { base: 2, factor: 1 }, 45).reads).toBe(47);
    expect(settingFor({ zero: 0.4, step: 0.5 }, { base: 2, factor: 1 }, 45).reads).toBe(47.5);
  });
  it('one bend gives its springback at every angle, and says that it is one', () => {
    const one = springbackOf(DIE, named([trial(60, 63)]));
    expect(one).toMatchObject({ base: 3, factor: 1, known: 'one bend' });
    expect(one.scatter).toBeUndefined();
  });
  it('is a line from three bends that lie 15 degrees apart on, just inside and just outside', () => {
    const bends = (apart: number) =>
      named([trial(45, 47), trial(45 + apart / 2, 47.2 + apart / 2), trial(45 + apart, 47.4 + apart)]);
    expect(springbackOf(DIE, bends(LINE.apart)).known).toBe('line');
    expect(springbackOf(DIE, bends(LINE.apart - 0.1)).known).toBe('offset');
    expect(springbackOf(DIE, bends(40).slice(0, LINE.bends - 1)).known).toBe('offset');
  });
  it('one wild bend in seven does not move it: it is named, not dropped, until the builder leaves it out', () => {
    const good = [20, 35, 50, 65, 80, 95].map((got, index) =>
      trial(got, 1.2 + 1.02 * got + (index % 2 ? 0.1 : -0.1)),
    );
    const wild = trial(60, 75);
    const clean = springbackOf(DIE, named(good));
    const spoilt = springbackOf(DIE, named([...good, wild]));
    expect(Math.abs(spoilt.base + spoilt.factor * 60 - clean.base - clean.factor * 60)).toBeLessThan(0.3);
    expect(spoilt.far).toEqual(['t6']);
    expect(springbackOf(DIE, named([...good, trial(60, 75, true)]))).toEqual({ ...clean, far: [] });
    // The scatter is the median deviation of a normal distribution, by simple-statistics.
    const off = good.map(({ got, set }) => set - clean.base - clean.factor * got);
    expect(clean.scatter!).toBeCloseTo(1.4826 * medianAbsoluteDeviation(off), 2);
  });
  it('the scale is read in its own steps from its own zero', () => {
    expect(settingFor({ zero: 3, step: 1 }, { base: 1.7, factor: 1 }, 45)).toMatchObject({ reads: 50 });
    expect(settingFor({ zero: 0, step: 0.25 }, { base: 1.7, factor: 1 }, 45).reads).toBeCloseTo(46.75, 9);
  });
});

describe('what a setting is made of', () => {
  it.each([
    [45, 47.4, 0, 47, '45° of bend + 2.4° of springback: set the scale to 47°, its nearest mark.'],
    [
      45,
      47.4,
      2,
      49,
      '45° of bend + 2.4° of springback + 2° on the scale of a straight tube: set the scale to 49°, its nearest mark.',
    ],
    [
      90,
      89,
      -1.5,
      87.5,
      '90° of bend − 1° of springback − 1.5° on the scale of a straight tube: set the scale to 87.5°.',
    ],
  ])('%f set beyond straight to %f, zero %f', (angle, set, zero, reads, text) =>
    expect(settingSum(angle, set, zero, reads)).toBe(text),
  );
});
