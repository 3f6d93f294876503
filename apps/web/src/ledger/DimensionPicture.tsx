import {
  formatAngle,
  formatLength,
  turnedWheel,
  type LengthDisplay,
  type Dimension,
  type Drawn,
  type Kind,
  type Picture,
  type Plan,
} from '@larchwood/core';
import { DimensionLines } from '../sheet/DimensionLines';
import { drawDimension } from '../sheet/place';
import { Riders, stretched } from '../sheet/Riders';
import { Ghost, Vehicle } from '../sheet/Vehicle';
import { withSeats } from '../sheet/withSeats';
import type { DrawnDimension } from '../sheet/dimensions';
import { fitView, vehicleExtent, type Pixel, type View } from '../sheet/view';

const SIZE = { width: 318, height: 168 };
const MARGIN = { left: 26, right: 34, top: 30, bottom: 30 };

interface Props {
  readonly dimension: Dimension;
  readonly plan: Plan;
  readonly kind: Kind;
  readonly display: LengthDisplay;
}

/** The build in small with one dimension marked on it. */
export function DimensionPicture({ dimension: { id, name, quantity }, plan: bare, kind, display }: Props) {
  const picture: Picture | undefined = [...kind.pictures, ...kind.drawn, ...kind.seat.drawn].find(
    (each) => each.id === id,
  );
  const seated = kind.seat.groups.some(({ ids }) => ids.includes(id));
  const plan = seated ? withSeats(bare) : bare;
  if (!picture) return null;
  const whole = fitView(vehicleExtent(plan, picture.view), SIZE.width, SIZE.height, picture.view, MARGIN);
  const postures = plan.stance.postures;
  const points = { ...plan.stance.points, ...kind.marks(plan.stance.state) };
  const mark = (view: View) =>
    picture.as === 'posture' || picture.as === 'steered'
      ? undefined
      : drawDimension(near(picture), points, plan, view);
  const view = closeUp(whole, mark(whole));
  const marked = mark(view);
  const value = plan.stance.values[id];
  const figure =
    value === undefined
      ? undefined
      : quantity === 'angle'
        ? formatAngle(value, 1)
        : formatLength(value, display, 1);
  // Where no line is drawn, the figure stands at the head of the picture.
  const label = within(marked?.label ?? [SIZE.width / 2, 14], figure ?? '');
  return (
    <svg
      width={SIZE.width}
      height={SIZE.height}
      className="mb-2 border-y border-rule"
      role="img"
      aria-label={`${name}, ${
        picture.as === 'posture'
          ? 'told on the vehicle as it stands there'
          : picture.as === 'steered'
            ? `told with the wheels turned by ${picture.steer}°`
            : 'marked'
      }; ${picture.view} view`}
    >
      {picture.view !== 'plan' && (
        <path d={`M8 ${view.y(0)}H${SIZE.width - 8}`} stroke="var(--ink)" strokeWidth="1.2" />
      )}
      <g opacity="0.55">
        <Vehicle plan={plan} view={view} />
        {seated && <Riders places={plan.stance.places} motion={stretched(plan)} view={view} />}
      </g>
      {picture.as === 'posture' && postures && (
        <Ghost
          kind={kind}
          points={postures[picture.posture].points}
          wheels={postures[picture.posture].wheels}
          view={view}
          colour="var(--larch)"
        />
      )}
      {picture.as === 'steered' && (
        <Ghost
          kind={undefined}
          points={{}}
          wheels={plan.stance.steered.map((wheel) => turnedWheel(wheel, picture.steer))}
          view={view}
          colour="var(--larch)"
        />
      )}
      {marked && <DimensionLines dimensions={[marked]} held={() => true} active={id} />}
      {figure !== undefined && (
        <text
          x={label[0]}
          y={label[1] + 4}
          textAnchor="middle"
          className="figure text-[13px] font-bold"
          fill="var(--ink)"
          stroke="var(--paper)"
          strokeWidth="5"
          strokeLinejoin="round"
          paintOrder="stroke"
        >
          {figure}
        </text>
      )}
    </svg>
  );
}

/** A figure's place, kept inside the picture; a letter is about so wide, px. */
const LETTER = 7.2;
function within([x, y]: Pixel, figure: string): Pixel {
  const half = (figure.length * LETTER) / 2 + 4;
  return [Math.min(SIZE.width - half, Math.max(half, x)), Math.min(SIZE.height - 12, Math.max(12, y))];
}

/** What is too short to be seen on the whole vehicle is shown close up. */
function closeUp(whole: View, marked: DrawnDimension | undefined): View {
  if (marked?.line.as !== 'straight') return whole;
  const [from, to] = [marked.line.from, marked.line.to];
  if (Math.hypot(to[0] - from[0], to[1] - from[1]) > TOO_SHORT) return whole;
  const [x, y] = whole.back([(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]);
  const [wide, high] = [CLOSE / 2, (CLOSE * SIZE.height) / SIZE.width / 2];
  // The ground stays under what is drawn.
  const bottom = whole.name === 'plan' ? y - high : Math.max(-high / 4, y - high);
  const extent = { left: x - wide, right: x + wide, bottom, top: bottom + 2 * high };
  return fitView(extent, SIZE.width, SIZE.height, whole.name, { left: 0, right: 0, top: 0, bottom: 0 });
}
/** Shorter than this, px; and what a close-up shows across, mm. */
const TOO_SHORT = 16;
const CLOSE = 280;

/** In small there is no room for rows and columns: lines stand close by what they measure. */
function near(drawn: Drawn): Drawn {
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
