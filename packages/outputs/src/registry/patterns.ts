import type { PieceCut } from '@larchwood/core';
import { pieceDrawing } from '../patterns/pieceDrawing.js';
import { patternSheets } from '../patterns/sheets.js';
import { drawingToDxf } from '../dxf.js';
import { drawingToSvg } from '../svg.js';
import { noTubes, paper, type Named, type Output, type OutputOptions } from './output.js';

const pieceOf = ({ plan }: Named, { piece }: OutputOptions): PieceCut | undefined =>
  plan.cuts.find((cut) => cut.piece === piece);

const name = (source: Named, options: OutputOptions): string => {
  const cut = pieceOf(source, options);
  return cut ? `piece-${cut.mark}` : 'patterns';
};

/** Paper wraps at full size, of all pieces or of one. */
export const patterns = paper({
  id: 'patterns',
  title: 'Patterns',
  group: 'patterns',
  name,
  refuse: noTubes,
  pages: (source, options) => {
    const { document, plan, revision } = source;
    const cut = pieceOf(source, options);
    return patternSheets(cut ? [cut] : plan.cuts, {
      size: document.paper.size,
      paperThickness: document.paper.thickness,
      display: document.units,
      buildName: document.name,
      revision,
      printer: document.paper.printer,
      square: options.square ?? false,
    });
  },
});

/** One piece's wraps as a drawing. */
export const piecePattern: Output = {
  id: 'piece-svg',
  title: 'SVG of one piece',
  listed: 'Pattern of each piece, SVG',
  group: 'patterns',
  formOf: patterns.id,
  ofPiece: true,
  mediaType: 'image/svg+xml',
  suffix: 'svg',
  name,
  refuse: noTubes,
  packed: ({ plan }) => plan.cuts.map(({ piece }) => ({ piece })),
  make: (source, options) => {
    const { document } = source;
    const cut = pieceOf(source, options);
    if (!cut) throw new RangeError('Choose one piece.');
    return drawingToSvg(
      pieceDrawing(cut, {
        paperThickness: document.paper.thickness,
        display: document.units,
        square: options.square ?? false,
      }),
      `${document.name}: ${cut.mark} ${cut.name}`,
    );
  },
};

/** One piece's ends unrolled, as large as the outside of the tube: for who cuts tube by its outline. */
export const pieceUnrolled: Output = {
  id: 'piece-dxf',
  title: 'DXF of one piece, unrolled',
  listed: 'Ends of each piece unrolled, DXF in mm',
  group: 'patterns',
  formOf: patterns.id,
  ofPiece: true,
  mediaType: 'image/vnd.dxf',
  suffix: 'dxf',
  name,
  refuse: noTubes,
  packed: ({ plan }) => plan.cuts.map(({ piece }) => ({ piece })),
  make: (source, options) => {
    const cut = pieceOf(source, options);
    if (!cut) throw new RangeError('Choose one piece.');
    const display = source.document.units;
    return drawingToDxf(pieceDrawing(cut, { paperThickness: 0, display, square: true }));
  },
};
