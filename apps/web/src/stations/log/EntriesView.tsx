import { Camera, Download, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import {
  CHECK_STAGES,
  LOG_SORTS,
  logOf,
  nameInText,
  searchLog,
  type LogLine,
  type LogSort,
} from '@larchwood/core';
import { logCsv } from '@larchwood/outputs';
import { CHECK_STAGE_IDS, ENTRY_SORTS, fileStem, type CheckStage, type LogEntry } from '@larchwood/format';
import { pictures } from '../../api/pictures';
import { useDraft, useEditor } from '../../editor/editor';
import { download } from '../../files/download';
import { ChoiceRow } from '../../ledger/ChoiceRow';
import { Group, Panel } from '../../ledger/Panel';
import { Button, IconButton } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { today } from '../../parts/today';
import { useSlow } from '../../planning/useSlow';
import { useShop } from '../../lists/useShop';
import { smaller } from './smaller';

const SCOPES = [
  { value: 'here', label: 'This build' },
  { value: 'all', label: 'The whole workshop' },
] as const;

/** Everything that was written down, newest first; searched, filtered, printed, and taken along as a table. */
export function EntriesView() {
  const { document, build } = useEditor('document', 'build');
  const hand = useShop();
  const steps = useSlow('work').value?.steps;
  const list = useSlow('checkList').value;
  const [scope, setScope] = useState<(typeof SCOPES)[number]['value']>('here');
  const [sort, setSort] = useState<LogSort | 'any'>('any');
  const [text, setText] = useState('');
  const lines = useMemo(
    () => logOf({ document, build: build.id, shop: hand.shop, list, steps }),
    [document, build.id, hand.shop, list, steps],
  );
  const near = scope === 'here' ? lines.filter(({ here }) => here) : lines;
  const shown = searchLog(near, text, sort === 'any' ? undefined : sort);
  const sorts = [...new Set(near.map((line) => line.sort))];
  const cost = shown.reduce((sum, line) => sum + (line.cost ?? 0), 0);
  return (
    <>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <div className="flex min-h-11 shrink-0 flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule px-4 py-1 print:hidden">
          <input
            aria-label="Look for words in the log"
            placeholder="look for words"
            className="min-h-8 w-44 border border-rule bg-sheet px-2 placeholder:text-quiet"
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
          <Choice
            label="Which entries"
            value={scope}
            groups={[{ options: [...SCOPES] }]}
            onChange={(next) => setScope(next as typeof scope)}
          />
          <Choice
            label="About what"
            value={sort}
            groups={[
              {
                options: [
                  { value: 'any', label: 'All entries' },
                  ...sorts.map((id) => ({ value: id, label: LOG_SORTS[id] })),
                ],
              },
            ]}
            onChange={(next) => setSort(next as typeof sort)}
          />
          <span className="caption">
            {shown.length} {shown.length === 1 ? 'entry' : 'entries'}
            {cost > 0 && `, cost ${cost.toFixed(2)}`}
          </span>
          <span className="ml-auto">
            <Button
              look="quiet"
              disabled={shown.length === 0}
              onClick={() => download(logCsv(shown), 'text/csv', `${fileStem(document.name)}-log.csv`)}
            >
              <Download size={15} aria-hidden /> Log, CSV
            </Button>
          </span>
        </div>
        <div className="min-h-0 flex-1 overflow-auto bg-sheet" tabIndex={0} role="group" aria-label="Entries">
          {shown.length === 0 ? (
            <p className="p-8">
              {near.length === 0
                ? 'Nothing is written down of this build yet: readings, finished steps and pulls come here by themselves.'
                : 'No entry has those words.'}
            </p>
          ) : (
            <ol>
              {shown.map((line, index) => (
                <Line key={line.id} line={line} head={dayOf(line) !== dayOf(shown[index - 1])} />
              ))}
            </ol>
          )}
        </div>
      </div>
      <Panel title="Write it down" aside={today()}>
        <EntryForm />
        <Learned />
      </Panel>
    </>
  );
}

const dayOf = (line: LogLine | undefined): string | undefined => line?.on.slice(0, 10);

function Line({ line, head }: { readonly line: LogLine; readonly head: boolean }) {
  const hand = useShop();
  const { on, sort, text, stage, about, entry, picture, here, cost } = line;
  const said = stage && !text.startsWith(CHECK_STAGES[stage].name) ? `${CHECK_STAGES[stage].name}: ` : '';
  return (
    <li>
      {head && (
        <h3 className="caption border-b border-rule px-4 pt-3 pb-1">
          {on === ''
            ? 'Not dated'
            : new Date(on.slice(0, 10)).toLocaleDateString([], { dateStyle: 'medium', timeZone: 'UTC' })}
        </h3>
      )}
      <div className="flex items-start gap-3 border-b border-rule px-4 py-1.5">
        <span className="w-28 shrink-0 text-[13px] font-semibold">{LOG_SORTS[sort]}</span>
        <div className="min-w-0 flex-1">
          <p>
            {said}
            {about !== undefined && !text.includes(about) && <strong>{about}: </strong>}
            {text}
            {cost !== undefined && <span className="figure ml-2 font-semibold">{cost.toFixed(2)}</span>}
            {!here && <span className="caption ml-2">elsewhere in the workshop</span>}
          </p>
          {picture !== undefined && (
            <a href={pictures.url(picture)} target="_blank" rel="noreferrer" className="mt-1 inline-block">
              <img
                src={pictures.url(picture)}
                alt={text === '' ? 'Picture of the log' : text}
                loading="lazy"
                className="max-h-40 border border-rule"
              />
            </a>
          )}
        </div>
        {entry !== undefined && (
          <IconButton
            name={`Take “${text.slice(0, 40)}” out of the log`}
            className="!size-7 print:hidden"
            onClick={() => hand.remove('entries', entry, text.slice(0, 40))}
          >
            <Trash2 size={13} aria-hidden />
          </IconButton>
        )}
      </div>
    </li>
  );
}

/** A note, a change and why, a gap, a cost, a picture. */
function EntryForm() {
  const { build, plan } = useEditor('build', 'plan');
  const hand = useShop();
  const { draft, setDraft } = useDraft('log.entry');
  const money = useDraft('log.cost');
  const [sort, setSort] = useState<LogEntry['sort']>('note');
  const [stage, setStage] = useState<CheckStage | 'none'>('none');
  const [about, setAbout] = useState('none');
  const [message, setMessage] = useState<string>();
  const [busy, setBusy] = useState(false);
  const text = draft?.text ?? '';
  const add = (more: Partial<LogEntry> = {}): boolean => {
    const kept = hand.add('entries', {
      ...{ build: build.id, on: today(), sort, text: text.trim() },
      ...(stage === 'none' ? {} : { stage }),
      ...(about === 'none' ? {} : { about }),
      ...more,
    });
    setMessage(kept.ok ? undefined : kept.message);
    if (kept.ok) setDraft('log.entry', undefined);
    return kept.ok;
  };
  const write = () => {
    if (sort !== 'cost') return void add();
    const typed = (money.draft?.text ?? '').trim().replace(',', '.');
    const cost = Number(typed);
    if (typed === '' || !Number.isFinite(cost) || cost < 0 || cost > 1e6)
      return setMessage(
        typed === '' ? 'What did it cost?' : `“${typed}” is no cost: a number from 0 to 1,000,000.`,
      );
    if (add({ cost })) setDraft('log.cost', undefined);
  };
  const picture = async (file: File | undefined) => {
    if (!file) return;
    setBusy(true);
    setMessage(undefined);
    try {
      const { id } = await pictures.keep(await smaller(file));
      add({ sort: 'picture', picture: id });
    } catch (error) {
      setMessage(`${error instanceof Error ? error.message : 'That did not work.'} Nothing was kept.`);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Group title="A new entry">
      <ChoiceRow
        name="About"
        changes={false}
        label="What the entry is about"
        value={sort}
        options={ENTRY_SORTS.filter((id) => id !== 'picture').map((id) => ({
          value: id,
          label: LOG_SORTS[id],
        }))}
        onChange={(next) => setSort(next as typeof sort)}
      />
      <ChoiceRow
        name="Stage"
        changes={false}
        label="Stage that the entry belongs to"
        value={stage}
        options={[
          { value: 'none', label: 'none' },
          ...CHECK_STAGE_IDS.map((id) => ({ value: id, label: CHECK_STAGES[id].name })),
        ]}
        onChange={(next) => setStage(next as typeof stage)}
      />
      <ChoiceRow
        name="Piece"
        changes={false}
        label="Piece that the entry is about"
        value={about}
        options={[
          { value: 'none', label: 'none' },
          ...(plan?.frame.pieces ?? []).map(({ mark, name }) => ({
            value: `${mark}, ${nameInText(name)}`,
            label: `${mark}, ${nameInText(name)}`,
          })),
        ]}
        onChange={setAbout}
      />
      <textarea
        aria-label="The entry in words"
        className="mx-4 my-1 block min-h-20 w-[290px] resize-y border border-rule bg-sheet px-2 py-1 placeholder:text-quiet"
        placeholder={sort === 'change' ? 'what was changed, and why' : 'what was seen, done or decided'}
        maxLength={2000}
        value={text}
        onChange={(event) =>
          setDraft('log.entry', event.target.value === '' ? undefined : { text: event.target.value })
        }
      />
      {sort === 'cost' && (
        <label className="flex items-center justify-between px-4 py-0.5">
          It cost
          <input
            aria-label="Cost, in the workshop’s money"
            inputMode="decimal"
            className="figure min-h-8 w-28 border border-rule bg-sheet px-2 text-right"
            value={money.draft?.text ?? ''}
            onChange={(event) =>
              setDraft('log.cost', event.target.value === '' ? undefined : { text: event.target.value })
            }
          />
        </label>
      )}
      {message !== undefined && (
        <p role="alert" className="px-4 py-0.5 text-[13px] text-brick">
          {message}
        </p>
      )}
      <p className="flex flex-wrap gap-2 px-4 py-1">
        <Button disabled={text.trim() === ''} onClick={write}>
          Write it down
        </Button>
        <label className="inline-flex min-h-8 cursor-pointer items-center gap-1.5 px-3 font-semibold focus-within:outline-2 hover:underline">
          <Camera size={15} aria-hidden /> {busy ? 'Keeping it…' : 'Add a picture'}
          <input
            type="file"
            accept="image/*"
            aria-label="Add a picture"
            className="sr-only"
            disabled={busy}
            onChange={(event) => {
              void picture(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </label>
      </p>
      <p className="caption px-4">Pictures stay in this workshop: they are shown here and sent nowhere.</p>
    </Group>
  );
}

/** What learns from the log, and from how many entries. */
function Learned() {
  const { shop } = useShop();
  const rows = [
    ['Springing back of a bend, by die and section', Object.keys(shop.trials).length],
    ['Springing back of a pull', Object.keys(shop.pulls).length],
    ['Movement of welding', Object.keys(shop.moved).length],
    ['Hours of a step', Object.keys(shop.hours).length],
    ['Machine settings to begin with', Object.keys(shop.welds).length],
  ] as const;
  return (
    <Group title="What learns from it">
      {rows.map(([name, count]) => (
        <p key={name} className="flex justify-between gap-3 px-4 py-0.5 text-[13.5px]">
          <span>{name}</span>
          <span className="figure shrink-0">
            {count} {count === 1 ? 'entry' : 'entries'}
          </span>
        </p>
      ))}
    </Group>
  );
}
