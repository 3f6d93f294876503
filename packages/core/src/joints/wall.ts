import type { Piece } from '../frame/frame.js';
import type { ButtTrim } from './cut.js';
import type { EndCut } from './endCut.js';

/** A piece with its two ends and, where it is butted, how it is trimmed. */
export interface Trimmed {
  readonly ends: readonly [EndCut, EndCut];
  readonly butts?: ButtTrim | undefined;
}

/** Stations at which the thick ends of a butted tube, trimmed as its cut says, end and have thinned; none for other tubes. */
export function zonesOf({ section }: Piece, { ends: [start, end], butts }: Trimmed): readonly number[] {
  if (section.shape !== 'round' || !section.butts || !butts) return [];
  const first = start.station - start.edge.longest.at + section.butts.start.length - butts.start;
  const last = end.station + end.edge.longest.at - section.butts.end.length + butts.end;
  return [first, first + section.butts.start.taper, last - section.butts.end.taper, last];
}

/** Wall of a cut piece at a way along its centre line, mm; thick, thin or between the two where it is butted. */
export function wallThickness(piece: Piece, cut: Trimmed, station: number): number {
  const { section } = piece;
  const [a, b, c, d] = zonesOf(piece, cut);
  if (section.shape !== 'round' || !section.butts || a === undefined) return section.wall;
  const { start, end } = section.butts;
  const mixed = (x: number, y: number, share: number) => x + (y - x) * Math.min(1, Math.max(0, share));
  if (station <= b!) return mixed(start.wall, section.wall, (station - a) / Math.max(1e-6, b! - a));
  return mixed(section.wall, end.wall, (station - c!) / Math.max(1e-6, d! - c!));
}
