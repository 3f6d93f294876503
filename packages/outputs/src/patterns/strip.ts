import { WALL_LINES, type EndCut, type LengthDisplay, type PieceCut } from '@larchwood/core';
import { path, type Drawing, type Mark } from '../drawing.js';
import { arrow, cornerMarks, edgeMarks, quarterMarks, slotMarks, valueAt } from './stripMarks.js';
import { joinedWords, words } from './stripWords.js';

/** The paper wrap of one end of one piece, printed side out, cut edge up. */
export interface Strip extends Drawing {
  readonly id: string;
  readonly mark: string;
  readonly title: string;
  /** Length of paper round the tube: pi x (diameter + paper thickness). */
  readonly girth: number;
  /** Where the strip's left edge lies round the tube, degrees from the match line. */
  readonly seam: number;
  /** Square base line below the cutter centre, a whole number of mm. */
  readonly base: number;
}

const SLEEVE = 27; // paper below the throat, mm: room to glue, and for the words
const TAB = 6;
const TOP = 3;
const KEEP_SEAM_OFF = 25;

/** Room below a joined strip's lower edge for nothing but itself, mm; and how tall a strip may be to carry both ends. */
const JOINED_AT_MOST = 235;

/**
 * The wraps of a piece: one that carries both cut edges, placed to each other by the match line, where the piece is straight
 * and short enough for a sheet; else one for each end.
 */
export function stripsOf(
  cut: PieceCut,
  paperThickness: number,
  display: LengthDisplay,
  /** One for each end in any case, for a sheet that does not hold both on one. */
  separate = false,
): readonly Strip[] {
  const [start, end] = cut.ends;
  const height = cut.betweenCentres + start.edge.longest.at + end.edge.longest.at;
  const room = cut.betweenCentres + start.edge.shortest.at + end.edge.shortest.at;
  const straight = !start.bent && !end.bent;
  if (!separate && straight && height <= JOINED_AT_MOST && room >= JOINED_ROOM && sameOutline(start, end))
    return [joinedStrip(cut, paperThickness, display)];
  const bases = cut.ends.map((each) => Math.ceil(SLEEVE + (each.slot?.depth ?? 0) - each.edge.shortest.at));
  const apart = cut.betweenCentres - bases[0]! - bases[1]!;
  return cut.ends.map((each, index) => strip(cut, each, bases[index]!, apart, paperThickness, display));
}
/** Words need so much between the two throats, mm. */
const JOINED_ROOM = 30;

const sameOutline = (a: EndCut, b: EndCut): boolean =>
  Math.abs(a.outline.perimeter - b.outline.perimeter) < 1e-6;

/** Way round the paper of a wall line from the strip's left edge, where the line may lie between two sampled ones. */
function around({ outline }: EndCut, seam: number, girth: number): (line: number) => number {
  const place = (line: number): number => {
    const whole = ((line % WALL_LINES) + WALL_LINES) % WALL_LINES;
    const low = Math.floor(whole);
    const [a, b] = [outline.developed[low]!, outline.developed[low + 1]!];
    return ((a + (b - a) * (whole - low)) / outline.perimeter) * girth;
  };
  const from = place(seam);
  return (line) => (place(line) - from + girth) % girth;
}

const girthOf = ({ outline }: EndCut, paperThickness: number): number =>
  outline.perimeter + Math.PI * paperThickness;

function strip(
  cut: PieceCut,
  end: EndCut,
  base: number,
  apart: number,
  paperThickness: number,
  display: LengthDisplay,
): Strip {
  const girth = girthOf(end, paperThickness);
  const seam = seamOf(end);
  const longest = end.edge.longest.at;
  const height = TOP + longest + base;
  const x = around(end, seam, girth);
  const y = (at: number): number => TOP + longest - at;
  const foot = y(-base);
  const seamY = y(valueAt(end, seam));
  const marks: Mark[] = [
    ...edgeMarks(end, seam, girth, x, y),
    path('cut', [
      [0, seamY],
      [0, foot],
      [girth, foot],
      [girth, seamY],
    ]),
    path('fold', [
      [girth, seamY + 2],
      [girth + TAB, seamY + 4],
      [girth + TAB, foot - 2],
      [girth, foot],
    ]),
    ...quarterMarks(end, x, foot, y, girth),
    ...cornerMarks(end, x, y, foot),
    ...slotMarks(end, x, y, girth, paperThickness),
    ...words(cut, end, girth, foot, apart, display, x(0)),
  ];
  return {
    id: `${cut.piece}/${end.end}`,
    mark: cut.mark,
    title: `${cut.mark} ${cut.name}`,
    width: girth + TAB,
    height: height + 1,
    marks,
    girth,
    seam,
    base,
  };
}

/** Both cut edges on one wrap: the second end's up, the first end's down, their match lines one line. */
function joinedStrip(cut: PieceCut, paperThickness: number, display: LengthDisplay): Strip {
  const [start, end] = cut.ends;
  const girth = girthOf(end, paperThickness);
  const seam = seamOf(end, start);
  const x = around(end, seam, girth);
  const turned = (line: number): number => x(WALL_LINES - line);
  const top = end.edge.longest.at;
  const y = (at: number): number => TOP + top - at;
  const low = (at: number): number => TOP + top + cut.betweenCentres + at;
  const startSeam = WALL_LINES - seam;
  const middle = TOP + top + (cut.betweenCentres + start.edge.shortest.at - end.edge.shortest.at) / 2;
  const marks: Mark[] = [
    ...edgeMarks(end, seam, girth, x, y),
    ...edgeMarks(start, startSeam, girth, turned, low, true),
    path('cut', [
      [0, y(valueAt(end, seam))],
      [0, low(valueAt(start, startSeam))],
    ]),
    path('cut', [
      [girth, y(valueAt(end, seam))],
      [girth, low(valueAt(start, startSeam))],
    ]),
    path('fold', [
      [girth, y(valueAt(end, seam)) + 2],
      [girth + TAB, y(valueAt(end, seam)) + 4],
      [girth + TAB, low(valueAt(start, startSeam)) - 4],
      [girth, low(valueAt(start, startSeam)) - 2],
    ]),
    path('match', [
      [x(0), y(valueAt(end, 0))],
      [x(0), low(valueAt(start, 0))],
    ]),
    ...arrow(end, x, y, girth, 1),
    ...arrow(start, turned, low, girth, -1),
    ...slotMarks(end, x, y, girth, paperThickness),
    ...slotMarks(start, turned, low, girth, paperThickness, -1),
    ...joinedWords(cut, girth, middle, display, x(0)),
  ];
  return {
    id: cut.piece,
    mark: cut.mark,
    title: `${cut.mark} ${cut.name}`,
    width: girth + TAB,
    height: TOP + top + cut.betweenCentres + start.edge.longest.at + 1,
    marks,
    girth,
    seam,
    base: cut.betweenCentres,
  };
}

/** The seam goes where the edge is flattest, away from the match line, the acute side and a slot: there a slip does least harm. */
function seamOf(end: EndCut, other?: EndCut): number {
  const marked = [
    0,
    end.matchAngle,
    ...(end.slotAngle === undefined ? [] : [end.slotAngle, end.slotAngle + 180]),
    ...(other ? [-other.matchAngle] : []),
    ...(other?.slotAngle === undefined ? [] : [-other.slotAngle, 180 - other.slotAngle]),
  ];
  const away = (degrees: number, mark: number) => Math.abs(((((degrees - mark) % 360) + 540) % 360) - 180);
  let best = 180;
  let least = Infinity;
  for (let degrees = 0; degrees < WALL_LINES; degrees += 1) {
    const slope = Math.abs(valueAt(end, degrees + 1) - valueAt(end, degrees - 1));
    const crowding = marked.some((mark) => away(degrees, mark) < KEEP_SEAM_OFF) ? 100 : 0;
    const height = (valueAt(end, degrees) - end.edge.shortest.at) / (end.depth + 1);
    const score = slope + crowding + height * 0.02;
    if (score < least) [least, best] = [score, degrees];
  }
  return best;
}
