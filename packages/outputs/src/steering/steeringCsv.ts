import {
  findLinkage,
  INCH,
  meanHeading,
  reportOf,
  sideSpeedsOf,
  type Plan,
  type ReportStep,
  type Steering,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { csvOf } from '../csv.js';

const digits = (value: number, places: number): number => Number(value.toFixed(places));
const unitOf = (steering: Steering): string =>
  findLinkage(steering.linkage)?.driver.unit === 'mm' ? 'mm' : 'deg';

/** Speed of each driven side against the steering, for a controller; positive to the left. */
export function sideSpeedsCsv(plan: Plan, steering: Steering): string {
  const speeds = sideSpeedsOf(reportOf(plan.stance.steered, steering), rearTrack(plan));
  return csvOf(
    [`Steering ${unitOf(steering)}`, 'Wheels deg', 'Left side', 'Right side'],
    speeds.map(({ drive, heading, left, right }) => [
      digits(drive, 2),
      digits(heading, 3),
      digits(left, 4),
      digits(right, 4),
    ]),
  );
}

/** Every step of the sweep: what the hands do, where the wheels head, the error, and the angle of each rod. */
export function steeringSweepCsv(plan: Plan, steering: Steering, units: BuildDocument['units']): string {
  const report = reportOf(plan.stance.steered, steering);
  const wheels = plan.stance.steered.map(({ id }) => id);
  const rods = Object.keys(report[0]?.rods ?? {});
  const inch = units.length !== 'mm';
  const centre = ({ turn }: ReportStep) =>
    turn.centre === undefined ? '' : digits(inch ? turn.centre / INCH : turn.centre, inch ? 3 : 1);
  return csvOf(
    [
      `Steering ${unitOf(steering)}`,
      'Mean heading deg',
      ...wheels.map((id) => `${id} deg`),
      'Outer error deg',
      `Turning centre ${inch ? 'in' : 'mm'}`,
      ...rods.map((id) => `${id} angle deg`),
    ],
    report.map((step) => [
      digits(step.drive, 2),
      digits(meanHeading(step), 3),
      ...wheels.map((id) => digits(step.wheels[id]!.heading, 3)),
      digits(step.error, 3),
      centre(step),
      ...rods.map((id) => digits(step.rods[id]!, 1)),
    ]),
  );
}

/** Between the two rear wheels, mm; 0 where there is one. */
export function rearTrack({ stance }: Plan): number {
  const [a, b] = stance.standing.filter(({ end }) => end === 'rear');
  return a && b ? Math.abs(a.centre[1] - b.centre[1]) : 0;
}
