import { turnOf, type Plan, type SteeringStep, type Vector } from '@larchwood/core';
import type { View } from '../../sheet/view';

/** Farther off than this, mm, the centre is not drawn to. */
const FAR = 40_000;

/** Perpendiculars of the wheels on the rear axle's line, the centre that the vehicle turns about, and its circles; in plan. */
export function TurnLines({
  plan,
  step,
  view,
  corners,
}: {
  readonly plan: Plan;
  readonly step: SteeringStep;
  readonly view: View;
  /** What a wall must clear, mm; left out, it is not shown. */
  readonly corners?: readonly Vector[];
}) {
  const { centre, wheels, kerb } = turnOf(plan.stance.steered, step);
  if (centre === undefined || Math.abs(centre) > FAR) return null;
  const [cx, cy] = view.at([0, centre, 0]);
  const wall = corners && Math.max(kerb ?? 0, ...corners.map(([x, y]) => Math.hypot(x, y - centre)));
  const line = (from: Vector, to: Vector) => {
    const [[ax, ay], [bx, by]] = [view.at(from), view.at(to)];
    return `M${ax.toFixed(1)} ${ay.toFixed(1)}L${bx.toFixed(1)} ${by.toFixed(1)}`;
  };
  return (
    <g fill="none" stroke="var(--quiet)">
      {/* The rear axle's line, carried on to the centre. */}
      <path d={line([0, 0, 0], [0, centre, 0])} strokeWidth="1" strokeDasharray="12 3 2 3" />
      {wheels.map(({ id, contact, centre: own }) =>
        own === undefined || Math.abs(own) > FAR ? null : (
          <g key={id}>
            <path
              d={line(contact, [0, own, 0])}
              stroke="var(--larch)"
              strokeWidth="1.2"
              strokeDasharray="6 3"
            />
            <circle
              cx={view.at([0, own, 0])[0]}
              cy={view.at([0, own, 0])[1]}
              r="3"
              fill="var(--larch)"
              stroke="none"
            />
          </g>
        ),
      )}
      {kerb !== undefined && <circle cx={cx} cy={cy} r={kerb * view.scale} strokeWidth="1" />}
      {wall !== undefined && (
        <circle cx={cx} cy={cy} r={wall * view.scale} strokeWidth="1" strokeDasharray="2 3" />
      )}
      <path
        d={`M${cx - 8} ${cy}H${cx + 8}M${cx} ${cy - 8}V${cy + 8}`}
        stroke="var(--ink)"
        strokeWidth="1.6"
      />
    </g>
  );
}
