import type { NotUnderstood } from '@larchwood/core';

/** What of a file was not understood, each with its place. */
export function NotUnderstoodList({ not }: { readonly not: readonly NotUnderstood[] }) {
  if (not.length === 0) return null;
  return (
    <section className="px-4 py-3">
      <h2 className="pb-1 font-bold">Not understood</h2>
      <ul className="border-l-4 border-larch pl-3">
        {not.map(({ where, why }) => (
          <li key={where} className="py-0.5">
            <strong>{where}</strong>: {why}
          </li>
        ))}
      </ul>
    </section>
  );
}
