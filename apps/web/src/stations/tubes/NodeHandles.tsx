import { useRef, type PointerEvent } from 'react';
import { nearestOn, pointOn, VIEW_AXES, type Plan, type Vector } from '@larchwood/core';
import type { BuildDocument, Node } from '@larchwood/format';
import { memberOf, useEditor } from '../../editor/editor';
import { moveNode, shiftNode, slidesOn } from '../../edits/frame';
import type { View } from '../../sheet/view';

/** The nodes of the tube in hand: those that can be moved here are dragged along their host, or in the view's plane. */
export function NodeHandles({
  plan,
  view,
  reference,
}: {
  readonly plan: Plan;
  readonly view: View;
  readonly reference: string;
}) {
  const { document } = useEditor('document');
  const member = document.frame.members.find(({ id }) => id === memberOf(reference));
  if (!member) return null;
  const ids = [member.nodes[0], ...member.bends.map(({ node }) => node), member.nodes[1]];
  const right =
    reference.endsWith(':right') || (member.mirrored && view.name === 'side' && !reference.includes(':'));
  return ids.map((id) => {
    const node = document.frame.nodes.find((each) => each.id === id);
    const at = plan.frame.nodes[id];
    return node && at ? (
      <NodeHandle
        key={id}
        node={node}
        at={member.mirrored && right ? [at[0], -at[1], at[2]] : at}
        flipped={member.mirrored && right}
        view={view}
        plan={plan}
      />
    ) : null;
  });
}

interface HandleProps {
  readonly node: Node;
  readonly at: Vector;
  readonly flipped: boolean;
  readonly view: View;
  readonly plan: Plan;
}

const canMove = (document: BuildDocument, { anchor }: Node): boolean =>
  slidesOn(document, anchor) !== undefined || ['stance', 'node', 'between', 'fixed'].includes(anchor.on);

function NodeHandle({ node, at, flipped, view, plan }: HandleProps) {
  const { document, present, edit, settle, setDragging } = useEditor(
    'document',
    'present',
    'edit',
    'settle',
    'setDragging',
  );
  const from = useRef<{ x: number; y: number; at: Vector }>(undefined);
  const movable = canMove(document, node);
  const [x, y] = view.at(at);

  const move = (event: PointerEvent<SVGElement>) => {
    const held = from.current;
    if (!held) return;
    const [across, up] = VIEW_AXES[view.name];
    const by: [number, number, number] = [0, 0, 0];
    by[across] = (event.clientX - held.x) / view.scale;
    by[up] = -(event.clientY - held.y) / view.scale;
    const wanted: Vector = [held.at[0] + by[0], held.at[1] + by[1], held.at[2] + by[2]];
    const left: Vector = flipped ? [wanted[0], -wanted[1], wanted[2]] : wanted;
    const now = present().frame.nodes.find(({ id }) => id === node.id);
    if (!now) return;
    edit(`node.${node.id}`, moved(now, left, present(), plan));
  };
  return (
    <circle
      cx={x}
      cy={y}
      r={movable ? 7 : 4}
      fill={movable ? 'var(--sheet)' : 'var(--larch)'}
      stroke="var(--larch)"
      strokeWidth="2"
      className={movable ? 'cursor-grab' : ''}
      aria-label={node.name}
      onPointerDown={(event) => {
        if (!movable) return;
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, y: event.clientY, at };
        setDragging(true);
      }}
      onPointerMove={move}
      onPointerUp={() => {
        from.current = undefined;
        setDragging(false);
        settle();
      }}
      onPointerCancel={() => {
        from.current = undefined;
        setDragging(false);
      }}
      onClick={(event) => event.stopPropagation()}
    />
  );
}

/** The change that brings a node as near to a point as what it is tied to lets it. */
function moved(node: Node, wanted: Vector, document: BuildDocument, plan: Plan) {
  const host = slidesOn(document, node.anchor);
  const piece =
    host && plan.frame.pieces.find(({ member, side }) => member.id === host.id && side !== 'right');
  if (piece) {
    const { station } = nearestOn(piece.path, wanted);
    const { anchor } = node;
    if (anchor.on === 'share') return moveNode(node.id, Math.round((station / piece.length) * 1000) / 1000);
    const counted = anchor.on === 'member' && anchor.from === 'end' ? piece.length - station : station;
    return moveNode(node.id, Math.round(counted));
  }
  const at = plan.frame.nodes[node.id] ?? pointOn(plan.frame.pieces[0]!.path, 0).at;
  return shiftNode(node.id, [wanted[0] - at[0], wanted[1] - at[1], wanted[2] - at[2]]);
}
