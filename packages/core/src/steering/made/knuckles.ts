import type { Node, Plate } from '@larchwood/format';
import { teller } from '../../findings/finding.js';
import { contactOf } from '../../stance/steering.js';
import { realCorners } from '../../vector/ring.js';
import { cross, distance, dot, scale, squareTo, subtract, unit, type Vector } from '../../vector/vector.js';
import type { Sizes } from '../linkage.js';
import { lying, STEERING_GROUP, type GraphParts } from '../parts.js';
import type { MadeFrom, MadePart } from './madePart.js';
import { rectangle, roundBosses } from './outlines.js';
import { barOf, boredOf, madePiece, tiedNode } from './pieces.js';

const tell = teller('steering');

/** Least wall left of a boss round its bore, mm. Common practice, no source. */
export const LEAST_WALL = 3;

const SHIMMED = 'Washer, stub axle, washer, shims until it turns without play, then the locking nut.';
/** What the kingpin runs in, and how it is put together. */
const KINGPIN = {
  bush: ['Ream the bushes’ seats after welding: they shrink and go out of round.', SHIMMED],
  ball: [
    'Bore the ball joints’ seats after welding, and press the joints in; both balls stand on one line.',
    SHIMMED,
  ],
  taper: [
    'Bore the cups’ seats after welding, in one setting; press the cups home.',
    'Cones greased, kingpin in, the nut until it drags, back off until it swings by itself without play; lock it.',
  ],
} as const;

/** Yokes with kingpins and stub axles: what carries each front wheel. */
export const KNUCKLES: MadePart = {
  id: 'knuckles',
  name: 'Yokes, kingpins and stub axles',
  about: 'A yoke on the frame, a kingpin through it, and the stub axle between its ears.',
  suits: ({ stance }) => stance.steered.length === 2,
  sizes: [
    {
      id: 'kingpin',
      name: 'Kingpin',
      limits: [6, 40],
      meaning: 'Diameter of the bolt or pin that the stub axle turns about.',
    },
    {
      id: 'opening',
      name: 'Yoke, inside',
      limits: [20, 200],
      tried: true,
      meaning: 'Between the ears of the yoke, along the kingpin.',
    },
    { id: 'ears', name: 'Yoke plates', limits: [4, 20], meaning: 'Thickness of the yoke’s ears and back.' },
    {
      id: 'reach',
      name: 'Kingpin from the back',
      limits: [15, 120],
      tried: true,
      meaning: 'Middle of the kingpin out from the back of the yoke.',
    },
    {
      id: 'boss',
      name: 'Boss, outside',
      limits: [12, 90],
      meaning: 'Outer diameter of the stub axle’s boss, which turns on the kingpin.',
    },
    {
      id: 'stub',
      name: 'Stub axle',
      limits: [8, 40],
      meaning: 'Diameter of the stub axle that the wheel’s bearings sit on.',
    },
    {
      id: 'hub',
      name: 'Hub, over its bearings',
      limits: [20, 250],
      meaning: 'From the inner bearing’s outer face to the outer one’s.',
    },
    {
      id: 'washers',
      name: 'Washers at the kingpin',
      limits: [0, 20],
      meaning: 'Room for thrust washers and shims, above and below together.',
    },
  ],
  choices: [
    {
      id: 'bearing',
      name: 'Kingpin runs in',
      options: [
        { id: 'bush', name: 'bushes, reamed after welding' },
        { id: 'ball', name: 'ball joints' },
        { id: 'taper', name: 'taper bearings, preloaded' },
      ],
    },
  ],
  start: ({ stance }) => {
    const heavy = stance.steered[0]!.width > 70;
    return {
      ...{ kingpin: heavy ? 12 : 10, opening: heavy ? 60 : 80, ears: 8, reach: 32, boss: heavy ? 30 : 26 },
      ...{ stub: heavy ? 17 : 12, hub: heavy ? 70 : 62, washers: 3 },
    };
  },
  make: ({ stance }, sizes, { bearing = 'bush' }) => {
    const wheel = stance.steered[0]!;
    const spindle = Math.max(0, stance.values.spindleLength ?? distance(wheel.centre, wheel.axisPoint));
    const patch = contactOf(wheel);
    const inner = spindle - sizes.hub! / 2;
    const [ears, opening] = [sizes.ears!, sizes.opening!];
    const bore = boreOf(sizes, bearing);
    const wall = (sizes.boss! - bore) / 2;
    return {
      rows: [
        { name: 'Stub axle from the kingpin to its shoulder', value: inner, quantity: 'length' },
        {
          name: 'Stub axle, kingpin to its nut’s end',
          value: spindle + sizes.hub! / 2 + sizes.stub! * NUT.stub,
          quantity: 'length',
        },
        {
          name: 'Kingpin, under its head',
          value: opening + 2 * ears + sizes.kingpin! * NUT.kingpin,
          quantity: 'length',
        },
        {
          name: 'Boss of the stub axle, along the kingpin',
          value: opening - sizes.washers!,
          quantity: 'length',
        },
        { name: 'Boss, bored', value: bore, quantity: 'length' },
        { name: 'Kingpin leans back', value: stance.values.caster ?? 0, quantity: 'angle' },
        { name: 'Kingpin leans inward', value: stance.values.kingpinInclination ?? 0, quantity: 'angle' },
        {
          name: 'Middle of the patch from the middle of the vehicle',
          value: Math.abs(patch[1]),
          quantity: 'length',
        },
        ...(hasStub(spindle, sizes)
          ? []
          : [
              {
                name: 'Careful',
                text: 'the wheel is as near as the boss: no stub axle stands beside the kingpin',
              },
            ]),
        ...(hasStub(spindle, sizes) && inner < sizes.kingpin!
          ? [{ name: 'Careful', text: 'the hub’s inner bearing meets the kingpin: lengthen the spindle' }]
          : []),
      ],
      outlines: [
        { id: 'yoke-ear', name: 'Yoke ear', thickness: ears, count: 4, ...earOf(sizes) },
        { id: 'yoke-back', name: 'Yoke back', thickness: ears, count: 2, outline: backOf(sizes), holes: [] },
      ],
      order: [
        'Bore both ears of a pair clamped together; weld the yoke round a dummy kingpin with the washers in.',
        'Set both yokes in one bar, so that both kingpins lean alike, before they are tacked to the frame.',
        ...KINGPIN[bearing in KINGPIN ? (bearing as keyof typeof KINGPIN) : 'bush'],
      ],
      parts: merged(yokeParts(stance, sizes), turnedParts(stance, sizes, bearing)),
      findings:
        wall < LEAST_WALL
          ? [tell('boss-thin', wall <= 0 ? 'stop' : 'look', 'knuckles', { wall, wanted: LEAST_WALL })]
          : [],
    };
  },
};

/** A bush's own wall, mm; room round a pin that turns in other bearings. Common practice, no source. */
const IN_BOSS = { bush: 2, other: 0.5 } as const;
const boreOf = ({ kingpin }: Sizes, bearing: string): number =>
  kingpin! + 2 * (bearing === 'bush' ? IN_BOSS.bush : IN_BOSS.other);

/** A wheel that turns about its own middle, or hardly beside it, has no stub axle beside the kingpin. */
const hasStub = (spindle: number, { boss }: Sizes): boolean => spindle > boss!;

const merged = (one: GraphParts, other: GraphParts): GraphParts => ({
  nodes: [...one.nodes, ...other.nodes],
  members: [...one.members, ...other.members],
  plates: [...one.plates, ...other.plates],
  sections: [...(one.sections ?? []), ...(other.sections ?? [])],
});

/** Beyond the lower ear, as part of the kingpin, for washer and nut; and beyond the hub, as part of the stub axle. */
const NUT = { kingpin: 1.4, stub: 1.2 } as const;

/**
 * What is turned: the kingpin, which is bought as a bolt or a pin, the boss that turns on it, and the stub axle, welded to
 * the boss along the line of the wheel; those of the left stand for both.
 */
function turnedParts({ steered }: MadeFrom['stance'], sizes: Sizes, bearing: string): GraphParts {
  const { axis, axisPoint, centre } = steered.find((wheel) => wheel.centre[1] > 0)!;
  const up = axis[2] > 0 ? axis : scale(axis, -1);
  const half = sizes.opening! / 2;
  const long = (sizes.opening! - sizes.washers!) / 2;
  const spindle = distance(centre, axisPoint);
  const at = (id: string, name: string, by: Vector): Node => tiedNode(id, name, 'kingpin', by);
  const [pin, boss, stub] = [
    barOf(sizes.kingpin!),
    boredOf('boss', sizes.boss!, boreOf(sizes, bearing)),
    barOf(sizes.stub!),
  ];
  const both = { mirrored: true } as const;
  const beside = hasStub(spindle, sizes);
  return {
    nodes: [
      at('kingpin-top', 'Kingpin: under its head', scale(up, half + sizes.ears!)),
      at('kingpin-foot', 'Kingpin: lower end', scale(up, -half - sizes.ears! - NUT.kingpin * sizes.kingpin!)),
      at('boss-top', 'Boss: upper end', scale(up, long)),
      at('boss-foot', 'Boss: lower end', scale(up, -long)),
      ...(beside
        ? [
            at('stub-root', 'Stub axle: on the kingpin', [0, 0, 0]),
            at(
              'stub-end',
              'Stub axle: end of its thread',
              scale(unit(subtract(centre, axisPoint)), spindle + sizes.hub! / 2 + NUT.stub * sizes.stub!),
            ),
          ]
        : []),
    ],
    members: [
      madePiece('kingpin', 'Kingpin', ['kingpin-foot', 'kingpin-top'], pin.id, { ...both, supplied: true }),
      madePiece('boss', 'Stub axle boss', ['boss-foot', 'boss-top'], boss.id, both),
      ...(beside
        ? [
            madePiece('stub', 'Stub axle', ['stub-root', 'stub-end'], stub.id, {
              ...both,
              start: {
                ...{ cut: 'coped', hosts: [{ member: 'steering-boss', side: 'same' }] },
                ...{ besideAxis: false, allowance: 0 },
              },
            }),
          ]
        : []),
    ],
    plates: [],
    sections: [pin, boss, stub],
  };
}

/** Metal left round the kingpin, mm. Common practice, no source. */
const ROUND_PIN = 12;

function earOf({ kingpin, reach }: Sizes) {
  const boss = kingpin! / 2 + ROUND_PIN;
  return {
    outline: roundBosses([
      { at: [reach!, 0], radius: boss },
      { at: [0, boss], radius: 0.5 },
      { at: [0, -boss], radius: 0.5 },
    ]),
    holes: [{ at: [reach!, 0] as const, diameter: kingpin!, name: 'kingpin' }],
  };
}
const backOf = ({ kingpin, opening }: Sizes): Plate['outline'] =>
  rectangle([0, 0], kingpin! + 2 * ROUND_PIN, opening!);

/** Ears square to the kingpin and the back between them, on the frame's side of it; those of the left stand for both. */
function yokeParts({ steered }: MadeFrom['stance'], sizes: Sizes): GraphParts {
  const { axis } = steered.find(({ centre }) => centre[1] > 0)!;
  const inward = unit(squareTo([0, -1, 0], axis));
  const along = cross(axis, inward);
  const [ears, reach, opening] = [sizes.ears!, sizes.reach!, sizes.opening!];
  const at = (id: string, name: string, by: Vector): Node =>
    tiedNode(`yoke-${id}`, `Yoke: ${name}`, 'kingpin', by);
  /** A plate square to a direction, its outline's first axis out to the kingpin or along the vehicle. */
  const plate = (
    id: string,
    name: string,
    square: Vector,
    [out, beside]: readonly [Vector, Vector],
    { outline, holes }: Pick<ReturnType<typeof earOf>, 'outline'> & Partial<ReturnType<typeof earOf>>,
  ): Omit<Plate, 'piece'> => {
    const { turn, tilt, first, second } = lying(square);
    const laid = ([x, y]: readonly [number, number]): [number, number] => {
      const point = (one: Vector) => x * dot(out, one) + y * dot(beside, one);
      return [Math.round(point(first) * 10) / 10, Math.round(point(second) * 10) / 10];
    };
    return {
      ...{ id: `steering-yoke-${id}`, name, node: `steering-yoke-${id}`, thickness: ears },
      ...{ material: 'mild-steel', mirrored: true, group: STEERING_GROUP, plane: 'plan', tilt, turn },
      outline: realCorners(outline.map(laid)),
      holes: (holes ?? []).map((hole) => ({ at: laid(hole.at), diameter: hole.diameter })),
      bendLines: [],
    };
  };
  const back = scale(inward, reach);
  const ear = (up: number): Vector => {
    const by = scale(axis, up * (opening / 2 + ears / 2));
    return [back[0] + by[0], back[1] + by[1], back[2] + by[2]];
  };
  const outward = scale(inward, -1);
  return {
    nodes: [
      at('upper', 'upper ear', ear(1)),
      at('lower', 'lower ear', ear(-1)),
      at('back', 'back', scale(inward, reach + ears / 2)),
    ],
    members: [],
    plates: [
      plate('upper', 'Yoke ear, upper', axis, [outward, along], earOf(sizes)),
      plate('lower', 'Yoke ear, lower', axis, [outward, along], earOf(sizes)),
      plate('back', 'Yoke back', inward, [along, axis], { outline: backOf(sizes) }),
    ],
  };
}
