import { useState } from 'react';
import type { RevisionSummary } from '@larchwood/contract';
import { Button } from '../../parts/Button';
import { NameField } from '../../parts/NameField';

interface Props {
  readonly revision: RevisionSummary;
  readonly isNewest: boolean;
  readonly isCompared: boolean;
  /** Nothing waits to be saved that bringing back would go over. */
  readonly mayReplace: boolean;
  readonly onCompare: () => void;
  readonly onBringBack: () => void;
  /** What it changed against the revision before it, in words. */
  readonly onChanged: () => Promise<string>;
  readonly onName: (name: string) => void;
}

export function RevisionRow({
  revision,
  isNewest,
  isCompared,
  mayReplace,
  onCompare,
  onBringBack,
  onChanged,
  onName,
}: Props) {
  const [naming, setNaming] = useState(false);
  const [changed, setChanged] = useState<string>();
  const { revision: number, name, reason, usedFor = [], by } = revision;
  const remarks = [
    ...(by === undefined ? [] : [`by ${by}`]),
    ...usedFor,
    ...(isNewest ? ['the present one'] : []),
  ].join('; ');
  return (
    <tr className={isCompared ? 'bg-larch-wash' : ''}>
      <td className="figure py-1.5 pl-2 font-semibold">{number}</td>
      <td className="pr-3 whitespace-nowrap text-quiet">{when(revision)}</td>
      <td>
        {naming ? (
          <NameField
            label={`Name of revision ${number}`}
            name={name ?? ''}
            autoFocus
            onName={onName}
            onLeave={() => setNaming(false)}
          />
        ) : (
          <>
            {name === undefined ? reason : <strong>{name}</strong>}
            {remarks !== '' && <span className="caption"> ({remarks})</span>}
            {changed !== undefined && <span className="block text-[13.5px]">{changed}</span>}
          </>
        )}
      </td>
      <td className="flex justify-end gap-1 py-1">
        <Button look="quiet" disabled={naming} onClick={() => setNaming(true)}>
          {name === undefined ? 'Name' : 'Rename'}
        </Button>
        {number > 1 && (
          <Button
            look="quiet"
            disabled={changed !== undefined}
            onClick={() => void onChanged().then(setChanged)}
          >
            What changed
          </Button>
        )}
        <Button look="quiet" disabled={isCompared} onClick={onCompare}>
          {isCompared ? 'Compared with' : 'Compare'}
        </Button>
        <Button look="quiet" disabled={isNewest || !mayReplace} onClick={onBringBack}>
          Bring back
        </Button>
      </td>
    </tr>
  );
}

/** The time of a save; from first to last of a sitting that was longer than a minute. */
function when({ beganAt, savedAt }: RevisionSummary): string {
  const [began, saved] = [new Date(beganAt), new Date(savedAt)];
  const time = { timeStyle: 'short' } as const;
  if (saved.getTime() - began.getTime() < 60_000)
    return saved.toLocaleString([], { dateStyle: 'medium', ...time });
  const from = began.toLocaleString([], { dateStyle: 'medium', ...time });
  const sameDay = began.toDateString() === saved.toDateString();
  return `${from} – ${saved.toLocaleString([], sameDay ? time : { dateStyle: 'medium', ...time })}`;
}
