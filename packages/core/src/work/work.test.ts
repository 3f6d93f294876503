import Graph from 'graphology';
import { hasCycle, topologicalSort } from 'graphology-dag';
import { describe, expect, it } from 'vitest';
import type { BuildDocument, WorkData } from '@larchwood/format';
import { FAMILIES, made, planMade } from '../../../../testing/made.js';
import { DEMO } from '../../../../testing/demo.js';
import { Planner } from '../plan/planner.js';
import { blocks, work, workFindings } from '../plan/stages/work.js';
import { CAUTIONS } from './cautions.js';
import { SHUT_FROM } from './blocks.js';
import { USUAL_WORK } from './input.js';
import { moved, ordered } from './order.js';
import { progressOf, standingSettings } from './progress.js';
import { withStepMoves } from './remedies.js';
import { step, needs } from './steps/make.js';
import { wantedVents, withVents } from './vents.js';
import type { Work } from './work.js';

const known = new WeakMap<BuildDocument, Work>();
/** The order of work of a document, made once for each document. */
function workMade(document: BuildDocument): Work {
  const before = known.get(document);
  if (before) return before;
  const all = new Planner().ask(work, document);
  known.set(document, all);
  return all;
}
const withWork = (document: BuildDocument, part: Partial<WorkData>): BuildDocument => ({
  ...document,
  work: { ...(document.work ?? USUAL_WORK), ...part },
});
const at = ({ steps }: Pick<Work, 'steps'>, id: string): number => steps.findIndex((each) => each.id === id);

describe('the order of work', () => {
  // Against graphology-dag, an independent package for graphs.
  it.each(FAMILIES)(
    '%s %s: no step comes before what it needs, and nothing waits in a circle',
    (kind, set) => {
      const { steps, breaches, circles } = workMade(made(kind, set));
      const graph = new Graph({ type: 'directed' });
      steps.forEach(({ id }) => graph.addNode(id));
      for (const { id, needs: of } of steps)
        for (const { step: before } of of)
          if (graph.hasNode(before) && !graph.hasEdge(before, id)) graph.addEdge(before, id);
      expect(hasCycle(graph)).toBe(false);
      expect(topologicalSort(graph)).toHaveLength(steps.length);
      graph.forEachEdge((_, __, before, after) =>
        expect(at({ steps }, before), `${before} before ${after}`).toBeLessThan(at({ steps }, after)),
      );
      expect(breaches).toEqual([]);
      expect(circles).toEqual([]);
    },
  );

  it.each(FAMILIES)('%s %s: every piece is made once, put in once, and all seams are welded', (kind, set) => {
    const document = made(kind, set);
    const { steps, parts, seams } = workMade(document);
    const { frame } = planMade(document);
    const own = document.frame.members.filter(({ id }) =>
      frame.pieces.some(({ member, supplied }) => member.id === id && !supplied),
    );
    const cut = steps.filter(({ sort }) => sort === 'cut').map(({ id }) => id);
    expect(new Set(cut).size).toBe(cut.length);
    expect(cut.sort()).toEqual(own.map(({ id }) => `cut:${id}`).sort());
    const inParts = parts.flatMap(({ pieces }) => pieces);
    expect(new Set(inParts).size).toBe(inParts.length);
    for (const piece of inParts) expect(at({ steps }, `load:${piece.split(':')[0]!}`)).toBeGreaterThan(-1);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    const welded = steps
      .filter(({ sort }) => sort === 'weld')
      .flatMap(({ lines }) => lines.map(({ id }) => id))
      .filter((id) => !id.endsWith('.spreader'));
    expect(welded.sort()).toEqual(
      seams
        .filter(({ to }) => to[0] !== 'cap')
        .map(({ id }) => id)
        .sort(),
    );
  });

  it('keeps the rules of the trade on all demo builds', () => {
    for (const document of DEMO) {
      const all = workMade(document);
      const first = (sort: string) => all.steps.findIndex((each) => each.sort === sort);
      const last = (sort: string) => all.steps.map((each) => each.sort).lastIndexOf(sort as never);
      for (const { id } of all.steps.filter(({ sort }) => sort === 'cap'))
        // Caps go on before the tube goes in.
        expect(at(all, id)).toBeLessThan(at(all, id.replace('cap:', 'load:')));
      if (first('weld') < 0) continue;
      // Bearing seats are finished and bearings pressed in after the last weld; what rolls comes last.
      expect(at(all, 'seats')).toBeGreaterThan(last('weld'));
      expect(at(all, 'bearings')).toBeGreaterThan(at(all, 'seats'));
      expect(all.steps.at(-1)!.id).toBe('roll');
      // Everything is dry fitted and measured before it is tacked, and tacked before it is welded.
      for (const part of all.parts) {
        const order = ['fit', 'tack', 'check', 'weld', 'recheck'].map((what) =>
          at(all, `${what}:${part.id}`),
        );
        const there = order.filter((index) => index >= 0);
        expect(there).toEqual([...there].sort((a, b) => a - b));
      }
      for (const { cautions } of all.steps.filter(({ sort }) => sort === 'weld'))
        expect(cautions).toContain('fire');
      expect(all.steps.at(-1)!.cautions).toContain('ride');
    }
    expect(CAUTIONS.cleaner).toMatch(/chlorinated/);
  });

  it.each(FAMILIES)('%s %s: each way of building and of welding orders all of it', (kind, set) => {
    const document = made(kind, set);
    const { ways } = workMade(document);
    expect(ways.length).toBeGreaterThan(0);
    for (const { id } of ways)
      for (const welding of ['on', 'off', 'stitch'] as const) {
        const all = workMade(withWork(document, { way: id, welding }));
        expect(all.way.id).toBe(id);
        expect(all.breaches, `${id} ${welding}`).toEqual([]);
        const out = at(all, 'out');
        for (const { id: weld } of all.steps.filter((each) => each.sort === 'weld'))
          expect(at(all, weld) > out, `${weld} ${welding}`).toBe(welding === 'off');
      }
  });

  it('builds the rear end first or last, a donor before all, and a floor before its hoops', () => {
    const bicycle = made('bicycle', 'road');
    const load = (way: WorkData['way'], id: string) => at(workMade(withWork(bicycle, { way })), `load:${id}`);
    expect(load('front-first', 'chainstays')).toBeGreaterThan(load('front-first', 'downTube'));
    expect(load('rear-first', 'chainstays')).toBeLessThan(load('rear-first', 'downTube'));
    const donor = {
      ...bicycle,
      frame: {
        ...bicycle.frame,
        groups: bicycle.frame.groups.map((group, index) => ({ ...group, donor: index === 0 })),
      },
    };
    const all = workMade(donor);
    expect(all.way.id).toBe('donor-first');
    expect(all.steps.slice(0, 2).map(({ id }) => id)).toEqual(['look:donor', 'strap:donor']);
    const buggy = workMade(made('buggy', 'buggy'));
    expect(buggy.parts[0]!.name).toBe('Floor');
    expect(buggy.parts[1]!.pieces.every((piece) => /hoop/i.test(piece))).toBe(true);
  });
});

describe('the builder’s own order', () => {
  const document = made('bicycle', 'road');
  it('a step dragged before what it needs stays there, and is told; of taste it is only noted', () => {
    const forced = workMade(withWork(document, { moves: [{ step: 'bearings', after: 'get' }] }));
    expect(at(forced, 'bearings')).toBe(at(forced, 'get') + 1);
    expect(forced.breaches.some(({ why, taste }) => why === 'heat' && !taste)).toBe(true);
    const taste = workMade(withWork(document, { moves: [{ step: 'coat', after: 'out' }] })).breaches;
    expect(taste.some(({ step: id, taste: only }) => id === 'coat' && only)).toBe(true);
    expect(workMade(withWork(document, { moves: [] })).breaches).toEqual([]);
  });
  it('names the steps of a circle, and a wait by itself', () => {
    const needs2 = [
      { step: 'cut:downTube', needs: 'load:downTube' },
      { step: 'get', needs: 'get' },
    ];
    const { circles } = workMade(withWork(document, { needs: needs2 }));
    expect(circles.map((circle) => [...circle].sort())).toContainEqual(['cut:downTube', 'load:downTube']);
    expect(circles).toContainEqual(['get']);
  });
  it('own steps come where they were put; what is gone is told; a move of a move wins', () => {
    const own = [{ id: 'own:1', name: 'Ring the bell', hours: 0.1, after: 'get' }];
    const all = workMade(withWork(document, { own, moves: [{ step: 'load:noSuch', after: 'get' }] }));
    expect(all.steps[at(all, 'get') + 1]!.name).toBe('Ring the bell');
    expect(all.lost).toEqual(['load:noSuch']);
    const twice = moved(moved(USUAL_WORK, 'coat', 'get'), 'coat', 'start');
    expect(twice.moves).toEqual([{ step: 'coat', after: 'start' }]);
    expect(workMade(withWork(document, twice)).steps[0]!.id).toBe('coat');
  });
  it('is the same steps whatever is moved where', () => {
    const plain = ['a', 'b', 'c', 'd'].map((id, index, all) =>
      step({
        ...{ id, phase: 'pieces', sort: 'cut', name: id, about: '', hours: 1 },
        needs: index > 0 ? needs('piece', all[index - 1]!) : [],
      }),
    );
    for (const one of ['a', 'b', 'c', 'd'])
      for (const after of ['start', 'a', 'b', 'c', 'd']) {
        const { steps, breaches } = ordered(plain, moved(USUAL_WORK, one, after));
        expect(steps.map(({ id }) => id).sort()).toEqual(['a', 'b', 'c', 'd']);
        const order = steps.map(({ id }) => id).join('');
        expect(breaches.length > 0).toBe(order !== 'abcd');
      }
  });
  it('what is done stays done, and says when the frame has changed since', () => {
    const all = workMade(document);
    const cut = all.steps.find(({ id }) => id === 'cut:downTube')!;
    const tick = { step: cut.id, of: cut.of, done: true };
    expect(progressOf(all.steps, [tick]).states.get(cut.id)).toBe('done');
    const longer = workMade({
      ...document,
      stance: { ...document.stance, held: { ...document.stance.held, reach: 400 } },
    });
    expect(longer.steps.find(({ id }) => id === cut.id)!.of).not.toBe(cut.of);
    expect(progressOf(longer.steps, [tick]).states.get(cut.id)).toBe('changed');
    expect(progressOf(all.steps, [{ ...tick, step: 'cut:gone' }]).gone).toHaveLength(1);
    expect(progressOf(all.steps, [{ ...tick, done: false, wrong: 'Too short' }]).states.get(cut.id)).toBe(
      'wrong',
    );
    // Waits for a taste do not hold a step up; waits for a piece do.
    expect(progressOf(all.steps).states.get('load:downTube')).toBe('waits');
    expect(progressOf(all.steps).next).toBe('get');
  });
  it('a step that sets the fixture is done when all of its settings stand, and not when one is taken off', () => {
    const all = workMade(document);
    const set = all.steps.find(({ sort, lines }) => sort === 'set' && lines.length > 1)!;
    const settings = set.lines.map(({ setting }) => setting!);
    const stateWith = (stand: readonly string[], done = false) =>
      progressOf(
        all.steps,
        done ? [{ step: set.id, of: set.of, done: true, on: '2026-11-29T08:00:00Z' }] : [],
        new Set(stand),
      ).states.get(set.id);
    expect(stateWith(settings)).toBe('done');
    expect(stateWith(settings.slice(1))).not.toBe('done');
    expect(stateWith(settings.slice(1), true)).not.toBe('done');
    expect(stateWith([], true)).toBe('done');
    expect(stateWith([])).not.toBe('done');
    const readings = [
      { school: 'table' as const, setting: 'a', set: true },
      { school: 'table' as const, setting: 'b', set: false, found: 3 },
      { school: 'plan' as const, setting: 'c', set: true },
    ];
    expect([...standingSettings(readings, 'table')]).toEqual(['a', 'b']);
  });
  it('wheels, seat and ride wait for a frame that is welded and off its fixture', () => {
    const all = workMade(document);
    const waitsFor = (id: string) => all.steps.find((each) => each.id === id)!.needs;
    for (const id of ['running', 'sit', 'bearings'])
      expect(waitsFor(id), id).toContainEqual({ step: 'out', why: 'tacked' });
    expect(waitsFor('roll')).toContainEqual({ step: 'running', why: 'piece' });
    for (const id of ['running', 'sit', 'roll'])
      expect(progressOf(all.steps).states.get(id), id).toBe('waits');
  });
  it('a tick of a setting changes no step, and runs no order anew', () => {
    const planner = new Planner();
    planner.ask(work, document);
    const { id } = { id: 'headAngle' };
    const readings = [{ school: document.brief.school, setting: id, set: true }];
    planner.ask(work, { ...document, fixture: { ...document.fixture, readings } });
    expect(planner.runs(work)).toBe(1);
  });
});

describe('what would block what', () => {
  it('a seam that a later tube shuts in is told, and cured by an order that welds it before', () => {
    const kart = DEMO.find(({ name }) => name.startsWith('Paddock'))!;
    const planner = new Planner();
    const bare = withWork(kart, { moves: [] });
    const before = planner.ask(blocks, bare).shut;
    expect(before.length).toBeGreaterThan(0);
    const [worst] = before;
    expect(worst!.share).toBeGreaterThanOrEqual(SHUT_FROM);
    expect(worst!.cure[0]!.step).toBe(`weld:${worst!.seam}`);
    const cured = { ...bare, work: withStepMoves(bare.work!, worst!.cure) };
    const after = planner.ask(blocks, cured).shut;
    expect(after.map(({ seam }) => seam)).not.toContain(worst!.seam);
    expect(planner.ask(work, cured).breaches.filter(({ taste }) => !taste)).toEqual([]);
    const found = planner.ask(workFindings, bare).filter(({ code }) => code === 'seam-shut');
    expect(found).toHaveLength(before.length);
  });
  it('closed tubes want a vent; a vent in each quiets it', () => {
    const document = made('kart', 'ladder');
    const told = (of: BuildDocument) =>
      new Planner().ask(workFindings, of).filter(({ code }) => code === 'tubes-unvented');
    expect(told(document)).toHaveLength(1);
    const { frame, cuts } = planMade(document);
    const vents = wantedVents(frame, cuts);
    const members = vents.map(({ member }) => member);
    expect(members.length).toBeGreaterThan(3);
    const vented = withVents(document, vents);
    // In sound wall: none runs out over a cope or an edge.
    expect(planMade(vented).findings.filter(({ code }) => code.startsWith('hole'))).toEqual([]);
    expect(told(vented)).toEqual([]);
    // Drilled before it goes in, and cleared or sealed when all is welded.
    const all = workMade(vented);
    expect(at(all, `drill:${members[0]}`)).toBeGreaterThan(-1);
    expect(at(all, 'vents')).toBeGreaterThan(at(all, 'out'));
    const sealed = workMade(withWork(vented, { vents: 'sealed' })).steps.find(({ id }) => id === 'vents')!;
    expect(sealed.name).toMatch(/Seal/);
  });
});
