import type { Node, Plate } from '@larchwood/format';
import type { Frame, Piece } from '../frame/frame.js';
import { acrossOf } from '../frame/sections.js';
import { lying } from '../steering/parts.js';
import {
  add,
  along,
  cross,
  distance,
  dot,
  length,
  scale,
  subtract,
  unit,
  type Vector,
} from '../vector/vector.js';

export interface Gusset {
  readonly node: string;
  readonly offset: Vector;
  readonly turn: number;
  readonly tilt: number;
  readonly outline: [number, number][];
  /** Between the two tubes, degrees. */
  readonly angle: number;
}

/** Tubes in line, or nearly, have no corner for a gusset; degrees. Common practice, no source. */
const FLAT = 12;
/** A gusset’s nose is so wide, mm. Common practice, no source. */
const NOSE = 4;

/**
 * A gusset in the corner of two tubes that meet: its edges lie on their outsides, a leg long along each.
 * @returns none where they do not meet at a node, or run in line
 */
export function gussetBetween(
  { nodes }: Pick<Frame, 'nodes'>,
  a: Piece,
  b: Piece,
  leg: number,
): Gusset | undefined {
  const ends = [a, b].map(({ member, start, end }) => [
    { node: member.nodes[0], at: start },
    { node: member.nodes[1], at: end },
  ]);
  let near = { gap: Infinity, node: '', corner: [0, 0, 0] as Vector };
  for (const { node, at } of ends.flat()) {
    const gap = Math.max(...[a, b].map((piece) => away(piece, at)));
    if (gap < near.gap && nodes[node]) near = { gap, node, corner: at };
  }
  if (near.gap > acrossOf(a.section) + acrossOf(b.section)) return undefined;
  const [wayA, wayB] = [a, b].map((piece) => from(piece, near.corner)) as [Vector, Vector];
  const cosine = Math.max(-1, Math.min(1, dot(wayA, wayB)));
  const angle = (Math.acos(cosine) * 180) / Math.PI;
  if (angle < FLAT || angle > 180 - FLAT) return undefined;
  const normal = unit(cross(wayA, wayB));
  const { turn, tilt, first, second } = lying(normal);
  const inward = (way: Vector, other: Vector) => unit(subtract(other, scale(way, dot(other, way))));
  const [intoA, intoB] = [inward(wayA, wayB), inward(wayB, wayA)];
  const [ra, rb] = [acrossOf(a.section) / 2, acrossOf(b.section) / 2];
  // Where the two edges cross: as far along each tube as the other one’s outside asks.
  const sine = Math.sin((angle * Math.PI) / 180);
  const root = (ra * Math.cos((angle * Math.PI) / 180) + rb) / sine;
  const rootB = (rb * Math.cos((angle * Math.PI) / 180) + ra) / sine;
  const onA = (by: number) => along(scale(wayA, by), intoA, ra);
  const onB = (by: number) => along(scale(wayB, by), intoB, rb);
  const points = [
    onA(root),
    onA(root + leg),
    along(onA(root + leg), intoA, NOSE),
    along(onB(rootB + leg), intoB, NOSE),
    onB(rootB + leg),
  ];
  return {
    ...{ node: near.node, turn, tilt, angle },
    offset: subtract(near.corner, nodes[near.node]!),
    outline: points.map((point): [number, number] => [
      Math.round(dot(point, first) * 100) / 100,
      Math.round(dot(point, second) * 100) / 100,
    ]),
  };
}

/** From a point to a piece’s line between its nodes, mm. */
function away({ start, end }: Piece, at: Vector): number {
  const way = subtract(end, start);
  const share = Math.min(1, Math.max(0, dot(subtract(at, start), way) / Math.max(1e-9, dot(way, way))));
  return distance(at, add(start, scale(way, share)));
}
/** Along a piece, away from a corner. */
function from({ start, end }: Piece, corner: Vector): Vector {
  const farther = distance(corner, start) > distance(corner, end) ? start : end;
  const way = subtract(farther, corner);
  return length(way) < 1e-9 ? [1, 0, 0] : unit(way);
}

/** A plate of a gusset, on its node. */
export const gussetPlate = (
  { node, turn, tilt, outline }: Gusset,
  id: string,
  piece: number,
  mirrored: boolean,
): Plate => ({
  ...{ id, piece, name: 'Gusset', node, thickness: 3, material: 'mild-steel', mirrored },
  ...{ plane: 'plan', tilt, turn, outline, holes: [], bendLines: [] },
  corners: outline.map(([x, y]) => ({ at: [x, y], cut: 'sharp', size: 0 })),
});

/** Nodes besides, for what is drawn off them. */
export const nodeBeside = (id: string, node: string, offset: Vector): Node => ({
  id,
  name: 'Gusset corner',
  anchor: { on: 'node', node, offset: [...offset] as [number, number, number] },
});
