import { memo, useCallback, useId, useLayoutEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { LengthDisplay, Result } from '@larchwood/core';
import { useDraft, useUnits, type Draft, type Editor } from '../editor/editor';
import { NOT_HERE, useMayType } from '../door/useMayType';
import { Length } from '../parts/Figure';
import { readerOf, type FieldQuantity } from './quantities';

export interface QuantityFieldProps {
  /** Names the value in the document; what is typed is kept under it. */
  readonly field: string;
  readonly label: string;
  readonly quantity: FieldQuantity;
  readonly value: number;
  /** Takes the value, or says why not. Called while typing, so that the drawing follows each key. */
  readonly onCommit: (value: number) => Result<true>;
  /** What one press of an arrow key adds, where it is not the quantity's own step. */
  readonly nudge?: number;
  readonly digits?: number;
  readonly className?: string;
  readonly showMessage?: boolean;
  /** On the drawing: no unit for a length, as the sheet says it once. */
  readonly compact?: boolean;
  readonly onActive?: (active: boolean) => void;
}

/**
 * A dimension to type or to nudge. Every unit may be typed. What cannot be taken stays in the field with the reason, and
 * comes back with it when the station is opened again; Escape returns to the value before.
 */
export function QuantityField(props: QuantityFieldProps) {
  const units = useUnits();
  const { draft, setDraft, settle } = useDraft(props.field);
  const readOnly = !useMayType(props.field);
  const onCommit = useLatest(props.onCommit);
  const onActive = useLatest(props.onActive ?? nothing);
  return (
    <Field
      {...props}
      onCommit={onCommit}
      onActive={onActive}
      draft={draft}
      readOnly={readOnly}
      units={units}
      setDraft={setDraft}
      settle={settle}
    />
  );
}

const nothing = () => undefined;

/** One function for good that does what the newest one does, so that a new closure alone redraws nothing. */
function useLatest<A extends unknown[], R>(newest: (...given: A) => R): (...given: A) => R {
  const held = useRef(newest);
  useLayoutEffect(() => {
    held.current = newest;
  });
  return useCallback((...given: A) => held.current(...given), []);
}

interface FieldProps extends QuantityFieldProps, Pick<Editor, 'setDraft' | 'settle'> {
  readonly draft: Draft | undefined;
  readonly readOnly: boolean;
  readonly units: LengthDisplay;
}

/** Drawn again only when what it shows changes, so that one edit does not redraw every field of the ledger. */
const Field = memo(function Field({
  field,
  label,
  quantity,
  value,
  onCommit,
  nudge,
  digits,
  className = '',
  showMessage = true,
  compact = false,
  onActive,
  draft,
  readOnly,
  units,
  setDraft,
  settle,
}: FieldProps) {
  const [editing, setEditing] = useState(false);
  const before = useRef(value);
  const entering = useRef(false);
  const input = useRef<HTMLInputElement>(null);
  const messageId = useId();
  const reader = readerOf(quantity, units);
  const { unit, editable } = reader;
  const text = draft?.text ?? (editing ? editable(value) : reader.shown(value, digits ?? 2));
  const message = draft?.message;
  // A field cannot set a fraction as a fraction: until it is entered, the figure stands over it.
  const typeset = !editing && !draft && quantity === 'length' && units.length === 'fraction';

  // Once the field shows its editable text, all of it is selected, so that typing replaces it.
  useLayoutEffect(() => {
    if (editing) input.current?.select();
  }, [editing]);

  const attempt = (typed: string): Result<true> => {
    const parsed = reader.parse(typed);
    return parsed.ok
      ? Math.abs(parsed.value - value) < 1e-9
        ? { ok: true, value: true }
        : onCommit(parsed.value)
      : parsed;
  };
  const type = (typed: string) => {
    attempt(typed);
    setDraft(field, { text: typed });
  };
  const leave = () => {
    setEditing(false);
    entering.current = false;
    onActive?.(false);
    settle();
    if (!draft) return;
    const result = attempt(draft.text);
    setDraft(field, result.ok ? undefined : { text: draft.text, message: result.message });
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (readOnly) return;
    if (event.key === 'Enter') {
      event.currentTarget.select();
      if (draft) {
        const result = attempt(draft.text);
        setDraft(field, result.ok ? undefined : { text: draft.text, message: result.message });
      }
      settle();
    } else if (event.key === 'Escape') {
      // Back to what stood here; the field stays in hand. With nothing to give up, what lies around it is closed.
      const changed = Math.abs(before.current - value) > 1e-9;
      if (!changed && !draft) return;
      event.stopPropagation();
      if (changed) onCommit(before.current);
      setDraft(field, undefined);
      settle();
      requestAnimationFrame(() => input.current?.select());
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      const step = nudge ?? reader.step;
      const size = step * (event.shiftKey ? 10 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
      const next = Math.round((value + size) * 1e6) / 1e6;
      const result = onCommit(next);
      const typed = editable(next);
      // The field in hand gets its text before anything else is redrawn: later, the browser would lay the page out twice.
      if (result.ok && input.current) input.current.value = typed;
      setDraft(field, result.ok ? undefined : { text: typed, message: result.message });
    }
  };

  return (
    <span className={`inline-flex flex-col items-end ${className}`}>
      <span className="inline-flex items-baseline gap-1">
        <span className="relative inline-flex">
          {typeset && (
            <span
              aria-hidden
              className="pointer-events-none absolute inset-y-0 left-0 flex items-center justify-end font-semibold w-full pr-[5px]"
            >
              <Length mm={value} display={units} digits={digits ?? 2} unit={false} />
            </span>
          )}
          <input
            ref={input}
            aria-label={`${label}, ${reader.spoken}`}
            aria-invalid={message !== undefined}
            aria-describedby={message === undefined ? undefined : messageId}
            readOnly={readOnly}
            title={readOnly ? NOT_HERE : undefined}
            inputMode="text"
            autoComplete="off"
            spellCheck={false}
            value={text}
            style={{
              width: `calc(${Math.max(compact ? 2 : 4, text.length * (typeset ? 0.8 : 1))}ch + 10px)`,
            }}
            className={`figure min-w-0 ${compact ? 'min-h-6' : ''} border bg-transparent px-1 text-right font-semibold not-read-only:hover:border-rule focus:border-larch focus:bg-sheet focus:outline-none ${
              message === undefined ? 'border-transparent' : 'border-brick'
            } ${typeset ? 'text-transparent' : ''}`}
            onFocus={() => {
              before.current = value;
              setEditing(true);
              onActive?.(true);
              entering.current = true;
            }}
            onPointerUp={() => {
              // The press that enters a field would leave a caret in the middle of the selected figure.
              if (entering.current) input.current?.select();
              entering.current = false;
            }}
            onChange={(event) => type(event.target.value)}
            onBlur={leave}
            onKeyDown={onKeyDown}
          />
        </span>
        {(!compact || unit === '°') && (
          <span className={`text-left text-[12px] text-quiet ${compact ? '' : 'w-6'}`} aria-hidden>
            {unit}
          </span>
        )}
      </span>
      {showMessage && message !== undefined && (
        <span id={messageId} role="alert" className="w-44 pt-0.5 pr-1 text-right text-[12px] text-brick">
          {message}
        </span>
      )}
    </span>
  );
});
