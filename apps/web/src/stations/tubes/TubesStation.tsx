import { Tabs } from 'radix-ui';
import { lazy, Suspense, useState } from 'react';
import { useSearchParams } from 'react-router';
import { addTube, type NewTube, type Spot } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { memberOf, useEditor } from '../../editor/editor';
import { useFrameEdit } from '../../frame/useFrameEdit';
import { TabBar } from '../../parts/TabBar';
import { CompareChoice } from '../stance/Differences';
import { ToolRow } from './ToolRow';
import { ToolsContext, type Shown, type ToolId, type Tools } from '../../space/tools';
import { TubeSheet } from './TubeSheet';
import { TubesPanel } from './TubesPanel';

const FrameSpace = lazy(() =>
  import('../../space/FrameSpace').then((module) => ({ default: module.FrameSpace })),
);

const TABS = [
  { id: 'side', tab: 'Side' },
  { id: 'plan', tab: 'Plan' },
  { id: 'front', tab: 'Front' },
  { id: 'space', tab: '3-D' },
] as const;

/** The tubes: which sections, from where to where; drawn square on and in space, and changed where they stand. */
export function TubesStation() {
  const { plan } = useEditor('plan');
  const [search, setSearch] = useSearchParams();
  const shown: Shown = TABS.find(({ id }) => id === search.get('show'))?.id ?? 'side';
  const tools = useTubeTools();
  const choose = (id: string) => setSearch(id === 'side' ? {} : { show: id }, { replace: true });
  return (
    <ToolsContext value={tools}>
      <Tabs.Root value={shown} onValueChange={choose} className="flex min-h-0 min-w-0 flex-1 flex-col">
        <TabBar tabs={TABS}>
          <CompareChoice />
        </TabBar>
        <Tabs.Content value={shown} className="flex min-h-80 flex-1 flex-col" tabIndex={-1}>
          {!plan ? (
            <p className="p-8">The tubes come as soon as the dimensions make a vehicle.</p>
          ) : (
            <>
              <ToolRow />
              <div className="min-h-0 flex-1">
                {shown === 'space' ? (
                  <Suspense fallback={<p className="p-8 text-quiet">Making the frame in space…</p>}>
                    <FrameSpace />
                  </Suspense>
                ) : (
                  <TubeSheet key={shown} plan={plan} view={shown} />
                )}
              </div>
            </>
          )}
        </Tabs.Content>
      </Tabs.Root>
      <TubesPanel />
    </ToolsContext>
  );
}

/** Which tool is in hand, what is picked, and a tube that is being drawn. */
function useTubeTools(): Tools {
  const { document, piece, setPiece } = useEditor('document', 'piece', 'setPiece');
  const { apply, message, clear } = useFrameEdit();
  const [tool, setToolId] = useState<ToolId>('pick');
  const [others, setOthers] = useState<readonly string[]>([]);
  const [begun, setBegun] = useState<Spot>();
  const [chosen, setSection] = useState<string>();
  const used = document.frame.members.at(-1)?.section ?? 'round-25x1.5';
  const section = chosen ?? used;
  return {
    tool,
    setTool: (next: ToolId) => {
      setToolId(next);
      setBegun(undefined);
      clear();
    },
    picked: piece === undefined ? [] : [piece, ...others.filter((other) => other !== piece)],
    pick: (next: string | undefined, more = false) => {
      clear();
      if (more && next !== undefined && piece !== undefined && memberOf(next) !== memberOf(piece)) {
        setOthers((before) =>
          before.some((other) => memberOf(other) === memberOf(next))
            ? before.filter((other) => memberOf(other) !== memberOf(next))
            : [...before, next],
        );
        return;
      }
      setOthers([]);
      setPiece(next);
    },
    begun,
    place: (spot: Spot) => {
      if (!begun) {
        setBegun(spot);
        clear();
        return;
      }
      const made = apply('frame.add', (before, frame) =>
        addTube(before, frame, begun, spot, newTube(before, section)),
      );
      setBegun(undefined);
      if (made) {
        setPiece(made.frame.members.at(-1)!.id);
        setOthers([]);
      }
    },
    section,
    setSection,
    message,
  };
}

/** A new tube goes with the first group that is not a donor's. */
function newTube({ frame }: BuildDocument, section: string): NewTube {
  const group = frame.groups.find(({ donor }) => !donor);
  return { name: 'New tube', section, ...(group ? { group: group.id } : {}) };
}
