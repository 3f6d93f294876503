import type { RiderPlace } from '../rider/place.js';
import type { Pictured } from './pictures/pictured.js';
import type {
  Compression,
  Dimension,
  Drawn,
  Handle,
  Kind,
  OutlineLine,
  Place,
  Points,
  Refusal,
  RiderSlot,
  StandingWheel,
  State,
  SteeredWheel,
} from './dimension.js';
import type { Quantity } from '../units/quantity.js';

/** How a front end moves and leans: what travel and pitch make of its steering. */
export interface FrontEnd<S> {
  /** The axle in the frame's own axes when the wheel has moved up by so much, mm. */
  readonly axle: (state: S, compression: number) => Place;
  /** How its travel is measured, in words. */
  readonly travels: string;
  /** What the steering axis' lean is called here. */
  readonly lean: { readonly id: string; readonly name: string; readonly symbol: string };
  /** That lean and the trail, with the frame pitched nose up by so many degrees and the wheel moved up by so much. */
  readonly pitched: (
    state: S,
    pitch: number,
    compression: number,
  ) => { readonly lean: number; readonly trail: number };
}

/** What an assembly brings to the seat station. */
export interface SeatSide<S> {
  readonly slots: readonly RiderSlot[];
  readonly places: (state: S) => readonly RiderPlace[];
  readonly points: (state: S) => Points;
  readonly drawn: readonly Drawn[];
  readonly handles: readonly Handle[];
}

/** A part of the stance that several kinds share, such as a fork or a pair of rear wheels: its numbers and their geometry. */
export interface Assembly {
  /** State entries it brings, each with a plausible value to set out from. */
  readonly start: State;
  readonly dimensions: readonly Dimension[];
  readonly points: (state: State) => Points;
  readonly wheels: (state: State) => readonly StandingWheel[];
  readonly steered: (state: State) => readonly SteeredWheel[];
  readonly front?: FrontEnd<State>;
  readonly rearAxle?: (state: State, compression: number) => Place;
  readonly unsprung: Readonly<Record<string, 'front' | 'rear'>>;
  readonly outline: readonly OutlineLine[];
  readonly drawn: readonly Drawn[];
  readonly pictured: readonly Pictured[];
  readonly handles: readonly Handle[];
  readonly refuse: (known: Partial<State>) => readonly Refusal[];
  /** Entries that something outside the stance gives. */
  readonly given: readonly string[];
  readonly seat: SeatSide<State>;
}

/** An assembly as it is written: what it has none of is left out, and its functions read the entries they name. */
export interface AssemblyOf<S> {
  readonly start: State;
  readonly dimensions: readonly Dimension[];
  readonly points?: (state: S) => Points;
  readonly wheels?: (state: S) => readonly StandingWheel[];
  readonly steered?: (state: S) => readonly SteeredWheel[];
  readonly front?: FrontEnd<S>;
  readonly rearAxle?: (state: S, compression: number) => Place;
  readonly unsprung?: Readonly<Record<string, 'front' | 'rear'>>;
  readonly outline?: readonly OutlineLine[];
  readonly drawn?: readonly Drawn[];
  readonly pictured?: readonly Pictured[];
  readonly handles?: readonly Handle[];
  readonly refuse?: (known: Partial<S>) => readonly Refusal[];
  readonly given?: readonly string[];
  readonly seat?: Partial<SeatSide<S>>;
}

/** The solver hands over plain records with every entry filled; an assembly reads its own entries from them. */
export function assembly<S>({ seat, ...parts }: AssemblyOf<S>): Assembly {
  const none = () => [];
  return {
    points: () => ({}),
    wheels: none,
    steered: none,
    unsprung: {},
    outline: [],
    drawn: [],
    pictured: [],
    handles: [],
    refuse: none,
    given: [],
    ...(parts as unknown as Omit<AssemblyOf<State>, 'seat'>),
    seat: {
      slots: [],
      places: none,
      points: () => ({}),
      drawn: [],
      handles: [],
      ...(seat as unknown as Partial<SeatSide<State>>),
    },
  };
}

type Described = Pick<Dimension, 'id' | 'name' | 'symbol' | 'meaning'> &
  Partial<Pick<Dimension, 'limits' | 'source' | 'feel' | 'otherWord' | 'letGo'>> & {
    readonly quantity?: Quantity;
  };

const ANY: readonly [number, number] = [-10000, 10000];
const TURN: readonly [number, number] = [-180, 180];

/** A dimension that is an entry of the state: measured or chosen. */
export const entry = (described: Described & { readonly limits: readonly [number, number] }): Dimension => ({
  quantity: 'length',
  source: 'measured or chosen',
  formula: described.symbol,
  evaluate: (state) => state[described.id]!,
  ...described,
});

/** A dimension that is worked out from the state. */
export const worked = <S>({
  of,
  ...described
}: Described & { readonly formula: string; readonly of: (state: S) => number }): Dimension => ({
  quantity: 'length',
  source: 'plane trigonometry',
  limits: described.quantity === 'angle' ? TURN : ANY,
  evaluate: (state) => of(state as S),
  ...described,
});

type Identity = Pick<
  Kind,
  'id' | 'name' | 'about' | 'groups' | 'readings' | 'views' | 'bands' | 'startingSets'
> & { readonly drawn?: readonly Drawn[]; readonly seatGroups: Kind['groups'] };

/** A kind of vehicle put together from its assemblies. */
export function kindOf({ seatGroups, ...identity }: Identity, assemblies: readonly Assembly[]): Kind {
  const front = assemblies.find((each) => each.front)?.front;
  const rear = assemblies.find((each) => each.rearAxle)?.rearAxle;
  if (!front || !rear) throw new Error(`${identity.id} needs a front and a rear end.`);
  const pictured = assemblies.flatMap((each) => each.pictured);
  const start = Object.assign({}, ...assemblies.map((each) => each.start)) as State;
  const seats = assemblies.map((each) => each.seat);
  return {
    ...identity,
    start,
    state: Object.keys(start),
    given: assemblies.flatMap((each) => each.given),
    dimensions: assemblies.flatMap((each) => each.dimensions),
    points: (state) => Object.assign({}, ...assemblies.map((each) => each.points(state))) as Points,
    wheels: (state) => assemblies.flatMap((each) => each.wheels(state)),
    steered: (state) => assemblies.flatMap((each) => each.steered(state)),
    axles: (state: State, compression: Compression) => ({
      front: front.axle(state, compression.front),
      rear: rear(state, compression.rear),
    }),
    unsprung: Object.assign({}, ...assemblies.map((each) => each.unsprung)) as Kind['unsprung'],
    outline: assemblies.flatMap((each) => each.outline),
    drawn: [...assemblies.flatMap((each) => each.drawn), ...(identity.drawn ?? [])],
    pictures: pictured.flatMap((each) => each.pictures),
    marks: (state) => Object.assign({}, ...pictured.map((each) => each.marks(state))) as Points,
    handles: assemblies.flatMap((each) => each.handles),
    refuse: (known) => assemblies.flatMap((each) => each.refuse(known)),
    seat: {
      slots: seats.flatMap((each) => each.slots),
      places: (state) => seats.flatMap((each) => each.places(state)),
      groups: seatGroups,
      points: (state) => Object.assign({}, ...seats.map((each) => each.points(state))) as Points,
      drawn: seats.flatMap((each) => each.drawn),
      handles: seats.flatMap((each) => each.handles),
    },
  };
}
