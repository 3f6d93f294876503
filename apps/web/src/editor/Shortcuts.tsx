import { Keyboard } from 'lucide-react';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { IconButton } from '../parts/Button';
import { Dialog } from '../parts/Dialog';

const SHORTCUTS: readonly (readonly [keys: string, what: string])[] = [
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z, Ctrl Y', 'Redo'],
  ['↑ ↓ in a figure', 'One step more or less; with Shift, ten'],
  ['Enter in a figure', 'Take what was typed'],
  ['Escape in a figure', 'Back to what stood there when you came'],
  ['← ↑ → ↓ on a point or a mass', 'Move it; with Shift, ten times as far'],
  ['Shift and a press on a tube', 'Take one more tube in hand'],
  ['Escape', 'Close what is open'],
  ['?', 'This list'],
];

/** The keys that do something, listed on `?` or by the button. */
export function Shortcuts() {
  const [open, setOpen] = useState(false);
  useHotkeys('shift+slash, ?', () => setOpen(true), { useKey: true });
  return (
    <>
      <IconButton name="Keyboard shortcuts" className="max-[640px]:hidden" onClick={() => setOpen(true)}>
        <Keyboard size={17} aria-hidden />
      </IconButton>
      {open && (
        <Dialog open title="Keyboard shortcuts" onClose={() => setOpen(false)}>
          <dl className="rows border-y border-rule">
            {SHORTCUTS.map(([keys, what]) => (
              <div key={keys} className="flex justify-between gap-6 py-1.5">
                <dt className="figure">{keys}</dt>
                <dd className="text-right">{what}</dd>
              </div>
            ))}
          </dl>
        </Dialog>
      )}
    </>
  );
}
