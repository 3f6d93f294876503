import { madeAlike } from '@larchwood/core';
import { bendTablePages, bendTablesCsv } from '../cuts/bendTables.js';
import { drawingToDxf } from '../dxf.js';
import { flatParts, outlinesInARow, partsOf, outlineSheets, stuckParts } from '../plates/outlines.js';
import { barsCsv } from '../cuts/barsCsv.js';
import { holesCsv } from '../cuts/holesCsv.js';
import { holeSheets } from '../cuts/holeSheets.js';
import { toolSheets } from '../cuts/toolSheets.js';
import { noTubes, paper, type Output, type Source } from './output.js';

const noBends = ({ plan }: Source): string | undefined =>
  plan.bends.length > 0 ? undefined : 'Nothing of this frame is bent.';

/** Marks, turns and settings for the bender. */
export const bendTables = paper({
  id: 'bend-tables',
  title: 'Bend tables',
  group: 'cuts',
  name: () => 'bends',
  caution: 'Benders and rolls take fingers. Bend an off-cut of the same tube first.',
  refuse: noBends,
  pages: bendTablePages,
});

export const bendTablesText: Output = {
  id: 'bend-tables-csv',
  title: 'Bends, CSV',
  group: 'cuts',
  formOf: bendTables.id,
  mediaType: 'text/csv',
  suffix: 'csv',
  name: () => 'bends',
  refuse: noBends,
  make: bendTablesCsv,
};

export const bars: Output = {
  id: 'bars',
  title: 'Bars, CSV',
  group: 'cuts',
  mediaType: 'text/csv',
  suffix: 'csv',
  name: () => 'bars',
  refuse: noTubes,
  make: barsCsv,
};

/** Where each hole is marked. */
export const holes = paper({
  id: 'holes',
  title: 'Holes to mark',
  group: 'cuts',
  name: () => 'holes',
  caution: 'Hole saws grab thin tube: clamp it.',
  refuse: ({ plan }) =>
    plan.holes.length > 0 ? undefined : 'Nothing is drilled yet: put a hole in at the Cuts station.',
  pages: holeSheets,
});

export const holesText: Output = {
  id: 'holes-csv',
  title: 'Holes, CSV',
  group: 'cuts',
  formOf: holes.id,
  mediaType: 'text/csv',
  suffix: 'csv',
  name: () => 'holes',
  refuse: holes.refuse,
  make: holesCsv,
};

/** What is set on which tool. */
export const toolSettings = paper({
  id: 'tool-settings',
  title: 'Tool settings',
  group: 'cuts',
  name: () => 'tools',
  caution: 'Grinders: guard, face shield, a disc rated for the speed. Hole saws grab thin tube: clamp it.',
  refuse: (source) =>
    noTubes(source) ??
    (Object.keys(source.shop?.tools ?? {}).length > 0
      ? undefined
      : 'The workshop’s tools are not known: put them in at the Cuts station.'),
  pages: toolSheets,
});

const noPlates = ({ plan }: Source): string | undefined =>
  plan.frame.plates.length > 0 ? undefined : 'No flat parts yet: draw one at the Cuts station.';

const noneToCut = (source: Source): string | undefined =>
  noPlates(source) ??
  (source.plan.frame.plates.every(({ plate }) => plate.free !== undefined)
    ? 'Every flat part is welded in already.'
    : undefined);

/** Plates, gussets, tabs and caps at full size: to stick on card, board or metal. */
export const flatSheets = paper({
  id: 'flat-parts',
  title: 'Flat parts, true size',
  group: 'cuts',
  name: () => 'flat-parts',
  refuse: noPlates,
  pages: (source) =>
    outlineSheets([...flatParts(source.plan), ...stuckParts(source.plan)], source, 'flat parts'),
});

export const flatDxf: Output = {
  id: 'flat-parts-dxf',
  title: 'Flat parts, DXF',
  group: 'cuts',
  formOf: flatSheets.id,
  mediaType: 'image/vnd.dxf',
  suffix: 'dxf',
  name: () => 'flat-parts',
  refuse: noneToCut,
  make: ({ document, plan }) => drawingToDxf(outlinesInARow(flatParts(plan), document.units)),
};

/** One flat part alone: for who cuts plate. */
export const plateOutline: Output = {
  id: 'plate-dxf',
  title: 'DXF of one flat part',
  listed: 'Each flat part, DXF in mm',
  group: 'cuts',
  formOf: flatSheets.id,
  ofPiece: true,
  mediaType: 'image/vnd.dxf',
  suffix: 'dxf',
  name: ({ plan }, { piece }) => `plate-${plan.frame.plates.find(({ id }) => id === piece)?.mark ?? 'none'}`,
  refuse: noneToCut,
  // Of those that are made alike, one.
  packed: ({ plan }) =>
    madeAlike(plan.frame.plates.filter(({ plate }) => plate.free === undefined)).map(([first]) => ({
      piece: first!.id,
    })),
  make: ({ document, plan }, { piece }) => {
    const part = plan.frame.plates.filter(({ id }) => id === piece);
    if (part.length === 0) throw new RangeError('Choose one flat part.');
    return drawingToDxf(outlinesInARow(partsOf(part), document.units));
  },
};
