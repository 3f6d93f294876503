import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, placeOf, readDocument, isEndOn } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { EVERY_SET, made, planMade } from '../../../../../testing/made.js';
import { framed, round } from '../../../../../testing/rods.js';
import { angleWithin, lengthWithin } from '../../ledger/bounds';
import { fitView, frameExtent } from '../../sheet/view';
import { placings } from './placings';
import { spotAt, spotOn } from '../../space/spots';

const sheet = (document: BuildDocument, name: 'side' | 'plan' | 'front') => {
  const plan = planMade(document);
  return { ...plan, view: fitView(frameExtent(plan, name), 900, 700, name) };
};

describe('a press on the sheet', () => {
  it('takes the tube under it, at the share where it was pressed, in every view', () => {
    const document = framed([
      {
        id: 'beam',
        corners: [
          [0, -300, 300],
          [900, 300, 800],
        ],
        section: round(40),
      },
    ]);
    for (const name of ['side', 'plan', 'front'] as const) {
      const { frame, view } = sheet(document, name);
      fc.assert(
        fc.property(fc.double({ min: 0.1, max: 0.9, noNaN: true }), (share) => {
          fc.pre(Math.abs(share - 0.5) > 0.1);
          const [from, to] = [frame.nodes.beam0!, frame.nodes.beam1!];
          const at = [0, 1, 2].map((axis) => from[axis]! + share * (to[axis]! - from[axis]!));
          const spot = spotAt(frame, view, view.at(at as [number, number, number]));
          expect(spot).toMatchObject({ member: 'beam', side: 'middle' });
          expect('share' in spot! ? Math.abs(spot.share - share) : 1).toBeLessThan(0.01);
        }),
        { numRuns: 16 },
      );
    }
  });
  it('takes a node, or the middle, where it is near one; nothing where there is no tube', () => {
    const { frame, view } = sheet(made(), 'side');
    const press = ([x, y]: readonly [number, number], by = 0) => spotAt(frame, view, [x + by, y]);
    expect(press(view.at(frame.nodes.seatTop!), 3)).toEqual({ node: 'seatTop' });
    expect(press([5, 5])).toBeUndefined();
    const top = frame.pieces.find(({ id }) => id === 'topTube')!;
    expect(spotOn(frame, top, top.path.legs[0]!.from, 5)).toEqual({ node: 'topAtHead' });
    const half = placeOf(frame, { member: 'topTube', side: 'middle', share: 0.49 })!;
    expect(spotOn(frame, top, half, 20)).toEqual({ member: 'topTube', side: 'middle', share: 0.5 });
  });
  it('of two twins in line takes the one nearer to the eye', () => {
    const { frame, view } = sheet(
      framed([
        {
          id: 'rails',
          corners: [
            [0, 200, 300],
            [900, 200, 300],
          ],
          section: round(30),
          mirrored: true,
        },
      ]),
      'side',
    );
    // The side view is from the right.
    expect(spotAt(frame, view, view.at([200, 0, 300]))).toMatchObject({ member: 'rails', side: 'right' });
  });
});

describe('ways to place a node', () => {
  it.each(EVERY_SET)(
    '%s, %s: each leads to a sound file that still draws; where it is now moves nothing',
    (kind, set) => {
      const document = made(kind, set);
      const { frame } = planMade(document);
      for (const member of document.frame.members.slice(0, 4)) {
        const node = document.frame.nodes.find(({ id }) => id === member.nodes[1])!;
        const ways = placings(document, frame, node, member);
        expect(ways.filter(({ current }) => current).length).toBe(1);
        expect(new Set(ways.map(({ id }) => id)).size).toBe(ways.length);
        for (const { id, change } of ways.filter((way) =>
          /^(midway|share|distance|square|fixed)/.test(way.id),
        )) {
          const next = change!(document);
          expect(readDocument(JSON.parse(JSON.stringify(next))).ok, id).toBe(true);
          const moved = planMade(next).frame.nodes[node.id];
          if (id === 'fixed') expect(distance(moved!, frame.nodes[node.id]!)).toBeLessThan(0.1);
        }
      }
    },
  );
});

describe('outlines', () => {
  it('a tube that runs towards the eye is drawn end on, and only in that view', () => {
    const { frame } = planMade(made());
    const shell = frame.pieces.find(({ id }) => id === 'bottomBracketShell')!;
    expect((['side', 'plan', 'front'] as const).map((name) => isEndOn(shell, { name }))).toEqual([
      true,
      false,
      false,
    ]);
  });
});

describe('bounds', () => {
  const taken = { ok: true, value: true } as const;
  it('what lies between is taken, at the bounds too; what does not is refused in both units', () => {
    for (const value of [1, 20, 3000]) expect(lengthWithin(value, [1, 3000], () => taken)).toEqual(taken);
    for (const value of [0, -5, 3000.1])
      expect(lengthWithin(value, [1, 3000], () => taken)).toEqual({
        ok: false,
        message: 'Must lie between 1 mm (0.04 in) and 3000 mm (118.11 in).',
      });
    expect(angleWithin(90, [-90, 90], () => taken)).toEqual(taken);
    expect(angleWithin(91, [-90, 90], () => taken)).toMatchObject({
      ok: false,
      message: expect.stringMatching(/90.*°/) as string,
    });
  });
});
