import type { Plan } from '@larchwood/core';
import { memberOf } from '../../editor/editor';
import { NumberTag } from '../../sheet/NumberTag';
import type { View } from '../../sheet/view';

interface Props {
  readonly plan: Plan;
  readonly view: View;
  readonly selected: string | undefined;
  readonly onSelect: (piece: string) => void;
}

/** Piece numbers on leaders, as on a workshop drawing. */
export function Balloons({ plan, view, selected, onSelect }: Props) {
  const middle = view.at(plan.stance.points.bottomBracket ?? [0, 0, 0]);
  const parts = [
    ...plan.frame.pieces
      .filter((piece) => piece.side !== 'left')
      .map((piece) => {
        const [a, b] = [view.at(piece.start), view.at(piece.end)];
        return {
          id: piece.member.id,
          number: piece.member.piece,
          at: [a[0] * 0.55 + b[0] * 0.45, a[1] * 0.55 + b[1] * 0.45] as const,
          along: [b[0] - a[0], b[1] - a[1]] as const,
        };
      }),
    ...plan.frame.plates
      .filter((plate) => !plate.id.endsWith(':left'))
      .map((plate) => ({
        id: plate.plate.id,
        number: plate.plate.piece,
        at: view.at(plate.at),
        along: [1, -1] as const,
      })),
  ];
  return parts.map(({ id, number, at, along }) => {
    const size = Math.hypot(along[0], along[1]);
    // Leaders stand square to the tube, on the side away from the middle of the frame.
    const square = size < 1 ? [0.4, 0.9] : [along[1] / size, -along[0] / size];
    const away = (at[0] - middle[0] - 40) * square[0]! + (at[1] - middle[1] + 120) * square[1]! < 0 ? -1 : 1;
    const [x, y] = [at[0] + square[0]! * away * 46, at[1] + square[1]! * away * 46];
    const lit = memberOf(selected) === id;
    return (
      <g key={`${id}${number}`} className="cursor-pointer" onClick={() => onSelect(id)}>
        <line x1={at[0]} y1={at[1]} x2={x} y2={y} stroke={lit ? 'var(--larch)' : 'var(--quiet)'} />
        <circle cx={at[0]} cy={at[1]} r="2.5" fill={lit ? 'var(--larch)' : 'var(--quiet)'} />
        <NumberTag at={[x, y]} number={number} shape="round" tone={lit ? 'lit' : 'plain'} />
      </g>
    );
  });
}
