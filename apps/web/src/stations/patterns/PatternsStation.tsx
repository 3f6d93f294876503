import { useMemo, useState } from 'react';
import { fileStem, SHEET_SIZES, type BuildDocument, type SheetSize, LIMITS } from '@larchwood/format';
import { cutListCsv, drawingToSvg, patternSheets, pieceDrawing } from '@larchwood/outputs';
import { useEditor } from '../../editor/editor';
import { lengthWithin } from '../../ledger/bounds';
import { Group, Panel, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { useRevisionText } from '../../editor/revision';
import { Check } from '../../parts/Check';
import { SheetView } from '../../parts/SheetView';
import { download } from '../../parts/download';
import { useMaker } from './useMaker';

const ALL = 'all';

/** Paper wraps at full size: which pieces, on which paper, as PDF or SVG. */
export function PatternsStation() {
  const { document, plan, edit, settle } = useEditor('document', 'plan', 'edit', 'settle');
  const [which, setWhich] = useState(ALL);
  const { busy, make } = useMaker();
  const { paper } = document;
  const [square, setSquare] = useState(false);
  const revision = useRevisionText();
  const chosen = plan?.cuts.find((cut) => cut.piece === which);
  const cuts = useMemo(() => (chosen ? [chosen] : (plan?.cuts ?? [])), [chosen, plan]);
  const options = {
    size: paper.size,
    paperThickness: paper.thickness,
    display: document.units,
    buildName: document.name,
    revision,
    printer: paper.printer,
    square,
  };
  const sheets = useMemo(
    () => patternSheets(cuts, options),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the options are made of these
    [cuts, paper, document.units, document.name, revision, square],
  );
  const setPaper = (part: Partial<BuildDocument['paper']>) =>
    edit('paper', (before) => ({ ...before, paper: { ...before.paper, ...part } }));
  const base = `${fileStem(document.name)}-${chosen ? `piece-${chosen.mark}` : 'patterns'}`;

  const makePdf = () =>
    make({
      type: 'application/pdf',
      name: `${base}.pdf`,
      make: (maker) => maker.patterns(cuts, options),
    });
  const makeSolid = (as: 'gltf' | 'stl') => {
    const [type, suffix] = as === 'gltf' ? ['model/gltf-binary', 'glb'] : ['model/stl', 'stl'];
    const name = `${fileStem(document.name)}-frame.${suffix}`;
    return make({ type: type, name, make: (maker) => maker.solid(document, as) });
  };
  const makeSvg = () => {
    if (chosen)
      download(
        drawingToSvg(
          pieceDrawing(chosen, { paperThickness: paper.thickness, display: document.units, square }),
          `${document.name}: ${chosen.mark} ${chosen.name}`,
        ),
        'image/svg+xml',
        `${base}.svg`,
      );
  };
  if (!plan || plan.cuts.length === 0)
    return (
      <p className="flex-1 bg-sheet p-8">
        No tubes yet: make a frame at the Tubes station, and its patterns come here.
      </p>
    );
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
          <Button look="strong" disabled={busy || sheets.length === 0} onClick={() => void makePdf()}>
            {busy ? 'Making the PDF…' : 'Download PDF'}
          </Button>
          <Button disabled={!chosen} onClick={makeSvg}>
            {chosen ? `Download SVG of ${chosen.mark}` : 'SVG: choose one piece'}
          </Button>
        </div>
        <Group title="For other tools">
          <div className="flex flex-col gap-2 px-4 py-1.5">
            <Button
              onClick={() =>
                download(
                  cutListCsv(plan, document.units),
                  'text/csv',
                  `${fileStem(document.name)}-cut-list.csv`,
                )
              }
            >
              Cut list, CSV
            </Button>
            <Button disabled={busy} onClick={() => void makeSolid('gltf')}>
              Frame in space, glTF
            </Button>
            <Button disabled={busy} onClick={() => void makeSolid('stl')}>
              Frame in space, STL in mm
            </Button>
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
