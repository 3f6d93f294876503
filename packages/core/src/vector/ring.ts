/** Nearer to each other than this, two corners are one, mm. */
const SAME = 1e-6;

/** Corners of a ring, without those that stand on the one before: sides of no length are none. */
export const realCorners = (ring: readonly (readonly [number, number])[]): [number, number][] =>
  ring.flatMap(([x, y], index): [number, number][] => {
    const [px, py] = ring.at(index - 1)!;
    return Math.hypot(x - px, y - py) > SAME ? [[x, y]] : [];
  });
