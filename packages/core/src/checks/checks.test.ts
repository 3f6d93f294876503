import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { randomLcg } from 'd3-random';
import { describe, expect, it } from 'vitest';
import type { CheckStage, Measured } from '@larchwood/format';
import { bentFrame, readOff } from '../../../../testing/bent.js';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import {
  drawn,
  kart,
  listOf,
  measurable,
  measuredWith,
  named,
  tourer,
} from '../../../../testing/measured.js';
import { keysOf } from '../fixture/keys.js';
import { Planner } from '../plan/planner.js';
import { checked } from '../plan/stages/checks.js';
import { adjust, BEFORE, CRITICAL } from './adjust.js';
import { asBuiltOf, lastStage, networkOf, readingsOf } from './asBuilt.js';
import { doubtOf, FAR, judge, STOPS, verdictOf } from './judge.js';
import { comparedOf, readingOf } from './measure.js';
import { measuringList } from './measures.js';
import { fewestFirst } from './order.js';
import { adviceFor } from './pull.js';

describe('the axle between its plates', () => {
  // Hub 135, plates 6 thick: their middles stand 141 apart, their inner faces 135.
  it.each([
    ['bicycle', 'touring', 135, 'inner face of the plate'],
    ['tadpole-trike', 'tadpole', 135, 'inner face of the plate'],
    ['scooter', 'scooter-large', 136, 'inner face of the plate'],
    // Bearing plates 5 thick on rails whose outer faces stand 525 apart.
    ['kart', 'ladder', 525, 'inner face of the plate'],
    ['kart', 'kart', 594, 'inner face of the plate'],
    ['motorcycle', 'sport', 234, 'inner face of the plate'],
    // No plates there: from tube to tube.
    ['buggy', 'buggy', 580, 'halve its near and far edge'],
  ])('%s, %s: %f mm, measured %s', (kind, set, between, touched) => {
    const plan = planMade(made(kind, set));
    const list = measuringList({ document: made(kind, set), ...plan });
    expect(list.measures.find(({ id }) => id === 'spacing')!.nominal).toBeCloseTo(between, 6);
    expect(list.points.axleLeft!.touch).toContain(touched);
    // The fixture sets the same points.
    expect(2 * keysOf(plan.stance, plan.frame).axleLeft!.at[1]).toBeCloseTo(between, 6);
  });
});

describe('the measuring list', () => {
  it.each(EVERY_SET)('of a %s, %s, reads as drawn: every comparison of twins is nil', (kind, set) => {
    const from = measurable(kind, set);
    const list = measuringList(from);
    expect(list.measures.length).toBeGreaterThan(15);
    expect(new Set(list.measures.map(({ id }) => id)).size).toBe(list.measures.length);
    for (const { nominal, tolerance, reads } of list.measures)
      expect([Number.isFinite(nominal), tolerance.value > 0, reads > 0]).toEqual([true, true, true]);
    for (const { id, nominal } of list.comparisons)
      if (id !== 'twist' && !id.startsWith('toe')) expect(nominal, id).toBeCloseTo(0, 6);
    // A frame as drawn is told as drawn, and nothing is to be pulled.
    const built = asBuiltOf(from, list, readOff(from, list, drawn(list), 'off', false), 'off')!;
    for (const { value, drawn: wanted } of built.figures) expect(value).toBeCloseTo(wanted, 3);
    expect([built.wrong, adviceFor(networkOf(from, list), built).pulls]).toEqual([[], []]);
  });
  it('reads a diagonal, a height and two angles of a frame by hand', () => {
    // 3, 4 and 12 long, 13 across; 45 degrees up; out of plumb by the arc tangent of 4 over 5.
    const at = (id: string) => ({ a: [0, 0, 0], b: [3, 4, 12], c: [-5, 0, 5], d: [3, 4, 4] })[id] as never;
    expect(readingOf({ as: 'distance', points: ['a', 'b'] }, at)).toBe(13);
    expect(readingOf({ as: 'height', points: ['b'] }, at)).toBe(12);
    expect(readingOf({ as: 'beside', points: ['b'] }, at)).toBe(4);
    expect(readingOf({ as: 'level', points: ['a', 'c'] }, at)).toBeCloseTo(45, 9);
    expect(readingOf({ as: 'lean', points: ['a', 'd'] }, at)).toBeCloseTo(
      (Math.atan(4 / 5) * 180) / Math.PI,
      9,
    );
    expect(comparedOf({ as: 'difference' }, [7, 4])).toBe(3);
    // A plane has no twist, and one corner lifted by 2 has 2.
    expect(comparedOf({ as: 'flat' }, [1, 3, 5, 3])).toBe(0);
    expect(comparedOf({ as: 'flat' }, [3, 3, 5, 3])).toBe(2);
  });
  it('takes the builder’s own tolerances and measures, and tells those whose point is gone', () => {
    const own = (id: string, from: string, to?: string) => ({
      ...{
        id,
        name: id,
        as: to === undefined ? ('height' as const) : ('distance' as const),
        from,
        tolerance: 3,
      },
      ...(to === undefined ? {} : { to }),
    });
    const checks = {
      ...{ tolerances: { spacing: 0.4 }, preset: {} },
      own: [own('own:a', 'headLower', 'axleLeft'), own('own:b', 'seatTop'), own('own:c', 'nowhere')],
    };
    const list = measuringList({ ...tourer, document: { ...tourer.document, checks } });
    expect(named(list, 'spacing').tolerance).toEqual({ value: 0.4, source: 'the builder’s own' });
    expect(named(list, 'own:a').nominal).toBeCloseTo(named(list, 'centring.left').nominal, 9);
    expect(named(list, 'own:b').as).toBe('height');
    expect(list.lost).toEqual([{ ...own('own:c', 'nowhere') }]);
    // What came out goes by the builder's own word as well.
    const strict = { ...checks, own: [], tolerances: { 'wheels.trail': 0.7, centring: 0.2 } };
    const from = { ...tourer, document: { ...tourer.document, checks: strict } };
    const { figures } = asBuiltOf(from, measuringList(from), measuredWith(tourer, {}), 'off')!;
    const tolerance = (id: string) => figures.find((figure) => figure.id === id)!.tolerance.value;
    expect([tolerance('trail'), tolerance('centring'), tolerance('reach')]).toEqual([0.7, 0.2, 2]);
  });
  it('begins with what tells most: the order learns, never unlearns, and few readings are nearly all', () => {
    for (const from of [tourer, kart]) {
      const list = listOf(from);
      const order = fewestFirst(from, list, 'off');
      expect(order.map(({ measure }) => measure).sort()).toEqual(
        list.measures
          .filter(({ whole }) => !whole)
          .map(({ id }) => id)
          .sort(),
      );
      order.forEach(({ learned }, index) =>
        expect(learned).toBeGreaterThanOrEqual((order[index - 1]?.learned ?? 0) - 1e-9),
      );
      const few = order.findIndex(({ learned }) => learned > 0.95) + 1;
      expect(few).toBeLessThan(order.length / 2);
      // In another order the same number of readings tells less: the last ones first.
      const last = new Set(order.slice(-few).map(({ measure }) => measure));
      const doubt = (ids: ReadonlySet<string>) =>
        asBuiltOf(
          from,
          list,
          measuredWith(from, {}).filter(({ measure }) => ids.has(measure)),
          'off',
        )!.figures.reduce((sum, { sigma, tolerance }) => sum + (sigma / tolerance.value) ** 2, 0);
      expect(doubt(new Set(order.slice(0, few).map(({ measure }) => measure)))).toBeLessThan(doubt(last) / 4);
    }
  });
});

describe('what came out, by least squares', () => {
  it('agrees with a general fitter that is given the same equations', () => {
    const list = listOf(tourer);
    const network = networkOf(tourer, list);
    const keys = Object.keys(network.keys);
    const random = randomLcg(5);
    const readings = readingsOf(
      list,
      readOff(tourer, list, bentFrame(list, random, 2), 'off', false, random),
      'off',
    );
    const { unknown, displaced, wrong } = adjust(network, readings, keys);
    expect(wrong).toEqual([]);
    const size = unknown.length * 3;
    const place = (x: readonly number[]) => (id: string) => {
      const at = unknown.indexOf(id) * 3;
      return list.points[id]!.at.map((value, axis) => value + x[at + axis]!) as never;
    };
    const stiff = { as: 'distance', points: ['headLower', 'headUpper'] } as const;
    const value = (x: readonly number[], row: number): number =>
      row < size
        ? x[row]!
        : row === size
          ? readingOf(stiff, place(x))
          : readingOf(readings[row - size - 1]!.measure, place(x));
    const rows = Array.from({ length: size + 1 + readings.length }, (_, row) => row);
    const { parameterValues } = levenbergMarquardt(
      {
        x: rows,
        y: rows.map((row) =>
          row < size ? 0 : row === size ? readingOf(stiff, drawn(list)) : readings[row - size - 1]!.value,
        ),
      },
      (x: number[]) => (row: number) => value(x, row),
      {
        ...{ initialValues: new Array<number>(size).fill(0), damping: 1e-3, maxIterations: 60 },
        ...{ gradientDifference: 1e-3, centralDifference: true, errorTolerance: 1e-12 },
        weights: rows.map(
          (row) =>
            1 /
            (row < size
              ? BEFORE.point
              : row === size
                ? BEFORE.rigid
                : readings[row - size - 1]!.measure.reads),
        ),
      },
    );
    unknown.forEach((id, index) =>
      displaced[id]!.forEach((by, axis) => expect(by, id).toBeCloseTo(parameterValues[index * 3 + axis]!, 2)),
    );
  });
  it('a head tube turned and a rear end set over come out as they are, and a stage nothing was read at tells nothing', () => {
    const list = listOf(tourer);
    const turned = measuredWith(tourer, { headUpper: [0, 3, 0] });
    const { figures } = asBuiltOf(tourer, list, turned, 'off')!;
    const twist = figures.find(({ id }) => id === 'twist')!;
    const { headLower, headUpper } = networkOf(tourer, list).keys;
    const lean = (Math.atan2(3, headUpper!.at[2] - headLower!.at[2]) * 180) / Math.PI;
    expect(twist.value).toBeCloseTo(lean, 0);
    expect(Math.abs(twist.value - lean)).toBeLessThan(3 * twist.sigma);
    expect(asBuiltOf(tourer, list, turned, 'dry')).toBeUndefined();
    expect(lastStage([...turned, { stage: 'root', measure: 'spacing', value: 130 }])).toBe('off');
    expect(lastStage([])).toBeUndefined();
  });
  it('says what it cannot tell, and which reading more would tell it', () => {
    const list = listOf(tourer);
    const one = measuredWith(tourer, {}).filter(({ measure }) => measure === 'spacing');
    const { figures } = asBuiltOf(tourer, list, one, 'off')!;
    const head = figures.find(({ id }) => id === 'headAngle')!;
    expect(head.told).toBe(false);
    expect(head.next!.sigma).toBeLessThan(head.sigma);
    const more = [
      ...one,
      ...measuredWith(tourer, {}).filter(({ measure }) => measure === head.next!.measure),
    ];
    const then = asBuiltOf(tourer, list, more, 'off')!.figures.find(({ id }) => id === 'headAngle')!;
    expect(then.sigma).toBeCloseTo(head.next!.sigma, 2);
  });
  it('names a reading that the others contradict, just beyond the critical value and not just within', () => {
    const list = listOf(tourer);
    const network = networkOf(tourer, list);
    const good = readingsOf(list, measuredWith(tourer, {}), 'off');
    const { residuals } = adjust(network, good, Object.keys(network.keys));
    const { borneOut } = residuals.get('bracketToHead')!;
    const off = (CRITICAL * named(list, 'bracketToHead').reads) / Math.sqrt(borneOut);
    const with_ = (by: number) =>
      adjust(
        network,
        good.map((each) =>
          each.measure.id === 'bracketToHead' ? { ...each, value: each.value + by } : each,
        ),
        Object.keys(network.keys),
      ).wrong;
    expect(with_(off * 0.98)).toEqual([]);
    const [wrong] = with_(off * 1.02);
    expect([wrong!.measure, ...wrong!.or]).toContain('bracketToHead');
    const [gross] = with_(9);
    expect(gross!.measure).toBe('bracketToHead');
    expect(gross!.by).toBeCloseTo(9, 0);
  });
  it('several readings to one count by their spread, where that is more than the tool’s own', () => {
    const list = listOf(tourer);
    const sigma = (spread?: number) =>
      asBuiltOf(
        tourer,
        list,
        measuredWith(tourer, {}).map((each) =>
          each.measure === 'level.head' && spread !== undefined ? { ...each, spread } : each,
        ),
        'off',
      )!.figures.find(({ id }) => id === 'headAngle')!.sigma;
    expect(sigma(0.05)).toBe(sigma());
    expect(sigma(1)).toBeGreaterThan(sigma() * 1.5);
  });
});

describe('a reading', () => {
  it('passes within its tolerance, is looked at up to twice it, and stops beyond', () => {
    const verdict = (off: number) => verdictOf(off, { value: 1.5 });
    expect([verdict(1.5), verdict(-1.51), verdict(1.5 * STOPS), verdict(-1.5 * STOPS - 0.01)]).toEqual([
      ...['pass', 'look', 'look', 'stop'],
    ]);
  });
  it('that is far off is asked about: inches, centimetres, the other side, an angle from plumb', () => {
    const length = { as: 'distance', nominal: 800, quantity: 'length' } as const;
    expect(doubtOf(length, 31.5)).toMatchObject({ as: 'inches', value: expect.closeTo(800.1, 6) as number });
    expect(doubtOf(length, 80.1)).toEqual({ as: 'centimetres', value: 801 });
    expect(doubtOf(length, 600)).toEqual({ as: 'far' });
    expect(doubtOf({ ...length, nominal: 20 }, -5)).toEqual({ as: 'negative' });
    expect(doubtOf({ ...length, as: 'beside', nominal: 65 }, -64)).toEqual({ as: 'other-side', value: 64 });
    expect(doubtOf({ as: 'level', nominal: 72, quantity: 'angle' }, 18.2)).toMatchObject({
      as: 'from-plumb',
    });
    // Just inside and just outside.
    expect(doubtOf(length, 800 + FAR.share * 800)).toBeUndefined();
    expect(doubtOf(length, 800 + FAR.share * 800 + 0.1)).toBeDefined();
    expect(doubtOf({ ...length, nominal: 100 }, 100 - FAR.length)).toBeUndefined();
    expect(doubtOf({ ...length, nominal: 100 }, 100 - FAR.length - 0.1)).toBeDefined();
    expect(doubtOf({ as: 'level', nominal: 72, quantity: 'angle' }, 72 + FAR.angle)).toBeUndefined();
    expect(doubtOf({ as: 'level', nominal: 72, quantity: 'angle' }, 72.1 + FAR.angle)).toBeDefined();
  });
  it('and two others that make no triangle are told; pairs are judged by what parts them', () => {
    const list = listOf(tourer);
    const read = (values: Readonly<Record<string, number>>): Measured[] =>
      Object.entries(values).map(([measure, value]) => ({ stage: 'off', measure, value }));
    const long = read({ spacing: 130, 'centring.left': 700, 'centring.right': 560 });
    expect(judge(list, long, 'off').open[0]).toEqual(['centring.left', 'centring.right', 'spacing']);
    const { comparisons, open } = judge(list, read({ 'centring.left': 701.2, 'centring.right': 700 }), 'off');
    expect(open).toEqual([]);
    expect(comparisons.find(({ comparison }) => comparison.id === 'centring')!.outcome).toEqual({
      off: expect.closeTo(1.2, 6) as number,
      verdict: 'look',
    });
    expect(comparisons.find(({ comparison }) => comparison.id === 'stays')!.outcome).toBeUndefined();
  });
  it('becomes a finding of the plan at its last stage, and none of an earlier one', () => {
    const planner = new Planner();
    const codes = (measured: Measured[]) =>
      planner
        .ask(checked, { ...tourer.document, measured })
        .map(({ code, severity }) => `${code} ${severity}`);
    const { nominal } = named(listOf(tourer), 'spacing');
    const at = (stage: CheckStage, value: number): Measured => ({ stage, measure: 'spacing', value });
    expect(codes([at('dry', nominal + 5)])).toEqual(['reading-out stop']);
    expect(codes([at('dry', nominal + 5), at('tacked', nominal + 1.5)])).toEqual(['reading-out look']);
    expect(codes([at('dry', nominal + 5), at('tacked', nominal)])).toEqual([]);
    expect(codes([at('dry', nominal / 25.4)])).toEqual(['reading-doubted stop']);
    const contradicted = measuredWith(tourer, {}).map((each) =>
      each.measure === 'bracketToHead' ? { ...each, value: each.value + 9 } : each,
    );
    expect(codes(contradicted)).toEqual(['reading-disagrees stop']);
  });
});
