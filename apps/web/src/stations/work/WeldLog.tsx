import { Trash2 } from 'lucide-react';
import { formatLength, PROCESSES, type ProcessId, type Seam } from '@larchwood/core';
import { useDraft, useUnits } from '../../editor/editor';
import { Group } from '../../ledger/Panel';
import { Button, IconButton } from '../../parts/Button';
import { today } from '../../parts/today';
import { useShop } from '../../lists/useShop';

/** Machine settings as they worked, for this process, material and wall: the next start from them. */
export function WeldLog({
  seam,
  process,
}: {
  readonly seam: Seam | undefined;
  readonly process: ProcessId | undefined;
}) {
  const hand = useShop();
  const units = useUnits();
  // Kept until it is logged, also while another seam or station is looked at.
  const { draft, setDraft } = useDraft('work.weldLog');
  const text = draft?.text ?? '';
  const setText = (next: string) => setDraft('work.weldLog', next === '' ? undefined : { text: next });
  const all = Object.entries(hand.shop.welds).sort(([, a], [, b]) => b.on.localeCompare(a.on));
  const log = () => {
    if (!seam || !process || text.trim() === '') return;
    hand.add('welds', {
      ...{ process, material: seam.material, wall: seam.wall, settings: text.trim().slice(0, 120) },
      ...{ length: seam.length, minutes: 0, on: today() },
    });
    setText('');
  };
  return (
    <Group title="Settings that worked">
      {seam && process && (
        <form
          className="flex gap-2 px-4 py-1"
          onSubmit={(event) => {
            event.preventDefault();
            log();
          }}
        >
          <input
            aria-label={`Settings for ${PROCESSES[process].name}, ${formatLength(seam.wall, units, 2)}`}
            placeholder="as on the machine: 65 A, 1.6 rod"
            className="min-h-8 min-w-0 flex-1 border border-rule bg-sheet px-2"
            value={text}
            maxLength={120}
            onChange={(event) => setText(event.target.value)}
          />
          <Button type="submit" disabled={text.trim() === ''}>
            Log
          </Button>
        </form>
      )}
      {all.slice(0, 12).map(([id, weld]) => (
        <div key={id} className="flex items-center justify-between gap-2 px-4 text-[13.5px]">
          <span className="min-w-0">
            {PROCESSES[weld.process].name}, {formatLength(weld.wall, units, 2)}: {weld.settings}{' '}
            <span className="caption">{weld.on}</span>
          </span>
          <IconButton
            name={`Take ${weld.settings} out of the log`}
            className="!size-7"
            onClick={() => hand.remove('welds', id, weld.settings)}
          >
            <Trash2 size={13} aria-hidden />
          </IconButton>
        </div>
      ))}
    </Group>
  );
}
