import { parseLength, failure, success, type Result } from '@larchwood/core';
import { SHOP_LISTS, type ShopItems, type ShopList } from '@larchwood/format';
import { QuantityField } from '../ledger/QuantityField';
import { TextField } from '../ledger/TextField';
import { angleWithin, lengthWithin } from '../ledger/bounds';
import type { ShopHand } from './useShop';

type Numbers<T> = { [K in keyof T]: T[K] extends number ? K : never }[keyof T] & string;

interface Props<L extends ShopList> {
  readonly hand: Pick<ShopHand, 'keep'>;
  readonly list: L;
  readonly id: string;
  readonly item: ShopItems[L];
}
const limitsOf = (list: ShopList, key: string): readonly [number, number] => {
  const { minimum, maximum } = (
    SHOP_LISTS[list].properties as Record<string, { minimum?: number; maximum?: number }>
  )[key]!;
  return [minimum!, maximum!];
};

/** A size of an item of the workshop’s lists. */
export function ShopSize<L extends ShopList>({
  hand,
  list,
  id,
  item,
  of,
  label,
  quantity = 'length',
  nudge,
}: Props<L> & {
  readonly of: Numbers<ShopItems[L]>;
  readonly label: string;
  readonly quantity?: 'length' | 'angle';
  readonly nudge?: number;
}) {
  const within = quantity === 'length' ? lengthWithin : angleWithin;
  return (
    <QuantityField
      field={`shop.${list}.${id}.${of}`}
      label={label}
      quantity={quantity}
      value={item[of] as number}
      {...(nudge === undefined ? {} : { nudge })}
      onCommit={(value) =>
        within(value, limitsOf(list, of), () => hand.keep(list, id, { ...item, [of]: value }))
      }
    />
  );
}

/** The name, or another line of text, of an item. */
export function ShopText<L extends ShopList>({
  hand,
  list,
  id,
  item,
  of,
  label,
  required = false,
  className = '',
}: Props<L> & {
  readonly of: keyof ShopItems[L] & string;
  readonly label: string;
  readonly required?: boolean;
  readonly className?: string;
}) {
  return (
    <TextField
      field={`shop.${list}.${id}.${of}`}
      label={label}
      value={item[of] as string}
      required={required}
      onCommit={(text) => hand.keep(list, id, { ...item, [of]: text })}
      className={className}
    />
  );
}

/** Sizes on hand, typed as a row: 19, 22, 1 1/4 in. */
export function ShopSizes<L extends 'tools'>({
  hand,
  list,
  id,
  item,
  label,
  unit,
  text,
}: Props<L> & {
  readonly label: string;
  readonly unit: 'mm' | 'inch' | 'fraction';
  readonly text: (mm: number) => string;
}) {
  const commit = (typed: string): Result<true> => {
    const sizes: number[] = [];
    for (const part of typed.split(/[,;]/).map((each) => each.trim())) {
      if (part === '') continue;
      const read = parseLength(part, unit);
      if (!read.ok) return failure(`“${part}”: ${read.message}`);
      sizes.push(Math.round(read.value * 1000) / 1000);
    }
    const kept = hand.keep(list, id, { ...item, sizes: sizes.sort((a, b) => a - b) });
    return kept.ok ? success(true) : kept;
  };
  return (
    <TextField
      field={`shop.${list}.${id}.sizes`}
      label={label}
      value={item.sizes.map(text).join(', ')}
      most={500}
      placeholder="none"
      onCommit={commit}
      className="w-full"
    />
  );
}
