import { Tabs } from 'radix-ui';
import { TabBar } from '../../parts/TabBar';
import { useTab } from '../../parts/useTab';
import { EntriesView } from './EntriesView';
import { RevisionsView } from './RevisionsView';
import { SideBySide } from './SideBySide';

const TABS = [
  { id: 'entries', tab: 'Entries' },
  { id: 'revisions', tab: 'Revisions' },
  { id: 'beside', tab: 'Side by side' },
] as const;

/** What was written down of a build, and every state that it was saved in. */
export function LogStation() {
  const [shown, choose] = useTab(TABS);
  return (
    <Tabs.Root value={shown} onValueChange={choose} className="flex min-h-0 min-w-0 flex-1 flex-col">
      <TabBar tabs={TABS} />
      <Tabs.Content value={shown} className="flex min-h-80 flex-1 max-[900px]:flex-col" tabIndex={-1}>
        {shown === 'revisions' ? <RevisionsView /> : shown === 'beside' ? <SideBySide /> : <EntriesView />}
      </Tabs.Content>
    </Tabs.Root>
  );
}
