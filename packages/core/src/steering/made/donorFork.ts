import { teller } from '../../findings/finding.js';
import { distance } from '../../vector/vector.js';
import type { MadePart } from './madePart.js';
import { roundBosses } from './outlines.js';

const tell = teller('steering');

/** A fork from the rear end of a donor frame: its stays are the legs, the pedals stay in it or come out. */
export const DONOR_FORK: MadePart = {
  id: 'donor-fork',
  name: 'Fork from a donor’s rear end',
  about:
    'The rear triangle of a donor frame, cut off and put on a steerer; its dropouts hold the front wheel.',
  suits: ({ stance }) => stance.steered.length === 1 && stance.points.crown !== undefined,
  sizes: [
    {
      id: 'donorHub',
      name: 'Donor’s dropouts',
      limits: [80, 200],
      tried: true,
      meaning: 'Inside of the donor’s dropouts, as measured.',
    },
    { id: 'hubWidth', name: 'Hub over its locknuts', limits: [50, 250], meaning: 'The wheel that goes in.' },
    {
      id: 'donorLength',
      name: 'Axle to the cut',
      limits: [100, 900],
      tried: true,
      meaning: 'Donor’s axle to where its stays are cut, straight.',
    },
    {
      id: 'donorSpread',
      name: 'Stays at the cut',
      limits: [20, 250],
      tried: true,
      meaning: 'Middle to middle of the stays where they are cut.',
    },
    {
      id: 'stay',
      name: 'Stay, outside',
      limits: [10, 40],
      meaning: 'Outer diameter of the stays at the cut.',
    },
    { id: 'steerer', name: 'Steerer', limits: [15, 60], meaning: 'Outer diameter of the steerer.' },
    {
      id: 'plate',
      name: 'Plate',
      limits: [4, 30],
      meaning: 'Thickness of the plate between stays and steerer.',
    },
  ],
  choices: [
    {
      id: 'pedals',
      name: 'Pedals',
      options: [
        { id: 'out', name: 'taken out' },
        { id: 'in', name: 'stay in: front-driven' },
      ],
    },
  ],
  start: ({ stance }) => {
    const { centre } = stance.steered[0]!;
    return {
      ...{ donorHub: 130, hubWidth: 130, donorSpread: 70, stay: 16, steerer: 28.6, plate: 8 },
      donorLength: Math.round(distance(centre, stance.points.crown!)),
    };
  },
  make: ({ stance, tyreGap }, sizes, choices) => {
    const wheel = stance.steered[0]!;
    const wanted = distance(wheel.centre, stance.points.crown!) - sizes.plate!;
    const spare = sizes.donorLength! - wanted;
    const gap = sizes.donorLength! - wheel.radius;
    return {
      rows: [
        { name: 'Axle to the plate’s underside, wanted', value: wanted, quantity: 'length' },
        {
          name: spare >= 0 ? 'To cut off the stays' : 'The stays are short by',
          value: Math.abs(spare),
          quantity: 'length',
        },
        {
          name: 'Spread or close the dropouts by',
          value: sizes.hubWidth! - sizes.donorHub!,
          quantity: 'length',
        },
        { name: 'Gap over the tyre', value: gap, quantity: 'length' },
      ],
      outlines: [
        {
          ...{ id: 'donor-plate', name: 'Plate for the stays', thickness: sizes.plate!, count: 1 },
          outline: roundBosses([
            ...[1, -1].map((side) => ({
              at: [0, (side * sizes.donorSpread!) / 2] as const,
              radius: sizes.stay! / 2 + 8,
            })),
            { at: [0, 0], radius: sizes.steerer! / 2 + 10 },
          ]),
          holes: [
            ...[1, -1].map((side) => ({
              at: [0, (side * sizes.donorSpread!) / 2] as const,
              diameter: sizes.stay!,
              name: 'stay',
            })),
            { at: [0, 0], diameter: sizes.steerer!, name: 'steerer' },
          ],
        },
      ],
      order: [
        'Look the donor over first: bent, cracked, rusted through? Bolt a strap across the dropouts before the first cut.',
        ...(choices.pedals === 'in'
          ? [
              'The cranks steer with it: their arc must clear the frame at full lock, and the rider’s legs steer too.',
            ]
          : []),
        'Plate and steerer first; then the stays into the plate with the wheel in the dropouts and in line.',
      ],
      findings: [
        ...(Math.abs(sizes.hubWidth! - sizes.donorHub!) > SPREAD
          ? [
              tell('hub-too-wide', 'stop', 'donor-fork', {
                hub: sizes.hubWidth!,
                fork: sizes.donorHub! + Math.sign(sizes.hubWidth! - sizes.donorHub!) * SPREAD,
              }),
            ]
          : []),
        ...(gap < tyreGap
          ? [
              tell('fork-gap-small', gap < 0 ? 'stop' : 'look', 'donor-fork', {
                gap,
                wanted: tyreGap,
                where: 'over the tyre',
              }),
            ]
          : []),
      ],
    };
  },
};

/** Steel dropouts are sprung apart or together by so much at most, mm. Common practice, no source. */
const SPREAD = 6;
