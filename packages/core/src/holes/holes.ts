import type { Hole } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import type { Frame, Piece } from '../frame/frame.js';
import { crossingAt, outlineOf, type Outline } from '../frame/outline.js';
import { carried, pointOn } from '../frame/path.js';
import { sizeAt } from '../frame/sections.js';
import { own } from '../stance/namedPoint.js';
import type { PieceCut } from '../joints/cut.js';
import { wallThickness } from '../joints/wall.js';
import { toRadians } from '../units/angle.js';
import { along, cross, dot, turn, type Vector } from '../vector/vector.js';

/** One round hole or slot in one wall of a piece, where it is marked. Lengths mm, angles degrees. */
export interface Bore {
  readonly hole: string;
  readonly name: string;
  /** Along the tube from the longest point of its start, as cut. */
  readonly fromStart: number;
  readonly fromEnd: number;
  /** About the tube from the section’s top, clockwise seen from its start, 0 to 360. */
  readonly face: number;
  /** Off the middle of the face, clockwise. */
  readonly off: number;
  /** Along the outside, from the top, clockwise: where a strip round the tube has it. */
  readonly round: number;
  /** Once round the outside, where the hole is. */
  readonly girth: number;
  readonly diameter: number;
  /** From end to end; the diameter where it is round. */
  readonly long: number;
  readonly wall: 'near' | 'far';
}
/** A piece with all that is drilled or sawn in it. */
export interface DrilledPiece {
  readonly piece: string;
  readonly mark: string;
  readonly name: string;
  /** Stands for a left and a right one: both are drilled clamped together. */
  readonly pair: boolean;
  /** Round the outside of the tube, at its start. */
  readonly girth: number;
  readonly length: number;
  readonly bores: readonly Bore[];
  readonly findings: readonly Finding[];
}

/** The outside of a piece at a way from its start node: tapered and oval tubes, too. */
const outlineAt = ({ section, length }: Piece, station: number): Outline =>
  outlineOf(section, sizeAt(section, length, station), section.wall, false);

/** Half of the wall that a face offers to a hole, off its middle, mm: less the corners of square stock. */
function halfFlat({ section, length }: Piece, station: number, face: number): number {
  const { width, height } = sizeAt(section, length, station);
  return (isUpright(face) ? width : height) / 2 - (section.shape === 'rectangular' ? section.corner : 0);
}

/**
 * Along the outside from the top to where a drill meets the wall, mm: square to the face, set over by `off` from the line
 * through the tube's middle. On a face of square stock that is the offset itself; round a round tube R asin(off / R); on an
 * oval or tapered one the way along its outside to the same place.
 */
function roundTo({ section }: Pick<Piece, 'section'>, outline: Outline, face: number, off: number): number {
  const { developed } = outline;
  if (section.shape === 'rectangular') return developed[Math.round(face / 90) * 90]! + off;
  const [cosine, sine] = [Math.cos(toRadians(face)), Math.sin(toRadians(face))];
  const met = crossingAt(outline, [cosine, sine], [-sine, cosine], off);
  if (!met) return (face / TURN) * outline.perimeter + off;
  const [low, share] = [Math.floor(met.line), met.line - Math.floor(met.line)];
  const way = developed[low]! + share * ((developed[low + 1] ?? developed[low]!) - developed[low]!);
  // About the face, also where that lies at the seam of the strip.
  const turns = Math.round(face / TURN - way / outline.perimeter);
  return way + turns * outline.perimeter;
}

const TURN = 360;
const within = (degrees: number): number => ((degrees % TURN) + TURN) % TURN;

/**
 * Every hole of a piece, in each wall that it goes through, where it is marked.
 * @param cut of the piece: distances are measured from where it is cut
 */
export function boresOf(piece: Piece, cut: PieceCut): readonly Bore[] {
  const across = piece.side === 'right' ? -1 : 1;
  return (piece.member.holes ?? []).flatMap((hole): Bore[] => {
    const middle = fromStartOf(piece, cut, hole);
    const around = circleOf(hole);
    return [
      {
        along: 0,
        off: 0,
        diameter: hole.diameter,
        far: hole.far,
        long: hole.slot ?? hole.diameter,
        name: hole.name,
      },
      ...around,
    ].flatMap(({ along: on, off, diameter, far, long, name }) => {
      const fromStart = middle + on;
      const outline = outlineAt(piece, stationOf(cut, fromStart));
      const at = (wall: Bore['wall'], turned: number, sideways: number, size: number): Bore => {
        const face = within(across * (hole.face + turned));
        const offset = across * sideways;
        return {
          ...{ hole: hole.id, name, fromStart, fromEnd: cut.overall - fromStart, face, off: offset },
          ...{ round: roundTo(piece, outline, face, offset), girth: outline.perimeter },
          ...{ diameter: size, long: wall === 'near' ? long : Math.max(size, long - diameter + size), wall },
        };
      };
      return [
        at('near', 0, hole.off + off, diameter),
        // Square through: off the middle to the same side, seen from the far wall to the other.
        ...(far === undefined ? [] : [at('far', 180, -(hole.off + off), far)]),
      ];
    });
  });
}

/** Way along the centre line from the start node. */
const stationOf = ({ ends: [start] }: PieceCut, fromStart: number): number =>
  start.station - start.edge.longest.at + fromStart;

function fromStartOf(
  { places }: Piece,
  { ends: [start], overall }: PieceCut,
  { from, at, distance }: Pick<Hole, 'from' | 'at' | 'distance'>,
): number {
  const station = at === undefined ? undefined : own(places, at);
  if (station !== undefined) return station - start.station + start.edge.longest.at + distance;
  return from === 'start' ? distance : from === 'end' ? overall - distance : overall / 2 + distance;
}

function circleOf({ circle, far, name }: Hole) {
  if (!circle) return [];
  const { count, diameter, hole, first } = circle;
  return Array.from({ length: count }, (_, index) => {
    const angle = toRadians(first + (TURN * index) / count);
    return {
      along: (diameter / 2) * Math.cos(angle),
      off: (diameter / 2) * Math.sin(angle),
      ...{ diameter: hole, long: hole, far: far === undefined ? undefined : hole },
      name: `${name}, bolt ${index + 1}`,
    };
  });
}

/** The middle of a hole on the outside of its wall, and the way out of that; in the vehicle's axes, mm. */
export function onWall(piece: Piece, cut: PieceCut, bore: Bore): { at: Vector; outward: Vector } {
  const station = stationOf(cut, bore.fromStart);
  const { at, direction } = pointOn(piece.path, station);
  const { width, height } = sizeAt(piece.section, piece.length, station);
  const outward = turn(carried(piece.path, piece.top, station), direction, bore.face);
  return { at: along(at, outward, (isUpright(bore.face) ? height : width) / 2), outward };
}

/** How wide a piece is where a hole is, seen square to the hole's face; mm. */
export function widthSeen(piece: Piece, cut: PieceCut, { fromStart, face }: Bore): number {
  const { width, height } = sizeAt(piece.section, piece.length, stationOf(cut, fromStart));
  return isUpright(face) ? width : height;
}

/** Whether a face looks up or down from the tube, not to its sides. */
const isUpright = (face: number): boolean => Math.abs(Math.cos(toRadians(face))) > Math.SQRT1_2;

/** Metal that a hole takes: mm3, and where it was, in the vehicle's axes; mm. A flat disc of the wall, slots with round ends. */
export function metalTaken(piece: Piece, cut: PieceCut, bore: Bore): { volume: number; at: Vector } {
  const { at, outward } = onWall(piece, cut, bore);
  const wall = wallThickness(piece, cut, stationOf(cut, bore.fromStart));
  const area = (Math.PI / 4) * bore.diameter ** 2 + (bore.long - bore.diameter) * bore.diameter;
  return { volume: area * wall, at: along(at, outward, -wall / 2) };
}

/** Everything that is drilled, piece by piece; of a pair both. */
export function drilledPieces({ pieces }: Frame, cuts: readonly PieceCut[]): readonly DrilledPiece[] {
  const byPiece = new Map(cuts.map((cut) => [cut.piece, cut]));
  return pieces.flatMap((piece): DrilledPiece[] => {
    const cut = byPiece.get(piece.id);
    if (!cut || !piece.member.holes?.length) return [];
    const bores = boresOf(piece, cut);
    return [
      {
        ...{ piece: piece.id, mark: piece.mark, name: piece.name, pair: piece.member.mirrored },
        ...{ girth: outlineAt(piece, 0).perimeter, length: cut.overall, bores },
        findings: piece.side === 'right' ? [] : holeFindings(piece, cut, bores),
      },
    ];
  });
}

const tell = teller('cuts');

/** Metal that is left between two holes at least, mm; a hole takes at most this share of what is across. Common practice, no source. */
export const HOLES = { between: 2, share: 0.6 } as const;

/** Metal between a hole and the nearer end of its tube, mm: whole it is from the deepest point of one end to that of the other. */
function toEnd({ ends: [start, end], overall }: PieceCut, { fromStart, long }: Bore): number {
  const low = start.edge.longest.at - start.edge.shortest.at;
  const high = overall - (end.edge.longest.at - end.edge.shortest.at);
  return Math.min(fromStart - long / 2 - low, high - fromStart - long / 2);
}

/** Whether two bores can run into each other: those of one hole in two walls are told by its own size. */
const canMeet = (a: Bore, b: Bore): boolean => a !== b && (a.hole !== b.hole || a.wall === b.wall);

/** Least metal between a hole and another, whichever side that comes from, or an end of its tube; mm, along the outside. */
export const webOf = (cut: PieceCut, bores: readonly Bore[], bore: Bore): number =>
  Math.min(toEnd(cut, bore), ...bores.filter((each) => canMeet(each, bore)).map((each) => apart(each, bore)));

function holeFindings(piece: Piece, cut: PieceCut, bores: readonly Bore[]): Finding[] {
  const { mark } = piece;
  const found = bores.flatMap((bore, index): Finding[] => {
    const { name: hole, fromStart, diameter, off, face } = bore;
    const over = -toEnd(cut, bore);
    const flat = halfFlat(piece, stationOf(cut, fromStart), face);
    const wide = Math.abs(off) + diameter / 2 - flat;
    const other = bores
      .slice(index + 1)
      .find((each) => canMeet(each, bore) && apart(each, bore) < HOLES.between);
    const share = diameter / (2 * flat);
    return [
      ...(over > 0 ? [tell('hole-over-end', 'look', piece.id, { mark, hole, by: over })] : []),
      ...(wide > 0 ? [tell('hole-over-edge', 'look', piece.id, { mark, hole, by: wide })] : []),
      ...(other
        ? [tell('holes-meet', 'look', piece.id, { mark, hole, other: other.name, left: apart(other, bore) })]
        : []),
      ...(wide <= 0 && share > HOLES.share
        ? [tell('hole-weakens', 'note', piece.id, { mark, hole, share })]
        : []),
    ];
  });
  const asked = (piece.member.holes ?? []).flatMap((hole): Finding[] => [
    ...(hole.at !== undefined && own(piece.places, hole.at) === undefined
      ? [tell('hole-place-gone', 'look', piece.id, { mark, hole: hole.name, from: hole.from })]
      : []),
    ...(hole.axle !== undefined && hole.axle > hole.diameter
      ? [
          tell('slot-narrow', 'look', piece.id, {
            mark,
            hole: hole.name,
            slot: hole.diameter,
            axle: hole.axle,
          }),
        ]
      : []),
    ...(hole.sleeve !== undefined && hole.sleeve > Math.max(hole.diameter, hole.far ?? 0)
      ? [
          tell('sleeve-tight', 'look', piece.id, {
            mark,
            hole: hole.name,
            sleeve: hole.sleeve,
            hole2: Math.max(hole.diameter, hole.far ?? 0),
          }),
        ]
      : []),
  ]);
  return onceEach([...found, ...asked, ...axleFindings(piece, cut)]);
}

/** An axle goes in by hand with so much to spare; what is left over that is filled by washers. mm. Common practice, no source. */
export const AXLE = { slides: 0.1, loose: 1 } as const;

/**
 * Between the inner faces of a pair of tubes, where a hole is; mm.
 * @param fromStart of the hole, along the piece as cut
 */
export function roomBetween(piece: Piece, cut: PieceCut, fromStart: number): number {
  const station = stationOf(cut, fromStart);
  const { at, direction } = pointOn(piece.path, station);
  const { width, height } = sizeAt(piece.section, piece.length, station);
  // The face that looks to the middle: of square stock the one nearest to that, of a round tube where it is touched.
  const top = carried(piece.path, piece.top, station);
  const over = cross(direction, top);
  const half = Math.abs(top[1]) >= Math.abs(over[1]) ? height / 2 : width / 2;
  return 2 * (Math.abs(at[1]) - half);
}

/** An axle between a pair that is too long to go in, or short of filling the room. */
function axleFindings(piece: Piece, cut: PieceCut): Finding[] {
  if (piece.side === 'middle') return [];
  return (piece.member.holes ?? []).flatMap(({ name: hole, between, ...placed }): Finding[] => {
    if (between === undefined) return [];
    const { mark } = piece;
    const room = roomBetween(piece, cut, fromStartOf(piece, cut, placed));
    const values = { mark, hole, between, room };
    return [
      ...(between > room - AXLE.slides ? [tell('axle-long', 'look', piece.id, values)] : []),
      ...(room - between > AXLE.loose ? [tell('axle-loose', 'note', piece.id, values)] : []),
    ];
  });
}

/** Of both walls the first is told: a hole over the edge of either is one thing to mend. */
function onceEach(findings: readonly Finding[]): Finding[] {
  const told = new Set<string>();
  return findings.filter(({ code, values }) => {
    const key = `${code} ${'hole' in values ? values.hole : ''}`;
    return !told.has(key) && told.add(key);
  });
}

/** Faces of a piece laid flat, from the top on, clockwise: where each begins, its middle and its end along the outside, mm. */
export interface FlatFace {
  readonly face: number;
  readonly from: number;
  readonly middle: number;
  readonly to: number;
}
export function flatFaces(piece: Piece): readonly FlatFace[] {
  const { developed, perimeter } = outlineAt(piece, 0);
  const { section } = piece;
  // A face of square stock is as wide as its share of the two sides; a round tube has four alike.
  const share = section.shape === 'rectangular' ? section.width / (section.width + section.height) : 0.5;
  return [0, 90, 180, 270].map((face) => {
    const middle = developed[face]!;
    const half = (perimeter / 4) * (face % 180 === 0 ? share : 1 - share);
    return { face, middle, from: middle - half, to: middle + half };
  });
}

/** Metal between two holes, along the outside the shorter way round, mm. */
function apart(a: Bore, b: Bore): number {
  const [along1, along2] = [a.long - a.diameter, b.long - b.diameter];
  const on = Math.max(0, Math.abs(a.fromStart - b.fromStart) - (along1 + along2) / 2);
  const round = within((TURN * (a.round - b.round)) / a.girth) / TURN;
  const beside = Math.min(round, 1 - round) * a.girth;
  return Math.hypot(on, beside) - (a.diameter + b.diameter) / 2;
}

/** Which way a face looks on the vehicle, in words. */
export function faceWords(piece: Piece, face: number): string {
  const outward = turn(piece.top, piece.direction, face);
  const side = Math.sign(piece.start[1] + piece.end[1]);
  const ways: readonly (readonly [string, Vector])[] = [
    ['up', [0, 0, 1]],
    ['down', [0, 0, -1]],
    ['forward', [1, 0, 0]],
    ['back', [-1, 0, 0]],
    [side > 0 ? 'outside' : side < 0 ? 'inside' : 'left', [0, 1, 0]],
    [side > 0 ? 'inside' : side < 0 ? 'outside' : 'right', [0, -1, 0]],
  ];
  return ways.reduce((best, each) => (dot(outward, each[1]) > dot(outward, best[1]) + 1e-9 ? each : best))[0];
}

/** The face of a piece that looks away from the vehicle's middle plane; its top where none does. */
export const outerFace = (piece: Piece): number =>
  [0, 90, 180, 270].find((face) => faceWords(piece, face) === 'outside') ?? 0;

/**
 * A hole as builders mostly make it, by what goes through it; mm.
 * @param place an axle that passes the tube: a bearing begins there, on the tube's outer face
 */
export function usualHole(
  use: Hole['use'],
  id: string,
  overall: number,
  place?: { readonly at: string; readonly face: number },
): Hole {
  const middle = { from: 'start', distance: Math.round(overall / 2), face: 0 } as const;
  const there = place && (use === 'bearing' || use === 'axle');
  const placed = {
    ...{ id, use, off: 0 },
    ...(there ? ({ from: 'start', distance: 0, ...place } as const) : middle),
  };
  switch (use) {
    // A flanged bearing on a one-inch axle: its own hole outside, the axle's clearance inside. Common practice, no source.
    case 'bearing':
      return {
        ...placed,
        name: 'bearing',
        diameter: 60.3,
        far: 38.1,
        circle: { count: 2, diameter: 99, hole: 8, first: 0 },
      };
    case 'bolt':
      return { ...placed, name: 'bolt', diameter: 8, far: 8 };
    case 'cable':
      return { ...placed, name: 'cable', diameter: 8, slot: 14 };
    case 'axle':
      return { ...placed, name: 'axle slot', diameter: 10, far: 10, slot: 25, axle: 9.5 };
    // Into the joint or the hidden side, so that a closed tube breathes while it is welded. Common practice, no source.
    case 'vent':
      return { ...placed, name: 'vent', diameter: 3 };
    // Welded shut onto what lies behind: some three walls wide, and never under 6. Common practice, no source.
    case 'plug':
      return { ...placed, name: 'plug weld', diameter: 8 };
    case 'other':
      return { ...placed, name: 'hole', diameter: 10 };
  }
}
