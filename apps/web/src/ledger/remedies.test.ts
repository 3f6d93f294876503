import { describe, expect, it } from 'vitest';
import type { BuildDocument, ShelfItem } from '@larchwood/format';
import { made, planMade } from '../../../../testing/made.js';
import { exchangeHeld } from '../edits/stance';
import { remedyOf } from './remedies';

/** The build with the one press that its finding offers. */
function mended(build: BuildDocument, code: string): BuildDocument {
  const finding = planMade(build).findings.find((each) => each.code === code);
  const remedy = finding && remedyOf(finding);
  if (!remedy) throw new Error(`no ${code}`);
  const after = remedy.change(build);
  expect(planMade(after).findings.map((each) => each.code)).not.toContain(code);
  return after;
}

describe('a finding’s remedy', () => {
  it('holds a dimension at its limit, in place of another where it followed', () => {
    const kart = made('kart', 'kart');
    const limits = [{ dimension: 'wheelbase', bound: 'most' as const, value: 1040, rule: '' }];
    const { held } = mended({ ...kart, brief: { ...kart.brief, limits } }, 'rule-limit').stance;
    expect(held.wheelbase).toBe(1040);
    expect(held).not.toHaveProperty('pedalsAhead');
  });
  it('goes back to the part and the wheel on the shelf', () => {
    const build = made('bicycle', 'touring');
    const shelf: ShelfItem[] = [
      { sort: 'fork', name: 'Fork', gives: { forkOffset: 45 } },
      { sort: 'rear wheel', name: 'Wheel', marking: '57-559', gives: {} },
    ];
    const other = { ...build, brief: { ...build.brief, shelf } };
    expect(mended(other, 'shelf-differs').stance.held.forkOffset).toBe(45);
    expect(mended(other, 'shelf-wheel-differs').wheels.rear).toEqual({
      by: 'marking',
      marking: '57-559',
      sag: 0,
    });
  });
  it('goes over to the other vehicle that meets what is held, and the same press leads back', () => {
    // Front centre held, drop let go: with wheels of one size the bottom bracket may lie as far over the axles as under them.
    const build = exchangeHeld(
      'frontCentre',
      planMade(made()).stance.values.frontCentre!,
      'bottomBracketDrop',
    )(made());
    const drop = (document: BuildDocument) => planMade(document).stance.values.bottomBracketDrop!;
    expect(drop(build)).toBeCloseTo(70, 6);
    const finding = planMade(build).findings.find(({ code }) => code === 'second-solution')!;
    const over = remedyOf(finding)!.change(build);
    expect(drop(over)).toBeCloseTo(-70, 6);
    const back = planMade(over).findings.find(({ code }) => code === 'second-solution')!;
    expect(drop(remedyOf(back)!.change(over))).toBeCloseTo(70, 6);
  });
});
