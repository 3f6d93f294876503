import { formatAngle, formatLength, type EndCut, type LengthDisplay, type PieceCut } from '@larchwood/core';
import { label, type Mark } from '../drawing.js';

/** What stands on the wrap of one end. */
export function words(
  cut: PieceCut,
  end: EndCut,
  girth: number,
  foot: number,
  apart: number,
  display: LengthDisplay,
  matchX: number,
): Mark[] {
  const size = Math.min(2.8, Math.max(1.7, girth / 34));
  const { bent } = end;
  const lines = [
    `${cut.name}, ${end.end === 'start' ? 'first' : 'second'} end`,
    jointWords(end),
    `tube ${formatLength(end.outerDiameter, display, 2)}, printed side out`,
    `this edge to the other${bent ? ', round the bends' : ''}: ${formatLength(apart, display)}`,
  ];
  // The words keep to the wider side of the match line.
  const onRight = matchX < girth / 2;
  const from: number = onRight ? matchX + 3 : 2;
  const room = onRight ? girth - matchX - 5 : matchX - 7;
  const fit = (text: string) => Math.min(size, room / (text.length * 0.52));
  return [
    label([from, foot - 2 - lines.length * (size + 0.9)], Math.min(6, room / 4), cut.mark, { bold: true }),
    ...lines.map((text, index) =>
      label([from, foot - 1.4 - (lines.length - 1 - index) * (size + 0.9)], fit(text), text),
    ),
    label([matchX - 2.8, foot - 9], Math.min(2, size), 'match', { anchor: 'middle', turned: true }),
  ];
}

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
    ? `${jointName(end)}, ${formatAngle(end.offSquare)} off square`
    : jointName(end);

/** What stands on a wrap that carries both ends. */
export function joinedWords(
  cut: PieceCut,
  girth: number,
  middle: number,
  display: LengthDisplay,
  matchX: number,
): Mark[] {
  const size = Math.min(2.6, Math.max(1.6, girth / 36));
  const lines = [
    cut.name,
    `up: ${jointWords(cut.ends[1])}`,
    `down: ${jointWords(cut.ends[0])}`,
    `tube ${formatLength(cut.ends[1].outerDiameter, display, 2)}, printed side out`,
    `longest ${formatLength(cut.overall, display)}`,
  ];
  const onRight = matchX < girth / 2;
  const from = onRight ? matchX + 3 : 2;
  const room = onRight ? girth - matchX - 5 : matchX - 7;
  const top = middle - ((lines.length - 1) * (size + 0.9)) / 2;
  return [
    label([from, top - size - 1.5], Math.min(6, room / 4), cut.mark, { bold: true }),
    ...lines.map((text, index) =>
      label([from, top + index * (size + 0.9)], Math.min(size, room / (text.length * 0.52)), text),
    ),
    label([matchX - 2.8, middle], Math.min(2, size), 'match', { anchor: 'middle', turned: true }),
  ];
}
