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
  pieceOutline,
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
import { clipPolyline } from 'lineclip';
import { area, path, type Drawing, type Mark } from '../drawing.js';
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

const PICTURE = { width: 32, height: 19 };

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

/** The frame in thin lines, what the step is about filled, in the view that shows the most of it: near by, with what is round it. */
function pictureOf(plan: Plan, { pieces }: Step): readonly Mark[] {
  const wanted = new Set(pieces);
  const name = clearestView(plan.frame, pieces);
  const [across, up] = VIEW_AXES[name];
  const view: Seen = { name, at: (point) => [point[across], -point[up]] };
  const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));
  const plates = plan.frame.plates.map((plate) => ({
    ...{ lit: wanted.has(plate.id), closed: true },
    points: plate.plate.outline.map((corner) => view.at(onPlate(plate, corner))),
  }));
  const pieceLines = plan.frame.pieces.map((piece) => {
    const lit = wanted.has(piece.id);
    const cut = lit ? cuts.get(piece.id) : undefined;
    return {
      ...{ lit, closed: cut !== undefined },
      points: cut ? pieceOutline(piece, cut, view) : centreLine(piece, view),
    };
  });
  const all = [...pieceLines, ...plates];
  const pointsOf = (some: typeof all) => some.flatMap(({ points }) => points);
  const whole = boxOf(pointsOf(all));
  const lit = all.filter((each) => each.lit);
  const [left, top, width, height] = lit.length === 0 ? whole : regionOf(boxOf(pointsOf(lit)), whole);
  const scale = Math.min(PICTURE.width / width, PICTURE.height / height);
  const put = ([x, y]: OnPaper): OnPaper => [
    (x - left) * scale + (PICTURE.width - width * scale) / 2,
    (y - top) * scale + (PICTURE.height - height * scale) / 2,
  ];
  const frame: [number, number, number, number] = [0, 0, PICTURE.width, PICTURE.height];
  return [
    ...all
      .filter((each) => !each.lit)
      .flatMap(({ points, closed }) =>
        clipPolyline(
          (closed && points[0] ? [...points, points[0]] : points).map(put).map(([x, y]) => [x, y]),
          frame,
        ).map((part) => path('thin', part as OnPaper[])),
      ),
    ...lit.map(({ points, closed }) =>
      closed ? area(thickened(points.map(put))) : path('cut', points.map(put)),
    ),
  ];
}

/** What a picture shows of the frame at least, of its larger side: enough to see where in it one is. */
const LEAST_REGION = 0.4;
/** What is lit is this part of the region at most. */
const LIT = 0.75;

/** A region round what is lit, in the picture's own proportion where the frame has that much. */
function regionOf([x, y, w, h]: Box, [left, top, wide, tall]: Box): Box {
  const least = LEAST_REGION * Math.max(wide, tall * (PICTURE.width / PICTURE.height));
  const width = Math.max(w / LIT, (h / LIT) * (PICTURE.width / PICTURE.height), least, 1);
  const height = width * (PICTURE.height / PICTURE.width);
  // Of what lies beside the frame there is nothing to see.
  const within = (middle: number, size: number, from: number, whole: number) =>
    size >= whole
      ? from + (whole - size) / 2
      : Math.min(Math.max(middle - size / 2, from), from + whole - size);
  return [within(x + w / 2, width, left, wide), within(y + h / 2, height, top, tall), width, height];
}

/** A printer loses an area thinner than this, mm. */
const THINNEST = 0.5;

/** A sliver, such as a plate on its edge, as wide as a printer shows it. */
function thickened(points: readonly OnPaper[]): readonly OnPaper[] {
  const [left, top, width, height] = boxOf(points);
  if (Math.min(width, height) >= THINNEST) return points;
  const [w, h] = [Math.max(width, THINNEST), Math.max(height, THINNEST)];
  const [l, t] = [left - (w - width) / 2, top - (h - height) / 2];
  return [
    [l, t],
    [l + w, t],
    [l + w, t + h],
    [l, t + h],
  ];
}

type Box = readonly [left: number, top: number, width: number, height: number];
function boxOf(points: readonly OnPaper[]): Box {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  if (points.length === 0) return [0, 0, 1, 1];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return [left, top, Math.max(...xs) - left, Math.max(...ys) - top];
}
