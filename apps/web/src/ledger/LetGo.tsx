import { useId, useState } from 'react';
import { nameInText, type Dimension, type Release } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { useEditor } from '../editor/editor';
import { Button } from '../parts/Button';
import { Measure } from '../parts/Figure';
import { differs } from './differs';
import { readerOf } from './quantities';
import { useSource, type DimensionSource, type Preview } from './source';

const AT_FIRST = 4;
/** How many other dimensions a preview names. */
const ALSO = 3;

interface Props {
  readonly dimension: Dimension;
  readonly onDone: () => void;
}

/** Value to hold, and the held dimensions of which one may be let go for it, best first, each with what would become of it. */
export function LetGo({ dimension, onDone }: Props) {
  const { document, settle, drafts, setDraft } = useEditor('document', 'settle', 'drafts', 'setDraft');
  const source = useSource();
  const [all, setAll] = useState(false);
  const [message, setMessage] = useState<string>();
  const wrongId = useId();
  const value = source?.values[dimension.id];
  if (!source || value === undefined) return null;
  const { solvable } = source;
  const draft = `hold.${dimension.id}`;
  const typed = drafts[draft]?.text;
  const reader = readerOf(dimension.quantity, document.units);
  const read = typed === undefined ? undefined : reader.parse(typed);
  const wanted = read?.ok ? read.value : value;
  const offered = source.offers(dimension.id);
  const name = nameInText(dimension.name);
  if (offered.length === 0)
    return (
      <p>
        No held dimension can be let go for {name}: it depends on none that may vary. Change what it follows
        from instead.
      </p>
    );
  const take = (letGo: string) => {
    if (read && !read.ok) return;
    const result = source.exchange(dimension.id, wanted, letGo);
    settle();
    if (!result.ok) return setMessage(result.message);
    setDraft(draft, undefined);
    onDone();
  };
  const wrong = read && !read.ok ? read.message : message;
  return (
    <div
      className="flex flex-col gap-3"
      // Escape gives up what was typed; a press beside it keeps it.
      onKeyDown={(event) => event.key === 'Escape' && setDraft(draft, undefined)}
    >
      <label className="flex items-baseline justify-between gap-3">
        <h3 className="font-bold">Hold {name} at</h3>
        <span className="inline-flex items-baseline gap-1">
          <input
            className={`figure w-24 border bg-paper px-2 py-1 text-right font-semibold ${read && !read.ok ? 'border-brick' : 'border-rule'}`}
            aria-label={`Hold ${name} at, ${reader.spoken}`}
            aria-invalid={wrong !== undefined}
            aria-describedby={wrong === undefined ? undefined : wrongId}
            value={typed ?? reader.shown(value, 2)}
            onFocus={(event) => event.target.select()}
            onChange={(event) => {
              setDraft(draft, { text: event.target.value });
              setMessage(undefined);
            }}
            onKeyDown={(event) => event.key === 'Enter' && take(offered[0]!.id)}
            autoComplete="off"
          />
          <span className="w-5 text-[12px] text-quiet">{reader.unit}</span>
        </span>
      </label>
      {wrong !== undefined && (
        <p id={wrongId} role="alert" className="text-brick">
          {wrong}
        </p>
      )}
      <div>
        <p className="caption mb-1">One held dimension is let go and follows. Which?</p>
        <ul className="rows border-y border-rule">
          {(all ? offered : offered.slice(0, AT_FIRST)).map((release, index) => {
            const other = solvable.dimensions.find(({ id }) => id === release.id);
            if (!other) return null;
            return (
              <li key={release.id}>
                <button
                  type="button"
                  className="block w-full px-1 py-1.5 text-left hover:bg-larch-wash"
                  onClick={() => take(release.id)}
                >
                  <span className="flex items-baseline justify-between gap-2">
                    <span>
                      Let {nameInText(other.name)} go
                      {index === 0 && <span className="caption ml-1.5 text-spruce">usual</span>}
                    </span>
                    {!differs(dimension, wanted, value) && (
                      <PerStep release={release} other={other} dimension={dimension} document={document} />
                    )}
                  </span>
                  {differs(dimension, wanted, value) && (
                    <Becomes
                      other={other}
                      source={source}
                      after={source.preview(dimension.id, wanted, release.id)}
                      pinned={dimension.id}
                      document={document}
                    />
                  )}
                </button>
              </li>
            );
          })}
        </ul>
        {!all && offered.length > AT_FIRST && (
          <Button look="link" onClick={() => setAll(true)}>
            {offered.length - AT_FIRST} more
          </Button>
        )}
      </div>
    </div>
  );
}

/** How the dimension that is let go answers to one step more of the held one. */
function PerStep({
  release,
  other,
  dimension,
  document,
}: {
  readonly release: Release;
  readonly other: Dimension;
  readonly dimension: Dimension;
  readonly document: BuildDocument;
}) {
  const { step, shown, unit } = readerOf(dimension.quantity, document.units);
  const change = release.perUnit * step;
  return (
    <span className="caption shrink-0">
      +{shown(step, 2)}
      {unit === '°' ? unit : ` ${unit}`} makes it {change > 0 ? '+' : ''}
      <Measure value={change} quantity={other.quantity} display={document.units} digits={2} />
    </span>
  );
}

/** What becomes of the dimension that is let go, and of the readings that follow with it. */
function Becomes({
  other,
  source: { solvable, values: before, readings },
  after,
  pinned,
  document,
}: {
  readonly other: Dimension;
  readonly source: DimensionSource;
  readonly after: Preview;
  readonly pinned: string;
  readonly document: BuildDocument;
}) {
  if (!after) return <span className="caption block text-brick">No vehicle comes of it.</span>;
  const figure = (dimension: Dimension, values: NonNullable<Preview>) => (
    <Measure
      value={values[dimension.id]!}
      quantity={dimension.quantity}
      display={document.units}
      digits={1}
    />
  );
  const also = readings.flatMap((id) => {
    const dimension = solvable.dimensions.find((each) => each.id === id);
    const moves =
      dimension && id !== pinned && id !== other.id && differs(dimension, after[id]!, before[id]!);
    return moves ? [dimension] : [];
  });
  return (
    <span className="caption block">
      {figure(other, before)} becomes <b className="text-ink">{figure(other, after)}</b>
      {also.slice(0, ALSO).map((dimension) => (
        <span key={dimension.id}>
          ; {nameInText(dimension.name)} {figure(dimension, after)}
        </span>
      ))}
      {also.length > ALSO && '; …'}
    </span>
  );
}
