import { useState } from 'react';
import type { StoredBuild } from '@larchwood/contract';
import { findKind } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';
import { Measure } from '../parts/Figure';

interface Props {
  readonly mine: BuildDocument;
  readonly theirs: StoredBuild;
  readonly onMine: () => void;
  readonly onTheirs: () => Promise<void>;
}

/** Two people, or two windows, changed one build: both sides, and what to do. Nothing is lost either way. */
export function ConflictDialog({ mine, theirs, onMine, onTheirs }: Props) {
  const [failed, setFailed] = useState<string>();
  const differences = differing(mine, theirs.document);
  return (
    <Dialog
      open
      title="This build was saved somewhere else too"
      about={`While you worked here, revision ${theirs.revision} was saved from another window or by somebody else. Nothing was overwritten.`}
    >
      {differences.length > 0 ? (
        <table className="mb-4 w-full">
          <thead>
            <tr className="caption border-b border-ink text-left">
              <th className="py-1 font-normal">Dimension</th>
              <th className="text-right font-normal">Here</th>
              <th className="text-right font-normal">There</th>
            </tr>
          </thead>
          <tbody className="rows">
            {differences.map(({ id, name, quantity, here, there }) => (
              <tr key={id}>
                <td className="py-1">{name}</td>
                <td className="text-right">
                  {here === undefined ? (
                    '—'
                  ) : (
                    <Measure value={here} quantity={quantity} display={mine.units} />
                  )}
                </td>
                <td className="text-right">
                  {there === undefined ? (
                    '—'
                  ) : (
                    <Measure value={there} quantity={quantity} display={mine.units} />
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        <p className="mb-4">The held dimensions are the same; tubes, fixture or notes differ.</p>
      )}
      {failed !== undefined && <p className="mb-3 text-brick">{failed}</p>}
      <div className="flex flex-wrap gap-3">
        <Button look="strong" onClick={onMine}>
          Go on with mine
        </Button>
        <Button
          onClick={() =>
            onTheirs().catch(() => setFailed('The server does not answer; nothing was changed. Try again.'))
          }
        >
          Take theirs, keep mine as a copy
        </Button>
      </div>
    </Dialog>
  );
}

function differing(mine: BuildDocument, theirs: BuildDocument) {
  return (findKind(mine.kind)?.dimensions ?? []).flatMap(({ id, name, quantity }) => {
    const here = mine.stance.held[id];
    const there = theirs.stance.held[id];
    return here === there ? [] : [{ id, name, quantity, here, there }];
  });
}
