import { describe, expect, it } from 'vitest';
import type { BuildDocument } from '@larchwood/format';
import { made, planMade, stanceMade } from '../../../../testing/made.js';
import { columnEnds, leanOf } from '../steering/columnJoints.js';
import { steeringOf } from '../steering/steering.js';
import { distance } from '../vector/vector.js';
import { clearancesOf } from './sweep.js';
import { restOf } from './rest.js';

/** A vehicle whose column rests in a slot: degrees from the ground, mm from the hinge. */
function rested(kind: string, set: string, restLow: number, restHigh: number, restRadius = 150) {
  const document = made(kind, set);
  const usual = steeringOf(document, stanceMade(document));
  if (!usual?.ok) throw new Error(JSON.stringify(usual));
  const { linkage, held, built } = usual.steering;
  const sizes = { restRadius, restLow, restHigh, supports: 8 };
  const own = {
    ...document,
    steering: { linkage, held, made: [{ what: 'column', sizes, choices: {}, found: {} }] },
  } as BuildDocument;
  const plan = planMade(own);
  const ends = columnEnds(built)!;
  return {
    plan,
    ends,
    lean: leanOf(ends),
    gaps: clearancesOf(own, plan).gaps,
    told: plan.findings.filter(({ code }) => code.startsWith('rest-')).map(({ code }) => code),
  };
}
const wheels = [
  ['kart', 'ladder'],
  ['buggy', 'buggy'],
] as const;

describe('a column that rests in a slot', () => {
  it.each(wheels)('%s %s: set as it is drawn, the wheel is as near as it is', (kind, set) => {
    const { lean } = rested(kind, set, 40, 50);
    const { gaps } = rested(kind, set, lean, lean + 1e-6);
    const to = (name: string) =>
      gaps.filter(({ b }) => b.endsWith(name)).map(({ a, gap }) => [a, gap] as const);
    const drawn = new Map(to('steering wheel'));
    const lowest = to('steering wheel at its lowest').filter(([part]) => drawn.has(part));
    expect(lowest.length).toBeGreaterThan(0);
    for (const [part, gap] of lowest) expect(gap).toBeCloseTo(drawn.get(part)!, 3);
  });
  it.each(wheels)('%s %s: lower, it comes to the thighs, and is told as that', (kind, set) => {
    const { lean } = rested(kind, set, 40, 50);
    const thigh = (low: number) =>
      rested(kind, set, low, lean + 1).gaps.find(
        ({ a, b }) => a.endsWith('thigh') && b === 'steering wheel at its lowest',
      )?.gap ?? 250;
    const [near, nearer, nearest] = [0, 4, 8].map((less) => thigh(lean - less)) as [number, number, number];
    expect(nearest < nearer && nearer < near).toBe(true);
    // The rim's lower edge goes down by about as far as it is from the hinge, times the angle.
    const { ends } = rested(kind, set, lean, lean + 1);
    expect(near - nearest).toBeLessThan((8 * Math.PI * (distance(...ends) + 200)) / 180);
  });
  it('its strip lies on the arc of the slot, from end to end', () => {
    const { plan, ends, lean } = rested('kart', 'ladder', 35, 60, 180);
    const rest = restOf(plan, plan.stance.places[0]!)!;
    const rods = rest.plate.at({ crank: 0, steer: 0, travel: 0 });
    for (const { from, to } of rods)
      for (const at of [from, to]) expect(distance(at, ends[1])).toBeCloseTo(180, 9);
    const angles = rods.flatMap(({ from, to }) => [leanOf([from, ends[1]]), leanOf([to, ends[1]])]);
    expect([Math.min(...angles), Math.max(...angles)]).toEqual([
      expect.closeTo(35, 6),
      expect.closeTo(60, 6),
    ]);
    expect(lean).toBeGreaterThan(0);
  });
  it('without one there is none: no radius, or no range', () => {
    for (const [low, high, radius] of [
      [40, 50, 0],
      [50, 50, 150],
    ] as const)
      expect(rested('kart', 'ladder', low, high, radius).gaps.some(({ b }) => /rest|lowest/.test(b))).toBe(
        false,
      );
  });
  it('a slot that the column does not stand in is told, half a degree past its end', () => {
    const { lean } = rested('kart', 'ladder', 40, 50);
    expect(rested('kart', 'ladder', lean + 0.4, lean + 10).told).toEqual([]);
    expect(rested('kart', 'ladder', lean + 0.6, lean + 10).told).toEqual(['rest-beside']);
    expect(rested('kart', 'ladder', lean - 10, lean - 0.4).told).toEqual([]);
    expect(rested('kart', 'ladder', lean - 10, lean - 0.6).told).toEqual(['rest-beside']);
  });
});
