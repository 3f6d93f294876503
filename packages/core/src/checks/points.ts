import type { BuildDocument } from '@larchwood/format';
import type { Keys } from '../fixture/keys.js';
import type { Frame, Piece } from '../frame/frame.js';
import { isHoop } from '../frame/hoop.js';
import { pointOn } from '../frame/path.js';
import { acrossOf } from '../frame/sections.js';
import type { Stance } from '../stance/stance.js';
import { add, mirror, type Vector } from '../vector/vector.js';

/** A place that a tape, a gauge or a string can be held to. */
export interface MeasuringPoint {
  readonly id: string;
  readonly name: string;
  readonly at: Vector;
  /** Where exactly it is touched. */
  readonly touch: string;
}
export type MeasuringPoints = Readonly<Record<string, MeasuringPoint>>;

/** The corners of a frame that stands on more than two wheels, left and right of its longest pair of tubes. */
export const CORNERS = ['cornerRearLeft', 'cornerRearRight', 'cornerFrontLeft', 'cornerFrontRight'] as const;

const TOUCHED: Readonly<Record<string, string>> = {
  bottomBracket: 'at the middle of the shell, on a bar through it',
  rearBracket: 'at the middle of the rear shell, on a bar through it',
  seatTop: 'at the middle of the seat tube’s top, on a stepped plug',
  headLower: 'at the middle of the head tube’s lower face, on a stepped plug',
  headUpper: 'at the middle of the head tube’s upper face, on a stepped plug',
};

/** Every place of a build that may be measured from or to. */
export function measuringPoints(
  document: Pick<BuildDocument, 'frame'>,
  stance: Pick<Stance, 'standing' | 'values'>,
  frame: Frame,
  keys: Keys,
): MeasuringPoints {
  const points: MeasuringPoint[] = Object.values(keys).map(({ id, name, at, touch }) => ({
    ...{ id, name, at },
    touch: touch ?? TOUCHED[id] ?? 'at the middle of a bolt that fits its bore',
  }));
  points.push(...cornersOf(stance, frame));
  for (const hoop of frame.pieces.filter(standsAcross)) points.push(...hoopPoints(hoop));
  for (const { id, name, start, end, supplied } of frame.pieces)
    if (supplied)
      for (const [what, at] of [
        ['start', start],
        ['end', end],
      ] as const)
        points.push({
          id: `piece:${id}:${what}`,
          name: `${name}, its ${what}`,
          at,
          touch: 'at its very end',
        });
  for (const node of document.frame.nodes) {
    const at = frame.nodes[node.id];
    if (!at) continue;
    const touch = 'at the meeting of the centre lines: halve the near and the far edge';
    points.push({ id: `node:${node.id}`, name: node.name, at, touch });
    if (Math.abs(at[1]) > 1)
      points.push({
        ...{ id: `node:${node.id}:right`, name: `${node.name}, other side`, at: mirror(at), touch },
      });
  }
  return Object.fromEntries(points.map((point) => [point.id, point]));
}

/** A pair of tubes at least so long, of the wheelbase, makes four corners. */
const LONG = 0.3;

function cornersOf(
  { standing, values }: Pick<Stance, 'standing' | 'values'>,
  frame: Frame,
): MeasuringPoint[] {
  if (standing.length < 3) return [];
  const reach = ({ start, end }: Piece) => Math.abs(start[0] - end[0]);
  const [left] = frame.pieces
    .filter(
      (piece) => piece.side === 'left' && !piece.supplied && reach(piece) > LONG * (values.wheelbase ?? 0),
    )
    .sort((a, b) => reach(b) - reach(a));
  if (!left) return [];
  const half = acrossOf(left.section) / 2;
  const [rear, front] = left.start[0] < left.end[0] ? [left.start, left.end] : [left.end, left.start];
  const outer = (at: Vector): Vector => add(at, [0, at[1] >= 0 ? half : -half, 0]);
  const touch = 'on its outer edge';
  const corner = (id: (typeof CORNERS)[number], name: string, at: Vector): MeasuringPoint => ({
    ...{ id, name: `${left.member.name}, ${name}`, at, touch },
  });
  return [
    corner('cornerRearLeft', 'rear left', outer(rear)),
    corner('cornerRearRight', 'rear right', mirror(outer(rear))),
    corner('cornerFrontLeft', 'front left', outer(front)),
    corner('cornerFrontRight', 'front right', mirror(outer(front))),
  ];
}

/** A hoop with one foot on either side. */
export const standsAcross = (piece: Piece): boolean =>
  piece.side === 'middle' && isHoop(piece) && piece.start[1] * piece.end[1] < -ACROSS;
/** Feet nearer to the middle than some 30 mm are one, mm2. */
const ACROSS = 1000;

const hoopPoints = (hoop: Piece): MeasuringPoint[] => {
  const { arcs } = hoop.path;
  const middle = (arc: (typeof arcs)[number]) => pointOn(hoop.path, arc.station + arc.length / 2).at;
  const places: [string, string, Vector][] = [
    ['foot', 'foot', hoop.start],
    ['bend', 'middle of the bend', middle(arcs[0]!)],
    ['otherBend', 'middle of the other bend', middle(arcs.at(-1)!)],
    ['otherFoot', 'other foot', hoop.end],
  ];
  return places.map(([what, name, at]) => ({
    ...{ id: `hoop:${hoop.id}:${what}`, name: `${hoop.name}, ${name}`, at },
    touch: 'at the middle of the tube',
  }));
};
