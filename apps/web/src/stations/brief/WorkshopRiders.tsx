import { BookmarkPlus } from 'lucide-react';
import { toast } from 'sonner';
import type { Rider } from '@larchwood/format';
import { useShop } from '../../lists/useShop';
import { IconButton } from '../../parts/Button';
import { Length, Mass } from '../../parts/Figure';
import { Pop } from '../../parts/Pop';
import { KeptList } from '../../shop/KeptList';
import { useUnits } from '../../editor/editor';

/** Keeps a rider in the workshop's list, for other builds; one of the same name is kept anew. */
export function KeepRider({ rider }: { readonly rider: Rider }) {
  const hand = useShop();
  const keep = () => {
    const kept = hand.keepNamed('riders', rider);
    toast(kept.ok ? `${rider.name} is kept in the workshop’s list.` : `Not kept: ${kept.message}`);
  };
  return (
    <IconButton name={`Keep ${rider.name} in the workshop’s list`} onClick={keep} disabled={hand.pending}>
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
          list="riders"
          title="The workshop’s riders"
          empty="Nobody is kept yet: press the bookmark beside a rider of a brief."
          detail={(rider) => (
            <>
              <Length mm={rider.stature} display={units} digits={0} />,{' '}
              <Mass kg={rider.mass} display={units} />
            </>
          )}
          isHere={({ name }) => taken.includes(name)}
          onTake={(rider) => {
            onTake(rider);
            close();
          }}
        />
      )}
    </Pop>
  );
}
