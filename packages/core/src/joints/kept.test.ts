import { describe, expect, it } from 'vitest';
import type { Section } from '@larchwood/format';
import { figuresText } from '../../../../testing/figures.js';
import { DEMO } from '../../../../testing/demo.js';
import { planMade } from '../../../../testing/made.js';
import { framed, round } from '../../../../testing/rods.js';
import { add, type Vector } from '../vector/vector.js';
import type { EndCut } from './endCut.js';
import { jointFindings } from './findings.js';
import { findInterferences } from './interference.js';
import { wallThickness } from './wall.js';

/** Every fortieth line of an unrolled edge tells its shape. */
const EVERY = 40;
const some = (lines: readonly number[]) => lines.filter((_, line) => line % EVERY === 7);
const end = ({ edge, ...rest }: EndCut) => ({
  ...rest,
  outline: undefined,
  edge: {
    ...edge,
    outer: some(edge.outer),
    inner: some(edge.inner),
    missedLines: edge.missedLines.slice(0, 4),
  },
});
const plain = { cut: 'plain' as const, setback: 0, allowance: 0 };
const coped = {
  cut: 'coped' as const,
  hosts: [{ member: 'host', side: 'same' as const }],
  besideAxis: false,
  allowance: 0,
};
/** Small enough to be looked at, and all shapes of tube and cut between them. */
const KEPT = DEMO.filter(({ kind }) => kind !== 'buggy');

/**
 * Every cut of the demo's frames, as they were when all other tests of them held. A change that is meant is looked at line by
 * line and taken with `npx vitest run -u`.
 */
/** Hosts of every shape, straight and bent, with sharp corners and round ones. */
const box = (corner: number): Section => ({
  ...{
    id: `box-${corner}`,
    name: `box ${corner}`,
    shape: 'rectangular',
    width: 30,
    height: 50,
    corner,
    wall: 2,
  },
});
const oval: Section = { id: 'oval', name: 'oval', shape: 'oval', width: 44, height: 28, wall: 1.5 };
const tapered: Section = { ...round(40), id: 'tapered', taper: { diameter: 24, length: 150 } };
const pressed: Section = { ...round(30), id: 'pressed', ovalEnd: { width: 20, height: 36, length: 120 } };
const STRAIGHT: readonly Vector[] = [
  [-200, 300, 0],
  [200, 300, 0],
];
const BENT: readonly Vector[] = [
  [-200, 300, 0],
  [0, 300, 0],
  [160, 300, 120],
];
const HOSTS = [round(36), box(0), box(6), oval, tapered, pressed].flatMap((section) => [
  { section, corners: STRAIGHT },
  ...(section === tapered || section === pressed ? [] : [{ section, corners: BENT }]),
]);
/** From the middle of the host to past its edge, where walls graze it, miss it, and run out over its end. */
const ASIDE = [0, 5, 9.9, 10.05, 14, 22];
const TIPS: readonly Vector[] = [
  [0, 300, 0],
  [-60, 300, 0],
  [195, 300, 0],
];

describe('figures that are kept', () => {
  it.each(KEPT.map((document) => [document.name, document] as const))('of %s', async (name, document) => {
    const { frame, cuts } = planMade(document);
    const pieces = new Map(frame.pieces.map((piece) => [piece.id, piece]));
    const overlaps = findInterferences(frame, cuts);
    const told = figuresText({
      cuts: cuts.map(({ ends, ...cut }) => ({ ...cut, start: end(ends[0]) })),
      ends: cuts.map(({ ends }) => end(ends[1])),
      walls: cuts.map((cut) =>
        [0.1, 0.5, 0.9].map((part) => wallThickness(pieces.get(cut.piece)!, cut, part * cut.overall)),
      ),
      findings: jointFindings(cuts, frame, overlaps, document),
      overlaps,
    });
    await expect(told).toMatchFileSnapshot(`kept/${name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-')}.txt`);
  });
  it('of a frame without tubes: that there are none', () => {
    const empty = framed([]);
    expect(jointFindings([], planMade(empty).frame, [], empty).map(({ code }) => code)).toEqual([
      'no-members',
    ]);
    const [first] = KEPT;
    expect(
      jointFindings([], planMade(first!).frame, [], first!).filter(({ code }) => code === 'no-members'),
    ).toEqual([]);
  });
  it('of pairs of tubes that meet hosts of every shape, aside, askew and over their ends', async () => {
    const told = HOSTS.flatMap(({ section, corners }, host) =>
      TIPS.flatMap((tip, place) =>
        ASIDE.map((aside, off) => {
          // Some so short that their own other end is near, some bent just before the host.
          const from: Vector = [tip[0] - 40 * off, off === 2 ? 262 : 60, 20 + 7 * off];
          const reached = add(tip, [0, 0, aside]);
          const bend: readonly Vector[] = off === 3 ? [[tip[0], 220, aside]] : [];
          const plan = planMade(
            framed([
              { id: 'host', corners, section, mirrored: true },
              {
                ...{ id: 'tube', section: place === 1 ? box(3) : round(25), mirrored: true },
                corners: [from, ...bend, reached],
                radius: 40,
                more: { ends: { start: plain, end: coped } },
              },
              // What an ear of the cope may run into.
              {
                ...{ id: 'beam', section: round(20), mirrored: false },
                corners: [add(reached, [-70, -26, 18]), add(reached, [70, -26, 18])],
              },
            ]),
          );
          const [left, right] = plan.cuts.filter(({ name }) => name.startsWith('tube'));
          return [
            ...[host, place, off, end(left!.ends[1]), end(right!.ends[1]), left!.handedness],
            plan.interferences,
          ];
        }),
      ),
    );
    await expect(figuresText({ met: told })).toMatchFileSnapshot('kept/odd-hosts.txt');
  });
});
