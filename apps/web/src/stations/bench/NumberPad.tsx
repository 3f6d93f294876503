import { Delete } from 'lucide-react';
import { useState } from 'react';
import { useDraft } from '../../editor/editor';
import { Dialog } from '../../parts/Dialog';
import { readerOf } from '../../ledger/quantities';
import type { LengthDisplay, Quantity } from '@larchwood/core';

interface Props {
  /** Names the value; what is typed is kept under it until it is taken. */
  readonly field: string;
  readonly title: string;
  readonly quantity: Quantity;
  readonly display: LengthDisplay;
  readonly onValue: (value: number) => void;
  readonly onClose: () => void;
}

const KEYS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', '−'] as const;
const FRACTIONS = ['1/2', '1/4', '3/4', '1/8', '3/8', '5/8', '7/8', '1/16', '1/32'] as const;

/** A reading put in by large keys: works with a glove, and in fractions. */
export function NumberPad({ field, title, quantity, display, onValue, onClose }: Props) {
  const { draft, setDraft } = useDraft(field);
  const text = draft?.text ?? '';
  const setText = (next: (before: string) => string) => {
    const typed = next(text);
    setDraft(field, typed === '' ? undefined : { text: typed });
  };
  const [message, setMessage] = useState<string>();
  const reader = readerOf(quantity === 'angle' ? 'angle' : 'length', display);
  const press = (key: string) => {
    setMessage(undefined);
    setText((before) =>
      key === '−' ? (before.startsWith('−') ? before.slice(1) : `−${before}`) : before + key,
    );
  };
  const fraction = (key: string) => {
    setMessage(undefined);
    setText((before) => `${before.replace(/\s*\d+\/\d+$/, '').trimEnd()} ${key}`.trimStart());
  };
  const take = () => {
    const result = reader.parse(text.replace('−', '-'));
    if (!result.ok) return setMessage(result.message);
    setDraft(field, undefined);
    onValue(result.value);
  };
  const key = 'min-h-14 border border-rule bg-paper text-[22px] font-semibold active:bg-larch-wash';
  return (
    <Dialog title={title} open onClose={onClose}>
      <output
        aria-label="Typed so far"
        className="figure mb-2 flex min-h-14 items-center justify-end border-b-2 border-ink px-3 text-[30px] font-bold"
      >
        {text === '' ? '0' : text}
        <span className="ml-2 font-sans text-[16px] font-normal text-quiet">{reader.unit}</span>
      </output>
      {message !== undefined && (
        <p role="alert" className="pb-2 text-brick">
          {message}
        </p>
      )}
      {quantity !== 'angle' && display.length === 'fraction' && (
        <div className="mb-2 grid grid-cols-5 gap-1.5">
          {FRACTIONS.map((each) => (
            <button
              key={each}
              type="button"
              className={`${key} !min-h-11 !text-[16px]`}
              onClick={() => fraction(each)}
            >
              {each}
            </button>
          ))}
        </div>
      )}
      <div className="grid grid-cols-3 gap-1.5">
        {KEYS.map((each) => (
          <button key={each} type="button" className={key} onClick={() => press(each)}>
            {each}
          </button>
        ))}
        <button
          type="button"
          aria-label="Take the last figure away"
          className={`${key} inline-flex items-center justify-center`}
          onClick={() => {
            setMessage(undefined);
            setText((before) => before.replace(/(\s*\d+\/\d+|.)$/, ''));
          }}
        >
          <Delete size={24} aria-hidden />
        </button>
        <button
          type="button"
          className={`${key} col-span-2 !border-ink !bg-ink text-paper`}
          onClick={take}
          disabled={text === ''}
        >
          Found
        </button>
      </div>
    </Dialog>
  );
}
