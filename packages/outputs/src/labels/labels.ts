import { findMaterial, formatLength, sectionText, type PieceCut, formatGauge } from '@larchwood/core';
import { label, placed, type Drawing, type Mark } from '../drawing.js';
import { SHEETS, stretched } from '../paper.js';
import { jointName } from '../patterns/stripWords.js';
import type { Source } from '../registry/output.js';
import { CAPITAL, LEAST_SIZE, shortened, textWidth, wrapped } from '../text/measure.js';
import { qrMarks } from './qr.js';

/** A sheet of labels: how many across and down, how large, where the first begins, and how far apart columns are; mm. */
interface LabelSheet {
  readonly across: number;
  readonly down: number;
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly top: number;
  readonly gap: number;
}

/** Sheets that are sold for printers, by the size of the labels. From memory; hold a print against the sheet first. */
const LABELS: Readonly<Record<'A4' | 'Letter', LabelSheet>> = {
  A4: { across: 3, down: 8, width: 70, height: 37, left: 0, top: 0.5, gap: 0 },
  Letter: { across: 3, down: 10, width: 66.675, height: 25.4, left: 4.763, top: 12.7, gap: 3.175 },
};

/** White round what is printed, where the sheet or the knife may be off, mm. */
const MARGIN = 3.5;
const LINE = 1.22;
/** A blank that is longer by less is as long, mm. */
const SAME = 0.05;
/** Size of the length's figures, mm. */
const FIGURES = 4;
/** Between the mark and the figures, mm. */
const BETWEEN = 2.5;

/** What one label says. */
export interface LabelWords {
  readonly mark: string;
  readonly name: string;
  /** What a rule reads on it, in large figures. */
  readonly length: string;
  readonly lines: readonly string[];
  /** What its code says. */
  readonly code: string;
}

/** One label for each piece and each plate that is made. */
export function labelWords({ document, plan, edition, address }: Source): readonly LabelWords[] {
  const { units } = document;
  const pieces = new Map(plan.frame.pieces.map((piece) => [piece.id, piece]));
  const code = (mark: string) =>
    address
      ? `${address}/joints?piece=${encodeURIComponent(mark)}`
      : `${document.name}, ${edition.mark}: piece ${mark}`;
  return [
    ...plan.cuts.map((cut): LabelWords => {
      const { section, member } = pieces.get(cut.piece)!;
      const material = findMaterial(member.material)?.name ?? member.material;
      return {
        ...{ mark: cut.mark, name: cut.name, code: code(cut.mark) },
        length: formatLength(cut.overall, units),
        lines: [
          ...(cut.blank - cut.overall > SAME ? [`blank ${formatLength(cut.blank, units)}`] : []),
          sectionText(section, units),
          material,
          ...orientation(cut),
        ],
      };
    }),
    ...plan.frame.plates.map(({ mark, name, plate }): LabelWords => ({
      ...{ mark, name, code: code(mark) },
      length: `${formatGauge(plate.thickness, units)} thick`,
      lines: [findMaterial(plate.material)?.name ?? plate.material],
    })),
  ];
}

/** Which end goes where. */
const orientation = ({ ends: [first, second] }: PieceCut): readonly string[] => [
  `first end: ${jointName(first)}`,
  `second end: ${jointName(second)}`,
];

/** Labels of all pieces on sheets of labels. A3 and Tabloid take those of A4 and Letter. */
export function labelSheets(source: Source): Drawing[] {
  const { size, printer } = source.document.paper;
  const paper = size === 'Letter' || size === 'Tabloid' ? 'Letter' : 'A4';
  const sheet = LABELS[paper];
  const each = sheet.across * sheet.down;
  const words = labelWords(source);
  return Array.from({ length: Math.ceil(words.length / each) }, (_, page) => ({
    ...SHEETS[paper],
    marks: stretched(
      words.slice(page * each, (page + 1) * each).flatMap((one, index) => {
        const [column, row] = [index % sheet.across, Math.floor(index / sheet.across)];
        const x = sheet.left + column * (sheet.width + sheet.gap);
        return placed(labelMarks(one, sheet, source), [x, sheet.top + row * sheet.height]);
      }),
      printer,
    ),
  }));
}

/** The mark large, its words under it, and its code at the right. */
function labelMarks(words: LabelWords, { width, height }: LabelSheet, { document, edition }: Source): Mark[] {
  // Of a low label the code takes the whole height: its own border is white enough.
  const code = Math.min(height - 2, 28);
  const room = width - MARGIN - code - 1;
  const large = height > 30 ? 8 : 6;
  // A long mark and a long figure share their line: both as much smaller as they have to be.
  const beside = textWidth(words.mark, large, true) + BETWEEN + textWidth(words.length, FIGURES, true);
  const fit = Math.min(1, (room - 1) / beside);
  let y = MARGIN - 0.5 + CAPITAL * large;
  const marks: Mark[] = [
    ...qrMarks(words.code, [width - code - 1, (height - code) / 2], code),
    label([MARGIN, y], large * fit, words.mark, { bold: true }),
    label([MARGIN + room - 1, y], FIGURES * fit, words.length, { bold: true, anchor: 'end' }),
  ];
  const lines = [
    ...wrapped(words.name, room, LEAST_SIZE, true)
      .slice(0, 2)
      .map((text) => ({ text, bold: true })),
    ...words.lines.flatMap((text) =>
      wrapped(text, room, LEAST_SIZE).map((line) => ({ text: line, bold: false })),
    ),
    { text: document.name, bold: false },
    { text: [edition.mark, edition.date].join(' '), bold: false },
  ];
  for (const { text, bold } of lines) {
    y += LEAST_SIZE * LINE;
    if (y > height - 1.5) break;
    marks.push(label([MARGIN, y], LEAST_SIZE, shortened(text, room, LEAST_SIZE, bold), { bold }));
  }
  return marks;
}
