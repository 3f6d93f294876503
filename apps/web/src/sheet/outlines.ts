import {
  onPlate,
  pieceOutline,
  VIEW_AXES,
  type OnPaper,
  type Plan,
  type Seen,
  type Vector,
  type ViewName,
} from '@larchwood/core';

/** A piece or a plate as a view shows it, in mm of the vehicle; down is positive. */
export interface Outline {
  readonly id: string;
  readonly mark: string;
  readonly points: readonly OnPaper[];
}

/** Where a view shows a point. */
export const seenFrom = (name: ViewName) => {
  const [across, up] = VIEW_AXES[name];
  return (point: Vector): OnPaper => [point[across], -point[up]];
};

/** All of a frame in one view. */
export function outlinesOf(plan: Pick<Plan, 'frame' | 'cuts' | 'given'>, name: ViewName): readonly Outline[] {
  const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));
  const view: Seen = { name, at: seenFrom(name) };
  return [
    ...plan.frame.pieces.map((piece) => ({
      ...{ id: piece.id, mark: piece.mark },
      points: pieceOutline(piece, cuts.get(piece.id)!, view),
    })),
    ...plan.frame.plates.map((plate) => ({
      ...{ id: plate.id, mark: plate.mark },
      points: plate.plate.outline.map((corner) => view.at(onPlate(plate, corner))),
    })),
  ];
}

/** Left, top, width and height of what is drawn. */
export function boxOf(shapes: readonly Pick<Outline, 'points'>[]): readonly [number, number, number, number] {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { points } of shapes)
    for (const [x, y] of points) {
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
    }
  return left > right ? [0, 0, 100, 100] : [left, top, right - left, bottom - top];
}
