import { fileStem } from '@larchwood/format';
import {
  bars,
  bendTables,
  bendTablesText,
  flatDxf,
  flatSheets,
  holes,
  holesText,
  plateOutline,
  toolSettings,
} from './cuts.js';
import { fixtureFullSize, fullSizePlan, settingSheets, settingsTable } from './fixture.js';
import {
  cutList,
  cutListSheet,
  frameInSpace,
  frameMesh,
  frameSolids,
  masses,
  pieceLabels,
  pieceSolids,
} from './frame.js';
import type { Named, Output, OutputOptions, Paper, Source } from './output.js';
import { patterns, piecePattern, pieceUnrolled } from './patterns.js';
import { editionOf } from './edition.js';
import { stamped } from './stamp.js';
import { measuringList, readings, traveller } from './work.js';
import { sideSpeeds, steeringPlates, steeringPlatesDxf, steeringSweep } from './steering.js';

const ALL: readonly Output[] = [
  patterns,
  piecePattern,
  pieceUnrolled,
  cutList,
  cutListSheet,
  masses,
  bendTables,
  bendTablesText,
  bars,
  holes,
  holesText,
  toolSettings,
  flatSheets,
  flatDxf,
  plateOutline,
  pieceLabels,
  frameSolids,
  pieceSolids,
  frameInSpace,
  frameMesh,
  settingSheets,
  ...fixtureFullSize,
  ...fullSizePlan,
  settingsTable,
  traveller,
  measuringList,
  readings,
  steeringPlates,
  steeringPlatesDxf,
  steeringSweep,
  sideSpeeds,
];

/** Every file that can be made of a build, in the order in which they are offered. */
export const OUTPUTS: readonly Output[] = ALL.map(stamped);

/** @throws RangeError where there is no such output */
export function outputOf(id: string): Output {
  const found = OUTPUTS.find((output) => output.id === id);
  if (!found) throw new RangeError(`There is no output called “${id}”.`);
  return found;
}

export const isPaper = (output: Output): output is Paper => output.pages !== undefined;

/** A file's name by itself: `plan.dxf`. */
export const fileIn = (output: Output, source: Named, options: OutputOptions = {}): string =>
  `${output.name(source, options)}.${output.suffix}`;

/** A file's name among others of the same kind: the build's name comes first, then which state of it. */
export const fileNameOf = (
  output: Output,
  source: Named & Pick<Source, 'edition'>,
  options: OutputOptions = {},
): string =>
  `${fileStem(source.document.name)}-${output.name(source, options)}-${editionOf(source.edition)}.${output.suffix}`;
