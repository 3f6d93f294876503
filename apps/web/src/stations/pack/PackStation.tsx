import { Download, Package } from 'lucide-react';
import { Tabs } from 'radix-ui';
import { NO_DETAILS, type Plan } from '@larchwood/core';
import { OUTPUTS, PACK_GROUPS, type Output, type Source } from '@larchwood/outputs';
import { useEditor } from '../../editor/editor';
import { useEdition } from '../../editor/revision';
import { useFiles, useSource } from '../../files/useFiles';
import { Group, Panel, Row } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Check } from '../../parts/Check';
import { TabBar } from '../../parts/TabBar';
import { useKept } from '../../parts/useKept';
import { useTab } from '../../parts/useTab';
import { useShop } from '../../lists/useShop';
import { BringInView } from './BringInView';
import { CuttingView } from './cutting/CuttingView';
import { Progress } from './Progress';

const TABS = [
  { id: 'out', tab: 'Files' },
  { id: 'in', tab: 'Bring in' },
  { id: 'cutting', tab: 'Have it cut' },
] as const;

const NONE: ReadonlySet<string> = new Set();

/** Everything that can be made of the build, one by one or as one zip; and what comes in from other programs. */
export function PackStation() {
  const { plan } = useEditor('plan');
  const [shown, choose] = useTab(TABS);
  if (!plan)
    return (
      <p className="flex-1 p-8">
        The pack comes as soon as the stance makes a vehicle: see the Stance station.
      </p>
    );
  return (
    <Tabs.Root value={shown} onValueChange={choose} className="flex min-h-0 min-w-0 flex-1 flex-col">
      <TabBar tabs={TABS} />
      <Tabs.Content value={shown} className="flex min-h-80 flex-1 max-[900px]:flex-col" tabIndex={-1}>
        {shown === 'in' ? (
          <BringInView />
        ) : shown === 'cutting' ? (
          <CuttingView plan={plan} />
        ) : (
          <Pack plan={plan} />
        )}
      </Tabs.Content>
    </Tabs.Root>
  );
}

function Pack({ plan }: { readonly plan: Plan }) {
  const { shop } = useShop();
  const known = useSource(plan, NO_DETAILS);
  const source: Source = { ...known, shop };
  const { build } = useEditor('build');
  const [left, setLeft] = useKept<ReadonlySet<string>>(`${build.id}/not packed`, NONE);
  const { busy, packing, make, pack } = useFiles();
  const edition = useEdition();
  const offered = OUTPUTS.filter(({ refuse }) => refuse(source) === undefined);
  const chosen = offered.filter(({ id }) => !left.has(id));
  const put = (outputs: readonly Output[], into: boolean) =>
    setLeft((before) => {
      const after = new Set(before);
      for (const { id } of outputs)
        if (into) after.delete(id);
        else after.add(id);
      return after;
    });
  const files = chosen.reduce((sum, output) => sum + countOf(output, source), 0) + 2;
  return (
    <>
      <div
        className="min-h-0 min-w-0 flex-1 overflow-auto bg-sheet"
        tabIndex={0}
        role="group"
        aria-label="What goes into the pack"
      >
        {PACK_GROUPS.map(({ id, title }) => {
          const own = OUTPUTS.filter(({ group }) => group === id);
          const can = own.filter((output) => offered.includes(output));
          const all = can.every(({ id: each }) => !left.has(each));
          return (
            <section key={id} className="border-b border-rule px-4 pt-2 pb-3">
              <h2 className="flex min-h-9 items-center justify-between font-bold">
                {title}
                {can.length > 0 && (
                  <Button look="quiet" onClick={() => put(can, !all)}>
                    {all ? 'None of these' : 'All of these'}
                  </Button>
                )}
              </h2>
              <ul className="grid grid-cols-2 gap-x-8 max-[1100px]:grid-cols-1">
                {own.map((output) => (
                  <OutputRow
                    key={output.id}
                    output={output}
                    source={source}
                    into={!left.has(output.id)}
                    put={(into) => put([output], into)}
                    busy={busy !== undefined}
                    make={() => void make(output)}
                  />
                ))}
              </ul>
            </section>
          );
        })}
      </div>
      <Panel title="The pack" aside={`${files} files`}>
        <p className="px-4 pt-1 text-[13.5px]">
          One zip that holds the whole job: open <strong>index.html</strong> in it for a page that lists every
          file, the vehicle in figures and the cut list.
        </p>
        <Group title="Of this state">
          <Row name="Revision">
            <span className="figure font-semibold">{edition.mark}</span>
          </Row>
          <Row name="Of">
            <span className="figure">{edition.date}</span>
          </Row>
          <p className="caption px-4">
            They are in every file’s name and on every sheet. The same state gives the same bytes.
          </p>
        </Group>
        <div className="p-4">
          {packing ? (
            <Progress packing={packing} what="How far the pack is" />
          ) : (
            <Button look="strong" disabled={busy !== undefined} onClick={() => void pack(chosen)}>
              <Package size={16} aria-hidden /> Make the pack
            </Button>
          )}
        </div>
        <p className="caption px-4 pb-3">
          Who cuts or prints from it relies on it: look at the findings first, and have welds, brakes and
          steering seen by somebody qualified.
        </p>
      </Panel>
    </>
  );
}

/** How many files an output makes of a build. */
const countOf = (output: Output, source: Source): number => output.packed?.(source).length ?? 1;

function OutputRow({
  output,
  source,
  into,
  put,
  busy,
  make,
}: {
  readonly output: Output;
  readonly source: Source;
  readonly into: boolean;
  readonly put: (into: boolean) => void;
  readonly busy: boolean;
  readonly make: () => void;
}) {
  const { title, listed: name = title, ofPiece } = output;
  const why = output.refuse(source);
  if (why !== undefined)
    return (
      <li className="flex min-h-9 items-center gap-3 py-0.5 text-quiet">
        <span className="min-w-0">
          {name}
          <span className="block text-[12.5px]">{why}</span>
        </span>
      </li>
    );
  const count = countOf(output, source);
  return (
    <li className="flex min-h-9 items-center justify-between gap-3">
      <Check checked={into} onChange={put}>
        {name}
      </Check>
      {ofPiece ? (
        <span className="caption shrink-0 pr-2">
          {count} {count === 1 ? 'file' : 'files'}
        </span>
      ) : (
        <Button look="quiet" disabled={busy} onClick={make} aria-label={`Download ${name}`}>
          <Download size={15} aria-hidden />
        </Button>
      )}
    </li>
  );
}
