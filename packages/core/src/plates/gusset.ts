import type { Node, Plate } from '@larchwood/format';
import { crossingAt, outlineOf } from '../frame/outline.js';
import type { Frame, Piece } from '../frame/frame.js';
import { carried, nearestOn, pointOn } from '../frame/path.js';
import { acrossOf, sizeAt } from '../frame/sections.js';
import { lying } from '../steering/parts.js';
import { add, along, cross, dot, scale, subtract, unit, type Vector } from '../vector/vector.js';

export interface Gusset {
  readonly node: string;
  readonly offset: Vector;
  readonly turn: number;
  readonly tilt: number;
  readonly outline: [number, number][];
  /** Between the two tubes, degrees. */
  readonly angle: number;
}

/** Why a corner takes no gusset. */
export type NoGusset =
  | { readonly why: 'no-corner' }
  /** The corner lies in a bend of this piece. */
  | { readonly why: 'in-bend'; readonly piece: string }
  /** A leg runs into a bend, or off the tube: it may be so long at most, mm. */
  | { readonly why: 'into-bend' | 'off-tube'; readonly piece: string; readonly most: number }
  /** The tube lies beside the plane of the two: no gusset reaches its wall. */
  | { readonly why: 'beside'; readonly piece: string };

/** Tubes in line, or nearly, have no corner for a gusset; degrees. Common practice, no source. */
const FLAT = 12;
/** A gusset’s nose is so wide, mm. Common practice, no source. */
const NOSE = 4;

/**
 * A gusset in the corner of two tubes that meet: its edges lie on their walls where its plane cuts these, whatever their
 * sections, a leg long along each.
 * @param leg mm, along each tube
 * @returns the gusset, or why there is none
 */
export function gussetBetween(
  { nodes }: Pick<Frame, 'nodes'>,
  a: Piece,
  b: Piece,
  leg: number,
): Gusset | NoGusset {
  const ends = [a, b].map(({ member, start, end }) => [
    { node: member.nodes[0], at: start },
    { node: member.nodes[1], at: end },
  ]);
  let near = { gap: Infinity, node: '', corner: [0, 0, 0] as Vector };
  for (const { node, at } of ends.flat()) {
    const gap = Math.max(...[a, b].map(({ path }) => nearestOn(path, at).away));
    if (gap < near.gap && nodes[node]) near = { gap, node, corner: at };
  }
  if (near.gap > acrossOf(a.section) + acrossOf(b.section)) return { why: 'no-corner' };
  const [runA, runB] = [runFrom(a, near.corner), runFrom(b, near.corner)];
  if (!runA) return { why: 'in-bend', piece: a.mark };
  if (!runB) return { why: 'in-bend', piece: b.mark };
  const cosine = Math.max(-1, Math.min(1, dot(runA.way, runB.way)));
  const angle = (Math.acos(cosine) * 180) / Math.PI;
  if (angle < FLAT || angle > 180 - FLAT) return { why: 'no-corner' };
  const normal = unit(cross(runA.way, runB.way));
  const { turn, tilt, first, second } = lying(normal);
  // Centre lines that pass each other have the plate half-way between them.
  const level = (dot(runA.at, normal) + dot(runB.at, normal)) / 2;
  const inward = (way: Vector, other: Vector) => unit(subtract(other, scale(way, dot(other, way))));
  const [sideA, sideB] = [
    sideOf(runA, inward(runA.way, runB.way), normal, level),
    sideOf(runB, inward(runB.way, runA.way), normal, level),
  ];
  const [rootA, rootB] = rootsOf(sideA, sideB);
  const legs = [
    [a, sideA, rootA],
    [b, sideB, rootB],
  ] as const;
  for (const [{ mark: piece }, { run }, root] of legs) {
    const most = run.length - root;
    if (leg > most + 1e-6)
      return { why: run.bends ? 'into-bend' : 'off-tube', piece, most: Math.max(0, most) };
  }
  for (const [{ mark: piece }, side, root] of legs)
    if ([root, root + leg].some((by) => Number.isNaN(side.high(by)))) return { why: 'beside', piece };
  const [farA, farB] = [sideA.on(rootA + leg), sideB.on(rootB + leg)];
  const points = [sideA.on(rootA), farA, along(farA, sideA.into, NOSE), along(farB, sideB.into, NOSE), farB];
  const corner = along(near.corner, normal, level - dot(near.corner, normal));
  return {
    ...{ node: near.node, turn, tilt, angle },
    offset: subtract(corner, nodes[near.node]!),
    outline: points.map((point): [number, number] => [
      Math.round(dot(subtract(point, corner), first) * 100) / 100,
      Math.round(dot(subtract(point, corner), second) * 100) / 100,
    ]),
  };
}

/** A piece’s straight from a corner on, away from it: the longer of its two ways. */
interface Run {
  readonly piece: Piece;
  readonly at: Vector;
  readonly way: Vector;
  readonly length: number;
  /** It ends where the piece bends. */
  readonly bends: boolean;
  readonly station: number;
  readonly sign: 1 | -1;
}

function runFrom(piece: Piece, corner: Vector): Run | undefined {
  const { path } = piece;
  const { station } = nearestOn(path, corner);
  const sign = path.length - station >= station ? 1 : -1;
  const leg = path.legs.find(
    (each) => station >= each.station - NEAR && station <= each.station + each.length + NEAR,
  );
  if (!leg) return undefined;
  const end = sign === 1 ? leg.station + leg.length : leg.station;
  return {
    ...{ piece, station, sign, at: pointOn(path, station).at, way: scale(leg.direction, sign) },
    length: Math.abs(end - station),
    bends: end > NEAR && end < path.length - NEAR,
  };
}
/** A corner this near to where a bend begins lies on the straight, mm. */
const NEAR = 0.5;

/** The side of a run that looks into the corner, where the gusset’s plane cuts its wall. */
interface RunSide {
  readonly run: Run;
  readonly into: Vector;
  /** From the centre line to the wall, so far along from the corner, mm; not a number where the plane passes it by. */
  readonly high: (by: number) => number;
  readonly on: (by: number) => Vector;
}

function sideOf(run: Run, into: Vector, normal: Vector, level: number): RunSide {
  const { piece, station, sign, at, way } = run;
  const { path, section } = piece;
  const top = carried(path, piece.top, station);
  const side = cross(scale(way, sign), top);
  const off = level - dot(at, normal);
  const high = (by: number): number => {
    const size = sizeAt(section, piece.length, Math.min(path.length, Math.max(0, station + sign * by)));
    const outline = outlineOf(section, size, section.wall, false);
    return (
      crossingAt(outline, [dot(top, into), dot(side, into)], [dot(top, normal), dot(side, normal)], off)
        ?.out ?? NaN
    );
  };
  return {
    ...{ run, into, high },
    on: (by) => add(along(at, way, by), add(scale(into, high(by)), scale(normal, off))),
  };
}

/** How far along each run the two edges cross. Source: two lines in a plane; each as it runs at the corner. */
function rootsOf(a: RunSide, b: RunSide): readonly [number, number] {
  const [high, otherHigh] = [a.high(0), b.high(0)];
  const apart = subtract(add(b.run.at, scale(b.into, otherHigh)), add(a.run.at, scale(a.into, high)));
  // Square to the other’s way: a.way · b.into is the sine of the angle between them.
  return [dot(apart, b.into) / dot(a.run.way, b.into), -dot(apart, a.into) / dot(b.run.way, a.into)];
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
