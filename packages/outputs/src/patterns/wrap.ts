import { WALL_LINES, type EndCut } from '@larchwood/core';
import type { Point } from '../drawing.js';

/**
 * A tube's outside laid flat, as paper that is wrapped round it lies: x across, y down, outward up. Of a tube that tapers
 * it is a part of a ring. Lengths mm.
 */
export interface Wrap {
  /** Length of paper round the tube at the cutter centre: pi x (diameter + paper thickness). */
  readonly girth: number;
  /** Part of the way round from the seam at which a wall line lies, 0 to 1. */
  readonly wayOf: (line: number) => number;
  /** A place on the paper: part of the way round from the seam, and way outward from the cutter centre. */
  readonly on: (way: number, at: number) => Point;
}

/** A cone flatter than this is rolled as a cylinder: change of radius with length. */
const SLIGHT = 1e-6;

/**
 * Lays the outside of a tube flat at one of its ends.
 * @param seam wall line at which the paper meets itself
 * Source: development of a cylinder and of a cone, descriptive geometry. A pressed end is taken by its mean taper.
 */
export function wrapOf(end: EndCut, seam: number, paperThickness: number): Wrap {
  const { outline, growth } = end;
  const place = (line: number): number => {
    const whole = ((line % WALL_LINES) + WALL_LINES) % WALL_LINES;
    const low = Math.floor(whole);
    const [a, b] = [outline.developed[low]!, outline.developed[low + 1]!];
    return (a + (b - a) * (whole - low)) / outline.perimeter;
  };
  const from = place(seam);
  const wayOf = (line: number): number => (place(line) - from + 1) % 1;
  const girth = outline.perimeter + Math.PI * paperThickness;
  const radius = girth / (2 * Math.PI);
  const slope = growth ? ((growth.u + growth.v) / 2) * (outline.perimeter / (2 * Math.PI)) : 0;
  if (Math.abs(slope) < SLIGHT) return { girth, wayOf, on: (way, at) => [way * girth, -at] };
  const slant = Math.hypot(1, slope);
  // Distances from the cone's tip along its side; the tip is above the paper where the tube narrows outward.
  const tip = (at: number): number => ((radius + slope * at) * slant) / Math.abs(slope);
  const up = slope < 0 ? 1 : -1;
  return {
    girth,
    wayOf,
    on: (way, at) => {
      const angle = ((way - 0.5) * 2 * Math.PI * Math.abs(slope)) / slant;
      const reach = tip(at);
      return [reach * Math.sin(angle), up * (reach * Math.cos(angle) - tip(0))];
    },
  };
}
