import { gripsAt } from '../rider/figure.js';
import type { Stance } from '../stance/stance.js';
import { axisAtHeight, contactOf, turnedWheel } from '../stance/steering.js';
import { cross, length, overPlane, subtract, type Vector } from '../vector/vector.js';
import { moved, type Positions } from './chain.js';
import { meanHeading, reportOf, type ReportStep } from './report.js';
import type { Steering } from './steering.js';

/** Friction of a tyre that is turned at standstill on dry ground. From memory. */
const FRICTION = 0.7;
const GRAVITY = 9.81;
/** A tyre gives so much under its load, N/mm. Common practice, no source: measure yours. */
export const TYRE_RATE = 100;

/** Load of a wheel, kg. */
export interface LoadOfWheel {
  readonly wheel: string;
  readonly load: number;
}

/** What a linkage comes to, for the builder to read; mm, degrees, N. */
export interface SteeringReadings {
  /** Turning circle over the outer edge of the outermost steered tyre, and over the whole vehicle; diameters at full left. */
  readonly kerb: number | undefined;
  readonly wall: number | undefined;
  /** Driver from full right to full left. */
  readonly lockToLock: number;
  /** Both hands together at standstill, N: straight ahead and at full lock; none where no hands are known. */
  readonly effort: { readonly straight: number; readonly lock: number } | undefined;
  /** Each wheel's drag sideways at full left, degrees. */
  readonly scrub: Readonly<Record<string, number>>;
  /** Of an axle that turns as one: how much further the outer wheel has to go than the axle, and how far it lifts. */
  readonly liveAxle: LiveAxle | undefined;
}
export interface LiveAxle {
  /** Share of its way by which each rear wheel slides: half the track over the turn's radius. */
  readonly slip: number;
  /** How far caster and kingpin lean lift the inside rear wheel, were nothing to give, mm. */
  readonly lift: number;
  /** Share of its load that they take off, with tyres that give. */
  readonly relief: number | undefined;
}

/**
 * Readings of a linkage at the ends of its sweep.
 * @param loads on each wheel, kg; none where nothing is weighed
 * @param corners points of the vehicle that a wall must clear, mm
 */
export function steeringReadings(
  stance: Stance,
  steering: Steering,
  loads: readonly LoadOfWheel[],
  corners: readonly Vector[],
): SteeringReadings {
  const report = reportOf(stance.steered, steering);
  const full = report.at(-1);
  const { left, right } = steering.sweep;
  const centre = full?.turn.centre;
  const about = (at: Vector) => 2 * Math.hypot(at[0], at[1] - centre!);
  return {
    kerb: full?.turn.kerb === undefined ? undefined : 2 * full.turn.kerb,
    wall:
      centre === undefined || full?.turn.kerb === undefined
        ? undefined
        : Math.max(2 * full.turn.kerb, ...corners.map(about)),
    lockToLock: left.drive - right.drive,
    effort: effortOf(stance, steering, report, loads),
    scrub: Object.fromEntries((full?.turn.wheels ?? []).map(({ id, scrub }) => [id, scrub])),
    liveAxle: full && liveAxleOf(stance, full, loads),
  };
}

/**
 * Both hands at standstill: each tyre asks mu W sqrt(B^2 / 8 + E^2) about its steering axis, B the tyre's width and E
 * the patch's distance from the axis on the ground; the linkage's ratio and the grips' way share it out. From memory.
 */
function effortOf(
  stance: Stance,
  steering: Steering,
  report: readonly ReportStep[],
  loads: readonly LoadOfWheel[],
): SteeringReadings['effort'] {
  const way = gripWay(stance, steering);
  if (way === undefined || loads.length === 0) return undefined;
  const torque = stance.steered.reduce((sum, wheel) => {
    const load = Math.max(0, loads.find((each) => each.wheel === wheel.id)?.load ?? 0);
    const contact = contactOf(wheel);
    const foot = axisAtHeight(wheel, contact[2]);
    const arm = Math.hypot(contact[0] - foot[0], contact[1] - foot[1]);
    return sum + FRICTION * load * GRAVITY * Math.sqrt(wheel.width ** 2 / 8 + arm ** 2);
  }, 0);
  const force = (index: number) => {
    const [a, b] = [report[Math.max(0, index - 1)]!, report[Math.min(report.length - 1, index + 1)]!];
    const wheels = Math.abs(meanHeading(b) - meanHeading(a)) * (Math.PI / 180);
    const hands = Math.abs(b.drive - a.drive) * way;
    return hands > 0 ? (torque * wheels) / hands : 0;
  };
  return { straight: force(Math.floor(report.length / 2)), lock: force(report.length - 1) };
}

/** How far the grips go for one unit of the driver, mm; undefined where the hands hold nothing that steers. */
function gripWay(stance: Stance, { built: { chain } }: Steering): number | undefined {
  const place = stance.places[0];
  if (!place || place.hands.on === 'lap') return undefined;
  const body = chain.bodies[chain.driver]!;
  if (body.as === 'slides') return 1;
  const [grip] = gripsAt(place.hands, place, 0);
  const out = subtract(grip, body.point);
  return length(cross(body.axis, out)) * (Math.PI / 180);
}

/** Only of four wheels, whose rear axle turns as one. */
function liveAxleOf(stance: Stance, full: ReportStep, loads: readonly LoadOfWheel[]): LiveAxle | undefined {
  const rear = stance.standing.filter(({ end }) => end === 'rear');
  const centre = full.turn.centre;
  if (rear.length < 2 || centre === undefined) return undefined;
  const rearTrack = trackOf(rear);
  const slip = rearTrack / 2 / Math.abs(centre);
  if (stance.steered.length < 2) return { slip, lift: 0, relief: undefined };
  const inside = rear.reduce((most, wheel) => (wheel.centre[1] > most.centre[1] ? wheel : most));
  const outside = rear.reduce((most, wheel) => (wheel.centre[1] < most.centre[1] ? wheel : most));
  // The three others stand on the floor: over their plane hangs the one inside.
  const [front, otherFront] = stance.steered.map((wheel) =>
    contactOf(turnedWheel(wheel, full.wheels[wheel.id]!.steer)),
  ) as [Vector, Vector];
  const lift = overPlane(contactOf(inside), [contactOf(outside), front, otherFront]);
  const load = (loads.find(({ wheel }) => wheel === inside.id)?.load ?? 0) * GRAVITY;
  return {
    slip,
    lift,
    relief: load > 0 ? Math.max(0, Math.min(1, (TYRE_RATE * lift) / 4 / load)) : undefined,
  };
}

const trackOf = (wheels: readonly { readonly centre: Vector }[]): number =>
  Math.abs(wheels[0]!.centre[1] - wheels[1]!.centre[1]);

/** Every named point of the linkage when it has moved, mm. */
export function movedPoints(
  { built: { chain, points } }: Steering,
  positions: Positions,
): Record<string, Vector> {
  return Object.fromEntries(
    Object.entries(points).map(([name, { body, at }]) => [
      name,
      body === undefined ? at : moved(chain, { body, at }, positions),
    ]),
  );
}

/** Speeds of two driven sides through the sweep, for a controller that stands in for a differential. */
export interface SideSpeed {
  /** Driver, degrees or mm; and mean heading of the wheels, degrees to the left. */
  readonly drive: number;
  readonly heading: number;
  /** Share of the vehicle's own speed. */
  readonly left: number;
  readonly right: number;
}

/**
 * Speed of each side against the steering: v side / v = (R -+ T/2) / R.
 * @param track between the two driven wheels or tracks, mm
 */
export function sideSpeedsOf(report: readonly ReportStep[], track: number): readonly SideSpeed[] {
  return report.map((step) => {
    const curve = step.turn.centre === undefined ? 0 : 1 / step.turn.centre;
    return {
      drive: step.drive,
      heading: meanHeading(step),
      left: 1 - (curve * track) / 2,
      right: 1 + (curve * track) / 2,
    };
  });
}
