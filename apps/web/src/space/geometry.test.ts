import { describe, expect, it } from 'vitest';
import { Raycaster, Mesh, Vector3 } from 'three';
import { closedByJoints, cross, pointOn, scale, unit, type Vector } from '@larchwood/core';
import { planMade, made } from '../../../../testing/made.js';
import { assembled, TAKEN_APART, tubePart, WHOLE_FRAME } from './geometry';

const plan = planMade(made('motorcycle', 'standard'));
const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));

describe('many tubes drawn as one', () => {
  it('a ray sent at each tube in turn, all pulled apart, meets that tube', () => {
    const parts = plan.frame.pieces.map((piece, index) =>
      tubePart(piece, cuts.get(piece.id)!, TAKEN_APART, '#888888', [0, 0, 3000 * (index + 1)]),
    );
    const { solid, partAt } = assembled(parts);
    for (const { piece, offset } of parts) {
      const { at, direction } = pointOn(piece!.path, piece!.length / 2);
      const side = unit(cross(direction, Math.abs(direction[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0]));
      const from = at.map((each, axis) => each + offset[axis]! + 200 * side[axis]!) as unknown as Vector;
      const ray = new Raycaster(new Vector3(...from), new Vector3(...scale(side, -1)), 0, 250);
      const [hit] = ray.intersectObject(new Mesh(solid));
      expect(partAt(hit!.faceIndex!)?.piece?.id).toBe(piece!.id);
    }
  });
  it('a joined frame is lighter to draw, and keeps the inside of tubes that are open', () => {
    const triangles = (detail: typeof WHOLE_FRAME) =>
      plan.frame.pieces.map(
        (piece) => tubePart(piece, cuts.get(piece.id)!, detail, '#888888').solid.index!.count / 3,
      );
    const [apart, joined] = [triangles(TAKEN_APART), triangles(WHOLE_FRAME)];
    plan.frame.pieces.forEach((piece, index) => {
      if (closedByJoints(cuts.get(piece.id)!)) expect(joined[index]).toBeLessThan(apart[index]! / 2);
      else expect(joined[index]).toBe(apart[index]);
    });
    const head = plan.frame.pieces.findIndex(({ id }) => id === 'headTube');
    expect(joined[head]).toBe(apart[head]);
  });
});
