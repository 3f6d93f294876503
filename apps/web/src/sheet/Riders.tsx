import { memo } from 'react';
import {
  farthestCrank,
  figureOf,
  gripsAt,
  pedalAt,
  THICKNESS,
  type Figure,
  type Motion,
  type Plan,
  type RiderPlace,
  type Vector,
} from '@larchwood/core';
import { pathOf, tenth } from './path';
import type { Pixel, View } from './view';

interface Props {
  readonly places: readonly RiderPlace[];
  readonly motion: Motion;
  readonly view: View;
}

/** The first rider's leg at full stretch: how dimensions of the figure are told. */
export function stretched({ stance: { places } }: Plan): Motion {
  return { crank: places[0] ? farthestCrank(places[0]) : 90, steer: 0 };
}

/** Riders as jointed figures in their places, with what their hands, feet and seats are on. */
export const Riders = memo(function Riders({ places, motion, view }: Props) {
  return (
    <g strokeLinejoin="round" strokeLinecap="round">
      {[...places]
        .sort((a, b) => (view.name === 'side' ? b.hip[1] - a.hip[1] : 0))
        .map((place) => (
          <Rider key={place.id} place={place} motion={motion} view={view} />
        ))}
    </g>
  );
});

function Rider({ place, motion, view }: { place: RiderPlace; motion: Motion; view: View }) {
  const figure = figureOf(place, motion);
  const { stature } = place.body;
  const of = (share: number) => share * stature * view.scale;
  const limb = (a: Vector, b: Vector, from: number, to: number) =>
    tapered(view.at(a), view.at(b), of(from), of(to));
  const leg = (side: 'left' | 'right') => {
    const { hip, knee, ankle, heel, toe } = figure.legs[side];
    return [
      footPath(view.at(heel), view.at(toe), view.at(ankle), of(THICKNESS.foot)),
      limb(knee, ankle, THICKNESS.calf, THICKNESS.ankle),
      limb(hip, knee, THICKNESS.thighAtHip, THICKNESS.thighAtKnee),
    ];
  };
  const arm = (side: 'left' | 'right') => {
    const { shoulder, elbow, wrist, grip } = figure.arms[side];
    return [
      limb(wrist, grip, 0.016, 0.02),
      limb(elbow, wrist, THICKNESS.forearm, 0.016),
      limb(shoulder, elbow, THICKNESS.upperArm, THICKNESS.forearm),
    ];
  };
  const near = { stroke: 'var(--steel)', fill: 'var(--sheet)', strokeWidth: 1.3 };
  // Only from the side do the left limbs lie behind.
  const beyond = { stroke: 'var(--steel)', fill: 'var(--paper)', strokeWidth: 0.9, strokeDasharray: '4 3' };
  const far = view.name === 'side' ? beyond : near;
  return (
    <g>
      <Outline paths={leg('left')} {...far} />
      <Outline paths={arm('left')} {...far} />
      <SeatShape place={place} view={view} />
      <Cranks place={place} motion={motion} view={view} />
      <Outline paths={leg('right')} {...near} />
      <Outline paths={[trunkPath(figure, view, of)]} {...near} />
      <Head figure={figure} view={view} of={of} />
      <HandsOn place={place} motion={motion} view={view} />
      <Outline paths={arm('right')} {...near} />
      <Joints figure={figure} view={view} />
    </g>
  );
}

/** Shapes as one: drawn twice as thick first, then filled over, so that only the outline of all is left. */
function Outline({
  paths,
  stroke,
  fill,
  strokeWidth,
  strokeDasharray,
}: {
  readonly paths: readonly string[];
  readonly stroke: string;
  readonly fill: string;
  readonly strokeWidth: number;
  readonly strokeDasharray?: string;
}) {
  const d = paths.join('');
  return (
    <>
      <path
        d={d}
        stroke={stroke}
        strokeWidth={2 * strokeWidth}
        strokeDasharray={strokeDasharray}
        fill="none"
      />
      <path d={d} fill={fill} stroke="none" />
    </>
  );
}

function Joints({ figure, view }: { figure: Figure; view: View }) {
  const { knee } = figure.legs.right;
  const { shoulder, elbow } = figure.arms.right;
  return [figure.hip, knee, figure.legs.right.ankle, shoulder, elbow].map((at, index) => {
    const [x, y] = view.at(at);
    return <circle key={index} cx={x} cy={y} r="2.2" fill="var(--steel)" stroke="none" />;
  });
}

/** Hip to shoulder, deeper at the chest than at the waist, and the neck. */
function trunkPath({ hip, shoulder, head }: Figure, view: View, of: (share: number) => number): string {
  const [a, b] = [view.at(hip), view.at(shoulder)];
  const chest: Pixel = [a[0] + (b[0] - a[0]) * 0.68, a[1] + (b[1] - a[1]) * 0.68];
  const neck: Pixel = view.at(head);
  const collar: Pixel = [b[0] + (neck[0] - b[0]) * 0.45, b[1] + (neck[1] - b[1]) * 0.45];
  return (
    tapered(b, collar, of(0.035), of(0.028)) +
    tapered(a, chest, of(THICKNESS.trunk * 0.92), of(THICKNESS.trunk * 1.05)) +
    tapered(chest, b, of(THICKNESS.trunk * 1.05), of(0.042))
  );
}

function Head({
  figure: { head, eye, top },
  view,
  of,
}: {
  figure: Figure;
  view: View;
  of: (share: number) => number;
}) {
  const [x, y] = view.at(head);
  const [tx, ty] = view.at(top);
  const [ex, ey] = view.at(eye);
  const lean = view.name === 'side' ? (Math.atan2(tx - x, y - ty) * 180) / Math.PI : 0;
  const [rx, ry] = [of(view.name === 'side' ? 0.055 : 0.045), of(view.name === 'plan' ? 0.055 : 0.068)];
  const crown = Math.hypot(tx - x, ty - y);
  return (
    <g transform={`rotate(${tenth(lean)} ${tenth(x)} ${tenth(y)})`} stroke="var(--steel)">
      <ellipse cx={x} cy={y} rx={rx} ry={ry} fill="var(--sheet)" strokeWidth="1.3" />
      {view.name !== 'plan' && (
        <path
          d={`M${tenth(x - rx - of(0.012))} ${tenth(y - ry * 0.1)}C${tenth(x - rx - of(0.014))} ${tenth(y - crown * 1.08)} ${tenth(x + rx + of(0.014))} ${tenth(y - crown * 1.08)} ${tenth(x + rx + of(0.012))} ${tenth(y - ry * (view.name === 'side' ? 0.25 : 0.1))}Z`}
          fill="var(--paper)"
          strokeWidth="1.3"
        />
      )}
      {view.name === 'side' && (
        <circle
          cx={ex}
          cy={ey}
          r="1.4"
          fill="var(--steel)"
          stroke="none"
          transform={`rotate(${tenth(-lean)} ${tenth(x)} ${tenth(y)})`}
        />
      )}
    </g>
  );
}

function SeatShape({ place: { seat }, view }: { place: RiderPlace; view: View }) {
  const look = { stroke: 'var(--ink)', fill: 'var(--rule)', strokeWidth: 1.2 };
  const at = ([x, y, z]: Vector, dx: number, dz: number): Pixel => view.at([x + dx, y, z + dz]);
  if (view.name !== 'side') return null;
  if (seat.as === 'saddle')
    return (
      <path
        d={`${pathOf([
          at(seat.at, -125, 12),
          at(seat.at, -60, 4),
          at(seat.at, 40, 0),
          at(seat.at, 145, -6),
          at(seat.at, 150, -22),
          at(seat.at, 30, -34),
          at(seat.at, -80, -52),
          at(seat.at, -130, -34),
        ])}`}
        {...look}
      />
    );
  if (seat.as === 'bench')
    return (
      <path
        d={pathOf([
          at(seat.at, -seat.length * 0.62, 50),
          at(seat.at, -seat.length * 0.3, 18),
          at(seat.at, seat.length * 0.1, 0),
          at(seat.at, seat.length * 0.38, 22),
          at(seat.at, seat.length * 0.36, -seat.thickness * 0.6),
          at(seat.at, -seat.length * 0.55, -seat.thickness * 0.6),
        ])}
        {...look}
      />
    );
  if (seat.as !== 'shell') return null;
  const { corner, base, top, thickness } = seat;
  const t = Math.max(14, thickness);
  return (
    <path
      d={pathOf([
        view.at(top),
        view.at(corner),
        view.at(base),
        at(base, 4, -t),
        at(corner, -t * 0.8, -t),
        at(top, -t, -t * 0.35),
      ])}
      {...look}
    />
  );
}

function Cranks({ place: { feet }, motion, view }: { place: RiderPlace; motion: Motion; view: View }) {
  if (feet.on !== 'cranks') {
    if (feet.level) return null;
    const pegs = ([1, -1] as const).map((side) =>
      view.at([feet.at[0], feet.at[1] + side * feet.tread, feet.at[2]]),
    );
    return pegs.map(([x, y], index) => (
      <circle key={index} cx={x} cy={y} r="3" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.2" />
    ));
  }
  const [bx, by] = view.at(feet.bracket);
  const right = view.at(pedalAt(feet, motion.crank, -1));
  const left = view.at(pedalAt(feet, motion.crank + 180, 1));
  return (
    <g fill="none" stroke="var(--ink)">
      <path
        d={`M${tenth(bx)} ${tenth(by)}L${tenth(left[0])} ${tenth(left[1])}`}
        strokeWidth="1"
        strokeDasharray="4 3"
      />
      <path d={`M${tenth(bx)} ${tenth(by)}L${tenth(right[0])} ${tenth(right[1])}`} strokeWidth="3" />
      <circle cx={bx} cy={by} r={feet.crank * view.scale} strokeWidth="0.6" strokeDasharray="2 4" />
    </g>
  );
}

const ROUND = 36;

function HandsOn({ place, motion, view }: { place: RiderPlace; motion: Motion; view: View }) {
  const { hands } = place;
  if (hands.on === 'lap') return null;
  if (hands.on === 'wheel') {
    const rim = Array.from({ length: ROUND }, (_, step) =>
      view.at(gripsAt(hands, place, (step * 360) / ROUND)[0]),
    );
    const [[ax, ay], [bx, by]] = [view.at(hands.centre), view.at(hands.columnFoot)];
    return (
      <g fill="none" stroke="var(--ink)">
        <path d={`M${tenth(ax)} ${tenth(ay)}L${tenth(bx)} ${tenth(by)}`} strokeWidth="3" />
        <path d={pathOf(rim)} strokeWidth="2.4" />
      </g>
    );
  }
  const [left, right] = gripsAt(hands, place, motion.steer).map((grip) => view.at(grip)) as [Pixel, Pixel];
  if (hands.on === 'sticks') {
    const down = 150 * view.scale * (view.name === 'plan' ? 0 : 1);
    return (
      <path
        d={[left, right].map(([x, y]) => `M${tenth(x)} ${tenth(y - down * 0.3)}V${tenth(y + down)}`).join('')}
        stroke="var(--ink)"
        strokeWidth="3.5"
      />
    );
  }
  const [sx, sy] = view.at(hands.stem);
  const middle: Pixel = [(left[0] + right[0]) / 2, (left[1] + right[1]) / 2];
  return (
    <g stroke="var(--ink)" strokeWidth="3" fill="none">
      <path d={`M${tenth(sx)} ${tenth(sy)}L${tenth(middle[0])} ${tenth(middle[1])}`} />
      <path d={`M${tenth(left[0])} ${tenth(left[1])}L${tenth(right[0])} ${tenth(right[1])}`} />
      <circle cx={right[0]} cy={right[1]} r="3.4" fill="var(--ink)" stroke="none" />
    </g>
  );
}

/** Sole from heel to toe, and the instep up to the ankle. */
function footPath(heel: Pixel, toe: Pixel, ankle: Pixel, half: number): string {
  return (
    tapered(heel, toe, half * 0.95, half * 0.75) +
    tapered(heel, ankle, half * 0.95, half * 1.1) +
    tapered(ankle, toe, half * 1.05, half * 0.7)
  );
}

/** A rod with round ends of two sizes. */
export function tapered([ax, ay]: Pixel, [bx, by]: Pixel, ra: number, rb: number): string {
  const size = Math.hypot(bx - ax, by - ay);
  if (size <= Math.abs(ra - rb) + 0.1) {
    const [x, y, r] = ra > rb ? [ax, ay, ra] : [bx, by, rb];
    return `M${tenth(x - r)} ${tenth(y)}a${tenth(r)} ${tenth(r)} 0 1 0 ${tenth(2 * r)} 0a${tenth(r)} ${tenth(r)} 0 1 0 ${tenth(-2 * r)} 0Z`;
  }
  const along = Math.atan2(by - ay, bx - ax);
  const open = Math.acos((ra - rb) / size);
  const at = (x: number, y: number, r: number, angle: number) =>
    `${tenth(x + r * Math.cos(angle))} ${tenth(y + r * Math.sin(angle))}`;
  const wide = ra > rb ? 1 : 0;
  return (
    `M${at(ax, ay, ra, along + open)}` +
    `A${tenth(ra)} ${tenth(ra)} 0 ${wide} 1 ${at(ax, ay, ra, along - open)}` +
    `L${at(bx, by, rb, along - open)}` +
    `A${tenth(rb)} ${tenth(rb)} 0 ${1 - wide} 1 ${at(bx, by, rb, along + open)}Z`
  );
}
