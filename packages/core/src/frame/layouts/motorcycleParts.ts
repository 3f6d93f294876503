import { headTube } from './bicycleParts.js';
import { capped, coped, plain, slotted } from './layout.js';
import type { Sketch } from './sketch.js';

/** Parts that the motorcycle frames share. Sizes [common practice, from memory]; mm. */
export const HEAD = 'round-60.3x2.6';
/** Where two tubes of a pair meet the head tube: off the middle, so that they clear each other and its sides. */
export const BESIDE = { of28: 14.9, of25: 14.2 } as const;
export const PLATE = 6;

/** Steering head, and the swing-arm's pivot tube between its two plates. */
export function headAndPivot(s: Sketch, halfWidth: number, section = 'round-48.3x2.6'): void {
  headTube(s, HEAD, 'main');
  const end = s.onStance('pivotEnd', 'Pivot tube, left end', 'pivot', [0, halfWidth + 10, 0]);
  s.onStance('pivotMiddle', 'Pivot', 'pivot');
  s.tube('pivotTube', 'Pivot tube', [end, s.other(end)], section, {
    start: plain(),
    end: plain(),
    material: 'dom-1020',
    group: 'main',
  });
}

/** A plate at each side of the pivot, from a foot to a head given from the pivot. */
export function pivotPlates(
  s: Sketch,
  halfWidth: number,
  outline: readonly (readonly [number, number])[],
  bore = 48.5,
): void {
  const at = s.onStance('pivotPlateAt', 'Pivot plate', 'pivot', [0, halfWidth, 0]);
  s.plate('pivotPlates', 'Pivot plate', at, PLATE, outline, {
    mirrored: true,
    holes: [{ at: [0, 0], diameter: bore }],
    group: 'plates',
  });
}

interface SeatFrame {
  /** Node at the front of a seat rail, left. */
  readonly front: string;
  readonly frontEnd: ReturnType<typeof coped>;
  readonly halfWidth: number;
  /** Where the struts meet the pivot plate, from the pivot. */
  readonly strut: readonly [number, number];
}

/** Seat rails with a bend to their width, a cross tube behind, and struts down to the pivot plates. */
export function seatFrame(s: Sketch, { front, frontEnd, halfWidth, strut }: SeatFrame): void {
  const seat = s.point('seat');
  const [x, , z] = s.at(front);
  const rearX = Math.min(seat[0] - 200, 120);
  const high = seat[2] - 40;
  const corner = s.beside('seatRailCorner', 'Seat rail, corner', 'seat', [
    x - (x - seat[0]) * 0.55,
    halfWidth,
    z + (high - z) * 0.75,
  ]);
  const end = s.beside('seatRailEnd', 'Seat rail, end', 'seat', [rearX, halfWidth, high + 10]);
  s.tube('seatRails', 'Seat rail', [front, end], 'round-22x1.6', {
    start: frontEnd,
    end: capped(2),
    bends: [[corner, 110]],
    mirrored: true,
    group: 'seat',
  });
  const cross = s.onMember('seatCrossAt', 'Seat cross tube', 'seatRails', 'end', 60);
  s.tube('seatCross', 'Seat cross tube', [cross, s.other(cross)], 'round-22x1.6', {
    start: coped('seatRails:left'),
    end: coped('seatRails:right'),
    group: 'seat',
  });
  const top = s.onMember('seatStrutTop', 'Seat strut at the rail', 'seatRails', 'end', 150);
  const foot = s.onStance('seatStrutFoot', 'Seat strut at the pivot plate', 'pivot', [
    strut[0],
    halfWidth,
    strut[1],
  ]);
  s.tube('seatStruts', 'Seat strut', [foot, top], 'round-22x1.6', {
    start: slotted(14, PLATE, 30),
    end: coped('seatRails'),
    mirrored: true,
    group: 'seat',
  });
}
