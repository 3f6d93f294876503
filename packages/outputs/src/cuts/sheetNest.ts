// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- an ambient module has no name to import
/// <reference path="../patterns/maxrects.d.ts" />
import { MaxRectsPacker } from 'maxrects-packer/dist/maxrects-packer.mjs';
import type { PlacedPlate } from '@larchwood/core';

/** A plate on a sheet, by the rectangle round it; mm from the sheet’s lower left corner. */
export interface OnSheet {
  readonly mark: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
export interface SheetNest {
  readonly sheets: readonly (readonly OnSheet[])[];
  /** Marks of plates that are larger than the sheet. */
  readonly over: readonly string[];
}

/**
 * Plates out of sheets of one size, each by the rectangle round it, turned a quarter where that helps.
 * @param sheet its width and height, mm
 * @param gap between two plates, and from the sheet’s edge, mm
 */
export function nestOnSheets(
  plates: readonly PlacedPlate[],
  [wide, high]: readonly [number, number],
  gap: number,
): SheetNest {
  const boxes = plates.map(({ mark, plate: { outline } }) => {
    const size = (axis: 0 | 1) => {
      const all = outline.map((corner) => corner[axis]);
      return Math.max(...all) - Math.min(...all);
    };
    return { mark, width: size(0), height: size(1) };
  });
  const room = [wide - 2 * gap, high - 2 * gap] as const;
  const fits = ({ width, height }: (typeof boxes)[number]) =>
    (width <= room[0] && height <= room[1]) || (height <= room[0] && width <= room[1]);
  const packer = new MaxRectsPacker<(typeof boxes)[number]>(Math.max(1, room[0]), Math.max(1, room[1]), gap, {
    ...{ smart: false, pot: false, square: false, allowRotation: true },
  });
  packer.addArray(boxes.filter(fits).map((box) => ({ width: box.width, height: box.height, data: box })));
  return {
    sheets: packer.bins.map(({ rects }) =>
      rects.map(({ x, y, rot, data: { mark, width, height } }) => ({
        ...{ mark, x: x + gap, y: y + gap },
        width: rot ? height : width,
        height: rot ? width : height,
      })),
    ),
    over: boxes.filter((box) => !fits(box)).map(({ mark }) => mark),
  };
}
