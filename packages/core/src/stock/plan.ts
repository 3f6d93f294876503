import { rollup, sum } from 'd3-array';
import type { BuildDocument, CutBar, Offcut, Sawing, Shop } from '@larchwood/format';
import { USUAL_SAWING } from '@larchwood/format';
import type { BendSchedule } from '../bends/schedule.js';
import { teller, type Finding } from '../findings/finding.js';
import type { Frame, Piece } from '../frame/frame.js';
import type { PieceCut } from '../joints/cut.js';
import {
  barOf,
  longestOf,
  nestOf,
  roomOf,
  type BarSource,
  type Cutting,
  type Nest,
  type Wanted,
} from './nest.js';

/** Pieces of one section and material, and the bars that it is to be had in. */
export interface StockGroup {
  readonly section: string;
  readonly material: string;
  readonly wanted: readonly Wanted[];
  readonly sources: readonly BarSource[];
  /** Costs are prices; lengths where a price is missing. */
  readonly priced: boolean;
  /** kg of one mm of it. */
  readonly perMm: number;
  /** Butted, tapered or pressed at an end: each tube gives one piece, and what is left of it is none worth keeping. */
  readonly oneEach: boolean;
}

const givesOne = ({ section }: Pick<Piece, 'section'>): boolean =>
  section.shape === 'round' &&
  (section.butts !== undefined || section.taper !== undefined || section.ovalEnd !== undefined);

/** What each piece is as it is sawn: a bent one as long as it is bent. */
function sawn(
  cuts: readonly PieceCut[],
  bends: readonly BendSchedule[],
): readonly { readonly cut: PieceCut; readonly length: number }[] {
  const bent = new Map(bends.map((schedule) => [schedule.piece, schedule]));
  return cuts.map((cut) => {
    const schedule = bent.get(cut.piece);
    return { cut, length: cut.blank + (schedule ? schedule.tube - schedule.finished : 0) };
  });
}

export const sawingOf = ({ sawing }: Pick<Shop, 'sawing'>): Sawing =>
  Object.values(sawing)[0] ?? USUAL_SAWING;

/**
 * What has to be cut of each section and material, bent pieces as long as they are bent, and what it can be cut from.
 * Off-cuts that were used are not there any more.
 * @param made marks of pieces that are cut already, or bought cut
 */
export function stockGroups(
  {
    frame: { pieces },
    cuts,
    bends,
  }: { readonly frame: Frame; readonly cuts: readonly PieceCut[]; readonly bends: readonly BendSchedule[] },
  shop: Pick<Shop, 'stock' | 'rack'>,
  made: ReadonlySet<string> = new Set(),
): readonly StockGroup[] {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const all = sawn(cuts, bends)
    .filter(({ cut: { mark } }) => !made.has(mark))
    .map(({ cut, length }) => {
      const piece = byId.get(cut.piece)!;
      const { section, material } = piece.member;
      const wanted: Wanted = { piece: piece.member.id, mark: cut.mark, length };
      return {
        key: `${section} ${material}`,
        section,
        material,
        wanted,
        of: piece,
        perMm: piece.mass / Math.max(1, piece.length),
      };
    });
  return [
    ...rollup(
      all,
      (each) => each,
      ({ key }) => key,
    ).values(),
  ].map((each) => {
    const { section, material, perMm, of } = each[0]!;
    const { sources, priced } = sourcesOf(shop, section, material);
    const oneEach = givesOne(of);
    const asSold = sources.length === 0 ? soldAs(of) : [];
    return {
      ...{ section, material, perMm, priced, oneEach },
      sources: [...sources, ...asSold],
      wanted: each.map(({ wanted }) => wanted),
    };
  });
}

/** A butted tube says itself how long it is sold. */
const soldAs = ({ section }: Piece): readonly BarSource[] =>
  section.shape === 'round' && section.butts
    ? [{ id: 'as-sold', length: section.butts.soldLength, cost: section.butts.soldLength, offcut: false }]
    : [];

/**
 * Of tubes that give one piece each: the cheapest that is long enough. No end is sawn off a new one first: its thick ends
 * are where they are.
 */
export function oneEachNest(
  wanted: readonly Wanted[],
  sources: readonly BarSource[],
  { kerf }: Cutting,
): Nest {
  const used = new Map<string, number>();
  const whole: Cutting = { kerf, trim: 0 };
  const over: Wanted[] = [];
  const bars = [...wanted]
    .sort((a, b) => b.length - a.length)
    .flatMap((piece) => {
      const [source] = sources
        .filter(
          (each) =>
            roomOf(each, whole) - kerf >= piece.length - 1e-6 &&
            (used.get(each.id) ?? 0) < (each.most ?? Infinity),
        )
        .sort((a, b) => a.cost - b.cost || a.length - b.length);
      if (!source) {
        over.push(piece);
        return [];
      }
      used.set(source.id, (used.get(source.id) ?? 0) + 1);
      return [{ ...barOf(source, [piece], whole), left: 0 }];
    });
  return nestOf(bars, over);
}

function sourcesOf({ stock, rack }: Pick<Shop, 'stock' | 'rack'>, section: string, material: string) {
  const same = (each: { readonly section: string; readonly material: string }) =>
    each.section === section && each.material === material;
  const sold = Object.entries(stock).filter(([, each]) => same(each));
  const priced = sold.length > 0 && sold.every(([, { price }]) => price > 0);
  const sources: BarSource[] = [
    ...sold.map(([id, { length, price, most }]) => ({
      ...{ id, length, cost: priced ? price : length, offcut: false },
      ...(most === undefined ? {} : { most }),
    })),
    ...Object.entries(rack)
      .filter(([, each]) => same(each) && each.usedFor === undefined)
      .map(([id, { length, donor }]) => ({
        ...{ id, length, cost: 0, most: 1, offcut: true },
        ...(donor ? { donor } : {}),
      })),
  ];
  return { sources, priced };
}

const tell = teller('cuts');

/** What stands in the way of cutting a group. */
export function stockFindings(
  { sources, section }: StockGroup,
  { over }: Nest,
  cutting: Cutting,
  name: string,
): Finding[] {
  if (over.length === 0) return [];
  const pieces = over.map(({ mark }) => mark).join(', ');
  if (sources.length === 0) return [tell('no-stock', 'note', section, { section: name, pieces })];
  const bar = longestOf(sources, cutting);
  return over.map(({ piece, mark, length }) => tell('piece-over-bar', 'look', piece, { mark, length, bar }));
}

/** A piece that was cut counts as the one that is wanted within this, mm. */
export const CUT_TO = 0.5;

/** Pieces that were cut before the frame was changed: they have another length now, or are wanted no more. */
export function cutFindings(
  { cuts, bends }: { readonly cuts: readonly PieceCut[]; readonly bends: readonly BendSchedule[] },
  done: readonly CutBar[],
): Finding[] {
  const now = new Map(sawn(cuts, bends).map(({ cut, length }) => [cut.mark, { cut, length }]));
  return done.flatMap(({ pieces }) =>
    pieces.flatMap(({ piece, mark, length }): Finding[] => {
      const wanted = now.get(mark);
      if (!wanted) return [tell('cut-not-wanted', 'note', piece, { mark, length })];
      const differs = wanted.length - length;
      return Math.abs(differs) <= CUT_TO
        ? []
        : [
            tell('cut-differs', differs > 0 ? 'look' : 'note', wanted.cut.piece, {
              mark,
              length,
              wanted: wanted.length,
            }),
          ];
    }),
  );
}

/** A bar as the document keeps it once it is cut. */
export const cutBar = (
  id: string,
  { section, material }: Pick<StockGroup, 'section' | 'material'>,
  { source, pieces, left }: Nest['bars'][number],
): CutBar => ({
  ...{ id, section, material, length: source.length, left },
  ...(source.offcut ? { offcut: source.id } : {}),
  pieces: pieces.map(({ piece, mark, length }) => ({ piece, mark, length })),
});

/** What must change on the rack so that it agrees with the bars that a build has marked cut. */
export interface RackChange {
  readonly id: string;
  /** None: taken off the rack. */
  readonly offcut: Offcut | undefined;
}

/**
 * An off-cut that is thrown away or used for something else. What is left of a bar is kept as gone: else it would be put
 * back as long as its bar is marked cut.
 * @returns none where it can be taken off the list
 */
export const goneFromRack = (offcut: Offcut): Offcut | undefined =>
  offcut.cameFrom ? { ...offcut, usedFor: { build: offcut.cameFrom.build, bar: GONE } } : undefined;
const GONE = 'gone';

/** Id of the off-cut that is left of a bar. */
export const leftId = (bar: string): string => `left-${bar}`;

/**
 * After a bar is marked cut, or that is undone: what is left of it lies on the rack if it is worth keeping, and an off-cut
 * that it was made of is used; what belongs to bars that are not cut any more is taken back.
 */
export function rackChanges(
  build: string,
  bars: readonly CutBar[],
  { rack, sawing }: Pick<Shop, 'rack' | 'sawing'>,
  note: string,
): readonly RackChange[] {
  const { keep } = sawingOf({ sawing });
  const byId = new Map(bars.map((bar) => [bar.id, bar]));
  const changes: RackChange[] = [];
  for (const [id, offcut] of Object.entries(rack)) {
    const { cameFrom, usedFor, ...bare } = offcut;
    if (cameFrom?.build === build && !byId.has(cameFrom.bar)) changes.push({ id, offcut: undefined });
    else if (usedFor?.build === build && usedFor.bar !== GONE && byId.get(usedFor.bar)?.offcut !== id)
      changes.push({ id, offcut: { ...bare, ...(cameFrom ? { cameFrom } : {}) } });
  }
  for (const { id: bar, section, material, left, offcut } of bars) {
    const from = offcut === undefined ? undefined : rack[offcut];
    if (from && from.usedFor?.bar !== bar)
      changes.push({ id: offcut!, offcut: { ...from, usedFor: { build, bar } } });
    const id = leftId(bar);
    if (left >= keep && !rack[id])
      changes.push({
        id,
        offcut: { section, material, length: Math.floor(left * 10) / 10, note, cameFrom: { build, bar } },
      });
  }
  return changes;
}

/** What is to be bought: how many of each length, what they cost and weigh. */
export interface Bought {
  readonly length: number;
  readonly count: number;
  readonly cost: number;
  readonly mass: number;
}
export function shoppingOf({ perMm }: Pick<StockGroup, 'perMm'>, { bars }: Nest): readonly Bought[] {
  const bought = rollup(
    bars.filter(({ source }) => !source.offcut),
    (all) => all,
    ({ source }) => source.id,
  );
  return [...bought.values()].map((all) => ({
    length: all[0]!.source.length,
    count: all.length,
    cost: sum(all, ({ source }) => source.cost),
    mass: sum(all, ({ source }) => source.length) * perMm,
  }));
}

/** Bars of a build that are marked cut. */
export const barsCut = ({ cuts }: Pick<BuildDocument, 'cuts'>): readonly CutBar[] => cuts?.bars ?? [];
