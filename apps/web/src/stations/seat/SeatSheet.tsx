import { useMemo, type ReactNode } from 'react';
import { wheelsIn, type Kind, type Laden, type Plan, type ViewName } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { useOther } from '../../ledger/useOther';
import { DimensionLayer } from '../../handles/DimensionLayer';
import { Handles } from '../../handles/Handles';
import { placesOf } from '../../sheet/places';
import { Riders } from '../../sheet/Riders';
import { otherGhost } from '../../sheet/OtherGhost';
import { Sheet } from '../../sheet/Sheet';
import { SheetLayer } from '../../sheet/SheetLayer';
import { Vehicle } from '../../sheet/Vehicle';
import { vehicleExtent, type View } from '../../sheet/view';
import { seatSideOf, withSeats } from '../../sheet/withSeats';
import { useMotion } from './motion';

const TITLES: Readonly<Record<ViewName, string>> = {
  side: 'Seat, from the right',
  plan: 'Seat, from above',
  front: 'Seat, from ahead',
};

/** The vehicle with its riders; with the seat's dimensions and handles where `live`. */
export function SeatSheet({
  plan,
  kind,
  view: name,
  live = false,
  over,
}: {
  readonly plan: Plan;
  readonly kind: Kind;
  readonly view: ViewName;
  readonly live?: boolean;
  /** Drawn over it, and fields that stand on it. */
  readonly over?: (view: View) => ReactNode;
}) {
  const { dragging } = useEditor('dragging');
  const { pose, gap } = useMotion();
  const seatKind = useMemo(() => seatSideOf(kind), [kind]);
  const seated = useMemo(() => withSeats(plan), [plan]);
  const standing = useMemo(() => wheelsIn(plan, kind, pose), [plan, kind, pose]);
  const posed = useMemo(() => ({ ...seated, stance: { ...seated.stance, standing } }), [seated, standing]);
  const compared = useOther(plan, kind);
  const other = live ? compared : undefined;
  return (
    <Sheet
      plan={seated}
      view={name}
      extent={vehicleExtent(seated, name)}
      title={TITLES[name]}
      note={other ? `dashed: ${other.label}` : undefined}
      behind={otherGhost(other)}
      drawing={(view) => (
        <>
          <Vehicle plan={posed} view={view} moving={dragging} />
          <Riders places={placesOf(plan)} motion={pose} view={view} />
          <CentreOfGravity laden={plan.mass.laden} view={view} />
        </>
      )}
      overlay={(view) => (
        <>
          {live && <DimensionLayer kind={seatKind} plan={seated} view={view} />}
          {live && <Handles key={view.name} view={view} kind={seatKind} plan={seated} />}
          {gap && (
            <SheetLayer view={view}>
              <GapMark at={view.at(gap.at)} />
            </SheetLayer>
          )}
          {over?.(view)}
        </>
      )}
    />
  );
}

/** Where the weight acts, riders aboard: a quartered disc, as on engineers' drawings. */
export function CentreOfGravity({ laden, view }: { readonly laden: Laden; readonly view: View }) {
  if (!(laden.mass > 0)) return null;
  const [x, y] = view.at(laden.at);
  const r = 9;
  return (
    <g stroke="var(--ink)" strokeWidth="1.4">
      <title>Centre of gravity, riders aboard</title>
      <circle cx={x} cy={y} r={r} fill="var(--sheet)" />
      <path
        d={`M${x} ${y}V${y - r}A${r} ${r} 0 0 1 ${x + r} ${y}ZM${x} ${y}V${y + r}A${r} ${r} 0 0 1 ${x - r} ${y}Z`}
        fill="var(--ink)"
        stroke="none"
      />
    </g>
  );
}

function GapMark({ at: [x, y] }: { readonly at: readonly [number, number] }) {
  return (
    <g fill="none" stroke="var(--brick)">
      <circle cx={x} cy={y} r="15" strokeWidth="2.500" />
      <path
        d={`M${x - 26} ${y}H${x - 15}M${x + 15} ${y}H${x + 26}M${x} ${y - 26}V${y - 15}M${x} ${y + 15}V${y + 26}`}
        strokeWidth="1.500"
      />
    </g>
  );
}
