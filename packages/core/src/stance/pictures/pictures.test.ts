import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, stanceMade } from '../../../../../testing/made.js';
import type { Kind, Picture } from '../dimension.js';
import { VIEW_AXES } from '../drag.js';
import { findKind } from '../kinds/registry.js';

const LEANS = /^spindleLength$|^toeDifference$|[lL]egSpan|[aA]rmSpan/;
const shownIds = (kind: Kind) =>
  kind.dimensions.filter(({ id }) => !kind.given.includes(id)).map(({ id }) => id);

describe.each(EVERY_SET)('%s, %s', (kindId, set) => {
  const kind = findKind(kindId)!;
  const stance = stanceMade(
    made(kindId, set, {
      held: { frontTravel: 80, frontSag: 20, rearTravel: 70, rearSag: 25 },
    }),
  );

  it('every dimension that can be pressed has a picture, between points that are there', () => {
    const { state, values } = stance;
    const points = { ...stance.points, ...stance.seatPoints, ...kind.marks(state) };
    const pictures: readonly Picture[] = [...kind.pictures, ...kind.drawn, ...kind.seat.drawn];
    for (const { id } of kind.pictures) expect(shownIds(kind)).toContain(id);
    expect(shownIds(kind).filter((id) => !pictures.some((picture) => picture.id === id))).toEqual([]);
    const at = (name: string) => points[name] ?? [Number.NaN, 0, 0];
    for (const picture of pictures) {
      if (!kind.views.includes(picture.view)) continue;
      if (picture.as === 'angle') {
        const value = values[picture.id]!;
        const from = typeof picture.from === 'number' ? picture.from : picture.from(state);
        expect(at(picture.at).every(Number.isFinite), picture.id).toBe(true);
        // The arc is the angle itself.
        expect(Math.abs(picture.turn(value, state) - from), picture.id).toBeCloseTo(Math.abs(value), 6);
      } else if (picture.as !== 'posture' && picture.as !== 'steered') {
        const [a, b] = [at(picture.from), at(picture.to)];
        const across = VIEW_AXES[picture.view];
        const measured =
          picture.as === 'level'
            ? b[across[0]] - a[across[0]]
            : picture.as === 'upright'
              ? b[across[1]] - a[across[1]]
              : Math.hypot(b[across[0]] - a[across[0]], b[across[1]] - a[across[1]]);
        // The line is as long as the figure says, but for what leans out of its view.
        if (!LEANS.test(picture.id))
          expect(Math.abs(measured), `${picture.id} ${picture.as}`).toBeCloseTo(
            Math.abs(values[picture.id]!),
            6,
          );
      }
    }
  });
});
