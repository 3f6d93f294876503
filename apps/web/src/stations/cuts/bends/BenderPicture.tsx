import { line } from 'd3-shape';
import type { ReactNode } from 'react';
import {
  inBender,
  inTurn,
  formatAngle,
  formatLength,
  turnText,
  type BendSchedule,
  type OnBender,
  type Vector,
} from '@larchwood/core';
import { useEditor } from '../../../editor/editor';

interface Props {
  readonly schedule: BendSchedule;
  readonly made: OnBender;
  readonly number: number;
}

/** The tube with its marks, and as it stands in the bender when a bend is made. */
export function BenderPicture(props: Props) {
  return (
    <div className="grid flex-1 grid-cols-[minmax(0,3fr)_minmax(0,2fr)] gap-x-4 border-t border-rule px-4 py-2 max-[900px]:grid-cols-1">
      <MarkedTube {...props} />
      <FromAbove {...props} />
      <FromBehind {...props} />
    </div>
  );
}

const WIDE = 700;

/** The straight tube, true in length: marks where bends start, bent parts hatched. */
function MarkedTube({ schedule, made, number }: Props) {
  const { document } = useEditor('document');
  const { tube, bends, extra, from } = schedule;
  const scale = (WIDE - 40) / tube;
  const x = (mm: number) => 20 + mm * scale;
  const [near, far] = from === 'start' ? [extra.start, extra.end] : [extra.end, extra.start];
  return (
    <figure className="col-span-full">
      <svg
        viewBox={`0 0 ${WIDE} 74`}
        className="w-full"
        role="img"
        aria-label="The straight tube with its marks"
      >
        <rect x={x(0)} y={30} width={tube * scale} height={16} fill="var(--sheet)" stroke="var(--ink)" />
        {[
          [0, near],
          [tube - far, far],
        ].map(
          ([at, long]) =>
            long! > 0 && (
              <rect
                key={at}
                x={x(at!)}
                y={30}
                width={long! * scale}
                height={16}
                fill="var(--grid)"
                stroke="var(--quiet)"
                strokeDasharray="3 2"
              />
            ),
        )}
        {bends.map((bend, index) => {
          const mark = made.settings[index]?.mark ?? bend.mark;
          return (
            <g key={bend.number}>
              <rect
                x={x(bend.mark)}
                y={30}
                width={bend.arc * scale}
                height={16}
                fill={bend.number === number ? 'var(--larch-wash)' : 'var(--grid)'}
                stroke="var(--ink)"
                strokeWidth="0.6"
              />
              <path d={`M${x(mark)} 24V52`} stroke="var(--larch)" strokeWidth="2" />
              <text
                x={x(mark)}
                y={index % 2 ? 66 : 19}
                textAnchor="middle"
                fontSize="13"
                className="figure"
                fill="var(--ink)"
              >
                {formatLength(mark, document.units, 1, true)}
              </text>
            </g>
          );
        })}
        <text x={20} y={66} fontSize="12" fill="var(--quiet)">
          {from}
        </text>
      </svg>
      <figcaption className="caption">
        Marks from its {from}
        {made.settings.some(({ die }) => die && die.mark !== 0) ? `, where the die’s own mark goes` : ''};
        dashed: left on to trim.
      </figcaption>
    </figure>
  );
}

const SIDE = 260;

interface View {
  readonly at: (point: Vector) => readonly [number, number];
  readonly scale: number;
}

/** Fits points into a square picture. */
function fitted(
  points: readonly Vector[],
  flat: (point: Vector) => readonly [number, number],
  room: number,
  half: number,
): View {
  const all = points.map(flat);
  const [xs, ys] = [all.map(([x]) => x), all.map(([, y]) => y)];
  const [left, right] = [Math.min(...xs) - half, Math.max(...xs) + half];
  const [low, high] = [Math.min(...ys) - half, Math.max(...ys) + half];
  const scale = Math.min(
    (SIDE * 1.7 - 2 * room) / Math.max(1, right - left),
    (SIDE - 2 * room) / Math.max(1, high - low),
  );
  return {
    scale,
    at: (point) => {
      const [x, y] = flat(point);
      return [SIDE * 0.85 + (x - (left + right) / 2) * scale, SIDE / 2 - (y - (low + high) / 2) * scale];
    },
  };
}
/** A run of tube as wide as it is. */
function Tube({
  points,
  at,
  width,
  pale = false,
}: {
  readonly points: readonly Vector[];
  readonly at: View['at'];
  readonly width: number;
  readonly pale?: boolean;
}) {
  return (
    <path
      d={
        line<Vector>(
          (point) => at(point)[0],
          (point) => at(point)[1],
        )(points) ?? ''
      }
      stroke="var(--ink)"
      strokeWidth={width}
      strokeLinejoin="round"
      fill="none"
      opacity={pale ? 0.35 : 1}
    />
  );
}

/** One look at the tube in the bender, and what is to be seen. */
function Look({
  label,
  caption,
  children,
}: {
  readonly label: string;
  readonly caption: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <figure>
      <svg viewBox={`0 0 ${SIDE * 1.7} ${SIDE}`} className="max-h-56 w-full" role="img" aria-label={label}>
        {children}
      </svg>
      <figcaption>{caption}</figcaption>
    </figure>
  );
}

/** No more of a long rest than this is drawn, mm. */
const REST_SHOWN = 500;

function FromAbove({ schedule, made, number }: Props) {
  const bend = schedule.bends[number - 1]!;
  const { swung, rest: whole } = inBender(schedule, number - 1, bend.angle);
  const rest = whole.filter(([x]) => x > -REST_SHOWN);
  const view = fitted([...swung, ...rest, [0, -bend.radius, 0]], ([x, y]) => [x, y], 12, schedule.across / 2);
  const width = Math.max(4, schedule.across * view.scale);
  const [x, y] = view.at([0, 0, 0]);
  const set = made.settings[number - 1];
  const [markX, above] = view.at([0, bend.radius + schedule.across, 0]);
  const below = view.at([0, bend.radius - schedule.across, 0])[1];
  return (
    <Look
      label={`Bend ${number} from above`}
      caption={
        <>
          <b>Bend {number}</b>, from above: bent {formatAngle(bend.angle)}
          {set?.reads === undefined ? null : <>, set {formatAngle(set.reads)}</>}. The mark stands at the
          line; what is not bent yet is pale.
        </>
      }
    >
      {(set?.die ?? schedule.way === 'die') && (
        <circle
          cx={x}
          cy={y}
          r={Math.max(2, (bend.radius - schedule.across / 2) * view.scale)}
          fill="var(--grid)"
          stroke="var(--quiet)"
        />
      )}
      <Tube points={rest} at={view.at} width={width} pale />
      <Tube points={swung} at={view.at} width={width} />
      <path d={`M${markX} ${above}V${below}`} stroke="var(--larch)" strokeWidth="2" />
    </Look>
  );
}

function FromBehind({ schedule, number }: Props) {
  const bend = schedule.bends[number - 1]!;
  const { swung } = inBender(schedule, number - 1, Math.min(1, bend.angle));
  const place = schedule.order.indexOf(number);
  const before = place === 0 ? 'mark its top' : `turn it ${turnText(inTurn(schedule)[place]!.turn)}`;
  // Looking along the rest towards the die: the die's middle is on the right.
  const view = fitted([...swung, [0, 0, 0]], ([, y, z]) => [-y, z], 12, schedule.across / 2);
  const [x, y] = view.at([0, bend.radius, 0]);
  const radius = Math.max(5, (schedule.across / 2) * view.scale);
  return (
    <Look
      label={`Bend ${number} from behind`}
      caption={
        <>
          From the other end, before it: <b>{before}</b>.
        </>
      }
    >
      <path d={`M0 ${y}H${SIDE * 1.7}`} stroke="var(--rule)" strokeDasharray="6 4" />
      <Tube points={swung} at={view.at} width={radius * 2} pale />
      <circle cx={x} cy={y} r={radius} fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
    </Look>
  );
}
