import { pointOn, type Plan } from '@larchwood/core';
import type { Pixel, View } from '../../sheet/view';

/** Tags keep so far from each other, and stand so far off their piece at first; px. */
export const APART = 27;
const OFF = 34;
const TRIES = 9;
/** So many pieces within so many pixels of one are a heap: leaders to each would say no more. */
const CROWD = { within: 26, many: 5 } as const;
/** Clear of the sheet's edges and of what stands over its top, px. */
const EDGE = 16;
const HEAD = 60;

/** One number on the sheet. */
export interface Balloon {
  readonly id: string;
  readonly number: number;
  /** On the piece. */
  readonly at: Pixel;
  readonly tag: Pixel;
}
/** Numbers that find no room of their own: side by side, with one leader for all. */
export interface Heap {
  readonly balloons: readonly Balloon[];
  readonly leader: readonly [from: Pixel, to: Pixel];
}
export interface Balloons {
  readonly single: readonly Balloon[];
  readonly heaps: readonly Heap[];
}

interface Tagged extends Omit<Balloon, 'tag'> {
  /** The way of its piece on the sheet. */
  readonly along: Pixel;
}

/** Where each piece number stands: one for a pair, no two over each other. */
export function balloonsOf(plan: Plan, view: View): Balloons {
  const centre: Pixel = [view.width / 2, view.height / 2];
  const taken: Pixel[] = [];
  const single: Balloon[] = [];
  const crowded: Tagged[] = [];
  const parts = tagged(plan, view);
  const isCrowded = (part: Tagged): boolean =>
    parts.filter((other) => apart(other.at, part.at) <= CROWD.within).length >= CROWD.many;
  for (const part of parts) {
    const tag = isCrowded(part) ? undefined : clearPlace(part, centre, taken, view);
    if (!tag) {
      crowded.push(part);
      continue;
    }
    taken.push(tag);
    single.push({ id: part.id, number: part.number, at: part.at, tag });
  }
  const heaps = gathered(crowded).map((parts) => {
    const heap = heapOf(parts, taken, view);
    taken.push(...heap.balloons.map(({ tag }) => tag));
    return heap;
  });
  return { single, heaps };
}

function tagged(plan: Plan, view: View): Tagged[] {
  const seen = new Set<string>();
  const once = (id: string) => !seen.has(id) && seen.add(id) && true;
  return [
    ...plan.frame.pieces
      .filter((piece) => piece.side !== (view.name === 'side' ? 'left' : 'right') && once(piece.member.id))
      .map((piece): Tagged => {
        const { at, direction } = pointOn(piece.path, piece.length * 0.46);
        const here = view.at(at);
        const on = view.at([at[0] + direction[0], at[1] + direction[1], at[2] + direction[2]]);
        return {
          ...{ id: piece.member.id, number: piece.member.piece, at: here },
          along: [on[0] - here[0], on[1] - here[1]],
        };
      }),
    ...plan.frame.plates
      .filter((plate) => once(plate.plate.id))
      .map((plate): Tagged => ({
        ...{ id: plate.plate.id, number: plate.plate.piece, at: view.at(plate.centre) },
        along: [1, -1],
      })),
  ];
}

const inside = ([x, y]: Pixel, { width, height }: View): boolean =>
  x > EDGE && y > HEAD && x < width - EDGE && y < height - EDGE;
const apart = (a: Pixel, b: Pixel): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** A place for a tag square to its piece, away from the middle of the sheet, swung and pushed out until it is free. */
function clearPlace(
  { at, along }: Tagged,
  centre: Pixel,
  taken: readonly Pixel[],
  view: View,
): Pixel | undefined {
  const size = Math.hypot(along[0], along[1]);
  const outward = Math.atan2(at[1] - centre[1], at[0] - centre[0]);
  const square = size < 0.05 * view.scale ? outward : Math.atan2(-along[0], along[1]);
  const first = Math.cos(square - outward) >= 0 ? square : square + Math.PI;
  for (let attempt = 0; attempt < TRIES; attempt += 1) {
    const swing = Math.ceil(attempt / 2) * 0.42 * (attempt % 2 === 0 ? 1 : -1);
    for (const off of [OFF, OFF * 1.7]) {
      const place: Pixel = [at[0] + Math.cos(first + swing) * off, at[1] + Math.sin(first + swing) * off];
      if (inside(place, view) && taken.every((other) => apart(place, other) >= APART)) return place;
    }
  }
  return undefined;
}

/** Pieces so near to each other on the sheet share one leader, px. */
const NEAR = 70;

/** Lots of pieces, each near to another of its lot. */
function gathered(parts: readonly Tagged[]): readonly (readonly Tagged[])[] {
  const lots: Tagged[][] = [];
  for (const part of parts) {
    const near = lots.filter((lot) => lot.some(({ at }) => apart(at, part.at) <= NEAR));
    const merged = [...near.flat(), part];
    for (const lot of near) lots.splice(lots.indexOf(lot), 1);
    lots.push(merged);
  }
  return lots;
}

const DIRECTIONS = 24;
/** The farthest that a lot of numbers stands off what it names, px. */
const FAR = 460;

/** Numbers of one lot in rows, in the nearest room for them, by their number. */
function heapOf(parts: readonly Tagged[], taken: readonly Pixel[], view: View): Heap {
  const sorted = [...parts].sort((a, b) => a.number - b.number);
  const columns = Math.ceil(Math.sqrt(sorted.length * 1.5));
  const rows = Math.ceil(sorted.length / columns);
  const middle: Pixel = [
    sorted.reduce((sum, { at }) => sum + at[0], 0) / sorted.length,
    sorted.reduce((sum, { at }) => sum + at[1], 0) / sorted.length,
  ];
  const cells = ([x, y]: Pixel): Pixel[] =>
    sorted.map((_, index) => [
      x + ((index % columns) - (columns - 1) / 2) * APART,
      y + (Math.floor(index / columns) - (rows - 1) / 2) * APART,
    ]);
  const reach = (Math.max(columns, rows) * APART) / 2;
  let found: readonly Pixel[] | undefined;
  for (let off = reach + OFF; off <= FAR && !found; off += APART / 2)
    for (let turn = 0; turn < DIRECTIONS && !found; turn += 1) {
      const angle = (2 * Math.PI * turn) / DIRECTIONS;
      const tried = cells([middle[0] + Math.cos(angle) * off, middle[1] + Math.sin(angle) * off]);
      if (tried.every((each) => inside(each, view) && taken.every((other) => apart(each, other) >= APART)))
        found = tried;
    }
  const tags = found ?? cells(middle);
  const nearest = tags.reduce((best, each) => (apart(each, middle) < apart(best, middle) ? each : best));
  return {
    balloons: sorted.map(({ id, number, at }, index) => ({ id, number, at, tag: tags[index]! })),
    leader: [middle, nearest],
  };
}
