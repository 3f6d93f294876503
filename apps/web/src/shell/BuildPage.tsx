import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, Outlet, useLocation, useNavigate, useParams } from 'react-router';
import type { StoredBuild } from '@larchwood/contract';
import type { BuildDocument } from '@larchwood/format';
import { builds } from '../api/builds';
import { ApiProblem } from '../api/client';
import { ReadingStrip } from '../readings/ReadingStrip';
import { StalePieces } from './StalePieces';
import { StationList } from './StationList';
import { ListClash } from '../lists/ListClash';
import { STATIONS } from '../stations/stations';
import { Button } from '../parts/Button';
import { BuildHeader } from './BuildHeader';
import { Calm } from '../editor/Calm';
import { useEditor, useUnits } from '../editor/editor';
import { useRevisionText } from '../editor/revision';
import { EditorProvider } from '../editor/EditorProvider';
import { GoneChoices, keepAsNew } from '../editor/gone';
import { findLeft, type Left } from '../editor/unsaved';
import { ClosedBuild } from './CrashedBuild';

/** One open build: head, stations, the station in hand, and the readings. */
export function BuildPage() {
  const { id = '' } = useParams();
  const build = useQuery({ queryKey: ['build', id], queryFn: () => builds.get(id), staleTime: 0, gcTime: 0 });
  // What closed windows of this browser left; most often nothing, and known at once.
  const left = useQuery({ queryKey: ['left', id], queryFn: () => findLeft(id), staleTime: 0, gcTime: 0 });
  if (build.isPending || left.isPending) return <p className="p-10 text-quiet">Fetching the build…</p>;
  if (build.isError) {
    const problem = build.error instanceof ApiProblem ? build.error.problem : undefined;
    if (problem?.faults)
      return (
        <ClosedBuild
          id={id}
          title="This build does not read"
          message={problem.message}
          faults={problem.faults}
        />
      );
    const gone = problem?.status === 404;
    const [newest] = left.data ?? [];
    if (gone && newest) return <GoneBuild id={id} left={newest} onBack={() => void build.refetch()} />;
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
  return <OpenBuild key={id} build={build.data} left={left.data ?? []} />;
}

/** A deleted build of which this browser still has changes. */
function GoneBuild({
  id,
  left,
  onBack,
}: {
  readonly id: string;
  readonly left: Left;
  readonly onBack: () => void;
}) {
  const navigate = useNavigate();
  const keepNew = async () => {
    const copy = await keepAsNew(left.document);
    left.forget();
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

function OpenBuild({ build, left }: { readonly build: StoredBuild; readonly left: readonly Left[] }) {
  // What the server had when the build was opened; later answers arrive through the editor.
  const [opened] = useState(() => {
    // A save may have arrived although its answer did not: then nothing is unsaved.
    const [arrived, unsaved] = split(left, ({ document }) => sameDocument(document, build.document));
    arrived.forEach((each) => each.forget());
    return { build, left: unsaved };
  });
  const { pathname } = useLocation();
  const station = STATIONS.find(({ id }) => pathname.endsWith(`/${id}`))?.name;
  useEffect(() => {
    document.title = [station, build.name, 'Larchwood'].filter(Boolean).join(' – ');
    return () => {
      document.title = 'Larchwood';
    };
  }, [station, build.name]);
  return (
    <EditorProvider build={opened.build} left={opened.left}>
      <ListsAsked />
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
          {/* At the bench a phone shows the step alone. */}
          <div className={`flex ${station === 'Bench' ? 'max-[900px]:hidden' : 'max-[900px]:contents'}`}>
            <Calm>
              <StationList />
            </Calm>
          </div>
          <div className="flex min-h-0 min-w-0 flex-1 flex-col">
            <StalePieces station={station} />
            <main
              id="station"
              tabIndex={-1}
              className="flex min-h-0 flex-1 focus:outline-none max-[900px]:flex-col"
            >
              <PrintedHead station={station} />
              <Outlet />
            </main>
            {station !== 'Bench' && (
              <Calm>
                <ReadingStrip />
              </Calm>
            )}
          </div>
        </div>
      </div>
    </EditorProvider>
  );
}

/** Where two changed one entry of the workshop’s lists. */
function ListsAsked() {
  return <ListClash units={useUnits()} />;
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

function split<T>(all: readonly T[], belongs: (each: T) => boolean): readonly [T[], T[]] {
  return [all.filter(belongs), all.filter((each) => !belongs(each))];
}

const sameDocument = (a: BuildDocument, b: BuildDocument): boolean => JSON.stringify(a) === JSON.stringify(b);
