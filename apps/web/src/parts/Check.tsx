import type { ReactNode } from 'react';

/** A box to tick, and what it means. */
export function Check({
  checked,
  onChange,
  className = '',
  fixed,
  children,
}: {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly className?: string;
  /** Shown, and not to be changed: why. */
  readonly fixed?: string | undefined;
  readonly children: ReactNode;
}) {
  return (
    <label title={fixed} className={`flex min-h-8 items-center gap-1.5 ${className}`}>
      <input
        type="checkbox"
        className="accent-larch"
        checked={checked}
        disabled={fixed !== undefined}
        onChange={(event) => onChange(event.target.checked)}
      />
      {children}
    </label>
  );
}
