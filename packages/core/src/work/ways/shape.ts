import { isHoop } from '../../frame/hoop.js';
import { pointOn } from '../../frame/path.js';
import type { Piece } from '../../frame/frame.js';
import { distance, type Vector } from '../../vector/vector.js';
import type { SubAssembly, ToBuild } from './way.js';

/** How pieces lie, for ways of building that go by it. Lengths mm. */
const SAMPLES = 8;
const pointsOf = (piece: Piece): Vector[] =>
  Array.from({ length: SAMPLES + 1 }, (_, index) => pointOn(piece.path, (index / SAMPLES) * piece.length).at);

/** So much of the frame's height, or this much at least, counts as its floor; common practice, no source. */
const FLOOR = { share: 0.15, least: 45 };

/** Pieces that lie in the lowest layer of the frame from end to end. */
export function lowest({ frame }: ToBuild): ReadonlySet<string> {
  const heights = frame.pieces.map((piece) => ({ piece, z: pointsOf(piece).map((at) => at[2]) }));
  const all = heights.flatMap(({ z }) => z);
  const [low, high] = [Math.min(...all), Math.max(...all)];
  const most = low + Math.max(FLOOR.least, FLOOR.share * (high - low));
  return new Set(heights.filter(({ z }) => Math.max(...z) <= most).map(({ piece }) => piece.id));
}

/** More of its length up than so much: an upright. */
const UPRIGHT = 0.6;
export const isUpright = (piece: Piece): boolean => {
  const z = pointsOf(piece).map((at) => at[2]);
  return Math.max(...z) - Math.min(...z) > UPRIGHT * distance(piece.start, piece.end) && !isHoop(piece);
};
/** Within this of the rear axle an end belongs to it; mm. */
const AT_AXLE = 160;

/** The rear end: what reaches the rear axle, and what fits nothing but those. */
export function rearEnd({ frame, hosts, rearAxle }: ToBuild): ReadonlySet<string> {
  if (!rearAxle) return new Set();
  const near = ([x, , z]: Vector) => Math.hypot(x - rearAxle[0], z - rearAxle[2]) < AT_AXLE;
  const rear = new Set(
    frame.pieces.filter(({ start, end }) => near(start) !== near(end)).map(({ id }) => id),
  );
  for (const { id } of frame.pieces) {
    const of = hosts.get(id) ?? [];
    if (of.length > 0 && of.every((host) => rear.has(host))) rear.add(id);
  }
  return rear;
}

/** Pieces in the order of building, of those that are meant. */
export const part = (
  { inOrder }: ToBuild,
  id: string,
  name: string,
  meant: (piece: Piece) => boolean,
): SubAssembly[] => {
  const pieces = inOrder.filter(meant).map((piece) => piece.id);
  return pieces.length > 0 ? [{ id, name, pieces }] : [];
};

/** Half way between a piece's ends. */
export const bothAt = ({ start, end }: Piece): Vector => [
  (start[0] + end[0]) / 2,
  (start[1] + end[1]) / 2,
  (start[2] + end[2]) / 2,
];
