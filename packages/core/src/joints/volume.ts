import type { Piece } from '../frame/frame.js';
import { uncutVolume } from '../frame/volume.js';
import { propertiesOf, roundTube } from '../frame/sections.js';
import type { EndCut } from './endCut.js';
import { WALL_LINES } from './edge.js';
import type { ButtTrim } from './cut.js';

/** Metal in a cut piece with its caps, mm3: its body between the two cutter centres, and what each cut leaves or takes beyond them. */
export function cutVolume(
  piece: Piece,
  [start, end]: readonly [EndCut, EndCut],
  betweenCentres: number,
  trim: ButtTrim | undefined,
): number {
  const { section } = piece;
  const ends = beyond(start) + beyond(end) + capOf(piece, start) + capOf(piece, end);
  if (section.shape !== 'round' || !section.butts || !trim)
    return uncutVolume(section, betweenCentres) + ends;
  const body = propertiesOf(section).area;
  const thick = ([cut, off, butt]: readonly [
    EndCut,
    number,
    { wall: number; length: number; taper: number },
  ]) =>
    (roundTube(section.diameter, butt.wall).area - body) *
    Math.max(0, butt.length + butt.taper / 2 - off - cut.edge.longest.at);
  return (
    body * betweenCentres +
    thick([start, trim.start, section.butts.start]) +
    thick([end, trim.end, section.butts.end]) +
    ends
  );
}

/** Metal of the cap on an end that has one: as large as the tube outside. */
function capOf({ member }: Piece, { end, outline }: EndCut): number {
  const cut = member.ends[end];
  return cut.cut === 'capped' ? outline.area * cut.thickness : 0;
}

/**
 * Metal beyond an end's cutter centre, by wall lines: each stands for a strip of wall as wide as half-way to its
 * neighbours, its length running straight from the inner to the outer edge.
 */
function beyond({ edge: { outer, inner }, outline: { wide, narrow }, wall }: EndCut): number {
  let volume = 0;
  for (let line = 0; line < WALL_LINES; line += 1) {
    const far = outer[line]!;
    if (Number.isNaN(far)) continue;
    const near = Number.isNaN(inner[line]!) ? far : inner[line]!;
    const outside = wide[line]!;
    const inside = narrow[line]!;
    volume += (near * (outside + inside)) / 2 + (far - near) * (inside / 6 + outside / 3);
  }
  return wall * volume;
}
