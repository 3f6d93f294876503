import { describe, expect, it } from 'vitest';
import { figuresText } from '../../../../testing/figures.js';
import { DEMO } from '../../../../testing/demo.js';
import { planMade } from '../../../../testing/made.js';
import type { EndCut } from './endCut.js';
import { jointFindings } from './findings.js';
import { findInterferences } from './interference.js';
import { wallThickness } from './wall.js';

/** Every fortieth line of an unrolled edge tells its shape. */
const EVERY = 40;
const some = (lines: readonly number[]) => lines.filter((_, line) => line % EVERY === 7);
/** Small enough to be looked at, and all shapes of tube and cut between them. */
const KEPT = DEMO.filter(({ kind }) => kind !== 'buggy');

/**
 * Every cut of the demo's frames, as they were when all other tests of them held. A change that is meant is looked at line by
 * line and taken with `npx vitest run -u`.
 */
describe('figures that are kept', () => {
  it.each(KEPT.map((document) => [document.name, document] as const))('of %s', async (name, document) => {
    const { frame, cuts } = planMade(document);
    const pieces = new Map(frame.pieces.map((piece) => [piece.id, piece]));
    const end = ({ edge, ...rest }: EndCut) => ({
      ...rest,
      outline: undefined,
      edge: {
        ...edge,
        outer: some(edge.outer),
        inner: some(edge.inner),
        missedLines: some(edge.missedLines),
      },
    });
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
});
