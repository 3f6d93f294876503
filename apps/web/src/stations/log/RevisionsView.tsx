import { useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { findKind, formatAngle, formatLength, nameInText, planBuild } from '@larchwood/core';
import { changesBetween, LONGEST, type BuildDocument } from '@larchwood/format';
import type { MarkRevisionRequest } from '@larchwood/contract';
import { builds } from '../../api/builds';
import { usePages } from '../../api/usePages';
import { useEditor } from '../../editor/editor';
import { changedInWords } from '../../editor/partNames';
import { Panel } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { RevisionRow } from './RevisionRow';

/** Every sitting and every save of another reason, newest first: compare the present build with one, or bring one back. */
export function RevisionsView() {
  const { build, save, compared, compareWith, replace } = useEditor(
    'build',
    'save',
    'compared',
    'compareWith',
    'replace',
  );
  const queries = useQueryClient();
  const list = usePages(['revisions', build.id], (from) => builds.revisions(build.id, from));
  const tell = (error: unknown) =>
    toast(`${error instanceof Error ? error.message : 'That did not work.'} Nothing was changed.`);
  const mark = async (number: number, marked: MarkRevisionRequest) => {
    await builds.mark(build.id, number, marked);
    await queries.invalidateQueries({ queryKey: ['revisions', build.id] });
  };
  const compare = async (number: number) => {
    const { document } = await builds.revision(build.id, number);
    const planned = planBuild(document);
    if (!planned.ok) return toast(`Revision ${number} has no shape to compare with.`);
    compareWith({ label: `revision ${number}`, document, plan: planned.plan });
    return mark(number, { usedFor: 'compared with' });
  };
  /** Against the revision that stands before it in the list: those between were folded away. */
  const changedIn = async (number: number, before = number - 1): Promise<string> => {
    try {
      const [is, was] = await Promise.all([
        builds.revision(build.id, number),
        builds.revision(build.id, before),
      ]);
      return `Changed: ${changedInWords(changesBetween(was.document, is.document))}${dimensionsChanged(was.document, is.document)}.`;
    } catch {
      return 'The revision before it is kept no longer.';
    }
  };
  const bringBack = async (number: number) => replace(await builds.restore(build.id, number));
  return (
    <>
      <div className="min-h-0 min-w-0 flex-1 overflow-y-auto bg-sheet px-6 py-4">
        <h2 className="mb-1 text-lg font-bold">Revisions</h2>
        <p className="mb-4 max-w-2xl text-quiet">
          What is saved in one sitting is one revision. Named ones, and those that were printed from or
          compared with, stay for good. The one compared with is drawn dashed on the stance, and the readings
          show the change against it.
        </p>
        {list.isPending && <p className="text-quiet">Fetching the revisions…</p>}
        {list.isError && <p className="text-brick">{list.error.message}</p>}
        {list.entries && (
          <table className="w-full max-w-4xl border-y-2 border-ink">
            <thead>
              <tr className="caption border-b border-rule text-left">
                <th className="py-1 pr-4 font-normal">Revision</th>
                <th className="font-normal">Saved</th>
                <th className="font-normal">What it was</th>
                <th className="font-normal">
                  <span className="sr-only">What to do with it</span>
                </th>
              </tr>
            </thead>
            <tbody className="rows">
              {list.entries.map((revision, index, all) => (
                <RevisionRow
                  key={revision.revision}
                  revision={revision}
                  isNewest={revision.revision === build.revision}
                  isCompared={compared?.label === `revision ${revision.revision}`}
                  mayReplace={save.is === 'saved'}
                  onCompare={() => void compare(revision.revision).catch(tell)}
                  onChanged={() => changedIn(revision.revision, all[index + 1]?.revision)}
                  onBringBack={() => void bringBack(revision.revision).catch(tell)}
                  onName={(name) => void mark(revision.revision, { name }).catch(tell)}
                />
              ))}
            </tbody>
          </table>
        )}
        {list.hasNextPage && (
          <Button className="mt-3" disabled={list.isFetching} onClick={() => void list.fetchNextPage()}>
            {list.isFetching ? 'Fetching…' : 'Show older ones'}
          </Button>
        )}
      </div>
      <Panel title="Notes" aside="saved with the build">
        <Notes />
      </Panel>
    </>
  );
}

/** Held dimensions that were changed, with their values before and after. */
function dimensionsChanged(was: BuildDocument, is: BuildDocument): string {
  const said = (id: string, value: number | undefined): string => {
    if (value === undefined) return 'let go';
    return findKind(is.kind)?.dimensions.find((each) => each.id === id)?.quantity === 'angle'
      ? formatAngle(value, 1)
      : formatLength(value, is.units);
  };
  const ids = new Set([...Object.keys(was.stance.held), ...Object.keys(is.stance.held)]);
  const changed = [...ids].filter((id) => was.stance.held[id] !== is.stance.held[id]);
  const named = changed.slice(0, 6).map((id) => {
    const name = findKind(is.kind)?.dimensions.find((each) => each.id === id)?.name ?? id;
    return `${nameInText(name)} ${said(id, was.stance.held[id])} to ${said(id, is.stance.held[id])}`;
  });
  const more = changed.length - named.length;
  return named.length === 0 ? '' : `: ${named.join(', ')}${more > 0 ? `, and ${more} more` : ''}`;
}

/** What the builder wants to remember about this build; part of the document. */
function Notes() {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  return (
    <textarea
      aria-label="Notes about this build"
      className="block min-h-72 w-full resize-y bg-transparent px-4 py-3 leading-relaxed focus:bg-sheet"
      placeholder="What it is for, who rides it, what is on the shelf, what to watch."
      maxLength={LONGEST.notes}
      value={document.notes}
      onChange={(event) => edit('notes', (before) => ({ ...before, notes: event.target.value }))}
      onBlur={settle}
    />
  );
}
