import { ordersOf, orderStep, without } from '@larchwood/core';
import type { BuildDocument, CutOrder } from '@larchwood/format';
import { NO_CUTS } from './cuts';
import { setDone } from './work';

type Change = (document: BuildDocument) => BuildDocument;

const withOrders = (document: BuildDocument, orders: readonly CutOrder[]): BuildDocument => {
  const cuts = document.cuts ?? NO_CUTS;
  return {
    ...document,
    cuts: orders.length > 0 ? { ...cuts, orders: [...orders] } : without(cuts, 'orders'),
  };
};

/** What is ordered is not sawn here. */
export const putOrder =
  (order: CutOrder): Change =>
  (document) =>
    withOrders(document, [...ordersOf(document).filter(({ id }) => id !== order.id), order]);

/** Its pieces are to be cut here again. */
export const dropOrder =
  (id: string): Change =>
  (document) =>
    withOrders(
      document,
      ordersOf(document).filter((order) => order.id !== id),
    );

/** It is here: the step that gets it in is done. */
export const setArrived = (order: Pick<CutOrder, 'id'>, done: boolean, now: Date): Change =>
  setDone(orderStep(order), { done }, now);
