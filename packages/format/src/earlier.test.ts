import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { documentText } from './fileName.js';
import { FORMAT_VERSION, KIND_IDS } from './buildSchema.js';
import { SETS_OF_VERSION_2 } from './migrations/setsOfVersion2.js';
import { readFormatText } from './read.js';

/** Files as earlier versions wrote them, each beside what this version makes of it. */
const folder = new URL('../earlier/', import.meta.url);
const textOf = (name: string) => readFileSync(new URL(name, folder), 'utf8');
const earlier = Array.from({ length: FORMAT_VERSION - 1 }, (_, index) => `version-${index + 1}`);

describe('a file of an earlier version', () => {
  it('is kept of each', () => {
    expect(readdirSync(folder).sort()).toEqual(
      earlier.flatMap((name) => [`${name}.json`, `${name}.now.json`]).sort(),
    );
    for (const [index, name] of earlier.entries())
      expect((JSON.parse(textOf(`${name}.json`)) as { version: number }).version).toBe(index + 1);
  });
  it.each(earlier)('%s loads byte for byte as it did', (name) => {
    const read = readFormatText(textOf(`${name}.json`));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(documentText(read.document)).toBe(textOf(`${name}.now.json`));
  });
  it('of version 2 gets the seat and the masses of its set, or of the first of its kind', () => {
    expect(Object.keys(SETS_OF_VERSION_2).sort()).toEqual([...KIND_IDS].sort());
    const old = JSON.parse(textOf('version-2.json')) as Record<string, unknown>;
    const read = readFormatText(JSON.stringify({ ...old, startingSet: 'never-was' }));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const first = SETS_OF_VERSION_2[read.document.kind]![0]!;
    expect(read.document.seat.lock).toBe(first.lock);
    // Without tubes, what stands for the frame stays.
    expect(read.document.mass.lumps.map(({ name }) => name)).toEqual(first.lumps.map(([name]) => name));
    expect(read.document.stance.held).toMatchObject(first.held);
  });
});
