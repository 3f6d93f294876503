import type { CheckStage, Measured } from '@larchwood/format';
import { rodLength, moved, type Positions } from '../steering/chain.js';
import type { Steering } from '../steering/steering.js';
import type { Stance } from '../stance/stance.js';
import { toDegrees, toRadians } from '../units/angle.js';
import { distance } from '../vector/vector.js';
import type { AsBuiltFigure } from './figure.js';
import type { MeasuringList } from './list.js';
import { CHECK_STAGES } from './stages.js';
import { gapOf } from './strings.js';

const SIDES = ['Left', 'Right'] as const;

/** Degrees inward, by how much more the front gap is over a straight-edge; mm. */
const toeBy = (more: number, edge: number): number => toDegrees(Math.asin(more / edge));

/**
 * The toe of each steered wheel of two as the strings tell it, and of both together as the build has it.
 * @param measured readings of all stages, mm
 * @returns nothing for one steered wheel, or before the vehicle stands on its wheels
 */
export function toeFigures(
  { measures, comparisons }: Pick<MeasuringList, 'measures' | 'comparisons'>,
  measured: readonly Measured[],
  stage: CheckStage,
  { steered, held, values }: Pick<Stance, 'steered' | 'held' | 'values'>,
): AsBuiltFigure[] {
  if (steered.length !== 2 || !CHECK_STAGES[stage].whole) return [];
  const read = new Map(measured.filter(({ stage: of }) => of === stage).map((each) => [each.measure, each]));
  const sides = SIDES.map((side): AsBuiltFigure => {
    const ids = [gapOf(side, 'fore'), gapOf(side, 'aft')] as const;
    const [fore, aft] = ids.map((id) => measures.find((measure) => measure.id === id)!) as [
      (typeof measures)[number],
      (typeof measures)[number],
    ];
    const edge = fore.strung!.edge!;
    const compared = comparisons.find(({ id }) => id === `toe${side}`)!;
    const drawn = toeBy(compared.nominal, edge);
    const of = (id: string) => read.get(id);
    const [a, b] = ids.map(of);
    const spread = [a, b].map((each) => Math.max(fore.reads, each?.spread ?? 0));
    const sigma = toDegrees(Math.hypot(spread[0]!, spread[1]!) / edge);
    const more = a && b ? a.value - b.value : undefined;
    const told = more !== undefined && Math.abs(more) < edge;
    return {
      ...{ id: `toe${side}`, name: `Toe of the ${side.toLowerCase()} wheel`, quantity: 'angle', drawn },
      ...{ value: told ? toeBy(more, edge) : drawn, sigma, told },
      tolerance: { ...compared.tolerance, value: toeBy(Math.min(compared.tolerance.value, edge), edge) },
      ...(told ? {} : { next: { measure: (a ? aft : fore).id, sigma } }),
    };
  });
  const [left, right] = sides as [AsBuiltFigure, AsBuiltFigure];
  if (!left.told || !right.told) return sides;
  const mean = (left.value + right.value) / 2;
  const sigma = Math.hypot(left.sigma, right.sigma) / 2;
  // What the build holds of both is carried on; else it follows from the toe.
  if (!Object.hasOwn(held, 'toeDifference'))
    return [
      ...sides,
      {
        ...{ id: 'toe', name: 'Toe, mean of both wheels', quantity: 'angle', drawn: left.drawn },
        ...{ value: mean, sigma, told: true, tolerance: left.tolerance },
      },
    ];
  const across = (angle: number) => 4 * steered[0]!.radius * Math.sin(toRadians(angle));
  return [
    ...sides,
    {
      ...{ id: 'toeDifference', name: 'Toe across the tyres', quantity: 'length' },
      ...{ drawn: values.toeDifference ?? across(left.drawn), value: across(mean), told: true },
      ...{ sigma: across(sigma), tolerance: { ...left.tolerance, value: across(left.tolerance.value) } },
    },
  ];
}

/** A rod that is screwed longer or shorter. */
export interface RodTurn {
  readonly id: string;
  readonly name: string;
  /** Ball to ball, mm: longer where it is more than nothing. */
  readonly by: number;
}
/** Less than this is not turned, mm. */
const LEAST_TURN = 0.1;

/**
 * How much longer or shorter each rod that turns a wheel is to be, for the toe that was measured to become the toe as drawn.
 * Each wheel stands as measured and all else straight ahead: what the rod is now, against what it shall be.
 * Source: distance of its two ends.
 * @param figures as built, with the toe of both wheels; degrees
 */
export function rodTurns(
  { built: { chain } }: Pick<Steering, 'built'>,
  { steered }: Pick<Stance, 'steered'>,
  figures: readonly AsBuiltFigure[],
): readonly RodTurn[] {
  const [left, right] = SIDES.map((side) => figures.find(({ id }) => id === `toe${side}`));
  if (!left?.told || !right?.told) return [];
  const out = (figure: AsBuiltFigure) =>
    Math.abs(figure.value - figure.drawn) > Math.max(figure.tolerance.value, 2 * figure.sigma);
  if (!out(left) && !out(right)) return [];
  const wheels = steered.map((wheel, index): readonly [string, number] => {
    const { value, drawn } = index === 0 ? left : right;
    // Inward is to the right for the left wheel; about a leaning axis it turns a little more than its toe tells.
    return [chain.wheels[wheel.id]!, ((index === 0 ? -1 : 1) * (value - drawn)) / wheel.axis[2]];
  });
  const positions: Positions = Object.fromEntries(wheels);
  return chain.links.flatMap((link) => {
    if (link.as !== 'rod' || ![link.from, link.to].some(({ body }) => body in positions)) return [];
    const now = distance(moved(chain, link.from, positions), moved(chain, link.to, positions));
    const by = (link.length ?? rodLength(link)) - now;
    return Math.abs(by) < LEAST_TURN ? [] : [{ id: link.id, name: link.name, by }];
  });
}
