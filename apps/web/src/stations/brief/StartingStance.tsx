import { Check, CornerDownRight, TriangleAlert } from 'lucide-react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import {
  followsBrief,
  planBuild,
  startFromBrief,
  type BriefStart,
  type Kind,
  type Reason,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { differs } from '../../ledger/differs';
import { Group } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Measure } from '../../parts/Figure';
import { Silhouette } from '../../sheet/Silhouette';
import { silhouetteOf } from '../../sheet/silhouetteShape';

/** Where each number of the starting stance comes from, and whether the stance still is what the brief starts. */
export function StartingStance({ kind }: { readonly kind: Kind }) {
  const { build, document, edit, settle } = useEditor('build', 'document', 'edit', 'settle');
  const started = useStart(document);
  const follows = useMemo(() => followsBrief(document), [document]);
  const shape = useMemo(() => {
    if (follows || !started.ok) return undefined;
    const planned = planBuild(started.value.document);
    return planned.ok ? silhouetteOf(planned.plan) : undefined;
  }, [follows, started]);
  if (!started.ok) return <p className="p-4 text-brick">{started.message}</p>;
  const { reasons } = started.value;
  const own = reasons.filter(({ from }) => from !== 'set');
  const usual = reasons.filter(({ from }) => from === 'set');
  const set = kind.startingSets.find(({ id }) => id === document.startingSet);
  const startAgain = () => {
    edit('brief.start', (before) => {
      const again = startFromBrief(before);
      return again.ok ? again.value.document : before;
    });
    settle();
  };
  return (
    <>
      <div className="flex flex-col gap-2 border-b border-rule px-4 py-3">
        {follows ? (
          <p className="flex items-start gap-2">
            <Check size={16} aria-hidden className="mt-0.5 shrink-0 text-spruce" />
            <span>
              The stance is as this brief starts it. Change the brief, and it follows, until you work on it.
            </span>
          </p>
        ) : (
          <>
            <p className="flex items-start gap-2">
              <CornerDownRight size={16} aria-hidden className="mt-0.5 shrink-0 text-larch" />
              <span>
                The stance has been worked on since: {changesText(document, started.value, kind)}. The brief
                leaves it as it is.
              </span>
            </p>
            {shape && (
              <figure className="border border-rule bg-sheet">
                <Silhouette
                  shape={shape}
                  label={`${set?.name ?? document.startingSet}, as this brief would start it`}
                  className="h-32 w-full"
                />
                <figcaption className="caption px-3 pb-1">
                  {set?.name}, as this brief would start it now
                </figcaption>
              </figure>
            )}
            <Button onClick={startAgain}>Start again from the brief</Button>
            <p className="caption">Puts stance, wheels and frame to what is shown; undo brings yours back.</p>
          </>
        )}
        <Link
          to={`/builds/${build.id}/stance`}
          className="self-start font-semibold text-larch-text underline underline-offset-2"
        >
          Go on to the stance
        </Link>
      </div>
      {own.length > 0 && (
        <Group title="From riders and shelf">
          {own.map((reason) => (
            <ReasonRow key={reason.where} reason={reason} start={started.value.document} kind={kind} />
          ))}
        </Group>
      )}
      <Group title={`From the set “${set?.name ?? ''}”: plausible, not rules; common practice, from memory`}>
        {usual.map((reason) => (
          <ReasonRow key={reason.where} reason={reason} start={started.value.document} kind={kind} />
        ))}
      </Group>
    </>
  );
}

/** The start depends on the brief alone, so that work on the stance leaves it. */
function useStart(document: BuildDocument) {
  const { brief, kind, startingSet } = document;
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the rest of the document does not count
  return useMemo(() => startFromBrief(document), [brief, kind, startingSet]);
}

function ReasonRow({
  reason: { where, from, name, note },
  start,
  kind,
}: {
  readonly reason: Reason;
  readonly start: BuildDocument;
  readonly kind: Kind;
}) {
  const dimension = kind.dimensions.find(({ id }) => id === where);
  const value = start.stance.held[where];
  const words = { set: '', rider: `fitted to ${name}`, shelf: name, 'given up': `${name}: not taken` }[from];
  return (
    <div className="px-4 py-[2px]">
      <div className="flex items-baseline justify-between gap-3">
        <span>{dimension?.name ?? (where === 'wheels.front' ? 'Front wheel' : 'Rear wheel')}</span>
        <span className={from === 'set' ? 'text-quiet' : 'font-semibold'}>
          {dimension && value !== undefined && (
            <Measure value={value} quantity={dimension.quantity} display={start.units} digits={2} />
          )}
          {!dimension && <span className="figure">{markingOf(start, where)}</span>}
        </span>
      </div>
      {from !== 'set' && (
        <p className={`text-[12px] ${from === 'given up' ? 'text-brick' : 'text-quiet'}`}>
          {from === 'given up' && <TriangleAlert size={12} aria-hidden className="mr-1 inline" />}
          {words}
          {note !== undefined && `. ${note}`}
        </p>
      )}
    </div>
  );
}

function markingOf({ wheels }: BuildDocument, where: string): string {
  const wheel = wheels[where === 'wheels.front' ? 'front' : 'rear'];
  return wheel.by === 'marking' ? wheel.marking : '';
}

/** What is otherwise than the brief starts it, in words. */
function changesText(document: BuildDocument, start: BriefStart, kind: Kind): string {
  const [now, then] = [document.stance.held, start.document.stance.held];
  const held = kind.dimensions.filter(({ id }) => id in now || id in then);
  const count = held.filter(
    (each) =>
      now[each.id] === undefined ||
      then[each.id] === undefined ||
      differs(each, now[each.id]!, then[each.id]!),
  ).length;
  const wheels = (['front', 'rear'] as const).filter(
    (end) => JSON.stringify(document.wheels[end]) !== JSON.stringify(start.document.wheels[end]),
  );
  const parts = [
    ...(count > 0 ? [`${count} held ${count === 1 ? 'dimension is' : 'dimensions are'} other`] : []),
    ...wheels.map((end) => `the ${end} wheel is another`),
  ];
  return parts.length > 0 ? parts.join(', ') : 'the frame is';
}
