import { editableLength, failure, parseLength, type Result } from '@larchwood/core';
import { SHOP_LISTS, type ShopItems, type ShopList } from '@larchwood/format';
import { useUnits } from '../editor/editor';
import { QuantityField } from '../ledger/QuantityField';
import { TextField } from '../ledger/TextField';
import { angleWithin, lengthWithin } from '../ledger/bounds';
import type { ShopHand } from '../lists/useShop';

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
export function ShopSizes({
  hand,
  id,
  item,
  label,
}: Pick<Props<'tools'>, 'hand' | 'id' | 'item'> & { readonly label: string }) {
  const units = useUnits();
  const commit = (typed: string): Result<true> => {
    const sizes: number[] = [];
    for (const part of typed.split(/[,;]/).map((each) => each.trim())) {
      if (part === '') continue;
      const read = parseLength(part, units.length);
      if (!read.ok) return failure(`“${part}”: ${read.message}`);
      sizes.push(read.value);
    }
    return hand.keep('tools', id, { ...item, sizes: sizes.sort((a, b) => a - b) });
  };
  return (
    <TextField
      field={`shop.tools.${id}.sizes`}
      label={label}
      value={item.sizes.map((mm) => editableLength(mm, units)).join(', ')}
      most={500}
      placeholder="none"
      parsed
      onCommit={commit}
      className="w-full"
    />
  );
}

/** What a stock length costs, in the workshop’s own money; empty where that is not known. */
export function ShopPrice({
  hand,
  id,
  item,
  label,
}: Pick<Props<'stock'>, 'hand' | 'id' | 'item'> & { readonly label: string }) {
  return (
    <TextField
      field={`shop.stock.${id}.price`}
      label={label}
      value={item.price === 0 ? '' : String(item.price)}
      placeholder="price"
      parsed
      className="w-20"
      onCommit={(text) => {
        const price = text.trim() === '' ? 0 : Number(text.trim().replace(',', '.'));
        return Number.isFinite(price) && price >= 0
          ? hand.keep('stock', id, { ...item, price })
          : failure('A price is a number, as 12.50.');
      }}
    />
  );
}
