import { STROKES, type Drawing, type Mark } from './drawing.js';

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
    const { width, dashes } = STROKES[mark.stroke];
    const dash = dashes.length > 0 ? ` stroke-dasharray="${dashes.join(' ')}"` : '';
    return `<path class="${mark.stroke}" d="${pathData(mark)}" fill="none" stroke="#000" stroke-width="${width}"${dash}/>`;
  }
  const [x, y] = mark.at;
  const turn = mark.turned ? ` transform="rotate(90 ${x.toFixed(3)} ${y.toFixed(3)})"` : '';
  const weight = mark.bold ? ' font-weight="bold"' : '';
  return `<text x="${x.toFixed(3)}" y="${y.toFixed(3)}" font-family="Helvetica, Arial, sans-serif" font-size="${mark.size}" text-anchor="${mark.anchor}"${weight}${turn}>${escaped(mark.text)}</text>`;
}

export function pathData(mark: Extract<Mark, { as: 'path' }>): string {
  const points = mark.points.map(([x, y]) => `${x.toFixed(4)} ${y.toFixed(4)}`);
  return `M${points.join('L')}${mark.closed ? 'Z' : ''}`;
}

const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
const escaped = (text: string): string => text.replace(/[&<>"]/g, (character) => ENTITIES[character]!);
