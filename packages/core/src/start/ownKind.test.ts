import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BuildDocument } from '@larchwood/format';
import { heldIn } from '../../../../testing/fixtures.js';
import { made, planMade, stanceMade } from '../../../../testing/made.js';
import { clearancesOf } from '../clearance/sweep.js';
import { LADDER_KART } from '../frame/layouts/ladderKart.js';
import type { Layout } from '../frame/layouts/layout.js';
import { LAYOUTS } from '../frame/layouts/registry.js';
import type { Kind } from '../stance/dimension.js';
import { KART } from '../stance/kinds/karts.js';
import { KINDS } from '../stance/kinds/registry.js';
import { releases } from '../stance/exchange.js';
import { without } from '../without.js';
import { fitRange } from '../seat/range.js';

const ID = 'quadricycle' as BuildDocument['kind'];
/** A kind and a layout that nothing else has heard of, each one entry. */
const kind: Kind = {
  ...KART,
  id: ID,
  name: 'Quadricycle',
  startingSets: [{ ...KART.startingSets.find(({ id }) => id === 'ladder')!, id: 'town', name: 'Town' }],
};
const layout: Layout = {
  ...LADDER_KART,
  id: 'town-ladder',
  name: 'Town ladder',
  kinds: [ID],
  sets: ['town'],
};

describe('a kind and a layout that are one entry each in their registries', () => {
  const [kinds, layouts] = [KINDS as Kind[], LAYOUTS as Layout[]];
  beforeAll(() => {
    kinds.push(kind);
    layouts.push(layout);
  });
  afterAll(() => {
    kinds.splice(kinds.indexOf(kind), 1);
    layouts.splice(layouts.indexOf(layout), 1);
  });

  it('a build of it is begun with its own frame, in the school that its layout names first', () => {
    const build = made(ID, 'town');
    expect(build.frame.origin).toMatchObject({ pattern: 'town-ladder' });
    expect(build.brief.school).toBe(LADDER_KART.schools[0]);
    const plan = planMade(build);
    expect(plan.kind).toBe(ID);
    expect(plan.frame.pieces.length).toBe(planMade(made('kart', 'ladder')).frame.pieces.length);
    expect(plan.cuts.length).toBeGreaterThan(10);
    expect(plan.fixture.refused).toBeUndefined();
    expect(plan.mass.laden.mass).toBeGreaterThan(50);
    expect(plan.tipping).toBeDefined();
  });
  it('its figures are those of what it is made of, and any of its readings can be held instead', () => {
    const [own, other] = [stanceMade(made(ID, 'town')), stanceMade(made('kart', 'ladder'))];
    expect(own.values).toEqual(other.values);
    const longer = stanceMade(made(ID, 'town', { held: { wheelbase: 1650 } }));
    expect(longer.values.wheelbase).toBeCloseTo(1650, 6);
    // A reading is held in place of what best gives way to it, and the vehicle closes as it was.
    const { held, state } = own;
    const [best] = releases(kind, state, held, 'insideDrop');
    const swapped = stanceMade({
      ...made(ID, 'town'),
      stance: { held: { ...without(held, best!.id), insideDrop: own.values.insideDrop! }, near: state },
    });
    expect(swapped.values[best!.id]).toBeCloseTo(own.values[best!.id]!, 4);
  });
  it('sweep, fixture and who fits know it without being told', () => {
    const build = made(ID, 'town');
    const plan = planMade(build);
    const other = made('kart', 'ladder');
    expect(clearancesOf(build, plan).gaps).toEqual(clearancesOf(other, planMade(other)).gaps);
    expect(fitRange(build)).toEqual(fitRange(other));
    expect(planMade(heldIn(build, 'plan')).fixture.settings.length).toBeGreaterThan(5);
  });
});
