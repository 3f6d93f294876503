import { gaugeDisplay, type KeepingCost, type Late } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Button } from '../../parts/Button';
import { Measure } from '../../parts/Figure';
import { keepAsMade, makeAgain } from '../../edits/work';

/** What it costs to keep what was made; an outcome of the fixture says its own name. */
const COSTS: Readonly<Record<Exclude<KeepingCost['what'], 'outcome'>, string>> = {
  opens: 'too short by',
  long: 'too long, and to be trimmed by',
  askew: 'one side of the cope stands off by',
  lands: 'its far end is off its place by',
  hole: 'a hole is off its place by',
};
const MOST_LINES = 8;
const MOST_STANDING = 4;

/** A step that was done before the drawing changed: both numbers, what keeping costs, what stands on it, and the choice. */
export function LateStep({
  late,
  onPick,
}: {
  readonly late: Late;
  readonly onPick?: (step: string) => void;
}) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const { step, lines, costs, standOnIt } = late;
  const choose = (change: typeof keepAsMade) => {
    edit(`done.${step.id}`, change(late, new Date()));
    settle();
  };
  const { units } = document;
  const number = (value: number | undefined, quantity: KeepingCost['quantity'], gauge = false) =>
    value === undefined ? (
      '—'
    ) : (
      <Measure value={value} quantity={quantity} display={gauge ? gaugeDisplay(value, units) : units} />
    );
  const change = (was: number, now: number, quantity: KeepingCost['quantity']) => (
    <span>
      {now > was && '+'}
      {number(now - was, quantity)}
    </span>
  );
  return (
    <div
      className="my-2 border-l-4 border-larch bg-paper px-3 py-2"
      role="group"
      aria-label={`Changed: ${step.name}`}
    >
      <p className="font-semibold">
        {onPick ? (
          <Button look="link" className="!whitespace-normal text-left" onClick={() => onPick(step.id)}>
            {step.name}
          </Button>
        ) : (
          'The drawing has changed since this was done'
        )}
      </p>
      {lines.length > 0 ? (
        <table className="my-1 w-full">
          <thead>
            <tr className="caption text-right">
              <th className="font-normal">Done at</th>
              <th className="font-normal">Now</th>
              <th className="font-normal">Change</th>
            </tr>
          </thead>
          {lines.slice(0, MOST_LINES).map(({ id, text, was, now, quantity, gauge }) => (
            <tbody key={id}>
              <tr>
                <th colSpan={3} scope="rowgroup" className="pt-1 text-left text-[13.5px] font-normal">
                  {text}
                </th>
              </tr>
              <tr className="text-right whitespace-nowrap">
                <td>{number(was, quantity, gauge)}</td>
                <td className="font-semibold">{number(now, quantity, gauge)}</td>
                <td>{was === undefined || now === undefined ? '' : change(was, now, quantity)}</td>
              </tr>
            </tbody>
          ))}
        </table>
      ) : (
        <p>What it was done by is not recorded: look whether it still fits the drawing.</p>
      )}
      {lines.length > MOST_LINES && <p className="caption">and {lines.length - MOST_LINES} more</p>}
      {costs.length > 0 && (
        <p>
          If kept:{' '}
          {costs.map(({ what, value, quantity, name }, index) => (
            <span key={`${what} ${name}`}>
              {index > 0 && '; '}
              {what === 'outcome' ? `${name} changes by` : COSTS[what]} {number(value, quantity)}
            </span>
          ))}
          .
        </p>
      )}
      {standOnIt.length > 0 && (
        <p>
          Done already, and resting on it:{' '}
          {standOnIt
            .slice(0, MOST_STANDING)
            .map(({ name }) => name)
            .join('; ')}
          {standOnIt.length > MOST_STANDING && ` and ${standOnIt.length - MOST_STANDING} more`}.
        </p>
      )}
      <p className="flex flex-wrap gap-2 pt-1">
        <Button aria-label={`Keep: ${step.name}`} onClick={() => choose(keepAsMade)}>
          Keep it
        </Button>
        <Button aria-label={`${again(late)}: ${step.name}`} onClick={() => choose(makeAgain)}>
          {again(late)}
        </Button>
      </p>
    </div>
  );
}

const again = ({ step }: Late): string => (step.sort === 'set' ? 'Set it again' : 'Make it again');
