import { Popover } from 'radix-ui';
import { memo } from 'react';
import type { Band, Dimension, LengthDisplay } from '@larchwood/core';
import { Measure } from '../parts/Figure';

interface Props {
  readonly dimension: Dimension;
  readonly band: Band | undefined;
  readonly display: LengthDisplay;
}

/** A dimension's name; pressed, it explains itself. */
export const Why = memo(function Why({ dimension, band, display }: Props) {
  return (
    <Popover.Root>
      <Popover.Trigger className="min-w-0 text-left decoration-quiet decoration-dotted underline-offset-4 hover:underline">
        {dimension.name}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="left"
          align="start"
          sideOffset={10}
          collisionPadding={12}
          className="z-40 w-80 border border-ink bg-sheet p-4"
        >
          <h3 className="mb-1 font-bold">{dimension.name}</h3>
          <p>{dimension.meaning}</p>
          {dimension.formula !== dimension.symbol && (
            <p className="figure mt-2 border-l-2 border-rule pl-2 text-[13px]">{dimension.formula}</p>
          )}
          {dimension.feel !== undefined && <p className="mt-2">{dimension.feel}</p>}
          {band && (
            <p className="mt-2">
              Usual for a {band.use}:{' '}
              <Measure value={band.low} quantity={dimension.quantity} display={display} /> to{' '}
              <Measure value={band.high} quantity={dimension.quantity} display={display} />
              <span className="caption block">Source: {band.source}.</span>
            </p>
          )}
          <p className="caption mt-2">
            Written {dimension.symbol}; {dimension.source}.
          </p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
});
