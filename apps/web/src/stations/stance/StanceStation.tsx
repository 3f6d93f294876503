import { Tabs } from 'radix-ui';
import { useSearchParams } from 'react-router';
import { type Kind, type Plan, type ViewName } from '@larchwood/core';
import { SteeringSweep } from '../../charts/SteeringSweep';
import { WhatIf } from '../../charts/WhatIf';
import { Calm } from '../../editor/Calm';
import { TabBar } from '../../parts/TabBar';
import { useEditor, useKind } from '../../editor/editor';
import { useOther } from '../../ledger/useOther';
import { DimensionRow } from '../../ledger/DimensionRow';
import { Findings } from '../../ledger/Findings';
import { Group, Panel } from '../../ledger/Panel';
import { DimensionLayer } from '../../handles/DimensionLayer';
import { Handles } from '../../handles/Handles';
import { otherGhost } from '../../sheet/OtherGhost';
import { Sheet } from '../../sheet/Sheet';
import { Ghost, Vehicle } from '../../sheet/Vehicle';
import { findingsAt } from '../state';
import { CompareChoice, Differences } from './Differences';
import { WheelRow } from './WheelRow';
import { Check } from '../../parts/Check';

const VIEW_NAMES: Readonly<Record<ViewName, { readonly tab: string; readonly title: string }>> = {
  side: { tab: 'Side', title: 'Side, from the right' },
  plan: { tab: 'Plan', title: 'Plan, from above' },
  front: { tab: 'Front', title: 'Front, from ahead' },
};
const CHARTS = [
  { id: 'what-if', tab: 'What if' },
  { id: 'sweep', tab: 'Steering sweep' },
  { id: 'differences', tab: 'Differences' },
] as const;

/** The vehicle's geometry: drawn with live dimensions, charted, compared; and every dimension in the ledger. */
export function StanceStation() {
  // Nothing here reads the document, so that an edit draws only what is inside again.
  const kind = useKind();
  const [search, setSearch] = useSearchParams();
  if (!kind) return null;
  const tabs = [...kind.views.map((id) => ({ id, tab: VIEW_NAMES[id].tab })), ...CHARTS];
  const asked = search.get('show');
  const shown = tabs.find(({ id }) => id === asked)?.id ?? 'side';
  const replace = (name: string, value: string | null) =>
    setSearch(
      (before) => {
        const next = new URLSearchParams(before);
        if (value === null) next.delete(name);
        else next.set(name, value);
        return next;
      },
      { replace: true },
    );
  return (
    <>
      <Tabs.Root
        value={shown}
        onValueChange={(id) => replace('show', id === 'side' ? null : id)}
        className="flex min-h-0 min-w-0 flex-1 flex-col"
      >
        <TabBar tabs={tabs}>
          <CompareChoice />
        </TabBar>
        <Tabs.Content value={shown} className="min-h-80 flex-1" tabIndex={-1}>
          <Shown
            kind={kind}
            id={shown}
            travel={search.has('travel')}
            onTravel={(show) => replace('travel', show ? 'shown' : null)}
          />
        </Tabs.Content>
      </Tabs.Root>
      <Calm>
        <StancePanel kind={kind} />
      </Calm>
    </>
  );
}

interface ShownProps {
  readonly kind: Kind;
  readonly id: ViewName | (typeof CHARTS)[number]['id'];
  /** Ghosts of the vehicle at the ends of its travel. */
  readonly travel: boolean;
  readonly onTravel: (shown: boolean) => void;
}

function Shown({ kind, id, travel, onTravel }: ShownProps) {
  const { plan } = useEditor('plan');
  if (!plan)
    return (
      <p className="p-8">
        The drawing comes as soon as the dimensions make a vehicle: see what is said beside.
      </p>
    );
  if (id === 'what-if') return <WhatIf plan={plan} />;
  if (id === 'sweep') return <SteeringSweep plan={plan} />;
  if (id === 'differences') return <Differences />;
  return (
    <StanceSheet plan={plan} kind={kind} view={id} travel={travel && id === 'side'} onTravel={onTravel} />
  );
}

interface SheetProps {
  readonly plan: Plan;
  readonly kind: Kind;
  readonly view: ViewName;
  readonly travel: boolean;
  readonly onTravel: (shown: boolean) => void;
}

/** The drawing with its dimensions, its handles, and ghosts behind it. */
function StanceSheet({ plan, kind, view: name, travel, onTravel }: SheetProps) {
  const { dragging } = useEditor('dragging');
  const other = useOther(plan, kind);
  const { postures } = plan.stance;
  const notes = [
    ...(other ? [`dashed: ${other.label}`] : []),
    ...(travel && postures
      ? [
          `long dashes: unladen, nose ${pitchText(postures.unladen.pitch)}; dots: full travel, ${pitchText(postures.full.pitch)}`,
        ]
      : []),
  ];
  return (
    <Sheet
      plan={plan}
      view={name}
      title={VIEW_NAMES[name].title}
      choices={
        postures &&
        name === 'side' && (
          <Check checked={travel} onChange={onTravel} className="text-[13px]">
            unladen and full travel
          </Check>
        )
      }
      note={notes.length > 0 ? notes.join(' · ') : undefined}
      behind={otherGhost(other)}
      drawing={(view) => (
        <>
          {travel &&
            postures &&
            [postures.unladen, postures.full].map((posture, index) => (
              <Ghost
                key={index}
                kind={kind}
                points={posture.points}
                wheels={posture.wheels}
                view={view}
                colour="var(--steel)"
                dashes={index === 0 ? '9 4' : '1.500 4'}
              />
            ))}
          <Vehicle plan={plan} view={view} moving={dragging} />
        </>
      )}
      overlay={(view) => (
        <>
          <DimensionLayer kind={kind} plan={plan} view={view} />
          <Handles key={view.name} view={view} kind={kind} plan={plan} />
        </>
      )}
    />
  );
}

const pitchText = (pitch: number): string => `${pitch >= 0 ? 'up' : 'down'} ${Math.abs(pitch).toFixed(1)}°`;

/** Every dimension of the kind, in its groups. */
function StancePanel({ kind }: { readonly kind: Kind }) {
  const { document, plan } = useEditor('document', 'plan');
  const named = new Set([...kind.given, ...kind.groups.flatMap(({ ids }) => ids)]);
  const seated = new Set(kind.seat.groups.flatMap(({ ids }) => ids));
  const rest = kind.dimensions.filter(({ id }) => !named.has(id) && !seated.has(id));
  const here = [...kind.groups.flatMap(({ ids }) => ids), ...rest.map(({ id }) => id)];
  const count = here.filter((id) => id in document.stance.held).length;
  const springs = plan?.stance.postures !== undefined;
  const findings = findingsAt(plan, 'stance');
  return (
    <Panel title="Stance" aside={`${count} held, ${here.length - count} follow`}>
      <Findings findings={findings.filter(({ severity }) => severity !== 'note')} />
      <Group title="Wheels">
        <WheelRow end="front" />
        <WheelRow end="rear" />
      </Group>
      {kind.groups.map(({ title, ids }) => (
        <Group key={title} title={title}>
          {ids.map((id) => {
            const dimension = kind.dimensions.find((each) => each.id === id);
            return dimension && <DimensionRow key={id} dimension={dimension} />;
          })}
        </Group>
      ))}
      {rest.length > 0 && springs && (
        <Group title="At the ends of the travel">
          {rest.map((dimension) => (
            <DimensionRow key={dimension.id} dimension={dimension} />
          ))}
        </Group>
      )}
      <Findings findings={findings.filter(({ severity }) => severity === 'note')} refused={false} />
    </Panel>
  );
}
