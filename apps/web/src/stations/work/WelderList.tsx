import { Plus, Trash2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { PROCESSES } from '@larchwood/core';
import { PROCESS_IDS, type Welder } from '@larchwood/format';
import { Group } from '../../ledger/Panel';
import { Button, IconButton } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { ShopSize } from '../../shop/ShopFields';
import { useShop } from '../../lists/useShop';

/** What the workshop welds with, and which walls each is used for. */
export function WelderList() {
  const hand = useShop();
  const all = Object.entries(hand.shop.welders);
  return (
    <Group title="The workshop’s welders: from the thinnest wall to the thickest">
      {all.map(([id, item]) => (
        <div key={id} className="flex items-center gap-1 px-4">
          <Choice
            label="Process"
            value={item.process}
            className="w-24"
            groups={[{ options: PROCESS_IDS.map((value) => ({ value, label: PROCESSES[value].name })) }]}
            onChange={(process) =>
              hand.keep('welders', id, { ...item, process: process as Welder['process'] })
            }
          />
          {(['thin', 'thick'] as const).map((of) => (
            <ShopSize
              key={of}
              {...{ hand, id, item, of }}
              list="welders"
              label={`${PROCESSES[item.process].name}, ${of === 'thin' ? 'thinnest' : 'thickest'} wall`}
            />
          ))}
          <IconButton
            name={`Take ${PROCESSES[item.process].name} off the list`}
            className="!size-7"
            onClick={() => hand.remove('welders', id, PROCESSES[item.process].name)}
          >
            <Trash2 size={13} aria-hidden />
          </IconButton>
        </div>
      ))}
      {all
        .filter(([, { thin, thick }]) => thin > thick)
        .map(([id, { process }]) => (
          <p key={id} className="px-4 text-[13px] text-brick" role="alert">
            {PROCESSES[process].name}: its thinnest wall is over its thickest, so it is used for none.
          </p>
        ))}
      {all.length === 0 && (
        <p className="caption px-4">None entered: thin walls are taken for TIG, thick ones for MIG.</p>
      )}
      <div className="px-4 py-1">
        <Button onClick={() => hand.keep('welders', nanoid(10), { process: 'mig', thin: 1.5, thick: 6 })}>
          <Plus size={14} aria-hidden /> Enter a welder
        </Button>
      </div>
    </Group>
  );
}
