import type { Dimension, Kind, Plan } from '@larchwood/core';
import { DimensionLines } from '../sheet/DimensionLines';
import { drawDimension } from '../sheet/place';
import { Vehicle } from '../sheet/Vehicle';
import { fitView, vehicleExtent } from '../sheet/view';

const SIZE = { width: 318, height: 168 };
const MARGIN = { left: 26, right: 34, top: 30, bottom: 30 };

/** The build in small with one dimension marked on it. */
export function DimensionPicture({
  dimension,
  plan,
  kind,
}: {
  readonly dimension: Dimension;
  readonly plan: Plan;
  readonly kind: Kind;
}) {
  const drawn = kind.drawn.find(({ id }) => id === dimension.id);
  if (!drawn) return null;
  const view = fitView(vehicleExtent(plan, drawn.view), SIZE.width, SIZE.height, drawn.view, MARGIN);
  const inSmall = drawDimension(near(drawn), plan, view);
  return (
    <svg
      width={SIZE.width}
      height={SIZE.height}
      className="mb-2 border-y border-rule"
      role="img"
      aria-label={`${dimension.name}, marked on the ${drawn.view} view`}
    >
      {drawn.view !== 'plan' && (
        <path d={`M8 ${view.y(0)}H${SIZE.width - 8}`} stroke="var(--ink)" strokeWidth="1.2" />
      )}
      <g opacity="0.55">
        <Vehicle plan={plan} view={view} />
      </g>
      {inSmall && <DimensionLines dimensions={[inSmall]} held={() => true} active={dimension.id} />}
    </svg>
  );
}

/** In small there is no room for rows and columns: lines stand close by what they measure. */
function near(drawn: Kind['drawn'][number]): Kind['drawn'][number] {
  if (drawn.as === 'level')
    return {
      ...drawn,
      row: drawn.near === undefined && (drawn.row ?? 1) < 0 ? -1 : 1,
      ...(drawn.near === undefined ? {} : { near: drawn.near / 3 }),
    };
  if (drawn.as === 'upright')
    return {
      ...drawn,
      ...(drawn.near === undefined ? { column: (drawn.column ?? 1) < 0 ? -1 : 1 } : { near: drawn.near / 3 }),
    };
  if (drawn.as === 'aligned') return { ...drawn, off: drawn.off / 3 };
  return drawn;
}
