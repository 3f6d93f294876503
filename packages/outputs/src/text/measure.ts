import { ADVANCES } from './advances.js';

/** Height of capitals, and how far letters reach below their line, as parts of the size. Source: the face itself. */
export const CAPITAL = 0.668;
export const BELOW = 0.22;
/** Capitals on paper are no smaller than this, mm: read at arm's length. Common practice, no source. */
const LEAST_CAPITAL = 1.8;
/** The least size of any words on paper, mm. */
export const LEAST_SIZE = LEAST_CAPITAL / CAPITAL + 0.005;

type Weight = keyof typeof ADVANCES;
const known = new Map<Weight, ReadonlyMap<number, number>>();

function advancesOf(weight: Weight): ReadonlyMap<number, number> {
  let table = known.get(weight);
  if (!table) {
    table = new Map(
      ADVANCES[weight].split(' ').map((row) => {
        const [code, advance] = row.split(':');
        return [parseInt(code!, 36), parseInt(advance!, 36)];
      }),
    );
    known.set(weight, table);
  }
  return table;
}

/** What stands in where no face has a letter. */
export const MISSING = '?';

/** Width of words in mm, as the face sets them; without kerning. */
export function textWidth(text: string, size: number, bold = false): number {
  const table = advancesOf(bold ? 'bold' : 'regular');
  let sum = 0;
  for (const letter of text) sum += table.get(letter.codePointAt(0)!) ?? table.get(MISSING.codePointAt(0)!)!;
  return (sum * size) / 1000;
}

/** Where a line may end: at a space, but never between a number and its fraction or its unit. */
const BREAK = / (?!(?<=\d )(?:(?:mm|in|kg|lb)\b|\d+\/\d))/;

/** Words in lines no wider than a width; a word that is wider by itself stands alone. */
export function wrapped(text: string, width: number, size: number, bold = false): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(BREAK)) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (line !== '' && textWidth(longer, size, bold) > width) {
      lines.push(line);
      line = word;
    } else line = longer;
  }
  return [...lines, line];
}

/** Words cut short to a width, with an ellipsis where they were. */
export function shortened(text: string, width: number, size: number, bold = false): string {
  if (textWidth(text, size, bold) <= width) return text;
  const letters = [...text];
  while (letters.length > 1 && textWidth(`${letters.join('')}…`, size, bold) > width) letters.pop();
  return `${letters.join('').trimEnd()}…`;
}
