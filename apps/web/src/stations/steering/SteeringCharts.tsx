import { useDeferredValue, useMemo, useState } from 'react';
import { formatAngle, reportOf, type Plan, type ReportStep, type Steering } from '@larchwood/core';
import { Chart } from '../../charts/Chart';

const degrees = (value: number) => formatAngle(value, Number.isInteger(value) ? 0 : 1);

/** What the linkage does through its sweep, and what the proposed one would do. */
export function SteeringCharts({
  plan: newest,
  steering: now,
  proposed,
}: {
  readonly plan: Plan;
  readonly steering: Steering;
  readonly proposed: Steering | undefined;
}) {
  const plan = useDeferredValue(newest);
  const steering = useDeferredValue(now);
  const [at, setAt] = useState<number>();
  const { steered } = plan.stance;
  const report = useMemo(() => reportOf(steered, steering), [steered, steering]);
  const other = useMemo(() => proposed && reportOf(steered, proposed), [steered, proposed]);
  const pair = steered.length > 1;
  const turned = ({ wheels, drive }: ReportStep): number => {
    const all = Object.values(wheels).map(({ steer }) => steer);
    return drive < 0 ? Math.min(...all) : Math.max(...all);
  };
  const of = (from: readonly ReportStep[], read: (step: ReportStep) => number) =>
    from.map((step) => [turned(step), read(step)] as const);
  const both = (name: string, read: (step: ReportStep) => number) => [
    { name, points: of(report, read) },
    ...(other ? [{ name: 'proposed', points: of(other, read), dashed: true }] : []),
  ];
  const least = (step: ReportStep) => Math.min(90, ...Object.values(step.rods));
  const rods = report.some(({ rods: all }) => Object.keys(all).length > 0);
  const common = {
    across: { name: pair ? 'inner wheel' : 'wheel', text: degrees },
    at,
    onAt: setAt,
  };
  const angle = { text: (value: number) => formatAngle(value, 1) };
  return (
    <div className="flex h-full min-h-80 flex-col bg-sheet">
      <p className="px-4 pt-3">
        From full right to full left.{' '}
        <span className="caption">Positive turns left; exact positions of every rod and axis.</span>
      </p>
      {pair && (
        <Chart
          {...common}
          title="Outer wheel against where it ought to be"
          about="turned too far is positive; none rolls about one centre"
          up={angle}
          series={both('error', ({ error }) => error)}
          band={{ low: -0.5, high: 0.5 }}
        />
      )}
      <Chart
        {...common}
        title="Wheels’ heading"
        about="mean of the steered wheels, over the ground"
        up={angle}
        series={both('heading', (step) => {
          const all = Object.values(step.wheels);
          return all.reduce((sum, { heading }) => sum + heading, 0) / all.length;
        })}
      />
      <Chart
        {...common}
        title="Ratio against straight ahead"
        about="1 is even; more turns slower there"
        up={{ text: (value) => value.toFixed(2) }}
        series={both('ratio', ({ fallOff }) => fallOff)}
        last={!rods}
      />
      {rods && (
        <Chart
          {...common}
          title="Least angle of a rod to what it moves"
          about="90° moves it best; under 30° is near lock-over"
          up={{ text: (value) => formatAngle(value, 0) }}
          series={both('rod', least)}
          last
        />
      )}
    </div>
  );
}
