import {
  formatAngle,
  formatLength,
  WALL_LINES,
  type EndCut,
  type LengthDisplay,
  type PieceCut,
} from '@larchwood/core';
import { label, path, type Drawing, type Mark, type Point } from '../drawing.js';

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
const SHOW_INNER = 0.2;
const KEEP_SEAM_OFF = 25;

export function stripsOf(
  cut: PieceCut,
  paperThickness: number,
  display: LengthDisplay,
): readonly [Strip, Strip] {
  const bases = cut.ends.map((end) => Math.ceil(SLEEVE + (end.slot?.depth ?? 0) - end.edge.shortest.at));
  const apart = cut.betweenCentres - bases[0]! - bases[1]!;
  const make = (index: 0 | 1) => strip(cut, cut.ends[index], bases[index]!, apart, paperThickness, display);
  return [make(0), make(1)];
}

function strip(
  cut: PieceCut,
  end: EndCut,
  base: number,
  apart: number,
  paperThickness: number,
  display: LengthDisplay,
): Strip {
  const girth = Math.PI * (end.outerDiameter + paperThickness);
  const seam = seamOf(end);
  const longest = end.edge.longest.at;
  const height = TOP + longest + base;
  const x = (degrees: number): number => ((((degrees - seam) % 360) + 360) % 360) * (girth / 360);
  const y = (at: number): number => TOP + longest - at;
  const foot = y(-base);
  const marks: Mark[] = [
    ...edgeMarks(end, seam, girth, y),
    path('cut', [
      [0, y(valueAt(end, seam))],
      [0, foot],
      [girth, foot],
      [girth, y(valueAt(end, seam))],
    ]),
    path('fold', [
      [girth, y(valueAt(end, seam)) + 2],
      [girth + TAB, y(valueAt(end, seam)) + 4],
      [girth + TAB, foot - 2],
      [girth, foot],
    ]),
    ...quarterMarks(end, x, foot, y, girth),
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

const valueAt = (end: EndCut, degrees: number): number =>
  end.edge.outer[((Math.round(degrees) % WALL_LINES) + WALL_LINES) % WALL_LINES] ?? end.edge.longest.at;

/** The seam goes where the edge is flattest, away from the match line, the acute side and a slot: there a slip does least harm. */
function seamOf(end: EndCut): number {
  const marked = [
    0,
    end.matchAngle,
    ...(end.slotAngle === undefined ? [] : [end.slotAngle, end.slotAngle + 180]),
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

function edgeMarks(end: EndCut, seam: number, girth: number, y: (at: number) => number): Mark[] {
  const runs = (line: readonly (number | null)[]): Point[][] => {
    const all: Point[][] = [[]];
    for (let step = 0; step <= WALL_LINES; step += 1) {
      const value = line[(seam + step) % WALL_LINES];
      if (value == null) all.push([]);
      else all.at(-1)!.push([(step / WALL_LINES) * girth, y(value)]);
    }
    return all.filter((run) => run.length > 1);
  };
  const outer = runs(end.edge.outer).map((run) => path('cut', run));
  const differ = end.edge.outer.some(
    (value, index) => Math.abs((value ?? 0) - (end.edge.inner[index] ?? 0)) > SHOW_INNER,
  );
  return differ ? [...outer, ...runs(end.edge.inner).map((run) => path('inner', run))] : outer;
}

/** Match line up the whole strip with punch marks, ticks at the quarters, and an arrow on the acute side. */
function quarterMarks(
  end: EndCut,
  x: (degrees: number) => number,
  foot: number,
  y: (at: number) => number,
  girth: number,
): Mark[] {
  const match = x(0);
  const punch = (at: number): Mark[] => [
    path('thin', [
      [match - 1.5, at],
      [match + 1.5, at],
    ]),
    path('thin', [
      [match, at - 1.5],
      [match, at + 1.5],
    ]),
  ];
  const marks: Mark[] = [
    path('match', [
      [match, y(valueAt(end, 0))],
      [match, foot],
    ]),
    ...punch(foot - 3),
    ...punch(y(valueAt(end, 0)) + 4),
  ];
  for (const quarter of [90, 180, 270])
    marks.push(
      path('thin', [
        [x(quarter), foot],
        [x(quarter), foot - 2],
      ]),
    );
  if (end.cut === 'coped') {
    const at = x(end.matchAngle);
    const tip = y(valueAt(end, end.matchAngle)) + (Math.abs(at - x(0)) < 5 ? 7 : 2.5);
    marks.push(
      path(
        'thin',
        [
          [at - 1.4, tip + 2.6],
          [at, tip],
          [at + 1.4, tip + 2.6],
        ],
        true,
      ),
      path('thin', [
        [at, tip + 2.6],
        [at, tip + 5],
      ]),
    );
    const left = at > girth / 2;
    const room = (left ? at : girth - at) - 3;
    marks.push(
      label(
        [at + (left ? -2 : 2), tip + 2.6],
        Math.min(1.8, room / 9),
        end.includedAngle > 89.5 ? 'host runs this way' : 'host leans this way',
        {
          anchor: left ? 'end' : 'start',
        },
      ),
    );
  }
  return marks;
}

function slotMarks(
  end: EndCut,
  x: (degrees: number) => number,
  y: (at: number) => number,
  girth: number,
  paperThickness: number,
): Mark[] {
  if (end.slot === undefined || end.slotAngle === undefined) return [];
  const { width, depth } = end.slot;
  // A slot of this width, sawn through the middle, leaves the wall at this angle either side of its own.
  const half = (Math.asin(Math.min(1, width / end.outerDiameter)) * (end.outerDiameter + paperThickness)) / 2;
  const top = y(end.edge.longest.at);
  return [end.slotAngle, end.slotAngle + 180].flatMap((angle) => {
    const middle = x(angle);
    const side = (at: number): Point[] => {
      const inside = Math.min(girth, Math.max(0, at));
      return [
        [inside, top],
        [inside, top + depth],
      ];
    };
    const [left, right] = [side(middle - half), side(middle + half)];
    return [
      path('cut', [left[0]!, left[1]!, right[1]!, right[0]!]),
      path('thin', [
        [middle, top],
        [middle, top + depth],
      ]),
    ];
  });
}

function words(
  cut: PieceCut,
  end: EndCut,
  girth: number,
  foot: number,
  apart: number,
  display: LengthDisplay,
  matchX: number,
): Mark[] {
  const size = Math.min(2.8, Math.max(1.7, girth / 34));
  const joint =
    end.cut === 'coped'
      ? `fits ${end.hosts.join(' + ')}, ${formatAngle(end.offSquare)} off square`
      : end.cut === 'slotted'
        ? 'slot for the dropout'
        : 'cut square';
  const lines = [
    `${cut.name}, ${end.end === 'start' ? 'first' : 'second'} end`,
    joint,
    `tube ${formatLength(end.outerDiameter, display, 2)}, printed side out`,
    `this edge to the other: ${formatLength(apart, display)}`,
  ];
  // The words keep to the wider side of the match line.
  const onRight = matchX < girth / 2;
  const from: number = onRight ? matchX + 3 : 2;
  const room = onRight ? girth - matchX - 5 : matchX - 7;
  const fit = (text: string) => Math.min(size, room / (text.length * 0.52));
  return [
    label([from, foot - 2 - lines.length * (size + 0.9)], Math.min(6, room / 4), cut.mark, { bold: true }),
    ...lines.map((text, index) =>
      label([from, foot - 1.4 - (lines.length - 1 - index) * (size + 0.9)], fit(text), text),
    ),
    label([matchX - 2.8, foot - 9], Math.min(2, size), 'match', { anchor: 'middle', turned: true }),
  ];
}
