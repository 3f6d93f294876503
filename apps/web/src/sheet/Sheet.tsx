import { memo, useMemo, type ReactNode } from 'react';
import type { Plan, ViewName } from '@larchwood/core';
import { formatLength, INCH } from '@larchwood/core';
import { useSize } from '../parts/useSize';
import { SheetLayer } from './SheetLayer';
import { barLength, fitView, NARROW, vehicleExtent, type Extent, type View } from './view';

interface Props {
  readonly plan: Plan;
  readonly title: string;
  /** Behind the drawing, on a layer of its own: what seldom changes. */
  readonly behind?: ((view: View) => ReactNode) | undefined;
  /** Drawn in the sheet's pixels. */
  readonly drawing: (view: View) => ReactNode;
  /** Fields that stand on the drawing. */
  readonly overlay?: (view: View) => ReactNode;
  readonly note?: string | undefined;
  readonly ground?: boolean;
  /** What to fit, where it is not the whole vehicle. */
  readonly extent?: Extent;
  readonly view?: ViewName;
  /** Stands under the title. */
  readonly choices?: ReactNode;
}

const GUESS = { width: 780, height: 620 };

/** The builder's sheet: ruled paper, title, scale bar, ground, and a drawing true to scale on it. */
export function Sheet({
  plan,
  title,
  behind,
  drawing,
  overlay,
  note,
  extent,
  view: name = 'side',
  ground = name !== 'plan',
  choices,
}: Props) {
  const { frame, size } = useSize(GUESS);
  const { left, right, bottom, top } = extent ?? vehicleExtent(plan, name);
  const narrow = extent !== undefined;
  // The same object while nothing moves it, so that what is drawn behind need not be drawn again.
  const view = useMemo(
    () =>
      fitView(
        { left, right, bottom, top },
        size.width,
        size.height,
        name,
        ...(narrow ? ([NARROW] as const) : ([] as const)),
      ),
    [left, right, bottom, top, size.width, size.height, name, narrow],
  );
  const bar = barLength(view, plan.units.length === 'mm' ? 1 : INCH);
  const barPixels = bar * view.scale;
  return (
    <div ref={frame} className="relative h-full min-h-80 w-full overflow-hidden bg-sheet">
      {/* On a layer of its own: most edits leave paper and ghosts as they are. */}
      <div className="absolute inset-0 will-change-transform">
        <Paper
          width={size.width}
          height={size.height}
          grid={100 * view.scale}
          x={view.x(0)}
          y={view.y(0)}
          ground={ground}
        />
        {behind && <SheetLayer view={view}>{behind(view)}</SheetLayer>}
      </div>
      <svg
        width={size.width}
        height={size.height}
        className="absolute inset-0"
        role="img"
        aria-label={`${title}, drawn to scale`}
      >
        {drawing(view)}
      </svg>
      {overlay?.(view)}
      <div className="pointer-events-none absolute top-3 left-4 leading-tight">
        <div className="w-fit bg-sheet pr-1.5">{title}</div>
        <div className="caption figure w-fit bg-sheet pr-1.5">
          1 : {(1 / (view.scale * 0.264583)).toFixed(0)} on screen, in{' '}
          {plan.units.length === 'mm' ? 'mm' : 'inches'}
        </div>
        {choices !== undefined && <div className="pointer-events-auto mt-1.5">{choices}</div>}
      </div>
      <div className="pointer-events-none absolute top-3 right-4 text-center">
        <div className="figure caption">{formatLength(bar, plan.units, 0)}</div>
        <svg width={barPixels + 2} height="8" aria-hidden>
          <path d={`M1 0V8M1 4H${barPixels + 1}M${barPixels + 1} 0V8`} stroke="var(--ink)" fill="none" />
        </svg>
      </div>
      {note !== undefined && (
        <div className="pointer-events-none absolute bottom-2.5 left-4 text-[12px] text-larch-text">
          {note}
        </div>
      )}
    </div>
  );
}

interface PaperProps {
  readonly width: number;
  readonly height: number;
  readonly grid: number;
  readonly x: number;
  readonly y: number;
  readonly ground: boolean;
}

/** Ruled paper and the ground. */
const Paper = memo(function Paper({ width, height, grid, x, y, ground }: PaperProps) {
  const lines: string[] = [];
  for (let at = x % grid; at < width; at += grid) lines.push(`M${at.toFixed(1)} 0V${height}`);
  for (let at = y % grid; at < height; at += grid) lines.push(`M0 ${at.toFixed(1)}H${width}`);
  const earth: string[] = [];
  for (let at = 16; at < width - 22; at += 9) earth.push(`M${at} ${y + 7}L${at + 6} ${y + 1}`);
  return (
    <svg width={width} height={height} className="absolute inset-0" aria-hidden>
      <path d={lines.join('')} stroke="var(--grid)" fill="none" />
      {ground && (
        <>
          <path d={earth.join('')} stroke="var(--quiet)" strokeWidth="0.8" fill="none" />
          <path d={`M14 ${y}H${width - 14}`} stroke="var(--ink)" strokeWidth="1.75" />
        </>
      )}
    </svg>
  );
});
