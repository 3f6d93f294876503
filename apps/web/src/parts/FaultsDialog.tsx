import type { Fault } from '@larchwood/format';
import { Dialog } from './Dialog';

export interface RefusedFile {
  readonly file: string;
  readonly faults: readonly Fault[];
}

/** A file that cannot be taken: every fault with its path. */
export function FaultsDialog({
  refused,
  taken,
  onClose,
}: {
  readonly refused: RefusedFile | undefined;
  /** What it cannot be: opened, used. */
  readonly taken: string;
  readonly onClose: () => void;
}) {
  return (
    <Dialog
      open={refused !== undefined}
      onClose={onClose}
      title={`${refused?.file ?? 'The file'} cannot be ${taken}`}
      about="Nothing was changed, here or in the file."
    >
      <ul className="rows max-h-80 overflow-y-auto border-y border-rule">
        {refused?.faults.map((fault) => (
          <li key={fault.path + fault.message} className="py-1.5">
            <span className="figure block text-[13px] text-quiet">{fault.path}</span>
            {fault.message}
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
