import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { toast } from 'sonner';
import { openItems, orderOf, type Plan, type ToCut } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import type { CuttingTerms, PlacedOrder, Quote } from '@larchwood/contract';
import { ApiProblem } from '../../../api/client';
import { cutting } from '../../../api/cutting';
import { useEditor } from '../../../editor/editor';
import { useFiles, type Packing } from '../../../files/useFiles';
import { dropOrder, putOrder } from '../../../edits/orders';

/** An order that is under way is asked after so often, ms. */
const AFTER = 2000;

export interface CuttingHand {
  readonly terms: CuttingTerms | undefined;
  /** Why the service cannot be asked. */
  readonly missing: string | undefined;
  /** What somebody else could cut: all that is not cut or ordered yet. */
  readonly open: readonly ToCut[];
  readonly quote: Quote | undefined;
  /** As the service has them. */
  readonly orders: readonly PlacedOrder[];
  readonly placing: Packing | undefined;
  readonly busy: boolean;
  readonly place: (pieces: readonly ToCut[], price: number) => Promise<void>;
  /** Counts an order in that the service has and the build does not. */
  readonly countIn: (order: PlacedOrder) => void;
  readonly cancel: (id: string) => Promise<void>;
}

/** What pieces would cost and when they would come; what was said before stays until that is known. */
export function useQuote(pieces: readonly ToCut[], units: BuildDocument['units']) {
  const items = pieces.map(({ item }) => item);
  return useQuery({
    queryKey: ['cutting', 'quote', units, items],
    queryFn: () => cutting.quote(items, units),
    placeholderData: keepPreviousData,
  });
}

/** What a cutting service says of the build in hand, and orders at it. */
export function useCutting(plan: Plan): CuttingHand {
  const { build, document, edit, settle } = useEditor('build', 'document', 'edit', 'settle');
  const queries = useQueryClient();
  const [busy, setBusy] = useState(false);
  const { order: filesOf, packing: placing } = useFiles();
  const { units } = document;
  const open = openItems(plan, document);
  const terms = useQuery({ queryKey: ['cutting', 'terms'], queryFn: cutting.terms, staleTime: Infinity });
  const quote = useQuote(open, units);
  const ordersKey = ['cutting', 'orders', build.id];
  const orders = useQuery({
    queryKey: ordersKey,
    queryFn: () => cutting.orders(build.id),
    refetchInterval: ({ state }) => (state.data?.some((order) => order.state !== 'sent') ? AFTER : false),
  });
  const keep = (placed: PlacedOrder, pieces: readonly ToCut[]) => {
    if (!terms.data) return;
    const { name: service, tolerance, edges } = terms.data;
    const { id, on, due, price } = placed;
    edit('order', putOrder(orderOf({ id, service, on, due, price, tolerance, edges }, pieces)));
    settle();
  };
  const place = async (pieces: readonly ToCut[], price: number) => {
    setBusy(true);
    try {
      const page = { key: nanoid(20), build: build.id, price };
      const zip = await filesOf(
        page,
        pieces.map(({ item }) => item),
      );
      if (zip === undefined) return;
      const placed = await cutting.order(new Blob([zip as BlobPart], { type: 'application/zip' }));
      keep(placed, pieces);
      toast(`Order ${placed.id} is placed: its pieces are off the list of what is sawn here.`);
    } catch (error) {
      toast(error instanceof Error ? error.message : 'The order could not be placed.');
    } finally {
      setBusy(false);
      void queries.invalidateQueries({ queryKey: ['cutting'] });
    }
  };
  const countIn = (placed: PlacedOrder) => {
    const marks = new Set(placed.pieces.map(({ mark }) => mark));
    keep(
      placed,
      open.filter(({ item }) => marks.has(item.mark)),
    );
  };
  const cancel = async (id: string) => {
    try {
      await cutting.cancel(id);
    } catch (error) {
      // What the service does not know cannot be under way there.
      if (!(error instanceof ApiProblem) || error.problem.status !== 404) {
        toast(error instanceof Error ? error.message : 'The order could not be called off.');
        return;
      }
    } finally {
      void queries.invalidateQueries({ queryKey: ordersKey });
    }
    edit('order', dropOrder(id));
    settle();
    toast(`Order ${id} is called off: its pieces are cut here again.`);
  };
  return {
    terms: terms.data,
    missing: (terms.error ?? quote.error ?? orders.error)?.message,
    open,
    quote: quote.data,
    orders: orders.data ?? [],
    ...{ placing, busy, place, countIn, cancel },
  };
}
