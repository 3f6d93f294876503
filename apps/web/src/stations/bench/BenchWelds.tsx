import { useMemo } from 'react';
import { pauseOf, stretchName, QUARTERS_FROM, warmthOf, withMoves, type Step } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Length } from '../../parts/Figure';
import { workOf } from '../../edits/work';
import { pauseText } from '../work/hoursText';
import { useBalanced } from '../work/useBalanced';
import type { WorkHand } from '../work/useWork';

/** The stretches of a step's seams in the order that keeps the heat apart, large enough to follow torch in hand. */
export function BenchWelds({ hand, step }: { readonly hand: WorkHand; readonly step: Step }) {
  const { document } = useEditor('document');
  const { seams: all } = hand.work;
  const seams = useMemo(() => {
    const own = new Set(step.lines.map(({ id }) => id));
    return all.filter(({ id }) => own.has(id));
  }, [all, step]);
  const { found, progress } = useBalanced(seams);
  const order = found ? withMoves(found.order, workOf(document).seams) : [];
  const warmth = warmthOf(order);
  if (!found)
    return (
      <p className="py-3 text-[16px] text-quiet">
        Looking for the order with the least heat: {Math.round((progress ?? 0) * 100)} %
      </p>
    );
  return (
    <>
      <p className="pb-1 text-[15px] text-quiet">{QUARTERS_FROM}</p>
      <ol className="border-t border-rule">
        {order.map((segment, index) => (
          <li key={segment.id} className="flex min-h-12 items-center gap-3 border-b border-rule py-1">
            <span className="figure w-10 shrink-0 text-right text-[20px] font-bold">{index + 1}</span>
            <span className="min-w-0 flex-1 text-[16px]">
              {segment.name}: {stretchName(segment)}
              {pauseOf(warmth[index]!) > 0 && (
                <span className="block text-[14px] font-semibold text-larch-text">
                  let it cool {pauseText(pauseOf(warmth[index]!))} first
                </span>
              )}
            </span>
            <span className="shrink-0 text-[18px] font-bold">
              <Length mm={segment.length} display={document.units} digits={0} />
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
