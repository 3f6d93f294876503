import { toDegrees } from '../units/angle.js';
import type { Place } from './dimension.js';

export interface Levelled {
  /** Degrees, nose up. */
  readonly pitch: number;
  /** Where a point of the frame comes to lie: x from the rear contact, z from the ground. */
  readonly place: (point: Place) => Place;
}

/**
 * Stands a rigid frame on level ground by its two wheels: the common tangent below two circles is turned level.
 * Source: plane geometry.
 */
export function levelled(rear: Place, rearRadius: number, front: Place, frontRadius: number): Levelled {
  const span = Math.hypot(front.x - rear.x, front.z - rear.z);
  const pitch = Math.asin((frontRadius - rearRadius) / span) - Math.atan2(front.z - rear.z, front.x - rear.x);
  const [cosine, sine] = [Math.cos(pitch), Math.sin(pitch)];
  const turned = ({ x, z }: Place): Place => ({ x: x * cosine - z * sine, z: x * sine + z * cosine });
  const origin = turned(rear);
  return {
    pitch: toDegrees(pitch),
    place: (point) => {
      const { x, z } = turned(point);
      return { x: x - origin.x, z: z - origin.z + rearRadius };
    },
  };
}
