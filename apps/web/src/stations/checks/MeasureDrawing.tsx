import { memo, useMemo } from 'react';
import {
  pictureOf,
  type Measurand,
  type MeasurePicture,
  type MeasuringPoint,
  type Plan,
} from '@larchwood/core';
import { FrameOutlines } from '../../sheet/FrameOutlines';
import { outlinesOf, seenFrom, type Outline } from '../../sheet/outlines';

interface Props {
  readonly plan: Plan;
  readonly measurand: Measurand;
  readonly points: Readonly<Record<string, MeasuringPoint>>;
  /** From which heights are taken, above the ground; mm. */
  readonly level: number;
  readonly className: string;
}

/** The frame in the view that shows a measure best, with where it is taken from and to, and what it is taken against. */
export const MeasureDrawing = memo(function MeasureDrawing({
  plan,
  measurand,
  points,
  level,
  className,
}: Props) {
  const picture = useMemo(
    () => pictureOf(measurand, points, plan.stance, level),
    [measurand, points, plan.stance, level],
  );
  const { view, measured, against, marks } = picture;
  const wheels = measurand.strung !== undefined || measurand.whole;
  const shapes = useMemo(
    () => [
      ...outlinesOf(plan, view),
      ...(wheels && view === 'plan' ? wheelsInPlan(plan) : []),
      ...lineOutlines([...measured, ...against], view),
    ],
    [plan, view, wheels, measured, against],
  );
  const see = seenFrom(view);
  const line = ([from, to]: MeasurePicture['measured'][number], key: string, isMeasured: boolean) => {
    const [a, b] = [see(from), see(to)];
    return (
      <line
        key={key}
        x1={a[0]}
        y1={a[1]}
        x2={b[0]}
        y2={b[1]}
        stroke="var(--larch)"
        strokeWidth={isMeasured ? 2.5 : 1}
        strokeDasharray={isMeasured ? undefined : '5 4'}
        vectorEffect="non-scaling-stroke"
      />
    );
  };
  return (
    <FrameOutlines
      label={`${view === 'plan' ? 'Plan' : view === 'side' ? 'Side' : 'Front'}, drawn to scale: ${measurand.name}`}
      shapes={shapes}
      margin={0.06}
      className={className}
    >
      {(size) => (
        <>
          {against.map((each, index) => line(each, `against ${index}`, false))}
          {measured.map((each, index) => line(each, `measured ${index}`, true))}
          {marks.map((mark, index) => (
            <circle key={index} cx={see(mark)[0]} cy={see(mark)[1]} r={size / 90} fill="var(--ink)" />
          ))}
        </>
      )}
    </FrameOutlines>
  );
});

/** Lines as the drawing's own bounds have to know them. */
const lineOutlines = (lines: MeasurePicture['measured'], view: MeasurePicture['view']): readonly Outline[] =>
  lines.map((points, index) => ({
    ...{ id: `line ${index}`, mark: '' },
    points: points.map(seenFrom(view)),
  }));

/** The wheels in plan. */
function wheelsInPlan({ stance: { standing } }: Plan): readonly Outline[] {
  const see = seenFrom('plan');
  return standing.map(({ id, centre, spindle, radius, width }) => {
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
}
