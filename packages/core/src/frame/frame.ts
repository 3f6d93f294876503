import type { BuildDocument, Member, Section } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import type { FindingCode, FindingValues } from '../findings/values.js';
import { namedPoint } from '../stance/namedPoint.js';
import type { Stance } from '../stance/stance.js';
import { mirror, squareTo, turn, unit, type Vector } from '../vector/vector.js';
import { findMaterial } from './materials.js';
import { placeNodes, type Placed } from './nodes.js';
import { carried, mirroredPath, pointOn, type Path } from './path.js';
import { stationBeside } from './places.js';
import { placePlate, plateFault, type PlacedPlate } from './plates.js';
import type { Side } from './side.js';
import { uncutVolume } from './volume.js';

export type { Side } from './side.js';

/** One physical tube: a member, or one twin of a mirrored member. Points and lengths in mm. */
export interface Piece {
  readonly id: string;
  /** Piece mark, the same on list, pattern and bench: 3, or 7L and 7R. */
  readonly mark: string;
  readonly side: Side;
  readonly name: string;
  readonly member: Member;
  readonly section: Section;
  /** Density kg/m3 of its material. */
  readonly density: number;
  /** There already: bought to length, or part of a donor. */
  readonly supplied: boolean;
  readonly path: Path;
  readonly start: Vector;
  readonly end: Vector;
  /** Unit vector from the start node along the tube. */
  readonly direction: Vector;
  /** Unit vector along the tube where it reaches its end node. */
  readonly endDirection: Vector;
  /** Unit vector to the top of the section, at the start. */
  readonly top: Vector;
  readonly endTop: Vector;
  /** Along the centre line, node to node. */
  readonly length: number;
  /** Where the named places lie from which its holes are measured: along the centre line from the start node, mm. */
  readonly places: Readonly<Record<string, number>>;
  /** Of the uncut tube, node to node; kg. */
  readonly mass: number;
}

export type { PlacedPlate } from './plates.js';

export interface Frame {
  readonly nodes: Readonly<Record<string, Vector>>;
  readonly pieces: readonly Piece[];
  readonly plates: readonly PlacedPlate[];
  readonly findings: readonly Finding[];
}

/**
 * Places every node on the stance and every member between its nodes. Members that cannot be placed become findings.
 * @param document the graph of nodes, members and plates; mm and degrees
 * @param stance solved: its points in mm, x forward, y left, z up
 */
export function frameOf(document: Pick<BuildDocument, 'frame'>, stance: Stance): Frame {
  const { members, plates, sections, groups } = document.frame;
  const placed = placeNodes(document.frame, stance);
  const sectionById = new Map(sections.map((section) => [section.id, section]));
  const donors = new Set(groups.flatMap((group) => (group.donor ? [group.id] : [])));
  const pieces = members.flatMap((member) => {
    const path = placed.paths.get(member.id);
    const section = sectionById.get(member.section);
    if (!path || !section) return [];
    const supplied = member.supplied || (member.group !== undefined && donors.has(member.group));
    const places = placesOf(member, path, (id) => placed.nodes.get(id) ?? namedPoint(stance, id));
    return twins(member).map((side) => ({ ...makePiece(member, section, supplied, side, path), places }));
  });
  const placedPlates = plates.flatMap((plate) => {
    const at = placed.nodes.get(plate.node);
    return at
      ? twins(plate).map((side) =>
          placePlate(plate, at, pieceId(plate.id, side), mark(plate.piece, side), side),
        )
      : [];
  });
  return {
    nodes: Object.fromEntries(placed.nodes),
    pieces,
    plates: placedPlates,
    findings: placingFindings(document, placed),
  };
}

const tell = teller('tubes');

function placingFindings({ frame }: Pick<BuildDocument, 'frame'>, { nodes, paths }: Placed): Finding[] {
  const lost = frame.nodes.filter((node) => !nodes.has(node.id));
  const memberIds = new Set(frame.members.map((member) => member.id));
  const find = <C extends FindingCode>(code: C, ref: string, values: FindingValues[C]) =>
    tell(code, 'stop', ref, values);
  return [
    ...lost.flatMap((node) => {
      const hosts = 'member' in node.anchor ? [node.anchor.member] : [];
      const gone = hosts.some((id) => !memberIds.has(id));
      return gone ? [find('node-host-gone', node.id, { node: node.name })] : [];
    }),
    ...frame.members.flatMap((member) => {
      const path = paths.get(member.id);
      if (!path) return [find('member-not-placed', member.id, { member: member.name })];
      return path.tight.map(({ bend, fits }) =>
        find('bend-no-room', member.id, {
          member: member.name,
          mark: String(member.piece),
          bend: bend + 1,
          radius: member.bends[bend]!.radius,
          fits,
        }),
      );
    }),
    ...frame.plates.flatMap((plate) => {
      const fault = plateFault(plate.outline);
      return fault
        ? [find(`plate-${fault}`, plate.id, { plate: plate.name, mark: String(plate.piece) })]
        : [];
    }),
    ...frame.plates.flatMap((plate) =>
      nodes.has(plate.node) ? [] : [find('member-not-placed', plate.id, { member: plate.name })],
    ),
  ];
}

const twins = (part: { readonly mirrored: boolean }): readonly Side[] =>
  part.mirrored ? ['left', 'right'] : ['middle'];

const mark = (piece: number, side: Side): string =>
  `${piece}${side === 'left' ? 'L' : side === 'right' ? 'R' : ''}`;

/** The id of the piece or plate that has a mark; undefined where none has. @param frame of a document */
export const idOfMark = (
  { members, plates }: Pick<BuildDocument['frame'], 'members' | 'plates'>,
  wanted: string,
): string | undefined =>
  [...members, ...plates]
    .flatMap((part) =>
      twins(part).map((side) => ({ id: pieceId(part.id, side), mark: mark(part.piece, side) })),
    )
    .find((each) => each.mark === wanted)?.id;

/** A piece's id: its member's, with the side for a twin. */
export const pieceId = (member: string, side: Side): string =>
  side === 'middle' ? member : `${member}:${side}`;

/** Of the places that its holes name, those that are there. */
function placesOf(
  { holes = [] }: Member,
  path: Path,
  at: (id: string) => Vector | undefined,
): Piece['places'] {
  const named = holes.flatMap(({ at: id }) => {
    const point = id === undefined ? undefined : at(id);
    return point ? [[id!, stationBeside(path, point).station] as const] : [];
  });
  return named.length === 0 ? NO_PLACES : Object.fromEntries(named);
}
const NO_PLACES: Piece['places'] = {};

function makePiece(
  member: Member,
  section: Section,
  supplied: boolean,
  side: Side,
  left: Path,
): Omit<Piece, 'places'> {
  const path = side === 'right' ? mirroredPath(left) : left;
  const across = (v: Vector): Vector => (side === 'right' ? mirror(v) : v);
  const leftDirection = left.legs[0]!.direction;
  const top = turn(uppermost(leftDirection), leftDirection, member.turn);
  const last = path.legs.at(-1)!;
  const density = findMaterial(member.material)?.density ?? 7850;
  return {
    id: pieceId(member.id, side),
    mark: mark(member.piece, side),
    side,
    name: side === 'middle' ? member.name : `${member.name}, ${side}`,
    member,
    section,
    density,
    supplied,
    path,
    start: path.legs[0]!.from,
    end: pointOn(path, path.length).at,
    direction: path.legs[0]!.direction,
    endDirection: last.direction,
    top: across(top),
    endTop: across(carried(left, top, left.length)),
    length: path.length,
    mass: (uncutVolume(section, path.length) * density) / 1e9,
  };
}

/** The side of a tube that looks up, or forward for an upright tube. */
export function uppermost(direction: Vector): Vector {
  const up = squareTo([0, 0, 1], direction);
  return Math.hypot(...up) < 1e-6 ? unit(squareTo([1, 0, 0], direction)) : unit(up);
}
