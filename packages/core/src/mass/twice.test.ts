import type { BuildDocument } from '@larchwood/format';
import { describe, expect, it } from 'vitest';
import { made, planMade, stanceMade } from '../../../../testing/made.js';
import { findingText } from '../findings/catalogue.js';
import { withSteeringParts } from '../start/steeringParts.js';
import { steeringOf } from '../steering/steering.js';
import { weighedTwice, withoutPieces } from './twice.js';

const withPieces = (document: BuildDocument): BuildDocument => {
  const stance = stanceMade(document);
  const result = steeringOf(document, stance);
  if (!result?.ok) throw new Error(JSON.stringify(result));
  return withSteeringParts(document, stance, result.steering);
};

describe('what stood for parts that are made by now', () => {
  it.each([
    ['tadpole-trike', 'tadpole', 'Steering'],
    ['kart', 'ladder', 'Steering and pedals'],
    ['buggy', 'buggy', 'Steering and pedals'],
  ])(
    'of a %s from %s is told once its pieces stand in the frame, and taken off in one step',
    (kind, set, name) => {
      const bare = made(kind, set);
      expect(weighedTwice(bare, planMade(bare).weights)).toEqual([]);
      const both = withPieces(bare);
      const plan = planMade(both);
      const [twice, ...more] = weighedTwice(both, plan.weights);
      expect([twice!.lump.name, more]).toEqual([name, []]);
      const found = plan.findings.find(({ code }) => code === 'weighed-twice')!;
      expect(findingText(found, both.units).text).toContain(`${twice!.pieces.toFixed(2)} kg`);
      const after = planMade(withoutPieces(both, twice!.lump.id, twice!.pieces));
      expect(after.findings.map(({ code }) => code)).not.toContain('weighed-twice');
      // As heavy as before its pieces were made.
      expect(after.mass.bare.mass).toBeCloseTo(planMade(bare).mass.bare.mass, 1);
    },
  );
  it('that weighs no more than its pieces is taken out', () => {
    const kart = made('kart', 'ladder');
    const { id, mass } = kart.mass.lumps.find(({ name }) => name.startsWith('Steering'))!;
    const left = (pieces: number) =>
      withoutPieces(kart, id, pieces).mass.lumps.find((each) => each.id === id);
    expect(left(mass - 0.02)).toBeUndefined();
    expect(left(mass + 1)).toBeUndefined();
    expect(left(mass - 0.03)).toMatchObject({ mass: 0.03, name: 'Steering and pedals, the rest' });
  });
});
