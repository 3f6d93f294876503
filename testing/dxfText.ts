/** A drawing as text: lines and arcs by layer, as ISO-coded pairs. `unit` is the code of $INSUNITS. */
export function dxfText(
  entities: readonly (readonly (readonly [code: number, value: string | number])[])[],
  unit?: number,
): string {
  const pairs = [
    ...(unit === undefined
      ? []
      : [
          [0, 'SECTION'],
          [2, 'HEADER'],
          [9, '$INSUNITS'],
          [70, unit],
          [0, 'ENDSEC'],
        ]),
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...entities.flat(),
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ];
  return pairs.map(([code, value]) => `${code}\n${value}\n`).join('');
}
type Flat = readonly [number, number];
export const lineEntity = (layer: string, [x1, y1]: Flat, [x2, y2]: Flat) =>
  [
    [0, 'LINE'],
    [8, layer],
    [10, x1],
    [20, y1],
    [30, 0],
    [11, x2],
    [21, y2],
    [31, 0],
  ] as const;
/** Anticlockwise from one angle to another, degrees. */
export const arcEntity = (layer: string, [x, y]: Flat, radius: number, from: number, to: number) =>
  [
    [0, 'ARC'],
    [8, layer],
    [10, x],
    [20, y],
    [30, 0],
    [40, radius],
    [50, from],
    [51, to],
  ] as const;
export const polylineEntity = (
  layer: string,
  corners: readonly (readonly [number, number, number?])[],
  closed = false,
) =>
  [
    [0, 'LWPOLYLINE'],
    [8, layer],
    [90, corners.length],
    [70, closed ? 1 : 0],
    ...corners.flatMap(
      ([x, y, bulge]) => [[10, x], [20, y], ...(bulge ? [[42, bulge]] : [])] as [number, number][],
    ),
  ] as const;
