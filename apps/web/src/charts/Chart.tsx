import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { ticks as ticksOf } from 'd3-array';
import { useSize } from '../parts/useSize';
import type { Ticks } from './axisText';

export interface Series {
  readonly name: string;
  /** Left out where there is none: the line has a gap. */
  readonly points: readonly (readonly [x: number, y: number | undefined])[];
  readonly dashed?: boolean;
}
interface Props {
  readonly title: string;
  /** What it is called where its title stands elsewhere. */
  readonly label?: string;
  readonly about?: string;
  /** How a value on each axis reads. */
  /** `ticks`: values that are round in the unit that is shown; round numbers where none is given. */
  readonly across: {
    readonly name: string;
    readonly text: (value: number) => string;
    readonly ticks?: Ticks;
  };
  readonly up: { readonly text: (value: number) => string; readonly unit?: string; readonly ticks?: Ticks };
  readonly series: readonly Series[];
  readonly band?: { readonly low: number; readonly high: number } | undefined;
  readonly present?: readonly [x: number, y: number] | undefined;
  /** Set by the pointer, shared by charts that stand over each other. */
  readonly at: number | undefined;
  readonly onAt: (x: number | undefined) => void;
  readonly last?: boolean;
}

const ROOM = { left: 62, right: 104, top: 38, bottom: 8 };
const AXIS = 34;
const GUESS = { width: 700, height: 180 };

/** One quantity against another: hairlines, the usual band as a box, the line in ink, the present point as a mark. */
export function Chart({
  title,
  label = title,
  about,
  across,
  up,
  series,
  band,
  present,
  at,
  onAt,
  last = false,
}: Props) {
  const { frame, size } = useSize(GUESS);
  const known = series.flatMap(({ points }) => points.filter(isKnown));
  const bottom = size.height - (last ? AXIS : ROOM.bottom);
  const xs = series[0]?.points.map(([x]) => x) ?? [0, 1];
  const x = scaleLinear([xs[0]!, xs.at(-1)!], [ROOM.left, size.width - ROOM.right]);
  const ys = known.map(([, value]) => value);
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const slack = Math.max((high - low) * 0.12, Math.abs(high) * 0.01, 0.5);
  const y = scaleLinear([low - slack, high + slack], [bottom, ROOM.top]);
  const upTicks = (up.ticks ?? ticksOf)(low - slack, high + slack, 4);
  const draw = line<readonly [number, number | undefined]>()
    .defined(isKnown)
    .x(([value]) => x(value))
    .y(([, value]) => y(value ?? 0));
  const inside = (value: number) => Math.max(ROOM.top, Math.min(bottom, y(value)));
  const shownAt = at ?? present?.[0];
  return (
    <div ref={frame} className="relative min-h-0 flex-1 print:flex-none">
      <svg
        width={size.width}
        height={size.height}
        className="absolute inset-0 print:static"
        role="img"
        aria-label={`${label} against ${across.name}`}
        onPointerMove={(event) => {
          const pixel = event.clientX - event.currentTarget.getBoundingClientRect().left;
          const value = x.invert(pixel);
          onAt(value >= xs[0]! && value <= xs.at(-1)! ? value : undefined);
        }}
        onPointerLeave={() => onAt(undefined)}
      >
        {band && known.length > 0 && inside(band.high) < inside(band.low) && (
          <rect
            x={ROOM.left}
            width={Math.max(0, size.width - ROOM.left - ROOM.right)}
            y={inside(band.high)}
            height={inside(band.low) - inside(band.high)}
            fill="var(--spruce-wash)"
            stroke="var(--spruce)"
            strokeWidth="0.6"
          />
        )}
        {known.length > 0 &&
          upTicks.map((tick) => (
            <g key={tick}>
              <path
                d={`M${ROOM.left} ${y(tick)}H${size.width - ROOM.right}`}
                stroke="var(--rule)"
                strokeWidth={tick === 0 ? 1.4 : 0.6}
              />
              <text
                x={ROOM.left - 8}
                y={y(tick) + 4}
                textAnchor="end"
                className="figure"
                fontSize="12"
                fill="var(--quiet)"
              >
                {up.text(tick)}
              </text>
            </g>
          ))}
        {last &&
          (across.ticks ?? ticksOf)(xs[0]!, xs.at(-1)!, 8).map((tick) => (
            <g key={tick}>
              <path d={`M${x(tick)} ${bottom}v5`} stroke="var(--ink)" />
              <text
                x={x(tick)}
                y={bottom + 18}
                textAnchor="middle"
                className="figure"
                fontSize="12"
                fill="var(--quiet)"
              >
                {across.text(tick)}
              </text>
            </g>
          ))}
        {last && (
          <>
            <path d={`M${ROOM.left} ${bottom}H${size.width - ROOM.right}`} stroke="var(--ink)" />
            <text x={size.width - ROOM.right + 10} y={bottom + 18} fontSize="12" fill="var(--quiet)">
              {across.name}
            </text>
          </>
        )}
        {series.map(({ name, points, dashed }) => (
          <path
            key={name}
            d={draw(points) ?? ''}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.8"
            strokeDasharray={dashed ? '6 4' : undefined}
          />
        ))}
        {shownAt !== undefined && (
          <path
            d={`M${x(shownAt)} ${ROOM.top}V${bottom}`}
            stroke="var(--larch)"
            strokeWidth="1"
            strokeDasharray={at === undefined ? '2 3' : undefined}
          />
        )}
        {present && (
          <circle
            cx={x(present[0])}
            cy={y(present[1])}
            r="4.5"
            fill="var(--larch)"
            stroke="var(--sheet)"
            strokeWidth="1.5"
          />
        )}
        {series.map(({ name, points }, index) => {
          const value = shownAt === undefined ? undefined : valueAt(points, shownAt);
          const end = points.findLast(isKnown);
          return (
            <g key={name} fontSize="13">
              {value !== undefined && (
                <text
                  x={size.width - ROOM.right + 10}
                  y={Math.max(ROOM.top + 4, Math.min(bottom, y(value) + 4))}
                  className="figure"
                  fontWeight="600"
                  fill="var(--ink)"
                >
                  {up.text(value)}
                  {up.unit !== undefined && (
                    <tspan fontSize="12" fontWeight="400" fill="var(--quiet)">
                      {' '}
                      {up.unit}
                    </tspan>
                  )}
                </text>
              )}
              {series.length > 1 && end && (
                <text
                  x={x(end[0]) - 4}
                  y={Math.min(bottom - 5, y(end[1]) + (index === 0 ? -6 : 16))}
                  textAnchor="end"
                  fill="var(--quiet)"
                  fontSize="12"
                >
                  {name}
                </text>
              )}
            </g>
          );
        })}
      </svg>
      <div className="pointer-events-none absolute top-1.5 left-4 flex gap-2">
        <span className="font-bold">{title}</span>
        {about !== undefined && <span className="caption self-center">{about}</span>}
      </div>
    </div>
  );
}

const isKnown = (point: readonly [number, number | undefined]): point is readonly [number, number] =>
  point[1] !== undefined;

/** Between the two nearest points of a line. */
function valueAt(points: Series['points'], x: number): number | undefined {
  const index = points.findIndex(([at]) => at >= x);
  const [after, before] = [points[index], points[Math.max(0, index - 1)]];
  if (!after || !before || after[1] === undefined || before[1] === undefined) return undefined;
  const share = after[0] === before[0] ? 0 : (x - before[0]) / (after[0] - before[0]);
  return before[1] + (after[1] - before[1]) * share;
}
