import { useState } from 'react';
import type { BackupSummary } from '@larchwood/contract';
import { workshop } from '../api/workshop';
import { Button } from '../parts/Button';
import { Section, useKept } from './Section';

const REASONS: Readonly<Record<BackupSummary['reason'], string>> = {
  daily: 'daily',
  'by-hand': 'by hand',
  'before-update': 'before an update',
  'before-restore': 'before another was brought back',
};
const SHOWN = 6;

const sizeText = (bytes: number): string =>
  bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

export function Backups({ backups }: { readonly backups: readonly BackupSummary[] }) {
  const [all, setAll] = useState(false);
  const making = useKept(
    workshop.backUp,
    ({ size }: BackupSummary) => `Backed up and read back: ${sizeText(size)}.`,
  );
  const shown = all ? backups : backups.slice(0, SHOWN);
  return (
    <Section
      title="Backups"
      about="One a day is made by itself, and one before every update; the last 14 are kept. Those made by hand stay. Each is read back from end to end before it counts."
    >
      <Button look="strong" disabled={making.isPending} onClick={() => making.mutate(undefined)}>
        {making.isPending ? 'Backing up…' : 'Back up now'}
      </Button>
      {backups.length === 0 ? (
        <p className="mt-3 text-quiet">None yet.</p>
      ) : (
        <table className="mt-3 w-full border-y border-rule">
          <caption className="sr-only">Backups, newest first</caption>
          <thead>
            <tr className="caption border-b border-rule text-left">
              <th className="py-1 font-normal">Made</th>
              <th className="font-normal">Why</th>
              <th className="text-right font-normal">Size</th>
            </tr>
          </thead>
          <tbody className="rows">
            {shown.map(({ name, madeAt, reason, size }) => (
              <tr key={name} title={name}>
                <td className="py-1">
                  {new Date(madeAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}
                </td>
                <td>{REASONS[reason]}</td>
                <td className="figure text-right">{sizeText(size)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {backups.length > SHOWN && (
        <Button look="link" className="mt-1" onClick={() => setAll(!all)}>
          {all ? 'Show the newest' : `Show all ${backups.length}`}
        </Button>
      )}
      <p className="mt-3 max-w-prose">
        They lie in the folder <code>backups</code> beside the workshop’s file. To bring one back, stop the
        server and run <code className="whitespace-nowrap">npm run restore -- FILE</code>; what was there is
        kept.
      </p>
    </Section>
  );
}
