import { useState } from 'react';
import { LONGEST } from '@larchwood/format';

interface Props {
  readonly label: string;
  readonly name: string;
  readonly onName: (name: string) => void;
  /** Left without a change, or given up. */
  readonly onLeave?: () => void;
  readonly autoFocus?: boolean;
  readonly className?: string;
}

/** A build's name, changed where it stands. A name that cannot be stays in the field with the reason; Escape gives it up. */
export function NameField({ label, name, onName, onLeave, autoFocus = false, className = '' }: Props) {
  const [typed, setTyped] = useState<string>();
  const bad = typed !== undefined && (typed.trim() === '' || typed.length > LONGEST.name);
  const take = () => {
    if (bad) return;
    if (typed !== undefined && typed.trim() !== name) onName(typed.trim());
    setTyped(undefined);
    onLeave?.();
  };
  return (
    <span className="inline-flex min-w-0 flex-col">
      <input
        autoFocus={autoFocus}
        aria-label={label}
        aria-invalid={bad}
        className={`border px-1 py-0.5 font-bold ${bad ? 'border-brick' : ''} ${className}`}
        value={typed ?? name}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            // What takes the focus next must not be pressed by the same key.
            event.preventDefault();
            take();
          }
          if (event.key === 'Escape') {
            setTyped(undefined);
            onLeave?.();
          }
        }}
      />
      {bad && (
        <span role="alert" className="text-[12px] text-brick">
          A name has 1 to {LONGEST.name} characters.
        </span>
      )}
    </span>
  );
}
