import { describe, expect, it } from 'vitest';
import { EVERY_SET, made, planMade } from '../../../../testing/made.js';
import { measurePdf, span, type MeasuredPage } from '../../../../testing/measurePdf.js';
import { drawingsToPdf } from '../pdf.js';
import { drawingToSvg } from '../svg.js';
import { pieceDrawing } from './pieceDrawing.js';
import { SHEETS } from '../paper.js';
import { patternSheets, PatternTooLarge, type SheetOptions } from './sheets.js';
import { stripsOf } from './strip.js';

const plan = planMade(made('bicycle', 'touring', { name: 'Żółw & <Søn> – ½' }));
const options: SheetOptions = {
  size: 'A4',
  paperThickness: 0.1,
  display: { length: 'mm', denominator: 32 },
  buildName: plan.name,
};
const cut = (mark: string) => plan.cuts.find((each) => each.mark === mark)!;

describe('a pattern on paper, rendered by poppler', () => {
  it.each(['A4', 'Letter'] as const)(
    '%s: page and check bars are true to 0.1 mm, both ways',
    async (size) => {
      const pages = measurePdf(await drawingsToPdf(patternSheets(plan.cuts, { ...options, size }), 'test'));
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

  it.each(['A4', 'Letter', 'A3', 'Tabloid'] as const)(
    '%s holds the patterns of every starting set',
    (size) => {
      for (const [kind, set] of EVERY_SET) {
        const { cuts } = planMade(made(kind, set));
        const marks = patternSheets(cuts, { ...options, size }).flatMap((sheet) => sheet.marks);
        const words = marks.map((mark) => (mark.as === 'text' ? mark.text : '')).join(' ');
        for (const { mark, name } of cuts) expect(words, `${kind} ${mark}`).toContain(`${mark} ${name}`);
      }
    },
  );

  it('the cut line is the cope to 0.1 mm, round a girth of pi (D + paper)', async () => {
    const [sheet] = measurePdf(await drawingsToPdf(patternSheets([cut('4')], options), 'test'));
    const girth = Math.PI * (31.8 + 0.1);
    const end = cut('4').ends[0];
    const [strip] = stripsOf(cut('4'), 0.1, options.display);
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
    const pages = measurePdf(await drawingsToPdf(patternSheets(plan.cuts, options), 'test'));
    const text = pages.map((page) => page.text).join('\n');
    for (const each of plan.cuts) {
      const apart = stripsOf(each, 0.1, options.display).length === 2;
      expect(text.split(`${each.name}, first end`).length - 1, each.name).toBe(apart ? 1 : 0);
      expect(text, each.name).toContain(each.name);
    }
    // Letters that the paper's font lacks lose their accent; the sheet is never lost.
    expect(text).toContain('Zó');
  });

  it('comes out the same, byte for byte, when made again', async () => {
    const make = () => drawingsToPdf(patternSheets([cut('5')], options), 'test');
    expect(Buffer.from(await make()).equals(Buffer.from(await make()))).toBe(true);
  });

  it('wraps never overlap on a sheet, and keep clear of the seam’s worst places', () => {
    for (const each of plan.cuts) {
      for (const [index, strip] of stripsOf(each, 0.1, options.display).entries()) {
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
    const [strip, ...more] = stripsOf(brace, 0.1, options.display);
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

  it('a square tube’s wrap is as long as its outside with its round corners, and tells both saw angles', () => {
    const ladder = planMade(made('kart', 'ladder'));
    const nose = ladder.cuts.find(({ mark }) => mark === '2L')!;
    const [strip] = stripsOf(nose, 0, options.display);
    // Source: 2 (w + h) less 8 corners' squares, plus a whole circle of them.
    expect(strip!.girth).toBeCloseTo(2 * (25 + 75) - 8 * 3.2 + 2 * Math.PI * 3.2, 2);
    expect(
      strip!.marks.filter(
        (mark) => mark.as === 'text' && /off square$/.test(mark.text) && mark.anchor === 'middle',
      ).length,
    ).toBe(2);
  });

  it('a tube whose wrap fits no sheet is named', () => {
    const huge = {
      ...cut('4'),
      ends: cut('4').ends.map((end) => ({
        ...end,
        outline: { ...end.outline, perimeter: 377, developed: end.outline.developed.map((way) => way * 3.8) },
      })) as unknown as [never, never],
    };
    expect(() => patternSheets([huge], options)).toThrow(PatternTooLarge);
  });
});

describe('a pattern as SVG', () => {
  it('has millimetres for units, the same curve, and escapes its title', () => {
    const drawing = pieceDrawing(cut('5'), 0.1, options.display);
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
