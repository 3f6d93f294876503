import { memo, useMemo } from 'react';
import type { Measurand, MeasuringPoint, Plan, Vector } from '@larchwood/core';
import { FrameOutlines } from '../../sheet/FrameOutlines';
import { outlinesOf, seenFrom } from '../../sheet/outlines';

interface Props {
  readonly plan: Plan;
  readonly measurand: Measurand;
  readonly points: Readonly<Record<string, MeasuringPoint>>;
  readonly className: string;
}

/** The frame in the view that shows a measure best, with where it is taken from and to. */
export const MeasureDrawing = memo(function MeasureDrawing({ plan, measurand, points, className }: Props) {
  const { view, as } = measurand;
  const shapes = useMemo(() => outlinesOf(plan, view), [plan, view]);
  const see = seenFrom(view);
  const ends = as === 'outcome' ? [] : measurand.points.map((id) => points[id]!.at);
  return (
    <FrameOutlines
      label={`${view === 'plan' ? 'Plan' : view === 'side' ? 'Side' : 'Front'}, drawn to scale: ${measurand.name}`}
      shapes={shapes}
      margin={0.06}
      className={className}
    >
      {(size) => (
        <>
          {linesOf(measurand, ends).map(([from, to], index) => {
            const [a, b] = [see(from), see(to)];
            return (
              <line
                key={index}
                x1={a[0]}
                y1={a[1]}
                x2={b[0]}
                y2={b[1]}
                stroke="var(--larch)"
                strokeWidth={index === 0 ? 2.5 : 1}
                strokeDasharray={index === 0 ? undefined : '5 4'}
                vectorEffect="non-scaling-stroke"
              />
            );
          })}
          {ends.map((end, index) => (
            <circle key={index} cx={see(end)[0]} cy={see(end)[1]} r={size / 90} fill="var(--ink)" />
          ))}
        </>
      )}
    </FrameOutlines>
  );
});

/** What is measured as a line, and what it is measured against as a second one. */
function linesOf({ as }: Measurand, ends: readonly Vector[]): readonly (readonly [Vector, Vector])[] {
  const [a, b] = ends;
  if (!a) return [];
  if (as === 'height') return [[a, [a[0], a[1], 0]]];
  if (as === 'beside') return [[a, [a[0], 0, a[2]]]];
  if (!b) return [];
  if (as === 'distance') return [[a, b]];
  const level: Vector = as === 'lean' ? [a[0], a[1], b[2]] : [b[0], a[1], a[2]];
  return [
    [a, b],
    [a, level],
  ];
}
