import { lineRadial, curveLinearClosed } from 'd3-shape';
import { useMemo } from 'react';
import { crownAt, formatAngle, FRICTION, happensFirst, type Plan, type Tipping } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Length } from '../../parts/Figure';
import { useSize } from '../../parts/useSize';
import { placesOf } from '../../sheet/places';
import { Riders } from '../../sheet/Riders';
import { Vehicle } from '../../sheet/Vehicle';
import { fitView, vehicleExtent } from '../../sheet/view';
import { withSeats } from '../../sheet/withSeats';
import { CentreOfGravity } from './SeatSheet';
import { speedText, speedUnit } from './speed';

/** Limits against direction, and the speeds at which they are met. */
export function TippingView({ plan }: { readonly plan: Plan }) {
  const { tipping } = plan;
  if (!tipping)
    return <p className="p-8">Nothing has a weight yet: place something, or name a rider in the brief.</p>;
  return (
    <div
      className="flex min-h-0 flex-1 flex-col overflow-y-auto bg-sheet"
      tabIndex={0}
      role="group"
      aria-label="Tipping limits"
    >
      <div className="min-h-72 flex-1 print:min-h-0">
        {tipping.polar.length > 0 ? (
          <Polar plan={plan} tipping={tipping} />
        ) : (
          <Lean plan={plan} tipping={tipping} />
        )}
      </div>
      <TurnTable tipping={tipping} />
    </div>
  );
}

const GUESS = { width: 700, height: 380 };

/** How hard it can be thrown each way before it tips: the wheels as the centre of gravity sees them, in heights of it. */
function Polar({ plan, tipping }: { readonly plan: Plan; readonly tipping: Tipping }) {
  const { frame, size } = useSize(GUESS);
  const { width, height } = size;
  const most = Math.max(...tipping.polar.map(({ limit }) => limit), 0.8);
  const scale = (Math.min(width, height) / 2 - 34) / most;
  const step = most > 2 ? 1 : most > 1 ? 0.5 : 0.25;
  const rings = Array.from({ length: Math.floor(most / step) }, (_, index) => (index + 1) * step);
  // Forward is up: a direction to the left is drawn to the left.
  const radial = lineRadial<{ direction: number; limit: number }>()
    .angle(({ direction }) => (-direction * Math.PI) / 180)
    .radius(({ limit }) => limit * scale)
    .curve(curveLinearClosed);
  const { at: cg } = plan.mass.laden;
  return (
    <div ref={frame} className="relative h-full min-h-72 print:h-auto print:min-h-0">
      <svg
        width={width}
        height={height}
        className="absolute inset-0 print:static"
        role="img"
        aria-label={`Tipping limit against direction: ${tipping.sideways?.toFixed(2)} g sideways, ${tipping.braking.toFixed(2)} g forwards, ${tipping.driving.toFixed(2)} g rearwards`}
      >
        <g transform={`translate(${width / 2} ${height / 2})`}>
          {rings.map((g) => (
            <g key={g}>
              <circle r={g * scale} fill="none" stroke="var(--rule)" />
              <text x={4} y={g * scale - 3} fontSize="12" className="figure" fill="var(--quiet)">
                {g} g
              </text>
            </g>
          ))}
          <path d={`M${-width} 0H${width}M0 ${-height}V${height}`} stroke="var(--rule)" strokeWidth="0.7" />
          <path
            d={radial([...tipping.polar]) ?? ''}
            fill="var(--spruce-wash)"
            fillOpacity="0.7"
            stroke="var(--ink)"
            strokeWidth="2"
          />
          {(['dry', 'loose'] as const).map((ground) => (
            <g key={ground}>
              <circle
                r={FRICTION[ground] * scale}
                fill="none"
                stroke="var(--larch)"
                strokeWidth="1.5"
                strokeDasharray={ground === 'dry' ? '7 4' : '2 4'}
              />
              <text
                x={FRICTION[ground] * scale * 0.72 + 4}
                y={-FRICTION[ground] * scale * 0.72 - 4}
                fontSize="12"
                fill="var(--larch-text)"
                stroke="var(--sheet)"
                strokeWidth="4"
                paintOrder="stroke"
              >
                slides, {ground}
              </text>
            </g>
          ))}
          {plan.mass.laden.loads.map(({ wheel, at }) => {
            const [x, y] = [(-(at[1] - cg[1]) / cg[2]) * scale, (-(at[0] - cg[0]) / cg[2]) * scale];
            return <rect key={wheel} x={x - 4} y={y - 9} width="8" height="18" fill="var(--ink)" />;
          })}
          <circle r="4" fill="var(--larch)" />
        </g>
        <g fontSize="13" textAnchor="middle" fill="var(--ink)">
          <text x={width / 2} y={16}>
            thrown forwards (braking) {tipping.braking.toFixed(2)} g
          </text>
          <text x={width / 2} y={height - 6}>
            thrown rearwards (driving, climbing) {tipping.driving.toFixed(2)} g
          </text>
        </g>
      </svg>
      <div className="pointer-events-none absolute top-3 left-4 leading-tight">
        <div>It tips outside the shaded field</div>
        <div className="caption">from above, front up; riders aboard</div>
      </div>
    </div>
  );
}

/** Room round the leaning vehicle, px. */
const LEAN_ROOM = { left: 150, right: 330, top: 26, bottom: 30 };

/** A single track leans: until its first hard part touches. */
function Lean({ plan, tipping }: { readonly plan: Plan; readonly tipping: Tipping }) {
  const { document } = useEditor('document');
  const { frame, size } = useSize(GUESS);
  const { width, height } = size;
  const [first, ...others] = tipping.touches;
  const seated = useMemo(() => withSeats(plan), [plan]);
  const { at: cg } = plan.mass.laden;
  const lean = first?.lean ?? 0;
  const extent = vehicleExtent(seated, 'front');
  const view = fitView({ ...extent, top: Math.max(extent.top, cg[2]) }, width, height, 'front', LEAN_ROOM);
  const crown = first ? crownAt(plan.stance, first.at[0]) : 0;
  const [cx, cy] = view.at([0, 0, crown]);
  return (
    <div ref={frame} className="relative h-full min-h-72 print:h-auto print:min-h-0">
      <svg
        width={width}
        height={height}
        className="absolute inset-0 print:static"
        role="img"
        aria-label={
          first ? `Leans ${formatAngle(first.lean, 0)} until the ${first.name} touches` : 'Nothing touches'
        }
      >
        <path d={`M14 ${view.y(0)}H${width - 14}`} stroke="var(--ink)" strokeWidth="1.75" />
        <path d={`M${cx} ${view.y(0)}V${view.y(cg[2] * 1.5)}`} stroke="var(--quiet)" strokeDasharray="6 4" />
        <g transform={`rotate(${lean.toFixed(2)} ${cx} ${cy})`}>
          <Vehicle plan={seated} view={view} />
          <Riders places={placesOf(plan)} motion={{ crank: 90, steer: 0 }} view={view} />
          {tipping.touches.map(({ name, at }, index) => {
            const [[ax, ay], [bx, by]] = [view.at(at), view.at([at[0], -at[1], at[2]])];
            return (
              <path
                key={name + String(index)}
                d={`M${ax} ${ay}L${bx} ${by}`}
                stroke="var(--larch)"
                strokeWidth={index === 0 ? 3 : 1.5}
              />
            );
          })}
          <CentreOfGravity laden={plan.mass.laden} view={view} />
        </g>
      </svg>
      <div className="pointer-events-none absolute top-3 right-6 w-64">
        {first ? (
          <>
            <div className="text-[19px] font-bold">{formatAngle(first.lean, 0)} of lean</div>
            <p>until the {first.name} touches the ground; from ahead, riders aboard.</p>
            {others.length > 0 && (
              <ul className="mt-2 text-quiet">
                {others.map(({ name, lean: later }, index) => (
                  <li key={name + String(index)} className="flex justify-between">
                    <span>{name}</span>
                    <span className="figure">{formatAngle(later, 0)}</span>
                  </li>
                ))}
              </ul>
            )}
            <p className="caption mt-2">
              Centre of gravity <Length mm={cg[2]} display={document.units} digits={0} /> up. Tyres rigid and
              round; springs not pressed by the turn.
            </p>
          </>
        ) : (
          <p>No hard part is known that would touch the ground.</p>
        )}
      </div>
    </div>
  );
}

const FIRST = { slides: 'slides first', tips: 'tips first', touches: 'touches first' } as const;

function TurnTable({ tipping }: { readonly tipping: Tipping }) {
  const { document } = useEditor('document');
  const { units } = document;
  const metric = units.length === 'mm';
  const limit = tipping.sideways === undefined ? 'First part touches' : 'Tips';
  return (
    <table className="w-full shrink-0 border-t-2 border-ink text-right">
      <caption className="caption px-4 py-1 text-left">
        Speed in a level turn, {speedUnit(units)}; dry ground holds {FRICTION.dry} g, wet or loose{' '}
        {FRICTION.loose} g
      </caption>
      <thead>
        <tr className="border-b border-rule">
          {['Radius of turn', limit, 'Slides, dry', 'On dry ground', 'Slides, loose', 'On loose ground'].map(
            (head) => (
              <th key={head} scope="col" className="px-4 py-1 font-normal text-quiet">
                {head}
              </th>
            ),
          )}
        </tr>
      </thead>
      <tbody>
        {tipping.turns.map(({ radius, limit: at, slidesDry, slidesLoose }) => (
          <tr key={radius} className="figure">
            <th scope="row" className="px-4 py-[3px] font-normal">
              {metric ? `${radius} m` : `${Math.round(radius / 0.3048)} ft`}
            </th>
            <td className="px-4 font-semibold">{speedText(at, units)}</td>
            <td className="px-4">{speedText(slidesDry, units)}</td>
            <td
              className={`px-4 font-sans ${happensFirst(tipping, FRICTION.dry) === 'slides' ? '' : 'font-bold text-larch-text'}`}
            >
              {FIRST[happensFirst(tipping, FRICTION.dry)]}
            </td>
            <td className="px-4">{speedText(slidesLoose, units)}</td>
            <td
              className={`px-4 font-sans ${happensFirst(tipping, FRICTION.loose) === 'slides' ? '' : 'font-bold text-larch-text'}`}
            >
              {FIRST[happensFirst(tipping, FRICTION.loose)]}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
