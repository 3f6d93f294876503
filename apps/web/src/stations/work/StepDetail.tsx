import { ArrowDown, ArrowUp, RotateCcw, Trash2 } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import {
  asSentence,
  CAUTIONS,
  success,
  USUAL_WAITS,
  gaugeDisplay,
  type Plan,
  type Step,
} from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Group, Row } from '../../ledger/Panel';
import { TextField } from '../../ledger/TextField';
import { Button, IconButton } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Measure } from '../../parts/Figure';
import {
  addNeed,
  changeOwn,
  moveStep,
  removeNeed,
  removeOwn,
  setDue,
  setHours,
  setWait,
  stepBack,
  workOf,
} from '../../edits/work';
import { hoursText, parseHours } from './hoursText';
import { LateStep } from './LateStep';
import { StepDrawing } from './StepDrawing';
import { STATE_WORDS, StepMark } from './StepMark';
import { useTool } from './useTool';
import type { WorkHand } from './useWork';

interface Props {
  readonly plan: Plan;
  readonly hand: WorkHand;
  readonly step: Step;
  readonly pick: (step: string) => void;
}

/** The step in hand: how, with what numbers, what it waits for and what waits for it. */
export function StepDetail({ plan, hand, step, pick }: Props) {
  const { build, document, edit, settle, setPiece } = useEditor(
    'build',
    'document',
    'edit',
    'settle',
    'setPiece',
  );
  const { work, progress, hours } = hand;
  const tool = useTool(plan, step);
  const top = useRef<HTMLDivElement>(null);
  // Made anew for each step: its beginning is seen first.
  useEffect(() => {
    top.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  const { steps } = work;
  const data = workOf(document);
  const index = steps.findIndex(({ id }) => id === step.id);
  const own = data.own.find(({ id }) => id === step.id);
  const wasMoved = data.moves.some((move) => move.step === step.id);
  const nameOf = (id: string) => steps.find((each) => each.id === id)?.name;
  const state = progress.states.get(step.id) ?? 'waits';
  const tick = document.done?.find((each) => each.step === step.id);
  const change = (key: string, next: Parameters<typeof edit>[1]) => {
    const result = edit(key, next);
    settle();
    return result;
  };
  const blocks = steps.filter(({ needs }) => needs.some((need) => need.step === step.id));
  const late = hand.late.find((each) => each.step.id === step.id);
  const wait = data.waits[step.id] ?? USUAL_WAITS[step.id] ?? 0;
  return (
    <Group title={`Step ${index + 1} of ${steps.length}`}>
      <div ref={top} className="scroll-mt-10" />
      {step.pieces.length > 0 && (
        <StepDrawing
          plan={plan}
          pieces={step.pieces}
          className="mx-4 h-36 w-[290px] border border-rule bg-sheet"
        />
      )}
      <h3 className="px-4 pt-1 text-[16px] leading-tight font-bold">{step.name}</h3>
      <p className="flex items-center gap-1.5 px-4 text-[13px]">
        <StepMark state={state} />
        <span>{asSentence(STATE_WORDS[state])}</span>
      </p>
      {late && (
        <div className="px-4">
          <LateStep late={late} />
        </div>
      )}
      {tick?.wrong !== undefined && <p className="px-4 text-brick">Wrong: {tick.wrong}</p>}
      <p className="px-4 py-1">{step.about}</p>
      {step.check !== undefined && <p className="px-4 pb-1 text-[13.5px]">Check: {step.check}</p>}
      {step.lines.slice(0, MOST_LINES).map(({ id, text, value: drawn, quantity, gauge, setting }) => {
        // A setting that makes up for another is set where the fixture asks.
        const value = plan.fixture.settings.find((each) => each.id === setting)?.reading ?? drawn;
        return (
          <Row key={id} name={<span className="text-[13.5px]">{text}</span>}>
            {value !== undefined && quantity !== undefined && (
              <Measure
                value={value}
                quantity={quantity}
                display={gauge ? gaugeDisplay(value, document.units) : document.units}
              />
            )}
          </Row>
        );
      })}
      {step.lines.length > MOST_LINES && (
        <p className="caption px-4">and {step.lines.length - MOST_LINES} more</p>
      )}
      {tool !== undefined && <Row name="With">{tool}</Row>}
      {step.sheet && (
        <p className="px-4 py-1">
          <Link
            className="font-semibold text-larch-text underline"
            onClick={() => setPiece(step.sheet?.ref)}
            to={`/builds/${build.id}/${sheetPath(step.sheet)}`}
          >
            Its drawing and numbers
          </Link>
        </p>
      )}
      <Row name="Takes">
        <TextField
          field={`work.hours.${step.id}`}
          label={`${step.name}: takes`}
          value={hoursText(hours(step))}
          parsed
          className="w-24"
          onCommit={(text) => {
            const parsed = parseHours(text);
            if (!parsed.ok) return parsed;
            edit(
              `work.hours.${step.id}`,
              own ? changeOwn(step.id, { hours: parsed.value }) : setHours(step.id, parsed.value),
            );
            return success(true as const);
          }}
        />
        {data.hours[step.id] !== undefined && (
          <IconButton
            name={`${step.name}: usual time again`}
            className="!size-7"
            onClick={() => change('work.hours', setHours(step.id, undefined))}
          >
            <RotateCcw size={13} aria-hidden />
          </IconButton>
        )}
      </Row>
      {own ? (
        <Row name="Not before">
          <input
            type="date"
            aria-label={`${step.name}: not before`}
            className="min-h-8 w-36 border border-rule bg-sheet px-2"
            value={own.due ?? ''}
            onChange={({ target: { value } }) => {
              if (value === '' || /^\d{4}-\d{2}-\d{2}$/.test(value))
                change('work.own', setDue(step.id, value === '' ? undefined : value));
            }}
          />
        </Row>
      ) : (
        step.due !== undefined && (
          <Row name="Not before">
            <span className="figure">{step.due}</span>
          </Row>
        )
      )}
      <Row name="Then days must pass">
        <TextField
          field={`work.waits.${step.id}`}
          label={`${step.name}: days that must pass after it`}
          value={String(wait)}
          parsed
          className="w-24"
          onCommit={(text) => {
            const days = Number(text.trim().replace(',', '.'));
            if (text.trim() === '' || !Number.isFinite(days) || days < 0 || days > 365)
              return { ok: false, message: 'From 0 to 365 days.' };
            edit(`work.waits.${step.id}`, setWait(step.id, days));
            return success(true as const);
          }}
        />
      </Row>
      <div className="flex flex-wrap gap-2 px-4 py-2">
        <Button
          disabled={index === 0}
          onClick={() => change('work.moves', moveStep(step.id, steps[index - 2]?.id ?? 'start'))}
        >
          <ArrowUp size={14} aria-hidden /> Earlier
        </Button>
        <Button
          disabled={index === steps.length - 1}
          onClick={() => change('work.moves', moveStep(step.id, steps[index + 1]!.id))}
        >
          <ArrowDown size={14} aria-hidden /> Later
        </Button>
        {wasMoved && (
          <Button onClick={() => change('work.moves', stepBack(step.id))}>
            <RotateCcw size={14} aria-hidden /> Put back
          </Button>
        )}
        {own && (
          <Button onClick={() => change('work.own', removeOwn(step.id))}>
            <Trash2 size={14} aria-hidden /> Take out
          </Button>
        )}
      </div>
      <Waits title="Waits for">
        {step.needs
          .filter(({ step: id }) => nameOf(id) !== undefined)
          .map(({ step: id, why }) => (
            <li key={`${id} ${why}`} className="flex items-center justify-between gap-2">
              <Button look="link" className="!whitespace-normal py-1 text-left" onClick={() => pick(id)}>
                {nameOf(id)}
              </Button>
              {why === 'usual' && <span className="caption">usually</span>}
              {why === 'own' && (
                <IconButton
                  name={`Does not wait for ${nameOf(id)}`}
                  className="!size-7"
                  onClick={() => change('work.needs', removeNeed(step.id, id))}
                >
                  <Trash2 size={13} aria-hidden />
                </IconButton>
              )}
            </li>
          ))}
      </Waits>
      <div className="px-4 pb-1">
        <Choice
          label={`${step.name} waits for`}
          value=""
          placeholder="Let it wait for a step…"
          className="w-full"
          groups={[
            {
              options: steps
                .filter(({ id }) => id !== step.id && !step.needs.some((need) => need.step === id))
                .map(({ id, name }) => ({ value: id, label: name })),
            },
          ]}
          onChange={(id) => change('work.needs', addNeed(step.id, id))}
        />
      </div>
      <Waits title="Wait for it">
        {blocks.slice(0, 6).map(({ id, name }) => (
          <li key={id}>
            <Button look="link" className="!whitespace-normal py-1 text-left" onClick={() => pick(id)}>
              {name}
            </Button>
          </li>
        ))}
        {blocks.length > 6 && <li className="caption">and {blocks.length - 6} more</li>}
      </Waits>
      {step.cautions.map((id) => (
        <p key={id} className="mx-4 my-1 border-l-4 border-larch pl-2 text-[13px]">
          {CAUTIONS[id]}
        </p>
      ))}
    </Group>
  );
}
/** Where a step's numbers are: a station, with the view and the stage that are meant. */
function sheetPath({ station, show, at }: NonNullable<Step['sheet']>): string {
  const search = new URLSearchParams({
    ...(show === undefined ? {} : { show }),
    ...(at === undefined ? {} : { at }),
  });
  return search.size === 0 ? station : `${station}?${search}`;
}
/** More lines than so many are for the bench view and for paper. */
const MOST_LINES = 8;

function Waits({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  const empty = Array.isArray(children) && children.flat().filter(Boolean).length === 0;
  return empty ? null : (
    <div className="px-4 py-1">
      <h4 className="caption">{title}</h4>
      <ul>{children}</ul>
    </div>
  );
}
