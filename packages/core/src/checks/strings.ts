import type { BuildDocument } from '@larchwood/format';
import type { StandingWheel } from '../stance/dimension.js';
import type { Stance } from '../stance/stance.js';
import { INCH } from '../units/length.js';
import { add, cross, scale, unit, type Vector } from '../vector/vector.js';
import type { ListMaker } from './listMaker.js';
import type { Strung } from './measure.js';
import { TOLERANCES } from './tolerances.js';

/** A string is stretched this far clear of the widest wheel, at least; mm. Common practice, no source. */
const CLEAR = 20;
/** Nuts and bearings stand out of what carries an axle by so much, mm. Common practice, no source. */
const NUTS = 25;
/** A straight-edge is so much of the tyre's diameter, at most: beyond, a tyre is round at its shoulders. Common practice, no source. */
const PART = 0.9;
/** What is easily set and cut: mm, and inches. */
const STEPS = {
  metric: { string: 5, edge: 50 },
  inch: { string: INCH / 4, edge: 2 * INCH },
} as const;

const UP: Vector = [0, 0, 1];
const SIDES = [
  ['Left', 1],
  ['Right', -1],
] as const;

/** Where both ends of a straight-edge lie that is laid level on a tyre's outer side, at the height of its hub. */
function edgeOn({ centre, spindle, width }: StandingWheel, side: 1 | -1, edge: number) {
  const forward = unit(cross(spindle, UP));
  const face = add(centre, scale(spindle, (side * width) / 2));
  const end = (by: number) => add(face, scale(forward, by));
  return { fore: end(edge / 2), aft: end(-edge / 2) };
}

/**
 * Strings along both sides of a vehicle on its wheels. Of two wheels that steer, a straight-edge on the outer side, and gaps
 * at both of its ends; of one, gaps to both sides of its tyre, where it is widest. They tell the toe of each wheel by itself,
 * and how far the front lies beside the rear's line whatever the tyres are wide.
 * @param stance where the wheels stand, straight ahead
 */
export function strings(
  list: ListMaker,
  { standing, steered }: Pick<Stance, 'standing' | 'steered'>,
  units: BuildDocument['units'],
): void {
  const step = units.length === 'mm' ? STEPS.metric : STEPS.inch;
  const widest = Math.max(
    ...standing.map(({ centre, width }) => Math.abs(centre[1]) + width / 2),
    (list.points.axleLeft?.at[1] ?? 0) + NUTS,
  );
  const string = Math.ceil((widest + CLEAR) / step.string) * step.string;
  const [one, other = one] = steered;
  const single = steered.length === 1;
  // The fork is in the way of a straight-edge.
  const edge = single
    ? 2 * one!.radius - one!.width
    : Math.floor((PART * 2 * one!.radius) / step.edge) * step.edge;
  for (const [name, side] of SIDES) {
    const at = edgeOn(side === 1 ? one! : other!, side, edge);
    for (const [end, words] of [
      ['fore', 'front'],
      ['aft', 'rear'],
    ] as const) {
      const strung: Strung = { string, at: at[end], ...(single ? {} : { edge }) };
      list.add(
        gapOf(name, end),
        {
          name: `String to the front wheel, ${name.toLowerCase()}${single ? ' side' : ''}: ${words}`,
          about: `${STRUNG} ${single ? ONE : TWO}`,
          ...{ as: 'gap', points: [], tolerance: TOLERANCES.gap, tool: 'string', view: 'plan' },
        },
        { strung, whole: true },
      );
    }
    if (!single)
      list.compare(
        `toe${name}`,
        `Toe of the ${name.toLowerCase()} wheel: front gap more than rear`,
        [gapOf(name, 'fore'), gapOf(name, 'aft')],
        TOLERANCES.toe,
      );
  }
  list.compare(
    'strung',
    'Front beside the rear’s line, by the strings',
    SIDES.flatMap(([name]) => [gapOf(name, 'fore'), gapOf(name, 'aft')]),
    TOLERANCES.tracking,
    'beside',
  );
}
const STRUNG =
  'A string along either side at the height of the hub: as far apart in front as behind, and as far from the rear on the left as on the right.';
const ONE =
  'From it to the tyre’s side near its edge. First turn the bars until front and rear of the tyre read the same.';
const TWO =
  'A straight-edge level on the tyre’s outer side, its middle at the hub: from the string to its end. Bars straight.';

/** The gap at one end of the straight-edge on a side. */
export const gapOf = (side: 'Left' | 'Right', end: 'fore' | 'aft'): string => `string.${side}.${end}`;

/** What is driven by a chain or a belt: a straight-edge on one sprocket against the other. */
export function sprockets(list: ListMaker): void {
  for (const [end, words] of [
    ['fore', 'its front edge'],
    ['aft', 'its rear edge'],
  ] as const)
    list.add(
      `sprocket.${end}`,
      {
        name: `Sprockets in one plane: rear one, ${words}`,
        about:
          'A straight-edge flat on the front sprocket’s face, along the chain: how far the rear one lies beside it, positive to the left, negative to the right. With several sprockets, measure from middle to middle. Not for a shaft drive or a hub motor.',
        ...{ as: 'gap', points: [], tolerance: TOLERANCES.sprockets, tool: 'edge', view: 'plan' },
      },
      { whole: true },
    );
  list.compare(
    'sprockets',
    'Rear sprocket out of parallel',
    ['sprocket.fore', 'sprocket.aft'],
    TOLERANCES.parallel,
  );
}
