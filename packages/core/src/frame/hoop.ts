import type { Piece } from './frame.js';

/** Bent over more than a quarter turn in all, in two bends or more, both ends down: a hoop. */
export const isHoop = ({ path }: Pick<Piece, 'path'>): boolean =>
  path.arcs.length >= 2 && path.arcs.reduce((sum, arc) => sum + arc.length / arc.radius, 0) > Math.PI / 2;
