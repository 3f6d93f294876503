import { useId } from 'react';
import { failure, success, type Result } from '@larchwood/core';
import { LONGEST } from '@larchwood/format';
import { NOT_HERE, useMayType } from '../door/useMayType';
import { useDraft } from '../editor/editor';

interface Props {
  /** Names the text in the document; what is refused is kept under it. */
  readonly field: string;
  readonly label: string;
  readonly value: string;
  readonly onCommit: (text: string) => Result<true>;
  readonly required?: boolean;
  readonly most?: number;
  readonly placeholder?: string;
  readonly className?: string;
  /** The text says a value in a form of its own: it stays as it is typed until the field is left. */
  readonly parsed?: boolean;
}

/** A line of text, taken as it is typed. What cannot be taken stays in the field with the reason. */
export function TextField({
  field,
  label,
  value,
  onCommit,
  required = false,
  most = LONGEST.name,
  placeholder,
  className = '',
  parsed = false,
}: Props) {
  const { draft, setDraft, settle } = useDraft(field);
  const readOnly = !useMayType(field);
  const messageId = useId();
  const message = draft?.message;
  const type = (text: string) => {
    const result = taken(text, required, most, onCommit);
    setDraft(field, result.ok ? (parsed ? { text } : undefined) : { text, message: result.message });
  };
  const leave = () => {
    if (parsed && draft && message === undefined) setDraft(field, undefined);
    settle();
  };
  return (
    <span className={`inline-flex min-w-0 flex-col ${className}`}>
      <input
        aria-label={label}
        readOnly={readOnly}
        title={readOnly ? NOT_HERE : undefined}
        aria-invalid={message !== undefined}
        aria-describedby={message === undefined ? undefined : messageId}
        className={`min-h-7 w-full border bg-transparent px-1.5 placeholder:text-quiet not-read-only:hover:border-rule focus:border-larch focus:bg-sheet focus:outline-none ${message === undefined ? 'border-transparent' : 'border-brick'}`}
        value={draft?.text ?? value}
        placeholder={placeholder}
        onChange={(event) => type(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          setDraft(field, undefined);
          event.currentTarget.blur();
        }}
        autoComplete="off"
        spellCheck={false}
      />
      {message !== undefined && (
        <span id={messageId} role="alert" className="px-1.5 text-[12px] text-brick">
          {message}
        </span>
      )}
    </span>
  );
}

function taken(text: string, required: boolean, most: number, onCommit: Props['onCommit']): Result<true> {
  if (required && text.trim() === '') return failure('It needs a name.');
  if (text.length > most) return failure(`At most ${most} characters; ${text.length} are typed.`);
  const result = onCommit(text);
  return result.ok ? success(true) : result;
}
