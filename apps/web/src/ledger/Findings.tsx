import { AlertOctagon, Info, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { findingText, type Finding, type Severity } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { remedyOf, type Remedy } from './remedies';
import { Button } from '../parts/Button';

const SHAPE = { stop: AlertOctagon, look: TriangleAlert, note: Info } as const;
const WORD: Readonly<Record<Severity, string>> = { stop: 'Stop', look: 'Look', note: 'Note' };
const EDGE: Readonly<Record<Severity, string>> = {
  stop: 'border-brick',
  look: 'border-larch',
  note: 'border-steel',
};
const TINT: Readonly<Record<Severity, string>> = {
  stop: 'text-brick',
  look: 'text-larch-text',
  note: 'text-steel',
};

/** Views of the cuts by what is told; bends are shown first. */
const CUTS_VIEWS = [
  [/^(hole|holes|slot|sleeve)-/, 'holes'],
  [/^(plate|fold)-/, 'flat'],
  [/^(cut|order|no-stock|piece-over)/, 'stock'],
] as const;

/** The part of a station that shows a finding best. */
function viewOf({ code, where }: Finding): string {
  if (where.station === 'cuts') {
    const view = CUTS_VIEWS.find(([codes]) => codes.test(code))?.[1];
    return view === undefined ? '' : `?show=${view}`;
  }
  if (where.station !== 'seat') return '';
  if (['parts-meet', 'gap-small', 'grip-lost'].includes(code)) return '?show=gaps';
  if (/^(lumps|scales)/.test(where.ref)) return '?show=mass';
  return ['tips-first', 'falls-over', 'front-share'].includes(code) ? '?show=tipping' : '';
}

/** What the builder should know here: what, how much, how much is wanted, and what to do about it. */
export function Findings({
  findings,
  refused = true,
}: {
  readonly findings: readonly Finding[];
  /** Also says why the build has no shape, where it has none. */
  readonly refused?: boolean;
}) {
  const { document, refusals: all } = useEditor('document', 'refusals');
  const messages = refused ? [...new Set(all.map(({ message }) => message))] : [];
  if (findings.length === 0 && messages.length === 0) return null;
  return (
    <section aria-label="Findings" className="flex flex-col gap-2 p-3">
      {messages.map((message) => (
        <article key={message} className="border-l-4 border-brick bg-sheet px-3 py-2">
          <h3 className="font-bold text-brick">This build has no shape yet</h3>
          <p>{message}</p>
        </article>
      ))}
      {findings.map((finding) => (
        <FindingNote key={keyOf(finding)} finding={finding} units={document.units} />
      ))}
    </section>
  );
}

/** Code, place and the names in it: one part of a fixture may stand in several tubes. Its figures may change under way. */
const keyOf = ({ code, where, values }: Finding): string =>
  [code, where.ref, ...Object.values(values).filter((value) => typeof value === 'string')].join(' ');

function FindingNote({
  finding,
  units,
}: {
  readonly finding: Finding;
  readonly units: Parameters<typeof findingText>[1];
}) {
  const { build, setActive, setPiece, edit, settle } = useEditor(
    'build',
    'setActive',
    'setPiece',
    'edit',
    'settle',
  );
  const [refused, setRefused] = useState<string>();
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const { title, text, remedies } = findingText(finding, units);
  const Shape = SHAPE[finding.severity];
  // At the fixture the finding already stands beside its scale.
  const elsewhere = !pathname.endsWith('/fixture');
  const remedy = remedyOf(finding);
  const mend = (change: Remedy['change']) => {
    const result = edit(`remedy.${finding.code}`, change, finding.where.ref);
    settle();
    setRefused(result.ok ? undefined : result.message);
  };
  const show = () => {
    const { station, ref } = finding.where;
    if (station === 'stance' || station === 'seat' || station === 'steering') setActive(ref);
    else setPiece(ref);
    void navigate(`/builds/${build.id}/${station}${viewOf(finding)}`);
  };
  return (
    <article className={`border-l-4 bg-sheet px-3 py-2 ${EDGE[finding.severity]}`}>
      <h3 className="flex items-start gap-1.5 font-bold">
        <Shape size={15} aria-hidden className={`mt-[3px] shrink-0 ${TINT[finding.severity]}`} />
        <span>
          <span className="sr-only">{WORD[finding.severity]}: </span>
          {title}
        </span>
      </h3>
      <p className="text-quiet">{text}</p>
      <p className="text-[13px]">{remedies.join('. ')}.</p>
      {refused !== undefined && (
        <p role="alert" className="text-[13px] text-brick">
          {refused}
        </p>
      )}
      <div className="flex gap-4">
        {remedy && (
          <Button look="link" onClick={() => mend(remedy.change)}>
            {remedy.name}
          </Button>
        )}
        {elsewhere && (
          <Button look="link" onClick={show}>
            Show
          </Button>
        )}
      </div>
    </article>
  );
}
