import { describe, expect, it } from 'vitest';
import { BuildSchema, schemaFaults, type BuildDocument, type Done } from '@larchwood/format';
import { foundAt, heldIn } from '../../../../testing/fixtures.js';
import { EVERY_SET, FAMILIES, made, planMade } from '../../../../testing/made.js';
import { SCHOOLS } from '../fixture/registry.js';
import type { Plan } from '../plan/plan.js';
import { Planner } from '../plan/planner.js';
import { work } from '../plan/stages/work.js';
import { acrossOf } from '../frame/sections.js';
import { UNREADABLE, type Setting } from '../fixture/setting.js';
import { lateChanges, lateSettings, numbersOf, type Late } from './late.js';
import { progressOf, standingSettings } from './progress.js';
import type { Step } from './step.js';

const stepsOf = (document: BuildDocument): readonly Step[] => new Planner().ask(work, document).steps;
const tick = (step: Step): Done => {
  const was = numbersOf(step);
  return { step: step.id, of: step.of, done: true, ...(was ? { was } : {}) };
};
const withHeld = (document: BuildDocument, id: string, by: number): BuildDocument => {
  const { held } = document.stance;
  return { ...document, stance: { ...document.stance, held: { ...held, [id]: held[id]! + by } } };
};

/** Dimensions that move joints, of every family. */
const MOVED = [
  'chainstayLength',
  'reach',
  'armLength',
  'frontTrack',
  'rearTrack',
  'headAngle',
  'baseLength',
  'pedalsAhead',
  'frontOverhang',
  'seatAhead',
];

/** What is late when all of a document’s steps were done and it is another one now. */
function lateOf(
  before: BuildDocument,
  after: BuildDocument,
): { late: readonly Late[]; plan: Plan; steps: readonly Step[] } {
  const done = stepsOf(before).map(tick);
  const steps = stepsOf(after);
  const plan = planMade(after);
  const progress = progressOf(steps, done);
  return { late: lateChanges(steps, done, progress, new Map(), plan), plan, steps };
}

describe('a change after a step was done', () => {
  it.each(FAMILIES)('%s %s: both numbers of each cut are told, with what keeping it costs', (kind, set) => {
    const before = made(kind, set);
    const old = new Map(planMade(before).cuts.map((cut) => [cut.piece, cut]));
    let looked = 0;
    for (const id of MOVED.filter((each) => each in before.stance.held)) {
      const after = withHeld(before, id, 1.5);
      const { late, plan } = lateOf(before, after);
      for (const { step, lines, costs } of late.filter((each) => each.step.sort === 'cut')) {
        const piece = plan.frame.pieces.find((each) => each.id === step.pieces[0])!;
        const [was, now] = [old.get(piece.id)!, plan.cuts.find((each) => each.piece === piece.id)!];
        const line = lines.find((each) => each.id === 'length');
        const by = now.overall - was.overall;
        if (Math.abs(by) < UNREADABLE) expect(line).toBeUndefined();
        else expect([line?.was, line?.now]).toEqual([was.overall, now.overall]);
        const cost = (what: string) => costs.find((each) => each.what === what)?.value ?? 0;
        expect(cost('opens') - cost('long'), step.name).toBeCloseTo(Math.abs(by) < UNREADABLE ? 0 : by, 6);
        // No side of a cope can stand off by more than the tube is wide, for the degree or two that such a change makes.
        expect(cost('askew')).toBeLessThan(acrossOf(piece.section));
        looked += 1;
      }
    }
    expect(looked).toBeGreaterThan(0);
  });

  it('nothing is late where nothing has changed, or where it was kept; less than can be measured is no change', () => {
    const document = made('kart', 'kart');
    expect(lateOf(document, document).late).toEqual([]);
    const after = withHeld(document, 'frontTrack', 4);
    const done = stepsOf(document).map(tick);
    const steps = stepsOf(after);
    const kept = done.map((each) => ({ ...each, kept: steps.find(({ id }) => id === each.step)?.of ?? '' }));
    expect(progressOf(steps, done).states).not.toEqual(progressOf(steps, kept).states);
    expect([...progressOf(steps, kept).states.values()]).not.toContain('changed');
    // Kept for another change it is looked at again.
    const later = stepsOf(withHeld(document, 'frontTrack', 8));
    expect([...progressOf(later, kept).states.values()]).toContain('changed');
  });

  it('what is done and needs a late step stands on it, by way of others, too', () => {
    const { late, steps } = lateOf(
      made('bicycle', 'road'),
      withHeld(made('bicycle', 'road'), 'chainstayLength', 5),
    );
    const cut = late.find(({ step }) => step.id === 'cut:chainstays')!;
    const names = cut.standOnIt.map(({ id }) => id);
    expect(names).toContain('load:chainstays');
    expect(names.some((id) => id.startsWith('weld:'))).toBe(true);
    expect(names).not.toContain('cut:downTube');
    expect(names).not.toContain(cut.step.id);
    expect(new Set(names).size).toBeLessThan(steps.length);
  });

  it('a tick without numbers, as earlier ones are, is late all the same', () => {
    const before = made('bicycle', 'road');
    const steps = stepsOf(withHeld(before, 'reach', 6));
    const done = stepsOf(before).map(({ id, of }) => ({ step: id, of, done: true }));
    const late = lateChanges(steps, done, progressOf(steps, done), new Map(), planMade(before));
    expect(late.length).toBeGreaterThan(0);
    for (const { lines, costs } of late) expect([lines, costs]).toEqual([[], []]);
  });

  it('by hand: a bend, a hole and a cope', () => {
    const of = (sort: Step['sort'], lines: Step['lines'], was: Record<string, number>) => {
      const step: Step = {
        ...{ id: 's', phase: 'pieces', sort, name: '', about: '', hours: 1, of: 'now', pieces: [] },
        ...{ lines, needs: [], cautions: [] },
      };
      const done: Done[] = [{ step: 's', of: 'then', done: true, was }];
      return lateChanges([step], done, progressOf([step], done), new Map(), {
        frame: { pieces: [] },
        fixture: { settings: [], outcomes: [] },
      })[0]!.costs;
    };
    const length = (id: string, value: number) => ({ id, text: id, value, quantity: 'length' as const });
    const angle = (id: string, value: number) => ({ id, text: id, value, quantity: 'angle' as const });
    // 600 mm lie behind a bend that is 0.5 degrees off: 600 sin 0.5 = 5.236.
    const bend = [length('saw', 900), length('mark1', 300), angle('turn1', 40)];
    expect(of('bend', bend, { saw: 900, mark1: 300, turn1: 40.5 })).toEqual([
      { what: 'lands', value: expect.closeTo(5.236, 3), quantity: 'length' },
    ]);
    expect(of('drill', [length('hole0', 120)], { hole0: 118.6 })).toEqual([
      { what: 'hole', value: expect.closeTo(1.4, 9), quantity: 'length' },
    ]);
    expect(of('cut', [length('length', 630.9)], { length: 631.2 })).toEqual([
      { what: 'long', value: expect.closeTo(0.3, 9), quantity: 'length' },
    ]);
    expect(of('cut', [length('length', 631 + 1.01 * UNREADABLE)], { length: 631 })).toHaveLength(1);
    expect(of('cut', [length('length', 631 + 0.99 * UNREADABLE)], { length: 631 })).toHaveLength(0);
  });
});

describe('the numbers of a tick', () => {
  it.each(EVERY_SET)('%s, %s: are such as a document may hold, in every school', (kind, set) => {
    const build = made(kind, set);
    let looked = 0;
    for (const { id: school } of SCHOOLS) {
      const document = heldIn(build, school);
      const done = stepsOf(document).map(tick);
      looked += done.filter(({ was }) => was !== undefined).length;
      expect(schemaFaults(BuildSchema, { ...document, done }), school).toEqual([]);
    }
    expect(looked).toBeGreaterThan(SCHOOLS.length);
  });
});

describe('a setting that was set before the change', () => {
  const before = { ...made('kart', 'kart') };
  const held: BuildDocument = { ...before, brief: { ...before.brief, school: 'table' } };
  const { fixture } = planMade(held);
  const readings = fixture.settings.map(({ id, reading }) => ({
    ...{ school: 'table' as const, setting: id, set: true, at: reading, drawn: reading },
  }));
  const after = planMade(withHeld(held, 'frontTrack', 6)).fixture;

  it('is told with the reading it was ticked at; what was found, or ticked in another school, is not', () => {
    expect(lateSettings(fixture, readings).size).toBe(0);
    const late = lateSettings(after, readings);
    expect(late.size).toBeGreaterThan(0);
    for (const [id, { was, now }] of late) {
      expect(was).toBe(fixture.settings.find((each) => each.id === id)!.reading);
      expect(now).toBe(after.settings.find((each) => each.id === id)!.reading);
    }
    const found = readings.map((each) => ({ ...each, found: each.at }));
    expect(lateSettings(after, found).size).toBe(0);
    expect(
      lateSettings(
        after,
        readings.map((each) => ({ ...each, school: 'plan' as const })),
      ).size,
    ).toBe(0);
  });

  it('is for the next frame once this one is off the fixture', () => {
    const document = { ...withHeld(held, 'frontTrack', 6), fixture: { ...held.fixture, readings } };
    const steps = stepsOf(document);
    const states = (done: readonly Done[]) => [
      ...progressOf(
        steps,
        done,
        standingSettings(readings, 'table'),
        lateSettings(after, readings),
      ).states.values(),
    ];
    expect(states([])).toContain('changed');
    const out = steps.find(({ sort }) => sort === 'out')!;
    expect(states([{ step: out.id, of: out.of, done: true }])).not.toContain('changed');
  });
  it.each([
    ['kart', 'kart'],
    ['bicycle', 'road'],
  ] as const)(
    'of a %s, that makes up for another stands where it was ticked, and is not late for that',
    (kind, set) => {
      const build = made(kind, set);
      const school = kind === 'kart' ? ('table' as const) : ('slide-and-post' as const);
      const document = heldIn(build, school);
      // One is found 1.5 further on; some other is then to be set elsewhere than drawn.
      const moved = planMade(document).fixture.settings.flatMap(({ id, reading }) => {
        const off = foundAt(document, { [id]: reading + 1.5 });
        const { settings, outcomes } = planMade(off).fixture;
        const other = settings.find((each) => each.id !== id && Math.abs(each.adapted) > each.step);
        return other ? [{ off, other, outcomes, settings }] : [];
      })[0]!;
      const { off, other, outcomes, settings } = moved;
      const tickOf = ({ reading, adapted }: Setting) => ({
        set: true,
        at: reading,
        drawn: reading - adapted,
      });
      const readings = settings.map((each) => ({
        ...{ school, setting: each.id },
        ...(each.found === undefined ? tickOf(each) : { set: false, found: each.found }),
      }));
      const done = planMade({ ...off, fixture: { ...off.fixture, readings } }).fixture;
      const stands = done.settings.find(({ id }) => id === other.id)!;
      expect([stands.reading, stands.adapted]).toEqual([other.reading, other.adapted]);
      expect(lateSettings(done, readings).size).toBe(0);
      // What comes out is what was promised, not what would come out at the drawn marks.
      for (const [place, { asSet, name }] of done.outcomes.entries())
        expect(asSet, name).toBeCloseTo(outcomes[place]!.asSet, 9);
      // An earlier tick says nothing of where: at its drawn mark, as ever.
      const bare = [...off.fixture.readings, { school, setting: other.id, set: true }];
      const before = planMade({ ...off, fixture: { ...off.fixture, readings: bare } }).fixture;
      expect(before.settings.find(({ id }) => id === other.id)!.reading).toBeCloseTo(
        other.reading - other.adapted,
        9,
      );
    },
  );
  it('makes its step late, and tells what keeping it gives away', () => {
    const document = { ...withHeld(held, 'frontTrack', 6), fixture: { ...held.fixture, readings } };
    const steps = stepsOf(document);
    const late = lateSettings(after, readings);
    const progress = progressOf(steps, [], standingSettings(readings, 'table'), late);
    const changes = lateChanges(steps, [], progress, late, { frame: { pieces: [] }, fixture: after });
    expect(changes.length).toBeGreaterThan(0);
    expect(changes.every(({ step }) => step.sort === 'set')).toBe(true);
    const track = changes.flatMap(({ costs }) => costs).filter(({ name }) => name === 'Front track');
    expect(track.reduce((sum, { value }) => sum + value, 0)).toBeCloseTo(-6, 0);
  });
});
