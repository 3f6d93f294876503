import { rootBetween } from '../numeric/root.js';
import type { SteeredWheel } from '../stance/dimension.js';
import { steered, type Steered } from '../stance/steering.js';
import { isStuck, moveChain, rodAngle, type Chain, type Positions } from './chain.js';

/** Why the steering goes no further to a side. */
export type Stop =
  /** The inner wheel is at the lock that is wanted. */
  | { readonly by: 'lock' }
  /** A rod cannot reach any further: it is in line with its arm. */
  | { readonly by: 'rod'; readonly rod: string }
  /** The hands go no further. */
  | { readonly by: 'reach' }
  /** The wheels turn the other way. */
  | { readonly by: 'wrong way' };

export interface Side {
  /** Driver there: degrees, or mm. */
  readonly drive: number;
  /** The wheel that is turned further there, degrees about its axis. */
  readonly steer: number;
  readonly stop: Stop;
}
export interface SteeringStep {
  readonly drive: number;
  readonly positions: Positions;
  /** By wheel id. */
  readonly wheels: Readonly<Record<string, Steered>>;
  /** By rod id: the smaller of the angles at its two ends, degrees; 0 is dead in line. */
  readonly rods: Readonly<Record<string, number>>;
}
export interface SteeringSweep {
  readonly left: Side;
  readonly right: Side;
  /** From full right to full left; the middle one is straight ahead. */
  readonly steps: readonly SteeringStep[];
}
/** Angles that a sweep looks at. */
export const STEPS_OF_SWEEP = 121;
/** The driver is first moved in steps of this part of its reach, to see where a rod ends. */
const COARSE = 24;

/** The larger turn of the wheels, counted to one side; undefined where a rod cannot reach. */
function turned(chain: Chain, drive: number, side: 1 | -1): number | undefined {
  const positions = moveChain(chain, drive);
  if (isStuck(positions)) return undefined;
  return Math.max(...Object.values(chain.wheels).map((body) => side * positions[body]!));
}

/**
 * How far the steering goes to a side: to the lock, or to where a rod reaches no further.
 * @param lock degrees of the wheel that turns further
 * @param reach of the driver, degrees or mm
 */
export function sideOf(chain: Chain, lock: number, reach: number, side: 1 | -1): Side {
  const first = turned(chain, (side * reach) / 1000, side);
  if (first !== undefined && first < 0) return { drive: 0, steer: 0, stop: { by: 'wrong way' } };
  let last = { drive: 0, steer: 0 };
  for (let step = 1; step <= COARSE; step += 1) {
    const drive = (side * reach * step) / COARSE;
    const steer = turned(chain, drive, side);
    const ends = steer === undefined || steer < last.steer;
    const most = ends ? furthest(chain, last.drive, drive, side) : undefined;
    // Where a rod ends in the same step, the lock may still come before it.
    if ((most?.steer ?? steer!) >= lock) {
      const far = most?.drive ?? drive;
      const at = rootBetween((x) => (turned(chain, x, side) ?? Infinity) - lock, last.drive, far);
      return { drive: at, steer: lock, stop: { by: 'lock' } };
    }
    if (most) return most;
    last = { drive, steer: steer! };
  }
  return { ...last, stop: { by: 'reach' } };
}

/** The last place before a rod is in line, to a thousandth of the step. */
function furthest(chain: Chain, good: number, bad: number, side: 1 | -1): Side {
  let [low, high] = [good, bad];
  let most = turned(chain, good, side) ?? 0;
  for (let round = 0; round < 24; round += 1) {
    const middle = (low + high) / 2;
    const steer = turned(chain, middle, side);
    if (steer === undefined || steer < most) high = middle;
    else [low, most] = [middle, steer];
  }
  const stuck = moveChain(chain, bad);
  const rod = isStuck(stuck)
    ? stuck.rod
    : (chain.links.find(({ as }) => as === 'rod') as { id: string } | undefined)?.id;
  return { drive: low, steer: most, stop: { by: 'rod', rod: rod ?? '' } };
}

/**
 * The steering from full right to full left.
 * @param wheels the steered wheels, mm
 * @param lock wanted of the wheel that turns further, degrees
 * @param reach of the driver, degrees or mm
 */
export function sweepOf(
  chain: Chain,
  wheels: readonly SteeredWheel[],
  lock: number,
  reach: number,
  count = STEPS_OF_SWEEP,
): SteeringSweep {
  const [left, right] = [sideOf(chain, lock, reach, 1), sideOf(chain, lock, reach, -1)];
  const half = (count - 1) / 2;
  const steps = Array.from({ length: count }, (_, index) => {
    const share = (index - half) / half;
    const drive = share < 0 ? -share * right.drive : share * left.drive;
    return stepAt(chain, wheels, drive);
  }).filter((step) => step !== undefined);
  return { left, right, steps };
}

/** Everything at one place of the driver; undefined where it cannot be there. */
export function stepAt(
  chain: Chain,
  wheels: readonly SteeredWheel[],
  drive: number,
): SteeringStep | undefined {
  const positions = moveChain(chain, drive);
  if (isStuck(positions)) return undefined;
  return {
    drive,
    positions,
    wheels: Object.fromEntries(
      wheels.map((wheel) => [wheel.id, steered(wheel, positions[chain.wheels[wheel.id]!]!)]),
    ),
    rods: Object.fromEntries(
      chain.links.flatMap((link) => (link.as === 'rod' ? [[link.id, rodAngle(chain, link, positions)]] : [])),
    ),
  };
}
