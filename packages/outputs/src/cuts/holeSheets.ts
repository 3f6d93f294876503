import {
  faceWords,
  flatFaces,
  formatAngle,
  formatLength,
  type DrilledPiece,
  type Piece,
} from '@larchwood/core';
import { label, path, type Drawing, type Mark, type Point } from '../drawing.js';
import { SHEETS, titleMarks, type TitleBlock } from '../paper.js';
import { onSheets } from '../patterns/sheets.js';
import type { Source } from '../registry/output.js';
import { tablePages, type Table } from '../tables.js';
import { acrossSeam, holeWraps } from './holeWraps.js';

/** Where each hole is marked, piece by piece, with the outside of the piece laid flat beside. */
export function holeSheets({ document, plan, revision }: Source): Drawing[] {
  const { units, paper } = document;
  const mm = (value: number) => formatLength(value, units, 1, true);
  const tables = plan.holes.map((drilled): Table => {
    const piece = plan.frame.pieces.find(({ id }) => id === drilled.piece)!;
    const pair = drilled.pair ? ' One of a pair: clamp both together and drill through the pair.' : '';
    return {
      title: `${drilled.mark}  ${drilled.name}, ${formatLength(drilled.length, units)} long as cut`,
      note: `From the longest point of its ends. Round from the top: along the outside, clockwise seen from its start; once round is ${mm(drilled.girth)}.${pair}`,
      columns: [
        { name: 'Hole', right: false },
        { name: 'Face', right: false },
        { name: 'From its start', right: true, bold: true },
        { name: 'From its end', right: true },
        { name: 'Off the middle', right: true },
        { name: 'Round from the top', right: true },
        { name: 'Size', right: true, bold: true },
        { name: 'Done', right: false },
      ],
      rows: drilled.bores.map((bore) => [
        bore.name,
        `${faceText(piece, bore.face)}${bore.wall === 'far' ? ', far wall' : ''}`,
        mm(bore.fromStart),
        mm(bore.fromEnd),
        mm(bore.off),
        mm(bore.round),
        bore.long > bore.diameter ? `${mm(bore.diameter)} × ${mm(bore.long)}` : mm(bore.diameter),
        '____',
      ]),
    };
  });
  const size = SHEETS[paper.size];
  const block = { build: document.name, what: 'Holes', revision, units: units.length === 'mm' ? 'mm' : 'in' };
  const lists = tablePages(tables, { ...size, block, before: 0, size: paper.size });
  const flats = flatSheets(plan.holes, plan.frame.pieces, size, block);
  const strips = plan.holes.flatMap((drilled) =>
    holeWraps(
      drilled,
      plan.frame.pieces.find(({ id }) => id === drilled.piece)!,
      paper.thickness,
      units,
    ),
  );
  const wraps =
    strips.length === 0
      ? []
      : onSheets(
          strips,
          {
            ...{
              size: paper.size,
              paperThickness: paper.thickness,
              display: units,
              buildName: document.name,
            },
            ...{ revision, printer: paper.printer },
          },
          'strips for holes',
          'Print without scaling and measure the bars. Wrap each round its tube, printed side out, the top line on the top.',
        );
  return [...lists, ...flats, ...wraps];
}

const faceText = (piece: Piece, face: number): string =>
  piece.section.shape === 'rectangular'
    ? faceWords(piece, face)
    : `${formatAngle(face, 0)}, ${faceWords(piece, face)}`;

const MARGIN = 14;
const GAP = 14;

/** Each piece’s outside laid flat, as large as the sheet’s width allows. */
function flatSheets(
  drilled: readonly DrilledPiece[],
  pieces: readonly Piece[],
  { width, height }: { readonly width: number; readonly height: number },
  block: Omit<TitleBlock, 'sheet'>,
): Drawing[] {
  const sheets: Mark[][] = [];
  let y = Infinity;
  for (const each of drilled) {
    const piece = pieces.find(({ id }) => id === each.piece)!;
    const left = MARGIN + 22;
    const scale = Math.min(1, (width - left - MARGIN) / each.length, (height - 3 * MARGIN) / each.girth);
    const tall = each.girth * scale;
    if (y + tall + GAP > height - MARGIN) {
      sheets.push([]);
      y = MARGIN + GAP;
    }
    sheets
      .at(-1)!
      .push(
        label([MARGIN, y - 3], 3.2, `${each.mark}  ${each.name}`, { bold: true }),
        ...flat(each, piece, [left, y], scale),
      );
    y += tall + GAP;
  }
  return sheets.map((marks, index) => {
    const title = {
      ...{ ...block, what: 'Holes, pieces laid flat: start on the left, top first' },
      sheet: `Sheet ${index + 1} of ${sheets.length}`,
    };
    return { width, height, marks: [...titleMarks(title, MARGIN, width - MARGIN, 4), ...marks] };
  });
}

function flat({ girth, length, bores }: DrilledPiece, piece: Piece, [x0, y0]: Point, scale: number): Mark[] {
  const x = (along: number) => x0 + along * scale;
  const faces = flatFaces(piece);
  const y = (round: number) => y0 + ((((round - faces[0]!.from) % girth) + girth) % girth) * scale;
  const box: Point[] = [
    [x(0), y0],
    [x(length), y0],
    [x(length), y0 + girth * scale],
    [x(0), y0 + girth * scale],
    [x(0), y0],
  ];
  return [
    path('edge', box),
    ...faces.flatMap(({ face, middle: along }): Mark[] => {
      const middle = y(along);
      return [
        path('thin', [
          [x(0), middle],
          [x(length), middle],
        ]),
        label(
          [MARGIN, middle + 1],
          2.6,
          face === 0 ? `top, ${faceWords(piece, face)}` : faceWords(piece, face),
        ),
      ];
    }),
    ...bores.flatMap((bore): Mark[] => {
      const at: Point = [x(bore.fromStart), y((bore.round * girth) / bore.girth)];
      const outline = slotOutline(at, bore.long * scale, bore.diameter * scale).map(turned);
      return acrossSeam(outline, y0, girth * scale).map((line) => path('cut', line.map(turned)));
    }),
  ];
}

const turned = ([x, y]: Point): Point => [y, x];

/** A round hole, or a slot with round ends along x. */
export function slotOutline([x, y]: Point, long: number, wide: number): Point[] {
  const radius = wide / 2;
  const straight = Math.max(0, long - wide) / 2;
  const half = (middle: number, from: number): Point[] =>
    Array.from({ length: 13 }, (_, index): Point => {
      const angle = from + (Math.PI * index) / 12;
      return [middle + radius * Math.cos(angle), y + radius * Math.sin(angle)];
    });
  const around = [...half(x + straight, -Math.PI / 2), ...half(x - straight, Math.PI / 2)];
  return [...around, around[0]!];
}
