import type { BuildDocument } from '@larchwood/format';
import { entry, worked } from '../stance/assembly.js';
import type { Dimension, Refusal, Solvable, State } from '../stance/dimension.js';
import { solveStance, type Held } from '../stance/solve.js';
import type { Stance } from '../stance/stance.js';
import { lengthBothWays } from '../units/length.js';
import { rodLength, type Link } from './chain.js';
import { withColumnJoints } from './columnJoints.js';
import type { Built, Linkage, Sizes } from './linkage.js';
import { findLinkage, linkagesFor } from './linkages/registry.js';
import { sideOf, stepAt, sweepOf, type SteeringSweep } from './sweep.js';
import { turnOf } from './turn.js';

/** The steering of a build: the linkage as it is sized, and all of its sweep. */
export interface Steering {
  readonly linkage: string;
  /** Sizes of the linkage, and the lock. */
  readonly state: State;
  /** Every dimension's value by id; mm and degrees. */
  readonly values: Readonly<Record<string, number>>;
  readonly held: Held;
  readonly built: Built;
  readonly sweep: SteeringSweep;
  /** The document has a steering of its own; else it follows the stance. */
  readonly own: boolean;
}
export type SteeringResult =
  | { readonly ok: true; readonly steering: Steering }
  | { readonly ok: false; readonly refusals: readonly Refusal[] };

export type SteeringParts = Pick<BuildDocument, 'steering' | 'seat'>;

/** An arm or a rod shorter than this is none, mm. */
export const LEAST_LENGTH = 5;

/** What the document holds of its linkage, or what its builders begin with. */
export function heldOf({ steering, seat }: SteeringParts, linkage: Linkage, stance: Stance): Held {
  return steering?.linkage === linkage.id ? steering.held : { ...linkage.start(stance), lock: seat.lock };
}

/**
 * The linkage that is meant, through the joints of its column; what builders of such a vehicle use where nothing is said,
 * or where that cannot be.
 */
export function linkageOf(
  { steering }: Pick<BuildDocument, 'steering'>,
  stance: Stance,
): Linkage | undefined {
  const meant = steering && findLinkage(steering.linkage);
  const linkage = meant?.suits(stance) === undefined ? linkagesFor(stance)[0] : meant;
  return linkage && withColumnJoints(linkage, steering?.made ?? []);
}

/**
 * The steering of a build on its stance.
 * @param document lock and linkage; mm and degrees
 * @returns undefined where no linkage can be built for such a vehicle
 */
export function steeringOf(document: SteeringParts, stance: Stance): SteeringResult | undefined {
  const linkage = linkageOf(document, stance);
  return linkage && solveLinkage(linkage, stance, heldOf(document, linkage, stance), document.steering);
}

/** Sizes the linkage so that every held dimension has its value. */
export function solveLinkage(
  linkage: Linkage,
  stance: Stance,
  held: Held,
  own?: BuildDocument['steering'],
): SteeringResult {
  const solvable = solvableOf(linkage, stance);
  const solved = solveStance(solvable, held, own?.linkage === linkage.id ? own.near : undefined);
  if (!solved.ok) return solved;
  const { state, values } = solved;
  const built = linkage.build(stance, state);
  const sweep = sweepOf(built.chain, stance.steered, state.lock!, linkage.reach);
  return {
    ok: true,
    steering: { linkage: linkage.id, state, values, held, built, sweep, own: own?.linkage === linkage.id },
  };
}

const LOCK = entry({
  id: 'lock',
  name: 'Lock',
  symbol: 'lk',
  quantity: 'angle',
  limits: [5, 70],
  meaning:
    'Turn of the wheel that turns further, about its steering axis, to each side; stops are set there.',
  feel: 'More turns tighter, and brings rods, tyres and knees nearer to what they can hit.',
  letGo: ['turningCircle'],
});

/** A linkage's dimensions on a stance: its sizes, and what follows from them. */
export function solvableOf(linkage: Linkage, stance: Stance): Solvable {
  const start = { ...linkage.start(stance), lock: 35 };
  const searched = linkage.sizes.filter((size) => size.searched).map(({ id }) => id);
  const rods = rodsOf(linkage.build(stance, start));
  const dimensions: readonly Dimension[] = [
    LOCK,
    ...linkage.sizes.map((size) => entry({ ...size, letGo: rods.map(({ id }) => `${id}Length`) })),
    ...rods.map(({ id, name, index }) =>
      worked<Sizes>({
        id: `${id}Length`,
        name,
        symbol: `r${index + 1}`,
        limits: [20, 4000],
        formula: '',
        source: 'distance of its two balls, straight ahead',
        meaning: 'Middle of one ball to the middle of the other, straight ahead.',
        letGo: searched,
        of: (sizes) => rodLength(rodsOf(linkage.build(stance, sizes)).find((rod) => rod.id === id)!.link),
      }),
    ),
    worked<Sizes>({
      id: 'steeringRatio',
      name: 'Steering ratio, ° for 1°',
      symbol: 'i',
      quantity: 'angle',
      limits: [0.05, 60],
      formula: '',
      source: 'exact positions of the linkage, half a degree to each side',
      meaning: `How far the ${linkage.driver.name} is turned for one degree that the wheels turn, straight ahead.`,
      feel: 'Low is quick, high is light.',
      letGo: [...searched].reverse(),
      of: (sizes) => ratioAt(linkage, stance, sizes, 0),
    }),
    worked<Sizes>({
      id: 'turningCircle',
      name: 'Turning circle, kerb to kerb',
      symbol: 'tc',
      limits: [500, 60000],
      formula: '',
      source: 'perpendiculars of the steered wheels on the rear axle’s line; upright, at walking pace',
      meaning: 'Across the circle that the outer edge of the outermost steered tyre rolls at full lock.',
      letGo: ['lock'],
      of: (sizes) => turningCircle(linkage, stance, sizes),
    }),
  ];
  return {
    name: linkage.name,
    state: ['lock', ...linkage.sizes.map(({ id }) => id)],
    given: [],
    start,
    dimensions,
    groups: groupsOf(
      linkage,
      rods.map(({ id }) => `${id}Length`),
    ),
    refuse: (known) => refusalsOf(linkage, known),
  };
}

function groupsOf(linkage: Linkage, rods: readonly string[]): Solvable['groups'] {
  const arms = linkage.sizes.filter(({ id }) => /^(arm|forkArm)/.test(id)).map(({ id }) => id);
  const others = linkage.sizes.map(({ id }) => id).filter((id) => !arms.includes(id));
  return [
    { title: 'Turning', ids: ['lock', 'turningCircle', 'steeringRatio'] },
    { title: 'Arms', ids: arms },
    { title: 'What moves them', ids: others },
    { title: 'Rods, ball to ball', ids: rods },
  ].filter(({ ids }) => ids.length > 0);
}

const refusalsOf = (linkage: Linkage, known: Partial<State>): Refusal[] =>
  linkage.sizes.flatMap(({ id, name, quantity, mayBeNone }) => {
    const value = known[id];
    if (quantity === 'angle' || mayBeNone || value === undefined || Math.abs(value) >= LEAST_LENGTH)
      return [];
    return [
      {
        where: id,
        message: `${name} must be at least ${lengthBothWays(LEAST_LENGTH)}, to either side: without it nothing turns.`,
      },
    ];
  });

/** Rods of a linkage; of twins the left one. */
function rodsOf({ chain }: Built) {
  const rods = chain.links.filter((link): link is Extract<Link, { as: 'rod' }> => link.as === 'rod');
  const single = rods.filter(({ id }) => !id.endsWith('Right'));
  return single.map((link, index) => ({
    id: link.id.replace(/Left$/, ''),
    name: link.id.endsWith('Left')
      ? `${link.name.replace(/^Left /, '').replace(/^./, (c) => c.toUpperCase())}, each side`
      : link.name,
    link,
    index,
  }));
}

/** Turn of the driver for one degree of the wheels over the ground, at a place of the driver. */
export function ratioAt(linkage: Linkage, stance: Stance, sizes: Sizes, drive: number): number {
  const { chain } = linkage.build(stance, sizes);
  const h = linkage.reach / 400;
  const heading = (at: number) => {
    const step = stepAt(chain, stance.steered, at);
    if (!step) return NaN;
    const all = Object.values(step.wheels);
    return all.reduce((sum, wheel) => sum + wheel.heading, 0) / all.length;
  };
  const ratio = (2 * h) / (heading(drive + h) - heading(drive - h));
  return Number.isFinite(ratio) ? ratio : 0;
}

/** Of a linkage that does not turn the wheels, mm. */
const NEVER = 1e7;

/** Kerb to kerb at full lock, the wider side; mm. */
function turningCircle(linkage: Linkage, stance: Stance, sizes: Sizes): number {
  const { chain } = linkage.build(stance, sizes);
  const circles = ([1, -1] as const).map((side) => {
    const { drive } = sideOf(chain, sizes.lock!, linkage.reach, side);
    const step = stepAt(chain, stance.steered, drive);
    return 2 * ((step && turnOf(stance.steered, step).kerb) ?? NEVER);
  });
  return Math.max(...circles);
}
