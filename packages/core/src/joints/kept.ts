import { WALL_LINES } from '../frame/outline.js';
import type { Lines } from './lines.js';
import type { Straight } from './surfaces.js';

/** Where each line meets the surface that is cast at, and how far along the host that is; NaN where it does not. */
export const met = new Float64Array(WALL_LINES);
export const station = new Float64Array(WALL_LINES);
/** 1 where a line does not meet the surface, but passes it by no more than counts as flush. */
export const passed = new Uint8Array(WALL_LINES);

/** Keeps what each line met, if the surface is there, or carried on there, and nothing nearer was met before. */
export function keep(
  { count, behind, real, flush, beyond }: Lines,
  { length, openStart, openEnd }: Straight,
): void {
  for (let line = 0; line < count; line += 1) {
    const at = met[line]!;
    if (!(at >= behind)) continue;
    const along = station[line]!;
    if (along < -1e-9) {
      if (openStart && at < beyond[line]!) beyond[line] = at;
    } else if (along > length + 1e-9) {
      if (openEnd && at < beyond[line]!) beyond[line] = at;
    } else if (passed[line] === 1) {
      if (at < flush[line]!) flush[line] = at;
    } else if (at < real[line]!) real[line] = at;
  }
}
