import { describe, expect, it } from 'vitest';
import { figuresText } from '../../../../testing/figures.js';
import { FAMILIES, made, stanceMade } from '../../../../testing/made.js';
import type { Drawn, Picture } from './dimension.js';
import { pullTo, takeHold, VIEW_AXES } from './drag.js';
import { releases } from './exchange.js';
import { findKind } from './kinds/registry.js';
import { postureOf } from './posture.js';
import { whatIf } from './whatIf.js';

/** Kinds of every assembly; a scooter has a floor, a delta trike sits behind one wheel. */
const KEPT = [
  ...FAMILIES.map(([kind, set]) => ({ kind, set })),
  ...[
    { kind: 'tandem', set: 'tandem' },
    { kind: 'scooter', set: 'scooter-large' },
    { kind: 'delta-trike', set: 'delta' },
  ],
] as const;

/**
 * Every dimension, point, picture and way of giving of a vehicle of each family, as they were when all other tests of them
 * held. A change that is meant is looked at line by line and taken with `npx vitest run -u`.
 */
describe('figures that are kept', () => {
  it.each(KEPT)('of a $kind, $set', async ({ kind: id, set }) => {
    const stance = stanceMade(made(id, set));
    const kind = findKind(id)!;
    const { state, values, held } = stance;
    const drawn = (each: Drawn | Picture) =>
      each.as === 'angle'
        ? {
            ...each,
            from: typeof each.from === 'function' ? each.from(state) : each.from,
            turn: each.turn(values[each.id] ?? 0, state),
          }
        : each;
    const named = (points: Readonly<Record<string, unknown>>) =>
      Object.entries(points).map(([point, at]) => ({ point, at }));
    const pulls = [...kind.handles, ...kind.seat.handles].flatMap(({ point, moves, views }) =>
      views.flatMap((view) => {
        const hold = takeHold(kind, held, state, { point, moves, view });
        if (!hold) return [];
        const [across, up] = VIEW_AXES[view].map((_, axis) => hold.start[axis]!) as [number, number];
        const pulled = pullTo(hold, [across + 11, up + 7]);
        const changed = pulled.gives
          ? Object.entries(pulled.held).filter(([key, value]) => value !== held[key])
          : pulled.pin;
        return [{ point, view, changed }];
      }),
    );
    const { wheels, standing, steered, postures, bands, steeringAxis, places } = stance;
    const told = {
      values: kind.dimensions.map(({ id: of, quantity, limits, letGo }) => ({
        ...{ of, quantity, limits, letGo, value: values[of] },
        lets: releases(kind, state, held, of).map(({ id: let_, perUnit }) => [let_, perUnit]),
      })),
      ...{ points: named(stance.points), seat: named(stance.seatPoints), marks: named(kind.marks(state)) },
      ...{ wheels, standing, steered, steeringAxis, places, bands: named(bands) },
      postures:
        postures && [postures.unladen, postures.full].map(({ pitch, points }) => [pitch, named(points)]),
      sprung: postureOf(kind, state, { front: 12, rear: 0 }),
      ...{ drawn: kind.drawn.map(drawn), pictures: kind.pictures.map(drawn) },
      seatDrawn: kind.seat.drawn.map(drawn),
      ...{
        outline: kind.outline,
        groups: kind.groups,
        seatGroups: kind.seat.groups,
        readings: kind.readings,
      },
      ...{ handles: kind.handles, seatHandles: kind.seat.handles, given: kind.given, pulls },
      unsprung: kind.unsprung,
      sets: kind.startingSets.filter((each) => each.id === set),
      across: whatIf(kind, held, state, { across: 'wheelbase', from: 900, to: 1200, count: 2 }),
    };
    await expect(figuresText(told)).toMatchFileSnapshot(`kept/${id}.txt`);
  });
});
