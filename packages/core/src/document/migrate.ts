import { findKind } from '../stance/kinds/registry.js';
import { without } from '../without.js';
import type { Brief, BuildDocument } from './schema.js';
import { lumpsOf, seatOf } from './seat.js';

/** A document of an earlier version as this version writes it; one that is no build, or not older, comes back as it is. */
export function migrated(value: Record<string, unknown>): Record<string, unknown> {
  const second = value.version === 1 ? fromVersion1(value) : value;
  const third = second.version === 2 ? fromVersion2(second) : second;
  const fourth = third.version === 3 ? fromVersion3(third) : third;
  return fourth.version === 4 ? fromVersion4(fourth) : fourth;
}

/** Version 4 knew one school only, with eight axes in its profile, and two sizes of paper. */
function fromVersion4(value: Record<string, unknown>): Record<string, unknown> {
  const { fixture, paper } = value;
  const old = isRecord(fixture) && isRecord(fixture.profile) ? fixture.profile : {};
  const axes = Array.isArray(old.axes) ? old.axes.filter(isRecord) : [];
  const sizes = Object.entries(old).filter(([, size]) => typeof size === 'number');
  return {
    ...value,
    version: 5,
    fixture: {
      profiles: [
        {
          school: 'slide-and-post',
          name: old.name ?? 'Slide-and-post fixture',
          units: 'build',
          sizes: Object.fromEntries(sizes),
          choices: {},
          scales: Object.fromEntries(axes.map((axis) => [String(axis.id), without(axis, 'id')])),
          stock: {},
        },
      ],
      readings: [],
    },
    paper: isRecord(paper) ? { ...USUAL_PAPER, ...paper } : paper,
  };
}

/** Plan on tiles, a roll of 36 in, a printer that prints true. */
export const USUAL_PAPER = {
  size: 'A4',
  thickness: 0.1,
  planOn: 'tiles',
  rollWidth: 914,
  overlap: 15,
  printer: { x: 1, y: 1 },
} satisfies BuildDocument['paper'];

/** Version 3 knew straight tubes without groups, and plates in the side view's plane only. */
function fromVersion3(value: Record<string, unknown>): Record<string, unknown> {
  const { frame } = value;
  if (!isRecord(frame)) return { ...value, version: 4 };
  const each = (items: unknown, more: Record<string, unknown>) =>
    Array.isArray(items)
      ? items.map((item: unknown) => (isRecord(item) ? { ...more, ...item } : item))
      : items;
  return {
    ...value,
    version: 4,
    frame: {
      groups: [],
      ...frame,
      members: each(frame.members, { bends: [], turn: 0 }),
      plates: each(frame.plates, { plane: 'side', tilt: 0, turn: 0, bendLines: [] }),
    },
  };
}

/** What version 3 asks of every stance: seat, feet and hands of the riders. */
const SEAT_ENTRY =
  /^((rear|middle)(SaddleHeight|SaddleBack|TrunkLean|GripsAhead|GripsAbove|BarWidth)|saddleHeight|saddleBack|trunkLean|barReach|barRise|barWidth|gripsAhead|gripsHeight|backAngle|baseAngle|baseLength|seatThickness|pegsAhead|pegHeight|pegSpread|feetAhead|hipAhead|hipHeight|wheelAhead|wheelHeight|steeringWheelDiameter|columnAngle|seatSpread)$/;
/** Entries that only these kinds lacked in version 2. */
const NEW_TO_KIND: Readonly<Record<string, readonly string[]>> = {
  motorcycle: ['seatAhead', 'seatHeight'],
  'delta-trike': ['crankLength'],
  'tadpole-trike': ['crankLength'],
};

/** Version 2 had no riders in their places and no masses: both begin as the build's starting set has them. */
function fromVersion2(value: Record<string, unknown>): Record<string, unknown> {
  const kind = findKind(String(value.kind));
  const set = kind?.startingSets.find(({ id }) => id === value.startingSet) ?? kind?.startingSets[0];
  const { stance } = value;
  if (!kind || !set || !isRecord(stance) || !isRecord(stance.held)) return { ...value, version: 3 };
  const added = Object.entries(set.held).filter(
    ([id]) => SEAT_ENTRY.test(id) || NEW_TO_KIND[kind.id]?.includes(id),
  );
  return {
    ...value,
    version: 3,
    stance: { ...stance, held: { ...Object.fromEntries(added), ...stance.held } },
    seat: seatOf(set),
    mass: { lumps: lumpsOf(set.lumps).filter(({ sort }) => sort !== 'frame' || !framed(value)) },
  };
}

/** Whether there are tubes already, so that nothing need stand for them. */
const framed = ({ frame }: Record<string, unknown>): boolean =>
  isRecord(frame) && Array.isArray(frame.members) && frame.members.length > 0;

/**
 * Version 1 knew bicycles only, and kept how a fork was measured beside its length: along the axis is now a dimension of
 * its own. Travel, sag and the brief are new.
 */
function fromVersion1(value: Record<string, unknown>): Record<string, unknown> {
  const { stance } = value;
  if (!isRecord(stance) || !isRecord(stance.held)) return { ...value, version: 2, brief: EMPTY_BRIEF };
  const { forkMeasured } = stance;
  const { axleToCrown, ...others } = stance.held;
  const length =
    axleToCrown === undefined
      ? {}
      : { [forkMeasured === 'alongAxis' ? 'crownAboveFoot' : 'axleToCrown']: axleToCrown };
  return {
    ...value,
    version: 2,
    brief: EMPTY_BRIEF,
    stance: {
      ...without(stance, 'forkMeasured'),
      held: { ...others, ...length, frontTravel: 0, frontSag: 0, rearTravel: 0, rearSag: 0 },
    },
  };
}

export const EMPTY_BRIEF: Brief = {
  purpose: '',
  riders: [],
  shelf: [],
  limits: [],
  school: 'slide-and-post',
};

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
