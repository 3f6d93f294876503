import type { Node, Plate } from '@larchwood/format';
import { teller, type Finding } from '../../findings/finding.js';
import { realCorners } from '../../vector/ring.js';
import { add, along, dot, scale, squareTo, subtract, unit, type Vector } from '../../vector/vector.js';
import { lying, STEERING_GROUP } from '../parts.js';
import type { Sizes } from '../linkage.js';
import type { MadeFrom, MadePart, MadeSize } from './madePart.js';
import { roundBosses } from './outlines.js';
import { madePiece, tiedNode } from './pieces.js';

const tell = teller('steering');

/** Legs that are sold as tubes, by section; outer diameter and wall, mm. */
const LEGS = {
  'round-28.6x2': { outer: 28.6, wall: 2 },
  'round-25.4x1.6': { outer: 25.4, wall: 1.6 },
  'round-35x2': { outer: 35, wall: 2 },
  'round-38x2.4': { outer: 38, wall: 2.4 },
} as const;
type Leg = keyof typeof LEGS;
const legOf = (choices: Readonly<Record<string, string>>): Leg =>
  choices.legs !== undefined && choices.legs in LEGS ? (choices.legs as Leg) : 'round-28.6x2';

const SIZES: readonly MadeSize[] = [
  {
    id: 'hubWidth',
    name: 'Hub over its locknuts',
    limits: [50, 320],
    meaning:
      'Outside of one locknut, or shoulder, to the outside of the other: measure the wheel that goes in.',
  },
  {
    id: 'legSpread',
    name: 'Legs, middle to middle',
    limits: [60, 400],
    tried: true,
    meaning: 'Between the middles of the two legs, across.',
  },
  {
    id: 'plateThickness',
    name: 'Plates',
    limits: [3, 40],
    meaning: 'Thickness of the two plates that hold the legs.',
  },
  {
    id: 'plateApart',
    name: 'Plates apart',
    limits: [10, 600],
    tried: true,
    meaning: 'Top of the lower plate to the underside of the upper one, along the steering axis.',
  },
  {
    id: 'metal',
    name: 'Metal round a hole',
    limits: [4, 60],
    meaning: 'Least width of plate left outside of a leg’s or the steerer’s hole.',
  },
  {
    id: 'steerer',
    name: 'Steerer',
    limits: [15, 60],
    meaning: 'Outer diameter of the turned steerer, where the bearings sit.',
  },
  {
    id: 'dropout',
    name: 'Dropout plates',
    limits: [3, 20],
    meaning: 'Thickness of the plate with the axle’s slot at each leg’s end.',
  },
  {
    id: 'axle',
    name: 'Axle',
    limits: [5, 30],
    meaning: 'Diameter of the axle: the width of its slot.',
  },
];

/** A fork of two legs and two plates on a turned steerer. */
export const FORK: MadePart = {
  id: 'fork',
  name: 'Fork of two legs and two plates',
  about:
    'Straight legs along the steering axis, two plates across them, a turned steerer, plates for the axle.',
  suits: ({ stance }) => stance.steered.length === 1 && stance.points.crown !== undefined,
  sizes: SIZES,
  choices: [
    {
      id: 'legs',
      name: 'Legs',
      options: Object.entries(LEGS).map(([id, { outer, wall }]) => ({
        id,
        name: `${outer} × ${wall} mm round`,
      })),
    },
    {
      id: 'upper',
      name: 'Upper plate',
      options: [
        { id: 'over', name: 'over the head tube' },
        { id: 'under', name: 'under the head tube, above the lower' },
      ],
    },
  ],
  start: (from) => {
    const wheel = from.stance.steered[0]!;
    const heavy = wheel.width > 65;
    const hubWidth = heavy ? 150 : 100;
    const leg = LEGS['round-28.6x2'].outer;
    const need = Math.max(wheel.width + 2 * from.tyreGap + leg, hubWidth + 5);
    return {
      hubWidth,
      legSpread: Math.ceil(need),
      plateThickness: heavy ? 12 : 8,
      plateApart: Math.round(forkGeometry(from).headTube + 24),
      metal: 12,
      steerer: heavy ? 30 : 28.6,
      dropout: heavy ? 8 : 5,
      axle: heavy ? 15 : 9.5,
    };
  },
  make: (from, sizes, choices) => {
    const { stance, tyreGap } = from;
    const wheel = stance.steered[0]!;
    const leg = LEGS[legOf(choices)];
    const over = choices.upper !== 'under';
    const { offset, crownUp, headTube } = forkGeometry(from);
    const [spread, thick] = [sizes.legSpread!, sizes.plateThickness!];
    const lowest = over ? crownUp - thick : crownUp - thick - sizes.plateApart! - thick;
    const highest = over ? crownUp + sizes.plateApart! + thick : crownUp;
    const aboveTyre = lowest - wheel.radius;
    const beside = (spread - leg.outer - wheel.width) / 2;
    // The dropouts stand inside the legs, in slots cut through them: their middles within the legs' bores.
    const widest = spread - (2 * sizes.dropout!) / 2 + leg.outer - 2 * leg.wall - 4;
    const narrowest = spread - leg.outer + 2 * leg.wall + 4 - sizes.dropout!;
    const findings: Finding[] = [
      ...(sizes.hubWidth! > widest || sizes.hubWidth! < narrowest
        ? [
            tell('hub-too-wide', 'stop', 'fork', {
              hub: sizes.hubWidth!,
              fork: sizes.hubWidth! > widest ? widest : narrowest,
            }),
          ]
        : []),
      ...(aboveTyre < tyreGap
        ? [
            tell('fork-gap-small', aboveTyre < 0 ? 'stop' : 'look', 'fork', {
              gap: aboveTyre,
              wanted: tyreGap,
              where: 'over the tyre',
            }),
          ]
        : []),
      ...(beside < tyreGap
        ? [
            tell('fork-gap-small', beside < 0 ? 'stop' : 'look', 'fork', {
              gap: beside,
              wanted: tyreGap,
              where: 'beside the tyre',
            }),
          ]
        : []),
    ];
    const plate = plateOutline(sizes, offset, leg.outer);
    return {
      rows: [
        { name: 'Leg, cut', value: highest + DROPOUT.over, quantity: 'length' },
        { name: 'Steerer, cut', value: steererLength(sizes, headTube, over), quantity: 'length' },
        { name: 'Legs ahead of the steering axis', value: offset, quantity: 'length' },
        { name: 'Axle to the lower plate, along the legs', value: lowest, quantity: 'length' },
        { name: 'Gap over the tyre', value: aboveTyre, quantity: 'length' },
        { name: 'Gap beside the tyre, each side', value: beside, quantity: 'length' },
        { name: 'Inside of the dropouts', value: sizes.hubWidth!, quantity: 'length' },
      ],
      outlines: [
        { id: 'fork-plate', name: 'Fork plate', thickness: thick, count: 2, ...plate },
        {
          id: 'fork-dropout',
          name: 'Fork dropout',
          thickness: sizes.dropout!,
          count: 2,
          ...dropoutOutline(sizes),
        },
      ],
      order: [
        'Cut both plates clamped together, and bore them in one setting: holes then line up.',
        'Turn the steerer with its shoulder; press or weld it square into the lower plate.',
        'Slot the legs at their lower ends in line with each other, and try the wheel’s axle in both slots.',
        'Stand legs and plates on a flat table with a dummy axle of the hub’s width; check the diagonals.',
        'Weld the dropouts last, with the dummy axle clamped; let it cool before it comes out.',
      ],
      parts: forkParts(from, sizes, legOf(choices), { offset, lowest, highest, over, headTube }),
      findings,
    };
  },
};

/** How a dropout stands at the leg's end, mm: into the leg, and the axle below it. Common practice, no source. */
const DROPOUT = { into: 25, below: 22, half: 20, over: -22 } as const;

function forkGeometry({ stance }: Pick<MadeFrom, 'stance'>) {
  const { axis, axisPoint, centre } = stance.steered[0]!;
  const out = subtract(centre, axisPoint);
  const ahead = unit(squareTo([1, 0, 0], axis));
  const up = (point: Vector) => dot(subtract(point, centre), axis);
  const [crown, lower, upper] = ['crown', 'headTubeLower', 'headTubeUpper'].map(
    (name) => stance.points[name]!,
  );
  return {
    axis,
    ahead,
    offset: dot(out, ahead),
    /** Seat of the lower bearing above the axle, along the axis, mm. */
    crownUp: up(crown!),
    headTube: up(upper!) - up(lower!),
  };
}

/** From the lower plate's underside through both bearings, with room for the upper plate and a nut. */
const steererLength = ({ plateThickness, plateApart }: Sizes, headTube: number, over: boolean): number =>
  over ? plateThickness! * 2 + plateApart! + 25 : plateThickness! * 2 + plateApart! + headTube + 60;

function plateOutline({ legSpread, steerer, metal }: Sizes, offset: number, leg: number) {
  const legs = [1, -1].map((side) => ({
    at: [offset, (side * legSpread!) / 2] as const,
    radius: leg / 2 + metal!,
  }));
  return {
    outline: roundBosses([...legs, { at: [0, 0], radius: steerer! / 2 + metal! }]),
    holes: [
      ...legs.map(({ at }) => ({ at, diameter: leg, name: 'leg' })),
      { at: [0, 0] as const, diameter: steerer!, name: 'steerer' },
    ],
  };
}

/** A tongue into the leg and a slot open downwards, its round end at the axle. */
function dropoutOutline({ axle }: Sizes): { outline: Plate['outline']; holes: [] } {
  const { into, below, half } = DROPOUT;
  const slot = axle! / 2;
  const round = Array.from({ length: 9 }, (_, index): [number, number] => {
    const angle = (Math.PI * index) / 8;
    return [Math.round(slot * Math.cos(angle) * 10) / 10, Math.round(slot * Math.sin(angle) * 10) / 10];
  });
  return {
    outline: [
      [slot, -half],
      ...round,
      [-slot, -half],
      [-half, -half],
      [-half, 12],
      [-10, below + 4],
      [-10, below + into],
      [10, below + into],
      [10, below + 4],
      [half, 12],
      [half, -half],
    ],
    holes: [],
  };
}

function forkParts(
  from: MadeFrom,
  sizes: Sizes,
  section: Leg,
  {
    offset,
    lowest,
    highest,
    over,
    headTube,
  }: { offset: number; lowest: number; highest: number; over: boolean; headTube: number },
) {
  const { axis, ahead } = forkGeometry(from);
  const thick = sizes.plateThickness!;
  const tied = (id: string, name: string, point: string, by: Vector): Node =>
    tiedNode(`fork-${id}`, `Fork: ${name}`, point, by);
  const side: Vector = [0, sizes.legSpread! / 2, 0];
  const fromAxle = (up: number, beside: Vector = [0, 0, 0]) => add(scale(axis, up), beside);
  const crownUp = forkGeometry(from).crownUp;
  const toAxis = scale(ahead, -offset);
  const lowerPlate = over ? lowest : crownUp - thick;
  const upperPlate = over ? highest - thick : crownUp - 2 * thick - sizes.plateApart!;
  const nodes = [
    tied('leg-low', 'leg, lower end', 'frontAxle', fromAxle(DROPOUT.below, side)),
    tied('leg-high', 'leg, upper end', 'frontAxle', fromAxle(highest, side)),
    tied('axle', 'axle in the dropout', 'frontAxle', [0, sizes.hubWidth! / 2 + sizes.dropout! / 2, 0]),
    tied('plate-low', 'lower plate', 'frontAxle', add(fromAxle(lowerPlate + thick / 2), toAxis)),
    tied('plate-high', 'upper plate', 'frontAxle', add(fromAxle(upperPlate + thick / 2), toAxis)),
    tied(
      'steerer-low',
      'steerer, lower end',
      'frontAxle',
      add(fromAxle(Math.min(lowerPlate, upperPlate)), toAxis),
    ),
    tied(
      'steerer-high',
      'steerer, upper end',
      'frontAxle',
      add(fromAxle(Math.min(lowerPlate, upperPlate) + steererLength(sizes, headTube, over)), toAxis),
    ),
  ];
  const material = 'chromoly-4130';
  // Axes of a plate square to the steering axis: forward, and to the left.
  const { turn, tilt, first, second } = lying(axis);
  const turned = ([x, y]: readonly [number, number]): [number, number] => {
    const at = along(scale(ahead, x), [0, 1, 0], y);
    return [Math.round(dot(at, first) * 10) / 10, Math.round(dot(at, second) * 10) / 10];
  };
  const shape = plateOutline(sizes, offset, LEGS[section].outer);
  const across = (id: string, name: string, node: string): Omit<Plate, 'piece'> => ({
    ...{
      id: `steering-fork-${id}`,
      name,
      node: `steering-fork-${node}`,
      thickness: thick,
      material: 'mild-steel',
    },
    ...{ mirrored: false, group: STEERING_GROUP, plane: 'plan', tilt, turn, bendLines: [] },
    outline: realCorners(shape.outline.map(turned)),
    holes: shape.holes.map(({ at, diameter }) => ({ at: turned(at), diameter })),
  });
  const lean = (Math.atan2(axis[0], axis[2]) * -180) / Math.PI;
  return {
    nodes,
    members: [
      madePiece('fork-legs', 'Fork leg', ['fork-leg-low', 'fork-leg-high'], section, {
        ...{ material, mirrored: true },
        start: {
          cut: 'slotted',
          setback: 0,
          slotWidth: sizes.dropout!,
          slotDepth: DROPOUT.into,
          allowance: 0,
        },
      }),
      madePiece(
        'fork-steerer',
        'Steerer',
        ['fork-steerer-low', 'fork-steerer-high'],
        steererSection(sizes.steerer!),
        { material },
      ),
    ],
    plates: [
      across('lower', 'Fork plate, lower', 'plate-low'),
      across('upper', 'Fork plate, upper', 'plate-high'),
      {
        ...{ id: 'steering-fork-dropouts', name: 'Fork dropout', node: 'steering-fork-axle', mirrored: true },
        ...{
          thickness: sizes.dropout!,
          material: 'mild-steel',
          group: STEERING_GROUP,
          plane: 'side' as const,
        },
        ...{ tilt: 0, turn: lean, outline: dropoutOutline(sizes).outline, holes: [], bendLines: [] },
      },
    ],
  };
}

/** The nearest tube that a steerer is turned from. */
const steererSection = (diameter: number): string =>
  diameter < 27
    ? 'round-25.4x2.1'
    : diameter < 29.5
      ? 'round-28.6x2'
      : diameter < 31
        ? 'round-30x2'
        : 'round-32x2';
