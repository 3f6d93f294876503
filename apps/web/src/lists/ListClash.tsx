import { useStore } from 'zustand';
import { formatAngle, formatGauge, formatMass, type LengthDisplay } from '@larchwood/core';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';
import { Sides } from '../parts/Sides';
import { fieldLabel, type ShopField } from './fields';
import { listsStore, settleClash } from './lists';
import { LIST_NAMES } from './names';
import type { Clash, ShopItem } from './shopBook';

/** Two changed one entry of the workshop’s lists, and differently: both sides, and what to do. */
export function ListClash({ units }: { readonly units: LengthDisplay }) {
  const [clash] = useStore(listsStore, ({ clashes }) => clashes);
  if (!clash) return null;
  const { list, item: here, theirs, fields } = clash;
  const { item: there } = theirs;
  const name = nameOf(here) ?? nameOf(there);
  return (
    <Dialog
      open
      title="This was changed somewhere else too"
      about={`${LIST_NAMES[list]}${name === undefined ? '' : `, “${name}”`}: it was changed here, and in another window or by somebody else. Nothing was overwritten.`}
    >
      {here === undefined || there === undefined ? (
        <p className="mb-4">
          {here === undefined
            ? 'Here it was taken off the list; there it was changed.'
            : 'Here it was changed; there it was taken off the list.'}
        </p>
      ) : (
        <Sides
          rows={(fields as readonly ShopField[]).map((field) => ({
            ...{ key: field, name: fieldLabel(list, field).name },
            here: valueText(clash, field, here, units),
            there: valueText(clash, field, there, units),
          }))}
        />
      )}
      <div className="flex flex-wrap gap-3">
        <Button look="strong" onClick={() => settleClash(clash, 'mine')}>
          {here === undefined ? 'Take it off' : 'Keep mine'}
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

const NUMBERS: Readonly<Record<string, (value: number, units: LengthDisplay) => string>> = {
  mm: formatGauge,
  degrees: (value) => formatAngle(value),
  kg: (value, units) => formatMass(value, units),
  hours: (value) => `${value} h`,
};

/** A value as it reads; one that is itself a table is not told in a line. */
function valueText({ list }: Clash, field: ShopField, item: ShopItem, units: LengthDisplay): string {
  const value = (item as Partial<Record<ShopField, unknown>>)[field];
  const { unit = '' } = fieldLabel(list, field);
  const told = (each: unknown): string =>
    typeof each === 'number'
      ? (NUMBERS[unit]?.(each, units) ?? String(each))
      : typeof each === 'boolean'
        ? each
          ? 'yes'
          : 'no'
        : String(each);
  if (value === undefined || value === '') return 'nothing';
  if (!Array.isArray(value)) return typeof value === 'object' ? 'differs' : told(value);
  return value.some((each) => typeof each === 'object') ? 'differs' : value.map(told).join(', ');
}
