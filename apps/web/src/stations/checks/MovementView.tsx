import { lazy, Suspense, useCallback, useMemo, useState } from 'react';
import {
  CHECK_STAGES,
  KEY_IDS,
  JOINT_NAMES,
  jointKindOf,
  usualMovement,
  type KeyId,
  type Movement,
  type Plan,
  type StageResult,
  type ViewName,
} from '@larchwood/core';
import type { CheckStage } from '@larchwood/format';
import { useEditor, useUnits } from '../../editor/editor';
import { ChoiceRow } from '../../ledger/ChoiceRow';
import { Group, Panel } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Length } from '../../parts/Figure';
import { today } from '../../parts/today';
import { useShop } from '../../lists/useShop';
import { FrameOutlines } from '../../sheet/FrameOutlines';
import { outlinesOf, seenFrom } from '../../sheet/outlines';
import { checksOf, setPreset } from '../../edits/checks';
import type { ChecksHand } from './useChecks';

const VIEWS = [
  { value: 'side', label: 'Side' },
  { value: 'plan', label: 'Plan' },
  { value: 'front', label: 'Front' },
] as const;
/** Loaded when it is looked at: it brings the library that draws space. */
const MovementSpace = lazy(() =>
  import('../../space/MovementSpace').then((module) => ({ default: module.MovementSpace })),
);
const SPACE = 'space';
/** Arrows are drawn so many times their length. */
const SCALES = [10, 20, 50] as const;

/** What moved since the stage before, as arrows, and what to set off next time. */
export function MovementView({
  plan,
  hand,
  stage,
}: {
  readonly plan: Plan;
  readonly hand: ChecksHand;
  readonly stage: CheckStage;
}) {
  const [chosen, setView] = useState<ViewName | typeof SPACE>();
  const [scale, setScale] = useState<number>(20);
  const { points } = hand.list;
  const placeOf = useCallback((point: string) => points[point]!.at, [points]);
  const result = hand.results.find((each) => each.stage === stage);
  if (!result?.since)
    return (
      <>
        <p className="min-w-0 flex-1 p-8">
          Movement shows once two stages are measured: this one, and one before it. Between tacked and welded
          it says what the heat does in your hands.
        </p>
        <Panel title="Movement" aside="none measured">
          <NextTime hand={hand} sure={[]} />
        </Panel>
      </>
    );
  const { movements, stage: before } = result.since;
  const keys = movements.filter(({ point }) => hand.list.points[point]);
  const sure = keys.filter((each) => each.sure);
  const view = chosen ?? clearest(sure);
  const told = keys.filter((each) => each.sure || sizeOf(each) >= STILL);
  return (
    <>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <div className="flex min-h-10 shrink-0 items-center border-b border-rule px-4 py-1">
          <span>
            <span className="font-bold">
              From {CHECK_STAGES[before].name.toLowerCase()} to {CHECK_STAGES[stage].name.toLowerCase()}
            </span>{' '}
            <span className="caption">
              arrows {scale} times their length; {view === SPACE ? 'thin' : 'dashed'} where the readings are
              not sure of it
            </span>
          </span>
        </div>
        {view === SPACE ? (
          <Suspense fallback={<p className="p-8 text-quiet">Making it in space…</p>}>
            <MovementSpace plan={plan} movements={keys} placeOf={placeOf} times={scale} />
          </Suspense>
        ) : (
          <Arrows plan={plan} movements={keys} result={result} hand={hand} view={view} scale={scale} />
        )}
      </div>
      <Panel title="Movement" aside={`${sure.length} of ${keys.length} sure`}>
        <ChoiceRow
          name="View"
          changes={false}
          value={view}
          options={[...VIEWS, { value: SPACE, label: 'In space' }]}
          onChange={(next) => setView(next as ViewName | typeof SPACE)}
        />
        <ChoiceRow
          name="Arrows"
          changes={false}
          label="How large the arrows are"
          value={String(scale)}
          options={SCALES.map((each) => ({ value: String(each), label: `× ${each}` }))}
          onChange={(next) => setScale(Number(next))}
        />
        <Group title="What moved, forwards, left and up">
          {[...told]
            .sort((a, b) => Number(b.sure) - Number(a.sure) || sizeOf(b) - sizeOf(a))
            .map(({ point, by, sure: is }) => (
              <PointRow key={point} name={hand.list.points[point]!.name} by={by} sure={is} />
            ))}
          {told.length < keys.length && (
            <p className="caption px-4">
              {told.length === 0 ? 'All' : 'The other'} {keys.length - told.length} points stood still.
            </p>
          )}
        </Group>
        <NextTime hand={hand} sure={sure} />
      </Panel>
    </>
  );
}
/** What the fixture is set off by: this movement, or what the workshop's log says is usual. */
function NextTime({ hand, sure }: { readonly hand: ChecksHand; readonly sure: readonly Movement[] }) {
  const { document, edit, settle, build } = useEditor('document', 'edit', 'settle', 'build');
  const { shop, add } = useShop();
  const logged = Object.values(shop.moved);
  const inLog = logged.some((each) => each.build === build.id);
  const { points } = hand.list;
  // A fixture holds the key points: the others follow from them.
  const held = sure.filter(({ point }) => isKey(point));
  const usual = KEY_IDS.flatMap((point) => {
    const found = points[point] && usualMovement(logged, document.kind, point, points);
    return found ? [{ point, ...found }] : [];
  });
  const count = Object.keys(checksOf(document).preset).length;
  const set = (moved: readonly Pick<Movement, 'point' | 'by'>[]) => {
    const preset = Object.fromEntries(moved.map(({ point, by: [x, y, z] }) => [point, tenths([-x, -y, -z])]));
    edit('checks.preset', setPreset(preset, new Date()));
    settle();
  };
  return (
    <>
      <Group title="Next time">
        <p className="px-4 text-[13.5px]">
          Set off by as much the other way, the fixture takes {sure.length > 0 ? 'this' : 'the usual'}{' '}
          movement in: it is reckoned into the settings of the Fixture station, and into what is read before
          welding.
        </p>
        <p className="flex flex-wrap gap-2 px-4 py-2">
          {sure.length > 0 && (
            <Button disabled={held.length === 0} onClick={() => set(held)}>
              Set the fixture off by it
            </Button>
          )}
          {usual.length > 0 && (
            <Button look={held.length > 0 ? 'quiet' : 'plain'} onClick={() => set(usual)}>
              Set the fixture off by the log
            </Button>
          )}
          {count > 0 && (
            <Button look="quiet" onClick={() => set([])}>
              Take it out again
            </Button>
          )}
          {sure.length > 0 && (
            <Button
              look="quiet"
              disabled={held.length === 0 || inLog}
              onClick={() => {
                for (const { point, by } of held)
                  add('moved', {
                    ...{ build: build.id, kind: document.kind, point, on: today(), by: tenths(by) },
                    joint: jointKindOf(point as KeyId, points),
                  });
              }}
            >
              {inLog ? 'It is in the log' : 'Put it into the log'}
            </Button>
          )}
        </p>
        {count > 0 && (
          <p className="px-4 text-[13.5px] font-semibold">
            The fixture is set off at {count} {count === 1 ? 'point' : 'points'}.
          </p>
        )}
      </Group>
      <Group title="Usual by the log, forwards, left and up">
        {usual.length === 0 && (
          <p className="px-4 text-[13.5px]">
            Nothing is logged yet of such a vehicle, nor of such joints on another.
          </p>
        )}
        {usual.map(({ point, by, count: of, from }) => (
          <PointRow
            key={point}
            name={points[point]!.name}
            from={
              from === 'vehicle'
                ? `${of} logged of such a vehicle`
                : `${of} logged: ${JOINT_NAMES[jointKindOf(point, points)]} of others`
            }
            by={by}
            sure
          />
        ))}
      </Group>
    </>
  );
}
const isKey = (point: string): boolean => (KEY_IDS as readonly string[]).includes(point);

/** A point and how far it moved: forwards, to the left, and up. */
function PointRow({
  name,
  from,
  by,
  sure,
}: {
  readonly name: string;
  /** What it is learned from. */
  readonly from?: string;
  readonly by: Movement['by'];
  readonly sure: boolean;
}) {
  const units = useUnits();
  return (
    <p className="flex items-baseline justify-between gap-3 px-4 py-1">
      <span className={`min-w-0 ${sure ? '' : 'text-quiet'}`}>
        {name}
        {from !== undefined && <span className="caption block">{from}</span>}
      </span>
      <span className={`flex shrink-0 gap-2 ${sure ? 'font-semibold' : 'text-quiet'}`}>
        {by.map((value, axis) => (
          <span key={axis} className="min-w-10 text-right">
            <Length mm={value} display={units} unit={false} />
          </span>
        ))}
      </span>
    </p>
  );
}

/** Less than this is no movement, mm. */
const STILL = 0.15;
/** The view in which most of it shows. */
const clearest = (movements: readonly Movement[]): ViewName => {
  const seen = (view: ViewName) =>
    movements.reduce((sum, { by }) => sum + Math.hypot(...seenFrom(view)(by)), 0);
  return VIEWS.map(({ value }) => value).reduce(
    (best, each) => (seen(each) > seen(best) ? each : best),
    'side',
  );
};
const sizeOf = ({ by }: Movement): number => Math.hypot(...by);
const tenths = ([x, y, z]: Movement['by']): [number, number, number] => [tenth(x), tenth(y), tenth(z)];
const tenth = (value: number): number => Math.round(value * 10) / 10;

function Arrows({
  plan,
  movements,
  hand,
  view,
  scale,
}: {
  readonly plan: Plan;
  readonly movements: readonly Movement[];
  readonly result: StageResult;
  readonly hand: ChecksHand;
  readonly view: ViewName;
  readonly scale: number;
}) {
  const shapes = useMemo(() => outlinesOf(plan, view), [plan, view]);
  const see = seenFrom(view);
  return (
    <FrameOutlines
      label={`What moved, in the ${view} view`}
      shapes={shapes}
      margin={0.1}
      className="min-h-0 flex-1 bg-sheet"
    >
      {(size) =>
        movements.map(({ point, by, sure }) => {
          const head = size / 70;
          const { at } = hand.list.points[point]!;
          const [a, b] = [
            see(at),
            see([at[0] + by[0] * scale, at[1] + by[1] * scale, at[2] + by[2] * scale]),
          ];
          const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
          const [x, y] = long > 0 ? [(b[0] - a[0]) / long, (b[1] - a[1]) / long] : [0, 0];
          const tint = sure ? 'var(--brick)' : 'var(--quiet)';
          return (
            <g key={point}>
              <circle cx={a[0]} cy={a[1]} r={head / 3} fill="var(--ink)" />
              {long > head / 2 && (
                <>
                  <line
                    x1={a[0]}
                    y1={a[1]}
                    x2={b[0]}
                    y2={b[1]}
                    stroke={tint}
                    strokeWidth={sure ? 2.5 : 1.2}
                    strokeDasharray={sure ? undefined : '4 3'}
                    vectorEffect="non-scaling-stroke"
                  />
                  {long > head && (
                    <path
                      d={`M ${b[0]} ${b[1]} L ${b[0] - head * x - (head / 2) * y} ${b[1] - head * y + (head / 2) * x} L ${b[0] - head * x + (head / 2) * y} ${b[1] - head * y - (head / 2) * x} Z`}
                      fill={tint}
                    />
                  )}
                </>
              )}
            </g>
          );
        })
      }
    </FrameOutlines>
  );
}
