import { memo, useMemo } from 'react';
import type { Measurand, MeasuringPoint, Plan, Vector } from '@larchwood/core';
import { FrameOutlines } from '../../sheet/FrameOutlines';
import { outlinesOf, seenFrom, type Outline } from '../../sheet/outlines';

interface Props {
  readonly plan: Plan;
  readonly measurand: Measurand;
  readonly points: Readonly<Record<string, MeasuringPoint>>;
  readonly className: string;
}

/** The frame in the view that shows a measure best, with where it is taken from and to. */
export const MeasureDrawing = memo(function MeasureDrawing({ plan, measurand, points, className }: Props) {
  const { view, as, strung } = measurand;
  const shapes = useMemo(
    () => [...outlinesOf(plan, view), ...(strung ? besideStrings(plan, strung.string) : [])],
    [plan, view, strung],
  );
  const see = seenFrom(view);
  const ends = strung ? [strung.at] : as === 'outcome' ? [] : measurand.points.map((id) => points[id]!.at);
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

/** The wheels in plan, and the strings beside them. */
function besideStrings({ stance: { standing } }: Plan, string: number): readonly Outline[] {
  const see = seenFrom('plan');
  const wheels = standing.map(({ id, centre, spindle, radius, width }) => {
    const [long, half] = [radius, width / 2];
    const corner = (ahead: number, out: number) =>
      see([
        centre[0] + ahead * long * spindle[1] + out * half * spindle[0],
        centre[1] - ahead * long * spindle[0] + out * half * spindle[1],
        centre[2],
      ]);
    const points = [corner(1, 1), corner(1, -1), corner(-1, -1), corner(-1, 1), corner(1, 1)];
    return { id: `wheel ${id}`, mark: '', points };
  });
  const ends = standing.flatMap(({ centre, radius }) => [centre[0] - radius, centre[0] + radius]);
  const [rear, front] = [Math.min(...ends), Math.max(...ends)];
  const strings = [string, -string].map((y) => ({
    ...{ id: `string ${y}`, mark: '' },
    points: [see([rear, y, 0]), see([front, y, 0])],
  }));
  return [...wheels, ...strings];
}

/** What is measured as a line, and what it is measured against as a second one. */
function linesOf({ as, strung }: Measurand, ends: readonly Vector[]): readonly (readonly [Vector, Vector])[] {
  const [a, b] = ends;
  if (!a) return [];
  if (strung) return [[a, [a[0], Math.sign(a[1]) * strung.string, a[2]]]];
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
