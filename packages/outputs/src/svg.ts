import { STROKES, type Drawing, type Mark, type Words } from './drawing.js';
import { textWidth } from './text/measure.js';
import { boxOf } from './text/place.js';

/** A drawing as an SVG file whose user unit is one millimetre, so that it opens at true size. */
export function drawingToSvg(drawing: Drawing, title: string): string {
  const { width, height } = drawing;
  return [
    `<?xml version="1.0" encoding="UTF-8"?>`,
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width.toFixed(3)}mm" height="${height.toFixed(3)}mm" viewBox="0 0 ${width.toFixed(3)} ${height.toFixed(3)}">`,
    `<title>${escaped(title)}</title>`,
    ...drawing.marks.map(element),
    `</svg>`,
    ``,
  ].join('\n');
}

function element(mark: Mark): string {
  if (mark.as === 'path') {
    if (mark.filled) return `<path d="${pathData(mark)}" fill="#000"/>`;
    const { width, dashes } = STROKES[mark.stroke];
    const dash = dashes.length > 0 ? ` stroke-dasharray="${dashes.join(' ')}"` : '';
    return `<path class="${mark.stroke}" d="${pathData(mark)}" fill="none" stroke="#000" stroke-width="${width}"${dash}/>`;
  }
  const [x, y] = mark.at;
  if (mark.as === 'circle')
    return `<circle class="${mark.stroke}" cx="${x.toFixed(4)}" cy="${y.toFixed(4)}" r="${mark.radius.toFixed(4)}" fill="none" stroke="#000" stroke-width="${STROKES[mark.stroke].width}"/>`;
  const turn = mark.turned ? ` transform="rotate(90 ${x.toFixed(3)} ${y.toFixed(3)})"` : '';
  const weight = mark.bold ? ' font-weight="bold"' : '';
  // As wide as it was measured, whatever face the reader has.
  const length = ` textLength="${textWidth(mark.text, mark.size, mark.bold).toFixed(3)}" lengthAdjust="spacingAndGlyphs"`;
  return `${mark.clear ? cleared(mark) : ''}<text x="${x.toFixed(3)}" y="${y.toFixed(3)}" font-family="'Atkinson Hyperlegible Next', 'Atkinson Hyperlegible Next Variable', Helvetica, Arial, sans-serif" font-size="${mark.size.toFixed(3)}" text-anchor="${mark.anchor}"${weight}${length}${turn}>${escaped(mark.text)}</text>`;
}

function cleared(mark: Words): string {
  const { left, top, right, bottom } = boxOf(mark);
  return `<rect x="${(left - 0.3).toFixed(3)}" y="${(top - 0.3).toFixed(3)}" width="${(right - left + 0.6).toFixed(3)}" height="${(bottom - top + 0.4).toFixed(3)}" fill="#fff"/>`;
}

export function pathData(mark: Extract<Mark, { as: 'path' }>): string {
  const points = mark.points.map(([x, y]) => `${x.toFixed(4)} ${y.toFixed(4)}`);
  return `M${points.join('L')}${mark.closed ? 'Z' : ''}`;
}

const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
export const escaped = (text: string): string => text.replace(/[&<>"]/g, (character) => ENTITIES[character]!);
