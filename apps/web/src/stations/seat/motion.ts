import { createContext, useContext } from 'react';
import type { Clearance, Pose } from '@larchwood/core';

/** How pedals, steering and travel stand on the seat's drawings, and the gap that is shown there. */
export interface Shown {
  readonly pose: Pose;
  readonly gap: Clearance | undefined;
}
export interface MotionControl extends Shown {
  readonly move: (pose: Partial<Pose>) => void;
  readonly show: (gap: Clearance | undefined) => void;
}
export const MotionContext = createContext<MotionControl | undefined>(undefined);
export function useMotion(): MotionControl {
  const motion = useContext(MotionContext);
  if (!motion) throw new Error('useMotion works at the seat station only.');
  return motion;
}
