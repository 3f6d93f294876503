import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { X } from 'lucide-react';
import { dragPoint, findKind, VIEW_AXES, type Handle, type Held, type Kind } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { LetGo } from '../ledger/LetGo';
import { holdAll } from '../stations/stance/hold';
import type { Pixel, View } from './view';

interface Grip {
  readonly handle: Handle;
  readonly view: View;
  /** What was held, and where the pointer took hold of the point, px. */
  readonly held: Held;
  readonly off: Pixel;
}
/** Why a pulled point stays, or went no further. */
interface Resisting {
  readonly handle: Handle;
  readonly pin?: string | undefined;
  readonly said?: string;
}

/** Points of the drawing that can be dragged, or nudged with the arrow keys. What is held gives way where it may, else says so. */
export function Handles({ view }: { readonly view: View }) {
  const { document, plan, edit, settle } = useEditor();
  const [resisting, setResisting] = useState<Resisting>();
  const grip = useRef<Grip>(undefined);
  const waiting = useRef<Pixel>(undefined);
  const kind = findKind(document.kind);
  if (!plan || !kind) return null;
  const near = document.stance.near ?? {};

  const pull = (handle: Handle, held: Held, target: Pixel, from: View) => {
    const drag = dragPoint(kind, held, near, {
      point: handle.point,
      moves: handle.moves,
      view: from.name,
      target,
    });
    if (!drag.gives) return setResisting({ handle, pin: drag.pin });
    setResisting(drag.stopped === undefined ? undefined : { handle, said: drag.stopped });
    edit(`drag.${handle.point}`, holdAll(drag.held));
  };
  const follow = () => {
    const [at, g] = [waiting.current, grip.current];
    waiting.current = undefined;
    if (at && g) pull(g.handle, g.held, g.view.back([at[0] - g.off[0], at[1] - g.off[1]]), g.view);
  };
  const take = (event: PointerEvent<HTMLButtonElement>, handle: Handle, at: Pixel) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    const [x, y] = onSheet(event);
    grip.current = { handle, view, held: plan.stance.held, off: [x - at[0], y - at[1]] };
    setResisting(undefined);
  };
  const move = (event: PointerEvent<HTMLButtonElement>) => {
    if (!grip.current) return;
    // Several moves may come before the next frame: only the last one is worked out.
    if (!waiting.current) requestAnimationFrame(follow);
    waiting.current = onSheet(event);
  };
  const letGo = () => {
    if (!grip.current) return;
    if (waiting.current) follow();
    grip.current = undefined;
    settle();
  };
  const nudge = (event: KeyboardEvent, handle: Handle) => {
    const step = STEPS[event.key];
    const point = plan.stance.points[handle.point];
    if (!step || !point) return;
    event.preventDefault();
    const by = event.shiftKey ? 10 : 1;
    const [across, up] = VIEW_AXES[view.name];
    pull(handle, plan.stance.held, [point[across] + step[0] * by, point[up] + step[1] * by], view);
  };

  return (
    <>
      {kind.handles
        .filter(({ views }) => views.includes(view.name))
        .map((handle) => {
          const point = plan.stance.points[handle.point];
          if (!point) return null;
          const at = view.at(point);
          return (
            <button
              key={handle.point}
              type="button"
              aria-label={`Drag ${handle.name.toLowerCase()}`}
              title={`${handle.name}: drag, or nudge with the arrow keys`}
              className="group absolute flex size-[26px] -translate-x-1/2 -translate-y-1/2 cursor-grab touch-none items-center justify-center active:cursor-grabbing"
              style={{ left: at[0], top: at[1] }}
              onPointerDown={(event) => take(event, handle, at)}
              onPointerMove={move}
              onPointerUp={letGo}
              onPointerCancel={letGo}
              onKeyDown={(event) => nudge(event, handle)}
              onBlur={settle}
            >
              <span className="size-2.5 rotate-45 border-[1.5px] border-larch bg-sheet group-hover:size-3.5 group-hover:bg-larch-wash" />
            </button>
          );
        })}
      {resisting && (
        <Resistance
          key={resisting.handle.point}
          {...resisting}
          kind={kind}
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

/** Where the pointer is on the sheet, px. */
function onSheet(event: PointerEvent<HTMLElement>): Pixel {
  const sheet = event.currentTarget.parentElement!.getBoundingClientRect();
  return [event.clientX - sheet.left, event.clientY - sheet.top];
}

const WIDE = 380;

/** Says at the point why it stays; and, where holding another dimension would free it, offers that. */
function Resistance({
  handle,
  pin,
  said,
  kind,
  view,
  onDone,
}: Resisting & { readonly kind: Kind; readonly view: View; readonly onDone: () => void }) {
  const { plan } = useEditor();
  const point = plan?.stance.points[handle.point];
  const dimension = kind.dimensions.find(({ id }) => id === pin);
  const value = dimension && plan?.stance.values[dimension.id];
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
      {dimension && value !== undefined && <LetGo dimension={dimension} value={value} onDone={onDone} />}
    </div>
  );
}
