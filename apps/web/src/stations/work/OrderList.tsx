import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { memo, useCallback, useEffect, useRef } from 'react';
import { isDone, nameInText, PHASES, type Step, type StepState } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { moveStep, setDone } from '../../edits/work';
import { hoursText } from './hoursText';
import { StepMark } from './StepMark';
import type { WorkHand } from './useWork';

interface Props {
  readonly hand: WorkHand;
  readonly picked: string | undefined;
  readonly pick: (step: string) => void;
}

/** Every step in its order: dragged by its grip, or moved with it by the keyboard. */
export function OrderList({ hand, picked, pick }: Props) {
  const { plan, edit, settle } = useEditor('plan', 'edit', 'settle');
  const { work, progress, hours } = hand;
  const { steps } = work;
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const [from, to] = [active.id, over.id].map((id) => steps.findIndex((step) => step.id === id)) as [
      number,
      number,
    ];
    // Dropped downwards it comes after the one it lies on, upwards before it.
    const after = to > from ? steps[to]!.id : (steps[to - 1]?.id ?? 'start');
    edit('work.moves', moveStep(String(active.id), after));
    settle();
  };
  const tick = useCallback(
    (step: Step, done: boolean) => {
      edit(`done.${step.id}`, setDone(step, { done }, new Date(), plan?.fixture.settings));
      settle();
    },
    [plan, edit, settle],
  );
  const place = (id: unknown) => steps.findIndex((step) => step.id === id) + 1;
  const said = (id: unknown) => steps.find((step) => step.id === id)?.name ?? '';
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${said(active.id)}, lifted from place ${place(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over ? `${said(active.id)}, over place ${place(over.id)}.` : undefined,
    onDragEnd: ({ active, over }) =>
      `${said(active.id)}, put down${over ? ` at place ${place(over.id)}` : ''}.`,
    onDragCancel: ({ active }) => `${said(active.id)} stays where it was.`,
  };
  const resting = new Set(hand.late.flatMap(({ standOnIt }) => standOnIt.map(({ id }) => id)));
  const breached = new Set(work.breaches.map(({ step }) => step));
  return (
    <div
      className="min-h-0 flex-1 overflow-auto bg-sheet"
      tabIndex={0}
      role="group"
      aria-label="Steps in order"
    >
      <DndContext
        accessibility={{ announcements, screenReaderInstructions: HOW }}
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={drop}
      >
        <SortableContext items={steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
          <ol className="pb-6">
            {steps.map((step, index) => {
              const before = steps[index - 1];
              const head =
                before?.phase !== step.phase || before.part !== step.part
                  ? `${PHASES[step.phase]}${step.part === undefined ? '' : `: ${nameInText(step.part)}`}`
                  : undefined;
              return (
                <Row
                  key={step.id}
                  step={step}
                  number={index + 1}
                  head={head}
                  state={progress.states.get(step.id) ?? 'waits'}
                  hours={hours(step)}
                  early={breached.has(step.id)}
                  rests={resting.has(step.id)}
                  next={progress.next === step.id}
                  picked={picked === step.id}
                  pick={pick}
                  tick={tick}
                />
              );
            })}
          </ol>
        </SortableContext>
      </DndContext>
    </div>
  );
}

const HOW = {
  draggable:
    'Space lifts the step, the arrow keys move it, space puts it down, escape leaves it where it was.',
};

interface RowProps {
  readonly step: Step;
  readonly number: number;
  readonly head: string | undefined;
  readonly state: StepState;
  readonly hours: number;
  readonly early: boolean;
  /** Done already, and a step that it needs was done by other numbers than it has now. */
  readonly rests: boolean;
  readonly next: boolean;
  readonly picked: boolean;
  readonly pick: (step: string) => void;
  readonly tick: (step: Step, done: boolean) => void;
}

const Row = memo(function Row({
  step,
  number,
  head,
  state,
  hours,
  early,
  rests,
  next,
  picked,
  pick,
  tick,
}: RowProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: step.id,
  });
  const done = isDone(state);
  const row = useRef<HTMLDivElement>(null);
  // Also where a finding, or another step, leads to it.
  useEffect(() => {
    if (picked) row.current?.scrollIntoView({ block: 'nearest' });
  }, [picked]);
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`relative ${isDragging ? 'z-10' : ''}`}
    >
      {head !== undefined && <h3 className="caption border-b border-rule px-4 pt-3 pb-1">{head}</h3>}
      <div
        ref={row}
        className={`flex min-h-9 items-center gap-2 border-b border-rule pr-4 pl-1 ${picked ? 'bg-larch-wash' : isDragging ? 'bg-paper' : 'bg-sheet'}`}
      >
        <button
          type="button"
          className="inline-flex size-8 shrink-0 cursor-grab items-center justify-center text-quiet hover:text-ink"
          {...attributes}
          {...listeners}
          aria-label={`Move step ${number}, ${step.name}`}
        >
          <GripVertical size={15} aria-hidden />
        </button>
        <input
          type="checkbox"
          className="size-5 shrink-0 accent-larch"
          aria-label={`${number}, ${step.name}: done`}
          checked={done}
          onChange={(event) => tick(step, event.target.checked)}
        />
        <span className="figure w-9 shrink-0 text-right text-quiet">{number}</span>
        <StepMark state={state} />
        <button
          type="button"
          aria-pressed={picked}
          className={`min-w-0 flex-1 truncate text-left hover:underline ${state === 'done' ? 'text-quiet' : ''} ${next ? 'font-bold' : ''}`}
          onClick={() => pick(step.id)}
        >
          {step.name}
        </button>
        {next && <span className="caption shrink-0">next</span>}
        {rests && (
          <span className="shrink-0 text-[12px] font-semibold text-larch-text">rests on a changed step</span>
        )}
        {early && <span className="shrink-0 text-[12px] font-semibold text-larch-text">too early</span>}
        <span className="figure w-16 shrink-0 text-right text-[13px] text-quiet">{hoursText(hours)}</span>
      </div>
    </li>
  );
});
