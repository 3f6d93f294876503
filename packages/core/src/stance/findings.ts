import { teller, type Finding } from '../findings/finding.js';
import type { Kind } from './dimension.js';
import { findKind } from './kinds/registry.js';
import { otherSolutions } from './solve.js';
import type { Stance } from './stance.js';

/** Room wanted, mm: under a pedal, between tyre and shell, under the floor, between deck and tyre. Common practice. */
const WANTED = { underPedal: 60, tyreToShell: 10, underFloor: 20, deckToTyre: 20 };
/** Half of a BB shell, mm. */
const SHELL = 20;

/** Dimensions outside their usual band, and shapes that can be built but will not ride. */
export function stanceFindings(stance: Stance): Finding[] {
  const kind = findKind(stance.kind);
  if (!kind) return [];
  return [
    ...wheelFindings(stance),
    ...steeringFindings(stance),
    ...pedalFindings(stance),
    ...floorFindings(stance),
    ...solutionFindings(stance, kind),
    ...bandFindings(stance, kind),
  ];
}

const tell = teller('stance');

/** A front and a rear tyre overlap; tyres beside each other pass. */
function wheelFindings({ standing }: Stance): Finding[] {
  const [front, rear] = [
    standing.filter(({ end }) => end === 'front'),
    standing.filter(({ end }) => end === 'rear'),
  ];
  const overlaps = front.flatMap((a) =>
    rear
      .filter((b) => Math.abs(a.centre[1] - b.centre[1]) < (a.width + b.width) / 2)
      .map((b) => a.radius + b.radius - Math.hypot(a.centre[0] - b.centre[0], a.centre[2] - b.centre[2])),
  );
  const overlap = Math.max(0, ...overlaps);
  return overlap > 0 ? [tell('wheels-overlap', 'stop', 'wheelbase', { overlap })] : [];
}

function steeringFindings({ values }: Stance): Finding[] {
  const { trail, casterTrail, forkOffset, trailFull } = values;
  const found: Finding[] = [];
  if (trail !== undefined && trail < 0) found.push(tell('trail-negative', 'stop', 'trail', { value: trail }));
  if (casterTrail !== undefined && casterTrail < 0)
    found.push(tell('caster-trail-negative', 'stop', 'casterTrail', { value: casterTrail }));
  if (trailFull !== undefined && trailFull < 0 && (trail ?? casterTrail ?? 0) >= 0)
    found.push(tell('trail-negative-full', 'look', 'trailFull', { value: trailFull }));
  if (forkOffset !== undefined && forkOffset < 0)
    found.push(tell('offset-behind', 'note', 'forkOffset', { value: forkOffset }));
  return found;
}

function pedalFindings({ values, wheels }: Stance): Finding[] {
  const { toeClearance, bottomBracketHeight, crankLength, chainstayLength } = values;
  const found: Finding[] = [];
  if (toeClearance !== undefined && toeClearance < 0)
    found.push(tell('toe-overlap', 'look', 'toeClearance', { overlap: -toeClearance }));
  if (bottomBracketHeight !== undefined && crankLength !== undefined) {
    const [gap, wanted] = [bottomBracketHeight - crankLength, WANTED.underPedal];
    if (gap < wanted) found.push(tell('pedal-low', 'look', 'bottomBracketHeight', { gap, wanted }));
  }
  if (chainstayLength !== undefined) {
    const [gap, wanted] = [chainstayLength - wheels.rear.radius - SHELL, WANTED.tyreToShell];
    if (gap < wanted) found.push(tell('wheel-meets-shell', 'stop', 'chainstayLength', { gap, wanted }));
  }
  return found;
}

function floorFindings({ values, postures }: Stance): Finding[] {
  const found: Finding[] = [];
  const { deckToTyre } = values;
  if (deckToTyre !== undefined && deckToTyre < WANTED.deckToTyre)
    found.push(tell('deck-near-tyre', 'stop', 'deckToTyre', { gap: deckToTyre, wanted: WANTED.deckToTyre }));
  if (postures) {
    const ends = ['floorRear', 'floorFront'].map((name) => postures.full.points[name]?.[2] ?? Infinity);
    const [gap, wanted] = [Math.min(...ends), WANTED.underFloor];
    if (gap < wanted) found.push(tell('floor-low', 'look', 'groundClearance', { gap, wanted }));
  }
  return found;
}

/** Another vehicle that meets what is held, told by the measured dimension in which the two are furthest apart. */
function solutionFindings({ held, state, values }: Stance, kind: Kind): Finding[] {
  const [other] = otherSolutions(kind, held, state);
  if (!other) return [];
  const apart = (id: string) => Math.abs(other[id]! - values[id]!);
  const [furthest] = kind.dimensions
    .filter(({ id }) => !(id in held) && id in other)
    .sort((a, b) => apart(b.id) - apart(a.id));
  if (!furthest) return [];
  const { id, name, quantity } = furthest;
  return [
    tell('second-solution', 'note', id, { dimension: name, quantity, value: values[id]!, other: other[id]! }),
  ];
}

function bandFindings({ values, bands }: Stance, kind: Kind): Finding[] {
  return Object.entries(bands).flatMap(([id, { low, high, use }]) => {
    const value = values[id];
    const dimension = kind.dimensions.find((candidate) => candidate.id === id);
    // A toe that meets the tyre has a finding of its own.
    if (value === undefined || !dimension || id === 'toeClearance' || (value >= low && value <= high))
      return [];
    const { name, quantity } = dimension;
    const seated = kind.seat.groups.some(({ ids }) => ids.includes(id));
    const station = seated && !kind.groups.some(({ ids }) => ids.includes(id)) ? 'seat' : 'stance';
    return [
      teller(station)('outside-band', 'note', id, { dimension: name, quantity, value, low, high, use }),
    ];
  });
}
