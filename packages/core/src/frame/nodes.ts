import { namedPoint } from '../stance/namedPoint.js';
import type { Anchor, FrameData, Member, Node } from '@larchwood/format';
import type { Stance } from '../stance/stance.js';
import { add, cross, distance, dot, mirror, scale, subtract, type Vector } from '../vector/vector.js';
import { nearestOn, pathOf, pointOn, type Path } from './path.js';

/** Two corners nearer than this, mm, are one point. */
const APART = 1;

export interface Placed {
  readonly nodes: ReadonlyMap<string, Vector>;
  /** Centre lines by member id, of the left twin where there are two; those that cannot be drawn are left out. */
  readonly paths: ReadonlyMap<string, Path>;
}

/**
 * Places every node, and every member's centre line between its nodes. A node whose anchor leads round in a circle, or
 * nowhere, is left out, and so is what hangs on it.
 */
export function placeNodes({ nodes, members }: Pick<FrameData, 'nodes' | 'members'>, stance: Stance): Placed {
  const nodeById = new Map(nodes.map((node) => [node.id, node]));
  const memberById = new Map(members.map((member) => [member.id, member]));
  const placed = new Map<string, Vector | undefined>();
  const paths = new Map<string, Path | undefined>();
  const open = new Set<Node>();

  const place = (id: string): Vector | undefined => {
    const node = nodeById.get(id);
    if (placed.has(id) || !node || open.has(node)) return placed.get(id);
    open.add(node);
    const at = anchored(node.anchor);
    open.delete(node);
    placed.set(id, at);
    return at;
  };
  const pathFor = (id: string): Path | undefined => {
    const member = memberById.get(id);
    if (paths.has(id) || !member) return paths.get(id);
    const path = centreLine(member, place);
    // A member that is being placed already leads round in a circle: it may still come right from the outside.
    if (path || open.size === 0) paths.set(id, path);
    return path;
  };
  const anchored = (anchor: Anchor): Vector | undefined => {
    switch (anchor.on) {
      case 'fixed':
        return anchor.at;
      case 'stance': {
        const point = namedPoint(stance, anchor.point);
        return point && add(point, anchor.offset);
      }
      case 'node': {
        const point = place(anchor.node);
        return point && add(point, anchor.offset);
      }
      case 'mirror': {
        const point = place(anchor.node);
        return point && mirror(point);
      }
      case 'between': {
        const [a, b] = anchor.nodes.map(place);
        return a && b && add(add(a, scale(subtract(b, a), anchor.share)), anchor.offset);
      }
      default:
        return onMember(anchor, pathFor(anchor.member), place, pathFor);
    }
  };
  for (const node of nodes) place(node.id);
  for (const member of members) pathFor(member.id);
  return { nodes: filled(placed), paths: filled(paths) };
}

type OnMember = Extract<Anchor, { readonly member: string }>;

function onMember(
  anchor: OnMember,
  path: Path | undefined,
  place: (id: string) => Vector | undefined,
  pathFor: (id: string) => Path | undefined,
): Vector | undefined {
  if (!path) return undefined;
  switch (anchor.on) {
    case 'member': {
      const station = anchor.from === 'start' ? anchor.distance : path.length - anchor.distance;
      return add(pointOn(path, station).at, anchor.offset);
    }
    case 'share':
      return add(pointOn(path, anchor.share * path.length).at, anchor.offset);
    case 'square': {
      const from = place(anchor.node);
      return from && pointOn(path, nearestOn(path, from).station).at;
    }
    case 'inLine': {
      const [a, b] = anchor.nodes.map(place);
      return a && b && nearestToLine(path, a, subtract(b, a));
    }
    case 'parallel': {
      const other = pathFor(anchor.to);
      return other && atDistance(path, other, anchor.distance);
    }
  }
}

/** The point of a centre line's straights, carried on, that lies nearest to a line. */
function nearestToLine(path: Path, point: Vector, along: Vector): Vector | undefined {
  let best: { readonly at: Vector; readonly away: number } | undefined;
  for (const leg of path.legs) {
    const normal = cross(leg.direction, along);
    const square = dot(normal, normal);
    if (square < 1e-9 * dot(along, along)) continue;
    const t = dot(cross(subtract(point, leg.from), along), normal) / square;
    const beyond = Math.max(0, -t, t - leg.length);
    const at = add(leg.from, scale(leg.direction, t));
    if (!best || beyond < best.away) best = { at, away: beyond };
  }
  return best?.at;
}

/** The point of a host's straight that stands at a distance from another member's line, counted from where they cross. */
function atDistance(host: Path, other: Path, away: number): Vector | undefined {
  const line = other.legs[0]!;
  const crossed = nearestToLine(host, line.from, line.direction);
  if (!crossed) return undefined;
  const direction = pointOn(host, nearestOn(host, crossed).station).direction;
  const sine = Math.hypot(...cross(direction, line.direction));
  return sine < 1e-6 ? undefined : add(crossed, scale(direction, away / sine));
}

function centreLine(member: Member, place: (id: string) => Vector | undefined): Path | undefined {
  const [first, last] = member.nodes;
  const corners = [first, ...member.bends.map((bend) => bend.node), last].map(place);
  const known = corners.filter((corner) => corner !== undefined);
  if (known.length < corners.length) return undefined;
  if (known.some((corner, index) => index > 0 && distance(corner, known[index - 1]!) < APART))
    return undefined;
  return pathOf(
    known,
    member.bends.map((bend) => bend.radius),
  );
}

const filled = <T>(map: ReadonlyMap<string, T | undefined>): ReadonlyMap<string, T> =>
  new Map([...map].flatMap(([id, value]) => (value === undefined ? [] : [[id, value] as const])));
