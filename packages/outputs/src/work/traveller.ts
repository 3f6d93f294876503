import {
  balanced,
  CAUTIONS,
  centreLine,
  clearestView,
  estimate,
  formatAngle,
  formatLength,
  nameInText,
  onPlate,
  passesOf,
  PHASES,
  Planner,
  PROCESSES,
  stretchName,
  QUARTERS_FROM,
  segmentsOf,
  VIEW_AXES,
  withMoves,
  work,
  type LengthDisplay,
  type Line,
  type OnPaper,
  type Plan,
  type Seen,
  type Step,
  type Work,
  formatGauge,
} from '@larchwood/core';
import { path, type Drawing, type Mark } from '../drawing.js';
import { SHEETS } from '../paper.js';
import type { Source } from '../registry/output.js';
import { tablePages, type Table } from '../tables.js';

/** The order of work to tick on paper, each step with a small drawing of what it is about; then the welds in their order. */
export function travellerSheets({ document, plan, revision }: Source): Drawing[] {
  const made = new Planner().ask(work, document);
  const { units, paper } = document;
  const tables = [
    ...partsOf(made).map((part) => stepTable(part, plan, made, units)),
    weldTable(made, document),
  ];
  return tablePages(
    tables.filter(({ rows }) => rows.length > 0),
    {
      ...SHEETS[paper.size],
      block: {
        build: document.name,
        what: 'Order of work',
        revision,
        units: units.length === 'mm' ? 'mm' : 'in',
      },
      before: 0,
      size: paper.size,
    },
  );
}

/** Steps that follow each other and belong together, in their order. */
function partsOf({ steps }: Work): readonly (readonly Step[])[] {
  const parts: Step[][] = [];
  for (const step of steps) {
    const last = parts.at(-1)?.at(-1);
    if (last && last.phase === step.phase && last.part === step.part) parts.at(-1)!.push(step);
    else parts.push([step]);
  }
  return parts;
}

const PICTURE = { width: 26, height: 15 };

function stepTable(steps: readonly Step[], plan: Plan, { steps: all }: Work, units: LengthDisplay): Table {
  const { phase, part } = steps[0]!;
  const cautions = [...new Set(steps.flatMap(({ cautions: of }) => of))];
  return {
    title: `${PHASES[phase]}${part === undefined ? '' : `: ${nameInText(part)}`}`,
    ...(cautions.length > 0 ? { note: cautions.map((id) => CAUTIONS[id]).join(' ') } : {}),
    columns: [
      { name: 'No.', right: true, bold: true },
      { name: 'Step', right: false, bold: true },
      { name: 'Numbers', right: false },
      { name: 'Check', right: false },
      { name: 'Done', right: false },
    ],
    rows: steps.map((step) => [
      String(all.indexOf(step) + 1),
      step.name,
      step.lines.slice(0, MOST).map(lineText(units)).join('; ') +
        (step.lines.length > MOST ? `; and ${step.lines.length - MOST} more` : ''),
      step.check ?? '',
      '____',
    ]),
    pictures: { ...PICTURE, of: (row) => pictureOf(plan, steps[row]!) },
  };
}
/** More numbers than so many are on the sheets of their own station. */
const MOST = 6;

const lineText =
  (units: LengthDisplay) =>
  ({ text, value, quantity, gauge }: Line): string =>
    value === undefined
      ? text
      : `${text} ${quantity === 'angle' ? formatAngle(value) : gauge ? formatGauge(value, units) : formatLength(value, units)}`;

/** Every stretch in the order of welding. */
function weldTable({ seams }: Work, { units, work: own }: Source['document']): Table {
  const open = seams.filter(({ to }) => to[0] !== 'cap');
  const bySeam = new Map(open.map((seam) => [seam.id, seam]));
  const order = withMoves(balanced(segmentsOf(open)).order, own?.seams ?? []);
  return {
    title: 'Welds, in an order that keeps the heat balanced',
    note: `${QUARTERS_FROM} ${CAUTIONS.notApproved}`,
    columns: [
      { name: 'No.', right: true, bold: true },
      { name: 'Seam', right: false, bold: true },
      { name: 'Stretch', right: false },
      { name: 'Pass', right: false },
      { name: 'Length', right: true },
      { name: 'By', right: false },
      { name: 'Done', right: false },
    ],
    rows: order.map((segment, index) => {
      const seam = bySeam.get(segment.seam)!;
      return [
        String(index + 1),
        segment.name,
        stretchName(segment),
        passesOf(seam) === 1 ? 'one' : segment.pass,
        formatLength(segment.length, units, 0, true),
        PROCESSES[estimate(seam).process].name,
        '____',
      ];
    }),
  };
}

/** The frame in thin lines, what the step is about in thick ones, in the view that shows the most of it. */
function pictureOf(plan: Plan, { pieces }: Step): readonly Mark[] {
  const wanted = new Set(pieces);
  const name = clearestView(plan.frame, pieces);
  const [across, up] = VIEW_AXES[name];
  const view: Seen = { name, at: (point) => [point[across], -point[up]] };
  const all = [
    ...plan.frame.pieces.map((piece) => ({
      ...{ lit: wanted.has(piece.id), closed: false },
      points: centreLine(piece, view),
    })),
    ...plan.frame.plates.map((plate) => ({
      ...{ lit: wanted.has(plate.id), closed: true },
      points: plate.plate.outline.map((corner) => view.at(onPlate(plate, corner))),
    })),
  ];
  const [left, top, width, height] = boxOf(all.flatMap(({ points }) => points));
  const scale = Math.min(PICTURE.width / Math.max(1, width), PICTURE.height / Math.max(1, height));
  const at = ([x, y]: OnPaper): OnPaper => [
    (x - left) * scale + (PICTURE.width - width * scale) / 2,
    (y - top) * scale + (PICTURE.height - height * scale) / 2,
  ];
  return [
    ...all.filter(({ lit }) => !lit).map(({ points, closed }) => path('thin', points.map(at), closed)),
    ...all
      .filter(({ lit }) => lit)
      .flatMap(({ points, closed }) =>
        // Twice, a hair apart: as thick as no single line is.
        [-0.12, 0.12].map((off) =>
          path(
            'cut',
            points.map(at).map(([x, y]) => [x + off, y + off] as const),
            closed,
          ),
        ),
      ),
  ];
}

function boxOf(points: readonly OnPaper[]): readonly [number, number, number, number] {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  if (points.length === 0) return [0, 0, 1, 1];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return [left, top, Math.max(...xs) - left, Math.max(...ys) - top];
}
