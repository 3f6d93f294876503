import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { X } from 'lucide-react';
import {
  nameInText,
  pullTo,
  takeHold,
  VIEW_AXES,
  type Handle,
  type Hold,
  type Kind,
  type Plan,
} from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { LetGo } from '../ledger/LetGo';
import { holdAll } from '../edits/stance';
import { GRIP, placeGrips } from '../sheet/place';
import { SheetLayer } from '../sheet/SheetLayer';
import type { Pixel, View } from '../sheet/view';

interface Grip {
  readonly handle: Handle;
  readonly view: View;
  readonly hold: Hold;
  /** Where the sheet is, and where the pointer took hold of the point, px. */
  readonly sheet: Pixel;
  readonly off: Pixel;
}
/** Why a pulled point stays, or went no further. */
interface Resisting {
  readonly handle: Handle;
  readonly pin?: string | undefined;
  readonly said?: string;
}

/** Points of the drawing that can be dragged, or nudged with the arrow keys. What is held gives way where it may, else says so. */
export function Handles({
  view,
  kind,
  plan,
}: {
  readonly view: View;
  readonly kind: Kind;
  readonly plan: Plan;
}) {
  const { document, edit, settle, setDragging } = useEditor('document', 'edit', 'settle', 'setDragging');
  const [resisting, setResisting] = useState<Resisting>();
  const grip = useRef<Grip>(undefined);
  const waiting = useRef<Pixel>(undefined);
  // Another view or station in the middle of a drag ends it.
  useEffect(
    () => () => {
      setDragging(false);
      settle();
    },
    [setDragging, settle],
  );
  const near = document.stance.near ?? {};
  const grips = placeGrips(kind.handles, plan, view);

  const holdOf = ({ point, moves }: Handle) =>
    takeHold(kind, plan.stance.held, near, { point, moves, view: view.name });
  const pull = (handle: Handle, hold: Hold, target: Pixel) => {
    const drag = pullTo(hold, target);
    if (!drag.gives) return setResisting({ handle, pin: drag.pin });
    setResisting(drag.stopped === undefined ? undefined : { handle, said: drag.stopped });
    edit(`drag.${handle.point}`, holdAll(drag.held));
  };
  const follow = () => {
    const [at, g] = [waiting.current, grip.current];
    waiting.current = undefined;
    if (at && g) pull(g.handle, g.hold, g.view.back([at[0] - g.off[0], at[1] - g.off[1]]));
  };
  const take = (event: PointerEvent<HTMLButtonElement>, handle: Handle, at: Pixel) => {
    const hold = holdOf(handle);
    if (!hold) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    const { left, top } = event.currentTarget.parentElement!.getBoundingClientRect();
    const off: Pixel = [event.clientX - left - at[0], event.clientY - top - at[1]];
    grip.current = { handle, view, hold, sheet: [left, top], off };
    setDragging(true);
    setResisting(undefined);
  };
  const move = (event: PointerEvent<HTMLButtonElement>) => {
    if (!grip.current) return;
    // Several moves may come before the next frame: only the last one is worked out.
    if (!waiting.current) requestAnimationFrame(follow);
    const [left, top] = grip.current.sheet;
    waiting.current = [event.clientX - left, event.clientY - top];
  };
  const letGo = () => {
    if (!grip.current) return;
    if (waiting.current) follow();
    grip.current = undefined;
    setDragging(false);
    settle();
  };
  const nudge = (event: KeyboardEvent, handle: Handle) => {
    const step = STEPS[event.key];
    const point = plan.stance.points[handle.point];
    if (!step || !point) return;
    event.preventDefault();
    const by = event.shiftKey ? 10 : 1;
    const [across, up] = VIEW_AXES[view.name];
    const hold = holdOf(handle);
    if (hold) pull(handle, hold, [point[across] + step[0] * by, point[up] + step[1] * by]);
  };

  return (
    <>
      <SheetLayer view={view}>
        <path
          d={grips.map(({ at, grip: [x, y] }) => `M${at[0]} ${at[1]}L${x} ${y}`).join('')}
          stroke="var(--larch)"
          strokeDasharray="2 2"
        />
      </SheetLayer>
      {grips.map(({ handle, at, grip: [x, y] }) => (
        <button
          key={handle.point}
          type="button"
          aria-label={`Drag ${nameInText(handle.name)}`}
          title={`${handle.name}: drag, or nudge with the arrow keys`}
          className="group absolute top-0 left-0 flex size-[26px] cursor-grab touch-none items-center justify-center active:cursor-grabbing"
          style={{ transform: `translate(${(x - GRIP / 2).toFixed(1)}px, ${(y - GRIP / 2).toFixed(1)}px)` }}
          onPointerDown={(event) => take(event, handle, at)}
          onPointerMove={move}
          onPointerUp={letGo}
          onPointerCancel={letGo}
          onLostPointerCapture={letGo}
          onKeyDown={(event) => nudge(event, handle)}
          onBlur={settle}
        >
          <span className="size-2.5 rotate-45 border-[1.5px] border-larch bg-sheet group-hover:size-3.5 group-hover:bg-larch-wash" />
        </button>
      ))}
      {resisting && (
        <Resistance
          key={resisting.handle.point}
          {...resisting}
          kind={kind}
          plan={plan}
          view={view}
          onDone={() => setResisting(undefined)}
        />
      )}
    </>
  );
}

const STEPS: Readonly<Record<string, Pixel>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

const WIDE = 380;

/** Says at the point why it stays; and, where holding another dimension would free it, offers that. */
function Resistance({
  handle,
  pin,
  said,
  kind,
  plan,
  view,
  onDone,
}: Resisting & {
  readonly kind: Kind;
  readonly plan: Plan;
  readonly view: View;
  readonly onDone: () => void;
}) {
  const point = plan.stance.points[handle.point];
  const dimension = kind.dimensions.find(({ id }) => id === pin);
  if (!point) return null;
  const [x, y] = view.at(point);
  const left = Math.max(8, Math.min(x + 18, view.width - WIDE - 8));
  return (
    <div
      role="status"
      className="absolute z-30 border border-ink bg-sheet p-4"
      style={{
        left,
        width: WIDE,
        ...(y > view.height / 2 ? { bottom: view.height - y + 18 } : { top: y + 18 }),
      }}
    >
      <div className="mb-2 flex items-start justify-between gap-3">
        <p>
          {said ??
            (dimension
              ? `${handle.name} stays: ${dimension.name} follows from what is held. Hold it, and it can be dragged.`
              : `${handle.name} stays: nothing that is held moves it this way.`)}
        </p>
        <button
          type="button"
          aria-label="Close"
          onClick={onDone}
          className="border border-transparent p-0.5 hover:border-rule"
        >
          <X size={15} aria-hidden />
        </button>
      </div>
      {dimension && <LetGo dimension={dimension} onDone={onDone} />}
    </div>
  );
}
