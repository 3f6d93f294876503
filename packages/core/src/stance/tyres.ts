import { failure, success, type Result } from '../result.js';
import { INCH } from '../units/length.js';

/** A tyre as the stance needs it: mm. */
export interface Tyre {
  readonly width: number;
  readonly beadSeat?: number;
  /** Radius of the unloaded tyre. */
  readonly radius: number;
}

/** One way tyres are marked: how it reads, and the radius it means. */
interface Marking {
  readonly pattern: RegExp;
  readonly read: (numbers: readonly number[]) => Result<Tyre>;
}

const NUMBER = String.raw`(\d+(?:\.\d+)?)`;
const within = (value: number, low: number, high: number): boolean => value >= low && value <= high;

const BICYCLE: Marking = {
  pattern: new RegExp(String.raw`^${NUMBER}\s*[-–—x×/]\s*(\d{3})$`, 'i'),
  read: ([width, beadSeat]) => {
    if (!within(width!, 10, 130))
      return failure(`A tyre ${width} mm wide is outside 10 to 130 mm: is the marking the other way round?`);
    if (!within(beadSeat!, 100, 800))
      return failure(`A bead seat of ${beadSeat} mm is outside 100 to 800 mm.`);
    return success({ width: width!, beadSeat: beadSeat!, radius: (beadSeat! + 2 * width!) / 2 });
  },
};

const MOTOR: Marking = {
  pattern: new RegExp(
    String.raw`^${NUMBER}\s*/\s*${NUMBER}\s*[-–—]?\s*(?:[A-Z]{0,2})\s*[-–—]?\s*${NUMBER}$`,
    'i',
  ),
  read: ([width, aspect, rim]) => {
    if (!within(width!, 40, 400)) return failure(`A motor tyre ${width} mm wide is outside 40 to 400 mm.`);
    if (!within(aspect!, 20, 110)) return failure(`An aspect of ${aspect} % is outside 20 to 110 %.`);
    if (!within(rim!, 4, 30)) return failure(`A rim of ${rim} in is outside 4 to 30 in.`);
    return success({ width: width!, radius: (rim! * INCH + (2 * aspect! * width!) / 100) / 2 });
  },
};

const OFF_ROAD: Marking = {
  pattern: new RegExp(String.raw`^${NUMBER}\s*[x×]\s*${NUMBER}\s*[-–—]\s*${NUMBER}$`, 'i'),
  read: ([diameter, width, rim]) => {
    if (!within(diameter!, 8, 44))
      return failure(`An outer diameter of ${diameter} in is outside 8 to 44 in.`);
    if (rim! >= diameter!)
      return failure('The rim must be smaller than the tyre: diameter x width-rim, in inches.');
    return success({ width: width! * INCH, radius: (diameter! * INCH) / 2 });
  },
};

/**
 * Reads a tyre's marking. Bicycle, ISO 5775 / ETRTO: `37-622`, width and bead seat in mm, the section height taken as the
 * width. Motor: `110/70-17`, width in mm, aspect in %, rim in inches. Kart and off-road: `22x7-10`, outer diameter, width
 * and rim in inches.
 * @returns radius and width in mm, or what is wrong with the text
 */
export function parseTyreMarking(text: string): Result<Tyre> {
  const trimmed = text.trim();
  for (const { pattern, read } of [BICYCLE, MOTOR, OFF_ROAD]) {
    const match = pattern.exec(trimmed);
    if (match) return read(match.slice(1).map(Number));
  }
  return failure(
    `“${trimmed}” is not a tyre marking. Type it as on the tyre’s side: 37-622 on a bicycle, 110/70-17 on a motorcycle, 22x7-10 off the road.`,
  );
}

/** Radius from a roll-out, the distance of one turn on the ground: circumference / 2 pi. */
export const radiusFromRollOut = (circumference: number): number => circumference / (2 * Math.PI);
