import { Check, Pencil, RotateCcw } from 'lucide-react';
import { useState } from 'react';
import {
  displayOf,
  heightsFrom,
  listAt,
  readingText,
  scaleDisplay,
  takenOff,
  verdictOf,
  type Line,
  type Plan,
  type Step,
  gaugeDisplay,
} from '@larchwood/core';
import type { CheckStage } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { Measure } from '../../parts/Figure';
import { setMeasured } from '../../edits/checks';
import { useChecks } from '../checks/useChecks';
import { VerdictMark } from '../checks/VerdictMark';
import { changeReading, tickedAs } from '../../edits/fixture';
import { NumberPad } from './NumberPad';

/** What is to be set or made in a step, in figures that are read at arm's length; settings are ticked, or read where they stand. */
export function BenchLines({ plan, step }: { readonly plan: Plan; readonly step: Step }) {
  const { lines, stage } = step;
  return (
    <ul className="border-t border-rule">
      {lines.map((line) =>
        stage !== undefined && line.measure !== undefined ? (
          <MeasureLine key={line.id} plan={plan} line={line} stage={stage} measure={line.measure} />
        ) : line.setting === undefined ? (
          <li
            key={line.id}
            className="flex min-h-12 items-center justify-between gap-3 border-b border-rule py-1"
          >
            <span className="text-[16px]">{line.text}</span>
            <Value line={line} />
          </li>
        ) : (
          <SettingLine key={line.id} plan={plan} line={line} setting={line.setting} />
        ),
      )}
    </ul>
  );
}

function Value({ line: { value, quantity, gauge } }: { readonly line: Line }) {
  const { document } = useEditor('document');
  return value === undefined || quantity === undefined ? null : (
    <span className="shrink-0 text-[24px] font-bold">
      <Measure
        value={value}
        quantity={quantity}
        display={gauge ? gaugeDisplay(value, document.units) : document.units}
      />
    </span>
  );
}

/** What a tool shall read, and what it reads. */
function MeasureLine({
  plan,
  line,
  stage,
  measure,
}: {
  readonly plan: Plan;
  readonly line: Line;
  readonly stage: CheckStage;
  readonly measure: string;
}) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const [open, setOpen] = useState(false);
  const hand = useChecks();
  const list = hand && listAt(hand.list, document.measured ?? [], stage);
  const measurand = list?.measures.find(({ id }) => id === measure);
  const reading = document.measured?.find((each) => each.stage === stage && each.measure === measure);
  const { quantity = 'length', value = 0, text } = line;
  const base = heightsFrom(document, plan.fixture, stage);
  const less = measurand ? takenOff(measurand, base) : 0;
  return (
    <li className="border-b border-rule py-1.5">
      <span className="text-[15px]">
        {text}
        {less !== 0 && `, above ${base!.name}`}
      </span>
      <span className="flex items-center justify-between gap-2">
        <span className="text-[24px] leading-tight font-bold">
          <Measure
            value={(measurand?.nominal ?? value) - less}
            quantity={quantity}
            display={document.units}
          />
        </span>
        <span className="flex items-center gap-2">
          {reading && measurand && (
            <VerdictMark verdict={verdictOf(reading.value - measurand.nominal, measurand.tolerance)} />
          )}
          <button
            type="button"
            aria-label={`${text}: reads`}
            className="inline-flex min-h-12 min-w-20 items-center justify-center gap-1 border border-rule px-2 text-[17px] font-semibold"
            onClick={() => setOpen(true)}
          >
            {reading ? (
              <Measure value={reading.value - less} quantity={quantity} display={document.units} />
            ) : (
              <>
                <Pencil size={18} aria-hidden /> reads
              </>
            )}
          </button>
        </span>
      </span>
      {open && (
        <NumberPad
          field={`bench.measured.${stage}.${measure}`}
          title={`${text}: reads`}
          quantity={quantity}
          display={document.units}
          onClose={() => setOpen(false)}
          onValue={(found) => {
            edit(
              `checks.${stage}.${measure}`,
              setMeasured(stage, measure, { value: found + less }, new Date()),
            );
            settle();
            setOpen(false);
          }}
        />
      )}
    </li>
  );
}

function SettingLine({
  plan,
  line,
  setting: id,
}: {
  readonly plan: Plan;
  readonly line: Line;
  readonly setting: string;
}) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const [reading, read] = useState(false);
  const setting = plan.fixture.settings.find((each) => each.id === id);
  if (!setting) return null;
  const display = displayOf(plan.fixture.profile, document.units);
  const change = (part: Parameters<typeof changeReading>[1]) => {
    edit(`fixture.reading.${id}`, changeReading(id, part, setting.group));
    settle();
  };
  const text = (value: number) => readingText(value, setting, display);
  return (
    <li className="border-b border-rule py-1.5">
      <span className="text-[15px]">{line.text}</span>
      <span className="flex items-center justify-between gap-2">
        <span className="figure text-[28px] leading-tight font-bold">{text(setting.reading)}</span>
        <span className="flex gap-1.5">
          {setting.found !== undefined && (
            <button
              type="button"
              aria-label={`${line.text}: not found after all`}
              className="inline-flex size-12 items-center justify-center border border-rule"
              onClick={() => change({ found: undefined })}
            >
              <RotateCcw size={18} aria-hidden />
            </button>
          )}
          <button
            type="button"
            aria-label={`${line.text}: found at`}
            className="inline-flex min-h-12 min-w-12 items-center justify-center gap-1 border border-rule px-2 text-[15px] font-semibold"
            onClick={() => read(true)}
          >
            <Pencil size={18} aria-hidden />
            {setting.found !== undefined && <span className="figure">{text(setting.found)}</span>}
          </button>
          <button
            type="button"
            role="checkbox"
            aria-checked={setting.set}
            aria-label={`${line.text}: set`}
            className={`inline-flex size-12 items-center justify-center border-2 ${setting.set ? 'border-spruce bg-spruce-wash text-spruce' : 'border-ink'}`}
            onClick={() => change(setting.set ? { set: false } : tickedAs(setting))}
          >
            {setting.set && <Check size={28} aria-hidden />}
          </button>
        </span>
      </span>
      {reading && (
        <NumberPad
          field={`bench.found.${plan.fixture.school}.${id}`}
          title={`${line.text}: found at`}
          quantity={setting.quantity}
          display={scaleDisplay(setting.step, display)}
          onClose={() => read(false)}
          onValue={(found) => {
            change({ found });
            read(false);
          }}
        />
      )}
    </li>
  );
}
