import type { CheckStage } from '@larchwood/format';
import type { KeyId, Keys } from '../fixture/keys.js';
import type { Vector } from '../vector/vector.js';

/** How something is set right: cut the tacks and set again, bend it cold, or put a shim under. */
export type By = 'retack' | 'cold' | 'shim';

/** One way to move key points, and what to say of it. A positive amount goes the first way, mm. */
export interface Lever {
  readonly id: string;
  /** What is taken hold of. */
  readonly what: string;
  /** Which way a positive and a negative amount go. */
  readonly ways: readonly [positive: string, negative: string];
  readonly moves: readonly KeyId[];
  readonly along: Vector;
  /** How it may be done, by what the frame is by then. */
  readonly by: Readonly<Partial<Record<State, By>>>;
  /** As far as it is usually taken cold, mm. Common practice, no source. */
  readonly most: number;
}
type State = 'loose' | 'welded' | 'whole';
export const STATE_OF: Readonly<Record<CheckStage, State>> = {
  dry: 'loose',
  tacked: 'loose',
  root: 'welded',
  cap: 'welded',
  off: 'welded',
  relieved: 'welded',
  assembled: 'whole',
  ridden: 'whole',
};

const X: Vector = [1, 0, 0];
const Y: Vector = [0, 1, 0];
const Z: Vector = [0, 0, 1];
const SIDEWAYS = ['to the left', 'to the right'] as const;
const LENGTHWAYS = ['forwards', 'backwards'] as const;
const UPRIGHT = ['up', 'down'] as const;
const COLD = { loose: 'retack', welded: 'cold', whole: 'cold' } as const;
/** A welded head tube or kingpin does not turn in the side view without the tubes: cut tacks only. */
const LOOSE = { loose: 'retack' } as const;
const SHIMMED = { loose: 'retack', welded: 'shim', whole: 'shim' } as const;

const LEVERS: readonly Lever[] = [
  {
    ...{ id: 'headSide', what: 'the head tube’s top, its foot held', moves: ['headUpper'], along: Y },
    ...{ ways: SIDEWAYS, by: COLD, most: 6 },
  },
  {
    ...{ id: 'headPlane', what: 'the whole head tube', moves: ['headLower', 'headUpper'], along: Y },
    ...{ ways: SIDEWAYS, by: COLD, most: 8 },
  },
  {
    ...{ id: 'headFore', what: 'the head tube’s top, its foot held', moves: ['headUpper'], along: X },
    ...{ ways: LENGTHWAYS, by: LOOSE, most: 10 },
  },
  {
    ...{ id: 'headAlong', what: 'the whole head tube', moves: ['headLower', 'headUpper'], along: X },
    ...{ ways: LENGTHWAYS, by: LOOSE, most: 10 },
  },
  {
    ...{
      id: 'rearSide',
      what: 'both dropouts, the main frame held',
      moves: ['axleLeft', 'axleRight'],
      along: Y,
    },
    ...{ ways: SIDEWAYS, by: COLD, most: 8 },
  },
  ...(['Left', 'Right'] as const).flatMap((side): Lever[] => {
    const name = side.toLowerCase();
    return [
      {
        ...{ id: `axle${side}Fore`, what: `the axle’s end on the ${name}`, moves: [`axle${side}`], along: X },
        ...{ ways: LENGTHWAYS, by: SHIMMED, most: 4 },
      },
      {
        ...{ id: `axle${side}Up`, what: `the axle’s end on the ${name}`, moves: [`axle${side}`], along: Z },
        ...{ ways: UPRIGHT, by: SHIMMED, most: 4 },
      },
      {
        ...{ id: `kingpin${side}Fore`, what: `the kingpin’s top on the ${name}, its foot held`, along: X },
        ...{ moves: [`kingpinTop${side}`], ways: LENGTHWAYS, by: SHIMMED, most: 5 },
      },
      {
        ...{ id: `kingpin${side}In`, what: `the kingpin’s top on the ${name}, its foot held`, along: Y },
        ...{ moves: [`kingpinTop${side}`], ways: SIDEWAYS, by: SHIMMED, most: 5 },
      },
      {
        ...{ id: `corner${side}Fore`, what: `the front corner on the ${name}, with its kingpin`, along: X },
        ...{ moves: [`kingpinLow${side}`, `kingpinTop${side}`], ways: LENGTHWAYS, by: COLD, most: 6 },
      },
      {
        ...{ id: `corner${side}Up`, what: `the front corner on the ${name}, the other three held`, along: Z },
        ...{ moves: [`kingpinLow${side}`, `kingpinTop${side}`], ways: UPRIGHT, by: COLD, most: 8 },
      },
    ];
  }),
  {
    ...{
      id: 'frontSide',
      what: 'the whole front, the rear held',
      along: Y,
      ways: SIDEWAYS,
      by: COLD,
      most: 6,
    },
    moves: ['kingpinLowLeft', 'kingpinTopLeft', 'kingpinLowRight', 'kingpinTopRight'],
  },
];

/** What may be moved on a frame with those key points, at a stage. */
export const leversFor = (keys: Keys, stage: CheckStage): readonly (Lever & { readonly how: By })[] =>
  LEVERS.flatMap((lever) => {
    const how = lever.by[STATE_OF[stage]];
    return how && lever.moves.every((id) => keys[id] !== undefined) ? [{ ...lever, how }] : [];
  });

/** What a lever takes hold of, as words within a sentence. */
export const leverName = (id: string): string => LEVERS.find((lever) => lever.id === id)?.what ?? id;
