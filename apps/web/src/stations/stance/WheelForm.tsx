import { useState, type FormEvent } from 'react';
import {
  failure,
  parseLength,
  rollingWheel,
  success,
  TYRE_TABLE,
  type LengthUnit,
  type Result,
  lengthBothWays,
} from '@larchwood/core';
import { LIMITS, type Limits, type Wheel } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { setWheel } from '../../edits/stance';

const WAYS = [
  { value: 'marking', label: 'By tyre marking' },
  { value: 'diameter', label: 'By measured diameter' },
  { value: 'rollOut', label: 'By roll-out, one turn on the ground' },
];
/** What stands in the form, as typed. */
export interface Typed {
  readonly by: Wheel['by'];
  readonly marking: string;
  readonly size: string;
  readonly width: string;
  readonly sag: string;
}

interface WheelFormProps {
  readonly end: 'front' | 'rear';
  readonly name: string;
  readonly typed: Typed;
  readonly onType: (typed: Typed) => void;
  readonly onDone: () => void;
}

/** How a wheel's radius is come by: from its tyre's marking, or measured. */
export function WheelForm({ end, name, typed, onType, onDone }: WheelFormProps) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const unit = document.units.length;
  const [message, setMessage] = useState<string>();
  const set = (part: Partial<Typed>) => onType({ ...typed, ...part });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const read = wheelFrom(typed, unit);
    const result = read.ok ? edit(`wheels.${end}`, setWheel(end, read.value), `wheels.${end}`) : read;
    settle();
    if (result.ok) onDone();
    else setMessage(result.message);
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-3">
      <h3 className="font-bold">{name}</h3>
      <Choice
        label="How the wheel is known"
        value={typed.by}
        groups={[{ options: WAYS }]}
        onChange={(by) => set({ by: by as Wheel['by'] })}
        className="w-full"
      />
      {typed.by === 'marking' ? (
        <>
          <Choice
            label="Usual markings"
            value={TYRE_TABLE.some(({ markings }) => markings.includes(typed.marking)) ? typed.marking : ''}
            groups={TYRE_TABLE.map(({ name: group, markings }) => ({
              group,
              options: markings.map((marking) => ({ value: marking, label: marking })),
            }))}
            onChange={(marking) => set({ marking })}
            className="w-full"
          />
          <TextRow
            label="Marking on the tyre"
            value={typed.marking}
            onChange={(marking) => set({ marking })}
            hint="37-622, 110/70-17 or 22x7-10"
          />
        </>
      ) : (
        <>
          <TextRow
            label={typed.by === 'diameter' ? 'Outer diameter' : 'One turn on the ground'}
            value={typed.size}
            onChange={(size) => set({ size })}
            hint={unit === 'mm' ? 'mm' : 'in'}
          />
          <TextRow
            label="Tyre width"
            value={typed.width}
            onChange={(width) => set({ width })}
            hint={unit === 'mm' ? 'mm' : 'in'}
          />
        </>
      )}
      <TextRow
        label="Sag of the loaded tyre"
        value={typed.sag}
        onChange={(sag) => set({ sag })}
        hint={unit === 'mm' ? 'mm' : 'in'}
      />
      {message !== undefined && (
        <p role="alert" className="text-brick">
          {message}
        </p>
      )}
      <div className="flex justify-end gap-2">
        <Button look="quiet" onClick={onDone}>
          Leave as it was
        </Button>
        <Button look="strong" type="submit">
          Use this wheel
        </Button>
      </div>
    </form>
  );
}

function TextRow({
  label,
  value,
  onChange,
  hint,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly hint: string;
}) {
  return (
    <label className="flex items-center justify-between gap-2">
      <span>
        {label} <span className="caption block">{hint}</span>
      </span>
      <input
        className="figure w-28 border border-rule bg-paper px-2 py-1 text-right"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        autoComplete="off"
      />
    </label>
  );
}

export function typedFrom(wheel: Wheel, text: (mm: number) => string): Typed {
  return {
    by: wheel.by,
    marking: wheel.by === 'marking' ? wheel.marking : '37-622',
    size:
      wheel.by === 'diameter'
        ? text(wheel.diameter)
        : wheel.by === 'rollOut'
          ? text(wheel.circumference)
          : '',
    width: wheel.by === 'marking' ? '' : text(wheel.width),
    sag: text(wheel.sag),
  };
}

const within = (name: string, value: number, [low, high]: Limits): Result<true> =>
  value >= low && value <= high
    ? success(true)
    : failure(`${name} must lie between ${lengthBothWays(low)} and ${lengthBothWays(high)}.`);

function wheelFrom(typed: Typed, unit: LengthUnit): Result<Wheel> {
  const read = (name: string, text: string): Result<number> => {
    const value = parseLength(text, unit);
    return value.ok ? value : failure(`${name}: ${value.message}`);
  };
  const sag = read('Sag', typed.sag || '0');
  if (!sag.ok) return sag;
  const sagging = within('Sag', sag.value, LIMITS.wheel.sag);
  if (!sagging.ok) return sagging;
  if (typed.by === 'marking')
    return checked({ by: 'marking', marking: typed.marking.trim(), sag: sag.value });
  const size = read(typed.by === 'diameter' ? 'Outer diameter' : 'One turn', typed.size);
  const width = read('Tyre width', typed.width);
  if (!size.ok) return size;
  if (!width.ok) return width;
  const sized = within(
    typed.by === 'diameter' ? 'Outer diameter' : 'One turn',
    size.value,
    LIMITS.wheel[typed.by === 'diameter' ? 'diameter' : 'rollOut'],
  );
  if (!sized.ok) return sized;
  const wide = within('Tyre width', width.value, LIMITS.wheel.width);
  if (!wide.ok) return wide;
  return checked(
    typed.by === 'diameter'
      ? { by: 'diameter', diameter: size.value, width: width.value, sag: sag.value }
      : { by: 'rollOut', circumference: size.value, width: width.value, sag: sag.value },
  );
}

function checked(wheel: Wheel): Result<Wheel> {
  const rolling = rollingWheel(wheel);
  return rolling.ok ? success(wheel) : rolling;
}
