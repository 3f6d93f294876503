import { SEGMENT_IDS, SEGMENTS, type Segment } from '@larchwood/format';
import { bodyOf, SET_STATURE, type Body } from '../../../rider/body.js';
import { asSentence } from '../../../words.js';
import { figureDimensions } from './figureDimensions.js';
import { figureDrawn, figurePictures, figurePoints } from './figurePictures.js';
import type { Feet, Hands, PostureName, RiderPlace } from '../../../rider/place.js';
import { assembly, entry, type Assembly } from '../../assembly.js';
import type { Adjusters, Dimension, Points, State } from '../../dimension.js';
import { naming, read, type Naming, type Part, type SeatPart } from './part.js';

/** How formulas write them. */
const SYMBOLS: Readonly<Record<Segment, string>> = {
  ...{ thigh: 'tg', shank: 'sn', ankleHeight: 'ah', trunk: 'tr', upperArm: 'ua', forearm: 'fa' },
};
const wordsOf = (segment: Segment | 'stature'): readonly [name: string, symbol: string, meaning: string] => {
  if (segment === 'stature') return ['Stature', 'st', 'Standing height of the rider.'];
  const { name, span } = SEGMENTS[segment];
  return [name, SYMBOLS[segment], `${asSentence(span)}.`];
};
/** Ids of the entries that a rider gives to the stance. */
export const bodyEntries = (slot: string) => {
  const { id } = naming(slot, 0);
  return [...SEGMENT_IDS, 'stature' as const].map((segment) => [segment, id(segment)] as const);
};

/** The body that a state's entries hold. */
export const bodyIn = (state: object, entries: ReturnType<typeof bodyEntries>): Body =>
  Object.fromEntries(entries.map(([segment, id]) => [segment, read(state, id)])) as unknown as Body;

export interface RiderOptions<S> {
  /** Empty for the first rider. */
  readonly slot: string;
  readonly place: number;
  readonly name: string;
  readonly posture: PostureName;
  readonly seat: SeatPart<S>;
  readonly feet: Part<S, Feet>;
  readonly hands: Part<S, Hands>;
  readonly adjusters: Adjusters;
  /** The feet turn cranks. */
  readonly cranks?: boolean;
  /** A second place beside the first, when there is one. */
  readonly beside?: (state: S, first: RiderPlace) => readonly RiderPlace[];
}

/** A rider in a place: the body that the brief gives, where it is put, and the angles that come of it. */
export function rider<S extends object>(options: RiderOptions<S>): Assembly {
  const { slot, place, name, posture, seat, feet, hands, adjusters, cranks = false, beside } = options;
  const named = naming(slot, place);
  const entries = bodyEntries(slot);
  const besides = beside ? bodyEntries('passenger') : [];
  const placeIn = remembered((state: S): RiderPlace => {
    const body = bodyIn(state, entries);
    return {
      id: slot,
      name,
      posture,
      body,
      ...seat.of(state, body),
      feet: feet.of(state),
      hands: hands.of(state),
    };
  });
  const usual = bodyOf({ stature: SET_STATURE });
  const parts = [seat, feet, hands];
  const pictures = figurePictures(named, placeIn, cranks);
  return assembly<S>({
    start: Object.assign(
      Object.fromEntries([...entries, ...besides].map(([segment, id]) => [id, usual[segment]])),
      ...parts.map(({ start }) => start),
    ) as State,
    given: [...entries, ...besides].map(([, id]) => id),
    dimensions: [
      ...entries.map(([segment, id]) => bodyEntry(segment, id, named)),
      ...besides.map(([segment, id]) => bodyEntry(segment, id, naming('passenger', place + 1))),
      ...parts.flatMap(({ dimensions }) => dimensions),
      ...figureDimensions(named, placeIn, seat.lean, adjusters, cranks),
    ],
    pictured: [pictures, ...parts.flatMap(({ pictured: each }) => each ?? [])],
    seat: {
      slots: [{ id: slot, name, adjusters }, ...(beside ? [{ id: 'passenger', name: 'Passenger' }] : [])],
      places: (state) => [placeIn(state), ...(beside?.(state, placeIn(state)) ?? [])],
      points: (state) =>
        Object.assign(
          figurePoints(named, placeIn(state)),
          ...parts.map((part) => part.points?.(state)),
        ) as Points,
      drawn: [...parts.flatMap(({ drawn }) => drawn ?? []), ...figureDrawn(named, placeIn)],
      handles: [
        ...parts.flatMap(({ handles }) => handles ?? []),
        {
          point: named.id('shoulder'),
          name: named.name('Shoulder'),
          views: ['side'],
          moves: [seat.lean],
        },
      ],
    },
  });
}

/** One place a state: the solver and the drawing ask for it many times over. */
function remembered<S extends object, T>(work: (state: S) => T): (state: S) => T {
  const known = new WeakMap<S, T>();
  return (state) => {
    const before = known.get(state);
    if (before !== undefined) return before;
    const result = work(state);
    known.set(state, result);
    return result;
  };
}

function bodyEntry(segment: Segment | 'stature', id: string, { name, symbol }: Naming): Dimension {
  const [title, letters, meaning] = wordsOf(segment);
  return entry({
    id,
    name: name(title),
    symbol: symbol(letters),
    limits: [5, 2600],
    source: 'the rider’s measures in the brief',
    meaning,
  });
}
