import { along, VIEW_AXES, type Plan, type StandingWheel, type Vector, type ViewName } from '@larchwood/core';

export type Pixel = readonly [x: number, y: number];

/**
 * A view square to an axis of the vehicle, millimetres to pixels of the sheet. Side: from the right, front to the right.
 * Plan: from above, front to the right, left side up. Front: from ahead, so the vehicle's left is on the right.
 */
export interface View {
  readonly name: ViewName;
  readonly width: number;
  readonly height: number;
  /** Pixels per millimetre. */
  readonly scale: number;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly at: (point: Vector) => Pixel;
  /** The two coordinates of a place on the sheet, mm. */
  readonly back: (pixel: Pixel) => Pixel;
  /** What was fitted. */
  readonly extent: Extent;
}

/** Room round the vehicle for its dimensions, px; and round anything else. */
const MARGINS: Readonly<Record<ViewName, Margin>> = {
  side: { left: 44, right: 74, top: 92, bottom: 96 },
  plan: { left: 78, right: 112, top: 76, bottom: 56 },
  front: { left: 60, right: 60, top: 76, bottom: 136 },
};
export const NARROW: Margin = { left: 30, right: 30, top: 56, bottom: 36 };
interface Margin {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** The room given to the vehicle grows in these steps, mm, so that the drawing holds still while a dimension is nudged. */
const STEADY = 60;
const upTo = (length: number): number => Math.ceil(length / STEADY) * STEADY;
const downTo = (length: number): number => Math.floor(length / STEADY) * STEADY;

/** What must be on the sheet, mm, in the view's two coordinates. */
export interface Extent {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** The whole vehicle; on its ground line where that shows. */
export function vehicleExtent(plan: Plan, name: ViewName = 'side'): Extent {
  const [across, up] = VIEW_AXES[name];
  const corners = [
    ...Object.values(plan.stance.points),
    ...plan.stance.standing.flatMap(cornersOf),
    ...frameCorners(plan),
  ];
  const [h, v] = [corners.map((point) => point[across]), corners.map((point) => point[up])];
  const bottom = name === 'plan' ? downTo(Math.min(...v)) : 0;
  return { left: downTo(Math.min(...h)), right: upTo(Math.max(...h)), bottom, top: upTo(Math.max(...v)) };
}

/** Ends of every straight of every tube. */
const frameCorners = (plan: Plan): Vector[] =>
  plan.frame.pieces.flatMap(({ path }) =>
    path.legs.flatMap(({ from, direction, length }) => [from, along(from, direction, length)]),
  );

/** The frame with some room round it, as large as it goes: wheels may run off the sheet. The whole vehicle where there are no tubes. */
export function frameExtent(plan: Plan, name: ViewName): Extent {
  const [across, up] = VIEW_AXES[name];
  if (plan.frame.pieces.length === 0) return vehicleExtent(plan, name);
  const points = frameCorners(plan);
  const [h, v] = [points.map((point) => point[across]), points.map((point) => point[up])];
  const lowest = Math.min(...v);
  return {
    left: downTo(Math.min(...h) - STEADY),
    right: upTo(Math.max(...h) + STEADY),
    bottom: name === 'plan' ? downTo(lowest - STEADY) : Math.min(0, downTo(lowest)),
    top: upTo(Math.max(...v) + STEADY),
  };
}

function cornersOf({ centre: [x, y, z], radius, width }: StandingWheel): Vector[] {
  return [
    [x - radius, y - width / 2, z - radius],
    [x + radius, y + width / 2, z + radius],
  ];
}

/** Fits an extent on a sheet of so many pixels. */
export function fitView(
  extent: Extent,
  width: number,
  height: number,
  name: ViewName = 'side',
  margin: Margin = MARGINS[name],
): View {
  const { left, right, bottom, top } = extent;
  const room = {
    width: Math.max(60, width - margin.left - margin.right),
    height: Math.max(60, height - margin.top - margin.bottom),
  };
  const scale = Math.min(room.width / (right - left), room.height / (top - bottom));
  const originX = margin.left + (room.width - (right - left) * scale) / 2 - left * scale;
  const originY = height - margin.bottom - (room.height - (top - bottom) * scale) / 2 + bottom * scale;
  const x = (mm: number) => originX + mm * scale;
  const y = (mm: number) => originY - mm * scale;
  const [across, up] = VIEW_AXES[name];
  return {
    name,
    width,
    height,
    scale,
    x,
    y,
    at: (point) => [x(point[across]), y(point[up])],
    back: ([px, py]) => [(px - originX) / scale, (originY - py) / scale],
    extent,
  };
}

/** A round length for the scale bar, mm, in the build's own unit; it takes about a seventh of the sheet. */
export function barLength(view: View, unit: number): number {
  const wanted = view.width / 7 / view.scale / unit;
  const decade = 10 ** Math.floor(Math.log10(wanted));
  return ([5, 3, 2, 1].map((step) => step * decade).find((length) => length <= wanted) ?? decade) * unit;
}
