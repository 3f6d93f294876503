import { Tabs } from 'radix-ui';
import { useEditor } from '../../editor/editor';
import { TabBar } from '../../parts/TabBar';
import { useTab } from '../../parts/useTab';
import { BendsView } from './bends/BendsView';
import { FlatView } from './flat/FlatView';
import { HolesView } from './holes/HolesView';
import { StockView } from './stock/StockView';
import { ToolsView } from './tools/ToolsView';

const TABS = [
  { id: 'bends', tab: 'Bends' },
  { id: 'holes', tab: 'Holes' },
  { id: 'flat', tab: 'Flat parts' },
  { id: 'tools', tab: 'Tools' },
  { id: 'stock', tab: 'Stock' },
] as const;

/** How each piece is made: bent, drilled, cut from which bar, with which tool. */
export function CutsStation() {
  const { plan } = useEditor('plan');
  const [shown, choose] = useTab(TABS);
  if (!plan)
    return (
      <p className="p-8">The pieces come as soon as the stance makes a vehicle: see the Stance station.</p>
    );
  return (
    <Tabs.Root value={shown} onValueChange={choose} className="flex min-h-0 min-w-0 flex-1 flex-col">
      <TabBar tabs={TABS} />
      <Tabs.Content value={shown} className="flex min-h-80 flex-1 max-[900px]:flex-col" tabIndex={-1}>
        {shown === 'bends' && <BendsView plan={plan} />}
        {shown === 'holes' && <HolesView plan={plan} />}
        {shown === 'flat' && <FlatView plan={plan} />}
        {shown === 'tools' && <ToolsView plan={plan} />}
        {shown === 'stock' && <StockView plan={plan} />}
      </Tabs.Content>
    </Tabs.Root>
  );
}
