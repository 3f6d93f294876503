import { useMemo, type ReactNode } from 'react';
import { toast } from 'sonner';
import { findKind, readDimensions } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Panel } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Measure } from '../../parts/Figure';
import { HEAD_ROW } from '../../parts/tables';
import { NotUnderstoodList } from './NotUnderstoodList';

/** A table of dimensions: what each row comes to, then held all at once. */
export function DimensionsIn({
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
  const { units } = document;
  const table = useMemo(() => readDimensions(text, document), [text, document]);
  const nameOf = (id: string) =>
    findKind(document.kind)?.dimensions.find((dimension) => dimension.id === id)?.name ?? id;
  if (!table.ok) return <p className="flex-1 p-8">{table.message}</p>;
  const { understood, not } = table.value;
  const take = () => {
    edit('import.dimensions', (before) => {
      const read = readDimensions(text, before);
      return read.ok ? read.value.document : before;
    });
    settle();
    leave();
    toast(
      `${understood.length} ${understood.length === 1 ? 'dimension is' : 'dimensions are'} held. Undo takes it back.`,
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
        {understood.length > 0 && (
          <table className="w-full text-[14px]">
            <thead className="sticky top-0 bg-sheet">
              <tr className={HEAD_ROW}>
                <th className="!pl-4 text-left">Row</th>
                <th className="text-left">Dimension</th>
                <th>Now</th>
                <th>Will be held at</th>
                <th className="!pr-4 text-left">Let go for it</th>
              </tr>
            </thead>
            <tbody>
              {understood.map(({ row, dimension: { id, name: called, quantity }, was, value, letGo }) => (
                <tr key={id} className="border-b border-rule text-right [&>td]:px-2 [&>td]:py-1.5">
                  <td className="figure !pl-4 text-left text-quiet">{row}</td>
                  <td className="text-left font-semibold">{called}</td>
                  <td>{was !== undefined && <Measure value={was} quantity={quantity} display={units} />}</td>
                  <td className="font-bold">
                    <Measure value={value} quantity={quantity} display={units} />
                  </td>
                  <td className="!pr-4 text-left">{letGo === undefined ? '' : nameOf(letGo)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        <NotUnderstoodList not={not} />
      </div>
      <Panel title="Dimensions" aside={name}>
        <p className="px-4 py-2">
          {understood.length} understood, {not.length} not. What is not understood changes nothing.
        </p>
        <p className="flex flex-wrap gap-2 px-4 py-2">
          <Button look="strong" disabled={understood.length === 0} onClick={take}>
            Hold them
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
