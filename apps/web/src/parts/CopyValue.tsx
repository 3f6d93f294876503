import type { ReactNode } from 'react';
import { toast } from 'sonner';

/** A figure that is copied as text by one press. */
export function CopyValue({
  text,
  what,
  children,
  className = '',
}: {
  /** What is put on the clipboard, e.g. `55.7 mm`. */
  readonly text: string;
  readonly what: string;
  readonly children: ReactNode;
  readonly className?: string;
}) {
  const copy = () =>
    navigator.clipboard.writeText(text).then(
      () => toast(`${what}, ${text}: copied.`, { duration: 1800 }),
      () => toast(`${text} could not be copied: the browser does not allow it.`),
    );
  return (
    <button
      type="button"
      title={`Copy ${text}`}
      aria-label={`Copy ${what}, ${text}`}
      className={`border border-transparent text-inherit hover:border-rule ${className}`}
      onClick={(event) => {
        event.stopPropagation();
        void copy();
      }}
    >
      {children}
    </button>
  );
}
