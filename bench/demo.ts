import { readdirSync, readFileSync } from 'node:fs';
import { readDocumentText } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

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
  return middle(
    Array.from({ length: runs }, () => {
      const start = performance.now();
      work();
      return performance.now() - start;
    }),
  );
}

/** The median of five rounds of `median`, and the least and largest round: what else the machine does shows there. */
export function medians(runs: number, work: () => unknown): string {
  const rounds = Array.from({ length: 5 }, () => median(runs, work)).sort((a, b) => a - b);
  const shown = (ms: number) => ms.toFixed(2);
  return `${shown(middle(rounds))} ms median (rounds ${shown(rounds[0]!)} to ${shown(rounds[4]!)})`;
}

const middle = (times: number[]): number => times.sort((a, b) => a - b)[times.length >> 1]!;
