import type { BuildDocument } from '@larchwood/format';
import type { Frame } from './frame.js';

/** The frame without what is made apart and put in last: what a fixture holds, and what must not overlap. */
export function fixedPart({ frame: { groups } }: Pick<BuildDocument, 'frame'>, frame: Frame): Frame {
  const apart = new Set(groups.flatMap((group) => (group.apart ? [group.id] : [])));
  if (apart.size === 0) return frame;
  const stays = ({ group }: { readonly group?: string }) => group === undefined || !apart.has(group);
  return {
    ...frame,
    pieces: frame.pieces.filter(({ member }) => stays(member)),
    plates: frame.plates.filter(({ plate }) => stays(plate)),
  };
}

/** Of ends, cuts and the like, those of the pieces of a frame. */
export function ofPieces<T extends { readonly piece: string }>(
  { pieces }: Frame,
  all: readonly T[],
): readonly T[] {
  const ids = new Set(pieces.map(({ id }) => id));
  return all.every(({ piece }) => ids.has(piece)) ? all : all.filter(({ piece }) => ids.has(piece));
}
