import type { Limits, Plate } from '@larchwood/format';
import type { Corner } from './corners.js';

export interface ShapeSize {
  readonly id: string;
  readonly name: string;
  readonly start: number;
  readonly limits: Limits;
  readonly count?: true;
}
export interface Drawn {
  readonly corners: readonly Corner[];
  readonly holes: Plate['holes'];
}
/** A flat part that is drawn from a few sizes. */
export interface FlatShape {
  readonly id: string;
  readonly name: string;
  readonly thickness: number;
  readonly sizes: readonly ShapeSize[];
  readonly draw: (sizes: Readonly<Record<string, number>>) => Drawn;
}

const size = (id: string, name: string, start: number, limits: Limits = [1, 1000]): ShapeSize => ({
  id,
  name,
  start,
  limits,
});
const count = (id: string, name: string, start: number): ShapeSize => ({
  id,
  name,
  start,
  limits: [0, 24],
  count: true,
});
const corner = (x: number, y: number, radius = 0): Corner => ({
  at: [x, y],
  cut: radius > 0 ? 'round' : 'sharp',
  size: radius,
});
const box = (width: number, height: number, radius: number): Corner[] => [
  corner(-width / 2, -height / 2, radius),
  corner(width / 2, -height / 2, radius),
  corner(width / 2, height / 2, radius),
  corner(-width / 2, height / 2, radius),
];
const hole = (x: number, y: number, diameter: number): Plate['holes'][number] => ({ at: [x, y], diameter });
const onCircle = (many: number, across: number, diameter: number): Plate['holes'] =>
  Array.from({ length: Math.round(many) }, (_, index) => {
    const angle = (2 * Math.PI * index) / Math.max(1, Math.round(many)) + Math.PI / 2;
    return hole((across / 2) * Math.cos(angle), (across / 2) * Math.sin(angle), diameter);
  });

/** Flat parts that builders draw again and again; sizes to begin with are common practice, no source. */
export const FLAT_SHAPES: readonly FlatShape[] = [
  {
    ...{ id: 'mount', name: 'Mounting plate', thickness: 6 },
    sizes: [
      size('wide', 'Wide', 200),
      size('high', 'High', 140),
      size('corner', 'Corners round', 10, [0, 200]),
      size('across', 'Bolts apart, across', 160),
      size('up', 'Bolts apart, up', 100),
      size('bolt', 'Bolts', 8.5, [1, 60]),
    ],
    draw: ({ wide, high, corner: radius, across, up, bolt }) => ({
      corners: box(wide!, high!, radius!),
      holes: [
        [-1, -1],
        [1, -1],
        [1, 1],
        [-1, 1],
      ].map(([x, y]) => hole((x! * across!) / 2, (y! * up!) / 2, bolt!)),
    }),
  },
  {
    ...{ id: 'flange', name: 'Flange with a bolt circle', thickness: 6 },
    sizes: [
      size('outer', 'Across', 110, [5, 1000]),
      size('bore', 'Hole in the middle', 40, [0, 900]),
      count('bolts', 'Bolts', 6),
      size('circle', 'On a circle of', 74),
      size('bolt', 'Each', 6.5, [1, 60]),
    ],
    draw: ({ outer, bore, bolts, circle, bolt }) => ({
      corners: box(outer!, outer!, outer! / 2),
      holes: [...(bore! > 0 ? [hole(0, 0, bore!)] : []), ...onCircle(bolts!, circle!, bolt!)],
    }),
  },
  {
    ...{ id: 'bracket', name: 'Brake or sprocket bracket', thickness: 6 },
    sizes: [
      size('foot', 'Foot, along the tube', 60),
      size('high', 'Foot to the bolts', 70),
      size('apart', 'Bolts apart', 51),
      size('bolt', 'Bolts', 6.5, [1, 60]),
      size('metal', 'Metal round them', 10, [2, 80]),
    ],
    draw: ({ foot, high, apart, bolt, metal }) => {
      const reach = apart! / 2 + bolt! / 2 + metal!;
      const top = high! + bolt! / 2 + metal!;
      return {
        corners: [
          corner(-foot! / 2, 0),
          corner(foot! / 2, 0),
          corner(reach, high! - bolt! / 2 - metal!, metal!),
          corner(reach, top, metal!),
          corner(-reach, top, metal!),
          corner(-reach, high! - bolt! / 2 - metal!, metal!),
        ],
        holes: [hole(-apart! / 2, high!, bolt!), hole(apart! / 2, high!, bolt!)],
      };
    },
  },
  {
    ...{ id: 'tab', name: 'Tab', thickness: 4 },
    sizes: [
      size('wide', 'Wide', 30),
      size('high', 'Foot to the hole', 25),
      size('bolt', 'Hole', 8.5, [1, 200]),
    ],
    draw: ({ wide, high, bolt }) => ({
      corners: [
        corner(-wide! / 2, 0),
        corner(wide! / 2, 0),
        corner(wide! / 2, high! + wide! / 2, wide! / 2),
        corner(-wide! / 2, high! + wide! / 2, wide! / 2),
      ],
      holes: [hole(0, high!, bolt!)],
    }),
  },
  {
    ...{ id: 'cap', name: 'End cap', thickness: 3 },
    sizes: [
      size('wide', 'Tube, wide', 25),
      size('high', 'Tube, high', 75),
      // Longer than the opening: easier to weld, then ground off. Common practice, no source.
      size('over', 'Longer than the tube by', 6, [0, 50]),
    ],
    draw: ({ wide, high, over }) => ({ corners: box(wide!, high! + over!, 0), holes: [] }),
  },
  {
    ...{ id: 'dropout', name: 'Dropout with an axle slot', thickness: 6 },
    sizes: [
      size('wide', 'Wide', 60),
      size('high', 'High', 70),
      size('axle', 'Slot, wide', 10, [2, 60]),
      size('deep', 'Slot, deep', 30),
    ],
    draw: ({ wide, high, axle, deep }) => ({
      corners: [
        corner(-wide! / 2, -high! / 2, 6),
        corner(-axle! / 2 - 3, -high! / 2),
        corner(-axle! / 2, -high! / 2 + 3),
        corner(-axle! / 2, -high! / 2 + deep!, axle! / 2),
        corner(axle! / 2, -high! / 2 + deep!, axle! / 2),
        corner(axle! / 2, -high! / 2 + 3),
        corner(axle! / 2 + 3, -high! / 2),
        corner(wide! / 2, -high! / 2, 6),
        corner(wide! / 2, high! / 2, 10),
        corner(-wide! / 2, high! / 2, 10),
      ],
      holes: [],
    }),
  },
  {
    ...{ id: 'plain', name: 'Plain sheet', thickness: 3 },
    sizes: [size('wide', 'Wide', 100, [1, 2000]), size('high', 'High', 100, [1, 2000])],
    draw: ({ wide, high }) => ({ corners: box(wide!, high!, 0), holes: [] }),
  },
];
