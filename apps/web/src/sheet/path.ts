import type { Pixel } from './view';

export const pathOf = (points: readonly Pixel[], closed = true): string => {
  let path = '';
  for (const [x, y] of points) path += `${path === '' ? 'M' : 'L'}${tenth(x)} ${tenth(y)}`;
  return closed ? `${path}Z` : path;
};
/** A tenth of a pixel is fine enough, and quicker to write than a fixed number of digits. */
export const tenth = (pixels: number): number => Math.round(pixels * 10) / 10;
