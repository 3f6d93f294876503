import {
  formatLength,
  STEERING_GROUP,
  type LengthDisplay,
  type MadeOutline,
  type Plan,
} from '@larchwood/core';
import { circle, label, path, placed, type Drawing, type Mark, type Point } from '../drawing.js';
import type { Shape } from '../patterns/sheets.js';
import { textWidth } from '../text/measure.js';

const MARGIN = 6;
const TEXT = 3;
const CROSS = 3;

/** Every flat part of the steering: what is made by hand, and the arms of the linkage. */
export function steeringOutlines({ made, frame }: Plan): readonly MadeOutline[] {
  const arms = frame.plates.filter(
    ({ plate, side }) =>
      plate.group === STEERING_GROUP && side !== 'right' && !plate.id.startsWith('steering-fork'),
  );
  return [
    ...made.flatMap(({ result }) => result.outlines),
    ...arms.map(({ plate }): MadeOutline => ({
      id: plate.id,
      name: `${plate.piece} ${plate.name}`,
      thickness: plate.thickness,
      count: plate.mirrored ? 2 : 1,
      outline: plate.outline,
      holes: plate.holes.map(({ at, diameter }) => ({ at, diameter, name: 'rod' })),
    })),
  ];
}

/** One flat part true to size: outline, holes with their centres and sizes, and what it is. */
export function outlineShape(outline: MadeOutline, display: LengthDisplay): Shape {
  const xs = outline.outline.map(([x]) => x);
  const ys = outline.outline.map(([, y]) => y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const at = ([x, y]: readonly [number, number]): Point => [x - left, high - y];
  const size = (value: number) => formatLength(value, display, 1);
  const words = [
    `${outline.name}, ${outline.count} off`,
    `${size(outline.thickness)} thick`,
    ...new Set(outline.holes.map(({ diameter, name }) => `${size(diameter)} hole, ${name}`)),
  ];
  const marks: Mark[] = [
    path('cut', outline.outline.map(at), true),
    ...outline.holes.flatMap(({ at: hole, diameter }) => {
      const [x, y] = at(hole);
      const reach = diameter / 2 + CROSS;
      return [
        circle('cut', [x, y], diameter / 2),
        path('axis', [
          [x - reach, y],
          [x + reach, y],
        ]),
        path('axis', [
          [x, y - reach],
          [x, y + reach],
        ]),
      ];
    }),
  ];
  const top = words.length * (TEXT + 1.6) + 2;
  const width = Math.max(right - left, ...words.map((text) => textWidth(text, TEXT))) + 2 * MARGIN;
  return {
    mark: outline.name,
    width,
    height: high - low + top + 2 * MARGIN,
    marks: [
      ...words.map((text, index) => label([MARGIN, MARGIN + TEXT + index * (TEXT + 1.6)], TEXT, text)),
      ...placed(marks, [MARGIN, MARGIN + top]),
    ],
  };
}

/** All of them beside each other, for a cutting table; nothing but what is cut and its name. */
export function outlinesInARow(outlines: readonly MadeOutline[], display: LengthDisplay): Drawing {
  const shapes = outlines.map((outline) => outlineShape(outline, display));
  let x = 0;
  const marks = shapes.flatMap((shape) => {
    const here = placed(shape.marks, [x, 0]);
    x += shape.width + MARGIN;
    return here;
  });
  return { width: x, height: Math.max(1, ...shapes.map(({ height }) => height)), marks };
}
