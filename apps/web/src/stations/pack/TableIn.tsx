import { useMemo, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { CHECK_STAGES } from '@larchwood/core';
import { CHECK_STAGE_IDS, type CheckStage, type Section } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { ChoiceRow } from '../../ledger/ChoiceRow';
import { Panel } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Mass, Measure } from '../../parts/Figure';
import { HEAD_ROW } from '../../parts/tables';
import { useShop } from '../../lists/useShop';
import { useChecks } from '../checks/useChecks';
import { NotUnderstoodList } from './NotUnderstoodList';
import { likelySort, SORTS, tableAs, type Shown, type Sort } from './tables';

/** A table of figures: what each row comes to, then taken all at once. */
export function TableIn({
  name,
  text,
  choose,
  leave,
}: {
  readonly name: string;
  readonly text: string;
  readonly choose: ReactNode;
  readonly leave: () => void;
}) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const hand = useShop();
  const { shop } = hand;
  const list = useChecks()?.list;
  const [told, tell] = useState<Sort>();
  const [stage, setStage] = useState<CheckStage>('dry');
  const sort = useMemo(
    () => told ?? likelySort(text, document, list, stage, shop),
    [told, text, document, list, stage, shop],
  );
  const table = useMemo(
    () => tableAs(sort, text, document, list, stage, shop),
    [sort, text, document, list, stage, shop],
  );
  const rows = table.ok ? table.value.rows : [];
  const not = table.ok ? table.value.not : [];
  const take = () => {
    if (!table.ok) return;
    const { sections } = table.value;
    if (sections) return keepAll(sections);
    edit(`import.${sort}`, table.value.change);
    settle();
    leave();
    toast(`${rows.length} ${rows.length === 1 ? 'row is' : 'rows are'} taken in. Undo takes them back.`);
  };
  /** Into the workshop's list, and out of it again in one step. */
  const keepAll = (sections: readonly Section[]) => {
    const before = shop.sections;
    for (const section of sections) hand.keep('sections', section.id, section);
    leave();
    toast(
      `${sections.length} ${sections.length === 1 ? 'section is' : 'sections are'} in the workshop’s list: choose one at Tubes.`,
      {
        duration: 12_000,
        action: {
          label: 'Undo',
          onClick: () => {
            for (const { id } of sections) {
              const was = before[id];
              if (was) hand.keep('sections', id, was);
              else hand.drop('sections', id);
            }
          },
        },
      },
    );
  };
  return (
    <>
      <div
        className="min-w-0 flex-1 overflow-auto bg-sheet"
        tabIndex={0}
        role="group"
        aria-label="What the table says"
      >
        {!table.ok && <p className="p-8">{table.message}</p>}
        {rows.length > 0 && (
          <table className="w-full text-[14px]">
            <thead className="sticky top-0 z-10 bg-sheet">
              <tr className={HEAD_ROW}>
                <th className="!pl-4 text-left">What</th>
                <th>Now</th>
                <th>Will be</th>
                <th className="!pr-4 text-left">Note</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id} className="border-b border-rule text-right [&>td]:px-2 [&>td]:py-1.5">
                  <td className="!pl-4 text-left font-semibold">{row.name}</td>
                  <td>{row.was !== undefined && <Figure of={row} value={row.was} />}</td>
                  <td className="font-bold">
                    <Figure of={row} value={row.value} />
                  </td>
                  <td className="!pr-4 text-left">{row.note}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <NotUnderstoodList not={not} />
      </div>
      <Panel title="A table" aside={name}>
        <ChoiceRow
          name="It holds"
          value={sort}
          options={[...SORTS]}
          onChange={(next) => tell(next as Sort)}
        />
        {sort === 'readings' && (
          <ChoiceRow
            name="Read at"
            value={stage}
            options={CHECK_STAGE_IDS.map((id) => ({ value: id, label: CHECK_STAGES[id].name }))}
            onChange={(next) => setStage(next as CheckStage)}
          />
        )}
        <p className="px-4 py-2">
          {rows.length} understood, {not.length} not. What is not understood changes nothing.
        </p>
        <p className="flex flex-wrap gap-2 px-4 py-2">
          <Button look="strong" disabled={rows.length === 0} onClick={take}>
            {sort === 'dimensions' ? 'Hold them' : 'Take them in'}
          </Button>
          <Button look="quiet" onClick={leave}>
            Leave it
          </Button>
        </p>
        <p className="px-4 py-2">{choose}</p>
      </Panel>
    </>
  );
}

function Figure({ of: { quantity }, value }: { readonly of: Shown; readonly value: number | string }) {
  const { document } = useEditor('document');
  const { units } = document;
  if (typeof value === 'string' || quantity === 'words') return <span className="figure">{value}</span>;
  return quantity === 'mass' ? (
    <Mass kg={value} display={units} />
  ) : (
    <Measure value={value} quantity={quantity} display={units} />
  );
}
