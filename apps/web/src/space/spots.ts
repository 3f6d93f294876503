import {
  dot,
  nearestOn,
  pointOn,
  type Frame,
  type Piece,
  type Spot,
  type Vector,
  EYE,
} from '@larchwood/core';
import type { Pixel, View } from '../sheet/view';

/** A press this near to a node or to a tube's axis takes it, px. */
const NODE_REACH = 9;
const TUBE_REACH = 16;
const STEPS = 120;

/** The place on the frame that a press on the sheet means: a node, else the nearest tube; of two in line, the one in front. */
export function spotAt(frame: Frame, view: View, [px, py]: Pixel): Spot | undefined {
  const eye = EYE[view.name];
  const away = (point: Vector): number => {
    const [x, y] = view.at(point);
    return Math.hypot(x - px, y - py);
  };
  let best: { piece: Piece; share: number; score: number } | undefined;
  for (const piece of frame.pieces)
    for (let step = 0; step <= STEPS; step += 1) {
      const at = pointOn(piece.path, (piece.length * step) / STEPS).at;
      const off = away(at);
      if (off > TUBE_REACH) continue;
      // Nearer to the eye counts as a little nearer to the press.
      const score = off - dot(at, eye) * 0.002;
      if (!best || score < best.score) best = { piece, share: step / STEPS, score };
    }
  if (!best) return undefined;
  return snapped(frame, best.piece, best.share, (point) => away(point) < NODE_REACH);
}

/** The place on a piece nearest to a point in space. */
export function spotOn(frame: Frame, piece: Piece, point: Vector, near: number): Spot {
  const { station } = nearestOn(piece.path, point);
  const at = pointOn(piece.path, station).at;
  return snapped(frame, piece, station / piece.length, (node) => {
    const [x, y, z] = [node[0] - at[0], node[1] - at[1], node[2] - at[2]];
    return Math.hypot(x, y, z) < near;
  });
}

/** A node of the piece where one is near; the middle of the piece; else the share as it is. */
function snapped(frame: Frame, piece: Piece, share: number, near: (point: Vector) => boolean): Spot {
  const side = piece.side === 'middle' ? undefined : piece.side;
  for (const [node, at] of Object.entries(frame.nodes)) {
    const placed: Vector = piece.side === 'right' ? [at[0], -at[1], at[2]] : at;
    if (nearestOn(piece.path, placed).away < 1 && near(placed))
      return { node, ...(side === undefined ? {} : { side }) };
  }
  return {
    member: piece.member.id,
    side: piece.side,
    share: near(pointOn(piece.path, piece.length / 2).at) ? 0.5 : share,
  };
}
