import { TriangleAlert } from 'lucide-react';
import { useNavigate } from 'react-router';
import { findMaterial, formatExactly, sectionText, type Plan, type ToCut } from '@larchwood/core';
import type { CuttingTerms, QuotedPiece, RefusalAbout } from '@larchwood/contract';
import { useEditor } from '../../../editor/editor';
import { Group, Panel, Row } from '../../../ledger/Panel';
import { Button } from '../../../parts/Button';
import { Length } from '../../../parts/Figure';
import { HEAD_ROW } from '../../../parts/tables';
import { useKept } from '../../../parts/useKept';
import { Progress } from '../Progress';
import { Orders } from './Orders';
import { useCutting, useQuote } from './useCutting';

/** Where what is refused can be cured. */
const CURES: Readonly<Record<RefusalAbout, readonly [station: string, name: string]>> = {
  section: ['tubes', 'Change it at Tubes'],
  material: ['tubes', 'Change it at Tubes'],
  length: ['tubes', 'Change it at Tubes'],
  shape: ['tubes', 'Look at it at Tubes'],
  ends: ['joints', 'Look at its ends'],
  holes: ['cuts?show=holes', 'Change the hole'],
  outline: ['cuts?show=flat', 'Change its outline'],
};
const NONE: ReadonlySet<string> = new Set();
const OF_PLATES = ['cuts?show=flat', 'Change the plate'] as const;

/** Tubes and plates that somebody else cuts: what each costs or why it is refused, the order, and how far it is. */
export function CuttingView({ plan }: { readonly plan: Plan }) {
  const { build, document } = useEditor('build', 'document');
  const hand = useCutting(plan);
  const { terms, open, quote } = hand;
  const [left, setLeft] = useKept<ReadonlySet<string>>(`${build.id}/not ordered`, NONE);
  const quoted = new Map(quote?.pieces.map((piece) => [piece.piece, piece]));
  const priceOf = ({ item }: ToCut) => quoted.get(item.piece)?.price;
  const can = open.filter((each) => priceOf(each) !== undefined);
  const chosen = can.filter(({ item }) => !left.has(item.mark));
  // What is chosen is asked for by itself: only the service knows what that comes to.
  const { data: whole, isPlaceholderData: asking } = useQuote(chosen, document.units);
  const refused = open.length - can.length;
  const put = (mark: string, into: boolean) =>
    setLeft((before) => new Set(into ? [...before].filter((each) => each !== mark) : [...before, mark]));
  const everyOne = chosen.length === can.length;
  return (
    <>
      <div
        className="min-h-0 min-w-0 flex-1 overflow-auto bg-sheet"
        tabIndex={0}
        role="group"
        aria-label="What could be cut elsewhere"
      >
        {hand.missing !== undefined && (
          <p role="alert" className="border-b border-rule px-4 py-3 text-brick">
            The cutting service cannot be asked: {hand.missing}
          </p>
        )}
        <Orders hand={hand} />
        {open.length === 0 ? (
          <p className="p-8">
            {plan.frame.pieces.length === 0
              ? 'No tubes yet: make a frame at the Tubes station.'
              : 'Everything is cut or ordered.'}
          </p>
        ) : (
          <table className="w-full text-[14px]">
            <thead className="sticky top-0 z-10 bg-sheet">
              <tr className={HEAD_ROW}>
                <th className="!pl-4 text-left">
                  <input
                    type="checkbox"
                    className="accent-larch"
                    aria-label="All that can be ordered"
                    checked={everyOne && can.length > 0}
                    disabled={can.length === 0}
                    onChange={() => setLeft(everyOne ? new Set(can.map(({ item }) => item.mark)) : new Set())}
                  />
                </th>
                <th className="text-left">Piece</th>
                <th className="text-left max-[640px]:hidden">Cut from</th>
                <th>Length</th>
                <th className="!pr-4">Price</th>
              </tr>
            </thead>
            <tbody>
              {open.map((each) => (
                <PieceRow
                  key={each.item.piece}
                  plan={plan}
                  each={each}
                  quoted={quoted.get(each.item.piece)}
                  into={!left.has(each.item.mark)}
                  put={(into) => put(each.item.mark, into)}
                />
              ))}
            </tbody>
          </table>
        )}
      </div>
      <Panel title="Have it cut" aside={terms?.name}>
        {terms?.standIn && (
          <p className="border-b border-rule px-4 py-2 text-[13.5px]">
            <strong>To try it on.</strong> It stands in for a real service: nothing is cut, sent or paid, and
            a day takes it {terms.standIn.day} seconds.
          </p>
        )}
        <Group title="This order">
          <Row name="Pieces">
            <span className="figure font-semibold">
              {chosen.length} of {open.length}
            </span>
          </Row>
          {chosen.length > 0 && (
            <>
              <Row name="Price">
                <span className="figure font-semibold">{whole?.price.toFixed(2) ?? '…'}</span>
              </Row>
              <Row name="Sent after">
                <span className="figure">{whole ? `${whole.days} days` : '…'}</span>
              </Row>
            </>
          )}
          {refused > 0 && (
            <p className="caption px-4">
              {refused === 1 ? 'One is refused; its row says' : `${refused} are refused; their rows say`} why.
              Cure it there, or cut {refused === 1 ? 'it' : 'them'} here.
            </p>
          )}
        </Group>
        <div className="p-4">
          {hand.placing ? (
            <Progress packing={hand.placing} what="How far the order is" />
          ) : (
            <Button
              look="strong"
              disabled={chosen.length === 0 || hand.busy || !terms || !whole || asking}
              onClick={() => whole && void hand.place(chosen, whole.price)}
            >
              {chosen.length === 0
                ? 'Nothing to order'
                : `Order ${chosen.length} ${chosen.length === 1 ? 'piece' : 'pieces'}`}
            </Button>
          )}
          <p className="caption pt-2">
            A solid of each tube and an outline of each plate go with it. What is ordered is not sawn here any
            more.
          </p>
        </div>
        {terms && <Terms terms={terms} />}
        <p className="caption px-4 pb-3">
          Measure what comes before anything is welded to it. {document.name} is yours to answer for: have
          what carries a rider seen by somebody qualified.
        </p>
      </Panel>
    </>
  );
}

function PieceRow({
  plan,
  each: { item },
  quoted,
  into,
  put,
}: {
  readonly plan: Plan;
  readonly each: ToCut;
  readonly quoted: QuotedPiece | undefined;
  readonly into: boolean;
  readonly put: (into: boolean) => void;
}) {
  const { build, document, setPiece } = useEditor('build', 'document', 'setPiece');
  const navigate = useNavigate();
  const { units } = document;
  const section = plan.frame.pieces.find(({ id }) => id === item.piece)?.section;
  const refusals = quoted?.refusals ?? [];
  const cure = (about: RefusalAbout) => (item.form === 'plate' ? OF_PLATES : CURES[about]);
  const [first] = refusals;
  return (
    <tr className="border-b border-rule text-right align-top [&>td]:px-2 [&>td]:py-1.5">
      <td className="!pl-4 text-left">
        {refusals.length === 0 ? (
          <input
            type="checkbox"
            className="accent-larch"
            aria-label={`Order ${item.mark}`}
            checked={into}
            onChange={(event) => put(event.target.checked)}
          />
        ) : (
          <TriangleAlert size={15} aria-label="Refused" className="mt-0.5 text-larch-text" />
        )}
      </td>
      <td className="text-left">
        <span className="figure inline-block min-w-10 font-bold">{item.mark}</span>
        {item.name}
        {first && (
          <span className="block max-w-prose pb-1 text-larch-text">
            {refusals.map(({ text }) => text).join(' ')}{' '}
            <Button
              look="link"
              onClick={() => {
                setPiece(item.piece);
                void navigate(`/builds/${build.id}/${cure(first.about)[0]}`);
              }}
            >
              {cure(first.about)[1]}
            </Button>
          </span>
        )}
      </td>
      <td className="text-left max-[640px]:hidden">
        {section ? sectionText(section, units) : `plate, ${formatExactly(item.wall, units)}`}
        <span className="caption block">{findMaterial(item.material)?.name ?? item.material}</span>
      </td>
      <td>
        <Length mm={item.length} display={units} />
      </td>
      <td className="figure !pr-4">{quoted?.price === undefined ? '' : quoted.price.toFixed(2)}</td>
    </tr>
  );
}

function Terms({ terms }: { readonly terms: CuttingTerms }) {
  const { document } = useEditor('document');
  const { units } = document;
  const say = (mm: number) => formatExactly(mm, units);
  const rows = [
    ['Tube across', `${say(terms.across[0])} to ${say(terms.across[1])}`],
    ['Length', `${say(terms.length[0])} to ${say(terms.length[1])}`],
    ['Sheet', `${say(terms.sheet[0])} × ${say(terms.sheet[1])}`],
    ['Smallest hole', say(terms.smallestHole)],
    ['Least metal beside it', say(terms.smallestWeb)],
    ['Sharpest end', `${terms.sharpest}°`],
    ['Lengths come within', `±${say(terms.tolerance)}`],
  ] as const;
  return (
    <Group title="What they take">
      {rows.map(([name, value]) => (
        <Row key={name} name={name}>
          <span className="figure">{value}</span>
        </Row>
      ))}
      <p className="caption px-4 pt-1">
        Edges: {terms.edges} Straight tubes of one wall only, of{' '}
        {Object.keys(terms.materials)
          .map((id) =>
            (findMaterial(id)?.name ?? id).replace(/^[A-Z](?=[a-z])/, (letter) => letter.toLowerCase()),
          )
          .join(', ')}
        .
      </p>
    </Group>
  );
}
