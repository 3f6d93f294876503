import type { Vector } from '../vector/vector.js';
import type { Compression, Kind, Points, StandingWheel, State } from './dimension.js';
import { levelled } from './pitch.js';

/** The vehicle at another height of its springs, standing on its tyres. */
export interface Posture {
  /** Degrees, nose up against ride height. */
  readonly pitch: number;
  readonly points: Points;
  readonly wheels: readonly StandingWheel[];
}

/**
 * Moves the wheels by their compression and stands the frame on them again.
 * @param state solved at the design position, mm and degrees
 * @param compression of each end from there, mm; negative where it stretches
 */
export function postureOf(kind: Kind, state: State, compression: Compression): Posture {
  const { front, rear } = kind.axles(state, compression);
  const ride = kind.axles(state, { front: 0, rear: 0 });
  const { pitch, place } = levelled(rear, state.rearRadius!, front, state.frontRadius!);
  const shift = {
    front: { x: front.x - ride.front.x, z: front.z - ride.front.z },
    rear: { x: rear.x - ride.rear.x, z: rear.z - ride.rear.z },
  };
  const unsprung = kind.unsprung;
  const at = (point: Vector, end: 'front' | 'rear' | undefined): Vector => {
    const by = end ? shift[end] : { x: 0, z: 0 };
    const { x, z } = place({ x: point[0] + by.x, z: point[2] + by.z });
    return [x, point[1], z];
  };
  const points = Object.entries(kind.points(state)).map(
    ([name, point]) => [name, at(point, unsprung[name])] as const,
  );
  return {
    pitch,
    points: Object.fromEntries(points),
    wheels: kind.wheels(state).map((wheel) => ({ ...wheel, centre: at(wheel.centre, wheel.end) })),
  };
}
