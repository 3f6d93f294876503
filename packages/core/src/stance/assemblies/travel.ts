import { assembly, entry, worked, type Assembly } from '../assembly.js';
import { lengthBothWays } from '../../units/length.js';
import type { Compression, Refusal, State } from '../dimension.js';
import { travelPictures } from '../pictures/travel.js';
import { levelled } from '../pitch.js';
import { fullTravel, unladen } from '../springs.js';
import type { TravelState } from '../states.js';

/** Travel and sag of both ends, and what unladen and full travel make of the steering. */
export function travel({ front }: Assembly, { rearAxle, start: rearStart }: Assembly): Assembly {
  if (!front || !rearAxle) throw new Error('Travel needs a front and a rear end.');
  const { lean, axle, pitched } = front;
  const at = (s: TravelState, compression: Compression) => {
    const state = s as unknown as State;
    if (compression.front === 0 && compression.rear === 0) return pitched(state, 0, 0);
    const [rearAt, frontAt] = [rearAxle(state, compression.rear), axle(state, compression.front)];
    return pitched(state, levelled(rearAt, s.rearRadius, frontAt, s.frontRadius).pitch, compression.front);
  };
  const [unladenIs, fullIs] = [
    ['Unladen', 'u', 'with nobody aboard and the springs extended', unladen],
    ['Full', 'x', 'with both ends pressed to the end of their travel', fullTravel],
  ] as const;
  const end = (id: 'front' | 'rear', letter: string) => [
    entry({
      id: `${id}Travel`,
      name: `${id === 'front' ? 'Front' : 'Rear'} wheel travel`,
      symbol: `${letter}t`,
      limits: [0, 500] as const,
      meaning: `From springs extended to fully pressed, ${id === 'front' ? front.travels : 'straight up at the rear axle'}; 0 when it is rigid.`,
    }),
    entry({
      id: `${id}Sag`,
      name: `${id === 'front' ? 'Front' : 'Rear'} sag`,
      symbol: `${letter}s`,
      limits: [0, 400] as const,
      meaning: `How far the ${id} end sinks when the rider is aboard; all dimensions are told in that state.`,
    }),
  ];
  return assembly<TravelState>({
    start: { frontTravel: 0, frontSag: 0, rearTravel: 0, rearSag: 0 },
    dimensions: [
      ...end('front', 'f'),
      ...end('rear', 'r'),
      ...[unladenIs, fullIs].flatMap(([name, letter, when, compression]) => [
        worked<TravelState>({
          id: `${lean.id}${name}`,
          name: `${lean.name}, ${name === 'Full' ? 'full travel' : 'unladen'}`,
          symbol: `${lean.symbol}${letter}`,
          quantity: 'angle',
          formula: '',
          source: 'the frame pitched on to both tyres; exact',
          meaning: `${lean.name} ${when}.`,
          letGo: [lean.id],
          of: (s) => at(s, compression(s)).lean,
        }),
        worked<TravelState>({
          id: `trail${name}`,
          name: `Trail, ${name === 'Full' ? 'full travel' : 'unladen'}`,
          symbol: `t${letter}`,
          formula: '',
          source: 'the frame pitched on to both tyres; exact',
          meaning: `Trail ${when}.`,
          letGo: ['forkOffset', 'clampOffset', 'spindleOffset', lean.id],
          of: (s) => at(s, compression(s)).trail,
        }),
      ]),
    ],
    pictured: [travelPictures(axle, rearAxle, lean.id)],
    refuse: (known) => [...sagsTooFar(known), ...swingsTooFar(known, rearAxle, rearStart)],
  });
}

const sagsTooFar = (known: Partial<TravelState>): readonly Refusal[] =>
  (['front', 'rear'] as const).flatMap((which) => {
    const [most, sag] = [known[`${which}Travel`], known[`${which}Sag`]];
    return most !== undefined && sag !== undefined && sag > most + 1e-6
      ? [`${which}Sag`, `${which}Travel`].map((where) => ({
          where,
          message: `The ${which} end cannot sag further than its travel of ${lengthBothWays(most)}.`,
        }))
      : [];
  });

/** An axle that swings about a pivot goes no higher and no lower than the arm is long. */
function swingsTooFar(
  known: Partial<TravelState>,
  rearAxle: NonNullable<Assembly['rearAxle']>,
  rearStart: State,
): readonly Refusal[] {
  const { rearTravel, rearSag, frontTravel = 0, frontSag = 0 } = known;
  const entries = known as Partial<State>;
  if (rearTravel === undefined || rearSag === undefined) return [];
  if (['rearRadius', ...Object.keys(rearStart)].some((id) => entries[id] === undefined)) return [];
  const springs = { rearTravel, rearSag, frontTravel, frontSag };
  const reaches = [unladen(springs), fullTravel(springs)].every(({ rear }) =>
    Number.isFinite(rearAxle(known as unknown as State, rear).x),
  );
  return reaches
    ? []
    : ['rearTravel', 'rearSag'].map((where) => ({
        where,
        message: `The rear axle swings about a pivot: it cannot travel ${lengthBothWays(rearTravel)} with an arm or chainstay of this length. Shorten the travel or lengthen the arm.`,
      }));
}
