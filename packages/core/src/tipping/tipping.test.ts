import { polygonContains } from 'd3-polygon';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isFinding } from '../findings/finding.js';
import { made, planMade } from '../../../../testing/made.js';
import type { Contact, WheelLoad } from '../mass/loads.js';
import type { Vector } from '../vector/vector.js';
import { crownAt, effectiveLean, leanToTouch, touches } from './lean.js';
import { falls, roomTo, supportOf, tipLimit } from './support.js';
import { CHANGE, FRICTION, happensFirst, tippingOf, type Tipping } from './tipping.js';

const wheel = (x: number, y: number, end: 'front' | 'rear'): Contact => ({
  wheel: `${x} ${y}`,
  end,
  at: [x, y, 0],
});
const four = (L: number, front: number, rear: number): Contact[] => [
  wheel(L, front / 2, 'front'),
  wheel(L, -front / 2, 'front'),
  wheel(0, rear / 2, 'rear'),
  wheel(0, -rear / 2, 'rear'),
];

describe('the support', () => {
  it('static stability factor: T / 2h', () => {
    // Source: NHTSA definition.
    expect(tipLimit(90, [500, 0, 400], supportOf(four(1000, 900, 900)))).toBeCloseTo(900 / (2 * 400), 12);
  });
  it('three wheels: L 1000, T 750, h 450, CG 650 from the single wheel tip at 0.5417 g', () => {
    // Source: statics.
    const delta = supportOf([wheel(1000, 0, 'front'), wheel(0, 375, 'rear'), wheel(0, -375, 'rear')]);
    expect(tipLimit(90, [350, 0, 450], delta)).toBeCloseTo(0.5417, 4);
    const tadpole = supportOf([wheel(0, 0, 'rear'), wheel(1000, 375, 'front'), wheel(1000, -375, 'front')]);
    expect(tipLimit(-90, [650, 0, 450], tadpole)).toBeCloseTo(((650 / 1000) * 375) / 450, 9);
  });
  it('in any direction: the ground point of the force leaves the polygon just there', () => {
    // Independent: d3-polygon's own test of a point in a polygon.
    const size = fc.integer({ min: 300, max: 1600 });
    fc.assert(
      fc.property(
        size,
        size,
        size,
        fc.double({ min: 0.15, max: 0.85, noNaN: true }),
        fc.integer({ min: 0, max: 359 }),
        (L, front, rear, share, direction) => {
          const support = supportOf(four(L, front, rear));
          const foot = [share * L, 0] as const;
          const room = roomTo(direction, foot, support)!;
          const at = (by: number): [number, number] => [
            foot[0] + by * Math.cos((direction * Math.PI) / 180),
            foot[1] + by * Math.sin((direction * Math.PI) / 180),
          ];
          const polygon = support.map(([x, y]): [number, number] => [x, y]);
          expect(polygonContains(polygon, at(room - 0.01))).toBe(true);
          expect(polygonContains(polygon, at(room + 0.01))).toBe(false);
        },
      ),
    );
  });
  it('is anticlockwise from above, whichever way the wheels are named', () => {
    const twice = (spots: readonly (readonly [number, number])[]) =>
      spots.reduce((sum, [x, y], index) => {
        const [nx, ny] = spots[(index + 1) % spots.length]!;
        return sum + x * ny - y * nx;
      }, 0);
    const wheels = four(1000, 800, 900);
    expect(twice(supportOf(wheels))).toBeCloseTo(1000 * (800 + 900), 6);
    expect(twice(supportOf([...wheels].reverse()))).toBeCloseTo(1000 * (800 + 900), 6);
    expect(supportOf([wheel(0, 0, 'rear')])).toEqual([[0, 0]]);
  });
  it('a single track holds fore and aft only, a weight to one side over either edge', () => {
    const track = supportOf([wheel(1000, 0, 'front'), wheel(0, 0, 'rear')]);
    expect([0, 180].map((way) => roomTo(way, [400, 0], track))).toEqual([600, 400]);
    expect([90, -90, 45].map((way) => roomTo(way, [400, 0], track))).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
    expect(tipLimit(90, [400, 0, 500], track)).toBeUndefined();
    expect(falls([400, 0, 500], track)).toBeUndefined();
    expect(falls([0, 0, 500], track)).toBeUndefined();
    expect(falls([-1, 0, 500], track)).toBe(180);
    // To the left of the middle: less room to the left, by as much as more to the right.
    const support = supportOf(four(1000, 900, 900));
    expect([90, -90].map((way) => roomTo(way, [500, 30], support)!)).toEqual([
      expect.closeTo(420, 9),
      expect.closeTo(480, 9),
    ]);
    // On the edge it stands; a hair over, it falls.
    expect(falls([500, 450, 400], support)).toBeUndefined();
    expect(falls([500, 450.001, 400], support)).toBeCloseTo(90, 6);
    // Over the slanting edge of a tadpole: square to it, 375 out in 1000.
    const slant = supportOf([wheel(0, 0, 'rear'), wheel(1000, 375, 'front'), wheel(1000, -375, 'front')]);
    expect(falls([300, -300, 400], slant)).toBeCloseTo((Math.atan2(1000, 375) * 180) / Math.PI - 180, 6);
  });
  it('says which way it falls when the weight stands outside the wheels', () => {
    const support = supportOf(four(1000, 900, 900));
    expect(falls([500, 0, 400], support)).toBeUndefined();
    expect(Math.abs(falls([-20, 0, 400], support)!)).toBeCloseTo(180, 6);
    expect(falls([500, 500, 400], support)).toBeCloseTo(90, 6);
    expect(falls([1100, 0, 400], supportOf([wheel(1000, 0, 'front'), wheel(0, 0, 'rear')]))).toBe(0);
  });
});

describe('limits of a kart', () => {
  const { stance } = planMade(made('kart', 'kart'));
  const contacts = four(1000, 900, 800);
  const loads = contacts.map((each): WheelLoad => ({ ...each, load: 30 }));
  const tipping = tippingOf({ at: [400, 20, 300], loads }, stance);
  it('sideways the lesser side, braking forward, driving back, and the slopes that go with them', () => {
    // Half the track at the centre of gravity is 420; it stands 20 to the left. The edge slants by 50 in 1000.
    expect(tipping.sideways).toBeCloseTo((420 - 20) / 300, 9);
    expect([tipping.braking, tipping.driving]).toEqual([expect.closeTo(2, 9), expect.closeTo(400 / 300, 9)]);
    const degrees = (g: number) => expect.closeTo((Math.atan(g) * 180) / Math.PI, 9);
    expect(tipping.slopes).toEqual({
      up: degrees(400 / 300),
      down: degrees(2),
      across: degrees(400 / 300),
    });
    expect(tipping).toMatchObject({ touches: [], leanLimit: undefined, falls: undefined });
    expect(tipping.turns.map(({ radius }) => radius)).toEqual([3, 5, 8, 12, 20, 40]);
    for (const { radius, limit, slidesLoose } of tipping.turns) {
      expect(limit).toBeCloseTo(Math.sqrt((400 / 300) * 9.80665 * radius), 9);
      expect(slidesLoose).toBeCloseTo(Math.sqrt(0.4 * 9.80665 * radius), 9);
    }
  });
  it('all round, every 5 degrees and at each wheel, in order, and nothing less than nothing', () => {
    const ways = tipping.polar.map(({ direction }) => direction);
    expect(ways).toHaveLength(72 + 4);
    expect(ways).toEqual([...ways].sort((a, b) => a - b));
    expect([ways[0], ways.at(-1)]).toEqual([0, 355]);
    for (const { at } of contacts) {
      const way = ((Math.atan2(at[1] - 20, at[0] - 400) * 180) / Math.PI + 360) % 360;
      const corner = tipping.polar.find(({ direction }) => Math.abs(direction - way) < 1e-9);
      // At a wheel: as far as the wheel is.
      expect(corner!.limit).toBeCloseTo(Math.hypot(at[0] - 400, at[1] - 20) / 300, 9);
    }
    const out = tippingOf({ at: [400, 600, 300], loads }, stance);
    expect(Math.min(...out.polar.map(({ limit }) => limit))).toBe(0);
    expect([out.slopes.across, out.turns[0]!.limit]).toEqual([0, 0]);
    expect(out.gains.map(({ change }) => change)).toContain('track');
  });
  it('what comes first: just under the friction it tips or touches, just over it slides', () => {
    const first = (part: Partial<Tipping>) =>
      happensFirst({ ...tipping, sideways: undefined, leanLimit: undefined, ...part }, FRICTION.dry);
    const lean = (g: number) => (Math.atan(g) * 180) / Math.PI;
    expect([0.699, 0.7, 0.701].map((sideways) => first({ sideways }))).toEqual(['tips', 'slides', 'slides']);
    expect([0.699, 0.701].map((g) => first({ leanLimit: lean(g) }))).toEqual(['touches', 'slides']);
    expect(first({})).toBe('slides');
    // What tips has a sideways limit, whatever its lean.
    expect(first({ sideways: 0.8, leanLimit: 10 })).toBe('slides');
  });
});

describe('what would raise the limit', () => {
  it('agrees with small differences of the closed formula, for a delta', () => {
    const contacts = [wheel(1150, 0, 'front'), wheel(0, 380, 'rear'), wheel(0, -380, 'rear')];
    const loads = contacts.map((each): WheelLoad => ({ ...each, load: 30 }));
    const { stance } = planMade(made('delta-trike', 'delta'));
    const [x, h] = [380, 560];
    const { gains } = tippingOf({ at: [x, 0, h], loads }, stance);
    const limit = (L: number, T: number, x_: number, h_: number) => (((L - x_) / L) * (T / 2)) / h_;
    const now = limit(1150, 760, x, h);
    const gain = (change: string) => gains.find((each) => each.change === change)?.gain;
    expect(gain('track')).toBeCloseTo(limit(1150, 760 + CHANGE, x, h) - now, 9);
    expect(gain('lower')).toBeCloseTo(limit(1150, 760, x, h - CHANGE) - now, 9);
    expect(gain('back')).toBeCloseTo(limit(1150, 760, x - CHANGE, h) - now, 9);
    expect(gain('forward')).toBeUndefined();
    expect(gains.map(({ gain: by }) => by)).toEqual(
      [...gains.map(({ gain: by }) => by)].sort((a, b) => b - a),
    );
  });
});

describe('a single track', () => {
  /** Independent: the part rolled step by step about the tyre's crown, until it is on the ground. */
  const rolled = (y: number, z: number, crown: number): number => {
    for (let lean = 0; lean <= 90; lean += 0.005) {
      const angle = (lean * Math.PI) / 180;
      if (crown - y * Math.sin(angle) + (z - crown) * Math.cos(angle) <= 0) return lean;
    }
    return 90;
  };
  it('touches with its first hard part at the lean that rolling it step by step gives', () => {
    for (const [y, z, crown] of [
      [310, 310, 60],
      [160, 90, 19],
      [110, 250, 55],
    ] as const)
      expect(leanToTouch(y, z, crown)).toBeCloseTo(rolled(y, z, crown), 1);
    // A knife-edge tyre: the lean of the part itself.
    expect(leanToTouch(300, 300, 0)).toBeCloseTo(45, 9);
    // Within the round of the tyre nothing touches.
    expect(leanToTouch(10, 40, 40)).toBe(90);
    expect(leanToTouch(40, 40, 40)).toBe(90);
    expect(leanToTouch(40.1, 40, 40)).toBeLessThan(90);
  });
  it('of every kind: the parts that are known, the first to touch first', () => {
    const named = (kind: string, set: string) => {
      const { stance } = planMade(made(kind, set));
      const all = touches(stance);
      expect(all.map(({ lean }) => lean)).toEqual(all.map(({ lean }) => lean).sort((a, b) => a - b));
      return { stance, all, names: all.map(({ name }) => name).sort() };
    };
    const { stance, all, names } = named('bicycle', 'road');
    expect(names).toEqual(['pedal']);
    const { feet } = stance.places[0]!;
    if (feet.on !== 'cranks') throw new Error('a bicycle has cranks');
    // Lowest at the bottom of its turn: half a pedal out, 12 mm under its spindle.
    expect(all[0]!.at).toEqual([feet.bracket[0], feet.tread + 45, feet.bracket[2] - feet.crank - 12]);
    expect(named('tandem', 'tandem').names).toHaveLength(2);
    expect(named('tandem', 'tandem').names.every((name) => /^pedal, [a-z]/.test(name))).toBe(true);
    const sport = named('motorcycle', 'sport');
    expect(sport.names).toContain('peg');
    const peg = sport.stance.places[0]!.feet;
    if (peg.on === 'cranks') throw new Error('a motorcycle has pegs');
    expect(sport.all.find(({ name }) => name === 'peg')!.at[1]).toBe(peg.tread + 45);
    const scooter = named('scooter', 'scooter-large');
    expect(scooter.names).toEqual(['deck edge']);
    expect(scooter.all[0]!.at).toEqual([
      scooter.stance.points.deckMiddle![0],
      75,
      scooter.stance.points.deckMiddle![2] - scooter.stance.values.deckThickness!,
    ]);
    const low = named('low-motorcycle', 'low');
    expect(low.names).toEqual(['floor', 'peg']);
    const [x, , z] = low.stance.points.floorMiddle!;
    expect(low.all.find(({ name }) => name === 'floor')!.at).toEqual([x, 110, z]);
  });
  it('the roll is that of the tyres: of the rear one behind, of the front one ahead, between them between', () => {
    const { standing } = planMade(made('motorcycle', 'sport')).stance;
    const [front, rear] = ['front', 'rear'].map((end) => standing.find((each) => each.end === end)!);
    expect(front!.width).not.toBe(rear!.width);
    const crowns = [-100, 0, 0.5, 1, 2].map((share) => crownAt({ standing }, share * front!.centre[0]));
    expect(crowns.map((crown) => 2 * crown)).toEqual(
      [rear!.width, rear!.width, (rear!.width + front!.width) / 2, front!.width, front!.width].map((width) =>
        expect.closeTo(width, 9),
      ),
    );
  });
  it('wide tyres spend part of the lean: the weight leans less than the frame', () => {
    expect(effectiveLean(40, 700, 0)).toBeCloseTo(40, 9);
    // The crown's centre 80 up, the weight 620 beyond it, leaning: by its own triangle.
    const [x, z] = [620 * Math.sin((40 * Math.PI) / 180), 80 + 620 * Math.cos((40 * Math.PI) / 180)];
    expect(effectiveLean(40, 700, 80)).toBeCloseTo((Math.atan2(x, z) * 180) / Math.PI, 9);
  });
  it('has no sideways limit, and turns no tighter than its lean lets it', () => {
    const { tipping, stance, mass } = planMade(made('motorcycle', 'standard'));
    const crown = Math.min(...stance.standing.map(({ width }) => width)) / 2;
    const [firstTouch] = touches(stance);
    expect(tipping!.leanLimit).toBeCloseTo(effectiveLean(firstTouch!.lean, mass.laden.at[2], crown), 9);
    expect(tipping!.gains).toEqual([]);
    expect(tipping!.slopes.across).toBeUndefined();
    expect(tipping!.sideways).toBeUndefined();
    expect(tipping!.polar).toEqual([]);
    const g = Math.tan((tipping!.leanLimit! * Math.PI) / 180);
    for (const { radius, limit, slidesDry } of tipping!.turns) {
      expect(limit).toBeCloseTo(Math.sqrt(g * 9.80665 * radius), 6);
      expect(slidesDry).toBeCloseTo(Math.sqrt(0.7 * 9.80665 * radius), 6);
    }
  });
});

describe('findings of the weight', () => {
  const kart = made('kart', 'kart');
  const carrying = (mass: number, offset: Vector) =>
    planMade({
      ...kart,
      mass: { lumps: [{ id: 'x', name: 'X', sort: 'cargo', mass, point: 'rearAxle', offset: [...offset] }] },
    }).findings;
  it('a weight outside the wheels, one that weighs nothing, and a high one that tips first', () => {
    const behind = carrying(400, [-900, 0, 200]).find(isFinding('falls-over'));
    expect(behind).toMatchObject({ severity: 'stop', values: { direction: 'backwards' } });
    const left = carrying(900, [500, 1200, 200]).find(isFinding('falls-over'));
    expect(left?.values.direction).toBe('to the left');
    expect(carrying(0, [0, 0, 0]).map(({ code }) => code)).toContain('lump-weighs-nothing');
    const high = carrying(400, [500, 0, 1500]).find(isFinding('tips-first'));
    expect(high?.values.limit).toBeLessThan(0.7);
  });
});
