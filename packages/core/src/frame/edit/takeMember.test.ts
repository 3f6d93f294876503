import { describe, expect, it } from 'vitest';
import { FAMILIES, kept, made, planMade } from '../../../../../testing/made.js';
import type { BuildDocument, Member } from '@larchwood/format';
import { distance } from '../../vector/vector.js';
import { addTube } from './addTube.js';
import { chooseSection, memberOf } from './graph.js';
import { deleteMembers } from './reshape.js';
import { takeMember, type Other } from './takeMember.js';

const other = (document: BuildDocument): Other => ({ document, frame: planMade(document).frame });
const same = (a: Member, b: Member) => expect({ ...a, piece: 0 }).toEqual({ ...b, piece: 0 });

describe('a tube of another build', () => {
  it.each(FAMILIES)('that was taken out of a %s from %s comes back as it was', (kind, set) => {
    const whole = made(kind, set);
    const plan = planMade(whole);
    const hosts = new Set(
      whole.frame.members.flatMap(({ ends }) =>
        [ends.start, ends.end].flatMap((end) =>
          end.cut === 'coped'
            ? end.hosts.map(({ member }) => member)
            : end.cut === 'mitred'
              ? [end.with.member]
              : [],
        ),
      ),
    );
    // One on which nothing else lies or is cut.
    const lone = plan.frame.pieces.filter(
      ({ member }) =>
        !hosts.has(member.id) &&
        deleteMembers(whole, plan.frame, [member.id]).frame.members.length === whole.frame.members.length - 1,
    );
    expect(lone.length).toBeGreaterThan(0);
    for (const { member } of lone.slice(0, 4)) {
      const without = deleteMembers(whole, plan.frame, [member.id]);
      const back = kept(takeMember(without, other(whole), member.id));
      same(memberOf(back, member.id)!, member);
      const now = planMade(back);
      for (const piece of plan.frame.pieces.filter((each) => each.member.id === member.id)) {
        const again = now.frame.pieces.find(({ id }) => id === piece.id)!;
        expect(distance(again.start, piece.start)).toBeLessThan(1e-6);
        expect(distance(again.end, piece.end)).toBeLessThan(1e-6);
      }
      expect(now.cuts.map(({ overall }) => overall.toFixed(6)).sort()).toEqual(
        plan.cuts.map(({ overall }) => overall.toFixed(6)).sort(),
      );
    }
  });
  const kart = made('kart', 'ladder');
  it('that is here, too, is made as it is there and stays where it lies', () => {
    const [{ id }] = kart.frame.members as [Member];
    const there = kept({ ok: true, value: chooseSection([id], 'round-38x2')(kart) });
    const taken = kept(takeMember(kart, other(there), id));
    expect(memberOf(taken, id)).toEqual({ ...memberOf(kart, id)!, section: 'round-38x2' });
    expect(taken.frame.sections.map((section) => section.id)).toContain('round-38x2');
    expect(taken.frame.nodes).toEqual(kart.frame.nodes);
  });
  it('of another kind of vehicle lies fixed where it lay, square where nothing of what it fits is here', () => {
    const buggy = made('buggy', 'buggy');
    const { frame } = planMade(buggy);
    const coped = frame.pieces.find(
      ({ member }) => !memberOf(kart, member.id) && member.ends.end.cut === 'coped' && !member.mirrored,
    )!;
    const taken = kept(takeMember(kart, other(buggy), coped.member.id));
    const own = memberOf(taken, coped.member.id)!;
    expect(own.ends.end.cut).toBe('plain');
    expect(own.piece).toBe(
      Math.max(
        ...kart.frame.members.map(({ piece }) => piece),
        ...kart.frame.plates.map(({ piece }) => piece),
      ) + 1,
    );
    const piece = planMade(taken).frame.pieces.find(({ member }) => member.id === own.id)!;
    const ends = [distance(piece.start, coped.start), distance(piece.end, coped.end)];
    // A node of the same name is the same node.
    const known = own.nodes.map((id) => kart.frame.nodes.some((node) => node.id === id));
    ends.forEach((away, index) => known[index] || expect(away).toBeLessThan(1e-6));
    expect(known).not.toEqual([true, true]);
  });
  it('that hangs on a tube which is not here lies fixed; one that is not there is refused', () => {
    const { frame } = planMade(kart);
    const rail = kart.frame.members[0]!.id;
    const first = kept(
      addTube(
        kart,
        frame,
        { member: rail, side: 'left', share: 0.3 },
        { member: rail, side: 'right', share: 0.3 },
        { name: 'First', section: 'round-25x2' },
      ),
    );
    const id = first.frame.members.at(-1)!.id;
    const away = deleteMembers(kart, frame, [rail]);
    const taken = kept(takeMember(away, other(first), id));
    const own = memberOf(taken, id)!;
    // The other end is the first's mirror image, and stays that.
    const anchors = own.nodes.map((each) => taken.frame.nodes.find((node) => node.id === each)!.anchor.on);
    expect(anchors).toEqual(['fixed', 'mirror']);
    expect(own.ends.start).toMatchObject({ cut: 'plain', lost: memberOf(kart, rail)!.name });
    expect(takeMember(kart, other(kart), 'none').ok).toBe(false);
  });
});
