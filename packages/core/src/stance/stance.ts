import type { BuildDocument } from '@larchwood/format';
import type { Vector } from '../vector/vector.js';
import { fullTravel, unladen } from './springs.js';
import type { Band, Kind, Points, Refusal, StandingWheel, State, SteeredWheel } from './dimension.js';
import { bodyOf, SET_STATURE } from '../rider/body.js';
import type { RiderPlace } from '../rider/place.js';
import { bodyEntries } from './assemblies/riders/rider.js';
import { findKind } from './kinds/registry.js';
import { postureOf, type Posture } from './posture.js';
import { solveStance, type Held } from './solve.js';
import { rollingWheel, type RollingWheel } from './wheels.js';

export interface Stance {
  readonly kind: string;
  /** The minimal numbers that everything follows from. */
  readonly state: State;
  /** Every dimension's value by id; mm and degrees. */
  readonly values: Readonly<Record<string, number>>;
  /** What the document holds and what the wheels give, by id. */
  readonly held: Held;
  readonly points: Points;
  /** Joints of the riders and points of their seats, apart from the vehicle's own. */
  readonly seatPoints: Points;
  readonly places: readonly RiderPlace[];
  readonly wheels: { readonly front: RollingWheel; readonly rear: RollingWheel };
  /** Every wheel as it stands, at ride height. */
  readonly standing: readonly StandingWheel[];
  readonly steered: readonly SteeredWheel[];
  /** Unladen and at full travel; none for a vehicle without springs. */
  readonly postures: { readonly unladen: Posture; readonly full: Posture } | undefined;
  readonly bands: Readonly<Record<string, Band>>;
  /** Unit vector up the steering axis; of the left one where there are two. */
  readonly steeringAxis: Vector;
}
export type StanceResult =
  | { readonly ok: true; readonly stance: Stance }
  | { readonly ok: false; readonly refusals: readonly Refusal[] };

/** What of a document a stance is solved from. */
export type StanceParts = Pick<
  BuildDocument,
  'kind' | 'startingSet' | 'wheels' | 'stance' | 'brief' | 'seat'
>;

/**
 * Solves the stance a document describes. Wheels give radii and widths; everything else is held in the document.
 * @param document kind, wheels and held dimensions, mm and degrees
 * @returns the stance, or each reason why there is none with the dimension it is about
 */
export function stanceOf(document: StanceParts): StanceResult {
  const kind = findKind(document.kind);
  if (!kind)
    return {
      ok: false,
      refusals: [{ where: 'kind', message: `“${document.kind}” is not a kind this version knows.` }],
    };
  const front = rollingWheel(document.wheels.front);
  const rear = rollingWheel(document.wheels.rear);
  if (!front.ok || !rear.ok) {
    const refusals: Refusal[] = [];
    if (!front.ok) refusals.push({ where: 'wheels.front', message: front.message });
    if (!rear.ok) refusals.push({ where: 'wheels.rear', message: rear.message });
    return { ok: false, refusals };
  }
  const held: Held = {
    ...document.stance.held,
    rearRadius: rear.value.radius,
    frontRadius: front.value.radius,
    rearWidth: rear.value.width,
    frontWidth: front.value.width,
    ...bodiesOf(document, kind),
  };
  const solved = solveStance(kind, held, document.stance.near);
  if (!solved.ok) return solved;
  const { state, values } = solved;
  const steered = kind.steered(state);
  return {
    ok: true,
    stance: {
      kind: kind.id,
      state,
      values,
      held,
      points: kind.points(state),
      seatPoints: kind.seat.points(state),
      places: kind.seat.places(state),
      wheels: { front: front.value, rear: rear.value },
      standing: kind.wheels(state),
      steered,
      postures: posturesOf(kind, state),
      bands: bandsFor(kind, document.startingSet),
      steeringAxis: steered[0]?.axis ?? [0, 0, 1],
    },
  };
}

/** The segments of whoever is in each place, by the entries that they give. */
export function bodiesOf(
  { brief, seat }: Pick<BuildDocument, 'brief' | 'seat'>,
  { seat: { slots } }: Kind,
): Held {
  return Object.assign(
    {},
    ...slots.map(({ id }, place) => {
      const body = bodyOf(brief.riders[seat.aboard[place] ?? place] ?? { stature: SET_STATURE });
      return Object.fromEntries(bodyEntries(id).map(([segment, entry]) => [entry, body[segment]]));
    }),
  ) as Held;
}

function posturesOf(kind: Kind, state: State): Stance['postures'] {
  const springs = state as Record<'frontTravel' | 'frontSag' | 'rearTravel' | 'rearSag', number>;
  if (!(springs.frontTravel > 0 || springs.rearTravel > 0)) return undefined;
  return {
    unladen: postureOf(kind, state, unladen(springs)),
    full: postureOf(kind, state, fullTravel(springs)),
  };
}

function bandsFor(kind: Kind, startingSet: string): Readonly<Record<string, Band>> {
  const set = kind.startingSets.find((candidate) => candidate.id === startingSet) ?? kind.startingSets[0];
  return set ? (kind.bands[set.bands] ?? {}) : {};
}
