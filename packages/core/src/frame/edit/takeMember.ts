import type { Anchor, BuildDocument, End, Member, Node } from '@larchwood/format';
import { failure, success, type Result } from '../../result.js';
import type { Frame } from '../frame.js';
import { endWithout, memberOf, nextPiece, nodeOf, squareFor, withFrame, withSections } from './graph.js';

/** Another build, or another state of this one, and where its frame lies. */
export interface Other {
  readonly document: BuildDocument;
  readonly frame: Pick<Frame, 'nodes'>;
}

/**
 * A tube taken over from another build. One that is here, too, is made as it is there (section, metal, cuts, bends, holes)
 * and stays where it lies; one that is not comes with the nodes that it lies between. Nodes of one id are one; a new one
 * hangs on what it hangs on there, where all of that is here, and else lies fixed at the same place.
 * @param id of the member
 * @returns the build with it; a failure in words where the other has no such tube
 */
export function takeMember(here: BuildDocument, there: Other, id: string): Result<BuildDocument> {
  const theirs = memberOf(there.document, id);
  if (!theirs) return failure('The other build has no such tube.');
  const mine = memberOf(here, id);
  const nodes = mine ? mine.nodes : theirs.nodes;
  const brought = withNodes(here, there, [...nodes, ...theirs.bends.map(({ node }) => node)]);
  if (!brought) return failure(`${theirs.name} lies on a point that has no place there.`);
  const { group, through = [], ...rest } = theirs;
  const known = (member: string) => memberOf(brought, member) !== undefined;
  const kept = through.filter(known);
  const end = (of: End) => endHere(of, brought, there.document);
  const taken: Member = {
    ...rest,
    ...{ nodes, piece: mine?.piece ?? nextPiece(here) },
    ...(group !== undefined && here.frame.groups.some((each) => each.id === group) ? { group } : {}),
    ...(kept.length > 0 ? { through: kept } : {}),
    ends: { start: end(theirs.ends.start), end: end(theirs.ends.end) },
  };
  const { members } = brought.frame;
  return success(
    withSections(
      withFrame(brought, {
        members: mine ? members.map((each) => (each.id === id ? taken : each)) : [...members, taken],
      }),
      there.document.frame.sections,
    ),
  );
}

/** The build with these nodes, and all that they hang on; undefined where one has no place there. */
function withNodes(here: BuildDocument, there: Other, ids: readonly string[]): BuildDocument | undefined {
  let next = here;
  for (const id of ids) {
    if (nodeOf(next, id)) continue;
    const node = nodeOf(there.document, id);
    const at = there.frame.nodes[id];
    if (!node || !at) return undefined;
    const hangsOn = refsOf(node.anchor);
    const same = here.kind === there.document.kind && hangsOn.members.every((each) => memberOf(next, each));
    const below = same ? withNodes(next, there, hangsOn.nodes) : undefined;
    const put: Node = below ? node : { ...node, anchor: { on: 'fixed', at: [...at] } };
    const base = below ?? next;
    next = withFrame(base, { nodes: [...base.frame.nodes, put] });
  }
  return next;
}

/** Nodes and members that an anchor names. */
function refsOf(anchor: Anchor): { readonly nodes: readonly string[]; readonly members: readonly string[] } {
  switch (anchor.on) {
    case 'stance':
    case 'fixed':
      return { nodes: [], members: [] };
    case 'member':
    case 'share':
      return { nodes: [], members: [anchor.member] };
    case 'node':
    case 'mirror':
      return { nodes: [anchor.node], members: [] };
    case 'between':
      return { nodes: anchor.nodes, members: [] };
    case 'square':
      return { nodes: [anchor.node], members: [anchor.member] };
    case 'inLine':
      return { nodes: anchor.nodes, members: [anchor.member] };
    case 'parallel':
      return { nodes: [], members: [anchor.member, anchor.to] };
  }
}

/** An end fitted to what is here of what it fits there; to nothing of it, it is cut square, and says what it has lost. */
function endHere(end: End, here: BuildDocument, there: BuildDocument): End {
  if (end.cut === 'plate' && here.frame.plates.every(({ id }) => id !== end.plate))
    return squareFor(end, there.frame.plates.find(({ id }) => id === end.plate)?.name);
  return endWithout(
    end,
    (id) => memberOf(here, id) !== undefined,
    (id) => memberOf(there, id)?.name,
  );
}
