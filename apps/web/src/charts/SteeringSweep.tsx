import { useDeferredValue, useMemo, useState } from 'react';
import { formatAngle, steeringSweep, type Plan } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { axisText, axisUnit } from './axisText';
import { Chart } from './Chart';

const LOCK = 45;
const LENGTH = { quantity: 'length' } as const;
const degrees = (value: number) => formatAngle(value, Number.isInteger(value) ? 0 : 1);

/** Camber, drop of the contact patch and trail through the sweep of the steering, by exact rotation. */
export function SteeringSweep({ plan: newest }: { readonly plan: Plan }) {
  const { document } = useEditor('document');
  const plan = useDeferredValue(newest);
  const [at, setAt] = useState<number>();
  const wheel = plan.stance.steered[0];
  const swept = useMemo(() => (wheel ? steeringSweep(wheel, -LOCK, LOCK, 1) : []), [wheel]);
  if (!wheel) return null;
  const pair = plan.stance.steered.length > 1;
  const length = { text: axisText(LENGTH, document.units), ...axisUnit(LENGTH, document.units) };
  const common = { across: { name: 'steer', text: degrees }, at, onAt: setAt };
  const of = (read: (point: (typeof swept)[number]) => number) =>
    swept.map((point) => [point.steer, read(point)] as const);
  return (
    <div className="flex h-full min-h-80 flex-col bg-sheet">
      <p className="px-4 pt-3">
        {pair ? 'Left front wheel' : 'Front wheel'} turned about its steering axis, the frame held still.{' '}
        <span className="caption">
          {pair
            ? 'Positive turns left: this wheel is then the inside one. The right one mirrors it.'
            : 'Positive turns left.'}{' '}
          Thin disc, rigid tyre.
        </span>
      </p>
      <Chart
        {...common}
        title={pair ? 'Camber' : 'Lean of the wheel'}
        about={pair ? 'top outward positive' : 'top to the left positive'}
        up={{ text: (value) => formatAngle(value, 1) }}
        series={[{ name: 'camber', points: of(({ camber }) => camber) }]}
      />
      <Chart
        {...common}
        title="Contact patch drop"
        about="down positive: it lifts that corner"
        up={length}
        series={[{ name: 'drop', points: of(({ drop }) => drop) }]}
      />
      <Chart
        {...common}
        title="Trail"
        about="along the wheel’s heading"
        up={length}
        series={[{ name: 'trail', points: of(({ trail }) => trail) }]}
        last
      />
    </div>
  );
}
