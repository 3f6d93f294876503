import { scaleLinear } from 'd3-scale';
import {
  ENOUGH,
  isDone,
  paceOf,
  schedule,
  USUAL_WEEK,
  type Schedule,
  type Sort,
  type Work,
} from '@larchwood/core';
import { MOST_PEOPLE, type Calendar } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { ChoiceRow } from '../../ledger/ChoiceRow';
import { Group, Panel, Row } from '../../ledger/Panel';
import { TextField } from '../../ledger/TextField';
import { useShop } from '../../lists/useShop';
import { today } from '../../parts/today';
import { useSize } from '../../parts/useSize';
import { setCalendar, workOf } from '../../edits/work';
import { hoursText, parseHours } from './hoursText';
import type { WorkHand } from './useWork';

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
const CREWS = Array.from({ length: MOST_PEOPLE }, (_, index) => ({
  value: String(index + 1),
  label: index === 0 ? 'one person' : `${index + 1} people`,
}));
const DAY = 86_400_000;
const parsed = (day: string): Date => new Date(`${day}T00:00:00Z`);
const dayText = (date: Date): string =>
  date.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' });

/** When there is time for what: steps in the working times of each week, what must wait, and what decides the end. */
export function TimeView({ hand }: { readonly hand: WorkHand }) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const { shop } = useShop();
  const { work, progress, hours } = hand;
  const data = workOf(document);
  const now = today();
  const calendar: Calendar = data.calendar ?? { from: now, week: [...USUAL_WEEK] };
  const from = calendar.from > now ? calendar.from : now;
  const first = parsed(from);
  const plan = schedule(
    work.steps,
    data,
    calendar.week,
    hours,
    (id) => isDone(progress.states.get(id)),
    from,
    calendar.people,
  );
  const end = plan.days === undefined ? undefined : new Date(first.getTime() + plan.days * DAY);
  const change = (next: Calendar) => {
    edit('work.calendar', setCalendar(next));
    settle();
  };
  const timed = Object.values(shop.hours);
  const sorts = [...new Set(timed.map(({ sort }) => sort as Sort))];
  return (
    <>
      <div
        className="flex min-h-0 min-w-0 flex-1 flex-col overflow-auto bg-sheet p-4"
        tabIndex={0}
        role="group"
        aria-label="Time"
      >
        <p className="text-[16px] font-bold">
          {plan.left === 0
            ? 'All is done.'
            : end
              ? `${hoursText(plan.left)} of work: rolling on ${dayText(end)}`
              : `${hoursText(plan.left)} of work, and no time for it in the week: enter some at the right.`}
        </p>
        <p className="caption pb-3">
          Working time only, day after day; thick bars are the chain that decides the end: what is done there
          later makes all later.
          {(calendar.people ?? 1) > 1 &&
            ' Each person takes the first step that can be begun; what waits for another’s waits.'}{' '}
          Times are the usual ones until three steps of a kind are timed.
        </p>
        {plan.slots.length > 0 && <Chart plan={plan} work={work} first={first} />}
      </div>
      <Panel title="Time" aside={end ? `until ${dayText(end)}` : ''}>
        <Group title="When there is time to work">
          <Row name="From">
            <input
              type="date"
              aria-label="First day"
              className="min-h-8 border border-rule bg-sheet px-2"
              value={calendar.from}
              onChange={(event) => {
                if (/^\d{4}-\d{2}-\d{2}$/.test(event.target.value))
                  change({ ...calendar, from: event.target.value });
              }}
            />
          </Row>
          <ChoiceRow
            name="At the same time"
            label="People who work at the same time"
            value={String(calendar.people ?? 1)}
            options={CREWS}
            onChange={(people) => change({ ...calendar, people: Number(people) })}
          />
          {DAYS.map((name, day) => (
            <Row key={name} name={name}>
              <TextField
                field={`work.week.${day}`}
                label={`${name}, working time`}
                value={hoursText(calendar.week[day]!)}
                parsed
                className="w-24"
                onCommit={(text) => {
                  const result = parseHours(text);
                  if (!result.ok) return result;
                  if (result.value > 24) return { ok: false, message: 'A day has 24 hours.' };
                  const week = calendar.week.map((each, at) => (at === day ? result.value : each));
                  edit('work.calendar', setCalendar({ ...calendar, week }));
                  return { ok: true, value: true };
                }}
              />
            </Row>
          ))}
        </Group>
        <Group title="What the log has taught">
          {sorts.length === 0 && (
            <p className="caption px-4">
              Nothing is timed yet: enter on the bench view what a step took. From {ENOUGH} of a kind on, the
              middle one corrects the usual time.
            </p>
          )}
          {sorts.map((sort) => {
            const { factor, count } = paceOf(
              timed.map((each) => ({ ...each, sort: each.sort as Sort })),
              sort,
            );
            return (
              <Row key={sort} name={sort.charAt(0).toUpperCase() + sort.slice(1)}>
                {count < ENOUGH ? (
                  <span className="caption">{count} timed</span>
                ) : (
                  <span className="figure">
                    × {factor.toFixed(2)} <span className="caption">of {count}</span>
                  </span>
                )}
              </Row>
            );
          })}
        </Group>
      </Panel>
    </>
  );
}

const ROW = 22;
/** Bars of the steps over the working time of each day; days without work are left out, days that must pass are named. */
function Chart({
  plan,
  work,
  first,
}: {
  readonly plan: Schedule;
  readonly work: Work;
  readonly first: Date;
}) {
  const { frame, size } = useSize({ width: 700, height: 400 });
  const names = new Map(work.steps.map(({ id, name }) => [id, name]));
  const chain = new Set(plan.chain);
  const rows = [...new Set(plan.slots.map(({ step }) => step))];
  const days = daysOf(plan);
  const total = days.at(-1)!.from + days.at(-1)!.hours;
  const width = Math.max(560, size.width);
  const left = Math.min(290, width * 0.4);
  const x = scaleLinear()
    .domain([0, total])
    .range([left, width - 8]);
  const height = rows.length * ROW + 30;
  const startOf = new Map(days.map(({ day, from }) => [day, from]));
  const shown = labelled(days, x, width);
  return (
    <div ref={frame}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`${rows.length} steps on ${days.length} working days`}
      >
        {days.map(({ day, from }) => (
          <line key={day} x1={x(from)} x2={x(from)} y1={20} y2={height} stroke="var(--rule)" />
        ))}
        {shown.map(({ day, from }) => (
          <text key={day} x={x(from) + 3} y={13} fontSize={12} fill="var(--quiet)">
            {dayText(new Date(first.getTime() + day * DAY))}
          </text>
        ))}
        {rows.map((step, row) => {
          const y = 24 + row * ROW;
          const own = plan.slots.filter((slot) => slot.step === step);
          const thick = chain.has(step);
          return (
            <g key={step}>
              <text x={left - 8} y={y + 14} fontSize={12.5} textAnchor="end" fill="var(--ink)">
                {cut(names.get(step) ?? step, Math.floor(left / 6.6))}
              </text>
              {own.map((slot) => (
                <rect
                  key={slot.day}
                  x={x(startOf.get(slot.day)! + slot.from)}
                  y={y + (thick ? 3 : 6)}
                  width={Math.max(2, x(slot.to) - x(slot.from))}
                  height={thick ? 14 : 8}
                  fill={thick ? 'var(--larch)' : 'var(--steel)'}
                >
                  <title>{`${names.get(step)}: ${hoursText(plan.hours[step]!)}`}</title>
                </rect>
              ))}
            </g>
          );
        })}
      </svg>
    </div>
  );
}
/** Days whose names have room. */
function labelled(
  days: ReturnType<typeof daysOf>,
  x: (hours: number) => number,
  width: number,
): ReturnType<typeof daysOf> {
  let last = -Infinity;
  return days.filter(({ from }) => {
    if (x(from) - last < LABEL || x(from) > width - LABEL) return false;
    last = x(from);
    return true;
  });
}
/** Room that a day's name takes, px. */
const LABEL = 78;

/** Each day with work, and where it begins when all working time is laid end to end. */
function daysOf({ slots }: Schedule) {
  const lengths = new Map<number, number>();
  for (const { day, to } of slots) lengths.set(day, Math.max(lengths.get(day) ?? 0, to));
  let from = 0;
  return [...lengths].map(([day, hours]) => {
    const at = from;
    from += hours;
    return { day, hours, from: at };
  });
}
const cut = (text: string, most: number): string =>
  text.length > most ? `${text.slice(0, most - 1)}…` : text;
