import type { BuildDocument, Member, Node, Plate, Section } from '../document/schema.js';
import type { Finding } from '../findings/finding.js';
import type { Stance } from '../stance/stance.js';
import { add, along, distance, mirror, scale, subtract, unit, type Vector } from '../vector/vector.js';
import { findMaterial } from './materials.js';
import { diameterAt, roundTube } from './sections.js';

export type Side = 'middle' | 'left' | 'right';

/** One physical tube: a member, or one twin of a mirrored member. Points and lengths in mm. */
export interface Piece {
  readonly id: string;
  /** Piece mark, the same on list, pattern and bench: 3, or 7L and 7R. */
  readonly mark: string;
  readonly side: Side;
  readonly name: string;
  readonly member: Member;
  readonly section: Section;
  readonly start: Vector;
  readonly end: Vector;
  /** Unit vector from start to end. */
  readonly direction: Vector;
  /** Node to node. */
  readonly length: number;
  /** Of the uncut tube, node to node; kg. */
  readonly mass: number;
}
export interface PlacedPlate {
  readonly id: string;
  readonly mark: string;
  readonly plate: Plate;
  readonly at: Vector;
}
export interface Frame {
  readonly nodes: Readonly<Record<string, Vector>>;
  readonly pieces: readonly Piece[];
  readonly plates: readonly PlacedPlate[];
  readonly findings: readonly Finding[];
}

/** Places every node on the stance and every member between its nodes. Members that cannot be placed become findings. */
export function frameOf(document: BuildDocument, stance: Stance): Frame {
  const findings: Finding[] = [];
  const { nodes, members, plates, sections } = document.frame;
  const placed = placeNodes(nodes, members, stance);
  const sectionById = new Map(sections.map((section) => [section.id, section]));
  const pieces = members.flatMap((member) => {
    const start = placed.get(member.nodes[0]);
    const end = placed.get(member.nodes[1]);
    const section = sectionById.get(member.section);
    if (!start || !end || !section || distance(start, end) < 1) {
      findings.push({
        code: 'member-not-placed',
        severity: 'stop',
        where: { station: 'tubes', ref: member.id },
        values: { member: member.name },
      });
      return [];
    }
    return twins(member).map((side) => makePiece(member, section, side, start, end));
  });
  const placedPlates = plates.flatMap((plate) => {
    const at = placed.get(plate.node);
    return at
      ? twins(plate).map((side) => ({
          id: pieceId(plate.id, side),
          mark: mark(plate.piece, side),
          plate,
          at: side === 'right' ? mirror(at) : at,
        }))
      : [];
  });
  return { nodes: Object.fromEntries(placed), pieces, plates: placedPlates, findings };
}

const twins = (part: { readonly mirrored: boolean }): readonly Side[] =>
  part.mirrored ? ['left', 'right'] : ['middle'];
const mark = (piece: number, side: Side): string =>
  `${piece}${side === 'left' ? 'L' : side === 'right' ? 'R' : ''}`;
/** A piece's id: its member's, with the side for a twin. */
export const pieceId = (member: string, side: Side): string =>
  side === 'middle' ? member : `${member}:${side}`;

function makePiece(member: Member, section: Section, side: Side, start: Vector, end: Vector): Piece {
  const [a, b] = side === 'right' ? [mirror(start), mirror(end)] : [start, end];
  const length = distance(a, b);
  return {
    id: pieceId(member.id, side),
    mark: mark(member.piece, side),
    side,
    name: side === 'middle' ? member.name : `${member.name}, ${side}`,
    member,
    section,
    start: a,
    end: b,
    direction: unit(subtract(b, a)),
    length,
    mass: tubeMass(section, length, findMaterial(member.material)?.density ?? 7850),
  };
}

/** Area x length x density, with the thick ends of a butted tube; kg. A taper keeps its wall. */
function tubeMass(section: Section, length: number, density: number): number {
  const areaAt = (wall: number, diameter: number) => roundTube(diameter, wall).area;
  const body = areaAt(section.wall, section.diameter);
  let volume = body * length;
  for (const butt of section.butts ? [section.butts.start, section.butts.end] : []) {
    volume +=
      (areaAt(butt.wall, section.diameter) - body) * Math.min(length / 2, butt.length + butt.taper / 2);
  }
  if (section.taper) {
    const middle = diameterAt(section, length, length - Math.min(section.taper.length, length) / 2);
    volume -= (body - areaAt(section.wall, middle)) * Math.min(section.taper.length, length);
  }
  return (volume * density) / 1e9;
}

/** Node positions by id. A node whose anchor leads round in a circle, or nowhere, is left out. */
function placeNodes(nodes: readonly Node[], members: readonly Member[], stance: Stance): Map<string, Vector> {
  const nodeById = new Map(nodes.map((node) => [node.id, node]));
  const memberById = new Map(members.map((member) => [member.id, member]));
  const placed = new Map<string, Vector>();
  const open = new Set<string>();

  const place = (id: string): Vector | undefined => {
    const known = placed.get(id);
    const node = nodeById.get(id);
    if (known || !node || open.has(id)) return known;
    open.add(id);
    const at = anchored(node);
    open.delete(id);
    if (at) placed.set(id, at);
    return at;
  };
  const anchored = ({ anchor }: Node): Vector | undefined => {
    if (anchor.on === 'fixed') return anchor.at;
    if (anchor.on === 'stance') {
      const point = stance.points[anchor.point];
      return point && add(point, anchor.offset);
    }
    const host = memberById.get(anchor.member);
    const start = host && place(host.nodes[0]);
    const end = host && place(host.nodes[1]);
    if (!start || !end || distance(start, end) < 1) return undefined;
    const direction = unit(subtract(end, start));
    const from =
      anchor.from === 'start'
        ? along(start, direction, anchor.distance)
        : along(end, scale(direction, -1), anchor.distance);
    return add(from, anchor.offset);
  };
  for (const node of nodes) place(node.id);
  return placed;
}
