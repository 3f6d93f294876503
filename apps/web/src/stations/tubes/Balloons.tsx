import { useMemo, useState } from 'react';
import type { Plan } from '@larchwood/core';
import { memberOf } from '../../editor/editor';
import { NumberTag } from '../../sheet/NumberTag';
import type { Pixel, View } from '../../sheet/view';
import { balloonsOf, type Balloon } from './balloonLayout';

interface Props {
  readonly plan: Plan;
  readonly view: View;
  readonly selected: readonly string[];
  readonly onSelect: (piece: string, more: boolean) => void;
}

/**
 * Piece numbers on leaders, as on a workshop drawing. Where many pieces meet, their numbers stand side by side on one leader;
 * what is picked or pointed at has its own.
 */
export function Balloons({ plan, view, selected, onSelect }: Props) {
  const { single, heaps } = useMemo(() => balloonsOf(plan, view), [plan, view]);
  const [pointed, point] = useState<string>();
  const isLit = ({ id }: Balloon): boolean =>
    id === pointed || selected.some((each) => memberOf(each) === id);
  const tag = (balloon: Balloon, own: boolean) => {
    const { id, number, at, tag: place } = balloon;
    const lit = isLit(balloon);
    return (
      <g
        key={`${id}${number}`}
        className="cursor-pointer"
        onClick={(event) => onSelect(id, event.shiftKey || event.ctrlKey || event.metaKey)}
        onPointerEnter={() => point(id)}
        onPointerLeave={() => point(undefined)}
      >
        {(own || lit) && <Leader from={at} to={place} lit={lit} />}
        <NumberTag at={place} number={number} shape="round" tone={lit ? 'lit' : 'plain'} />
      </g>
    );
  };
  return (
    <>
      {heaps.map(({ balloons, leader: [from, to] }) => (
        <g key={balloons.map(({ number }) => number).join()}>
          <Leader from={from} to={to} lit={false} />
          {balloons.map((balloon) => tag(balloon, false))}
        </g>
      ))}
      {single.map((balloon) => tag(balloon, true))}
    </>
  );
}

function Leader({ from, to, lit }: { readonly from: Pixel; readonly to: Pixel; readonly lit: boolean }) {
  const ink = lit ? 'var(--larch)' : 'var(--quiet)';
  return (
    <>
      <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} stroke={ink} />
      <circle cx={from[0]} cy={from[1]} r="2.5" fill={ink} />
    </>
  );
}
