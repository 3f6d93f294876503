import { memo } from 'react';
import {
  findKind,
  formatAngle,
  formatLength,
  formulaWithNumbers,
  bandUseText,
  type Band,
  type Dimension,
  type LengthDisplay,
} from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { CopyValue } from '../parts/CopyValue';
import { Measure } from '../parts/Figure';
import { Pop } from '../parts/Pop';
import { DimensionPicture } from './DimensionPicture';
import { useSource } from './source';

interface Props {
  readonly dimension: Dimension;
  readonly band: Band | undefined;
  readonly display: LengthDisplay;
}

/** A dimension's name; pressed, it explains itself. */
export const Why = memo(function Why({ dimension, band, display }: Props) {
  return (
    <Pop
      trigger={dimension.name}
      className="min-w-0 text-left decoration-quiet decoration-dotted underline-offset-4 hover:underline"
    >
      {() => <Explanation dimension={dimension} band={band} display={display} />}
    </Pop>
  );
});

/** What is measured, drawn and worked out with this build's numbers; what it does; what is usual. */
function Explanation({ dimension, band, display }: Props) {
  const { plan } = useEditor('plan');
  const source = useSource();
  const kind = plan && source?.id === 'stance' ? findKind(plan.kind) : undefined;
  const value = source?.values[dimension.id];
  // A measured dimension that is let go has no formula of its own.
  const found = source && dimension.formula === dimension.symbol && !(dimension.id in source.held);
  const numbers = source && formulaWithNumbers(source.solvable, dimension, source.values, display);
  return (
    <>
      <h3 className="mb-1 flex items-baseline justify-between gap-3 font-bold">
        {dimension.name}
        {value !== undefined && (
          <CopyValue
            what={dimension.name}
            text={dimension.quantity === 'angle' ? formatAngle(value, 2) : formatLength(value, display, 2)}
          >
            <Measure value={value} quantity={dimension.quantity} display={display} digits={2} />
          </CopyValue>
        )}
      </h3>
      {plan && kind && <DimensionPicture dimension={dimension} plan={plan} kind={kind} display={display} />}
      <p>{dimension.meaning}</p>
      {numbers !== undefined && value !== undefined && (
        <p className="figure mt-2 border-l-2 border-rule pl-2 text-[13px] leading-relaxed">
          {unbroken(dimension.formula)}
          <span className="block text-quiet">
            {dimension.symbol} = {unbroken(numbers)}
          </span>
          <span className="block">
            {dimension.symbol} ={' '}
            <Measure value={value} quantity={dimension.quantity} display={display} digits={2} />
          </span>
        </p>
      )}
      {dimension.feel !== undefined && <p className="mt-2">{dimension.feel}</p>}
      {dimension.otherWord !== undefined && <p className="mt-2 text-quiet">{dimension.otherWord}</p>}
      {band && (
        <p className="mt-2">
          Usual for {bandUseText(band.use)}:{' '}
          <Measure value={band.low} quantity={dimension.quantity} display={display} /> to{' '}
          <Measure value={band.high} quantity={dimension.quantity} display={display} />
          <span className="caption block">Source: {band.source}.</span>
        </p>
      )}
      <p className="caption mt-2">
        Written {dimension.symbol};{' '}
        {found ? 'follows here: found so that what is held is met' : dimension.source}.
      </p>
    </>
  );
}

/** A function stays on the line of what it is of. */
const unbroken = (formula: string): string => formula.replace(/(sin|cos|tan) /g, '$1\u00a0');
