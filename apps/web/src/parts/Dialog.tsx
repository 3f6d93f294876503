import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import type { ReactNode } from 'react';
import { IconButton } from './Button';

interface Props {
  readonly title: string;
  readonly about?: string;
  readonly open: boolean;
  readonly wide?: boolean;
  /** As large as the window. */
  readonly full?: boolean;
  /** Left out for a dialog that must be answered. */
  readonly onClose?: () => void;
  readonly children: ReactNode;
}

export function Dialog({ title, about, open, wide = false, full = false, onClose, children }: Props) {
  return (
    <Radix.Root open={open} onOpenChange={(next) => !next && onClose?.()}>
      <Radix.Portal>
        <Radix.Overlay className="fixed inset-0 z-40 bg-ink/40 data-[state=open]:animate-none" />
        <Radix.Content
          className={`fixed top-[8vh] left-1/2 z-50 max-h-[86vh] -translate-x-1/2 overflow-auto border-t-4 border-larch bg-sheet p-6 ${full ? 'w-[94vw]' : wide ? 'w-[min(48rem,94vw)]' : 'w-[min(34rem,94vw)]'}`}
          {...(about === undefined ? { 'aria-describedby': undefined } : {})}
        >
          <div className="mb-4 flex items-start justify-between gap-4">
            <div>
              <Radix.Title className="text-lg font-bold">{title}</Radix.Title>
              {about !== undefined && (
                <Radix.Description className="mt-1 text-quiet">{about}</Radix.Description>
              )}
            </div>
            {onClose && (
              <Radix.Close asChild>
                <IconButton name="Close">
                  <X size={18} aria-hidden />
                </IconButton>
              </Radix.Close>
            )}
          </div>
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}
