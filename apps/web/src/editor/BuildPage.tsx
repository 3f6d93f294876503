import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import type { StoredBuild } from '@larchwood/contract';
import type { BuildDocument, Fault } from '@larchwood/format';
import { builds } from '../api/builds';
import { ApiProblem } from '../api/client';
import { ReadingStrip } from '../readings/ReadingStrip';
import { StationList } from '../stations/StationList';
import { STATIONS } from '../stations/stations';
import { Button } from '../parts/Button';
import { FaultList } from '../parts/FaultList';
import { BuildHeader } from './BuildHeader';
import { Calm } from './Calm';
import { useEditor } from './editor';
import { useRevisionText } from './revision';
import { EditorProvider } from './EditorProvider';
import { GoneChoices, keepAsNew } from './gone';
import { findUnsaved, forgetUnsaved, type Unsaved } from './unsaved';

/** One open build: head, stations, the station in hand, and the readings. */
export function BuildPage() {
  const { id = '' } = useParams();
  const build = useQuery({ queryKey: ['build', id], queryFn: () => builds.get(id), staleTime: 0, gcTime: 0 });
  if (build.isPending) return <p className="p-10 text-quiet">Fetching the build…</p>;
  if (build.isError) {
    const problem = build.error instanceof ApiProblem ? build.error.problem : undefined;
    if (problem?.faults) return <Unreadable id={id} message={problem.message} faults={problem.faults} />;
    const gone = problem?.status === 404;
    const left = gone ? findUnsaved(id) : undefined;
    if (left) return <GoneBuild id={id} left={left} onBack={() => void build.refetch()} />;
    return (
      <main className="mx-auto max-w-xl p-10">
        <h1 className="mb-2 text-lg font-bold">
          {gone ? 'This build is not here' : 'The build cannot be fetched'}
        </h1>
        <p className="mb-4">
          {gone
            ? 'It was deleted, or the address is wrong.'
            : `${build.error.message} What was saved is safe.`}
        </p>
        <div className="flex gap-4">
          {!gone && <Button onClick={() => build.refetch()}>Try again</Button>}
          <Link to="/" className="self-center font-semibold text-larch-text underline">
            Go to the workshop
          </Link>
        </div>
      </main>
    );
  }
  return <OpenBuild key={id} build={build.data} />;
}

/** A deleted build of which this browser still has changes. */
function GoneBuild({
  id,
  left,
  onBack,
}: {
  readonly id: string;
  readonly left: Unsaved;
  readonly onBack: () => void;
}) {
  const navigate = useNavigate();
  const keepNew = async () => {
    const copy = await keepAsNew(left.document);
    forgetUnsaved(id);
    await navigate(`/builds/${copy.id}/stance`);
  };
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="mb-2 text-lg font-bold">“{left.document.name}” was deleted</h1>
      <p className="mb-4">This browser still has changes to it that had not reached the server.</p>
      <GoneChoices
        onBringBack={async () => {
          await builds.bringBack(id);
          onBack();
        }}
        onKeepNew={keepNew}
      />
      <Link to="/" className="mt-4 inline-block font-semibold text-larch-text underline">
        Go to the workshop
      </Link>
    </main>
  );
}

/** A stored build that no longer reads: what is wrong with it, and the file as it stands. */
function Unreadable({
  id,
  message,
  faults,
}: {
  readonly id: string;
  readonly message: string;
  readonly faults: readonly Fault[];
}) {
  return (
    <main className="mx-auto max-w-2xl p-10">
      <h1 className="mb-2 text-lg font-bold">This build does not read</h1>
      <p className="mb-3">{message}</p>
      <FaultList faults={faults} />
      <div className="mt-4 flex gap-4 font-semibold text-larch-text underline">
        <a href={`/api/builds/${id}/export`} download>
          Take it away as a file
        </a>
        <Link to="/">Go to the workshop</Link>
      </div>
    </main>
  );
}

function OpenBuild({ build }: { readonly build: StoredBuild }) {
  // What the server had when the build was opened; later answers arrive through the editor.
  const [opened] = useState(() => {
    const kept = findUnsaved(build.id);
    // A save may have arrived although its answer did not: then nothing is unsaved.
    const unsaved = kept && !sameDocument(kept.document, build.document) ? kept : undefined;
    if (kept && !unsaved) forgetUnsaved(build.id);
    return { build, unsaved };
  });
  const { pathname } = useLocation();
  const station = STATIONS.find(({ id }) => pathname.endsWith(`/${id}`))?.name;
  useEffect(() => {
    document.title = [station, build.name, 'Larchwood'].filter(Boolean).join(' – ');
    return () => {
      document.title = 'Larchwood';
    };
  }, [station, build.name]);
  useEffect(() => {
    if (opened.unsaved)
      toast('Changes that had not reached the server were brought back.', {
        action: { label: 'Drop them', onClick: () => (forgetUnsaved(build.id), location.reload()) },
      });
  }, [opened.unsaved, build.id]);
  return (
    <EditorProvider build={opened.build} unsaved={opened.unsaved}>
      <a
        href="#station"
        className="absolute -top-20 left-3 z-50 border border-ink bg-sheet px-4 py-2 font-semibold focus:top-2"
      >
        Skip to the station
      </a>
      <div className="flex h-full min-h-0 flex-col max-[900px]:h-auto max-[900px]:min-h-full">
        <Calm>
          <BuildHeader />
        </Calm>
        <div className="flex min-h-0 flex-1 max-[900px]:flex-col">
          <Calm>
            <StationList />
          </Calm>
          <div className="flex min-h-0 min-w-0 flex-1 flex-col">
            <main
              id="station"
              tabIndex={-1}
              className="flex min-h-0 flex-1 focus:outline-none max-[900px]:flex-col"
            >
              <PrintedHead station={station} />
              <Outlet />
            </main>
            <Calm>
              <ReadingStrip />
            </Calm>
          </div>
        </div>
      </div>
    </EditorProvider>
  );
}

/** Over a printed station: what it is of, so that old paper is known for what it is. */
function PrintedHead({ station }: { readonly station: string | undefined }) {
  const { document } = useEditor('document');
  const revision = useRevisionText();
  return (
    <p className="hidden justify-between border-b border-ink pb-1 print:flex">
      <strong>{[document.name, station].filter(Boolean).join(': ')}</strong>
      <span>{revision}</span>
    </p>
  );
}

const sameDocument = (a: BuildDocument, b: BuildDocument): boolean => JSON.stringify(a) === JSON.stringify(b);
