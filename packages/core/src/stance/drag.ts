import type { Vector } from '../vector/vector.js';
import type { Dimension, Kind, State, ViewName } from './dimension.js';
import { solveStance, type Held } from './solve.js';

/** What a pull at a point of the drawing comes to. */
export type Drag =
  | { readonly gives: true; readonly held: Held; /** Why it went no further. */ readonly stopped?: string }
  /** Nothing that is held moves this point: `pin` would, were it held. */
  | { readonly gives: false; readonly pin: string | undefined };

/** The two axes a view shows. */
export const VIEW_AXES: Readonly<Record<ViewName, readonly [0 | 1 | 2, 0 | 1 | 2]>> = {
  side: [0, 2],
  plan: [0, 1],
  front: [1, 2],
};
/** Nearer than this to where it is wanted, mm, a point is let be: the values are rounded more coarsely. */
const NEAR_ENOUGH = 0.3;
/** A step that moves the point by less, mm, is none: what gives way moves it no nearer. */
const NO_STEP = 0.01;
/** Dragged values come to whole millimetres and tenths of a degree; finer ones are typed. */
const GRAIN = { length: 1, angle: 0.1 } as const;

/** A point taken hold of: what gives way to it, found once for the whole drag. */
export interface Hold {
  readonly kind: Kind;
  readonly held: Held;
  readonly near: State;
  readonly start: Spot;
  readonly at: (values: Held) => Spot | undefined;
  readonly movers: readonly Mover[];
  readonly moves: readonly string[];
}
type Spot = readonly [number, number];

/**
 * Takes hold of a point in a view; undefined while the vehicle has no shape.
 *
 * @param moves ids of the dimensions that may give way, best first
 */
export function takeHold(
  kind: Kind,
  held: Held,
  near: State,
  {
    point,
    moves,
    view,
  }: { readonly point: string; readonly moves: readonly string[]; readonly view: ViewName },
): Hold | undefined {
  const axes = VIEW_AXES[view];
  const at = (values: Held): Spot | undefined => {
    const solved = solveStance(kind, values, near);
    const place: Vector | undefined = solved.ok ? kind.points(solved.state)[point] : undefined;
    return place && [place[axes[0]], place[axes[1]]];
  };
  const start = at(held);
  return start && { kind, held, near, start, at, movers: moversOf(kind, held, moves, start, at), moves };
}

/**
 * Pulls a point towards a place in a view. At most two of the named dimensions give way, and only where they are held:
 * all others keep their values, and what follows, follows.
 *
 * @param target the two coordinates wanted in the view, mm
 */
export function pullTo({ kind, held, near, start, at, movers, moves }: Hold, target: Spot): Drag {
  if (movers.length === 0) {
    const pin = moves.find((id) => !(id in held) && kind.dimensions.some((each) => each.id === id));
    return { gives: false, pin };
  }
  let values: Record<string, number> = { ...held };
  let place = start;
  let stopped: string | undefined;
  for (let round = 0; round < 4; round += 1) {
    const off: Spot = [target[0] - place[0], target[1] - place[1]];
    if (Math.hypot(...off) < NEAR_ENOUGH) break;
    const steps = leastSquares(movers, off);
    const next = { ...values };
    movers.forEach(({ dimension }, index) => {
      const [low, high] = dimension.limits;
      next[dimension.id] = Math.min(high, Math.max(low, values[dimension.id]! + steps[index]!));
    });
    const reached = at(next);
    if (!reached) {
      const refused = solveStance(kind, next, near);
      stopped = refused.ok ? undefined : refused.refusals[0]?.message;
      break;
    }
    const moved = Math.hypot(reached[0] - place[0], reached[1] - place[1]);
    values = next;
    place = reached;
    if (moved < NO_STEP) break;
  }
  const rounded = { ...values };
  for (const { dimension } of movers) {
    const grain = GRAIN[dimension.quantity];
    rounded[dimension.id] = Math.round(Math.round(values[dimension.id]! / grain) * grain * 1e6) / 1e6;
  }
  const taken = at(rounded) ? rounded : values;
  return stopped === undefined ? { gives: true, held: taken } : { gives: true, held: taken, stopped };
}

interface Mover {
  readonly dimension: Dimension;
  /** How the point moves for 1 more of it. */
  readonly effect: Spot;
}

/** The first named dimension that moves the point, and the first after it that moves it another way. */
function moversOf(
  kind: Kind,
  held: Held,
  moves: readonly string[],
  start: Spot,
  at: (values: Held) => Spot | undefined,
): Mover[] {
  const movers: Mover[] = [];
  for (const id of moves) {
    const dimension = kind.dimensions.find((each) => each.id === id);
    if (!dimension || !(id in held) || movers.length === 2) continue;
    const h = 1e-3;
    // At a limit only one side can be.
    const ahead = at({ ...held, [id]: held[id]! + h });
    const reached = ahead ?? at({ ...held, [id]: held[id]! - h });
    if (!reached) continue;
    const step = ahead ? h : -h;
    const effect = [(reached[0] - start[0]) / step, (reached[1] - start[1]) / step] as const;
    const size = Math.hypot(...effect);
    if (size < 1e-6) continue;
    const first = movers[0];
    const turned = first && Math.abs(first.effect[0] * effect[1] - first.effect[1] * effect[0]);
    if (first && turned! < 0.05 * size * Math.hypot(...first.effect)) continue;
    movers.push({ dimension, effect });
  }
  return movers;
}

function leastSquares(movers: readonly Mover[], off: Spot): number[] {
  const [a, b] = movers;
  if (!b) {
    const [x, y] = a!.effect;
    return [(off[0] * x + off[1] * y) / (x * x + y * y)];
  }
  const determinant = a!.effect[0] * b.effect[1] - a!.effect[1] * b.effect[0];
  return [
    (off[0] * b.effect[1] - off[1] * b.effect[0]) / determinant,
    (a!.effect[0] * off[1] - a!.effect[1] * off[0]) / determinant,
  ];
}
