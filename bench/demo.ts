import { readdirSync, readFileSync } from 'node:fs';
import { readDocumentText, type BuildDocument } from '@larchwood/core';

const demo = new URL('../demo/', import.meta.url);

export function demoBuilds(): { readonly name: string; readonly document: BuildDocument }[] {
  return readdirSync(demo)
    .filter((file) => file.endsWith('.larchwood.json'))
    .map((file) => {
      const read = readDocumentText(readFileSync(new URL(file, demo), 'utf8'));
      if (!read.ok) throw new Error(`${file}: ${JSON.stringify(read.faults)}`);
      return { name: file.replace('.larchwood.json', ''), document: read.document };
    });
}

/** Median of so many runs, once warm; ms. */
export function median(runs: number, work: () => unknown): number {
  for (let round = 0; round < Math.min(100, runs); round += 1) work();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[runs >> 1]!;
}
