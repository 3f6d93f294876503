import { toRadians } from '../../units/angle.js';
import { lengthBothWays } from '../../units/length.js';
import type { Vector } from '../../vector/vector.js';
import { assembly, entry, worked, type Assembly } from '../assembly.js';
import type { Dimension, Place } from '../dimension.js';
import { pedalledPictures } from '../pictures/pedalled.js';
import type { PedalledState } from '../states.js';
import { forkOf, headTubeTop } from '../steeringAxis.js';
import { crankEntry } from './riders/feet.js';
import { forkWheel } from './singleFront.js';
import { toeClearance } from './toeClearance.js';

/** Cockpit lengths of the riders behind the first, the rearmost first; each also has a seat tube. */
const COCKPITS = ['cockpit', 'secondCockpit'] as const;
const REAR_SEATS = ['rearSeatTubeLength', 'middleSeatTubeLength'] as const;
const ORDINAL = ['Rear', 'Middle'] as const;

export type Riders = 1 | 2 | 3;

const cockpitsOf = (s: PedalledState, riders: Riders): readonly number[] =>
  COCKPITS.slice(0, riders - 1).map((id) => (s as unknown as Record<string, number>)[id]!);
const sum = (lengths: readonly number[]): number => lengths.reduce((total, length) => total + length, 0);

/** Rearmost BB, from the rear axle: x = sqrt(CS^2 - drop^2), z = Rr - drop. */
const rearBracket = (s: PedalledState): Place => ({
  x: Math.sqrt(s.chainstayLength ** 2 - s.bottomBracketDrop ** 2),
  z: s.rearRadius - s.bottomBracketDrop,
});

/** Bottom brackets from the front rider's to the rearmost one. */
export function bracketsOf(s: PedalledState, riders: Riders): readonly Place[] {
  const { x, z } = rearBracket(s);
  const ahead = cockpitsOf(s, riders);
  return [0, ...ahead.map((_, index) => sum(ahead.slice(0, index + 1)))]
    .reverse()
    .map((along) => ({ x: x + along, z }));
}

const seatTop = (foot: Place, angle: number, length: number): Vector => [
  foot.x - length * Math.cos(toRadians(angle)),
  0,
  foot.z + length * Math.sin(toRadians(angle)),
];

/**
 * Bottom brackets, seat tubes and a chain-driven rear wheel: a bicycle, or with two or three riders one behind the
 * other. Reach, stack and toe are the front rider's; the chainstay ends at the rearmost bottom bracket.
 */
export function pedalled(riders: Riders, start: Record<string, number>): Assembly {
  const extra = Array.from({ length: riders - 1 }, (_, index) => index);
  const bracket = (s: PedalledState): Place => {
    const rear = rearBracket(s);
    return { x: rear.x + sum(cockpitsOf(s, riders)), z: rear.z };
  };
  const span = ['√(CS² − d²)', ...extra.map((index) => (index === 0 ? 'ck' : 'ck2'))].join(' + ');
  const up = '(t·cos H + Rf·sin H + a + l + T)';
  const lengths = ['wheelbase', 'reach', 'frontCentre', 'bracketToAxle'];

  const toeGap = (s: PedalledState): number => {
    const { x, z } = bracket(s);
    return toeClearance(forkWheel(s), { x: x + s.crankLength + s.toeAllowance, z });
  };

  const dimensions: Dimension[] = [
    entry({
      id: 'chainstayLength',
      name: 'Chainstay length',
      symbol: 'CS',
      limits: [150, 900],
      meaning: `Rear axle to ${riders > 1 ? 'the rearmost bottom bracket' : 'bottom bracket'}, straight.`,
      feel: 'Shorter is quick to turn and loads the rear wheel; longer is calm and leaves room for heels and bags.',
    }),
    entry({
      id: 'bottomBracketDrop',
      name: 'BB drop',
      symbol: 'd',
      limits: [-300, 300],
      meaning: 'Bottom bracket below the rear axle; negative when above it.',
      letGo: ['bottomBracketHeight', 'dropBelowAxles'],
    }),
    entry({
      id: 'seatTubeAngle',
      name: 'Seat-tube angle',
      symbol: 'S',
      quantity: 'angle',
      limits: [45, 89.5],
      meaning: 'Seat tube from the ground, leaning rearwards.',
    }),
    entry({
      id: 'seatTubeLength',
      name: 'Seat-tube length',
      symbol: 'ST',
      limits: [120, 900],
      meaning: 'Bottom bracket to the top edge of the seat tube, along the tube.',
    }),
    ...extra.flatMap((index) => [
      entry({
        id: COCKPITS[index]!,
        name: `${ORDINAL[index]!} rider’s cockpit`,
        symbol: index === 0 ? 'ck' : 'ck2',
        limits: [450, 1200],
        meaning:
          'Level distance between this rider’s bottom bracket and the next one ahead; the seat tubes stand as far apart.',
        feel: 'Too short, and the rear rider’s nose is in the front rider’s back.',
      }),
      entry({
        id: REAR_SEATS[index]!,
        name: `${ORDINAL[index]!} seat-tube length`,
        symbol: index === 0 ? 'ST2' : 'ST3',
        limits: [120, 900],
        meaning: 'Bottom bracket to the top edge of this rider’s seat tube, along the tube.',
      }),
    ]),
    worked<PedalledState>({
      id: 'reach',
      name: 'Reach',
      symbol: 're',
      limits: [50, 1700],
      formula: `re = L + t − ${up}·cos H − (${span})`,
      meaning: 'Horizontal from the bottom bracket to the top centre of the head tube.',
      letGo: lengths,
      of: (s) => headTubeTop(s, forkOf(s)).x - bracket(s).x,
    }),
    worked<PedalledState>({
      id: 'stack',
      name: 'Stack',
      symbol: 'sk',
      formula: `sk = ${up}·sin H − Rr + d`,
      meaning: 'Vertical from the bottom bracket to the top centre of the head tube.',
      letGo: ['headTubeLength'],
      of: (s) => headTubeTop(s, forkOf(s)).z - bracket(s).z,
    }),
    worked<PedalledState>({
      id: 'effectiveTopTube',
      name: 'Effective top tube',
      symbol: 'TT',
      formula: 'TT = re + sk / tan S',
      meaning: 'Horizontal from the top centre of the head tube back to the seat tube’s line.',
      letGo: lengths,
      of: (s) => {
        const top = headTubeTop(s, forkOf(s));
        const foot = bracket(s);
        return top.x - foot.x + (top.z - foot.z) / Math.tan(toRadians(s.seatTubeAngle));
      },
    }),
    worked<PedalledState>({
      id: 'frontCentre',
      name: 'Front centre',
      symbol: 'FC',
      limits: [150, 2500],
      formula: `FC = √((L − (${span}))² + (Rf − h)²)`,
      meaning: 'Bottom bracket to front axle, straight.',
      letGo: lengths,
      of: (s) => Math.hypot(s.wheelbase - bracket(s).x, s.frontRadius - bracket(s).z),
    }),
    worked<PedalledState>({
      id: 'bottomBracketHeight',
      name: 'BB height',
      symbol: 'h',
      formula: 'h = Rr − d',
      meaning: 'Bottom bracket above the ground.',
      letGo: ['bottomBracketDrop'],
      of: (s) => bracket(s).z,
    }),
    worked<PedalledState>({
      id: 'dropBelowAxles',
      name: 'Drop below the axles',
      symbol: 'da',
      formula: `da = Rr + (Rf − Rr)·(${span}) / L − h`,
      meaning: 'Bottom bracket below the straight line from axle to axle.',
      letGo: ['bottomBracketDrop'],
      of: (s) => {
        const bb = bracket(s);
        return s.rearRadius + ((s.frontRadius - s.rearRadius) * bb.x) / s.wheelbase - bb.z;
      },
    }),
    crankEntry,
    entry({
      id: 'toeAllowance',
      name: 'Toe allowance',
      symbol: 'f',
      limits: [0, 200],
      meaning: 'Toe of the shoe ahead of the pedal axle.',
    }),
    worked<PedalledState>({
      id: 'toeClearance',
      name: 'Toe clearance',
      symbol: 'tc',
      formula: '',
      source: 'exact rotation about the steering axis; shoe 120 mm off the middle [common practice]',
      meaning:
        'Gap from the toe, crank level and forward, to the tyre turned to meet it. Negative: they touch in tight turns.',
      letGo: [...lengths, 'crankLength'],
      of: toeGap,
    }),
  ];

  return assembly<PedalledState>({
    start,
    dimensions,
    points: (s) => {
      const foot = bracket(s);
      const top = headTubeTop(s, forkOf(s));
      const rear = rearBracket(s);
      const behind: Record<string, Vector> = {};
      let x = rear.x;
      for (const index of extra) {
        const length = (s as unknown as Record<string, number>)[REAR_SEATS[index]!]!;
        behind[`bottomBracket${index + 2}`] = [x, 0, rear.z];
        behind[`seatTubeTop${index + 2}`] = seatTop({ x, z: rear.z }, s.seatTubeAngle, length);
        x += cockpitsOf(s, riders)[index]!;
      }
      return {
        bottomBracket: [foot.x, 0, foot.z],
        seatTubeTop: seatTop(foot, s.seatTubeAngle, s.seatTubeLength),
        bottomBracketGround: [foot.x, 0, 0],
        bottomBracketAtAxle: [foot.x, 0, s.rearRadius],
        bottomBracketUnderReach: [top.x, 0, foot.z],
        seatLineAtTop: [foot.x - (top.z - foot.z) / Math.tan(toRadians(s.seatTubeAngle)), 0, top.z],
        ...behind,
      };
    },
    pictured: [pedalledPictures(bracket, toeGap, REAR_SEATS.slice(0, riders - 1))],
    rearAxle: (s, compression) => {
      // A sprung rear wheel is taken to swing about the bottom bracket.
      const bb = rearBracket(s);
      const rise = s.rearRadius + compression - bb.z;
      return { x: bb.x - Math.sqrt(s.chainstayLength ** 2 - rise ** 2), z: bb.z + rise };
    },
    outline: [
      { from: riders > 1 ? 'bottomBracket2' : 'bottomBracket', to: 'rearAxle', as: 'part' },
      { from: 'bottomBracket', to: 'seatTubeTop', as: 'part' },
      { from: 'bottomBracket', to: 'headTubeLower', as: 'part' },
      { from: 'seatTubeTop', to: 'headTubeUpper', as: 'part' },
      ...extra.flatMap((index) => {
        const n = index + 2;
        const ahead = n === riders ? '' : String(n + 1);
        return [
          { from: `bottomBracket${n}`, to: `seatTubeTop${n}`, as: 'part' },
          { from: `bottomBracket${n}`, to: `bottomBracket${ahead}`, as: 'part' },
          { from: `seatTubeTop${n}`, to: `seatTubeTop${ahead}`, as: 'part' },
        ] as const;
      }),
      ...(riders > 1 ? ([{ from: 'rearAxle', to: 'seatTubeTop2', as: 'part' }] as const) : []),
    ],
    drawn: [
      {
        id: 'effectiveTopTube',
        view: 'side',
        as: 'level',
        from: 'seatLineAtTop',
        to: 'headTubeUpper',
        row: -1,
        share: 0.42,
      },
      {
        id: 'reach',
        view: 'side',
        as: 'level',
        from: 'bottomBracket',
        to: 'headTubeUpper',
        row: -2,
        share: 0.55,
      },
      {
        id: 'stack',
        view: 'side',
        as: 'upright',
        from: 'bottomBracketUnderReach',
        to: 'headTubeUpper',
        column: 1,
        share: 0.36,
      },
      {
        id: 'bottomBracketHeight',
        view: 'side',
        as: 'upright',
        from: 'bottomBracketGround',
        to: 'bottomBracket',
        near: 50,
      },
      {
        id: 'bottomBracketDrop',
        view: 'side',
        as: 'upright',
        from: 'bottomBracket',
        to: 'bottomBracketAtAxle',
        near: 50,
      },
      {
        id: 'chainstayLength',
        view: 'side',
        as: 'aligned',
        from: 'rearAxle',
        to: riders > 1 ? 'bottomBracket2' : 'bottomBracket',
        off: -30,
      },
      {
        id: 'seatTubeLength',
        view: 'side',
        as: 'aligned',
        from: 'bottomBracket',
        to: 'seatTubeTop',
        off: -44,
      },
      {
        id: 'seatTubeAngle',
        view: 'side',
        as: 'angle',
        at: 'bottomBracket',
        from: 180,
        turn: (value) => 180 - value,
        radius: 62,
      },
      {
        id: 'frontCentre',
        view: 'side',
        as: 'aligned',
        from: 'bottomBracket',
        to: 'frontAxle',
        off: 0,
        share: 0.68,
      },
      ...extra.map((index) => {
        const ahead = index + 2 === riders ? '' : String(index + 3);
        return {
          id: COCKPITS[index]!,
          view: 'side',
          as: 'aligned',
          from: `bottomBracket${index + 2}`,
          to: `bottomBracket${ahead}`,
          off: -26,
        } as const;
      }),
    ],
    handles: [
      {
        point: 'bottomBracket',
        name: 'Bottom bracket',
        views: ['side'],
        moves: [
          'chainstayLength',
          'bottomBracketDrop',
          'bottomBracketHeight',
          'dropBelowAxles',
          ...COCKPITS.slice(0, riders - 1),
        ],
      },
      {
        point: 'seatTubeTop',
        name: 'Top of the seat tube',
        views: ['side'],
        moves: ['seatTubeLength', 'seatTubeAngle'],
      },
    ],
    refuse: ({ chainstayLength, bottomBracketDrop }) =>
      chainstayLength !== undefined &&
      bottomBracketDrop !== undefined &&
      chainstayLength <= Math.abs(bottomBracketDrop)
        ? ['chainstayLength', 'bottomBracketDrop', 'bottomBracketHeight'].map((where) => ({
            where,
            message: `Chainstay and BB drop do not meet: the chainstay must be longer than the drop, ${lengthBothWays(Math.abs(bottomBracketDrop))}.`,
          }))
        : [],
  });
}
