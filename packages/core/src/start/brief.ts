import { failure, success, type Result } from '../result.js';
import type { Ease, Fit, Kind, StartingSet } from '../stance/dimension.js';
import { releases } from '../stance/exchange.js';
import { findKind } from '../stance/kinds/registry.js';
import { SET_STATURE, statureOfLegs } from '../rider/body.js';
import { stanceOf } from '../stance/stance.js';
import { parseTyreMarking } from '../stance/tyres.js';
import { without } from '../without.js';
import { layoutsFor } from '../frame/layouts/registry.js';
import { frameMadeAgain } from './create.js';
import type { Brief, BuildDocument, ShelfItem } from '@larchwood/format';

/** Why a wheel or a dimension of a starting stance is as it is. */
export interface Reason {
  /** `wheels.front`, `wheels.rear`, or a dimension's id. */
  readonly where: string;
  readonly from: 'set' | 'rider' | 'shelf' | 'given up';
  /** Name of the set, of the rider, or of the part on the shelf. */
  readonly name: string;
  /** What was let go for it, or why it could not be kept. */
  readonly note?: string;
}
export interface BriefStart {
  readonly document: BuildDocument;
  readonly reasons: readonly Reason[];
}

/** A length fitted to a rider comes in these steps, mm. */
const FIT_STEP = 5;

/** What the brief asks of a dimension, and who asks. */
interface Wish {
  readonly id: string;
  readonly value: number;
  readonly from: 'rider' | 'shelf';
  readonly name: string;
}
interface Start {
  readonly wheels: BuildDocument['wheels'];
  readonly held: BuildDocument['stance']['held'];
  readonly reasons: readonly Reason[];
}

/**
 * The build with its stance started again from its brief: the starting set's dimensions, over them those that are fitted
 * to the riders, and over these what the parts on the shelf settle. A wished dimension that the set lets follow is held,
 * and the best one is let go for it. Everything but stance, wheels and frame stays.
 */
export function startFromBrief(build: BuildDocument): Result<BriefStart> {
  const kind = findKind(build.kind);
  const set = kind?.startingSets.find(({ id }) => id === build.startingSet);
  if (!kind || !set) return failure('The brief names no starting set of this kind of vehicle.');
  const { riders, shelf } = build.brief;
  let start = startOf(set);
  for (const item of shelf) start = withWheel(build, start, item);
  const wishes: Wish[] = [...riderWishes(set, riders), ...shelf.flatMap(partWishes)];
  for (const wish of wishes) start = withWish(kind, build, start, wish);
  if (riders.length > 0) for (const ease of set.ease ?? []) start = atEase(kind, build, start, ease);
  const started = { ...build, wheels: start.wheels, stance: { held: { ...start.held } } };
  const framed = frameMadeAgain(started);
  return success({ document: framed.ok ? framed.value : started, reasons: start.reasons });
}

/** What fitting the seat to its riders comes to: the build, and a sentence for each thing that it changed or had to leave. */
export interface Seating {
  readonly document: BuildDocument;
  /** Held dimensions that became other. */
  readonly changed: readonly { readonly id: string; readonly from: number; readonly to: number }[];
  /** Dimensions that were left, with the reason in words. */
  readonly left: readonly { readonly id: string; readonly why: string }[];
}

/**
 * Seats the riders again: what is fitted to them at the seat station, and the trunk's lean that lets the arms be at ease.
 * All else stays; what follows, or no vehicle comes of, is left as it is, and said.
 */
export function seatAtEase(build: BuildDocument): Seating {
  const kind = findKind(build.kind);
  const set = kind?.startingSets.find(({ id }) => id === build.startingSet);
  if (!kind || !set || build.brief.riders.length === 0) return { document: build, changed: [], left: [] };
  const seated = new Set(kind.seat.groups.flatMap(({ ids }) => ids));
  const left: { id: string; why: string }[] = [];
  let start: Start = { wheels: build.wheels, held: build.stance.held, reasons: [] };
  const follows = 'it is not held: it follows from what is';
  for (const wish of riderWishes(set, build.brief.riders)) {
    if (!seated.has(wish.id)) continue;
    if (!(wish.id in start.held)) {
      left.push({ id: wish.id, why: follows });
      continue;
    }
    start = withWish(kind, build, start, wish);
    if (start.held[wish.id] !== wish.value)
      left.push({ id: wish.id, why: 'no vehicle comes of it with the rest' });
  }
  for (const ease of set.ease ?? []) {
    if (!(ease.dimension in start.held)) left.push({ id: ease.dimension, why: follows });
    start = atEase(kind, build, start, ease);
  }
  const changed = Object.entries(start.held).flatMap(([id, to]) => {
    const from = build.stance.held[id];
    return from === undefined || from === to ? [] : [{ id, from, to }];
  });
  return { document: { ...build, stance: { ...build.stance, held: { ...start.held } } }, changed, left };
}

/** True while stance, wheels and frame are just what the brief starts: nobody has worked on them yet. */
export function followsBrief(build: BuildDocument): boolean {
  const started = startFromBrief(build);
  if (!started.ok) return false;
  const part = ({ wheels, stance, frame }: BuildDocument) =>
    JSON.stringify([wheels, Object.entries(stance.held).sort(), frame]);
  return part(started.value.document) === part(build);
}

/** Changes the brief or the starting set; a stance that nobody has worked on yet is started again from it. */
export function changeBrief(
  build: BuildDocument,
  change: Partial<Brief> | { readonly startingSet: string },
): BuildDocument {
  const next =
    'startingSet' in change
      ? withUsualOf(build, change.startingSet)
      : { ...build, brief: { ...build.brief, ...change } };
  if (!followsBrief(build)) return next;
  const again = startFromBrief(next);
  return again.ok ? again.value.document : next;
}

/**
 * Another starting set, with what is usual for it: where frame and school were the usual ones of the set before, they become
 * those of the new one; what the builder chose stays.
 */
function withUsualOf(build: BuildDocument, startingSet: string): BuildDocument {
  const usual = (set: string) => layoutsFor(build.kind, set)[0];
  const [was, now] = [usual(build.startingSet), usual(startingSet)];
  const { origin } = build.frame;
  const { school } = build.brief;
  return {
    ...build,
    startingSet,
    brief: school === was?.schools[0] ? { ...build.brief, school: now?.schools[0] ?? school } : build.brief,
    frame:
      followsBrief(build) && origin?.pattern === was?.id && now && now !== was
        ? { sections: [], groups: [], nodes: [], members: [], plates: [] }
        : build.frame,
  };
}

const byMarking = (marking: string) => ({ by: 'marking' as const, marking, sag: 0 });

function startOf(set: StartingSet): Start {
  return {
    wheels: { front: byMarking(set.wheels.front), rear: byMarking(set.wheels.rear) },
    held: set.held,
    reasons: ['wheels.front', 'wheels.rear', ...Object.keys(set.held)].map((where) => ({
      where,
      from: 'set',
      name: set.name,
    })),
  };
}

function withWheel(build: BuildDocument, start: Start, { sort, name, marking }: ShelfItem): Start {
  if (marking === undefined || !(sort === 'front wheel' || sort === 'rear wheel')) return start;
  const end = sort === 'front wheel' ? 'front' : 'rear';
  const where = `wheels.${end}`;
  const read = parseTyreMarking(marking);
  if (!read.ok) return explained(start, { where, from: 'given up', name, note: read.message });
  const next = { ...start, wheels: { ...start.wheels, [end]: byMarking(marking) } };
  return stands(build, next)
    ? explained(next, { where, from: 'shelf', name })
    : explained(start, { where, from: 'given up', name, note: NO_VEHICLE });
}

function riderWishes(set: StartingSet, riders: Brief['riders']): Wish[] {
  return (set.fit ?? []).flatMap((fit): Wish[] => {
    const rider = riderFor(fit, riders);
    const usual = set.held[fit.dimension];
    if (!rider || usual === undefined) return [];
    const value = usual + fit.perStature * (statureFor(fit, rider) - SET_STATURE);
    return [
      { id: fit.dimension, value: Math.round(value / FIT_STEP) * FIT_STEP, from: 'rider', name: rider.name },
    ];
  });
}

/** What counts of a rider: the stature, or the one that has such legs. */
const statureFor = ({ legs }: Fit, rider: Brief['riders'][number]): number =>
  legs ? statureOfLegs(rider) : rider.stature;

function riderFor(fit: Fit, riders: Brief['riders']): Brief['riders'][number] | undefined {
  if (fit.rider !== 'tallest') return riders[fit.rider];
  return riders.reduce<Brief['riders'][number] | undefined>(
    (tallest, each) => (tallest && statureFor(fit, tallest) >= statureFor(fit, each) ? tallest : each),
    undefined,
  );
}

const partWishes = ({ name, gives }: ShelfItem): Wish[] =>
  Object.entries(gives).map(([id, value]) => ({ id, value, from: 'shelf', name }));

const NO_VEHICLE = 'No vehicle comes of it with the rest.';

/** Holds the wished dimension; where it followed, the best held one that nobody wished for is let go. */
function withWish(kind: Kind, build: BuildDocument, start: Start, { id, value, from, name }: Wish): Start {
  const refused = explained(start, { where: id, from: 'given up', name, note: NO_VEHICLE });
  if (id in start.held) {
    const next = { ...start, held: { ...start.held, [id]: value } };
    return stands(build, next) ? explained(next, { where: id, from, name }) : refused;
  }
  const now = stanceOf({ ...build, wheels: start.wheels, stance: { held: start.held } });
  if (!now.ok) return refused;
  const wished = new Set(start.reasons.filter((reason) => reason.from === 'shelf').map(({ where }) => where));
  for (const { id: letGo } of releases(kind, now.stance.state, now.stance.held, id)) {
    if (wished.has(letGo)) continue;
    const next = {
      ...start,
      held: { ...without(start.held, letGo), [id]: value },
      reasons: start.reasons.filter(({ where }) => where !== letGo),
    };
    const gone = kind.dimensions.find((each) => each.id === letGo)?.name ?? letGo;
    if (stands(build, next))
      return explained(next, { where: id, from, name, note: `${gone} was let go and follows.` });
  }
  return refused;
}

/** The dimension comes out so that its rider sits at ease; where no vehicle comes of that, it stays. */
function atEase(kind: Kind, build: BuildDocument, start: Start, { dimension, angle, value }: Ease): Start {
  if (!(dimension in start.held)) return start;
  const wanted = { ...without(start.held, dimension), [angle]: value };
  const eased = stanceOf({ ...build, wheels: start.wheels, stance: { held: wanted } });
  if (!eased.ok) return start;
  const { name, quantity } = kind.dimensions.find(({ id }) => id === angle)!;
  const step = quantity === 'angle' ? 1 : FIT_STEP;
  const found = Math.round(eased.stance.values[dimension]! / step) * step;
  return explained(
    { ...start, held: { ...start.held, [dimension]: found } },
    { where: dimension, from: 'rider', name: riderOf(build, dimension), note: `${name} at ${value}°.` },
  );
}

/** Whose dimension it is, by its prefix. */
function riderOf({ brief: { riders }, kind }: BuildDocument, dimension: string): string {
  const slots = findKind(kind)?.seat.slots ?? [];
  const place = slots.findLastIndex(({ id }) => dimension.startsWith(id));
  return riders[Math.max(0, place)]?.name ?? riders[0]?.name ?? '';
}

const stands = (build: BuildDocument, { wheels, held }: Start): boolean =>
  stanceOf({ ...build, wheels, stance: { held } }).ok;

/** One reason a place, in the order in which the places were settled. */
const explained = (start: Start, reason: Reason): Start => {
  const at = start.reasons.findIndex(({ where }) => where === reason.where);
  return {
    ...start,
    reasons:
      at < 0 ? [...start.reasons, reason] : start.reasons.map((old, place) => (place === at ? reason : old)),
  };
};
