import { describe, expect, it } from 'vitest';
import { holding, made, planMade, stanceMade } from '../../../../testing/made.js';
import type { BuildDocument } from '@larchwood/format';
import { findingText } from '../findings/catalogue.js';
import { isFinding } from '../findings/finding.js';
import type { FindingCode } from '../findings/values.js';
import { without } from '../without.js';

const found = <C extends FindingCode>(build: BuildDocument, code: C) =>
  planMade(build).findings.find(isFinding(code));
const words = (build: BuildDocument, code: FindingCode) => {
  const finding = found(build, code);
  if (!finding) throw new Error(`no ${code}`);
  return findingText(finding, { length: 'mm', denominator: 16 }).text;
};

describe('what the stance tells of', () => {
  it('tyres that stand in each other, by how much; tyres beside each other pass', () => {
    // Radii 339 and 339, centres 650 apart: 28 mm.
    const rest = without(made().stance.held, 'reach');
    const close = holding(made(), { ...rest, wheelbase: 650 });
    expect(found(close, 'wheels-overlap')?.values.overlap).toBeCloseTo(28, 9);
    expect(words(close, 'wheels-overlap')).toContain('overlap by 28 mm');
    expect(found(holding(made(), { ...rest, wheelbase: 679 }), 'wheels-overlap')).toBeUndefined();
    // A tadpole's front wheels stand 390 mm to either side of its rear one, and may stand alongside it.
    const tadpole = made('tadpole-trike', 'tadpole', { held: { wheelbase: 500 } });
    expect(found(tadpole, 'wheels-overlap')).toBeUndefined();
  });
  it('negative caster trail in the words of two-track ends, negative trail in those of forks', () => {
    const kart = made('kart', 'kart', { held: { caster: 1, spindleOffset: 10 } });
    expect(words(kart, 'caster-trail-negative')).toContain('the wheels want to swing round');
    expect(found(kart, 'trail-negative')).toBeUndefined();
    const bicycle = made('bicycle', 'road', { held: { forkOffset: 130 } });
    expect(words(bicycle, 'trail-negative')).toContain('the front wheel wants to swing round');
  });
  it('a second vehicle by the dimension in which it differs', () => {
    const { values } = stanceMade(made());
    const two = holding(made(), {
      ...without(made().stance.held, 'bottomBracketDrop'),
      frontCentre: values.frontCentre!,
    });
    expect(found(two, 'second-solution')).toMatchObject({
      where: { ref: 'bottomBracketDrop' },
      values: { value: expect.closeTo(70, 4), other: expect.closeTo(-70, 4) },
    });
  });
  it.each<['deck-near-tyre' | 'pedal-low' | 'wheel-meets-shell', BuildDocument, number]>([
    ['deck-near-tyre', made('scooter', 'scooter-small', { held: { deckLength: 640 } }), 6.5],
    ['pedal-low', made('bicycle', 'road', { held: { bottomBracketDrop: 125 } }), 339 - 125 - 165],
    ['wheel-meets-shell', made('bicycle', 'road', { held: { chainstayLength: 365 } }), 365 - 339 - 20],
  ])('%s, by the gap that is left', (code, build, gap) => {
    expect(found(build, code)?.values.gap).toBeCloseTo(gap, 9);
  });
  it('a floor that comes down at full travel, by what is left under it', () => {
    const low = made('buggy', 'buggy', { held: { groundClearance: 150 } });
    const gap = Number(found(low, 'floor-low')?.values.gap);
    // Both ends go down by about 140 mm from ride height.
    expect(gap).toBeGreaterThan(0);
    expect(gap).toBeLessThan(20);
    expect(found(made('buggy', 'buggy'), 'floor-low')).toBeUndefined();
  });
});
