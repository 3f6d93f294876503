import { describe, expect, it } from 'vitest';
import { distance } from '@larchwood/core';
import { readFormat, type BuildDocument, type Node } from '@larchwood/format';
import { DEMO } from '../../../../../testing/demo.js';
import { planMade } from '../../../../../testing/made.js';
import { placings, type Placing } from './placings';

/** Each node of a build with the first tube that ends on it. */
const ends = (document: BuildDocument) =>
  document.frame.nodes.flatMap((node) => {
    const member = document.frame.members.find(({ nodes }) => nodes.includes(node.id));
    return member ? [{ node, member }] : [];
  });
const waysOf = (document: BuildDocument, id: string): readonly Placing[] => {
  const { node, member } = ends(document).find((each) => each.node.id === id)!;
  return placings(document, planMade(document).frame, node, member);
};
const placed = (document: BuildDocument, { change }: Placing): BuildDocument => {
  const read = readFormat(JSON.parse(JSON.stringify(change!(document))));
  if (!read.ok) throw new Error(JSON.stringify(read.faults));
  return read.document;
};
/** What stays where it is when it is chosen, mm: a share is kept to a thousandth, a distance to a tenth. */
const STAYS: Readonly<Record<string, number>> = { share: 0.0006, distance: 0.051, fixed: 0.09 };

/** One of each family. */
const EACH = ['bicycle', 'motorcycle', 'tadpole-trike', 'kart'].map((kind) =>
  DEMO.find((each) => each.kind === kind)!,
);
const isPartWay = ({ anchor }: Node): boolean => anchor.on === 'share' && anchor.share !== 0.5;

describe('ways to place a node', () => {
  it.each(EACH.map((document) => [document.name, document] as const))(
    '%s: the present one comes first and changes nothing; any other can be taken, and is then the present one',
    (_, document) => {
      const { frame } = planMade(document);
      // Every fifth: what there is to choose from grows with the square of the tubes.
      for (const { node, member } of ends(document).filter((_, index) => index % 5 === 0)) {
        const [now, ...others] = placings(document, frame, node, member);
        expect(now).toMatchObject({ current: true, group: '' });
        expect(now!.change).toBeUndefined();
        expect(new Set(others.map(({ id }) => id)).size).toBe(others.length);
        for (const way of others) {
          expect(way.current).toBe(false);
          expect(`${way.group} ${way.label}`).not.toMatch(/undefined|that is gone/);
          const next = way.change!(document);
          const anchor = next.frame.nodes.find(({ id }) => id === node.id)!.anchor;
          expect(anchor).not.toEqual(node.anchor);
          expect(next.frame.nodes.filter((each, at) => each !== document.frame.nodes[at])).toHaveLength(1);
        }
      }
      // The format takes each sort of way.
      const { node, member } = ends(document)[0]!;
      const sorts = new Map(
        placings(document, frame, node, member).map((way) => [way.id.split('.')[0], way] as const),
      );
      sorts.delete('now');
      for (const way of sorts.values()) placed(document, way);
    },
  );

  it('a share, a distance along and a place tied to nothing leave a node where it lies on its tube', () => {
    let tried = 0;
    for (const document of EACH) {
      const before = planMade(document).frame;
      for (const { node, member } of ends(document)) {
        // Only what lies on its tube and not beside it can stay by a way along it.
        if (
          !('member' in node.anchor) ||
          !('offset' in node.anchor) ||
          node.anchor.offset.some((by) => by !== 0)
        )
          continue;
        for (const way of placings(document, before, node, member)) {
          const most = STAYS[way.id];
          if (most === undefined || !way.change) continue;
          const host = before.pieces.find(
            ({ member: each }) => 'member' in node.anchor && each.id === node.anchor.member,
          )!;
          const after = planMade(placed(document, way)).frame;
          const allowed = way.id === 'share' ? most * host.length : most;
          expect(
            distance(after.nodes[node.id]!, before.nodes[node.id]!),
            `${node.id} ${way.id}`,
          ).toBeLessThan(allowed);
          tried += 1;
        }
      }
    }
    expect(tried).toBeGreaterThan(8);
  });

  it('the middle is half way along, and square stands square', () => {
    const document = DEMO.find(({ frame }) => frame.nodes.some(isPartWay))!;
    const { node } = ends(document).find(({ node: each }) => isPartWay(each))!;
    const midway = placed(
      document,
      waysOf(document, node.id).find(({ id }) => id === 'midway')!,
    );
    expect(midway.frame.nodes.find(({ id }) => id === node.id)!.anchor).toMatchObject({
      on: 'share',
      share: 0.5,
    });
    expect(waysOf(midway, node.id)[0]!.label).toMatch(/^midway on the /);
    expect(waysOf(midway, node.id).map(({ id }) => id)).not.toContain('midway');
  });

  it('says in words how each is placed now', () => {
    const [first] = DEMO;
    const { frame } = first!;
    const [tube, other] = frame.members.filter(({ mirrored }) => !mirrored);
    const [a, b] = [frame.nodes[0]!, frame.nodes[1]!];
    const offset: [number, number, number] = [0, 0, 0];
    const said = (anchor: Node['anchor']): string => {
      const document = {
        ...first!,
        frame: {
          ...frame,
          nodes: frame.nodes.map((node) => (node.id === tube!.nodes[0] ? { ...node, anchor } : node)),
        },
      };
      const node = document.frame.nodes.find(({ id }) => id === tube!.nodes[0])!;
      return placings(document, planMade(first!).frame, node, tube!)[0]!.label;
    };
    const [on, to] = [other!.name.toLowerCase(), tube!.name.toLowerCase()];
    const names = [a.name.toLowerCase(), b.name.toLowerCase()];
    expect(said({ on: 'stance', point: 'rearAxle', offset })).toBe('at the rear axle');
    expect(said({ on: 'stance', point: 'rearAxle', offset: [0, 1, 0] })).toBe('off the rear axle');
    expect(said({ on: 'member', member: other!.id, from: 'start', distance: 9, offset })).toBe(
      `on the ${on}`,
    );
    expect(said({ on: 'share', member: other!.id, share: 0.5, offset })).toBe(`midway on the ${on}`);
    expect(said({ on: 'share', member: other!.id, share: 0.51, offset })).toBe(`part way on the ${on}`);
    expect(said({ on: 'node', node: a.id, offset })).toBe(`beside ${names[0]}`);
    expect(said({ on: 'between', nodes: [a.id, b.id], share: 0.5, offset })).toBe(
      `midway between ${names.join(' and ')}`,
    );
    expect(said({ on: 'between', nodes: [a.id, b.id], share: 0.4, offset })).toBe(
      `between ${names.join(' and ')}`,
    );
    expect(said({ on: 'mirror', node: a.id })).toBe(`the same on the other side as ${names[0]}`);
    expect(said({ on: 'square', member: other!.id, node: a.id })).toBe(`square to the ${on}`);
    expect(said({ on: 'inLine', member: other!.id, nodes: [a.id, b.id] })).toBe(
      `on the ${on}, in line with ${names.join(' and ')}`,
    );
    expect(said({ on: 'parallel', member: other!.id, to: tube!.id, distance: 5 })).toBe(
      `on the ${on}, apart from the ${to}`,
    );
    expect(said({ on: 'fixed', at: [0, 0, 0] })).toBe('tied to nothing');
    expect(said({ on: 'square', member: 'gone', node: a.id })).toBe('square to the a tube that is gone');
  });
});
