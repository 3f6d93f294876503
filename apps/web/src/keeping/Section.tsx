import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { toast } from 'sonner';

/** One thing that is kept or shared. */
export function Section({
  title,
  about,
  children,
}: {
  readonly title: string;
  readonly about: string;
  readonly children: ReactNode;
}) {
  return (
    <section aria-label={title}>
      <h2 className="border-b-2 border-ink pb-1 text-lg font-bold">{title}</h2>
      <p className="mt-2 mb-3 max-w-prose text-quiet">{about}</p>
      {children}
    </section>
  );
}

/** Something done on the server: what became of it is told, and the page is right after it. */
export function useKept<T, V>(run: (value: V) => Promise<T>, said: (done: T) => string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: run,
    onSuccess: (done) => toast(said(done)),
    onError: (error) => toast(error.message),
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: ['keeping'] }),
        queries.invalidateQueries({ queryKey: ['builds'] }),
      ]),
  });
}
