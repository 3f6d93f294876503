import { useMemo, useState } from 'react';
import { reportOf, sideSpeedsOf, formatAngle, type Plan, type Steering } from '@larchwood/core';
import { Chart } from '../../charts/Chart';
import { simulatedAngleSensor } from '../../instruments/simulatedAngleSensor';
import { Button } from '../../parts/Button';
import { OutputButton } from '../../files/OutputButton';
import type { Known } from './known';

const ROWS = 25;

/** Two driven sides in place of a differential: how fast each has to go, as a chart, a table and a file for a controller. */
export function SidesView({
  plan,
  known,
  steering,
}: {
  readonly plan: Plan;
  readonly known: Known;
  readonly steering: Steering;
}) {
  const rear = plan.stance.standing.filter(({ end }) => end === 'rear');
  const track = rear.length < 2 ? 0 : Math.abs(rear[0]!.centre[1] - rear[1]!.centre[1]);
  const speeds = useMemo(
    () => sideSpeedsOf(reportOf(plan.stance.steered, steering), track),
    [plan.stance.steered, steering, track],
  );
  const { left: most, right: least } = steering.sweep;
  const sensor = useMemo(() => simulatedAngleSensor(least.drive, most.drive), [least.drive, most.drive]);
  const [read, setRead] = useState<number>();
  const nearest =
    read === undefined
      ? undefined
      : speeds.reduce((best, each) =>
          Math.abs(each.drive - read) < Math.abs(best.drive - read) ? each : best,
        );
  const every = Math.max(1, Math.round((speeds.length - 1) / (ROWS - 1)));
  const rows = speeds.filter((_, index) => index % every === 0);
  const percent = (value: number) => `${(value * 100).toFixed(1)} %`;
  return (
    <section
      className="flex min-h-0 flex-1 flex-col overflow-y-auto bg-sheet px-6 py-4"
      tabIndex={0}
      aria-label="Two driven sides"
    >
      <h2 className="mb-1 text-lg font-bold">Two driven sides</h2>
      <p className="mb-3 max-w-3xl text-quiet">
        Two motors, or two tracks, in place of a differential: speed of each side against the steering, as a
        share of the vehicle’s own. Both sides then roll as the turn asks. Limit the speed in the controller
        as well: a sensor that fails must stop the vehicle, not turn it.
      </p>
      <div className="flex h-56 shrink-0">
        <Chart
          title="Speed of each side"
          across={{
            name: known.linkage.driver.name,
            text: (value) => (known.linkage.driver.unit === '°' ? formatAngle(value, 0) : value.toFixed(0)),
          }}
          up={{ text: (value) => `${(value * 100).toFixed(0)} %` }}
          series={[
            { name: 'left', points: speeds.map(({ drive, left }) => [drive, left] as const) },
            {
              name: 'right',
              points: speeds.map(({ drive, right }) => [drive, right] as const),
              dashed: true,
            },
          ]}
          at={undefined}
          onAt={() => undefined}
          last
        />
      </div>
      <div className="my-3 flex flex-wrap items-center gap-3">
        <OutputButton id="driven-sides" />
        <Button onClick={() => void sensor.read().then(setRead)}>Read the {sensor.name.toLowerCase()}</Button>
        {nearest && read !== undefined && (
          <p role="status">
            It shows{' '}
            <b className="figure">
              {known.linkage.driver.unit === '°' ? formatAngle(read, 1) : read.toFixed(1)}
            </b>
            : left {percent(nearest.left)}, right {percent(nearest.right)}.
          </p>
        )}
      </div>
      <table className="w-full max-w-2xl border-t-2 border-ink">
        <thead>
          <tr className="border-b border-rule text-right text-quiet">
            <th scope="col" className="px-3 py-1 font-normal">
              {known.linkage.driver.name}
            </th>
            <th scope="col" className="px-3 py-1 font-normal">
              wheels
            </th>
            <th scope="col" className="px-3 py-1 font-normal">
              left side
            </th>
            <th scope="col" className="px-3 py-1 font-normal">
              right side
            </th>
          </tr>
        </thead>
        <tbody className="figure">
          {rows.map(({ drive, heading, left, right }) => (
            <tr key={drive} className="border-b border-rule text-right">
              <th scope="row" className="px-3 py-0.5 font-normal">
                {known.linkage.driver.unit === '°' ? formatAngle(drive, 1) : drive.toFixed(1)}
              </th>
              <td className="px-3">{formatAngle(heading, 1)}</td>
              <td className="px-3">{percent(left)}</td>
              <td className="px-3">{percent(right)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
