import { describe, expect, it } from 'vitest';
import { made, planMade } from '../../../../../testing/made.js';
import { frameFromLayout } from '../../start/create.js';
import { readDocument } from '../../start/read.js';
import type { BuildDocument } from '@larchwood/format';
import { findKind, KINDS } from '../../stance/kinds/registry.js';
import { stanceOf } from '../../stance/stance.js';
import { LAYOUTS } from './registry.js';

/** Every pattern with the sets it is the first choice for, or else with the first set of each of its kinds. */
const CASES = LAYOUTS.flatMap((pattern) =>
  pattern.kinds.flatMap((kind) => {
    const sets = findKind(kind)!.startingSets.map(({ id }) => id);
    const own = sets.filter((set) => pattern.sets?.includes(set));
    return (own.length > 0 || pattern.sets ? own : sets.slice(0, 1)).map(
      (set) => [pattern.id, kind, set] as const,
    );
  }),
);

function framed(pattern: string, kind: string, set: string): BuildDocument {
  const frame = frameFromLayout(made(kind, set), pattern, {});
  if (!frame.ok) throw new Error(frame.message);
  return frame.value;
}

describe.each(CASES)('%s on %s, %s', (pattern, kind, set) => {
  const document = framed(pattern, kind, set);
  const plan = planMade(document);

  it('every joint is sound: nothing stops, no tubes stand in each other, every wall line meets its host', () => {
    const told = plan.findings.filter(
      ({ where, severity }) =>
        (where.station === 'joints' || where.station === 'tubes') && severity === 'stop',
    );
    expect(told).toEqual([]);
    expect(plan.interferences).toEqual([]);
    for (const cut of [...plan.cuts, ...plan.given])
      for (const end of cut.ends) expect(end.edge.missed, `${cut.name} ${end.end}`).toBe(0);
  });
  it('is an open document with plain, anchored data, its pieces numbered in order', () => {
    expect(readDocument(JSON.parse(JSON.stringify(document)))).toMatchObject({ ok: true });
    const numbers = [...document.frame.members, ...document.frame.plates].map(({ piece }) => piece);
    expect([...numbers].sort((a, b) => a - b)).toEqual(numbers.map((_, index) => index + 1));
    expect(document.frame.nodes.filter(({ anchor }) => anchor.on === 'fixed')).toEqual([]);
    expect(document.mass.lumps.filter(({ sort }) => sort === 'frame')).toEqual([]);
  });
  it('follows the stance: a few per cent either way leave every tube in its place', () => {
    const { dimensions } = findKind(kind)!;
    for (const factor of [0.97, 1.03])
      for (const id of Object.keys(document.stance.held).filter((each) =>
        /Length|wheelbase|Track|Height|reach/i.test(each),
      )) {
        const value = document.stance.held[id]! * factor;
        const [low, high] = dimensions.find((dimension) => dimension.id === id)!.limits;
        if (value < low || value > high) continue;
        const moved = {
          ...document,
          stance: { ...document.stance, held: { ...document.stance.held, [id]: value } },
        };
        if (!stanceOf(moved).ok) continue;
        const after = planMade(moved);
        expect(after.frame.pieces.length, id).toBe(plan.frame.pieces.length);
        expect(
          after.findings.filter(({ code }) => code === 'member-not-placed'),
          id,
        ).toEqual([]);
      }
  });
});

it('every kind of vehicle and every starting set has a pattern, and the largest frame is as large as the benches ask', () => {
  for (const kind of KINDS)
    for (const set of kind.startingSets)
      expect(made(kind.id, set.id).frame.members.length, set.id).toBeGreaterThanOrEqual(6);
  const cage = planMade(framed('caged', 'buggy', 'buggy'));
  expect(cage.frame.pieces.length).toBeGreaterThanOrEqual(60);
  expect(
    cage.cuts.flatMap(({ ends }) => ends).filter(({ cut }) => cut === 'coped').length,
  ).toBeGreaterThanOrEqual(120);
});
it('a pattern of another kind is refused in words', () => {
  expect(frameFromLayout(made('kart', 'kart'), 'diamond')).toMatchObject({
    ok: false,
    message: expect.stringContaining('kart') as string,
  });
});
