/** Writes the demo workshop's own lists: dies, logged bends, tools, stock lengths, and what lies on its rack. All made up. */
import { writeFileSync } from 'node:fs';
import { findSchool, ownSection, shopItemFaults, standardProfile } from '@larchwood/core';
import { USUAL_SAWING, type Die, type Shop, type ShopList, type Tool } from '@larchwood/format';

const die = (name: string, size: number, radius: number, change: Partial<Die> = {}): Die => ({
  ...{
    name,
    size,
    shape: 'round',
    radius,
    clamp: Math.round(size * 2),
    follow: Math.round(size * 3),
    mark: 0,
  },
  ...{ zero: 0, step: 0.5, spring: 2, most: 180, reach: 350, below: 120, floor: 950 },
  ...change,
});
const dies = {
  'd20-70': die('20 on 70', 20, 70),
  'd22-110': die('22 on 110', 22, 110),
  'd25-120': die('25.4 on 120', 25.4, 120, { mark: 6 }),
  'd28-110': die('28.6 on 110', 28.6, 110),
  'd30-120': die('30 on 120', 30, 120),
  'd38-150': die('38 on 150', 38, 150, { zero: 2, step: 1, spring: 3 }),
  'd38-110': die('38 on 110', 38, 110, { step: 1, spring: 3 }),
  'd44-200': die('44.5 on 200', 44.5, 200, { step: 1, spring: 3 }),
  'd38-130': die('38 on 130', 38, 130, { step: 1, spring: 3 }),
  'd44-150': die('44.5 on 150', 44.5, 150, { step: 1, spring: 3 }),
  'd50-130': die('50 on 130', 50, 130, { step: 1, spring: 3 }),
};
/** Wanted, set, got; one of them was read wrong. */
const logged = (
  of: string,
  section: string,
  material: string,
  bends: readonly (readonly [number, number, number])[],
) =>
  Object.fromEntries(
    bends.map(([asked, set, got], index) => [
      `${of}-${index + 1}`,
      { die: of, section, material, asked, set, got, on: `2026-11-${10 + index}`, leftOut: false },
    ]),
  );
const trials = {
  ...logged('d30-120', 'round-30x2', 'chromoly-4130', [
    [25, 27, 24.6],
    [25, 27.5, 25.4],
    [45, 48, 44.7],
    [60, 63, 59.9],
    [80, 83.5, 80.4],
    [60, 63, 52],
  ]),
  ...logged('d44-150', 'round-44.5x2.4', 'dom-1020', [
    [80, 83, 79.1],
    [80, 84, 80.2],
  ]),
  ...logged('d25-120', 'round-25.4x2.1', 'chromoly-4130', [[45, 47, 44.4]]),
};

const tool = (name: string, sort: Tool['sort'], change: Partial<Tool> = {}): Tool => ({
  ...{ name, sort, scale: 'from-square', most: 60, largest: 60, sizes: [], play: 0, speeds: [0, 0] },
  ...change,
});
const tools = {
  notcher: tool('Hole-saw notcher', 'notcher', {
    ...{ most: 50, largest: 51, play: 0.15, speeds: [200, 500] },
    sizes: [19, 22, 25, 29, 32, 35, 38, 44, 51],
  }),
  mill: tool('Mill', 'mill', {
    ...{ scale: 'from-parallel', most: 70, largest: 60, speeds: [90, 2000] },
    sizes: [25.4, 28.6, 31.8, 36, 40, 44],
  }),
  saw: tool('Cold saw', 'saw', { most: 45, largest: 80 }),
  paper: tool('Paper and grinder', 'paper', { most: 85, largest: 300 }),
  drill: tool('Drill press', 'drill', {
    most: 0,
    largest: 13,
    sizes: [3, 4, 5, 6, 6.8, 8, 8.5, 10, 12, 13],
    speeds: [180, 2400],
  }),
  'hole-saws': tool('Hole saws', 'hole-saws', {
    most: 0,
    largest: 64,
    sizes: [16, 19, 22, 25, 29, 32, 38, 44, 51, 60],
  }),
};

const sold = (section: string, material: string, length: number, price: number) => ({
  section,
  material,
  length,
  price,
});
const STOCK = [
  sold('round-38x2', 'dom-1020', 6000, 58),
  sold('round-38x2', 'dom-1020', 3000, 33),
  sold('round-25x2', 'dom-1020', 6000, 37),
  sold('round-44.5x2.4', 'dom-1020', 6000, 82),
  sold('round-32x1.6', 'dom-1020', 6000, 41),
  sold('round-20x2', 'mild-steel', 6000, 19),
  sold('round-16x1.5', 'mild-steel', 6000, 14),
  sold('round-30x2', 'chromoly-4130', 3000, 52),
  sold('round-30x2', 'chromoly-4130', 6000, 98),
  sold('round-20x1.5', 'chromoly-4130', 3000, 31),
  sold('round-20x2', 'chromoly-4130', 3000, 35),
  sold('box-25x75x1.6', 'mild-steel', 6000, 46),
  sold('box-25x25x2', 'mild-steel', 6000, 24),
  sold('box-40x40x3', 'mild-steel', 6000, 44),
];
const stock = Object.fromEntries(STOCK.map((each, index) => [`s${index + 1}`, each]));
const rack = {
  r1: { section: 'round-38x2', material: 'dom-1020', length: 1480, note: 'left of the last cage' },
  r2: { section: 'round-32x1.6', material: 'dom-1020', length: 720, note: '' },
  r3: { section: 'round-30x2', material: 'chromoly-4130', length: 910, note: 'left of a kart' },
  r4: { section: 'box-25x25x2', material: 'mild-steel', length: 640, note: '' },
};

/** What it welds with, what worked, and what steps took. */
const welders: Shop['welders'] = {
  tig: { process: 'tig', thin: 0.6, thick: 2.2 },
  mig: { process: 'mig', thin: 1.4, thick: 6 },
};
const weld = (process: 'tig' | 'mig', material: string, wall: number, settings: string, on: string) => ({
  ...{ process, material, wall, settings, on },
  ...{ length: 0, minutes: 0 },
});
const welds: Shop['welds'] = {
  w1: weld('tig', 'chromoly-4130', 0.9, '38 A, 1.6 tungsten, 1.2 rod, 7 l', '2026-08-02'),
  w2: weld('tig', 'chromoly-4130', 1.5, '62 A, 1.6 tungsten, 1.6 rod, 8 l', '2026-09-19'),
  w3: weld('mig', 'dom-1020', 2, 'step 4 of 7, wire 5.5, 12 l', '2026-10-10'),
  w4: weld('mig', 'mild-steel', 1.6, 'step 3 of 7, wire 4.5, 12 l', '2026-10-24'),
};
const timed = (build: string, step: string, sort: string, usual: number, took: number, on: string) => ({
  ...{ build, step, sort, usual, took, on },
});
const hours: Shop['hours'] = {
  h1: timed('earlier', 'Mark and cut 2L, 2R', 'cut', 0.5, 0.6, '2026-09-05'),
  h2: timed('earlier', 'Mark and cut 4', 'cut', 0.3, 0.4, '2026-09-05'),
  h3: timed('earlier', 'Trim and cope 3', 'cut', 0.5, 0.65, '2026-09-12'),
  h4: timed('earlier', 'Bend 3', 'bend', 0.4, 0.5, '2026-09-12'),
};

/** What was pulled straight, what welding moved, and what was written down. */
const pull = (lever: string, pulled: number, stayed: number, on: string) => ({
  ...{ build: 'earlier', lever, pulled, stayed, on },
});
const pulls: Shop['pulls'] = {
  p1: pull('headSide', 9, 3, '2026-06-20'),
  p2: pull('headSide', 8, 2.5, '2026-08-02'),
  p3: pull('headSide', 11, 4.5, '2026-09-19'),
  p4: pull('cornerLeftUp', 18, 6, '2026-10-10'),
};
const movement = (
  kind: string,
  point: string,
  joint: string,
  by: [number, number, number],
  on: string,
): Shop['moved'][string] => ({ build: 'earlier', kind, point, joint, by, on });
const moved: Shop['moved'] = {
  m1: movement('bicycle', 'headUpper', 'head', [0.3, -1.2, 0.2], '2026-08-02'),
  m2: movement('bicycle', 'headUpper', 'head', [0.1, -0.9, 0], '2026-09-19'),
  m3: movement('buggy', 'kingpinLowLeft', 'kingpin', [0.4, 0.2, 2.8], '2026-09-27'),
  m4: movement('buggy', 'kingpinLowRight', 'kingpin', [0.2, 0, 2.2], '2026-09-27'),
};
const entries: Shop['entries'] = {
  e1: {
    ...{ build: 'earlier', on: '2026-09-19', sort: 'note', stage: 'cap' },
    text: 'Head tube welded down tube first: it leaned to the right again. Top tube first next time.',
  },
};

/** Tube that the yard buys and no list has. */
const odd = [
  ownSection({ shape: 'round', width: 33, height: 33, wall: 1.6, name: '33 × 1.6 furniture tube' }),
  ownSection({ shape: 'rectangular', width: 45, height: 25, wall: 1.5, name: '45 × 25 × 1.5 gate rail' }),
];
const sections: Shop['sections'] = Object.fromEntries(odd.map((section) => [section.id, section]));

/** Who sits in what is built here, and the table as it stands in the yard. */
const riders: Shop['riders'] = {
  bram: { name: 'Bram Dekker', stature: 1780, mass: 74 },
  imke: { name: 'Imke Vos', stature: 1660, mass: 58 },
  noor: { name: 'Noor Teller', stature: 1830, mass: 90 },
};
const fixtures: Shop['fixtures'] = {
  table: { ...standardProfile(findSchool('table')!), name: 'The yard’s flat table' },
};

const shop: Shop = {
  ...{
    sections,
    dies,
    trials,
    tools,
    stock,
    rack,
    welders,
    welds,
    hours,
    pulls,
    moved,
    entries,
    riders,
    fixtures,
  },
  sawing: { usual: USUAL_SAWING },
};
for (const [list, items] of Object.entries(shop))
  for (const [id, item] of Object.entries(items)) {
    const faults = shopItemFaults(list as ShopList, id, item);
    if (faults.length > 0) throw new Error(`${list}/${id}: ${JSON.stringify(faults)}`);
  }
writeFileSync(new URL('shop.json', import.meta.url), `${JSON.stringify(shop, null, 2)}\n`);
