import { CHECK_STAGES, LOG_SORTS, type LogLine } from '@larchwood/core';
import { csvOf } from '../csv.js';

/** Entries of the log as comma-separated values, as they are shown. */
export const logCsv = (lines: readonly LogLine[]): string =>
  csvOf(
    ['On', 'About', 'Stage', 'Piece or step', 'Entry', 'Cost'],
    lines.map(({ on, sort, stage, about, text, cost }) => [
      ...[on, LOG_SORTS[sort], stage ? CHECK_STAGES[stage].name : '', about ?? '', text, cost ?? ''],
    ]),
  );
