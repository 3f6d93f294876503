import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { made, planMade } from '../../../../testing/made.js';
import type { BuildDocument, Member, RoundSection, Section } from '@larchwood/format';
import type { Vector } from '../vector/vector.js';
import { roundOutline } from '../../../../testing/outlines.js';
import { castEdge } from './edge.js';

/** A tube along x, cut at the origin by one host at an angle in the x-z plane, its axis shifted in y. */
function joint(r: number, R: number, theta: number, e = 0) {
  const angle = (theta * Math.PI) / 180;
  // The host leans back over the tube's body on the +z side: that side is acute.
  const axis: Vector = [-Math.cos(angle), 0, Math.sin(angle)];
  const outward: Vector = [1, 0, 0];
  const acute: Vector = [0, 0, 1];
  const far = 500;
  return castEdge({
    centre: [0, 0, 0],
    outward,
    matchSide: acute,
    outline: roundOutline(r, 1),
    surfaces: [
      {
        shape: 'cylinder',
        point: [far * Math.cos(angle), -e, -far * Math.sin(angle)],
        axis,
        radius: R,
        length: 2 * far,
        openStart: true,
        openEnd: true,
      },
    ],
    body: 1000,
  });
}

describe('the cope of a round tube on a round host', () => {
  it('r = R = 15.875, theta 45', () => {
    // Source: formula, worked by hand.
    const { outer } = joint(15.875, 15.875, 45);
    expect(outer[0]).toBeCloseTo(-38.326, 3);
    expect(outer[90]).toBeCloseTo(0, 3);
    expect(outer[180]).toBeCloseTo(-6.576, 3);
  });
  it('r 14.3, R 17.45, theta 73', () => {
    // Source: formula, worked by hand.
    const { outer } = joint(14.3, 17.45, 73);
    expect(outer[0]).toBeCloseTo(-22.619, 3);
    expect(outer[90]).toBeCloseTo(-10.458, 3);
    expect(outer[180]).toBeCloseTo(-13.875, 3);
  });
  it('equal diameters at 90 degrees: depth is the radius, z(90) = 0', () => {
    // Source: descriptive geometry.
    const edge = joint(20, 20, 90);
    expect(edge.longest.at - edge.shortest.at).toBeCloseTo(20, 6);
    expect(edge.outer[90]).toBeCloseTo(0, 6);
  });
  it('agrees with the closed form over wide ranges, and finds its extremes between the lines', () => {
    // Source: closed form of a cope, by descriptive geometry.
    const shape = fc.record({
      r: fc.double({ min: 5, max: 30, noNaN: true }),
      over: fc.double({ min: 1.02, max: 3, noNaN: true }),
      theta: fc.double({ min: 25, max: 90, noNaN: true }),
      shift: fc.double({ min: -1, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(shape, ({ r, over, theta, shift }) => {
        const R = r * over;
        const e = shift * (R - r) * 0.98;
        const angle = (theta * Math.PI) / 180;
        const z = (degrees: number) => {
          const phi = (degrees * Math.PI) / 180;
          return (
            -(Math.sqrt(R ** 2 - (r * Math.sin(phi) - e) ** 2) + r * Math.cos(phi) * Math.cos(angle)) /
            Math.sin(angle)
          );
        };
        const edge = joint(r, R, theta, e);
        const near = edge.outer.every((value, degrees) => Math.abs(value! - z(degrees)) < 1e-9);
        const fine = Array.from({ length: 36000 }, (_, step) => z(step / 100));
        return (
          near &&
          Math.abs(edge.longest.at - Math.max(...fine)) < 1e-5 &&
          Math.abs(edge.shortest.at - Math.min(...fine)) < 1e-5
        );
      }),
      { numRuns: 60 },
    );
  });
  it('a tube a hair off its host’s axis is as exact as any other, also where it grazes the host', () => {
    // Source: the closed form above. An edge taken for even on both sides of its match line is cast on one side only.
    const hair = fc.integer({ min: -14, max: -3 }).map((power) => 10 ** power);
    fc.assert(
      fc.property(hair, fc.double({ min: 1.001, max: 1.1, noNaN: true }), (e, over) => {
        const [r, R, sine] = [5, 5 * over, Math.sin(Math.PI / 6)];
        if (e > R - r) return true;
        const { outer } = joint(r, R, 30, e);
        return outer.every((value, degrees) => {
          const phi = (degrees * Math.PI) / 180;
          const across = Math.sqrt(R ** 2 - (r * Math.sin(phi) - e) ** 2);
          return Math.abs(value! + (across + r * Math.cos(phi) * Math.cos(Math.PI / 6)) / sine) < 1e-8;
        });
      }),
    );
  });
  it('a wall line that meets nothing is as long as the longest, and is named', () => {
    const edge = joint(20, 15, 90);
    expect(edge.missedLines).toContain(90);
    expect(edge.outer[90]).toBe(edge.longest.at);
    expect(edge.missed).toBeGreaterThan(100);
    expect(edge.missedLines).toHaveLength(edge.missed);
    expect(edge.missedLines).not.toContain(0);
  });
});

const changed = (
  document: BuildDocument,
  id: string,
  part: Partial<Member>,
  section?: Section,
): BuildDocument => ({
  ...document,
  frame: {
    ...document.frame,
    sections: section ? [...document.frame.sections, section] : document.frame.sections,
    members: document.frame.members.map((member) => (member.id === id ? { ...member, ...part } : member)),
  },
});

describe('the diamond frame', () => {
  it.each(['road', 'touring', 'trail', 'small-wheel'])('%s: every joint is sound', (set) => {
    const plan = planMade(made('bicycle', set));
    expect(plan.findings.filter((finding) => finding.severity !== 'note')).toEqual([]);
    expect(plan.cuts.map((cut) => cut.mark)).toEqual(['2', '3', '4', '5', '6L', '6R', '7L', '7R', '9', '10']);
  });
  it('lengths of a piece hang together', () => {
    for (const cut of planMade(made('bicycle', 'road')).cuts) {
      expect(cut.saddleToSaddle).toBeLessThanOrEqual(cut.overall);
      expect(cut.leastWallLine).toBeGreaterThanOrEqual(cut.saddleToSaddle - 1e-6);
      expect(cut.leastWallLine).toBeLessThanOrEqual(cut.overall + 1e-6);
    }
  });
  it('angles between tubes follow from the stance alone', () => {
    // Independent: seat and head angle differ by 0.5 degrees, so the top tube meets both nearly alike; down tube by its two points.
    const plan = planMade(made('bicycle', 'road'));
    const end = (mark: string, index: 0 | 1) => plan.cuts.find((cut) => cut.mark === mark)!.ends[index];
    const [down, bb] = [plan.frame.nodes.downAtHead!, plan.stance.points.bottomBracket!];
    const downAngle = (Math.atan2(down[2] - bb[2], down[0] - bb[0]) * 180) / Math.PI;
    expect(end('4', 0).includedAngle).toBeCloseTo(180 - downAngle - 72.5, 6);
    expect(Math.abs(end('5', 0).includedAngle - end('5', 1).includedAngle)).toBeCloseTo(0.5, 6);
    expect(end('3', 0).includedAngle).toBeCloseTo(90, 9);
  });
  it('the match angle is half a turn for a top tube with acute sides above and below, nought when both are above', () => {
    expect(
      Math.abs(planMade(made('bicycle', 'road')).cuts.find((cut) => cut.mark === '5')!.ends[1].matchAngle),
    ).toBeCloseTo(180, 6);
    expect(
      planMade(made('bicycle', 'trail')).cuts.find((cut) => cut.mark === '5')!.ends[1].matchAngle,
    ).toBeCloseTo(0, 6);
  });
  it('the down tube ends at whichever of shell and seat tube comes first', () => {
    const document = made('bicycle', 'road');
    const both = planMade(document).cuts.find((cut) => cut.mark === '4')!.ends[1].edge.outer;
    const only = (host: string) => {
      const ends = document.frame.members.find((member) => member.id === 'downTube')!.ends;
      const cut = {
        cut: 'coped' as const,
        hosts: [{ member: host, side: 'same' as const }],
        besideAxis: true,
        allowance: 0,
      };
      return planMade(changed(document, 'downTube', { ends: { ...ends, end: cut } })).cuts.find(
        (each) => each.mark === '4',
      )!.ends[1];
    };
    const shell = only('bottomBracketShell').edge.outer;
    expect(both.every((value, degrees) => value! <= shell[degrees]! + 1e-9)).toBe(true);
    expect(both.some((value, degrees) => value! < shell[degrees]! - 3)).toBe(true);
    expect(both.some((value, degrees) => Math.abs(value! - shell[degrees]!) < 1e-9)).toBe(true);
  });
  it('left and right twins are mirror images', () => {
    const plan = planMade(made('bicycle', 'touring'));
    for (const mark of ['6', '7']) {
      const [left, right] = ['L', 'R'].map((side) => plan.cuts.find((cut) => cut.mark === mark + side)!);
      expect(left!.overall).toBeCloseTo(right!.overall, 9);
      left!.ends[0].edge.outer.forEach((value, degrees) =>
        expect(value).toBeCloseTo(right!.ends[0].edge.outer[(360 - degrees) % 360]!, 6),
      );
    }
  });
});

describe('findings about joints', () => {
  const codes = (document: BuildDocument) => planMade(document).findings.map((finding) => finding.code);
  const round = (diameter: number): RoundSection => ({
    id: `t${diameter}`,
    name: 'test',
    shape: 'round',
    diameter,
    wall: 1,
  });
  const butted = (butt: number): Section => ({
    ...round(28.6),
    id: `b${butt}`,
    butts: {
      start: { wall: 1, length: butt, taper: 30 },
      end: { wall: 1, length: butt, taper: 30 },
      soldLength: 600,
    },
  });
  it('a tube wider than its host', () => {
    expect(codes(changed(made('bicycle', 'road'), 'topTube', { section: 't31' }, round(31)))).toContain(
      'tube-wider-than-host',
    );
  });
  it('a stay that runs past the side', () => {
    expect(codes(changed(made('bicycle', 'road'), 'seatstays', { section: 't16' }, round(16)))).toContain(
      'tube-runs-past-side',
    );
  });
  it('a joint off its host’s centre, unless it is meant', () => {
    const document = made('bicycle', 'road');
    const stays = document.frame.members.find((member) => member.id === 'seatstays')!;
    const start = { ...stays.ends.start, besideAxis: false } as Member['ends']['start'];
    expect(codes(document)).not.toContain('joint-off-axis');
    expect(codes(changed(document, 'seatstays', { ends: { ...stays.ends, start } }))).toContain(
      'joint-off-axis',
    );
  });
  it('a thick end too short for its cope, and a tube sold too short', () => {
    expect(codes(changed(made('bicycle', 'road'), 'topTube', { section: 'b60' }, butted(60)))).toContain(
      'butt-short',
    );
    expect(codes(changed(made('bicycle', 'road'), 'topTube', { section: 'b30' }, butted(30)))).toContain(
      'cope-through-butt',
    );
    const held = { ...made('bicycle', 'road').stance.held, reach: 520 };
    expect(codes({ ...made('bicycle', 'road'), stance: { held } })).toContain('tube-too-short');
  });
  it('a joint past the end of its host', () => {
    const document = made('bicycle', 'road');
    const nodes = document.frame.nodes.map((node) =>
      node.id === 'downAtHead' && node.anchor.on === 'member'
        ? { ...node, anchor: { ...node.anchor, distance: 5 } }
        : node,
    );
    expect(codes({ ...document, frame: { ...document.frame, nodes } })).toContain('past-host-end');
  });
  it('nodes that hang on each other in a circle leave their members out, and the rest is drawn', () => {
    const document = made('bicycle', 'road');
    const nodes = document.frame.nodes.map((node) =>
      node.id === 'seatTop'
        ? {
            ...node,
            anchor: {
              on: 'member' as const,
              member: 'topTube',
              from: 'end' as const,
              distance: 1,
              offset: [0, 0, 0] as [number, number, number],
            },
          }
        : node,
    );
    const plan = planMade({ ...document, frame: { ...document.frame, nodes } });
    expect(plan.findings.map((finding) => finding.code)).toContain('member-not-placed');
    expect(plan.cuts.map((cut) => cut.mark)).toContain('2');
  });
});
