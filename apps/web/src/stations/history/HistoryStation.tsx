import { useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { planBuild } from '@larchwood/core';
import { LONGEST } from '@larchwood/format';
import type { MarkRevisionRequest } from '@larchwood/contract';
import { builds } from '../../api/builds';
import { usePages } from '../../api/usePages';
import { useEditor } from '../../editor/editor';
import { Panel } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { RevisionRow } from './RevisionRow';

/** Every sitting and every save of another reason, newest first: compare the present build with one, or bring one back. */
export function HistoryStation() {
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
    const planned = planBuild((await builds.revision(build.id, number)).document);
    if (!planned.ok) return toast(`Revision ${number} has no shape to compare with.`);
    compareWith({ label: `revision ${number}`, plan: planned.plan });
    return mark(number, { usedFor: 'compared with' });
  };
  const bringBack = async (number: number) => replace(await builds.restore(build.id, number));
  return (
    <>
      <div className="min-h-0 min-w-0 flex-1 overflow-y-auto bg-sheet px-6 py-4">
        <h2 className="mb-1 text-lg font-bold">History</h2>
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
              {list.entries.map((revision) => (
                <RevisionRow
                  key={revision.revision}
                  revision={revision}
                  isNewest={revision.revision === build.revision}
                  isCompared={compared?.label === `revision ${revision.revision}`}
                  mayReplace={save.is === 'saved'}
                  onCompare={() => void compare(revision.revision).catch(tell)}
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
