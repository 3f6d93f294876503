import { useMemo, useState } from 'react';
import { NO_DETAILS, type Plan } from '@larchwood/core';
import { SHEET_SIZES, type BuildDocument, type SheetSize, LIMITS } from '@larchwood/format';
import { isPaper, outputOf, OUTPUTS } from '@larchwood/outputs';
import { useEditor } from '../../editor/editor';
import { lengthWithin } from '../../ledger/bounds';
import { Group, Panel, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Check } from '../../parts/Check';
import { SheetView } from '../../parts/SheetView';
import { useFiles, useSource } from '../../files/useFiles';

const ALL = 'all';
const PAPER = outputOf('patterns');
const DRAWING = outputOf('piece-svg');
const SOLID = outputOf('piece-step');
const OTHERS = OUTPUTS.filter(({ group, ofPiece }) => group === 'frame' && !ofPiece);

/** Paper wraps at full size: which pieces, on which paper, as PDF or SVG. */
export function PatternsStation() {
  const { plan } = useEditor('plan');
  if (!plan || plan.cuts.length === 0)
    return (
      <p className="flex-1 bg-sheet p-8">
        No tubes yet: make a frame at the Tubes station, and its patterns come here.
      </p>
    );
  return <Patterns plan={plan} />;
}

function Patterns({ plan }: { readonly plan: Plan }) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const [which, setWhich] = useState(ALL);
  const { busy, make } = useFiles();
  const { paper } = document;
  const [square, setSquare] = useState(false);
  const source = useSource(plan, NO_DETAILS);
  const chosen = plan.cuts.find((cut) => cut.piece === which);
  const options = useMemo(() => ({ ...(chosen ? { piece: chosen.piece } : {}), square }), [chosen, square]);
  const sheets = useMemo(() => (isPaper(PAPER) ? PAPER.pages(source, options) : []), [source, options]);
  const setPaper = (part: Partial<BuildDocument['paper']>) =>
    edit('paper', (before) => ({ ...before, paper: { ...before.paper, ...part } }));
  return (
    <>
      <div
        className="min-h-0 min-w-0 flex-1 overflow-auto bg-paper p-6"
        tabIndex={0}
        role="group"
        aria-label="Sheets"
      >
        {sheets.length === 0 ? (
          <p className="bg-sheet p-4">
            {chosen ? `Piece ${chosen.mark} is` : 'Every piece is'} cut square at both ends: no paper is
            needed. Tick “square cuts too” for a wrap all the same.
          </p>
        ) : (
          <div className="flex flex-wrap gap-6">
            {sheets.map((sheet, index) => (
              <SheetView
                key={index}
                drawing={sheet}
                title={`Sheet ${index + 1}`}
                className="w-[350px] border border-rule"
              />
            ))}
          </div>
        )}
      </div>
      <Panel title="Patterns" aside={`${sheets.length} ${sheets.length === 1 ? 'sheet' : 'sheets'}`}>
        <Group title="What to print">
          <Row name="Pieces">
            <Choice
              label="Pieces"
              value={chosen ? which : ALL}
              groups={[
                {
                  options: [
                    { value: ALL, label: 'All pieces' },
                    ...plan.cuts.map((cut) => ({ value: cut.piece, label: `${cut.mark}  ${cut.name}` })),
                  ],
                },
              ]}
              onChange={setWhich}
              className="w-44"
            />
          </Row>
          <Row name="Sheet">
            <Choice
              label="Sheet size"
              value={paper.size}
              groups={[
                {
                  options: SHEET_SIZES.map((size) => ({ value: size, label: size })),
                },
              ]}
              onChange={(size) => {
                setPaper({ size: size as SheetSize });
                settle();
              }}
              className="w-44"
            />
          </Row>
          <Row name="Paper thickness">
            <QuantityField
              field="paper.thickness"
              label="Paper thickness"
              quantity="length"
              nudge={0.05}
              value={paper.thickness}
              onCommit={(value) =>
                lengthWithin(value, LIMITS.paper.thickness, () => setPaper({ thickness: value }))
              }
            />
          </Row>
          <Row name="">
            <Check checked={square} onChange={setSquare}>
              Square cuts too
            </Check>
          </Row>
        </Group>
        <div className="flex flex-col gap-2 p-4">
          <Button
            look="strong"
            disabled={busy !== undefined || sheets.length === 0}
            onClick={() => void make(PAPER, options)}
          >
            {busy === PAPER.id ? 'Making the PDF…' : 'Download PDF'}
          </Button>
          <Button disabled={!chosen || busy !== undefined} onClick={() => void make(DRAWING, options)}>
            {chosen ? `Download SVG of ${chosen.mark}` : 'SVG: choose one piece'}
          </Button>
          <Button disabled={!chosen || busy !== undefined} onClick={() => void make(SOLID, options)}>
            {chosen ? `Download STEP of ${chosen.mark}` : 'STEP: choose one piece'}
          </Button>
        </div>
        <Group title="For other tools">
          <div className="flex flex-col gap-2 px-4 py-1.5">
            {OTHERS.map((output) => (
              <Button key={output.id} disabled={busy !== undefined} onClick={() => void make(output)}>
                {output.title}
              </Button>
            ))}
          </div>
        </Group>
        <Group title="On the tube">
          <ol className="list-decimal space-y-1.5 pr-4 pb-2 pl-9 text-[13.5px]">
            <li>Print without scaling. Measure the four bars: each must be as long as it says.</li>
            <li>Cut along the solid line. A dashed line is the inside of the wall.</li>
            <li>
              Scribe one match line along the tube. Wrap each paper printed side out, its match line on yours.
            </li>
            <li>“This edge to the other” is measured along the tube between the two square paper edges.</li>
            <li>The arrow marks the side on which the host leans towards this tube.</li>
          </ol>
        </Group>
        <p className="caption px-4 py-2">
          Grinders: guard, face shield, disc rated. Hole saws grab thin tube: clamp it.
        </p>
      </Panel>
    </>
  );
}
