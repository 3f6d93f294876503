import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Check, Copy, Download, Minus, Pencil, Trash2, Triangle } from 'lucide-react';
import { useState } from 'react';
import { useInView } from 'react-intersection-observer';
import { Link } from 'react-router';
import { toast } from 'sonner';
import type { BuildSummary } from '@larchwood/contract';
import { findKind } from '@larchwood/core';
import { builds } from '../api/builds';
import { IconButton } from '../parts/Button';
import { NameField } from '../parts/NameField';
import { Silhouette } from '../sheet/Silhouette';
import { lookOver, type Looked } from './looker';
import { waitingAt } from './waiting';
import { whenInWords } from './when';

const WORD = { settled: 'settled', findings: 'to look at', none: 'not started' } as const;

/** A build on the shelf: its silhouette, what is settled, what waits, and what the next step is. */
export function BuildCard({ build, now }: { readonly build: BuildSummary; readonly now: number }) {
  const [renaming, setRenaming] = useState(false);
  const { ref, inView } = useInView({ rootMargin: '200px' });
  const look = useLook(build, inView);
  const { duplicate, rename, remove } = useActions(build);
  const kind = findKind(build.kind)?.name ?? build.kind;
  return (
    <li ref={ref} className="flex min-w-0 flex-col border border-rule bg-sheet hover:border-ink">
      <Link
        to={`/builds/${build.id}/stance`}
        className="block border-b border-rule bg-paper"
        aria-label={`Open ${build.name}`}
        tabIndex={-1}
      >
        {look.data?.silhouette ? (
          <Silhouette
            shape={look.data.silhouette}
            label={`${build.name}, ${look.data.silhouette.seen === 'side' ? 'from the right' : 'from above'}`}
            className="h-32 w-full"
          />
        ) : (
          <span className="flex h-32 items-center justify-center text-quiet">
            {look.isPending ? 'Looking it over…' : 'It has no shape yet'}
          </span>
        )}
      </Link>
      <div className="flex min-w-0 flex-1 flex-col gap-1 px-3 pt-2 pb-1">
        {renaming ? (
          <NameField
            autoFocus
            label={`New name for ${build.name}`}
            name={build.name}
            onName={(name) => rename.mutate(name)}
            onLeave={() => setRenaming(false)}
            className="w-full border-larch bg-paper"
          />
        ) : (
          <Link to={`/builds/${build.id}/stance`} className="truncate text-[16px] font-bold hover:underline">
            {build.name}
          </Link>
        )}
        <p className="flex justify-between gap-2 text-[13px] text-quiet">
          <span className="truncate">{kind}</span>
          <time
            dateTime={build.savedAt}
            title={new Date(build.savedAt).toLocaleString()}
            className="shrink-0"
          >
            {whenInWords(build.savedAt, now)}
          </time>
        </p>
        {look.data && <Stations build={build} look={look.data} />}
        <div className="mt-auto -mr-2 flex items-center justify-end">
          <span className="caption mr-auto">revision {build.revision}</span>
          <IconButton name={`Rename ${build.name}`} onClick={() => setRenaming(true)}>
            <Pencil size={15} aria-hidden />
          </IconButton>
          <IconButton name={`Duplicate ${build.name}`} onClick={() => duplicate.mutate()}>
            <Copy size={15} aria-hidden />
          </IconButton>
          <a
            href={builds.exportUrl(build.id)}
            download
            aria-label={`Export ${build.name}`}
            title={`Export ${build.name}`}
            className="inline-flex size-8 items-center justify-center border border-transparent hover:border-rule"
          >
            <Download size={15} aria-hidden />
          </a>
          <IconButton name={`Delete ${build.name}`} onClick={() => remove.mutate()}>
            <Trash2 size={15} aria-hidden />
          </IconButton>
        </div>
      </div>
    </li>
  );
}

/** Shape and word for each station, and the next step as a way there. */
function Stations({ build, look }: { readonly build: BuildSummary; readonly look: Looked }) {
  const { stations, next } = waitingAt(look.document, look.seen);
  return (
    <>
      <ul className="flex gap-2" aria-label={`Stations of ${build.name}`}>
        {stations.map(({ id, name, is, count }) => (
          <li
            key={id}
            title={`${name}: ${count > 0 ? `${count} ` : ''}${WORD[is]}`}
            className="flex items-center"
          >
            {is === 'settled' && <Check size={14} aria-hidden className="text-spruce" />}
            {is === 'findings' && <Triangle size={13} aria-hidden className="text-larch" />}
            {is === 'none' && <Minus size={14} aria-hidden className="text-quiet" />}
            <span className="sr-only">
              {name}: {count > 0 ? count : ''} {WORD[is]}
            </span>
          </li>
        ))}
      </ul>
      <Link
        to={`/builds/${build.id}/${next.station}`}
        className="line-clamp-2 text-[13px] text-larch-text underline underline-offset-2"
      >
        {next.words}
      </Link>
    </>
  );
}

/** First what is told at once, then what takes longer; of builds that are seen, or nearly. */
function useLook({ id, revision }: BuildSummary, seen: boolean) {
  const looked = (closely: boolean) => ({
    queryKey: ['look', id, revision, closely],
    queryFn: ({ signal }: { readonly signal: AbortSignal }) => lookOver(id, closely, signal),
    staleTime: Infinity,
  });
  const first = useQuery({ ...looked(false), enabled: seen });
  const closer = useQuery({ ...looked(true), enabled: seen && first.isSuccess });
  return closer.isSuccess ? closer : first;
}

function useActions(build: BuildSummary) {
  const queries = useQueryClient();
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
      // The card is gone: the shelf's head takes the focus.
      document.querySelector<HTMLElement>('#shelf')?.focus();
      toast(`“${build.name}” is deleted.`, {
        duration: 12000,
        action: { label: 'Undo', onClick: () => builds.bringBack(build.id).then(refresh, tell) },
      });
    },
    onError: tell,
  });
  return { duplicate, rename, remove };
}
