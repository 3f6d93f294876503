import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import type { ShopItems } from '@larchwood/format';
import { useShop } from '../lists/useShop';
import { Button, IconButton } from '../parts/Button';

type Named = 'riders' | 'fixtures';

interface Props<L extends Named> {
  readonly list: L;
  readonly title: string;
  /** Said while nothing is kept: how to keep something. */
  readonly empty: string;
  /** Stands quietly after the name. */
  readonly detail: (item: ShopItems[L]) => ReactNode;
  readonly isHere?: (item: ShopItems[L]) => boolean;
  readonly onTake: (item: ShopItems[L]) => void;
}

/** What the workshop keeps for any build: taken into this one, or off the list. */
export function KeptList<L extends Named>({ list, title, empty, detail, isHere, onTake }: Props<L>) {
  const { shop, pending, missing, remove } = useShop();
  const items = (Object.entries(shop[list]) as [string, ShopItems[L]][]).sort(([, a], [, b]) =>
    a.name.localeCompare(b.name),
  );
  return (
    <>
      <h3 className="mb-1 font-bold">{title}</h3>
      {pending && <p className="text-quiet">Fetching…</p>}
      {missing !== undefined && <p className="text-brick">The list cannot be fetched: {missing}</p>}
      {!pending && missing === undefined && items.length === 0 && <p className="text-quiet">{empty}</p>}
      <ul className="rows">
        {items.map(([id, item]) => (
          <li key={id} className="flex items-center gap-2 py-0.5">
            <span className="min-w-0 flex-1">
              {item.name} <span className="text-quiet">{detail(item)}</span>
            </span>
            {isHere?.(item) ? (
              <span className="caption">is here</span>
            ) : (
              <Button look="link" onClick={() => onTake(item)}>
                Take
              </Button>
            )}
            <IconButton
              name={`Take ${item.name} off the list`}
              className="!size-7"
              onClick={() => remove(list, id, item.name)}
            >
              <Trash2 size={14} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
    </>
  );
}
