import { Popover } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import {
  editableAngle,
  editableLength,
  findKind,
  parseAngle,
  parseLength,
  releases,
  stanceOf,
  type BuildDocument,
  type Dimension,
  type Release,
  type Stance,
} from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { Button } from '../parts/Button';
import { Measure } from '../parts/Figure';
import { exchangeHeld, nameInText } from '../stations/stance/hold';

interface Props {
  readonly dimension: Dimension;
  readonly value: number;
  readonly children: ReactNode;
  readonly className?: string;
  readonly label: string;
}

/** A following dimension's peg or figure; pressed, it offers to hold it and asks what is let go for it. */
export function HoldMenu({ dimension, value, children, className = '', label }: Props) {
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
          className="z-40 w-[23rem] border border-ink bg-sheet p-4"
        >
          {open && <LetGo dimension={dimension} value={value} onDone={() => setOpen(false)} />}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const AT_FIRST = 4;

/** Value to hold, and the held dimensions of which one may be let go for it, best first, each with what would become of it. */
export function LetGo({
  dimension,
  value,
  onDone,
}: {
  readonly dimension: Dimension;
  readonly value: number;
  readonly onDone: () => void;
}) {
  const { document, plan, edit, settle } = useEditor();
  const [typed, setTyped] = useState<string>();
  const [all, setAll] = useState(false);
  const [message, setMessage] = useState<string>();
  const kind = findKind(document.kind);
  if (!plan || !kind) return null;
  const isAngle = dimension.quantity === 'angle';
  const unit = isAngle ? '°' : document.units.length === 'mm' ? 'mm' : 'in';
  const shown = typed ?? (isAngle ? editableAngle(value) : editableLength(value, document.units));
  const read =
    typed === undefined ? undefined : isAngle ? parseAngle(typed) : parseLength(typed, document.units.length);
  const wanted = read?.ok ? read.value : value;
  const offered = releases(kind, plan.stance.state, plan.stance.held, dimension.id);
  const take = (letGo: string) => {
    if (read && !read.ok) return setMessage(read.message);
    const result = edit(`exchange.${dimension.id}`, exchangeHeld(dimension.id, wanted, letGo), dimension.id);
    settle();
    if (result.ok) onDone();
    else setMessage(result.message);
  };
  const name = nameInText(kind.id, dimension.id);
  if (offered.length === 0)
    return (
      <p>
        No held dimension can be let go for {name}: it depends on none that may vary. Change what it follows
        from instead.
      </p>
    );
  return (
    <div className="flex flex-col gap-3">
      <label className="flex items-baseline justify-between gap-3">
        <h3 className="font-bold">Hold {name} at</h3>
        <span className="inline-flex items-baseline gap-1">
          <input
            className={`figure w-24 border bg-paper px-2 py-1 text-right font-semibold ${read && !read.ok ? 'border-brick' : 'border-rule'}`}
            aria-label={`Hold ${name} at, ${isAngle ? 'degrees' : unit}`}
            value={shown}
            onFocus={(event) => event.target.select()}
            onChange={(event) => {
              setTyped(event.target.value);
              setMessage(undefined);
            }}
            onKeyDown={(event) => event.key === 'Enter' && take(offered[0]!.id)}
            autoComplete="off"
          />
          <span className="w-5 text-[0.8em] text-quiet">{unit}</span>
        </span>
      </label>
      <div>
        <p className="caption mb-1">One held dimension is let go and follows. Which?</p>
        <ul className="rows border-y border-rule">
          {(all ? offered : offered.slice(0, AT_FIRST)).map((release, index) => (
            <li key={release.id}>
              <button
                type="button"
                className="flex w-full items-baseline justify-between gap-2 px-1 py-1.5 text-left hover:bg-larch-wash"
                onClick={() => take(release.id)}
              >
                <span>
                  Let {nameInText(kind.id, release.id)} go
                  {index === 0 && <span className="caption ml-1.5 text-spruce">usual</span>}
                </span>
                <Preview
                  release={release}
                  dimension={dimension}
                  wanted={wanted}
                  typed={typed !== undefined && Math.abs(wanted - value) > 1e-9}
                  document={document}
                  stance={plan.stance}
                />
              </button>
            </li>
          ))}
        </ul>
        {!all && offered.length > AT_FIRST && (
          <Button look="link" onClick={() => setAll(true)}>
            {offered.length - AT_FIRST} more
          </Button>
        )}
      </div>
      {(message ?? (read && !read.ok ? read.message : undefined)) !== undefined && (
        <p role="alert" className="text-brick">
          {message ?? (read && !read.ok ? read.message : '')}
        </p>
      )}
    </div>
  );
}

interface PreviewProps {
  readonly release: Release;
  readonly dimension: Dimension;
  readonly wanted: number;
  readonly typed: boolean;
  readonly document: BuildDocument;
  readonly stance: Stance;
}

/** What becomes of the dimension that is let go: its value with the one typed, else how it answers to one more. */
function Preview({ release, dimension, wanted, typed, document, stance }: PreviewProps) {
  const other = findKind(document.kind)?.dimensions.find(({ id }) => id === release.id);
  if (!other) return null;
  const figure = (value: number, digits = 1) => (
    <Measure value={value} quantity={other.quantity} display={document.units} digits={digits} />
  );
  if (!typed) {
    const one = dimension.quantity === 'angle' ? '0.1°' : document.units.length === 'mm' ? '1 mm' : '1/32 in';
    const step = dimension.quantity === 'angle' ? 0.1 : document.units.length === 'mm' ? 1 : 25.4 / 32;
    const change = release.perUnit * step;
    return (
      <span className="caption shrink-0">
        +{one} makes it {change > 0 ? '+' : ''}
        {figure(change, 2)}
      </span>
    );
  }
  const result = stanceOf(exchangeHeld(dimension.id, wanted, release.id)(document));
  return (
    <span className="caption shrink-0">
      {figure(stance.values[release.id]!)} becomes{' '}
      {result.ok ? <b className="text-ink">{figure(result.stance.values[release.id]!)}</b> : 'impossible'}
    </span>
  );
}
