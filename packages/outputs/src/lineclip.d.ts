declare module 'lineclip' {
  /** Parts of a polyline within [left, top, right, bottom]. */
  export function clipPolyline(
    points: readonly (readonly [number, number])[],
    box: readonly [number, number, number, number],
  ): [number, number][][];
}
