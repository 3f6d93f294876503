import { getOC, type Shape3D } from 'replicad';
import type { Vector } from '@larchwood/core';
import { solidsIn, volumeOf } from './shapes.js';

/** A box along the axes: its two corners, mm. */
export interface Box {
  readonly low: Vector;
  readonly high: Vector;
}

/** What a finished solid must be. */
export interface Meant {
  /** Least and most volume, mm3. */
  readonly volume: readonly [least: number, most: number];
  /** What it stands in, where that is known. */
  readonly box?: Box;
  /** How far each side of its box may be off, mm. */
  readonly boxOff?: number;
}

/** Whether a shape is what was meant: one closed solid of sound surfaces, its volume and its box. */
export function isSound(shape: Shape3D, { volume: [least, most], box, boxOff = 0.1 }: Meant): boolean {
  const solids = solidsIn(shape);
  if (solids.length !== 1 || !isClosed(shape)) return false;
  const volume = volumeOf(shape);
  if (!(volume >= least && volume <= most)) return false;
  if (!box) return true;
  const own = boxOf(shape);
  return ([0, 1, 2] as const).every(
    (axis) =>
      Math.abs(own.low[axis] - box.low[axis]) <= boxOff &&
      Math.abs(own.high[axis] - box.high[axis]) <= boxOff,
  );
}

/** Whether its faces close and meet as they should; the modeller's own check, which looks for open and crossed edges. */
function isClosed(shape: Shape3D): boolean {
  const check = new (getOC().BRepCheck_Analyzer)(shape.wrapped, true, false, false);
  const valid = check.IsValid();
  check.delete();
  return valid;
}

/** What a shape stands in, by its surfaces and not by their tolerances. */
export function boxOf(shape: Shape3D): Box {
  const oc = getOC();
  const bounds = new oc.Bnd_Box();
  oc.BRepBndLib.AddOptimal(shape.wrapped, bounds, false, false);
  const box: Box = {
    low: [bounds.GetXMin(), bounds.GetYMin(), bounds.GetZMin()],
    high: [bounds.GetXMax(), bounds.GetYMax(), bounds.GetZMax()],
  };
  bounds.delete();
  return box;
}

/** What points stand in. @param positions x, y, z of each in turn */
export function boxAround(positions: ArrayLike<number>): Box {
  const low: [number, number, number] = [Infinity, Infinity, Infinity];
  const high: [number, number, number] = [-Infinity, -Infinity, -Infinity];
  for (let index = 0; index < positions.length; index += 1) {
    const axis = (index % 3) as 0 | 1 | 2;
    low[axis] = Math.min(low[axis], positions[index]!);
    high[axis] = Math.max(high[axis], positions[index]!);
  }
  return { low, high };
}
