import type { Piece } from '../frame/frame.js';
import { pointOn } from '../frame/path.js';
import { propertiesOf, roundTube, sizeAt } from '../frame/sections.js';
import { toRadians } from '../units/angle.js';
import { add, along, cross, scale, type Vector } from '../vector/vector.js';
import type { EndCut } from './endCut.js';
import { WALL_LINES } from './edge.js';
import { slotDepths } from './slot.js';
import { wallThickness, zonesOf, type Trimmed } from './wall.js';

/** Metal of a piece: mm3, and its centre of gravity in the vehicle's axes, mm. */
export interface Metal {
  readonly volume: number;
  readonly centre: Vector;
}

/**
 * Metal in a cut piece with its caps: its body between the two cutter centres, and what each cut leaves or takes beyond
 * them. Source: centroids of parts, by their moments; a bent part by Pappus's rule.
 */
export function metalOf(piece: Piece, cut: Trimmed): Metal {
  const [start, end] = cut.ends;
  let volume = 0;
  let moment: Vector = [0, 0, 0];
  const take = (part: Metal) => {
    volume += part.volume;
    moment = add(moment, scale(part.centre, part.volume));
  };
  const stations = breaksOf(piece, cut, start.station, end.station);
  for (let index = 1; index < stations.length; index += 1)
    take(bodyPart(piece, cut, stations[index - 1]!, stations[index]!));
  for (const each of cut.ends) {
    take(beyond(each));
    take(capOf(piece, each));
  }
  const usable = Math.abs(volume) > 1e-9;
  return { volume, centre: usable ? scale(moment, 1 / volume) : scale(add(start.centre, end.centre), 0.5) };
}

/** Steps in which a part that is pressed oval is taken. */
const OVAL_STEPS = 8;

/** Where the cross-section of a piece begins to change, or its centre line to bend, between two stations. */
function breaksOf(piece: Piece, cut: Trimmed, from: number, to: number): number[] {
  const { section, path, length } = piece;
  const stations = [from, to, ...path.legs.flatMap((leg) => [leg.station, leg.station + leg.length])];
  if (section.shape === 'round') {
    stations.push(...zonesOf(piece, cut));
    if (section.taper) stations.push(length - section.taper.length, length);
    if (section.ovalEnd)
      for (let step = 0; step <= OVAL_STEPS; step += 1)
        stations.push(length - (section.ovalEnd.length * step) / OVAL_STEPS);
  }
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  const within = stations.filter((station) => station >= low && station <= high).sort((a, b) => a - b);
  // A piece whose cuts pass each other has less than no metal: what its ends add is taken off again.
  return from <= to ? within : within.reverse();
}

/** A part of the body along which the area of its wall changes evenly. */
function bodyPart(piece: Piece, cut: Trimmed, from: number, to: number): Metal {
  const [a, b] = [areaAt(piece, cut, from), areaAt(piece, cut, to)];
  const volume = ((a + b) / 2) * (to - from);
  const middle = (from + to) / 2;
  const arc = piece.path.arcs.find((each) => middle > each.station && middle < each.station + each.length);
  if (arc) {
    const half = Math.abs(toRadians(((to - from) / arc.length) * arc.angle)) / 2;
    const { at } = pointOn(piece.path, middle);
    const { area, upright, sideways } = propertiesOf(piece.section);
    // The wall outside the centre line is longer than that inside.
    const radius = arc.radius + (upright + sideways) / 2 / area / arc.radius;
    const share = ((half > 1e-9 ? Math.sin(half) / half : 1) * radius) / arc.radius;
    return { volume, centre: add(scale(at, share), scale(arc.centre, 1 - share)) };
  }
  const share = a + b > 0 ? (a + 2 * b) / (3 * (a + b)) : 0.5;
  return { volume, centre: pointOn(piece.path, from + (to - from) * share).at };
}

/** Metal in a section across a piece, mm2. */
function areaAt(piece: Piece, cut: Trimmed, station: number): number {
  const { section, length } = piece;
  if (section.shape !== 'round') return propertiesOf(section).area;
  const { width, height } = sizeAt(section, length, station);
  const wall = wallThickness(piece, cut, station);
  if (width === height) return roundTube(width, wall).area;
  return propertiesOf({ ...section, shape: 'oval', width, height, wall }).area;
}

/** The cap on an end that has one: as large as the tube outside. */
function capOf({ member }: Piece, { end, outline, centre, outward, edge }: EndCut): Metal {
  const cut = member.ends[end];
  if (cut.cut !== 'capped') return { volume: 0, centre };
  return {
    volume: outline.area * cut.thickness,
    centre: along(centre, outward, edge.longest.at + cut.thickness / 2),
  };
}

/**
 * Metal beyond an end's cutter centre, by wall lines: each stands for a strip of wall as wide as half-way to its
 * neighbours, its length running straight from the inner to the outer edge. A strip short of the centre counts against it.
 */
function beyond(end: EndCut): Metal {
  const { edge, outline, wall, growth, centre, outward, matchSide } = end;
  const { outer, inner } = edge;
  const { wide, narrow, u, v, innerU, innerV } = outline;
  const grow = growth ? (growth.u + growth.v) / 2 : 0;
  const slotAt = slotDepths(end);
  let [volume, onward, toMatch, across] = [0, 0, 0, 0];
  for (let line = 0; line < WALL_LINES; line += 1) {
    const slot = slotAt ? slotAt(line) : 0;
    const [far, near] = [outer[line]! - slot, inner[line]! - slot];
    const outside = wide[line]!;
    const inside = narrow[line]!;
    const [whole, slant] = [(outside + inside) / 2, inside / 6 + outside / 3];
    const size = wall * (1 + (grow * (far + near)) / 4);
    const metal = size * (near * whole + (far - near) * slant);
    volume += metal;
    onward += (size * (near * near * whole + (far * far - near * near) * slant)) / 2;
    toMatch += (metal * (u[line]! + innerU[line]!)) / 2;
    across += (metal * (v[line]! + innerV[line]!)) / 2;
  }
  if (Math.abs(volume) < 1e-9) return { volume: 0, centre };
  const at = along(along(centre, outward, onward / volume), matchSide, toMatch / volume);
  return { volume, centre: along(at, cross(outward, matchSide), across / volume) };
}
