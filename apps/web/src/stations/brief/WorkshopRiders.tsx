import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { BookmarkPlus, Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import type { Rider } from '@larchwood/core';
import { riders } from '../../api/riders';
import { Button, IconButton } from '../../parts/Button';
import { Length } from '../../parts/Figure';
import { Pop } from '../../parts/Pop';
import { useFields } from '../../editor/editor';

const LIST = ['riders'];

/** Keeps a rider in the workshop's list, for other builds. */
export function KeepRider({ rider }: { readonly rider: Rider }) {
  const queries = useQueryClient();
  const keep = useMutation({
    mutationFn: () => riders.save(rider),
    onSuccess: ({ rider: kept }) => {
      toast(`${kept.name} is kept in the workshop’s list.`);
      return queries.invalidateQueries({ queryKey: LIST });
    },
    onError: (error) => toast(`Not kept: ${error.message}`),
  });
  return (
    <IconButton
      name={`Keep ${rider.name} in the workshop’s list`}
      onClick={() => keep.mutate()}
      disabled={keep.isPending}
    >
      <BookmarkPlus size={15} aria-hidden />
    </IconButton>
  );
}

/** The workshop's riders, to take into this build. */
export function WorkshopRiders({
  taken,
  onTake,
}: {
  readonly taken: readonly string[];
  readonly onTake: (rider: Rider) => void;
}) {
  return (
    <Pop
      trigger="Take one from the workshop’s list"
      className="font-semibold text-larch-text underline underline-offset-2"
    >
      {(close) => (
        <Kept
          taken={taken}
          onTake={(rider) => {
            onTake(rider);
            close();
          }}
        />
      )}
    </Pop>
  );
}

function Kept({
  taken,
  onTake,
}: {
  readonly taken: readonly string[];
  readonly onTake: (rider: Rider) => void;
}) {
  const { units } = useFields();
  const queries = useQueryClient();
  const list = useQuery({ queryKey: LIST, queryFn: riders.list });
  const remove = useMutation({
    mutationFn: riders.remove,
    onSettled: () => queries.invalidateQueries({ queryKey: LIST }),
    onError: (error) => toast(`Not taken out: ${error.message}`),
  });
  return (
    <>
      <h3 className="mb-1 font-bold">The workshop’s riders</h3>
      {list.isPending && <p className="text-quiet">Fetching…</p>}
      {list.isError && <p className="text-brick">The list cannot be fetched: {list.error.message}</p>}
      {list.data?.length === 0 && (
        <p className="text-quiet">Nobody is kept yet: press the bookmark beside a rider of a brief.</p>
      )}
      <ul className="rows">
        {list.data?.map(({ id, rider }) => (
          <li key={id} className="flex items-center gap-2 py-0.5">
            <span className="min-w-0 flex-1">
              {rider.name}{' '}
              <span className="text-quiet">
                <Length mm={rider.stature} display={units} digits={0} />, {rider.mass} kg
              </span>
            </span>
            {taken.includes(rider.name) ? (
              <span className="caption">is here</span>
            ) : (
              <Button look="link" onClick={() => onTake(rider)}>
                Take
              </Button>
            )}
            <IconButton
              name={`Take ${rider.name} off the list`}
              className="!size-7"
              onClick={() => remove.mutate(id)}
            >
              <Trash2 size={14} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
    </>
  );
}
