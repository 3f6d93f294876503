import {
  findingText,
  findKind,
  formatAngle,
  formatLength,
  formatMass,
  sectionText,
  type LengthDisplay,
  type Plan,
  formatGauge,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { pieceState } from '../lists/cutList.js';
import { escaped } from '../svg.js';
import type { Source } from '../registry/output.js';
import { STYLE } from './indexStyle.js';
import { PACK_GROUPS, type LeftOut, type Listed } from './groups.js';
import { framePicture } from './picture.js';

/** A page that opens from its folder: what is in the pack, the vehicle in figures, the cut list, and what wants a look. */
export function indexPage(source: Source, files: readonly Listed[], leftOut: readonly LeftOut[]): string {
  const { document, plan, revision } = source;
  const { units } = document;
  const name = escaped(document.name);
  const kind = findKind(document.kind)?.name ?? document.kind;
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>${name}: pack</title>
<style>${STYLE}${pageFooter(`${document.name}, ${revision}`)}</style>
</head>
<body>
<header>
<h1>${name}</h1>
<p>${escaped(kind)} · ${escaped(revision)} · lengths in ${units.length === 'mm' ? 'millimetres' : 'inches'}</p>
</header>
<main>
${picture(plan)}
<section><h2>Files</h2>
${[{ id: 'build', title: 'The build' }, ...PACK_GROUPS]
  .map(({ id, title }) =>
    fileTable(
      title,
      files.filter(({ group }) => group === id),
    ),
  )
  .join('\n')}
${leftOut.length > 0 ? leftOutList(leftOut) : ''}
</section>
<section><h2>In figures</h2>
${figures(plan, units)}
</section>
<section><h2>Cut list</h2>
${cutTable(plan, document)}
</section>
${findings(plan, units)}
${cautions(files)}
</main>
<footer>${name} · ${escaped(revision)} · made by Larchwood</footer>
</body>
</html>
`;
}

/** At the foot of each printed page: which build and which state of it, and which page. */
const pageFooter = (text: string): string =>
  `@page { @bottom-left { content: ${cssText(text)}; font: 8pt sans-serif; color: #55625a; } @bottom-right { content: counter(page) ' of ' counter(pages); font: 8pt sans-serif; color: #55625a; } }\n`;

/** Text as a string of a style sheet that no text can end. */
const cssText = (text: string): string =>
  `'${text.replace(/[^\p{L}\p{N} .,:-]/gu, (letter) => `\\${letter.codePointAt(0)!.toString(16)} `)}'`;

const picture = (plan: Plan): string =>
  plan.frame.pieces.length === 0 ? '' : `<figure>\n${framePicture(plan, 'side')}\n</figure>`;

const row = (cells: readonly string[], tag: 'td' | 'th' = 'td'): string =>
  `<tr>${cells.map((cell) => `<${tag}>${cell}</${tag}>`).join('')}</tr>`;
const table = (head: readonly string[], rows: readonly (readonly string[])[], kind = ''): string =>
  `<table${kind ? ` class="${kind}"` : ''}><thead>${row(head, 'th')}</thead><tbody>\n${rows.map((cells) => row(cells)).join('\n')}\n</tbody></table>`;

function fileTable(title: string, files: readonly Listed[]): string {
  if (files.length === 0) return '';
  const whole = files.filter(({ mark }) => mark === undefined);
  const titles = [...new Set(files.filter(({ mark }) => mark !== undefined).map((each) => each.title))];
  const rows = [
    ...whole.map((each) => [
      link(each, each.file.split('/').at(-1)!),
      withRemarks(each.title, [each]),
      sizeText(each.size),
    ]),
    // One file a piece: their marks in a row.
    ...titles.map((of) => {
      const each = files.filter(({ title: own, mark }) => own === of && mark !== undefined);
      const size = each.reduce((sum, file) => sum + file.size, 0);
      return [
        each.map((file) => link(file, file.mark!)).join('&ensp;'),
        withRemarks(of, each),
        sizeText(size),
      ];
    }),
  ];
  return `<h3>${title}</h3>\n${table(['File', 'What it is', 'Size'], rows, 'files')}`;
}

/** What a row of files is, and what is to be known of some of them. */
function withRemarks(title: string, files: readonly Listed[]): string {
  const remarks = [...new Set(files.flatMap(({ remark }) => remark ?? []))];
  return [escaped(title), ...remarks.map((remark) => `<br><em>${escaped(remark)}</em>`)].join('');
}

const link = ({ file }: Listed, text: string): string =>
  `<a href="${file.split('/').map(encodeURIComponent).join('/')}">${escaped(text)}</a>`;

const sizeText = (bytes: number): string =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

const leftOutList = (leftOut: readonly LeftOut[]): string =>
  `<h3>Could not be made</h3>\n<ul class="stop">${leftOut
    .map(({ title, why }) => `<li><strong>${escaped(title)}</strong>: ${escaped(why)}</li>`)
    .join('')}</ul>`;

function figures({ kind, stance, weights }: Plan, units: LengthDisplay): string {
  const mass = weights.reduce((sum, each) => sum + each.mass, 0);
  const rows = (findKind(kind)?.dimensions ?? [])
    .filter(({ id }) => stance.values[id] !== undefined)
    .map(({ id, name, quantity }) => {
      const value = stance.values[id]!;
      return [
        escaped(name),
        quantity === 'angle' ? formatAngle(value, 1) : formatLength(value, units),
        stance.held[id] === undefined ? 'follows' : 'held',
      ];
    });
  return table(
    ['Dimension', 'Value', ''],
    [...rows, ['Frame, as cut', formatMass(mass, units, 2), '']],
    'figures',
  );
}

function cutTable({ cuts, frame }: Plan, document: BuildDocument): string {
  const { units } = document;
  const state = pieceState(document);
  const pieces = new Map(frame.pieces.map((piece) => [piece.id, piece]));
  const rows = cuts.map(({ piece, mark, name, blank, mass }) => [
    escaped(mark),
    escaped(name),
    escaped(sectionText(pieces.get(piece)!.section, units)),
    formatLength(blank, units),
    formatMass(mass, units, 2),
    escaped(state(mark)),
  ]);
  const plates = frame.plates.map(({ mark, name, plate, mass }) => [
    escaped(mark),
    escaped(name),
    `plate ${formatGauge(plate.thickness, units)}`,
    '',
    formatMass(mass, units, 2),
    escaped(state(mark)),
  ]);
  return table(['Piece', 'Name', 'Section', 'Blank', 'Mass', 'State'], [...rows, ...plates], 'cuts');
}

function findings({ findings: all }: Plan, units: LengthDisplay): string {
  const open = all.filter(({ severity }) => severity !== 'note');
  if (open.length === 0) return '';
  const items = open.map((finding) => {
    const { title, text, remedies } = findingText(finding, units);
    return `<li><strong>${escaped(title)}.</strong> ${escaped([text, ...remedies.map((each) => `${each}.`)].join(' '))}</li>`;
  });
  return `<section><h2>To look at before anything is cut</h2>\n<ul>${items.join('\n')}</ul></section>`;
}

/** Each once. */
function cautions(files: readonly Listed[]): string {
  const all = [...new Set(files.flatMap(({ caution }) => caution ?? []))];
  const items = [
    ...all,
    'A frame carries people: have welds, brakes and steering looked at by somebody qualified, and keep to local rules.',
  ];
  return `<section><h2>Take care</h2>\n<ul>${items.map((each) => `<li>${escaped(each)}</li>`).join('')}</ul></section>`;
}
