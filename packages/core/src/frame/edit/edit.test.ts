import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kept, made, planMade } from '../../../../../testing/made.js';
import { framed, round } from '../../../../../testing/rods.js';
import { readDocument } from '../../start/read.js';
import type { BuildDocument } from '@larchwood/format';
import { distance } from '../../vector/vector.js';
import { addTube, braceBay, placeOf } from './addTube.js';
import { withAnchor } from './graph.js';
import { bendMember, deleteMembers, mirrorMember, splitMember, straighten, swapThrough } from './reshape.js';

const cutOf = (document: BuildDocument, mark: string) =>
  planMade(document).cuts.find((cut) => cut.mark === mark)!;

describe('adding tubes', () => {
  it('a brace between two tubes is cut to fit both, and is one of a pair on a pair', () => {
    const trellis = made('motorcycle', 'sport');
    const { frame } = planMade(trellis);
    const braced = kept(
      addTube(
        trellis,
        frame,
        { member: 'upperChords', side: 'right', share: 0.9 },
        { member: 'lowerChords', side: 'right', share: 0.95 },
        { name: 'Brace', section: 'round-16x1' },
      ),
    );
    const plan = planMade(braced);
    const own = plan.cuts.filter(({ name }) => name.startsWith('Brace, '));
    expect(own.map(({ mark }) => mark.slice(-1))).toEqual(['L', 'R']);
    for (const cut of own)
      for (const end of cut.ends) expect([end.edge.missed, end.hosts.length]).toEqual([0, 1]);
    // Drawn on the right, kept as the left one: its right twin lies where it was drawn.
    const right = plan.frame.pieces.find(({ name }) => name === 'Brace, right')!;
    expect(right.start[1]).toBeLessThan(0);
  });
  it('from one side to the other is single, and lies where its spots are', () => {
    const kart = made('kart', 'kart');
    const { frame } = planMade(kart);
    const crossed = kept(
      addTube(
        kart,
        frame,
        { member: 'sideRails', side: 'left', share: 0.3 },
        { member: 'sideRails', side: 'right', share: 0.3 },
        { name: 'Cross', section: 'round-30x2' },
      ),
    );
    const plan = planMade(crossed);
    const cross = plan.frame.pieces.find(({ name }) => name === 'Cross')!;
    expect(cross.side).toBe('middle');
    expect(distance(cross.start, [cross.end[0], -cross.end[1], cross.end[2]])).toBeLessThan(1e-6);
    expect(plan.cuts.find(({ piece }) => piece === cross.id)!.ends.map(({ hosts }) => hosts)).toEqual([
      ['1L'],
      ['1R'],
    ]);
  });
  it('from the middle to a right twin it lies where it was pressed, and its twin on the left', () => {
    // Found on a bent middle tube: its spot off the middle plane counts on the side that was pressed.
    const frameOf = framed([
      {
        id: 'spine',
        corners: [
          [0, 0, 500],
          [400, 0, 500],
        ],
        section: round(40),
      },
      {
        id: 'hoop',
        corners: [
          [0, -200, 700],
          [0, 200, 700],
        ],
        section: round(30),
      },
      {
        id: 'rails',
        corners: [
          [0, 200, 400],
          [600, 150, 400],
        ],
        section: round(30),
        mirrored: true,
      },
    ]);
    const { frame } = planMade(frameOf);
    const rail = { member: 'rails', side: 'right' as const, share: 0.4 };
    for (const [from, share] of [
      ['spine', 0.25],
      ['hoop', 0.2],
    ] as const) {
      const spot = { member: from, side: 'middle' as const, share };
      const braced = kept(addTube(frameOf, frame, spot, rail, { name: 'Brace', section: 'round-30' }));
      const [left, right] = ['left', 'right'].map((side) =>
        planMade(braced).frame.pieces.find((piece) => piece.name === `Brace, ${side}`)!,
      );
      expect(distance(right!.start, placeOf(frame, spot)!), from).toBeLessThan(0.01);
      expect(distance(right!.end, placeOf(frame, rail)!), from).toBeLessThan(0.01);
      expect(left!.end[1]).toBeGreaterThan(0);
    }
  });
  it('the two diagonals of a bay cross, and a bay needs two tubes', () => {
    const bike = made();
    const { frame } = planMade(bike);
    const of = (member: string) => ({ member, side: 'middle' as const });
    const tube = { name: 'Brace', section: 'round-16x1' };
    const [one, other] = [false, true].map((turned) => {
      const plan = planMade(kept(braceBay(bike, frame, of('topTube'), of('downTube'), tube, turned)));
      return plan.frame.pieces.find(({ name }) => name === 'Brace')!;
    });
    expect(one!.start[0]).not.toBeCloseTo(other!.start[0], 0);
    expect(braceBay(bike, frame, of('topTube'), of('topTube'), tube).ok).toBe(false);
    expect(addTube(bike, frame, { node: 'headLower' }, { node: 'headLower' }, tube).ok).toBe(false);
  });
});

describe('reshaping tubes', () => {
  it('a bend is put in where it was asked, and taken out leaves the tube as it was', () => {
    const bike = made();
    const bent = kept(bendMember(bike, planMade(bike).frame, 'topTube', 0.5, 30));
    const before = cutOf(bike, '5');
    const after = cutOf(bent, '5');
    expect(after.betweenCentres).toBeGreaterThan(before.betweenCentres);
    expect(after.ends[0].includedAngle).not.toBeCloseTo(before.ends[0].includedAngle, 1);
    const straight = kept(straighten(bent, 'topTube', 0));
    expect(straight.frame).toEqual(bike.frame);
  });
  it('a tube split in two is as long as before, and what sat on it sits where it did', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 0.9, noNaN: true }), (share) => {
        const bike = made();
        const was = planMade(bike);
        const split = kept(splitMember(bike, was.frame, 'seatTube', share));
        const now = planMade(split);
        for (const node of ['topAtSeat', 'seatstayAtSeat'])
          expect(distance(now.frame.nodes[node]!, was.frame.nodes[node]!)).toBeLessThan(0.05);
        const parts = now.frame.pieces.filter(({ id }) => id.startsWith('seatTube'));
        const whole = was.frame.pieces.find(({ id }) => id === 'seatTube')!;
        expect(parts.reduce((sum, { length }) => sum + length, 0)).toBeCloseTo(whole.length, 1);
        // The top tube fits the part that it reaches.
        const top = now.cuts.find(({ mark }) => mark === '5')!.ends[1];
        expect(top.edge.missed).toBe(0);
      }),
      { numRuns: 12 },
    );
  });
  it('a split keeps whoever was mitred with it, passes through it or was placed by it, on the part that is there', () => {
    const host = { member: 'rail', side: 'same' as const };
    const plain = { cut: 'plain' as const, setback: 0, allowance: 0 };
    const corner = framed([
      {
        id: 'rail',
        corners: [
          [0, 0, 500],
          [600, 0, 500],
        ],
        section: round(30),
      },
      {
        id: 'leg',
        corners: [
          [600, 0, 500],
          [600, 300, 500],
        ],
        section: round(30),
        more: { ends: { start: { cut: 'mitred', with: host, allowance: 0 }, end: plain } },
      },
      {
        id: 'pin',
        corners: [
          [450, -50, 500],
          [450, 50, 500],
        ],
        section: round(12),
        more: { through: ['rail'] },
      },
      {
        id: 'stay',
        corners: [
          [150, 0, 800],
          [150, 0, 500],
        ],
        section: round(20),
      },
    ]);
    const placed = withAnchor(corner, 'stay1', { on: 'square', member: 'rail', node: 'stay0' });
    const other = withAnchor(placed, 'stay0', { on: 'fixed', at: [520, 0, 800] });
    for (const [document, part] of [
      [placed, 'rail'],
      [other, 'railRest'],
    ] as const) {
      const was = planMade(document);
      const split = kept(splitMember(document, was.frame, 'rail', 0.5));
      const of = (id: string) => split.frame.members.find((member) => member.id === id)!;
      expect(of('leg').ends.start).toMatchObject({ cut: 'mitred', with: { member: 'railRest' } });
      expect(of('pin').through).toEqual(['rail', 'railRest']);
      expect(split.frame.nodes.find(({ id }) => id === 'stay1')!.anchor).toMatchObject({ member: part });
      expect(distance(planMade(split).frame.nodes.stay1!, was.frame.nodes.stay1!)).toBeLessThan(0.01);
    }
  });
  it('a bend goes down, and back on an upright tube', () => {
    const document = framed([
      {
        id: 'level',
        corners: [
          [0, 0, 500],
          [600, 0, 500],
        ],
        section: round(30),
      },
      {
        id: 'post',
        corners: [
          [0, 0, 0],
          [0, 0, 600],
        ],
        section: round(30),
      },
    ]);
    const { frame } = planMade(document);
    const corner = (id: string) => {
      const bent = kept(bendMember(document, frame, id, 0.5, 40));
      const { bends } = bent.frame.members.find((member) => member.id === id)!;
      return planMade(bent).frame.nodes[bends[0]!.node]!;
    };
    expect(distance(corner('level'), [300, 0, 460])).toBeLessThan(0.1);
    expect(distance(corner('post'), [-40, 0, 300])).toBeLessThan(0.1);
  });
  it('who runs through can be swapped at an end, and not in the middle of a tube', () => {
    const bike = made();
    const { frame } = planMade(bike);
    // The seat tube ends at the shell: now the shell would be cut to fit it.
    const swapped = kept(swapThrough(bike, frame, 'seatTube', 'start'));
    const shell = swapped.frame.members.find(({ id }) => id === 'bottomBracketShell')!;
    expect([shell.ends.start.cut, shell.ends.end.cut]).toContain('coped');
    expect(swapped.frame.members.find(({ id }) => id === 'seatTube')!.ends.start.cut).toBe('plain');
    const refused = swapThrough(bike, frame, 'topTube', 'end');
    expect(refused).toMatchObject({
      ok: false,
      message: expect.stringContaining('Split it there first') as string,
    });
  });
  it('a tube off the middle can be one of a pair, one in the middle cannot', () => {
    const kart = made('kart', 'kart');
    const { frame } = planMade(kart);
    const paired = kept(mirrorMember(kart, frame, 'hangerRail'));
    expect(planMade(paired).frame.pieces.filter(({ member }) => member.id === 'hangerRail').length).toBe(2);
    expect(mirrorMember(made(), planMade(made()).frame, 'topTube').ok).toBe(false);
  });
  it('one taken out leaves the others where they were, cut to fit what is left', () => {
    const bike = made();
    const was = planMade(bike);
    const without = deleteMembers(bike, was.frame, ['seatTube']);
    expect(readDocument(JSON.parse(JSON.stringify(without))).ok).toBe(true);
    const now = planMade(without);
    expect(distance(now.frame.nodes.topAtSeat!, was.frame.nodes.topAtSeat!)).toBeLessThan(1e-9);
    expect(without.frame.members.find(({ id }) => id === 'topTube')!.ends.end).toMatchObject({
      cut: 'plain',
      lost: 'Seat tube',
    });
    const lost = now.findings.filter(({ code }) => code === 'end-lost-host').map(({ where }) => where.ref);
    expect(lost).toEqual(['topTube/end', 'seatstays:left/start']);
    expect(without.frame.members.find(({ id }) => id === 'downTube')!.ends.end).toMatchObject({
      hosts: [{ member: 'bottomBracketShell' }],
    });
  });
});
