import { Popover } from 'radix-ui';
import { useState, type ReactNode } from 'react';

interface Props {
  /** What is pressed. */
  readonly trigger: ReactNode;
  readonly label?: string;
  readonly className?: string;
  readonly wide?: string;
  /** Shown while it is open; closed by what it is given. */
  readonly children: (close: () => void) => ReactNode;
}

/** Something to press that opens a small sheet beside it. */
export function Pop({ trigger, label, className = '', wide = 'w-[22rem]', children }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger aria-label={label} title={label} className={className}>
        {trigger}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="left"
          align="start"
          sideOffset={10}
          collisionPadding={12}
          className={`z-40 max-h-[var(--radix-popover-content-available-height)] overflow-y-auto border border-ink bg-sheet p-4 ${wide}`}
        >
          {open && children(() => setOpen(false))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
