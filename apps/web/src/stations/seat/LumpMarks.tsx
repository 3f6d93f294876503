import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { lumpAt, VIEW_AXES, type Lump, type Plan } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { SheetLayer } from '../../sheet/SheetLayer';
import type { Pixel, View } from '../../sheet/view';
import { setLump } from './changes';

const STEP: Readonly<Record<string, Pixel>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Placed masses on the drawing, as large as they weigh; each can be dragged, or nudged with the arrow keys. */
export function LumpMarks({ plan, view }: { readonly plan: Plan; readonly view: View }) {
  const { document, edit, settle, setDragging, piece, setPiece } = useEditor();
  const grip = useRef<{ readonly lump: Lump; readonly from: Pixel; readonly offset: Lump['offset'] }>(
    undefined,
  );
  // Another view in the middle of a drag ends it.
  useEffect(
    () => () => {
      setDragging(false);
      settle();
    },
    [setDragging, settle],
  );
  const [across, up] = VIEW_AXES[view.name];
  const moveBy = (lump: Lump, offset: Lump['offset'], [dx, dy]: Pixel) => {
    const next = [...offset] as Lump['offset'];
    next[across] = Math.round(offset[across]! + dx);
    next[up] = Math.round(offset[up]! + dy);
    edit(`mass.${lump.id}.drag`, setLump(lump.id, { offset: next }));
  };
  const take = (event: PointerEvent<HTMLButtonElement>, lump: Lump) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    grip.current = { lump, from: [event.clientX, event.clientY], offset: lump.offset };
    setPiece(`lump/${lump.id}`);
    setDragging(true);
  };
  const move = (event: PointerEvent) => {
    if (!grip.current) return;
    const { lump, from, offset } = grip.current;
    moveBy(lump, offset, [(event.clientX - from[0]) / view.scale, (from[1] - event.clientY) / view.scale]);
  };
  const letGo = () => {
    if (!grip.current) return;
    grip.current = undefined;
    setDragging(false);
    settle();
  };
  const nudge = (event: KeyboardEvent, lump: Lump) => {
    const step = STEP[event.key];
    if (!step) return;
    event.preventDefault();
    const by = event.shiftKey ? 10 : 1;
    moveBy(lump, lump.offset, [step[0] * by, step[1] * by]);
  };
  const boxes = document.mass.lumps.flatMap((lump) => (lump.box ? [{ ...lump, box: lump.box }] : []));
  const marks = document.mass.lumps.map((lump) => {
    const [x, y] = view.at(lumpAt(lump, plan.stance).at);
    const size = 14 + 5 * Math.cbrt(lump.mass);
    const open = piece === `lump/${lump.id}`;
    return (
      <button
        key={lump.id}
        type="button"
        aria-label={`Drag ${lump.name}`}
        title={`${lump.name}, ${lump.mass} kg: drag, or nudge with the arrow keys`}
        className={`absolute top-0 left-0 flex cursor-grab touch-none items-center justify-center border-[1.5px] active:cursor-grabbing ${open ? 'z-10 border-larch bg-larch-wash' : 'border-ink bg-sheet/80 hover:bg-larch-wash'}`}
        style={{
          width: size,
          height: size,
          transform: `translate(${(x - size / 2).toFixed(1)}px, ${(y - size / 2).toFixed(1)}px)`,
        }}
        onPointerDown={(event) => take(event, lump)}
        onPointerMove={move}
        onPointerUp={letGo}
        onPointerCancel={letGo}
        onLostPointerCapture={letGo}
        onKeyDown={(event) => nudge(event, lump)}
        onBlur={settle}
      >
        {open && (
          <span className="pointer-events-none absolute top-full mt-0.5 border border-larch bg-sheet px-1 text-[12px] whitespace-nowrap">
            {lump.name}
          </span>
        )}
      </button>
    );
  });
  return (
    <>
      <SheetLayer view={view}>
        {boxes.map(({ id, box, ...lump }) => {
          const [x, y] = view.at(lumpAt({ id, ...lump }, plan.stance).at);
          const [wide, high] = [box[across]! * view.scale, box[up]! * view.scale];
          return (
            <rect
              key={id}
              x={x - wide / 2}
              y={y - high / 2}
              width={wide}
              height={high}
              fill="none"
              stroke="var(--ink)"
              strokeDasharray="3 3"
            />
          );
        })}
      </SheetLayer>
      {marks}
    </>
  );
}
