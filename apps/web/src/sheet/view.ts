import type { Plan, Vector } from '@larchwood/core';

export type Pixel = readonly [x: number, y: number];

/** Side view from the right: front to the right, z up. Millimetres to pixels of the sheet. */
export interface View {
  readonly width: number;
  readonly height: number;
  /** Pixels per millimetre. */
  readonly scale: number;
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  readonly at: (point: Vector) => Pixel;
}

/** Room round the vehicle for its dimensions, px; and round anything else. */
const MARGIN = { left: 34, right: 74, top: 92, bottom: 96 };
export const NARROW = { left: 30, right: 30, top: 50, bottom: 30 };

/** The room given to the vehicle grows in these steps, mm, so that the drawing holds still while a dimension is nudged. */
const STEADY = 60;
const upTo = (length: number): number => Math.ceil(length / STEADY) * STEADY;

/** What must be on the sheet, mm: level extent, and height over the ground. */
export interface Extent {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** The whole vehicle on its ground line. */
export function vehicleExtent(plan: Plan): Extent {
  const points = Object.values(plan.stance.points);
  const { front, rear } = plan.stance.wheels;
  const frontX = plan.stance.points.frontAxle?.[0] ?? 0;
  return {
    left: -upTo(rear.radius),
    right: upTo(Math.max(frontX + front.radius, ...points.map((point) => point[0]))),
    bottom: 0,
    top: upTo(Math.max(2 * rear.radius, 2 * front.radius, ...points.map((point) => point[2]))),
  };
}

/** Fits an extent on a sheet of so many pixels. */
export function fitView(
  { left, right, bottom, top }: Extent,
  width: number,
  height: number,
  margin = MARGIN,
): View {
  const room = {
    width: Math.max(60, width - margin.left - margin.right),
    height: Math.max(60, height - margin.top - margin.bottom),
  };
  const scale = Math.min(room.width / (right - left), room.height / (top - bottom));
  const originX = margin.left + (room.width - (right - left) * scale) / 2 - left * scale;
  const originY = height - margin.bottom - (room.height - (top - bottom) * scale) / 2 + bottom * scale;
  const x = (mm: number) => originX + mm * scale;
  const y = (mm: number) => originY - mm * scale;
  return { width, height, scale, x, y, at: (point) => [x(point[0]), y(point[2])] };
}

/** A round length for the scale bar, mm, in the build's own unit; it takes about a seventh of the sheet. */
export function barLength(view: View, unit: number): number {
  const wanted = view.width / 7 / view.scale / unit;
  const decade = 10 ** Math.floor(Math.log10(wanted));
  return ([5, 3, 2, 1].map((step) => step * decade).find((length) => length <= wanted) ?? decade) * unit;
}
