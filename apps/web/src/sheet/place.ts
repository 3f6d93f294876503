import type { Drawn, Handle, Kind, Plan, Points } from '@larchwood/core';
import { aligned, angle, level, upright, type DrawnDimension } from './dimensions';
import type { Pixel, View } from './view';

/** Rows under and over the vehicle and columns beside it, px from its outermost part. */
const BELOW = [26, 62, 98];
const ABOVE = [26, 60];
const BESIDE = [30, 68];
const BEHIND = [26, 60];
/** A point to take hold of, px across. */
export const GRIP = 26;
/** A held figure of five characters with its peg, at 14 px. */
export const FIGURE = { width: 60, height: 24 };

/** Where a kind's dimensions stand in a view: lines by its own data, figures where they hide neither each other nor the edge. */
export function placeDimensions(
  { drawn, handles }: Pick<Kind, 'drawn' | 'handles'>,
  plan: Plan,
  view: View,
): DrawnDimension[] {
  const placed: DrawnDimension[] = [];
  const grips = placeGrips(handles, plan, view).map(({ grip }) => grip);
  for (const each of drawn) {
    if (each.view !== view.name) continue;
    const dimension = drawDimension(each, plan.stance.points, plan, view);
    if (!dimension) continue;
    placed.push(figured(dimension, freePlace(dimension, placed, grips, view)));
  }
  return placed;
}

/** A handle on the sheet: its point, and where it is taken hold of. */
export interface PlacedGrip {
  readonly handle: Handle;
  readonly at: Pixel;
  readonly grip: Pixel;
}

/** Handles that show in a view. One that would lie on another stands beside its point, so that each can be taken. */
export function placeGrips(handles: readonly Handle[], plan: Plan, view: View): PlacedGrip[] {
  const placed: PlacedGrip[] = [];
  for (const handle of handles) {
    const point = plan.stance.points[handle.point];
    if (!point || !handle.views.includes(view.name)) continue;
    const at = view.at(point);
    const free = ([x, y]: Pixel) =>
      placed.every(({ grip }) => Math.abs(grip[0] - x) >= GRIP || Math.abs(grip[1] - y) >= GRIP);
    const beside = ASIDE.map(([dx, dy]): Pixel => [at[0] + dx * (GRIP + 2), at[1] + dy * (GRIP + 2)]);
    placed.push({ handle, at, grip: [at, ...beside].find(free) ?? at });
  }
  return placed;
}
const ASIDE: readonly Pixel[] = [
  [0, -1],
  [-1, -1],
  [1, -1],
  [-1, 0],
  [1, 0],
  [0, 1],
];

/** One dimension's lines on the sheet; none when the vehicle lacks its points. */
export function drawDimension(
  drawn: Drawn,
  points: Points,
  plan: Plan,
  view: View,
): DrawnDimension | undefined {
  const { values, state } = plan.stance;
  if (drawn.as === 'angle') {
    const centre = points[drawn.at];
    const value = values[drawn.id];
    if (!centre || value === undefined) return undefined;
    const to = drawn.turn(value, state);
    const from = typeof drawn.from === 'number' ? drawn.from : drawn.from(state);
    const radius = Math.min(drawn.radius * Math.max(view.scale, 0.3), 130);
    return angle(drawn.id, view.at(centre), radius, from, to, radius, (from + to) / 2);
  }
  const [a, b] = [points[drawn.from], points[drawn.to]];
  if (!a || !b) return undefined;
  const [from, to] = [view.at(a), view.at(b)];
  const share = drawn.share ?? 0.5;
  if (drawn.as === 'aligned') return aligned(drawn.id, from, to, drawn.off, share);
  if (drawn.as === 'level') {
    const row = drawn.row ?? 1;
    const [low, high] = [view.y(view.extent.bottom), highest(plan, view)];
    const y =
      drawn.near !== undefined
        ? to[1] + drawn.near
        : row > 0
          ? low + BELOW[row - 1]!
          : high - ABOVE[-row - 1]!;
    return level(drawn.id, from, to, y, share);
  }
  const column = drawn.column ?? 1;
  const x =
    drawn.near !== undefined
      ? to[0] + drawn.near
      : column > 0
        ? rightmost(plan, view) + BESIDE[column - 1]!
        : view.x(view.extent.left) - BEHIND[-column - 1]!;
  return upright(drawn.id, from, to, x, share);
}

const highest = (plan: Plan, view: View): number =>
  Math.min(...Object.values(plan.stance.points).map((point) => view.at(point)[1]));
const rightmost = (plan: Plan, view: View): number =>
  Math.max(
    ...plan.stance.standing.map(({ centre, radius }) => view.at(centre)[0] + radius * view.scale),
    ...Object.values(plan.stance.points).map((point) => view.at(point)[0]),
  );

/** The dimension with its figure at a place; one that stands far from its line is tied to it. */
function figured(dimension: DrawnDimension, label: Pixel): DrawnDimension {
  const [x, y] = middleOf(dimension);
  const far = Math.hypot(label[0] - x, label[1] - y) > FAR;
  return far
    ? { ...dimension, label, witness: [...dimension.witness, [[x, y], label]] }
    : { ...dimension, label };
}
const FAR = 50;

/** The middle of the dimension's line. */
function middleOf({ line }: DrawnDimension): Pixel {
  if (line.as === 'straight') return [(line.from[0] + line.to[0]) / 2, (line.from[1] + line.to[1]) / 2];
  const turn = ((line.from + line.to) / 2) * (Math.PI / 180);
  return [line.centre[0] + line.radius * Math.cos(turn), line.centre[1] - line.radius * Math.sin(turn)];
}

/** The first place for a figure that is free and on the sheet; else the least crowded one. */
function freePlace(
  dimension: DrawnDimension,
  placed: readonly DrawnDimension[],
  grips: readonly Pixel[],
  view: View,
): Pixel {
  let best = dimension.label;
  let fewest = Infinity;
  for (const candidate of candidates(dimension)) {
    const clashes =
      placed.filter(({ label }) => overlap(label, candidate)).length +
      0.6 * grips.filter((grip) => covers(candidate, grip)).length +
      (onSheet(candidate, view) ? 0 : 3);
    if (clashes === 0) return candidate;
    if (clashes < fewest) [best, fewest] = [candidate, clashes];
  }
  return best;
}

const overlap = (a: Pixel, b: Pixel): boolean =>
  Math.abs(a[0] - b[0]) < FIGURE.width && Math.abs(a[1] - b[1]) < FIGURE.height;
/** A figure over a point to take hold of. */
const covers = (figure: Pixel, grip: Pixel): boolean =>
  Math.abs(figure[0] - grip[0]) < FIGURE.width / 2 + GRIP / 2 &&
  Math.abs(figure[1] - grip[1]) < FIGURE.height / 2 + GRIP / 2;
const onSheet = ([x, y]: Pixel, view: View): boolean =>
  x > FIGURE.width / 2 &&
  x < view.width - FIGURE.width / 2 &&
  y > FIGURE.height / 2 + 4 &&
  y < view.height - FIGURE.height / 2 - 4;

const SHARES = [0.5, 0.36, 0.64, 0.24, 0.76, 0.12, 0.88];

function* candidates({ label, line }: DrawnDimension): Generator<Pixel> {
  if (line.as === 'arc') {
    yield label;
    for (const share of SHARES) {
      const turn = ((line.from + (line.to - line.from) * share) * Math.PI) / 180;
      for (const reach of [1, 1.35, 0.7, 1.7])
        yield [
          line.centre[0] + line.radius * reach * Math.cos(turn),
          line.centre[1] - line.radius * reach * Math.sin(turn),
        ];
    }
    // A narrow angle has no room between its legs.
    yield [line.centre[0] - FIGURE.width / 2 - 12, line.centre[1] - line.radius - 12];
    yield* around(label);
    return;
  }
  const { from, to } = line;
  const size = Math.hypot(to[0] - from[0], to[1] - from[1]);
  const at = (share: number): Pixel => [
    from[0] + (to[0] - from[0]) * share,
    from[1] + (to[1] - from[1]) * share,
  ];
  const level = Math.abs(to[1] - from[1]) < Math.abs(to[0] - from[0]);
  const fits = size > (level ? FIGURE.width + 10 : FIGURE.height + 10);
  if (fits) {
    yield label;
    for (const share of SHARES) yield at(share);
  }
  const [ax, bx] = [Math.max(from[0], to[0]), Math.min(from[0], to[0])];
  const [ay, by] = [Math.min(from[1], to[1]), Math.max(from[1], to[1])];
  const middle = at(0.5);
  const half = FIGURE.width / 2 + 8;
  if (level) {
    yield [ax + half, middle[1]];
    yield [bx - half, middle[1]];
  } else {
    yield [middle[0] + half, middle[1]];
    yield [middle[0] - half, middle[1]];
    yield [middle[0], ay - FIGURE.height / 2 - 6];
    yield [middle[0], by + FIGURE.height / 2 + 6];
  }
  for (const dy of [-22, 22, -44, 44])
    for (const dx of [0, half, -half]) yield [middle[0] + dx, middle[1] + dy];
  yield* around(middle);
}

/** Further and further off, where it is crowded. */
function* around([x, y]: Pixel): Generator<Pixel> {
  for (const reach of [50, 75, 100, 130])
    for (let degrees = 0; degrees < 360; degrees += 30) {
      const turn = (degrees * Math.PI) / 180;
      yield [x + reach * Math.cos(turn), y - reach * Math.sin(turn)];
    }
}
