import { findSection, type BuildDocument, type End, type Member } from '@larchwood/core';

type Change = (document: BuildDocument) => BuildDocument;

const withMembers =
  (change: (member: Member) => Member): Change =>
  (document) => ({ ...document, frame: { ...document.frame, members: document.frame.members.map(change) } });

export const changeMember = (id: string, part: Partial<Member>): Change =>
  withMembers((member) => (member.id === id ? { ...member, ...part } : member));

export const changeEnd = (id: string, end: 'start' | 'end', cut: End): Change =>
  withMembers((member) => (member.id === id ? { ...member, ends: { ...member.ends, [end]: cut } } : member));

/** Gives a member a section from the library; the document keeps its own copy, and drops those nobody uses. */
export function chooseSection(memberId: string, sectionId: string): Change {
  return (document) => {
    const chosen =
      findSection(sectionId) ?? document.frame.sections.find((section) => section.id === sectionId);
    if (!chosen) return document;
    const members = document.frame.members.map((member) =>
      member.id === memberId ? { ...member, section: chosen.id } : member,
    );
    const used = new Set(members.map((member) => member.section));
    const sections = [
      ...document.frame.sections.filter((section) => section.id !== chosen.id),
      chosen,
    ].filter((section) => used.has(section.id));
    return { ...document, frame: { ...document.frame, members, sections } };
  };
}

/** Moves a node along the member it sits on. */
export const moveNode =
  (id: string, distance: number): Change =>
  (document) => ({
    ...document,
    frame: {
      ...document.frame,
      nodes: document.frame.nodes.map((node) =>
        node.id === id && node.anchor.on === 'member'
          ? { ...node, anchor: { ...node.anchor, distance } }
          : node,
      ),
    },
  });

/** Moves a node off the middle plane, keeping its anchor. */
export const offsetNode =
  (id: string, y: number): Change =>
  (document) => ({
    ...document,
    frame: {
      ...document.frame,
      nodes: document.frame.nodes.map((node) => {
        if (node.id !== id || node.anchor.on === 'fixed') return node;
        const { offset } = node.anchor;
        return {
          ...node,
          anchor: { ...node.anchor, offset: [offset[0], y, offset[2]] as [number, number, number] },
        };
      }),
    },
  });
