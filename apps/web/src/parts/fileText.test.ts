import { describe, expect, it } from 'vitest';
import { fileText } from './fileText';

const TEXT = 'Head angle;72,5;°\nTrail;62;mm\nLänge;1 050;mm\n';
const sixteen = (text: string, big: boolean): number[] =>
  [...text].flatMap((letter) => {
    const code = letter.codePointAt(0)!;
    return big ? [code >> 8, code & 255] : [code & 255, code >> 8];
  });
const read = (bytes: readonly number[]) => fileText(new Blob([Uint8Array.from(bytes)]));

describe('text of a file', () => {
  it.each([
    ['UTF-8', [...new TextEncoder().encode(TEXT)]],
    ['UTF-16, low byte first, with its mark', [0xff, 0xfe, ...sixteen(TEXT, false)]],
    ['UTF-16, high byte first, with its mark', [0xfe, 0xff, ...sixteen(TEXT, true)]],
    ['UTF-16, low byte first, without a mark', sixteen(TEXT, false)],
    ['UTF-16, high byte first, without a mark', sixteen(TEXT, true)],
    ['Windows-1252', [...TEXT].map((letter) => letter.codePointAt(0)!)],
  ])('%s', async (_, bytes) => expect((await read(bytes)).replace(/^\uFEFF/, '')).toBe(TEXT));
  it('short and empty files, and a binary one, are read as they are', async () => {
    expect(await read([])).toBe('');
    expect(await read([65])).toBe('A');
    expect(await read([0, 0, 0, 1, 0, 7])).toContain('\0');
  });
});
