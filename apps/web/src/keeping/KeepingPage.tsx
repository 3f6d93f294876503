import { useQuery } from '@tanstack/react-query';
import { useStore } from 'zustand';
import { Link } from 'react-router';
import { workshop } from '../api/workshop';
import { doorStore } from '../api/doorStore';
import { Button } from '../parts/Button';
import { Larch } from '../parts/Marks';
import { ThemeButton } from '../parts/ThemeButton';
import { AtWork } from './AtWork';
import { Backups } from './Backups';
import { Network } from './Network';
import { OldRevisions } from './OldRevisions';
import { WholeWorkshop } from './WholeWorkshop';

/** How the workshop's file is kept, and who may come in. */
export function KeepingPage() {
  const keeping = useQuery({ queryKey: ['keeping'], queryFn: workshop.keeping });
  const role = useStore(doorStore, (state) => state.role);
  return (
    <div className="min-h-full">
      <header className="flex h-11 items-center justify-between border-b-2 border-ink px-4">
        <Link
          to="/"
          className="flex items-center gap-2 text-[17px] font-bold"
          aria-label="Larchwood: to the workshop"
        >
          <Larch size={22} /> Larchwood
        </Link>
        <span className="flex items-center gap-4">
          <Link to="/" className="font-semibold underline-offset-2 hover:underline">
            Builds
          </Link>
          <ThemeButton />
        </span>
      </header>
      <main className="mx-auto max-w-5xl px-6 py-5">
        <h1 className="mb-4 text-2xl font-bold">Keeping and sharing</h1>
        {keeping.isPending && <p className="text-quiet">Fetching…</p>}
        {keeping.isError && (
          <p className="text-brick">
            {keeping.error.message} <Button onClick={() => keeping.refetch()}>Try again</Button>
          </p>
        )}
        {role === 'bench' && (
          <p className="mb-4 border border-rule bg-sheet px-4 py-2">
            You are in with the bench’s passcode: you can look. A builder’s passcode changes what is here.
          </p>
        )}
        {keeping.data && (
          <div className="grid grid-cols-2 gap-x-10 gap-y-8 max-[900px]:grid-cols-1">
            <Backups backups={keeping.data.backups} />
            <Network keeping={keeping.data} />
            <WholeWorkshop />
            <div className="flex flex-col gap-8">
              <AtWork />
              <OldRevisions thinning={keeping.data.thinning} />
            </div>
          </div>
        )}
      </main>
    </div>
  );
}
