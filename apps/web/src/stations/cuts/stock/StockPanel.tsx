import { Plus } from 'lucide-react';
import { toast } from 'sonner';
import { formatMass, goneFromRack, sawingOf, shoppingOf, massUnitOf, type Nested } from '@larchwood/core';
import { useEditor } from '../../../editor/editor';
import { Group, Row } from '../../../ledger/Panel';
import { Button } from '../../../parts/Button';
import { Length } from '../../../parts/Figure';
import { ShopPrice, ShopSize, ShopText } from '../../../shop/ShopFields';
import type { ShopHand } from '../../../lists/useShop';
import { RemoveButton } from '../../../parts/RowList';
import { keyOf } from './useNests';

interface Props {
  readonly hand: ShopHand;
  readonly nested: readonly Nested[];
  readonly chosen: Nested | undefined;
  readonly named: (section: string) => string;
}

/** What to buy, how it is sawn; what the section in hand is sold in, and what of it lies on the rack. */
export function StockPanel({ hand, nested, chosen, named }: Props) {
  const { document } = useEditor('document');
  const sawing = sawingOf(hand.shop);
  const SAW = [
    ['kerf', 'Saw’s cut'],
    ['trim', 'Off each end of a new bar'],
    ['keep', 'Shortest off-cut to keep'],
  ] as const;
  return (
    <>
      {chosen && <Sources hand={hand} chosen={chosen} />}
      <Group title="To buy">
        <Shopping nested={nested} named={named} />
      </Group>
      <Group title="Sawing">
        {SAW.map(([of, name]) => (
          <Row key={of} name={name}>
            <ShopSize
              hand={hand}
              list="sawing"
              id="usual"
              item={sawing}
              of={of}
              label={name}
              nudge={of === 'keep' || document.units.length !== 'mm' ? undefined : 0.5}
            />
          </Row>
        ))}
      </Group>
      <p className="caption px-4 py-2">Stock, rack and saw are the workshop’s: every build shares them.</p>
    </>
  );
}

function Sources({ hand, chosen }: { readonly hand: ShopHand; readonly chosen: Nested }) {
  const { document } = useEditor('document');
  const { section, material } = chosen.group;
  const mine = <T extends { readonly section: string; readonly material: string }>(
    items: Readonly<Record<string, T>>,
  ) => Object.entries(items).filter(([, each]) => each.section === section && each.material === material);
  const stock = mine(hand.shop.stock);
  const rack = mine(hand.shop.rack).filter(([, { usedFor }]) => usedFor === undefined);
  const usual = document.units.length === 'mm' ? 6000 : 6096;
  return (
    <>
      <Group title="Sold in lengths of">
        {stock.map(([id, item], index) => (
          <div key={id} className="flex min-h-8 items-center gap-2 px-4">
            <ShopSize
              hand={hand}
              list="stock"
              id={id}
              item={item}
              of="length"
              label={`Stock length ${index + 1}`}
            />
            <span className="text-quiet">for</span>
            <ShopPrice hand={hand} id={id} item={item} label={`Price of stock length ${index + 1}`} />
            <RemoveButton
              name={`stock length ${index + 1}`}
              onClick={() => hand.remove('stock', id, 'The stock length')}
            />
          </div>
        ))}
        <Button
          look="quiet"
          className="ml-2"
          onClick={() => hand.add('stock', { section, material, length: usual, price: 0 })}
        >
          <Plus size={14} aria-hidden /> Add a length
        </Button>
      </Group>
      <Group title="On the rack">
        {rack.map(([id, item], index) => (
          <div key={id} className="flex min-h-8 items-center gap-2 px-4">
            <ShopSize
              hand={hand}
              list="rack"
              id={id}
              item={item}
              of="length"
              label={`${item.donor ? 'Donor’s tube' : 'Off-cut'} ${index + 1}`}
            />
            <ShopText
              hand={hand}
              list="rack"
              id={id}
              item={item}
              of="note"
              label={`Note on ${item.donor ? 'donor’s tube' : 'off-cut'} ${index + 1}`}
              className="flex-1"
            />
            <RemoveButton
              name={`off-cut ${index + 1}`}
              onClick={() => {
                const gone = goneFromRack(item);
                if (!gone) return hand.remove('rack', id, 'The off-cut');
                hand.keep('rack', id, gone);
                toast('The off-cut is off the rack.', {
                  duration: 12_000,
                  action: { label: 'Undo', onClick: () => void hand.keep('rack', id, item) },
                });
              }}
            />
          </div>
        ))}
        {rack.length === 0 && <p className="px-4 text-quiet">Nothing of it.</p>}
        <Button
          look="quiet"
          className="ml-2"
          onClick={() => hand.add('rack', { section, material, length: 1000, note: '' })}
        >
          <Plus size={14} aria-hidden /> Put an off-cut there
        </Button>
        <Button
          look="quiet"
          className="ml-2"
          onClick={() =>
            hand.add('rack', { section, material, length: 500, note: 'out of a donor', donor: true })
          }
        >
          <Plus size={14} aria-hidden /> Put a donor’s tube there
        </Button>
        {rack.some(([, { donor }]) => donor) && (
          <p className="caption px-4 pb-2">
            Give a donor’s tube the length that is sound: its ends are trimmed like those of a new bar. Look
            it over first, for bends, cracks and rust inside; grind paint and old weld off.
          </p>
        )}
      </Group>
    </>
  );
}

function Shopping({ nested, named }: Pick<Props, 'nested' | 'named'>) {
  const { document } = useEditor('document');
  const rows = nested.flatMap((each) =>
    shoppingOf(each.group, each.nest).map((bought) => ({ ...bought, group: each.group })),
  );
  const mass = rows.reduce((sum, row) => sum + row.mass, 0);
  const priced = rows.filter(({ group }) => group.priced);
  if (rows.length === 0) return <p className="px-4 pb-1 text-quiet">Nothing: the rack has it all.</p>;
  return (
    <>
      {rows.map(({ group, length, count, cost }) => (
        <Row key={`${keyOf(group)} ${length}`} name={<span className="figure">{named(group.section)}</span>}>
          <span>
            <b className="figure">{count}</b> × <Length mm={length} display={document.units} digits={0} />
            {group.priced && <span className="figure ml-2 text-quiet">{cost.toFixed(2)}</span>}
          </span>
        </Row>
      ))}
      <Row name="Together">
        <b>
          {formatMass(mass, document.units, 1, true)} {massUnitOf(document.units)}
          {priced.length > 0 && `, ${priced.reduce((sum, row) => sum + row.cost, 0).toFixed(2)}`}
        </b>
      </Row>
      {priced.length < rows.length && priced.length > 0 && (
        <p className="caption px-4">Sections without prices are not in the sum.</p>
      )}
    </>
  );
}
