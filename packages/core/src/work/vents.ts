import { isBar } from '../frame/sections.js';
import type { BuildDocument, Hole } from '@larchwood/format';
import type { Frame, Piece } from '../frame/frame.js';
import type { PieceCut } from '../joints/cut.js';

/** A vent of this size lets the hot air out, so far behind the deepest point of the cope, mm; common practice, no source. */
export const VENT = { diameter: 3, fromCope: 12 } as const;

/** Ends that stay open when they are welded: a slot leaves room on either side of its plate. */
const OPEN: ReadonlySet<string> = new Set(['plain', 'slotted']);

/** Closed at both ends once it is welded, with no hole in it: it bursts its last weld open. */
export const isShut = ({ member: { ends, holes = [] }, section, supplied }: Piece): boolean =>
  !supplied && !isBar(section) && !OPEN.has(ends.start.cut) && !OPEN.has(ends.end.cut) && holes.length === 0;

/** Where a member gets its vent: from the longest point of its start, as cut; mm. */
export interface Vent {
  readonly member: string;
  readonly mark: string;
  readonly distance: number;
}

/** Vents for all that is closed without one, each member once: clear of the cope, in sound wall. */
export function wantedVents(frame: Frame, cuts: readonly PieceCut[]): readonly Vent[] {
  const cutOf = new Map(cuts.map((cut) => [cut.piece, cut]));
  return frame.pieces.flatMap((piece): Vent[] => {
    const cut = cutOf.get(piece.id);
    if (!cut || piece.side === 'right' || !isShut(piece)) return [];
    const distance = Math.min(Math.ceil(cut.ends[0].depth) + VENT.fromCope, cut.overall / 2);
    return [{ member: piece.member.id, mark: String(piece.member.piece), distance }];
  });
}

/** Each with its hole, on the side opposite its top: the lower one, or the rear one of an upright. */
export const withVents = (document: BuildDocument, vents: readonly Vent[]): BuildDocument => ({
  ...document,
  frame: {
    ...document.frame,
    members: document.frame.members.map((member) => {
      const vent = vents.find((each) => each.member === member.id);
      return vent ? { ...member, holes: [...(member.holes ?? []), ventOf(vent)] } : member;
    }),
  },
});
const ventOf = ({ distance }: Vent): Hole => ({
  ...{ id: 'vent', name: 'Vent', use: 'vent', from: 'start', distance },
  ...{ face: 180, off: 0, diameter: VENT.diameter },
});
