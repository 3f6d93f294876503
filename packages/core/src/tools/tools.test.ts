import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NO_SHOP, type Hole, type Shop, type Tool } from '@larchwood/format';
import { DEMO } from '../../../../testing/demo.js';
import { made, planMade } from '../../../../testing/made.js';
import { usualHole } from '../holes/holes.js';
import { sawOf } from '../joints/planar.js';
import { toDegrees, toRadians } from '../units/angle.js';
import {
  answerOf,
  bySetting,
  closedBy,
  CLOSES,
  cutterGap,
  inOneSetUp,
  jobsOf,
  SAME,
  toolJobs,
  type Job,
} from './settings.js';

const tool = (part: Partial<Tool>): Tool => ({
  ...{
    name: 'Tool',
    sort: 'notcher',
    scale: 'from-square',
    most: 45,
    largest: 60,
    sizes: [32, 38],
    play: 0,
    speeds: [0, 0],
  },
  ...part,
});
const cope: Job = {
  ...{
    id: 'a/start',
    piece: 'a',
    mark: '1',
    what: 'start',
    kind: 'cope',
    offSquare: 30,
    diameter: 32,
    across: 25.4,
  },
  ...{ material: 'chromoly-4130', paperOnly: false, offset: 0 },
};
const setting = (of: Tool, job: Job = cope) => {
  const answer = answerOf('t', of, job);
  return answer.can ? answer.setting : answer.why;
};

describe('a cutter of another size', () => {
  it('leaves no gap where it is the host’s, and what two circles part by across the tube otherwise', () => {
    expect(cutterGap(32, 32, 25.4, 70)).toBe(0);
    // By points along the wall, square on: the cut pushed home until it touches, the largest gap read.
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 60, noNaN: true }),
        fc.double({ min: 20, max: 60, noNaN: true }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        fc.double({ min: 30, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (host, cutter, share, angle, aside) => {
          const tube = share * Math.min(host, cutter);
          // Set over as far as the tube still lies within both.
          const offset = (aside * (Math.min(host, cutter) - tube)) / 2;
          const sine = Math.sin((angle * Math.PI) / 180);
          const cut = (size: number, phi: number) =>
            -(
              Math.sqrt((size / 2) ** 2 - ((tube / 2) * Math.sin(phi) - offset) ** 2) +
              (tube / 2) * Math.cos(phi) * Math.cos((angle * Math.PI) / 180)
            ) / sine;
          const apart = Array.from({ length: 721 }, (_, index) => {
            const phi = (index * Math.PI) / 360;
            return cut(cutter, phi) - cut(host, phi);
          });
          const gap = Math.max(...apart) - Math.min(...apart);
          expect(cutterGap(host, cutter, tube, angle, offset)).toBeCloseTo(gap, 3);
        },
      ),
    );
  });
  it('is closed by a process or not, just inside and just outside', () => {
    expect(closedBy(CLOSES.tig)).toBe('any process');
    expect(closedBy(CLOSES.tig + 0.01)).toBe('brazing and MIG');
    expect(closedBy(CLOSES.braze + 0.01)).toBe('MIG only');
    expect(closedBy(CLOSES.mig + 0.01)).toMatch(/^none/);
  });
});

describe('what a tool says', () => {
  it('its own scale, from square or from parallel', () => {
    expect(setting(tool({}))).toMatchObject({ reads: 30, cutter: 32, gap: 0 });
    expect(setting(tool({ scale: 'from-parallel' }))).toMatchObject({ reads: 60 });
  });
  it('why not: an angle past its stop, a tube too large, no cutter, several hosts', () => {
    expect(setting(tool({ most: 30 }))).toMatchObject({ reads: 30 });
    expect(setting(tool({ most: 29.9 }))).toBe('it stops at 29.9° off square');
    expect(setting(tool({ largest: 25 }))).toBe('the tube is larger than it takes');
    expect(setting(tool({ sizes: [25.4 - SAME.cutter - 0.01] }))).toMatch(/no cutter/);
    expect(setting(tool({ sizes: [25.4 - SAME.cutter] }))).toMatchObject({ cutter: 25.4 - SAME.cutter });
    expect(setting(tool({}), { ...cope, paperOnly: true })).toMatch(/several hosts/);
    expect(setting(tool({ sort: 'saw' }))).toBe('a saw cuts no cope');
    expect(setting(tool({ sort: 'saw' }), { ...cope, kind: 'plane' })).toMatchObject({ reads: 30 });
  });
  it('a tube off its host’s middle is set over by as much, and wants a cutter that covers it there', () => {
    expect(setting(tool({}), { ...cope, offset: 3 })).toMatchObject({ over: 3, cutter: 32 });
    expect(setting(tool({}), { ...cope, offset: 0.04 })).not.toHaveProperty('over');
    // 25.4 across and 6 over reach 18.7 off the middle: 32 is too narrow, 38 is not.
    expect(setting(tool({}), { ...cope, offset: 6 })).toMatchObject({ cutter: 38 });
  });
  it('a worn arbor is part of the gap', () => {
    expect(setting(tool({ play: 0.2 }))).toMatchObject({ gap: 0.2 });
  });
  it('turns a minute by cutting speed: chromoly, 25 m/min, a cutter of 26.5 mm: 300 a minute, 45 mm feed (practice)', () => {
    const turned = setting(tool({ sizes: [26.5], speeds: [50, 3000] }), { ...cope, diameter: 26.5 });
    if (typeof turned === 'string') throw new Error(turned);
    expect(turned.speed!).toBeCloseTo(300, -1);
    expect(turned.feed!).toBeCloseTo(45, 0);
    // Within what it has.
    expect(setting(tool({ sizes: [32], speeds: [400, 900] }))).toMatchObject({ speed: 400 });
  });
  it('a bit of the hole’s size, to a hair', () => {
    const hole: Job = { ...cope, kind: 'hole', diameter: 8, offSquare: 0 };
    const drill = (size: number) => setting(tool({ sort: 'drill', sizes: [size] }), hole);
    expect(drill(8 + SAME.bit - 0.01)).toMatchObject({ cutter: 8.14 });
    expect(drill(8 + SAME.bit + 0.01)).toMatch(/none of that size/);
    expect(setting(tool({}), hole)).toBe('it makes no holes');
  });
});

describe('all work of a build', () => {
  const base = made('bicycle', 'road');
  const top = base.frame.members.find(({ name }) => name === 'Top tube')!;
  const holes: Hole[] = [usualHole('cable', 'c', 500)];
  const plan = planMade({
    ...base,
    frame: {
      ...base.frame,
      members: base.frame.members.map((each) => (each.id === top.id ? { ...each, holes } : each)),
    },
  });
  const jobs = jobsOf(plan.frame, plan.cuts, plan.holes);
  const shop: Shop = {
    ...NO_SHOP,
    tools: {
      n: tool({ name: 'Notcher', sizes: [28.6, 31.8, 35, 36, 38, 40], most: 60 }),
      s: tool({ name: 'Saw', sort: 'saw', largest: 80 }),
      p: tool({ name: 'Paper', sort: 'paper', most: 89 }),
    },
  };
  it('is each end and each hole once; everything but a hole without a drill finds a tool', () => {
    expect(jobs.length).toBe(2 * plan.cuts.length + plan.holes[0]!.bores.length);
    for (const { job, best } of toolJobs(jobs, shop))
      expect(best === undefined, job.what).toBe(job.kind === 'hole');
  });
  it('with the first as template each second of a pair is one job, after its twin', () => {
    const copied = jobsOf(plan.frame, plan.cuts, plan.holes, {
      cuts: { bends: {}, bars: [], twins: 'template' },
    });
    const pairs = plan.cuts.filter(({ mark }) => mark.endsWith('R'));
    expect(pairs.length).toBeGreaterThan(0);
    expect(copied.filter(({ kind }) => kind === 'copy').map(({ mark }) => mark)).toEqual(
      pairs.map(({ mark }) => mark),
    );
    expect(copied.length).toBe(jobs.length - pairs.length);
    for (const { job, best } of toolJobs(copied, shop)) if (job.kind === 'copy') expect(best).toBeUndefined();
    expect(copied.find(({ mark }) => mark === '7R')!.what).toMatch(/^as 7L, (turned over|mirrored)$/);
  });
  it('a tool whose gap not every process closes gives way to paper, just inside and just outside; without paper it is told', () => {
    const best = (play: number, more: Shop['tools'] = { p: shop.tools.p! }) =>
      toolJobs([cope], { tools: { n: tool({ name: 'Notcher', play }), ...more } })[0]!.best!;
    expect(best(CLOSES.tig).name).toBe('Notcher');
    expect(best(CLOSES.tig + 0.01).name).toBe('Paper');
    expect(best(CLOSES.mig, {})).toMatchObject({ name: 'Notcher', gap: CLOSES.mig });
    // Of two the one with less.
    expect(best(0.2, { m: tool({ name: 'Mill', sort: 'mill', play: 0.1 }) }).name).toBe('Mill');
  });
  it('by setting: each job once, those together share tool, cutter and reading', () => {
    const all = toolJobs(jobs, shop);
    const groups = bySetting(all);
    expect(
      groups
        .flat()
        .map(({ job }) => job.id)
        .sort(),
    ).toEqual(jobs.map(({ id }) => id).sort());
    expect(groups.length).toBeLessThan(all.length);
    for (const group of groups)
      expect(
        new Set(group.map(({ best }) => `${best?.name} ${best?.cutter} ${best?.reads?.toFixed(1)}`)).size,
      ).toBe(1);
  });
});

describe('two tubes in one set-up', () => {
  it('shim by half the difference; a level across both reads their common tangent', () => {
    const { shim, reads } = inOneSetUp([31.8, 25.4], 80);
    expect(shim).toBeCloseTo(3.2, 9);
    // The tangent touches both circles: as far from either centre as that one's radius.
    const slope = (reads * Math.PI) / 180;
    const over = (x: number, height: number) => height * Math.cos(slope) + x * Math.sin(slope);
    const height = 31.8 / 2 / Math.cos(slope);
    expect([over(0, height), over(-80, height)].map((each) => each * 2)).toEqual([
      expect.closeTo(31.8, 9),
      expect.closeTo(25.4, 9),
    ]);
    expect(inOneSetUp([20, 20], 5)).toEqual({ shim: 0, reads: 0 });
    expect(inOneSetUp([25.4, 31.8], 80)).toEqual({ shim, reads });
    expect(() => inOneSetUp([20, 30], 0)).toThrow(RangeError);
  });
});

describe('a cut in one plane on the saw', () => {
  const sawn = DEMO.flatMap((document) => {
    const plan = planMade(document);
    return jobsOf(plan.frame, plan.cuts, []).flatMap((job) =>
      job.kind === 'plane' ? [{ job, name: `${document.name} ${job.mark} ${job.what}` }] : [],
    );
  });
  it('table and blade together make the angle off square of the cut itself, on every demo', () => {
    for (const { job, name } of sawn) {
      const { miter, bevel } = job.saw!;
      const off = toDegrees(Math.acos(Math.cos(toRadians(miter)) * Math.cos(toRadians(bevel))));
      expect(Math.abs(off - job.offSquare), name).toBeLessThan(0.06);
    }
  });
  it('what leans one way only is laid on its other face, and the blade stands upright', () => {
    const laid = sawn.filter(({ job }) => job.saw!.up === 'next');
    expect(laid.length).toBeGreaterThan(2);
    for (const { job } of laid) {
      expect(job.saw).toMatchObject({ miter: job.offSquare, bevel: 0 });
      expect(job.what).toContain('next face up');
      expect(answerOf('s', tool({ sort: 'saw', largest: 500 }), job)).toMatchObject({
        setting: { reads: job.offSquare },
      });
    }
  });
  // A square tube cut by a plane that leans both ways.
  const kart = planMade(made('kart', 'ladder'));
  const cut = kart.cuts.find(({ ends }) => !ends[0].outline.round)!;
  const saw = sawOf([1, 0.3, 0.2])!;
  const leaning = { ...cut, ends: [{ ...cut.ends[0], cut: 'plate', saw }, cut.ends[1]] } as typeof cut;
  const [job] = jobsOf(kart.frame, [leaning], []);
  it('one that leans both ways has a miter and a bevel, and its limit is judged by both, just inside and outside', () => {
    expect(job!.saw).toMatchObject({ up: 'match' });
    expect(job!.saw!.miter).toBeCloseTo(toDegrees(Math.atan(0.2)), 9);
    const most = Math.max(job!.saw!.miter, job!.saw!.bevel);
    const at = (limit: number) => answerOf('s', tool({ sort: 'saw', largest: 500, most: limit }), job!);
    expect(at(most + 0.01)).toMatchObject({
      can: true,
      setting: { reads: job!.saw!.miter, bevel: job!.saw!.bevel },
    });
    expect(at(most - 0.01).can).toBe(false);
    const parallel = tool({ sort: 'saw', largest: 500, most: 60, scale: 'from-parallel' });
    expect(answerOf('s', parallel, job!)).toMatchObject({
      setting: { reads: 90 - job!.saw!.miter, bevel: job!.saw!.bevel },
    });
  });
  it('two that differ in their bevel alone are set apart', () => {
    const other = { ...job!, id: 'other', saw: { ...job!.saw!, bevel: job!.saw!.bevel + 1 } };
    const tools = { s: tool({ sort: 'saw', largest: 500, most: 60 }) };
    expect(bySetting(toolJobs([job!, other, { ...job!, id: 'same' }], { tools }))).toHaveLength(2);
  });
});
