import { useQuery } from '@tanstack/react-query';
import { useContext, useEffect, useState } from 'react';
import { Link, useParams, useRouteError } from 'react-router';
import { documentFileName, documentText, type Fault } from '@larchwood/format';
import { builds } from '../api/builds';
import { download } from '../files/download';
import { Button } from '../parts/Button';
import { FaultList } from '../parts/FaultList';
import { EditorContext } from '../editor/editor';
import { lastGood } from '../editor/lastGood';

const linkLook = 'self-center font-semibold text-larch-text underline';

/** What failed, for whoever is told of it. */
function WhatFailed({ error }: { readonly error: unknown }) {
  useEffect(() => {
    console.error(error);
  }, [error]);
  return (
    <details className="mb-4 max-w-2xl">
      <summary className="cursor-pointer text-quiet">What failed</summary>
      <p className="mt-1 font-mono text-sm break-words">
        {error instanceof Error ? `${error.name}: ${error.message}` : String(error)}
      </p>
    </details>
  );
}

/** Stands in a station's place when it failed: the build is safe, can be taken away, and every other station is there. */
export function CrashedStation() {
  const error = useRouteError();
  const store = useContext(EditorContext);
  const { id = '' } = useParams();
  const takeAway = () => {
    const { document } = store!.getState();
    download(documentText(document), 'application/json', documentFileName(document.name));
  };
  return (
    <div role="alert" className="min-h-0 flex-1 overflow-y-auto bg-sheet px-6 py-6">
      <h2 className="mb-2 text-lg font-bold">This station failed</h2>
      <p className="mb-4 max-w-2xl">
        That is a fault of the program, not of your build. The build is as you left it, and the other stations
        work. If your last change set it off, undo it (Ctrl+Z) or bring an earlier revision back in the Log.
      </p>
      <WhatFailed error={error} />
      <div className="flex flex-wrap gap-4">
        <Button look="strong" onClick={() => location.reload()}>
          Try again
        </Button>
        {store && <Button onClick={takeAway}>Take the build as a file</Button>}
        <Link to={`/builds/${id}/log?show=revisions`} className={linkLook}>
          Revisions
        </Link>
      </div>
    </div>
  );
}

/** A build that cannot be opened as it is: its file to take away, and the last revision that opens. */
export function ClosedBuild({
  id,
  title,
  message,
  faults = [],
}: {
  readonly id: string;
  readonly title: string;
  readonly message: string;
  readonly faults?: readonly Fault[];
}) {
  const good = useQuery({
    queryKey: ['last good', id],
    queryFn: () => lastGood(id),
    retry: false,
    gcTime: 0,
  });
  const [failed, setFailed] = useState<string>();
  const open = async (revision: number) => {
    try {
      await builds.restore(id, revision);
      location.assign(`/builds/${id}/stance`);
    } catch (error) {
      setFailed(error instanceof Error ? error.message : 'That did not work.');
    }
  };
  return (
    <main className="mx-auto max-w-2xl p-10">
      <h1 className="mb-2 text-lg font-bold">{title}</h1>
      <p className="mb-3">{message}</p>
      <FaultList faults={faults} />
      {failed !== undefined && <p className="mt-3 text-brick">{failed} Nothing was changed.</p>}
      <div className="mt-4 flex flex-wrap gap-4">
        {good.data && (
          <Button look="strong" onClick={() => void open(good.data!.revision)}>
            Open revision {good.data.revision} of{' '}
            {new Date(good.data.savedAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}
          </Button>
        )}
        {good.isPending && (
          <p className="self-center text-quiet">Looking for the last revision that opens…</p>
        )}
        {(good.isError || (good.isSuccess && !good.data)) && (
          <p className="self-center">No earlier revision of it opens either.</p>
        )}
        <a href={builds.exportUrl(id)} download className={linkLook}>
          Take it away as a file
        </a>
        <Link to="/" reloadDocument className={linkLook}>
          Go to the workshop
        </Link>
      </div>
    </main>
  );
}

/** Opening the build itself failed. */
export function CrashedBuild() {
  const error = useRouteError();
  const { id } = useParams();
  if (id === undefined) return <CrashedPage />;
  return (
    <>
      <ClosedBuild
        id={id}
        title="This build cannot be opened as it is"
        message="That is a fault of the program, not of your build. What was saved is safe; the last revision that opens can go on as the newest."
      />
      <div className="mx-auto max-w-2xl px-10">
        <WhatFailed error={error} />
      </div>
    </>
  );
}

/** Any other page failed. */
export function CrashedPage() {
  const error = useRouteError();
  return (
    <main className="mx-auto max-w-2xl p-10">
      <h1 className="mb-2 text-lg font-bold">This page failed</h1>
      <p className="mb-3">That is a fault of the program. What was saved is safe.</p>
      <WhatFailed error={error} />
      <Button look="strong" onClick={() => location.reload()}>
        Try again
      </Button>
    </main>
  );
}
