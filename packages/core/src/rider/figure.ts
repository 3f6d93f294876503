import { toDegrees, toRadians } from '../units/angle.js';
import { add, along, distance, scale, subtract, turn, type Vector } from '../vector/vector.js';
import { HALF_WIDTH, OF_STATURE, THICKNESS } from './body.js';
import type { Feet, Hands, RiderPlace } from './place.js';
import { jointAngle, twoLink } from './twoLink.js';

export interface Leg {
  readonly hip: Vector;
  readonly knee: Vector;
  readonly ankle: Vector;
  readonly heel: Vector;
  readonly toe: Vector;
  /** Where the foot presses on the pedal or peg. */
  readonly tread: Vector;
  /** Ankle too far from its place, mm: the foot does not reach. Negative: too near. */
  readonly beyond: number;
}
export interface Arm {
  readonly shoulder: Vector;
  readonly elbow: Vector;
  readonly wrist: Vector;
  readonly grip: Vector;
  readonly beyond: number;
}
/** A rider as a jointed figure, mm. */
export interface Figure {
  readonly hip: Vector;
  readonly shoulder: Vector;
  readonly head: Vector;
  readonly eye: Vector;
  /** Top of the helmet. */
  readonly top: Vector;
  readonly legs: { readonly left: Leg; readonly right: Leg };
  readonly arms: { readonly left: Arm; readonly right: Arm };
}
/** How pedals and steering stand. */
export interface Motion {
  /** Right crank, degrees on from level forward, downwards. */
  readonly crank: number;
  /** Steering axis, or column, degrees to the left. */
  readonly steer: number;
}
export const STILL: Motion = { crank: 90, steer: 0 };

/** Sole of the shoe and half the pedal, mm. Common practice, no source. */
const SHOE = 30;
/** Helmet over the head, mm. Common practice, no source. */
export const HELMET = 30;
/** Along the foot from the ankle, as fractions of its length. From memory. */
const FOOT = { heel: -0.25, arch: 0.2, ball: 0.47, toe: 0.75 } as const;
/** Toes against the line from hip to foot, degrees: while pedalling, and at rest. Common practice, no source. */
const TOES = { cranks: 53, rests: 62 } as const;
/**
 * Hip joint from the seat, as fractions of the stature: above a saddle or a bench; and off each face of a shell, square to
 * it. From memory.
 */
export const HIP = { above: 0.052, shell: 0.07 } as const;
/** Middle of the hand from the wrist, mm per mm of the hand's length. Source: Winter, centre of mass of the hand. */
const GRIP_IN_HAND = 0.506;
/** The head is held up: it leans by this share of the trunk's lean from upright. From memory. */
const HEAD_LEAN = 0.35;

export const sideAngle = (from: Vector, to: Vector): number =>
  toDegrees(Math.atan2(to[2] - from[2], to[0] - from[0]));
const direction = (degrees: number): Vector => [
  Math.cos(toRadians(degrees)),
  0,
  Math.sin(toRadians(degrees)),
];

/** Wrist to the middle of the grip is a straight part of the lower arm. */
export const reachOfForearm = ({ body }: RiderPlace): number =>
  body.forearm + GRIP_IN_HAND * OF_STATURE.hand * body.stature;

export const shoulderOf = ({ hip, trunkAngle, body }: RiderPlace): Vector =>
  along(hip, direction(trunkAngle), body.trunk);

/** Direction of the toes, degrees up from level forward. */
function toesOf({ hip, feet }: RiderPlace): number {
  if (feet.on === 'rests' && feet.level) return 0;
  const centre = feet.on === 'cranks' ? feet.bracket : feet.at;
  return Math.min(110, sideAngle(hip, centre) + TOES[feet.on]);
}

/** From where the foot presses (its ball, or its arch) to the ankle. */
export function treadToAnkle(place: RiderPlace): Vector {
  const { body, feet } = place;
  const toes = toesOf(place);
  const back =
    FOOT[feet.on === 'rests' && feet.arch ? 'arch' : 'ball'] * OF_STATURE.footLength * body.stature;
  return add(scale(direction(toes), -back), scale(direction(toes + 90), body.ankleHeight + SHOE));
}

export function pedalAt(
  { bracket, crank, tread }: Feet & { on: 'cranks' },
  degrees: number,
  side: 1 | -1,
): Vector {
  const angle = toRadians(degrees);
  return [
    bracket[0] + crank * Math.cos(angle),
    bracket[1] + side * tread,
    bracket[2] - crank * Math.sin(angle),
  ];
}

const treadOf = (feet: Feet, { crank }: Motion, side: 1 | -1): Vector =>
  feet.on === 'cranks'
    ? pedalAt(feet, side === 1 ? crank + 180 : crank, side)
    : [feet.at[0], feet.at[1] + side * feet.tread, feet.at[2]];

/** Hip to ankle, square measure in space: the farthest and the nearest through a turn of the cranks, mm. */
export function legSpans(place: RiderPlace): { readonly most: number; readonly least: number } {
  const { hip, feet, body } = place;
  const offset = treadToAnkle(place);
  const across = feet.tread - HALF_WIDTH.hips * body.stature;
  const centre = add(feet.on === 'cranks' ? feet.bracket : feet.at, offset);
  const span = Math.hypot(centre[0] - hip[0], centre[2] - hip[2]);
  const crank = feet.on === 'cranks' ? feet.crank : 0;
  return { most: Math.hypot(span + crank, across), least: Math.hypot(span - crank, across) };
}

/**
 * Crank angle at which the leg is at its longest; half a turn on it is at its shortest.
 * @param place a rider on pedals
 * @returns the crank's angle, degrees
 */
export function farthestCrank(place: RiderPlace): number {
  if (place.feet.on !== 'cranks') return STILL.crank;
  const ankles = add(place.feet.bracket, treadToAnkle(place));
  return -sideAngle(place.hip, ankles);
}

/** How far knees go outwards for each part that they go up or forward. Common practice, no source. */
const SPLAY: Readonly<Record<Hands['on'], number>> = { bars: 0, wheel: 0.55, sticks: 0, lap: 0.15 };

function legOf(place: RiderPlace, motion: Motion, side: 1 | -1): Leg {
  const { body } = place;
  const wanted = add(treadOf(place.feet, motion, side), treadToAnkle(place));
  const hip = add(place.hip, [0, side * HALF_WIDTH.hips * body.stature, 0]);
  const [dx, dz] = [wanted[0] - hip[0], wanted[2] - hip[2]];
  // The knee goes forward of a leg that hangs, and up from one that lies; about a wheel it goes outwards too.
  const out = side * SPLAY[place.hands.on] * Math.hypot(dx, dz);
  const { joint, end, beyond } = twoLink(hip, wanted, body.thigh, body.shank, [-dz, out, dx]);
  const toes = direction(toesOf(place));
  const foot = OF_STATURE.footLength * body.stature;
  const down = scale(direction(toesOf(place) + 90), -body.ankleHeight);
  const sole = add(end, down);
  return {
    hip,
    knee: joint,
    ankle: end,
    heel: along(sole, toes, FOOT.heel * foot),
    toe: along(sole, toes, FOOT.toe * foot),
    tread: subtract(end, treadToAnkle(place)),
    beyond,
  };
}

/** Where the hands are with the steering turned. */
export function gripsAt(
  hands: Hands,
  { hip, body, trunkAngle }: RiderPlace,
  steer: number,
): readonly [left: Vector, right: Vector] {
  if (hands.on === 'bars') {
    const { axis } = hands;
    if (!axis || steer === 0) return [hands.left, hands.right];
    const turned = (grip: Vector): Vector =>
      add(axis.point, turn(subtract(grip, axis.point), axis.up, steer));
    return [turned(hands.left), turned(hands.right)];
  }
  if (hands.on === 'wheel') {
    const out: Vector = [0, hands.radius, 0];
    const across = turn(out, hands.axis, steer);
    return [add(hands.centre, across), subtract(hands.centre, across)];
  }
  if (hands.on === 'sticks') {
    // Turning left draws the left stick back and pushes the right one on.
    const move = hands.pivot * Math.sin(toRadians(steer));
    return [add(hands.left, [-move, 0, 0]), add(hands.right, [move, 0, 0])];
  }
  const reach = 0.3 * body.stature;
  const lap = add(along(hip, direction(trunkAngle - 90), reach * 0.7), [
    0,
    0,
    THICKNESS.thighAtHip * body.stature,
  ]);
  return [add(lap, [0, 0.09 * body.stature, 0]), add(lap, [0, -0.09 * body.stature, 0])];
}

function armOf(place: RiderPlace, grip: Vector, side: 1 | -1): Arm {
  const { body } = place;
  const shoulder = add(shoulderOf(place), [0, side * HALF_WIDTH.shoulders * body.stature, 0]);
  const lower = reachOfForearm(place);
  const [dx, dz] = [grip[0] - shoulder[0], grip[2] - shoulder[2]];
  // The elbow hangs under the arm, and a little outwards.
  const { joint, end, beyond } = twoLink(shoulder, grip, body.upperArm, lower, [
    dz,
    side * 0.35 * Math.hypot(dx, dz),
    -dx,
  ]);
  const wrist = along(joint, scale(subtract(end, joint), 1 / lower), body.forearm);
  return { shoulder, elbow: joint, wrist, grip: end, beyond };
}

/** Face ahead of the neck's line, as a fraction of the stature; middle of the head, as a share of its height. From memory. */
const HEAD = { face: 0.045, middle: 0.6 } as const;

export function headOf(place: RiderPlace): Pick<Figure, 'head' | 'eye' | 'top'> {
  const { trunkAngle, body } = place;
  const shoulder = shoulderOf(place);
  const up = direction(90 + (trunkAngle - 90) * HEAD_LEAN);
  const height = OF_STATURE.shoulderToTop * body.stature;
  return {
    head: along(shoulder, up, height * HEAD.middle),
    eye: add(along(shoulder, up, OF_STATURE.shoulderToEye * body.stature), [HEAD.face * body.stature, 0, 0]),
    top: along(shoulder, up, height + HELMET),
  };
}

/** The figure of a rider in a place, with the pedals and the steering as they stand. */
export function figureOf(place: RiderPlace, motion: Motion = STILL): Figure {
  const [left, right] = gripsAt(place.hands, place, motion.steer);
  return {
    hip: place.hip,
    shoulder: shoulderOf(place),
    ...headOf(place),
    legs: { left: legOf(place, motion, 1), right: legOf(place, motion, -1) },
    arms: { left: armOf(place, left, 1), right: armOf(place, right, -1) },
  };
}

/** Angle between trunk and thigh in the side view, degrees; small when folded up. */
export function hipOpening(place: RiderPlace, span: 'most' | 'least'): number {
  const crank = farthestCrank(place) + (span === 'most' ? 0 : 180);
  const { hip, knee } = legOf(place, { crank, steer: 0 }, -1);
  const opening = Math.abs(place.trunkAngle - sideAngle(hip, knee)) % 360;
  return opening > 180 ? 360 - opening : opening;
}

/** Shoulder to grip with the steering straight, mm: the longer of the two arms. */
export function armSpan(place: RiderPlace): number {
  const shoulder = shoulderOf(place);
  const half = HALF_WIDTH.shoulders * place.body.stature;
  const [left, right] = gripsAt(place.hands, place, 0);
  return Math.max(distance(add(shoulder, [0, half, 0]), left), distance(add(shoulder, [0, -half, 0]), right));
}

export const kneeAngle = (place: RiderPlace, span: 'most' | 'least'): number =>
  jointAngle(place.body.thigh, place.body.shank, legSpans(place)[span]);

export const elbowAngle = (place: RiderPlace): number =>
  jointAngle(place.body.upperArm, reachOfForearm(place), armSpan(place));

/** How far the hand is held out from below the shoulder, in the side view: 0 hangs straight down, 90 is level ahead; degrees. */
export function armRaise(place: RiderPlace): number {
  const shoulder = shoulderOf(place);
  const [left, right] = gripsAt(place.hands, place, 0);
  return toDegrees(
    Math.atan2((left[0] + right[0]) / 2 - shoulder[0], shoulder[2] - (left[2] + right[2]) / 2),
  );
}

/** Arms held out higher than this tire where nothing rests them, degrees. Common practice, no source. */
export const ARMS_TIRE = 85;
