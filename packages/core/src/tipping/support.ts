import { polygonHull } from 'd3-polygon';
import type { Contact } from '../mass/loads.js';
import { toDegrees, toRadians } from '../units/angle.js';
import type { Vector } from '../vector/vector.js';

type Spot = readonly [x: number, y: number];

/**
 * The wheels' contacts as a polygon on the ground, anticlockwise from above; a line for two wheels.
 * @param contacts of the wheels with the ground, mm
 */
export function supportOf(contacts: readonly Contact[]): Spot[] {
  const spots = contacts.map(({ at }): [number, number] => [at[0], at[1]]);
  if (spots.length < 3) return spots;
  const hull = polygonHull(spots) ?? spots;
  return area(hull) < 0 ? [...hull].reverse() : hull;
}
const area = (spots: readonly Spot[]): number =>
  spots.reduce((sum, [x, y], index) => {
    const [nx, ny] = spots[(index + 1) % spots.length]!;
    return sum + x * ny - y * nx;
  }, 0);

/**
 * How far the centre of gravity's foot is from the edge of the support in a direction, mm: the line of the force from
 * the centre of gravity passes the edge when it leans by that much over the height. Negative when the foot is already
 * outside that edge. None in directions in which the wheels do not hold it: a two-wheeler sideways.
 * @param direction degrees, 0 forward, 90 to the left
 */
export function roomTo(direction: number, foot: Spot, support: readonly Spot[]): number | undefined {
  const [ux, uy] = [Math.cos(toRadians(direction)), Math.sin(toRadians(direction))];
  if (support.length === 2) {
    if (Math.abs(uy) > 1e-6) return undefined;
    const ends = support.map(([x]) => (x - foot[0]) * ux);
    return Math.max(...ends);
  }
  let room = Infinity;
  support.forEach(([ax, ay], index) => {
    const [bx, by] = support[(index + 1) % support.length]!;
    const size = Math.hypot(bx - ax, by - ay);
    // Outward normal of an edge that runs anticlockwise.
    const [nx, ny] = [(by - ay) / size, -(bx - ax) / size];
    const towards = ux * nx + uy * ny;
    if (towards > 1e-9) room = Math.min(room, ((ax - foot[0]) * nx + (ay - foot[1]) * ny) / towards);
  });
  return room;
}

/**
 * Sideways, fore-and-aft or any acceleration at which a rigid vehicle begins to tip, g.
 * @param direction towards which it tips; degrees, 0 forward, 90 to the left
 * @param cg centre of gravity, mm
 * @param support the polygon of `supportOf`
 * @returns undefined where it stands on too little to tip over in that direction. Source: statics, moments about each edge
 */
export function tipLimit(direction: number, cg: Vector, support: readonly Spot[]): number | undefined {
  const room = roomTo(direction, [cg[0], cg[1]], support);
  return room === undefined ? undefined : room / cg[2];
}

/** Over which edge a vehicle falls whose centre of gravity stands outside its wheels, degrees from forward; undefined when it stands. */
export function falls(cg: Vector, support: readonly Spot[]): number | undefined {
  const directions = support.length === 2 ? [0, 180] : Array.from({ length: 72 }, (_, index) => index * 5);
  const rooms = directions.map((direction) => ({
    direction,
    room: roomTo(direction, [cg[0], cg[1]], support) ?? Infinity,
  }));
  const worst = rooms.reduce((least, each) => (each.room < least.room ? each : least));
  if (worst.room >= 0) return undefined;
  // Square to the edge that it is furthest beyond.
  let beyond = { by: 0, direction: worst.direction };
  support.forEach(([ax, ay], index) => {
    const [bx, by] = support[(index + 1) % support.length]!;
    const size = Math.hypot(bx - ax, by - ay);
    const [nx, ny] = [(by - ay) / size, -(bx - ax) / size];
    const out = (cg[0] - ax) * nx + (cg[1] - ay) * ny;
    if (support.length > 2 && out > beyond.by) beyond = { by: out, direction: toDegrees(Math.atan2(ny, nx)) };
  });
  return beyond.direction;
}
