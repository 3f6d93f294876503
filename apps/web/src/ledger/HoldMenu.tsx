import { Popover } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import type { Dimension } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { holdDraft, LetGo } from './LetGo';

interface Props {
  readonly dimension: Dimension;
  readonly value: number;
  readonly children: ReactNode;
  readonly className?: string;
  readonly label: string;
}

/** A following dimension's peg or figure; pressed, it offers to hold it and asks what is let go for it. */
export function HoldMenu({ dimension, value, children, className = '', label }: Props) {
  const { setDraft } = useEditor();
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
          // Escape gives up what was typed; a press beside it keeps it.
          onEscapeKeyDown={() => setDraft(holdDraft(dimension.id), undefined)}
        >
          {open && <LetGo dimension={dimension} value={value} onDone={() => setOpen(false)} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
