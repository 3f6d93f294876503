import { useState } from 'react';
import {
  baseAt,
  CHECK_STAGES,
  heightsFrom,
  listAt,
  nameInText,
  takenOff,
  verdictOf,
  type AsBuilt,
  type CheckList,
  type Measurand,
  type Plan,
} from '@larchwood/core';
import type { CheckStage } from '@larchwood/format';
import { NOT_HERE, useMayChange } from '../../door/useMayType';
import { useEditor } from '../../editor/editor';
import { Choice } from '../../parts/Choice';
import { Measure } from '../../parts/Figure';
import { HEAD_ROW, rowLook } from '../../parts/tables';
import { setHeightsFrom, setMeasured, takeOut } from '../../edits/checks';
import { MeasureDetail } from './MeasureDetail';
import { Off } from './Off';
import { ReadingField } from './ReadingField';
import type { ChecksHand } from './useChecks';
import { VerdictMark } from './VerdictMark';

/** Readings that learn so much are nearly all there is to learn. */
const NEARLY = 0.95;
const ORDERS = [
  { value: 'most', label: 'What tells most first' },
  { value: 'place', label: 'By place' },
] as const;

/** Everything to measure at a stage, with what the tool shall read; readings are put in down the list. */
export function MeasureView({
  plan,
  hand,
  stage,
}: {
  readonly plan: Plan;
  readonly hand: ChecksHand;
  readonly stage: CheckStage;
}) {
  const { document, edit, settle, piece, setPiece } = useEditor(
    'document',
    'edit',
    'settle',
    'piece',
    'setPiece',
  );
  const [order, setOrder] = useState<(typeof ORDERS)[number]['value']>('most');
  const [chosen, choose] = useState<string>();
  const { results, readingAt } = hand;
  const list = listAt(hand.list, document.measured ?? [], stage);
  const { whole, about } = CHECK_STAGES[stage];
  const may = useMayChange();
  const atBase = baseAt(plan.fixture, stage);
  const base = heightsFrom(document, plan.fixture, stage);
  const worth = whole ? list.order.whole : list.order.frame;
  const mine = list.measures.filter((measure) => measure.whole === whole);
  const byId = new Map(mine.map((measure) => [measure.id, measure]));
  const sorted =
    order === 'place'
      ? mine
      : worth.flatMap(({ measure }) => {
          const found = byId.get(measure);
          return found ? [found] : [];
        });
  const few = worth.findIndex(({ learned }) => learned > NEARLY) + 1;
  const result = results.find((each) => each.stage === stage);
  const wrong = new Set((result?.built.wrong ?? []).map(({ measure }) => measure));
  const unconfirmed = new Map((result?.built.unconfirmed ?? []).map((each) => [each.measure, each]));
  const read = mine.filter(({ id }) => readingAt(stage, id)).length;
  const pointed = piece !== undefined && byId.has(piece) ? piece : chosen;
  const picked = byId.get(pointed ?? '') ?? sorted.find(({ id }) => !readingAt(stage, id)) ?? sorted[0];
  const pick = (id: string) => {
    // What a finding pointed at is let go of, for it to point again.
    if (piece !== undefined) setPiece(undefined);
    choose(id);
  };
  const take = (id: string, value: number | undefined) => {
    edit(
      `checks.${stage}.${id}`,
      value === undefined ? takeOut(stage, id) : setMeasured(stage, id, { value }, new Date()),
    );
    settle();
  };
  return (
    <>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <div className="flex min-h-10 shrink-0 flex-wrap items-center justify-between gap-x-4 border-b border-rule px-4 py-1">
          <span>
            <span className="font-bold">
              {read} of {mine.length} read
            </span>{' '}
            <span className="caption">
              {about}
              {list !== hand.list && ' Should read: as the fixture is set off.'}
            </span>
          </span>
          <span className="ml-auto flex flex-wrap gap-2">
            {atBase && (
              <Choice
                label="Heights measured from"
                fixed={may ? undefined : NOT_HERE}
                value={base ? 'fixture' : 'ground'}
                className="w-60"
                groups={[
                  {
                    options: [
                      { value: 'ground', label: 'Heights from the ground' },
                      { value: 'fixture', label: `Heights from ${atBase.name}` },
                    ],
                  },
                ]}
                onChange={(next) => {
                  edit('checks.heightsFrom', setHeightsFrom(next as 'ground' | 'fixture'));
                  settle();
                }}
              />
            )}
            <Choice
              label="Order of the list"
              value={order}
              className="w-52"
              groups={[{ options: [...ORDERS] }]}
              onChange={(next) => setOrder(next as typeof order)}
            />
          </span>
        </div>
        <div
          className="min-h-0 flex-1 overflow-auto bg-sheet"
          tabIndex={0}
          role="group"
          aria-label="Measuring list"
        >
          <table className="w-full text-[14px]">
            <thead className="sticky top-0 z-10 bg-sheet">
              <tr className={HEAD_ROW}>
                <th className="w-10 max-[600px]:hidden">No.</th>
                <th className="text-left">Measure</th>
                <th>Should read</th>
                <th className="whitespace-nowrap max-[600px]:hidden">May be off</th>
                <th className="!pr-8">Reads</th>
                <th className="whitespace-nowrap max-[600px]:hidden">Off by</th>
                <th className="w-24 text-left">Verdict</th>
              </tr>
            </thead>
            <tbody>
              {sorted.map((measurand, index) => (
                <MeasureRow
                  key={measurand.id}
                  number={index + 1}
                  measurand={measurand}
                  stage={stage}
                  hand={hand}
                  lit={measurand.id === picked?.id}
                  off={takenOff(measurand, base)}
                  wrong={wrong.has(measurand.id)}
                  // While the first ones are read nothing bears them out yet: said of the one in hand.
                  unconfirmed={
                    read >= few || measurand.id === picked?.id ? unconfirmed.get(measurand.id) : undefined
                  }
                  nameOf={(id) => byId.get(id)?.name}
                  rule={order === 'most' && index + 1 === few && few < sorted.length ? few : undefined}
                  pick={pick}
                  take={take}
                />
              ))}
            </tbody>
            <Compared list={list} hand={hand} stage={stage} />
          </table>
        </div>
      </div>
      {picked && (
        <MeasureDetail
          plan={plan}
          hand={hand}
          stage={stage}
          measurand={picked}
          document={document}
          base={base}
        />
      )}
    </>
  );
}

function MeasureRow({
  number,
  measurand,
  stage,
  hand,
  lit,
  off: less,
  wrong,
  unconfirmed,
  nameOf,
  rule,
  pick,
  take,
}: {
  readonly number: number;
  readonly measurand: Measurand;
  readonly stage: CheckStage;
  readonly hand: ChecksHand;
  readonly lit: boolean;
  /** Taken off what it reads from the ground, mm. */
  readonly off: number;
  readonly wrong: boolean;
  /** Nothing else bears its reading out. */
  readonly unconfirmed: AsBuilt['unconfirmed'][number] | undefined;
  readonly nameOf: (measure: string) => string | undefined;
  /** So many readings down to here are nearly all. */
  readonly rule: number | undefined;
  readonly pick: (id: string) => void;
  readonly take: (id: string, value: number | undefined) => void;
}) {
  const { document } = useEditor('document');
  const { units } = document;
  const { id, name, nominal, tolerance, quantity } = measurand;
  const reading = hand.readingAt(stage, id);
  const off = reading && reading.value - nominal;
  return (
    <>
      <tr className={rowLook(lit)} onClick={() => pick(id)}>
        <td className="figure font-bold max-[600px]:hidden">{number}</td>
        <td className="text-left">
          <button
            type="button"
            className="text-left hover:underline"
            aria-pressed={lit}
            onClick={() => pick(id)}
          >
            {name}
          </button>
          {reading && unconfirmed && !wrong && (
            <span className="block text-[13px] text-quiet">
              Nothing else confirms this one.{' '}
              {unconfirmed.by !== undefined && nameOf(unconfirmed.by) !== undefined ? (
                <button type="button" className="underline" onClick={() => pick(unconfirmed.by!)}>
                  Measure {nameInText(nameOf(unconfirmed.by)!)} as well
                </button>
              ) : (
                'Measure it twice.'
              )}
            </span>
          )}
        </td>
        <td className="font-bold">
          <Measure value={nominal - less} quantity={quantity} display={units} />
        </td>
        <td className="whitespace-nowrap text-quiet max-[600px]:hidden">
          ± <Measure value={tolerance.value} quantity={quantity} display={units} />
        </td>
        <td>
          <ReadingField
            field={`checks.${stage}.${id}`}
            label={`${number}, ${name}: reads`}
            quantity={quantity}
            display={units}
            value={reading && reading.value - less}
            onRead={(value) => take(id, value === undefined ? undefined : value + less)}
            onFocus={() => pick(id)}
          />
        </td>
        <td className="max-[600px]:hidden">{off !== undefined && <Off value={off} quantity={quantity} />}</td>
        <td className="text-left">
          {off !== undefined &&
            (wrong ? (
              <span className="text-[13px] font-semibold text-brick">read again</span>
            ) : (
              <VerdictMark verdict={verdictOf(off, tolerance)} />
            ))}
        </td>
      </tr>
      {rule !== undefined && (
        <tr>
          <td colSpan={7} className="caption border-b-2 border-ink px-4 py-1">
            These {rule} tell nearly all of trail, angles, wheelbase and symmetry. Those below bear them out,
            and find a wrong reading.
          </td>
        </tr>
      )}
    </>
  );
}

/** Left against right, and four against a plane. */
function Compared({
  list,
  hand,
  stage,
}: {
  readonly list: CheckList;
  readonly hand: ChecksHand;
  readonly stage: CheckStage;
}) {
  const { document } = useEditor('document');
  const { units } = document;
  const { results, readingAt } = hand;
  const { whole } = CHECK_STAGES[stage];
  const mine = list.comparisons.filter(({ of }) =>
    of.every((id) => list.measures.some((measure) => measure.id === id && measure.whole === whole)),
  );
  const judged = results.find((each) => each.stage === stage)?.judgement.comparisons ?? [];
  if (mine.length === 0) return null;
  return (
    <tbody>
      <tr>
        <th
          colSpan={7}
          scope="rowgroup"
          className="caption border-b border-rule px-4 pt-3 pb-1 text-left font-normal"
        >
          Against each other
        </th>
      </tr>
      {mine.map(({ id, name, of, nominal, tolerance, quantity }) => {
        const found = judged.find(({ comparison }) => comparison.id === id);
        const missing = of.filter((each) => !readingAt(stage, each)).length;
        return (
          <tr key={id} className="border-b border-rule text-right [&>td]:px-2 [&>td]:py-1">
            <td className="max-[600px]:hidden" />
            <td className="text-left">{name}</td>
            <td className="font-bold">
              <Measure value={nominal} quantity={quantity} display={units} />
            </td>
            <td className="whitespace-nowrap text-quiet max-[600px]:hidden">
              ± <Measure value={tolerance.value} quantity={quantity} display={units} />
            </td>
            <td className="!pr-8">
              {found?.value === undefined ? (
                <span className="caption">{missing} to read</span>
              ) : (
                <Measure value={found.value} quantity={quantity} display={units} />
              )}
            </td>
            <td className="max-[600px]:hidden">
              {found?.outcome && <Off value={found.outcome.off} quantity={quantity} />}
            </td>
            <td className="text-left">{found?.outcome && <VerdictMark verdict={found.outcome.verdict} />}</td>
          </tr>
        );
      })}
    </tbody>
  );
}
