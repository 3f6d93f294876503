import { Tabs } from 'radix-ui';
import { useSearchParams } from 'react-router';
import { CHECK_STAGES } from '@larchwood/core';
import { CHECK_STAGE_IDS, type CheckStage } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { OutputButton } from '../../files/OutputButton';
import { Choice } from '../../parts/Choice';
import { TabBar } from '../../parts/TabBar';
import { useTab } from '../../parts/useTab';
import { AsBuiltView } from './AsBuiltView';
import { MeasureView } from './MeasureView';
import { MovementView } from './MovementView';
import { useChecks } from './useChecks';

const TABS = [
  { id: 'measure', tab: 'Measure' },
  { id: 'built', tab: 'As built' },
  { id: 'moved', tab: 'Movement' },
] as const;

/** What is measured at each stage, what came out, and where to pull. */
export function ChecksStation() {
  const { plan, document } = useEditor('plan', 'document');
  const [shown, choose] = useTab(TABS);
  const [search, setSearch] = useSearchParams();
  const hand = useChecks();
  if (!plan)
    return (
      <p className="p-8">The checks come as soon as the stance makes a vehicle: see the Stance station.</p>
    );
  if (plan.frame.pieces.length === 0)
    return <p className="p-8">There is nothing to measure yet: lay out a frame at the Tubes station.</p>;
  const measured = document.measured ?? [];
  const last = [...CHECK_STAGE_IDS].reverse().find((id) => measured.some(({ stage }) => stage === id));
  const stage = CHECK_STAGE_IDS.find((id) => id === search.get('at')) ?? last ?? 'dry';
  const goTo = (id: string) =>
    setSearch(
      (before) => new URLSearchParams([...before].filter(([key]) => key !== 'at').concat([['at', id]])),
      {
        replace: true,
      },
    );
  return (
    <Tabs.Root value={shown} onValueChange={choose} className="flex min-h-0 min-w-0 flex-1 flex-col">
      <TabBar tabs={TABS}>
        <span className="flex flex-wrap items-center gap-2 max-[600px]:px-3 max-[600px]:py-1">
          <OutputButton id="measuring-list" />
          {measured.length > 0 && <OutputButton id="readings-csv" />}
          <Choice
            label="Stage"
            value={stage}
            className="w-60"
            groups={[
              { options: CHECK_STAGE_IDS.map((id) => ({ value: id, label: stageLabel(id, measured) })) },
            ]}
            onChange={goTo}
          />
        </span>
      </TabBar>
      <Tabs.Content value={shown} className="flex min-h-80 flex-1 max-[900px]:flex-col" tabIndex={-1}>
        {!hand ? (
          <p className="p-8 text-quiet">Making the list…</p>
        ) : shown === 'built' ? (
          <AsBuiltView hand={hand} stage={stage} />
        ) : shown === 'moved' ? (
          <MovementView plan={plan} hand={hand} stage={stage} />
        ) : (
          <MeasureView plan={plan} hand={hand} stage={stage} />
        )}
      </Tabs.Content>
    </Tabs.Root>
  );
}

const stageLabel = (id: CheckStage, measured: readonly { readonly stage: CheckStage }[]): string => {
  const count = measured.filter(({ stage }) => stage === id).length;
  return count === 0 ? CHECK_STAGES[id].name : `${CHECK_STAGES[id].name}: ${count} read`;
};
