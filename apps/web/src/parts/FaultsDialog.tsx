import type { Fault } from '@larchwood/format';
import { Dialog } from './Dialog';
import { FaultList } from './FaultList';

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
      <FaultList faults={refused?.faults ?? []} />
    </Dialog>
  );
}
