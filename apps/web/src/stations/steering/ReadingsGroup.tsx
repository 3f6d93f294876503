import type { ReactNode } from 'react';
import { ackermannOf, formatAngle, leastRodAngle, type SteeringReadings } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Group, Row } from '../../ledger/Panel';
import { Length } from '../../parts/Figure';
import type { Known } from './known';

const POUND_FORCE = 4.44822;

/** What the linkage comes to: circles, effort, scrub, and what a live axle is asked. */
export function ReadingsGroup({
  known: { linkage, steering },
  readings,
}: {
  readonly known: Known;
  readonly readings: SteeringReadings;
}) {
  const { document, plan } = useEditor('document', 'plan');
  const { units } = document;
  const least = steering && leastRodAngle(steering.sweep);
  const error = plan && steering ? ackermannOf(plan.stance.steered, steering.sweep) : undefined;
  const { wall, lockToLock, effort, scrub, liveAxle } = readings;
  const force = (newtons: number): string =>
    units.length === 'mm' ? `${newtons.toFixed(0)} N` : `${(newtons / POUND_FORCE).toFixed(0)} lbf`;
  const scrubs = Object.entries(scrub).filter(([, value]) => Math.abs(value) >= 0.05);
  return (
    <>
      <Group title="At full lock">
        {wall !== undefined && (
          <Line name="Turning circle, wall to wall">
            <Length mm={wall} display={units} digits={0} />
          </Line>
        )}
        <Line name={`${linkage.driver.name[0]!.toUpperCase()}${linkage.driver.name.slice(1)}, lock to lock`}>
          {linkage.driver.unit === '°' ? (
            formatAngle(lockToLock, 0)
          ) : (
            <Length mm={lockToLock} display={units} digits={0} />
          )}
        </Line>
        {least && <Line name="Least angle of a rod">{formatAngle(least.angle, 0)}</Line>}
        {scrubs.map(([id, value]) => (
          <Line key={id} name={`${WHEELS[id] ?? id} dragged sideways by`}>
            {formatAngle(Math.abs(value), 1)}
          </Line>
        ))}
      </Group>
      {error && (plan?.stance.steered.length ?? 0) > 1 && (
        <Group title="Outer wheel against where it ought to be">
          <Line name="On the whole, root mean square">{formatAngle(error.rms, 2)}</Line>
          <Line name={error.worst < 0 ? 'At the worst, too little' : 'At the worst, too far'}>
            {formatAngle(Math.abs(error.worst), 1)}
          </Line>
        </Group>
      )}
      {effort && (
        <Group title="Both hands, standing still on dry ground">
          <Line name="Straight ahead">{force(effort.straight)}</Line>
          <Line name="At full lock">{force(effort.lock)}</Line>
        </Group>
      )}
      {liveAxle && (
        <Group title="A rear axle that turns as one">
          <Line name="Each rear wheel slides">{(liveAxle.slip * 100).toFixed(1)} % of its way</Line>
          {liveAxle.lift > 0 && (
            <>
              <Line name="Inside rear wheel lifted by">
                <Length mm={liveAxle.lift} display={units} digits={1} />
              </Line>
              {liveAxle.relief !== undefined && (
                <Line name="Of its load taken off, about">{(liveAxle.relief * 100).toFixed(0)} %</Line>
              )}
              <p className="caption px-4">
                By caster and kingpin lean, a stiff frame; the load with tyres that give 100 N a millimetre.
              </p>
            </>
          )}
        </Group>
      )}
    </>
  );
}

const WHEELS: Readonly<Record<string, string>> = {
  front: 'Front wheel',
  frontLeft: 'Left front wheel',
  frontRight: 'Right front wheel',
};

const Line = ({ name, children }: { readonly name: string; readonly children: ReactNode }) => (
  <Row name={name}>
    <span className="figure text-right whitespace-nowrap">{children}</span>
  </Row>
);
