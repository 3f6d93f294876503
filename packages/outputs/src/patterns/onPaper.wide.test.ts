import { describe, expect, it } from 'vitest';
import { formatLength } from '@larchwood/core';
import { made, planMade } from '../../../../testing/made.js';
import { span, type MeasuredPage } from '../../../../testing/measurePdf.js';
import { pagesOf, pdfOf } from '../../../../testing/pdf.js';
import { drawingToSvg } from '../svg.js';
import { pieceDrawing } from './pieceDrawing.js';
import { SHEETS } from '../paper.js';
import { patternSheets, type SheetOptions } from './sheets.js';
import { isSquare, stripsOf } from './strip.js';

const plan = planMade(made('bicycle', 'touring', { name: 'Żółw & <Søn> – ½' }));
const options: SheetOptions = {
  size: 'A4',
  paperThickness: 0.1,
  display: { length: 'mm', denominator: 32 },
  buildName: plan.name,
  revision: 'revision 1, 2026-01-02',
};
const cut = (mark: string) => plan.cuts.find((each) => each.mark === mark)!;

describe('a pattern on paper, rendered by poppler', () => {
  it.each(['A4', 'Letter'] as const)(
    '%s: page and check bars are true to 0.1 mm, both ways',
    async (size) => {
      const pages = await pagesOf(patternSheets(plan.cuts, { ...options, size }));
      expect(pages.length).toBeGreaterThan(0);
      for (const page of pages) {
        expect(page.width).toBeCloseTo(SHEETS[size].width, 2);
        expect(page.height).toBeCloseTo(SHEETS[size].height, 2);
        for (const [length, text] of [
          [150, '150 mm'],
          [152.4, '6 in'],
          [200, '200 mm'],
          [203.2, '8 in'],
        ] as const) {
          expect(page.lines.some((line) => line.length === 2 && Math.abs(span(line) - length) < 0.02)).toBe(
            true,
          );
          expect(page.text).toContain(text);
        }
        for (const line of page.lines)
          for (const [x, y] of line)
            expect(x > 3 && x < page.width - 3 && y > 3 && y < page.height - 3).toBe(true);
      }
    },
  );

  it('the cut line is the cope to 0.1 mm, round a girth of pi (D + paper)', async () => {
    const [sheet] = await pagesOf(patternSheets([cut('4')], options));
    const girth = Math.PI * (31.8 + 0.1);
    const end = cut('4').ends[0];
    const [strip] = stripsOf(cut('4'), options);
    // The curve comes back to where it began, so its chord is the girth, upright or sideways on the sheet. The renderer
    // drops points on straight runs: heights are read between its points.
    const curves = sheet!.lines.filter((line) => line.length > 300 && Math.abs(span(line) - girth) < 0.02);
    const worst = (line: MeasuredPage['lines'][number]) => {
      const sideways = Math.abs(line[0]![1] - line.at(-1)![1]) > 1;
      const points = line.map(
        ([x, y]) =>
          (sideways ? [y - line[0]![1], x - line[0]![0]] : [x - line[0]![0], line[0]![1] - y]) as [
            number,
            number,
          ],
      );
      const height = (at: number) => {
        const after = Math.max(
          1,
          points.findIndex(([along]) => along >= at - 1e-6),
        );
        const [[a, b], [c, d]] = [points[after - 1]!, points[after]!];
        return b + ((d - b) * (at - a)) / (c - a);
      };
      const errors = Array.from({ length: 360 }, (_, degrees) => {
        const expected = end.edge.outer[(strip!.seam + degrees) % 360]! - end.edge.outer[strip!.seam]!;
        return Math.abs(height((degrees / 360) * girth) - expected);
      });
      return Math.max(...errors);
    };
    expect(curves.length).toBeGreaterThanOrEqual(2);
    expect(Math.min(...curves.map(worst))).toBeLessThan(0.02);
  });

  it('every piece and end is on the sheets once, with its number', async () => {
    const pages = await pagesOf(patternSheets(plan.cuts, options));
    const text = pages.map((page) => page.text).join('\n');
    for (const each of plan.cuts) {
      const strips = stripsOf(each, options);
      // What a saw cuts square needs no paper.
      expect(strips.length > 0, each.name).toBe(!each.ends.every(isSquare));
      for (const strip of strips) {
        const said = strip.marks.flatMap((mark) => (mark.as === 'text' ? [mark.text] : []));
        const end = each.ends.findIndex((one) => strip.id === `${each.piece}/${one.end}`);
        expect(said[0]).toBe(each.mark);
        // Words wrap on a thin tube.
        if (end >= 0) expect(said.join(' ')).toContain(`${each.name}, ${['first', 'second'][end]} end`);
        for (const words of said) expect(text, words).toContain(words);
      }
    }
    // Letters outside the western ones stand in the application's own face.
    expect(text).toContain('Żółw & <Søn> – ½');
  });

  it('comes out the same, byte for byte, when made again', async () => {
    const make = () => pdfOf(patternSheets([cut('5')], options));
    expect(Buffer.from(await make()).equals(Buffer.from(await make()))).toBe(true);
  });

  it('square edges of two wraps stand a whole reading of the tape apart, and the paper says that reading', () => {
    for (const display of [options.display, { length: 'fraction', denominator: 32 } as const]) {
      const step = display.length === 'mm' ? 1 : 25.4 / 16;
      for (const each of plan.cuts) {
        const strips = stripsOf(each, { ...options, display });
        const [first, second] = strips;
        if (!second) continue;
        const apart = each.betweenCentres - first!.base - second.base;
        expect(apart / step - Math.round(apart / step)).toBeCloseTo(0, 6);
        const words = first!.marks.flatMap((mark) => (mark.as === 'text' ? [mark.text] : [])).join(' ');
        expect(words).toContain(formatLength(apart, display));
      }
    }
  });

  it('on a short boss, paper and piece end together: no distance is less than nothing', () => {
    const trellis = planMade(made('motorcycle', 'sport'));
    const boss = trellis.cuts.find(({ mark }) => mark === '16L')!;
    const [strip] = stripsOf(boss, options);
    const said = strip!.marks.flatMap((mark) => (mark.as === 'text' ? [mark.text] : [])).join(' ');
    expect(said).toContain('this edge lies on the square end');
    const square = boss.ends.find((end) => isSquare(end))!;
    expect(strip!.base).toBeCloseTo(boss.betweenCentres + square.edge.longest.at, 6);
    for (const cut of trellis.cuts)
      for (const { marks } of stripsOf(cut, options))
        for (const mark of marks) if (mark.as === 'text') expect(mark.text).not.toMatch(/−/);
  });

  it('wraps never overlap on a sheet, and keep clear of the seam’s worst places', () => {
    for (const each of plan.cuts) {
      for (const [index, strip] of stripsOf(each, options).entries()) {
        if (strip.id === each.piece) continue;
        const end = each.ends[index]!;
        const away = Math.abs(((strip.seam + 180) % 360) - 180);
        expect(away, `${strip.title} seam at the match line`).toBeGreaterThan(20);
        expect(strip.base + end.edge.shortest.at).toBeGreaterThan(20);
      }
    }
  });

  it('a short straight piece has both cut edges on one strip, as far apart as they are on the tube', () => {
    const kart = planMade(made('kart', 'kart'));
    const brace = kart.cuts.find(({ mark }) => mark === '8L')!;
    const [strip, ...more] = stripsOf(brace, options);
    expect(more).toEqual([]);
    const curves = strip!.marks.flatMap((mark) =>
      mark.as === 'path' && mark.stroke === 'cut' && mark.points.length === 361 ? [mark.points] : [],
    );
    expect(curves.length).toBe(2);
    // At any line: between the two centres, and what each end has beyond its own.
    for (const step of [0, 60, 145, 290]) {
      const line = (strip!.seam + step) % 360;
      const apart =
        brace.betweenCentres +
        brace.ends[1].edge.outer[line]! +
        brace.ends[0].edge.outer[(360 - line) % 360]!;
      expect(curves[1]![step]![1] - curves[0]![step]![1]).toBeCloseTo(apart, 6);
      expect(curves[0]![step]![0]).toBeCloseTo(curves[1]![step]![0], 6);
    }
  });

  it('a square tube’s wrap is as long as its outside with its round corners, and tells its saw angle', () => {
    const ladder = planMade(made('kart', 'ladder'));
    const nose = ladder.cuts.find(({ mark }) => mark === '2L')!;
    const [strip] = stripsOf(nose, { ...options, paperThickness: 0 });
    // Source: 2 (w + h) less 8 corners' squares, plus a whole circle of them.
    expect(strip!.girth).toBeCloseTo(2 * (25 + 75) - 8 * 3.2 + 2 * Math.PI * 3.2, 2);
    // Half of the corner between rail and nose: 120 in over 520.
    const saw = ((Math.atan(120 / 520) / 2) * 180) / Math.PI;
    const words = strip!.marks.flatMap((mark) => (mark.as === 'text' ? [mark.text] : []));
    expect(words).toContain(`mitre with 1L, ${saw.toFixed(1)}° off square`);
    // Its four corners are lines to lay the paper by.
    expect(
      strip!.marks.filter((mark) => mark.as === 'path' && mark.stroke === 'fold').length,
    ).toBeGreaterThan(4);
  });

  it('a wrap that fits no sheet comes in parts that are laid cross on cross, and the rest comes', () => {
    const huge = {
      ...cut('4'),
      ends: cut('4').ends.map((end) => ({
        ...end,
        outline: { ...end.outline, perimeter: 377, developed: end.outline.developed.map((way) => way * 3.8) },
      })) as unknown as [never, never],
    };
    const sheets = patternSheets([huge, cut('5')], options);
    const words = sheets.flatMap(({ marks }) =>
      marks.flatMap((mark) => (mark.as === 'text' ? [mark.text] : [])),
    );
    const parts = words.filter((text) => text.startsWith('4, part'));
    expect(parts.length).toBeGreaterThanOrEqual(4);
    expect(words).toContain('5');
    for (const mark of sheets.flatMap(({ marks }) => marks))
      for (const [x, y] of mark.as === 'path' ? mark.points : [mark.at])
        expect(x > 0 && x < 210 && y > 0 && y < 297).toBe(true);
  });
});

describe('a pattern as SVG', () => {
  it('has millimetres for units, the same curve, and escapes its title', () => {
    const drawing = pieceDrawing(cut('5'), options);
    const svg = drawingToSvg(drawing, `${plan.name}: 5`);
    expect(svg).toContain(`width="${drawing.width.toFixed(3)}mm"`);
    expect(svg).toContain('&amp; &lt;Søn&gt;');
    const cutLine = [...svg.matchAll(/class="cut" d="M([^"]+)"/g)].map(([, data]) =>
      data!.split('L').map((pair) => pair.split(' ').map(Number)),
    );
    const curve = cutLine.find((line) => line.length === 361)!;
    expect(curve[360]![0]! - curve[0]![0]!).toBeCloseTo(Math.PI * 28.7, 3);
  });
});
