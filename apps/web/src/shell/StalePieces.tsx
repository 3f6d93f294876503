import { TriangleAlert } from 'lucide-react';
import { findingText } from '@larchwood/core';
import { useMayChange } from '../door/useMayType';
import { useEditor } from '../editor/editor';
import { remedyOf } from '../ledger/remedies';
import { Button } from '../parts/Button';

/** Stations before the tubes have no pieces to be out of date; Steering itself says it among its findings. */
const WITHOUT_PIECES: ReadonlySet<string> = new Set(['Brief', 'Stance', 'Seat', 'Steering', 'Log']);

/** Wherever pieces are looked at, cut or set: that some were made for a linkage that has changed since, and the cure. */
export function StalePieces({ station }: { readonly station: string | undefined }) {
  const { plan, document, edit, settle } = useEditor('plan', 'document', 'edit', 'settle');
  const may = useMayChange();
  const stale = plan?.findings.find(({ code }) => code === 'steering-part-stale');
  if (!stale || station === undefined || WITHOUT_PIECES.has(station)) return null;
  const remedy = remedyOf(stale)!;
  const { title, text } = findingText(stale, document.units);
  return (
    <div
      role="status"
      className="flex min-h-9 shrink-0 flex-wrap items-center gap-x-3 border-b border-larch bg-larch-wash px-4 py-1 print:hidden"
    >
      <TriangleAlert size={15} aria-hidden className="shrink-0 text-larch-text" />
      <span>
        <b>{title}.</b> {text}
      </span>
      {may && (
        <Button
          look="link"
          onClick={() => {
            edit('remedy.steering-part-stale', remedy.change);
            settle();
          }}
        >
          {remedy.name}
        </Button>
      )}
    </div>
  );
}
