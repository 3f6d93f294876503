import { memo, useMemo } from 'react';
import { clearestView, type OnPaper, type Plan } from '@larchwood/core';
import { boxOf, outlinesOf, type Outline } from '../../sheet/outlines';
import { pathOf } from '../../sheet/path';

interface Props {
  readonly plan: Plan;
  /** Ids of pieces and plates that the step is about. */
  readonly pieces: readonly string[];
  readonly className: string;
}
interface Shape extends Outline {
  readonly lit: boolean;
}

/** What a step is about, in the view that shows it largest; the rest of the frame stands behind it in thin lines. */
export const StepDrawing = memo(function StepDrawing({ plan, pieces, className }: Props) {
  const drawn = useMemo(() => {
    const wanted = new Set(pieces);
    const name = clearestView(plan.frame, pieces);
    const all: Shape[] = outlinesOf(plan, name).map((shape) => ({ ...shape, lit: wanted.has(shape.id) }));
    const lit = all.filter((shape) => shape.lit);
    const whole = boxOf(all);
    const box = grown(boxOf(lit.length > 0 ? lit : all), SHOWS * Math.max(whole[2], whole[3]));
    return { name, all, box };
  }, [plan, pieces]);
  const [left, top, width, height] = drawn.box;
  const margin = 0.06 * Math.max(width, height) + 20;
  // Legible in a window twice as wide as it is high.
  const label = Math.max((width + 2 * margin) / 24, (height + 2 * margin) / 12);
  return (
    <svg
      role="img"
      aria-label={`${drawn.name === 'plan' ? 'Plan' : drawn.name === 'side' ? 'Side' : 'Front'}, drawn to scale: ${
        drawn.all
          .filter(({ lit }) => lit)
          .map(({ mark }) => mark)
          .join(', ') || 'the frame'
      }`}
      viewBox={`${left - margin} ${top - margin} ${width + 2 * margin} ${height + 2 * margin}`}
      className={className}
    >
      {[...drawn.all]
        .sort((one, other) => Number(one.lit) - Number(other.lit))
        .map(({ id, points, lit }) => (
          <path
            key={id}
            d={pathOf(points)}
            fill={lit ? 'var(--larch-wash)' : 'none'}
            stroke={lit ? 'var(--ink)' : 'var(--quiet)'}
            strokeWidth={lit ? 2 : 0.6}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      {placed(drawn.all, label).map(({ id, mark, at }) => (
        <text
          key={id}
          x={at[0]}
          y={at[1]}
          fontSize={label}
          fontWeight="700"
          textAnchor="middle"
          dominantBaseline="central"
          fill="var(--ink)"
          stroke="var(--sheet)"
          strokeWidth={label / 4}
          paintOrder="stroke"
        >
          {mark}
        </text>
      ))}
    </svg>
  );
});

/** Marks of what is lit, each in the middle of its piece, moved apart where two would meet. */
function placed(shapes: readonly Shape[], size: number) {
  const taken: OnPaper[] = [];
  return shapes
    .filter(({ lit }) => lit)
    .slice(0, MOST)
    .map(({ id, mark, points }) => {
      const [left, top, width, height] = boxOf([{ points }]);
      let at: OnPaper = [left + width / 2, top + height / 2];
      for (const other of taken)
        if (Math.abs(other[0] - at[0]) < size * 1.6 && Math.abs(other[1] - at[1]) < size * 1.1)
          at = [at[0], other[1] + size * 1.2];
      taken.push(at);
      return { id, mark, at };
    });
}
/** So much of the frame is seen round a small piece, that it is known where it belongs. */
const SHOWS = 0.4;
function grown(
  [left, top, width, height]: ReturnType<typeof boxOf>,
  least: number,
): ReturnType<typeof boxOf> {
  const [wide, high] = [Math.max(0, least - width), Math.max(0, least / 2 - height)];
  return [left - wide / 2, top - high / 2, width + wide, height + high];
}
/** More marks than so many hide the drawing. */
const MOST = 40;
