import type { Pixel } from './view';

/** A dimension drawn on the sheet: its lines in pixels, and where its figure stands. */
export interface DrawnDimension {
  readonly id: string;
  readonly label: Pixel;
  /** Thin lines from the object to the dimension line. */
  readonly witness: readonly (readonly [Pixel, Pixel])[];
  readonly line:
    | { readonly as: 'straight'; readonly from: Pixel; readonly to: Pixel }
    | {
        readonly as: 'arc';
        readonly centre: Pixel;
        readonly radius: number;
        readonly from: number;
        readonly to: number;
      };
}

const plus = ([x, y]: Pixel, [dx, dy]: Pixel): Pixel => [x + dx, y + dy];
const between = ([ax, ay]: Pixel, [bx, by]: Pixel, share: number): Pixel => [
  ax + (bx - ax) * share,
  ay + (by - ay) * share,
];

/** Points a and b measured along their own line, drawn `off` to its left (seen from a to b); negative to its right. */
export function aligned(id: string, a: Pixel, b: Pixel, off: number, share = 0.5): DrawnDimension {
  const size = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  const side: Pixel = [((b[1] - a[1]) / size) * off, (-(b[0] - a[0]) / size) * off];
  return { id, ...measured(a, b, plus(a, side), plus(b, side), share) };
}

/** The level distance between a and b, drawn at a height. */
export function level(id: string, a: Pixel, b: Pixel, y: number, share = 0.5): DrawnDimension {
  return { id, ...measured(a, b, [a[0], y], [b[0], y], share) };
}

/** The upright distance between a and b, drawn at a place across. */
export function upright(id: string, a: Pixel, b: Pixel, x: number, share = 0.5): DrawnDimension {
  return { id, ...measured(a, b, [x, a[1]], [x, b[1]], share) };
}

/** A dimension too short for its figure: the figure stands beside it. */
export function beside(drawn: DrawnDimension, dx: number, dy = 0): DrawnDimension {
  return { ...drawn, label: plus(drawn.label, [dx, dy]) };
}

/** An angle between two directions, in degrees anticlockwise from level right. */
export function angle(
  id: string,
  centre: Pixel,
  radius: number,
  from: number,
  to: number,
  labelRadius = radius,
  labelAt = (from + to) / 2,
): DrawnDimension {
  const turn = (labelAt * Math.PI) / 180;
  return {
    id,
    label: [centre[0] + labelRadius * Math.cos(turn), centre[1] - labelRadius * Math.sin(turn)],
    // A leg that is level on the ground or along the vehicle needs no line of its own.
    witness: (from % 90 === 0 ? [to] : [from, to]).map((degrees) => [
      centre,
      plus(centre, [
        (radius + 8) * Math.cos((degrees * Math.PI) / 180),
        -(radius + 8) * Math.sin((degrees * Math.PI) / 180),
      ]),
    ]),
    line: { as: 'arc', centre, radius, from, to },
  };
}

function measured(a: Pixel, b: Pixel, from: Pixel, to: Pixel, share: number): Omit<DrawnDimension, 'id'> {
  return {
    label: between(from, to, share),
    witness: [
      [a, beyond(a, from)],
      [b, beyond(b, to)],
    ],
    line: { as: 'straight', from, to },
  };
}

/** Witness lines run a little past the dimension line. */
function beyond(start: Pixel, end: Pixel): Pixel {
  const size = Math.hypot(end[0] - start[0], end[1] - start[1]);
  return size < 1 ? end : between(start, end, (size + 5) / size);
}
