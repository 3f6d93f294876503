import type { DrawnDimension } from './dimensions';
import type { Pixel } from './view';

interface Props {
  readonly dimensions: readonly DrawnDimension[];
  readonly held: (id: string) => boolean;
  readonly active: string | undefined;
}

/** Dimension lines with oblique ticks; the figures stand over them as fields. */
export function DimensionLines({ dimensions, held, active }: Props) {
  return (
    <g fill="none">
      {dimensions.map((dimension) => {
        const colour =
          dimension.id === active ? 'var(--larch)' : held(dimension.id) ? 'var(--ink)' : 'var(--quiet)';
        return (
          <g key={dimension.id} stroke={colour} strokeWidth={dimension.id === active ? 1.8 : 1}>
            {dimension.witness.map(([a, b], index) => (
              <line key={index} x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} strokeWidth="0.6" opacity="0.7" />
            ))}
            <Line {...dimension.line} />
          </g>
        );
      })}
    </g>
  );
}

function Line(line: DrawnDimension['line']) {
  if (line.as === 'straight') {
    return (
      <>
        <line x1={line.from[0]} y1={line.from[1]} x2={line.to[0]} y2={line.to[1]} />
        <Tick at={line.from} />
        <Tick at={line.to} />
      </>
    );
  }
  const at = (degrees: number): Pixel => {
    const turn = (degrees * Math.PI) / 180;
    return [line.centre[0] + line.radius * Math.cos(turn), line.centre[1] - line.radius * Math.sin(turn)];
  };
  const [from, to] = [at(line.from), at(line.to)];
  return (
    <>
      <path
        d={`M${from[0]} ${from[1]}A${line.radius} ${line.radius} 0 0 ${line.to > line.from ? 0 : 1} ${to[0]} ${to[1]}`}
      />
      <Tick at={from} />
      <Tick at={to} />
    </>
  );
}

function Tick({ at: [x, y] }: { readonly at: Pixel }) {
  return <path d={`M${x - 4} ${y + 4}L${x + 4} ${y - 4}`} strokeWidth="1.6" />;
}
