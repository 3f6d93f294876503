/** Writes how far each letter of the paper's faces advances, from the fonts themselves: `npm run docs:advances`. */
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { resolve } from 'node:path';
import fontkit from '@pdf-lib/fontkit';
import { FACES } from '../packages/outputs/src/text/faces.js';

const fromOutputs = createRequire(resolve(import.meta.dirname, '../packages/outputs/package.json'));

const table = (weight: 'regular' | 'bold'): string => {
  const rows = new Map<number, number>();
  for (const face of FACES[weight]) {
    const font = fontkit.create(readFileSync(fromOutputs.resolve(face)));
    for (const code of font.characterSet)
      if (code > 31 && !rows.has(code))
        rows.set(code, Math.round((font.glyphForCodePoint(code).advanceWidth * 1000) / font.unitsPerEm));
  }
  const sorted = [...rows].sort(([a], [b]) => a - b);
  return sorted.map(([code, advance]) => `${code.toString(36)}:${advance.toString(36)}`).join(' ');
};

writeFileSync(
  resolve(import.meta.dirname, '../packages/outputs/src/text/advances.ts'),
  [
    '/** Advance of each letter in thousandths of the size, code and advance in base 36. Written by scripts/write-advances.ts. */',
    'export const ADVANCES = {',
    `  regular:\n    '${table('regular')}',`,
    `  bold:\n    '${table('bold')}',`,
    '} as const;',
    '',
  ].join('\n'),
);
