import { RotateCcw } from 'lucide-react';
import { useMemo, useState } from 'react';
import {
  estimate,
  flushEdge,
  findMaterial,
  heatOf,
  neighbours,
  passesOf,
  pauseOf,
  processFor,
  PROCESSES,
  stretchName,
  QUARTERS_FROM,
  tacksOf,
  warmthOf,
  withMoves,
  type Plan,
  type ProcessId,
  type Seam,
  type Segment,
} from '@larchwood/core';
import type { Shop } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { Group, Panel, Row } from '../../ledger/Panel';
import { Button, IconButton } from '../../parts/Button';
import { BuildCheck } from '../../ledger/BuildCheck';
import { Length } from '../../parts/Figure';
import { useShop } from '../../lists/useShop';
import { moveSeam, seamsBack, setFlush, workOf } from '../../edits/work';
import { pauseText } from './hoursText';
import { StepDrawing } from './StepDrawing';
import { useBalanced } from './useBalanced';
import type { WorkHand } from './useWork';
import { WeldLog } from './WeldLog';
import { WelderList } from './WelderList';

/** The process for a wall: one of the workshop's welders that takes it, the nearest to its middle; else the usual one. */
export function processIn(shop: Shop, seam: Pick<Seam, 'wall'>): ProcessId {
  const fitting = Object.values(shop.welders)
    .filter(({ thin, thick }) => seam.wall >= thin && seam.wall <= thick)
    .sort((a, b) => Math.abs(a.thin + a.thick - 2 * seam.wall) - Math.abs(b.thin + b.thick - 2 * seam.wall));
  return fitting[0]?.process ?? processFor(seam);
}

/** Every stretch of every seam in the order of welding, and what each takes. */
export function WeldView({ plan, hand }: { readonly plan: Plan; readonly hand: WorkHand }) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const { shop } = useShop();
  const { work } = hand;
  const pace = hand.pace('weld');
  const own = new Set(work.steps.map(({ id }) => id));
  // Caps are welded on the bench, and what has a step of its own is welded there.
  const seams = useStable(work.seams.filter(({ id, to }) => to[0] !== 'cap' && !own.has(`weld:${id}`)));
  const { found, progress } = useBalanced(seams);
  const moves = workOf(document).seams;
  const order = useMemo(() => (found ? withMoves(found.order, moves) : []), [found, moves]);
  const warmth = useMemo(() => warmthOf(order), [order]);
  const pauses = warmth.reduce((sum, each) => sum + pauseOf(each), 0);
  const heat = useMemo(() => (order.length > 0 ? heatOf(order) : 0), [order]);
  const [picked, pick] = useState<string>();
  const segment = order.find(({ id }) => id === picked) ?? order[0];
  const bySeam = useMemo(() => new Map(seams.map((seam) => [seam.id, seam])), [seams]);
  const seam = segment && bySeam.get(segment.seam);
  const change = (next: Parameters<typeof edit>[1]) => {
    edit('work.seams', next);
    settle();
  };
  const totals = seams.reduce(
    (sum, each) => {
      const { arc, minutes, filler, gas } = estimate(each, processIn(shop, each), pace);
      return {
        arc: sum.arc + arc,
        minutes: sum.minutes + minutes,
        filler: sum.filler + filler,
        gas: sum.gas + gas,
      };
    },
    { arc: 0, minutes: 0, filler: 0, gas: 0 },
  );
  if (seams.length === 0)
    return <p className="p-8">Nothing of this frame is welded: no end is cut to another tube.</p>;
  return (
    <>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <div className="flex min-h-10 shrink-0 flex-wrap items-center justify-between gap-x-4 border-b border-rule px-4 py-1">
          <span>
            <span className="font-bold">
              {seams.length} seams, {order.length} stretches
            </span>{' '}
            <span className="caption">
              {progress !== undefined
                ? `looking for the order with the least heat: ${Math.round(progress * 100)} %`
                : found
                  ? `heat ${heat.toFixed(1)}; ${heatOf(segmentsAsDrawn(order)).toFixed(1)} seam after seam`
                  : ''}
            </span>
          </span>
          {moves.length > 0 && (
            <Button look="quiet" onClick={() => change(seamsBack)}>
              Put all back
            </Button>
          )}
        </div>
        <div
          className="min-h-0 flex-1 overflow-auto bg-sheet"
          tabIndex={0}
          role="group"
          aria-label="Order of welding"
        >
          <table className="w-full text-[14px]">
            <thead className="sticky top-0 z-10 bg-sheet">
              <tr className="caption border-b-2 border-ink text-right [&>th]:px-2 [&>th]:py-1 [&>th]:font-normal">
                <th className="w-12">No.</th>
                <th className="text-left">Seam</th>
                <th className="text-left">Stretch</th>
                <th className="text-left">Pass</th>
                <th>Length</th>
                <th className="text-left">Process</th>
                <th>Arc</th>
              </tr>
            </thead>
            <tbody>
              {order.map((each, index) => {
                const of = bySeam.get(each.seam)!;
                const process = processIn(shop, of);
                const { arc, passes } = estimate(of, process, pace);
                const beside = index > 0 && neighbours(order[index - 1]!, each);
                return (
                  <tr
                    key={each.id}
                    className={`cursor-pointer border-b border-rule text-right [&>td]:px-2 [&>td]:py-1 ${each.id === segment?.id ? 'bg-larch-wash' : 'hover:bg-paper'}`}
                    onClick={() => pick(each.id)}
                  >
                    <td className="figure font-bold">{index + 1}</td>
                    <td className="text-left">
                      <button
                        type="button"
                        aria-pressed={each.id === segment?.id}
                        className="text-left hover:underline"
                        onClick={() => pick(each.id)}
                      >
                        {each.name}
                      </button>
                    </td>
                    <td className="text-left">
                      {stretchName(each)}
                      {pauseOf(warmth[index]!) > 0 && (
                        <span className="ml-2 text-[12px] font-semibold text-larch-text">
                          let it cool {pauseText(pauseOf(warmth[index]!))} first
                        </span>
                      )}
                      {beside && (
                        <span className="ml-2 text-[12px] font-semibold text-larch-text">
                          beside the last
                        </span>
                      )}
                    </td>
                    <td className="text-left">{passesOf(of) === 1 ? 'one' : each.pass}</td>
                    <td>
                      <Length mm={each.length} display={document.units} digits={0} />
                    </td>
                    <td className="text-left">{PROCESSES[process].name}</td>
                    <td className="figure">{seconds(arc / passes / 4)}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      </div>
      <Panel title="Welds" aside={`${Math.round(totals.minutes)} min in all`}>
        {seam && segment && (
          <SeamGroup
            plan={plan}
            seam={seam}
            segment={segment}
            process={processIn(shop, seam)}
            shop={shop}
            pace={pace}
          >
            <div className="flex flex-wrap gap-2 px-4 py-2">
              <Button
                disabled={order.indexOf(segment) === 0}
                onClick={() => change(moveSeam(segment.id, order[order.indexOf(segment) - 2]?.id ?? 'start'))}
              >
                Earlier
              </Button>
              <Button
                disabled={order.indexOf(segment) === order.length - 1}
                onClick={() => change(moveSeam(segment.id, order[order.indexOf(segment) + 1]!.id))}
              >
                Later
              </Button>
              {moves.some((move) => move.seam === segment.id) && (
                <IconButton
                  name="Put it back"
                  onClick={() =>
                    change((before) => ({
                      ...before,
                      work: { ...workOf(before), seams: moves.filter((move) => move.seam !== segment.id) },
                    }))
                  }
                >
                  <RotateCcw size={14} aria-hidden />
                </IconButton>
              )}
            </div>
          </SeamGroup>
        )}
        <Group
          title={
            pace === 1
              ? 'In all, by usual figures until the log corrects them'
              : `In all, × ${pace.toFixed(2)} by the log of hours`
          }
        >
          <Row name="Arc burns">
            <span className="figure">{Math.round(totals.arc)} min</span>
          </Row>
          <Row name="With fetching and turning">
            <span className="figure">{Math.round(totals.minutes)} min</span>
          </Row>
          <Row name="Left to cool">
            <span className="figure">{Math.round(pauses)} min</span>
          </Row>
          <Row name="Filler">
            <span className="figure">{Math.round(totals.filler)} g</span>
          </Row>
          <Row name="Gas">
            <span className="figure">{Math.round(totals.gas)} l</span>
          </Row>
        </Group>
        <WelderList />
        <WeldLog seam={seam} process={seam && processIn(shop, seam)} />
      </Panel>
    </>
  );
}

/** The same list for as long as it holds the same. */
function useStable(seams: readonly Seam[]): readonly Seam[] {
  const [kept, keep] = useState(seams);
  const same = kept.length === seams.length && kept.every((seam, index) => seam === seams[index]);
  if (!same) keep(seams);
  return same ? kept : seams;
}

const seconds = (minutes: number): string => `${Math.max(1, Math.round(minutes * 60))} s`;
/** Seam after seam, quarter after quarter: what nobody should do, to compare. */
const segmentsAsDrawn = (order: readonly Segment[]): readonly Segment[] =>
  [...order].sort((a, b) => (a.pass === b.pass ? a.id.localeCompare(b.id) : a.pass === 'root' ? -1 : 1));

function SeamGroup({
  plan,
  seam,
  segment,
  process,
  shop,
  pace,
  children,
}: {
  readonly plan: Plan;
  readonly seam: Seam;
  readonly segment: Segment;
  readonly process: ProcessId;
  readonly shop: Shop;
  /** Of the workshop's own time over the usual one, by its log. */
  readonly pace: number;
  readonly children: React.ReactNode;
}) {
  const { document } = useEditor('document');
  const { units } = document;
  const pieces = useMemo(() => [seam.piece, ...seam.hosts], [seam]);
  const { arc, minutes, filler } = estimate(seam, process, pace);
  const logged = Object.values(shop.welds).filter(
    (weld) =>
      weld.process === process && weld.material === seam.material && Math.abs(weld.wall - seam.wall) < 0.26,
  );
  const [last] = [...logged].sort((a, b) => b.on.localeCompare(a.on));
  const purge = findMaterial(seam.material)?.name.toLowerCase() ?? '';
  return (
    <Group title={`${segment.name}, ${stretchName(segment)}`}>
      <StepDrawing plan={plan} pieces={pieces} className="mx-4 h-36 w-[290px] border border-rule bg-sheet" />
      <p className="caption px-4">{QUARTERS_FROM}</p>
      <Row name="Once round">
        <Length mm={seam.length} display={units} />
      </Row>
      <Row name="Walls, thinner and thicker">
        <span>
          <Length mm={seam.wall} display={units} digits={2} unit={false} /> and{' '}
          <Length mm={seam.thickest} display={units} digits={2} />
        </span>
      </Row>
      <Row name="Tacks, passes">
        <span className="figure">
          {seam.plug ? 'none' : tacksOf(seam)}, {passesOf(seam)}
        </span>
      </Row>
      <Row name={`${PROCESSES[process].name}: arc, in all`}>
        <span className="figure">
          {arc.toFixed(1)}, {Math.round(minutes)} min
        </span>
      </Row>
      <Row name="Filler">
        <span className="figure">{filler.toFixed(1)} g</span>
      </Row>
      <p className="px-4 py-1 text-[13.5px]">
        {last
          ? `Last time on this wall (${last.on}): ${last.settings}.`
          : 'No settings are logged for this process, material and wall: begin low on an off-cut of the same tube, and log what worked.'}
      </p>
      {seam.spreader !== undefined && (
        <p className="caption px-4">
          Its slot pulls shut: weld with a spreader of{' '}
          <Length mm={seam.spreader} display={units} digits={1} /> in it, far enough down to get it out again.
        </p>
      )}
      <Flush seam={seam} />
      {/stainless|titan/.test(purge) && (
        <p className="caption px-4">This material wants its back purged with the same gas while it is hot.</p>
      )}
      {seam.thickest / seam.wall > 2.5 && (
        <p className="caption px-4">
          Thin meets thick: aim at the thick side, and let it run over to the thin one.
        </p>
      )}
      {children}
    </Group>
  );
}

/** Whether bodywork lies on a seam, and how its edge is made ready for the weld to go through. */
function Flush({ seam }: { readonly seam: Seam }) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const { units } = document;
  const flush = workOf(document).flush?.includes(seam.id) ?? false;
  const { bevel, land, gap } = flushEdge(seam);
  return (
    <>
      <BuildCheck
        className="px-4"
        checked={flush}
        onChange={(on) => {
          edit('work.flush', setFlush([seam.id, ...(seam.twin === undefined ? [] : [seam.twin])], on));
          settle();
        }}
      >
        Ground flush: bodywork lies on it
      </BuildCheck>
      {flush && (
        <>
          {bevel > 0 && (
            <Row name="Bevel of its edge, wide">
              <Length mm={bevel} display={units} digits={1} />
            </Row>
          )}
          <Row name="Gap before it is tacked">
            <Length mm={gap} display={units} digits={1} />
          </Row>
          <p className="caption px-4">
            {bevel > 0 ? (
              <>
                From the outside of the wall, <Length mm={land} display={units} digits={1} /> left at its
                inside.
              </>
            ) : (
              'Thin enough to be welded through by the gap alone.'
            )}{' '}
            What is ground off carries nothing: the weld has to go through. Not where it carries steering,
            brakes or a roll structure.
          </p>
        </>
      )}
    </>
  );
}
