import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { foundNest, nestedBy, nestPlace, stockGroups } from '@larchwood/core';
import { NO_SHOP, USUAL_SAWING, type BuildDocument, type Shop } from '@larchwood/format';
import { DEMO } from '../../../../testing/demo.js';
import { made, planMade } from '../../../../testing/made.js';
import { NO_KIT, sourceOf as sourceMade } from '../../../../testing/source.js';
import { flatParts, outlineShape, stuckParts } from '../plates/outlines.js';
import type { Source } from '../registry/output.js';
import { outputOf } from '../registry/registry.js';
import { bendTablesCsv } from './bendTables.js';
import { barsCsv } from './barsCsv.js';
import { acrossSeam, holeOnWrap, holeWraps } from './holeWraps.js';
import { nestOnSheets } from './sheetNest.js';

const sourceOf = (document: BuildDocument, shop: Shop = NO_SHOP) => sourceMade(document, { shop });
const demo = (name: string) => DEMO.find((each) => each.name.startsWith(name))!;
/** Cells may hold commas: they stand in quotes then. */
const rowsOf = (csv: string) =>
  csv
    .trim()
    .split('\r\n')
    .map((line) =>
      [...line.matchAll(/"((?:[^"]|"")*)"|([^,]+)|(?<=,|^)(?=,|$)/g)].map(
        ([, quoted, plain]) => quoted ?? plain ?? '',
      ),
    );

describe('bends as values', () => {
  const shop: Shop = {
    ...NO_SHOP,
    dies: {
      d: {
        ...{
          name: 'Thirty',
          size: 30,
          shape: 'round',
          radius: 120,
          clamp: 0,
          follow: 0,
          mark: 10,
          zero: 1,
          step: 0.5,
        },
        ...{ spring: 2, most: 180, reach: 0, below: 0, floor: 0 },
      },
    },
  };
  it('each bend once, in the build’s unit; marks and settings of the die that bends it', () => {
    const source = sourceOf(demo('Paddock'), shop);
    const [head, ...rows] = rowsOf(bendTablesCsv(source));
    expect(rows.length).toBe(source.plan.bends.reduce((sum, { bends }) => sum + bends.length, 0));
    const at = (name: string) => head!.findIndex((each) => each.startsWith(name));
    const rail = source.plan.bends.find(({ mark }) => mark === '1L')!;
    const [first] = rows.filter((row) => row[0] === '1L');
    // The mark goes to the die’s own mark, 10 mm past the start; its scale reads 1 at a straight tube.
    expect(Number(first![at('Mark (')])).toBeCloseTo(rail.bends[0]!.mark + 10, 1);
    expect(Number(first![at('Set')])).toBeCloseTo(1 + Math.round((rail.bends[0]!.angle + 2) * 2) / 2, 9);
    const inches = rowsOf(
      bendTablesCsv(sourceOf({ ...demo('Paddock'), units: { length: 'inch', denominator: 16 } }, shop)),
    );
    const other = inches.find((row) => row[0] === '1L')!;
    expect(Number(other[at('Mark (')]) * 25.4).toBeCloseTo(rail.bends[0]!.mark + 10, 2);
  });
});

it('bars as values: each piece once, none in a bar that is too short for it', () => {
  const document = demo('Alder');
  const stock = Object.fromEntries(
    planMade(document).frame.pieces.map(({ member: { section, material } }, index) => [
      `s${index}`,
      { section, material, length: 6000, price: 0 },
    ]),
  );
  const [, ...rows] = rowsOf(barsCsv(sourceOf(document, { ...NO_SHOP, stock })));
  const marks = rows.map((row) => row[6]);
  expect(marks.sort()).toEqual(
    planMade(document)
      .cuts.map(({ mark }) => mark)
      .sort(),
  );
  const bars = new Map<string, number>();
  for (const row of rows) bars.set(row[0]!, (bars.get(row[0]!) ?? 0) + Number(row[7]));
  for (const used of bars.values()) expect(used).toBeLessThanOrEqual(6000 - 10);
  // What was looked for on the screen is what the file has: here a nest with its bars the other way round.
  const shop = { ...NO_SHOP, stock };
  const [group] = stockGroups(planMade(document), shop);
  const { nest } = nestedBy({}, group!, USUAL_SAWING);
  const turned = { ...nest, bars: [...nest.bars].reverse() };
  const nests = { [nestPlace(group!, USUAL_SAWING)]: foundNest(group!, { nest: turned, proven: true }) };
  const cut = (of: Source) =>
    rowsOf(barsCsv(of))
      .filter((row) => row[1] === group!.section)
      .map((row) => row[6]);
  const told = (of: typeof nest) => of.bars.flatMap((bar) => bar.pieces.map(({ mark }) => mark));
  expect(cut(sourceOf(document, shop))).toEqual(told(nest));
  expect(cut({ ...sourceOf(document, shop), nests })).toEqual(told(turned));
});

describe('holes on paper', () => {
  it('a hole drilled square through a tube is as wide on the wrap as the arc it takes, and as long as it is', () => {
    const ring = holeOnWrap(20, 20, { off: 0, diameter: 20, long: 20 });
    const xs = ring.map(([x]) => x);
    expect(Math.max(...xs)).toBeCloseTo(20 * Math.asin(0.5), 6);
    expect(Math.max(...ring.map(([, y]) => y))).toBeCloseTo(10, 6);
    const slot = holeOnWrap(20, 20, { off: 0, diameter: 8, long: 20 });
    expect(Math.max(...slot.map(([, y]) => y)) - Math.min(...slot.map(([, y]) => y))).toBeCloseTo(20, 6);
    // Its sides are straight, between the corners of its ends, and it is closed.
    const side = 20 * Math.asin(4 / 20);
    for (const x of [side, -side])
      for (const y of [6, -6]) expect(slot.some((at) => Math.hypot(at[0] - x, at[1] - y) < 1e-9)).toBe(true);
    expect(slot.at(-1)).toEqual(slot[0]);
  });
  it('a strip is as long as the tube is round, with its paper; one a hole, both walls on it', () => {
    const road = made('bicycle', 'road');
    const top = road.frame.members.find(({ name }) => name === 'Top tube')!;
    const hole = {
      id: 'a',
      name: 'stop',
      use: 'bolt',
      from: 'start',
      distance: 200,
      face: 0,
      off: 0,
      diameter: 5,
      far: 5,
    } as const;
    const plan = planMade({
      ...road,
      frame: {
        ...road.frame,
        members: road.frame.members.map((each) => (each.id === top.id ? { ...each, holes: [hole] } : each)),
      },
    });
    const piece = plan.frame.pieces.find(({ id }) => id === top.id)!;
    const [strip, ...more] = holeWraps(plan.holes[0]!, piece, 0.1, plan.units);
    expect(more).toEqual([]);
    if (piece.section.shape !== 'round') throw new Error('round');
    const edge = strip!.marks.find((mark) => 'stroke' in mark && mark.stroke === 'edge');
    if (!edge || !('points' in edge)) throw new Error('no edge');
    const xs = edge.points.map(([x]) => x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(Math.PI * (piece.section.diameter + 0.1), 3);
    const cuts = strip!.marks.flatMap((mark) =>
      'stroke' in mark && mark.stroke === 'cut' && 'points' in mark ? [mark.points] : [],
    );
    // The far one lies at the seam: half of it at either end of the paper, on the strip and not beside it.
    const [low, high] = [Math.min(...xs), Math.max(...xs)];
    expect(cuts).toHaveLength(4);
    for (const line of cuts) for (const [x] of line) expect(x >= low - 1e-9 && x <= high + 1e-9).toBe(true);
    const [near, ...halves] = [...cuts].sort((a, b) => b.length - a.length);
    expect(near!.every(([x]) => Math.abs(x - (low + high) / 2) < 2.6)).toBe(true);
    const widest = Math.max(...near!.map(([x]) => x)) - (low + high) / 2;
    const reaches = halves.flat().map(([x]) => Math.min(x - low, high - x));
    expect(Math.max(...reaches)).toBeCloseTo(widest, 6);
    expect(halves.flat().some(([x]) => x < low + 3) && halves.flat().some(([x]) => x > high - 3)).toBe(true);
  });
  it('a line round a tube is whole on its strip, whatever it runs over', () => {
    const line = [
      [-4, 0],
      [4, 8],
      [4, 10],
      [14, 20],
    ] as const;
    expect(acrossSeam(line, 0, 10)).toEqual([
      // What ran out at the end comes in at the beginning.
      [
        [0, 16],
        [4, 20],
      ],
      [
        [0, 4],
        [4, 8],
        [4, 10],
        [10, 16],
      ],
      [
        [6, 0],
        [10, 4],
      ],
    ]);
    expect(
      acrossSeam(
        [
          [2, 0],
          [3, 1],
        ],
        0,
        10,
      ),
    ).toEqual([
      [
        [2, 0],
        [3, 1],
      ],
    ]);
    const long = (points: readonly (readonly [number, number])[]) =>
      points
        .slice(1)
        .reduce((sum, [x, y], index) => sum + Math.hypot(x - points[index]![0], y - points[index]![1]), 0);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -9, max: 19 }), fc.integer({ min: 0, max: 50 })), {
          minLength: 2,
          maxLength: 9,
        }),
        (any) => {
          const points = any.map(([x, y]): readonly [number, number] => [x + 0.5, y]);
          const shown = acrossSeam(points, 0, 10);
          expect(shown.reduce((sum, each) => sum + long(each), 0)).toBeCloseTo(long(points), 6);
        },
      ),
    );
  });
  it('what a demo build drills, bends, sets and cuts flat comes on sheets; where there is nothing it is refused in words', () => {
    const orchard = sourceOf(demo('Orchard'));
    for (const id of ['holes', 'flat-parts']) {
      const output = outputOf(id);
      expect(output.refuse(orchard)).toBeUndefined();
      expect(output.pages!(orchard, {}).length).toBeGreaterThan(0);
    }
    expect(outputOf('bend-tables').refuse(orchard)).toMatch(/bent/);
    expect(outputOf('tool-settings').refuse(orchard)).toMatch(/tools/);
    const dxf = outputOf('flat-parts-dxf').make(orchard, {}, NO_KIT);
    expect(dxf).toContain('Motor plate');
  });
});

describe('plates out of a sheet', () => {
  const { plates } = planMade(demo('Alder')).frame;
  it('each once, none over another nor over the edge; what is larger than the sheet is named', () => {
    for (const size of [
      [600, 400],
      [200, 150],
      [120, 900],
    ] as const) {
      const { sheets, over } = nestOnSheets(plates, size, 5);
      expect([...sheets.flat().map(({ mark }) => mark), ...over].sort()).toEqual(
        plates.map(({ mark }) => mark).sort(),
      );
      for (const sheet of sheets)
        sheet.forEach((a, index) => {
          expect(a.x).toBeGreaterThanOrEqual(5);
          expect(a.x + a.width).toBeLessThanOrEqual(size[0] - 5 + 1e-6);
          expect(a.y + a.height).toBeLessThanOrEqual(size[1] - 5 + 1e-6);
          for (const b of sheet.slice(index + 1)) {
            const across = Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x);
            const up = Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y);
            expect(Math.min(across, up)).toBeLessThanOrEqual(1e-6);
          }
        });
    }
    expect(nestOnSheets(plates, [30, 30], 5).over.length).toBeGreaterThan(0);
  });
});

describe('plates that are welded in', () => {
  const buggy = demo('Alder');
  const plate = buggy.frame.plates.find(({ mirrored }) => mirrored)!;
  const welded = (free: 'towards' | 'away') => {
    const plates = buggy.frame.plates.map((each) => (each.id === plate.id ? { ...each, free } : each));
    return planMade({ ...buggy, frame: { ...buggy.frame, plates } });
  };
  const points = (free: 'towards' | 'away', side: 'left' | 'right') => {
    const plan = welded(free);
    const { mark } = plan.frame.plates.find((each) => each.plate.id === plate.id && each.side === side)!;
    return stuckParts(plan).find(({ name }) => name.startsWith(`${mark} `))!.outline;
  };
  it('come as their free face shows them: from behind, or on the right, turned over; from behind on the right as drawn', () => {
    const over = plate.outline.map(([x, y]) => [-x, y]);
    expect(points('towards', 'left')).toEqual(plate.outline);
    expect(points('away', 'left')).toEqual(over);
    expect(points('towards', 'right')).toEqual(over);
    expect(points('away', 'right')).toEqual(plate.outline);
  });
  it('are on paper to be stuck on, and cut no more', () => {
    const count = flatParts(planMade(buggy)).length;
    expect(stuckParts(planMade(buggy))).toEqual([]);
    expect([flatParts(welded('away')).length, stuckParts(welded('away')).length]).toEqual([count - 1, 2]);
    const all = buggy.frame.plates.map((each) => ({ ...each, free: 'away' }) as const);
    const none = sourceOf({ ...buggy, frame: { ...buggy.frame, plates: all } });
    expect(outputOf('flat-parts').refuse!(none)).toBeUndefined();
    expect(outputOf('flat-parts-dxf').refuse!(none)).toBe('Every flat part is welded in already.');
    const [first] = stuckParts(none.plan);
    const words = outlineShape(first!, buggy.units).marks.flatMap((mark) =>
      mark.as === 'text' ? [mark.text] : [],
    );
    expect(words).toContain('As its free face shows it: stick it on, and punch the holes');
  });
});
