import type { DrawnDimension } from './dimensions';
import { tenth } from './path';
import type { Pixel } from './view';

interface Props {
  readonly dimensions: readonly DrawnDimension[];
  readonly held: (id: string) => boolean;
  readonly active: string | undefined;
}

/**
 * Dimension lines with oblique ticks; the figures stand over them as fields. All of one sort are one path: a drag changes
 * each of them every frame.
 */
export function DimensionLines({ dimensions, held, active }: Props) {
  const sorts = [
    { colour: 'var(--quiet)', width: 1, of: dimensions.filter(({ id }) => id !== active && !held(id)) },
    { colour: 'var(--ink)', width: 1, of: dimensions.filter(({ id }) => id !== active && held(id)) },
    { colour: 'var(--larch)', width: 1.8, of: dimensions.filter(({ id }) => id === active) },
  ];
  return (
    <g fill="none">
      {sorts.map(({ colour, width, of }) =>
        of.length === 0 ? null : (
          <g key={colour} stroke={colour}>
            <path
              d={of.flatMap(({ witness }) => witness.map(segment)).join('')}
              strokeWidth="0.6"
              opacity="0.7"
            />
            <path d={of.map(({ line }) => linePath(line)).join('')} strokeWidth={width} />
            <path d={of.flatMap(({ line }) => endsOf(line).map(tick)).join('')} strokeWidth="1.6" />
          </g>
        ),
      )}
    </g>
  );
}

const at = ([x, y]: Pixel): string => `${tenth(x)} ${tenth(y)}`;
const segment = ([a, b]: readonly [Pixel, Pixel]): string => `M${at(a)}L${at(b)}`;
const tick = ([x, y]: Pixel): string =>
  segment([
    [x - 4, y + 4],
    [x + 4, y - 4],
  ]);

function endsOf(line: DrawnDimension['line']): readonly [Pixel, Pixel] {
  if (line.as === 'straight') return [line.from, line.to];
  const on = (degrees: number): Pixel => {
    const turn = (degrees * Math.PI) / 180;
    return [line.centre[0] + line.radius * Math.cos(turn), line.centre[1] - line.radius * Math.sin(turn)];
  };
  return [on(line.from), on(line.to)];
}

function linePath(line: DrawnDimension['line']): string {
  const [from, to] = endsOf(line);
  if (line.as === 'straight') return segment([from, to]);
  const r = tenth(line.radius);
  return `M${at(from)}A${r} ${r} 0 0 ${line.to > line.from ? 0 : 1} ${at(to)}`;
}
