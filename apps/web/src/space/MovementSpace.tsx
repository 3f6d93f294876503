import { useMemo, useState } from 'react';
import { along, type Movement, type Plan, type Vector } from '@larchwood/core';
import { arrowParts } from './arrow';
import { platePart, tubePart, WHOLE_FRAME, type Part } from './geometry';
import { LookFrom } from './LookFrom';
import { STEEL, usePalette } from './palette';
import { Solids } from './Solids';
import { Stage, STANDPOINTS, type Standpoint } from './Stage';

/** Of an arrow's shaft, and of one that is not sure, mm. */
const SHAFT = { sure: 5, unsure: 2 } as const;

/** What moved, as arrows on the frame in space; `times` their length. */
export function MovementSpace({
  plan,
  movements,
  placeOf,
  times,
}: {
  readonly plan: Plan;
  readonly movements: readonly Movement[];
  readonly placeOf: (point: string) => Vector;
  readonly times: number;
}) {
  const palette = usePalette();
  const [standpoint, setStandpoint] = useState<Standpoint>('corner');
  const frame = useMemo((): readonly Part[] => {
    const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));
    return [
      ...plan.frame.pieces.flatMap((piece) => {
        const cut = cuts.get(piece.id);
        return cut ? [tubePart(piece, cut, WHOLE_FRAME, STEEL)] : [];
      }),
      ...plan.frame.plates.map((plate) => platePart(plate, palette.steel)),
    ];
  }, [plan, palette]);
  const ends = useMemo(
    () =>
      movements.map(({ point, by, sure }) => {
        const from = placeOf(point);
        return { from, to: along(from, by, times), sure };
      }),
    [movements, placeOf, times],
  );
  const arrows = useMemo(
    () =>
      ends.flatMap(({ from, to, sure }) =>
        arrowParts(from, to, sure ? SHAFT.sure : SHAFT.unsure, sure ? palette.brick : palette.quiet),
      ),
    [ends, palette],
  );
  const points = useMemo(
    () => [
      ...ends.flatMap(({ from, to }) => [from, to]),
      ...plan.frame.pieces.flatMap(({ start, end }) => [start, end]),
    ],
    [ends, plan],
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="min-h-0 flex-1">
        <Stage
          points={points}
          from={STANDPOINTS[standpoint].from}
          fit={`movement ${standpoint} ${times}`}
          palette={palette}
          label="What moved, in space"
        >
          <Solids parts={frame} palette={palette} faint />
          {arrows.length > 0 && <Solids parts={arrows} palette={palette} />}
        </Stage>
      </div>
      <div className="flex min-h-10 shrink-0 items-center border-t border-rule px-3 print:hidden">
        <LookFrom value={standpoint} onChange={setStandpoint} />
      </div>
    </div>
  );
}
