import { CHECK_STAGES, findKind, verdictOf, type AsBuiltFigure } from '@larchwood/core';
import type { CheckStage } from '@larchwood/format';
import { useEditor, useUnits } from '../../editor/editor';
import { Measure } from '../../parts/Figure';
import { HEAD_ROW } from '../../parts/tables';
import { Advice } from './Advice';
import { Off } from './Off';
import type { ChecksHand } from './useChecks';
import { VerdictMark } from './VerdictMark';

/** What came out at a stage, beside what was drawn; and what to do about it. */
export function AsBuiltView({ hand, stage }: { readonly hand: ChecksHand; readonly stage: CheckStage }) {
  const { plan, document } = useEditor('plan', 'document');
  const { units } = document;
  const result = hand.results.find((each) => each.stage === stage);
  if (!result)
    return (
      <p className="p-8">
        Nothing is read at this stage yet. Put in what your tools read under Measure: the first few tell most.
      </p>
    );
  const { built } = result;
  const kind = findKind(document.kind);
  const measureOf = (id: string) =>
    [...hand.list.measures, ...hand.list.comparisons].find((each) => each.id === id);
  const nameOf = (id: string) => measureOf(id)?.name ?? id;
  const untold = built.figures.filter(({ told }) => !told);
  return (
    <>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col">
        <div className="flex min-h-10 shrink-0 items-center border-b border-rule px-4 py-1">
          <span>
            <span className="font-bold">{CHECK_STAGES[stage].name}</span>{' '}
            <span className="caption">
              by least squares from {built.readings} {built.readings === 1 ? 'reading' : 'readings'}
              {built.wrong.length > 0 && `, ${built.wrong.length} left out as wrong`}; ± is two standard
              deviations
            </span>
          </span>
        </div>
        <div
          className="min-h-0 flex-1 overflow-auto bg-sheet"
          tabIndex={0}
          role="group"
          aria-label="As built"
        >
          <table className="w-full text-[14px]">
            <thead className="sticky top-0 z-10 bg-sheet">
              <tr className={HEAD_ROW}>
                <th className="!pl-4 text-left">Dimension</th>
                <th>As drawn</th>
                <th>As built</th>
                <th>Known to</th>
                <th>Off by</th>
                <th className="w-28 text-left">Verdict</th>
                <th className="!pr-4 text-left">Usual band</th>
              </tr>
            </thead>
            <tbody>
              {built.figures
                .filter(({ told }) => told)
                .map((figure) => (
                  <FigureRow key={figure.id} figure={figure} band={plan?.stance.bands[figure.id]} />
                ))}
            </tbody>
          </table>
          {untold.length > 0 && (
            <section className="px-4 py-3">
              <h3 className="caption pb-1">What these readings cannot tell</h3>
              <ul>
                {untold.map(({ id, name, quantity, next }) => (
                  <li key={id} className="py-0.5">
                    <strong>{name}</strong>
                    {next ? (
                      <>
                        : read “{nameOf(next.measure)}”, then it is known to ±{' '}
                        <Measure value={2 * next.sigma} quantity={quantity} display={units} />.
                      </>
                    ) : (
                      ': several readings more are needed.'
                    )}
                  </li>
                ))}
              </ul>
            </section>
          )}
          {built.wrong.map(({ measure, by, or }) => {
            const found = measureOf(measure);
            return (
              found && (
                <p key={measure} className="mx-4 my-2 border-l-4 border-brick px-3 py-1">
                  “{found.name}” disagrees with the others by{' '}
                  <Measure value={Math.abs(by)} quantity={found.quantity} display={units} />: read it again.
                  {or.length > 0 && ` Or it is ${or.map((id) => `“${nameOf(id)}”`).join(' or ')}.`}
                </p>
              )
            );
          })}
        </div>
      </div>
      <Advice result={result} kindName={kind?.name.toLowerCase() ?? 'frame'} />
    </>
  );
}

function FigureRow({
  figure: { name, quantity, drawn, value, sigma, tolerance },
  band,
}: {
  readonly figure: AsBuiltFigure;
  readonly band: { readonly low: number; readonly high: number } | undefined;
}) {
  const units = useUnits();
  const off = value - drawn;
  // What the readings leave open is no fault of the frame, and what they hardly know has not passed either.
  const open = Math.abs(off) <= 2 * sigma && (Math.abs(off) > tolerance.value || sigma > tolerance.value);
  return (
    <tr className="border-b border-rule text-right [&>td]:px-2 [&>td]:py-1.5">
      <td className="!pl-4 text-left font-semibold">{name}</td>
      <td>
        <Measure value={drawn} quantity={quantity} display={units} />
      </td>
      <td className="font-bold">
        <Measure value={value} quantity={quantity} display={units} />
      </td>
      <td className="whitespace-nowrap text-quiet">
        ± <Measure value={2 * sigma} quantity={quantity} display={units} />
      </td>
      <td>
        <Off value={off} quantity={quantity} />
      </td>
      <td className="text-left">
        {open ? (
          <span className="text-[13px] text-quiet">not sure</span>
        ) : (
          <VerdictMark verdict={verdictOf(off, tolerance)} />
        )}
      </td>
      <td className="!pr-4 text-left text-[13px]">
        {band &&
          (value >= band.low && value <= band.high ? (
            <span className="text-quiet">inside</span>
          ) : (
            <span className="font-semibold text-larch-text">outside</span>
          ))}
      </td>
    </tr>
  );
}
