import type { BuildDocument, FrameData, RoundSection } from '@larchwood/format';
import { chooseSection, withSections } from '../frame/edit/graph.js';
import type { Stance } from '../stance/stance.js';
import { madeOf, steeringGraph, type MadeOne } from '../steering/made/registry.js';
import {
  HEAD_TUBE,
  hasSteeringParts,
  linkageParts,
  STEERING_GROUP,
  type GraphParts,
} from '../steering/parts.js';
import type { Steering } from '../steering/steering.js';

/** A frame without what its steering is made of. */
export function withoutSteeringParts(frame: FrameData): FrameData {
  const keep = ({ group }: { readonly group?: string }) => group !== STEERING_GROUP;
  const members = frame.members.filter(keep);
  const plates = frame.plates.filter(keep);
  return {
    ...frame,
    members,
    plates,
    nodes: frame.nodes.filter(({ id }) => !id.startsWith('steering-')),
    groups: frame.groups.filter(({ id }) => id !== STEERING_GROUP),
  };
}

/**
 * The build with its linkage, and what is made besides, as pieces of its frame: made, or made again. Section, material and
 * cuts that the builder chose for a rod, a shaft or an arm stay; a made part has its sizes where it is made.
 */
export function withSteeringParts(
  document: BuildDocument,
  stance: Stance,
  steering: Steering,
): BuildDocument {
  const made = madeOf(document.steering?.made ?? [], { stance, steering, tyreGap: document.seat.gaps.tyre });
  const own = linkageParts(steering);
  return withParts(
    document,
    steeringGraph(steering, made),
    new Set([...own.members, ...own.plates].map(({ id }) => id)),
  );
}

const ofCollar = (section: string): boolean => section.startsWith('collar-');

/** The head tube as a collar that is made in its place: its copes follow. As it is, where there is none. */
export function withCollar(document: BuildDocument, section: RoundSection): BuildDocument {
  return chooseSection([HEAD_TUBE], section)(document);
}

/** After a change of what is made: a head tube that is a collar is one of the sizes that it has now. */
export function collarFollowing(document: BuildDocument, made: readonly MadeOne[]): BuildDocument {
  const now = made.find(({ result }) => result.headTube)?.result.headTube;
  const head = document.frame.members.find(({ id }) => id === HEAD_TUBE);
  return now && head && ofCollar(head.section) && head.section !== now.id
    ? withCollar(document, now)
    : document;
}

/** @param chosen ids of pieces whose section, material and cuts are the builder's */
function withParts(document: BuildDocument, made: GraphParts, chosen: ReadonlySet<string>): BuildDocument {
  const { frame } = document;
  const bare = withoutSteeringParts(frame);
  const oldMembers = new Map(
    frame.members.filter(({ id }) => chosen.has(id)).map((member) => [member.id, member]),
  );
  const oldPlates = new Map(
    frame.plates.filter(({ id }) => chosen.has(id)).map((plate) => [plate.id, plate]),
  );
  let piece = Math.max(
    0,
    ...bare.members.map(({ piece: of }) => of),
    ...bare.plates.map(({ piece: of }) => of),
  );
  const members = made.members.map((member) => {
    const old = oldMembers.get(member.id);
    piece += 1;
    return old
      ? { ...member, piece, section: old.section, material: old.material, turn: old.turn, ends: old.ends }
      : { ...member, piece };
  });
  const plates = made.plates.map((plate) => {
    const old = oldPlates.get(plate.id);
    piece += 1;
    return old ? { ...plate, piece, thickness: old.thickness, material: old.material } : { ...plate, piece };
  });
  const next: BuildDocument = {
    ...document,
    frame: {
      ...bare,
      groups:
        members.length + plates.length > 0
          ? [...bare.groups, { id: STEERING_GROUP, name: 'Steering', donor: false, apart: true }]
          : bare.groups,
      nodes: [...bare.nodes, ...made.nodes],
      members: [...bare.members, ...members],
      plates: [...bare.plates, ...plates],
    },
  };
  return withSections(next, made.sections);
}

/** After a change of the linkage: its pieces are made again where there are some. */
export const partsFollowing = (document: BuildDocument, stance: Stance, steering: Steering): BuildDocument =>
  hasSteeringParts(document.frame) ? withSteeringParts(document, stance, steering) : document;
