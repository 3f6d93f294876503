import { formatAngle, WALL_LINES, type EndCut } from '@larchwood/core';
import { label, path, type Mark, type Point } from '../drawing.js';

/** The inner edge is drawn where it differs by more than this, mm. */
const SHOW_INNER = 0.2;

/** Where a wall line ends; of one that meets nothing, as far as the longest. */
export const valueAt = (end: EndCut, line: number): number =>
  end.edge.outer[((Math.round(line) % WALL_LINES) + WALL_LINES) % WALL_LINES]!;

/** The cut edge, and the inner one where it differs. `reversed` for an end whose lines run the other way across the paper. */
export function edgeMarks(
  end: EndCut,
  seam: number,
  girth: number,
  x: (line: number) => number,
  y: (at: number) => number,
  reversed = false,
): Mark[] {
  const missed = new Set(end.edge.missedLines);
  const runs = (values: readonly number[]): Point[][] => {
    const all: Point[][] = [[]];
    for (let step = 0; step <= WALL_LINES; step += 1) {
      const line = (seam + (reversed ? WALL_LINES - step : step)) % WALL_LINES;
      const value = values[line]!;
      const across = step === 0 ? 0 : step === WALL_LINES ? girth : x(line);
      if (missed.has(line)) all.push([]);
      else all.at(-1)!.push([across, y(value)]);
    }
    return all.filter((run) => run.length > 1);
  };
  const outer = runs(end.edge.outer).map((run) => path('cut', run));
  const differ = end.edge.outer.some((value, index) => Math.abs(value - end.edge.inner[index]!) > SHOW_INNER);
  return differ ? [...outer, ...runs(end.edge.inner).map((run) => path('inner', run))] : outer;
}

/** Where a square tube's corners lie, and on two faces the angle of a saw cut. */
export function cornerMarks(
  end: EndCut,
  x: (line: number) => number,
  y: (at: number) => number,
  foot: number,
): Mark[] {
  if (end.outline.round || !hasCorners(end)) return [];
  const corners = [45, 135, 225, 315].map((line) =>
    path('fold', [
      [x(line), y(valueAt(end, line))],
      [x(line), foot],
    ]),
  );
  if (!end.saw || end.saw.offSquare < 0.05) return corners;
  const face = (line: number, angle: number) =>
    label([x(line), foot - 20], 2, `${formatAngle(Math.abs(angle))} off square`, { anchor: 'middle' });
  return [...corners, face(180, end.saw.onMatchFace), face(90, end.saw.onNextFace)];
}

/** A rectangle's middle of a face lies on its outline straight between its neighbours. */
const hasCorners = ({ outline }: EndCut): boolean => Math.abs(outline.u[0]! - outline.u[10]!) < 1e-9;

/** Match line up the whole strip with punch marks, ticks at the quarters, and an arrow on the acute side. */
export function quarterMarks(
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
  return [...marks, ...arrow(end, x, y, girth, 1)];
}

/** An arrow on the side to which the host leans; up on an upper edge, down (-1) on a lower one. */
export function arrow(
  end: EndCut,
  x: (line: number) => number,
  y: (at: number) => number,
  girth: number,
  sense: 1 | -1,
): Mark[] {
  if (end.cut !== 'coped') return [];
  const at = x(end.matchAngle);
  const tip = y(valueAt(end, end.matchAngle)) + sense * (Math.abs(at - x(0)) < 5 ? 7 : 2.5);
  const left = at > girth / 2;
  const room = (left ? at : girth - at) - 3;
  return [
    path(
      'thin',
      [
        [at - 1.4, tip + sense * 2.6],
        [at, tip],
        [at + 1.4, tip + sense * 2.6],
      ],
      true,
    ),
    path('thin', [
      [at, tip + sense * 2.6],
      [at, tip + sense * 5],
    ]),
    label(
      [at + (left ? -2 : 2), tip + sense * 2.6 + (sense < 0 ? 1.4 : 0)],
      Math.min(1.8, room / 9),
      end.includedAngle > 89.5 ? 'host runs this way' : 'host leans this way',
      { anchor: left ? 'end' : 'start' },
    ),
  ];
}

export function slotMarks(
  end: EndCut,
  x: (degrees: number) => number,
  y: (at: number) => number,
  girth: number,
  paperThickness: number,
  sense: 1 | -1 = 1,
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
        [inside, top + sense * depth],
      ];
    };
    const [left, right] = [side(middle - half), side(middle + half)];
    return [
      path('cut', [left[0]!, left[1]!, right[1]!, right[0]!]),
      path('thin', [
        [middle, top],
        [middle, top + sense * depth],
      ]),
    ];
  });
}
