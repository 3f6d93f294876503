import type { BuildDocument } from '@larchwood/format';
import { teller, type Finding } from '../findings/finding.js';
import { hasArrived, ordersOf } from '../stock/orders.js';
import { cutAlike, type ToCut } from './items.js';

const tell = teller('cuts');

/** Pieces that were ordered cut before the frame was changed: they are another thing now, or are wanted no more. */
export function boughtFindings(
  items: readonly ToCut[],
  document: Pick<BuildDocument, 'cuts' | 'done'>,
): Finding[] {
  const now = new Map(items.map((each) => [each.item.mark, each]));
  return ordersOf(document).flatMap((order) => {
    const there = hasArrived(order, document);
    return order.pieces.flatMap(({ piece, mark, length, of, figures }): Finding[] => {
      const values = { mark, length, order: order.id, there };
      const wanted = now.get(mark);
      if (!wanted) return [tell('order-not-wanted', 'note', piece, values)];
      if (cutAlike(wanted.print, { words: of, figures })) return [];
      return [tell('order-differs', 'look', wanted.item.piece, { ...values, wanted: wanted.item.length })];
    });
  });
}
