import { isDeepStrictEqual } from 'node:util';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BuildDocument } from '@larchwood/format';
import { FAMILIES, made } from '../../../../testing/made.js';
import { sameContent, shared } from '../memo/content.js';
import { planBuild, WHILE_DRAGGED, type Plan } from './plan.js';
import { Planner } from './planner.js';
import { bends } from './stages/bends.js';
import { clearances } from './stages/clearance.js';
import { steeringFound, sweptFindings } from './stages/findings.js';
import { details, fixture } from './stages/fixture.js';
import { frame } from './stages/frame.js';
import { holes } from './stages/holes.js';
import { ends, interferences } from './stages/joints.js';
import { mass } from './stages/mass.js';
import { NoStance, solved, stance } from './stages/stance.js';

const planOf = (document: BuildDocument, planner?: Planner): Plan => {
  const planned = planBuild(document, planner);
  if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
  return planned.plan;
};
const copy = <T>(value: T): T => structuredClone(value);

/** The document with one of its nodes moved. */
function moved(document: BuildDocument, pick: number, by: number): BuildDocument {
  const nodes = document.frame.nodes;
  const index = pick % nodes.length;
  return {
    ...document,
    frame: {
      ...document.frame,
      nodes: nodes.map((node, at) => {
        const { anchor } = node;
        if (at !== index || !('offset' in anchor)) return node;
        return {
          ...node,
          anchor: { ...anchor, offset: [anchor.offset[0] + by, anchor.offset[1], anchor.offset[2] + by / 2] },
        };
      }),
    },
  };
}

describe.each(FAMILIES)('%s, %s', (kind, set) => {
  it('a plan made on what is known from before is the plan that starts afresh', () => {
    const document = made(kind, set);
    const planner = new Planner();
    planOf(document, planner);
    fc.assert(
      fc.property(fc.nat({ max: 500 }), fc.double({ min: -6, max: 6, noNaN: true }), (pick, by) => {
        const next = moved(document, pick, by);
        // Both compare whole: every cut line of every end among them.
        expect(sameContent(planOf(next, planner), planOf(next))).toBe(true);
      }),
      { numRuns: 12 },
    );
  });
});

describe('a planner', () => {
  const build = made('buggy', 'buggy');
  const started = () => {
    const planner = new Planner();
    const plan = planOf(build, planner);
    return {
      planner,
      plan,
      before: [solved, frame, ends, interferences, fixture, mass].map((each) => planner.runs(each)),
    };
  };
  it('runs nothing for an edit of the notes, nor for a copy that holds the same', () => {
    const { planner, plan, before } = started();
    const again = planOf({ ...build, notes: 'Ring the tube shop' }, planner);
    expect(again).toBe(plan);
    expect(planOf(copy(build), planner)).toBe(plan);
    expect([solved, frame, ends, interferences, fixture, mass].map((each) => planner.runs(each))).toEqual(
      before,
    );
  });
  it('a setting that is found runs the fixture and no joint; a lump runs the mass and no fixture', () => {
    const { planner, plan } = started();
    const readings = [{ school: build.brief.school, setting: plan.fixture.settings[0]!.id, set: true }];
    const ticked = planOf({ ...build, fixture: { ...build.fixture, readings } }, planner);
    expect([fixture, ends, interferences, mass].map((each) => planner.runs(each))).toEqual([2, 1, 1, 1]);
    expect(ticked.cuts).toBe(plan.cuts);
    const lumps = build.mass.lumps.map((lump, index) =>
      index === 0 ? { ...lump, mass: lump.mass + 1 } : lump,
    );
    planOf({ ...build, mass: { ...build.mass, lumps } }, planner);
    expect(planner.runs(mass)).toBe(2);
    expect(planner.runs(ends)).toBe(1);
  });
  it('a node moved leaves every piece that it does not touch the same object', () => {
    const { planner, plan } = started();
    const free = build.frame.nodes.findIndex(({ anchor }) => 'offset' in anchor);
    const next = planOf(moved(build, free, 3), planner);
    const same = next.frame.pieces.filter((piece) => plan.frame.pieces.includes(piece)).length;
    const cut = next.cuts.filter((each) => plan.cuts.includes(each)).length;
    expect(same).toBeGreaterThan(next.frame.pieces.length / 2);
    expect(cut).toBeGreaterThan(next.cuts.length / 2);
    expect(same).toBeLessThan(next.frame.pieces.length);
  });
  it('what takes long is run only when it is asked for, and its findings meet in one place', () => {
    const kart = made('kart', 'kart', { held: { legRoom: 860 } });
    const planner = new Planner();
    planOf(kart, planner);
    expect([planner.runs(clearances), planner.runs(details)]).toEqual([0, 0]);
    const found = planner.ask(sweptFindings, kart);
    expect([planner.runs(clearances), planner.runs(details)]).toEqual([1, 1]);
    expect(found).toEqual([
      ...found.filter(({ where }) => where.station === 'seat'),
      ...found.filter(({ where }) => where.station === 'fixture'),
      ...found.filter(({ where }) => where.station === 'work'),
    ]);
  });
  it('stages that rest give what they gave, and are made up for when they rest no more', () => {
    const { planner, plan } = started();
    const free = build.frame.nodes.findIndex(({ anchor }) => 'offset' in anchor);
    const next = moved(build, free, 3);
    const resting = (document: BuildDocument) => {
      const planned = planBuild(document, planner, WHILE_DRAGGED);
      if (!planned.ok) throw new Error('it is planned');
      return planned.plan;
    };
    const hurried = resting(next);
    const idle = [fixture, interferences, bends, holes, steeringFound];
    expect(idle.map((each) => planner.runs(each))).toEqual([1, 1, 1, 1, 1]);
    expect([planner.runs(frame), planner.runs(mass)]).toEqual([2, 2]);
    expect(hurried.fixture).toBe(plan.fixture);
    expect(hurried.cuts).toEqual(planOf(next).cuts);
    // Asked for the same document once more, without.
    expect(sameContent(planOf(next, planner), planOf(next))).toBe(true);
    expect(planner.runs(fixture)).toBe(2);
    // What was never made cannot rest.
    const first = planBuild(build, new Planner(), WHILE_DRAGGED);
    expect(first.ok && sameContent(first.plan, plan)).toBe(true);
  });
  it('where there is no stance, the refusals are told and what stands on it throws them', () => {
    const none = made('bicycle', 'road', {});
    const broken = {
      ...none,
      stance: { held: { ...none.stance.held, chainstayLength: 160, bottomBracketDrop: 200 } },
    };
    const planner = new Planner();
    expect(planBuild(broken, planner).ok).toBe(false);
    expect(() => planner.ask(stance, broken)).toThrow(NoStance);
    // And it comes back when the build is mended.
    expect(planOf(none, planner).cuts.length).toBeGreaterThan(0);
  });
});

describe('content', () => {
  const data = fc.jsonValue();
  it('a copy holds the same, and sharing gives the old object back', () => {
    fc.assert(
      fc.property(data, (value) => {
        expect(sameContent(value, copy(value))).toBe(true);
        expect(Object.is(shared(value, copy(value)), value)).toBe(true);
      }),
    );
  });
  it('what differs does not; sharing never changes what is held', () => {
    fc.assert(
      fc.property(data, data, (a, b) => {
        expect(sameContent(a, copy(b))).toBe(isDeepStrictEqual(a, b));
        expect(shared(a, copy(b))).toEqual(b);
      }),
    );
  });
  it('numbers in lines, what is missing, and what is no plain data', () => {
    const line = (...values: number[]) => Float64Array.from(values);
    expect(sameContent(line(1, NaN), line(1, NaN))).toBe(true);
    expect(sameContent(line(1, 2), line(1, 3))).toBe(false);
    expect(sameContent({ a: undefined }, {})).toBe(false);
    const odd = JSON.parse('{"__proto__": {"a": 1}, "b": 2}') as object;
    expect(Object.keys(shared({ b: 1 }, odd))).toEqual(['__proto__', 'b']);
    // Fewer keys, other keys as many, and keys that every object answers to.
    const pairs: [object, object][] = [
      [{ a: 1, b: 2 }, { a: 1 }],
      [
        { a: 1, c: 2 },
        { a: 1, b: undefined },
      ],
      [{ a: 1 }, { a: 1, toString: undefined }],
      [{ a: 1 }, JSON.parse('{"a": 1, "__proto__": {}}') as object],
      [[1, 2], [1]],
      [[0], [-0]],
    ];
    for (const [one, other] of pairs) {
      expect(sameContent(one, other)).toBe(false);
      expect(shared(one, other)).toBe(other);
    }
    // A list that begins with a number and holds more than numbers.
    const mixed = [1, { a: 2 }];
    expect(shared(mixed, [1, { a: 2 }])).toBe(mixed);
    expect(sameContent(new Map(), new Map())).toBe(false);
    const now = { kept: { a: 1 }, other: 2 };
    const before = { kept: { a: 1 }, other: 1 };
    expect(shared(before, now).kept).toBe(before.kept);
    expect(shared(before, now)).toEqual(now);
  });
});
