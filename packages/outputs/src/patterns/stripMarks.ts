import { WALL_LINES, type EndCut } from '@larchwood/core';
import { path, type Mark, type Point } from '../drawing.js';
import type { Wrap } from './wrap.js';

/** The inner edge is drawn where it differs by more than this, mm. */
const SHOW_INNER = 0.2;

/** Where a wall line ends; of one that meets nothing, as far as the longest. */
export const valueAt = (end: EndCut, line: number): number =>
  end.edge.outer[((Math.round(line) % WALL_LINES) + WALL_LINES) % WALL_LINES]!;

/** One end as it lies on the paper: its own wall lines, and where they come to lie. */
export interface LaidEnd {
  readonly end: EndCut;
  /** Wall line of this end at the paper's left edge. */
  readonly seam: number;
  /** 1 where its edge is up; -1 for the first end on a wrap that carries both: its lines run the other way, and it looks down. */
  readonly sense: 1 | -1;
  readonly wrap: Wrap;
  /** A place on the paper by this end's wall line and the way outward from its own cutter centre. */
  readonly on: (line: number, at: number) => Point;
}

/** The cut edge, and the inner one where it differs. */
export function edgeMarks(
  { end, seam, sense, on }: LaidEnd,
  place: (way: number, at: number) => Point,
): Mark[] {
  const missed = new Set(end.edge.missedLines);
  const runs = (values: readonly number[]): Point[][] => {
    const all: Point[][] = [[]];
    for (let step = 0; step <= WALL_LINES; step += 1) {
      const line = (seam + sense * step + WALL_LINES) % WALL_LINES;
      const value = values[line]!;
      if (missed.has(line)) all.push([]);
      else if (step === 0 || step === WALL_LINES) all.at(-1)!.push(place(step / WALL_LINES, value));
      else all.at(-1)!.push(on(line, value));
    }
    return all.filter((run) => run.length > 1);
  };
  const outer = runs(end.edge.outer).map((run) => path('cut', run));
  const differ = end.edge.outer.some((value, index) => Math.abs(value - end.edge.inner[index]!) > SHOW_INNER);
  return differ ? [...outer, ...runs(end.edge.inner).map((run) => path('inner', run))] : outer;
}

const CORNERS = [45, 135, 225, 315] as const;
/** A rectangle's middle of a face lies on its outline straight between its neighbours. */
export const hasCorners = ({ outline }: EndCut): boolean =>
  !outline.round && Math.abs(outline.u[0]! - outline.u[10]!) < 1e-9;

/** Where a square tube's corners lie, from the edge down to a way outward. */
export const cornerMarks = ({ end, on }: LaidEnd, foot: number): Mark[] =>
  hasCorners(end) ? CORNERS.map((line) => path('fold', [on(line, valueAt(end, line)), on(line, foot)])) : [];

const cross = ([x, y]: Point): Mark[] => [
  path('thin', [
    [x - 1.5, y],
    [x + 1.5, y],
  ]),
  path('thin', [
    [x, y - 1.5],
    [x, y + 1.5],
  ]),
];

/** Punch marks on the match line, near the edge and near a square foot, and ticks at the quarters: at the foot, or else at the edge. */
export function quarterMarks({ end, on }: LaidEnd, foot?: number): Mark[] {
  const edge = valueAt(end, 0);
  const punches = foot === undefined ? [edge - 4] : [Math.max(foot + 3, edge - 4), foot + 3];
  return [
    ...punches.flatMap((at) => cross(on(0, at))),
    ...[90, 180, 270].map((line) => {
      const from = foot ?? valueAt(end, line);
      return path('thin', [on(line, from), on(line, foot === undefined ? from - 2 : from + 2)]);
    }),
  ];
}

/** An arrow on the side to which the host leans. */
export function arrow({ end, on, sense }: LaidEnd): Mark[] {
  if (end.cut !== 'coped') return [];
  const line = end.matchAngle;
  const nearMatch = Math.abs(on(line, 0)[0] - on(0, 0)[0]) < 5;
  const [x, y] = on(line, valueAt(end, line) - (nearMatch ? 7 : 2.5));
  return [
    path(
      'thin',
      [
        [x - 1.4, y + sense * 2.6],
        [x, y],
        [x + 1.4, y + sense * 2.6],
      ],
      true,
    ),
    path('thin', [
      [x, y + sense * 2.6],
      [x, y + sense * 5],
    ]),
  ];
}

export function slotMarks({ end, wrap, on, seam, sense }: LaidEnd, paperThickness: number): Mark[] {
  if (end.slot === undefined || end.slotAngle === undefined) return [];
  const { width, depth } = end.slot;
  // A slot of this width, sawn through the middle, leaves the wall at this angle either side of its own.
  const half = (Math.asin(Math.min(1, width / end.outerDiameter)) * (end.outerDiameter + paperThickness)) / 2;
  const lines = (half / wrap.girth) * WALL_LINES;
  const top = end.edge.longest.at;
  return [end.slotAngle, end.slotAngle + 180].flatMap((angle) => {
    // Neither side of it crosses the paper's own edge.
    const fromSeam = (((sense * (angle - seam)) % WALL_LINES) + WALL_LINES) % WALL_LINES;
    const side = (by: number): [Point, Point] => {
      const line = seam + sense * Math.min(WALL_LINES - 0.01, Math.max(0, fromSeam + by));
      return [on(line, top), on(line, top - depth)];
    };
    const [left, right] = [side(-lines), side(lines)];
    return [
      path('cut', [left[0], left[1], right[1], right[0]]),
      path('thin', [on(angle, top), on(angle, top - depth)]),
    ];
  });
}
