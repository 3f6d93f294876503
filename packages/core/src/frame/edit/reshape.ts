import type { BuildDocument, End, Host, Member, Node } from '@larchwood/format';
import { failure, success, type Result } from '../../result.js';
import { distance, scale } from '../../vector/vector.js';
import { uppermost, type Frame, type Piece } from '../frame.js';
import { nearestOn, pointOn } from '../path.js';
import { halfBeside } from '../across.js';
import { acrossOf } from '../sections.js';
import {
  endWithout,
  freeId,
  memberOf,
  nextPiece,
  withEnd,
  withFrame,
  withMember,
  withSections,
} from './graph.js';

const GONE = 'That tube is not in the frame.';

/** Puts a bend into a member at a share of its length, its corner moved off the line by so much, mm: down, or back where the tube is upright. */
export function bendMember(
  document: BuildDocument,
  frame: Frame,
  id: string,
  share: number,
  by: number,
): Result<BuildDocument> {
  const member = memberOf(document, id);
  const piece = leftPiece(frame, id);
  if (!member || !piece) return failure(GONE);
  const station = piece.length * Math.min(0.95, Math.max(0.05, share));
  const off = scale(uppermost(pointOn(piece.path, station).direction), -by);
  const corners = [piece.start, ...member.bends.map(({ node }) => frame.nodes[node]!), piece.end];
  const stations = corners.map((corner) => nearestOn(piece.path, corner).station);
  const between = stations.findIndex((each) => each > station);
  const ids = [member.nodes[0], ...member.bends.map(({ node }) => node), member.nodes[1]];
  const [a, b] = [stations[between - 1]!, stations[between]!];
  const within = Math.min(0.95, Math.max(0.05, (station - a) / (b - a)));
  const nodeId = freeId(document, 'bend');
  const node: Node = {
    id: nodeId,
    name: `${member.name}, corner`,
    anchor: {
      on: 'between',
      nodes: [ids[between - 1]!, ids[between]!],
      share: Math.round(within * 1e4) / 1e4,
      offset: [tenth(off[0]), tenth(off[1]), tenth(off[2])],
    },
  };
  const bends = [...member.bends];
  bends.splice(between - 1, 0, { node: nodeId, radius: Math.round(USUAL_RADIUS * acrossOf(piece.section)) });
  return success(withMember(withFrame(document, { nodes: [...document.frame.nodes, node] }), id, { bends }));
}
const tenth = (value: number): number => Math.round(value * 10) / 10 + 0;
/** Centre-line radius of a new bend, in diameters [common practice]. */
const USUAL_RADIUS = 4;

/** Takes a bend out of a member. */
export function straighten(document: BuildDocument, id: string, bend: number): Result<BuildDocument> {
  const member = memberOf(document, id);
  if (!member?.bends[bend]) return failure('There is no such bend.');
  const next = withMember(document, id, { bends: member.bends.filter((_, index) => index !== bend) });
  return success(withoutUnusedNodes(next, [member.bends[bend].node]));
}

/**
 * Cuts a member in two at a share of its length. The second part is a piece of its own; what sat on the member beyond the
 * cut sits on it, and ends that were cut to fit the member there are cut to fit it.
 */
export function splitMember(
  document: BuildDocument,
  frame: Frame,
  id: string,
  share: number,
): Result<BuildDocument> {
  const member = memberOf(document, id);
  const piece = leftPiece(frame, id);
  if (!member || !piece) return failure(GONE);
  if (share < 0.02 || share > 0.98) return failure('That is at the end of the tube already.');
  if (member.bends.length > 0 && piece.path.arcs.some((arc) => inArc(arc, share * piece.length)))
    return failure('There is a bend there: split it on a straight.');
  const at = pointOn(piece.path, share * piece.length).at;
  const cut = share * piece.length;
  const nodeId = freeId(document, 'split');
  const secondId = freeId(document, `${id}Rest`);
  const stationOf = (node: string) => nearestOn(piece.path, frame.nodes[node]!).station;
  const before = member.bends.filter(({ node }) => stationOf(node) < cut);
  const after = member.bends.filter(({ node }) => stationOf(node) >= cut);
  const [left, right] = [before.at(-1)?.node ?? member.nodes[0], after[0]?.node ?? member.nodes[1]];
  const span = distance(frame.nodes[left]!, frame.nodes[right]!);
  const node: Node = {
    id: nodeId,
    name: `Split of ${member.name}`,
    anchor: {
      on: 'between',
      nodes: [left, right],
      share: Math.round((distance(frame.nodes[left]!, at) / span) * 1e5) / 1e5,
      offset: [0, 0, 0],
    },
  };
  const plain = { cut: 'plain' as const, setback: 0, allowance: 0 };
  const first: Member = {
    ...member,
    nodes: [member.nodes[0], nodeId],
    bends: before,
    ends: { start: member.ends.start, end: plain },
  };
  const second: Member = {
    ...member,
    id: secondId,
    piece: nextPiece(document),
    name: `${member.name}, second part`,
    nodes: [nodeId, member.nodes[1]],
    bends: after,
    ends: { start: plain, end: member.ends.end },
  };
  const nodes = document.frame.nodes.map((each) => moved(each, frame, id, secondId, piece, share));
  const members = document.frame.members.flatMap((each) =>
    each.id === id ? [first, second] : [rehosted(each, frame, id, secondId, piece, cut)],
  );
  return success(withFrame(document, { nodes: [...nodes, node], members }));
}

const inArc = (arc: Piece['path']['arcs'][number], station: number): boolean =>
  station > arc.station && station < arc.station + arc.length;

/** A node that sat on the split member, on the part where it now is. */
function moved(node: Node, frame: Frame, id: string, secondId: string, piece: Piece, share: number): Node {
  const { anchor } = node;
  const cut = share * piece.length;
  if (
    (anchor.on === 'square' || anchor.on === 'inLine' || anchor.on === 'parallel') &&
    anchor.member === id
  ) {
    const at = frame.nodes[node.id];
    const beyond = at !== undefined && nearestOn(piece.path, at).station > cut;
    return beyond ? { ...node, anchor: { ...anchor, member: secondId } } : node;
  }
  if (anchor.on === 'share' && anchor.member === id) {
    const beyond = anchor.share > share;
    return {
      ...node,
      anchor: {
        ...anchor,
        member: beyond ? secondId : id,
        share: beyond ? (anchor.share - share) / (1 - share) : anchor.share / share,
      },
    };
  }
  if (anchor.on !== 'member' || anchor.member !== id) return node;
  const station = anchor.from === 'start' ? anchor.distance : piece.length - anchor.distance;
  if (station > cut)
    return {
      ...node,
      anchor: {
        ...anchor,
        member: secondId,
        distance: anchor.from === 'start' ? station - cut : anchor.distance,
      },
    };
  return { ...node, anchor: { ...anchor, distance: anchor.from === 'start' ? station : cut - station } };
}

/** A member whose ends were cut to fit the split one, now to fit the part that they reach. */
function rehosted(
  member: Member,
  frame: Frame,
  id: string,
  secondId: string,
  piece: Piece,
  cut: number,
): Member {
  const end = (name: 'start' | 'end'): Member['ends']['start'] => {
    const each = member.ends[name];
    const hosts = each.cut === 'coped' ? each.hosts : each.cut === 'mitred' ? [each.with] : [];
    if (!hosts.some((host) => host.member === id)) return each;
    const at = frame.nodes[member.nodes[name === 'start' ? 0 : 1]];
    if (at === undefined || nearestOn(piece.path, at).station <= cut) return each;
    const to = (host: Host): Host => (host.member === id ? { ...host, member: secondId } : host);
    if (each.cut === 'coped') return { ...each, hosts: each.hosts.map(to) };
    return each.cut === 'mitred' ? { ...each, with: to(each.with) } : each;
  };
  const through = member.through?.includes(id) ? { through: [...member.through, secondId] } : {};
  return { ...member, ...through, ends: { start: end('start'), end: end('end') } };
}

/**
 * Lets the other tube run through: this end's first host is cut to fit this tube instead. The host must end there; one
 * that runs on past the joint has to be split first.
 */
export function swapThrough(
  document: BuildDocument,
  frame: Frame,
  id: string,
  name: 'start' | 'end',
): Result<BuildDocument> {
  const member = memberOf(document, id);
  const end = member?.ends[name];
  if (!member || end?.cut !== 'coped') return failure('That end is not cut to fit another tube.');
  const [host] = end.hosts;
  const hostMember = host && memberOf(document, host.member);
  const joint = frame.nodes[member.nodes[name === 'start' ? 0 : 1]];
  const hostPiece = host && leftPiece(frame, host.member);
  if (!host || !hostMember || !hostPiece || !joint) return failure(GONE);
  const own = leftPiece(frame, id)!;
  const reach = acrossOf(hostPiece.section) / 2 + acrossOf(own.section);
  const gaps = [distance(hostPiece.start, joint), distance(hostPiece.end, joint)] as const;
  if (Math.min(...gaps) > reach)
    return failure(
      `${hostMember.name} runs on past the joint on both sides. Split it there first, and let the parts be cut to fit.`,
    );
  const hostEnd = gaps[0] <= gaps[1] ? 'start' : 'end';
  const hostStation = hostEnd === 'start' ? 0 : hostPiece.length;
  const side = host.side === 'same' ? ('same' as const) : host.side;
  const through = withEnd(document, hostMember.id, hostEnd, {
    cut: 'coped',
    hosts: [{ member: id, side: hostMember.mirrored === member.mirrored ? 'same' : side }],
    besideAxis: false,
    allowance: hostMember.ends[hostEnd].allowance,
  });
  const others = end.hosts.slice(1);
  return success(
    withEnd(
      through,
      id,
      name,
      others.length > 0
        ? { ...end, hosts: others }
        : {
            cut: 'plain',
            setback: -Math.round(halfBeside(hostPiece, hostStation, own.direction) + THROUGH),
            allowance: end.allowance,
          },
    ),
  );
}
/** How far a tube that now runs through stands out past its former host, mm. */
const THROUGH = 6;

/** Makes a single tube one of a pair, or a pair a single left one. */
export function mirrorMember(document: BuildDocument, frame: Frame, id: string): Result<BuildDocument> {
  const member = memberOf(document, id);
  const piece = leftPiece(frame, id);
  if (!member || !piece) return failure(GONE);
  if (
    !member.mirrored &&
    Math.abs(piece.start[1]) < 0.5 &&
    Math.abs(piece.end[1]) < 0.5 &&
    member.bends.length === 0
  )
    return failure('It lies in the middle plane: its twin would be itself.');
  return success(withMember(document, id, { mirrored: !member.mirrored }));
}

/**
 * Takes members out. Nodes that sat on them stay where they are, ends that were cut to fit them lose that host, and
 * nodes that nobody uses any more go too.
 */
export function deleteMembers(document: BuildDocument, frame: Frame, ids: readonly string[]): BuildDocument {
  const gone = new Set(ids);
  const nodes = document.frame.nodes.map((node): Node => {
    const { anchor } = node;
    const lost =
      ('member' in anchor && gone.has(anchor.member)) || (anchor.on === 'parallel' && gone.has(anchor.to));
    const at = frame.nodes[node.id];
    return lost && at ? { ...node, anchor: { on: 'fixed', at: [at[0], at[1], at[2]] } } : node;
  });
  const free = (member: Member, name: 'start' | 'end'): End =>
    endWithout(
      member.ends[name],
      (id) => !gone.has(id),
      (id) => memberOf(document, id)?.name,
    );
  const members = document.frame.members
    .filter((member) => !gone.has(member.id))
    .map((member) => {
      const { through, ...rest } = member;
      const left = through?.filter((id) => !gone.has(id));
      return {
        ...rest,
        ...(left && left.length > 0 ? { through: left } : {}),
        ends: { start: free(member, 'start'), end: free(member, 'end') },
      };
    });
  const own = document.frame.members
    .filter((member) => gone.has(member.id))
    .flatMap((member) => [...member.nodes, ...member.bends.map(({ node }) => node)]);
  return withoutUnusedNodes(withSections(withFrame(document, { nodes, members })), own);
}

/** Drops those of the named nodes that no tube, plate or other node needs any more. */
function withoutUnusedNodes(document: BuildDocument, candidates: readonly string[]): BuildDocument {
  const { nodes, members, plates } = document.frame;
  const needed = new Set([
    ...members.flatMap((member) => [...member.nodes, ...member.bends.map(({ node }) => node)]),
    ...plates.map(({ node }) => node),
    ...nodes.flatMap(({ anchor }) =>
      'node' in anchor ? [anchor.node] : 'nodes' in anchor ? anchor.nodes : [],
    ),
  ]);
  const spare = new Set(candidates.filter((id) => !needed.has(id)));
  return spare.size === 0
    ? document
    : withFrame(document, { nodes: nodes.filter((node) => !spare.has(node.id)) });
}

const leftPiece = (frame: Frame, id: string): Piece | undefined =>
  frame.pieces.find(({ member, side }) => member.id === id && side !== 'right');
