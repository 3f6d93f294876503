import type { Anchor, BuildDocument, End, FrameData, Member, Node, Section } from '@larchwood/format';
import { findSection } from '../library.js';

export type Change = (document: BuildDocument) => BuildDocument;

export const withFrame = (document: BuildDocument, frame: Partial<FrameData>): BuildDocument => ({
  ...document,
  frame: { ...document.frame, ...frame },
});

export const memberOf = ({ frame }: BuildDocument, id: string): Member | undefined =>
  frame.members.find((member) => member.id === id);

export const nodeOf = ({ frame }: BuildDocument, id: string): Node | undefined =>
  frame.nodes.find((node) => node.id === id);

export const withMember = (document: BuildDocument, id: string, part: Partial<Member>): BuildDocument =>
  withFrame(document, {
    members: document.frame.members.map((member) => (member.id === id ? { ...member, ...part } : member)),
  });

export const withEnd = (
  document: BuildDocument,
  id: string,
  name: 'start' | 'end',
  end: End,
): BuildDocument => {
  const member = memberOf(document, id);
  return member ? withMember(document, id, { ends: { ...member.ends, [name]: end } }) : document;
};

export const withAnchor = (document: BuildDocument, id: string, anchor: Anchor): BuildDocument =>
  withFrame(document, {
    nodes: document.frame.nodes.map((node) => (node.id === id ? { ...node, anchor } : node)),
  });

/**
 * An end without the hosts that are not there; one that has no other is cut square, and says what it lost.
 * @param isThere whether a member is
 * @param nameOf of one that is not
 */
export function endWithout(
  end: End,
  isThere: (member: string) => boolean,
  nameOf: (member: string) => string | undefined,
): End {
  const hosts = end.cut === 'coped' ? end.hosts : end.cut === 'mitred' ? [end.with] : [];
  const left = hosts.filter(({ member }) => isThere(member));
  if (left.length === hosts.length) return end;
  return end.cut === 'coped' && left.length > 0
    ? { ...end, hosts: left }
    : squareFor(end, nameOf(hosts[0]!.member));
}

/** A square end in place of one that fitted something which is gone. */
export const squareFor = ({ allowance }: End, lost: string | undefined): End => ({
  ...{ cut: 'plain', setback: 0, allowance },
  ...(lost === undefined ? {} : { lost: lost.slice(0, 80) }),
});

/** The next free piece number. */
export const nextPiece = ({ frame }: BuildDocument): number =>
  1 + Math.max(0, ...frame.members.map(({ piece }) => piece), ...frame.plates.map(({ piece }) => piece));

/** An id that nothing has yet, from a stem. */
export function freeId({ frame }: BuildDocument, stem: string): string {
  const used = new Set([...frame.nodes, ...frame.members, ...frame.plates].map(({ id }) => id));
  if (!used.has(stem)) return stem;
  let number = 2;
  while (used.has(`${stem}${number}`)) number += 1;
  return `${stem}${number}`;
}

/** Keeps a copy of every section that is used, and of no other. */
export function withSections(document: BuildDocument, added: readonly Section[] = []): BuildDocument {
  const used = new Set(document.frame.members.map(({ section }) => section));
  const known = new Map([...document.frame.sections, ...added].map((section) => [section.id, section]));
  const sections = [...used].flatMap((id) => known.get(id) ?? findSection(id) ?? []);
  return withFrame(document, { sections });
}

/** Gives members a section from the library, or one of the builder's own. */
export const chooseSection =
  (members: readonly string[], section: string | Section): Change =>
  (document) => {
    const chosen =
      typeof section === 'string'
        ? (findSection(section) ?? document.frame.sections.find(({ id }) => id === section))
        : section;
    if (!chosen) return document;
    const next = withFrame(document, {
      members: document.frame.members.map((member) =>
        members.includes(member.id) ? { ...member, section: chosen.id } : member,
      ),
    });
    return withSections(next, [chosen]);
  };
