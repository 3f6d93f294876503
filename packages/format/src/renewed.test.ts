import { readFileSync } from 'node:fs';
import { setFlagsFromString } from 'node:v8';
import { describe, expect, it } from 'vitest';
import type { BuildDocument } from './buildSchema.js';
import { readFormat } from './read.js';
import { renewed } from './renewed.js';

// What the engine itself says of a list: whether it is kept as one of numbers.
setFlagsFromString('--allow-natives-syntax');
const isOfNumbers = new Function('list', 'return %HasDoubleElements(list)') as (list: unknown) => boolean;

const parsed = (): unknown =>
  JSON.parse(readFileSync(new URL('../../../demo/paddock-kart.larchwood.json', import.meta.url), 'utf8'));
/** The offsets of its nodes that are not whole millimetres throughout. */
const offsets = (document: BuildDocument) =>
  document.frame.nodes.flatMap(({ anchor }) =>
    'offset' in anchor && !anchor.offset.every(Number.isInteger) ? [anchor.offset] : [],
  );

describe('a document that is written and read anew', () => {
  it('holds the same, in lists of numbers, also where it came from another thread', () => {
    const sent = structuredClone(parsed()) as BuildDocument;
    expect(offsets(sent).length).toBeGreaterThan(0);
    expect(offsets(sent).some(isOfNumbers)).toBe(false);
    expect(renewed(sent)).toEqual(sent);
    expect(offsets(renewed(sent)).every(isOfNumbers)).toBe(true);
  });
  it('is what reading gives, however often the check has run', () => {
    for (let time = 0; time < 40; time += 1) readFormat(parsed());
    const read = readFormat(structuredClone(parsed()));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(offsets(read.document).every(isOfNumbers)).toBe(true);
    expect(read.document).toEqual(parsed());
  });
});
