import {
  onPlate,
  pieceOutline,
  pointOn,
  VIEW_AXES,
  type OnPaper,
  type Plan,
  type Seen,
  type ViewName,
} from '@larchwood/core';
import { escaped } from '../svg.js';

/** Words are a part of the picture's width. */
const WORDS = 1 / 62;
const MARGIN = 0.02;
/** Marks nearer to each other than so many of their heights are not both written. */
const APART = 1.3;

/** A frame in one view as an SVG element that fills its place: outlines, and each piece's mark where there is room for it. */
export function framePicture(plan: Plan, name: ViewName): string {
  const [across, up] = VIEW_AXES[name];
  const view: Seen = { name, at: (point) => [point[across], -point[up]] };
  const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));
  const shapes = [
    ...plan.frame.pieces.map((piece) => pieceOutline(piece, cuts.get(piece.id)!, view)),
    ...plan.frame.plates.map((plate) => plate.plate.outline.map((corner) => view.at(onPlate(plate, corner)))),
  ];
  const [left, top, right, bottom] = boundsOf(shapes);
  const size = (right - left) * WORDS;
  const margin = (right - left) * MARGIN;
  const written: OnPaper[] = [];
  const marks = plan.frame.pieces
    .filter(({ side }) => side !== 'right')
    .flatMap((piece) => {
      const at = view.at(pointOn(piece.path, piece.length / 2).at);
      if (written.some(([x, y]) => Math.hypot(x - at[0], y - at[1]) < APART * size)) return [];
      written.push(at);
      return [
        `<text x="${at[0].toFixed(1)}" y="${(at[1] + size * 0.35).toFixed(1)}">${escaped(piece.mark)}</text>`,
      ];
    });
  const box = [left - margin, top - margin, right - left + 2 * margin, bottom - top + 2 * margin];
  const lines = shapes.map(
    (points) => `<path d="M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z"/>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box.map((each) => each.toFixed(1)).join(' ')}" role="img" aria-label="${escaped(plan.name)}, ${name} view">`,
    `<g fill="#f1ecdf" stroke="#1c2823" vector-effect="non-scaling-stroke" stroke-width="${(size / 14).toFixed(2)}">`,
    ...lines,
    `</g>`,
    `<g font-size="${size.toFixed(1)}" font-weight="700" text-anchor="middle" fill="#1c2823" stroke="#fff" stroke-width="${(size / 4).toFixed(1)}" paint-order="stroke" stroke-linejoin="round">`,
    ...marks,
    `</g>`,
    `</svg>`,
  ].join('\n');
}

function boundsOf(
  shapes: readonly (readonly OnPaper[])[],
): readonly [left: number, top: number, right: number, bottom: number] {
  const points = shapes.flat();
  const [x, y] = [points.map(([each]) => each), points.map(([, each]) => each)];
  return [Math.min(...x), Math.min(...y), Math.max(...x), Math.max(...y)];
}
