import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isFinding } from '../findings/finding.js';
import { planMade } from '../../../../testing/made.js';
import { framed, round } from '../../../../testing/rods.js';
import type { Member, Section } from '@larchwood/format';
import type { Piece } from '../frame/frame.js';
import { carried, nearestOn, pathOf, pointOn } from '../frame/path.js';
import { meshVolume } from '../solid/builder.js';
import { pieceMesh } from '../solid/pieceMesh.js';
import { cross, dot, scale, subtract, turn, unit, type Vector } from '../vector/vector.js';
import { wallPoint } from './edge.js';
import { FLUSH } from './lines.js';

const plain = { cut: 'plain' as const, setback: 0, allowance: 0 };
const coped = (member: string) => ({
  cut: 'coped' as const,
  hosts: [{ member, side: 'same' as const }],
  besideAxis: false,
  allowance: 0,
});
const box = (width: number, height: number, corner = 4, wall = 2): Section => ({
  id: `box-${width}x${height}`,
  name: `${width} x ${height}`,
  shape: 'rectangular',
  width,
  height,
  corner,
  wall,
});

/** A host and a tube whose end, its last corner, is cut to it. */
function joined(
  host: { corners: Vector[]; section: Section; radius?: number; more?: Partial<Member> },
  tube: { corners: Vector[]; section: Section; radius?: number; more?: Partial<Member> },
) {
  const plan = planMade(
    framed([
      { id: 'host', ...host },
      { id: 'tube', ...tube, more: { ...tube.more, ends: { start: plain, end: coped('host') } } },
    ]),
  );
  const end = plan.cuts[1]!.ends[1];
  return { plan, end, host: plan.frame.pieces[0]!, tube: plan.frame.pieces[1]! };
}

/** How far a point is out of a tube's own section where it is nearest to its centre line: zero on its outside. */
function outOf(piece: Piece, point: Vector): number {
  const { station } = nearestOn(piece.path, point);
  const { at, direction } = pointOn(piece.path, station);
  const top = carried(piece.path, piece.top, station);
  const side = cross(direction, top);
  const [x, y] = [dot(subtract(point, at), top), dot(subtract(point, at), side)];
  const { section } = piece;
  if (section.shape === 'rectangular') {
    const r = section.corner;
    const [over, beside] = [Math.abs(x) - section.height / 2 + r, Math.abs(y) - section.width / 2 + r];
    return Math.hypot(Math.max(0, over), Math.max(0, beside)) + Math.min(0, Math.max(over, beside)) - r;
  }
  let [width, height] =
    section.shape === 'oval' ? [section.width, section.height] : [section.diameter, section.diameter];
  if (section.shape === 'round' && section.ovalEnd) {
    const share = Math.min(1, (piece.length - station) / section.ovalEnd.length);
    width = section.ovalEnd.width + (width - section.ovalEnd.width) * share;
    height = section.ovalEnd.height + (height - section.ovalEnd.height) * share;
  }
  if (section.shape === 'round' && section.taper) {
    const share = Math.min(1, (piece.length - station) / section.taper.length);
    width = height = section.taper.diameter + (section.diameter - section.taper.diameter) * share;
  }
  return (Math.hypot((2 * x) / height, (2 * y) / width) - 1) * (Math.min(width, height) / 2);
}

describe('hosts that are not evenly round', () => {
  it('a bend of a 20 x 40 tube, 150 in plan, met from inside by a 20 tube', () => {
    // Source: the inner face of the bend is a cylinder about its axis, of the bend's radius less half the width.
    const corners: Vector[] = [
      [0, 0, 500],
      [400, 0, 500],
      [400, 400, 500],
    ];
    const [arc] = pathOf(corners, [150]).arcs;
    const middle = pointOn(pathOf(corners, [150]), arc!.station + arc!.length / 2).at;
    const inward = unit(subtract(arc!.centre, middle));
    const from: Vector = [middle[0] + 120 * inward[0], middle[1] + 120 * inward[1], middle[2]];
    const { end } = joined(
      { corners, section: box(20, 40), radius: 150 },
      { corners: [from, middle], section: round(20) },
    );
    const inner = 150 - 10;
    expect(end.edge.shortest.at).toBeCloseTo(-(150 - Math.sqrt(inner ** 2 - 10 ** 2)), 2);
    expect(end.edge.shortest.at).toBeCloseTo(-10.36, 2);
    expect(end.edge.longest.at).toBeCloseTo(-10, 6);
  });
  it('the end of a host that is pressed oval, 22 to 16 x 28 over 150', () => {
    // Source: half the width by proportion, 8 + 3 x 20/150 at the axis; a line 2 mm further in stands on 8 + 3 x 22/150.
    const { end } = joined(
      {
        corners: [
          [0, 0, 500],
          [300, 0, 500],
        ],
        section: { ...round(22), ovalEnd: { width: 16, height: 28, length: 150 } },
      },
      {
        corners: [
          [280, 200, 500],
          [280, 0, 500],
        ],
        section: round(4, 0.5),
      },
    );
    expect(end.edge.shortest.at).toBeCloseTo(-(8 + (3 * 22) / 150), 3);
    expect(end.edge.outer.every(Number.isFinite)).toBe(true);
  });
  it('a tube that tapers at its cut end, 22 to 12 over 250, at 45 degrees on 30', () => {
    const along = Math.SQRT1_2 * 400;
    const { end, tube, plan } = joined(
      {
        corners: [
          [-300, 0, 500],
          [300, 0, 500],
        ],
        section: round(30),
      },
      {
        corners: [
          [along, 0, 500 + along],
          [0, 0, 500],
        ],
        section: { ...round(22), taper: { diameter: 12, length: 250 } },
      },
    );
    // Source: z = -(R + r cos 45) / sin 45 with r = 6 - 0.02 z, solved for z.
    const z = -(15 + 6 * Math.SQRT1_2) / (Math.SQRT1_2 * (1 - 0.02));
    expect(end.edge.shortest.at).toBeCloseTo(z, 3);
    expect(z).toBeCloseTo(-27.77, 2);
    // Its solid is closed and weighs what is said, and its wall points lie on the cone.
    const cut = plan.cuts[1]!;
    expect((meshVolume(pieceMesh(tube, cut, 1)) * tube.density) / 1e9 / cut.mass).toBeCloseTo(1, 3);
    for (let line = 0; line < 360; line += 20)
      expect(Math.abs(outOf(tube, wallPoint(end, line, end.edge.outer[line]!)))).toBeLessThan(0.002);
  });
  it('any of them, met at any angle: each line ends where it first comes to the outside of its host', () => {
    const hosts: readonly (readonly [Section, number])[] = [
      [box(20, 40), 90],
      [{ id: 'oval', name: 'oval', shape: 'oval', width: 44, height: 28, wall: 1.5 }, 90],
      [{ ...round(38, 1.5), taper: { diameter: 24, length: 500 } }, 90],
      [{ ...round(34, 1.5), ovalEnd: { width: 24, height: 42, length: 300 } }, 90],
    ];
    const double = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom(...hosts),
        double(150, 700),
        double(40, 140),
        double(0, 360),
        double(4, 9.5),
        double(20, 100),
        ([section, radius], station, lean, about, half, bend) => {
          const corners: Vector[] = [
            [0, 0, 500],
            [400, 0, 500],
            [400 + 400 * Math.cos((bend * Math.PI) / 180), 400 * Math.sin((bend * Math.PI) / 180), 520],
          ];
          const path = pathOf(corners, [radius]);
          const { at, direction } = pointOn(path, Math.min(station, path.length - 60));
          const square = unit(cross(direction, [0, 0, 1]));
          const out = turn(turn(direction, square, lean), direction, about);
          const from: Vector = [at[0] + 160 * out[0], at[1] + 160 * out[1], at[2] + 160 * out[2]];
          const { end, host } = joined(
            { corners, section, radius },
            { corners: [from, at], section: round(2 * half) },
          );
          for (let line = 0; line < 360; line += 24) {
            const there = end.edge.outer[line]!;
            expect(Math.abs(outOf(host, wallPoint(end, line, there)))).toBeLessThan(1e-4);
            for (let back = 1.5; back < 80; back += 4)
              expect(outOf(host, wallPoint(end, line, there - back))).toBeGreaterThan(-1e-4);
          }
        },
      ),
      { numRuns: 120 },
    );
  });
});

describe('tubes that lie flush', () => {
  const flush = (by: number, section: (height: number) => Section, corner: number) =>
    joined(
      {
        corners: [
          [0, -300, 500],
          [0, 300, 500],
        ],
        section: box(40, 30, corner),
      },
      {
        corners: [
          [-300, 0, 500 + by],
          [0, 0, 500 + by],
        ],
        section: section(30),
      },
    );
  const square = (height: number) => box(30, height, 3);
  it.each([0, 1e-5, 0.001, 0.05, FLUSH * 0.99])('off by %f: a whole edge, no finding, a weight', (by) => {
    for (const corner of [0, 3])
      for (const section of [square, (height: number) => round(height)]) {
        const { plan, end } = flush(by, section, corner);
        expect(end.edge.outer.every(Number.isFinite), `${corner}`).toBe(true);
        expect(end.edge.inner.every(Number.isFinite), `${corner}`).toBe(true);
        expect(plan.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
        const exact = flush(0, section, corner).plan.cuts[1]!.mass;
        expect(plan.cuts[1]!.mass / exact).toBeCloseTo(1, 3);
      }
  });
  it('off by more than can be taken as flush: told, with how much', () => {
    const { plan, end } = flush(FLUSH * 1.01, square, 3);
    expect(end.edge.missed).toBeGreaterThan(0);
    const [found] = plan.findings.filter(isFinding('tube-runs-past-side'));
    expect(found!.values.past).toBeCloseTo(FLUSH * 1.01, 6);
  });
  it('a line that is ended by one host is not ended by another that it only passes', () => {
    const bar = (id: string, y: number) => ({
      id,
      corners: [
        [-200 + 400 * y, -300, 500],
        [-200 + 400 * y, 300, 500],
      ] as Vector[],
      section: box(40, 30, 3),
    });
    const plan = planMade(
      framed([
        bar('first', 0.4),
        { ...bar('second', 0.5), section: box(40, 60, 3) },
        {
          id: 'tube',
          corners: [
            [-300, 0, 500.05],
            [0, 0, 500.05],
          ],
          section: box(30, 30, 3),
          more: {
            ends: {
              start: plain,
              end: { ...coped('second'), hosts: [...coped('first').hosts, ...coped('second').hosts] },
            },
          },
        },
      ]),
    );
    const { outer } = plan.cuts[2]!.ends[1].edge;
    // From the first host's centre line, 40 before the second's.
    expect(Math.max(...outer)).toBeCloseTo(20, 6);
    expect(Math.min(...outer)).toBeCloseTo(-20, 6);
  });
});

it('a cope that reaches past the first bend is told as that, with how far', () => {
  const { plan, end } = joined(
    {
      corners: [
        [-400, 0, 500],
        [400, 0, 500],
      ],
      section: round(60),
    },
    {
      corners: [
        [-100, 0, 800],
        [-60, 0, 528],
        [0, 0, 500],
      ],
      section: round(40),
      radius: 30,
    },
  );
  expect(end.edge.outer.every(Number.isFinite)).toBe(true);
  const codes = plan.findings.filter(({ where }) => where.station === 'joints').map(({ code }) => code);
  expect(codes.filter((code) => code.startsWith('cope-'))).toHaveLength(1);
  expect(codes).not.toContain('tube-runs-past-side');
});

it('a tube that meets a bent host at its corner, where that runs inside of it, is told so, not as past its side by less than nothing', () => {
  const from = (azimuth: number, height: number): Vector => {
    const [a, h] = [(azimuth * Math.PI) / 180, (height * Math.PI) / 180];
    return [300 * Math.cos(h) * Math.cos(a), 300 * Math.cos(h) * Math.sin(a), 500 + 300 * Math.sin(h)];
  };
  const told = (radius: number) =>
    joined(
      {
        corners: [
          [-400, 0, 500],
          [0, 0, 500],
          [346, 0, 700],
        ],
        section: round(32),
        radius,
      },
      { corners: [from(30, 30), [0, 0, 500]], section: round(25) },
    ).plan.findings.filter(({ severity }) => severity === 'stop');
  // Inside of its corner by radius x (1 / cos 15° - 1): 4.2 mm of a 120 bend, 0.35 of a 10 one.
  const [found] = told(120);
  const past = found && isFinding('tube-runs-past-bend')(found) ? found.values : undefined;
  expect(past?.part).toBeGreaterThan(0);
  expect(past?.part).toBeLessThan(10);
  expect(told(10)).toEqual([]);
});

describe('the centre of gravity of a cut piece', () => {
  const meshCentre = (piece: Piece, plan: ReturnType<typeof planMade>): Vector => {
    const { positions, indices } = pieceMesh(
      piece,
      plan.cuts.find((cut) => cut.piece === piece.id)!,
      1,
    );
    const at = (index: number): Vector => [0, 1, 2].map((axis) => positions[3 * index + axis]!) as never;
    let [volume, moment] = [0, [0, 0, 0]];
    for (let index = 0; index < indices.length; index += 3) {
      const [a, b, c] = [at(indices[index]!), at(indices[index + 1]!), at(indices[index + 2]!)];
      const part = dot(a, cross(b, c)) / 6;
      volume += part;
      moment = moment.map((sum, axis) => sum + (part * (a[axis]! + b[axis]! + c[axis]!)) / 4);
    }
    return scale(moment as unknown as Vector, 1 / volume);
  };
  it.each([
    ['round', round(30, 1.5)],
    ['rectangular', box(25, 40)],
    ['tapered', { ...round(30, 1.5), taper: { diameter: 14, length: 220 } }],
    ['pressed oval', { ...round(30, 1.5), ovalEnd: { width: 20, height: 36, length: 120 } }],
    [
      'butted',
      {
        ...round(30, 0.6),
        butts: {
          start: { wall: 2, length: 120, taper: 40 },
          end: { wall: 1, length: 60, taper: 30 },
          soldLength: 560,
        },
      },
    ],
  ] as const)('of a %s tube, bent and coped aslant, is that of its solid', (_, section) => {
    // Source: centroid of a closed mesh by signed tetrahedra.
    const { plan, tube } = joined(
      {
        corners: [
          [0, -300, 500],
          [0, 300, 500],
        ],
        section: round(50),
      },
      {
        corners: [
          [-450, 60, 800],
          [-250, 30, 520],
          [0, 0, 500],
        ],
        section: section as Section,
        radius: 100,
        more: { turn: 0 },
      },
    );
    const weight = plan.weights.find(({ id }) => id === tube.id)!;
    const centre = meshCentre(tube, plan);
    for (const axis of [0, 1, 2] as const) expect(Math.abs(weight.at[axis] - centre[axis])).toBeLessThan(0.5);
  });
});
