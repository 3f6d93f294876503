import type { BuildDocument } from '@larchwood/format';
import { SET_MASS } from '../mass/mass.js';
import type { Kind } from '../stance/dimension.js';
import { findKind } from '../stance/kinds/registry.js';
import { solveStance } from '../stance/solve.js';
import { bodiesOf, stanceOf, type Stance, type StanceParts } from '../stance/stance.js';
import { without } from '../without.js';

/** One thing that is slid for a rider of a stature. */
export interface Slide {
  readonly name: string;
  readonly dimension: string;
  /** Against its present place, mm; undefined when no place gives the wanted angle. */
  readonly by: number | undefined;
  readonly within: boolean;
}
export interface Fitted {
  readonly stature: number;
  readonly legs: Slide;
  readonly arms: Slide;
  /** Top of the helmet above the ground, mm; undefined where no place does it. */
  readonly helmet: number | undefined;
  readonly fits: boolean;
}

/** Least and most of a span asked for, in so many steps. */
const STEP = 50;
/** Nearer than this is the same, mm. */
const SAME = 0.5;

/**
 * Who fits: for statures over the span that the build wants, how far what is slid for the legs and for the arms must go
 * so that knee and elbow stand as they do for the rider in the first place now.
 * @param document stance, seat and brief; statures in mm
 * @returns one entry a stature; slides in mm
 */
export function fitRange(document: StanceParts): readonly Fitted[] {
  const kind = findKind(document.kind);
  const present = stanceOf(document);
  const slot = kind?.seat.slots[0];
  if (!kind || !present.ok || !slot?.adjusters) return [];
  const { statures, legSlide, armSlide } = document.seat;
  const { legs, arms } = slot.adjusters;
  return steps(statures[0], statures[1]).map((stature) => {
    const held = { ...present.stance.held, ...bodiesOf(withStature(document, stature), kind) };
    const first = slid(kind, present.stance, held, legs, 'kneeAngle', legSlide);
    const second = slid(kind, present.stance, first.held, arms, 'elbowAngle', armSlide);
    const solved = solveStance(kind, second.held, present.stance.state);
    return {
      stature,
      legs: first.slide,
      arms: second.slide,
      helmet: solved.ok ? solved.values.helmetHeight : undefined,
      fits: first.slide.within && second.slide.within,
    };
  });
}

function steps(low: number, high: number): number[] {
  const count = Math.max(1, Math.min(12, Math.ceil((high - low) / STEP)));
  return Array.from({ length: count + 1 }, (_, index) => low + ((high - low) * index) / count);
}

/** Somebody of that stature in the first place, of usual proportions. */
function withStature(
  { brief, seat }: Pick<BuildDocument, 'brief' | 'seat'>,
  stature: number,
): Pick<BuildDocument, 'brief' | 'seat'> {
  const riders = [...brief.riders, { name: 'Somebody', stature, mass: SET_MASS }];
  return {
    brief: { ...brief, riders },
    seat: { ...seat, aboard: [riders.length - 1, ...othersAboard(brief, seat)] },
  };
}

/** Who else sits there, place by place from the second. */
const othersAboard = ({ riders }: BuildDocument['brief'], { aboard }: BuildDocument['seat']): number[] =>
  Array.from({ length: 5 }, (_, index) => aboard[index + 1] ?? index + 1).map((rider) =>
    // A place that nobody named keeps nobody.
    rider < riders.length ? rider : riders.length + 1,
  );

function slid(
  kind: Kind,
  present: Stance,
  held: Stance['held'],
  { dimension, name }: { readonly dimension: string; readonly name: string },
  angle: string,
  [low, high]: readonly [number, number],
): { readonly slide: Slide; readonly held: Stance['held'] } {
  const none = { slide: { name, dimension, by: undefined, within: false }, held };
  const asked = { ...without(held, angle, dimension), [angle]: present.values[angle]! };
  // Where the angle itself is held, what is slid follows already.
  const wanted = angle in held ? { ...held } : asked;
  if (!(angle in held) && !(dimension in held)) return none;
  const solved = solveStance(kind, wanted, present.state);
  if (!solved.ok) return none;
  const place = solved.values[dimension]!;
  const by = place - present.values[dimension]!;
  return {
    slide: { name, dimension, by, within: by >= low - SAME && by <= high + SAME },
    held: angle in held ? held : { ...held, [dimension]: place },
  };
}
