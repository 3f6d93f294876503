import { memo } from 'react';
import {
  findKind,
  type Kind,
  type OutlineLine,
  type Piece,
  type Plan,
  type Points,
  type StandingWheel,
  centreLine,
} from '@larchwood/core';
import { FrameDrawing } from './FrameDrawing';
import { pathOf, tenth } from './path';
import type { View } from './view';
import { wheelOutline } from './wheelOutline';

interface Props {
  readonly plan: Plan;
  readonly view: View;
  /** While it is dragged, chain lines are plain ones: dashes take long to draw. */
  readonly moving?: boolean;
  readonly selected?: readonly string[];
  readonly onSelect?: (piece: string, more: boolean) => void;
  readonly zones?: boolean;
}

/** Wheels, fork, seat and floor; and the cut tubes where there are some, else the lines they will follow. */
export function Vehicle({ plan, view, moving = false, selected, onSelect, zones = false }: Props) {
  const kind = findKind(plan.kind);
  const framed = plan.frame.pieces.length > 0;
  return (
    <g stroke="var(--ink)" strokeLinejoin="round">
      <Wheels wheels={plan.stance.standing} view={view} />
      {kind?.outline
        .filter((line) => !framed || isBeside(line))
        .map((line) => (
          <Line
            key={`${line.from} ${line.to} ${line.as}`}
            line={line}
            points={plan.stance.points}
            view={view}
            moving={moving}
          />
        ))}
      {framed && (
        <FrameDrawing
          plan={plan}
          view={view}
          moving={moving}
          zones={zones}
          {...(selected === undefined ? {} : { selected })}
          onSelect={onSelect}
        />
      )}
    </g>
  );
}

/** Lines that no tube takes the place of. */
const isBeside = ({ as, stays }: OutlineLine): boolean =>
  stays === true || as === 'fork' || as === 'axis' || as === 'seat' || as === 'axle';

interface GhostProps {
  readonly kind: Kind | undefined;
  readonly points: Points;
  readonly wheels: readonly StandingWheel[];
  readonly pieces?: readonly Piece[];
  readonly view: View;
  readonly colour: string;
  readonly dashes?: string;
}

/** Another revision, another build, or the same one at another height: thin and dashed, behind the one in hand. */
export const Ghost = memo(function Ghost({
  kind,
  points,
  wheels,
  pieces = NO_PIECES,
  view,
  colour,
  dashes = '5 4',
}: GhostProps) {
  const shown = view.name === 'side' ? pieces.filter((piece) => piece.side !== 'left') : pieces;
  return (
    <g fill="none" stroke={colour} strokeDasharray={dashes} strokeLinecap="round" strokeWidth="1.1">
      {wheels.map((wheel) => (
        <path key={wheel.id} d={wheelPath(wheel, view)} />
      ))}
      {shown.map((piece) => (
        <path key={piece.id} d={pathOf(centreLine(piece, view), false)} />
      ))}
      {kind?.outline
        .filter((line) => shown.length === 0 || isBeside(line))
        .map(({ from, to, as }) => {
          const [a, b] = [points[from], points[to]];
          if (!a || !b || as === 'axis') return null;
          const [[ax, ay], [bx, by]] = [view.at(a), view.at(b)];
          return <line key={`${from} ${to}`} x1={ax} y1={ay} x2={bx} y2={by} />;
        })}
    </g>
  );
});
const NO_PIECES: readonly Piece[] = [];

/** ISO 128: the chain line of an axis. */
const CHAIN = '12 3 2 3';

function Wheels({ wheels, view }: { readonly wheels: readonly StandingWheel[]; readonly view: View }) {
  return [...wheels]
    .sort((a, b) => nearness(a, view) - nearness(b, view))
    .map((wheel) => {
      const [x, y] = view.at(wheel.centre);
      return (
        <g key={wheel.id} fill="none">
          <path
            d={wheelPath(wheel, view)}
            strokeWidth="1.5"
            fill={view.name === 'side' ? 'none' : 'var(--paper)'}
          />
          {view.name === 'side' && (
            <circle
              cx={x}
              cy={y}
              r={Math.max(1, (wheel.radius - Math.min(wheel.width, wheel.radius * 0.45)) * view.scale)}
              strokeWidth="0.9"
            />
          )}
          <path d={`M${x - 6} ${y}H${x + 6}M${x} ${y - 6}V${y + 6}`} strokeWidth="0.9" />
        </g>
      );
    });
}

/** How near a wheel is to the eye: the nearest is drawn last. */
const nearness = ({ centre: [x, y, z] }: StandingWheel, { name }: View): number =>
  name === 'side' ? -y : name === 'plan' ? z : x;

/** A wheel's outline as a path: a circle where it is seen square on. */
function wheelPath(wheel: StandingWheel, view: View): string {
  if (view.name !== 'side' || Math.abs(wheel.spindle[1]) < 0.9999) return pathOf(wheelOutline(wheel, view));
  const [[x, y], r] = [view.at(wheel.centre), tenth(wheel.radius * view.scale)];
  return `M${tenth(x) - r} ${tenth(y)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
}

/** Half widths of drawn parts, mm. */
const PART = 16;
const FORK = { thick: 14, thin: 7 };

function Line({
  line,
  points,
  view,
  moving,
}: {
  readonly line: OutlineLine;
  readonly points: Points;
  readonly view: View;
  readonly moving: boolean;
}) {
  const [a, b] = [points[line.from], points[line.to]];
  if (!a || !b) return null;
  const [[ax, ay], [bx, by]] = [view.at(a), view.at(b)];
  const size = Math.hypot(bx - ax, by - ay);
  if (size < 1) return null;
  const d = `M${ax} ${ay}L${bx} ${by}`;
  const [nx, ny] = [-(by - ay) / size, (bx - ax) / size];
  if (line.as === 'fork') {
    const [w, v] = [FORK.thick * view.scale, FORK.thin * view.scale];
    return (
      <path
        d={`M${ax + nx * w} ${ay + ny * w}L${bx + nx * v} ${by + ny * v}L${bx - nx * v} ${by - ny * v}L${ax - nx * w} ${ay - ny * w}Z`}
        fill="var(--paper)"
        strokeWidth="1"
        stroke="var(--quiet)"
      />
    );
  }
  if (line.as === 'axis') {
    const on = 40 / size;
    return (
      <path
        d={`M${ax} ${ay}L${bx + (bx - ax) * on} ${by + (by - ay) * on}`}
        stroke="var(--larch)"
        strokeWidth="1.1"
        strokeDasharray={moving ? undefined : '14 4 3 4'}
      />
    );
  }
  if (line.as === 'part') {
    const w = PART * view.scale;
    return (
      <path
        d={`M${ax + nx * w} ${ay + ny * w}L${bx + nx * w} ${by + ny * w}L${bx - nx * w} ${by - ny * w}L${ax - nx * w} ${ay - ny * w}Z`}
        fill="var(--sheet)"
        strokeWidth="1.2"
      />
    );
  }
  if (line.as === 'seat') return <path d={d} stroke="var(--steel)" strokeWidth="3.5" strokeLinecap="round" />;
  if (line.as === 'axle')
    return <path d={d} stroke="var(--quiet)" strokeWidth="1" strokeDasharray={moving ? undefined : CHAIN} />;
  return <path d={d} strokeWidth="2.2" strokeLinecap="round" />;
}
