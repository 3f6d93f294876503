import {
  formatLength,
  widthSeen,
  type Bore,
  type DrilledPiece,
  type Piece,
  type PieceCut,
} from '@larchwood/core';
import type { Hole } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';

interface Props {
  readonly piece: Piece;
  readonly cut: PieceCut;
  readonly drilled: DrilledPiece;
  readonly hole: Hole;
}

/** Tube that is shown beyond the outermost hole, to either side, mm. */
const BEYOND = 18;

/** The hole in hand as its wall shows it: with its bolts, the edges of the tube, and what is behind it dashed. */
export function HoleCloseUp({ piece, cut, drilled, hole }: Props) {
  const { document } = useEditor('document');
  const { units } = document;
  const bores = drilled.bores.filter((bore) => bore.hole === hole.id);
  const near = bores.filter(({ wall }) => wall === 'near');
  const [main] = near;
  if (!main) return null;
  const far = bores.find(({ wall }) => wall === 'far');
  const wide = widthSeen(piece, cut, main);
  const x = ({ fromStart }: Pick<Bore, 'fromStart'>): number => fromStart - main.fromStart;
  const reach = Math.max(...near.map((bore) => Math.abs(x(bore)) + bore.long / 2)) + BEYOND;
  const half = Math.max(wide / 2, ...near.map(({ off, diameter }) => Math.abs(off) + diameter / 2)) + 6;
  const say = (mm: number) => formatLength(mm, units, 1);
  const line = { stroke: 'var(--ink)', fill: 'none', vectorEffect: 'non-scaling-stroke' } as const;
  return (
    <figure className="px-4 pb-3">
      <svg
        viewBox={`${-reach} ${-half} ${2 * reach} ${2 * half}`}
        className="h-44 w-full max-w-2xl"
        role="img"
        aria-label={`${hole.name}, close up`}
      >
        <rect x={-reach} y={-wide / 2} width={2 * reach} height={wide} fill="var(--grid)" />
        {[-wide / 2, wide / 2].map((y) => (
          <path key={y} d={`M${-reach} ${y}H${reach}`} {...line} strokeWidth="1.5" />
        ))}
        <path
          d={`M${-reach} 0H${reach}M0 ${-half}V${half}`}
          {...line}
          stroke="var(--quiet)"
          strokeDasharray="8 3 2 3"
        />
        {hole.circle && (
          <circle
            cx={0}
            cy={main.off}
            r={hole.circle.diameter / 2}
            {...line}
            stroke="var(--quiet)"
            strokeDasharray="3 3"
          />
        )}
        {near.map((bore, index) => (
          <rect
            key={index}
            x={x(bore) - bore.long / 2}
            y={bore.off - bore.diameter / 2}
            width={bore.long}
            height={bore.diameter}
            rx={bore.diameter / 2}
            {...line}
            fill="var(--sheet)"
            stroke={index === 0 ? 'var(--larch)' : 'var(--ink)'}
            strokeWidth="2"
          />
        ))}
        {far && (
          <rect
            x={-far.long / 2}
            y={main.off - far.diameter / 2}
            width={far.long}
            height={far.diameter}
            rx={far.diameter / 2}
            {...line}
            stroke="var(--quiet)"
            strokeDasharray="5 4"
          />
        )}
      </svg>
      <figcaption className="text-[13px]">
        <b>{hole.name}</b>: {hole.slot === undefined ? 'Ø ' : ''}
        {say(hole.diameter)}
        {hole.slot !== undefined && ` × ${say(hole.slot)}`}
        {far && `; in the far wall ${say(far.diameter)}, dashed`}
        {hole.circle &&
          `; ${hole.circle.count} bolts of ${say(hole.circle.hole)} on a circle of ${say(hole.circle.diameter)}`}
        .
      </figcaption>
    </figure>
  );
}
