import { lazy, Suspense, useState } from 'react';
import type { EndCut, PieceCut, Plan } from '@larchwood/core';
import { memberOf, useEditor } from '../../editor/editor';
import { Findings } from '../../ledger/Findings';
import { Group, Panel } from '../../ledger/Panel';
import { stripsOf } from '@larchwood/outputs';
import { SheetView } from '../../parts/SheetView';
import { Angle, Length } from '../../parts/Figure';
import { EndDetail } from './EndDetail';
import { Check } from '../../parts/Check';

/** Every end of every piece: what to set on the tool, and how long. */
export function JointsStation() {
  const { document, plan, piece, setPiece } = useEditor('document', 'plan', 'piece', 'setPiece');
  if (!plan) return <p className="p-8">The joints come as soon as the stance makes a vehicle.</p>;
  const wanted =
    piece ?? plan.cuts.find((candidate) => candidate.ends.some((end) => end.cut === 'coped'))?.piece;
  const [pieceId, endName = 'start'] = wanted?.split('/') ?? [];
  const cut =
    plan.cuts.find((candidate) => candidate.piece === pieceId) ??
    plan.cuts.find((candidate) => memberOf(candidate.piece) === pieceId);
  const choose = (chosen: PieceCut, end: 'start' | 'end') => setPiece(`${chosen.piece}/${end}`);
  return (
    <>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col bg-sheet">
        <div className="min-h-0 flex-1 overflow-auto" tabIndex={0} role="group" aria-label="Table of ends">
          <table className="w-full border-collapse text-[13.5px]">
            <caption className="sr-only">Ends of every piece, with tool settings and lengths</caption>
            <thead className="sticky top-0 z-10 bg-sheet">
              <tr className="caption border-b-2 border-ink text-right align-bottom [&>th]:px-1.5 [&>th]:py-1 [&>th]:font-normal">
                <th className="!pl-4 text-left">Piece and end</th>
                <th className="text-left">Fits</th>
                <th>Included angle</th>
                <th>Off square</th>
                <th>Cutter</th>
                <th>Off centre</th>
                <th>Match angle</th>
                <th>Depth</th>
                <th>Longest, overall</th>
                <th>Saddle to saddle</th>
                <th className="!pr-3">Blank</th>
              </tr>
            </thead>
            {plan.cuts.map((each) => (
              <tbody key={each.piece} className="border-b border-rule">
                {each.ends.map((end, index) => (
                  <EndRow
                    key={end.end}
                    cut={each}
                    end={end}
                    first={index === 0}
                    lit={each === cut && end.end === endName}
                    onChoose={() => choose(each, end.end)}
                  />
                ))}
              </tbody>
            ))}
          </table>
          {plan.cuts.length === 0 && <p className="p-6">No tubes yet: make a frame at the Tubes station.</p>}
        </div>
        {cut && <Foot plan={plan} cut={cut} end={cut.ends[endName === 'start' ? 0 : 1]} />}
      </div>
      <Panel title={cut ? `Piece ${cut.mark}, ${endName === 'start' ? 'first' : 'second'} end` : 'Joint'}>
        {cut && <EndDetail cut={cut} end={cut.ends[endName === 'start' ? 0 : 1]} />}
        <Findings findings={plan.findings.filter((finding) => finding.where.station === 'joints')} />
        <Group title="How to read it">
          <p className="px-4 pb-2 text-[13px] text-quiet">
            Off square is what a saw, a mill head or most notchers read. The match angle is the turn from the
            match line to this end’s acute side, looking at the cut end, anticlockwise positive: scribe the
            line along the tube, and the second end is placed without offering it up. Lengths in{' '}
            {document.units.length === 'mm' ? 'millimetres' : 'inches'}.
          </p>
        </Group>
      </Panel>
    </>
  );
}

const JointCloseUp = lazy(() =>
  import('../../space/JointCloseUp').then((module) => ({ default: module.JointCloseUp })),
);

/** The end in hand, in space and unrolled. */
function Foot({ plan, cut, end }: { readonly plan: Plan; readonly cut: PieceCut; readonly end: EndCut }) {
  const [apart, setApart] = useState(false);
  return (
    <div className="flex h-72 shrink-0 border-t border-rule max-h-[45%]">
      <div className="flex w-[38%] min-w-60 flex-col border-r border-rule">
        <div className="min-h-0 flex-1">
          <Suspense fallback={<p className="p-4 text-quiet">Making the joint…</p>}>
            <JointCloseUp plan={plan} end={end} apart={apart} />
          </Suspense>
        </div>
        <div className="flex min-h-8 items-center justify-between gap-2 px-3 text-[12.5px]">
          <Check checked={apart} onChange={setApart}>
            Pulled apart
          </Check>
          <p className="text-quiet">The dot is the deepest point.</p>
        </div>
      </div>
      <Wrap cut={cut} end={end} />
    </div>
  );
}

/** The end in hand, unrolled. */
function Wrap({ cut, end }: { readonly cut: PieceCut; readonly end: EndCut }) {
  const { document } = useEditor('document');
  const strip = stripsOf(cut, {
    paperThickness: document.paper.thickness,
    display: document.units,
    separate: true,
    square: true,
  }).find(({ id }) => id.endsWith(`/${end.end}`));
  return (
    <div className="flex min-w-0 flex-1 items-stretch gap-2 bg-white px-3 py-2 text-[#1c2823]">
      <p className="w-24 shrink-0 text-[13px]">
        {end.end === 'start' ? 'First' : 'Second'} end unrolled, printed side out. Press it to enlarge.
      </p>
      {strip && (
        <SheetView drawing={strip} title={`Wrap of piece ${strip.title}`} className="h-full min-w-0 flex-1" />
      )}
    </div>
  );
}

/** Ends that fit no other tube. */
const WORDS: Readonly<Record<EndCut['cut'], string>> = {
  coped: 'coped',
  plain: 'square',
  mitred: 'mitre',
  slotted: 'slot',
  capped: 'cap',
  flattened: 'flat',
  plate: 'plate',
};

interface EndRowProps {
  readonly cut: PieceCut;
  readonly end: EndCut;
  readonly first: boolean;
  readonly lit: boolean;
  readonly onChoose: () => void;
}

function EndRow({ cut, end, first, lit, onChoose }: EndRowProps) {
  const { document } = useEditor('document');
  const length = (mm: number) => <Length mm={mm} display={document.units} unit={false} />;
  const coped = end.cut === 'coped';
  const none = <span className="text-quiet">–</span>;
  return (
    <tr
      className={`cursor-pointer text-right [&>td]:px-1.5 [&>td]:py-[3px] ${lit ? 'bg-larch-wash' : 'hover:bg-paper'}`}
      onClick={onChoose}
    >
      <td className="!pl-4 text-left whitespace-nowrap">
        <button type="button" onClick={onChoose} aria-pressed={lit} className="text-left">
          {first ? (
            <>
              <span className="figure inline-block w-9 font-bold">{cut.mark}</span>
              <span className="inline-block max-w-38 truncate align-bottom font-bold" title={cut.name}>
                {cut.name}
              </span>
            </>
          ) : (
            <span className="pl-9 text-quiet">
              second end<span className="sr-only"> of {cut.mark}</span>
            </span>
          )}
        </button>
      </td>
      <td className="figure text-left whitespace-nowrap">
        {coped ? (
          end.hosts.join(' + ')
        ) : (
          <span className="font-sans text-quiet">
            {WORDS[end.cut]}
            {end.cut === 'mitred' && ` ${end.hosts.join(' + ')}`}
          </span>
        )}
      </td>
      <td>{coped ? <Angle degrees={end.includedAngle} /> : none}</td>
      <td className="font-bold">
        {coped || end.offSquare > 0.05 ? <Angle degrees={end.offSquare} /> : none}
      </td>
      <td>{end.cutterDiameter > 0 ? length(end.cutterDiameter) : none}</td>
      <td>{coped ? length(end.offset) : none}</td>
      <td>{coped ? <Angle degrees={Math.abs(end.matchAngle) < 0.005 ? 0 : end.matchAngle} /> : none}</td>
      <td>{coped ? length(end.depth) : none}</td>
      {first && (
        <>
          <td rowSpan={2} className="border-l border-rule font-bold">
            {length(cut.overall)}
          </td>
          <td rowSpan={2}>{length(cut.saddleToSaddle)}</td>
          <td rowSpan={2} className="!pr-3">
            {length(cut.blank)}
          </td>
        </>
      )}
    </tr>
  );
}
