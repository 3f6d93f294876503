import type { Vector } from '../../vector/vector.js';

/** Outlines of small plates, from the node; mm. */
type Outline = readonly (readonly [number, number])[];

/** A rectangle about the node, or shifted from it. */
export const rectangle = (width: number, height: number, x = 0, y = 0): Outline => [
  [x - width / 2, y - height / 2],
  [x + width / 2, y - height / 2],
  [x + width / 2, y + height / 2],
  [x - width / 2, y + height / 2],
];

/** A three-cornered gusset with its square corner in the node, its two points cut off. */
export const gusset = (along: number, up: number, blunt = 6): Outline => [
  [0, 0],
  [along, 0],
  [along, Math.sign(up) * blunt],
  [Math.sign(along) * blunt, up],
  [0, up],
];

/** A disc as so many corners. */
export const disc = (diameter: number, corners = 24): Outline =>
  Array.from({ length: corners }, (_, index) => {
    const angle = (index / corners) * 2 * Math.PI;
    return [(diameter / 2) * Math.cos(angle), (diameter / 2) * Math.sin(angle)] as const;
  });

/** A tab with a round end, its hole in the node and its foot a distance away, along the outline's first axis. */
export const tab = (foot: number, width: number): Outline => {
  const r = width / 2;
  const away = Math.sign(foot);
  const round = Array.from({ length: 9 }, (_, index) => {
    const angle = Math.PI / 2 + (index / 8) * Math.PI;
    return [away * r * Math.cos(angle), r * Math.sin(angle)] as const;
  });
  return [[foot, r], ...round, [foot, -r]];
};

/** Corners of an arm that runs from a node towards a target in the side view: so far along it, and so far to its left. */
export function armTo(
  [x, , z]: Vector,
  [toX, , toZ]: Vector,
): (along: number, left: number) => [number, number] {
  const reach = Math.hypot(toX - x, toZ - z);
  const [dx, dz] = [(toX - x) / reach, (toZ - z) / reach];
  return (along, left) => [dx * along - dz * left, dz * along + dx * left];
}
