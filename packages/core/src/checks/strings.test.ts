import { mat4, vec3 } from 'gl-matrix';
import { describe, expect, it } from 'vitest';
import type { Measured } from '@larchwood/format';
import { EVERY_SET } from '../../../../testing/made.js';
import { kart, listOf, measurable, named, tourer } from '../../../../testing/measured.js';
import { moveChain, rodLength } from '../steering/chain.js';
import { steeringOf } from '../steering/steering.js';
import { asBuiltOf, readingsOf } from './asBuilt.js';
import { isFinding } from '../findings/finding.js';
import { builtDocument } from './builtDocument.js';
import { checkFindings } from './findings.js';
import { doubtOf, judge } from './judge.js';
import { measuringList, type Measurable } from './measures.js';
import { gapOf } from './strings.js';
import { rodTurns, toeFigures } from './toe.js';
import { TOLERANCES } from './tolerances.js';

const SIDES = ['Left', 'Right'] as const;
const ENDS = ['fore', 'aft'] as const;
const read = (measure: string, value: number): Measured => ({ stage: 'assembled', measure, value });

/**
 * Gaps of wheels that are turned about their own steering axes and shifted sideways: the straight-edge's ends are turned with
 * them. Source: gl-matrix, a general library.
 */
function gapsWith(from: Measurable, turned: readonly [left: number, right: number], shifted = 0): Measured[] {
  const list = measuringList(from);
  const { steered } = from.stance;
  return SIDES.flatMap((side, index) => {
    const { axis, axisPoint } = steered[Math.min(index, steered.length - 1)]!;
    const about = mat4.create();
    mat4.translate(about, about, [...axisPoint]);
    mat4.rotate(about, about, (turned[index]! * Math.PI) / 180, [...axis]);
    mat4.translate(about, about, axisPoint.map((value) => -value) as [number, number, number]);
    return ENDS.map((end) => {
      const id = gapOf(side, end);
      const { at, string } = named(list, id).strung!;
      const [, y] = vec3.transformMat4(vec3.create(), [...at], about);
      return read(id, string - (side === 'Left' ? 1 : -1) * (y! + shifted));
    });
  });
}
const figuresOf = (from: Measurable, measured: readonly Measured[]) =>
  new Map(
    asBuiltOf(from, measuringList(from), measured, 'assembled')!.figures.map((each) => [each.id, each]),
  );

describe('strings along both sides', () => {
  it.each(EVERY_SET)(
    'of a %s, %s, stand clear of all wheels; as drawn they tell the toe as drawn',
    (kind, set) => {
      const from = measurable(kind, set);
      const list = measuringList(from);
      const { strung } = named(list, gapOf('Left', 'fore'));
      for (const { centre, width } of from.stance.standing)
        expect(strung!.string - Math.abs(centre[1]) - width / 2).toBeGreaterThanOrEqual(20);
      expect([strung!.string % 5, (strung!.edge ?? 0) % 50]).toEqual([0, 0]);
      expect(strung!.edge ?? 0).toBeLessThanOrEqual(0.9 * 2 * from.stance.steered[0]!.radius);
      const gaps = SIDES.flatMap((side) => ENDS.map((end) => gapOf(side, end)));
      for (const id of gaps) expect(named(list, id).nominal, id).toBeGreaterThan(0);
      const figures = figuresOf(
        from,
        gaps.map((id) => read(id, named(list, id).nominal)),
      );
      expect(figures.get('offset')!.value).toBeCloseTo(0, 6);
      expect(figures.get('offset')!.told).toBe(true);
      const two = from.stance.steered.length === 2;
      for (const side of SIDES)
        expect(figures.get(`toe${side}`)?.value).toEqual(
          two ? expect.closeTo(from.stance.values.toe!, 3) : undefined,
        );
    },
  );

  it('of a build in inches stand at quarters of an inch, with an edge of whole even inches', () => {
    const document = { ...kart.document, units: { length: 'fraction', denominator: 16 } as const };
    const { string, edge } = named(measuringList({ ...kart, document }), gapOf('Left', 'aft')).strung!;
    expect([(string / 25.4) * 4, edge! / 25.4 / 2].map((value) => value % 1)).toEqual([0, 0]);
  });

  it('tell each wheel’s toe by itself: turned about its own leaning axis, by a general library', () => {
    for (const [kind, set] of [
      ['kart', 'kart'],
      ['buggy', 'buggy'],
      ['tadpole-trike', 'tadpole'],
    ] as const) {
      const from = measurable(kind, set);
      const drawn = from.stance.values.toe!;
      // About its own axis, up: the left one turns outward by more than nothing, the right one inward.
      const figures = figuresOf(from, gapsWith(from, [-1, -0.5]));
      const lean = from.stance.steered[0]!.axis[2];
      expect(figures.get('toeLeft')!.value).toBeCloseTo(drawn + lean, 2);
      expect(figures.get('toeRight')!.value).toBeCloseTo(drawn - lean / 2, 2);
      expect(figures.get('toe')!.value).toBeCloseTo(drawn + lean / 4, 2);
      // Two readings of half a millimetre each, over the straight-edge.
      const { edge } = named(measuringList(from), gapOf('Left', 'fore')).strung!;
      const sigma = (Math.SQRT1_2 / edge!) * (180 / Math.PI);
      expect(figures.get('toeLeft')!.sigma).toBeCloseTo(sigma, 9);
      expect(figures.get('toe')!.sigma).toBeCloseTo(sigma / Math.SQRT2, 9);
      // What the build holds is carried on as built.
      expect(builtDocument(from.document, [...figures.values()]).stance.held.toe).toBe(
        figures.get('toe')!.value,
      );
    }
  });

  it('carry the toe across the tyres where the build holds that', () => {
    const held = { ...kart.stance.held, toeDifference: kart.stance.values.toeDifference! };
    const stance = { ...kart.stance, held };
    const from = { ...kart, stance };
    const figures = figuresOf(from, gapsWith(from, [-1, 1]));
    const mean = figures.get('toeLeft')!.value;
    expect(figures.get('toe')).toBeUndefined();
    expect(figures.get('toeDifference')!.value).toBeCloseTo(
      4 * stance.steered[0]!.radius * Math.sin((mean * Math.PI) / 180),
      1,
    );
  });

  it('tell how far the front lies beside the rear, unless that was read by itself; bars that stand askew lay a hub over', () => {
    for (const [from, turned] of [
      [tourer, [3, 3]],
      [kart, [0, 0]],
    ] as const) {
      const list = listOf(from);
      const gaps = gapsWith(from, turned, 4);
      const [derived] = readingsOf(list, gaps, 'assembled');
      expect([derived!.measure.id, derived!.measure.outcome]).toEqual(['strung', 'offset']);
      const { axisPoint, axis, centre } = from.stance.steered[0]!;
      const ahead = vec3.length(
        vec3.cross(vec3.create(), vec3.sub(vec3.create(), [...centre], [...axisPoint]), [...axis]),
      );
      const laid = from === tourer ? ahead * Math.sin((3 * Math.PI) / 180) : 0;
      expect(derived!.value).toBeCloseTo(4 + laid, 1);
      expect(readingsOf(list, gaps.slice(1), 'assembled')).toEqual([]);
      const own = readingsOf(list, [...gaps, read('wheels.offset', 1)], 'assembled');
      expect(own.map(({ measure, value }) => [measure.id, value])).toEqual([['wheels.offset', 1]]);
    }
  });

  it('say which gap would tell a toe that is not told, and nothing before it stands on its wheels', () => {
    const list = listOf(kart);
    const [left, right, none] = toeFigures(list, [read(gapOf('Left', 'fore'), 30)], 'assembled', kart.stance);
    expect([left!.told, left!.next!.measure]).toEqual([false, gapOf('Left', 'aft')]);
    expect([right!.told, right!.next!.measure, none]).toEqual([false, gapOf('Right', 'fore'), undefined]);
    // Gaps that differ by more than the straight-edge is long are no angle.
    const apart = [read(gapOf('Left', 'fore'), 9000), read(gapOf('Left', 'aft'), 0)];
    expect(toeFigures(list, apart, 'assembled', kart.stance)[0]!.told).toBe(false);
    expect(toeFigures(list, [], 'off', kart.stance)).toEqual([]);
    expect(toeFigures(listOf(tourer), [], 'assembled', tourer.stance)).toEqual([]);
  });

  it('ask about a gap that is less than nothing; a sprocket may lie to either side', () => {
    const gap = named(listOf(kart), gapOf('Left', 'fore'));
    expect(doubtOf(gap, -1)?.as).toBe('negative');
    expect(doubtOf(gap, 0)).toBeUndefined();
    expect(doubtOf(named(listOf(kart), 'sprocket.fore'), -1)).toBeUndefined();
  });
});

it('gaps that disagree with the other readings are told as one, and all of them are taken out', () => {
  const list = listOf(kart);
  const wheels = list.measures.filter(({ as, whole }) => as === 'outcome' && whole);
  const others = wheels
    .filter(({ outcome }) => outcome !== 'offset')
    .map(({ id, nominal }) => read(id, nominal));
  // The bare frame's points say where the front lies; the strings, 30 mm aside, do not.
  const points = list.measures.filter(({ as, whole }) => !whole && as !== 'gap');
  const all = [
    ...points.map(({ id, nominal }) => read(id, nominal)),
    ...others,
    ...gapsWith(kart, [0, 0], 30),
  ];
  const built = asBuiltOf(kart, list, all, 'assembled')!;
  expect(built.wrong.map(({ measure }) => measure)).toEqual(['strung']);
  const [told] = checkFindings(list, all, 'assembled', built).filter(isFinding('reading-disagrees'));
  const gaps = SIDES.flatMap((side) => ENDS.map((end) => gapOf(side, end)));
  expect([told!.where.ref, told!.values.ids]).toEqual([gaps[0], gaps]);
});

describe('what hangs on no point of the frame', () => {
  it('dropouts face to face read their spacing; a swing-arm’s pivot has none', () => {
    const list = listOf(tourer);
    for (const edge of ['front', 'rear', 'upper', 'lower'])
      expect(named(list, `faces.${edge}`).nominal).toBe(named(list, 'spacing').nominal);
    const pivoted = measuringList(measurable('motorcycle', 'cruiser'));
    expect(pivoted.measures.some(({ id }) => id.startsWith('faces.'))).toBe(false);
    expect(listOf(kart).measures.some(({ id }) => id.startsWith('faces.'))).toBe(false);
  });
  it('a flat frame is turned over; and none of it bends what is told of the points', () => {
    const list = listOf(kart);
    expect([named(list, 'turned.front').nominal, named(list, 'turned.rear').whole]).toEqual([0, false]);
    expect(listOf(tourer).measures.some(({ id }) => id.startsWith('turned.'))).toBe(false);
    const off = { stage: 'off', value: 40 } as const;
    const built = asBuiltOf(kart, list, [{ ...off, measure: 'turned.front' }], 'off')!;
    expect([built.readings, built.wrong]).toEqual([1, []]);
    for (const { value, drawn } of built.figures) expect(value).toBeCloseTo(drawn, 6);
    const { measures } = judge(list, [{ ...off, measure: 'turned.front' }], 'off');
    expect(measures.find(({ measure }) => measure.id === 'turned.front')!.outcome!.verdict).toBe('stop');
  });
});

describe('rods turned for the toe', () => {
  it.each([
    ['kart', 'kart'],
    ['kart', 'ladder'],
    ['buggy', 'buggy'],
    ['tadpole-trike', 'tadpole'],
  ])('bring the wheels of a %s, %s, from where they are to straight ahead', (kind, set) => {
    const from = measurable(kind, set);
    const solved = steeringOf(from.document, from.stance);
    if (!solved?.ok) throw new Error('no steering');
    const { chain } = solved.steering.built;
    // Rods that are wrong by some millimetres leave the wheels somewhere.
    const links = chain.links.map((link, index) =>
      link.as === 'rod' ? { ...link, length: (link.length ?? rodLength(link)) + 2 + index } : link,
    );
    const there = moveChain({ ...chain, links }, 0) as Readonly<Record<string, number>>;
    const turned = from.stance.steered.map(({ id }) => there[chain.wheels[id]!]!) as [number, number];
    const figures = [...figuresOf(from, gapsWith(from, turned)).values()];
    const rods = rodTurns(solved.steering, from.stance, figures);
    expect(rods.length).toBeGreaterThan(0);
    const wheels = new Set(Object.values(chain.wheels));
    for (const link of chain.links) {
      if (link.as !== 'rod') continue;
      const index = chain.links.indexOf(link);
      const sets = [link.from.body, link.to.body].some((body) => wheels.has(body));
      const fixed = [link.from.body, link.to.body].every(
        (body) => wheels.has(body) || Math.abs(there[body] ?? 0) < 1e-9,
      );
      // Where the rod hangs on nothing else that moved, it is turned by all that it was wrong.
      if (sets && fixed) expect(rods.find(({ id }) => id === link.id)!.by).toBeCloseTo(-(2 + index), 1);
    }
  });
  it('none while both are within their tolerance, or one is not told', () => {
    const solved = steeringOf(kart.document, kart.stance);
    if (!solved?.ok) throw new Error('no steering');
    const { edge } = named(listOf(kart), gapOf('Left', 'fore')).strung!;
    const limit = (Math.asin(TOLERANCES.toe.value / edge!) * 180) / Math.PI / kart.stance.steered[0]!.axis[2];
    const count = (by: number) =>
      rodTurns(solved.steering, kart.stance, [...figuresOf(kart, gapsWith(kart, [-by, by])).values()]).length;
    // Two standard deviations of the readings are more than the tolerance here.
    expect(
      [count(limit * Math.SQRT2 * 0.98), count(limit * Math.SQRT2 * 1.02)].map((each) => each > 0),
    ).toEqual([false, true]);
    const one = gapsWith(kart, [-5, 5]).slice(0, 3);
    expect(rodTurns(solved.steering, kart.stance, [...figuresOf(kart, one).values()])).toEqual([]);
  });
});
