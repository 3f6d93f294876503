import { isBar } from '../frame/sections.js';
import type { BuildDocument, Hole } from '@larchwood/format';
import type { Frame, Piece } from '../frame/frame.js';
import type { PieceCut } from '../joints/cut.js';

/** A vent of this size lets the hot air out, so far behind the deepest point of the cope, mm; common practice, no source. */
export const VENT = { diameter: 3, fromCope: 12 } as const;

/** Ends that stay open when they are welded: a slot leaves room on either side of its plate. */
const OPEN: ReadonlySet<string> = new Set(['plain', 'slotted']);

/** Whether a hole stays open while the frame is welded: one that is plugged, or through which a sleeve is welded, does not. */
const letsOut = ({ use, sleeve, circle }: Hole): boolean =>
  use !== 'plug' && (sleeve === undefined || circle !== undefined);

/** Closed at both ends once it is welded, with no hole that stays open: it bursts its last weld open. */
export const isShut = ({ member: { ends, holes = [] }, section, supplied }: Piece): boolean =>
  !supplied &&
  !isBar(section) &&
  !OPEN.has(ends.start.cut) &&
  !OPEN.has(ends.end.cut) &&
  !holes.some(letsOut);

/** Pieces whose bores are one: mitred to each other, end on end. Each piece with all that it breathes with, by mark. */
function oneBore(cuts: readonly PieceCut[]): ReadonlyMap<string, readonly string[]> {
  const mitredWith = new Map(
    cuts.map(({ mark, ends }) => [mark, ends.flatMap(({ cut, hosts }) => (cut === 'mitred' ? hosts : []))]),
  );
  const found = new Map<string, readonly string[]>();
  for (const { mark } of cuts) {
    if (found.has(mark)) continue;
    const group = [mark];
    for (const each of group)
      for (const other of mitredWith.get(each) ?? [])
        if (mitredWith.get(other)?.includes(each) && !group.includes(other)) group.push(other);
    for (const each of group) found.set(each, group);
  }
  return found;
}

/** Where a member gets its vent: from the longest point of its start, as cut; mm. */
export interface Vent {
  readonly member: string;
  readonly mark: string;
  readonly distance: number;
}

/** Vents for all that is closed without one, each member once: clear of the cope, in sound wall. */
export function wantedVents(frame: Frame, cuts: readonly PieceCut[]): readonly Vent[] {
  const cutOf = new Map(cuts.map((cut) => [cut.piece, cut]));
  const bores = oneBore(cuts);
  const byMark = new Map(frame.pieces.map((piece) => [piece.mark, piece]));
  const vented = new Set<readonly string[]>();
  return frame.pieces.flatMap((piece): Vent[] => {
    const cut = cutOf.get(piece.id);
    if (!cut || piece.side === 'right' || !isShut(piece)) return [];
    // What is mitred to each other needs one vent, wherever it is.
    const bore = bores.get(piece.mark)!;
    const breathes = (mark: string) => byMark.has(mark) && !isShut(byMark.get(mark)!);
    if (vented.has(bore) || bore.some(breathes)) return [];
    for (const mark of bore) {
      // A pair is drilled alike: the twin's bore has its vent with it.
      const member = byMark.get(mark)?.member.id;
      for (const twin of frame.pieces)
        if (twin.member.id === member) vented.add(bores.get(twin.mark) ?? bore);
    }
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
