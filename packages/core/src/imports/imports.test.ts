import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arcEntity, dxfText, lineEntity, polylineEntity } from '../../../../testing/dxfText.js';
import { FAMILIES, made, planMade } from '../../../../testing/made.js';
import { readDocument } from '../start/read.js';
import { pathOf, pointOn } from '../frame/path.js';
import { bringCentreLines, likelyPlace, likelyPlan, type BringOptions } from './centreLines.js';
import { chainsOf } from './chains.js';
import { readDrawing } from './dxfEntities.js';

const drawn = (text: string, unit?: number) => {
  const read = readDrawing(text, unit);
  if (!read.ok) throw new Error(read.message);
  return read.value;
};

describe('centre lines of a drawing', () => {
  it('a bent line drawn as lines and arcs, in any order and either way round, is the same path again', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            turn: fc.double({ min: 12, max: 140, noNaN: true }),
            left: fc.boolean(),
            long: fc.integer({ min: 150, max: 500 }),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        fc.integer({ min: 0, max: 1000 }),
        fc.boolean(),
        (bends, seed, flipped) => {
          // An independent way to draw it: by headings, straight by straight.
          const entities: ReturnType<typeof lineEntity | typeof arcEntity>[] = [];
          let [x, y, heading] = [0, 0, 0];
          const go = (long: number) => {
            const to = [x + long * Math.cos(heading), y + long * Math.sin(heading)] as const;
            entities.push(flipped ? lineEntity('tube', to, [x, y]) : lineEntity('tube', [x, y], to));
            [x, y] = to;
          };
          let length = 0;
          go(200);
          length += 200;
          for (const { turn, left, long } of bends) {
            const sign = left ? 1 : -1;
            const radius = 60;
            const centre = [
              x - sign * radius * Math.sin(heading),
              y + sign * radius * Math.cos(heading),
            ] as const;
            const from = (Math.atan2(y - centre[1], x - centre[0]) * 180) / Math.PI;
            entities.push(
              arcEntity('tube', centre, radius, left ? from : from - turn, left ? from + turn : from),
            );
            heading += (sign * turn * Math.PI) / 180;
            const on = ((from + sign * turn) * Math.PI) / 180;
            [x, y] = [centre[0] + radius * Math.cos(on), centre[1] + radius * Math.sin(on)];
            length += (radius * turn * Math.PI) / 180 + long;
            go(long);
          }
          const shuffled = entities
            .map((entity, index) => ({ entity, by: (index * 7919 + seed) % 101 }))
            .sort((a, b) => a.by - b.by);
          const chains = chainsOf(drawn(dxfText(shuffled.map(({ entity }) => entity))).strokes);
          expect(chains).toHaveLength(1);
          const [chain] = chains;
          expect(chain!.bends).toHaveLength(bends.length);
          const flat = [chain!.from, ...chain!.bends.map(({ corner }) => corner), chain!.to].map(
            ([a, b]) => [a, b, 0] as const,
          );
          const path = pathOf(
            flat,
            chain!.bends.map(({ radius }) => radius),
          );
          expect(path.length).toBeCloseTo(length, 3);
          const ends = [path.legs[0]!.from, pointOn(path, path.length).at].map(([a, b]) => Math.hypot(a, b));
          expect(Math.min(...ends)).toBeLessThan(0.01);
          expect(Math.max(...ends)).toBeCloseTo(Math.hypot(x, y), 2);
        },
      ),
      { numRuns: 60 },
    ));
  it('a polyline’s bulge is its arc; its sharp corners are joints; what turns more than one corner can is two bends', () => {
    // A half circle of radius 50 between two straights, and a sharp corner.
    const { strokes } = drawn(
      dxfText([
        polylineEntity('hoop', [
          [0, 0],
          [0, 300, -1],
          [100, 300],
          [100, 0],
          [300, 0],
        ]),
      ]),
    );
    const chains = chainsOf(strokes);
    expect(chains.map(({ bends }) => bends.length)).toEqual([2, 0]);
    expect(chains[0]!.bends.map(({ radius }) => radius)).toEqual([50, 50]);
    const top = chains[0]!.bends.map(({ corner: [, height] }) => height);
    expect(Math.max(...top)).toBeCloseTo(350, 6);
  });
  it('units are the file’s own, or those that are told; each thing that is no line is named with its layer', () => {
    const circle = [
      [0, 'CIRCLE'],
      [8, 'wheel'],
      [10, 0],
      [20, 0],
      [40, 300],
    ] as const;
    const inches = drawn(
      dxfText(
        [
          lineEntity('a', [0, 0], [10, 0]),
          circle,
          circle,
          arcEntity('a', [0, 0], 0, 0, 90),
          lineEntity('a', [5, 5], [5, 5]),
        ],
        1,
      ),
    );
    expect(inches.unit).toBe(25.4);
    expect(inches.strokes[0]!.to).toEqual([254, 0]);
    expect(inches.not).toEqual([
      { where: '2 × circle on layer “wheel”', why: 'Only lines, arcs and polylines become tubes.' },
      { where: 'arc on layer “a”', why: 'It is an arc of no radius.' },
      { where: 'line on layer “a”', why: 'It is a line of no length.' },
    ]);
    expect(drawn(dxfText([lineEntity('a', [0, 0], [10, 0])]), 10).strokes[0]!.to).toEqual([100, 0]);
  });
  it.each([
    ['nothing', '', 'no DXF'],
    ['any text', 'hello\nworld\n', /no DXF|nothing drawn/],
    ['half a drawing', dxfText([lineEntity('a', [0, 0], [10, 0])]).slice(0, 60), 'ends in the middle'],
    ['a binary file', 'DXF\0\0\0', 'binary'],
    ['a huge one', 'x'.repeat(5_000_001), '5 MB'],
    [
      'a line of too many corners',
      dxfText([
        polylineEntity(
          'a',
          Array.from({ length: 1002 }, (_, index) => [index, index % 2] as const),
        ),
      ]),
      'More than 1000',
    ],
    [
      'too much',
      dxfText(Array.from({ length: 1001 }, (_, index) => lineEntity('a', [index, 0], [index, 9]))),
      'More than 1000',
    ],
  ])('%s is refused in words', (_, text, word) => {
    const read = readDrawing(text);
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.message).toMatch(word);
  });
  it('what runs out of the drawing is refused, what lies over it flat keeps its height', () => {
    const raised = (z1: number, z2: number) => [
      ...[[0, 'LINE'] as const, [8, 'a'] as const, [10, 0] as const, [20, 0] as const, [30, z1] as const],
      ...[[11, 300] as const, [21, 0] as const, [31, z2] as const],
    ];
    const read = drawn(dxfText([raised(0, 40), raised(25, 25)], 4));
    expect(read.strokes).toMatchObject([{ from: [0, 0], to: [300, 0], level: 25 }]);
    expect(read.not.map(({ where }) => where)).toEqual(['line on layer “a”']);
    expect(read.not[0]!.why).toMatch(/out of the plane/);
    // In one plane each, one over the other: no corner joins them.
    const polyline = [
      [0, 'LWPOLYLINE'],
      [8, 'a'],
      [90, 2],
      [70, 0],
      [38, 12],
      [10, 300],
      [20, 0],
      [10, 500],
      [20, 0],
    ] as const;
    expect(drawn(dxfText([polyline], 4)).strokes).toMatchObject([{ level: 12 }]);
  });
  it('an object turned over lies on the other side: arcs, bulges, not lines (arbitrary axis algorithm, by hand)', () => {
    const over = [
      [210, 0],
      [220, 0],
      [230, -1],
    ] as const;
    const arc = drawn(dxfText([[...arcEntity('a', [-100, 50], 40, 0, 90), ...over]], 4)).strokes[0]!;
    // Its own (-60, 50) to (-100, 90), about (-100, 50): x the other way.
    expect(arc.from).toEqual([expect.closeTo(60, 9), expect.closeTo(50, 9)]);
    expect(arc.to).toEqual([expect.closeTo(100, 9), expect.closeTo(90, 9)]);
    expect(arc.arc).toMatchObject({ centre: [100, 50], sweep: expect.closeTo(-Math.PI / 2, 9) });
    const bulge = drawn(
      dxfText(
        [
          [
            ...polylineEntity('a', [
              [0, 0, 1],
              [-100, 0],
            ]),
            ...over,
          ],
        ],
        4,
      ),
    ).strokes[0]!;
    expect(bulge).toMatchObject({ from: [0, 0], to: [100, 0] });
    // A half circle to the right of its way, seen turned over: to the left.
    expect(bulge.arc!.sweep).toBeCloseTo(-Math.PI, 9);
    const line = drawn(dxfText([[...lineEntity('a', [10, 0], [90, 0]), ...over]], 4)).strokes[0]!;
    expect(line).toMatchObject({ from: [10, 0], to: [90, 0] });
    const tilted = drawn(
      dxfText(
        [
          lineEntity('a', [0, 0], [9, 0]),
          [...arcEntity('a', [0, 0], 40, 0, 90), [210, 1], [220, 0], [230, 1]],
        ],
        4,
      ),
    );
    expect(tilted.not[0]!.why).toMatch(/tilted/);
  });
  it('drawn twice, over one another, on a printed sheet, a mesh, a spline’s frame, or of a sort nobody knows: named and left out', () => {
    const polyline = (flags: number, ...vertices: readonly (readonly [number, number, number])[]) => [
      ...([
        [0, 'POLYLINE'],
        [8, 'p'],
        [66, 1],
        [70, flags],
      ] as const),
      ...vertices.flatMap(
        ([x, y, flag]) =>
          [
            [0, 'VERTEX'],
            [8, 'p'],
            [10, x],
            [20, y],
            [30, 0],
            [70, flag],
          ] as const,
      ),
      [0, 'SEQEND'] as const,
    ];
    const read = drawn(
      dxfText(
        [
          lineEntity('a', [0, 0], [100, 0]),
          lineEntity('a', [100, 0], [0, 0]),
          lineEntity('a', [60, 0.1], [180, 0.1]),
          lineEntity('a', [180, 0], [300, 0]),
          arcEntity('a', [0, 200], 50, 0, 90),
          arcEntity('a', [0, 200], 50, 0, 90),
          [...lineEntity('a', [0, 9], [100, 9]), [67, 1]],
          polyline(16, [0, 0, 64], [9, 9, 64]),
          polyline(4, [0, 500, 16], [0, 510, 8], [200, 510, 8], [200, 600, 16]),
          [
            [0, 'HELIX'],
            [8, 'b'],
            [10, 0],
            [20, 0],
          ] as const,
          [
            [0, 'HATCH'],
            [8, 'b'],
            [10, 0],
            [20, 0],
          ] as const,
          [
            [0, 'HATCH'],
            [8, 'b'],
            [10, 0],
            [20, 0],
          ] as const,
        ],
        4,
      ),
    );
    const ends = read.strokes.map(({ from, to }) =>
      [from, to].map(([x, y]) => [Math.round(x), Math.round(y)]),
    );
    expect(ends).toHaveLength(4);
    expect(ends).toContainEqual([
      [0, 0],
      [180, 0],
    ]);
    expect(ends).toContainEqual([
      [0, 510],
      [200, 510],
    ]);
    const told = read.not.map(({ where }) => where);
    expect(told).toEqual(
      expect.arrayContaining([
        '3 × line or arc on layer “a”',
        'line on layer “a”',
        'polyline on layer “p”',
        'helix on layer “b”',
        '2 × hatch on layer “b”',
      ]),
    );
  });
  it('any damage to a drawing is refused or read, never thrown', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.string({ maxLength: 6 }), (at, noise) => {
        const text = dxfText([
          lineEntity('a', [0, 0], [10, 0]),
          arcEntity('b', [0, 0], 9, 0, 90),
          polylineEntity('c', [
            [0, 0],
            [9, 9, 1],
          ]),
        ]);
        const read = readDrawing(text.slice(0, at) + noise + text.slice(at));
        if (read.ok)
          for (const { from, to } of read.value.strokes)
            expect([...from, ...to].every(Number.isFinite)).toBe(true);
      }),
    ));
  it.each(FAMILIES)(
    '%s, %s: becomes tubes that are cut for each other, in place of the frame or beside it',
    (kind, set) => {
      const document = made(kind, set);
      const section = document.frame.sections[0]!.id;
      const text = dxfText([
        lineEntity('rails', [0, 0], [1200, 0]),
        lineEntity('rails', [0, 400], [1200, 400]),
        lineEntity('posts', [300, 0], [300, 400]),
        lineEntity('posts', [900, 0], [900, 400]),
        lineEntity('posts', [300, 0], [900, 400]),
        lineEntity('not this', [0, 0], [9, 9]),
      ]);
      const { strokes } = drawn(text);
      const plan = { ...likelyPlan('rails', section), off: 200, both: true };
      const options: BringOptions = {
        layers: { rails: plan, posts: plan },
        at: likelyPlace(strokes, false, { rear: 100, low: 250 }),
        facesLeft: false,
        instead: true,
      };
      const brought = bringCentreLines(document, strokes, options);
      if (!brought.ok) throw new Error(brought.message);
      const read = readDocument(JSON.parse(JSON.stringify(brought.value.document)));
      if (!read.ok) throw new Error(JSON.stringify(read.faults));
      const result = planMade(read.document);
      expect(brought.value.tubes).toHaveLength(5);
      expect(result.frame.pieces).toHaveLength(10);
      const post = result.cuts.find(({ name }) => name.startsWith('posts 2'))!;
      expect(post.ends.map(({ cut }) => cut)).toEqual(['coped', 'coped']);
      expect(post.ends.every(({ edge, impossible }) => !impossible && edge.missed === 0)).toBe(true);
      expect(result.frame.pieces[0]!.start).toEqual([100, 200, 250]);
      const beside = bringCentreLines(document, strokes, { ...options, instead: false });
      expect(beside.ok && beside.value.document.frame.members.length).toBe(document.frame.members.length + 5);
      const left = bringCentreLines(document, strokes, { ...options, facesLeft: true, at: [1300, 250] });
      expect(left.ok && planMade(left.value.document).frame.pieces[0]!.start[0]).toBe(1300);
    },
  );
});
