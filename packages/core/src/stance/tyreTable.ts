/** Tyres offered for picking; any other marking can be typed. */
export interface TyreGroup {
  readonly name: string;
  readonly source: string;
  readonly markings: readonly string[];
}

const seat = (diameter: number, names: string, ...widths: number[]): TyreGroup => ({
  name: `Bicycle, ${diameter} mm bead seat: ${names}`,
  source: 'bead seats ISO 5775 / ETRTO; widths and trade names common practice',
  markings: widths.map((width) => `${width}-${diameter}`),
});

export const TYRE_TABLE: readonly TyreGroup[] = [
  seat(622, '700C, 29 in', 25, 28, 32, 37, 42, 50, 57),
  seat(584, '650B, 27.5 in', 42, 47, 50, 57),
  seat(559, '26 in', 37, 42, 47, 50, 57),
  seat(507, '24 in', 47),
  seat(451, '20 in (1 1/8)', 28, 35),
  seat(406, '20 in', 40, 47, 50),
  seat(349, '16 in (1 3/8)', 35, 37),
  seat(305, '16 in', 47, 54),
  seat(203, '12 1/2 in', 47),
  {
    name: 'Motor, metric: width/aspect-rim',
    source: 'common practice, from memory',
    markings: [
      '90/90-21',
      '100/90-19',
      '110/80-19',
      '110/70-17',
      '120/70-17',
      '110/80-16',
      '130/90-16',
      '140/70-17',
      '150/70-17',
      '160/60-17',
      '180/55-17',
      '150/80-16',
      '140/80-18',
      '120/70-12',
      '130/70-12',
    ],
  },
  {
    name: 'Kart and off-road, inches: diameter x width-rim',
    source: 'common practice, from memory',
    markings: [
      '10x4.5-5',
      '11x7.1-5',
      '13x5-6',
      '16x6.5-8',
      '18x7-8',
      '19x7-8',
      '19x9.5-8',
      '20x10-9',
      '22x7-10',
      '22x10-10',
      '25x8-12',
      '25x10-12',
    ],
  },
];
