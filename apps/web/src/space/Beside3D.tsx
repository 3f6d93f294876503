import { useMemo } from 'react';
import type { Plan, Vector } from '@larchwood/core';
import { besideOf, groundLines } from './beside';
import { solidPart } from './geometry';
import type { Palette } from './palette';
import { Solids } from './Solids';
import { useDisposal } from './useDisposal';

/** What the stance knows besides wheels and frame: fork, axles, swing-arm, seat, bars and columns. */
export function Beside({ plan, palette }: { readonly plan: Plan; readonly palette: Palette }) {
  const parts = useMemo(() => {
    const { running, seats } = besideOf(plan);
    return [
      ...running.map((solid) => solidPart(solid, palette.quiet)),
      ...seats.map((solid) => solidPart(solid, palette.steel)),
    ];
  }, [plan, palette]);
  return parts.length > 0 && <Solids parts={parts} palette={palette} />;
}

/** The ground under the vehicle, as a grid. */
export function Ground({
  points,
  palette,
}: {
  readonly points: readonly Vector[];
  readonly palette: Palette;
}) {
  const grid = useMemo(() => groundLines(points), [points]);
  useDisposal(grid);
  return (
    <lineSegments geometry={grid}>
      <lineBasicMaterial color={palette.rule} />
    </lineSegments>
  );
}
