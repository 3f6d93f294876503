import type { CutItem, LengthDisplay } from '@larchwood/core';
import type { CuttingTerms, PlacedOrder, Quote } from '@larchwood/contract';
import { request } from './client';

/** Who cuts tubes and plates for the workshop. */
export const cutting = {
  terms: () => request<CuttingTerms>('GET', 'cutting'),
  quote: (items: readonly CutItem[], { length, denominator }: LengthDisplay) =>
    request<Quote>('POST', 'cutting/quotes', { items, length, denominator }),
  order: (zip: Blob) => request<PlacedOrder>('POST', 'cutting/orders', zip),
  orders: (build: string) => request<readonly PlacedOrder[]>('GET', `cutting/orders/of/${build}`),
  cancel: (id: string) => request<undefined>('DELETE', `cutting/orders/${id}`),
};
