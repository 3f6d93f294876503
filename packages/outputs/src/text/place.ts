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

/** Room of a drawing that words have taken: no two of them are set over each other. */
export class Room {
  private readonly taken: Box[] = [];
  private readonly lines: (readonly [Point, Point])[] = [];

  constructor(private readonly bounds?: Box) {}

  /** Lines that words are better kept off. */
  avoid(marks: readonly Mark[]): void {
    for (const mark of marks)
      if (mark.as === 'path')
        for (let index = 1; index < mark.points.length; index += 1)
          this.lines.push([mark.points[index - 1]!, mark.points[index]!]);
  }

  /** Whether no line runs through a box. */
  isClear(box: Box): boolean {
    return !this.lines.some((line) => segmentMeets(line, box));
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

/** Whether a straight runs through a box. Source: the straight cut by four sides, parameter by parameter. */
function segmentMeets(
  [[ax, ay], [bx, by]]: readonly [Point, Point],
  { left, top, right, bottom }: Box,
): boolean {
  if (Math.max(ax, bx) < left || Math.min(ax, bx) > right) return false;
  if (Math.max(ay, by) < top || Math.min(ay, by) > bottom) return false;
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
export function ledOut(room: Room, [x, y]: Point, text: string, size: number): Mark[] {
  const choices = AWAY.flatMap((away) =>
    DIRECTIONS.map((degrees) => {
      const angle = (degrees * Math.PI) / 180;
      const [dx, dy] = [Math.cos(angle) * away, Math.sin(angle) * away];
      const anchor = Math.abs(dx) < 0.3 * away ? 'middle' : dx > 0 ? 'start' : 'end';
      const at: Point = [x + dx, y + dy + (CAPITAL * size) / 2];
      const words = label(at, size, text, { anchor, bold: true, clear: true });
      return { away, words, to: [x + dx, y + dy] as Point, box: boxOf(words) };
    }),
  );
  const free = choices.filter(({ box }) => room.isFree(box));
  const chosen = free.find(({ box }) => room.isClear(box)) ?? free[0];
  if (!chosen) return [];
  room.take(chosen.box);
  const lead = chosen.away > AWAY[0]! ? [path('thin', [[x, y], chosen.to])] : [];
  return [...lead, chosen.words];
}
