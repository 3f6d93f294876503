import {
  formatLength,
  INCH,
  WALL_LINES,
  type EndCut,
  type LengthDisplay,
  type PieceCut,
} from '@larchwood/core';
import { label, path, placed, type Drawing, type Mark, type Point } from '../drawing.js';
import { BELOW, CAPITAL, LEAST_SIZE, textWidth } from '../text/measure.js';
import {
  arrow,
  cornerMarks,
  edgeMarks,
  quarterMarks,
  slotMarks,
  valueAt,
  type LaidEnd,
} from './stripMarks.js';
import { bothSentences, endSentences, wordMarks, wordsHeight, type WordRoom } from './stripWords.js';
import { wrapOf, type Wrap } from './wrap.js';

/** The paper wrap of one end of one piece, or of both, printed side out, cut edge up. */
export interface Strip extends Drawing {
  readonly id: string;
  readonly mark: string;
  readonly title: string;
  /** Length of paper round the tube: pi x (diameter + paper thickness). */
  readonly girth: number;
  /** Where the strip's left edge lies round the tube, wall lines from the match line. */
  readonly seam: number;
  /** Square base line below the cutter centre. */
  readonly base: number;
}
export interface StripOptions {
  readonly paperThickness: number;
  readonly display: LengthDisplay;
  /** One for each end in any case, for a sheet that does not hold both on one. */
  readonly separate?: boolean;
  /** Also of ends that are cut square and need no paper. */
  readonly square?: boolean;
}

/** Paper below the throat, mm: room to glue. */
const SLEEVE = 24;
const TAB = 6;
const TOP = 3;
const KEEP_SEAM_OFF = 25;
/** Words keep off the match line and the paper's edges; mm. */
const OFF_MATCH = 2.6;
const OFF_LEFT_OF_MATCH = 5;
const OFF_EDGE = 1.5;

/** How tall a strip may be to carry both ends, and the room that its words need between the two throats; mm. */
const JOINED_AT_MOST = 235;
const JOINED_ROOM = 30;

/** An end that a saw cuts square: paper tells nothing about it. */
export const isSquare = ({ edge, cut }: EndCut): boolean =>
  cut !== 'slotted' && edge.longest.at - edge.shortest.at < 0.05 && edge.missed === 0;

/**
 * The wraps of a piece: one that carries both cut edges, placed to each other by the match line, where the piece is straight
 * and short enough for a sheet; else one for each end. Ends that are cut square have none, unless they are asked for.
 */
export function stripsOf(cut: PieceCut, options: StripOptions): readonly Strip[] {
  const { separate = false, square = false } = options;
  const [start, end] = cut.ends;
  const wanted = cut.ends.filter((each) => square || !isSquare(each));
  const height = cut.betweenCentres + start.edge.longest.at + end.edge.longest.at;
  const room = cut.betweenCentres + start.edge.shortest.at + end.edge.shortest.at;
  const straight = !start.bent && !end.bent;
  const even = !start.growth && !end.growth && sameOutline(start, end);
  if (!separate && wanted.length === 2 && straight && even && height <= JOINED_AT_MOST && room >= JOINED_ROOM)
    return [joinedStrip(cut, options)];
  return endStrips(cut, wanted, options);
}

const sameOutline = (a: EndCut, b: EndCut): boolean =>
  Math.abs(a.outline.perimeter - b.outline.perimeter) < 1e-6;

/** What a tape reads: whole millimetres, or sixteenths. */
const tapeMark = ({ length }: LengthDisplay): number => (length === 'mm' ? 1 : INCH / 16);

/** One wrap for each of the wanted ends; their square edges stand a whole reading of the tape apart. */
function endStrips(cut: PieceCut, wanted: readonly EndCut[], options: StripOptions): Strip[] {
  const { display } = options;
  const mark = tapeMark(display);
  const laid = wanted.map((end) => {
    const seam = seamOf(end);
    const wrap = wrapOf(end, seam, options.paperThickness);
    const least = leastBase(cut, end, seam, wrap, display);
    return { end, seam, wrap, least };
  });
  const [first, second] = laid;
  if (!first) return [];
  const round = first.end.bent ? ', round the bends' : '';
  const say = (mm: number) => formatLength(mm, display);
  if (!second) {
    // The other end is a plain square cut: what is told is how far off it is.
    const other = cut.ends.find((each) => each !== first.end)!;
    const whole = cut.betweenCentres + other.edge.longest.at;
    const apart = Math.floor((whole - first.least) / mark) * mark;
    // On a piece that is shorter than the paper would be, paper and piece end together.
    if (apart < mark) return [stripOf(cut, first, whole, 'this edge lies on the square end', options)];
    const base = whole - apart;
    return [stripOf(cut, first, base, `this edge to the square end${round}: ${say(apart)}`, options)];
  }
  const apart = Math.floor((cut.betweenCentres - first.least - second.least) / mark) * mark;
  const spare = cut.betweenCentres - first.least - second.least - apart;
  return [
    stripOf(cut, first, first.least, `this edge to the other${round}: ${say(apart)}`, options),
    stripOf(cut, second, second.least + spare, `this edge to the other${round}: ${say(apart)}`, options),
  ];
}

/** Sides of the match line on which there is room for words: the wider one. */
function wordSide(matchX: number, girth: number): { readonly left: number; readonly right: number } {
  return girth - matchX >= matchX
    ? { left: matchX + OFF_MATCH + (isWordLeft(matchX) ? 0 : MATCH_WORD), right: girth - OFF_EDGE }
    : { left: OFF_EDGE, right: matchX - OFF_LEFT_OF_MATCH };
}

/** The same, clear of an arrow that stands close by the match line. */
function besideArrow(side: ReturnType<typeof wordSide>, arrowX: number | undefined) {
  if (arrowX === undefined || arrowX < side.left - OFF_ARROW || arrowX > side.right + OFF_ARROW) return side;
  if (arrowX - side.left < NEAR_SIDE) return { ...side, left: Math.max(side.left, arrowX + OFF_ARROW) };
  if (side.right - arrowX < NEAR_SIDE) return { ...side, right: Math.min(side.right, arrowX - OFF_ARROW) };
  return side;
}
/** Half of an arrow and the room beside it; and how near to the words' side it takes room from them; mm. */
const OFF_ARROW = 2;
const NEAR_SIDE = 5;

/** The square edge lies so far below the cutter centre at least that there is room to glue, and for the words. */
function leastBase(cut: PieceCut, end: EndCut, seam: number, wrap: Wrap, display: LengthDisplay): number {
  const { left, right } = wordSide(wrap.wayOf(0) * wrap.girth, wrap.girth);
  const words = endSentences(cut, end, 'this edge to the other, round the bends: 0000 mm', display);
  const tall = Math.min(MOST_WORDS, wordsHeight(words, right - left)) + 2 * OFF_EDGE;
  return Math.ceil(Math.max(SLEEVE, tall) + (end.slot?.depth ?? 0) - end.edge.shortest.at);
}
/** A thin tube's words are cut short at this height, mm. */
const MOST_WORDS = 46;

interface Started {
  readonly end: EndCut;
  readonly seam: number;
  readonly wrap: Wrap;
}

function stripOf(
  cut: PieceCut,
  { end, seam, wrap }: Started,
  base: number,
  apart: string,
  { paperThickness, display }: StripOptions,
): Strip {
  const { girth } = wrap;
  const on = (line: number, at: number): Point => wrap.on(wrap.wayOf(line), at);
  const laid: LaidEnd = { end, seam, sense: 1, wrap, on };
  const seamAt = valueAt(end, seam);
  const foot = Array.from({ length: end.growth ? 25 : 2 }, (_, step, all = end.growth ? 24 : 1) =>
    wrap.on(step / all, -base),
  );
  const tab = wrap.on(1, seamAt);
  const tabFoot = wrap.on(1, -base);
  const lines: Mark[] = [
    ...edgeMarks(laid, wrap.on),
    path('cut', [wrap.on(0, seamAt), ...foot, tab]),
    path('fold', [
      [tab[0], tab[1] + 2],
      [tab[0] + TAB, tab[1] + 4],
      [tabFoot[0] + TAB, tabFoot[1] - 2],
      tabFoot,
    ]),
    path('match', [on(0, valueAt(end, 0)), on(0, -base)]),
    ...quarterMarks(laid, -base),
    ...arrow(laid),
    ...cornerMarks(laid, -base),
    ...slotMarks(laid, paperThickness),
  ];
  const [matchX] = on(0, -base);
  const [leftX] = wrap.on(0, -base);
  const arrowX = end.cut === 'coped' ? on(end.matchAngle, -base)[0] : undefined;
  const side = besideArrow(
    wordSide(matchX - leftX, girth),
    arrowX === undefined ? undefined : arrowX - leftX,
  );
  // A ring's lower edge hangs through between its ends.
  const hang = Math.abs(wrap.on(0.5, -base)[1] - wrap.on(0, -base)[1]);
  const throat = -end.edge.shortest.at + (end.slot?.depth ?? 0);
  const room: WordRoom = {
    left: leftX + side.left,
    right: leftX + side.right,
    top: throat + OFF_EDGE + hang,
    bottom: base - 2.6 - hang,
  };
  const words = wordMarks(cut.mark, endSentences(cut, end, apart, display), room);
  const match = matchWord({ at: matchX, edge: leftX, top: -valueAt(end, 0), bottom: base - 4 });
  return finished(cut, `${cut.piece}/${end.end}`, [...lines, ...words, ...match], {
    girth,
    seam,
    base,
  });
}

/** What `match` takes across, with a hair of white beside the line; mm. */
const MATCH_WORD = 1 + (CAPITAL + BELOW) * LEAST_SIZE;
/** Whether it has room on the left of its line, so far from the paper's edge. */
const isWordLeft = (matchX: number): boolean => matchX >= MATCH_WORD + 0.5;

/**
 * `match`, along its line: on the left of it, on the right where the paper ends there; ending at a height. None where the
 * wrap is too short for it.
 */
function matchWord(line: Readonly<Record<'at' | 'edge' | 'top' | 'bottom', number>>): Mark[] {
  if (line.bottom - textWidth('match', LEAST_SIZE) < line.top + 0.5) return [];
  const x = isWordLeft(line.at - line.edge)
    ? line.at - 1 - CAPITAL * LEAST_SIZE
    : line.at + 1 + BELOW * LEAST_SIZE;
  return [label([x, line.bottom], LEAST_SIZE, 'match', { turned: true, anchor: 'end' })];
}

/** Both cut edges on one wrap: the second end's up, the first end's down, their match lines one line. */
function joinedStrip(cut: PieceCut, { paperThickness, display }: StripOptions): Strip {
  const [start, end] = cut.ends;
  const seam = seamOf(end, start);
  const wrap = wrapOf(end, seam, paperThickness);
  const { girth } = wrap;
  const low = cut.betweenCentres;
  const startSeam = WALL_LINES - seam;
  const up: LaidEnd = { end, seam, sense: 1, wrap, on: (line, at) => wrap.on(wrap.wayOf(line), at) };
  // The first end's lines run the other way round, and it looks down.
  const down: LaidEnd = {
    end: start,
    seam: startSeam,
    sense: -1,
    wrap,
    on: (line, at) => wrap.on(wrap.wayOf(-line), -low - at),
  };
  const sides = [0, 1].map((way) =>
    path('cut', [wrap.on(way, valueAt(end, seam)), wrap.on(way, -low - valueAt(start, startSeam))]),
  );
  const [tabTop, tabFoot] = [wrap.on(1, valueAt(end, seam)), wrap.on(1, -low - valueAt(start, startSeam))];
  const marks: Mark[] = [
    ...edgeMarks(up, wrap.on),
    ...edgeMarks(down, (way, at) => wrap.on(way, -low - at)),
    ...sides,
    path('fold', [
      [tabTop[0], tabTop[1] + 2],
      [tabTop[0] + TAB, tabTop[1] + 4],
      [tabFoot[0] + TAB, tabFoot[1] - 4],
      [tabFoot[0], tabFoot[1] - 2],
    ]),
    path('match', [up.on(0, valueAt(end, 0)), down.on(0, valueAt(start, 0))]),
    ...quarterMarks(up),
    ...quarterMarks(down),
    ...arrow(up),
    ...arrow(down),
    ...cornerMarks(up, -low - valueAt(start, 45)),
    ...slotMarks(up, paperThickness),
    ...slotMarks(down, paperThickness),
  ];
  const [matchX] = up.on(0, 0);
  const side = wordSide(matchX, girth);
  const sentences = bothSentences(cut, display);
  const [top, bottom] = [
    -end.edge.shortest.at + (end.slot?.depth ?? 0) + OFF_EDGE,
    low + start.edge.shortest.at - (start.slot?.depth ?? 0) - OFF_EDGE,
  ];
  const tall = wordsHeight(sentences, side.right - side.left);
  const from = Math.max(top, (top + bottom - tall) / 2);
  const words = wordMarks(cut.mark, sentences, { ...side, top: from, bottom });
  const match = matchWord({
    ...{ at: matchX, edge: 0, top: -valueAt(end, 0) },
    bottom: Math.min((top + bottom) / 2 + 12, low + valueAt(start, 0) - 0.5),
  });
  return finished(cut, cut.piece, [...marks, ...words, ...match], {
    girth,
    seam,
    base: low,
  });
}

/** Moves a wrap's marks to where its drawing begins. */
function finished(
  cut: PieceCut,
  id: string,
  marks: readonly Mark[],
  { girth, seam, base }: Pick<Strip, 'girth' | 'seam' | 'base'>,
): Strip {
  const points = marks.flatMap((mark) => (mark.as === 'path' ? mark.points : []));
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return {
    id,
    mark: cut.mark,
    title: `${cut.mark} ${cut.name}`,
    width: Math.max(...xs) - left,
    height: Math.max(...ys) - top + TOP + 1,
    marks: placed(marks, [-left, TOP - top]),
    girth,
    seam,
    base,
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
