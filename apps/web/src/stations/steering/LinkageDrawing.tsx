import { movedPoints, positionsAt, type Steering } from '@larchwood/core';
import type { View } from '../../sheet/view';

interface Props {
  readonly steering: Steering;
  /** Of the wheel that turns further, degrees to the left. */
  readonly steer: number;
  readonly view: View;
  /** Drawn thin and dashed, beside the one in hand. */
  readonly ghost?: boolean;
}

/** Rods with a ball at each end, arms and shafts, where they stand with the wheels turned. */
export function LinkageDrawing({ steering, steer, view, ghost = false }: Props) {
  const { chain, parts } = steering.built;
  const points = movedPoints(steering, positionsAt(steering.sweep, Object.values(chain.wheels), steer));
  const at = (name: string) => view.at(points[name]!);
  const line = (from: string, to: string) => {
    const [[ax, ay], [bx, by]] = [at(from), at(to)];
    return `M${ax.toFixed(1)} ${ay.toFixed(1)}L${bx.toFixed(1)} ${by.toFixed(1)}`;
  };
  if (ghost)
    return (
      <g fill="none" stroke="var(--spruce)" strokeWidth="1.6" strokeDasharray="6 4">
        {parts.map(({ id, from, to }) => (
          <path key={id} d={line(from, to)} />
        ))}
      </g>
    );
  const balls = new Set(parts.flatMap(({ as, from, to }) => (as === 'rod' ? [from, to] : [])));
  return (
    <g fill="none" strokeLinecap="round" aria-label="Linkage">
      {parts
        .filter(({ as }) => as === 'shaft')
        .map(({ id, name, from, to }) => (
          <path key={id} d={line(from, to)} stroke="var(--ink)" strokeWidth="5">
            <title>{name}</title>
          </path>
        ))}
      {parts
        .filter(({ as }) => as === 'arm')
        .map(({ id, name, from, to }) => (
          <path key={id} d={line(from, to)} stroke="var(--ink)" strokeWidth="3.5">
            <title>{name}</title>
          </path>
        ))}
      {parts
        .filter(({ as }) => as === 'rod')
        .map(({ id, name, from, to }) => (
          <g key={id}>
            <title>{name}</title>
            <path d={line(from, to)} stroke="var(--larch)" strokeWidth="4.5" />
            <path d={line(from, to)} stroke="var(--sheet)" strokeWidth="1.6" />
          </g>
        ))}
      {[...balls].map((name) => (
        <circle
          key={name}
          cx={at(name)[0]}
          cy={at(name)[1]}
          r="4"
          fill="var(--sheet)"
          stroke="var(--larch)"
          strokeWidth="2"
        />
      ))}
    </g>
  );
}
