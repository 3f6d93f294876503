import type { Anchor, BuildDocument, End, Host, Member } from '@larchwood/format';
import { failure, success, type Result } from '../../result.js';
import { distance, dot, mirror, subtract, type Vector } from '../../vector/vector.js';
import type { Frame, Side } from '../frame.js';
import { nearestOn, pointOn } from '../path.js';
import { acrossOf } from '../sections.js';
import { freeId, memberOf, nextPiece, withFrame, withSections } from './graph.js';

/** A place on the frame that a tube can begin or end at: a node, or a point on a piece at a share of its length. */
export type Spot =
  | { readonly node: string; readonly side?: Side }
  | { readonly member: string; readonly side: Side; readonly share: number };

export interface NewTube {
  readonly name: string;
  readonly section: string;
  readonly material?: string;
  readonly group?: string;
}

/** Two points nearer than this to the middle plane, mm, lie in it. */
const IN_MIDDLE = 0.5;

/**
 * A tube between two spots, cut to fit what runs through there. Between two spots on one side it is one of a pair; from
 * one side to the other, or in the middle plane, it is single.
 */
export function addTube(
  document: BuildDocument,
  frame: Frame,
  from: Spot,
  to: Spot,
  tube: NewTube,
): Result<BuildDocument> {
  const [a, b] = [placeOf(frame, from), placeOf(frame, to)];
  if (!a || !b) return failure('One of the two ends has no place: press on a node or a tube that is drawn.');
  if (distance(a, b) < 5) return failure('The two ends are at one point: press two places apart.');
  const [sideA, sideB] = [sideOf(a), sideOf(b)];
  const mirrored =
    sideA !== 'middle' && sideA === sideB
      ? true
      : sideA !== sideB && (sideA === 'middle' || sideB === 'middle');
  const right = mirrored && (sideA === 'right' || sideB === 'right');
  const start = nodeFor(document, from, right, 'start');
  const end = nodeFor(start.document, to, right, 'end');
  const id = freeId(end.document, 'tube');
  const member: Member = {
    id,
    piece: nextPiece(document),
    name: tube.name,
    nodes: [start.node, end.node],
    bends: [],
    section: tube.section,
    material: tube.material ?? document.frame.members[0]?.material ?? 'mild-steel',
    turn: 0,
    mirrored,
    supplied: false,
    ...(tube.group === undefined ? {} : { group: tube.group }),
    ends: {
      start: endFor(frame, from, right, mirrored),
      end: endFor(frame, to, right, mirrored),
    },
  };
  return success(withSections(withFrame(end.document, { members: [...end.document.frame.members, member] })));
}

const sideOf = ([, y]: Vector): Side => (Math.abs(y) < IN_MIDDLE ? 'middle' : y > 0 ? 'left' : 'right');

/** Where a spot is. */
export function placeOf(frame: Frame, spot: Spot): Vector | undefined {
  if ('node' in spot) {
    const at = frame.nodes[spot.node];
    return at && spot.side === 'right' ? mirror(at) : at;
  }
  const piece = frame.pieces.find(({ member, side }) => member.id === spot.member && side === spot.side);
  return piece && pointOn(piece.path, piece.length * spot.share).at;
}

/** The node of a spot, made where there is none; of the left twin, where the tube is one of a pair drawn on the right. */
function nodeFor(
  document: BuildDocument,
  spot: Spot,
  swapped: boolean,
  name: string,
): { readonly document: BuildDocument; readonly node: string } {
  const make = (anchor: Anchor, label: string) => {
    const id = freeId(document, 'node');
    return {
      document: withFrame(document, { nodes: [...document.frame.nodes, { id, name: label, anchor }] }),
      node: id,
    };
  };
  if ('node' in spot) {
    const otherSide = (spot.side === 'right') !== swapped;
    return otherSide
      ? make({ on: 'mirror', node: spot.node }, `Mirror of ${spot.node}`)
      : { document, node: spot.node };
  }
  const member = memberOf(document, spot.member);
  const share = Math.round(spot.share * 1e5) / 1e5;
  const own = make(
    { on: 'share', member: spot.member, share, offset: [0, 0, 0] },
    `On ${member?.name ?? spot.member}, ${name}`,
  );
  // On a right twin the node is the left one's mirror; on a single tube, of a pair drawn on the right, the other way about.
  const over = spot.side === 'right' ? !swapped : spot.side === 'middle' && swapped;
  if (!over) return own;
  const id = freeId(own.document, 'node');
  const node = {
    id,
    name: `On ${member?.name ?? spot.member}, other side`,
    anchor: { on: 'mirror' as const, node: own.node },
  };
  return { document: withFrame(own.document, { nodes: [...own.document.frame.nodes, node] }), node: id };
}

/** Coped to what runs through the spot; plain where nothing does. */
function endFor(frame: Frame, spot: Spot, swapped: boolean, pair: boolean): End {
  const hosts = hostsAt(frame, spot).map(({ member, side }): Host => {
    const mirrored = side === 'left' || side === 'right';
    if (!mirrored || pair) return { member, side: 'same' };
    return { member, side: swapped ? (side === 'left' ? 'right' : 'left') : side };
  });
  return hosts.length > 0
    ? { cut: 'coped', hosts, besideAxis: false, allowance: 0 }
    : { cut: 'plain', setback: 0, allowance: 0 };
}

/** Members whose axis passes through a spot, the stoutest first. */
function hostsAt(frame: Frame, spot: Spot): readonly { readonly member: string; readonly side: Side }[] {
  if ('member' in spot) return [{ member: spot.member, side: spot.side }];
  const at = placeOf(frame, spot);
  if (!at) return [];
  return frame.pieces
    .map((piece) => ({ piece, ...nearestOn(piece.path, at) }))
    .filter(({ away }) => away < 1)
    .sort((a, b) => acrossOf(b.piece.section) - acrossOf(a.piece.section))
    .slice(0, 3)
    .map(({ piece }) => ({ member: piece.member.id, side: piece.side }));
}

/**
 * Braces the bay between two tubes: a diagonal from near one end of the first to near the other end of the second.
 * `other` takes the other diagonal.
 */
export function braceBay(
  document: BuildDocument,
  frame: Frame,
  first: { readonly member: string; readonly side: Side },
  second: { readonly member: string; readonly side: Side },
  tube: NewTube,
  other = false,
): Result<BuildDocument> {
  const find = (of: typeof first) =>
    frame.pieces.find(({ member, side }) => member.id === of.member && side === of.side);
  const [a, b] = [find(first), find(second)];
  if (!a || !b || a === b) return failure('A bay lies between two tubes: choose two.');
  // Ends of the two that face each other are counted as the same end of the bay.
  const along = dot(subtract(a.end, a.start), subtract(b.end, b.start)) >= 0;
  const [near, far] = [INSET, 1 - INSET];
  const fromShare = other ? far : near;
  const toShare = along !== other ? far : near;
  return addTube(document, frame, { ...first, share: fromShare }, { ...second, share: toShare }, tube);
}
/** How far from a tube's end a brace meets it, as a share of its length. */
const INSET = 0.12;
