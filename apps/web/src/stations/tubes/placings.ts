import { nearestOn, withAnchor, type Change, type Frame } from '@larchwood/core';
import type { Anchor, BuildDocument, Member, Node } from '@larchwood/format';

/** One way to say where a node is. */
export interface Placing {
  readonly id: string;
  readonly group: string;
  readonly label: string;
  readonly current: boolean;
  /** None for the way it is placed now. */
  readonly change?: Change;
}

const stanceWord = (point: string): string => point.replace(/([A-Z])/g, ' $1').toLowerCase();

/** The ways in which a node can be placed, in builders' words; the present one first. */
export function placings(
  document: BuildDocument,
  frame: Frame,
  node: Node,
  member: Member,
): readonly Placing[] {
  const { anchor } = node;
  const now: Placing = { id: 'now', group: '', label: described(document, anchor), current: true };
  const at = frame.nodes[node.id];
  const other = member.nodes[0] === node.id ? member.nodes[1] : member.nodes[0];
  const change =
    (next: Anchor): Change =>
    (before) =>
      withAnchor(before, node.id, next);
  const found: Placing[] = [];
  const add = (id: string, group: string, label: string, next: Anchor) => {
    if (JSON.stringify(next) !== JSON.stringify(anchor))
      found.push({ id, group, label, current: false, change: change(next) });
  };
  const host = 'member' in anchor ? anchor.member : hostOf(document, frame, node, member);
  const hostPiece = frame.pieces.find(({ member: each, side }) => each.id === host && side !== 'right');
  if (host !== undefined && hostPiece && at) {
    const name = hostPiece.member.name.toLowerCase();
    const station = nearestOn(hostPiece.path, at).station;
    const offset = [0, 0, 0] as [number, number, number];
    add('midway', `On the ${name}`, 'midway', { on: 'share', member: host, share: 0.5, offset });
    add('share', `On the ${name}`, 'part of the way', {
      on: 'share',
      member: host,
      share: Math.round((station / hostPiece.length) * 1000) / 1000,
      offset,
    });
    add('distance', `On the ${name}`, 'at a distance from its first end', {
      on: 'member',
      member: host,
      from: 'start',
      distance: Math.round(station * 10) / 10,
      offset,
    });
    add('square', `On the ${name}`, 'square to it from the other end', {
      on: 'square',
      member: host,
      node: other,
    });
    for (const line of frame.pieces.filter(
      ({ side, member: each }) => side !== 'right' && each.id !== host && each.id !== member.id,
    )) {
      add(
        `inLine.${line.member.id}`,
        'In line with',
        `piece ${line.member.piece}, ${line.member.name.toLowerCase()}`,
        {
          on: 'inLine',
          member: host,
          nodes: [line.member.nodes[0], line.member.nodes[1]],
        },
      );
      add(
        `parallel.${line.member.id}`,
        'At a distance from the line of',
        `piece ${line.member.piece}, ${line.member.name.toLowerCase()}`,
        {
          on: 'parallel',
          member: host,
          to: line.member.id,
          distance: 50,
        },
      );
    }
  }
  if (!member.mirrored)
    add('mirror', 'Other', 'the same as the other end, on the other side', { on: 'mirror', node: other });
  if (at)
    add('fixed', 'Other', 'where it is now, tied to nothing', {
      on: 'fixed',
      at: [round(at[0]), round(at[1]), round(at[2])],
    });
  return [now, ...found];
}

const round = (value: number): number => Math.round(value * 10) / 10;

/** The member that a node's own end is cut to fit, as the one it would slide on. */
function hostOf(document: BuildDocument, frame: Frame, node: Node, member: Member): string | undefined {
  const end =
    member.nodes[0] === node.id
      ? member.ends.start
      : member.nodes[1] === node.id
        ? member.ends.end
        : undefined;
  return end?.cut === 'coped' ? end.hosts[0]?.member : undefined;
}

function described(document: BuildDocument, anchor: Anchor): string {
  const member = (id: string) =>
    document.frame.members.find((each) => each.id === id)?.name.toLowerCase() ?? 'a tube that is gone';
  const node = (id: string) => document.frame.nodes.find((each) => each.id === id)?.name.toLowerCase() ?? id;
  switch (anchor.on) {
    case 'stance':
      return anchor.offset.every((value) => value === 0)
        ? `at the ${stanceWord(anchor.point)}`
        : `off the ${stanceWord(anchor.point)}`;
    case 'member':
      return `on the ${member(anchor.member)}`;
    case 'share':
      return anchor.share === 0.5
        ? `midway on the ${member(anchor.member)}`
        : `part way on the ${member(anchor.member)}`;
    case 'node':
      return `beside ${node(anchor.node)}`;
    case 'between':
      return anchor.share === 0.5
        ? `midway between ${anchor.nodes.map(node).join(' and ')}`
        : `between ${anchor.nodes.map(node).join(' and ')}`;
    case 'mirror':
      return `the same on the other side as ${node(anchor.node)}`;
    case 'square':
      return `square to the ${member(anchor.member)}`;
    case 'inLine':
      return `on the ${member(anchor.member)}, in line with ${anchor.nodes.map(node).join(' and ')}`;
    case 'parallel':
      return `on the ${member(anchor.member)}, apart from the ${member(anchor.to)}`;
    case 'fixed':
      return 'tied to nothing';
  }
}
