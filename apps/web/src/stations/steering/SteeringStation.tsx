import { Tabs } from 'radix-ui';
import { useMemo, useState } from 'react';
import {
  formatAngle,
  solveLinkage,
  steeringReadings,
  type Plan,
  type Steering,
  type Vector,
} from '@larchwood/core';
import { Calm } from '../../editor/Calm';
import { useEditor, useKind } from '../../editor/editor';
import { OutputButton } from '../../files/OutputButton';
import { Slider } from '../../parts/Slider';
import { TabBar } from '../../parts/TabBar';
import { useTab } from '../../parts/useTab';
import {
  standsFor,
  SteeringMotionContext,
  useSteeringMotion,
  type Found,
  type SteeringMotion,
} from './motion';
import { BumpView } from './BumpView';
import { MadeView } from './MadeView';
import { SidesView } from './SidesView';
import { SteeringCharts } from './SteeringCharts';
import { SteeringPanel } from './SteeringPanel';
import { SteeringSheet, type SheetId } from './SteeringSheet';
import type { Known } from './known';
import { useLinkage } from './useLinkage';

const TABS = [
  { id: 'plan', tab: 'Plan' },
  { id: 'side', tab: 'Side' },
  { id: 'front', tab: 'Front' },
  { id: 'turn', tab: 'Turn' },
  { id: 'charts', tab: 'Charts' },
  { id: 'bump', tab: 'Bump steer' },
  { id: 'made', tab: 'Made at home' },
  { id: 'sides', tab: 'Driven sides' },
] as const;
type TabId = (typeof TABS)[number]['id'];
const isSheet = (id: TabId): id is SheetId =>
  id === 'plan' || id === 'side' || id === 'front' || id === 'turn';

/** How the wheels are turned: the linkage in three views and in its turn, charted, mended, and what it asks of the hands. */
export function SteeringStation() {
  const { plan } = useEditor('plan');
  const known = useLinkage();
  const two = (plan?.stance.standing.filter(({ end }) => end === 'rear').length ?? 0) > 1;
  const sprung = (plan?.stance.steered.length ?? 0) > 1 && (plan?.stance.state.frontTravel ?? 0) > 0;
  const tabs = TABS.filter(({ id }) => (id !== 'sides' || two) && (id !== 'bump' || sprung));
  const [shown, choose] = useTab<TabId>(tabs);
  const steering = known?.steering;
  // The circle is of full lock: until it is turned by hand, it is seen there.
  const motion = useMotion(shown === 'turn' ? (steering?.sweep.left.steer ?? 0) : 0);
  const corners = useMemo(() => (plan ? cornersOf(plan) : []), [plan]);
  const readings = useMemo(
    () =>
      plan && steering ? steeringReadings(plan.stance, steering, plan.mass.laden.loads, corners) : undefined,
    [plan, steering, corners],
  );
  if (!plan || !known)
    return (
      <p className="flex-1 p-8">
        {plan
          ? 'No linkage is known for such a vehicle.'
          : 'The steering comes as soon as the dimensions make a vehicle: see the Stance station.'}
      </p>
    );
  return (
    <SteeringMotionContext value={motion}>
      <Tabs.Root value={shown} onValueChange={choose} className="flex min-h-0 min-w-0 flex-1 flex-col">
        <TabBar tabs={tabs}>{shown === 'charts' && <OutputButton id="steering-sweep" />}</TabBar>
        <Tabs.Content value={shown} className="flex min-h-80 flex-1 flex-col" tabIndex={-1}>
          <Shown plan={plan} known={known} id={shown} wall={readings?.wall} corners={corners} />
        </Tabs.Content>
      </Tabs.Root>
      <Calm>
        <SteeringPanel known={known} readings={readings} />
      </Calm>
    </SteeringMotionContext>
  );
}

/** @param rest where the wheels stand until they are turned here, degrees */
function useMotion(rest: number): SteeringMotion {
  const { document } = useEditor('document');
  const [turned, turnTo] = useState<number>();
  const steer = turned ?? rest;
  const [last, propose] = useState<Found>();
  const found = last && standsFor(last, document) ? last : undefined;
  return useMemo(() => ({ steer, turnTo, found, propose }), [steer, found]);
}

function Shown({
  plan,
  known,
  id,
  wall,
  corners,
}: {
  readonly plan: Plan;
  readonly known: Known;
  readonly id: TabId;
  readonly wall: number | undefined;
  readonly corners: readonly Vector[];
}) {
  const kind = useKind();
  const proposed = useProposed(plan, known);
  const { steering } = known;
  if (!kind) return null;
  if (!steering)
    return (
      <p className="p-8">
        The drawing comes as soon as a linkage comes of what is held: see what is said beside.
      </p>
    );
  if (id === 'bump') return <BumpView plan={plan} known={known} steering={steering} />;
  if (id === 'made') return <MadeView plan={plan} known={known} steering={steering} />;
  if (id === 'sides') return <SidesView plan={plan} known={known} steering={steering} />;
  if (!isSheet(id)) return <SteeringCharts plan={plan} steering={steering} proposed={proposed} />;
  return (
    <>
      <div className="min-h-0 flex-1">
        <SteeringSheet
          plan={plan}
          kind={kind}
          steering={steering}
          proposed={proposed}
          sheet={id}
          wall={wall}
          corners={corners}
        />
      </div>
      <TurnBar steering={steering} />
    </>
  );
}

/** Turns the wheels on the drawing: nothing of the build changes. */
function TurnBar({ steering: { sweep } }: { readonly steering: Steering }) {
  const { steer, turnTo } = useSteeringMotion();
  const [most, least] = [sweep.left.steer, -sweep.right.steer];
  const shown = Math.max(least, Math.min(most, steer));
  return (
    <div
      role="group"
      aria-label="Motion"
      className="flex min-h-11 shrink-0 flex-wrap items-center gap-x-6 gap-y-1 border-t border-rule px-4 py-1.5"
    >
      <Slider
        name="Steering"
        value={shown}
        range={[Math.ceil(least), Math.floor(most), 1]}
        text={shown === 0 ? 'straight' : `${formatAngle(Math.abs(shown), 0)} ${shown > 0 ? 'left' : 'right'}`}
        onChange={turnTo}
      />
    </div>
  );
}

function useProposed(plan: Plan, { linkage }: Known): Steering | undefined {
  const proposal = useSteeringMotion().found?.proposal;
  return useMemo(() => {
    const solved = proposal && solveLinkage(linkage, plan.stance, proposal.held);
    return solved?.ok ? solved.steering : undefined;
  }, [proposal, linkage, plan.stance]);
}

/** What a wall must clear: wheels, named points and tubes. */
function cornersOf({ stance, frame }: Plan): Vector[] {
  const wheels = stance.standing.flatMap(({ centre: [x, y, z], radius, width }): Vector[] =>
    [radius, -radius].flatMap((dx): Vector[] => [
      [x + dx, y + width / 2, z],
      [x + dx, y - width / 2, z],
    ]),
  );
  return [
    ...wheels,
    ...Object.values(stance.points),
    ...frame.pieces.flatMap(({ start, end }) => [start, end]),
  ];
}
