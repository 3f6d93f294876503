import { CAPITAL } from './text/measure.js';

/**
 * A drawing true to size: marks in millimetres, x to the right and y down from the top left corner. One drawing is set
 * on paper as PDF, saved as SVG and shown on the screen, so that all three agree.
 */
export type Stroke = 'cut' | 'edge' | 'inner' | 'axis' | 'match' | 'fold' | 'thin' | 'bar';

export type Mark =
  | {
      readonly as: 'path';
      readonly stroke: Stroke;
      readonly points: readonly Point[];
      readonly closed: boolean;
      /** Black inside, with no line round it. */
      readonly filled?: true;
    }
  | {
      readonly as: 'circle';
      readonly stroke: Stroke;
      readonly at: Point;
      readonly radius: number;
    }
  | {
      readonly as: 'text';
      readonly at: Point;
      readonly size: number;
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly bold: boolean;
      /** A quarter turn clockwise. */
      readonly turned: boolean;
      /** Lines behind it are left white. */
      readonly clear: boolean;
    };
export type Words = Extract<Mark, { as: 'text' }>;

export type Point = readonly [x: number, y: number];

export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly marks: readonly Mark[];
}

/** Line width and dashes on paper, mm. */
export const STROKES: Readonly<
  Record<Stroke, { readonly width: number; readonly dashes: readonly number[] }>
> = {
  cut: { width: 0.3, dashes: [] },
  edge: { width: 0.3, dashes: [] },
  inner: { width: 0.2, dashes: [1.6, 0.8] },
  axis: { width: 0.18, dashes: [8, 1.5, 1.5, 1.5] },
  match: { width: 0.25, dashes: [6, 1, 1, 1] },
  fold: { width: 0.15, dashes: [0.8, 0.8] },
  thin: { width: 0.15, dashes: [] },
  bar: { width: 0.25, dashes: [] },
};

export const path = (stroke: Stroke, points: readonly Point[], closed = false): Mark => ({
  as: 'path',
  stroke,
  points,
  closed,
});

/** A black area. */
export const area = (points: readonly Point[]): Mark => ({
  ...{ as: 'path', stroke: 'thin', points, closed: true, filled: true },
});

export const circle = (stroke: Stroke, at: Point, radius: number): Mark => ({
  as: 'circle',
  stroke,
  at,
  radius,
});

/** Corners that stand for a circle where it is cut or stretched: within 0.0003 of its radius. */
const ROUND = 128;
export const rimOf = ({ at: [x, y], radius }: { readonly at: Point; readonly radius: number }): Point[] =>
  Array.from({ length: ROUND }, (_, index) => {
    const angle = (2 * Math.PI * index) / ROUND;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  });

export function label(
  at: Point,
  size: number,
  text: string,
  more: { anchor?: 'start' | 'middle' | 'end'; bold?: boolean; turned?: boolean; clear?: boolean } = {},
): Words {
  return {
    as: 'text',
    at,
    size,
    text,
    anchor: more.anchor ?? 'start',
    bold: more.bold ?? false,
    turned: more.turned ?? false,
    clear: more.clear ?? false,
  };
}

/** The same marks, moved; or laid on their side (a quarter turn clockwise) and moved, for a drawing `height` tall. */
export function placed(
  marks: readonly Mark[],
  [dx, dy]: Point,
  sideways?: { readonly height: number },
): Mark[] {
  const put = ([x, y]: Point): Point => (sideways ? [dx + sideways.height - y, dy + x] : [dx + x, dy + y]);
  return marks.map((mark): Mark => {
    if (mark.as === 'path') return { ...mark, points: mark.points.map(put) };
    if (mark.as === 'circle') return { ...mark, at: put(mark.at) };
    if (!sideways || !mark.turned)
      return { ...mark, at: put(mark.at), turned: sideways ? true : mark.turned };
    // Turned a second time it would stand on its head: it is set upright in the same place.
    const [x, y] = put(mark.at);
    const anchor = { start: 'end', middle: 'middle', end: 'start' } as const;
    return { ...mark, at: [x, y + CAPITAL * mark.size], turned: false, anchor: anchor[mark.anchor] };
  });
}
