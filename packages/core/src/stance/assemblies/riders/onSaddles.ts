import type { PedalledState } from '../../states.js';
import { forkOf } from '../../steeringAxis.js';
import type { Assembly } from '../../assembly.js';
import { bracketsOf, type Riders } from '../pedalled.js';
import { cranksAt } from './feet.js';
import { bars, barsBehind } from './hands.js';
import { naming } from './part.js';
import { rider } from './rider.js';
import { saddle } from './seats.js';

/** From the front; each but the first has a prefix. */
const SLOTS: Readonly<Record<Riders, readonly (readonly [slot: string, name: string])[]>> = {
  1: [['', 'Rider']],
  2: [
    ['', 'Front rider'],
    ['rear', 'Rear rider'],
  ],
  3: [
    ['', 'Front rider'],
    ['middle', 'Middle rider'],
    ['rear', 'Rear rider'],
  ],
};
const SADDLE = { saddleHeight: 725, saddleBack: 10, trunkLean: 52 };

/** Riders on saddles, one over each bottom bracket, from the front to the rear. */
export const onSaddles = (riders: Riders): readonly Assembly[] =>
  SLOTS[riders].map(([slot, name], place) => {
    const named = naming(slot, place);
    const bracket = (s: PedalledState) => bracketsOf(s, riders)[place]!;
    const seat = saddle<PedalledState>(named, bracket, SADDLE);
    return rider<PedalledState>({
      slot,
      place,
      name,
      posture: 'upright',
      cranks: true,
      seat,
      feet: cranksAt(bracket),
      hands:
        place === 0
          ? bars<PedalledState>(forkOf, { barReach: 150, barRise: 40, barWidth: 420 })
          : barsBehind<PedalledState>(named, seat.at, { gripsAhead: 560, gripsAbove: 40, barWidth: 420 }),
      adjusters: {
        legs: { dimension: named.id('saddleHeight'), name: 'seat post' },
        arms:
          place === 0
            ? { dimension: 'barReach', name: 'bar stem' }
            : { dimension: named.id('gripsAhead'), name: 'bar stem' },
      },
    });
  });
