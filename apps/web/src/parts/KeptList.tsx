import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { toast } from 'sonner';
import { Button, IconButton } from './Button';

interface Props<T extends { readonly id: number }> {
  readonly title: string;
  /** Said while nothing is kept: how to keep something. */
  readonly empty: string;
  readonly queryKey: readonly string[];
  readonly fetch: () => Promise<readonly T[]>;
  readonly remove: (id: number) => Promise<unknown>;
  readonly nameOf: (item: T) => string;
  /** Stands quietly after the name. */
  readonly detail: (item: T) => ReactNode;
  readonly isHere?: (item: T) => boolean;
  readonly onTake: (item: T) => void;
}

/** What the workshop keeps for any build: taken into this one, or off the list. */
export function KeptList<T extends { readonly id: number }>({
  title,
  empty,
  queryKey,
  fetch,
  remove,
  nameOf,
  detail,
  isHere,
  onTake,
}: Props<T>) {
  const queries = useQueryClient();
  const list = useQuery({ queryKey, queryFn: fetch });
  const removal = useMutation({
    mutationFn: remove,
    onSettled: () => queries.invalidateQueries({ queryKey }),
    onError: (error) => toast(`Not taken out: ${error.message}`),
  });
  return (
    <>
      <h3 className="mb-1 font-bold">{title}</h3>
      {list.isPending && <p className="text-quiet">Fetching…</p>}
      {list.isError && <p className="text-brick">The list cannot be fetched: {list.error.message}</p>}
      {list.data?.length === 0 && <p className="text-quiet">{empty}</p>}
      <ul className="rows">
        {list.data?.map((item) => (
          <li key={item.id} className="flex items-center gap-2 py-0.5">
            <span className="min-w-0 flex-1">
              {nameOf(item)} <span className="text-quiet">{detail(item)}</span>
            </span>
            {isHere?.(item) ? (
              <span className="caption">is here</span>
            ) : (
              <Button look="link" onClick={() => onTake(item)}>
                Take
              </Button>
            )}
            <IconButton
              name={`Take ${nameOf(item)} off the list`}
              className="!size-7"
              onClick={() => removal.mutate(item.id)}
            >
              <Trash2 size={14} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
    </>
  );
}
