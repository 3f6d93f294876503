import type { Stance } from '../../stance/stance.js';
import { along, type Vector } from '../../vector/vector.js';
import type { LinkageSize } from '../linkage.js';
import { handsOf } from './twoTrack.js';

/** A steering column below its wheel: where it begins, and unit vector up it. */
export interface Column {
  readonly top: Vector;
  readonly foot: Vector;
  readonly up: Vector;
}

/** The column of a steering wheel; undefined where the hands are on something else. */
export function columnOf(stance: Stance): Column | undefined {
  const hands = handsOf(stance);
  return hands?.on === 'wheel' ? { top: hands.centre, foot: hands.columnFoot, up: hands.axis } : undefined;
}

/** How far a plate sits above the column's lower end. */
export const PLATE_UP: LinkageSize = {
  id: 'plateUp',
  name: 'Plate above column foot',
  symbol: 'pu',
  limits: [-300, 500],
  mayBeNone: true,
  searched: true,
  meaning: 'Plate up from the lower end of the column, along it; negative where the column is made longer.',
};

export const onColumn = ({ foot, up }: Column, above: number): Vector => along(foot, up, above);

/** Lowest that a plate hangs, above the ground; and how far a column is made longer or shorter for it; mm. Common practice, no source. */
const LOWEST = 70;
const LONGER: readonly [number, number] = [-300, 120];

/** Whether the arms point ahead: the column's foot is ahead of the axle. */
export const pointsAhead = ({ foot }: Column, axle: Vector): boolean => foot[0] > axle[0];

/** The place on the column, counted up from its foot, that stands beside the arms' ends: rods then run straight across. */
export function besideArms({ foot, up }: Column, ahead: number): number {
  const wanted = (ahead - foot[0]) / up[0];
  const lowest = (LOWEST - foot[2]) / up[2];
  return Math.round(Math.min(LONGER[1], Math.max(LONGER[0], lowest, wanted)));
}
