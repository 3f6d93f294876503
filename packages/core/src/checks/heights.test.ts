import { describe, expect, it } from 'vitest';
import { heldIn } from '../../../../testing/fixtures.js';
import { made, planMade } from '../../../../testing/made.js';
import { baseAt, heightsFrom, takenOff } from './heights.js';
import { measuringList } from './measures.js';

const fromFixture = { checks: { own: [], tolerances: {}, preset: {}, heightsFrom: 'fixture' as const } };

describe('heights from the fixture', () => {
  // What the fixture itself is set to is the other witness: the same point, above the same face.
  it.each([
    ['bicycle', 'road', 'wall-board', 'bb.z', 'height.bottomBracket'],
    ['motorcycle', 'sport', 'table', 'headLower.z', 'height.headLower'],
    ['kart', 'kart', 'table', 'axleLeft.z', 'height.axleLeft'],
    ['tadpole-trike', 'tadpole', 'table', 'axleLeft.z', 'height.axleLeft'],
  ] as const)('%s, %s in a %s: %s is what %s reads there', (kind, set, school, target, measure) => {
    const document = heldIn(made(kind, set), school);
    const plan = planMade(document);
    const base = heightsFrom(fromFixture, plan.fixture, 'dry');
    const setting = plan.fixture.settings.find(({ id }) => id === target)!;
    const measurand = measuringList({ document, ...plan }).measures.find(({ id }) => id === measure)!;
    expect(measurand.nominal - takenOff(measurand, base)).toBeCloseTo(setting.exact - setting.zero, 6);
    // Off the fixture, and on its wheels, there is only the ground.
    expect(baseAt(plan.fixture, 'off')).toBeUndefined();
    expect(heightsFrom({}, plan.fixture, 'dry')).toBeUndefined();
  });
  it('takes nothing off what is no height', () => {
    const { fixture } = planMade(heldIn(made('bicycle', 'road'), 'wall-board'));
    expect(takenOff({ as: 'distance' }, fixture.base)).toBe(0);
    expect(takenOff({ as: 'height' }, fixture.base)).toBe(fixture.base!.height);
  });
});
