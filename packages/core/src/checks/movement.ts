import { median } from 'd3-array';
import type { LoggedMovement } from '@larchwood/format';
import { length, subtract, type Vector } from '../vector/vector.js';
import type { AsBuilt } from './asBuilt.js';

/** How a point came to lie otherwise from one stage to a later one. */
export interface Movement {
  readonly point: string;
  readonly by: Vector;
  /** More than what the readings leave open: twice the standard deviation along its own way. */
  readonly sure: boolean;
}

/**
 * What moved between two stages, as far as the readings of both tell it. What both left open cancels out, so a point that was
 * measured at neither stands still.
 */
export function movementOf(
  before: Pick<AsBuilt, 'displaced' | 'known'>,
  after: Pick<AsBuilt, 'displaced' | 'known'>,
): readonly Movement[] {
  return Object.keys(after.displaced)
    .filter((point) => before.displaced[point] !== undefined)
    .map((point) => {
      const by = subtract(after.displaced[point]!, before.displaced[point]!);
      const size = length(by);
      const variance = [0, 1, 2].reduce(
        (sum, axis) =>
          sum +
          (by[axis]! / (size || 1)) ** 2 *
            (after.known[point]![axis]! ** 2 + before.known[point]![axis]! ** 2),
        0,
      );
      return { point, by, sure: size > 2 * Math.sqrt(variance) && size > 0 };
    });
}

/**
 * The usual movement of a key point, by the workshop's log of vehicles of a kind: the middle one along each axis.
 * @returns undefined where none was logged
 */
export function typicalMovement(
  logged: readonly Pick<LoggedMovement, 'kind' | 'point' | 'by'>[],
  kind: string,
  point: string,
): { readonly by: Vector; readonly count: number } | undefined {
  const mine = logged.filter((each) => each.kind === kind && each.point === point).map(({ by }) => by);
  const middle = (axis: 0 | 1 | 2): number => median(mine, (by) => by[axis])!;
  return mine.length === 0 ? undefined : { by: [middle(0), middle(1), middle(2)], count: mine.length };
}
