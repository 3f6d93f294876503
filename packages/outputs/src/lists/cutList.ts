import type { BuildDocument } from '@larchwood/format';
import {
  findMaterial,
  hasArrived,
  INCH,
  marksMade,
  massUnitOf,
  orderByMark,
  POUND,
  sawSettingOf,
  sectionText,
  type LengthDisplay,
  type EndCut,
  type Piece,
  type PieceCut,
  type Plan,
  formatGauge,
} from '@larchwood/core';
import { csvOf } from '../csv.js';
import { jointName } from '../patterns/stripWords.js';

/**
 * The cut list as comma-separated values, one row a piece: lengths in the build's unit, angles in degrees, mass in kg or lb.
 */
export function cutListCsv(plan: Plan, document: Listed): string {
  const { heads, rows } = cutListTable(plan, document);
  return csvOf(heads, rows);
}

/** What of a document its cut list depends on. */
export type Listed = Pick<BuildDocument, 'units' | 'cuts' | 'done'>;

/** Whether a piece is still to be cut, is cut, or comes cut from somebody else. */
export function pieceState(document: Listed): (mark: string) => string {
  const orders = orderByMark(document);
  const made = marksMade(document);
  return (mark) => {
    const order = orders.get(mark);
    if (order) return `${hasArrived(order, document) ? 'came with order' : 'ordered cut,'} ${order.id}`;
    return made.has(mark) ? 'cut' : 'to cut';
  };
}

/** Heads with their units, and a row a piece. */
export function cutListTable(
  plan: Plan,
  document: Listed,
): { readonly heads: readonly string[]; readonly rows: readonly (readonly (string | number)[])[] } {
  const pieces = new Map(plan.frame.pieces.map((piece) => [piece.id, piece]));
  const { units: display } = document;
  const unit = display.length === 'mm' ? 'mm' : 'in';
  const state = pieceState(document);
  const rows = [
    ...plan.cuts.map((cut) => tubeRow(cut, pieces.get(cut.piece)!, display)),
    ...plan.frame.plates.map((plate) => ({
      ...EMPTY,
      mark: plate.mark,
      name: plate.name,
      section: `plate ${formatGauge(plate.plate.thickness, display)}`,
      material: findMaterial(plate.plate.material)?.name ?? plate.plate.material,
      mass: massIn(plate.mass, display),
    })),
  ];
  return {
    heads: HEADINGS.map(([, name]) => name.replace('{unit}', unit).replace('{mass}', massUnitOf(display))),
    rows: rows.map((row) => {
      const told: Row = { ...row, state: state(String(row.mark)) };
      return HEADINGS.map(([key]) => told[key]);
    }),
  };
}

const HEADINGS = [
  ['mark', 'Piece'],
  ['name', 'Name'],
  ['section', 'Section'],
  ['material', 'Material'],
  ['blank', 'Blank ({unit})'],
  ['overall', 'Longest ({unit})'],
  ['saddle', 'Saddle to saddle ({unit})'],
  ['first', 'First end'],
  ['firstAngle', 'First end off square (deg)'],
  ['firstSaw', 'First end, saw: miter, bevel (deg)'],
  ['second', 'Second end'],
  ['secondAngle', 'Second end off square (deg)'],
  ['secondSaw', 'Second end, saw: miter, bevel (deg)'],
  ['match', 'Match angle (deg)'],
  ['bends', 'Bends'],
  ['twin', 'Twin'],
  ['state', 'State'],
  ['mass', 'Mass ({mass})'],
] as const;
type Key = (typeof HEADINGS)[number][0];
type Row = Readonly<Record<Key, string | number>>;
const EMPTY = Object.fromEntries(HEADINGS.map(([key]) => [key, ''])) as Row;

function tubeRow(cut: PieceCut, piece: Piece, display: LengthDisplay): Row {
  const [start, end] = cut.ends;
  return {
    ...EMPTY,
    mark: cut.mark,
    name: cut.name,
    section: sectionText(piece.section, display),
    material: findMaterial(piece.member.material)?.name ?? piece.member.material,
    blank: length(cut.blank, display),
    overall: length(cut.overall, display),
    saddle: length(cut.saddleToSaddle, display),
    first: jointName(start),
    firstAngle: rounded(start.offSquare, 2),
    firstSaw: sawWords(start),
    second: jointName(end),
    secondAngle: rounded(end.offSquare, 2),
    secondSaw: sawWords(end),
    match: rounded(end.matchAngle, 2),
    bends: piece.path.arcs.length,
    twin: cut.handedness ?? '',
    mass: massIn(cut.mass, display),
  };
}

/** Table and blade of a cut that leans both ways; empty of any other. */
function sawWords(end: EndCut): string {
  const saw = sawSettingOf(end);
  return saw && saw.bevel > 0 ? `${saw.miter.toFixed(2)}, ${saw.bevel.toFixed(2)}` : '';
}

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));
const massIn = (kilograms: number, display: LengthDisplay): number =>
  rounded(massUnitOf(display) === 'kg' ? kilograms : kilograms / POUND, 3);
const length = (mm: number, display: LengthDisplay): number =>
  display.length === 'mm' ? rounded(mm, 1) : rounded(mm / INCH, 4);
