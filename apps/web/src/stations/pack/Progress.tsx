import type { Packing } from '../../files/useFiles';
import { Button } from '../../parts/Button';

/** Files on their way: which is made, how many are, and a way to call it off. */
export function Progress({
  packing: { making, cancel },
  what,
}: {
  readonly packing: Packing;
  readonly what: string;
}) {
  const step = making?.step ?? 0;
  const of = making?.of ?? 1;
  return (
    <div className="flex flex-col gap-2">
      <div
        role="progressbar"
        aria-label={what}
        aria-valuemin={0}
        aria-valuenow={step}
        aria-valuemax={of}
        className="h-2 border border-ink bg-sheet"
      >
        <div className="h-full bg-spruce" style={{ width: `${(100 * step) / of}%` }} />
      </div>
      <p className="flex items-baseline justify-between gap-3 text-[13.5px]" aria-live="polite">
        <span className="min-w-0">{making?.title ?? 'Beginning…'}</span>
        <span className="figure shrink-0 text-quiet">
          {step} of {of}
        </span>
      </p>
      <Button onClick={cancel}>Cancel</Button>
    </div>
  );
}
