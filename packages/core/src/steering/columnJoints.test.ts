import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BuildDocument } from '@larchwood/format';
import { made, stanceMade } from '../../../../testing/made.js';
import { add, cross, dot, unit, type Vector } from '../vector/vector.js';
import { columnEnds, throughColumn, withColumns } from './columnJoints.js';
import { moveChain, type Positions } from './chain.js';
import { steeringOf } from './steering.js';

/** A vehicle whose column has these joints. */
function jointed(kind: string, set: string, sizes: Readonly<Record<string, number>> | undefined) {
  const document = made(kind, set);
  const stance = stanceMade(document);
  const usual = steeringOf(document, stance);
  if (!usual?.ok) throw new Error(JSON.stringify(usual));
  const { linkage, held } = usual.steering;
  const parts = sizes ? [{ what: 'column' as const, sizes, choices: {}, found: {} }] : [];
  const own = {
    ...document,
    steering: { linkage, held, made: parts } as NonNullable<BuildDocument['steering']>,
  };
  const result = steeringOf(own, stance);
  if (!result?.ok) throw new Error(JSON.stringify(result));
  return result.steering;
}
const one = { joints: 1, bend: 30, phase: 0, yoke: 90 };
/** Half turns of a driven shaft by the joint's own rule, Hooke: tan(out) = tan(in) cos(bend). */
const hooke = (angle: number, bend: number) =>
  (Math.atan(Math.tan((angle * Math.PI) / 180) * Math.cos((bend * Math.PI) / 180)) * 180) / Math.PI;

describe('through the joints of a column', () => {
  it('one joint follows Hooke’s rule from where its yoke lies, and begins at none', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -890, max: 890 }),
        fc.integer({ min: 1, max: 450 }),
        (angleIn10, bendIn10) => {
          const [angle, bend] = [angleIn10 / 10, bendIn10 / 10];
          expect(throughColumn({ ...one, bend })(angle)).toBeCloseTo(hooke(angle, bend), 9);
          expect(throughColumn({ ...one, bend, yoke: -50 })(angle / 2)).toBeCloseTo(
            hooke(angle / 2 - 140, bend) - hooke(-140, bend),
            9,
          );
          expect(throughColumn({ ...one, bend, yoke: -50 })(0)).toBe(0);
        },
      ),
    );
  });
  it('with the ears in the bend it begins quickest, across it slowest: by the cosine of the bend', () => {
    const rate = (yoke: number) => throughColumn({ ...one, yoke })(0.01) / 0.01;
    expect(rate(0)).toBeCloseTo(1 / Math.cos(Math.PI / 6), 6);
    expect(rate(90)).toBeCloseTo(Math.cos(Math.PI / 6), 6);
    expect(rate(-90)).toBeCloseTo(Math.cos(Math.PI / 6), 6);
  });
  it('as a cross turns between two shafts in space: its arms stay square to each other', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -88, max: 88 }),
        fc.integer({ min: 2, max: 45 }),
        fc.integer({ min: -80, max: 80 }),
        (yoke, bend, hands) => {
          const b = (bend * Math.PI) / 180;
          // The driving shaft along x, the bend in the plane of x and y; ears of the driving yoke turned out of that plane.
          const ears = (angle: number): Vector => [0, Math.cos(angle), Math.sin(angle)];
          // The driven shaft's ears: square to its own axis and to the driving yoke's.
          const axis: Vector = [Math.cos(b), Math.sin(b), 0];
          const across = (angle: number) => unit(cross(ears(angle), axis));
          const [from, to] = [yoke, yoke + hands].map((degrees) => across((degrees * Math.PI) / 180)) as [
            Vector,
            Vector,
          ];
          const turned = Math.atan2(dot(cross(from, to), axis), dot(from, to)) * (180 / Math.PI);
          expect(throughColumn({ ...one, bend, yoke })(hands)).toBeCloseTo(turned, 6);
        },
      ),
    ));
  it('two in one plane turn evenly, wherever their yokes are set', () => {
    for (const yoke of [0, 17, 90])
      for (const angle of [-150, -20, 5, 90, 170])
        expect(throughColumn({ joints: 2, bend: 28, phase: 0, yoke })(angle)).toBeCloseTo(angle, 9);
  });

  const steered = (kind: string, set: string) => ({
    plain: jointed(kind, set, undefined),
    none: jointed(kind, set, { joints: 0 }),
    turned: (sizes: object) => jointed(kind, set, { ...one, ...sizes }),
  });
  it('the wheels turn as the lower end does: a kart’s, joint by joint', () => {
    const { plain, none, turned } = steered('kart', 'ladder');
    expect(none.built.chain).toEqual(plain.built.chain);
    for (const sizes of [{}, { yoke: 90 }, { yoke: 30 }, { joints: 2, phase: 40 }]) {
      const with_ = turned(sizes);
      for (const hands of [-25, -10, 3, 30]) {
        const lower = throughColumn({ ...one, ...sizes })(hands);
        const [a, b] = [moveChain(with_.built.chain, hands), moveChain(plain.built.chain, lower)] as [
          Positions,
          Positions,
        ];
        expect(a).toMatchObject({ hands, ...b });
      }
    }
  });
  it('so does its ratio: more hands with the yoke across the bend, fewer with it in the bend, by the cosine', () => {
    const { plain, turned } = steered('kart', 'ladder');
    const ratio = plain.values.steeringRatio!;
    expect(turned({}).values.steeringRatio).toBeCloseTo(ratio / Math.cos(Math.PI / 6), 3);
    expect(turned({ yoke: 0 }).values.steeringRatio).toBeCloseTo(ratio * Math.cos(Math.PI / 6), 3);
    // The lock is the wheels' own, and so is the circle that they turn.
    expect(turned({}).values.turningCircle).toBeCloseTo(plain.values.turningCircle!, 3);
  });
  it('askew, the hands go further to one side than to the other', () => {
    const { turned } = steered('kart', 'ladder');
    const sides = ({ sweep }: ReturnType<typeof jointed>) => sweep.left.drive + sweep.right.drive;
    expect(Math.abs(sides(turned({})))).toBeLessThan(1e-6);
    expect(Math.abs(sides(turned({ yoke: 90 })))).toBeLessThan(1e-6);
    expect(Math.abs(sides(turned({ yoke: 45 })))).toBeGreaterThan(1);
  });
  it('a file that holds more than can be built steers as at the limit', () => {
    const at = (sizes: object) => jointed('kart', 'ladder', { ...one, ...sizes }).sweep;
    expect(at({ bend: 500 })).toEqual(at({ bend: 60 }));
    expect(at({ joints: 9, phase: 30 })).toEqual(at({ joints: 2, phase: 30 }));
    expect(at({ yoke: 400 })).toEqual(at({ yoke: 90 }));
  });
  it('bars and sticks, which turn nothing through a column, stay as they are', () => {
    for (const [kind, set] of [
      ['bicycle', 'road'],
      ['tadpole-trike', 'tadpole'],
    ] as const)
      expect(jointed(kind, set, one).built.chain).toEqual(jointed(kind, set, undefined).built.chain);
  });
});

describe('the column of a steering wheel', () => {
  it('goes as far down as the linkage takes it, once one is begun', () => {
    const { built, own } = jointed('kart', 'ladder', undefined);
    const stance = stanceMade(made('kart', 'ladder'));
    const footOf = (places: typeof stance.places) =>
      places[0]!.hands.on === 'wheel' ? places[0]!.hands.columnFoot : undefined;
    expect(footOf(withColumns(stance.places, { own, built }))).toEqual(columnEnds(built)![1]);
    expect(withColumns(stance.places, { own: false, built })).toBe(stance.places);
    // One that was sized for a wheel elsewhere, as while the wheel is dragged.
    const elsewhere = stance.places.map((place) =>
      place.hands.on === 'wheel'
        ? { ...place, hands: { ...place.hands, centre: add(place.hands.centre, [0, 0, 5]) } }
        : place,
    );
    expect(withColumns(elsewhere, { own, built })).toBe(elsewhere);
  });
});
