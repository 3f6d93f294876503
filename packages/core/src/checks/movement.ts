import { median } from 'd3-array';
import type { LoggedMovement } from '@larchwood/format';
import type { KeyId } from '../fixture/keys.js';
import { length, mirror, subtract, type Vector } from '../vector/vector.js';
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

/** What holds a key point in a frame. What welding does to a point hangs on that more than on the vehicle. */
export type JointKind = 'head' | 'shell' | 'seat' | 'dropout' | 'axle' | 'pivot' | 'kingpin';

/** Several of a kind of joint, in words. */
export const JOINT_NAMES: Readonly<Record<JointKind, string>> = {
  head: 'head tubes',
  shell: 'bottom-bracket shells',
  seat: 'seat clusters',
  dropout: 'dropouts on their stays',
  axle: 'axle carriers on a frame of rails',
  pivot: 'swing-arm pivots',
  kingpin: 'kingpins',
};

/** Points of a frame by their names, its key points among them. */
type Named = Readonly<Partial<Record<string, { readonly name: string }>>>;

/** The kind of joint that holds a key point, among the points of its frame. */
export function jointKindOf(point: KeyId, points: Named): JointKind {
  if (point.startsWith('head')) return 'head';
  if (point.startsWith('kingpin')) return 'kingpin';
  if (point === 'seatTop') return 'seat';
  if (!point.startsWith('axle')) return 'shell';
  if (points[point]?.name.startsWith('Swing')) return 'pivot';
  return points.headLower ? 'dropout' : 'axle';
}

/** A movement by the workshop's log. */
export interface Usual {
  readonly by: Vector;
  readonly count: number;
  /** Logged of vehicles of the same kind at the same point, or of the same kind of joint on any vehicle. */
  readonly from: 'vehicle' | 'joint';
}

/**
 * The usual movement of a key point, by the workshop's log: the middle one along each axis of what was logged at it on
 * vehicles of its kind; where there is none, of what was logged of its kind of joint on any vehicle, the right side taken
 * as the left one's mirror twin.
 * @returns undefined where nothing was logged; mm
 */
export function usualMovement(
  logged: readonly Pick<LoggedMovement, 'kind' | 'point' | 'by' | 'joint'>[],
  kind: string,
  point: KeyId,
  points: Named,
): Usual | undefined {
  const own = logged.filter((each) => each.kind === kind && each.point === point);
  if (own.length > 0) return { ...middleOf(own.map(({ by }) => by)), from: 'vehicle' };
  const joint = jointKindOf(point, points);
  // The top of a head tube or a kingpin does not move as its foot does.
  const alike = logged.filter((each) => each.joint === joint && unsided(each.point) === unsided(point));
  if (alike.length === 0) return undefined;
  const { by, count } = middleOf(alike.map((each) => onLeft(each.by, each.point)));
  return { by: onLeft(by, point), count, from: 'joint' };
}
const unsided = (point: string): string => point.replace(/Left|Right/, '');
const onLeft = (by: Vector | LoggedMovement['by'], point: string): Vector =>
  point.endsWith('Right') ? mirror(by as Vector) : (by as Vector);
function middleOf(all: readonly (Vector | LoggedMovement['by'])[]): { by: Vector; count: number } {
  const middle = (axis: 0 | 1 | 2): number => median(all, (by) => by[axis])!;
  return { by: [middle(0), middle(1), middle(2)], count: all.length };
}
