import { withColumns, type Plan, type RiderPlace } from '@larchwood/core';

/** Riders of a plan, the column of a steering wheel as far down as the linkage takes it. */
export const placesOf = ({ stance: { places }, steering }: Plan): readonly RiderPlace[] =>
  withColumns(places, steering?.ok ? steering.steering : undefined);
