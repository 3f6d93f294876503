import { Fragment, useMemo, useState } from 'react';
import {
  bySetting,
  closedBy,
  formatAngle,
  jobsOf,
  toolJobs,
  type Plan,
  type ToolAnswer,
  type ToolJob,
} from '@larchwood/core';
import { useEditor } from '../../../editor/editor';
import { OutputButton } from '../../../files/OutputButton';
import { Group, Panel } from '../../../ledger/Panel';
import { Choice } from '../../../parts/Choice';
import { Length } from '../../../parts/Figure';
import { HEAD_ROW } from '../../../parts/tables';
import { useShop } from '../../../lists/useShop';
import { NO_CUTS } from '../../../edits/cuts';
import { DieList } from './DieList';
import { OneSetUp } from './OneSetUp';
import { ToolList } from './ToolList';

/** Every end and hole with the tool that makes it and what is set on it, piece by piece or setting by setting. */
export function ToolsView({ plan }: { readonly plan: Plan }) {
  const hand = useShop();
  const [order, setOrder] = useState<'piece' | 'setting'>('piece');
  const [jobId, setJobId] = useState<string>();
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const twins = document.cuts?.twins ?? 'each';
  const { cuts } = document;
  const jobs = useMemo(() => jobsOf(plan.frame, plan.cuts, plan.holes, cuts ? { cuts } : {}), [plan, cuts]);
  const all = useMemo(() => toolJobs(jobs, hand.shop), [jobs, hand.shop]);
  const groups = order === 'piece' ? byPiece(all) : bySetting(all);
  const chosen = all.find(({ job }) => job.id === jobId);
  return (
    <>
      <div
        className="flex min-h-0 min-w-0 flex-1 flex-col overflow-auto bg-sheet"
        tabIndex={0}
        role="group"
        aria-label="Tools"
      >
        <div className="flex min-h-11 flex-wrap items-center gap-3 border-b border-rule px-4 py-1">
          <Choice
            label="Order"
            value={order}
            groups={[
              {
                options: [
                  { value: 'piece', label: 'piece by piece' },
                  { value: 'setting', label: 'setting by setting' },
                ],
              },
            ]}
            onChange={(next) => setOrder(next as 'piece' | 'setting')}
          />
          <Choice
            label="Pairs"
            value={twins}
            groups={[
              {
                options: [
                  { value: 'each', label: 'each of a pair by its settings' },
                  { value: 'template', label: 'the second after the first' },
                ],
              },
            ]}
            onChange={(next) => {
              edit('twins', (before) => ({
                ...before,
                cuts: { ...(before.cuts ?? NO_CUTS), twins: next as 'each' | 'template' },
              }));
              settle();
            }}
          />
          <OutputButton id="tool-settings" />
        </div>
        <table className="w-full border-collapse text-[13.5px]">
          <caption className="sr-only">What is set on which tool</caption>
          <thead className="sticky top-0 z-10 bg-sheet">
            <tr className={HEAD_ROW}>
              <th className="!pl-4 text-left">Piece</th>
              <th className="text-left">What</th>
              <th className="text-left">Tool</th>
              <th>Set it to</th>
              <th>Cutter</th>
              <th>Gap left</th>
              <th className="!pr-4">Turns a minute</th>
            </tr>
          </thead>
          {groups.map((group, index) => (
            <tbody key={index} className="border-b border-rule">
              {group.map((each, place) => (
                <JobRow
                  key={each.job.id}
                  each={each}
                  first={place === 0 || order === 'setting'}
                  lit={each === chosen}
                  onChoose={() => setJobId(each.job.id)}
                />
              ))}
            </tbody>
          ))}
        </table>
        {jobs.length === 0 && <p className="p-8">No tubes yet: make a frame at the Tubes station.</p>}
      </div>
      <Panel title="The workshop’s tools">
        {chosen && <Answers chosen={chosen} />}
        {chosen && <OneSetUp key={chosen.job.id} job={chosen.job} jobs={jobs} />}
        <ToolList hand={hand} />
        <DieList hand={hand} />
        <Group title="How it is held">
          <ul className="list-disc px-4 pb-2 pl-8 text-[13px] text-quiet">
            <li>
              Two tubes of different size bored in one set-up share their centre lines only: shim under the
              smaller by half the difference.
            </li>
            <li>Both stays of a pair in one set-up: they come out alike.</li>
            <li>Pilot first; push the tube against its stop before the cut, not in it.</li>
          </ul>
        </Group>
      </Panel>
    </>
  );
}

function byPiece(all: readonly ToolJob[]): readonly (readonly ToolJob[])[] {
  const pieces = new Map<string, ToolJob[]>();
  for (const each of all) pieces.set(each.job.piece, [...(pieces.get(each.job.piece) ?? []), each]);
  return [...pieces.values()];
}

interface RowProps {
  readonly each: ToolJob;
  readonly first: boolean;
  readonly lit: boolean;
  readonly onChoose: () => void;
}

function JobRow({ each: { job, best }, first, lit, onChoose }: RowProps) {
  const { document } = useEditor('document');
  const length = (mm: number, digits = 1) => (
    <Length mm={mm} display={document.units} unit={false} digits={digits} />
  );
  return (
    <tr
      className={`cursor-pointer text-right [&>td]:px-2 [&>td]:py-[3px] ${lit ? 'bg-larch-wash' : 'hover:bg-paper'}`}
      onClick={onChoose}
    >
      <td className="figure !pl-4 text-left font-bold">{first ? job.mark : ''}</td>
      <td className="text-left">
        <button type="button" aria-pressed={lit} onClick={onChoose} className="text-left">
          {!first && <span className="sr-only">{job.mark}, </span>}
          {job.what}
        </button>
      </td>
      <td className={`text-left ${best || job.kind === 'copy' ? '' : 'font-bold text-larch-text'}`}>
        {job.kind === 'copy' ? 'from its twin' : (best?.name ?? 'no tool for it')}
      </td>
      <td className="text-[15px] font-bold">
        {best?.reads === undefined ? (
          <span className="text-quiet">{best?.sort === 'paper' ? 'its pattern' : '–'}</span>
        ) : (
          formatAngle(best.reads)
        )}
        {best?.bevel !== undefined && (
          <span className="block text-[12.5px] font-normal">bevel {formatAngle(best.bevel)}</span>
        )}
        {best?.over !== undefined && (
          <span className="block text-[12.5px] font-normal">{length(best.over)} over</span>
        )}
      </td>
      <td>{best?.cutter === undefined ? <span className="text-quiet">–</span> : length(best.cutter)}</td>
      <td>
        {best?.gap === undefined ? <span className="text-quiet">–</span> : length(best.gap, 2)}
        {best?.gap !== undefined && closedBy(best.gap) !== closedBy(0) && (
          <span className="block text-[12.5px] text-larch-text">{closedBy(best.gap)}</span>
        )}
      </td>
      <td className="figure !pr-4">
        {best?.speed === undefined ? <span className="text-quiet">–</span> : Math.round(best.speed / 10) * 10}
      </td>
    </tr>
  );
}

/** Between the rolls of the usual sine bar: five inches. */
const SINE_BAR = 127;

/** What each tool says to the job in hand. */
function Answers({ chosen: { job, answers } }: { readonly chosen: ToolJob }) {
  const { document } = useEditor('document');
  const said = (answer: ToolAnswer) => {
    if (!answer.can) return answer.why;
    const { reads, bevel, gap, feed } = answer.setting;
    const miter = job.saw?.miter ?? job.offSquare;
    return (
      <>
        {reads !== undefined && <b>{formatAngle(reads)}</b>}
        {reads === undefined && 'yes'}
        {bevel !== undefined && (
          <>
            , blade tilted by <b>{formatAngle(bevel)}</b>
          </>
        )}
        {gap !== undefined && (
          <>
            , <Length mm={gap} display={document.units} digits={2} /> of gap: {closedBy(gap)}
          </>
        )}
        {reads !== undefined && miter > 0.05 && (
          <>
            , sine bar of <Length mm={SINE_BAR} display={document.units} digits={0} />: stack{' '}
            <Length mm={SINE_BAR * Math.sin((miter * Math.PI) / 180)} display={document.units} digits={2} />
          </>
        )}
        {feed !== undefined && (
          <>
            , feed <Length mm={feed} display={document.units} digits={0} /> a minute
          </>
        )}
      </>
    );
  };
  return (
    <Group title={`Piece ${job.mark}, ${job.what}`}>
      <dl className="px-4 pb-1 text-[13px]">
        {answers.map((answer, index) => (
          <Fragment key={index}>
            <dt className="inline font-semibold">{answer.can ? answer.setting.name : answer.name}: </dt>
            <dd className={`mb-0.5 inline ${answer.can ? '' : 'text-quiet'}`}>
              {said(answer)}
              <br />
            </dd>
          </Fragment>
        ))}
      </dl>
    </Group>
  );
}
