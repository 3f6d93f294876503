import {
  closePath,
  degrees,
  lineTo,
  moveTo,
  PDFDocument,
  popGraphicsState,
  PrintScaling,
  pushGraphicsState,
  setDashPattern,
  setLineWidth,
  StandardFonts,
  stroke,
  type PDFFont,
  type PDFPage,
} from 'pdf-lib';
import { STROKES, type Drawing, type Mark } from './drawing.js';

const POINT = 72 / 25.4;

/** Drawings as pages of one PDF, true to size, with print scaling switched off. Dates are fixed, so that reruns are identical. */
export async function drawingsToPdf(drawings: readonly Drawing[], title: string): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const regular = await pdf.embedFont(StandardFonts.Helvetica);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  pdf.setTitle(title);
  pdf.setProducer('Larchwood');
  pdf.setCreator('Larchwood');
  pdf.setCreationDate(new Date(0));
  pdf.setModificationDate(new Date(0));
  pdf.catalog.getOrCreateViewerPreferences().setPrintScaling(PrintScaling.None);
  for (const drawing of drawings) {
    const page = pdf.addPage([drawing.width * POINT, drawing.height * POINT]);
    for (const mark of drawing.marks) {
      if (mark.as === 'path') drawPath(page, mark, drawing.height);
      else drawText(page, mark, drawing.height, mark.bold ? bold : regular);
    }
  }
  return pdf.save();
}

function drawPath(page: PDFPage, mark: Extract<Mark, { as: 'path' }>, height: number): void {
  const { width, dashes } = STROKES[mark.stroke];
  const [first, ...rest] = mark.points.map(([x, y]) => [x * POINT, (height - y) * POINT] as const);
  if (!first) return;
  page.pushOperators(
    pushGraphicsState(),
    setLineWidth(width * POINT),
    setDashPattern(
      dashes.map((dash) => dash * POINT),
      0,
    ),
    moveTo(first[0], first[1]),
    ...rest.map(([x, y]) => lineTo(x, y)),
    ...(mark.closed ? [closePath()] : []),
    stroke(),
    popGraphicsState(),
  );
}

function drawText(page: PDFPage, mark: Extract<Mark, { as: 'text' }>, height: number, font: PDFFont): void {
  const text = printable(mark.text, font);
  const size = mark.size * POINT;
  const shift = { start: 0, middle: 0.5, end: 1 }[mark.anchor] * font.widthOfTextAtSize(text, size);
  const [x, y] = [mark.at[0] * POINT, (height - mark.at[1]) * POINT];
  const at = mark.turned ? { x, y: y + shift } : { x: x - shift, y };
  page.drawText(text, { ...at, size, font, rotate: degrees(mark.turned ? -90 : 0) });
}

/** The base fonts hold western letters only: others lose their accent, or become a question mark; the drawing is never lost. */
function printable(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet());
  return [...text.replace(/−/g, '-')]
    .map((character) =>
      known.has(character.codePointAt(0)!)
        ? character
        : character.normalize('NFKD').replace(/[\u0300-\u036f]/g, ''),
    )
    .map((character) => ([...character].every((part) => known.has(part.codePointAt(0)!)) ? character : '?'))
    .join('');
}
