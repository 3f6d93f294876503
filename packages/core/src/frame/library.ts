import type { Section } from '@larchwood/format';
import { INCH } from '../units/length.js';
import { gaugeOf } from './gauge.js';

/** Round sections that are really sold [common practice, from memory]: outer diameter mm, then walls mm. */
const METRIC_ROUND: readonly (readonly [diameter: number, ...walls: number[]])[] = [
  [12, 0.8, 1.0],
  [14, 0.7, 0.8, 1.0],
  [16, 0.7, 0.8, 1.0, 1.5],
  [19, 0.8, 0.9, 1.0, 1.5, 1.65],
  [20, 0.9, 1.0, 1.5, 2.0],
  [22, 0.9, 1.0, 1.5, 1.6],
  [22.2, 0.8, 0.9, 1.0, 1.2],
  [25, 1.0, 1.5, 2.0],
  [25.4, 0.8, 0.9, 1.2, 1.6, 2.1],
  [28.6, 0.8, 0.9, 1.2, 1.6, 2.0],
  [30, 1.0, 1.5, 2.0],
  [31.8, 0.8, 0.9, 1.2, 1.6],
  [32, 1.0, 1.5, 1.6, 2.0],
  [34.9, 0.8, 0.9, 1.2],
  [35, 1.0, 1.5, 2.0],
  [36, 1.1, 2.0],
  [38, 0.8, 1.0, 1.5, 1.6, 2.0, 2.4],
  [38.1, 0.9, 1.2, 1.6, 2.4],
  [40, 1.5, 2.0, 3.0, 3.5],
  [41.3, 1.2, 1.6],
  [42.4, 2.0, 2.6],
  [44, 2.0, 2.4],
  [44.5, 0.9, 1.5, 2.0, 2.4],
  [45, 1.5, 2.0],
  [48.3, 2.0, 2.6],
  [50, 1.5, 2.0],
  [50.8, 0.9, 1.6, 2.4],
  [60.3, 2.0, 2.6],
  [60, 2.0, 2.5],
  [63.5, 1.6, 2.4],
  [76.1, 2.0, 2.6, 3.0],
];
const INCH_WALLS: readonly number[] = [0.028, 0.035, 0.049, 0.058, 0.065, 0.083, 0.095, 0.12, 0.134];
/** Outer diameter in, name, and which of the walls above are usual (first index, last index). */
const INCH_ROUND: readonly (readonly [inches: number, name: string, first: number, last: number])[] = [
  [0.5, '1/2', 0, 4],
  [0.625, '5/8', 0, 4],
  [0.75, '3/4', 0, 5],
  [0.875, '7/8', 0, 5],
  [1, '1', 0, 7],
  [1.125, '1 1/8', 0, 6],
  [1.25, '1 1/4', 0, 7],
  [1.375, '1 3/8', 1, 6],
  [1.5, '1 1/2', 1, 8],
  [1.625, '1 5/8', 1, 8],
  [1.75, '1 3/4', 1, 8],
  [2, '2', 1, 8],
  [2.5, '2 1/2', 4, 8],
  [3, '3', 4, 8],
];
/** Butted bicycle tubes: diameter, thick and thin wall, length of the long and the short thick end, length as sold. */
const BUTTED: readonly (readonly [
  diameter: number,
  thick: number,
  thin: number,
  long: number,
  short: number,
  sold: number,
])[] = [
  [25.4, 0.8, 0.5, 105, 95, 600],
  [28.6, 0.8, 0.5, 105, 95, 600],
  [28.6, 0.8, 0.5, 130, 110, 650],
  [31.8, 0.8, 0.5, 110, 95, 650],
  [31.8, 0.8, 0.5, 140, 120, 720],
  [34.9, 0.8, 0.5, 80, 70, 720],
  [34.9, 0.8, 0.5, 140, 120, 740],
  [38.1, 0.9, 0.6, 140, 120, 750],
];

/** Square and rectangular sections [common practice, from memory]: width, height, then walls; mm. */
const METRIC_BOX: readonly (readonly [width: number, height: number, ...walls: number[]])[] = [
  [20, 20, 1.5, 2, 3],
  [25, 25, 1.5, 2, 3],
  [30, 30, 1.5, 2, 3],
  [40, 40, 1.5, 2, 3],
  [50, 50, 1.5, 2, 3],
  [20, 30, 1.5, 2],
  [20, 40, 1.5, 2],
  [25, 50, 1.5, 2, 3],
  [30, 60, 2, 3],
  [25, 75, 1.6, 2],
  [40, 80, 2, 3],
];
/** Inches: width and height with their names, then walls; those of the rectangles are 16, 14 and 11 gauge of the manufacturers' standard for sheet steel. */
const INCH_BOX: readonly (readonly [name: string, width: number, height: number, ...walls: number[]])[] = [
  ['3/4', 0.75, 0.75, 0.065, 0.083, 0.12],
  ['1', 1, 1, 0.065, 0.083, 0.12],
  ['1 1/4', 1.25, 1.25, 0.065, 0.083, 0.12],
  ['1 1/2', 1.5, 1.5, 0.065, 0.083, 0.12],
  ['2', 2, 2, 0.065, 0.083, 0.12],
  ['1 × 2', 1, 2, 0.0598, 0.0747, 0.1196],
  ['1 × 3', 1, 3, 0.0598, 0.0747, 0.1196],
];
/** Oval tubes: width, height, wall; mm. */
const OVAL: readonly (readonly [width: number, height: number, wall: number])[] = [
  [30, 45, 1.2],
  [32, 54, 1.2],
  [16, 30, 1.2],
];
const TAPER_OUT = 45;
/** Tapered stays: diameter, wall, small end, taper length. */
const TAPERED: readonly (readonly [diameter: number, wall: number, small: number, length: number])[] = [
  [19, 0.8, 14, 220],
  [22.2, 0.8, 14, 240],
  [14, 0.8, 12, 200],
  [16, 0.8, 12, 220],
];

const gaugeName = (inches: number): string => {
  const gauge = gaugeOf(inches * INCH, 'sheet');
  return gauge === undefined ? `${inches.toFixed(3).slice(1)} in` : `${gauge} ga`;
};
const thick = (wall: number, length: number) => ({ wall, length, taper: TAPER_OUT });
const metric: readonly Section[] = METRIC_ROUND.flatMap(([diameter, ...walls]) =>
  walls.map((wall): Section => ({
    id: `round-${diameter}x${wall}`,
    name: `${diameter} × ${wall}`,
    shape: 'round',
    diameter,
    wall,
  })),
);
const inch: readonly Section[] = INCH_ROUND.flatMap(([inches, name, first, last]) =>
  INCH_WALLS.slice(first, last + 1).map((wall): Section => ({
    id: `round-${name.replace(' ', '-').replace('/', '_')}in-x${wall}in`,
    name: `${name} × ${wall.toFixed(3).slice(1)} in`,
    shape: 'round',
    diameter: inches * INCH,
    wall: wall * INCH,
  })),
);
const butted: readonly Section[] = BUTTED.flatMap(([diameter, outer, middle, long, short, sold]) => [
  {
    id: `butted-${diameter}x${outer}-${middle}-${sold}`,
    name: `${diameter} × ${outer}/${middle}/${outer}, ${sold} long`,
    shape: 'round' as const,
    diameter,
    wall: middle,
    butts: { start: thick(outer, long), end: thick(outer, short), soldLength: sold },
  },
]);
const singleButted: readonly Section[] = [
  {
    id: 'butted-28.6x0.9-0.6-600',
    name: '28.6 × 0.9/0.6/0.9, 600 long',
    shape: 'round',
    diameter: 28.6,
    wall: 0.6,
    butts: { start: thick(0.9, 160), end: { wall: 0.9, length: 110, taper: TAPER_OUT }, soldLength: 600 },
  },
];
const tapered: readonly Section[] = TAPERED.map(([diameter, wall, small, length]) => ({
  id: `tapered-${diameter}-${small}x${wall}`,
  name: `${diameter} to ${small} × ${wall}`,
  shape: 'round',
  diameter,
  wall,
  taper: { diameter: small, length },
}));

const box = (id: string, name: string, width: number, height: number, wall: number): Section => ({
  id,
  name,
  shape: 'rectangular',
  width,
  height,
  wall,
  corner: 2 * wall,
});
const metricBox: readonly Section[] = METRIC_BOX.flatMap(([width, height, ...walls]) =>
  walls.map((wall) =>
    box(`box-${width}x${height}x${wall}`, `${width} × ${height} × ${wall}`, width, height, wall),
  ),
);
const inchBox: readonly Section[] = INCH_BOX.flatMap(([name, width, height, ...walls]) =>
  walls.map((wall) =>
    box(
      `box-${name.replaceAll(' ', '').replace('×', 'x').replaceAll('/', '_')}in-x${wall}in`,
      `${width === height ? `${name} × ${name}` : name} × ${gaugeName(wall)}`,
      width * INCH,
      height * INCH,
      wall * INCH,
    ),
  ),
);
const oval: readonly Section[] = OVAL.map(([width, height, wall]) => ({
  id: `oval-${width}x${height}x${wall}`,
  name: `${width} × ${height} oval × ${wall}`,
  shape: 'oval',
  width,
  height,
  wall,
}));

/** The shipped library, in groups for a list to pick from. */
export const SECTION_LIBRARY: readonly { readonly group: string; readonly sections: readonly Section[] }[] = [
  { group: 'Butted', sections: [...butted, ...singleButted] },
  { group: 'Tapered stays', sections: tapered },
  { group: 'Round, metric', sections: metric },
  { group: 'Round, inch', sections: inch },
  { group: 'Square and rectangular, metric', sections: metricBox },
  { group: 'Square and rectangular, inch', sections: inchBox },
  { group: 'Oval', sections: oval },
];

const BY_ID = new Map(
  SECTION_LIBRARY.flatMap(({ sections }) => sections).map((section) => [section.id, section]),
);

const IN_INCHES = new Set([...inch, ...inchBox].map(({ id }) => id));
/** Whether a section of the library is sold by inches. */
export const soldInInches = (id: string): boolean => IN_INCHES.has(id);

export const findSection = (id: string): Section | undefined => BY_ID.get(id);

/** @throws RangeError when the shipped library has no such section: a fault in a layout, not in what a user typed. */
export function librarySection(id: string): Section {
  const section = findSection(id);
  if (!section) throw new RangeError(`No section ${id} in the library.`);
  return section;
}
