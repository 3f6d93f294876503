import { describe, expect, it } from 'vitest';
import { pointOn, VIEW_AXES, type Frame, type Piece } from '@larchwood/core';
import { made, planMade } from '../../../../testing/made.js';
import { fitView, vehicleExtent } from '../sheet/view';
import { spotAt, spotOn } from './spots';

const plan = planMade(made('kart', 'ladder'));
const view = fitView(vehicleExtent(plan, 'plan'), 782, 558, 'plan');
/** A frame of these pieces, with their own nodes only. */
const only = (...pieces: Piece[]): Frame => ({
  ...plan.frame,
  pieces,
  nodes: Object.fromEntries(
    pieces.flatMap(({ member }) => member.nodes.map((id) => [id, plan.frame.nodes[id]!] as const)),
  ),
});
const nodesOf = ({ member: { nodes } }: Piece) => nodes;
const straight = plan.frame.pieces.find(
  ({ side, length, path }) => side === 'left' && length > 500 && path.arcs.length === 0,
)!;
const mid = (piece: Piece) => pointOn(piece.path, piece.length / 2).at;

describe('a press on the sheet', () => {
  it('takes a node within nine pixels, and the tube beyond', () => {
    const end = view.at(plan.frame.nodes[nodesOf(straight)[0]]!);
    const ahead = view.at(pointOn(straight.path, straight.length / 3).at);
    const size = Math.hypot(ahead[0] - end[0], ahead[1] - end[1]);
    const along = (px: number) =>
      spotAt(only(straight), view, [
        end[0] + ((ahead[0] - end[0]) * px) / size,
        end[1] + ((ahead[1] - end[1]) * px) / size,
      ]);
    expect(along(8.9)).toEqual({ node: nodesOf(straight)[0], side: 'left' });
    expect(along(9.9)).toMatchObject({ member: straight.member.id, side: 'left' });
  });
  it('takes a tube within sixteen pixels of its axis, and nothing further off', () => {
    const at = view.at(pointOn(straight.path, straight.length * 0.3).at);
    const [from, to] = [
      view.at(pointOn(straight.path, 0).at),
      view.at(pointOn(straight.path, straight.length).at),
    ];
    const size = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const off = (px: number) =>
      spotAt(only(straight), view, [
        at[0] - ((to[1] - from[1]) * px) / size,
        at[1] + ((to[0] - from[0]) * px) / size,
      ]);
    expect(off(15.9)).toMatchObject({ member: straight.member.id });
    expect(off(16.2)).toBeUndefined();
    expect(spotAt(only(), view, at)).toBeUndefined();
  });
  it('its middle is exactly the middle, and elsewhere the share is where it was pressed', () => {
    expect(spotAt(only(straight), view, view.at(mid(straight)))).toEqual({
      member: straight.member.id,
      side: 'left',
      share: 0.5,
    });
    const found = spotAt(only(straight), view, view.at(pointOn(straight.path, straight.length * 0.3).at));
    expect(found).toMatchObject({ share: expect.closeTo(0.3, 2) as number });
  });
  it('of two in line it takes the one in front', () => {
    const [, up] = VIEW_AXES.side;
    const twin = plan.frame.pieces.find(
      ({ side, member }) => side === 'right' && member.id === straight.member.id,
    )!;
    const side = fitView(vehicleExtent(plan, 'side'), 782, 558, 'side');
    expect(up).toBe(2);
    // Seen from the right, the right one is nearer.
    const pressed = side.at(pointOn(straight.path, straight.length * 0.3).at);
    for (const pieces of [
      [straight, twin],
      [twin, straight],
    ])
      expect(spotAt(only(...pieces), side, pressed)).toMatchObject({ side: 'right' });
  });
  it('in space, a node of the right twin lies mirrored; a way off it the tube itself is meant', () => {
    const twin = plan.frame.pieces.find(
      ({ side, member }) => side === 'right' && member.id === straight.member.id,
    )!;
    const [x, y, z] = plan.frame.nodes[nodesOf(twin)[0]]!;
    expect(spotOn(plan.frame, twin, [x, -y, z], 20)).toEqual({ node: nodesOf(twin)[0], side: 'right' });
    expect(spotOn(plan.frame, twin, mid(twin), 20)).toMatchObject({
      member: twin.member.id,
      side: 'right',
      share: 0.5,
    });
    const quarter = pointOn(twin.path, twin.length / 4).at;
    expect(spotOn(only(twin), twin, quarter, 20)).toMatchObject({ share: expect.closeTo(0.25, 6) as number });
  });
});
