import { useStore } from 'zustand';
import { formatLength, type LengthDisplay } from '@larchwood/core';
import { SHOP_LISTS } from '@larchwood/format';
import { useUnits } from '../editor/editor';
import { listsStore, settleClash } from '../lists/lists';
import { LIST_NAMES } from '../lists/names';
import type { Clash, ShopItem } from '../lists/shopBook';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';

/** Two changed one entry of the workshop’s lists, and differently: both sides, and what to do. */
export function ListClash() {
  const units = useUnits();
  const [clash] = useStore(listsStore, ({ clashes }) => clashes);
  if (!clash) return null;
  const { list, item, theirs, fields } = clash;
  const { item: there } = theirs;
  const name = nameOf(item) ?? nameOf(there);
  return (
    <Dialog
      open
      title="This was changed somewhere else too"
      about={`${LIST_NAMES[list]}${name === undefined ? '' : `, “${name}”`}: it was changed here, and in another window or by somebody else. Nothing was overwritten.`}
    >
      {item === undefined || there === undefined ? (
        <p className="mb-4">
          {item === undefined
            ? 'Here it was taken off the list; there it was changed.'
            : 'Here it was changed; there it was taken off the list.'}
        </p>
      ) : (
        <table className="mb-4 w-full">
          <thead>
            <tr className="caption border-b border-ink text-left">
              <th className="py-1 font-normal">What differs</th>
              <th className="pl-6 font-normal">Here</th>
              <th className="pl-6 font-normal">There</th>
            </tr>
          </thead>
          <tbody className="rows">
            {fields.map((field) => (
              <tr key={field} className="align-top">
                <td className="py-1">{labelOf(clash, field).name}</td>
                <td className="max-w-40 py-1 pl-6 break-words">{valueOf(clash, field, item, units)}</td>
                <td className="max-w-40 py-1 pl-6 break-words">{valueOf(clash, field, there, units)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className="flex flex-wrap gap-3">
        <Button look="strong" onClick={() => settleClash(clash, 'mine')}>
          {item === undefined ? 'Take it off' : 'Keep mine'}
        </Button>
        <Button onClick={() => settleClash(clash, 'theirs')}>
          {there === undefined ? 'Leave it off' : 'Take theirs'}
        </Button>
      </div>
    </Dialog>
  );
}

const nameOf = (item: ShopItem | undefined): string | undefined =>
  item && 'name' in item ? item.name : item && 'text' in item ? item.text.slice(0, 60) : undefined;

/** What a field is, as the format says it: the words, and the unit at their end. */
function labelOf({ list }: Clash, field: string): { readonly name: string; readonly unit: string } {
  const { description = field } = (
    SHOP_LISTS[list].properties as Record<string, { description?: string } | undefined>
  )[field] ?? { description: field };
  const [, name, unit] = /^(.*?)(?:, (mm|degrees|hours|kg))?$/.exec(description)!;
  return { name: name!, unit: unit ?? '' };
}

function valueOf(clash: Clash, field: string, item: ShopItem, units: LengthDisplay): string {
  const value = (item as Readonly<Record<string, unknown>>)[field];
  const { unit } = labelOf(clash, field);
  if (value === undefined || value === '') return 'nothing';
  if (typeof value === 'number')
    return unit === 'mm'
      ? formatLength(value, units)
      : unit === 'degrees'
        ? `${value}°`
        : `${value} ${unit}`.trim();
  if (typeof value === 'string') return value;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return Array.isArray(value) && value.every((each) => typeof each !== 'object')
    ? value.join(', ')
    : 'differs';
}
