import type { Section } from '@larchwood/format';
import type { Stance } from '../../stance/stance.js';
import { along, distance, dot, scale, subtract, unit, type Vector } from '../../vector/vector.js';
import { acrossOf } from '../sections.js';
import { coped, copedBeside, plain, slotted } from './layout.js';
import type { Sketch } from './sketch.js';
import { armTo } from './shapes.js';

/** Parts that the pedalled frames share. Sizes [common practice, from memory]. */
export const SHELL = { width: 68, wide: 73, section: 'round-40x3.5' } as const;
const DROPOUT = { thickness: 6, hub: 135 };
/** Gap wanted between a tyre and the frame. Source: ISO 4210-2, from memory. */
const TYRE_GAP = 6;
/** More than that, for what roundings take. */
const SPARE = 1.5;
/** Clear of the head tube's face, so that it can be welded and faced. */
const FACE_MARGIN = 7;
/** Tyres wider than this, mm, want the wider shell. */
const WIDE_TYRE = 45;

/** Straight wanted at a stay's joint before it bends, mm. */
const BEND_LEAST = 55;

const half = (value: number): number => Math.ceil(value * 2) / 2;

export interface ShellOptions {
  readonly point?: string;
  /** Tells a second shell apart. */
  readonly suffix?: string;
  readonly name?: string;
  readonly section?: string;
  readonly group?: string;
}

/** A bottom-bracket shell at a stance point, with a node in its middle. */
export function shell(s: Sketch, stance: Stance, options: ShellOptions = {}): string {
  const { point = 'bottomBracket', suffix = '', name = 'BB shell', section = SHELL.section, group } = options;
  const width = stance.wheels.rear.width > WIDE_TYRE ? SHELL.wide : SHELL.width;
  const id = `bottomBracketShell${suffix}`;
  s.onStance(`shellLeft${suffix}`, `${name}, left face`, point, [0, width / 2, 0]);
  s.onStance(`shellRight${suffix}`, `${name}, right face`, point, [0, -width / 2, 0]);
  s.onStance(point, suffix === '' ? 'BB' : `BB ${suffix}`, point);
  return s.tube(id, name, [`shellRight${suffix}`, `shellLeft${suffix}`], section, {
    supplied: true,
    material: 'mild-steel',
    ...(group === undefined ? {} : { group }),
  });
}

/** A head tube between its two faces. */
export function headTube(s: Sketch, section: string, group?: string): string {
  s.onStance('headLower', 'Head tube, lower face', 'headTubeLower');
  s.onStance('headUpper', 'Head tube, upper face', 'headTubeUpper');
  return s.tube(
    'headTube',
    'Head tube',
    ['headLower', 'headUpper'],
    section,
    group === undefined ? {} : { group },
  );
}

/** A node on the head tube where a tube towards a point keeps clear of the face nearest to it. */
export function onHeadTube(
  s: Sketch,
  stance: Stance,
  id: string,
  name: string,
  face: 'lower' | 'upper',
  towards: Vector,
  diameter: number,
): string {
  const host = acrossOf(s.sectionOf('headTube', 'round-36x1.1'));
  const lower = face === 'lower';
  const at = clearOfFace(
    s.at(lower ? 'headLower' : 'headUpper'),
    scale(stance.steeringAxis, lower ? 1 : -1),
    towards,
    host,
    diameter,
  );
  return s.onMember(id, name, 'headTube', lower ? 'start' : 'end', half(at));
}

export interface DownTube {
  readonly id?: string;
  readonly name?: string;
  /** Of its node at the head tube. */
  readonly node?: string;
  readonly section: string;
  readonly group?: string;
}

/** A down tube from the head tube, clear of its lower face, to the shell and the foot of the seat tube at once. */
export function downTube(s: Sketch, stance: Stance, options: DownTube): string {
  const { id = 'downTube', name = 'Down tube', node = 'downAtHead', section, group } = options;
  const diameter = acrossOf(s.sectionOf(id, section));
  const bb = s.point('bottomBracket');
  const head = onHeadTube(s, stance, node, `${name} at the head tube`, 'lower', bb, diameter);
  return s.tube(id, name, [head, 'bottomBracket'], section, {
    start: coped('headTube'),
    end: coped('bottomBracketShell', 'seatTube'),
    ...(group === undefined ? {} : { group }),
  });
}

export interface TopTube {
  readonly section: string;
  /** Joint on the seat tube, below its top, mm. */
  readonly below: number;
  readonly group?: string;
}

/** A top tube from the head tube, clear of its upper face, to the seat tube. */
export function topTube(s: Sketch, stance: Stance, { section, below: drop, group }: TopTube): string {
  const diameter = acrossOf(s.sectionOf('topTube', section));
  const cluster = below(s, 'seatTubeTop', 'bottomBracket', drop);
  const head = onHeadTube(s, stance, 'topAtHead', 'Top tube at the head tube', 'upper', cluster, diameter);
  const seat = s.onMember('topAtSeat', 'Top tube at the seat tube', 'seatTube', 'end', drop);
  return s.tube('topTube', 'Top tube', [head, seat], section, {
    start: coped('headTube'),
    end: coped('seatTube'),
    ...(group === undefined ? {} : { group }),
  });
}

/** Distance of a joint from a head-tube face at which the tube's edge keeps clear of that face. */
function clearOfFace(
  face: Vector,
  inward: Vector,
  towards: Vector,
  hostDiameter: number,
  tubeDiameter: number,
): number {
  let at = hostDiameter;
  for (let round = 0; round < 4; round += 1) {
    const direction = unit(subtract(towards, along(face, inward, at)));
    const cosine = dot(direction, inward);
    const sine = Math.sqrt(1 - cosine ** 2);
    // The tube's near edge stands r / sin off its axis, which itself leaves the host R / tan nearer to the face.
    at = (tubeDiameter / 2 - (hostDiameter / 2) * cosine) / sine + FACE_MARGIN;
  }
  return Math.max(FACE_MARGIN, at);
}

export interface RearEnd {
  readonly chainstays: string;
  readonly seatstays: string;
  readonly shell?: string;
  readonly seatTube: string;
  /** Node in the middle of the shell, and way down the seat tube from its top at which the seatstays meet it. */
  readonly bottomBracket?: string;
  readonly below: number;
  readonly group?: string;
  /** Off the middle at the seat tube. */
  readonly besideSeatTube?: number;
}

/**
 * Chainstays and seatstays to the dropouts, mirrored. Straight where that leaves the tyre its room, else each bent once
 * beside the tyre; dropouts with an arm along each stay; bridges where there is room for them.
 */
export function rearEnd(s: Sketch, stance: Stance, sizes: RearEnd): void {
  const { radius, width } = stance.wheels.rear;
  const bb = sizes.bottomBracket ?? 'bottomBracket';
  const shellId = sizes.shell ?? 'bottomBracketShell';
  const group = sizes.group === undefined ? {} : { group: sizes.group };
  const axle = s.point('rearAxle');
  const wide = width > WIDE_TYRE;
  const chain = acrossOf(s.sectionOf('chainstays', sizes.chainstays));
  const seat = acrossOf(s.sectionOf('seatstays', sizes.seatstays));
  const offMiddle = DROPOUT.hub / 2 + DROPOUT.thickness / 2;
  s.onStance('dropout', 'Dropout', 'rearAxle', [0, offMiddle, 0]);

  const clear = width / 2 + TYRE_GAP + SPARE + chain / 2;
  const face = (wide ? SHELL.wide : SHELL.width) / 2 - chain / 2 - 2.5;
  const reach = radius - width / 2;
  const shellPoint = s.point(bb);
  const long = distance([shellPoint[0], 0, shellPoint[2]], [axle[0], 0, axle[2]]);
  const straightY = face + (offMiddle - face) * ((long - reach) / long);
  // A stay that leaves the shell at a splay runs outward over the shell's own radius before it is clear of it.
  const splay = straightY >= clear - SPARE ? 0 : (clear - face) / Math.max(long - reach, BEND_LEAST);
  const low = s.onStance('chainstayAtShell', 'Chainstay at the BB shell', bb, [0, face - splay * 24, 0]);
  const chainBend = bendBeside(s, 'chainstayBend', 'Chainstay beside the tyre', low, {
    axle,
    reach,
    clear,
    least: BEND_LEAST,
  });
  s.tube('chainstays', 'Chainstay', [low, 'dropout'], sizes.chainstays, {
    start: coped(shellId),
    end: slotted(24, DROPOUT.thickness, 18),
    mirrored: true,
    ...group,
    ...(chainBend ? { bends: [[chainBend, 80]] } : {}),
  });
  const high = s.onMember('seatstayAtSeat', 'Seatstay at the seat tube', sizes.seatTube, 'end', sizes.below, [
    0,
    sizes.besideSeatTube ?? 7.1,
    0,
  ]);
  const cluster = s.at(high);
  const half = width / 2 + slimAt(s.sectionOf('seatstays', sizes.seatstays)) / 2;
  const seatBend = passesStraight(cluster, axle, { reach, half, offMiddle })
    ? undefined
    : bendBeside(s, 'seatstayBend', 'Seatstay beside the tyre', high, {
        ...{ axle, reach: radius + 4, least: 60 },
        clear: width / 2 + TYRE_GAP + SPARE + seat / 2,
      });
  s.tube('seatstays', 'Seatstay', [high, 'dropout'], sizes.seatstays, {
    start: copedBeside(sizes.seatTube),
    end: slotted(26, DROPOUT.thickness, 18),
    mirrored: true,
    ...group,
    ...(seatBend ? { bends: [[seatBend, 80]] } : {}),
  });
  dropout(s, axle, s.point(bb), cluster, sizes.group);
  bridge(s, 'chainstays', 'Chainstay bridge', radius + 16, low, sizes.group);
  bridge(s, 'seatstays', 'Brake bridge', radius + 16, high, sizes.group);
}

interface Beside {
  readonly axle: Vector;
  /** From the axle to where the tyre is still wide. */
  readonly reach: number;
  /** Of the stay's centre line from the middle, there. */
  readonly clear: number;
  /** Straight wanted at the joint, before the bend. */
  readonly least: number;
}

/** A tapered stay where it passes the tyre's widest place: half-way from its top to its tip; mm. */
const slimAt = (section: Section): number =>
  section.shape === 'round' && section.taper
    ? (section.diameter + section.taper.diameter) / 2
    : acrossOf(section);

/**
 * Whether a seatstay passes the tyre's widest place straight from the dropout.
 * @param half of tyre and stay together, mm
 */
function passesStraight(
  start: Vector,
  axle: Vector,
  { reach, half, offMiddle }: Readonly<Record<'reach' | 'half' | 'offMiddle', number>>,
): boolean {
  const share = reach / Math.hypot(start[0] - axle[0], start[2] - axle[2]);
  return offMiddle + (start[1] - offMiddle) * share >= half + TYRE_GAP + SPARE;
}

/** A node where a stay has to bend to pass the tyre, if it has to; tied to the axle. */
function bendBeside(s: Sketch, id: string, name: string, from: string, beside: Beside): string | undefined {
  const start = s.at(from);
  const end = s.at('dropout');
  const flat = Math.hypot(start[0] - end[0], start[2] - end[2]);
  const share = Math.min(beside.reach, flat) / flat;
  const straightY = end[1] + (start[1] - end[1]) * share;
  if (straightY >= beside.clear - SPARE) return undefined;
  const away = Math.min(beside.reach, flat - beside.least) / flat;
  const x = end[0] + (start[0] - end[0]) * away;
  const z = end[2] + (start[2] - end[2]) * away;
  return s.beside(id, name, 'rearAxle', [x, beside.clear, z]);
}

/** A short tube between two stays, so far from the axle; left out where the stays have no room for it. */
function bridge(
  s: Sketch,
  stays: string,
  name: string,
  fromAxle: number,
  joint: string,
  group?: string,
): void {
  const [start, end] = [s.at(joint), s.at('dropout')];
  const room = distance(start, end) - fromAxle;
  if (room < 30) return;
  const left = s.onMember(`${stays}Bridge`, `${name}, left`, stays, 'end', Math.round(fromAxle));
  if (s.at(left)[1] < 14) return;
  s.tube(`${stays}BridgeTube`, name, [left, s.other(left)], 'round-12x1', {
    start: coped(`${stays}:left`),
    end: coped(`${stays}:right`),
    ...(group === undefined ? {} : { group }),
  });
}

/** A plate with an arm along each stay, around the axle; in the side view, from the axle. */
function dropout(s: Sketch, axle: Vector, bb: Vector, cluster: Vector, group?: string): void {
  const [low, high] = [armTo(axle, bb), armTo(axle, cluster)];
  s.plate(
    'dropouts',
    'Dropout',
    'dropout',
    DROPOUT.thickness,
    [
      low(42, -6),
      low(42, 6),
      low(20, 7),
      high(20, -7),
      high(44, -5),
      high(44, 5),
      high(4, 15),
      [-12, 8],
      [-13, -8],
      [-4, -15],
      low(14, -13),
    ],
    { mirrored: true, holes: [{ at: [0, 0], diameter: 10 }], ...(group === undefined ? {} : { group }) },
  );
}

/** A seat tube up from a shell. */
export function seatTube(
  s: Sketch,
  section: string,
  {
    id = 'seatTube',
    name = 'Seat tube',
    bottom = 'bottomBracket',
    top = 'seatTubeTop',
    shellId = 'bottomBracketShell',
    node = 'seatTop',
    group,
  }: {
    readonly id?: string;
    readonly name?: string;
    readonly bottom?: string;
    readonly top?: string;
    readonly shellId?: string;
    readonly node?: string;
    readonly group?: string;
  } = {},
): string {
  s.onStance(node, `${name}, top`, top);
  return s.tube(id, name, [bottom, node], section, {
    start: coped(shellId),
    end: plain(),
    ...(group === undefined ? {} : { group }),
  });
}

/** The point so far below the top of a seat tube. */
export function below(s: Sketch, stanceTop: string, bottom: string, distanceBelow: number): Vector {
  const top = s.point(stanceTop);
  return along(top, unit(subtract(top, s.point(bottom))), -distanceBelow);
}
