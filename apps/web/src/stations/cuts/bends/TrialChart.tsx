import { scaleLinear } from 'd3-scale';
import type { Springback } from '@larchwood/core';
import type { Trial } from '@larchwood/format';

const [WIDE, HIGH] = [290, 130];
const ROOM = { left: 34, right: 10, top: 10, bottom: 24 };

/** Springback of each logged bend against its angle, and the line through those that count. */
export function TrialChart({
  trials,
  spring: { base, factor, scatter = 0 },
}: {
  readonly trials: readonly Trial[];
  readonly spring: Springback;
}) {
  const over = (got: number) => base + (factor - 1) * got;
  const back = trials.map(({ set, got }) => set - got);
  const x = scaleLinear([0, Math.max(90, ...trials.map(({ got }) => got))], [ROOM.left, WIDE - ROOM.right]);
  const y = scaleLinear([Math.min(0, ...back), Math.max(4, ...back)], [HIGH - ROOM.bottom, ROOM.top]).nice();
  const [low, high] = x.domain() as [number, number];
  const band = [
    [low, over(low) + scatter],
    [high, over(high) + scatter],
    [high, over(high) - scatter],
    [low, over(low) - scatter],
  ] as const;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="w-full px-4"
      role="img"
      aria-label={`Springback of ${trials.length} logged bends against their angle`}
    >
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <path d={`M${ROOM.left} ${y(tick)}H${WIDE - ROOM.right}`} stroke="var(--rule)" strokeWidth="0.6" />
          <text
            x={ROOM.left - 5}
            y={y(tick) + 4}
            textAnchor="end"
            fontSize="11"
            className="figure"
            fill="var(--quiet)"
          >
            {tick}°
          </text>
        </g>
      ))}
      {x.ticks(5).map((tick) => (
        <text
          key={tick}
          x={x(tick)}
          y={HIGH - 8}
          textAnchor="middle"
          fontSize="11"
          className="figure"
          fill="var(--quiet)"
        >
          {tick}°
        </text>
      ))}
      {scatter > 0 && (
        <polygon
          points={band.map(([at, value]) => `${x(at)},${y(value)}`).join(' ')}
          fill="var(--spruce-wash)"
        />
      )}
      <path
        d={`M${x(low)} ${y(over(low))}L${x(high)} ${y(over(high))}`}
        stroke="var(--spruce)"
        strokeWidth="1.5"
        fill="none"
      />
      {trials.map(({ set, got, leftOut }, index) =>
        leftOut ? (
          <path
            key={index}
            d={`M${x(got) - 4} ${y(set - got) - 4}l8 8m0 -8l-8 8`}
            stroke="var(--quiet)"
            strokeWidth="1.5"
          />
        ) : (
          <circle key={index} cx={x(got)} cy={y(set - got)} r="3.5" fill="var(--ink)" />
        ),
      )}
    </svg>
  );
}
