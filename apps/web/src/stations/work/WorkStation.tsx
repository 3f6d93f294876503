import { Tabs } from 'radix-ui';
import { lazy, Suspense } from 'react';
import { OutputButton } from '../../files/OutputButton';
import { useEditor } from '../../editor/editor';
import { TabBar } from '../../parts/TabBar';
import { useTab } from '../../parts/useTab';
import { OrderView } from './OrderView';
import { useWork } from './useWork';

const WeldView = lazy(() => import('./WeldView').then((module) => ({ default: module.WeldView })));
const TimeView = lazy(() => import('./TimeView').then((module) => ({ default: module.TimeView })));

const TABS = [
  { id: 'order', tab: 'Order' },
  { id: 'weld', tab: 'Welds' },
  { id: 'time', tab: 'Time' },
] as const;

/** The order of everything: steps, welds, and when there is time for them. */
export function WorkStation() {
  const { plan } = useEditor('plan');
  const [shown, choose] = useTab(TABS);
  const hand = useWork();
  if (!plan)
    return (
      <p className="p-8">The work comes as soon as the stance makes a vehicle: see the Stance station.</p>
    );
  if (plan.frame.pieces.length === 0)
    return <p className="p-8">There is nothing to build yet: lay out a frame at the Tubes station.</p>;
  return (
    <Tabs.Root value={shown} onValueChange={choose} className="flex min-h-0 min-w-0 flex-1 flex-col">
      <TabBar tabs={TABS}>
        <OutputButton id="traveller" />
      </TabBar>
      <Tabs.Content value={shown} className="flex min-h-80 flex-1 max-[900px]:flex-col" tabIndex={-1}>
        {!hand ? (
          <p className="p-8 text-quiet">Working the order out…</p>
        ) : (
          <Suspense fallback={<p className="p-8 text-quiet">Making it ready…</p>}>
            {shown === 'weld' ? (
              <WeldView plan={plan} hand={hand} />
            ) : shown === 'time' ? (
              <TimeView hand={hand} />
            ) : (
              <OrderView plan={plan} hand={hand} />
            )}
          </Suspense>
        )}
      </Tabs.Content>
    </Tabs.Root>
  );
}
