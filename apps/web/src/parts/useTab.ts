import { useSearchParams } from 'react-router';

/** Which of a station’s views is shown, kept in the address; the first one where it names none. */
export function useTab<T extends string>(
  tabs: readonly { readonly id: T }[],
): readonly [shown: T, choose: (id: string) => void] {
  const [search, setSearch] = useSearchParams();
  const first = tabs[0]!.id;
  const shown = tabs.find(({ id }) => id === search.get('show'))?.id ?? first;
  const choose = (id: string) =>
    setSearch(
      (before) => {
        const next = new URLSearchParams(before);
        if (id === first) next.delete('show');
        else next.set('show', id);
        return next;
      },
      { replace: true },
    );
  return [shown, choose];
}
