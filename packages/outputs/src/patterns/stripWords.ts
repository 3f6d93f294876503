import { formatAngle, formatLength, type EndCut, type LengthDisplay, type PieceCut } from '@larchwood/core';
import { label, type Mark } from '../drawing.js';
import { CAPITAL, LEAST_SIZE, textWidth, wrapped } from '../text/measure.js';
import { hasCorners } from './stripMarks.js';

/** Line to line, of the size. */
const PITCH = 1.18;
const MARK_SIZE = 6;

/** Part of a wrap on which words may stand: clear of its edges and of the match line; mm. */
export interface WordRoom {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Words of a wrap, what matters most first; each begins on a line of its own. */
function linesOf(sentences: readonly string[], width: number): string[] {
  return sentences.flatMap((sentence) =>
    wrapped(sentence, width, LEAST_SIZE).filter((line) => textWidth(line, LEAST_SIZE) <= width),
  );
}

/** How tall the words of a wrap are in a column of some width, with the piece's mark over them; mm. */
export const wordsHeight = (sentences: readonly string[], width: number): number =>
  MARK_SIZE * CAPITAL + 1.6 + linesOf(sentences, width).length * LEAST_SIZE * PITCH;

/** The piece's mark and as many of its words as there is room for, from the top. */
export function wordMarks(mark: string, sentences: readonly string[], room: WordRoom): Mark[] {
  const width = room.right - room.left;
  const size = Math.min(MARK_SIZE, width / Math.max(0.1, textWidth(mark, 1, true)));
  if (size < LEAST_SIZE) return [];
  let y = room.top + CAPITAL * size;
  if (y > room.bottom) return [];
  // Lines of corners are left white behind them.
  const marks: Mark[] = [label([room.left, y], size, mark, { bold: true, clear: true })];
  y += 1.6;
  for (const line of linesOf(sentences, width)) {
    y += LEAST_SIZE * PITCH;
    if (y > room.bottom) break;
    marks.push(label([room.left, y], LEAST_SIZE, line, { clear: true }));
  }
  return marks;
}

/** What stands on the wrap of one end; `apart` is measured from its square edge. */
export function endSentences(cut: PieceCut, end: EndCut, apart: string, display: LengthDisplay): string[] {
  return [
    `${cut.name}, ${end.end === 'start' ? 'first' : 'second'} end`,
    jointWords(end),
    apart,
    sizeWords(end, display),
    ...sawSentence(end),
  ];
}

/** What stands on a wrap that carries both ends. */
export function bothSentences(cut: PieceCut, display: LengthDisplay): string[] {
  const [start, end] = cut.ends;
  return [
    cut.name,
    `up: ${jointWords(end)}`,
    `down: ${jointWords(start)}`,
    `longest ${formatLength(cut.overall, display)}`,
    sizeWords(end, display),
    ...sawSentence(end),
  ];
}

/** Across the outside, as a caliper reads it: to hundredths of a millimetre or thousandths of an inch. */
const sizeWords = ({ outline, outerDiameter }: EndCut, display: LengthDisplay): string =>
  `${outline.round ? 'Ø ' : ''}${formatLength(outerDiameter, display, display.length === 'mm' ? 2 : 1)}, print outside`;

/** Angles that a saw reads on two faces of a square tube. */
const sawSentence = (end: EndCut): string[] =>
  hasCorners(end) && end.saw && end.saw.offSquare >= 0.05
    ? [
        `saw: ${formatAngle(Math.abs(end.saw.onMatchFace))} on the match face, ${formatAngle(Math.abs(end.saw.onNextFace))} on the next`,
      ]
    : [];

/** What an end is cut to, in a few words. */
export function jointName(end: EndCut): string {
  const others = end.hosts.join(' + ');
  switch (end.cut) {
    case 'coped':
      return `fits ${others}`;
    case 'mitred':
      return `mitre with ${others}`;
    case 'slotted':
      return 'slot for the plate';
    case 'plate':
      return 'against a plate';
    case 'capped':
      return 'cut square, capped';
    case 'flattened':
      return 'cut square, pressed flat';
    case 'plain':
      return 'cut square';
  }
}

/** The same with the angle that a saw reads, where it is cut at one. */
const jointWords = (end: EndCut): string =>
  end.cut === 'coped' || end.cut === 'mitred' || end.cut === 'plate'
    ? `${jointName(end)}, ${end.offSquare < 0.05 ? 'square' : `${formatAngle(end.offSquare)} off square`}`
    : jointName(end);
