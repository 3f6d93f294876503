import { teller, type Finding } from '../../findings/finding.js';
import { ARMS_TIRE } from '../../rider/figure.js';
import { distance } from '../../vector/vector.js';
import {
  columnEnds,
  JOINT_LIMITS,
  jointsNeeded,
  leanOf,
  STEEP,
  unevenness,
  YOKE_ACROSS,
} from '../columnJoints.js';
import type { Sizes } from '../linkage.js';
import type { MadeFrom, MadeOutline, MadePart, MadeRow } from './madePart.js';
import { arcSlot, roundBosses } from './outlines.js';

const tell = teller('steering');

/** A column is held at least every so many mm, and beside every joint. Common practice, no source. */
export const HELD_EVERY = 300;

const supportsNeeded = (long: number, joints: number): number =>
  Math.max(2, Math.ceil(long / HELD_EVERY)) + joints;

/** The shaft from the wheel, or the bars, down: its joints, what holds it, what rests it, and how long it is cut. */
export const COLUMN: MadePart = {
  id: 'column',
  name: 'Column',
  about: 'From the hands to what pushes the rods: shafts and joints, bushes, a rest for height, braces.',
  suits: ({ steering }) => columnEnds(steering.built) !== undefined,
  sizes: [
    { id: 'outer', name: 'Shaft', limits: [10, 60], meaning: 'Outer diameter of the shaft.' },
    {
      id: 'joints',
      name: 'Universal joints',
      quantity: 'count',
      limits: JOINT_LIMITS.joints,
      meaning: 'None, one, or two between the hands and the lower end.',
    },
    {
      id: 'bend',
      name: 'Bend at each joint',
      quantity: 'angle',
      limits: JOINT_LIMITS.bend,
      meaning: 'Angle between the two shafts that a joint joins, 0 in line.',
    },
    {
      id: 'phase',
      name: 'Yokes out of phase',
      quantity: 'angle',
      limits: JOINT_LIMITS.phase,
      meaning:
        'Of two joints: how far the yokes at the two ends of the middle shaft are turned against each other; 0 in one plane.',
    },
    {
      id: 'yoke',
      name: 'First yoke, straight ahead',
      quantity: 'angle',
      limits: JOINT_LIMITS.yoke,
      meaning:
        'Ears of the hands’ yoke at the first joint, with the wheels straight. 0: in the plane of the bend, where the lower end turns quickest. 90: square to that plane, where it turns slowest.',
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
    const ends = columnEnds(from.steering.built);
    const [top, foot] = ends ?? [
      [0, 0, 300],
      [0, 0, 0],
    ];
    const lean = leanOf([top, foot]);
    const { joints, bend } = jointsNeeded(from.steering.built);
    return {
      ...{ outer: 20, joints, bend, phase: 0, yoke: YOKE_ACROSS },
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
    const [top, foot] = columnEnds(from.steering.built) ?? [
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
                text: `${even.least.toFixed(3)}–${even.most.toFixed(3)}`,
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
      outlines: restPlate(sizes),
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

/** The slot of a rest: as long as its arc, and how far the hands come up. */
function restRows(sizes: Sizes, long: number): MadeRow[] {
  if (!isRested(sizes)) return [];
  const { restRadius, restLow, restHigh } = sizes;
  const [low, high] = [restLow!, restHigh!].map((angle) => (angle * Math.PI) / 180) as [number, number];
  return [
    { name: 'Slot, along its arc', value: restRadius! * (high - low), quantity: 'length' },
    {
      name: 'Hands from lowest to highest',
      value: long * (Math.sin(high) - Math.sin(low)),
      quantity: 'length',
    },
    ...(hasPlate(sizes) ? [] : [{ name: 'Slotted plate', text: 'its slot would run into its hinge' }]),
  ];
}

/** Whether something rests a column, with a range. */
export const isRested = ({ restRadius, restLow, restHigh }: Sizes): boolean =>
  restRadius! > 0 && restHigh! > restLow!;

/** A rest's plate: its thickness, the bolt's way through its slot, the hinge's hole, and metal left round both; mm. Common practice, no source. */
export const REST = { plate: 5, slot: 8.5, hinge: 10.5, metal: 12 } as const;

/** Between the slot and the hinge's hole there is as much metal as outside of them. */
const hasPlate = (sizes: Sizes): boolean =>
  isRested(sizes) && sizes.restRadius! >= REST.hinge / 2 + REST.metal + REST.slot / 2;

/** The slotted plate of a rest, the hinge at its origin: the column turns about that and is clamped in the slot. */
function restPlate(sizes: Sizes): MadeOutline[] {
  if (!hasPlate(sizes)) return [];
  const { restRadius, restLow, restHigh } = sizes;
  const slot = arcSlot(restRadius!, restLow!, restHigh!, REST.slot);
  return [
    {
      ...{ id: 'rest-plate', name: 'Rest of the column, slotted plate', thickness: REST.plate, count: 1 },
      outline: roundBosses([
        { at: [0, 0], radius: REST.hinge / 2 + REST.metal },
        ...slot.map((at) => ({ at, radius: REST.metal })),
      ]),
      holes: [{ at: [0, 0], diameter: REST.hinge, name: 'hinge' }],
      cutouts: [slot],
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
    ...restBeside(from, sizes),
    ...(sizes.outer! > sizes.clampBore! + 0.05
      ? [tell('shaft-too-thick', 'stop', 'column', { outer: sizes.outer!, bore: sizes.clampBore! })]
      : []),
  ];
}

/** A rest whose slot the column as it is drawn does not stand in. */
function restBeside({ steering }: MadeFrom, sizes: Sizes): Finding[] {
  const ends = columnEnds(steering.built);
  if (!ends || !isRested(sizes)) return [];
  const { restLow, restHigh } = sizes;
  const angle = leanOf(ends);
  if (angle > restLow! - WITHIN && angle < restHigh! + WITHIN) return [];
  return [tell('rest-beside', 'look', 'column', { angle, low: restLow!, high: restHigh! })];
}
/** Less than this beside a slot's end nobody sets, degrees. */
const WITHIN = 0.5;
