import fontkit from '@pdf-lib/fontkit';
import {
  closePath,
  fill,
  degrees,
  lineTo,
  moveTo,
  PDFDocument,
  PDFName,
  PDFNumber,
  popGraphicsState,
  PrintScaling,
  pushGraphicsState,
  rgb,
  setDashPattern,
  setLineWidth,
  stroke,
  type PDFFont,
  type PDFPage,
} from 'pdf-lib';
import { STROKES, type Drawing, type Mark, type Words } from './drawing.js';
import type { PaperFonts } from './text/faces.js';
import { MISSING, textWidth } from './text/measure.js';
import { boxOf } from './text/place.js';

const POINT = 72 / 25.4;
/** A page's side in its own units is no longer than this. Source: PDF 1.7, ISO 32000-1, annex C. */
const MOST_UNITS = 14400;

/**
 * Drawings as pages of one PDF, true to size, with print scaling switched off and the letters' own faces in it. Dates are
 * fixed, so that reruns are identical. A page that is too long for a page's units has larger ones, and says so.
 */
export async function drawingsToPdf(
  drawings: readonly Drawing[],
  title: string,
  fonts: PaperFonts,
): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  pdf.registerFontkit(fontkit);
  const letters = { regular: facesIn(pdf, fonts.regular), bold: facesIn(pdf, fonts.bold) };
  pdf.setTitle(title);
  pdf.setProducer('Larchwood');
  pdf.setCreator('Larchwood');
  pdf.setCreationDate(new Date(0));
  pdf.setModificationDate(new Date(0));
  pdf.catalog.getOrCreateViewerPreferences().setPrintScaling(PrintScaling.None);
  for (const drawing of drawings) {
    const unit = Math.ceil((Math.max(drawing.width, drawing.height) * POINT) / MOST_UNITS);
    const scale = POINT / unit;
    const page = pdf.addPage([drawing.width * scale, drawing.height * scale]);
    if (unit > 1) page.node.set(PDFName.of('UserUnit'), PDFNumber.of(unit));
    const on = { page, height: drawing.height, scale };
    for (const mark of drawing.marks) {
      if (mark.as === 'path') drawPath(on, mark);
      else if (mark.as === 'circle') drawCircle(on, mark);
      else await drawText(on, mark, mark.bold ? letters.bold : letters.regular);
    }
  }
  return pdf.save();
}

interface On {
  readonly page: PDFPage;
  readonly height: number;
  /** Of a page's unit to a millimetre. */
  readonly scale: number;
}

function drawPath({ page, height, scale }: On, mark: Extract<Mark, { as: 'path' }>): void {
  const { width, dashes } = STROKES[mark.stroke];
  const [first, ...rest] = mark.points.map(([x, y]) => [x * scale, (height - y) * scale] as const);
  if (!first) return;
  page.pushOperators(
    pushGraphicsState(),
    setLineWidth(width * scale),
    setDashPattern(
      dashes.map((dash) => dash * scale),
      0,
    ),
    moveTo(first[0], first[1]),
    ...rest.map(([x, y]) => lineTo(x, y)),
    ...(mark.closed ? [closePath()] : []),
    mark.filled ? fill() : stroke(),
    popGraphicsState(),
  );
}

function drawCircle(
  { page, height, scale }: On,
  { stroke: line, at, radius }: Extract<Mark, { as: 'circle' }>,
) {
  page.drawCircle({
    x: at[0] * scale,
    y: (height - at[1]) * scale,
    size: radius * scale,
    borderWidth: STROKES[line].width * scale,
    borderColor: rgb(0, 0, 0),
  });
}

/** The faces of one weight, each put into the file when the first of its letters is set. */
interface Letters {
  readonly faceOf: (letter: string) => Promise<PDFFont | undefined>;
}

function facesIn(pdf: PDFDocument, files: readonly Uint8Array[]): Letters {
  const sets = files.map((bytes) => new Set(fontkit.create(bytes as never).characterSet));
  const embedded = new Map<number, Promise<PDFFont>>();
  return {
    faceOf: async (letter) => {
      const index = sets.findIndex((set) => set.has(letter.codePointAt(0)!));
      if (index < 0) return undefined;
      let face = embedded.get(index);
      // Letters are set one by one, as wide as they were measured: no two are drawn as one.
      const asMeasured = { subset: true, features: { liga: false, clig: false, calt: false } } as const;
      if (!face) embedded.set(index, (face = pdf.embedFont(files[index]!, asMeasured)));
      return face;
    },
  };
}

async function drawText({ page, height, scale }: On, mark: Words, letters: Letters): Promise<void> {
  if (mark.clear) {
    const { left, top, right, bottom } = boxOf(mark);
    page.drawRectangle({
      x: (left - 0.3) * scale,
      y: (height - bottom - 0.1) * scale,
      width: (right - left + 0.6) * scale,
      height: (bottom - top + 0.4) * scale,
      color: rgb(1, 1, 1),
    });
  }
  const width = (text: string) => textWidth(text, mark.size, mark.bold);
  const shift = { start: 0, middle: 0.5, end: 1 }[mark.anchor] * width(mark.text);
  let along = -shift;
  for (const { text, face } of await runsOf(mark.text, letters)) {
    const [x, y] = mark.turned ? [mark.at[0], mark.at[1] + along] : [mark.at[0] + along, mark.at[1]];
    page.drawText(text, {
      x: x * scale,
      y: (height - y) * scale,
      size: mark.size * scale,
      font: face,
      rotate: degrees(mark.turned ? -90 : 0),
    });
    along += width(text);
  }
}

/** Words as runs that one face sets; a letter that no face has is a question mark. */
async function runsOf(
  text: string,
  letters: Letters,
): Promise<readonly { readonly text: string; readonly face: PDFFont }[]> {
  const runs: { text: string; face: PDFFont }[] = [];
  for (const letter of text) {
    const face = await letters.faceOf(letter);
    const set = face ? { text: letter, face } : { text: MISSING, face: (await letters.faceOf(MISSING))! };
    const last = runs.at(-1);
    if (last?.face === set.face) last.text += set.text;
    else runs.push(set);
  }
  return runs;
}
