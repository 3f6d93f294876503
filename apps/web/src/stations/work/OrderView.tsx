import { nanoid } from 'nanoid';
import { useRef, useState } from 'react';
import { isDone, success, type Plan } from '@larchwood/core';
import type { WayId, WorkData } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { ChoiceRow } from '../../ledger/ChoiceRow';
import { Findings } from '../../ledger/Findings';
import { Group, Panel } from '../../ledger/Panel';
import { TextField } from '../../ledger/TextField';
import { Button } from '../../parts/Button';
import { useSlow } from '../../planning/useSlow';
import { addOwn, allBack, changeOwn, chooseVents, chooseWay, chooseWelding, workOf } from '../../edits/work';
import { hoursText } from './hoursText';
import { OrderList } from './OrderList';
import { StepDetail } from './StepDetail';
import type { WorkHand } from './useWork';

const WELDING: readonly { readonly value: WorkData['welding']; readonly label: string }[] = [
  { value: 'off', label: 'Tack on it, weld off it' },
  { value: 'on', label: 'Weld on it' },
  { value: 'stitch', label: 'Short tacks all round' },
];
const VENTS: readonly { readonly value: WorkData['vents']; readonly label: string }[] = [
  { value: 'drained', label: 'Vented and drained' },
  { value: 'sealed', label: 'Vented, sealed after' },
];

/** The order of everything, and the step in hand. */
export function OrderView({ plan, hand }: { readonly plan: Plan; readonly hand: WorkHand }) {
  const { document, edit, settle, piece, setPiece } = useEditor(
    'document',
    'edit',
    'settle',
    'piece',
    'setPiece',
  );
  const found = useSlow('workFindings').value ?? [];
  const [chosen, choose] = useState<string>();
  const pointed = hand.work.steps.some(({ id }) => id === piece);
  const pick = (id: string) => {
    // What a finding pointed at is let go of, for it to point again.
    if (pointed) setPiece(undefined);
    choose(id);
  };
  const told = useRef<HTMLDivElement>(null);
  const toLookAt = found.filter(({ severity }) => severity !== 'note').length;
  const { work, progress, hours } = hand;
  const data = workOf(document);
  const picked = pointed ? piece : chosen;
  const step =
    work.steps.find(({ id }) => id === picked) ??
    work.steps.find(({ id }) => id === progress.next) ??
    work.steps[0];
  const own = step && data.own.find(({ id }) => id === step.id);
  const change = (key: string, next: Parameters<typeof edit>[1]) => {
    edit(key, next);
    settle();
  };
  const add = () => {
    const id = `own:${nanoid(8)}`;
    change(
      'work.own',
      addOwn({ id, name: 'A step of your own', hours: 0.5, ...(step ? { after: step.id } : {}) }),
    );
    pick(id);
  };
  const left = work.steps
    .filter(({ id }) => !isDone(progress.states.get(id)))
    .reduce((sum, each) => sum + hours(each), 0);
  return (
    <>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <div className="flex min-h-10 shrink-0 flex-wrap items-center justify-between gap-x-4 border-b border-rule px-4 py-1">
          <span>
            <span className="font-bold">
              {progress.done} of {work.steps.length} steps done
            </span>{' '}
            <span className="caption">{hoursText(left)} of work left</span>
            {hand.late.length > 0 && (
              <Button look="link" className="ml-3" onClick={() => pick(hand.late[0]!.step.id)}>
                {hand.late.length === 1
                  ? '1 done step has changed'
                  : `${hand.late.length} done steps have changed`}
              </Button>
            )}
            {toLookAt > 0 && (
              <Button look="link" className="ml-3" onClick={() => told.current?.scrollIntoView()}>
                {toLookAt} to look at
              </Button>
            )}
          </span>
          <span className="flex items-center gap-2">
            {(data.moves.length > 0 || data.seams.length > 0) && (
              <Button look="quiet" onClick={() => change('work.moves', allBack)}>
                Put all back
              </Button>
            )}
            <Button onClick={add}>Add a step</Button>
          </span>
        </div>
        <OrderList hand={hand} picked={step?.id} pick={pick} />
      </div>
      <Panel title="Work" aside={work.way.name}>
        {own && (
          <Group title="Your own step">
            <div className="px-3">
              <TextField
                field={`work.own.${own.id}`}
                label="What is to be done"
                value={own.name}
                required
                onCommit={(name) => {
                  edit(`work.own.${own.id}`, changeOwn(own.id, { name }));
                  return success(true as const);
                }}
              />
            </div>
          </Group>
        )}
        {step && <StepDetail key={step.id} plan={plan} hand={hand} step={step} pick={pick} />}
        <Group title="How it is built">
          <ChoiceRow
            name="First"
            label="Which part is built first"
            value={work.way.id}
            options={work.ways.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(way) => change('work.way', chooseWay(way as WayId))}
          />
          <p className="caption px-4">{work.way.about}</p>
          <ChoiceRow
            name="Fixture"
            label="Welding and the fixture"
            value={data.welding}
            options={WELDING}
            onChange={(welding) => change('work.welding', chooseWelding(welding as WorkData['welding']))}
          />
          <ChoiceRow
            name="Tubes"
            label="Closed tubes"
            value={data.vents}
            options={VENTS}
            onChange={(vents) => change('work.vents', chooseVents(vents as WorkData['vents']))}
          />
        </Group>
        {progress.gone.length > 0 && (
          <p className="caption px-4 py-2">
            {progress.gone.length}{' '}
            {progress.gone.length === 1 ? 'step that was done is' : 'steps that were done are'} no longer part
            of this frame; the record keeps them.
          </p>
        )}
        <div ref={told}>
          <Findings findings={found} refused={false} />
        </div>
      </Panel>
    </>
  );
}
