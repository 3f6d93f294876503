import type { Node, RoundSection } from '@larchwood/format';
import { teller, type Finding } from '../../findings/finding.js';
import { along, subtract, unit, type Vector } from '../../vector/vector.js';
import { columnEnds } from '../columnJoints.js';
import type { Sizes } from '../linkage.js';
import { HEAD_TUBE, type GraphParts } from '../parts.js';
import type { MadePart } from './madePart.js';
import { boredOf, madePiece, tiedNode } from './pieces.js';

const tell = teller('steering');

const KINDS = {
  plain: ['Press both bushes in, ream them together, grease, then the steerer, the washer and the nut.'],
  taper: [
    'Press the cups square to the bottom of their recesses, the lower cone onto the steerer’s shoulder.',
    'Grease both, put the steerer in, the upper cone, the dust washer and the nut.',
    'Tighten until it drags, back off until it swings by its own weight without play; lock the nut.',
  ],
  thrust: [
    'Thrust bearing on the lower shoulder with its closed side down, plain bush above.',
    'Steerer in, washer, nut; turn it home until there is no play, and lock it.',
  ],
} as const;
type Bearing = keyof typeof KINDS;
const bearingOf = ({ bearing }: Readonly<Record<string, string>>): Bearing =>
  bearing !== undefined && bearing in KINDS ? (bearing as Bearing) : 'taper';

/** Least wall left outside of a bearing's seat, mm. Common practice, no source. */
export const LEAST_WALL = 2.5;

/** A collar, or barrel, with bearings, in place of a bought head tube: turned, or of pieces of tube. */
export const COLLAR: MadePart = {
  id: 'collar',
  name: 'Collar with bearings',
  about: 'A barrel for the steerer or column: bore, recesses for the bearings, shoulder, length.',
  suits: () => true,
  sizes: [
    {
      id: 'bearingOuter',
      name: 'Bearing, outside',
      limits: [15, 110],
      meaning: 'Outer diameter of the bearing’s race, or of the bush.',
    },
    {
      id: 'bearingInner',
      name: 'Bearing, bore',
      limits: [6, 80],
      meaning: 'Bore of the bearing: the steerer goes through.',
    },
    {
      id: 'race',
      name: 'Race, height',
      limits: [3, 60],
      tried: true,
      meaning: 'Height of the race that goes into the recess.',
    },
    {
      id: 'proud',
      name: 'Stands proud',
      limits: [0, 30],
      meaning: 'How far the bearing shall stand out of the recess; 0 for flush.',
    },
    { id: 'outer', name: 'Collar, outside', limits: [18, 140], meaning: 'Outer diameter of the collar.' },
    {
      id: 'length',
      name: 'Collar, length',
      limits: [20, 600],
      tried: true,
      meaning: 'Over both faces, before they are faced.',
    },
    {
      id: 'facing',
      name: 'Faced off at each end',
      limits: [0, 10],
      meaning: 'Left on for facing the ends square after welding.',
    },
    {
      id: 'along',
      name: 'Collar, up the column',
      limits: [0, 1500],
      meaning: 'From the column’s lower end to the collar’s lower face, along the column.',
      suits: ({ steering }) => columnEnds(steering.built) !== undefined,
    },
  ],
  choices: [
    {
      id: 'bearing',
      name: 'Runs in',
      options: [
        { id: 'taper', name: 'taper bearings' },
        { id: 'plain', name: 'plain bushes' },
        { id: 'thrust', name: 'a thrust bearing and a bush' },
      ],
    },
  ],
  start: ({ stance }) => ({
    ...{ bearingOuter: 42, bearingInner: 25, race: 12, proud: 0, outer: 54, facing: 1, along: 40 },
    length: Math.round(stance.values.headTubeLength ?? 110),
  }),
  make: ({ stance, steering }, sizes, choices) => {
    const bore = sizes.bearingInner! + ROUND_STEERER;
    const section = boredOf('collar', sizes.outer!, bore);
    const column = columnEnds(steering.built);
    const parts = column && onColumn(column, sizes, section);
    const head = stance.values.headTubeLength;
    const recess = sizes.race! - sizes.proud!;
    const wall = (sizes.outer! - sizes.bearingOuter!) / 2;
    const shoulder = (sizes.bearingOuter! - sizes.bearingInner!) / 2 - 2;
    const findings: Finding[] = [
      ...(wall < LEAST_WALL
        ? [tell('collar-thin', wall <= 0 ? 'stop' : 'look', 'collar', { wall, wanted: LEAST_WALL })]
        : []),
      ...(2 * recess > sizes.length! - 4
        ? [tell('collar-short', 'stop', 'collar', { length: sizes.length!, needs: 2 * recess + 4 })]
        : []),
    ];
    return {
      rows: [
        { name: 'Recess, deep', value: recess, quantity: 'length' },
        {
          name: 'Recess, bored to',
          text: 'as the race measures, less 0.02 to 0.05 mm (0.001 to 0.002 in) for a press fit',
        },
        { name: 'Shoulder that the race stands on', value: Math.max(0, shoulder), quantity: 'length' },
        wall > 0
          ? { name: 'Wall outside of the race', value: wall, quantity: 'length' }
          : { name: 'Wall outside of the race', text: 'none is left' },
        { name: 'Cut', value: sizes.length! + 2 * sizes.facing!, quantity: 'length' },
        { name: 'Between the shoulders', value: sizes.length! - 2 * recess, quantity: 'length' },
        { name: 'Bored through', value: bore, quantity: 'length' },
        ...(column || head === undefined
          ? []
          : [{ name: 'Head tube, as it is drawn', value: head, quantity: 'length' as const }]),
      ],
      outlines: [
        {
          ...{ id: 'collar-face', name: 'Collar, face', thickness: sizes.length!, count: 1 },
          outline: circle(sizes.outer! / 2),
          holes: [
            { at: [0, 0], diameter: sizes.bearingOuter!, name: 'recess' },
            { at: [0, 0], diameter: bore, name: 'bore' },
          ],
        },
      ],
      order: [
        'Weld the collar with a dummy steerer of thick bar in it, or a heat sink: it shrinks and goes out of round.',
        'Pieces of tube in place of a turned one: line them up on the dummy steerer, tack all round, then weld.',
        'Face both ends square and bore the recesses after welding, in one setting.',
        ...KINDS[bearingOf(choices)],
      ],
      ...(parts ? { parts } : { headTube: section }),
      recesses: {
        ...{ member: parts?.members[0]?.id ?? HEAD_TUBE, section: section.id },
        volume: 2 * Math.max(0, recess) * (Math.PI / 4) * Math.max(0, sizes.bearingOuter! ** 2 - bore ** 2),
      },
      findings,
    };
  },
};

/** The bore is so much wider than what goes through it, mm. Common practice, no source. */
const ROUND_STEERER = 4;

/** A collar that a column runs in, as a piece of the frame. */
function onColumn(
  [top, foot]: readonly [Vector, Vector],
  { along: up, length }: Sizes,
  section: RoundSection,
): GraphParts {
  const way = unit(subtract(top, foot));
  // Its nodes hang on the column's upper end: that is where the hands are, whatever is on its lower one.
  const at = (id: string, name: string, high: number): Node =>
    tiedNode(`collar-${id}`, `Collar: ${name}`, 'steering.columnTop', subtract(along(foot, way, high), top));
  return {
    nodes: [at('foot', 'lower face', up!), at('top', 'upper face', up! + length!)],
    members: [madePiece('collar', 'Collar', ['collar-foot', 'collar-top'], section.id)],
    plates: [],
    sections: [section],
  };
}

const circle = (radius: number): [number, number][] =>
  Array.from({ length: 72 }, (_, index) => {
    const angle = (2 * Math.PI * index) / 72;
    return [Math.round(radius * Math.cos(angle) * 10) / 10, Math.round(radius * Math.sin(angle) * 10) / 10];
  });
