import type { ReactNode } from 'react';

/** The ledger's column: a head that stays, and rows that scroll. */
export function Panel({
  title,
  aside,
  children,
}: {
  readonly title: string;
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <aside
      aria-label={title}
      className="flex min-h-0 w-[322px] shrink-0 flex-col contain-content border-l border-rule max-[900px]:w-full max-[900px]:border-t max-[900px]:border-l-0 print:contain-none"
    >
      <div className="flex h-10 shrink-0 items-center justify-between gap-2 border-b border-rule px-4">
        <h2 className="font-bold">{title}</h2>
        <div className="caption">{aside}</div>
      </div>
      {/* Focusable, so that the keyboard can scroll it. */}
      <div className="min-h-0 flex-1 overflow-y-auto" tabIndex={0} role="group" aria-label={`${title}, rows`}>
        {children}
      </div>
    </aside>
  );
}

export function Group({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <section className="border-b border-rule pb-1.5">
      <h3 className="caption px-4 pt-2 pb-0.5">{title}</h3>
      {children}
    </section>
  );
}

/** A plain row of the ledger: name on the left, anything on the right. */
export function Row({ name, children }: { readonly name: ReactNode; readonly children: ReactNode }) {
  return (
    <div className="flex min-h-[27px] items-center justify-between gap-3 px-4 py-[1px]">
      <span className="min-w-0">{name}</span>
      <span className="flex min-w-0 items-center justify-end">{children}</span>
    </div>
  );
}
