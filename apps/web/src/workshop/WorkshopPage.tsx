import { lazy, Suspense, useEffect, useState } from 'react';
import { Link } from 'react-router';
import type { BuildSummary } from '@larchwood/contract';
import { findKind } from '@larchwood/core';
import { builds } from '../api/builds';
import { usePages } from '../api/usePages';
import { Button } from '../parts/Button';
import { Choice } from '../parts/Choice';
import { Larch } from '../parts/Marks';
import { ThemeButton } from '../parts/ThemeButton';
import { BuildCard } from './BuildCard';
import { ImportButton } from './ImportButton';

const NewBuildDialog = lazy(() =>
  import('./NewBuildDialog').then((module) => ({ default: module.NewBuildDialog })),
);

const kindOf = ({ kind }: BuildSummary): string => findKind(kind)?.name ?? kind;
const ORDERS = [
  {
    value: 'newest',
    label: 'Last saved first',
    by: (a: BuildSummary, b: BuildSummary) => b.savedAt.localeCompare(a.savedAt),
  },
  {
    value: 'name',
    label: 'By name',
    by: (a: BuildSummary, b: BuildSummary) => a.name.localeCompare(b.name),
  },
  {
    value: 'kind',
    label: 'By kind',
    by: (a: BuildSummary, b: BuildSummary) =>
      kindOf(a).localeCompare(kindOf(b)) || a.name.localeCompare(b.name),
  },
] as const;

/** All builds of the workshop, on a shelf. */
export function WorkshopPage() {
  const [now] = useState(() => Date.now());
  const [making, setMaking] = useState(false);
  const [sought, setSought] = useState('');
  const [order, setOrder] = useState<string>('newest');
  const list = usePages(['builds'], builds.list);
  const { entries, hasNextPage, isFetching, fetchNextPage } = list;
  const words = sought.trim().toLowerCase();
  // What is sought or sorted may stand on a page that was not fetched yet.
  const all = words !== '' || order !== 'newest';
  useEffect(() => {
    if (all && hasNextPage && !isFetching) void fetchNextPage();
  }, [all, hasNextPage, isFetching, fetchNextPage]);
  const found = (entries ?? []).filter((build) =>
    `${build.name} ${kindOf(build)}`.toLowerCase().includes(words),
  );
  const shown = [...found].sort((ORDERS.find(({ value }) => value === order) ?? ORDERS[0]).by);
  return (
    <div className="min-h-full">
      <header className="flex h-11 items-center justify-between border-b-2 border-ink px-4">
        <span className="flex items-center gap-2 text-[17px] font-bold">
          <Larch size={22} /> Larchwood
        </span>
        <span className="flex items-center gap-4">
          <Link to="/keeping" className="font-semibold underline-offset-2 hover:underline">
            Keeping and sharing
          </Link>
          <ThemeButton />
        </span>
      </header>
      <main className="mx-auto max-w-7xl px-6 py-5">
        <div className="mb-4 flex flex-wrap items-center gap-3">
          <h1 id="shelf" tabIndex={-1} className="mr-auto text-2xl font-bold">
            Builds
          </h1>
          {entries && entries.length > 1 && (
            <>
              <input
                type="search"
                aria-label="Search the builds"
                placeholder="Search name or kind"
                value={sought}
                onChange={(event) => setSought(event.target.value)}
                className="min-h-8 w-52 border border-rule bg-sheet px-2 placeholder:text-quiet"
              />
              <Choice
                label="Order of the builds"
                value={order}
                groups={[{ options: ORDERS.map(({ value, label }) => ({ value, label })) }]}
                onChange={setOrder}
              />
            </>
          )}
          <ImportButton />
          <Button look="strong" onClick={() => setMaking(true)}>
            New build
          </Button>
        </div>
        {list.isPending && <p className="text-quiet">Fetching the builds…</p>}
        {list.isError && (
          <p className="text-brick">
            {list.error.message} <Button onClick={() => list.refetch()}>Try again</Button>
          </p>
        )}
        {entries?.length === 0 && (
          <p className="border border-rule bg-sheet p-8 text-center">
            Nothing here yet. Make a <strong>new build</strong> from a starting set, or open a build file.
          </p>
        )}
        {entries && entries.length > 0 && shown.length === 0 && (
          <p className="border border-rule bg-sheet p-8 text-center">
            No build is called so, nor is of such a kind.{' '}
            <Button look="link" onClick={() => setSought('')}>
              Show all
            </Button>
          </p>
        )}
        <ul
          aria-label="Builds"
          className="grid grid-cols-[repeat(auto-fill,minmax(min(17rem,100%),1fr))] gap-4"
        >
          {shown.map((build) => (
            <BuildCard key={build.id} build={build} now={now} />
          ))}
        </ul>
        {hasNextPage && !all && (
          <Button className="mt-4" disabled={isFetching} onClick={() => void fetchNextPage()}>
            {isFetching ? 'Fetching…' : 'Show more builds'}
          </Button>
        )}
        <p className="caption mt-8 max-w-2xl">
          Not engineering approval. Steering, brakes, suspension and anything on a road: have welds made or
          checked by a qualified welder, and follow the local vehicle code.
        </p>
      </main>
      <Suspense>{making && <NewBuildDialog onClose={() => setMaking(false)} />}</Suspense>
    </div>
  );
}
