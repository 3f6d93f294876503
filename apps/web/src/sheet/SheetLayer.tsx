import type { ReactNode } from 'react';
import type { View } from './view';

/** Lines over the whole of a sheet that are nothing to press. */
export function SheetLayer({ view, children }: { readonly view: View; readonly children: ReactNode }) {
  return (
    <svg width={view.width} height={view.height} className="pointer-events-none absolute inset-0" aria-hidden>
      {children}
    </svg>
  );
}
