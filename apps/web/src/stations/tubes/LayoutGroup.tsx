import { useMemo, useState } from 'react';
import {
  findLayout,
  frameFromLayout,
  frameMadeAgain,
  layoutOffer,
  layoutsFor,
  type LayoutOffer,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { useFrameEdit } from '../../frame/useFrameEdit';
import { Group } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { LayoutPreview } from '../../frame/LayoutPreview';
import { useTools } from '../../space/tools';

/** The frame made from a layout: once more from the stance as it is now, or from another one, shown before it is made. */
export function LayoutGroup() {
  const { document } = useEditor('document');
  const { pick } = useTools();
  const { apply, message } = useFrameEdit();
  const layouts = layoutsFor(document.kind, document.startingSet);
  const own = document.frame.origin?.pattern ?? layouts[0]?.id;
  const [chosen, setChosen] = useState<string>();
  const layout = layouts.find(({ id }) => id === (chosen ?? own));
  const framed = document.frame.members.length > 0;
  const other = layout !== undefined && (!framed || layout.id !== own);
  const offer = useOffer(other ? layout?.id : undefined, document);
  if (!layout) return null;
  const make = () => {
    if (!apply('frame.layout', (before) => frameFromLayout(before, layout.id))) return;
    pick(undefined);
    setChosen(undefined);
  };
  return (
    <Group title={framed ? 'Layout' : 'Make a frame'}>
      <div className="flex flex-col gap-1.5 px-4 pb-2">
        <Choice
          label="Layout"
          value={layout.id}
          groups={[{ options: layouts.map(({ id, name }) => ({ value: id, label: name })) }]}
          onChange={setChosen}
          className="w-full"
        />
        <p className="text-[13px] text-quiet">
          {layout.about} Builders measure from:{' '}
          {layout.datum.charAt(0).toLowerCase() === 'b' ? layout.datum : layout.datum.toLowerCase()}.
        </p>
        {offer && <LayoutPreview offer={offer} />}
        {framed && !other && (
          <Button
            className="h-auto py-1.5 !whitespace-normal"
            onClick={() => apply('frame.again', (before) => frameMadeAgain(before))}
          >
            Make again, keep my changes
          </Button>
        )}
        <Button look={other ? 'strong' : 'plain'} disabled={offer?.refused !== undefined} onClick={make}>
          {!framed ? 'Make this frame' : other ? `Change to ${layout.name}` : 'Start again with this layout'}
        </Button>
        {framed && <p className="text-[13px] text-quiet">Undo brings the tubes of now back.</p>}
        {message !== '' && (
          <p role="alert" className="text-[13px] text-brick">
            {message}
          </p>
        )}
      </div>
    </Group>
  );
}

/** What a layout would make of the build, worked out once for each of its states. */
function useOffer(layout: string | undefined, document: BuildDocument): LayoutOffer | undefined {
  return useMemo(() => {
    const wanted = layout === undefined ? undefined : findLayout(layout);
    return wanted && layoutOffer(document, wanted);
  }, [layout, document]);
}
