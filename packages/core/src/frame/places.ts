import type { FrameData } from '@larchwood/format';
import { namedPoint } from '../stance/namedPoint.js';
import type { Stance } from '../stance/stance.js';
import type { Vector } from '../vector/vector.js';
import { asSentence } from '../words.js';
import { nearestOn, pointOn, type Path } from './path.js';

/** A place along a tube that has a name of its own: an axle over it, a joint on it, the foot of a seat stay. */
export interface Place {
  /** Of the stance point or node. */
  readonly id: string;
  readonly name: string;
  /** Along the centre line from the start node, mm. */
  readonly station: number;
  /** From the centre line: across the vehicle as well where the tube runs across it; mm. */
  readonly away: number;
}

/** Points of a stance that tubes are drilled for, by name: each stands for a line across the vehicle. */
const ACROSS: Readonly<Record<string, string>> = {
  rearAxle: 'Rear axle',
  frontAxle: 'Front axle',
  bottomBracket: 'BB',
  pivot: 'Swing-arm pivot',
  pegs: 'Foot pegs',
  pedals: 'Pedals',
  seatUnder: 'Seat, under the hip',
  seatFront: 'Seat, front edge',
};
/** So far beside a tube such a line may pass, and a node may lie, to be a place on it; mm. Common practice, no source. */
const BESIDE = { line: 150, node: 90 } as const;
/** Places nearer to a tube's node than this are outside it, mm. */
const INSIDE = 1;

/** Whether a tube runs across the vehicle rather than along it or up. */
function runsAcross(path: Path): boolean {
  const [from, to] = [pointOn(path, 0).at, pointOn(path, path.length).at];
  return Math.abs(to[1] - from[1]) > Math.hypot(to[0] - from[0], to[2] - from[2]);
}

/** Where a point comes to lie along a tube: by its place across the vehicle only where the tube runs across it. */
export function stationBeside(
  path: Path,
  point: Vector,
): { readonly station: number; readonly away: number } {
  if (runsAcross(path)) return nearestOn(path, point);
  let found = nearestOn(path, [point[0], pointOn(path, 0).at[1], point[2]]);
  for (let round = 0; round < ROUNDS; round += 1)
    found = nearestOn(path, [point[0], pointOn(path, found.station).at[1], point[2]]);
  return found;
}
/** A bent rail's way across changes along it: so many looks find the same place. */
const ROUNDS = 4;

/** All named places along a tube, from its start on; a node goes before a point of the stance of the same id, as where it is placed. */
export function placesOn(
  path: Path,
  { points, seatPoints }: Pick<Stance, 'points' | 'seatPoints'>,
  nodes: readonly { readonly id: string; readonly name: string; readonly at: Vector }[],
): readonly Place[] {
  const isNode = new Set(nodes.map(({ id }) => id));
  // Beside a tube that runs as an axle does, that has no place.
  const lines = (runsAcross(path) ? [] : Object.entries(ACROSS)).flatMap(([id, name]) => {
    const at = namedPoint({ points, seatPoints }, id);
    return at && !isNode.has(id) ? [{ id, name, at, most: BESIDE.line }] : [];
  });
  const joints = nodes.map((node) => ({ ...node, name: asSentence(node.name), most: BESIDE.node }));
  return [...lines, ...joints]
    .map(({ id, name, at, most }) => ({ id, name, most, ...stationBeside(path, at) }))
    .filter(({ station, away, most }) => away <= most && station >= INSIDE && station <= path.length - INSIDE)
    .sort((a, b) => a.station - b.station)
    .map(({ id, name, station, away }) => ({ id, name, station, away }));
}

/** The same of a piece of a frame. @param nodes of its document, by the names that the builder reads */
export const placesAlong = (
  { path }: { readonly path: Path },
  {
    stance,
    frame,
  }: { readonly stance: Stance; readonly frame: { readonly nodes: Readonly<Record<string, Vector>> } },
  nodes: FrameData['nodes'],
): readonly Place[] =>
  placesOn(
    path,
    stance,
    nodes.flatMap(({ id, name }) => {
      const at = frame.nodes[id];
      return at ? [{ id, name, at }] : [];
    }),
  );
