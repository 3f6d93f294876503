import type { BuildDocument, CutOrder } from '@larchwood/format';

type Cuts = Pick<BuildDocument, 'cuts'>;

/** What a cutting service cuts for a build. */
export const ordersOf = ({ cuts }: Cuts): readonly CutOrder[] => cuts?.orders ?? [];

/** The order that each piece comes with, by piece mark. */
export const orderByMark = (document: Cuts): ReadonlyMap<string, CutOrder> =>
  new Map(ordersOf(document).flatMap((order) => order.pieces.map(({ mark }) => [mark, order] as const)));

/** The step of the work in which an order is got in: it has arrived once that is done. */
export const orderStep = ({ id }: Pick<CutOrder, 'id'>): { readonly id: string; readonly of: string } => ({
  ...{ id: `order:${id}`, of: id },
});

export const hasArrived = (order: Pick<CutOrder, 'id'>, { done }: Pick<BuildDocument, 'done'>): boolean =>
  done?.some((each) => each.step === orderStep(order).id && each.done) ?? false;

/** Marks of pieces that nobody has to cut any more: sawn already, or ordered cut. */
export const marksMade = (document: Cuts): ReadonlySet<string> =>
  new Set(
    [...(document.cuts?.bars ?? []), ...ordersOf(document)].flatMap(({ pieces }) =>
      pieces.map(({ mark }) => mark),
    ),
  );
