import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** What poppler finds on one page of a PDF: size and stroked lines in millimetres, y down; and its words. */
export interface MeasuredPage {
  readonly width: number;
  readonly height: number;
  readonly lines: readonly (readonly (readonly [x: number, y: number])[])[];
  readonly text: string;
}

const MM = 25.4 / 72;

/** Renders a PDF with Debian's poppler at its true size and reads back every stroked line. */
export function measurePdf(bytes: Uint8Array): MeasuredPage[] {
  const folder = mkdtempSync(join(tmpdir(), 'larchwood-pdf-'));
  try {
    const file = join(folder, 'patterns.pdf');
    writeFileSync(file, bytes);
    const pages = Number(/Pages:\s+(\d+)/.exec(execFileSync('pdfinfo', [file], { encoding: 'utf8' }))![1]);
    return Array.from({ length: pages }, (_, index) =>
      measurePage(file, join(folder, 'page.svg'), index + 1),
    );
  } finally {
    rmSync(folder, { recursive: true });
  }
}

function measurePage(file: string, svg: string, page: number): MeasuredPage {
  const only = ['-f', String(page), '-l', String(page)];
  execFileSync('pdftocairo', ['-svg', '-noshrink', ...only, file, svg]);
  const source = readFileSync(svg, 'utf8');
  const [, width, height] = /width="([\d.]+)pt" height="([\d.]+)pt"/.exec(source)!;
  const stroked =
    /<path style="fill:none;stroke-width[^"]*" d="([^"]+)" transform="matrix\(1,0,0,-1,([-\d.]+),([-\d.]+)\)"/g;
  const lines = [...source.matchAll(stroked)].map(([, data, dx, dy]) =>
    [...data!.matchAll(/[ML] ([-\d.]+) ([-\d.]+)/g)].map(
      ([, x, y]) => [(Number(x) + Number(dx)) * MM, (Number(dy) - Number(y)) * MM] as const,
    ),
  );
  return {
    width: Number(width) * MM,
    height: Number(height) * MM,
    lines,
    text: execFileSync('pdftotext', [...only, '-layout', file, '-'], { encoding: 'utf8' }),
  };
}

/** Length of a line's two ends apart, mm. */
export function span(line: MeasuredPage['lines'][number]): number {
  const [a, b] = [line[0]!, line.at(-1)!];
  return Math.hypot(b[0] - a[0], b[1] - a[1]);
}
