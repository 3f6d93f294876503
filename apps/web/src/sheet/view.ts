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

/** Room round the vehicle for its dimensions, px. */
const MARGIN = { left: 34, right: 74, top: 92, bottom: 96 };

/** The room given to the vehicle grows in these steps, mm, so that the drawing holds still while a dimension is nudged. */
const STEADY = 60;
const upTo = (length: number): number => Math.ceil(length / STEADY) * STEADY;

/** Fits the whole vehicle on the sheet, standing on its ground line. */
export function fitView(plan: Plan, width: number, height: number): View {
  const points = Object.values(plan.stance.points);
  const { front, rear } = plan.stance.wheels;
  const axles = {
    front: plan.stance.points.frontAxle ?? [0, 0, 0],
    rear: plan.stance.points.rearAxle ?? [0, 0, 0],
  };
  const left = -upTo(-Math.min(axles.rear[0] - rear.radius, ...points.map((point) => point[0])));
  const right = upTo(Math.max(axles.front[0] + front.radius, ...points.map((point) => point[0])));
  const top = upTo(Math.max(2 * rear.radius, 2 * front.radius, ...points.map((point) => point[2])));
  const room = {
    width: Math.max(60, width - MARGIN.left - MARGIN.right),
    height: Math.max(60, height - MARGIN.top - MARGIN.bottom),
  };
  const scale = Math.min(room.width / (right - left), room.height / top);
  const originX = MARGIN.left + (room.width - (right - left) * scale) / 2 - left * scale;
  const originY = height - MARGIN.bottom - (room.height - top * scale) / 2;
  const x = (mm: number) => originX + mm * scale;
  const y = (mm: number) => originY - mm * scale;
  return { width, height, scale, x, y, at: (point) => [x(point[0]), y(point[2])] };
}

/** A round length for the scale bar, in mm, that takes about a seventh of the sheet. */
export function barLength(view: View): number {
  const wanted = view.width / 7 / view.scale;
  const decade = 10 ** Math.floor(Math.log10(wanted));
  return [5, 3, 2, 1].map((step) => step * decade).find((length) => length <= wanted) ?? decade;
}
