import { nanoid } from 'nanoid';
import {
  failure,
  madeAlike,
  nextPiece,
  pairMark,
  sameTurnedOver,
  STEERING_GROUP,
  type PlacedPlate,
  type Plan,
  gaugeDisplay,
} from '@larchwood/core';
import type { Plate } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import { OutputButton } from '../../../files/OutputButton';
import { Findings } from '../../../ledger/Findings';
import { Panel } from '../../../ledger/Panel';
import { Length, Mass } from '../../../parts/Figure';
import { HEAD_ROW, rowLook } from '../../../parts/tables';
import { addPlate } from '../../../edits/cuts';
import { CornerTable } from './CornerTable';
import { PlatePanel } from './PlatePanel';
import { PlatePicture } from './PlatePicture';
import { SheetForm } from './SheetForm';
import { ShapeForm } from './ShapeForm';

/** Plates, gussets, tabs and caps: drawn by numbers and corners, checked, and printed at full size. */
export function FlatView({ plan }: { readonly plan: Plan }) {
  const { document, edit, settle, piece, setPiece } = useEditor(
    'document',
    'edit',
    'settle',
    'piece',
    'setPiece',
  );
  const placed = plan.frame.plates.filter(({ side }) => side !== 'right');
  const chosen = placed.find(({ plate }) => plate.id === piece) ?? placed[0];
  const alike = madeAlike(plan.frame.plates);
  const made = chosen?.plate.group === STEERING_GROUP;
  const add = (
    drawn: Partial<Plate> & Pick<Plate, 'outline' | 'holes' | 'name'>,
    nodes: Parameters<typeof addPlate>[1] = [],
  ) => {
    const [first] = document.frame.nodes;
    if (!first)
      return failure('A plate sits at a node of the frame: make a frame at the Tubes station first.');
    const fresh = `plate-${nanoid(6)}`;
    const plate: Plate = {
      ...{ id: fresh, piece: nextPiece(document), thickness: 4, material: 'mild-steel', mirrored: false },
      ...{ plane: 'side', tilt: 0, turn: 0, bendLines: [], node: first.id },
      ...drawn,
    };
    const result = edit('plates', addPlate(plate, nodes));
    settle();
    if (result.ok) setPiece(fresh);
    return result;
  };
  return (
    <>
      <div
        className="flex min-h-0 min-w-0 flex-1 flex-col overflow-auto bg-sheet"
        tabIndex={0}
        role="group"
        aria-label="Flat parts"
      >
        <div className="flex min-h-11 flex-wrap items-center gap-3 border-b border-rule px-4 py-1">
          <OutputButton id="flat-parts" />
          <OutputButton id="flat-parts-dxf" />
        </div>
        {placed.length > 0 && (
          <table className="w-full border-collapse text-[13.5px]">
            <caption className="sr-only">Flat parts</caption>
            <thead>
              <tr className={HEAD_ROW}>
                <th className="!pl-4 text-left">Piece</th>
                <th className="text-left">Turned over</th>
                <th className="text-left">Trial</th>
                <th>Holes</th>
                <th>Thick</th>
                <th className="!pr-4">Each</th>
              </tr>
            </thead>
            <tbody>
              {placed.map((each) => (
                <PlateRow
                  key={each.id}
                  each={each}
                  count={alike.find((group) => group.some(({ id: one }) => one === each.id))?.length ?? 1}
                  lit={each === chosen}
                  onChoose={() => setPiece(each.plate.id)}
                />
              ))}
            </tbody>
          </table>
        )}
        {chosen && (
          <>
            <PlatePicture plate={chosen.plate} />
            {!made && <CornerTable plate={chosen.plate} />}
          </>
        )}
        {placed.length === 0 && (
          <p className="px-4 py-6">
            No flat parts yet: draw one from a shape beside, and change its corners here.
          </p>
        )}
      </div>
      <Panel title={chosen ? chosen.plate.name : 'Flat parts'} aside={chosen && pairMark(chosen.mark)}>
        {chosen && (
          <Findings
            findings={plan.findings.filter(
              ({ code, where }) =>
                where.ref === chosen.plate.id && (where.station === 'cuts' || code.startsWith('plate-')),
            )}
          />
        )}
        {chosen && (
          <PlatePanel
            key={chosen.plate.id}
            placed={chosen}
            made={made}
            onRemoved={() => setPiece(undefined)}
          />
        )}
        {chosen && <SheetForm plates={plan.frame.plates} like={chosen} />}
        <ShapeForm plan={plan} onDraw={add} />
      </Panel>
    </>
  );
}

interface RowProps {
  readonly each: PlacedPlate;
  readonly count: number;
  readonly lit: boolean;
  readonly onChoose: () => void;
}

function PlateRow({ each: { plate, mark, mass }, count, lit, onChoose }: RowProps) {
  const { document } = useEditor('document');
  return (
    <tr className={rowLook(lit)} onClick={onChoose}>
      <td className="!pl-4 text-left whitespace-nowrap">
        <button type="button" aria-pressed={lit} onClick={onChoose} className="text-left">
          <span className="figure inline-block w-16 font-bold">{pairMark(mark)}</span>
          <b>{plate.name}</b>
          {count > 1 && <span className="text-quiet">, {count} alike</span>}
        </button>
      </td>
      <td className="text-left">{sameTurnedOver(plate) ? 'the same' : 'has a left and a right'}</td>
      <td className="text-left">{TRIAL[plate.trial?.state ?? 'none']}</td>
      <td className="figure">{plate.holes.length}</td>
      <td>
        <Length
          mm={plate.thickness}
          display={gaugeDisplay(plate.thickness, document.units)}
          digits={2}
          unit={false}
        />
      </td>
      <td className="!pr-4">
        <Mass kg={mass} display={document.units} digits={2} />
      </td>
    </tr>
  );
}

const TRIAL = { none: 'not tried', card: 'in card', fits: 'fits' } as const;
