import { add } from '../../../vector/vector.js';
import type { RiderPlace } from '../../../rider/place.js';
import { entry, type Assembly } from '../../assembly.js';
import type { ClampState, DeckState, ForkState, SeatedState, WheelbaseState } from '../../states.js';
import { clampFork, forkOf } from '../../steeringAxis.js';
import { cranksAtPedals, onDeck, pegs, restsAtPedals } from './feet.js';
import { bars, sideSticks, steeringWheel } from './hands.js';
import { bodyEntries, bodyIn, rider } from './rider.js';
import { naming, read, type Part } from './part.js';
import { bench, seatAcross, shell, standing } from './seats.js';

const FIRST = naming('', 0);
const BOOM = { dimension: 'legRoom', name: 'pedal boom' };
const SLIDE = { dimension: 'legRoom', name: 'seat slide' };

/** Astride a motorcycle. */
export const astrideRider: Assembly = rider<ClampState & WheelbaseState>({
  slot: '',
  place: 0,
  name: 'Rider',
  posture: 'crouched',
  seat: bench(FIRST, { seatAhead: 330, seatHeight: 790, trunkLean: 72 }),
  feet: pegs({ pegsAhead: 470, pegHeight: 330, pegSpread: 620 }),
  hands: bars<ClampState>(clampFork, { barReach: -180, barRise: 130, barWidth: 640 }),
  adjusters: {
    legs: { dimension: 'seatHeight', name: 'seat height' },
    arms: { dimension: 'barReach', name: 'bar position' },
  },
});

/** Low on a motorcycle with the feet ahead. */
export const feetForwardRider: Assembly = rider<ClampState & SeatedState>({
  slot: '',
  place: 0,
  name: 'Rider',
  posture: 'feet-forward',
  seat: shell(),
  feet: restsAtPedals({ arch: true }),
  hands: bars<ClampState>(clampFork, { barReach: -640, barRise: 120, barWidth: 640 }),
  adjusters: { legs: SLIDE, arms: { dimension: 'barReach', name: 'bar position' } },
});

/** On the deck of a scooter. */
export const standingRider: Assembly = rider<ForkState & DeckState>({
  slot: '',
  place: 0,
  name: 'Rider',
  posture: 'standing',
  seat: standing<DeckState>(FIRST, (s) => s.deckHeight, { hipAhead: -110, hipHeight: 925, trunkLean: 86 }),
  feet: onDeck(560),
  hands: bars<ForkState>(forkOf, { barReach: -20, barRise: 500, barWidth: 480 }),
  adjusters: {
    legs: { dimension: 'hipHeight', name: 'standing height' },
    arms: { dimension: 'barRise', name: 'bar height' },
  },
});

/** In a trike, pedals ahead and a stick each side of the seat. */
export const reclinedRider: Assembly = rider<SeatedState>({
  slot: '',
  place: 0,
  name: 'Rider',
  posture: 'reclined',
  cranks: true,
  seat: shell(),
  feet: cranksAtPedals(165),
  hands: sideSticks({ gripsAhead: 130, gripsHeight: 330, barWidth: 560 }),
  adjusters: { legs: BOOM, arms: { dimension: 'gripsAhead', name: 'stick position' } },
});

/** In a kart's or a buggy's seat; with a passenger beside where two seats are wanted. */
export const bucketRider = (clearance: number): Assembly =>
  rider<SeatedState>({
    slot: '',
    place: 0,
    name: 'Driver',
    posture: 'bucket',
    seat: withSpread(shell(seatAcross)),
    feet: restsAtPedals({ across: seatAcross }),
    hands: steeringWheel(
      { wheelAhead: 470, wheelHeight: clearance + 360, steeringWheelDiameter: 300, columnAngle: 32 },
      seatAcross,
    ),
    adjusters: { legs: SLIDE, arms: { dimension: 'wheelAhead', name: 'steering wheel' } },
    beside: (s, driver) => (seatAcross(s) > 0 ? [passenger(s, driver)] : []),
  });

function passenger(s: SeatedState, driver: RiderPlace): RiderPlace {
  const body = bodyIn(s, bodyEntries('passenger'));
  const across = -2 * seatAcross(s);
  const { hip, trunkAngle, seat } = shell<SeatedState>((state) => -seatAcross(state)).of(s, body);
  const at = driver.feet.on === 'rests' ? add(driver.feet.at, [0, across, 0]) : ([0, 0, 0] as const);
  return {
    ...driver,
    id: 'passenger',
    name: 'Passenger',
    body,
    hip,
    trunkAngle,
    seat,
    feet: { on: 'rests', at, tread: 120 },
    hands: { on: 'lap' },
  };
}

/** Adds how far apart two seats stand. */
function withSpread<P extends Omit<Part<SeatedState, never>, 'of'>>(part: P): P {
  return {
    ...part,
    start: { ...part.start, seatSpread: 0 },
    dimensions: [
      ...part.dimensions,
      entry({
        id: 'seatSpread',
        name: 'Between two seats',
        symbol: 'sp',
        limits: [0, 1200],
        meaning:
          'Middle of the driver’s seat to the middle of the passenger’s; under 300 mm there is one seat, in the middle.',
      }),
    ],
    points: (s: SeatedState) => ({
      driverSeat: [s.seatAhead, read(s, 'seatSpread') / 2, s.seatHeight],
      passengerSeat: [s.seatAhead, -read(s, 'seatSpread') / 2, s.seatHeight],
    }),
    drawn: [
      ...(part.drawn ?? []),
      { id: 'seatSpread', view: 'plan', as: 'aligned', from: 'passengerSeat', to: 'driverSeat', off: 60 },
    ],
  };
}
