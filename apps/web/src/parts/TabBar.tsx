import { Tabs } from 'radix-ui';
import type { ReactNode } from 'react';

/** What a station can show, as tabs over it, and anything at their right. */
export function TabBar({
  tabs,
  children,
}: {
  readonly tabs: readonly { readonly id: string; readonly tab: string }[];
  readonly children?: ReactNode;
}) {
  return (
    <div className="flex min-h-10 shrink-0 flex-wrap print:hidden items-center justify-between gap-x-4 border-b border-rule pr-3">
      <Tabs.List aria-label="What is shown" className="flex flex-wrap">
        {tabs.map(({ id, tab }) => (
          <Tabs.Trigger
            key={id}
            value={id}
            className="h-10 border-b-2 border-transparent px-3.5 text-quiet hover:text-ink data-[state=active]:border-larch data-[state=active]:font-bold data-[state=active]:text-ink"
          >
            {tab}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      {children}
    </div>
  );
}
