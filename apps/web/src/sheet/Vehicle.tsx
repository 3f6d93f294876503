import type { Piece, Plan } from '@larchwood/core';
import { memberOf } from '../editor/editor';
import { isEndOn, pathOf, pieceOutline } from './outline';
import type { View } from './view';

interface Props {
  readonly plan: Plan;
  readonly view: View;
  readonly selected?: string | undefined;
  readonly onSelect?: (piece: string) => void;
  /** Thin and dashed, for another revision behind this one. */
  readonly ghost?: boolean;
}

/** Wheels, fork and cut tubes, seen from the right. */
export function Vehicle({ plan, view, selected, onSelect, ghost = false }: Props) {
  if (ghost) {
    return (
      <g fill="none" stroke="var(--larch)" strokeDasharray="5 4" strokeWidth="1">
        <Wheels plan={plan} view={view} tyreOnly />
        {shown(plan).map(({ piece }) => (
          <line
            key={piece.id}
            x1={view.x(piece.start[0])}
            y1={view.y(piece.start[2])}
            x2={view.x(piece.end[0])}
            y2={view.y(piece.end[2])}
          />
        ))}
      </g>
    );
  }
  return (
    <g stroke="var(--ink)" strokeLinejoin="round">
      <Wheels plan={plan} view={view} />
      <Fork plan={plan} view={view} />
      {plan.frame.plates
        .filter((plate) => !plate.id.endsWith(':left'))
        .map(({ id, plate, at }) => (
          <path
            key={id}
            d={pathOf(plate.outline.map(([x, z]) => view.at([at[0] + x, 0, at[2] + z])))}
            fill="var(--paper)"
            strokeWidth="1.25"
          />
        ))}
      {shown(plan).map(({ piece, cut }) => {
        const lit = piece.member.id === memberOf(selected);
        const common = {
          fill: lit ? 'var(--larch-wash)' : 'var(--sheet)',
          stroke: lit ? 'var(--larch)' : 'var(--ink)',
          strokeWidth: lit ? 2 : 1.4,
          className: onSelect ? 'cursor-pointer' : '',
          onClick: onSelect ? () => onSelect(piece.id) : undefined,
        };
        if (!cut || isEndOn(piece)) {
          return (
            <circle
              key={piece.id}
              cx={view.x(piece.start[0])}
              cy={view.y(piece.start[2])}
              r={(piece.section.diameter / 2) * view.scale}
              {...common}
            />
          );
        }
        return (
          <g key={piece.id}>
            <path d={pathOf(pieceOutline(cut, view))} {...common} />
            <line
              x1={view.x(piece.start[0])}
              y1={view.y(piece.start[2])}
              x2={view.x(piece.end[0])}
              y2={view.y(piece.end[2])}
              stroke="var(--quiet)"
              strokeWidth="0.8"
              strokeDasharray="12 3 2 3"
              pointerEvents="none"
            />
          </g>
        );
      })}
    </g>
  );
}

/** Pieces that show from the right, the middle ones first; a left twin hides behind its right one. */
function shown(plan: Plan): { piece: Piece; cut: Plan['cuts'][number] | undefined }[] {
  const order = (piece: Piece) => (isEndOn(piece) ? 2 : piece.side === 'right' ? 1 : 0);
  return plan.frame.pieces
    .filter((piece) => piece.side !== 'left')
    .sort((a, b) => order(a) - order(b))
    .map((piece) => ({ piece, cut: plan.cuts.find((cut) => cut.piece === piece.id) }));
}

function Wheels({
  plan,
  view,
  tyreOnly = false,
}: {
  readonly plan: Plan;
  readonly view: View;
  readonly tyreOnly?: boolean;
}) {
  const { points, wheels } = plan.stance;
  return [['rearAxle', wheels.rear] as const, ['frontAxle', wheels.front] as const].map(([name, wheel]) => {
    const axle = points[name];
    if (!axle) return null;
    const [x, y] = view.at(axle);
    const radius = wheel.radius * view.scale;
    if (tyreOnly) return <circle key={name} cx={x} cy={y} r={radius} />;
    return (
      <g key={name} fill="none">
        <circle cx={x} cy={y} r={radius} strokeWidth="1.5" />
        <circle cx={x} cy={y} r={Math.max(1, radius - wheel.width * view.scale)} strokeWidth="0.9" />
        <path d={`M${x - 6} ${y}H${x + 6}M${x} ${y - 6}V${y + 6}`} strokeWidth="0.9" />
      </g>
    );
  });
}

/** The fork's blade from crown to axle, the steering axis through it to the ground. */
function Fork({ plan, view }: { readonly plan: Plan; readonly view: View }) {
  const { crown, frontAxle, axisGround, headTubeLower, headTubeUpper } = plan.stance.points;
  if (!crown || !frontAxle || !axisGround || !headTubeUpper || !headTubeLower) return null;
  const [cx, cy] = view.at(crown);
  const [ax, ay] = view.at(frontAxle);
  const [gx, gy] = view.at(axisGround);
  const [lx, ly] = view.at(headTubeLower);
  const [ux, uy] = view.at(headTubeUpper);
  const reach = 40 / Math.hypot(ux - gx, uy - gy);
  const across = [
    -(ay - cy) / Math.hypot(ax - cx, ay - cy),
    (ax - cx) / Math.hypot(ax - cx, ay - cy),
  ] as const;
  const wide = 14 * view.scale;
  const thin = 7 * view.scale;
  return (
    <g>
      <path
        d={`M${cx + across[0] * wide} ${cy + across[1] * wide}L${ax + across[0] * thin} ${ay + across[1] * thin}L${ax - across[0] * thin} ${ay - across[1] * thin}L${cx - across[0] * wide} ${cy - across[1] * wide}Z`}
        fill="var(--paper)"
        strokeWidth="1"
        stroke="var(--quiet)"
      />
      <path d={`M${cx} ${cy}L${lx} ${ly}`} strokeWidth={18 * view.scale} stroke="var(--rule)" />
      <path
        d={`M${gx} ${gy}L${ux + (ux - gx) * reach} ${uy + (uy - gy) * reach}`}
        stroke="var(--larch)"
        strokeWidth="1.1"
        strokeDasharray="14 4 3 4"
      />
    </g>
  );
}
