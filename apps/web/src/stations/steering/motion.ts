import { createContext, useContext } from 'react';
import type { Proposal } from '@larchwood/core';

/** How far the wheels are turned on the drawing, what is proposed, and what of it is shown. */
export interface SteeringMotion {
  /** Of the wheel that turns further, degrees to the left. */
  readonly steer: number;
  readonly turnTo: (steer: number) => void;
  readonly proposal: Proposal | undefined;
  readonly propose: (proposal: Proposal | undefined) => void;
}
export const SteeringMotionContext = createContext<SteeringMotion | undefined>(undefined);
export function useSteeringMotion(): SteeringMotion {
  const motion = useContext(SteeringMotionContext);
  if (!motion) throw new Error('useSteeringMotion works at the steering station only.');
  return motion;
}
