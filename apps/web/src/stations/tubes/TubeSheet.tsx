import { useMemo, type PointerEvent } from 'react';
import { placeOf, type Plan, type ViewName } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { otherGhost } from '../../sheet/OtherGhost';
import { Sheet } from '../../sheet/Sheet';
import { Vehicle } from '../../sheet/Vehicle';
import { frameExtent, type View } from '../../sheet/view';
import { Balloons } from './Balloons';
import { NodeHandles } from './NodeHandles';
import { spotAt } from '../../space/spots';
import { useTools } from '../../space/tools';

const TITLES: Readonly<Record<ViewName, string>> = {
  side: 'Tubes, from the right',
  plan: 'Tubes, from above',
  front: 'Tubes, from ahead',
};

/** The frame on the builder's sheet: picked, added to and moved where it stands. */
export function TubeSheet({ plan, view: name }: { readonly plan: Plan; readonly view: ViewName }) {
  const { compared } = useEditor('compared');
  const { tool, picked, pick, begun, place } = useTools();
  const adding = tool === 'tube';
  const behind = useMemo(() => otherGhost(compared), [compared]);
  const press = (view: View) => (event: PointerEvent<SVGElement>) => {
    if (!adding) return;
    // The sheet's own corner: what is drawn past its edge widens the box of what was pressed.
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const spot = spotAt(plan.frame, view, [event.clientX - box.left, event.clientY - box.top]);
    if (spot) place(spot);
  };
  const { left, right, bottom, top } = frameExtent(plan, name);
  const extent = useMemo(() => ({ left, right, bottom, top }), [left, right, bottom, top]);
  return (
    <Sheet
      plan={plan}
      title={TITLES[name]}
      view={name}
      extent={extent}
      behind={behind}
      drawing={(view) => (
        <g onPointerDown={press(view)} className={adding ? 'cursor-crosshair' : ''}>
          <rect
            width={view.width}
            height={view.height}
            fill="transparent"
            onClick={() => !adding && pick(undefined)}
          />
          <Vehicle
            plan={plan}
            view={view}
            selected={picked}
            zones
            {...(adding ? {} : { onSelect: (piece: string, more: boolean) => pick(piece, more) })}
          />
          {!adding && <Balloons plan={plan} view={view} selected={picked} onSelect={pick} />}
          {!adding && picked[0] !== undefined && (
            <NodeHandles plan={plan} view={view} reference={picked[0]} />
          )}
          {adding && begun && <Begun plan={plan} view={view} />}
        </g>
      )}
    />
  );
}

function Begun({ plan, view }: { readonly plan: Plan; readonly view: View }) {
  const { begun } = useTools();
  const at = begun && placeOf(plan.frame, begun);
  if (!at) return null;
  const [x, y] = view.at(at);
  return (
    <circle
      cx={x}
      cy={y}
      r="6"
      fill="var(--larch)"
      stroke="var(--sheet)"
      strokeWidth="2"
      pointerEvents="none"
    />
  );
}
