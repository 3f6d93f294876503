import { describe, expect, it } from 'vitest';
import type { BuildDocument, LinkageId } from '@larchwood/format';
import { made, planMade, stanceMade } from '../../../../testing/made.js';
import { linkagesFor } from '../steering/linkages/registry.js';
import { searchable, searchLinkage } from '../steering/search.js';
import { solveLinkage } from '../steering/steering.js';
import type { Held } from '../stance/solve.js';
import { crowding } from './crowding.js';
import { clearancesOf } from './sweep.js';

/** A vehicle with a linkage begun, and what looks how near it comes to the tubes. */
function begun(kind: string, set: string, id: string) {
  const document = made(kind, set);
  const stance = stanceMade(document);
  const linkage = linkagesFor(stance).find((each) => each.id === id)!;
  const held: Held = { ...linkage.start(stance), lock: document.seat.lock };
  const withHeld = (of: Held): BuildDocument => ({
    ...document,
    steering: { linkage: id as LinkageId, held: { ...of }, made: [] },
  });
  const frame = planMade(withHeld(held)).frame;
  const solved = (of: Held) => {
    const result = solveLinkage(linkage, stance, of);
    if (!result.ok) throw new Error(JSON.stringify(result.refusals));
    return result.steering;
  };
  const crowded = crowding(document, { stance, frame }, solved(held).built);
  const free = searchable(linkage, held);
  /** Sizes in the plan only: arms and rack stay as high as they are. */
  const level = free.filter((size) => !/Height$/.test(size));
  const search = (more: object) => {
    const run = searchLinkage(linkage, stance, held, {
      ...{ free, step: 1, angleStep: 0.5, tyreGap: document.seat.gaps.tyre },
      ...more,
    });
    let next = run.next();
    while (!next.done) next = run.next();
    return next.value;
  };
  /** Least gap that the clearances find of a moving part of the linkage and a tube, mm. */
  const leastGap = (of: Held): number => {
    const plan = planMade(withHeld(of));
    const names = new Set(plan.frame.pieces.map(({ member }) => member.piece));
    const isTube = (name: string) => [...names].some((piece) => name.endsWith(`(${piece})`));
    const moving = /^(rod|track rod|drag link|steering arm|stick’s rod|rack|plate|bar’s rod)/;
    const { gaps } = clearancesOf(withHeld(of), plan);
    return Math.min(
      ...gaps.filter(({ a, b, moves }) => moves.steer && moving.test(a) && isTube(b)).map(({ gap }) => gap),
    );
  };
  const rodToTyre = (of: Held): number =>
    Math.min(
      ...clearancesOf(withHeld(of), planMade(withHeld(of)))
        .gaps.filter(({ a, b }) => a === 'rod' && b.endsWith(' tyre'))
        .map(({ gap }) => gap),
    );
  const { metal: wanted, tyre: wantedOfTyre } = document.seat.gaps;
  return { held, solved, crowded, search, level, leastGap, rodToTyre, wanted, wantedOfTyre };
}

describe('a linkage among the tubes of its frame', () => {
  it.each([
    ['kart', 'ladder', 'two-rods'],
    ['buggy', 'buggy', 'rack'],
    ['tadpole-trike', 'tadpole', 'track-rod'],
  ])('%s %s, %s: is as near as the clearances have it', (kind, set, id) => {
    const { held, solved, crowded, leastGap, wanted } = begun(kind, set, id);
    const { built, sweep } = solved(held);
    // The clearances look at 21 places of the sweep, this at 30.
    expect(Math.abs(crowded(built, sweep) - Math.max(0, wanted - leastGap(held)))).toBeLessThan(0.5);
  });
  it.each([
    ['kart', 'ladder', 'two-rods'],
    ['buggy', 'buggy', 'rack'],
  ])('%s %s, %s: a proposal brings it clear of them all, and with less error', (kind, set, id) => {
    const { search, level, crowded, leastGap, wanted } = begun(kind, set, id);
    const found = search({ crowded })!;
    expect(found.before.crowded).toBeGreaterThan(10);
    expect(found.after.crowded).toBe(0);
    expect(found.after.rms).toBeLessThan(found.before.rms);
    expect(leastGap(found.held)).toBeGreaterThan(wanted - 0.5);
    // Told nothing of the tubes it would run into them.
    expect(leastGap(search({ free: level })!.held)).toBeLessThan(0);
  });
  it.each([
    ['tadpole-trike', 'tadpole', 'under-seat-bar'],
    ['kart', 'kart', 'track-rod'],
  ])(
    '%s %s, %s: where it cannot, arms and rack as high as they are, it comes no nearer for less error',
    (kind, set, id) => {
      const { search, level, crowded } = begun(kind, set, id);
      const found = search({ crowded, free: level });
      if (!found) return expect(search({ free: level })).toBeDefined();
      expect(found.after.crowded).toBeLessThan(found.before.crowded + 0.1);
      expect(found.after.rms).toBeLessThan(found.before.rms);
    },
  );
  it.each([
    ['tadpole-trike', 'tadpole', 'track-rod'],
    ['tadpole-trike', 'tadpole', 'under-seat-bar'],
    ['kart', 'kart', 'track-rod'],
  ])(
    '%s %s, %s: what stands in the way of level arms is cleared by raising or lowering them',
    (kind, set, id) => {
      const { search, level, crowded, leastGap, wanted } = begun(kind, set, id);
      expect(search({ crowded, free: level })?.after.crowded ?? 1).toBeGreaterThan(0);
      const found = search({ crowded })!;
      expect(found.after.crowded).toBe(0);
      expect(found.changes.map(({ id: size }) => size)).toContain('armHeight');
      expect(leastGap(found.held)).toBeGreaterThan(wanted - 0.5);
    },
  );
  it('counts the tyres that it turns: a rod that its own wheel comes to, by the clearances', () => {
    const { held, solved, crowded, search, rodToTyre, wantedOfTyre } = begun('kart', 'kart', 'two-rods');
    const { built, sweep } = solved(held);
    expect(rodToTyre(held)).toBeLessThan(0);
    expect(Math.abs(crowded(built, sweep) - (wantedOfTyre - rodToTyre(held)))).toBeLessThan(0.5);
    const found = search({ crowded })!;
    expect(found.after.crowded).toBe(0);
    expect(rodToTyre(found.held)).toBeGreaterThan(wantedOfTyre - 0.5);
  });
});
