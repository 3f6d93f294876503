import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import type { Piece } from '../frame/frame.js';
import { turn, type Vector } from '../vector/vector.js';
import { handedness } from './handedness.js';

/** A straight tube of the demo sets, cut square at both ends. */
const square = EVERY_SET.map(([kind, set]) => planMade(made(kind, set)))
  .flatMap((plan) =>
    plan.cuts.map((cut) => ({ cut, piece: plan.frame.pieces.find(({ id }) => id === cut.piece)! })),
  )
  .find(
    ({ cut, piece }) =>
      piece.section.shape === 'round' &&
      piece.path.arcs.length === 0 &&
      cut.ends.every((end) => end.cut === 'plain' || end.cut === 'capped'),
  )!;
const bent = (...axes: readonly Vector[]): Piece => ({
  ...square.piece,
  path: { ...square.piece.path, arcs: axes.map((axis) => ({ axis }) as Piece['path']['arcs'][number]) },
});
/** Round its axis by so many degrees. */
const squareTo = (): Vector => square.cut.ends[0].matchSide;

describe('twins', () => {
  const { piece, cut } = square;
  it('of a straight tube cut square are the same piece turned over', () => {
    expect(handedness(piece, cut.ends)).toBe('turned over');
  });
  it('pressed flat at an end and coped at the other: only where the flat lies along the cope, or square to it', () => {
    const coped = square.cut.ends[0];
    // A cope that is halved by one plane alone: longer on the side of line 0, alike beside it.
    const outer = coped.edge.outer.map(
      (_, line) => 5 * Math.cos((line * Math.PI) / 180) + Math.cos((3 * line * Math.PI) / 180),
    );
    const ends = [{ ...coped, edge: { ...coped.edge, outer } }, square.cut.ends[1]] as typeof cut.ends;
    const pressed = (degrees: number): Piece => ({
      ...piece,
      top: turn(coped.matchSide, piece.direction, degrees),
      member: {
        ...piece.member,
        ends: { ...piece.member.ends, end: { cut: 'flattened', length: 30, setback: 0, allowance: 0 } },
      },
    });
    for (const degrees of [0, 90, 180, 270, 0.3])
      expect(handedness(pressed(degrees), ends), String(degrees)).toBe('turned over');
    for (const degrees of [1, 20, 45, 89])
      expect(handedness(pressed(degrees), ends), String(degrees)).toBe('mirror');
    // Cut square it is halved along its flat, however that lies.
    expect(handedness(pressed(20), cut.ends)).toBe('turned over');
  });
  it('bent in one plane are, too; bent in two they are mirror parts', () => {
    const across = squareTo();
    const other: Vector = [
      piece.direction[1] * across[2] - piece.direction[2] * across[1],
      piece.direction[2] * across[0] - piece.direction[0] * across[2],
      piece.direction[0] * across[1] - piece.direction[1] * across[0],
    ];
    expect(handedness(bent(across), cut.ends)).toBe('turned over');
    expect(handedness(bent(across, across), cut.ends)).toBe('turned over');
    // Bent back on itself it lies in one plane all the same.
    const back: Vector = [-across[0], -across[1], -across[2]];
    expect(handedness(bent(across, back), cut.ends)).toBe('turned over');
    expect(handedness(bent(across, other), cut.ends)).toBe('mirror');
    const skew: Vector = [
      across[0] * 0.9998 + other[0] * 0.02,
      across[1] * 0.9998 + other[1] * 0.02,
      across[2] * 0.9998 + other[2] * 0.02,
    ];
    expect(handedness(bent(across, skew), cut.ends)).toBe('mirror');
  });
  it('of which one end is cut askew by more than 0.02 mm are mirror parts', () => {
    const [start, end] = cut.ends;
    const raised = (by: number) => {
      // No plane along the tube halves this.
      const outer = Array.from(end.edge.outer, (at, line) => {
        const angle = (line * Math.PI) / 180;
        return at + by * (Math.sin(angle) + 0.5 * Math.sin(2 * angle + 0.7) + 0.3 * Math.sin(3 * angle + 2));
      });
      return { ...end, edge: { ...end.edge, outer } } as unknown as typeof end;
    };
    expect(handedness(piece, [start, raised(0)])).toBe('turned over');
    expect(handedness(piece, [start, raised(0.005)])).toBe('turned over');
    expect(handedness(piece, [start, raised(0.1)])).toBe('mirror');
  });
});
