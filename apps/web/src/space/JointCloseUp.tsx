import { useMemo } from 'react';
import { distance, edgePoint, type EndCut, type Plan, type Vector } from '@larchwood/core';
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
  const cuts = useMemo(() => new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut])), [plan]);
  const own = plan.frame.pieces.find((piece) => piece.id === end.piece);
  const near = plan.frame.pieces.filter((piece) => piece.id !== end.piece && end.hosts.includes(piece.mark));
  const points = useMemo(() => {
    const reach = Math.max(end.outerDiameter, end.hostAcross, 30) * 1.1;
    const corners: Vector[] = [
      [-1, -1, -1],
      [1, 1, 1],
    ];
    return corners.map(([x, y, z]): Vector => [
      end.centre[0] + x * reach,
      end.centre[1] + y * reach,
      end.centre[2] + z * reach,
    ]);
  }, [end]);
  if (!own) return null;
  const back = apart ? -Math.max(25, end.depth * 1.3) : 0;
  const offset: Vector = [end.outward[0] * back, end.outward[1] * back, end.outward[2] * back];
  const parts = [
    tubePart(own, cuts.get(own.id)!, CLOSE_UP, palette.larch, offset),
    ...near.map((piece) =>
      tubePart(piece, cuts.get(piece.id)!, CLOSE_UP, piece.supplied ? palette.quiet : STEEL),
    ),
  ];
  const deepest = end.edge.shortest;
  const line = Math.round(deepest.angle) % end.edge.outer.length;
  const mark = edgePoint(end, end.outline.u[line]!, end.outline.v[line]!, deepest.at);
  return (
    <Stage
      points={points}
      standpoint="corner"
      fit={`${end.piece}/${end.end} ${distance(end.centre, [0, 0, 0]).toFixed(0)}`}
      palette={palette}
      label={`Joint of piece ${own.mark}, close to`}
    >
      <Solids parts={parts} palette={palette} />
      <mesh position={[mark[0] + offset[0], mark[1] + offset[1], mark[2] + offset[2]]}>
        <sphereGeometry args={[1.6, 12, 8]} />
        <meshBasicMaterial color={palette.brick} />
      </mesh>
    </Stage>
  );
}
