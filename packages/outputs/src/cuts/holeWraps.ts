// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- an ambient module has no name to import
/// <reference path="../lineclip.d.ts" />
import { clipPolyline } from 'lineclip';
import {
  faceWords,
  formatLength,
  type Bore,
  type DrilledPiece,
  type LengthDisplay,
  type Piece,
} from '@larchwood/core';
import { label, path, type Mark, type Point } from '../drawing.js';
import type { Shape } from '../patterns/sheets.js';

const MARGIN = 5;
const TEXT = 2.6;
/** Paper above and below a hole, mm. */
const ROUND = 12;
const HALF_RING = 32;

/**
 * Outline of a hole drilled square through a round tube, on paper that is wrapped round it: mm round the paper from the
 * middle of the hole’s face, and along the tube.
 * @param radius of the wrap, mm; `off` the middle of the tube
 * Source: a point of the drill at a distance x from the tube’s middle lies asin(x / radius) round it.
 */
export function holeOnWrap(
  radius: number,
  tube: number,
  { off, diameter, long }: Pick<Bore, 'off' | 'diameter' | 'long'>,
): Point[] {
  const straight = Math.max(0, long - diameter) / 2;
  const half = (from: number, end: number): Point[] =>
    Array.from({ length: HALF_RING + 1 }, (_, index): Point => {
      const angle = from + (Math.PI * index) / HALF_RING;
      const across = off + (diameter / 2) * Math.cos(angle);
      const round = radius * Math.asin(Math.max(-1, Math.min(1, across / tube)));
      return [round, (diameter / 2) * Math.sin(angle) + end];
    });
  // A slot's sides run from one of its round ends to the other.
  const ring = [...half(0, straight), ...half(Math.PI, -straight)];
  return [...ring, ring[0]!];
}

/**
 * A line round a tube as it shows on a strip whose two edges meet: what runs over one edge comes in at the other.
 * @param from where the strip begins, mm
 * @param girth how long it is, mm
 */
export const acrossSeam = (line: readonly Point[], from: number, girth: number): Point[][] =>
  [-girth, 0, girth].flatMap((by) =>
    clipPolyline(
      line.map(([x, y]): Point => [x + by, y]),
      [from, -Infinity, from + girth, Infinity],
    ),
  );

/** A strip to wrap round the tube for each hole of a round piece, both of its walls on it; true to size. */
export function holeWraps(
  drilled: DrilledPiece,
  piece: Piece,
  paperThickness: number,
  display: LengthDisplay,
): Shape[] {
  if (piece.section.shape !== 'round') return [];
  const ids = [...new Set(drilled.bores.map(({ hole }) => hole))];
  return ids.map((id): Shape => {
    const bores = drilled.bores.filter(({ hole }) => hole === id);
    // Where the hole is: a tapered tube is thinner there than at its start.
    const tube = bores[0]!.girth / (2 * Math.PI);
    const radius = tube + paperThickness / 2;
    const girth = 2 * Math.PI * radius;
    const middle = bores[0]!.fromStart;
    const reach =
      Math.max(...bores.map(({ fromStart, long }) => Math.abs(fromStart - middle) + long / 2)) + ROUND;
    const top = 3 * (TEXT + 1.4);
    // The top of the tube stands in the middle of the strip, away from its seam.
    const x = (round: number) => MARGIN + ((((round + girth / 2) % girth) + girth) % girth);
    const y = (along: number) => MARGIN + top + reach - along;
    const marks: Mark[] = [
      path(
        'edge',
        [
          [MARGIN, y(reach)],
          [MARGIN + girth, y(reach)],
          [MARGIN + girth, y(-reach)],
          [MARGIN, y(-reach)],
        ],
        true,
      ),
      path('axis', [
        [MARGIN, y(0)],
        [MARGIN + girth, y(0)],
      ]),
      ...[0, 90, 180, 270].flatMap((face): Mark[] => {
        const at = x((girth * face) / 360);
        return [
          path('match', [
            [at, y(reach)],
            [at, y(-reach)],
          ]),
          label(
            [at + 0.8, y(-reach) - 1],
            TEXT,
            face === 0 ? `top, ${faceWords(piece, 0)}` : faceWords(piece, face),
          ),
        ];
      }),
      ...bores.flatMap((bore): Mark[] => {
        const face = (girth * bore.face) / 360;
        const ring = holeOnWrap(radius, tube, bore).map(([round, along]): Point => [
          x(face) + round,
          y(bore.fromStart - middle + along),
        ]);
        const [cx, cy] = [
          x(face) + radius * Math.asin(Math.max(-1, Math.min(1, bore.off / tube))),
          y(bore.fromStart - middle),
        ];
        const cross: Point[][] = [
          [
            [cx - 3, cy],
            [cx + 3, cy],
          ],
          [
            [cx, cy - 3],
            [cx, cy + 3],
          ],
        ];
        const shown = (line: readonly Point[]) => acrossSeam(line, MARGIN, girth);
        return [
          ...shown(ring).map((line) => path('cut', line)),
          ...cross.flatMap(shown).map((line) => path('axis', line)),
        ];
      }),
    ];
    const words = [
      `${drilled.mark} ${bores[0]!.name}`,
      `Line at ${formatLength(middle, display)} from the longest`,
      `point of its start, which lies down the sheet`,
    ];
    return {
      mark: `${drilled.mark} ${bores[0]!.name}`,
      width: Math.max(girth, 66) + 2 * MARGIN,
      height: 2 * reach + top + 2 * MARGIN,
      marks: [
        ...words.map((text, index) => label([MARGIN, MARGIN + TEXT + index * (TEXT + 1.4)], TEXT, text)),
        ...marks,
      ],
    };
  });
}
