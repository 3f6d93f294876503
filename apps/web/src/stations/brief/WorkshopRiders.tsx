import { useMutation, useQueryClient } from '@tanstack/react-query';
import { BookmarkPlus } from 'lucide-react';
import { toast } from 'sonner';
import type { Rider } from '@larchwood/format';
import { riders } from '../../api/riders';
import { IconButton } from '../../parts/Button';
import { Length, Mass } from '../../parts/Figure';
import { KeptList } from '../../parts/KeptList';
import { Pop } from '../../parts/Pop';
import { useUnits } from '../../editor/editor';

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
  const units = useUnits();
  return (
    <Pop
      trigger="Take one from the workshop’s list"
      className="font-semibold text-larch-text underline underline-offset-2"
    >
      {(close) => (
        <KeptList
          title="The workshop’s riders"
          empty="Nobody is kept yet: press the bookmark beside a rider of a brief."
          queryKey={LIST}
          fetch={riders.list}
          remove={riders.remove}
          nameOf={({ rider }) => rider.name}
          detail={({ rider }) => (
            <>
              <Length mm={rider.stature} display={units} digits={0} />,{' '}
              <Mass kg={rider.mass} display={units} />
            </>
          )}
          isHere={({ rider }) => taken.includes(rider.name)}
          onTake={({ rider }) => {
            onTake(rider);
            close();
          }}
        />
      )}
    </Pop>
  );
}
