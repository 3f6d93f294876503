import { openItems, orderOf, planBuild } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

/** What is ordered cut, by build: the pieces by their marks, and the order without them. */
const ORDERS: Readonly<Record<string, readonly string[]>> = {
  'long-quay-cruiser': ['3L', '3R', '4', '5', '6', '7'],
};
const ORDER = {
  ...{ id: 'C-0001', service: 'Stand-in cutting service', on: '2026-11-23', due: '2026-11-28', price: 46.2 },
  tolerance: 0.3,
  edges: 'Square to the wall and sharp, a little slag inside; cable holes are not rounded.',
};

/** The build with what of it is ordered at the cutting service. */
export function ordered(file: string, document: BuildDocument): BuildDocument {
  const marks = ORDERS[file];
  if (!marks) return document;
  const planned = planBuild(document);
  if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
  const pieces = openItems(planned.plan, document).filter(({ item }) => marks.includes(item.mark));
  if (pieces.length !== marks.length) throw new Error(`${file} has not all pieces of its order.`);
  const { bends = {}, bars = [], ...cuts } = document.cuts ?? {};
  return { ...document, cuts: { ...cuts, bends, bars, orders: [orderOf(ORDER, pieces)] } };
}
