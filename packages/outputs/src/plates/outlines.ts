import {
  formatLength,
  holeRing,
  madeAlike,
  sameTurnedOver,
  STEERING_GROUP,
  type LengthDisplay,
  type MadeOutline,
  type PlacedPlate,
  type Plan,
  formatGauge,
} from '@larchwood/core';
import { circle, label, path, placed, type Drawing, type Mark, type Point } from '../drawing.js';
import { onSheets, type Shape } from '../patterns/sheets.js';
import type { Source } from '../registry/output.js';
import { textWidth } from '../text/measure.js';

const MARGIN = 6;
const TEXT = 3;
const CROSS = 3;
const RING = 48;

/** Every flat part of the steering: what is made by hand, and the arms of the linkage. */
export function steeringOutlines({ made, frame }: Plan): readonly MadeOutline[] {
  const arms = frame.plates.filter(
    ({ plate, side }) =>
      plate.group === STEERING_GROUP && side !== 'right' && !/^steering-(fork|yoke)/.test(plate.id),
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

/** Every plate of the frame that is still to be cut. */
export const flatParts = ({ frame }: Pick<Plan, 'frame'>): readonly MadeOutline[] =>
  partsOf(frame.plates.filter(({ plate }) => plate.free === undefined));

/** A flat part, or paper that is stuck on one that is welded in. */
export interface OnPaper extends MadeOutline {
  readonly stuck?: true;
}

/**
 * Plates that are welded in already, each as its free face shows it: paper is stuck on that, and holes are punched through it.
 * The right one of a pair is the left one’s mirror twin.
 */
export const stuckParts = ({ frame }: Pick<Plan, 'frame'>): readonly OnPaper[] =>
  frame.plates.flatMap(({ plate, mark, side }) => {
    if (plate.free === undefined) return [];
    const over = (plate.free === 'away') !== (side === 'right') ? -1 : 1;
    const seen = ([x, y]: readonly [number, number]): [number, number] => [over * x, y];
    return [
      {
        ...{ id: plate.id, name: `${mark} ${plate.name}`, thickness: plate.thickness, count: 1, stuck: true },
        outline: plate.outline.map(seen),
        folds: plate.bendLines.map(({ from, to }) => ({ from: seen(from), to: seen(to) })),
        holes: plate.holes.map((hole) => ({
          ...{ ...hole, at: seen(hole.at), name: hole.name ?? '' },
          ...(hole.slot ? { slot: { ...hole.slot, turn: over * hole.slot.turn } } : {}),
        })),
      } as const,
    ];
  });

/** These plates; of those that are made alike one, with their number. */
export function partsOf(plates: readonly PlacedPlate[]): readonly MadeOutline[] {
  return madeAlike(plates).map(([first, ...others]): MadeOutline => {
    const { plate } = first!;
    const marks = [...new Set([first!, ...others].map(({ mark }) => mark))].join(', ');
    const sides = others.length > 0 && !sameTurnedOver(plate) ? ', right ones turned over' : '';
    return {
      ...{ id: plate.id, name: `${marks} ${plate.name}${sides}`, thickness: plate.thickness },
      ...{ count: others.length + 1, outline: plate.outline, folds: plate.bendLines },
      holes: plate.holes.map((hole) => ({ ...hole, name: hole.name ?? '' })),
    };
  });
}

/** One flat part true to size: outline, holes with their centres and sizes, and what it is. */
export function outlineShape(outline: OnPaper, display: LengthDisplay): Shape {
  const xs = outline.outline.map(([x]) => x);
  const ys = outline.outline.map(([, y]) => y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const at = ([x, y]: readonly [number, number]): Point => [x - left, high - y];
  const size = (value: number) => formatLength(value, display, 1);
  const words = [
    ...(outline.stuck
      ? [outline.name, 'As its free face shows it: stick it on, and punch the holes']
      : [`${outline.name}, ${outline.count} off`, `${formatGauge(outline.thickness, display)} thick`]),
    ...new Set(
      outline.holes.map(({ diameter, name }) => `${size(diameter)} hole${name === '' ? '' : `, ${name}`}`),
    ),
  ];
  const marks: Mark[] = [
    path('cut', outline.outline.map(at), true),
    ...(outline.cutouts ?? []).map((ring) => path('cut', ring.map(at), true)),
    ...(outline.folds ?? []).map(({ from, to }) => path('fold', [at(from), at(to)])),
    ...outline.holes.flatMap(({ at: hole, diameter, slot }) => {
      const [x, y] = at(hole);
      const reach = diameter / 2 + CROSS;
      return [
        slot
          ? path('cut', holeRing({ at: [hole[0], hole[1]], diameter, slot }, RING).map(at), true)
          : circle('cut', [x, y], diameter / 2),
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

/** Flat parts at full size on sheets, with bars to measure. */
export const outlineSheets = (
  outlines: readonly OnPaper[],
  { document, revision }: Pick<Source, 'document' | 'revision'>,
  what: string,
): Drawing[] =>
  onSheets(
    outlines.map((outline) => outlineShape(outline, document.units)),
    {
      size: document.paper.size,
      paperThickness: document.paper.thickness,
      display: document.units,
      buildName: document.name,
      revision,
      printer: document.paper.printer,
    },
    what,
    'Print without scaling and measure the bars. Try it in card or board first.',
  );

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
