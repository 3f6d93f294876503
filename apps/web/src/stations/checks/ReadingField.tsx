import { useId } from 'react';
import type { LengthDisplay, Quantity } from '@larchwood/core';
import { useDraft } from '../../editor/editor';
import { readerOf } from '../../ledger/quantities';

interface Props {
  readonly field: string;
  readonly label: string;
  readonly quantity: Quantity;
  readonly display: LengthDisplay;
  readonly value: number | undefined;
  /** Taken when the field is left or Enter is pressed, so that no half of a figure becomes a reading. */
  readonly onRead: (value: number | undefined) => void;
  readonly onFocus?: () => void;
}

/** What a tool reads: empty until it was read, and taken whole. What does not read stays with the reason. */
export function ReadingField({ field, label, quantity, display, value, onRead, onFocus }: Props) {
  const { draft, setDraft } = useDraft(field);
  const messageId = useId();
  const reader = readerOf(quantity, display);
  const shown = value === undefined ? '' : reader.editable(value);
  const message = draft?.message;
  const take = () => {
    if (!draft) return;
    const text = draft.text.trim();
    if (text === '') {
      setDraft(field, undefined);
      if (value !== undefined) onRead(undefined);
      return;
    }
    const parsed = reader.parse(text);
    if (!parsed.ok) return setDraft(field, { text: draft.text, message: parsed.message });
    setDraft(field, undefined);
    if (value === undefined || Math.abs(parsed.value - value) > 1e-9) onRead(parsed.value);
  };
  return (
    <span className="inline-flex flex-col items-end">
      <span className="inline-flex items-baseline gap-1">
        <input
          aria-label={`${label}, ${reader.spoken}`}
          aria-invalid={message !== undefined}
          aria-describedby={message === undefined ? undefined : messageId}
          autoComplete="off"
          spellCheck={false}
          inputMode="text"
          className={`figure min-h-7 w-24 border bg-sheet px-1.5 text-right font-semibold focus:border-larch focus:outline-none ${message === undefined ? 'border-rule' : 'border-brick'}`}
          value={draft?.text ?? shown}
          onChange={(event) => setDraft(field, { text: event.target.value })}
          onFocus={(event) => {
            event.target.select();
            onFocus?.();
          }}
          onBlur={take}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              take();
              nextReading(event.currentTarget)?.focus();
            } else if (event.key === 'Escape') {
              setDraft(field, undefined);
            }
          }}
          data-reading
        />
        <span className="w-5 text-left text-[12px] text-quiet" aria-hidden>
          {reader.unit}
        </span>
      </span>
      {message !== undefined && (
        <span id={messageId} role="alert" className="w-44 pt-0.5 text-right text-[12px] text-brick">
          {message}
        </span>
      )}
    </span>
  );
}

/** Enter goes on to the next reading, so that a list is read down without the mouse. */
function nextReading(input: HTMLInputElement): HTMLInputElement | undefined {
  const all = [...document.querySelectorAll<HTMLInputElement>('[data-reading]')];
  return all[all.indexOf(input) + 1];
}
