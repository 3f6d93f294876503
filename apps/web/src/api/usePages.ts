import { useInfiniteQuery, type QueryKey } from '@tanstack/react-query';
import { PAGE } from '@larchwood/contract';

/** A long list, a page at a time. */
export function usePages<T>(queryKey: QueryKey, page: (from: number) => Promise<T[]>) {
  const query = useInfiniteQuery({
    // By itself: the first page alone may be asked for elsewhere.
    queryKey: [...queryKey, 'pages'],
    queryFn: ({ pageParam }) => page(pageParam),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => (last.length < PAGE ? undefined : pages.length * PAGE),
  });
  return { ...query, entries: query.data?.pages.flat() };
}
