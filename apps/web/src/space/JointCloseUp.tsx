import { useMemo } from 'react';
import { add, cross, distance, scale, wallPoint, type EndCut, type Plan, type Vector } from '@larchwood/core';
import { CLOSE_UP, tubePart } from './geometry';
import { STEEL, usePalette } from './palette';
import { Solids } from './Solids';
import { Stage } from './Stage';

/** One cut end with what it fits, close to: the tube in hand lit, its hosts as they are, pulled apart a little if wanted. */
export function JointCloseUp({
  plan,
  end,
  apart,
}: {
  readonly plan: Plan;
  readonly end: EndCut;
  readonly apart: boolean;
}) {
  const palette = usePalette();
  const back = apart ? -Math.max(25, end.depth * 1.3) : 0;
  const offset = useMemo((): Vector => scale(end.outward, back), [end, back]);
  const points = useMemo(() => {
    const reach = Math.max(end.outerDiameter, end.hostAcross, 30);
    const middle = add(end.centre, scale(offset, 0.6));
    return [-1, 1].map((side): Vector => add(middle, scale([1, 1, 1], side * (reach - back / 4))));
  }, [end, offset, back]);
  const parts = useMemo(() => {
    const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));
    return plan.frame.pieces.flatMap((piece) => {
      const cut = cuts.get(piece.id)!;
      if (piece.id === end.piece) return tubePart(piece, cut, CLOSE_UP, palette.larch, offset);
      if (!end.hosts.includes(piece.mark)) return [];
      return tubePart(piece, cut, CLOSE_UP, piece.supplied ? palette.quiet : STEEL);
    });
  }, [plan, end, palette, offset]);
  const deepest = end.edge.shortest;
  const line = Math.round(deepest.angle) % end.edge.outer.length;
  const mark = add(wallPoint(end, line, deepest.at), offset);
  return (
    <Stage
      points={points}
      from={eyeFor(end)}
      fit={`${end.piece}/${end.end} ${apart} ${distance(end.centre, [0, 0, 0]).toFixed(0)}`}
      palette={palette}
      label={`Joint of piece ${markOf(plan, end)}, close to`}
    >
      <Solids parts={parts} palette={palette} />
      <mesh position={[...mark]} renderOrder={1}>
        <sphereGeometry args={[end.outerDiameter / 16, 12, 8]} />
        <meshBasicMaterial color={palette.brick} depthTest={false} />
      </mesh>
    </Stage>
  );
}

/** Square to the two tubes as far as that can be, from the right side of the vehicle, a little from above and past the cut. */
function eyeFor({ outward, matchSide }: EndCut): Vector {
  const square = cross(outward, matchSide);
  const [x, y, z] =
    square[1] > 1e-6 || (Math.abs(square[1]) <= 1e-6 && square[0] < 0) ? scale(square, -1) : square;
  return [x + 0.35 * outward[0] + 0.2, y + 0.35 * outward[1] - 0.2, z + 0.35 * outward[2] + 0.35];
}

const markOf = (plan: Plan, { piece }: EndCut): string =>
  plan.frame.pieces.find(({ id }) => id === piece)?.mark ?? '';
