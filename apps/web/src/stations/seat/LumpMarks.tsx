import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import { formatMass, lumpAt, VIEW_AXES, type Plan } from '@larchwood/core';
import type { Lump } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { SheetLayer } from '../../sheet/SheetLayer';
import type { Pixel, View } from '../../sheet/view';
import { setLump } from '../../edits/seat';

const STEP: Readonly<Record<string, Pixel>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** Least size of a mark, and how far marks with their names keep from each other, px. */
const LEAST = 24;
const NAME = 17;

interface Spot {
  readonly lump: Lump;
  /** Where the mass is. */
  readonly at: Pixel;
  /** Where its mark stands: the same pixel, or beside it where marks lay on each other. */
  readonly beside: Pixel;
  readonly size: number;
}

/** Marks that lie on each other are moved apart, the lighter one away from the heavier, with a line to where it is. */
function spread(wanted: readonly Omit<Spot, 'beside'>[]): readonly Spot[] {
  const placed: Spot[] = [];
  const heaviest = [...wanted].sort((a, b) => b.lump.mass - a.lump.mass);
  for (const spot of heaviest) {
    const free = ([x, y]: Pixel) =>
      placed.every((other) => {
        const [px, py] = other.beside;
        const across = (reach(other) + reach(spot)) / 2 + 4;
        return Math.abs(px - x) > across || Math.abs(py - y) > (other.size + spot.size) / 2 + NAME + 2;
      });
    const beside = free(spot.at) ? spot.at : around(spot.at).find(free);
    placed.push({ ...spot, beside: beside ?? spot.at });
  }
  return wanted.map(({ lump }) => placed.find((spot) => spot.lump.id === lump.id)!);
}

/** How wide a mark is with its name below it, px; a letter is about so wide. */
const LETTER = 6.3;
const reach = ({ lump, size }: Omit<Spot, 'beside'>): number => Math.max(size, lump.name.length * LETTER + 8);

/** Places round a pixel, nearest first. */
const around = ([x, y]: Pixel): readonly Pixel[] =>
  [30, 48, 68, 92, 120, 150].flatMap((far) =>
    Array.from({ length: 12 }, (_, step): Pixel => {
      const angle = (step * Math.PI) / 6;
      return [x + far * Math.cos(angle), y - far * Math.sin(angle)];
    }),
  );

/** Placed masses on the drawing, as large as they weigh; each can be dragged, or nudged with the arrow keys. */
export function LumpMarks({ plan, view }: { readonly plan: Plan; readonly view: View }) {
  const { document, edit, settle, setDragging, piece, setPiece } = useEditor(
    'document',
    'edit',
    'settle',
    'setDragging',
    'piece',
    'setPiece',
  );
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
  const spots = spread(
    document.mass.lumps.map((lump) => ({
      lump,
      at: view.at(lumpAt(lump, plan.stance).at),
      size: Math.max(LEAST, 14 + 5 * Math.cbrt(lump.mass)),
    })),
  );
  const marks = spots.map(({ lump, beside: [x, y], size }) => {
    const open = piece === `lump/${lump.id}`;
    return (
      <button
        key={lump.id}
        type="button"
        aria-label={`Drag ${lump.name}`}
        title={`${lump.name}, ${formatMass(lump.mass, document.units)}: drag, or nudge with the arrow keys`}
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
        <span
          className={`pointer-events-none absolute top-full mt-px px-1 text-[12px] leading-tight whitespace-nowrap ${open ? 'border border-larch bg-sheet' : 'bg-paper/80'}`}
        >
          {lump.name}
        </span>
      </button>
    );
  });
  return (
    <>
      <SheetLayer view={view}>
        {spots.map(
          ({ lump: { id }, at, beside }) =>
            beside !== at && (
              <g key={`to ${id}`} stroke="var(--ink)" fill="var(--ink)">
                <path d={`M${at.join(' ')}L${beside.join(' ')}`} strokeWidth="1" />
                <circle cx={at[0]} cy={at[1]} r="3" />
              </g>
            ),
        )}
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
