import { Popover } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import type { Dimension } from '@larchwood/core';
import { LetGo } from './LetGo';

interface Props {
  readonly dimension: Dimension;
  readonly children: ReactNode;
  readonly className?: string;
  readonly label: string;
}

/** A following dimension's peg or figure; pressed, it offers to hold it and asks what is let go for it. */
export function HoldMenu({ dimension, children, className = '', label }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger aria-label={label} title={label} className={className}>
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="left"
          align="start"
          sideOffset={10}
          collisionPadding={12}
          className="z-40 w-[24rem] border border-ink bg-sheet p-4"
        >
          {open && <LetGo dimension={dimension} onDone={() => setOpen(false)} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
