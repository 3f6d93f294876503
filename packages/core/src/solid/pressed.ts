import type { Piece } from '../frame/frame.js';
import type { EndCut } from '../joints/endCut.js';

/** Room that is left between the walls of a pressed end, mm. */
const GAP = 0.2;

/** Where an end is pressed flat, and where it is still round: over as much again as the tube is wide. Stations. */
export interface Pressing {
  readonly flat: number;
  readonly round: number;
}

export function pressingOf(piece: Piece, end: EndCut): Pressing | undefined {
  const cut = piece.member.ends[end.end];
  if (cut.cut !== 'flattened' || piece.section.shape !== 'round') return undefined;
  const sign = end.end === 'start' ? 1 : -1;
  const edge = end.station - sign * end.edge.longest.at;
  const flat = edge + sign * cut.length;
  return { flat, round: flat + sign * end.outerDiameter };
}

/** How far a tube is pressed at a station: 0 round, 1 flat; eased, so that the wall runs in and out without a corner. */
export function pressedShare({ flat, round }: Pressing, station: number): number {
  const share = Math.min(1, Math.max(0, (station - round) / (flat - round)));
  return share * share * (3 - 2 * share);
}

export interface OnWall {
  /** From the axis, in the direction in which the tube is pressed, and square to it. */
  readonly at: readonly [number, number];
  /** Unit vector out of the wall. */
  readonly out: readonly [number, number];
}

/** Radius of the two half circles and length of the two straights that the middle of a pressed wall is made of; mm. */
export function pressedSize(
  diameter: number,
  wall: number,
  share: number,
): { readonly radius: number; readonly straight: number } {
  const round = (diameter - wall) / 2;
  const radius = round + ((wall + GAP) / 2 - round) * share;
  return { radius, straight: Math.PI * (round - radius) };
}

/**
 * The middle of the wall of a round tube that is pressed by a share: two straights and two half circles, as long together as
 * before, since metal does not stretch.
 * @param part way round from the middle of the pressed side, 0 to 1
 */
export function onPressed(diameter: number, wall: number, share: number, part: number): OnWall {
  const girth = Math.PI * (diameter - wall);
  const { radius, straight } = pressedSize(diameter, wall, share);
  const way = (((part % 1) + 1) % 1) * girth;
  const [first, second] = [straight / 2, straight / 2 + Math.PI * radius];
  if (way <= first) return { at: [radius, way], out: [1, 0] };
  if (way < second) return rounded(straight / 2, (way - first) / radius, radius);
  if (way <= second + straight) return { at: [-radius, straight / 2 - (way - second)], out: [-1, 0] };
  const third = second + straight;
  if (way < third + Math.PI * radius) {
    const { at, out } = rounded(straight / 2, (way - third) / radius, radius);
    return { at: [-at[0], -at[1]], out: [-out[0], -out[1]] };
  }
  return { at: [radius, way - girth], out: [1, 0] };
}

function rounded(centre: number, angle: number, radius: number): OnWall {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return { at: [radius * c, centre + radius * s], out: [c, s] };
}
