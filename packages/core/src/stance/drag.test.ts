import { describe, expect, it } from 'vitest';
import { made, stanceMade } from '../../../../testing/made.js';
import { pullTo, takeHold } from './drag.js';
import type { ViewName } from './dimension.js';
import { findKind } from './kinds/registry.js';
import { solveStance } from './solve.js';

const document = made('kart', 'ladder');
const stance = stanceMade(document);
const kind = findKind('kart')!;
const hold = (point: string, moves: readonly string[], view: ViewName) =>
  takeHold(kind, stance.held, stance.state, { point, moves, view })!;
/** Where the point is with what was held after a pull; x and z, or x and y. */
const after = (point: string, held: Readonly<Record<string, number>>) => {
  const solved = solveStance(kind, held, stance.state);
  if (!solved.ok) throw new Error(JSON.stringify(solved.refusals));
  return kind.points(solved.state)[point]!;
};

describe('a pull at a point', () => {
  it('of which two dimensions give way brings it there, each to whole millimetres', () => {
    const seat = stance.points.seat!;
    const pulled = pullTo(hold('seat', ['seatAhead', 'seatHeight'], 'side'), [seat[0] + 37, seat[2] + 21]);
    if (!pulled.gives) throw new Error('it does not give');
    const [x, , z] = after('seat', pulled.held);
    expect(x).toBeCloseTo(seat[0] + 37, 0);
    expect(z).toBeCloseTo(seat[2] + 21, 0);
    expect(pulled.held.seatAhead).toBe(Math.round(pulled.held.seatAhead!));
  });
  it('of which two slanted ones give way comes there, too, and back', () => {
    const point = 'axisGround';
    const at = stance.points[point]!;
    const grip = hold(point, ['caster', 'kingpinInclination'], 'front');
    for (const by of [-6, 9]) {
      const pulled = pullTo(grip, [at[1] + by, 0]);
      if (!pulled.gives) throw new Error('it does not give');
      expect(Math.abs(after(point, pulled.held)[1] - at[1] - by)).toBeLessThan(0.6);
    }
  });
  it('of which one gives way goes as near as that one can: to the foot of the square on its own way', () => {
    const seat = stance.points.seat!;
    const pulled = pullTo(hold('seat', ['seatHeight'], 'side'), [seat[0] + 50, seat[2] + 20]);
    if (!pulled.gives) throw new Error('it does not give');
    const [x, , z] = after('seat', pulled.held);
    expect([x, z]).toEqual([seat[0], seat[2] + 20]);
    // Along a slanting way: pulled square to it, it stays.
    const steep = hold('steeringWheel', ['wheelAhead'], 'side');
    const wheel = stance.points.steeringWheel ?? stance.seatPoints.steeringWheel;
    if (wheel && steep) {
      const still = pullTo(steep, [wheel[0], wheel[2] + 80]);
      expect(still.gives && still.held.wheelAhead).toBe(stance.held.wheelAhead);
    }
  });
  it('stops at a limit, and says which', () => {
    const seat = stance.points.seat!;
    const low = pullTo(hold('seat', ['seatHeight'], 'side'), [seat[0], -500]);
    if (!low.gives) throw new Error('it does not give');
    expect(low.held.seatHeight).toBe(20);
  });
  it('of which nothing held gives way names what could be pinned', () => {
    expect(pullTo(hold('frontLeftContact', ['frontOverWheels'], 'plan'), [0, 0])).toEqual({
      gives: false,
      pin: 'frontOverWheels',
    });
  });
});
