import { describe, expect, it } from 'vitest';
import type { BuildDocument, Hole, Member, Tool } from '@larchwood/format';
import { FAMILIES, made, planMade } from '../../../../testing/made.js';
import { isHoop } from '../frame/hoop.js';
import { Planner } from '../plan/planner.js';
import { work } from '../plan/stages/work.js';
import { jobsOf, toolJobs } from '../tools/settings.js';
import { fitsBothWays } from './marks.js';
import { toBuild } from './making.js';
import { isShut, VENT, wantedVents, withVents } from './vents.js';
import type { Step } from './step.js';
import { toolOf } from './stepTool.js';
import { clearestView } from './view.js';
import { findWay, subAssemblies, WAYS, waysFor } from './ways/registry.js';
import { isUpright, rearEnd } from './ways/shape.js';

const kart = made('kart', 'ladder');
const withMember = (id: string, change: (member: Member) => Member): BuildDocument => ({
  ...kart,
  frame: {
    ...kart.frame,
    members: kart.frame.members.map((member) => (member.id === id ? change(member) : member)),
  },
});
const bolt = (from: Hole['from'], distance: number, use: Hole['use'] = 'bolt'): Hole => ({
  ...{ id: `b${from}${distance}`, name: 'bolt', use, from, distance, face: 0, off: 0, diameter: 8 },
});
const cross = planMade(kart).frame.pieces.find(
  ({ side, member }) =>
    side === 'middle' && member.ends.start.cut === 'coped' && member.ends.end.cut === 'coped',
)!.member;
const buildOf = (kind: string, set: string) => {
  const document = made(kind, set);
  const { frame, stance } = planMade(document);
  return toBuild({ document, frame, rearAxle: stance.points.rearAxle });
};

describe('what a step is made with', () => {
  const { frame, cuts, holes } = planMade(kart);
  const tool: Tool = {
    ...{ name: 'Drill press', sort: 'drill', scale: 'from-square', most: 45, largest: 60 },
    ...{ sizes: [VENT.diameter], play: 0, speeds: [0, 0] },
  };
  const step = {
    ...({ sort: 'drill', tool: 'Drill', pieces: frame.pieces.map(({ id }) => id) } as unknown as Step),
  };
  const by = (of: Step, tools: Record<string, Tool>) =>
    toolOf(of, toolJobs(jobsOf(frame, cuts, holes), { tools }));
  it('is the workshop’s own where it does it, with what it does not; else the general word', () => {
    expect(by(step, {})).toBe('Drill');
    const saw = { ...tool, name: 'Band saw', sort: 'saw' } as const;
    const cut = { ...step, sort: 'cut', tool: 'Saw' } as const;
    expect(by(cut, { s: saw })).toMatch(/^Band saw; nothing on hand for .+/);
    expect(by(cut, { s: saw, p: { ...saw, name: 'Paper', sort: 'paper', most: 89 } })).toContain('Paper');
    expect(by({ ...cut, sort: 'bend', tool: 'Bender' }, { s: saw })).toBe('Bender');
  });
});

describe('a piece that fits both ways', () => {
  const told = (...holes: Hole[]) => {
    const { frame, cuts } = planMade(withMember(cross.id, (member) => ({ ...member, holes })));
    return fitsBothWays(frame, cuts).some(({ member }) => member.id === cross.id);
  };
  it('is one whose ends are alike and whose holes are not in the middle', () => {
    expect(told()).toBe(false);
    expect(told(bolt('start', 100))).toBe(true);
    expect(told(bolt('middle', 0))).toBe(false);
    expect(told(bolt('start', 100), bolt('end', 100))).toBe(false);
    expect(told(bolt('start', 100), bolt('end', 100.4))).toBe(false);
    expect(told(bolt('start', 100), bolt('end', 100.6))).toBe(true);
    expect(told(bolt('start', 100), { ...bolt('end', 100), diameter: 10 })).toBe(true);
  });
  it('a vent may be at either end, and an end that is cut otherwise tells them apart', () => {
    expect(told(bolt('start', 20, 'vent'))).toBe(false);
    const open = withMember(cross.id, (member) => ({
      ...member,
      holes: [bolt('start', 100)],
      ends: { ...member.ends, end: { cut: 'plain', setback: 0, allowance: 0 } },
    }));
    const { frame, cuts } = planMade(open);
    expect(fitsBothWays(frame, cuts).some(({ member }) => member.id === cross.id)).toBe(false);
  });
});

describe('vents', () => {
  it('are wanted where both ends close, once for a pair, behind the cope', () => {
    const { frame, cuts } = planMade(kart);
    const vents = wantedVents(frame, cuts);
    for (const { member, distance } of vents) {
      const cut = cuts.find(({ piece }) => piece.split(':')[0] === member)!;
      expect(distance).toBeGreaterThanOrEqual(Math.min(cut.ends[0].depth + VENT.fromCope, cut.overall / 2));
      expect(distance).toBeLessThan(cut.overall);
    }
    expect(new Set(vents.map(({ member }) => member)).size).toBe(vents.length);
    const vented = withVents(kart, vents);
    const after = planMade(vented);
    expect(wantedVents(after.frame, after.cuts)).toEqual([]);
  });
  it('an open end, a slot and a hole let the air out', () => {
    const piece = planMade(kart).frame.pieces.find(({ member }) => member.id === cross.id)!;
    const ended = (end: Member['ends']['end'], holes: Hole[] = []) => ({
      ...piece,
      member: { ...piece.member, ends: { ...piece.member.ends, end }, holes },
    });
    expect(isShut(piece)).toBe(true);
    expect(isShut(ended({ cut: 'plain', setback: 0, allowance: 0 }))).toBe(false);
    expect(isShut(ended({ cut: 'slotted', setback: 0, slotWidth: 5, slotDepth: 20, allowance: 0 }))).toBe(
      false,
    );
    expect(isShut(ended({ cut: 'capped', setback: 0, thickness: 2, allowance: 0 }))).toBe(true);
    expect(isShut(ended(piece.member.ends.end, [bolt('start', 50, 'vent')]))).toBe(false);
    expect(isShut({ ...piece, supplied: true })).toBe(false);
    // A hole that is welded full, or through which a sleeve is welded, lets nothing out.
    expect(isShut(ended(piece.member.ends.end, [bolt('start', 50, 'plug')]))).toBe(true);
    expect(isShut(ended(piece.member.ends.end, [{ ...bolt('start', 50, 'bolt'), sleeve: 16 }]))).toBe(true);
    expect(isShut(ended(piece.member.ends.end, [bolt('start', 50, 'plug'), bolt('start', 90, 'bolt')]))).toBe(
      false,
    );
  });
  it('tubes that are mitred to each other breathe through one vent', () => {
    for (const [kind, set] of FAMILIES) {
      const document = made(kind, set);
      const plan = planMade(document);
      const vents = wantedVents(plan.frame, plan.cuts);
      const mitres = plan.cuts.flatMap(({ mark, ends }) =>
        ends.flatMap(({ cut, hosts }) => (cut === 'mitred' ? [[mark, hosts[0]!] as const] : [])),
      );
      const marked = new Set(vents.map(({ mark }) => mark));
      for (const [a, b] of mitres) {
        if (!mitres.some(([from, to]) => from === b && to === a)) continue;
        const [one, other] = [a, b].map((mark) => mark.replace(/[LR]$/, ''));
        expect(one !== other && marked.has(one!) && marked.has(other!), `${set} ${a} ${b}`).toBe(false);
      }
      const after = planMade(withVents(document, vents));
      expect(wantedVents(after.frame, after.cuts)).toEqual([]);
    }
  });
  it('a mitred ring of four needs one', () => {
    const plan = planMade(kart);
    const [piece] = plan.frame.pieces;
    const cut = plan.cuts[0]!;
    const names = ['a', 'b', 'c', 'd'];
    const ends = (mark: string) => {
      const at = names.indexOf(mark);
      return [names[(at + 3) % 4]!, names[(at + 1) % 4]!].map((host, index) => ({
        ...cut.ends[index]!,
        ...{ cut: 'mitred', hosts: [host] },
      }));
    };
    const shut = { cut: 'mitred', with: { member: 'x', side: 'same' }, allowance: 0 };
    const ring = names.map((mark) => ({
      ...piece!,
      ...{ id: mark, mark, side: 'middle' },
      member: { ...piece!.member, id: mark, holes: [], ends: { start: shut, end: shut } },
    }));
    const cutsOf = names.map((mark) => ({ ...cut, piece: mark, mark, ends: ends(mark) }));
    const vents = wantedVents({ ...plan.frame, pieces: ring } as never, cutsOf as never);
    expect(vents.map(({ member }) => member)).toEqual(['a']);
  });
});

describe('ways of building', () => {
  it.each(FAMILIES)('%s %s: every way has every piece in one part', (kind, set) => {
    const build = buildOf(kind, set);
    for (const way of WAYS) {
      const pieces = subAssemblies(way, build).flatMap(({ pieces: own }) => own);
      expect(pieces.sort(), way.id).toEqual(build.frame.pieces.map(({ id }) => id).sort());
    }
    for (const way of waysFor(build)) expect(way.parts(build).length, way.id).toBeGreaterThan(1);
  });
  it('a bicycle’s rear end is its stays and their bridges; a cage has hoops that are no uprights', () => {
    const bicycle = buildOf('bicycle', 'road');
    const rear = [...rearEnd(bicycle)].map((id) => id.split(':')[0]);
    expect(new Set(rear)).toEqual(
      new Set(['chainstays', 'seatstays', 'chainstaysBridgeTube', 'seatstaysBridgeTube']),
    );
    const buggy = buildOf('buggy', 'buggy').frame.pieces;
    const hoops = buggy.filter(isHoop);
    expect(hoops.map(({ name }) => name)).toContain('Main hoop');
    expect(hoops.some(isUpright)).toBe(false);
    expect(buggy.filter(isUpright).length).toBeGreaterThan(0);
    expect(findWay(undefined)).toBeUndefined();
  });
  it('names keep their capitals inside a step', () => {
    const { steps } = new Planner().ask(work, made('bicycle', 'road'));
    const loads = steps.filter(({ sort }) => sort === 'load').map(({ name }) => name);
    expect(loads).toContain('Put in 1, BB shell');
    expect(loads.some((name) => name.includes('chainstay'))).toBe(true);
  });
});

describe('the view of a step', () => {
  it('is the one that shows most of it: a cross tube from above, a seat tube from the side', () => {
    const { frame } = planMade(kart);
    expect(clearestView(frame, [cross.id])).toBe('plan');
    const bicycle = planMade(made('bicycle', 'road')).frame;
    expect(clearestView(bicycle, ['seatTube'])).toBe('side');
    expect(clearestView(bicycle, [])).toBe('side');
    expect(clearestView({ ...bicycle, pieces: [], plates: [] }, [])).toBe('side');
  });
});
