import { findMaterial, type CutItem } from '@larchwood/core';

/** Made-up prices, in nobody's money. */
const PRICE = { piece: 1.8, kilogram: 4.2, metre: 1.4, hole: 0.35 } as const;

/** Metal that it is cut from, kg; mm and kg/m3. */
function massOf({ form, size: [width, height], wall, length, material }: CutItem): number {
  const density = findMaterial(material)?.density ?? 7850;
  const area = form === 'plate' ? wall * Math.min(width, height) : 2 * (width + height) * wall * 0.9;
  return area * length * density * 1e-9;
}

/** Length that the beam travels, m. */
function beamOf({ form, size: [width, height], holes }: CutItem): number {
  const outside = form === 'plate' ? 2 * (width + height) : 2 * Math.PI * Math.max(width, height);
  return (outside + holes.reduce((sum, { diameter }) => sum + Math.PI * diameter, 0)) / 1000;
}

/** Of one piece, to a tenth. */
export function priceOf(item: CutItem): number {
  const { piece, kilogram, metre, hole } = PRICE;
  const price = piece + kilogram * massOf(item) + metre * beamOf(item) + hole * item.holes.length;
  return Math.round(price * 10) / 10;
}

export const sumOf = (prices: readonly number[]): number =>
  Math.round(prices.reduce((sum, each) => sum + each, 0) * 10) / 10;

/** Days until so many pieces are sent: a queue, and forty a day. */
export const daysFor = (pieces: number): number => (pieces === 0 ? 0 : 4 + Math.ceil(pieces / 40));
