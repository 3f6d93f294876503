import { BufferAttribute, BufferGeometry } from 'three';
import {
  add,
  findKind,
  gripsAt,
  scale,
  unit,
  type Plan,
  type RiderPlace,
  type Solid,
  type Vector,
} from '@larchwood/core';
import { placesOf } from '../sheet/places';

/** Radii of what stands for parts that are not tubes of the frame, mm; by eye. */
const RADIUS = { fork: 13, axle: 8, part: 16, seat: 9, bar: 11, column: 10, saddle: 22 } as const;
/** A fork's blades, and an axle's ends, stand so far off their wheel, mm; by eye. */
const BLADE_OFF = 18;
const AXLE_OUT = 14;
/** A steering wheel's rim is drawn of so many rods. */
const RIM = 20;

export interface BesideParts {
  /** Fork, axles, swing-arm, bars and columns. */
  readonly running: readonly Solid[];
  readonly seats: readonly Solid[];
}

const rod = (from: Vector, to: Vector, radius: number): Solid => ({
  as: 'rod',
  id: '',
  name: '',
  touches: [],
  from,
  to,
  radius,
});

/** What the stance knows besides wheels and tubes, so that the wheels do not hang in the air. */
export function besideOf(plan: Plan): BesideParts {
  const { points, standing } = plan.stance;
  const places = placesOf(plan);
  const framed = plan.frame.pieces.length > 0;
  const running: Solid[] = [];
  const seats: Solid[] = [];
  for (const { from, to, as, stays } of findKind(plan.kind)?.outline ?? []) {
    const [a, b] = [points[from], points[to]];
    // Tubes take the place of the frame's own lines.
    if (!a || !b || as === 'axis' || as === 'floor' || (framed && as === 'part' && stays !== true)) continue;
    const wheel = wheelAt(b, plan);
    if (wheel && (as === 'fork' || as === 'part')) running.push(...blades(a, b, wheel.width / 2 + BLADE_OFF));
    else (as === 'seat' ? seats : running).push(rod(a, b, RADIUS[as]));
  }
  for (const { centre, spindle, width } of standing) {
    const out = width / 2 + AXLE_OUT;
    running.push(rod(add(centre, scale(spindle, -out)), add(centre, scale(spindle, out)), RADIUS.axle));
  }
  for (const place of places) {
    running.push(...controls(place, plan));
    seats.push(...seatOf(place));
  }
  return {
    running: running.filter(hasLength),
    seats: seats.filter(hasLength),
  };
}

const hasLength = (solid: Solid) =>
  solid.as !== 'rod' || Math.hypot(...solid.from.map((each, axis) => each - solid.to[axis]!)) > 1e-6;

/** The wheel on the middle of the vehicle whose axle is at a point. */
const wheelAt = (point: Vector, plan: Plan) =>
  plan.stance.standing.find(
    ({ centre }) => Math.abs(centre[1]) < 1 && Math.hypot(centre[0] - point[0], centre[2] - point[2]) < 5,
  );

/** A fork, or a swing-arm: a blade on each side of its wheel, and what joins them away from the axle. */
function blades(crown: Vector, axle: Vector, half: number): Solid[] {
  const out = (point: Vector, side: number): Vector => add(point, [0, side * half, 0]);
  return [
    ...[1, -1].map((side) => rod(out(crown, side), out(axle, side), RADIUS.fork)),
    rod(out(crown, 1), out(crown, -1), RADIUS.fork),
  ];
}

/** What a rider's hands are on. */
function controls(place: RiderPlace, { frame }: Plan): Solid[] {
  const { hands } = place;
  if (hands.on === 'lap') return [];
  const [left, right] = gripsAt(hands, place, 0);
  if (hands.on === 'bars')
    return [rod(left, right, RADIUS.bar), rod(hands.stem, scale(add(left, right), 0.5), RADIUS.bar)];
  if (hands.on === 'sticks')
    return [left, right].map((grip) => rod(grip, add(grip, [0, 0, -hands.pivot]), RADIUS.bar));
  // A column that is a piece of the frame stands for itself.
  const drawn = frame.pieces.some(({ id }) => id === 'steering-column');
  return [
    ...(drawn ? [] : [rod(hands.columnFoot, hands.centre, RADIUS.column)]),
    ...rim(hands.centre, hands.axis, hands.radius),
  ];
}

/** A steering wheel's rim, as rods. */
function rim(centre: Vector, axis: Vector, radius: number): Solid[] {
  // Across the vehicle, and square to that and the column.
  const up = unit([axis[2], 0, -axis[0]]);
  const at = (step: number): Vector => {
    const angle = (2 * Math.PI * step) / RIM;
    return add(add(centre, scale([0, 1, 0], Math.cos(angle) * radius)), scale(up, Math.sin(angle) * radius));
  };
  return Array.from({ length: RIM }, (_, step) => rod(at(step), at(step + 1), RADIUS.bar));
}

/** A saddle or a bench where no line of the outline shows it. */
function seatOf({ seat }: RiderPlace): Solid[] {
  if (seat.as === 'saddle') return [rod(add(seat.at, [-90, 0, 0]), add(seat.at, [130, 0, 0]), RADIUS.saddle)];
  if (seat.as === 'bench')
    return [
      rod(
        add(seat.at, [-seat.length * 0.6, 0, 0]),
        add(seat.at, [seat.length * 0.4, 0, 0]),
        seat.thickness / 2,
      ),
    ];
  return [];
}

/** Lines of the ground are so far apart, mm. */
const SQUARE = 250;

/** A grid on the ground, one square wider all round than what stands on it. */
export function groundLines(points: readonly Vector[]): BufferGeometry {
  const span = (axis: 0 | 1): readonly [number, number] => {
    const values = points.map((point) => point[axis]);
    return [
      Math.floor(Math.min(...values) / SQUARE) * SQUARE,
      Math.ceil(Math.max(...values) / SQUARE) * SQUARE,
    ];
  };
  const [[left, right], [low, high]] = [span(0), span(1)];
  const lines: number[] = [];
  for (let x = left; x <= right; x += SQUARE) lines.push(x, low, 0, x, high, 0);
  for (let y = low; y <= high; y += SQUARE) lines.push(left, y, 0, right, y, 0);
  return new BufferGeometry().setAttribute('position', new BufferAttribute(Float32Array.from(lines), 3));
}
