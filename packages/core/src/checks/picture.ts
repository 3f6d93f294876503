import type { ViewName } from '../stance/dimension.js';
import { VIEW_AXES } from '../stance/drag.js';
import type { Stance } from '../stance/stance.js';
import { add, along, distance, scale, type Vector } from '../vector/vector.js';
import type { Measurand } from './measure.js';
import { CORNERS, type MeasuringPoints } from './points.js';

/** How a measure is taken, to be drawn on the frame. */
export interface MeasurePicture {
  readonly view: ViewName;
  /** What is read: the tape, the gap, the leg of an angle. */
  readonly measured: readonly Line[];
  /** What it is read against: a plumb line, level, a string, the steering axis. */
  readonly against: readonly Line[];
  /** Where the tool is put. */
  readonly marks: readonly Vector[];
}
type Line = readonly [from: Vector, to: Vector];
type Sketch = Omit<MeasurePicture, 'view' | 'marks'> & Partial<Pick<MeasurePicture, 'view' | 'marks'>>;

/** A line of which a view shows less is shown in another one. */
const SHOWN = 0.7;
/** An edge of a dropout's face stands so far off the axle in the picture, mm. */
const EDGE = 20;
/** Level is drawn so long beside a steering axis, mm. */
const LEVEL = 150;

/**
 * A measure with its points, its line and what it is taken against, in the view that shows them.
 * @param level from which heights are taken, above the ground: of a fixture's base; mm
 */
export function pictureOf(
  measurand: Measurand,
  points: MeasuringPoints,
  stance: Stance,
  level = 0,
): MeasurePicture {
  const sketch = sketchOf(measurand, (id) => points[id]?.at, stance, level);
  const view = sketch.view ?? clearest(measurand.view, sketch.measured);
  return { marks: sketch.measured.flat(), ...sketch, view };
}

const seen = (view: ViewName, [from, to]: Line): number =>
  Math.hypot(...VIEW_AXES[view].map((axis) => to[axis]! - from[axis]!));

function clearest(usual: ViewName, lines: readonly Line[]): ViewName {
  const shown = (view: ViewName): number => lines.reduce((sum, line) => sum + seen(view, line), 0);
  const whole = lines.reduce((sum, [from, to]) => sum + distance(from, to), 0);
  if (shown(usual) >= SHOWN * whole) return usual;
  return (['side', 'plan', 'front'] as const).reduce(
    (best, view) => (shown(view) > shown(best) + 1e-6 ? view : best),
    usual,
  );
}

type At = (id: string) => Vector | undefined;
const NONE: Sketch = { measured: [], against: [] };
const floor = ([x, y]: Vector): Vector => [x, y, 0];

function sketchOf(measurand: Measurand, at: At, stance: Stance, level: number): Sketch {
  const { as, points, strung } = measurand;
  if (strung) {
    const { at: on, string } = strung;
    const side = Math.sign(on[1]) * string;
    const wheels = stance.standing.flatMap(({ centre, radius }) => [centre[0] - radius, centre[0] + radius]);
    return {
      view: 'plan',
      measured: [[on, [on[0], side, on[2]]]],
      against: [
        [
          [Math.min(...wheels), side, on[2]],
          [Math.max(...wheels), side, on[2]],
        ],
      ],
    };
  }
  if (as === 'outcome') return OUTCOMES[measurand.outcome ?? '']?.(at, stance) ?? NONE;
  if (as === 'gap') return gap(measurand.id, at);
  const [a, b] = points.map((id) => at(id));
  if (!a) return NONE;
  if (as === 'height') return { measured: [[a, [a[0], a[1], level]]], against: [], marks: [a] };
  if (as === 'beside') return { measured: [[a, [a[0], 0, a[2]]]], against: [], marks: [a] };
  if (!b) return NONE;
  if (as === 'distance') return { measured: [[a, b]], against: [] };
  const straight: Vector = as === 'lean' ? [a[0], a[1], b[2]] : [b[0], a[1], a[2]];
  return { measured: [[a, b]], against: [[a, straight]] };
}

const FACES: Readonly<Record<string, Vector>> = {
  front: [EDGE, 0, 0],
  rear: [-EDGE, 0, 0],
  upper: [0, 0, EDGE],
  lower: [0, 0, -EDGE],
};

/** Gaps that hang on no measuring point of their own: between the dropouts, off the frame's own outline, beside the chain. */
function gap(id: string, at: At): Sketch {
  const [what, where = ''] = id.split('.');
  const [left, right] = [at('axleLeft'), at('axleRight')];
  if (what === 'faces' && left && right) {
    const by = FACES[where] ?? [0, 0, 0];
    const off = (point: Vector) => add(point, by);
    return {
      view: by[2] !== 0 ? 'front' : 'plan',
      measured: [[off(left), off(right)]],
      against: [[left, right]],
    };
  }
  if (what === 'turned') {
    const [rearLeft, rearRight, frontLeft, frontRight] = CORNERS.map(at);
    const pair = where === 'front' ? [frontLeft, frontRight] : [rearLeft, rearRight];
    if (pair[0] && pair[1] && rearLeft && frontLeft && rearRight && frontRight)
      return {
        view: 'plan',
        measured: [[pair[0], pair[1]]],
        against: [
          [rearLeft, frontLeft],
          [rearRight, frontRight],
        ],
      };
  }
  // A straight-edge on the front sprocket, along the chain's run: the gap is at one edge of the rear one.
  if (what === 'sprocket' && right) {
    const edge = add(right, [where === 'fore' ? 2 * EDGE : -2 * EDGE, 0, 0]);
    const run = (ahead: number): Vector => add(right, [ahead, -EDGE, 0]);
    return {
      view: 'plan',
      measured: [[edge, add(edge, [0, -EDGE, 0])]],
      against: [[run(-4 * EDGE), run(12 * EDGE)]],
      marks: [edge],
    };
  }
  return NONE;
}

interface Axis {
  readonly top: Vector;
  readonly ground: Vector;
  readonly wheel: Vector;
}
/** Each steering axis from its upper end to the floor, with the middle of its wheel. */
const axesOf = ({ steered }: Stance): readonly Axis[] =>
  steered.map(({ axisPoint, axis, centre, radius }) => ({
    ground: along(axisPoint, axis, -axisPoint[2] / axis[2]),
    top: along(axisPoint, axis, (1.4 * radius - axisPoint[2]) / axis[2]),
    wheel: centre,
  }));
const wheelsAt = ({ standing }: Stance, end: 'front' | 'rear'): readonly Vector[] =>
  standing.filter((wheel) => wheel.end === end).map(({ centre }) => centre);
const middleOf = (all: readonly Vector[]): Vector | undefined =>
  all.length > 0 ? scale(all.reduce(add), 1 / all.length) : undefined;

/** Between the mark of the steering axis on the floor and that of the axle's plumb line. */
const trail = (_: At, stance: Stance): Sketch => {
  const axes = axesOf(stance).slice(0, 1);
  return {
    view: 'side',
    measured: axes.map(({ ground, wheel }): Line => [ground, [wheel[0], ground[1], 0]]),
    against: axes.flatMap(({ top, ground, wheel }): Line[] => [
      [ground, top],
      [wheel, floor(wheel)],
    ]),
  };
};
/** Steering axes against level, or against plumb where they are seen from the front. */
const leaning =
  (view: ViewName, count?: number, beside: Vector = view === 'front' ? [0, 0, 2 * LEVEL] : [-LEVEL, 0, 0]) =>
  (_: At, stance: Stance): Sketch => {
    const axes = axesOf(stance).slice(0, count);
    return {
      view,
      measured: axes.map(({ top, ground }): Line => [ground, top]),
      against: axes.map(({ ground }): Line => [ground, add(ground, beside)]),
      marks: axes.map(({ top }) => top),
    };
  };
/** From a point level or plumb to a corner that is square beside another one, and on to that. */
const square =
  (from: string, to: string, corner: (from: Vector, to: Vector) => Vector) =>
  (at: At): Sketch => {
    const [a, b] = [at(from), at(to)];
    if (!a || !b) return NONE;
    const turn = corner(a, b);
    return { view: 'side', measured: [[turn, b]], against: [[a, turn]], marks: [a, b] };
  };

/** What is read on its wheels, by outcome. */
const OUTCOMES: Readonly<Record<string, (at: At, stance: Stance) => Sketch>> = {
  trail,
  casterTrail: trail,
  // Against plumb, as motorcycles have it.
  rake: leaning('side', 1, [0, 0, 2 * LEVEL]),
  headAngle: leaning('side', 1),
  caster: leaning('side', 1),
  casterDifference: leaning('side'),
  twist: leaning('front', 1),
  kingpinInclination: leaning('front', 1),
  inclinationDifference: leaning('front'),
  wheelbase: (_, stance) => {
    const [rear, front] = [middleOf(wheelsAt(stance, 'rear')), middleOf(wheelsAt(stance, 'front'))];
    if (!rear || !front) return NONE;
    return {
      view: 'side',
      measured: [[floor(rear), floor(front)]],
      against: [
        [rear, floor(rear)],
        [front, floor(front)],
      ],
    };
  },
  wheelbaseDifference: (_, stance) => {
    const [rear, front] = [wheelsAt(stance, 'rear'), wheelsAt(stance, 'front')];
    const measured = front.flatMap((to): Line[] => {
      // Each front wheel with the rear one of its own side.
      const from = rear.reduce<Vector | undefined>(
        (best, each) => (best && Math.abs(best[1] - to[1]) <= Math.abs(each[1] - to[1]) ? best : each),
        undefined,
      );
      return from ? [[from, to]] : [];
    });
    return { view: 'plan', measured, against: [] };
  },
  frontTrack: (_, stance) => {
    const [left, right] = wheelsAt(stance, 'front');
    return left && right
      ? {
          view: 'front',
          measured: [[floor(left), floor(right)]],
          against: [
            [left, floor(left)],
            [right, floor(right)],
          ],
        }
      : NONE;
  },
  offset: (_, stance) => {
    const [rear, front] = [middleOf(wheelsAt(stance, 'rear')), middleOf(wheelsAt(stance, 'front'))];
    if (!rear || !front) return NONE;
    const beside: Vector = add(front, [0, LEVEL, 0]);
    return {
      view: 'plan',
      measured: [[front, beside]],
      against: [[rear, [front[0], rear[1], rear[2]]]],
      marks: [front, rear],
    };
  },
  lift: (_, stance) => {
    const wheels = wheelsAt(stance, 'front');
    return {
      view: 'front',
      measured: wheels.map((at): Line => [at, floor(at)]),
      against: wheels.slice(1).map((at): Line => [floor(wheels[0]!), floor(at)]),
      marks: wheels.map(floor),
    };
  },
  bottomBracketHeight: (at) => {
    const bb = at('bottomBracket');
    return bb ? { view: 'side', measured: [[bb, floor(bb)]], against: [], marks: [bb] } : NONE;
  },
  chainstayLength: (at) => {
    const [bb, left, right] = [at('bottomBracket'), at('axleLeft'), at('axleRight')];
    return bb && left && right
      ? { view: 'side', measured: [[bb, middleOf([left, right])!]], against: [] }
      : NONE;
  },
  reach: square('bottomBracket', 'headUpper', (a, b) => [a[0], a[1], b[2]]),
  stack: square('headUpper', 'bottomBracket', (head, bb) => [bb[0], bb[1], head[2]]),
  seatTubeAngle: (at) => {
    const [bb, top] = [at('bottomBracket'), at('seatTop')];
    return bb && top
      ? { view: 'side', measured: [[bb, top]], against: [[bb, add(bb, [-LEVEL, 0, 0])]] }
      : NONE;
  },
};
