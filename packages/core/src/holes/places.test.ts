import { describe, expect, it } from 'vitest';
import type { BuildDocument } from '@larchwood/format';
import { FAMILIES, made, planMade } from '../../../../testing/made.js';
import { placesAlong } from '../frame/places.js';
import { onWall, outerFace, usualHole } from './holes.js';

const placesIn = (document: BuildDocument, id: string) => {
  const plan = planMade(document);
  return placesAlong(
    plan.frame.pieces.find((piece) => piece.id === id)!,
    plan,
    document.frame.nodes,
  );
};
const withHole = (document: BuildDocument, member: string, at: string, distance = 0): BuildDocument => ({
  ...document,
  frame: {
    ...document.frame,
    members: document.frame.members.map((each) =>
      each.id === member
        ? { ...each, holes: [{ ...usualHole('bolt', 'bolt', 100), from: 'start' as const, at, distance }] }
        : each,
    ),
  },
});

describe('places along a tube', () => {
  it.each([...FAMILIES, ['kart', 'kart'] as const])(
    '%s, %s: a hole at a place lies beside it, on the left tube and on the right, and so far from it as is typed',
    (kind, set) => {
      const document = made(kind, set);
      const { frame, cuts } = planMade(document);
      const tried = frame.pieces
        .filter(({ id, side }) => side !== 'right' && cuts.some(({ piece }) => piece === id))
        .flatMap((piece) => placesIn(document, piece.id).map((place) => ({ piece, place })));
      expect(tried.length).toBeGreaterThan(10);
      for (const { piece, place } of tried.filter((_, index) => index % Math.ceil(tried.length / 8) === 0)) {
        const drilled = (distance: number) =>
          planMade(withHole(document, piece.member.id, place.id, distance)).holes;
        const [at, on] = [drilled(0), drilled(12.5)].map((all) => all[0]!.bores[0]!.fromStart) as [
          number,
          number,
        ];
        const where = `${piece.id}, ${place.name}`;
        expect(on - at, where).toBeCloseTo(12.5, 6);
        const start = cuts.find((cut) => cut.piece === piece.id)!.ends[0];
        expect(start.station - start.edge.longest.at + at, where).toBeCloseTo(place.station, 6);
        // Of a pair both are drilled in the same place.
        for (const twin of drilled(0).slice(1)) expect(twin.bores[0]!.fromStart, where).toBeCloseTo(at, 4);
      }
    },
  );
  it('a bearing of a kart begins at the rear axle, on the rail’s outer face, and goes with the axle', () => {
    for (const set of ['kart', 'ladder']) {
      const at = (document: BuildDocument) => {
        const plan = planMade(document);
        const rail = plan.frame.pieces.find(({ name }) => /rail, left/i.test(name))!;
        const axle = placesIn(document, rail.id).find(({ id }) => id === 'rearAxle')!;
        const hole = usualHole('bearing', 'bearing', 1000, { at: axle.id, face: outerFace(rail) });
        const drilled = planMade({
          ...document,
          frame: {
            ...document.frame,
            members: document.frame.members.map((each) =>
              each.id === rail.member.id ? { ...each, holes: [hole] } : each,
            ),
          },
        });
        const piece = drilled.frame.pieces.find(({ id }) => id === rail.id)!;
        const cut = drilled.cuts.find(({ piece: id }) => id === rail.id)!;
        const bore = drilled.holes.find((each) => each.piece === rail.id)!.bores[0]!;
        return { ...onWall(piece, cut, bore), fromStart: bore.fromStart, axle: plan.stance.points.rearAxle! };
      };
      const first = at(made('kart', set));
      expect(first.at[0]).toBeCloseTo(first.axle[0], 6);
      expect(first.outward[1]).toBeCloseTo(1, 6);
      // A rail that reaches farther back is marked elsewhere, and drilled in the same place.
      const kart = made('kart', set);
      const after = at({
        ...kart,
        frame: {
          ...kart.frame,
          nodes: kart.frame.nodes.map((node) =>
            node.id === 'railRear' && node.anchor.on === 'stance'
              ? {
                  ...node,
                  anchor: {
                    ...node.anchor,
                    offset: [node.anchor.offset[0] - 40, ...node.anchor.offset.slice(1)] as [
                      number,
                      number,
                      number,
                    ],
                  },
                }
              : node,
          ),
        },
      });
      expect(after.fromStart).toBeCloseTo(first.fromStart + 40, 6);
      expect(after.at[0]).toBeCloseTo(after.axle[0], 6);
    }
  });
  it.each([
    ['bicycle', 'road'],
    ['tandem', 'tandem'],
    ['motorcycle', 'sport'],
    ['tadpole-trike', 'tadpole'],
    ['buggy', 'buggy'],
  ])('%s, %s: each place is offered once, by one id', (kind, set) => {
    const document = made(kind, set);
    for (const { id } of planMade(document).frame.pieces) {
      const ids = placesIn(document, id).map((place) => place.id);
      expect(new Set(ids).size).toBe(ids.length);
    }
  });
  it('a place that is gone is told, and the hole is measured from the end it names', () => {
    const kart = made('kart', 'kart');
    const plan = planMade(withHole(kart, kart.frame.members[0]!.id, 'nowhere', 200));
    const [drilled] = plan.holes;
    expect(drilled!.findings.map(({ code }) => code)).toContain('hole-place-gone');
    expect(drilled!.bores[0]!.fromStart).toBe(200);
  });
});
