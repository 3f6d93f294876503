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
    }
  | {
      readonly as: 'text';
      readonly at: Point;
      readonly size: number;
      readonly text: string;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly bold: boolean;
      readonly turned: boolean;
    };

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

export function label(
  at: Point,
  size: number,
  text: string,
  more: { anchor?: 'start' | 'middle' | 'end'; bold?: boolean; turned?: boolean } = {},
): Mark {
  return {
    as: 'text',
    at,
    size,
    text,
    anchor: more.anchor ?? 'start',
    bold: more.bold ?? false,
    turned: more.turned ?? false,
  };
}

/** The same marks, moved; or laid on their side (a quarter turn clockwise) and moved, for a drawing `height` tall. */
export function placed(
  marks: readonly Mark[],
  [dx, dy]: Point,
  sideways?: { readonly height: number },
): Mark[] {
  const put = ([x, y]: Point): Point => (sideways ? [dx + sideways.height - y, dy + x] : [dx + x, dy + y]);
  return marks.map((mark) =>
    mark.as === 'path'
      ? { ...mark, points: mark.points.map(put) }
      : { ...mark, at: put(mark.at), turned: sideways ? !mark.turned : mark.turned },
  );
}
