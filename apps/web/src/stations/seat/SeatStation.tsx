import { Tabs } from 'radix-ui';
import { useCallback, useMemo, useState } from 'react';
import { restTravel, type Clearance, type Pose, type ViewName } from '@larchwood/core';
import { Calm } from '../../editor/Calm';
import { TabBar } from '../../parts/TabBar';
import { useTab } from '../../parts/useTab';
import { useEditor, useKind } from '../../editor/editor';
import { CompareChoice } from '../stance/Differences';
import { ClearancePanel } from './ClearancePanel';
import { FitView } from './FitView';
import { LumpMarks } from './LumpMarks';
import { MassPanel } from './MassPanel';
import { MotionBar } from './MotionBar';
import { MotionContext } from './motion';
import { SeatPanel } from './SeatPanel';
import { SeatSheet } from './SeatSheet';
import { TippingPanel } from './TippingPanel';
import { TippingView } from './TippingView';

const TABS = [
  { id: 'side', tab: 'Side' },
  { id: 'plan', tab: 'Plan' },
  { id: 'front', tab: 'Front' },
  { id: 'gaps', tab: 'Clearances' },
  { id: 'mass', tab: 'Mass' },
  { id: 'tipping', tab: 'Tipping' },
  { id: 'fit', tab: 'Who fits' },
] as const;
type TabId = (typeof TABS)[number]['id'];
const isView = (id: TabId): id is ViewName => id === 'side' || id === 'plan' || id === 'front';

/** Riders in their places: posture, what hits, where the weight is, when it tips, and who fits. */
export function SeatStation() {
  const kind = useKind();
  const { plan } = useEditor('plan');
  const [shown, choose] = useTab<TabId>(TABS);
  const control = useMotionControl(plan ? restTravel(plan.stance.state) : 0);
  if (!kind) return null;
  return (
    <MotionContext value={control}>
      <Tabs.Root value={shown} onValueChange={choose} className="flex min-h-0 min-w-0 flex-1 flex-col">
        <TabBar tabs={TABS}>
          <CompareChoice />
        </TabBar>
        <Tabs.Content value={shown} className="flex min-h-80 flex-1 flex-col" tabIndex={-1}>
          {!plan ? (
            <p className="p-8">
              The drawing comes as soon as the dimensions make a vehicle: see what is said beside.
            </p>
          ) : shown === 'fit' ? (
            <FitView />
          ) : shown === 'tipping' ? (
            <TippingView plan={plan} />
          ) : (
            <>
              <div className="min-h-0 flex-1">
                <SeatSheet
                  key={shown}
                  plan={plan}
                  kind={kind}
                  view={isView(shown) ? shown : 'side'}
                  live={isView(shown)}
                  {...(shown === 'mass' ? { over: (view) => <LumpMarks plan={plan} view={view} /> } : {})}
                />
              </div>
              {shown !== 'mass' && <MotionBar plan={plan} />}
            </>
          )}
        </Tabs.Content>
      </Tabs.Root>
      {shown !== 'fit' && (
        <Calm>
          {shown === 'gaps' ? (
            <ClearancePanel />
          ) : shown === 'mass' ? (
            <MassPanel />
          ) : shown === 'tipping' ? (
            <TippingPanel />
          ) : (
            <SeatPanel kind={kind} />
          )}
        </Calm>
      )}
    </MotionContext>
  );
}

/** Pedals down, straight ahead, at ride height: until something is moved, or a gap is shown where it is least. */
function useMotionControl(travel: number) {
  const [moved, setMoved] = useState<Partial<Pose>>({});
  const [gap, setGap] = useState<Clearance>();
  const move = useCallback((by: Partial<Pose>) => {
    setGap(undefined);
    setMoved((before) => ({ ...before, ...by }));
  }, []);
  const show = useCallback((next: Clearance | undefined) => {
    setGap(next);
    if (next) setMoved(next.pose);
  }, []);
  const pose = useMemo((): Pose => ({ crank: 75, steer: 0, travel, ...moved }), [moved, travel]);
  return useMemo(() => ({ pose, gap, move, show }), [pose, gap, move, show]);
}
