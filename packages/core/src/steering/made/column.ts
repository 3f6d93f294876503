import { teller, type Finding } from '../../findings/finding.js';
import { ARMS_TIRE } from '../../rider/figure.js';
import { distance, dot, subtract, unit, type Vector } from '../../vector/vector.js';
import { jointRatio, throughJoint } from '../ackermann.js';
import type { Sizes } from '../linkage.js';
import type { MadeFrom, MadePart, MadeRow } from './madePart.js';

const tell = teller('steering');

/** A universal joint runs rough above this between its shafts, and is not built for more; degrees. Common practice, no source. */
export const STEEP = { look: 30, stop: 45 } as const;
/** A column is held at least every so many mm, and beside every joint. Common practice, no source. */
export const HELD_EVERY = 300;

/** Column from the hands to its lower end; mm. */
function columnEnds({ steering }: MadeFrom): readonly [top: Vector, foot: Vector] | undefined {
  const { points } = steering.built;
  const [top, foot] = [points['steering.columnTop'], points['steering.plate'] ?? points['steering.pinion']];
  return top && foot ? [top.at, foot.at] : undefined;
}

/** A shaft that leans off its own line by less needs no joint, degrees. Common practice, no source. */
const STRAIGHT = 3;

/** Between the line that the hands turn about and the line to the lower end, degrees. */
function bendNeeded(from: MadeFrom): number {
  const ends = columnEnds(from);
  const { chain } = from.steering.built;
  const body = chain.bodies[chain.driver];
  if (!ends || body?.as !== 'turns') return 0;
  const cosine = Math.abs(dot(unit(subtract(ends[0], ends[1])), body.axis));
  return (Math.acos(Math.min(1, cosine)) * 180) / Math.PI;
}

const supportsNeeded = (long: number, joints: number): number =>
  Math.max(2, Math.ceil(long / HELD_EVERY)) + joints;

/** The shaft from the wheel, or the bars, down: its joints, what holds it, what rests it, and how long it is cut. */
export const COLUMN: MadePart = {
  id: 'column',
  name: 'Column',
  about: 'From the hands to what pushes the rods: shafts and joints, bushes, a rest for height, braces.',
  suits: (from) => columnEnds(from) !== undefined,
  sizes: [
    { id: 'outer', name: 'Shaft', limits: [10, 60], meaning: 'Outer diameter of the shaft.' },
    {
      id: 'joints',
      name: 'Universal joints',
      quantity: 'count',
      limits: [0, 2],
      meaning: 'None, one, or two between the hands and the lower end.',
    },
    {
      id: 'bend',
      name: 'Bend at each joint',
      quantity: 'angle',
      limits: [0, 60],
      meaning: 'Angle between the two shafts that a joint joins, 0 in line.',
    },
    {
      id: 'phase',
      name: 'Yokes out of phase',
      quantity: 'angle',
      limits: [-90, 90],
      meaning:
        'Of two joints: how far the yokes at the two ends of the middle shaft are turned against each other; 0 in one plane.',
    },
    {
      id: 'supports',
      name: 'Bushes and bearings',
      quantity: 'count',
      limits: [1, 8],
      meaning: 'Places at which the column is held.',
    },
    {
      id: 'restRadius',
      name: 'Rest: slot from hinge',
      limits: [0, 800],
      tried: true,
      meaning:
        'Hinge of the column, or of its slotted plate, to the middle of the slot; 0 where nothing rests it.',
    },
    {
      id: 'restLow',
      name: 'Rest: lowest',
      quantity: 'angle',
      limits: [0, 90],
      meaning: 'Column from the ground at the lower end of the slot.',
    },
    {
      id: 'restHigh',
      name: 'Rest: highest',
      quantity: 'angle',
      limits: [0, 90],
      meaning: 'Column from the ground at the upper end of the slot.',
    },
    {
      id: 'braces',
      name: 'Braces',
      quantity: 'count',
      limits: [0, 6],
      meaning: 'Bars from the column’s support to the frame.',
    },
    {
      id: 'clampBore',
      name: 'Bore of stem or boss',
      limits: [10, 60],
      tried: true,
      meaning: 'Inside of the clamp or boss that the shaft goes into.',
    },
    {
      id: 'allowance',
      name: 'Left on to trim',
      limits: [0, 300],
      meaning: 'Extra length at the lower end: it is cut last.',
    },
  ],
  choices: [
    {
      id: 'held',
      name: 'Held by',
      options: [
        { id: 'bushes', name: 'plain bushes' },
        { id: 'bearings', name: 'ball bearings' },
        { id: 'pillow-blocks', name: 'pillow blocks' },
      ],
    },
    {
      id: 'removable',
      name: 'Comes out',
      options: [
        { id: 'no', name: 'no, it stays' },
        { id: 'yes', name: 'yes, with a pin or bolts' },
      ],
    },
  ],
  start: (from) => {
    const ends = columnEnds(from);
    const [top, foot] = ends ?? [
      [0, 0, 300],
      [0, 0, 0],
    ];
    const lean = (Math.atan2(top[2] - foot[2], Math.abs(top[0] - foot[0])) * 180) / Math.PI;
    const bend = bendNeeded(from);
    const joints = bend < STRAIGHT ? 0 : bend <= STEEP.look ? 1 : 2;
    return {
      ...{ outer: 20, joints, bend: joints === 0 ? 0 : Math.round(bend / joints), phase: 0 },
      supports: supportsNeeded(distance(top, foot), joints),
      ...{
        restRadius: 0,
        restLow: Math.max(0, Math.round(lean - 5)),
        restHigh: Math.min(90, Math.round(lean + 5)),
      },
      ...{ braces: 2, clampBore: 20, allowance: 30 },
    };
  },
  make: (from, sizes, choices) => {
    const [top, foot] = columnEnds(from) ?? [
      [0, 0, 0],
      [0, 0, 0],
    ];
    const long = distance(top, foot);
    const joints = Math.round(sizes.joints!);
    const shafts = joints + 1;
    const even = unevenness(sizes);
    const needed = supportsNeeded(long, joints);
    const sleeve = (sizes.clampBore! - sizes.outer!) / 2;
    return {
      rows: [
        { name: 'Hands to the lower end', value: long, quantity: 'length' },
        {
          name: shafts === 1 ? 'Shaft, cut' : `Each of ${shafts} shafts, cut, joints in between`,
          value: long / shafts + sizes.allowance!,
          quantity: 'length',
        },
        ...(joints > 0
          ? [
              {
                name: 'Turns unevenly, slowest to fastest',
                text: `${even.least.toFixed(3)} to ${even.most.toFixed(3)}`,
              },
              { name: 'Behind or ahead at the most', value: even.error, quantity: 'angle' as const },
            ]
          : []),
        { name: 'Held every', value: long / Math.max(1, Math.round(sizes.supports!)), quantity: 'length' },
        ...restRows(sizes, long),
        {
          name: 'Adapter sleeve, wall',
          ...(sleeve > 0.05
            ? { value: sleeve, quantity: 'length' as const }
            : { text: sleeve < -0.05 ? 'the shaft does not go in' : 'none: it fits' }),
        },
      ],
      outlines: [],
      order: [
        `Fit the ${(choices.held ?? 'bushes').replace('-', ' ')} first, in line on a straight bar, and tack their carriers with the bar in place.`,
        ...(joints === 2
          ? ['Set the yokes at both ends of the middle shaft in one plane before they are fixed.']
          : []),
        'Try the column in full lock both ways before anything is welded on it.',
        ...(choices.removable === 'yes'
          ? ['Let what pins it be seen, with a second lock: a column that comes out while riding kills.']
          : []),
        'Cut the lower end last, with the wheel straight and the seat in.',
      ],
      findings: columnFindings(from, sizes, long, needed, even),
    };
  },
};

/** How unevenly the lower end turns: fastest and slowest against the hands, and the most that it is ahead or behind; degrees. */
export function unevenness({ joints, bend, phase }: Sizes): {
  readonly least: number;
  readonly most: number;
  readonly error: number;
} {
  const count = Math.round(joints!);
  if (count === 0) return { least: 1, most: 1, error: 0 };
  let [least, most, error] = [Infinity, 0, 0];
  for (let angle = 0; angle <= 360; angle += 1) {
    const first = throughJoint(angle, bend!);
    const ratio = jointRatio(angle, bend!);
    // In one plane the second joint’s driving yoke lies across the first one’s driven yoke.
    const second = first + 90 + phase!;
    const out = count === 1 ? first : throughJoint(second, bend!) - throughJoint(90 + phase!, bend!);
    const whole = count === 1 ? ratio : ratio * jointRatio(second, bend!);
    [least, most, error] = [
      Math.min(least, whole),
      Math.max(most, whole),
      Math.max(error, Math.abs(out - angle)),
    ];
  }
  return { least, most, error };
}

/** The slot of a rest: as long as its arc, and how far the hands come up. */
function restRows({ restRadius, restLow, restHigh }: Sizes, long: number): MadeRow[] {
  if (restRadius! <= 0 || restHigh! <= restLow!) return [];
  const [low, high] = [restLow!, restHigh!].map((angle) => (angle * Math.PI) / 180) as [number, number];
  return [
    { name: 'Slot, along its arc', value: restRadius! * (high - low), quantity: 'length' },
    {
      name: 'Hands from lowest to highest',
      value: long * (Math.sin(high) - Math.sin(low)),
      quantity: 'length',
    },
  ];
}

/** Unevenness under this nobody feels. Common practice, no source. */
const FELT = 0.05;

function columnFindings(
  from: MadeFrom,
  sizes: Sizes,
  long: number,
  needed: number,
  even: ReturnType<typeof unevenness>,
): Finding[] {
  const { joints, bend, supports, braces, restRadius, phase } = sizes;
  const { least, most } = even;
  const hands = from.stance.places[0]?.hands.on;
  const raised = from.stance.values.armRaise ?? 0;
  return [
    ...(joints! > 0 && bend! > STEEP.look
      ? [
          tell('joint-steep', bend! > STEEP.stop ? 'stop' : 'look', 'column', {
            bend: bend!,
            most: bend! > STEEP.stop ? STEEP.stop : STEEP.look,
          }),
        ]
      : []),
    ...(joints === 2 && Math.abs(phase!) > 1 && most - least > FELT
      ? [tell('joints-out-of-phase', 'look', 'column', { least, most })]
      : []),
    ...(supports! < needed
      ? [tell('support-missing', 'look', 'column', { length: long, most: HELD_EVERY, count: needed })]
      : []),
    ...(braces === 1
      ? [tell('brace-single', 'look', 'column', { hands: hands === 'wheel' ? 'wheel' : 'bars' })]
      : []),
    ...(restRadius === 0 && raised > ARMS_TIRE
      ? [tell('rest-wanted', 'look', 'column', { angle: raised, wanted: ARMS_TIRE })]
      : []),
    ...(restRadius! > 0 && sizes.restHigh! <= sizes.restLow!
      ? [tell('rest-no-range', 'look', 'column', { low: sizes.restLow!, high: sizes.restHigh! })]
      : []),
    ...(sizes.outer! > sizes.clampBore! + 0.05
      ? [tell('shaft-too-thick', 'stop', 'column', { outer: sizes.outer!, bore: sizes.clampBore! })]
      : []),
  ];
}
