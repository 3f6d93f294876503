import { failure, success, type Result } from '../result.js';

/** A tyre as the stance needs it: mm. */
export interface Tyre {
  readonly width: number;
  readonly beadSeat?: number;
  /** Radius of the unloaded tyre. */
  readonly radius: number;
}

/** Bead-seat diameters in mm with the trade's names. Source: ISO 5775 / ETRTO; trade names are common practice. */
export const BEAD_SEATS: readonly { readonly diameter: number; readonly names: string }[] = [
  { diameter: 622, names: '700C, 29 in' },
  { diameter: 584, names: '650B, 27.5 in' },
  { diameter: 559, names: '26 in' },
  { diameter: 507, names: '24 in' },
  { diameter: 451, names: '20 in (1 1/8)' },
  { diameter: 406, names: '20 in' },
  { diameter: 349, names: '16 in (1 3/8)' },
  { diameter: 305, names: '16 in' },
  { diameter: 203, names: '12 1/2 in' },
];

/** Tyre markings offered for picking; any other can be typed. Common practice, no source. */
export const TYRE_MARKINGS: readonly string[] = [
  '25-622',
  '28-622',
  '32-622',
  '37-622',
  '42-622',
  '50-622',
  '57-622',
  '42-584',
  '47-584',
  '57-584',
  '37-559',
  '47-559',
  '50-559',
  '57-559',
  '47-507',
  '28-451',
  '35-451',
  '40-406',
  '47-406',
  '50-406',
  '35-349',
  '37-349',
  '47-305',
  '54-305',
  '47-203',
];

/**
 * Reads an ISO 5775 / ETRTO marking, width and bead seat in mm: `37-622`, `37 x 622`, `37/622`.
 * For bicycle tyres the section height is taken as the width: radius = (bead seat + 2 x width) / 2.
 */
export function parseTyreMarking(text: string): Result<Tyre> {
  const match = /^\s*(\d{2,3}(?:\.\d+)?)\s*[-–—x×/]\s*(\d{3})\s*$/i.exec(text);
  if (!match) {
    return failure(
      `“${text.trim()}” is not a tyre marking. Type width and bead seat in mm as on the tyre's side, such as 37-622.`,
    );
  }
  const width = Number(match[1]);
  const beadSeat = Number(match[2]);
  if (width < 10 || width > 130)
    return failure(`A tyre ${width} mm wide is outside 10 to 130 mm: is the marking the other way round?`);
  if (beadSeat < 100 || beadSeat > 800)
    return failure(`A bead seat of ${beadSeat} mm is outside 100 to 800 mm.`);
  return success({ width, beadSeat, radius: (beadSeat + 2 * width) / 2 });
}

/** Radius from a roll-out, the distance of one turn on the ground: circumference / 2 pi. */
export const radiusFromRollOut = (circumference: number): number => circumference / (2 * Math.PI);
