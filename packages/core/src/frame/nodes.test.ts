import { describe, expect, it } from 'vitest';
import { isFinding } from '../findings/finding.js';
import { kept, made, planMade } from '../../../../testing/made.js';
import { frameFromLayout, frameMadeAgain } from '../start/create.js';
import { frameEdits } from './edits.js';
import { nearestOn } from './path.js';
import { addTube } from './edit/addTube.js';
import { chooseSection, withAnchor, withEnd } from './edit/graph.js';
import { bendMember } from './edit/reshape.js';

describe('nodes in builders’ words', () => {
  const bike = made();
  const was = planMade(bike);
  const path = (id: string) => was.frame.pieces.find((piece) => piece.id === id)!.path;
  it('square to, in line with, parallel at a distance, midway, the same on the other side', () => {
    const placed = (anchor: Parameters<typeof withAnchor>[2]) =>
      planMade(withAnchor(bike, 'topAtSeat', anchor)).frame.nodes.topAtSeat!;
    const head = was.frame.nodes.topAtHead!;
    const square = placed({ on: 'square', member: 'seatTube', node: 'topAtHead' });
    const seat = path('seatTube').legs[0]!;
    expect(
      square.reduce((sum, value, index) => sum + (value - head[index]!) * seat.direction[index]!, 0),
    ).toBeCloseTo(0, 6);
    const inLine = placed({ on: 'inLine', member: 'seatTube', nodes: ['downAtHead', 'topAtHead'] });
    expect(nearestOn(path('headTube'), inLine).away).toBeGreaterThan(0);
    const parallel = placed({ on: 'parallel', member: 'seatTube', to: 'downTube', distance: 200 });
    // Source: distance of a point from a line.
    const down = path('downTube').legs[0]!;
    const off = parallel.map((value, index) => value - down.from[index]!);
    const along = off.reduce((sum, value, index) => sum + value * down.direction[index]!, 0);
    expect(Math.sqrt(off.reduce((sum, value) => sum + value * value, 0) - along * along)).toBeCloseTo(200, 6);
    const midway = placed({ on: 'share', member: 'seatTube', share: 0.5, offset: [0, 0, 0] });
    expect(midway[2]).toBeCloseTo((was.frame.nodes.bottomBracket![2] + was.frame.nodes.seatTop![2]) / 2, 6);
    expect(placed({ on: 'mirror', node: 'dropout' })[1]).toBe(-was.frame.nodes.dropout![1]);
  });
});

describe('bad frames still draw', () => {
  it('two ends that wait for each other are told once, with all their pieces', () => {
    const bike = made();
    const circle = withEnd(bike, 'seatTube', 'start', {
      cut: 'coped',
      hosts: [{ member: 'downTube', side: 'same' }],
      besideAxis: false,
      allowance: 0,
    });
    const plan = planMade(circle);
    const told = plan.findings.filter(isFinding('hosts-in-circle'));
    expect(told.map(({ values }) => values.pieces)).toEqual(['3, 4']);
    expect(plan.cuts.length).toBe(planMade(bike).cuts.length);
  });
  it('a node on a tube that is gone names itself, and the rest is there', () => {
    const bike = made();
    const lost = {
      ...bike,
      frame: {
        ...bike.frame,
        members: bike.frame.members
          .filter(({ id }) => id !== 'seatTube')
          .map((member) => ({
            ...member,
            ends: {
              start: { cut: 'plain' as const, setback: 0, allowance: 0 },
              end: { cut: 'plain' as const, setback: 0, allowance: 0 },
            },
          })),
      },
    };
    const plan = planMade(lost);
    expect(plan.findings.map(({ code }) => code)).toContain('node-host-gone');
    expect(plan.frame.pieces.map(({ id }) => id)).toContain('downTube');
  });
  it('a tube with no room for its bend says which radius fits', () => {
    const bike = made();
    const bent = kept(bendMember(bike, planMade(bike).frame, 'topTube', 0.5, 200));
    const tight = {
      ...bent,
      frame: {
        ...bent.frame,
        members: bent.frame.members.map((member) => ({
          ...member,
          bends: member.bends.map((bend) => ({ ...bend, radius: 2000 })),
        })),
      },
    };
    const finding = planMade(tight).findings.find(isFinding('bend-no-room'))!;
    expect(Number(finding.values.fits)).toBeLessThan(2000);
  });
});

describe('the builder’s own edits', () => {
  it('are listed, and stay when the frame is made again from a changed stance', () => {
    const bike = made();
    const edited = chooseSection(
      ['topTube'],
      'round-31.8x1.2',
    )(
      withAnchor(bike, 'topAtSeat', {
        on: 'member',
        member: 'seatTube',
        from: 'end',
        distance: 90,
        offset: [0, 0, 0],
      }),
    );
    const braced = kept(
      addTube(
        edited,
        planMade(edited).frame,
        { member: 'topTube', side: 'middle', share: 0.4 },
        { member: 'downTube', side: 'middle', share: 0.4 },
        { name: 'Brace', section: 'round-16x1' },
      ),
    );
    expect(frameEdits(bike)).toEqual([]);
    expect(frameEdits(braced).map(({ name, how, properties }) => [name, how, ...properties])).toEqual([
      ['Top tube', 'changed', 'section'],
      ['Brace', 'added'],
      ['Top tube at the seat tube', 'changed', 'anchor'],
      expect.arrayContaining(['added']),
      expect.arrayContaining(['added']),
    ]);
    const longer = {
      ...braced,
      stance: { ...braced.stance, held: { ...braced.stance.held, headTubeLength: 220 } },
    };
    const again = kept(frameMadeAgain(longer));
    expect(frameEdits(again)).toEqual(frameEdits(braced));
    const started = kept(frameFromLayout(again));
    expect(frameEdits(started)).toEqual([]);
  });
});
