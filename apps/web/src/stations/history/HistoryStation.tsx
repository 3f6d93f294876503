import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { planBuild } from '@larchwood/core';
import { LONGEST } from '@larchwood/format';
import { builds } from '../../api/builds';
import { useEditor } from '../../editor/editor';
import { Panel } from '../../ledger/Panel';
import { Button } from '../../parts/Button';

/** Every save, newest first: compare the present build with one, or bring one back. */
export function HistoryStation() {
  const { build, save, compared, compareWith, replace } = useEditor(
    'build',
    'save',
    'compared',
    'compareWith',
    'replace',
  );
  const list = useQuery({ queryKey: ['revisions', build.id], queryFn: () => builds.revisions(build.id) });
  const tell = (error: unknown) =>
    toast(`${error instanceof Error ? error.message : 'That did not work.'} Nothing was changed.`);
  const compare = async (number: number) => {
    const planned = planBuild((await builds.revision(build.id, number)).document);
    if (planned.ok) compareWith({ label: `revision ${number}`, plan: planned.plan });
    else toast(`Revision ${number} has no shape to compare with.`);
  };
  const bringBack = async (number: number) => replace(await builds.restore(build.id, number));
  return (
    <>
      <div className="min-h-0 min-w-0 flex-1 overflow-y-auto bg-sheet px-6 py-4">
        <h2 className="mb-1 text-lg font-bold">History</h2>
        <p className="mb-4 max-w-2xl text-quiet">
          Every save is a revision and stays. The one compared with is drawn dashed on the stance, and the
          readings show the change against it.
        </p>
        {list.isPending && <p className="text-quiet">Fetching the revisions…</p>}
        {list.isError && <p className="text-brick">{list.error.message}</p>}
        {list.data && (
          <table className="w-full max-w-3xl border-y-2 border-ink">
            <thead>
              <tr className="caption border-b border-rule text-left">
                <th className="py-1 font-normal">Revision</th>
                <th className="font-normal">Saved</th>
                <th className="font-normal">What it was</th>
                <th className="font-normal">
                  <span className="sr-only">What to do with it</span>
                </th>
              </tr>
            </thead>
            <tbody className="rows">
              {list.data.map(({ revision, savedAt, reason }) => {
                const isCompared = compared?.label === `revision ${revision}`;
                return (
                  <tr key={revision} className={isCompared ? 'bg-larch-wash' : ''}>
                    <td className="figure py-1.5 pl-2 font-semibold">{revision}</td>
                    <td className="text-quiet">
                      {new Date(savedAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'medium' })}
                    </td>
                    <td>
                      {reason}
                      {revision === build.revision && <span className="caption"> (the present one)</span>}
                    </td>
                    <td className="flex justify-end gap-2 py-1">
                      <Button
                        look="quiet"
                        disabled={isCompared}
                        onClick={() => void compare(revision).catch(tell)}
                      >
                        {isCompared ? 'Compared with' : 'Compare'}
                      </Button>
                      <Button
                        look="quiet"
                        disabled={revision === build.revision || save.is !== 'saved'}
                        onClick={() => void bringBack(revision).catch(tell)}
                      >
                        Bring back
                      </Button>
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
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
