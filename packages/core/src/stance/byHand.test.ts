import { describe, expect, it } from 'vitest';
import { made, stanceMade } from '../../../../testing/made.js';
import { KINDS } from './kinds/registry.js';

const turn = Math.PI / 180;
const [sin, cos, tan] = [Math.sin, Math.cos, Math.tan].map((f) => (degrees: number) => f(degrees * turn)) as [
  (degrees: number) => number,
  (degrees: number) => number,
  (degrees: number) => number,
];
const offsetFor = (R: number, H: number, t: number) => R * cos(H) - t * sin(H);
const trailOf = (R: number, H: number, o: number) => (R * cos(H) - o) / sin(H);
/** Front wheel of two: radius, caster, kingpin inclination, spindle length, toe; upright, no spindle offset. */
const casterTrail = (R: number, c: number, b: number, p: number) => R * tan(c) - b * sin(p);
const scrub = (R: number, k: number, b: number, p: number) => b * cos(p) - R * tan(k);

/**
 * Each kind's first starting set, and figures worked out here from its numbers by the formulas of plane trigonometry, with nothing
 * of the application's.
 */
const BY_HAND: readonly [kind: string, expected: Readonly<Record<string, number>>][] = [
  ['Bicycle', { Trail: trailOf(339, 72.5, 47), 'BB height': 269 }],
  ['Tandem', { Trail: trailOf(348, 73, 50), 'Length over the wheels': 1758 + 2 * 348 }],
  ['Triplet', { Trail: trailOf(348, 73, 50), 'Length over the wheels': 2428 + 2 * 348 }],
  ['Scooter', { Trail: trailOf(148.5, 74, 15), 'Deck to front tyre': 980 - 148.5 - 185 - 500 }],
  ['Motorcycle', { 'Offset in all': offsetFor(292.9, 64, 95), 'Wheel flop': 95 * sin(64) * cos(64) }],
  [
    'Low feet-forward motorcycle',
    {
      'Offset in all': offsetFor((16 * 25.4 + 2 * 0.8 * 110) / 2, 60, 110),
      'Pegs ahead of front axle': 470 + 890 - 1780,
    },
  ],
  ['Delta trike', { 'Fork offset': offsetFor(250, 68, 60), 'Width over rear wheels': 800 }],
  ['Tadpole trike', { 'Caster trail': 243 * tan(12), 'Scrub radius': 68 - 243 * tan(14) }],
  ['Kart', { 'Caster trail': casterTrail(127, 12, 95, -0.2), Wheelbase: 270 + 970 - 170 }],
  [
    'Off-road kart or buggy',
    { 'Caster trail': casterTrail(279.4, 7, 110, 0.2), 'Scrub radius': scrub(279.4, 10, 110, 0.2) },
  ],
];

describe('a kind’s first starting set', () => {
  it.each(BY_HAND)('%s: its figures agree with a hand calculation', (name, expected) => {
    const kind = KINDS.find((each) => each.name === name)!;
    const { values } = stanceMade(made(kind.id, kind.startingSets[0]!.id));
    for (const [dimension, value] of Object.entries(expected)) {
      const { id } = kind.dimensions.find((each) => each.name === dimension)!;
      expect(values[id], dimension).toBeCloseTo(value, 1);
    }
  });
});
