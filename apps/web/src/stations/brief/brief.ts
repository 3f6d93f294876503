import { changeBrief, asSentence, type Dimension, type Kind, type Plan, type Result } from '@larchwood/core';
import type { Brief, BuildDocument, ShelfItem } from '@larchwood/format';
import { useEditor } from '../../editor/editor';

/** Lists of the brief, whose rows are added, changed and taken out alike. */
type ListName = 'riders' | 'shelf' | 'limits';
type RowOf<L extends ListName> = Brief[L][number];

/** One list of the brief with what can be done to its rows; refused text moves with its row. */
export function useBriefList<L extends ListName>(list: L) {
  const { document, edit, settle, drafts, setDraft } = useEditor(
    'document',
    'edit',
    'settle',
    'drafts',
    'setDraft',
  );
  const rows = document.brief[list] as readonly RowOf<L>[];
  const change = (key: string, next: (rows: readonly RowOf<L>[]) => readonly RowOf<L>[]) =>
    edit(key, (before) =>
      changeBrief(before, { [list]: next(before.brief[list] as readonly RowOf<L>[]) } as Partial<Brief>),
    );
  return {
    rows,
    field: (index: number, name: string) => `brief.${list}.${index}.${name}`,
    add: (row: RowOf<L>) => {
      change(`brief.${list}.add`, (before) => [...before, row]);
      settle();
    },
    set: (index: number, name: string, part: Partial<RowOf<L>>): Result<true> =>
      change(`brief.${list}.${index}.${name}`, (before) =>
        before.map((row, place) => (place === index ? { ...row, ...part } : row)),
      ),
    replace: (index: number, row: RowOf<L>) => {
      change(`brief.${list}.${index}.replace`, (before) =>
        before.map((each, place) => (place === index ? row : each)),
      );
      settle();
    },
    remove: (index: number) => {
      edit(`brief.${list}.remove`, (before) => {
        const left = before.brief[list].filter((_, place) => place !== index);
        const next = changeBrief(before, { [list]: left } as Partial<Brief>);
        return list === 'riders' ? { ...next, seat: { ...next.seat, aboard: [] } } : next;
      });
      settle();
      for (const [key, draft] of movedDrafts(drafts, `brief.${list}.`, index)) setDraft(key, draft);
    },
  };
}

/** What becomes of the drafts of a list's rows when one row is taken out: its own go, those below it move up. */
export function movedDrafts<D>(
  drafts: Readonly<Record<string, D>>,
  prefix: string,
  removed: number,
): (readonly [key: string, draft: D | undefined])[] {
  const moved = new Map<string, D | undefined>();
  const rows = Object.entries(drafts).flatMap(([key, draft]) => {
    const [index, ...rest] = key.startsWith(prefix) ? key.slice(prefix.length).split('.') : [];
    return index === undefined ? [] : [{ key, draft, index: Number(index), rest: rest.join('.') }];
  });
  for (const { key, index } of rows) if (index >= removed) moved.set(key, undefined);
  for (const { draft, index, rest } of rows)
    if (index > removed) moved.set(`${prefix}${index - 1}.${rest}`, draft);
  return [...moved];
}

/** A part as it comes on to the shelf: with what such a part usually settles, at what the stance has now. */
export function newPart(
  sort: ShelfItem['sort'],
  kind: Kind,
  { wheels }: BuildDocument,
  plan: Plan | undefined,
): ShelfItem {
  const name = asSentence(sort);
  if (sort === 'front wheel' || sort === 'rear wheel') {
    const wheel = wheels[sort === 'front wheel' ? 'front' : 'rear'];
    return { sort, name, marking: wheel.by === 'marking' ? wheel.marking : '37-622', gives: {} };
  }
  if (sort === 'engine') return { sort, name, box: [400, 350, 400], gives: {} };
  if (sort === 'fork') {
    const gives = FORK_GIVES.flatMap((ids) => {
      const id = ids.find((each) => kind.dimensions.some((dimension) => dimension.id === each));
      const value = id === undefined ? undefined : plan?.stance.values[id];
      return id === undefined || value === undefined ? [] : [[id, toTenths(value)] as const];
    });
    return { sort, name, gives: Object.fromEntries(gives) };
  }
  return { sort, name, gives: {} };
}

/** What a fork settles, in the words of each trade; the first that a kind has. */
const FORK_GIVES = [
  ['axleToCrown', 'forkLength'],
  ['clampOffset', 'forkOffset'],
] as const;
export const toTenths = (value: number): number => Math.round(value * 10) / 10;

/** A kind's dimensions to choose from, by the ledger's groups. */
export function dimensionChoices(kind: Kind, but: readonly string[] = []) {
  const named = (id: string): Dimension | undefined =>
    kind.given.includes(id) || but.includes(id) ? undefined : kind.dimensions.find((each) => each.id === id);
  return kind.groups
    .map(({ title, ids }) => ({
      group: title,
      options: ids.flatMap((id) => named(id) ?? []).map(({ id, name }) => ({ value: id, label: name })),
    }))
    .filter(({ options }) => options.length > 0);
}
