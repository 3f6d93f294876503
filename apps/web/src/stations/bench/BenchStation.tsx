import { ArrowLeft, ArrowRight, Check, List, OctagonAlert, Undo2 } from 'lucide-react';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { asSentence, CAUTIONS, isDone, nameInText, PHASES, type Plan, type Step } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { setDone } from '../../edits/work';
import { LateStep } from '../work/LateStep';
import { StepDrawing } from '../work/StepDrawing';
import { STATE_WORDS, StepMark } from '../work/StepMark';
import { useTool } from '../work/useTool';
import { useWork, type WorkHand } from '../work/useWork';
import { BenchLines } from './BenchLines';
import { BenchWelds } from './BenchWelds';
import { KeepOpen } from './KeepOpen';
import { TookRow } from './TookRow';
import { useWakeLock } from './useWakeLock';
import { WrongDialog } from './WrongDialog';

/** One step at a time, for a phone or a tablet beside the fixture. */
export function BenchStation() {
  const { plan } = useEditor('plan');
  const hand = useWork();
  if (!plan) return <p className="p-6 text-[17px]">The work comes as soon as the stance makes a vehicle.</p>;
  if (plan.frame.pieces.length === 0)
    return (
      <p className="p-6 text-[17px]">There is nothing to build yet: lay out a frame at the Tubes station.</p>
    );
  if (!hand) return <p className="p-6 text-[17px] text-quiet">Working the order out…</p>;
  return <Bench plan={plan} hand={hand} />;
}

function Bench({ plan, hand }: { readonly plan: Plan; readonly hand: WorkHand }) {
  const { build, document, edit, settle } = useEditor('build', 'document', 'edit', 'settle');
  const [search, setSearch] = useSearchParams();
  const awake = useWakeLock();
  const { work, progress } = hand;
  const { steps } = work;
  const wanted = search.get('step') ?? progress.next ?? steps[0]!.id;
  const at = Math.max(
    0,
    steps.findIndex(({ id }) => id === wanted),
  );
  const step = steps[at]!;
  const go = (index: number) => {
    const to = steps[index];
    if (to) setSearch({ step: to.id }, { replace: true });
    window.scrollTo({ top: 0 });
  };
  const record = (part: Parameters<typeof setDone>[1]) => {
    edit(`done.${step.id}`, setDone(step, part, new Date(), plan.fixture.settings));
    settle();
  };
  const state = progress.states.get(step.id) ?? 'waits';
  const done = isDone(state);
  const tick = document.done?.find((each) => each.step === step.id);
  const [wrong, say] = useState(false);
  const tool = useTool(plan, step);
  return (
    <div className="flex min-h-0 min-w-0 flex-1 flex-col bg-sheet">
      <KeepOpen />
      <div className="flex min-h-12 shrink-0 items-center justify-between gap-3 border-b border-rule px-4">
        <span className="min-w-0 truncate">
          <span className="font-bold">
            Step {at + 1} of {steps.length}
          </span>{' '}
          <span className="caption">
            {PHASES[step.phase]}
            {step.part === undefined ? '' : `: ${nameInText(step.part)}`}
          </span>
        </span>
        <Link
          to={`/builds/${build.id}/work`}
          className="inline-flex min-h-11 shrink-0 items-center gap-1.5 px-1 font-semibold"
        >
          <List size={18} aria-hidden /> All steps
        </Link>
      </div>
      <div
        className="flex min-h-0 flex-1 gap-6 overflow-y-auto px-4 pb-4 max-[900px]:flex-col max-[900px]:gap-2 max-[900px]:pb-40"
        tabIndex={0}
        role="group"
        aria-label="The step"
      >
        <div className="min-w-0 flex-1">
          <h2 className="pt-3 text-[26px] leading-tight font-bold">{step.name}</h2>
          <LateBefore hand={hand} step={step} onGo={(id) => go(steps.findIndex((each) => each.id === id))} />
          <Stand state={state} wrong={tick?.wrong} onCleared={() => record({ wrong: undefined })} />
          <StepDrawing
            plan={plan}
            pieces={step.pieces}
            className="h-56 w-full border border-rule max-[900px]:h-48"
          />
          <p className="py-2 text-[17px]">{step.about}</p>
          {step.check !== undefined && (
            <p className="border-l-4 border-spruce bg-paper px-3 py-2 text-[17px]">
              <strong>Check.</strong> {step.check}
            </p>
          )}
          <Needs
            step={step}
            steps={steps}
            hand={hand}
            onGo={(id) => go(steps.findIndex((each) => each.id === id))}
          />
        </div>
        <div className="min-w-0 flex-1 pt-3">
          {step.sort === 'weld' && step.lines.length > 1 ? (
            <BenchWelds key={step.id} hand={hand} step={step} />
          ) : (
            <BenchLines plan={plan} step={step} />
          )}
          {tool !== undefined && <p className="py-2 text-[17px]">With: {tool}</p>}
          {done && <TookRow key={step.id} step={step} usual={hand.hours(step)} />}
          {step.cautions.map((id) => (
            <p key={id} className="my-2 border-l-4 border-larch bg-paper px-3 py-2 text-[15.5px]">
              {CAUTIONS[id]}
            </p>
          ))}
          <p className="caption pt-2">
            {awake
              ? 'The screen stays awake.'
              : 'This browser lets the screen sleep: raise its time in the settings.'}
          </p>
        </div>
      </div>
      <div className="grid shrink-0 grid-cols-[1fr_1.6fr_1fr] gap-2 border-t-2 border-ink bg-paper p-2 max-[900px]:fixed max-[900px]:inset-x-0 max-[900px]:bottom-0 max-[900px]:z-20">
        <BigButton onClick={() => go(at - 1)} disabled={at === 0}>
          <ArrowLeft size={22} aria-hidden /> Back
        </BigButton>
        {done ? (
          <BigButton onClick={() => record({ done: false })}>
            <Undo2 size={22} aria-hidden /> Not done
          </BigButton>
        ) : (
          <BigButton
            strong
            onClick={() => {
              record({ done: true, wrong: undefined });
              if (step.lines.every(({ setting }) => setting === undefined) && at < steps.length - 1)
                go(at + 1);
            }}
          >
            <Check size={26} aria-hidden /> Done
          </BigButton>
        )}
        <BigButton onClick={() => go(at + 1)} disabled={at === steps.length - 1}>
          Next <ArrowRight size={22} aria-hidden />
        </BigButton>
        <button
          type="button"
          className="col-span-3 inline-flex min-h-12 items-center justify-center gap-2 text-[16px] font-semibold text-brick"
          onClick={() => say(true)}
        >
          <OctagonAlert size={20} aria-hidden /> Something is wrong
        </button>
      </div>
      {wrong && (
        <WrongDialog
          step={step}
          onClose={() => say(false)}
          onWrong={(what) => {
            record({ wrong: what, done: false });
            say(false);
          }}
        />
      )}
    </div>
  );
}

/** What was done before the drawing changed is settled before the next step. */
function LateBefore({
  hand: { late },
  step,
  onGo,
}: {
  readonly hand: WorkHand;
  readonly step: Step;
  readonly onGo: (id: string) => void;
}) {
  const own = late.find((each) => each.step.id === step.id);
  const others = late.filter((each) => each !== own);
  return (
    <div className="text-[16px]">
      {own && <LateStep late={own} />}
      {others.length > 0 && !own && (
        <details open={others.length === 1}>
          <summary className="min-h-11 cursor-pointer pt-2 font-semibold text-larch-text">
            {others.length === 1
              ? 'The drawing has changed since one step was done: look at it first'
              : `The drawing has changed since ${others.length} steps were done: look at them first`}
          </summary>
          {others.map((each) => (
            <LateStep key={each.step.id} late={each} onPick={onGo} />
          ))}
        </details>
      )}
    </div>
  );
}

function BigButton({
  strong = false,
  ...rest
}: React.ComponentProps<'button'> & { readonly strong?: boolean }) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-16 items-center justify-center gap-2 border text-[19px] font-bold disabled:opacity-40 ${strong ? 'border-ink bg-ink text-paper' : 'border-ink bg-sheet active:bg-larch-wash'}`}
      {...rest}
    />
  );
}

function Stand({
  state,
  wrong,
  onCleared,
}: {
  readonly state: Parameters<typeof StepMark>[0]['state'];
  readonly wrong: string | undefined;
  readonly onCleared: () => void;
}) {
  const words = state === 'wrong' && wrong !== undefined ? wrong : asSentence(STATE_WORDS[state]);
  return (
    <p className="flex min-h-9 flex-wrap items-center gap-2 pb-1 text-[16px]">
      <StepMark state={state} size={20} />{' '}
      <span className={state === 'wrong' ? 'font-semibold text-brick' : ''}>{words}</span>
      {state === 'wrong' && (
        <button type="button" className="min-h-11 px-2 font-semibold underline" onClick={onCleared}>
          Put right
        </button>
      )}
    </p>
  );
}

/** What it waits for and is not done yet. */
function Needs({
  step,
  steps,
  hand,
  onGo,
}: {
  readonly step: Step;
  readonly steps: readonly Step[];
  readonly hand: WorkHand;
  readonly onGo: (id: string) => void;
}) {
  const open = [
    ...new Set(step.needs.filter(({ why }) => why !== 'usual').map(({ step: id }) => id)),
  ].flatMap((id) => {
    const of = steps.find((each) => each.id === id);
    return of && !isDone(hand.progress.states.get(id)) ? [of] : [];
  });
  if (open.length === 0) return null;
  return (
    <div className="pt-2 text-[15.5px]">
      <span className="text-quiet">First: </span>
      {open.slice(0, 4).map(({ id, name }, index) => (
        <span key={id}>
          {index > 0 && '; '}
          <button
            type="button"
            className="min-h-11 text-left font-semibold underline"
            onClick={() => onGo(id)}
          >
            {name}
          </button>
        </span>
      ))}
      {open.length > 4 && ` and ${open.length - 4} more`}
    </div>
  );
}
