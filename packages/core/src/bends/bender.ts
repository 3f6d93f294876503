import type { Bending, Die, Shop } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import { pointOn } from '../frame/path.js';
import { toDegrees, toRadians } from '../units/angle.js';
import { cross, dot, subtract, type Vector } from '../vector/vector.js';
import { betterOrder, type BendOrder } from './order.js';
import { bentAt, type Bend, type BendSchedule } from './schedule.js';
import { settingFor, springbackOf, trialsOf, type Springback } from './springback.js';

export type OwnDie = Die & { readonly id: string };

export interface BendSetting {
  readonly bend: Bend;
  /** None where the workshop has none for it. */
  readonly die?: OwnDie;
  readonly spring?: Springback;
  /** Where the tube's mark goes at the die's own mark: mark on the tube, from the reference end. */
  readonly mark: number;
  /** Beyond straight; and as the die's own scale says it. */
  readonly set?: number;
  readonly reads?: number;
}
/** A piece on its dies: settings of every bend and what stands in the way. */
export interface OnBender {
  /** One a bend; none where it is not drawn round a die. */
  readonly settings: readonly BendSetting[];
  readonly findings: readonly Finding[];
  /** How it would be bent with less in the way, or with fewer turns; none where it is bent so already. */
  readonly better?: BendOrder;
  /** Far end moves so much by the scatter of the log, mm: what may have to be trimmed. */
  readonly farEnd?: number;
}

/** A die takes tubes this near to its size, and bends a radius this near to what is drawn; mm. Common practice, no source. */
const FITS = { size: 0.4, radius: 0.5 } as const;

/** Dies that take a tube of that size and shape, nearest radius first. */
export function diesFor(
  { dies }: Pick<Shop, 'dies'>,
  { across, shape }: Pick<BendSchedule, 'across' | 'shape'>,
  radius: number,
): readonly OwnDie[] {
  return Object.entries(dies)
    .filter(([, die]) => Math.abs(die.size - across) <= FITS.size && die.shape === shape)
    .map(([id, die]) => ({ ...die, id }))
    .sort((a, b) => Math.abs(a.radius - radius) - Math.abs(b.radius - radius));
}

/**
 * A piece on the die that was chosen for it, or each of its bends on the die of its radius. What is mostly rolled, or sawn
 * in wedges, is drawn round a die where the workshop has one for all of its bends.
 */
export function onBender(schedule: BendSchedule, shop: Shop, bending?: Pick<Bending, 'die'>): OnBender {
  const { bends, mark, piece } = schedule;
  const chosen = bending?.die;
  const own = chosen === undefined ? undefined : shop.dies[chosen];
  const dieOf = ({ radius }: Bend): OwnDie | undefined =>
    chosen === undefined
      ? diesFor(shop, schedule, radius).find((die) => suits(die, radius))
      : own && { ...own, id: chosen };
  const settings = bends.map((bend): BendSetting => {
    const die = dieOf(bend);
    if (!die) return { bend, mark: bend.mark };
    const { section, material } = schedule;
    const spring = springbackOf(die, trialsOf(shop.trials, { die: die.id, section, material }));
    return { bend, die, spring, mark: bend.mark + die.mark, ...settingFor(die, spring, bend.angle) };
  });
  if (schedule.way !== 'die' && chosen === undefined && settings.some(({ die }) => !die))
    return { settings: [], findings: [] };
  const missing = [...new Set(settings.flatMap(({ die, bend }) => (die ? [] : [bend.radius])))];
  const troublesOf = (of: BendSchedule) => {
    const dies = of.bends.map((bend) => dieOf(bend));
    return (index: number, done: ReadonlySet<number>): number => {
      const die = dies[index];
      return die ? troubles(of, die, index, done).length : 0;
    };
  };
  const better = settings.every(({ die }) => die) ? betterOrder(schedule, troublesOf) : undefined;
  const scatters = settings.map(({ spring }) => spring?.scatter);
  return {
    settings,
    findings: [
      ...(chosen !== undefined && !own
        ? [tell('die-gone', 'look', piece, { mark })]
        : missing.map((radius) =>
            tell('die-missing', 'look', piece, { mark, size: schedule.across, radius }),
          )),
      ...settings.flatMap((setting, index) => dieFindings(schedule, setting, index)),
    ],
    ...(better ? { better } : {}),
    ...(scatters.every((scatter) => scatter !== undefined)
      ? {
          farEnd: Math.hypot(
            ...bends.map(({ perHalfDegree }, index) => perHalfDegree * 2 * scatters[index]!),
          ),
        }
      : {}),
  };
}

const suits = (die: Pick<Die, 'radius'>, radius: number): boolean =>
  Math.abs(radius - die.radius) <= FITS.radius;

const tell = teller('cuts');

function dieFindings(schedule: BendSchedule, { bend, die, set }: BendSetting, index: number): Finding[] {
  if (!die || set === undefined) return [];
  const { mark, piece } = schedule;
  const { number, radius } = bend;
  return [
    ...(schedule.bends.findIndex((each) => !suits(die, each.radius)) !== index
      ? []
      : [tell('die-radius-differs', 'look', piece, { mark, radius, die: die.radius, name: die.name })]),
    ...(set > die.most
      ? [tell('bend-too-far', 'look', piece, { mark, bend: number, set, most: die.most })]
      : []),
    ...troubles(schedule, die, index, madeBefore(schedule, index)),
  ];
}

/** Which bends are made already when one is begun, by their place along the tube. */
const madeBefore = ({ order }: BendSchedule, index: number): ReadonlySet<number> =>
  new Set(order.slice(0, order.indexOf(index + 1)).map((number) => number - 1));

/** What stands in the way of one bend when some are made: too little straight for clamp or follower, the bender, the floor. */
function troubles(
  schedule: BendSchedule,
  die: Die,
  index: number,
  done: ReadonlySet<number>,
): readonly Finding[] {
  const { bends, mark, piece, tube } = schedule;
  const bend = bends[index]!;
  const endOf = ({ mark: at, arc }: Bend): number => at + arc;
  const before = Math.max(
    0,
    ...bends.slice(0, index).flatMap((each, at) => (done.has(at) ? [endOf(each)] : [])),
  );
  const after = bends.findIndex((_, at) => at > index && done.has(at));
  const behind = after < 0 ? tube : bends[after]!.mark;
  const short = (what: 'clamp' | 'follower', has: number, wants: number) =>
    has < wants ? [tell('straight-short', 'look', piece, { mark, bend: bend.number, has, wants, what })] : [];
  return [
    ...short('clamp', bend.mark - before, die.clamp),
    ...short('follower', behind - endOf(bend), die.follow),
    ...sweepFindings(schedule, die, index, done),
  ];
}

/** The tube as it stands in the bender when a bend is nearly made: the die's middle at the origin, its axis up. */
export interface InBender {
  /** Points along the part that is bent and swings. */
  readonly swung: readonly Vector[];
  /** Points along the rest, which stays: bent where a bend behind this one was made before it. */
  readonly rest: readonly Vector[];
}

/** Points of a tube along its way are told so close, mm. */
const CLOSE = 20;

/**
 * Where a tube stands in the bender while a bend is made: what is bent already swings, the rest lies still behind the die.
 * @param index of the bend along the tube, from its reference end
 * @param made degrees of this bend that are made
 * @param done bends that are made already, by their place along the tube: by the schedule's order where nothing is said
 */
export function inBender(
  schedule: BendSchedule,
  index: number,
  made: number,
  done: ReadonlySet<number> = madeBefore(schedule, index),
): InBender {
  const bend = schedule.bends[index]!;
  const before = bentAt(schedule, ({ number, angle }) =>
    number - 1 === index ? made : done.has(number - 1) ? angle : 0,
  );
  const arc = before.arcs[[...done].filter((each) => each < index).length]!;
  const end = arc.station + arc.length;
  // The rest lies along −x at the back, the die's axis up: a frame of the tube where this bend ends now.
  const { at, direction } = pointOn(before, end);
  const across = cross(arc.axis, direction);
  // Seen from above: the tube is fed towards +x, the bend begins beside the die at y = radius, and turns about z.
  const seen = (point: Vector): Vector => {
    const way = subtract(point, at);
    return [-dot(way, direction), bend.radius - dot(way, across), dot(way, arc.axis)];
  };
  const points = (from: number, to: number) => {
    const count = Math.max(1, Math.ceil((to - from) / CLOSE));
    return Array.from({ length: count + 1 }, (_, step) =>
      seen(pointOn(before, from + ((to - from) * step) / count).at),
    );
  };
  return { swung: points(0, end), rest: points(end, before.length) };
}

/**
 * Whether what is bent already swings into the bender or the floor while a bend is made. It turns about the die’s upright
 * axis: each of its points keeps its height and its distance from the die, so that one look tells of the whole swing.
 */
function sweepFindings(
  schedule: BendSchedule,
  die: Die,
  index: number,
  done: ReadonlySet<number>,
): Finding[] {
  if (die.floor === 0 && (die.reach === 0 || die.below === 0)) return [];
  const { mark, piece } = schedule;
  const { number, angle } = schedule.bends[index]!;
  const half = schedule.across / 2;
  const { swung, rest } = inBender(schedule, index, angle, done);
  const what = [...swung, ...rest].reduce<'bender' | 'floor' | undefined>((hit, [x, y, z]) => {
    if (hit === 'floor' || (die.floor > 0 && z - half < -die.floor)) return 'floor';
    return die.below > 0 && z - half < -die.below && Math.hypot(x, y) < die.reach ? 'bender' : hit;
  }, undefined);
  return what ? [tell('bend-hits', 'look', piece, { mark, bend: number, what })] : [];
}

/** Turn and plane of a bend from an angle gauge read on two faces square to each other. */
export function compoundFrom(
  first: number,
  second: number,
): { readonly turn: number; readonly plane: number } {
  const [a, b] = [Math.tan(toRadians(first)), Math.tan(toRadians(second))];
  return { turn: toDegrees(Math.atan(Math.hypot(a, b))), plane: toDegrees(Math.atan2(b, a)) };
}
