import { describe, expect, it } from 'vitest';
import { chooseSection, readDocument } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { made } from '../../../../testing/made.js';
import { changeProfile } from './fixture';
import { changeEnd, moveNode, offsetNode, shiftNode } from './frame';

const member = (document: BuildDocument, id: string) =>
  document.frame.members.find((each) => each.id === id)!;
const node = (document: BuildDocument, id: string) => document.frame.nodes.find((each) => each.id === id)!;

describe('changes of the frame', () => {
  it('a chosen section is kept in the document, and one that nobody uses is dropped', () => {
    const before = made();
    const after = chooseSection(['topTube'], 'round-31.8x1.2')(before);
    expect(member(after, 'topTube').section).toBe('round-31.8x1.2');
    const ids = after.frame.sections.map((section) => section.id);
    expect(ids).toContain('round-31.8x1.2');
    expect(ids).not.toContain(member(before, 'topTube').section);
    expect(readDocument(JSON.parse(JSON.stringify(after))).ok).toBe(true);
    expect(before).toEqual(made());
  });
  it('an unknown section changes nothing', () => {
    const before = made();
    expect(chooseSection(['topTube'], 'no-such')(before)).toBe(before);
  });
  it('nodes move along their host or off the middle, and only those', () => {
    const after = offsetNode('dropout', 1, 72)(moveNode('topAtSeat', 90)(made()));
    expect(node(after, 'topAtSeat').anchor).toMatchObject({ distance: 90 });
    expect(node(after, 'dropout').anchor).toMatchObject({ offset: [0, 72, 0] });
    expect(node(shiftNode('dropout', [1, 0.55, 0])(made()), 'dropout').anchor).toMatchObject({
      offset: [1, 71.1, 0],
    });
    expect(node(moveNode('bottomBracket', 90)(made()), 'bottomBracket')).toEqual(
      node(made(), 'bottomBracket'),
    );
  });
  it('an end or a scale is changed alone', () => {
    const end = { ...member(made(), 'downTube').ends.end, allowance: 3 };
    const scale = { zero: 0, direction: 1, step: 0.25, low: 300, high: 720 } as const;
    const after = changeProfile(() => ({ scales: { seatCone: scale } }))(
      changeEnd('downTube', 'end', end)(made()),
    );
    expect(member(after, 'downTube').ends).toEqual({ start: member(made(), 'downTube').ends.start, end });
    expect(after.fixture.profiles).toMatchObject([{ school: 'slide-and-post', scales: { seatCone: scale } }]);
    expect(readDocument(JSON.parse(JSON.stringify(after))).ok).toBe(true);
  });
});
