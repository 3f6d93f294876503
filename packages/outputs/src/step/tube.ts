import type { Shape3D } from 'replicad';
import {
  carried,
  pointOn,
  pressedShare,
  pressedSize,
  pressingOf,
  sizeAt,
  subtract,
  wallThickness,
  zonesOf,
  type Piece,
  type PieceCut,
  type Size,
  type Vector,
} from '@larchwood/core';
import {
  alongLine,
  between,
  joined,
  lathe,
  straight,
  through,
  turned,
  type Across,
  type Stretch,
} from './shapes.js';

/** The outside of an uncut tube, and its inside, from one station to another; a lathe makes both at once. */
export interface Tube {
  readonly outside: Shape3D;
  /** To be taken off the outside; none where that is hollow already. */
  readonly inside?: Shape3D;
}

/** Size at a station; past the nodes as it runs there, since a taper goes on. */
function sizeOn({ section, length }: Piece, station: number): Size {
  const within = Math.min(length, Math.max(0, station));
  const size = sizeAt(section, length, within);
  if (station === within) return size;
  const behind = sizeAt(section, length, station < 0 ? 1 : length - 1);
  const past = Math.abs(station - within);
  const on = (of: 'width' | 'height') => Math.max(size[of] / 4, size[of] + (size[of] - behind[of]) * past);
  return { width: on('width'), height: on('height') };
}

/** The section across a piece at a station: its outside, or its inside. */
export function acrossAt(piece: Piece, cut: PieceCut, station: number, inside = false): Across {
  const { width, height } = sizeOn(piece, station);
  const wall = wallThickness(piece, cut, station);
  const less = inside ? 2 * wall : 0;
  const { section, path } = piece;
  const place = { ...pointOn(path, station), top: carried(path, piece.top, station) };
  if (isPressed(piece, cut)) {
    const { radius, straight: flat } = pressedSize(width, wall, shareOf(piece, cut, station));
    const high = 2 * radius + wall - less;
    return { ...place, height: high, width: high + flat, pressed: true };
  }
  return {
    ...place,
    width: width - less,
    height: height - less,
    ...(section.shape === 'rectangular' ? { corner: Math.max(0, section.corner - less / 2) } : {}),
  };
}

/** How far a piece is pressed flat at a station, 0 to 1. */
const shareOf = (piece: Piece, { ends }: PieceCut, station: number): number =>
  Math.max(
    ...ends.map((end) => {
      const pressing = pressingOf(piece, end);
      return pressing ? pressedShare(pressing, station) : 0;
    }),
  );

/** A tube that is pressed at an end has the edges of a pressed rim all along, or its parts would not meet. */
const isPressed = (piece: Piece, { ends }: PieceCut): boolean =>
  ends.some((end) => pressingOf(piece, end) !== undefined);

/** Shorter parts than this are none, mm. */
const LEAST = 1e-6;

/** Stations at which the section begins to change, or the centre line to bend. */
function breaksOf(piece: Piece, cut: PieceCut, from: number, to: number): number[] {
  const { section, path, length } = piece;
  const all = path.arcs.flatMap(({ station, length: long }) => [station, station + long]);
  if (section.shape === 'round') {
    all.push(...zonesOf(piece, cut));
    if (section.taper) all.push(length - section.taper.length, length);
    if (section.ovalEnd) all.push(length - section.ovalEnd.length, length);
    for (const end of cut.ends) {
      const pressing = pressingOf(piece, end);
      if (pressing) all.push(pressing.flat, pressing.round);
    }
  }
  const within = all.filter((each) => each > from + LEAST && each < to - LEAST).sort((a, b) => a - b);
  return [from, ...within.filter((each, index) => index === 0 || each - within[index - 1]! > LEAST), to];
}

/** An uncut tube between two stations, which may lie past its nodes; its bends and its butted, tapered or oval ends as they are. */
export function tubeBetween(piece: Piece, cut: PieceCut, from: number, to: number): Tube {
  const { section, path } = piece;
  const stations = breaksOf(piece, cut, from, to);
  const isStraight = path.arcs.length === 0;
  const pressed = isPressed(piece, cut);
  if (isStraight && section.shape === 'round' && !section.ovalEnd && !pressed) {
    const outer = stations.map((station) => [station, sizeOn(piece, station).width / 2] as const);
    const inner = outer.map(
      ([station, radius]) => [station, radius - wallThickness(piece, cut, station)] as const,
    );
    return { outside: lathe(piece.start, piece.direction, piece.top, [...outer, ...inner.reverse()]) };
  }
  const changes =
    pressed || (section.shape === 'round' && (section.taper || section.ovalEnd || section.butts));
  const skin = (inside: boolean): Shape3D => {
    if (changes)
      return joined(stations.slice(1).map((end, index) => partOf(piece, cut, stations[index]!, end, inside)));
    const first = acrossAt(piece, cut, from, inside);
    return isStraight
      ? straight(first, subtract(pointOn(path, to).at, first.at))
      : alongLine(first, lineOf(piece, from, to));
  };
  return { outside: skin(false), inside: skin(true) };
}

function lineOf({ path }: Piece, from: number, to: number): readonly Stretch[] {
  const line: Stretch[] = [];
  let at: Vector = pointOn(path, from).at;
  for (const arc of path.arcs) {
    line.push(
      { from: at, to: arc.from },
      { from: arc.from, middle: pointOn(path, arc.station + arc.length / 2).at, to: arc.to },
    );
    at = arc.to;
  }
  line.push({ from: at, to: pointOn(path, to).at });
  return line.filter(({ from: a, to: b }) => Math.hypot(...subtract(a, b)) > LEAST);
}

/** Degrees of a bend between two sections through which a changing tube is drawn, and parts of a run from round to flat. */
const BEND_STEP = 6;
const PRESS_STEPS = 8;

/** A part over which a tube runs straight or bends once, and its section keeps or changes evenly. */
function partOf(piece: Piece, cut: PieceCut, from: number, to: number, inside: boolean): Shape3D {
  const middle = (from + to) / 2;
  const arc = piece.path.arcs.find(({ station, length }) => middle > station && middle < station + length);
  const [first, last] = [acrossAt(piece, cut, from, inside), acrossAt(piece, cut, to, inside)];
  const even = Math.abs(first.width - last.width) + Math.abs(first.height - last.height) < LEAST;
  if (even && !arc) return straight(first, subtract(last.at, first.at));
  if (!arc && !first.pressed) return between(first, last);
  const angle = arc ? (arc.angle * (to - from)) / arc.length : 0;
  if (even && arc) return turned(first, arc.centre, arc.axis, angle);
  const steps = Math.max(first.pressed ? PRESS_STEPS : 3, Math.ceil(angle / BEND_STEP));
  return through(
    Array.from({ length: steps + 1 }, (_, step) =>
      acrossAt(piece, cut, from + ((to - from) * step) / steps, inside),
    ),
  );
}
