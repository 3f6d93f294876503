import fc from 'fast-check';
import { SVD } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, stanceMade } from '../../../../testing/made.js';
import { without } from '../without.js';
import type { Kind, State } from './dimension.js';
import { releases } from './exchange.js';
import { findKind } from './kinds/registry.js';
import { jacobianOf, solveStance, unknownsOf, type Held } from './solve.js';

describe.each(EVERY_SET)('%s, %s: holding one dimension in place of another', (kindId, set) => {
  const kind = findKind(kindId)!;
  const stance = stanceMade(made(kindId, set));

  it('any admissible exchange, and several in a row, give the same vehicle', () => {
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 1000 }), { minLength: 1, maxLength: 5 }), (choices) => {
        let held = stance.held;
        for (const choice of choices) {
          const pins = kind.dimensions.filter(({ id }) => !(id in held));
          const pin = pins[choice % pins.length]!.id;
          const offered = releases(kind, stance.state, held, pin);
          // A weak grip only blows small errors up: builders are offered it last.
          const firm = offered.filter(({ perUnit }) => Math.abs(perUnit) < 50);
          const release = firm[choice % Math.max(1, firm.length)];
          if (!release) continue;
          held = { ...without(held, release.id), [pin]: stance.values[pin]! };
        }
        const again = solveStance(kind, held, stance.state);
        if (!again.ok) throw new Error(`${Object.keys(held).join()}: ${again.refusals[0]!.message}`);
        return (
          Object.entries(held).every(([id, value]) => Math.abs(again.values[id]! - value) < 1e-6) &&
          kind.dimensions.every(({ id }) => Math.abs(again.values[id]! - stance.values[id]!) < 1e-3)
        );
      }),
      { numRuns: 40 },
    );
  });

  it('from this vehicle to another of its kind: what that one has is met, whichever dimensions are held', () => {
    const free = kind.dimensions.filter(
      ({ id }) => kind.state.includes(id) && !kind.given.includes(id) && !/(Travel|Sag)$/.test(id),
    );
    const other = fc.tuple(...free.map(() => fc.double({ min: -1, max: 1, noNaN: true })));
    fc.assert(
      fc.property(other, fc.array(fc.nat({ max: 1000 }), { maxLength: 4 }), (moves, choices) => {
        let held = stance.held;
        for (const choice of choices) {
          const pins = kind.dimensions.filter(({ id }) => !(id in held) && !/(Unladen|Full)$/.test(id));
          const pin = pins[choice % pins.length]!.id;
          const firm = releases(kind, stance.state, held, pin).filter(
            ({ perUnit }) => Math.abs(perUnit) < 20,
          );
          const release = firm[choice % Math.max(1, firm.length)];
          if (release) held = { ...without(held, release.id), [pin]: 0 };
        }
        const there: State = {
          ...stance.state,
          ...Object.fromEntries(
            free.map(({ id, quantity, limits: [low, high] }, index) => {
              const now = stance.state[id]!;
              const reach = quantity === 'angle' ? 4 : Math.max(15, Math.abs(now) * 0.1);
              return [id, Math.min(high, Math.max(low, now + moves[index]! * reach))];
            }),
          ),
        };
        const asked = kind.dimensions.filter(({ id }) => id in held);
        const wanted = Object.fromEntries(asked.map(({ id, evaluate }) => [id, evaluate(there)]));
        fc.pre(kind.refuse(there).length === 0);
        fc.pre(asked.every(({ id, limits: [low, high] }) => wanted[id]! >= low && wanted[id]! <= high));
        fc.pre(isFirm(kind, wanted, there));
        const found = solveStance(kind, wanted, stance.state);
        if (!found.ok) throw new Error(`${Object.keys(wanted).join()}: ${found.refusals[0]!.message}`);
        return Object.entries(wanted).every(([id, value]) => Math.abs(found.values[id]! - value) < 1e-6);
      }),
      { numRuns: 60 },
    );
  });

  it('what is offered to let go keeps the vehicle solvable, and the foretold change comes true', () => {
    for (const { id: pin, quantity } of kind.dimensions) {
      for (const { id, perUnit } of releases(kind, stance.state, stance.held, pin)) {
        if (Math.abs(perUnit) > 25) continue;
        const { [id]: was, ...rest } = stance.held;
        const step = quantity === 'angle' ? 1e-3 : 1e-2;
        const moved = solveStance(kind, { ...rest, [pin]: stance.values[pin]! + step }, stance.state);
        if (!moved.ok) continue; // at a limit
        expect((moved.values[id]! - was!) / step, `${pin} for ${id}`).toBeCloseTo(
          perUnit,
          Math.abs(perUnit) > 5 ? 0 : 1,
        );
      }
    }
  });
});

/** False where the held dimensions hardly fix a vehicle, as when head tube and seat tube come to be parallel. */
function isFirm(kind: Kind, held: Held, state: State): boolean {
  const { free, wanted } = unknownsOf(kind, held);
  if (free.length === 0) return true;
  const { diagonal } = new SVD(jacobianOf(state, free, wanted), { autoTranspose: true });
  return diagonal.at(-1)! > 0.02;
}
