import type { Flat, Stroke } from './stroke.js';

/** A tube's centre line in the drawing: its ends, and a corner with its radius for each bend; mm. */
export interface Chain {
  readonly layer: string;
  /** Off the drawing's own plane, towards who looks at it; mm. */
  readonly level: number;
  readonly from: Flat;
  readonly to: Flat;
  readonly bends: readonly { readonly corner: Flat; readonly radius: number }[];
}

/** Ends nearer than this are one point, mm. */
const JOINED = 0.5;
/** An arc goes on from a straight whose direction is no farther off its own, radians. */
const TANGENT = (2 * Math.PI) / 180;
/** An arc that turns more is two bends one after the other, radians: no one corner has it. */
const MOST_TURN = (150 * Math.PI) / 180;

/** A stroke as it is run through: from one of its ends to the other. */
interface Run {
  readonly stroke: Stroke;
  readonly back: boolean;
}
const startOf = ({ stroke, back }: Run): Flat => (back ? stroke.to : stroke.from);
const endOf = ({ stroke, back }: Run): Flat => (back ? stroke.from : stroke.to);
/** Direction in which a run sets out, or arrives; radians. */
function headingAt({ stroke, back }: Run, atEnd: boolean): number {
  const { from, to, arc } = stroke;
  if (!arc) return Math.atan2(to[1] - from[1], to[0] - from[0]) + (back ? Math.PI : 0);
  const [x, y] = (atEnd !== back ? to : from) as Flat;
  const radial = Math.atan2(y - arc.centre[1], x - arc.centre[0]);
  return radial + (Math.sign(arc.sweep) * Math.PI) / 2 + (back ? Math.PI : 0);
}

const apart = (a: Flat, b: Flat): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
const turnBetween = (a: number, b: number): number => Math.atan2(Math.sin(b - a), Math.cos(b - a));

/**
 * Strokes put together to tubes: an arc goes on from what it is tangent to, and two straights that lie in one line are one.
 * Everything else meets in a joint.
 */
export function chainsOf(strokes: readonly Stroke[]): readonly Chain[] {
  const left = new Set(strokes);
  const chains: Chain[] = [];
  for (const stroke of strokes) {
    if (!left.delete(stroke)) continue;
    const runs: Run[] = [{ stroke, back: false }];
    // Onward from its end, then back from its start.
    for (let next = onward(runs.at(-1)!, left); next; next = onward(runs.at(-1)!, left)) {
      left.delete(next.stroke);
      runs.push(next);
    }
    const turned = (run: Run): Run => ({ ...run, back: !run.back });
    for (let next = onward(turned(runs[0]!), left); next; next = onward(turned(runs[0]!), left)) {
      left.delete(next.stroke);
      runs.unshift(turned(next));
    }
    chains.push(chainOf(runs));
  }
  return chains;
}

/** The one stroke that goes on from a run without a corner; none where several do, or none does. */
function onward(run: Run, left: ReadonlySet<Stroke>): Run | undefined {
  const [at, heading] = [endOf(run), headingAt(run, true)];
  let found: Run | undefined;
  // Thousands of strokes are looked at for each: nothing is made of one that is not near.
  for (const stroke of left) {
    if (stroke.layer !== run.stroke.layer || Math.abs(stroke.level - run.stroke.level) >= JOINED) continue;
    for (const back of [false, true]) {
      if (apart(back ? stroke.to : stroke.from, at) >= JOINED) continue;
      const next = { stroke, back };
      if (Math.abs(turnBetween(heading, headingAt(next, false))) >= TANGENT) continue;
      if (found) return undefined;
      found = next;
    }
  }
  return found;
}

function chainOf(runs: readonly Run[]): Chain {
  const bends = runs.flatMap((run) => {
    const { arc } = run.stroke;
    if (!arc) return [];
    const sweep = run.back ? -arc.sweep : arc.sweep;
    const parts = Math.ceil(Math.abs(sweep) / MOST_TURN);
    const first = Math.atan2(startOf(run)[1] - arc.centre[1], startOf(run)[0] - arc.centre[0]);
    return Array.from({ length: parts }, (_, part) => {
      // The corner of an arc lies on the line that halves it.
      const middle = first + (sweep * (part + 0.5)) / parts;
      const out = arc.radius / Math.cos(sweep / parts / 2);
      const corner: Flat = [arc.centre[0] + out * Math.cos(middle), arc.centre[1] + out * Math.sin(middle)];
      return { corner, radius: arc.radius };
    });
  });
  const { layer, level } = runs[0]!.stroke;
  return { layer, level, from: startOf(runs[0]!), to: endOf(runs.at(-1)!), bends };
}
