import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Copy, Download, Pencil, Trash2 } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import type { BuildSummary } from '@larchwood/contract';
import { findKind } from '@larchwood/core';
import { builds } from '../api/builds';
import { Button, IconButton } from '../parts/Button';
import { NameField } from '../parts/NameField';
import { Larch } from '../parts/Marks';
import { ThemeButton } from '../parts/ThemeButton';
import { ImportButton } from './ImportButton';

const NewBuildDialog = lazy(() =>
  import('./NewBuildDialog').then((module) => ({ default: module.NewBuildDialog })),
);

/** All builds of the workshop. */
export function WorkshopPage() {
  const [making, setMaking] = useState(false);
  const list = useQuery({ queryKey: ['builds'], queryFn: builds.list });
  return (
    <div className="min-h-full">
      <header className="flex h-11 items-center justify-between border-b-2 border-ink px-4">
        <span className="flex items-center gap-2 text-[17px] font-bold">
          <Larch size={22} /> Larchwood
        </span>
        <ThemeButton />
      </header>
      <main className="mx-auto max-w-4xl px-6 py-8">
        <div className="mb-5 flex flex-wrap items-end justify-between gap-4">
          <h1 className="text-2xl font-bold">Builds</h1>
          <div className="flex gap-3">
            <ImportButton />
            <Button look="strong" onClick={() => setMaking(true)}>
              New build
            </Button>
          </div>
        </div>
        {list.isPending && <p className="text-quiet">Fetching the builds…</p>}
        {list.isError && (
          <p className="text-brick">
            {list.error.message} <Button onClick={() => list.refetch()}>Try again</Button>
          </p>
        )}
        {list.data?.length === 0 && (
          <p className="border border-rule bg-sheet p-8 text-center">
            Nothing here yet. Make a <strong>new build</strong> from a starting set, or open a build file.
          </p>
        )}
        {list.data && list.data.length > 0 && (
          <table className="w-full border-y-2 border-ink bg-sheet">
            <thead>
              <tr className="caption border-b border-rule text-left">
                <th className="py-1.5 pl-4 font-normal">Name</th>
                <th className="font-normal">Kind</th>
                <th className="font-normal">Revision</th>
                <th className="font-normal">Saved</th>
                <th className="pr-4 text-right font-normal">
                  <span className="sr-only">What to do with it</span>
                </th>
              </tr>
            </thead>
            <tbody className="rows">
              {list.data.map((build) => (
                <BuildRow key={build.id} build={build} />
              ))}
            </tbody>
          </table>
        )}
        <p className="caption mt-10 max-w-2xl">
          Not engineering approval. Steering, brakes, suspension and anything on a road: have welds made or
          checked by a qualified welder, and follow the local vehicle code.
        </p>
      </main>
      <Suspense>{making && <NewBuildDialog onClose={() => setMaking(false)} />}</Suspense>
    </div>
  );
}

function BuildRow({ build }: { readonly build: BuildSummary }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [renaming, setRenaming] = useState(false);
  const refresh = () => queries.invalidateQueries({ queryKey: ['builds'] });
  const tell = (error: Error) => toast(`${error.message} Nothing was changed.`);
  const duplicate = useMutation({
    mutationFn: () => builds.duplicate(build.id),
    onSuccess: refresh,
    onError: tell,
  });
  const rename = useMutation({
    mutationFn: (name: string) => builds.rename(build.id, name),
    onSuccess: refresh,
    onError: tell,
  });
  const remove = useMutation({
    mutationFn: () => builds.remove(build.id),
    onSuccess: async () => {
      await refresh();
      toast(`“${build.name}” is deleted.`, {
        duration: 12000,
        action: { label: 'Undo', onClick: () => builds.bringBack(build.id).then(refresh, tell) },
      });
    },
    onError: tell,
  });
  return (
    <tr className="hover:bg-larch-wash" onDoubleClick={() => navigate(`/builds/${build.id}/stance`)}>
      <td className="py-2 pl-4">
        {renaming ? (
          <NameField
            autoFocus
            label={`New name for ${build.name}`}
            name={build.name}
            onName={(name) => rename.mutate(name)}
            onLeave={() => setRenaming(false)}
            className="w-72 border-larch bg-paper"
          />
        ) : (
          <Link to={`/builds/${build.id}/stance`} className="text-[16px] font-bold hover:underline">
            {build.name}
          </Link>
        )}
      </td>
      <td>{findKind(build.kind)?.name ?? build.kind}</td>
      <td className="figure">{build.revision}</td>
      <td className="text-quiet">
        {new Date(build.savedAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' })}
      </td>
      <td className="pr-3">
        <div className="flex justify-end">
          <IconButton name={`Rename ${build.name}`} onClick={() => setRenaming(true)}>
            <Pencil size={16} aria-hidden />
          </IconButton>
          <IconButton name={`Duplicate ${build.name}`} onClick={() => duplicate.mutate()}>
            <Copy size={16} aria-hidden />
          </IconButton>
          <a
            href={builds.exportUrl(build.id)}
            download
            aria-label={`Export ${build.name}`}
            title={`Export ${build.name}`}
            className="inline-flex size-8 items-center justify-center border border-transparent hover:border-rule hover:bg-sheet"
          >
            <Download size={16} aria-hidden />
          </a>
          <IconButton name={`Delete ${build.name}`} onClick={() => remove.mutate()}>
            <Trash2 size={16} aria-hidden />
          </IconButton>
        </div>
      </td>
    </tr>
  );
}
