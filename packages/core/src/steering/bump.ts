import { leastBetween } from '../numeric/golden.js';
import type { Stance } from '../stance/stance.js';
import { steered } from '../stance/steering.js';
import { fullTravel, unladen } from '../stance/springs.js';
import type { Springs } from '../stance/states.js';
import { add, type Vector } from '../vector/vector.js';
import { isStuck, moveChain, rodLength, type Chain } from './chain.js';
import type { Linkage } from './linkage.js';
import type { Steering } from './steering.js';

/** Both front wheels gone up together by so much, against ride height: what the rods make of their toe. */
export interface BumpStep {
  /** mm; negative hangs lower. */
  readonly up: number;
  /** Fronts turned further inward than at ride height, both together, degrees. */
  readonly toeIn: number;
}
export interface BumpSteer {
  readonly steps: readonly BumpStep[];
  /** The rods reach all of the travel; else the steps are only those that they reach. */
  readonly whole: boolean;
  /** Largest change of toe over the travel, degrees; to either side. */
  readonly worst: number;
  /** A height of the rods' inner ends with less of it, and what is left then; none where it is best as it is. */
  readonly better: { readonly size: string; readonly value: number; readonly worst: number } | undefined;
}

const COUNT = 25;
/** Less change of toe than this is not worth a new bracket, degrees. Common practice, no source. */
const WORTH = 0.05;

/** A chain with its knuckles moved up, its rods as long as before. */
function lifted(chain: Chain, up: number): Chain {
  const by: Vector = [0, 0, up];
  const knuckles = new Set(Object.values(chain.wheels));
  const moved = (at: Vector, body: string) => (knuckles.has(body) ? add(at, by) : at);
  return {
    ...chain,
    bodies: Object.fromEntries(
      Object.entries(chain.bodies).map(([id, body]) => [
        id,
        body.as === 'turns' ? { ...body, point: moved(body.point, id) } : body,
      ]),
    ),
    links: chain.links.map((link) =>
      link.as === 'rod'
        ? {
            ...link,
            length: link.length ?? rodLength(link),
            from: { ...link.from, at: moved(link.from.at, link.from.body) },
            to: { ...link.to, at: moved(link.to.at, link.to.body) },
          }
        : link,
    ),
  };
}

function stepsOf(chain: Chain, stance: Stance): BumpStep[] {
  const springs = stance.state as unknown as Springs;
  const [low, high] = [unladen(springs).front, fullTravel(springs).front];
  const toe = (up: number): number => {
    const positions = moveChain(lifted(chain, up), 0);
    if (isStuck(positions)) return NaN;
    const [left, right] = stance.steered.map(
      (wheel) => steered(wheel, positions[chain.wheels[wheel.id]!]!).heading,
    );
    return right! - left!;
  };
  const still = toe(0);
  return Array.from({ length: COUNT }, (_, index) => {
    const up = low + ((high - low) * index) / (COUNT - 1);
    return { up, toeIn: toe(up) - still };
  }).filter(({ toeIn }) => Number.isFinite(toeIn));
}

const worstOf = (steps: readonly BumpStep[]): number =>
  Math.max(0, ...steps.map(({ toeIn }) => Math.abs(toeIn)));

/** Sizes that raise the inner ends of a linkage's rods. */
const HEIGHTS = ['rackHeight', 'pivotHeight', 'armHeight'] as const;
/** So far an inner end is moved at most, mm. */
const REACH = 120;

/**
 * Toe against travel, with the hands still: the wheels go straight up until links of their own are drawn. Says where the
 * rods' inner ends would stand for the least of it.
 * @returns none where the front has no travel, or one wheel
 */
export function bumpSteerOf(linkage: Linkage, stance: Stance, steering: Steering): BumpSteer | undefined {
  const springs = stance.state as unknown as Partial<Springs>;
  if (stance.steered.length < 2 || !(springs.frontTravel! > 0)) return undefined;
  // Joined by one rod alone, both wheels go up with it.
  if (steering.built.chain.links.every((link) => link.as !== 'rod' || link.id === 'trackRod'))
    return undefined;
  const steps = stepsOf(steering.built.chain, stance);
  const worst = worstOf(steps);
  const whole = steps.length === COUNT;
  const size = HEIGHTS.find((id) => linkage.sizes.some((each) => each.id === id));
  if (size === undefined) return { steps, whole, worst, better: undefined };
  const { limits } = linkage.sizes.find(({ id }) => id === size)!;
  const at = steering.state[size]!;
  // A height from which a rod does not reach all of the travel is none to offer.
  const worstAt = (value: number) => {
    const all = stepsOf(linkage.build(stance, { ...steering.state, [size]: value }).chain, stance);
    return all.length < COUNT ? Infinity : worstOf(all);
  };
  const value = Math.round(
    leastBetween(worstAt, Math.max(limits[0], at - REACH), Math.min(limits[1], at + REACH), 0.5),
  );
  const least = worstAt(value);
  // Of what does not reach at all, any that does is better.
  return {
    steps,
    whole,
    worst,
    better: least < (whole ? worst - WORTH : Infinity) ? { size, value, worst: least } : undefined,
  };
}
