import type { BuildDocument, FrameData } from '@larchwood/format';

/** What the builder has changed since its layout made the frame. */
export interface FrameEdit {
  readonly what: 'tube' | 'node' | 'plate';
  readonly id: string;
  readonly name: string;
  readonly how: 'added' | 'taken out' | 'changed';
  /** Which properties differ, in the format's own names. */
  readonly properties: readonly string[];
}

type Kind = 'nodes' | 'members' | 'plates';
const WHAT: Readonly<Record<Kind, FrameEdit['what']>> = { nodes: 'node', members: 'tube', plates: 'plate' };

/** Every edit, tubes first. Nothing where the frame came from no layout. */
export function frameEdits({ frame }: BuildDocument): readonly FrameEdit[] {
  const { origin } = frame;
  return origin
    ? (['members', 'nodes', 'plates'] as const).flatMap((kind) => editsOf(kind, origin, frame))
    : [];
}

type Item = FrameData[Kind][number];

function editsOf(kind: Kind, before: Pick<FrameData, Kind>, now: Pick<FrameData, Kind>): FrameEdit[] {
  const [was, is] = [byId(before[kind]), byId(now[kind])];
  const edit = (item: Item, how: FrameEdit['how'], properties: readonly string[] = []): FrameEdit => ({
    what: WHAT[kind],
    id: item.id,
    name: item.name,
    how,
    properties,
  });
  return [
    ...[...is.values()].flatMap((item) => {
      const old = was.get(item.id);
      if (!old) return [edit(item, 'added')];
      const differing = changedProperties(old, item);
      return differing.length > 0 ? [edit(item, 'changed', differing)] : [];
    }),
    ...[...was.values()].flatMap((item) => (is.has(item.id) ? [] : [edit(item, 'taken out')])),
  ];
}

const byId = (items: readonly Item[]): ReadonlyMap<string, Item> =>
  new Map(items.map((item) => [item.id, item]));

/** Piece numbers follow the order of the list, and are no edit of a tube's. */
const changedProperties = (a: Item, b: Item): string[] =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(
    (key) => key !== 'piece' && JSON.stringify(a[key as keyof Item]) !== JSON.stringify(b[key as keyof Item]),
  );

/**
 * A frame made again, with the builder's edits kept: what was added stays, what was taken out stays out, and what was
 * changed stays as the builder has it; all else is as the layout makes it now.
 */
export function withEditsKept(now: FrameData, made: FrameData): FrameData {
  const { origin } = now;
  if (!origin || !made.origin || origin.pattern !== made.origin.pattern) return made;
  const members = merged('members', origin, now, made);
  const used = new Set(members.map(({ section }) => section));
  const sections = [
    ...new Map([...made.sections, ...now.sections].map((section) => [section.id, section])).values(),
  ];
  return {
    ...made,
    sections: sections.filter(({ id }) => used.has(id)),
    groups: [...new Map([...made.groups, ...now.groups].map((group) => [group.id, group])).values()],
    members,
    nodes: merged('nodes', origin, now, made),
    plates: merged('plates', origin, now, made),
  };
}

function merged<K extends Kind>(
  kind: K,
  origin: Pick<FrameData, Kind>,
  now: Pick<FrameData, Kind>,
  made: Pick<FrameData, Kind>,
): FrameData[K] {
  const edits = new Map(editsOf(kind, origin, now).map((edit) => [edit.id, edit.how]));
  const own = byId(now[kind]);
  const again = made[kind] as readonly Item[];
  const kept = again.flatMap((item) => {
    const how = edits.get(item.id);
    if (how === 'taken out') return [];
    return [how === undefined ? item : (own.get(item.id) ?? item)];
  });
  const added = (now[kind] as readonly Item[]).filter(
    (item) => edits.get(item.id) === 'added' && !again.some(({ id }) => id === item.id),
  );
  return [...kept, ...added] as FrameData[K];
}
