import { Check, Minus } from 'lucide-react';
import { failure, findKind, formatLength, type Fitted } from '@larchwood/core';
import { LIMITS, type Limits, type BuildDocument } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { lengthWithin } from '../../ledger/bounds';
import { QuantityField } from '../../ledger/QuantityField';
import { Length } from '../../parts/Figure';
import { setSeat } from '../../edits/seat';
import { useSlow } from '../../planning/useSlow';

/** Who fits: statures over a span, and how far seat and grips must be slid for each. */
export function FitView() {
  const { document, edit } = useEditor('document', 'edit');
  const { value: fitted } = useSlow('fit');
  const { statures, legSlide, armSlide } = document.seat;
  const slot = findKind(document.kind)?.seat.slots[0];
  const { units } = document;
  const [legs, arms] = [slot?.adjusters?.legs.name ?? 'seat', slot?.adjusters?.arms.name ?? 'grips'];
  const end = (key: 'statures' | 'legSlide' | 'armSlide', index: 0 | 1, label: string, limits: Limits) => {
    const pair = document.seat[key];
    return (
      <QuantityField
        field={`seat.${key}.${index}`}
        label={label}
        quantity="length"
        value={pair[index]}
        digits={0}
        nudge={units.length === 'mm' ? 10 : 6.35}
        onCommit={(value) => {
          const next: [number, number] = index === 0 ? [value, pair[1]] : [pair[0], value];
          return lengthWithin(value, limits, () =>
            next[0] <= next[1]
              ? edit(`seat.${key}.${index}`, setSeat({ [key]: next } as Partial<BuildDocument['seat']>))
              : failure('The first must not be more than the second.'),
          );
        }}
      />
    );
  };
  const all = fitted?.every(({ fits }) => fits);
  const within = fitted?.filter(({ fits }) => fits) ?? [];
  return (
    <section className="min-h-0 flex-1 overflow-y-auto bg-sheet px-6 py-4" tabIndex={0} aria-label="Who fits">
      <h2 className="mb-1 text-lg font-bold">Who fits</h2>
      <p className="mb-3 max-w-3xl text-quiet">
        Knee and elbow are to stand as they do for the rider in the first place now. For each stature, of
        usual proportions: how far the {legs} and the {arms} must be moved for that, against where they are.
      </p>
      <div className="mb-4 grid max-w-3xl grid-cols-[1fr_auto_auto_auto] items-baseline gap-x-3 gap-y-1">
        <span>Statures</span>
        {end('statures', 0, 'Shortest', LIMITS.statures)}
        <span className="text-quiet">to</span>
        {end('statures', 1, 'Tallest', LIMITS.statures)}
        <span>Range of the {legs}, against its present place</span>
        {end('legSlide', 0, `Range of the ${legs}, from`, LIMITS.slide)}
        <span className="text-quiet">to</span>
        {end('legSlide', 1, `Range of the ${legs}, to`, LIMITS.slide)}
        <span>Range of the {arms}, against its present place</span>
        {end('armSlide', 0, `Range of the ${arms}, from`, LIMITS.slide)}
        <span className="text-quiet">to</span>
        {end('armSlide', 1, `Range of the ${arms}, to`, LIMITS.slide)}
      </div>
      {!fitted ? (
        <p role="status">Working it out…</p>
      ) : (
        <>
          <p role="status" className="mb-2 font-bold">
            {all
              ? `Everybody from ${formatLength(statures[0], units, 0)} to ${formatLength(statures[1], units, 0)} fits.`
              : within.length > 0
                ? `Fits from ${formatLength(within[0]!.stature, units, 0)} to ${formatLength(within.at(-1)!.stature, units, 0)} of those asked.`
                : 'Nobody of these statures fits within the ranges.'}
          </p>
          <FitTable fitted={fitted} legs={legs} arms={arms} ranges={{ legSlide, armSlide }} />
        </>
      )}
    </section>
  );
}

function FitTable({
  fitted,
  legs,
  arms,
  ranges,
}: {
  readonly fitted: readonly Fitted[];
  readonly legs: string;
  readonly arms: string;
  readonly ranges: Pick<BuildDocument['seat'], 'legSlide' | 'armSlide'>;
}) {
  const { document } = useEditor('document');
  const { units } = document;
  const head = 'px-3 py-1 font-normal text-quiet';
  return (
    <table className="w-full max-w-3xl border-t-2 border-ink">
      <thead>
        <tr className="border-b border-rule text-right">
          <th scope="col" className={head}>
            Stature
          </th>
          <th scope="col" className={head}>
            Move the {legs}
          </th>
          <th scope="col" className={head}>
            Move the {arms}
          </th>
          <th scope="col" className={head}>
            Top of helmet
          </th>
          <th scope="col" className={`${head} text-left`}>
            Fits
          </th>
        </tr>
      </thead>
      <tbody>
        {fitted.map(({ stature, legs: leg, arms: arm, helmet, fits }) => (
          <tr key={stature} className="border-b border-rule text-right">
            <th scope="row" className="px-3 py-1 font-normal">
              <Length mm={stature} display={units} digits={0} />
            </th>
            {[
              { by: leg.by, within: leg.within, range: ranges.legSlide },
              { by: arm.by, within: arm.within, range: ranges.armSlide },
            ].map(({ by, within, range }, index) => (
              <td key={index} className={`px-3 ${within ? '' : 'text-larch-text'}`}>
                {by === undefined ? (
                  'no place does it'
                ) : (
                  <>
                    {!within && (
                      <span className="mr-2 text-[12px] font-bold">
                        {by < range[0] ? 'beyond the near end' : 'beyond the far end'}
                      </span>
                    )}
                    {by > 0.5 ? '+' : ''}
                    <Length mm={by} display={units} digits={0} />
                  </>
                )}
              </td>
            ))}
            <td className="px-3">
              {helmet === undefined ? '' : <Length mm={helmet} display={units} digits={0} />}
            </td>
            <td className="px-3 text-left">
              <span className={`inline-flex items-center gap-1.5 ${fits ? '' : 'font-bold text-larch-text'}`}>
                {fits ? (
                  <Check size={15} aria-hidden className="text-spruce" />
                ) : (
                  <Minus size={15} aria-hidden />
                )}
                {fits ? 'fits' : 'does not fit'}
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
