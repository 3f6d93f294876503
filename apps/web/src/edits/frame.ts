import { withAnchor, withEnd, withMember, type Change } from '@larchwood/core';
import type { Anchor, BuildDocument, End, Member } from '@larchwood/format';

export const changeMember =
  (id: string, part: Partial<Member>): Change =>
  (document) =>
    withMember(document, id, part);

export const changeEnd =
  (id: string, end: 'start' | 'end', cut: End): Change =>
  (document) =>
    withEnd(document, id, end, cut);

const changeAnchor =
  (id: string, change: (anchor: Anchor) => Anchor): Change =>
  (document) => {
    const node = document.frame.nodes.find((each) => each.id === id);
    return node ? withAnchor(document, id, change(node.anchor)) : document;
  };

/** Moves a node along the member it sits on: by a distance from the end it counts from, or by a share of the member. */
export const moveNode = (id: string, to: number): Change =>
  changeAnchor(id, (anchor) =>
    anchor.on === 'member'
      ? { ...anchor, distance: to }
      : anchor.on === 'share'
        ? { ...anchor, share: to }
        : anchor.on === 'parallel'
          ? { ...anchor, distance: to }
          : anchor,
  );

/** Sets one of a node's coordinates off what it is tied to. */
export const offsetNode = (id: string, axis: 0 | 1 | 2, value: number): Change =>
  changeAnchor(id, (anchor) => {
    if ('offset' in anchor) return { ...anchor, offset: replaced(anchor.offset, axis, value) };
    return anchor.on === 'fixed' ? { ...anchor, at: replaced(anchor.at, axis, value) } : anchor;
  });

/** Moves a node by so much, where it is not bound to a line. */
export const shiftNode = (id: string, by: readonly [number, number, number]): Change =>
  changeAnchor(id, (anchor) => {
    const moved = (from: readonly [number, number, number]): [number, number, number] => [
      tenth(from[0] + by[0]),
      tenth(from[1] + by[1]),
      tenth(from[2] + by[2]),
    ];
    if (anchor.on === 'fixed') return { ...anchor, at: moved(anchor.at) };
    return 'offset' in anchor && anchor.on !== 'member' && anchor.on !== 'share'
      ? { ...anchor, offset: moved(anchor.offset) }
      : anchor;
  });

const tenth = (value: number): number => Math.round(value * 10) / 10;

function replaced(
  [x, y, z]: readonly [number, number, number],
  axis: 0 | 1 | 2,
  value: number,
): [number, number, number] {
  return [axis === 0 ? value : x, axis === 1 ? value : y, axis === 2 ? value : z];
}

/** What an anchor leaves free: a way along a member, coordinates off a point, or nothing. */
export const slidesOn = ({ frame }: BuildDocument, anchor: Anchor): Member | undefined =>
  anchor.on === 'member' || anchor.on === 'share'
    ? frame.members.find((member) => member.id === anchor.member)
    : undefined;
