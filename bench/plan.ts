import { readdirSync, readFileSync } from 'node:fs';
import { planBuild, readDocumentText, stanceOf, type BuildDocument } from '@larchwood/core';

const demo = new URL('../demo/', import.meta.url);

export function demoBuilds(): { readonly name: string; readonly document: BuildDocument }[] {
  return readdirSync(demo)
    .filter((file) => file.endsWith('.larchwood.json'))
    .map((file) => {
      const read = readDocumentText(readFileSync(new URL(file, demo), 'utf8'));
      if (!read.ok) throw new Error(`${file}: ${JSON.stringify(read.faults)}`);
      return { name: file, document: read.document };
    });
}

/** Median and 95th percentile of `work`, once warm; ms. Each round changes the head angle, so that nothing is the same. */
function measure(
  document: BuildDocument,
  work: (document: BuildDocument) => unknown,
): { median: number; late: number } {
  const times: number[] = [];
  for (let round = 0; round < 600; round += 1) {
    const headAngle = (document.stance.held.headAngle ?? 72) + (round % 40) * 0.01;
    const next = {
      ...document,
      stance: { ...document.stance, held: { ...document.stance.held, headAngle } },
    };
    const start = performance.now();
    work(next);
    if (round >= 200) times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  return { median: times[times.length >> 1]!, late: times[Math.floor(times.length * 0.95)]! };
}

export function planInNode(): void {
  for (const { name, document } of demoBuilds()) {
    const whole = measure(document, planBuild);
    const stance = measure(document, stanceOf);
    console.log(
      `${name}: whole plan ${whole.median.toFixed(2)} ms median, ${whole.late.toFixed(2)} ms at 95 %; stance alone ${stance.median.toFixed(3)} ms median`,
    );
  }
}
