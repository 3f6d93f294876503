import RBush, { type BBox } from 'rbush';
import { label, path, type Mark, type Point } from '../drawing.js';
import { BELOW, CAPITAL, textWidth } from './measure.js';

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}
type Words = Extract<Mark, { as: 'text' }>;

/** The room that words take on a drawing, mm. */
export function boxOf({ at: [x, y], size, text, anchor, bold, turned }: Words): Box {
  const width = textWidth(text, size, bold);
  const from = { start: 0, middle: -0.5, end: -1 }[anchor] * width;
  return turned
    ? { left: x - BELOW * size, right: x + CAPITAL * size, top: y + from, bottom: y + from + width }
    : { left: x + from, right: x + from + width, top: y - CAPITAL * size, bottom: y + BELOW * size };
}

export const boxesMeet = (a: Box, b: Box, gap = 0): boolean =>
  a.left < b.right + gap && b.left < a.right + gap && a.top < b.bottom + gap && b.top < a.bottom + gap;

export const boxInside = (inner: Box, outer: Box): boolean =>
  inner.left >= outer.left &&
  inner.right <= outer.right &&
  inner.top >= outer.top &&
  inner.bottom <= outer.bottom;

/** Between words of a drawing, mm. */
const GAP = 0.4;

/** A straight of a drawing, by the box around it. */
interface Line extends BBox {
  readonly ends: readonly [Point, Point];
}

/** Room of a drawing that words have taken: no two of them are set over each other. */
export class Room {
  private readonly taken: Box[] = [];
  private readonly lines = new RBush<Line>();

  constructor(private readonly bounds?: Box) {}

  /** Lines that words are better kept off. */
  avoid(marks: readonly Mark[]): void {
    this.lines.load(
      marks.flatMap((mark) =>
        mark.as === 'path'
          ? mark.points.slice(1).map((to, index) => lineBetween(mark.points[index]!, to))
          : [],
      ),
    );
  }

  /** Whether no line runs through a box. */
  isClear(box: Box): boolean {
    const { left: minX, top: minY, right: maxX, bottom: maxY } = box;
    return !this.lines.search({ minX, minY, maxX, maxY }).some(({ ends }) => segmentMeets(ends, box));
  }

  take(...boxes: Box[]): void {
    this.taken.push(...boxes);
  }

  isFree(box: Box): boolean {
    return (
      (!this.bounds || boxInside(box, this.bounds)) && !this.taken.some((each) => boxesMeet(each, box, GAP))
    );
  }

  /** The first of some words that has room, which it takes; none where no place has. */
  place(choices: Iterable<Words>): Words | undefined {
    for (const words of choices) {
      const box = boxOf(words);
      if (!this.isFree(box)) continue;
      this.taken.push(box);
      return words;
    }
    return undefined;
  }
}

const lineBetween = (from: Point, to: Point): Line => ({
  ends: [from, to],
  minX: Math.min(from[0], to[0]),
  minY: Math.min(from[1], to[1]),
  maxX: Math.max(from[0], to[0]),
  maxY: Math.max(from[1], to[1]),
});

/** Whether a straight, whose box meets another, runs through it. Source: the straight cut by four sides, parameter by parameter. */
function segmentMeets(
  [[ax, ay], [bx, by]]: readonly [Point, Point],
  { left, top, right, bottom }: Box,
): boolean {
  let [from, to] = [0, 1];
  const cut = (start: number, way: number, low: number, high: number): void => {
    if (way === 0) return;
    const [near, far] = way > 0 ? [low, high] : [high, low];
    from = Math.max(from, (near - start) / way);
    to = Math.min(to, (far - start) / way);
  };
  cut(ax, bx - ax, left, right);
  cut(ay, by - ay, top, bottom);
  return from <= to;
}

/** Ways from a point in which its words may be led out, nearest first; mm. */
const AWAY = [3, 6, 10, 15, 21, 28, 36, 45, 56, 70, 90];
const DIRECTIONS = [-45, 45, -135, 135, 0, 180, -90, 90, -20, 20, -160, 160];

/**
 * Words at a point, or led out from it by a thin line to where there is room: clear of every line where that is to be had
 * near, else clear of other words. None where there is no room at all.
 */
export function ledOut(room: Room, from: Point, text: string, size: number): Mark[] {
  const chosen = placeAway(room, from, text, size);
  if (!chosen) return [];
  room.take(chosen.box);
  const lead = chosen.away > AWAY[0]! ? [path('thin', [from, chosen.to])] : [];
  return [...lead, chosen.words];
}

function placeAway(room: Room, [x, y]: Point, text: string, size: number) {
  let free:
    { readonly away: number; readonly to: Point; readonly words: Words; readonly box: Box } | undefined;
  for (const away of AWAY)
    for (const degrees of DIRECTIONS) {
      const angle = (degrees * Math.PI) / 180;
      const [dx, dy] = [Math.cos(angle) * away, Math.sin(angle) * away];
      const anchor = Math.abs(dx) < 0.3 * away ? 'middle' : dx > 0 ? 'start' : 'end';
      const at: Point = [x + dx, y + dy + (CAPITAL * size) / 2];
      const words = label(at, size, text, { anchor, bold: true, clear: true });
      const box = boxOf(words);
      if (!room.isFree(box)) continue;
      const place = { away, to: [x + dx, y + dy] as Point, words, box };
      if (room.isClear(box)) return place;
      free ??= place;
    }
  return free;
}
