import type { ReactNode } from 'react';
import { boxOf, type Outline } from './outlines';
import { pathOf } from './path';

/** A frame in thin lines, to scale, with what is drawn over it; `margin` is a share of its larger side. */
export function FrameOutlines({
  label,
  shapes,
  margin: share,
  className,
  children,
}: {
  readonly label: string;
  readonly shapes: readonly Outline[];
  readonly margin: number;
  readonly className: string;
  /** Drawn in mm of the vehicle; told the larger side of the frame. */
  readonly children: (size: number) => ReactNode;
}) {
  const [left, top, width, height] = boxOf(shapes);
  const size = Math.max(width, height);
  const margin = share * size + 20;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${left - margin} ${top - margin} ${width + 2 * margin} ${height + 2 * margin}`}
      className={className}
    >
      {shapes.map(({ id, points }) => (
        <path
          key={id}
          d={pathOf(points)}
          fill="none"
          stroke="var(--quiet)"
          strokeWidth={0.8}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {children(size)}
    </svg>
  );
}
