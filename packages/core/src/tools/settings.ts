import type { BuildDocument, Shop, Tool } from '@larchwood/format';
import type { DrilledPiece } from '../holes/holes.js';
import type { PieceCut } from '../joints/cut.js';
import type { EndCut } from '../joints/endCut.js';
import { sawSettingOf, type SawSetting } from '../joints/planar.js';
import type { Frame, Piece } from '../frame/frame.js';
import { acrossOf } from '../frame/sections.js';
import { orderByMark } from '../stock/orders.js';
import { toDegrees, toRadians } from '../units/angle.js';

/** Work for a tool: an end of a piece that is cut, or a hole. Lengths mm, angles degrees. */
export interface Job {
  readonly id: string;
  readonly piece: string;
  readonly mark: string;
  readonly what: string;
  readonly kind: 'cope' | 'plane' | 'hole' | 'copy';
  readonly offSquare: number;
  /** Of a cut in one plane: how a saw makes it. */
  readonly saw?: SawSetting;
  /** Of the host, for a cope; of the hole. */
  readonly diameter: number;
  /** Of the tube that is cut. */
  readonly across: number;
  readonly material: string;
  /** A cope that no one round cutter makes: of a flat, or of several hosts. */
  readonly paperOnly: boolean;
  /** Between the centre lines of the tube and its host: how far the tube is set over. */
  readonly offset: number;
}

/** What a tool is set to for a job. */
export interface ToolSetting {
  readonly tool: string;
  readonly name: string;
  readonly sort: Tool['sort'];
  /** On the tool’s own scale; none where it has none to set. */
  readonly reads?: number;
  /** The blade tilted from upright, of a compound cut; none where it stands upright. */
  readonly bevel?: number;
  /** The tube set over off the cutter’s middle; none where it is cut on its middle. */
  readonly over?: number;
  /** Cutter, bit or saw that goes in. */
  readonly cutter?: number;
  /** Largest gap when the tube is pushed home, with the play of the arbor. */
  readonly gap?: number;
  /** Turns a minute, and feed a minute. */
  readonly speed?: number;
  readonly feed?: number;
}
export type ToolAnswer =
  | { readonly can: true; readonly setting: ToolSetting }
  | { readonly can: false; readonly tool: string; readonly name: string; readonly why: string };

/** A gap that each process still closes, mm. Common practice, no source. */
export const CLOSES = { tig: 0.25, braze: 0.5, mig: 1 } as const;
/** A cutter this near to its host’s size is of that size; a bit this near to its hole; mm. Common practice, no source. */
export const SAME = { cutter: 0.3, bit: 0.15 } as const;
/** Cutting speed of a high-speed cutter, m/min [from memory; the cutter’s maker goes before them]. */
const SPEED: Readonly<Record<string, number>> = {
  'mild-steel': 30,
  'dom-1020': 28,
  'chromoly-4130': 25,
  'stainless-304': 15,
  'aluminium-6061': 90,
  'titanium-3-2.5': 12,
};
/** Feed of a hole saw a turn, mm [common practice, no source]. */
const FEED = 0.15;

/**
 * Every end and hole of pieces that the builder cuts: of none that comes cut from somebody else.
 * @param document whose twins may be made after a template: the second of a pair is one job, after the first
 */
export function jobsOf(
  { pieces }: Frame,
  every: readonly PieceCut[],
  drilled: readonly DrilledPiece[],
  document: Pick<BuildDocument, 'cuts'> = {},
): readonly Job[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const bought = orderByMark(document);
  const isMade = ({ mark }: { readonly mark: string }) => !bought.has(mark);
  const cuts = every.filter(isMade);
  const ends = cuts.flatMap((cut) => {
    const piece = byId.get(cut.piece)!;
    return cut.ends.map((end) => endJob(cut, end, piece));
  });
  const holes = drilled.filter(isMade).flatMap(({ piece: id, mark, bores }) => {
    const piece = byId.get(id)!;
    return bores.map((bore, index): Job => ({
      ...{
        id: `${id}/hole${index}`,
        piece: id,
        mark,
        what: bore.wall === 'far' ? `${bore.name}, far wall` : bore.name,
      },
      ...{ kind: 'hole', offSquare: 0, diameter: bore.diameter, across: acrossOf(piece.section) },
      ...{ material: piece.member.material, paperOnly: false, offset: 0 },
    }));
  });
  const all = [...ends, ...holes];
  if (document.cuts?.twins !== 'template') return all;
  const isSecond = ({ piece }: { readonly piece: string }) => byId.get(piece)!.side === 'right';
  const copies = cuts.filter(isSecond).map((cut): Job => {
    const piece = byId.get(cut.piece)!;
    const first = cut.mark.replace(/R$/, 'L');
    return {
      ...{ id: `${cut.piece}/copy`, piece: cut.piece, mark: cut.mark },
      what: cut.handedness === 'mirror' ? `as ${first}, mirrored` : `as ${first}, turned over`,
      ...{ kind: 'copy', offSquare: 0, diameter: 0, across: acrossOf(piece.section) },
      ...{ material: piece.member.material, paperOnly: false, offset: 0 },
    };
  });
  return [...all.filter((job) => !isSecond(job)), ...copies];
}

function endJob(cut: PieceCut, end: EndCut, piece: Piece): Job {
  const round = end.cut === 'coped' && end.cutterDiameter > 0;
  const saw = round ? undefined : sawSettingOf(end);
  const laid = saw?.up === 'next' ? ', next face up' : '';
  return {
    ...{ id: `${cut.piece}/${end.end}`, piece: cut.piece, mark: cut.mark },
    what:
      end.cut === 'coped'
        ? `${end.end}, to ${end.hosts.join(' + ')}${laid}`
        : `${end.end}, ${end.offSquare < 0.05 ? 'square' : `at an angle${laid}`}`,
    kind: round ? 'cope' : end.cut === 'coped' && !end.saw ? 'cope' : 'plane',
    offSquare: end.offSquare,
    diameter: end.cutterDiameter,
    across: end.tubeAcross > 0 ? end.tubeAcross : acrossOf(piece.section),
    material: piece.member.material,
    paperOnly: end.cut === 'coped' && (!round || end.hosts.length > 1),
    offset: end.cut === 'coped' ? Math.abs(end.offset) : 0,
    ...(saw ? { saw } : {}),
  };
}

/**
 * Largest gap along the tube when a cope of another cutter’s size is pushed home: the cut and the host part most where one
 * of them bends away. Closed form, of the formula of a cope: the term of the angle is the same in both.
 * @param host diameter, mm; also of cutter and tube
 * @param angle between the axes, degrees
 * @param offset between the centre lines, mm
 */
export function cutterGap(host: number, cutter: number, tube: number, angle: number, offset = 0): number {
  const [R, c] = [host / 2, cutter / 2];
  // Of the tube’s width those lines count that meet both: the nearest to the host’s middle, and the farthest off it.
  const near = Math.max(0, offset - tube / 2);
  const far = Math.min(offset + tube / 2, R, c);
  const over = (s: number) => Math.sqrt(Math.max(0, R * R - s * s)) - Math.sqrt(Math.max(0, c * c - s * s));
  return Math.abs(over(near) - over(far)) / Math.max(0.01, Math.sin(toRadians(angle)));
}

/** Centre lines this near are one, mm. */
const ON_MIDDLE = 0.05;

/** What one tool says to a job. */
export function answerOf(id: string, tool: Tool, job: Job): ToolAnswer {
  const { name, sort } = tool;
  const no = (why: string): ToolAnswer => ({ can: false, tool: id, name, why });
  const yes = (more: Partial<ToolSetting> = {}): ToolAnswer => ({
    can: true,
    setting: { tool: id, name, sort, ...more },
  });
  if (job.kind === 'copy') return no('it is marked from the first of the pair');
  const onScale = (angle: number) => (tool.scale === 'from-square' ? angle : 90 - angle);
  const reads = onScale(job.offSquare);
  if (sort === 'drill' || sort === 'hole-saws') {
    if (job.kind !== 'hole') return no('it makes holes only');
    if (job.diameter > tool.largest + SAME.bit) return no('the hole is larger than it makes');
    const bit = tool.sizes.find((size) => Math.abs(size - job.diameter) <= SAME.bit);
    if (bit === undefined) return no('none of that size is on hand');
    return yes({ cutter: bit, ...turning(tool, bit, job) });
  }
  if (job.kind === 'hole') return no('it makes no holes');
  if (sort === 'paper') return job.offSquare > tool.most ? no(`it goes to ${tool.most}° off square`) : yes();
  if (job.across > tool.largest) return no('the tube is larger than it takes');
  if (sort === 'saw') {
    if (job.kind !== 'plane') return no('a saw cuts no cope');
    const { miter, bevel } = job.saw ?? { miter: job.offSquare, bevel: 0 };
    if (Math.max(miter, bevel) > tool.most) return no(`it stops at ${tool.most}° off square`);
    return yes({ reads: onScale(miter), ...(bevel > 0 ? { bevel } : {}) });
  }
  if (job.offSquare > tool.most) return no(`it stops at ${tool.most}° off square`);
  if (job.kind === 'plane') return no('a saw does that better');
  if (job.paperOnly) return no('no one cutter makes it: several hosts, or a flat');
  const fitting = tool.sizes
    .filter((size) => size >= job.across + 2 * job.offset - SAME.cutter && size <= tool.largest)
    .sort((a, b) => Math.abs(a - job.diameter) - Math.abs(b - job.diameter));
  const [cutter] = fitting;
  if (cutter === undefined) return no('no cutter on hand is as wide as the tube');
  const gap = cutterGap(job.diameter, cutter, job.across, 90 - job.offSquare, job.offset) + tool.play;
  const over = job.offset < ON_MIDDLE ? {} : { over: job.offset };
  return yes({ reads, cutter, gap, ...over, ...turning(tool, cutter, job) });
}

/** Turns a minute within what the tool has, and the feed. Source: n = 1000 V / (pi D), Machinery’s Handbook. */
function turning({ speeds: [slow, fast] }: Tool, cutter: number, { material }: Job): Partial<ToolSetting> {
  if (fast === 0) return {};
  const wanted = (1000 * (SPEED[material] ?? 25)) / (Math.PI * cutter);
  const speed = Math.min(fast, Math.max(slow, wanted));
  return { speed, feed: speed * FEED };
}

export interface ToolJob {
  readonly job: Job;
  readonly best: ToolSetting | undefined;
  readonly answers: readonly ToolAnswer[];
}

/**
 * Each job with every tool’s answer, and the one that does it best: the least gap where any process closes it, else its
 * pattern, else the least gap there is.
 */
export function toolJobs(jobs: readonly Job[], { tools }: Pick<Shop, 'tools'>): readonly ToolJob[] {
  const order: readonly Tool['sort'][] = ['saw', 'drill', 'hole-saws', 'notcher', 'mill', 'paper'];
  const rank = ({ sort, gap = 0 }: ToolSetting): number => (sort === 'paper' ? 1 : gap <= CLOSES.tig ? 0 : 2);
  return jobs.map((job) => {
    const answers = Object.entries(tools).map(([id, tool]) => answerOf(id, tool, job));
    const [best] = answers
      .flatMap((answer) => (answer.can ? [answer.setting] : []))
      .sort(
        (a, b) =>
          rank(a) - rank(b) || (a.gap ?? 0) - (b.gap ?? 0) || order.indexOf(a.sort) - order.indexOf(b.sort),
      );
    return { job, best, answers };
  });
}

/** Which processes still close a gap. */
export function closedBy(gap: number): string {
  if (gap <= CLOSES.tig) return 'any process';
  if (gap <= CLOSES.braze) return 'brazing and MIG';
  return gap <= CLOSES.mig ? 'MIG only' : 'none: fit it by hand';
}

/** Jobs of one setting together: same tool, cutter and reading, so that it is set once. */
export function bySetting(jobs: readonly ToolJob[]): readonly (readonly ToolJob[])[] {
  const groups = new Map<string, ToolJob[]>();
  for (const each of jobs) {
    const { best } = each;
    const key = best
      ? [
          best.sort,
          best.name,
          best.cutter ?? 0,
          (best.reads ?? 0).toFixed(1),
          (best.bevel ?? 0).toFixed(1),
          (best.over ?? 0).toFixed(1),
        ].join(' ')
      : 'none';
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

/** Two tubes that are bored in one set-up: only their centre lines are common. Lengths mm, degrees. */
export interface OneSetUp {
  /** Under the smaller one, where both lie on one table. */
  readonly shim: number;
  /** What a level laid across both reads when they lie right: down towards the smaller one. */
  readonly reads: number;
}
/**
 * How two round tubes of different size are set in one vice or on one table. Source: common tangent of two circles.
 * @param sizes across, as they lie; mm
 * @param apart from centre line to centre line, mm
 * @throws RangeError where they are not apart at all
 */
export function inOneSetUp(sizes: readonly [number, number], apart: number): OneSetUp {
  if (!(apart > 0)) throw new RangeError('Two tubes lie apart.');
  const shim = Math.abs(sizes[0] - sizes[1]) / 2;
  return { shim, reads: toDegrees(Math.asin(Math.min(1, shim / apart))) };
}
