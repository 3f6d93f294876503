import { Plus } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import {
  faceWords,
  formatAngle,
  outerFace,
  pairMark,
  pairName,
  placesAlong,
  usualHole,
  type Bore,
  type DrilledPiece,
  type Piece,
  type PieceCut,
  type Plan,
} from '@larchwood/core';
import { HOLE_USES, type Hole } from '@larchwood/format';
import { memberOf, useEditor } from '../../../editor/editor';
import { OutputButton } from '../../../files/OutputButton';
import { Findings } from '../../../ledger/Findings';
import { Group, Panel } from '../../../ledger/Panel';
import { Choice } from '../../../parts/Choice';
import { Length } from '../../../parts/Figure';
import { HEAD_ROW, rowLook } from '../../../parts/tables';
import { changeHoles } from '../../../edits/cuts';
import { HoleCloseUp } from './HoleCloseUp';
import { HoleForm } from './HoleForm';
import { Unrolled } from './Unrolled';

/** What is drilled or sawn into each tube, where it is marked, and on which face. */
export function HolesView({ plan }: { readonly plan: Plan }) {
  const {
    document,
    piece: inHand,
    setPiece,
    edit,
    settle,
  } = useEditor('document', 'piece', 'setPiece', 'edit', 'settle');
  const [holeId, setHoleId] = useState<string>();
  const seconds = new Set(plan.frame.pieces.flatMap(({ id, side }) => (side === 'right' ? [id] : [])));
  const cuts = plan.cuts.filter(({ piece: id }) => !seconds.has(id));
  const cut =
    cuts.find((each) => memberOf(each.piece) === memberOf(inHand)) ??
    cuts.find((each) => plan.holes.some(({ piece }) => piece === each.piece)) ??
    cuts[0];
  if (!cut) return <p className="p-8">No tubes yet: make a frame at the Tubes station.</p>;
  const piece = plan.frame.pieces.find(({ id }) => id === cut.piece)!;
  const { member } = piece;
  const places = placesAlong(piece, plan, document.frame.nodes);
  const axle = places.find(({ id }) => id === 'rearAxle' || id === 'frontAxle');
  const drilled = plan.holes.find((each) => each.piece === piece.id);
  const holes = member.holes ?? [];
  const hole = holes.find(({ id }) => id === holeId) ?? holes[0];
  const add = (use: Hole['use']) => {
    const id = nanoid(8);
    edit(
      `holes.${member.id}`,
      changeHoles(member.id, (before) => [
        ...before,
        usualHole(use, id, cut.overall, axle && { at: axle.id, face: outerFace(piece) }),
      ]),
    );
    settle();
    setHoleId(id);
  };
  return (
    <>
      <div
        className="flex min-h-0 min-w-0 flex-1 flex-col overflow-auto bg-sheet"
        tabIndex={0}
        role="group"
        aria-label="Holes"
      >
        <div className="flex min-h-11 flex-wrap items-center gap-3 border-b border-rule px-4 py-1">
          <Choice
            label="Piece"
            value={cut.piece}
            groups={[
              {
                options: cuts.map(({ piece: id, mark, name }) => ({
                  value: id,
                  label: `${pairMark(mark)} ${pairName(name)}${holesOf(plan, id)}`,
                })),
              },
            ]}
            onChange={setPiece}
            className="min-w-64"
          />
          <Choice
            label="Add a hole"
            value=""
            placeholder="Add a hole"
            groups={[{ options: HOLE_USES.map((use) => ({ value: use, label: NAMES[use] })) }]}
            onChange={(use) => add(use as Hole['use'])}
          />
          <OutputButton id="holes" />
        </div>
        {drilled ? (
          <>
            <Unrolled piece={piece} cut={cut} drilled={drilled} lit={hole?.id} onChoose={setHoleId} />
            {hole && <HoleCloseUp piece={piece} cut={cut} drilled={drilled} hole={hole} />}
            <BoreTable piece={piece} drilled={drilled} lit={hole?.id} onChoose={setHoleId} />
          </>
        ) : (
          <p className="p-8">
            <Plus size={14} aria-hidden className="mr-1 inline" />
            Nothing is drilled in this piece. Choose above what goes through it: it begins as builders mostly
            make it, and is moved from there.
          </p>
        )}
      </div>
      <Panel title={hole ? hole.name : `Piece ${pairMark(cut.mark)}`} aside={hole && pairMark(cut.mark)}>
        <Findings findings={drilled?.findings ?? []} />
        {hole && (
          <HoleForm
            key={hole.id}
            piece={piece}
            cut={cut}
            places={places}
            bore={drilled?.bores.find((bore) => bore.hole === hole.id)}
            hole={hole}
            onRemoved={() => setHoleId(undefined)}
          />
        )}
        <Advice pair={member.mirrored} cut={cut} hole={hole} />
      </Panel>
    </>
  );
}

const NAMES: Readonly<Record<Hole['use'], string>> = {
  bearing: 'bearing and its bolts',
  bolt: 'bolt, through',
  cable: 'cable',
  axle: 'axle slot',
  vent: 'vent',
  plug: 'plug weld',
  other: 'plain hole',
};

const holesOf = ({ holes }: Plan, id: string): string => {
  const count = holes.find(({ piece }) => piece === id)?.bores.length ?? 0;
  return count === 0 ? '' : ` (${count})`;
};

interface TableProps {
  readonly piece: Piece;
  readonly drilled: DrilledPiece;
  readonly lit: string | undefined;
  readonly onChoose: (hole: string) => void;
}

function BoreTable({ piece, drilled, lit, onChoose }: TableProps) {
  const { document } = useEditor('document');
  const length = (mm: number) => <Length mm={mm} display={document.units} unit={false} />;
  return (
    <table className="w-full border-collapse text-[13.5px]">
      <caption className="sr-only">Holes, where each is marked</caption>
      <thead>
        <tr className={HEAD_ROW}>
          <th className="!pl-4 text-left">Hole</th>
          <th className="text-left">Face</th>
          <th>From its start</th>
          <th>From its end</th>
          <th>Off the middle</th>
          <th>Round from the top</th>
          <th className="!pr-4">Size</th>
        </tr>
      </thead>
      <tbody>
        {drilled.bores.map((bore, index) => (
          <tr key={index} className={rowLook(bore.hole === lit)} onClick={() => onChoose(bore.hole)}>
            <td className="!pl-4 text-left">
              <button type="button" aria-pressed={bore.hole === lit} onClick={() => onChoose(bore.hole)}>
                {bore.name}
              </button>
            </td>
            <td className="text-left">{faceText(piece, bore)}</td>
            <td className="font-bold">{length(bore.fromStart)}</td>
            <td>{length(bore.fromEnd)}</td>
            <td>{length(bore.off)}</td>
            <td>{length(bore.round)}</td>
            <td className="!pr-4 font-bold">
              {length(bore.diameter)}
              {bore.long > bore.diameter && <> × {length(bore.long)}</>}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A face of square stock by where it looks; of a round tube by its angle, too. */
function faceText(piece: Piece, { face, wall }: Bore): string {
  const looks = faceWords(piece, face);
  const turned = piece.section.shape === 'rectangular' ? '' : `${formatAngle(face, 0)}, `;
  return `${turned}${looks}${wall === 'far' ? ', far wall' : ''}`;
}

function Advice({
  pair,
  cut,
  hole,
}: {
  readonly pair: boolean;
  readonly cut: PieceCut;
  readonly hole: Hole | undefined;
}) {
  return (
    <Group title="At the drill">
      <ul className="list-disc px-4 pb-2 pl-8 text-[13px] text-quiet">
        {pair && hole?.far !== undefined && (
          <li>Clamp both of {pairMark(cut.mark)} together and drill through the pair: pilot first.</li>
        )}
        {hole?.use === 'bearing' && (
          <li>Bolt holes on the drill press: by hand they wander, and the bearing sits askew.</li>
        )}
        {hole?.sleeve !== undefined && (
          <li>
            The sleeve is as long as the inside is wide, tacked at one end only, clear of the bearing’s
            flange.
          </li>
        )}
        {hole?.use === 'axle' && (
          <li>
            Drill for the axle, saw its mouth open from the edge, ease the corners. Across the flats or over
            the full diameter: decide before sawing, and measure between the faces, too.
          </li>
        )}
        {hole?.use === 'cable' && (
          <li>Round every burr inside and out: a sharp edge saws through a cable.</li>
        )}
        {hole?.use === 'plug' && (
          <li>
            Clean and clamp tight onto what lies behind; begin at the middle of that, and fill up outwards.
          </li>
        )}
        {hole?.use === 'vent' && <li>Into the joint or the hidden side; closed or drained later.</li>}
        <li>Hole saws grab thin tube: clamp it. Distances are from the longest point of the end, as cut.</li>
      </ul>
    </Group>
  );
}
