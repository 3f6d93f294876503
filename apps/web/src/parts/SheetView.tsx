import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import type { Drawing } from '@larchwood/outputs';
import { IconButton } from './Button';
import { Dialog } from './Dialog';
import { DrawingView } from './DrawingView';

/** Sizes in which a sheet can be read: parts of its full size; nothing for as large as fits. */
const ZOOMS = [undefined, 1, 1.5, 2, 3] as const;

/** A sheet, or a wrap, that opens large when it is pressed. */
export function SheetView({
  drawing,
  title,
  className = '',
}: {
  readonly drawing: Drawing;
  readonly title: string;
  readonly className?: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className={`block cursor-zoom-in bg-white ${className}`}
        aria-label={`${title}: enlarge`}
        title="Enlarge"
        onClick={() => setOpen(true)}
      >
        <DrawingView drawing={drawing} title={title} className="size-full" />
      </button>
      {open && <Enlarged drawing={drawing} title={title} onClose={() => setOpen(false)} />}
    </>
  );
}

function Enlarged({
  drawing,
  title,
  onClose,
}: {
  readonly drawing: Drawing;
  readonly title: string;
  readonly onClose: () => void;
}) {
  const [step, setStep] = useState(0);
  const zoom = ZOOMS[step];
  return (
    <Dialog open title={title} full onClose={onClose}>
      <div className="mb-2 flex items-center gap-2">
        <IconButton name="Smaller" disabled={step === 0} onClick={() => setStep(step - 1)}>
          <Minus size={16} aria-hidden />
        </IconButton>
        <IconButton name="Larger" disabled={step === ZOOMS.length - 1} onClick={() => setStep(step + 1)}>
          <Plus size={16} aria-hidden />
        </IconButton>
        <span className="text-quiet" role="status">
          {zoom === undefined
            ? 'The whole sheet'
            : zoom === 1
              ? 'About full size'
              : `About ${zoom} times full size`}
        </span>
      </div>
      <div
        className="h-[calc(86vh-9rem)] overflow-auto border border-rule bg-white"
        tabIndex={0}
        role="group"
        aria-label={`${title}, large`}
      >
        <div
          className={zoom === undefined ? 'size-full' : ''}
          style={
            zoom === undefined
              ? undefined
              : { width: `${drawing.width * zoom}mm`, height: `${drawing.height * zoom}mm` }
          }
        >
          <DrawingView drawing={drawing} title={title} className="size-full" />
        </div>
      </div>
    </Dialog>
  );
}
