import { useState } from 'react';
import type { StoredBuild } from '@larchwood/contract';
import type { BuildDocument } from '@larchwood/format';
import { builds } from '../api/builds';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';

/** What was worked on here, as a build of its own. */
export const keepAsNew = (document: BuildDocument): Promise<StoredBuild> =>
  builds.importText(JSON.stringify({ ...document, name: `${document.name.slice(0, 100)} (my changes)` }));

interface Choices {
  readonly onBringBack: () => Promise<void>;
  readonly onKeepNew: () => Promise<void>;
}

/** Two ways on with changes to a build that was deleted; neither loses anything. */
export function GoneChoices({ onBringBack, onKeepNew }: Choices) {
  const [failed, setFailed] = useState<string>();
  const tried = (choice: () => Promise<void>) => () =>
    void choice().catch(() => setFailed('The server does not answer; nothing was changed. Try again.'));
  return (
    <>
      {failed !== undefined && <p className="mb-3 text-brick">{failed}</p>}
      <div className="flex flex-wrap gap-3">
        <Button look="strong" onClick={tried(onBringBack)}>
          Bring it back
        </Button>
        <Button onClick={tried(onKeepNew)}>Keep mine as a new build</Button>
      </div>
    </>
  );
}

/** The open build was deleted elsewhere while it was open here. */
export function GoneDialog({ edited, ...choices }: Choices & { readonly edited: boolean }) {
  return (
    <Dialog
      open
      title="This build was deleted somewhere else"
      about={`Another window, or somebody else, deleted it while it was open here.${edited ? ' Your changes are kept in this browser.' : ''}`}
    >
      <GoneChoices {...choices} />
    </Dialog>
  );
}
