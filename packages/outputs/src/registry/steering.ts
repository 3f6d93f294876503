import type { Steering } from '@larchwood/core';
import { drawingToDxf } from '../dxf.js';
import { outlinesInARow, outlineSheets, steeringOutlines } from '../plates/outlines.js';
import { rearTrack, sideSpeedsCsv, steeringSweepCsv } from '../steering/steeringCsv.js';
import { paper, type Output, type Source } from './output.js';

const steeringIn = ({ plan }: Source): Steering => {
  if (!plan.steering?.ok) throw new RangeError('There is no steering.');
  return plan.steering.steering;
};
const noSteering = ({ plan }: Source): string | undefined =>
  plan.steering?.ok ? undefined : 'No linkage comes of what is held: see the Steering station.';

export const steeringSweep: Output = {
  id: 'steering-sweep',
  title: 'Steering sweep, CSV',
  group: 'steering',
  mediaType: 'text/csv',
  suffix: 'csv',
  name: () => 'steering-sweep',
  refuse: noSteering,
  make: (source) => steeringSweepCsv(source.plan, steeringIn(source), source.document.units),
};

export const sideSpeeds: Output = {
  id: 'driven-sides',
  title: 'Driven sides for a controller, CSV',
  group: 'steering',
  mediaType: 'text/csv',
  suffix: 'csv',
  name: () => 'driven-sides',
  caution:
    'A sensor that fails must stop the vehicle, not turn it: limit the speed in the controller as well.',
  refuse: (source) =>
    noSteering(source) ??
    (rearTrack(source.plan) > 0 ? undefined : 'Only a vehicle with two rear wheels is driven on two sides.'),
  make: (source) => sideSpeedsCsv(source.plan, steeringIn(source)),
};

const noOutlines = ({ plan }: Source): string | undefined =>
  steeringOutlines(plan).length > 0
    ? undefined
    : 'No flat parts yet: make the pieces of the linkage, or a part of the front end, at the Steering station.';
const CAUTION =
  'Steering hurts people where a part of it fails: have these parts welded by somebody qualified, and keep to local rules.';

/** Plates, yokes and faces at full size: to stick on card, board or steel. */
export const steeringPlates = paper({
  id: 'steering-outlines',
  title: 'Flat parts of the steering, true size',
  group: 'steering',
  name: () => 'steering-outlines',
  caution: CAUTION,
  refuse: noOutlines,
  pages: (source) => outlineSheets(steeringOutlines(source.plan), source, 'flat parts of the steering'),
});

export const steeringPlatesDxf: Output = {
  id: 'steering-outlines-dxf',
  title: 'Flat parts of the steering, DXF',
  group: 'steering',
  formOf: steeringPlates.id,
  mediaType: 'image/vnd.dxf',
  suffix: 'dxf',
  name: () => 'steering-outlines',
  caution: CAUTION,
  refuse: noOutlines,
  make: ({ document, plan }) => drawingToDxf(outlinesInARow(steeringOutlines(plan), document.units)),
};
