import { Minus, Plus } from 'lucide-react';
import { useState } from 'react';
import type { Step } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { today } from '../../parts/today';
import { useShop } from '../../lists/useShop';
import { setDone } from '../../edits/work';
import { hoursText } from '../work/hoursText';

const STEP = 0.25;

/** What a step took, by two large keys: the workshop's log learns from it. */
export function TookRow({ step, usual }: { readonly step: Step; readonly usual: number }) {
  const { build, document, edit, settle } = useEditor('build', 'document', 'edit', 'settle');
  const hand = useShop();
  const tick = document.done?.find((each) => each.step === step.id);
  const known = tick?.hours;
  const [hours, set] = useState(known ?? Math.max(STEP, Math.round(usual / STEP) * STEP));
  const log = () => {
    const now = new Date();
    edit(`done.${step.id}`, setDone(step, tick?.done ? { hours } : { done: true, hours }, now));
    settle();
    const id = `${build.id}.${step.id}`.replace(/[^A-Za-z0-9._-]/g, '-').slice(0, 60);
    const entry = {
      ...{ build: build.id, step: step.name.slice(0, 120), sort: step.sort },
      ...{ usual: step.hours, took: hours, on: today(now) },
    };
    hand.keep('hours', id, entry, true);
  };
  const key = 'inline-flex size-12 items-center justify-center border border-rule';
  return (
    <div className="flex items-center justify-between gap-2 border-b border-rule py-2">
      <span className="text-[16px]">It took</span>
      <span className="flex items-center gap-2">
        <button
          type="button"
          aria-label="Less"
          className={key}
          onClick={() => set(Math.max(STEP, hours - STEP))}
        >
          <Minus size={20} aria-hidden />
        </button>
        <span className="figure min-w-20 text-center text-[20px] font-bold">{hoursText(hours)}</span>
        <button type="button" aria-label="More" className={key} onClick={() => set(hours + STEP)}>
          <Plus size={20} aria-hidden />
        </button>
        <button
          type="button"
          className="min-h-12 border border-ink px-3 text-[16px] font-semibold"
          onClick={log}
        >
          {known === hours ? 'Logged' : 'Log it'}
        </button>
      </span>
    </div>
  );
}
