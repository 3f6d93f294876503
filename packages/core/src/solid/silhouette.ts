import { wallPoint, WALL_LINES } from '../joints/edge.js';
import type { PieceCut } from '../joints/cut.js';
import type { EndCut } from '../joints/endCut.js';
import type { ViewName } from '../stance/dimension.js';
import { cross, dot, type Vector } from '../vector/vector.js';
import type { Piece } from '../frame/frame.js';
import { halfAcross } from '../frame/across.js';
import { pointOn } from '../frame/path.js';

/** A view square to an axis of the vehicle, and where it puts a point on its paper: in mm, pixels or whatever it draws in. */
export interface Seen {
  readonly name: ViewName;
  readonly at: (point: Vector) => OnPaper;
}
export type OnPaper = readonly [x: number, y: number];

/** Wall lines from one point of a cut edge to the next: finer is not seen on the sheet. */
const STEP = 10;
const BEND_STEP = 6;

/** Unit vector from the vehicle to the eye. */
export const EYE: Readonly<Record<ViewName, Vector>> = {
  side: [0, -1, 0],
  plan: [0, 0, 1],
  front: [1, 0, 0],
};

/** Outline of a cut tube as the view shows it, with the curves of its cuts and bends. */
export function pieceOutline(piece: Piece, cut: PieceCut, view: Seen): OnPaper[] {
  const eye = EYE[view.name];
  if (isEndOn(piece, view)) return endOn(cut.ends[dot(cut.ends[0].outward, eye) > 0 ? 0 : 1], view);
  const [start, end] = cut.ends;
  const [left, right]: [OnPaper[], OnPaper[]] = [[], []];
  for (const station of between(piece, start.station, end.station)) {
    const { at, direction } = pointOn(piece.path, station);
    const [width, normal] = halfWidth(piece, station, direction, eye);
    const side = (sign: number): Vector => [
      at[0] + sign * width * normal[0],
      at[1] + sign * width * normal[1],
      at[2] + sign * width * normal[2],
    ];
    left.push(view.at(side(1)));
    right.push(view.at(side(-1)));
  }
  const along = piece.direction;
  return [
    ...nearEdge(start, along, eye, view),
    ...left,
    ...nearEdge(end, piece.endDirection, eye, view).reverse(),
    ...right.reverse(),
  ];
}

/** Stations between two others at which the outside of a tube has to be told: through its bends, and at a taper. */
function between(piece: Piece, from: number, to: number): number[] {
  const stations = piece.path.arcs.flatMap(({ station, length, angle }) => {
    const steps = Math.max(1, Math.ceil(angle / BEND_STEP));
    return Array.from({ length: steps + 1 }, (_, step) => station + (length * step) / steps);
  });
  if (piece.section.shape === 'round' && piece.section.taper)
    stations.push(piece.length - piece.section.taper.length);
  return stations.filter((station) => station > from && station < to).sort((a, b) => a - b);
}

/** How far a tube reaches to either side of its axis as the eye sees it, and in which direction. */
function halfWidth(piece: Piece, station: number, direction: Vector, eye: Vector): [number, Vector] {
  const normal = square(direction, eye);
  return [halfAcross(piece, station, normal), normal];
}

/** Unit vector to the left of a direction, as the eye sees it. */
function square(direction: Vector, eye: Vector): Vector {
  const across = cross(eye, direction);
  const size = Math.hypot(...across) || 1;
  return [across[0] / size, across[1] / size, across[2] / size];
}

/** The half of a cut edge that faces the eye, from the tube's right silhouette to its left. */
function nearEdge(end: EndCut, along: Vector, eye: Vector, view: Seen): OnPaper[] {
  const normal = square(along, eye);
  const across = cross(end.outward, end.matchSide);
  const { u, v } = end.outline;
  // Written out: a drag asks it for every end at each frame.
  const [byU, byV] = [dot(end.matchSide, normal), dot(across, normal)];
  let [leftmost, rightmost] = [0, 0];
  let [most, least] = [-Infinity, Infinity];
  for (let line = 0; line < WALL_LINES; line += STEP / 2) {
    const off = u[line]! * byU + v[line]! * byV;
    if (off > most) [most, leftmost] = [off, line];
    if (off < least) [least, rightmost] = [off, line];
  }
  const forward = (leftmost - rightmost + WALL_LINES) % WALL_LINES;
  const middle = (rightmost + Math.round(forward / 2)) % WALL_LINES;
  const towards = u[middle]! * dot(end.matchSide, eye) + v[middle]! * dot(across, eye);
  const [span, sign] = towards >= 0 ? [forward, 1] : [WALL_LINES - forward, -1];
  const steps = Math.max(1, Math.round(span / STEP));
  return Array.from({ length: steps + 1 }, (_, step) => {
    const line = (rightmost + sign * Math.round((span * step) / steps) + WALL_LINES) % WALL_LINES;
    return edgeAt(end, line, view);
  });
}

function edgeAt(end: EndCut, line: number, view: Seen): OnPaper {
  return view.at(wallPoint(end, line, end.edge.outer[line]!));
}

const endOn = (end: EndCut, view: Seen): OnPaper[] =>
  Array.from({ length: WALL_LINES / STEP }, (_, step) => edgeAt(end, step * STEP, view));

/** Whether a straight tube runs towards the eye. */
export const isEndOn = (piece: Piece, view: Pick<Seen, 'name'>): boolean =>
  piece.path.arcs.length === 0 && Math.abs(dot(piece.direction, EYE[view.name])) > 0.98;

/** Points of a centre line that show its shape. */
export function centreLine(piece: Piece, view: Seen): OnPaper[] {
  const stations = [0, ...between(piece, 0, piece.length), piece.length];
  return stations.map((station) => view.at(pointOn(piece.path, station).at));
}
