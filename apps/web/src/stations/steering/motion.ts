import { createContext, useContext } from 'react';
import type { Proposal } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

/** What a search came to, and of which document; no proposal where nothing better was found. */
export interface Found {
  readonly of: BuildDocument;
  readonly proposal: Proposal | undefined;
}
/** How far the wheels are turned on the drawing, and what is proposed for the linkage as it is. */
export interface SteeringMotion {
  /** Of the wheel that turns further, degrees to the left. */
  readonly steer: number;
  readonly turnTo: (steer: number) => void;
  readonly found: Found | undefined;
  readonly propose: (found: Found | undefined) => void;
}
export const SteeringMotionContext = createContext<SteeringMotion | undefined>(undefined);
export function useSteeringMotion(): SteeringMotion {
  const motion = useContext(SteeringMotionContext);
  if (!motion) throw new Error('useSteeringMotion works at the steering station only.');
  return motion;
}

/** What was found stands for the linkage that it was found for. */
export const standsFor = ({ of }: Found, { steering, stance, wheels, seat }: BuildDocument): boolean =>
  of.steering === steering && of.stance === stance && of.wheels === wheels && of.seat === seat;
