import type { ReactNode } from 'react';

/** A box to tick, and what it means. */
export function Check({
  checked,
  onChange,
  className = '',
  children,
}: {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly className?: string;
  readonly children: ReactNode;
}) {
  return (
    <label className={`flex min-h-8 items-center gap-1.5 ${className}`}>
      <input
        type="checkbox"
        className="accent-larch"
        checked={checked}
        onChange={(event) => onChange(event.target.checked)}
      />
      {children}
    </label>
  );
}
