import { edgePoint, type EndCut, type Piece, type PieceCut, type Vector } from '@larchwood/core';
import type { Pixel, View } from './view';

/** Degrees from one point of a cut edge to the next: finer is not seen on the sheet. */
const STEP = 10;

/** Outline of a cut tube as seen from the right, with the curves of its copes. */
export function pieceOutline(cut: PieceCut, view: View): Pixel[] {
  return cut.ends.flatMap((end) => nearEdge(end, view));
}

/** The half of the cut edge that faces the eye, from one silhouette line to the other. */
function nearEdge(end: EndCut, view: View): Pixel[] {
  const across: Vector = [
    end.outward[1] * end.matchSide[2] - end.outward[2] * end.matchSide[1],
    end.outward[2] * end.matchSide[0] - end.outward[0] * end.matchSide[2],
    end.outward[0] * end.matchSide[1] - end.outward[1] * end.matchSide[0],
  ];
  const nearest = Math.round((Math.atan2(-across[1], -end.matchSide[1]) * 180) / Math.PI);
  const points: Pixel[] = [];
  for (let degrees = nearest - 90; degrees <= nearest + 90; degrees += STEP) {
    const whole = ((degrees % 360) + 360) % 360;
    const at = end.edge.outer[whole] ?? end.edge.longest.at;
    points.push(view.at(edgePoint(end, end.outerDiameter / 2, whole, at)));
  }
  return points;
}

/** A tube across the vehicle is seen end on. */
export const isEndOn = (piece: Piece): boolean => Math.abs(piece.direction[1]) > 0.98;

export const pathOf = (points: readonly Pixel[]): string => {
  let path = '';
  for (const [x, y] of points) path += `${path === '' ? 'M' : 'L'}${tenth(x)} ${tenth(y)}`;
  return `${path}Z`;
};
/** A tenth of a pixel is fine enough, and quicker to write than a fixed number of digits. */
export const tenth = (pixels: number): number => Math.round(pixels * 10) / 10;
