import type { Flat, Stroke } from './stroke.js';

/** Lines nearer to each other all along are drawn twice, mm. */
const TWICE = 0.2;

/** Strokes without those that are drawn twice, and how many of these there were, by layer. */
export function withoutDoubles(strokes: readonly Stroke[]): {
  readonly strokes: readonly Stroke[];
  readonly doubles: ReadonlyMap<string, number>;
} {
  const kept: Stroke[] = [];
  const doubles = new Map<string, number>();
  for (const stroke of strokes) {
    let whole: Stroke | undefined = stroke;
    for (let index = 0; whole && index < kept.length; index += 1) {
      const joined: Stroke | undefined = together(kept[index]!, whole);
      if (!joined) continue;
      // What both say is looked at anew: it may reach over a third.
      doubles.set(stroke.layer, (doubles.get(stroke.layer) ?? 0) + 1);
      if (joined === kept[index]) whole = undefined;
      else {
        kept.splice(index, 1);
        whole = joined;
        index = -1;
      }
    }
    if (whole) kept.push(whole);
  }
  return { strokes: kept, doubles };
}

const apart = (a: Flat, b: Flat): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** Two strokes that lie on each other as one; undefined where they do not, or only touch end to end. */
function together(a: Stroke, b: Stroke): Stroke | undefined {
  if (a.layer !== b.layer || Math.abs(a.level - b.level) > TWICE) return undefined;
  if (a.arc && b.arc) {
    const same = apart(a.arc.centre, b.arc.centre) < TWICE && Math.abs(a.arc.radius - b.arc.radius) < TWICE;
    const ends =
      (apart(a.from, b.from) < TWICE && apart(a.to, b.to) < TWICE) ||
      (apart(a.from, b.to) < TWICE && apart(a.to, b.from) < TWICE);
    const turns = Math.abs(Math.abs(a.arc.sweep) - Math.abs(b.arc.sweep)) * a.arc.radius < TWICE;
    return same && ends && turns ? a : undefined;
  }
  if (a.arc || b.arc) return undefined;
  const long = apart(a.from, a.to);
  const way: Flat = [(a.to[0] - a.from[0]) / long, (a.to[1] - a.from[1]) / long];
  const along = ([x, y]: Flat) => (x - a.from[0]) * way[0] + (y - a.from[1]) * way[1];
  const beside = ([x, y]: Flat) => (y - a.from[1]) * way[0] - (x - a.from[0]) * way[1];
  if (Math.max(Math.abs(beside(b.from)), Math.abs(beside(b.to))) > TWICE) return undefined;
  const [low, high] = [Math.min(along(b.from), along(b.to)), Math.max(along(b.from), along(b.to))];
  if (Math.min(long, high) - Math.max(0, low) < OVERLAP) return undefined;
  if (low >= -TWICE && high <= long + TWICE) return a;
  const end = (by: number): Flat => [a.from[0] + way[0] * by, a.from[1] + way[1] * by];
  return { ...a, from: end(Math.min(0, low)), to: end(Math.max(long, high)) };
}
/** Lines in one line that overlap by less only meet, mm. */
const OVERLAP = 1;
